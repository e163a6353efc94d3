// Where one arrives: a wish in words, what of it is understood, shapes that are it, plans of before and plans to look
// at.
#pragma once
#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QVBoxLayout>

#include "core/begin/first_plan.h"
#include "desktop/kit/field.h"
#include "desktop/shape/family_tiles.h"
#include "desktop/shell/session.h"

namespace uovo::desktop {

class FrontDoor : public QWidget {
    Q_OBJECT

public:
    /// Lies over the whole of its window while it is open.
    FrontDoor(Session& session, QWidget* window);
    /// @param lately files that were open before, the latest first
    void open(const QStringList& lately);
    QLineEdit* sentence() const { return sentence_; }
    FamilyTiles* tiles() const { return tiles_; }
    QPushButton* plan() const { return plan_; }
    QLabel* said() const { return said_; }
    /// The wish as it stands in the fields now.
    const Wanted& wish() const { return wish_; }

    /// Whose kitchen and units a new plan has; a default plan where what is open is invented.
    void setLike(std::function<Plan()> like) { like_ = std::move(like); }

signals:
    void planWanted(const uovo::Plan& plan);
    /// An invented one, to look at.
    void inventedWanted(const uovo::Plan& plan);
    void fileWanted(const QString& path);
    void openWanted();

protected:
    void paintEvent(QPaintEvent*) override;
    void keyPressEvent(QKeyEvent*) override;
    bool eventFilter(QObject*, QEvent*) override;
    bool focusNextPrevChild(bool next) override;

private:
    QWidget* fields();
    QWidget* beside();
    void read();
    void show();
    void choose(const form::Hit& hit);
    void lately(const QStringList& files);
    long day() const;

    Session& session_;
    std::function<Plan()> like_ = [this] { return session_.plan(); };
    QLineEdit* sentence_;
    QLabel *said_, *over_;
    WordsField *count_ = nullptr, *day_ = nullptr, *clock_ = nullptr;
    QComboBox* filling_ = nullptr;
    QPushButton* plan_;
    FamilyTiles* tiles_;
    QVBoxLayout* lately_ = nullptr;
    std::vector<std::pair<QString, form::Hit>> ready_;  // wishes to begin with, and what they are
    Wanted wish_, told_;                                // the sentence, with and without what hands changed
    struct {
        std::optional<int> count, clock;
        std::optional<long> day;
        std::optional<std::string> filling;
    } hand_;
};

}  // namespace uovo::desktop
