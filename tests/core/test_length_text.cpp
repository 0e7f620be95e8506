#include <QTest>
#include <concepts>
#include <random>

#include "core/units/length_text.h"
#include "near.h"
#include "tests.h"

namespace test_length_text {

using namespace sartorum;

// What must not compile.
static_assert(!std::is_convertible_v<double, Length> && !std::is_convertible_v<Length, double>);
template <class A, class B>
concept Addable = requires(A a, B b)
{
    a + b;
};
static_assert(Addable<Length, Length> && !Addable<Length, double>);
// International yard and pound agreement, 1959: 1 in = 25.4 mm exactly.
static_assert(Length::inches(1) == Length::mm(25.4));
static_assert(is_near(Length::inches(0.625), Length::mm(15.875), Length::mm(1e-9)));

class TestLengthText : public QObject {
    Q_OBJECT
private slots:
    void every_way_of_writing_a_length_is_read_data()
    {
        QTest::addColumn<QString>("text");
        QTest::addColumn<bool>("inches");
        QTest::addColumn<double>("mm");
        const auto row = [](const char* text, bool inches, double mm) {
            QTest::newRow(text) << QString::fromUtf8(text) << inches << mm;
        };
        row("39 1/2", true, 1003.3);
        row("88 1/2", false, 885);  // under cm: what is written over a number wins over its shape
        row("39½", false, 395);
        row("39 ½ in", false, 1003.3);
        row("39-1/2", true, 1003.3);
        row("39.5 in", false, 1003.3);
        row("5/8\"", false, 15.875);
        row("5/8", true, 15.875);
        row("104 CM", true, 1040);
        row("41 7/8 IN", false, 1063.625);
        row("1.1 m", false, 1100);
        row("1,1 m", true, 1100);
        row("1.05 Metres", true, 1050);
        row("⅝″", false, 15.875);
        row("100,5 cm", true, 1005.0);
        row("1005 mm", true, 1005.0);
        row("  98.4 ", false, 984.0);
        row("98.4", true, 98.4 * 25.4);
        row("0,125 in", false, 3.175);
        row("-1 1/4 in", false, -31.75);
        row("\u22121.5 cm", false, -15.0);
        row("+0.6", false, 6.0);
        row("12\u00a0cm", true, 120.0);
        row("9/16 in", false, 14.2875);
        row(".5 in", false, 12.7);
    }
    void every_way_of_writing_a_length_is_read()
    {
        QFETCH(QString, text);
        QFETCH(bool, inches);
        QFETCH(double, mm);
        const auto got = parse_length(text.toStdString(), inches ? Unit::Inch : Unit::Centimetre);
        QVERIFY(got.has_value());
        QVERIFY2(std::abs(got->in_mm() - mm) < 1e-9, qPrintable(QString::number(got->in_mm(), 'g', 17)));
    }
    void where_nothing_names_a_unit_a_fraction_means_inches()
    {
        QVERIFY(near(guess_length("88 1/2", Unit::Centimetre)->in_mm(), 2247.9, 1e-9));
        QVERIFY(near(guess_length("5/8", Unit::Millimetre)->in_mm(), 15.875, 1e-9));
        QVERIFY(near(guess_length("88 1/2 cm", Unit::Inch)->in_mm(), 885, 1e-9));
        QVERIFY(near(guess_length("88.5", Unit::Centimetre)->in_mm(), 885, 1e-9));
    }
    void nonsense_is_refused_with_its_reason_data()
    {
        QTest::addColumn<QString>("text");
        QTest::addColumn<int>("why");
        const auto row = [](const char* text, Why why) {
            QTest::newRow(text) << QString::fromUtf8(text) << int(why);
        };
        row("", Why::TextEmpty);
        row("   ", Why::TextEmpty);
        row("abc", Why::TextNotALength);
        row("1,000 mm", Why::TextCommaAmbiguous);
        row("12,500", Why::TextCommaAmbiguous);
        row("39 feet", Why::TextUnitUnknown);
        row("84 -", Why::TextSignBehind);
        row("84-", Why::TextSignBehind);
        row("84.5 +", Why::TextSignBehind);
        row("84 cm -", Why::TextSignBehind);
        row("84 \u2212", Why::TextSignBehind);
        row("1,125 m", Why::TextCommaAmbiguous);
        row("5/0", Why::FractionBroken);
        row("9/8", Why::FractionBroken);
        row("1/", Why::FractionBroken);
        row("39 1", Why::TextNotALength);
        row("1.2.3", Why::TextUnitUnknown);
        row("--5", Why::TextNotALength);
        row("nan", Why::TextNotALength);
        row("1e400", Why::TextUnitUnknown);
        row("99999999999999999999999", Why::TextNotALength);
        row("0000000000000000000000000000000000000000000000000000000000000000000001", Why::TextTooLong);
    }
    void nonsense_is_refused_with_its_reason()
    {
        QFETCH(QString, text);
        QFETCH(int, why);
        const auto got = parse_length(text.toStdString(), Unit::Centimetre);
        QVERIFY(!got.has_value());
        QCOMPARE(int(got.error().why), why);
    }
    void lengths_are_written_as_a_tape_shows_them()
    {
        const auto text = [](Length l, Unit u, bool change = false) {
            return QString::fromStdString(length_text(l, u, change));
        };
        QCOMPARE(text(Length::mm(1003.3), Unit::Centimetre), "100.3 cm");
        QCOMPARE(text(Length::mm(1003.3), Unit::Inch), "39½ in");
        QCOMPARE(text(Length::mm(12), Unit::Millimetre, true), "+12 mm");
        QCOMPARE(text(Length::mm(-15.875), Unit::Inch, true), "\u2212⅝ in");
        QCOMPARE(text(Length::mm(0.2), Unit::Centimetre, true), "0.0 cm");
        QCOMPARE(text(Length::mm(-0.2), Unit::Millimetre, true), "0 mm");
    }
    void a_tie_between_two_sixteenths_goes_to_the_even_one()
    {
        QCOMPARE(nearest_fraction(Length::inches(2.5 / 16)).numerator, 1);  // 2/16 = 1/8
        QCOMPARE(nearest_fraction(Length::inches(2.5 / 16)).denominator, 8);
        QCOMPARE(nearest_fraction(Length::inches(3.5 / 16)).numerator, 1);  // 4/16 = 1/4
        QCOMPARE(nearest_fraction(Length::inches(3.5 / 16)).denominator, 4);
        QCOMPARE(nearest_fraction(Length::inches(11.0 / 16)).numerator, 11);
    }
    // What somebody typed by a ruler is shown as it was typed.
    void every_sixteenth_is_shown_as_it_was_typed()
    {
        for (int n = -40 * 16; n <= 40 * 16; ++n) {
            const auto shown = number_text(Length::inches(n / 16.0), Unit::Inch);
            const auto read = parse_length(shown, Unit::Inch);
            QVERIFY2(read && std::abs(read->in_inches() * 16 - n) < 1e-9, shown.c_str());
        }
    }
    void text_to_length_to_text_is_stable()
    {
        std::mt19937 rng{1};
        std::uniform_real_distribution<double> any{-2000, 2000};
        for (int i = 0; i < 5000; ++i) {
            const Length l = Length::mm(any(rng));
            for (const auto unit : {Unit::Centimetre, Unit::Inch, Unit::Millimetre}) {
                const auto once = length_text(l, unit);
                const auto read = parse_length(once, Unit::Millimetre);
                QVERIFY2(read.has_value(), once.c_str());
                QCOMPARE(length_text(*read, unit), once);
                const double grain = unit == Unit::Centimetre ? 0.5 : unit == Unit::Millimetre ? 0.5 : 25.4 / 32;
                QVERIFY(near(read->in_mm(), l.in_mm(), grain + 1e-9));
            }
        }
    }
};
SARTORUM_TEST(TestLengthText)

}  // namespace test_length_text

#include "test_length_text.moc"
