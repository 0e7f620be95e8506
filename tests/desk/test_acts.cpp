// One table of what keys do: the menu, the foot and the stations say and do the same. And what outlives the
// window.
#include <QAction>
#include <QComboBox>
#include <QFile>
#include <QMenu>
#include <QRadioButton>
#include <QTemporaryDir>
#include <QTest>
#include <QTimer>
#include <set>

#include "desk/mirror/mirror_station.h"
#include "desk/paper/paper_station.h"
#include "desk/plan/plan_station.h"
#include "desk/print/print_station.h"
#include "desk/shell/settings.h"
#include "desk_fixture.h"
#include "near.h"
#include "plan_hands.h"
#include "tests.h"

namespace test_acts {

using namespace sartorum;
using namespace sartorum::desk;
using namespace sartorum::test;

namespace {

QMenu* menu_of(const Desk& d)
{
    d.key(Qt::Key_F10);
    auto* menu = d.window->findChild<QMenu*>("acts_menu");
    if (!menu)
        qFatal("F10 opens no menu, the keyboard being at %s",
               qPrintable(QApplication::focusWidget() ? QApplication::focusWidget()->objectName() : "nothing"));
    return menu;
}

// By the words it begins with, in the menu or in one of its parts.
QAction* entry(QMenu* menu, const QString& words)
{
    for (auto* a : menu->actions()) {
        if (a->text().section('\t', 0, 0) == words) return a;
        if (a->menu()) {
            if (auto* in = entry(a->menu(), words)) return in;
        }
    }
    return nullptr;
}

}  // namespace

class TestActs : public QObject {
    Q_OBJECT
    QTemporaryDir dir_;
    QString at(const char* name) { return dir_.filePath(QLatin1String{name}); }

private slots:
    // No key means two things in one place, nor one thing there and another anywhere.
    void a_key_means_one_thing()
    {
        std::set<std::pair<At, QString>> seen;
        for (const auto& row : all_acts()) {
            QVERIFY2(!row.words.isEmpty(), qPrintable(QString::number(int(row.act))));
            for (const auto& key : row.keys) {
                QCOMPARE(key.count(), 1);
                QVERIFY2(seen.insert({row.at, key.toString()}).second, qPrintable(key.toString()));
                if (row.at != At::Anywhere)
                    QVERIFY2(!seen.count({At::Anywhere, key.toString()}), qPrintable(key.toString()));
            }
            QVERIFY(!row.in_menu || row.at != At::Anywhere || !key_text(row).isEmpty() || row.words.endsWith("…"));
        }
        // What every platform's hands know.
        for (const auto standard : {QKeySequence::Undo, QKeySequence::Redo, QKeySequence::Open,
                                    QKeySequence::Print, QKeySequence::HelpContents}) {
            for (const auto& key : QKeySequence::keyBindings(standard)) {
                const bool there = std::any_of(all_acts().begin(), all_acts().end(), [&](const ActRow& r) {
                    return r.at == At::Anywhere && r.keys.contains(key);
                });
                QVERIFY2(there || key.count() != 1, qPrintable(key.toString()));
            }
        }
        QCOMPARE(key_text(row_of(Act::LargerText)), QString{"Ctrl +"});
        QCOMPARE(key_text(row_of(Act::SmallerText)), QString{"Ctrl −"});
        QCOMPARE(key_text(row_of(Act::SlightlyLess)), QString{"←"});
        QCOMPARE(with_key(Act::Guide), QString{"Guide (F1)"});
    }
    void a_station_does_what_its_row_says()
    {
        QTemporaryDir dir;
        Desk d{dir.filePath("a.sartorum"), true};
        lay_bodice(d);
        for (const auto s : {Station::Plan, Station::Paper, Station::Mirror}) {
            for (const auto& row : all_acts()) {
                // What needs a note or opens a sheet of its own is tried where that is.
                if (row.at != at_station(s) || row.keys.isEmpty() || row.act == Act::ToNote ||
                    row.act == Act::NewNote || row.act == Act::NewTryOn || row.act == Act::Large)
                    continue;
                d.window->go_to(s);
                QWidget* station = d.window->focusWidget();
                for (const auto& key : row.keys) {
                    QKeyEvent press{QEvent::KeyPress, key[0].key(), key[0].keyboardModifiers()};
                    QCoreApplication::sendEvent(station, &press);
                    QVERIFY2(press.isAccepted(), qPrintable(row.words + ": " + key.toString()));
                }
            }
        }
    }
    void the_menu_lists_all_of_it_and_does_it()
    {
        Desk d{at("menu.sartorum"), true};
        lay_bodice(d);
        d.window->go_to(Station::Tape);
        auto* menu = menu_of(d);
        QVERIFY(menu);
        QVERIFY(menu->isVisible());
        for (const auto& row : all_acts()) {
            if (!row.in_menu) continue;
            const auto* a = entry(menu, row.words);
            QVERIFY2(a, qPrintable(row.words));
        }
        QCOMPARE(entry(menu, "Undo")->text().section('\t', 1), QString{"Ctrl Z"});
        // From the Tape to a view beside the Plan.
        entry(menu, "Finished measures")->trigger();
        menu->close();
        QCOMPARE(d.window->current(), Station::Plan);
        const auto* beside = d.find<Choices>("beside_plan");
        const int shown = beside->chosen();
        d.key(Qt::Key_R);
        QVERIFY(beside->chosen() != shown);
        d.key(Qt::Key_M);
        QCOMPARE(beside->chosen(), shown);  // the key and the menu did the same
        const bool night = d.look.night();
        menu = menu_of(d);
        entry(menu, "Night or day")->trigger();
        menu->close();
        QVERIFY(d.look.night() != night);
        // By the mouse, from the mark.
        d.click("menu_button");
        QVERIFY(d.find<QMenu>("acts_menu")->isVisible());
        d.find<QMenu>("acts_menu")->close();
    }
    // Whatever has the keyboard in the station: a button there would take the key for itself.
    void the_menu_acts_on_the_station_and_not_on_what_has_the_keyboard()
    {
        Desk d{at("focus.sartorum"), true};
        lay_bodice(d);
        const auto from_menu = [&](const QString& words) {
            auto* menu = menu_of(d);
            entry(menu, words)->trigger();
            menu->close();
            d.settle();
        };
        d.window->go_to(Station::Plan);
        const auto accepted = [&] { return d.room->plan().decisions.size(); };
        const auto before = accepted();
        d.find("accept_all")->setFocus();
        from_menu("Accept it, or leave it");
        QCOMPARE(accepted(), before + 1);
        const int shown = d.find<Choices>("beside_plan")->chosen();
        d.find("beside_plan")->setFocus();
        from_menu("Next change");
        QCOMPARE(d.find<Choices>("beside_plan")->chosen(), shown);
        d.window->go_to(Station::Chart);
        const auto sizes = d.room->choice();
        d.find("station_2")->setFocus();
        from_menu("A size larger at this measure");
        QVERIFY(!(d.room->choice() == sizes));
        // From a pattern measured flat to the wearer's measures.
        d.window->go_to(Station::Tape);
        from_menu("A pattern measured flat, or the wearer");
        from_menu("Next measure");
        QVERIFY(d.find<QLineEdit>("reading1"));
    }
    // Nothing lies on the table yet: each entry does something or nothing, and where it leads is shown.
    void every_entry_can_be_chosen_in_an_empty_notebook()
    {
        Desk d{at("empty.sartorum"), false};
        for (const auto& row : all_acts()) {
            // A dialog, or the end.
            if (!row.in_menu || row.words.endsWith("…") || row.act == Act::Guide || row.act == Act::Quit ||
                row.act == Act::NewNote || row.act == Act::NewTryOn)
                continue;
            auto* menu = menu_of(d);
            // By its own name: the Tape and the Chart both have a next measure.
            d.window->findChild<QAction*>(QString{"act_%1"}.arg(static_cast<int>(row.act)))->trigger();
            menu->close();
            d.settle();
            if (row.at != At::Anywhere && row.at != At::Tissue) QCOMPARE(at_station(d.window->current()), row.at);
            QVERIFY(d.window->isVisible());
        }
        QVERIFY(d.room->book().wearers().empty());
    }
    void undo_acts_by_its_key_after_the_menu_said_there_is_nothing()
    {
        Desk d{at("undo.sartorum"), false};
        auto* menu = menu_of(d);
        QVERIFY(!entry(menu, "Redo")->isEnabled());
        menu->close();
        d.room->add_wearer("Nell");
        d.key(Qt::Key_Z, Qt::ControlModifier);
        QVERIFY(d.room->book().wearers().empty());
        d.key(Qt::Key_Y, Qt::ControlModifier);
        QCOMPARE(d.room->book().wearers().size(), qsizetype{1});
    }
    void a_restart_keeps_what_a_person_set()
    {
        const QString file = at("settings.ini");
        const QString book = at("kept.sartorum");
        QVERIFY(QDir{dir_.path()}.mkdir("sheets"));
        {
            Settings settings{file};
            Desk d{book, true};
            settings.follow(d.look);
            QVERIFY(!d.look.night());  // the offscreen desktop is light
            d.window->keep_settings(settings);
            in_dialog([](QWidget* sheet) {
                for (auto* b : sheet->findChildren<QRadioButton*>()) {
                    if (b->text() == "inches" || b->text() == "night") b->click();
                }
                auto* size = sheet->findChild<QComboBox*>("text_size");
                QCOMPARE(size->currentText(), QString{"100 %"});
                size->setFocus();
                QTest::keyClick(size, Qt::Key_Down);
                QTest::keyClick(size, Qt::Key_Down);
                QTest::keyClick(sheet, Qt::Key_Escape);
            });
            d.key(Qt::Key_Comma, Qt::ControlModifier);
            QVERIFY(d.look.unit() == Unit::Inch && d.look.night());
            settings.keep_folder(Settings::Folder::Pages, at("sheets"));
            d.window->go_to(Station::Plan);
            d.window->resize(1400, 900);
            d.window->close();
        }
        QVERIFY(!(QFile::permissions(file) & (QFile::ReadGroup | QFile::ReadOther)));
        Settings settings{file};
        Look look;
        settings.follow(look);
        QCOMPARE(look.unit(), Unit::Inch);
        QCOMPARE(look.theme(), Theme::Night);
        QVERIFY(near(look.scale(), 1.2, 1e-9));
        Room room{std::move(*notebook::Notebook::open(book)), [] { return QDate{2026, 11, 23}; }};
        Window window{look};
        window.keep_settings(settings);
        window.furnish(room);
        window.show();
        QCOMPARE(window.current(), Station::Plan);
        QCOMPARE(window.size(), QSize(1400, 900));
        window.go_to(Station::Print);
        QCOMPARE(window.findChild<QLineEdit*>("print_folder")->text(), at("sheets"));
    }
    void a_dark_desktop_is_followed_where_that_is_asked()
    {
        const QPalette was = QApplication::palette();
        for (const bool dark : {false, true}) {
            QPalette p = was;
            p.setColor(QPalette::Window, dark ? QColor{"#202428"} : QColor{"#f4f4f4"});
            QApplication::setPalette(p);
            Look look;
            look.set_theme(Theme::Desktop);
            QCOMPARE(look.night(), dark);
            look.set_theme(Theme::Day);
            QVERIFY(!look.night());
        }
        QApplication::setPalette(was);
    }
    void a_settings_file_that_says_nonsense_says_nothing()
    {
        const QString file = at("bad.ini");
        QFile f{file};
        QVERIFY(f.open(QIODevice::WriteOnly));
        f.write(
            "[General]\nunit=furlong\ntext_size=-3\ntheme=mauve\nstation=attic\nwindow=@ByteArray(\\x1)\n"
            "[folders]\npatterns=/no/such/folder\n\xff\xfe]]]\n");
        f.close();
        Settings settings{file};
        Look look;
        settings.follow(look);
        QCOMPARE(look.unit(), Unit::Centimetre);
        QCOMPARE(look.scale(), 1.0);
        QVERIFY(!settings.station());
        QVERIFY(settings.folder(Settings::Folder::Patterns).isEmpty());
        for (const char* size : {"nan", "inf", "1e300", "0"}) {
            QSettings{file, QSettings::IniFormat}.setValue("text_size", size);
            Settings again{file};
            Look other;
            again.follow(other);
            QVERIFY2(other.scale() >= 0.9 && other.scale() <= 1.5, size);
        }
    }
};
SARTORUM_TEST(TestActs)

}  // namespace test_acts

#include "test_acts.moc"
