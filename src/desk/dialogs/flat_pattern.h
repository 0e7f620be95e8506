// flat_pattern.h: a pattern drawn from measurements taken flat on the tissue: a skirt, a bodice.
#pragma once
#include <QComboBox>
#include <QDialog>
#include <map>

#include "desk/room.h"
#include "desk/shared/parts.h"

class QGridLayout;

namespace sartorum::desk {

// Name, maker and size, the fields, and a button that draws; what cannot be drawn is said and the field found.
class FlatPatternDialog : public QDialog {
    Q_OBJECT
protected:
    struct Field {
        const char* key;  // as the refusal names it
        QString name;
        QString hint;
        Length start;
    };
    FlatPatternDialog(Look&, Room&, const QString& prefix, QWidget* parent);
    void lay_out(const QString& title, const QString& how, const std::vector<Field>&, int rows,
                 const std::vector<QComboBox*>& choices = {});
    void offer(const std::string& key, bool open) { fields_.at(key)->setEnabled(open); }
    [[nodiscard]] QComboBox* choice(const QString& name, const QStringList& words, const char* key);
    [[nodiscard]] virtual Outcome<Pattern> drawn(const std::string& name, const std::string& maker,
                                                 const std::string& size,
                                                 const std::map<std::string, Length>&) const = 0;

private:
    void take();
    void add(QGridLayout*, const Field&, int n, int rows);
    Look& look_;
    Room& room_;
    QString prefix_;
    QLineEdit* name_ = nullptr;
    QLineEdit* maker_ = nullptr;
    QLineEdit* size_ = nullptr;
    std::map<std::string, LengthField*> fields_;
    QLabel* said_ = nullptr;
};

class SkirtDialog : public FlatPatternDialog {
    Q_OBJECT
public:
    SkirtDialog(Look&, Room&, QWidget* parent = nullptr);

private:
    [[nodiscard]] Outcome<Pattern> drawn(const std::string& name, const std::string& maker,
                                         const std::string& size,
                                         const std::map<std::string, Length>&) const override;
};

class BodiceDialog : public FlatPatternDialog {
    Q_OBJECT
public:
    BodiceDialog(Look&, Room&, QWidget* parent = nullptr);

private:
    [[nodiscard]] Outcome<Pattern> drawn(const std::string& name, const std::string& maker,
                                         const std::string& size,
                                         const std::map<std::string, Length>&) const override;
    void offer_for_seam();
    QComboBox* front_;
    QComboBox* back_;
    QComboBox* seam_;
};

}  // namespace sartorum::desk
