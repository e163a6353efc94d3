#include "desktop/day/day_place.h"

#include <QHBoxLayout>
#include <QPushButton>
#include <QScrollBar>
#include <QVBoxLayout>
#include <algorithm>

#include "core/words/words.h"
#include "desktop/day/states_strip.h"
#include "desktop/kit/flow_layout.h"
#include "desktop/kit/widgets.h"
#include "desktop/theme/theme.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

constexpr int kListWide = 300, kWithList = 860, kLookAfter = 700,  // px; ms of rest before ways out are looked for
    kClock = 20'000;                                               // ms between looks at the clock

}  // namespace

DayPlace::DayPlace(Session& session, QWidget* parent)
    : QWidget(parent),
      session_(session),
      looker_(session.plainLibrary(), session.answerer()),
      headline_(new QLabel),
      sentence_(wrapped({}, "quiet")),
      notice_(wrapped({}, "quiet")),
      moment_(new QLabel),
      behindWords_(wrapped({}, "quiet")),
      behind_(new QWidget),
      board_(new Board(session)),
      scroll_(new QScrollArea),
      ways_(new QWidget),
      states_(new StatesStrip(session)),
      steps_(new StepList(session)),
      wishes_(new WishBar(session)),
      along_(new TakeAlong(session)) {
    layOut();
    wait_.setSingleShot(true);
    wait_.setInterval(kLookAfter);
    connect(&wait_, &QTimer::timeout, this, &DayPlace::look);
    minute_.setInterval(kClock);
    connect(&minute_, &QTimer::timeout, this, &DayPlace::refresh);
    connect(&looker_, &Looker::waysFound, this, &DayPlace::showWays);
    connect(&looker_, &Looker::betterFound, this,
            [this](const std::shared_ptr<const schedule::Found>& found) { offer(*found); });
    connect(&looker_, &Looker::progressed, this, [this](double share) {
        if (better_->isEnabled()) return;
        if (share < 1) better_->setText(tr("Looking longer, %1 %").arg(static_cast<int>(100 * share)));
        else if (found_) better_->setEnabled(true);
        else better_->setText(tr("This is as good as it gets"));
    });
    connect(board_, &Board::minuteChanged, this, &DayPlace::showMinute);
    connect(board_, &Board::stepMoved, this, &DayPlace::move);
    connect(board_, &Board::freeWished, this, &DayPlace::keepFree);
    connect(board_, &Board::freeDropped, this, [this](int index) {
        session_.document().edit(tr("Give hours back"), [&](Plan& p) {
            if (index < static_cast<int>(p.day.free.size())) p.day.free.erase(p.day.free.begin() + index);
        });
    });
    connect(steps_, &StepList::minuteWanted, board_, &Board::setMinute);
    connect(along_, &TakeAlong::said, this, &DayPlace::said);
    connect(steps_, &StepList::refused, this, [this](const QString& why) { emit said(why, true); });
    connect(wishes_, &WishBar::compareWanted, this, &DayPlace::compareWanted);
    connect(&session_, &Session::answersChanged, this, &DayPlace::refresh);
    connect(&session_, &Session::planChanged, this, &DayPlace::startAnew);
    startAnew();
}

void DayPlace::startAnew() {
    setEnabled(!session_.plan().pieces.empty());
    wait_.stop();
    looker_.stop();
    looked_ = nullptr;
    letBe();
    wishes_->refresh();
}

void DayPlace::layOut() {
    auto* columns = new QHBoxLayout(this);
    columns->setContentsMargins(26, 14, 14, 10);
    columns->setSpacing(18);
    auto* left = new QVBoxLayout;
    left->setSpacing(6);
    headline_->setObjectName(QStringLiteral("dayHeadline"));
    headline_->setWordWrap(true);
    headline_->setStyleSheet(QStringLiteral("font-size: 25px; font-weight: 700;"));
    for (auto* line : {sentence_, notice_}) line->setMaximumWidth(QWIDGETSIZE_MAX);
    sentence_->setObjectName(QStringLiteral("daySentence"));
    notice_->setObjectName(QStringLiteral("dayNotice"));
    auto* words = new QVBoxLayout;
    words->setSpacing(2);
    auto* head = new QHBoxLayout;
    head->addWidget(headline_, 1);
    words->addLayout(head);
    words->addWidget(sentence_);
    words->addWidget(notice_);
    behind_->setObjectName(QStringLiteral("dayBehind"));
    auto* behind = new QHBoxLayout(behind_);
    behind->setContentsMargins(0, 0, 0, 0);
    behindWords_->setMaximumWidth(QWIDGETSIZE_MAX);
    behind->addWidget(behindWords_, 1);
    auto* bench = toolButton(tr("Go on at the bench"), tr("What is ticked counts as done at its planned time"));
    bench->setObjectName(QStringLiteral("dayAtBench"));
    connect(bench, &QPushButton::clicked, this, &DayPlace::benchWanted);
    behind->addWidget(bench);
    behind_->hide();
    words->addWidget(behind_);
    ways_->setObjectName(QStringLiteral("dayWays"));
    ways_->setLayout(new FlowLayout(6, 4));
    words->addWidget(ways_);
    auto* working = new QPushButton(tr("Show the working"));
    working->setProperty("flat", true);
    connect(working, &QPushButton::clicked, this, [this] {
        if (const auto a = session_.answers(); a && a->day)
            emit workingWanted(dayAnswer(session_.answeredPlan(), *a->day, session_.now()));
    });
    better_ = new QPushButton;
    better_->setObjectName(QStringLiteral("lookLonger"));
    better_->setProperty("flat", true);
    better_->setToolTip(tr("Lays the day out some fifty thousand times more; nothing moves until you take it."));
    connect(better_, &QPushButton::clicked, this, [this] {
        if (found_) session_.takeDay(*std::exchange(found_, nullptr));
        else lookLonger();
    });
    letBe();
    head->addWidget(better_);
    head->addWidget(working);
    left->addLayout(words);
    scroll_->setWidgetResizable(true);
    scroll_->setFocusPolicy(Qt::NoFocus);
    scroll_->setWidget(board_);
    connect(scroll_->horizontalScrollBar(), &QScrollBar::valueChanged, board_, qOverload<>(&QWidget::update));
    left->addWidget(scroll_, 0);
    moment_->setStyleSheet(QStringLiteral("font-size: 19px; font-weight: 600;"));
    left->addWidget(moment_);
    auto* strip = scrolledDown();
    strip->setWidget(states_);
    left->addWidget(strip, 1);
    columns->addLayout(left, 1);
    right_ = new QWidget;
    right_->setFixedWidth(kListWide);
    auto* side = new QVBoxLayout(right_);
    side->setContentsMargins(0, 0, 0, 0);
    side->addWidget(steps_, 1);
    side->addWidget(wishes_);
    side->addWidget(along_);
    columns->addWidget(right_);
}

void DayPlace::showEvent(QShowEvent* e) {
    QWidget::showEvent(e);
    if (!isAncestorOf(focusWidget())) board_->setFocus();
    minute_.start();
    refresh();
}

void DayPlace::hideEvent(QHideEvent* e) {
    QWidget::hideEvent(e);
    wait_.stop();
    minute_.stop();
}

void DayPlace::refresh() {
    if (!isVisible()) return;  // done again when it is shown
    const auto a = session_.answers();
    const bool day = a && a->day;
    if (!day) {
        headline_->setText(session_.plan().pieces.empty() ? tr("Nothing on the shelf yet")
                           : a && !a->problems.empty()    ? tr("No day yet")
                                                          : tr("Laying out the day …"));
        sentence_->setText(a && !a->problems.empty() ? qstring(a->problems.front().sentence) : QString());
        notice_->hide();
        behind_->hide();
        if (!a || a->problems.empty()) return;  // the old day stays until the new one is there
    }
    const auto due = localMinutes(session_.plan().deadline);  // none where it is no time: the last good day stays
    board_->setDay(day ? a->day : nullptr, due.value_or(day ? a->day->end : 0), session_.now());
    fitBoard();
    steps_->setDay(day ? a->day : nullptr);
    if (!day) {
        states_->setStates({}, nullptr);
        moment_->clear();
        return;
    }
    tell(*a->day, due);
    along_->refresh();
    showMinute();
    if (session_.isComplete() && a->day->problem.empty() && looked_ != a->day) wait_.start();
}

void DayPlace::tell(const DayPlan& day, std::optional<long> due) {
    const auto a = session_.answers();
    const Answer answer = dayAnswer(session_.answeredPlan(), day, session_.now());
    const bool bad = answer.tone == Tone::Impossible;
    const QString start = qstring(answer.headline);
    headline_->setText(!day.problem.empty() ? tr("No day fits")
                       : due                ? tr("Begin by %1, ready at %2")
                                   .arg(start, qstring(clockInWords(static_cast<int>(*due % 1440), session_.units())))
                             : tr("Begin by %1").arg(start));
    const QString style =
        QStringLiteral("font-size: 25px; font-weight: 700; color: %1;").arg((bad ? theme().harm : theme().ink).name());
    if (style != headline_->styleSheet()) headline_->setStyleSheet(style);
    QString said = qstring(answer.sentence);
    if (!bad && a->chance && session_.isComplete() && day.problem.empty())
        said = (qstring(chanceWords(session_.answeredPlan(), day, *a->chance)) + QLatin1Char(' ') + said).trimmed();
    sentence_->setText(said);
    const auto before = session_.dayBefore();
    const QString moved =
        before && session_.isComplete() ? qstring(movedWords(*before, day, session_.units())) : QString();
    notice_->setText(moved);
    notice_->setVisible(!moved.isEmpty());
    const QString overdue = qstring(behindWords(session_.plan(), day, session_.now()));
    behindWords_->setText(overdue);
    behind_->setVisible(!overdue.isEmpty());
}

void DayPlace::look() {
    const auto a = session_.answers();
    if (!isVisible() || !session_.isComplete() || !a || !a->day || !a->day->problem.empty() || looked_ == a->day)
        return;
    if (looker_.busy()) return wait_.start();  // days are being compared
    showWays({});
    looked_ = a->day;
    looker_.lookForWays(session_.plan(), a);
}

void DayPlace::lookLonger() {
    const auto a = session_.answers();
    if (!session_.isComplete() || !a || !a->day || !a->day->problem.empty()) return;
    better_->setEnabled(false);
    better_->setText(tr("Looking longer …"));
    looker_.lookForBetter(a->day);
}

void DayPlace::offer(const schedule::Found& found) {
    const auto a = session_.answers();
    if (!a || !a->day) return;
    found_ = std::make_shared<const schedule::Found>(found);
    better_->setText(
        tr("A better one begins at %1: take it").arg(qstring(a->day->said(found.layout.begins, session_.units()))));
}

/// Nothing is looked for or offered any more.
void DayPlace::letBe() {
    found_ = nullptr;
    better_->setEnabled(true);
    better_->setText(tr("Look for a better one"));
}

void DayPlace::showWays(const std::vector<DayWay>& ways) {
    emptyLayout(ways_->layout());
    ways_->setVisible(!ways.empty());
    const auto a = session_.answers();
    constexpr size_t kShown = 4;
    if (!ways.empty()) ways_->layout()->addWidget(lineWord(tr("What holds you up: begin later")));
    for (size_t i = 0; a && a->day && i < std::min(kShown, ways.size()); ++i) {
        const DayWay& way = ways[i];
        const QString what =
            way.without ? tr("without %1").arg(qstring(way.words)) : tr("with %1").arg(qstring(way.words));
        const QString then = qstring(a->day->said(a->day->layout.begins + way.gain, session_.units()));
        auto* b = toolButton(tr("%1: %2").arg(what, then), tr("Plan it %1; begin at %2").arg(what, then));
        b->setObjectName(QStringLiteral("dayWay/") + qstring(way.id));
        connect(b, &QPushButton::clicked, this, [this, way, what] {
            session_.document().edit(tr("Plan it %1").arg(what), [&](Plan& p) { way.change(p); });
        });
        ways_->layout()->addWidget(b);
    }
    fitBoard();
}

void DayPlace::move(int task, int minute) {
    const auto a = session_.answers();
    if (!a || !a->day || session_.isStale()) return;
    if (const QString why = pinStep(session_, *a->day, task, minute); !why.isEmpty()) emit said(why, true);
}

void DayPlace::keepFree(int from, int to) {
    const auto a = session_.answers();
    if (!a || !a->day) return;
    const DayWish::Free free{fromMidnight(session_.answeredPlan(), *a->day, from),
                             fromMidnight(session_.answeredPlan(), *a->day, to)};
    session_.document().edit(tr("Keep hours free"), [&](Plan& p) { p.day.free.push_back(free); });
}

void DayPlace::fitBoard() {
    board_->setOpening(scroll_->viewport()->width());
    const int bar = board_->zoom() > 1 ? scroll_->horizontalScrollBar()->sizeHint().height() : 0;
    scroll_->setFixedHeight(std::min(board_->sizeHint().height() + 4 + bar, std::max(220, height() * 2 / 3)));
}

void DayPlace::resizeEvent(QResizeEvent* e) {
    QWidget::resizeEvent(e);
    right_->setVisible(width() >= kWithList);
    fitBoard();
}

void DayPlace::showMinute() {
    const auto a = session_.answers();
    if (!a || !a->day || !a->day->problem.empty()) return;
    const int minute = board_->minute();
    moment_->setText(tr("%1, what stands where").arg(qstring(a->day->said(minute, session_.units()))));
    states_->setStates(statesAt(session_.answeredPlan(), *a->day, minute), a->day);
    steps_->showMinute(minute);
}

}  // namespace uovo::desktop
