#include "desktop/bench/bench_place.h"

#include <QApplication>
#include <QDBusConnection>
#include <QDBusMessage>
#include <QDBusReply>
#include <QScrollArea>
#include <QShortcut>
#include <QSignalBlocker>
#include <algorithm>
#include <cmath>

#include "desktop/bench/bench_picture.h"
#include "desktop/bench/mishap_panel.h"
#include "desktop/kit/widgets.h"
#include "desktop/theme/theme.h"
#include "report/fonts.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

constexpr int kTarget = 84, kSmallTarget = 64, kSide = 330;  // px; 22 mm are 55 px on 24 inches of 1280
constexpr QSize kLeastPage(1060, 640);
constexpr int kSoon = 60;  // s before its time in which a step is as good as due

QLabel* big(const QString& text, int pixels, int weight, const char* name) {
    auto* l = wrapped(text);
    l->setObjectName(QString::fromLatin1(name));
    l->setStyleSheet(QStringLiteral("font-size: %1px; font-weight: %2;").arg(pixels).arg(weight));
    return l;
}

QPushButton* target(const QString& words, const char* name, int high) {
    auto* b = new QPushButton(words);
    b->setObjectName(QString::fromLatin1(name));
    b->setProperty("bench", true);
    b->setMinimumHeight(high);
    return b;
}

QString hoursAndMinutes(long minutes) {
    return minutes >= 60 ? BenchPlace::tr("%1 h %2 min").arg(minutes / 60).arg(minutes % 60)
                         : BenchPlace::tr("%1 min").arg(minutes);
}

}  // namespace

BenchPlace::BenchPlace(Session& session, QWidget* parent)
    : QWidget(parent), session_(session), keeper_(session), pages_(new QStackedWidget) {
    setObjectName(QStringLiteral("bench"));
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    pages_->addWidget(restPage());
    pages_->addWidget(stepPage());
    pages_->addWidget(overPage());
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
}

QWidget* BenchPlace::restPage() {
    auto* page = new QWidget;
    auto* column = new QVBoxLayout(page);
    column->setContentsMargins(60, 50, 60, 40);
    column->setSpacing(18);
    restWords_ = big({}, 40, 700, "benchRest");
    restNote_ = big({}, 20, 400, "benchRestNote");
    column->addWidget(restWords_);
    column->addWidget(restNote_);
    auto* row = new QHBoxLayout;
    row->setSpacing(14);
    begin_ = target(tr("Begin the day"), "benchBegin", kTarget);
    begin_->setProperty("bench", "main");
    goOn_ = target(tr("Go on where it was left"), "benchGoOn", kTarget);
    rehearse_ = target(tr("Rehearse it"), "benchRehearse", kTarget);
    for (auto* b : {goOn_, begin_, rehearse_}) row->addWidget(b);
    column->addLayout(row);
    auto* how = big(
        tr("A rehearsal runs by a quicker clock, with the mishaps that a day like this brings. Nothing of it is kept."),
        17, 400, "benchHow");
    column->addWidget(how);
    column->addStretch(1);
    connect(begin_, &QPushButton::clicked, this, [this] { keeper_.begin(); });
    connect(goOn_, &QPushButton::clicked, this, [this] { keeper_.goOn(); });
    connect(rehearse_, &QPushButton::clicked, this,
            [this] { keeper_.rehearse(60, static_cast<unsigned>(session_.now() & 0xFFFF)); });
    return page;
}

QWidget* BenchPlace::stepPage() {
    auto* page = new QWidget;
    auto* columns = new QHBoxLayout(page);
    columns->setContentsMargins(34, 14, 18, 16);
    columns->setSpacing(22);
    auto* left = new QVBoxLayout;
    left->setSpacing(8);
    auto* head = new QHBoxLayout;
    progress_ = big({}, 17, 400, "benchProgress");
    progress_->setProperty("quiet", true);
    head->addWidget(progress_, 1);
    speed_ = choiceBox(tr("How quickly the rehearsal's clock runs"),
                       {tr("as it is"), tr("10 times"), tr("60 times"), tr("240 times")});
    speed_->setObjectName(QStringLiteral("benchSpeed"));
    connect(speed_, &QComboBox::activated, this, [this](int i) {
        constexpr double kSpeeds[]{1, 10, 60, 240};
        keeper_.setSpeed(kSpeeds[std::clamp(i, 0, 3)]);
    });
    head->addWidget(speed_);
    who_ = choiceBox(tr("Whose steps are shown"), {});
    who_->setObjectName(QStringLiteral("benchWho"));
    connect(who_, &QComboBox::activated, this, &BenchPlace::refresh);
    head->addWidget(who_);
    left->addLayout(head);
    news_ = big({}, 17, 600, "benchNews");
    left->addWidget(news_);

    middle_ = new QStackedWidget;
    auto* step = new QWidget;
    auto* stepColumn = new QVBoxLayout(step);
    stepColumn->setContentsMargins(0, 0, 0, 0);
    stepColumn->setSpacing(8);
    auto* top = new QHBoxLayout;
    top->setSpacing(18);
    auto* words = new QVBoxLayout;
    words->setSpacing(4);
    when_ = big({}, 20, 600, "benchWhen");
    about_ = big({}, 20, 400, "benchAbout");
    title_ = big({}, 42, 700, "benchTitle");
    words->addWidget(when_);
    words->addWidget(about_);
    words->addWidget(title_);
    figures_ = new QWidget;
    figures_->setLayout(new QHBoxLayout);
    figures_->layout()->setContentsMargins(0, 6, 0, 0);
    words->addWidget(figures_);
    words->addStretch(1);
    top->addLayout(words, 3);
    picture_ = new BenchPicture(session_);
    top->addWidget(picture_, 2);
    stepColumn->addLayout(top, 1);
    lines_ = new QWidget;
    lines_->setLayout(new QVBoxLayout);
    lines_->layout()->setContentsMargins(0, 0, 0, 0);
    stepColumn->addWidget(lines_);
    middle_->addWidget(step);
    mishaps_ = new MishapPanel(session_, keeper_);
    connect(mishaps_, &MishapPanel::closed, this, [this] {
        keeper_.answered();
        middle_->setCurrentIndex(0);
        refresh();
        done_->setFocus();
    });
    middle_->addWidget(mishaps_);
    left->addWidget(middle_, 1);

    auto* targets = new QHBoxLayout;
    targets->setSpacing(12);
    done_ = target(tr("Done"), "benchDone", kTarget);
    done_->setProperty("bench", "main");
    done_->setToolTip(tr("Space, Return, or a foot switch that types one of them"));
    later_ = target(tr("One more minute"), "benchLater", kTarget);
    later_->setToolTip(tr("M"));
    trouble_ = target(tr("Something happened"), "benchTrouble", kTarget);
    trouble_->setToolTip(tr("H"));
    back_ = target(tr("Take back"), "benchBack", kTarget);
    back_->setToolTip(tr("Backspace"));
    targets->addWidget(done_, 4);
    targets->addWidget(later_, 3);
    targets->addWidget(trouble_, 3);
    targets->addWidget(back_, 2);
    left->addLayout(targets);
    columns->addLayout(left, 1);

    auto* side = new QWidget;
    side->setFixedWidth(kSide);
    auto* right = new QVBoxLayout(side);
    right->setContentsMargins(0, 0, 0, 0);
    right->setSpacing(10);
    clock_ = new QLabel;
    clock_->setObjectName(QStringLiteral("benchClock"));
    clock_->setStyleSheet(QStringLiteral("font-size: 44px; font-weight: 700;"));
    clock_->setAlignment(Qt::AlignRight);
    right->addWidget(clock_);
    quiet_ = big(tr("Nothing is waiting."), 17, 400, "benchQuiet");
    quiet_->setProperty("quiet", true);
    right->addWidget(quiet_);
    dark_ = big(tr("Nothing here keeps the screen awake for Uovo: see to it that it does not go dark."), 15, 400,
                "benchDark");
    dark_->setProperty("quiet", true);
    dark_->hide();
    right->addWidget(dark_);
    auto* scroll = scrolledDown();
    scroll->setFrameShape(QFrame::NoFrame);
    auto* inside = new QWidget;
    timerBox_ = new QVBoxLayout(inside);
    timerBox_->setContentsMargins(0, 0, 8, 0);
    timerBox_->setSpacing(8);
    timerBox_->addStretch(1);
    scroll->setWidget(inside);
    right->addWidget(scroll, 1);
    thenBox_ = new QVBoxLayout;
    thenBox_->setSpacing(2);
    right->addLayout(thenBox_);
    columns->addWidget(side);
    connect(done_, &QPushButton::clicked, this, &BenchPlace::doneNow);
    connect(later_, &QPushButton::clicked, this, &BenchPlace::later);
    connect(back_, &QPushButton::clicked, this, &BenchPlace::takeBack);
    connect(trouble_, &QPushButton::clicked, this, [this] {
        if (!keeper_.runs()) return;
        mishaps_->open(keeper_.run()->step(shown_));
        middle_->setCurrentIndex(1);
    });
    return page;
}

QWidget* BenchPlace::overPage() {
    auto* page = new QWidget;
    auto* column = new QVBoxLayout(page);
    column->setContentsMargins(60, 50, 60, 40);
    column->setSpacing(16);
    overWords_ = big({}, 40, 700, "benchOver");
    overList_ = big({}, 21, 400, "benchOverList");
    overList_->setTextFormat(Qt::PlainText);
    column->addWidget(overWords_);
    column->addWidget(overList_);
    column->addStretch(1);
    auto* row = new QHBoxLayout;
    auto* back = target(tr("Take back the end"), "benchOverBack", kSmallTarget);
    auto* close = target(tr("Put it away"), "benchClose", kSmallTarget);
    connect(back, &QPushButton::clicked, this, &BenchPlace::takeBack);
    connect(close, &QPushButton::clicked, this, [this] { keeper_.close(); });
    row->addWidget(close);
    row->addWidget(back);
    row->addStretch(1);
    column->addLayout(row);
    return page;
}

void BenchPlace::addKeys() {
    const auto key = [&](const QKeySequence& keys, auto does) {
        auto* s = new QShortcut(keys, this);
        s->setContext(Qt::WidgetWithChildrenShortcut);
        connect(s, &QShortcut::activated, this, does);
    };
    const auto onStep = [this] { return pages_->currentIndex() == 1 && middle_->currentIndex() == 0; };
    for (const auto k : {Qt::Key_Return, Qt::Key_Enter})
        key(k, [this, onStep] {
            auto* pressed = qobject_cast<QPushButton*>(focusWidget());
            if (onStep() && (!pressed || pressed == done_)) doneNow();
            else if (pressed) pressed->click();
        });
    key(Qt::Key_M, [this, onStep] {
        if (onStep()) later();
    });
    key(Qt::Key_H, [this, onStep] {
        if (onStep()) trouble_->click();
    });
    key(Qt::Key_Backspace, [this] {
        if (pages_->currentIndex() == 1 && middle_->currentIndex() == 1) emit mishaps_->closed();
        else takeBack();
    });
    key(Qt::Key_Escape, [this] {
        if (pages_->currentIndex() == 1 && middle_->currentIndex() == 1) emit mishaps_->closed();
    });
}

void BenchPlace::showEvent(QShowEvent* e) {
    QWidget::showEvent(e);
    refresh();
    if (pages_->currentIndex() == 1) done_->setFocus();
    else if (pages_->currentIndex() == 0) (!goOn_->isHidden() ? goOn_ : begin_)->setFocus();
}

bool BenchPlace::allDone() const {
    const run::Run& run = *keeper_.run();
    return !keeper_.isLaying() && !run.steps().empty() &&
           std::ranges::none_of(run.steps(), [&](const run::Step& s) { return s.who != 0 && run.isOpen(s.id); });
}

void BenchPlace::doneNow() {
    if (!keeper_.runs() || middle_->currentIndex() == 1) return;  // what happened is answered first
    if (!shown_.empty()) keeper_.done(shown_);
    if (keeper_.trouble()) {
        mishaps_->offer(*keeper_.trouble());
        middle_->setCurrentIndex(1);
        return;
    }
    if (keeper_.runs() && allDone()) {
        run::Event end;
        end.kind = run::Kind::Ended;
        end.count = 1;
        keeper_.take(end);
    }
    done_->setFocus();
}

void BenchPlace::later() {
    if (!keeper_.runs() || shown_.empty() || middle_->currentIndex() == 1) return;
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
    keepAwake(keeper_.runs() && !keeper_.isRehearsal());
    if (keeper_.runs()) {
        comes_ = comes_ || pages_->currentIndex() != 1;
        pages_->setCurrentIndex(1);
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
    if (keeper_.isOver()) {
        pages_->setCurrentIndex(2);
        showOver();
        return;
    }
    pages_->setCurrentIndex(0);
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

void BenchPlace::showStep() {
    const run::Run& run = *keeper_.run();
    const auto answers = session_.answers();
    // whose
    QStringList people;
    if (const auto day = keeper_.day())
        for (const auto& p : day->asked.people) people << qstring(p.name);
    if (people.size() > 1) people.prepend(tr("everybody"));
    QStringList now;
    for (int i = 0; i < who_->count(); ++i) now << who_->itemText(i);
    if (now != people) {
        const QSignalBlocker quiet(who_);
        who_->clear();
        who_->addItems(people);
    }
    who_->setVisible(people.size() > 1);
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
    const auto bench = run::benchStep(run, *step, session_.plan(), session_.library(), *answers);
    about_->setText(qstring(bench.about));
    about_->setVisible(!bench.about.empty());
    title_->setText(qstring(bench.title));
    title_->setAccessibleDescription(qstring(run::spokenStep(bench)));
    for (const auto& f : bench.figures) {
        auto* cell = new QWidget;
        auto* column = new QVBoxLayout(cell);
        column->setContentsMargins(0, 0, 28, 0);
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

void BenchPlace::showTimers() {
    const run::Run& run = *keeper_.run();
    const auto answers = session_.answers();
    const auto all = run.timers();
    while (timers_.size() > all.size()) {
        retire(timers_.back());
        timers_.pop_back();
    }
    while (timers_.size() < all.size()) {
        auto* card = new TimerCard;
        const size_t at = timers_.size();
        const auto timer = [this, at]() -> std::optional<run::Timer> {
            if (!keeper_.runs()) return std::nullopt;
            const auto now = keeper_.run()->timers();
            return at < now.size() ? std::optional(now[at]) : std::nullopt;
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
                                          qstring(p.name));
    overList_->setText(lines.join(QLatin1Char('\n')));
}

void BenchPlace::tick() {
    if (!keeper_.runs()) return;
    const run::Run& run = *keeper_.run();
    const double now = keeper_.second();
    const long local = keeper_.local();
    const QString clock = qstring(clockInWords(static_cast<int>(((local % 1440) + 1440) % 1440), session_.units()));
    if (clock_->text() != clock) clock_->setText(clock);
    if (const run::Step* s = run.step(shown_)) {
        const double due = s->lane == "look" ? run.due(*s) : std::max(run.due(*s), s->at * run::kMinute);
        when_->setText(due - now > kSoon
                           ? tr("in %1").arg(hoursAndMinutes(std::lround(std::ceil((due - now) / run::kMinute))))
                           : QString());
        when_->setVisible(due - now > kSoon);
        done_->setText(due - now > kSoon ? tr("Done already") : s->lane == "look" ? tr("It is") : tr("Done"));
    }
    const auto all = run.timers();
    bool due = false;
    for (size_t i = 0; i < all.size() && i < timers_.size(); ++i) {
        double whole = 600;
        if (const run::Step* s = run.step(all[i].step)) {
            for (const auto& w : s->waits) whole = std::max(60.0, w.min * run::kMinute);
        } else if (const auto it = run.pots().find(all[i].pot); it != run.pots().end()) {
            whole = it->second.usable * run::kMinute;
        }
        timers_[i]->setTime(all[i].due - now, whole, all[i].latest < 0 ? std::nan("") : all[i].latest - now);
        due = due || all[i].due <= now;
    }
    if (due && !alarmed_ && isVisible()) QApplication::beep();
    alarmed_ = due;
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
