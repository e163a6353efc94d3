// Practice: five small lessons, each a scene that time changes and a few large targets.
#pragma once
#include <QGridLayout>
#include <QLabel>
#include <QPushButton>
#include <QStackedWidget>
#include <QTimer>
#include <QWidget>
#include <memory>

#include "core/lesson/lesson.h"
#include "desktop/bench/lesson_picture.h"
#include "desktop/shell/session.h"

namespace uovo::desktop {

class LessonPage : public QWidget {
    Q_OBJECT

public:
    explicit LessonPage(Session& session, QWidget* parent = nullptr);
    /// Shows what there is to learn. @param which begins this one at once; empty: none
    void open(const std::string& which = {});
    /// Lets time of the kitchen pass, s.
    void pass(double seconds);
    const lesson::Lesson* lesson() const { return lesson_.get(); }
    QLabel* words() const { return now_; }
    /// Targets of what can be done now.
    std::vector<QPushButton*> acts() const { return acts_; }
    void stop() { clock_.stop(); }

signals:
    void closed();

protected:
    void keyPressEvent(QKeyEvent*) override;
    void hideEvent(QHideEvent*) override;
    void showEvent(QShowEvent*) override;

private:
    QWidget* choices();
    QWidget* scene();
    void begin(const std::string& id);
    void refresh();

    Session& session_;
    std::unique_ptr<lesson::Lesson> lesson_;
    std::string id_, offered_;
    QTimer clock_;
    QStackedWidget* pages_;
    QLabel *title_, *now_, *progress_;
    QLabel *figures_[2], *labels_[2];
    LessonPicture* picture_;
    QGridLayout* grid_;
    std::vector<QPushButton*> acts_, kinds_;
};

}  // namespace uovo::desktop
