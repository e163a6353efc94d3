#include "desktop/bench/bench_place.h"

#include <QApplication>
#include <QDBusConnection>
#include <QDBusMessage>
#include <QDBusReply>
#include <QKeyEvent>
#include <QScrollArea>
#include <QSignalBlocker>
#include <algorithm>
#include <cmath>

#include "core/quantity/spoken.h"
#include "core/quantity/words.h"
#include "core/run/habit.h"
#include "core/run/weighing.h"
#include "desktop/bench/aids_panel.h"
#include "desktop/bench/bench_picture.h"
#include "desktop/bench/figure_pad.h"
#include "desktop/bench/lesson_page.h"
#include "desktop/bench/mishap_panel.h"
#include "desktop/bench/teacher.h"
#include "desktop/kit/widgets.h"
#include "desktop/theme/theme.h"
#include "report/fonts.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

constexpr QSize kLeastPage(1060, 640);
constexpr double kHeard = 10;  // times as fast: up to there a rehearsal is heard
constexpr double kLeastWeight = 0.001, kMostWeight = 20, kLeastDegrees = -20, kMostDegrees = 200;  // kg, °C
constexpr int kSoon = 60;  // s before its time in which a step is as good as due

QString hoursAndMinutes(long minutes) {
    return minutes >= 60 ? BenchPlace::tr("%1 h %2 min").arg(minutes / 60).arg(minutes % 60)
                         : BenchPlace::tr("%1 min").arg(minutes);
}

}  // namespace

BenchPlace::BenchPlace(Session& session, ProbeLink& probe, QWidget* parent)
    : BenchPlace(session, probe, nullptr, parent) {}

BenchPlace::BenchPlace(BenchPlace& other, const QString& whose)
    : BenchPlace(other.session_, other.probe_, &other.keeper_, nullptr) {
    whose_ = whose;
    setWindowTitle(tr("Uovo, for %1").arg(whose));
    setAttribute(Qt::WA_DeleteOnClose);
    connect(&other, &QObject::destroyed, this, &QWidget::close);
}

BenchPlace::BenchPlace(Session& session, ProbeLink& probe, RunKeeper* shared, QWidget* parent)
    : QWidget(parent),
      session_(session),
      probe_(probe),
      own_(shared ? nullptr : std::make_unique<RunKeeper>(session)),
      keeper_(shared ? *shared : *own_),
      watch_(new PotWatch(session, keeper_, probe, this)),
      second_(shared != nullptr),
      pages_(new QStackedWidget) {
    setObjectName(QStringLiteral("bench"));
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    pages_->addWidget(restPage());
    pages_->addWidget(stepPage());
    pages_->addWidget(overPage());
    lessons_ = new LessonPage(session_);
    pages_->addWidget(lessons_);
    connect(lessons_, &LessonPage::closed, this, [this] {
        pages_->setCurrentIndex(Rest);
        refresh();
        if (pages_->currentIndex() == Rest) practise_->setFocus();
    });
    auto* scroll = new QScrollArea;  // in a window that is too small for letters of this size
    scroll->setFrameShape(QFrame::NoFrame);
    scroll->setWidgetResizable(true);
    scroll->setFocusPolicy(Qt::NoFocus);
    pages_->setMinimumSize(kLeastPage);
    scroll->setWidget(pages_);
    all->addWidget(scroll);
    addKeys();
    connect(&keeper_, &RunKeeper::changed, this, &BenchPlace::refresh);
    connect(&keeper_, &RunKeeper::ticked, this, &BenchPlace::tick);
    connect(&keeper_, &RunKeeper::said, this, &BenchPlace::said);
    connect(&session_, &Session::answersChanged, this, [this] {
        if (isVisible()) refresh();
    });
    connect(watch_, &PotWatch::changed, this, &BenchPlace::showProbe);
    connect(watch_, &PotWatch::prompted, this, [this](const QString& words, probe::Prompt::Tone tone) {
        if (!second_ && tone == probe::Prompt::Tone::Harm) announcer_.ring(true, words, minuteOfDay());
        else if (!second_ && tone == probe::Prompt::Tone::Now) announcer_.step(words, minuteOfDay());
    });
}

int BenchPlace::minuteOfDay() const {
    constexpr long kDay = 24 * 60;
    return static_cast<int>(((keeper_.local() % kDay) + kDay) % kDay);
}

void BenchPlace::turnTo(Middle middle) {
    middle_->setCurrentIndex(middle);
    for (auto* targets : {stepTargets_, smallTargets_}) targets->setVisible(middle == Step);
    if (middle == Step) {
        refresh();
        done_->setFocus();
    }
}

BenchPlace* BenchPlace::openFor(const QString& whose) {
    for (auto* w : QApplication::topLevelWidgets())
        if (auto* there = qobject_cast<BenchPlace*>(w); there && there->second_ && there->whose_ == whose) {
            there->raise();
            there->activateWindow();
            return there;
        }
    auto* place = new BenchPlace(*this, whose);
    place->resize(window()->size());
    place->show();
    return place;
}

bool BenchPlace::asks() const {
    return pages_->currentIndex() == Lessons || (pages_->currentIndex() == Working && middle_->currentIndex() != Step);
}

void BenchPlace::back() {
    if (pages_->currentIndex() == Lessons) lessons_->lesson() ? lessons_->open() : emit lessons_->closed();
    else if (middle_->currentIndex() == Trouble) emit mishaps_->closed();
    else turnTo(Step);
}

/// Escape belongs to what is asked here before it is a shortcut of the window.
bool BenchPlace::event(QEvent* e) {
    if (e->type() == QEvent::ShortcutOverride && static_cast<QKeyEvent*>(e)->key() == Qt::Key_Escape && asks()) {
        e->accept();
        return true;
    }
    return QWidget::event(e);
}

void BenchPlace::keyPressEvent(QKeyEvent* e) {
    if (e->key() == Qt::Key_Escape && asks()) back();
    else QWidget::keyPressEvent(e);
}

void BenchPlace::showEvent(QShowEvent* e) {
    QWidget::showEvent(e);
    refresh();
    if (pages_->currentIndex() == Working) done_->setFocus();
    else if (pages_->currentIndex() == Rest) (!goOn_->isHidden() ? goOn_ : begin_)->setFocus();
}

bool BenchPlace::allDone() const {
    const run::Run& run = *keeper_.run();
    return !keeper_.isLaying() && !run.steps().empty() &&
           std::ranges::none_of(run.steps(), [&](const run::Step& s) { return s.who != 0 && run.isOpen(s.id); });
}

void BenchPlace::practise(const std::string& lesson) {
    if (keeper_.runs()) return;  // a day that runs stays in sight
    pages_->setCurrentIndex(Lessons);
    lessons_->open(lesson);
}

void BenchPlace::doneNow() {
    if (!keeper_.runs() || middle_->currentIndex() != Step) return;  // what is asked is answered first
    announcer_.hush();
    if (!shown_.empty()) keeper_.done(shown_);
    if (keeper_.trouble()) {
        mishaps_->offer(*keeper_.trouble());
        return turnTo(Trouble);
    }
    if (keeper_.runs() && allDone()) {
        run::Event end;
        end.kind = run::Kind::Ended;
        end.count = 1;
        if (keeper_.take(end) && !keeper_.isRehearsal() && !second_)
            emit ended(log::eveningOf(*keeper_.run(), session_.plan(), keeper_.logText()));
    }
    done_->setFocus();
}

void BenchPlace::later() {
    if (!keeper_.runs() || shown_.empty() || middle_->currentIndex() != Step) return;
    run::Event e;
    e.kind = run::Kind::NotYet;
    e.step = shown_;
    e.minutes = 1;
    keeper_.take(e);
}

void BenchPlace::takeBack() {
    if (!keeper_.run() || !keeper_.run()->canUndo()) return;
    run::Event e;
    e.kind = run::Kind::Undone;
    keeper_.take(e);
}

void BenchPlace::refresh() {
    if (!second_) keepAwake(keeper_.runs() && !keeper_.isRehearsal());
    if (second_ && !keeper_.run()) {
        close();
        return;
    }
    if (keeper_.runs()) {
        comes_ = comes_ || pages_->currentIndex() != Working;
        pages_->setCurrentIndex(Working);
        showStep();
        showTimers();
        showThen();
        tick();
        if (comes_ && done_->isEnabled()) {
            comes_ = false;
            done_->setFocus();
        }
        return;
    }
    if (pages_->currentIndex() == Lessons) return;
    if (keeper_.isOver()) {
        pages_->setCurrentIndex(Over);
        showOver();
        return;
    }
    pages_->setCurrentIndex(Rest);
    const auto answers = session_.answers();
    const bool day = answers && answers->day && answers->day->problem.empty() && !session_.plan().pieces.empty();
    begin_->setEnabled(day);
    rehearse_->setEnabled(day);
    goOn_->setVisible(keeper_.canGoOn());
    begin_->setText(!goOn_->isHidden() ? tr("Begin it anew") : tr("Begin the day"));
    if (!day) {
        restWords_->setText(tr("No day to work through yet"));
        restNote_->setText(answers && answers->day && !answers->day->problem.empty()
                               ? qstring(answers->day->problem)
                               : tr("Put pieces on the shelf; their day is laid out by itself."));
        return;
    }
    const DayPlan& d = *answers->day;
    restWords_->setText(
        tr("%1 begins at %2").arg(qstring(session_.plan().name), qstring(d.said(d.layout.begins, session_.units()))));
    const int steps = static_cast<int>(
        std::ranges::count_if(d.network.tasks, [](const schedule::Task& t) { return t.step != "burst"; }));
    restNote_->setText(tr("%n steps, ready at %1.", nullptr, steps)
                           .arg(qstring(d.said(static_cast<int>(d.minuteOf(*localMinutes(session_.plan().deadline))),
                                               session_.units()))));
}

int BenchPlace::whose() const { return who_->count() > 1 ? who_->currentIndex() - 1 : -1; }

/// Whose steps can be shown.
void BenchPlace::showPeople() {
    QStringList people;
    if (const auto day = keeper_.day())
        for (const auto& p : day->asked.people) people << qstring(p.name);
    if (people.size() > 1) people.prepend(tr("everybody"));
    QStringList now;
    for (int i = 0; i < who_->count(); ++i) now << who_->itemText(i);
    if (now != people) {
        const QSignalBlocker quiet(who_);
        const QString chosen = whose_.isEmpty() ? who_->currentText() : whose_;
        who_->clear();
        who_->addItems(people);
        who_->setCurrentIndex(std::max(0, static_cast<int>(people.indexOf(chosen))));
    }
    who_->setVisible(people.size() > 1);
    window_->setVisible(!second_ && people.size() > 1 && who_->currentIndex() > 0);
}

void BenchPlace::showStep() {
    const run::Run& run = *keeper_.run();
    const auto answers = session_.answers();
    showPeople();
    speed_->setVisible(keeper_.isRehearsal());
    if (keeper_.isRehearsal()) {
        const QSignalBlocker quiet(speed_);
        speed_->setCurrentIndex(keeper_.speed() >= 240 ? 3 : keeper_.speed() >= 60 ? 2 : keeper_.speed() >= 10 ? 1 : 0);
    }
    const run::Step* step = run.next(whose());
    shown_ = step ? step->id : std::string();
    int done = 0, all = 0;
    for (const auto& s : run.steps()) ++all, done += !run.isOpen(s.id);
    const double late = run.late(keeper_.second());
    const int reserve = keeper_.day() ? keeper_.day()->reserve : 0;
    QStringList words{tr("step %1 of %2").arg(std::min(done + 1, all)).arg(all)};
    const int hand = reserve - static_cast<int>(std::max(0.0, late));
    words << (hand >= 0 ? tr("%n min in hand", nullptr, hand) : tr("%n min late", nullptr, -hand));
    if (keeper_.isRehearsal()) words.prepend(tr("Rehearsal"));
    if (keeper_.isLaying()) words << tr("laying out what is left …");
    progress_->setText(words.join(QStringLiteral(" · ")));
    news_->setText(keeper_.news());
    news_->setVisible(!keeper_.news().isEmpty());
    emptyLayout(figures_->layout());
    emptyLayout(lines_->layout());
    for (auto* b : {later_, trouble_}) b->setEnabled(step != nullptr);
    done_->setEnabled(step || allDone());
    if (!step) done_->setText(tr("End the day"));
    back_->setEnabled(run.canUndo());
    picture_->setVisible(step != nullptr);
    watch_->follow(step);
    for (auto* b : {again_, weigh_, degrees_}) b->setEnabled(step != nullptr);
    if (step) weigh_->setEnabled(!step->piece.empty());
    degrees_->setEnabled(!watch_->pot().empty());
    if (!step || !answers) {
        about_->clear();
        when_->clear();
        title_->setText(tr("Nothing to do here"));
        const bool left =
            std::ranges::any_of(run.steps(), [&](const run::Step& s) { return s.who != 0 && run.isOpen(s.id); });
        auto* line = wrapped(left ? tr("What is left is for somebody else, or waits for it.") : tr("All is done."));
        line->setStyleSheet(QStringLiteral("font-size: 20px;"));
        lines_->layout()->addWidget(line);
        return;
    }
    const auto bench = run::benchStep(run, *step, session_.answeredPlan(), session_.answeredLibrary(), *answers);
    about_->setText(qstring(bench.about));
    about_->setVisible(!bench.about.empty());
    title_->setText(qstring(bench.title));
    const QString spoken = qstring(run::spokenStep(bench));
    title_->setAccessibleDescription(spoken);
    if (said_ != step->id) {
        said_ = step->id;
        if (!second_ && keeper_.speed() <= kHeard) announcer_.step(spoken, minuteOfDay());
    }
    for (const auto& f : bench.figures) {
        auto* cell = new QWidget;
        auto* column = new QVBoxLayout(cell);
        column->setContentsMargins(0, 0, 18, 0);
        column->setSpacing(0);
        auto* figure = new QLabel(qstring(f.figure));
        figure->setObjectName(QStringLiteral("benchFigure"));
        figure->setStyleSheet(QStringLiteral("font-size: 36px; font-weight: 600;"));
        auto* label = new QLabel(qstring(f.label));
        label->setProperty("quiet", true);
        label->setStyleSheet(QStringLiteral("font-size: 17px;"));
        column->addWidget(figure);
        column->addWidget(label);
        figures_->layout()->addWidget(cell);
    }
    static_cast<QHBoxLayout*>(figures_->layout())->addStretch(1);
    const auto line = [&](const std::string& words_, const char* role) {
        auto* l = wrapped(qstring(words_));
        l->setProperty("benchLine", QString::fromLatin1(role));
        lines_->layout()->addWidget(l);
    };
    for (const auto& l : bench.cautions) line(l, "caution");
    for (size_t i = 0; i < bench.look.size() && i < 2; ++i) line(bench.look[i], "look");
    for (size_t i = 0; i < bench.wrong.size() && i < 2 - std::min<size_t>(1, bench.cautions.size()); ++i)
        line(bench.wrong[i], "wrong");
    picture_->show(run, *step);
}

/// What the thermometer and the scale say.
void BenchPlace::showProbe() {
    if (middle_->currentIndex() == Figure) {
        if (asked_.empty()) pad_->setLive(watch_->celsius());
        else pad_->setLive(watch_->scale());
    }
    const auto at = watch_->celsius();
    reading_->setVisible(at.has_value());
    if (!at) return;
    const auto prompt = watch_->prompt();
    const QString degrees = qstring(format(std::round(10 * *at) / 10, Dimension::Temperature, session_.units()));
    reading_->setText(prompt.words.empty() ? degrees : degrees + QStringLiteral(" · ") + qstring(prompt.words));
    const QColor ink = prompt.tone == probe::Prompt::Tone::Harm    ? theme().harm
                       : prompt.tone == probe::Prompt::Tone::Ready ? theme().good
                                                                   : theme().ink;
    reading_->setStyleSheet(QStringLiteral("font-size: 24px; font-weight: 600; color: %1;").arg(ink.name()));
}

void BenchPlace::weigh() {
    const run::Step* step = keeper_.runs() ? keeper_.run()->step(shown_) : nullptr;
    const auto answers = session_.answers();
    const Piece* piece = step ? session_.plan().piece(step->madeOf()) : nullptr;
    if (!piece || !answers || middle_->currentIndex() != Step) return;
    asked_ = step->id;
    const auto planned = run::plannedWeight(*keeper_.run(), *step, session_.answeredPlan(), *answers);
    pad_->open(tr("What does one weigh? %1").arg(qstring(piece->name)),
               planned ? tr("About %1 of chocolate are on each by now; what it hangs on weighs too.")
                             .arg(qstring(format(*planned, Dimension::Mass, session_.units())))
                       : QString(),
               Dimension::Mass, session_.units(), kLeastWeight, kMostWeight);
    pad_->setLive(watch_->scale());
    turnTo(Figure);
}

void BenchPlace::typeDegrees() {
    if (!keeper_.runs() || watch_->pot().empty() || middle_->currentIndex() != Step) return;
    asked_.clear();
    const auto answers = session_.answers();
    const auto at = answers ? run::potNumber(*answers, watch_->pot()) : std::nullopt;
    pad_->open(tr("What does the thermometer read?"), at ? qstring(answers->pots[*at].name) : QString(),
               Dimension::Temperature, session_.units(), kLeastDegrees, kMostDegrees);
    pad_->setLive(watch_->celsius());
    turnTo(Figure);
}

void BenchPlace::keepFigure(double value) {
    turnTo(Step);
    if (!keeper_.runs()) return;
    if (asked_.empty()) return watch_->typed(value);
    const run::Step* step = keeper_.run()->step(asked_);
    if (!step) return;
    run::Event e;
    e.kind = run::Kind::Weighed;
    e.step = step->id;
    e.piece = step->piece;
    e.figure = value;
    const auto answers = session_.answers();
    const auto planned =
        answers ? run::plannedWeight(*keeper_.run(), *step, session_.answeredPlan(), *answers) : std::nullopt;
    if (!keeper_.take(e)) return;
    const QString compared = qstring(run::comparedWeight(value, planned, session_.units()));
    const QString kept =
        tr("%1 are kept with this day.").arg(qstring(format(value, Dimension::Mass, session_.units())));
    emit said(compared.isEmpty() ? kept : kept + QLatin1Char(' ') + compared + QLatin1Char('.'), false);
}

void BenchPlace::readAgain() {
    if (!keeper_.runs() || shown_.empty()) return;
    if (announcer_.loud().voice() == Loud::Known::No) emit said(announcer_.lacking(), false);
    announcer_.loud().look();
    announcer_.readAgain(title_->accessibleDescription());
}

void BenchPlace::showTimers() {
    const run::Run& run = *keeper_.run();
    const auto answers = session_.answers();
    const auto all = waiting_ = run.timers(keeper_.second());
    while (timers_.size() > all.size()) {
        retire(timers_.back());
        timers_.pop_back();
    }
    while (timers_.size() < all.size()) {
        auto* card = new TimerCard;
        const size_t at = timers_.size();
        const auto timer = [this, at]() -> std::optional<run::Timer> {
            if (!keeper_.runs()) return std::nullopt;
            return at < waiting_.size() ? std::optional(waiting_[at]) : std::nullopt;
        };
        connect(card, &TimerCard::yes, this, [this, timer] {
            const auto t = timer();
            if (!t) return;
            done_->setFocus();
            if (!t->step.empty()) return keeper_.done(t->step);
            run::Event e;
            e.kind = run::Kind::Warmed;
            e.pot = t->pot;
            keeper_.take(e);
        });
        connect(card, &TimerCard::notYet, this, [this, timer] {
            const auto t = timer();
            done_->setFocus();
            if (!t || t->step.empty()) return;
            run::Event e;
            e.kind = run::Kind::NotYet;
            e.step = t->step;
            e.minutes = 3;
            keeper_.take(e);
        });
        timerBox_->insertWidget(static_cast<int>(at), card);
        timers_.push_back(card);
    }
    for (size_t i = 0; i < all.size(); ++i) {
        const run::Step* s = run.step(all[i].step);
        timers_[i]->setWords(answers ? qstring(run::timerWords(run, all[i], *answers)) : QString(),
                             s ? TimerCard::Tone::Cold : TimerCard::Tone::Warm, s && s->lane == "look");
    }
    quiet_->setVisible(all.empty());
}

void BenchPlace::showThen() {
    emptyLayout(thenBox_);
    const run::Run& run = *keeper_.run();
    const auto next = run.after(whose(), 2);
    if (next.empty()) return;
    auto* head = new QLabel(tr("Then"));
    head->setProperty("quiet", true);
    head->setStyleSheet(QStringLiteral("font-size: 17px;"));
    thenBox_->addWidget(head);
    for (const auto* s : next) {
        auto* l = wrapped(qstring(s->title));
        l->setStyleSheet(QStringLiteral("font-size: 17px;"));
        thenBox_->addWidget(l);
    }
}

void BenchPlace::showOver() {
    const run::Run& run = *keeper_.run();
    const long ready = run::localAt(run, run.now()), due = localMinutes(run.deadline()).value_or(ready);
    const long late = minutesBetween(due, ready);
    const QString by = hoursAndMinutes(std::abs(late));
    overWords_->setText(late > 0 ? tr("Done, %1 after the time").arg(by) : tr("Done, %1 before the time").arg(by));
    QStringList lines;
    for (const auto& p : run.pieces()) {
        QString l = tr("%1: %2 of %3").arg(qstring(p.count.name)).arg(std::min(p.whole(), p.wanted())).arg(p.wanted());
        if (p.broken > 0) l += tr(", %n broke", nullptr, p.broken);
        if (p.whole() > p.wanted()) l += tr(", %n to spare", nullptr, p.whole() - p.wanted());
        lines << l;
    }
    int left = 0, happened = 0;
    for (const auto& s : run.steps()) left += run.state(s.id).is == run::StepState::Is::LeftOut;
    for (const auto& e : run.events()) happened += e.kind == run::Kind::Happened;
    if (left > 0) lines << tr("%n steps were left out.", nullptr, left);
    if (happened > 0) lines << tr("%n things happened; they are in the log of this day.", nullptr, happened);
    for (const auto& [id, pot] : run.pots())
        if (pot.kilograms > 0.02)
            if (const auto answers = session_.answers())
                for (const auto& p : answers->pots)
                    if (id == p.key.id())
                        lines << tr("About %1 of %2 is left: pour it out to set, it can be melted again.")
                                     .arg(qstring(format(pot.kilograms, Dimension::Mass, session_.units())),
                                          qstring(lowerFirst(p.name)));
    toPractise_.clear();
    if (const auto answers = session_.answers(); keeper_.isRehearsal() && answers)
        for (const auto& h : run::habits(run, *answers)) {
            lines << qstring(run::habitWords(h, session_.units()));
            if (toPractise_.empty()) toPractise_ = h.lesson;
        }
    if (!second_ && !keeper_.isRehearsal())
        lines << tr("It stands in your log now: what came out whole, what was weighed, what went wrong.");
    if (second_ || keeper_.isRehearsal()) teacher_->forget();  // nothing of a rehearsal is measured
    else teacher_->ask(run);
    const QStringList taught =
        teacher_->isBusy() ? QStringList{tr("It is being computed what the weighings teach.")} : teacher_->lines();
    taught_->setText(taught.join(QStringLiteral("\n\n")));
    taughtHead_->setVisible(!taught.isEmpty());
    taught_->setVisible(!taught.isEmpty());
    overCount_->setVisible(teacher_->canCount());
    overPractise_->setVisible(!toPractise_.empty());
    for (const auto& k : lesson::kinds())
        if (k.id == toPractise_) overPractise_->setText(tr("Practise it: %1").arg(qstring(k.title)));
    overList_->setText(lines.join(QLatin1Char('\n')));
}

void BenchPlace::tick() {
    if (!keeper_.runs()) return;
    const run::Run& run = *keeper_.run();
    const double now = keeper_.second();
    const QString clock = qstring(clockInWords(minuteOfDay(), session_.units()));
    if (clock_->text() != clock) clock_->setText(clock);
    if (const run::Step* s = run.step(shown_)) {
        const double due = s->lane == "look" ? run.due(*s) : std::max(run.due(*s), s->at * run::kMinute);
        when_->setText(due - now > kSoon
                           ? tr("in %1").arg(hoursAndMinutes(std::lround(std::ceil((due - now) / run::kMinute))))
                           : QString());
        when_->setVisible(due - now > kSoon);
        done_->setText(due - now > kSoon ? tr("Done already") : s->lane == "look" ? tr("It is") : tr("Done"));
    }
    const auto all = run.timers(now);
    if (all != waiting_) showTimers();  // one fell due before another
    for (size_t i = 0; i < all.size() && i < timers_.size(); ++i) {
        double whole = 600;
        if (const run::Step* s = run.step(all[i].step)) {
            for (const auto& w : s->waits) whole = std::max(60.0, w.min * run::kMinute);
        } else if (const auto it = run.pots().find(all[i].pot); it != run.pots().end()) {
            whole = it->second.usable * run::kMinute;
        }
        timers_[i]->setTime(all[i].due - now, whole, all[i].latest < 0 ? std::nan("") : all[i].latest - now);
    }
    sound(all);
}

/// Rings for what is due, whichever place is looked at; not while a rehearsal's clock flies.
void BenchPlace::sound(const std::vector<run::Timer>& timers) {
    const auto ring = alarm_.pass(timers, keeper_.second());
    const auto answers = session_.answers();
    if (!ring || second_ || keeper_.speed() > kHeard || !answers) return;
    announcer_.ring(ring->late, qstring(spoken(run::timerWords(*keeper_.run(), ring->timer, *answers))), minuteOfDay());
}

/// Asks the session to leave the screen on, and says so where it does not.
void BenchPlace::keepAwake(bool awake) {
    if (awake == wantsAwake_) return;
    wantsAwake_ = awake;
    constexpr int kPatience = 300;  // ms: a session that does not answer holds nobody up
    const auto bus = QDBusConnection::sessionBus();
    auto call = QDBusMessage::createMethodCall(
        QStringLiteral("org.freedesktop.ScreenSaver"), QStringLiteral("/org/freedesktop/ScreenSaver"),
        QStringLiteral("org.freedesktop.ScreenSaver"), awake ? QStringLiteral("Inhibit") : QStringLiteral("UnInhibit"));
    if (awake) {
        call.setArguments({QStringLiteral("Uovo"), tr("A day is being worked through")});
        const QDBusReply<uint> cookie = bus.isConnected() ? bus.call(call, QDBus::Block, kPatience) : QDBusMessage();
        awake_ = cookie.isValid() ? std::optional(cookie.value()) : std::nullopt;
    } else if (awake_) {
        call.setArguments({*awake_});
        bus.call(call, QDBus::NoBlock);
        awake_.reset();
    }
    dark_->setVisible(awake && !awake_);
}

}  // namespace uovo::desktop
