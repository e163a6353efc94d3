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

#include "core/log/run_evening.h"
#include "core/run/bench_step.h"
#include "desktop/bench/announcer.h"
#include "desktop/bench/pot_watch.h"
#include "desktop/bench/run_keeper.h"
#include "desktop/bench/timer_card.h"

namespace uovo::desktop {

class AidsPanel;
class BenchPicture;
class FigurePad;
class LessonPage;
class MishapPanel;
class Teacher;

class BenchPlace : public QWidget {
    Q_OBJECT

public:
    BenchPlace(Session& session, ProbeLink& probe, QWidget* parent = nullptr);
    /// A second view of a day that another bench runs, with the steps of one person: a window for who helps.
    BenchPlace(BenchPlace& other, const QString& whose);
    RunKeeper* keeper() { return &keeper_; }
    Announcer& announcer() { return announcer_; }
    PotWatch* watch() { return watch_; }
    FigurePad* pad() const { return pad_; }
    AidsPanel* aids() const { return aids_; }
    LessonPage* lessons() const { return lessons_; }
    QLabel* title() const { return title_; }
    QLabel* clockLabel() const { return clock_; }
    QLabel* news() const { return news_; }
    QPushButton* doneTarget() const { return done_; }
    QPushButton* troubleTarget() const { return trouble_; }
    /// A window with the steps of one person; the one that is there already comes to the front.
    BenchPlace* openFor(const QString& whose);
    MishapPanel* mishaps() const { return mishaps_; }
    std::vector<TimerCard*> timers() const { return timers_; }
    /// The step that is shown; empty: none.
    const std::string& shown() const { return shown_; }

    /// Opens a lesson.
    void practise(const std::string& lesson);

signals:
    void said(const QString& words, bool wrong);
    /// A day was really made, to its end.
    void ended(const uovo::log::Evening& evening);

protected:
    bool event(QEvent*) override;
    void keyPressEvent(QKeyEvent*) override;
    void showEvent(QShowEvent*) override;

private:
    BenchPlace(Session& session, ProbeLink& probe, RunKeeper* shared, QWidget* parent);
    enum Page { Rest, Working, Over, Lessons };
    enum Middle { Step, Trouble, Figure, Aids };
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
    QWidget* smallTargets();
    void showPeople();
    void showProbe();
    void sound(const std::vector<run::Timer>& timers);
    void weigh();
    void typeDegrees();
    void readAgain();
    /// kg of a piece, or °C of a pot, whichever was asked.
    void keepFigure(double value);
    /// Shows the step, or what asks something in its stead.
    void turnTo(Middle middle);
    /// Something is asked in the step's stead, or a lesson is open: Escape leaves it.
    bool asks() const;
    void back();
    int minuteOfDay() const;

    Session& session_;
    ProbeLink& probe_;
    std::unique_ptr<RunKeeper> own_;
    RunKeeper& keeper_;
    Announcer announcer_;
    run::Alarm alarm_;
    PotWatch* watch_;
    const bool second_;  // shows what another bench runs
    QString whose_;      // of a second one
    QStackedWidget *pages_, *middle_;
    // at rest
    QLabel *restWords_, *restNote_;
    QPushButton *begin_, *goOn_, *rehearse_, *practise_;
    // a step
    QLabel *progress_, *clock_, *when_, *about_, *title_, *news_, *reading_;
    QWidget *figures_, *lines_;
    BenchPicture* picture_;
    MishapPanel* mishaps_;
    FigurePad* pad_;
    AidsPanel* aids_;
    LessonPage* lessons_;
    QPushButton *done_, *later_, *trouble_, *back_;
    QWidget *stepTargets_, *smallTargets_;  // while nothing is asked
    QPushButton *again_, *weigh_, *degrees_, *hear_, *window_;
    std::string asked_, said_;  // the step that is weighed; what was read aloud last
    QComboBox *who_, *speed_;
    QVBoxLayout *timerBox_, *thenBox_;
    std::vector<TimerCard*> timers_;
    std::vector<run::Timer> waiting_;  // what the cards stand for, in their order
    QLabel* quiet_;                    // where nothing is waited for
    QLabel* dark_;                     // where nobody keeps the screen on
    // over
    QLabel *overWords_, *overList_, *taughtHead_, *taught_;
    QPushButton *overPractise_, *overCount_;
    Teacher* teacher_ = nullptr;
    std::string toPractise_;
    std::string shown_;
    bool wantsAwake_ = false;
    std::optional<uint> awake_;  // by which the session keeps the screen on
    bool comes_ = false;
};

}  // namespace uovo::desktop
