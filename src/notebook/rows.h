// rows.h: how the files of this room ask and change the database. Not for other rooms.
#pragma once
#include <QSqlDatabase>
#include <QSqlError>
#include <QSqlQuery>
#include <QVariant>
#include <array>
#include <cmath>

#include "notebook/notebook.h"

namespace sartorum::notebook {

[[nodiscard]] Trouble trouble_of(const QSqlError&);
[[nodiscard]] tl::unexpected<Failure> fail(Trouble, const QString& detail = {});
[[nodiscard]] QString tr_(const char* text);

// The query as it was run; its error says whether it could be.
[[nodiscard]] QSqlQuery ask(const QString& connection, const QString& sql, const QVariantList& values = {});

// What was asked, row by row. A read that fails is no "nothing there": the notebook keeps why, and a change that
// read it is given up. More rows than any notebook has are named and left out.
class Notebook::Rows {
public:
    Rows(const Notebook& book, QSqlQuery query);
    [[nodiscard]] bool next();
    [[nodiscard]] QVariant value(int column) const { return query_.value(column); }

private:
    void note_error();
    const Notebook& book_;
    QSqlQuery query_;
    int read_ = 0;
};

// One transaction, recorded under one name for undo. Rolled back unless committed; a change that changes nothing
// leaves no trace.
class Notebook::Change {
public:
    Change(const Notebook& book, const QString& name, bool undoable = true);
    // Goes with the last act, and is taken back with it: no step of its own.
    enum class With { LastAct };
    Change(const Notebook& book, With);
    ~Change();
    Change(const Change&) = delete;
    Change& operator=(const Change&) = delete;

    QSqlQuery run(const QString& sql, const QVariantList& values = {});
    Id insert(const QString& sql, const QVariantList& values);
    void give_up(Failure);
    [[nodiscard]] bool failed() const { return failed_.has_value(); }

    template <class T>
    Result<T> commit(T value)
    {
        finish();
        if (failed_) return tl::make_unexpected(*failed_);
        return value;
    }

private:
    void finish();
    const Notebook& book_;
    QSqlDatabase db_;
    std::optional<Failure> failed_;
    bool undoable_;
    bool committed_ = false;
};

[[nodiscard]] inline QVariant or_null(const std::optional<Id>& id)
{
    return id ? QVariant{*id} : QVariant{};
}
[[nodiscard]] inline QVariant or_null(const std::optional<Length>& l)
{
    return l ? QVariant{l->in_mm()} : QVariant{};
}
[[nodiscard]] inline QString text(const std::string& s)
{
    return QString::fromStdString(s);
}
[[nodiscard]] inline QString key(Measure m)
{
    const auto k = facts(m).key;
    return QString::fromLatin1(k.data(), static_cast<int>(k.size()));
}

// A number that is one: text, NULL, NaN and infinity are none.
[[nodiscard]] inline std::optional<double> number_of(const QVariant& v)
{
    const bool number = v.typeId() == QMetaType::Double || v.typeId() == QMetaType::LongLong ||
                        v.typeId() == QMetaType::Int || v.typeId() == QMetaType::ULongLong;
    const double value = number ? v.toDouble() : 0;
    return number && std::isfinite(value) ? std::optional{value} : std::nullopt;
}
[[nodiscard]] inline std::optional<Length> length_of(const QVariant& v, Length most)
{
    const auto mm = number_of(v);
    return mm && std::abs(*mm) <= most.in_mm() ? std::optional{Length::mm(*mm)} : std::nullopt;
}

[[nodiscard]] inline QString side_word(const std::optional<Side>& s)
{
    const auto word = sartorum::key(s);
    return QString::fromLatin1(word.data(), static_cast<qsizetype>(word.size()));
}
[[nodiscard]] inline std::optional<std::optional<Side>> side_said(const QVariant& v)
{
    return sartorum::side_said(v.toString().toStdString());
}
// A day of the calendar as 2026-11-03.
[[nodiscard]] inline std::optional<QString> day_of(const QVariant& v)
{
    const QString said = v.toString();
    return said.size() == 10 && QDate::fromString(said, Qt::ISODate).isValid() ? std::optional{said}
                                                                               : std::nullopt;
}

// Enums are stored as words.
template <class E, std::size_t N>
std::optional<E> from_word(const std::array<const char*, N>& words, const QVariant& v)
{
    for (std::size_t i = 0; i < N; ++i) {
        if (v.toString() == QLatin1String{words[i]}) return static_cast<E>(i);
    }
    return std::nullopt;
}
template <class E, std::size_t N>
QString word(const std::array<const char*, N>& words, E e)
{
    return QString::fromLatin1(words[static_cast<std::size_t>(e)]);
}

}  // namespace sartorum::notebook
