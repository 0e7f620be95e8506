// Edits a notebook through the real window without end, and says each change once the foot shows it as kept.
// Started and killed by test_kill.
#include <cstdio>

#include "desk_fixture.h"

using namespace sartorum;
using namespace sartorum::test;

int main(int argc, char** argv)
{
    QApplication app{argc, argv};
    if (argc != 2) return 2;
    Desk d{QString::fromLocal8Bit(argv[1]), false};
    if (!d.room->table().wearer) d.room->add_wearer("Ottilie");
    const auto readings = d.room->body().readings;
    const auto had = readings.find(Measure::Waist);
    int n = had == readings.end() ? 0 : static_cast<int>(had->second[0].in_mm() * 1000 + 0.5) - 800000;
    for (;;) {
        ++n;
        auto* field = d.find<QLineEdit>("reading1");
        field->setFocus();
        field->setText(QString::number(800 + n / 1000.0, 'f', 3) + " mm");
        QTest::keyClick(field, Qt::Key_End);
        emit field->textEdited(field->text());
        QTest::keyClick(field, Qt::Key_Return);
        d.window->go_to(Station::Tape);
        if (d.find("foot")->accessibleName().startsWith("Kept")) {
            std::printf("%d\n", n);
            std::fflush(stdout);
        }
    }
}
