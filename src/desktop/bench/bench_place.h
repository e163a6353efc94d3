// Bench: the day while it is made. One step in large letters, what time is at work on beside it, what to do when
// something happens.
#pragma once
#include <QComboBox>
#include <QLabel>
#include <QPushButton>
#include <QStackedWidget>
#include <QVBoxLayout>
#include <QWidget>
#include <optional>

#include "core/run/bench_step.h"
#include "desktop/bench/run_keeper.h"
#include "desktop/bench/timer_card.h"

namespace uovo::desktop {

class BenchPicture;
class MishapPanel;

class BenchPlace : public QWidget {
    Q_OBJECT

public:
    explicit BenchPlace(Session& session, QWidget* parent = nullptr);
    RunKeeper* keeper() { return &keeper_; }
    QLabel* title() const { return title_; }
    QLabel* clockLabel() const { return clock_; }
    QLabel* news() const { return news_; }
    QPushButton* doneTarget() const { return done_; }
    QPushButton* troubleTarget() const { return trouble_; }
    MishapPanel* mishaps() const { return mishaps_; }
    std::vector<TimerCard*> timers() const { return timers_; }
    /// The step that is shown; empty: none.
    const std::string& shown() const { return shown_; }

signals:
    void said(const QString& words, bool wrong);

protected:
    void showEvent(QShowEvent*) override;

private:
    QWidget* restPage();
    QWidget* stepPage();
    QWidget* overPage();
    void addKeys();
    void refresh();
    void showStep();
    void showTimers();
    void showThen();
    void showOver();
    void tick();
    /// Number of the person whose steps are shown; below 0: everybody's.
    int whose() const;
    bool allDone() const;
    void doneNow();
    void later();
    void takeBack();
    void keepAwake(bool awake);

    Session& session_;
    RunKeeper keeper_;
    QStackedWidget *pages_, *middle_;
    // at rest
    QLabel *restWords_, *restNote_;
    QPushButton *begin_, *goOn_, *rehearse_;
    // a step
    QLabel *progress_, *clock_, *when_, *about_, *title_, *news_;
    QWidget *figures_, *lines_;
    BenchPicture* picture_;
    MishapPanel* mishaps_;
    QPushButton *done_, *later_, *trouble_, *back_;
    QComboBox *who_, *speed_;
    QVBoxLayout *timerBox_, *thenBox_;
    std::vector<TimerCard*> timers_;
    QLabel* quiet_;  // where nothing is waited for
    QLabel* dark_;   // where nobody keeps the screen on
    // over
    QLabel *overWords_, *overList_;
    std::string shown_;
    bool wantsAwake_ = false;
    std::optional<uint> awake_;  // by which the session keeps the screen on
    bool alarmed_ = false, comes_ = false;
};

}  // namespace uovo::desktop
