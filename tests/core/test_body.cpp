#include <QTest>

#include "core/body/body_set.h"

using namespace sartorum;

class TestBody : public QObject {
    Q_OBJECT
private slots:
    void two_readings_that_agree_give_their_mean()
    {
        const auto t = *take(Measure::Waist, {Length::mm(842), Length::mm(850)});
        QCOMPARE(t.state, ReadingState::Agree);
        QCOMPARE(t.value.in_mm(), 846.0);
        QVERIFY(std::abs(t.spread.in_mm() - 2 * 4 / std::sqrt(2.0)) < 1e-12);
    }
    void a_girth_apart_by_more_than_a_centimetre_asks_for_a_third()  // common practice
    {
        QCOMPARE(take(Measure::Hip, {Length::mm(1000), Length::mm(1010)})->state, ReadingState::Agree);
        QCOMPARE(take(Measure::Hip, {Length::mm(1000), Length::mm(1011)})->state, ReadingState::ThirdAsked);
        QCOMPARE(take(Measure::WaistToHip, {Length::mm(200), Length::mm(205.5)})->state, ReadingState::ThirdAsked);
    }
    void of_three_readings_the_middle_one_counts()
    {
        const auto t = *take(Measure::Hip, {Length::mm(1000), Length::mm(1060), Length::mm(1006)});
        QCOMPARE(t.value.in_mm(), 1006.0);
        QCOMPARE(t.state, ReadingState::MiddleTaken);
        // Variance of the median of three standard normal values: 0.4487 (tables of order statistics, from
        // memory).
        QVERIFY(std::abs(std::pow(t.spread.in_mm() / 8.0, 2) - 0.4487) < 1e-4);
    }
    void one_reading_of_a_girth_wants_another_but_a_wish_does_not()
    {
        QCOMPARE(take(Measure::Waist, {Length::mm(800)})->state, ReadingState::OneMore);
        QCOMPARE(take(Measure::SkirtLength, {Length::mm(600)})->state, ReadingState::Agree);
        QVERIFY(!take(Measure::Waist, {}).has_value());
    }
    void readings_no_body_has_are_refused_with_the_range()
    {
        QCOMPARE(check_reading(Measure::Waist, Length::mm(-5)).error().why, Why::NotPositive);
        const auto r = check_reading(Measure::Waist, Length::mm(99.6));
        QCOMPARE(r.error().why, Why::OutOfRange);
        QCOMPARE(r.error().low.in_mm(), 300.0);
        QVERIFY(check_reading(Measure::Waist, Length::mm(996)).has_value());
    }
};
QTEST_APPLESS_MAIN(TestBody)
#include "test_body.moc"
