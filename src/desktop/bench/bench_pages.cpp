// What the bench is put together from: its pages and keys.
#include <QScrollArea>
#include <QShortcut>
#include <algorithm>

#include "desktop/bench/aids_panel.h"
#include "desktop/bench/bench_picture.h"
#include "desktop/bench/bench_place.h"
#include "desktop/bench/figure_pad.h"
#include "desktop/bench/large.h"
#include "desktop/bench/lesson_page.h"
#include "desktop/bench/mishap_panel.h"
#include "desktop/bench/teacher.h"
#include "desktop/kit/widgets.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

constexpr int kTarget = 84, kSmallTarget = 64, kSide = 330;  // px; 22 mm are 55 px on 24 inches of 1280
constexpr int kLeastTarget = 56;

}  // namespace

QWidget* BenchPlace::restPage() {
    auto* page = new QWidget;
    auto* column = new QVBoxLayout(page);
    column->setContentsMargins(60, 50, 60, 40);
    column->setSpacing(18);
    restWords_ = letters({}, 40, 700, QStringLiteral("benchRest"));
    restNote_ = letters({}, 20, 400, QStringLiteral("benchRestNote"));
    column->addWidget(restWords_);
    column->addWidget(restNote_);
    auto* row = new QHBoxLayout;
    row->setSpacing(14);
    begin_ = target(tr("Begin the day"), QStringLiteral("benchBegin"), kTarget);
    begin_->setProperty("bench", "main");
    goOn_ = target(tr("Go on where it was left"), QStringLiteral("benchGoOn"), kTarget);
    rehearse_ = target(tr("Rehearse it"), QStringLiteral("benchRehearse"), kTarget);
    practise_ = target(tr("Practise"), QStringLiteral("benchPractise"), kTarget);
    practise_->setToolTip(tr("P: five small lessons"));
    for (auto* b : {goOn_, begin_, rehearse_, practise_}) row->addWidget(b);
    connect(practise_, &QPushButton::clicked, this, [this] {
        pages_->setCurrentIndex(Lessons);
        lessons_->open();
    });
    column->addLayout(row);
    auto* how = letters(
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
    progress_ = letters({}, 17, 400, QStringLiteral("benchProgress"));
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
    window_ = new QPushButton(tr("In a window of their own"));
    window_->setObjectName(QStringLiteral("benchWindow"));
    window_->setToolTip(tr("N: for a second screen, with these steps alone"));
    connect(window_, &QPushButton::clicked, this, [this] { openFor(who_->currentText()); });
    head->addWidget(window_);
    left->addLayout(head);
    news_ = letters({}, 17, 600, QStringLiteral("benchNews"));
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
    when_ = letters({}, 20, 600, QStringLiteral("benchWhen"));
    about_ = letters({}, 20, 400, QStringLiteral("benchAbout"));
    title_ = letters({}, 42, 700, QStringLiteral("benchTitle"));
    words->addWidget(when_);
    words->addWidget(about_);
    words->addWidget(title_);
    figures_ = new QWidget;
    figures_->setLayout(new QHBoxLayout);
    figures_->layout()->setContentsMargins(0, 6, 0, 0);
    words->addWidget(figures_);
    reading_ = letters({}, 24, 600, QStringLiteral("benchReading"));
    reading_->hide();
    words->addWidget(reading_);
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
        turnTo(Step);
    });
    middle_->addWidget(mishaps_);
    pad_ = new FigurePad;
    middle_->addWidget(pad_);
    aids_ = new AidsPanel(announcer_, probe_);
    middle_->addWidget(aids_);
    connect(aids_, &AidsPanel::closed, this, [this] { turnTo(Step); });
    connect(pad_, &FigurePad::closed, this, [this] { turnTo(Step); });
    connect(pad_, &FigurePad::taken, this, &BenchPlace::keepFigure);
    left->addWidget(middle_, 1);

    stepTargets_ = new QWidget;
    auto* targets = new QHBoxLayout(stepTargets_);
    targets->setContentsMargins(0, 0, 0, 0);
    targets->setSpacing(12);
    done_ = target(tr("Done"), QStringLiteral("benchDone"), kTarget);
    done_->setProperty("bench", "main");
    done_->setToolTip(tr("Space, Return, or a foot switch that types one of them"));
    later_ = target(tr("One more minute"), QStringLiteral("benchLater"), kTarget);
    later_->setToolTip(tr("M"));
    trouble_ = target(tr("Something happened"), QStringLiteral("benchTrouble"), kTarget);
    trouble_->setToolTip(tr("H"));
    back_ = target(tr("Take back"), QStringLiteral("benchBack"), kTarget);
    back_->setToolTip(tr("Backspace"));
    targets->addWidget(done_, 4);
    targets->addWidget(later_, 3);
    targets->addWidget(trouble_, 3);
    targets->addWidget(back_, 2);
    left->addWidget(stepTargets_);
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
    quiet_ = letters(tr("Nothing is waiting."), 17, 400, QStringLiteral("benchQuiet"));
    quiet_->setProperty("quiet", true);
    right->addWidget(quiet_);
    dark_ = letters(tr("Nothing here keeps the screen awake for Uovo: see to it that it does not go dark."), 15, 400,
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
    right->addWidget(smallTargets_ = smallTargets());
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
        turnTo(Trouble);
    });
    return page;
}

/// What is asked for now and then: to hear it again, a figure to be kept, how it is heard.
QWidget* BenchPlace::smallTargets() {
    auto* all = new QWidget;
    auto* grid = new QGridLayout(all);
    grid->setContentsMargins(0, 0, 0, 0);
    grid->setSpacing(8);
    again_ = target(tr("Read it"), QStringLiteral("benchAgain"), kLeastTarget);
    again_->setToolTip(tr("R: reads the step aloud, again"));
    weigh_ = target(tr("Weigh"), QStringLiteral("benchWeigh"), kLeastTarget);
    weigh_->setToolTip(tr("W: keeps what a piece weighs"));
    degrees_ = target(tr("Degrees"), QStringLiteral("benchDegrees"), kLeastTarget);
    degrees_->setToolTip(tr("T: keeps what the thermometer reads"));
    hear_ = target(tr("Sound, probe"), QStringLiteral("benchHear"), kLeastTarget);
    hear_->setToolTip(tr("S: how loud, quiet hours, thermometer and scale"));
    QPushButton* const targets[]{again_, weigh_, degrees_, hear_};
    for (int i = 0; i < 4; ++i) {
        targets[i]->setProperty("bench", "small");
        grid->addWidget(targets[i], i / 2, i % 2);
    }
    connect(again_, &QPushButton::clicked, this, &BenchPlace::readAgain);
    connect(weigh_, &QPushButton::clicked, this, &BenchPlace::weigh);
    connect(degrees_, &QPushButton::clicked, this, &BenchPlace::typeDegrees);
    connect(hear_, &QPushButton::clicked, this, [this] {
        if (middle_->currentIndex() != Step) return;
        turnTo(Aids);
        aids_->open([this](int minute) { return qstring(clockInWords(minute, session_.units())); });
    });
    for (auto* b : {again_, hear_}) b->setVisible(!second_);
    return all;
}

QWidget* BenchPlace::overPage() {
    auto* page = new QWidget;
    auto* column = new QVBoxLayout(page);
    column->setContentsMargins(60, 50, 60, 40);
    column->setSpacing(16);
    overWords_ = letters({}, 40, 700, QStringLiteral("benchOver"));
    overList_ = letters({}, 21, 400, QStringLiteral("benchOverList"));
    overList_->setTextFormat(Qt::PlainText);
    column->addWidget(overWords_);
    auto* two = new QHBoxLayout;
    two->setSpacing(48);
    two->addWidget(overList_, 1, Qt::AlignTop);
    auto* right = new QVBoxLayout;
    right->setSpacing(10);
    taughtHead_ = letters(tr("What the scale taught"), 24, 700, QStringLiteral("benchTaughtHead"));
    taught_ = letters({}, 21, 400, QStringLiteral("benchTaught"));
    taught_->setTextFormat(Qt::PlainText);
    right->addWidget(taughtHead_);
    right->addWidget(taught_);
    right->addStretch(1);
    two->addLayout(right, 1);
    column->addLayout(two);
    column->addStretch(1);
    auto* row = new QHBoxLayout;
    auto* back = target(tr("Take back the end"), QStringLiteral("benchOverBack"), kSmallTarget);
    auto* close = target(tr("Put it away"), QStringLiteral("benchClose"), kSmallTarget);
    connect(back, &QPushButton::clicked, this, &BenchPlace::takeBack);
    connect(close, &QPushButton::clicked, this, [this] { keeper_.close(); });
    overPractise_ = target({}, QStringLiteral("benchOverPractise"), kSmallTarget);
    connect(overPractise_, &QPushButton::clicked, this, [this] {
        pages_->setCurrentIndex(Lessons);
        lessons_->open(toPractise_);
    });
    overCount_ = target(tr("Count on it from now on"), QStringLiteral("benchCount"), kSmallTarget);
    overCount_->setToolTip(tr("The plan's own figures become what was weighed; it can be undone"));
    teacher_ = new Teacher(session_, this);
    connect(overCount_, &QPushButton::clicked, teacher_, &Teacher::count);
    connect(teacher_, &Teacher::changed, this, [this] {
        if (keeper_.isOver()) showOver();
    });
    row->addWidget(close);
    row->addWidget(overCount_);
    row->addWidget(back);
    row->addWidget(overPractise_);
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
    const auto onStep = [this] { return pages_->currentIndex() == Working && middle_->currentIndex() == Step; };
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
    const std::pair<Qt::Key, QPushButton*> pressed[]{
        {Qt::Key_R, again_}, {Qt::Key_W, weigh_}, {Qt::Key_T, degrees_}, {Qt::Key_S, hear_}, {Qt::Key_N, window_}};
    for (const auto& [k, button] : pressed)
        key(k, [onStep, button] {
            if (onStep() && !button->isHidden()) button->click();
        });
    key(Qt::Key_Backspace, [this] { asks() ? back() : takeBack(); });
    key(Qt::Key_P, [this] {
        if (pages_->currentIndex() == Rest) practise_->click();
    });
}

}  // namespace uovo::desktop
