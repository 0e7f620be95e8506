// Puts anything into one cell of a notebook, and reads all of it. One notebook for all runs, in memory and never
// waited for; each run is rolled back.
#include <QCoreApplication>
#include <QFile>
#include <QSqlDatabase>
#include <QSqlQuery>
#include <QTemporaryDir>

#include "common.h"
#include "notebook/notebook.h"
#include "notebook/schema.h"

namespace {

using namespace sartorum::notebook;

struct Desk {
    int argc = 1;
    char name[5] = "fuzz";
    char* argv[2] = {name, nullptr};
    QCoreApplication app{argc, argv};
    QTemporaryDir dir{QFile::exists("/dev/shm") ? "/dev/shm/sartorum-fuzz-XXXXXX" : ""};
    std::unique_ptr<Notebook> book;
    Id wearer = 0;
    Id pattern = 0;

    Desk()
    {
        book = std::move(*Notebook::open(dir.filePath("n.sartorum")));
        wearer = *book->add_wearer("Ottilie", {2026, 11, 3});
        const Id set = *book->table().set;
        (void)book->set_readings(set, Measure::Waist, {Length::mm(844), Length::mm(846)});
        (void)book->set_tape_check(set, *TapeCheck::from({{Length::mm(600), Length::mm(598)}}));
        SizeChart chart{"Skirts", "Towpath", {}};
        for (int i = 0; i < 3; ++i)
            chart.sizes.push_back({std::to_string(8 + 2 * i), {{Measure::Hip, Length::mm(900 + 40 * i)}}, 0});
        const Id made = *book->add_chart(chart);
        pattern = *book->add_pattern("Lockside", "Towpath", "<svg/>", made);
        Plan plan = plan_in_sizes("8", "10");
        plan.decide({AdjustmentKind::WaistToHip, Answer::Accepted, Length::mm(25.4)});
        plan.ease[Measure::Hip] = Length::mm(30);
        (void)book->save_plan(wearer, PlanFor::pattern(pattern), plan, "plan");
    }
};

// The next value: text, a number of any kind, bytes, or nothing.
QVariant value_of(const std::uint8_t*& data, const std::uint8_t* end)
{
    const auto take = [&](std::size_t most) {
        const auto n = std::min<std::size_t>(most, static_cast<std::size_t>(end - data));
        QByteArray bytes{reinterpret_cast<const char*>(data), static_cast<qsizetype>(n)};
        data += n;
        return bytes;
    };
    const int kind = data < end ? *data++ % 5 : 0;
    const auto bytes = take(8);
    double number = 0;
    qint64 whole = 0;
    std::memcpy(&number, bytes.constData(), static_cast<std::size_t>(bytes.size()));
    std::memcpy(&whole, bytes.constData(), static_cast<std::size_t>(bytes.size()));
    switch (kind) {
        case 0: return {};
        case 1: return number;
        case 2: return whole;
        case 3: return QString::fromUtf8(bytes);
        default: return bytes;
    }
}

}  // namespace

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size)
{
    static Desk desk;
    const auto* end = data + size;
    QSqlQuery q{QSqlDatabase::database(QSqlDatabase::connectionNames().value(0))};
    static const bool quick = [&] {
        for (const char* pragma : {"PRAGMA ignore_check_constraints = ON", "PRAGMA synchronous = OFF",
                                   "PRAGMA journal_mode = MEMORY", "PRAGMA foreign_keys = OFF"})
            q.exec(pragma);
        return true;
    }();
    if (!quick || size < 3) return 0;
    q.exec("BEGIN");
    const auto& table = all_tables()[*data++ % all_tables().size()];
    const auto& column = table.columns[*data++ % table.columns.size()];
    q.prepare("UPDATE " + table.table + " SET " + column + " = ? WHERE rowid = (SELECT min(rowid) FROM " +
              table.table + ")");
    q.bindValue(0, value_of(data, end));
    q.exec();
    const auto& book = *desk.book;
    for (const auto& w : book.wearers()) {
        for (const auto& s : book.sets(w.id)) (void)book.body(s.id);
        for (const auto& p : book.patterns()) {
            (void)book.plan(w.id, PlanFor::pattern(p.id));
            (void)book.pattern_svg(p.id);
            (void)book.step(w.id, p.id);
        }
    }
    (void)book.table();
    for (const auto& c : book.charts()) {
        const auto chart = book.chart(c.id);
        if (chart) (void)advise(*chart, trial_body(), {});
    }
    q.exec("ROLLBACK");
    return 0;
}
