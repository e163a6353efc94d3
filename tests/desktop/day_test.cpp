// The day in the window: moved through, searched, ticked, pinned, dragged, kept free, wished otherwise.
#include <QClipboard>
#include <QProcess>
#include <map>
#include <set>

#include "desktop/bench/bench_place.h"
#include "desktop/day/day_place.h"
#include "program.h"

namespace day_test {
namespace {

using uovo::desktop::Board;

struct Day : Program {
    Day() : Program(demoKnown(), 1) {
        session.document().edit("One kind", [](Plan& p) {
            p.pieces.resize(1);
            p.pieces[0].count = 8;
            p.kitchen.helpers.clear();
        });
        answered();
        QTest::keyClick(&window, Qt::Key_F5);
    }
    Board* board() { return window.day()->board(); }
    QListWidget* list() { return window.day()->steps()->list(); }
    int rowOf(const char* words) {
        for (int i = 0; i < list()->count(); ++i)
            if (window.day()->steps()->rowOf(i).title.startsWith(QLatin1String(words))) return i;
        return -1;
    }
    const Board::Mark* block(const char* words) {
        for (const auto& m : board()->marks())
            if (m.kind == Board::Mark::Kind::Hands && m.name.contains(QLatin1String(words))) return &m;
        return nullptr;
    }
};

}  // namespace

TEST_CASE("every block of hands shows a sign and stands in its lane") {
    Day p;
    int hands = 0;
    double right = 0;
    for (const auto& m : p.board()->marks()) {
        if (m.kind != Board::Mark::Kind::Hands) continue;
        ++hands;
        CHECK(m.box.width() >= 10);
        CHECK(m.box.left() >= right - 1);
        right = m.box.right();
        CHECK(m.box.right() <= p.board()->width() + 1);
    }
    CHECK(hands >= 5);
}

TEST_CASE("two helpers of one name have lanes of their own") {
    Program p;
    p.session.document().edit("Two of a name", [](Plan& plan) {
        plan.kitchen.helpers = {{"Ida", "16:00", "", true, true, ""}, {"Ida", "20:00", "", true, true, ""}};
    });
    p.answered();
    QTest::keyClick(&p.window, Qt::Key_F5);
    p.window.day()->board()->grab();
    std::map<size_t, double> tops;
    const auto& day = *p.session.answers()->day;
    for (const auto& m : p.window.day()->board()->marks()) {
        if (m.kind != Board::Mark::Kind::Hands) continue;
        CHECK(m.lane == QString::fromStdString(day.network.people[m.of].name));
        tops.insert({m.of, m.box.top()});
    }
    CHECK(tops.size() == 3);  // a height each: nobody is drawn in another's lane
    CHECK(std::set<double>{tops[0], tops[1], tops[2]}.size() == 3);
}

TEST_CASE("a step is searched and ticked, and both can be undone") {
    Day p;
    const int dip = p.rowOf("Dip");
    REQUIRE(dip >= 0);
    p.window.day()->steps()->search()->setText("dip");
    int shown = 0;
    for (int i = 0; i < p.list()->count(); ++i) shown += !p.list()->item(i)->isHidden();
    CHECK(shown >= 2);
    CHECK(shown < p.list()->count());
    CHECK_FALSE(p.list()->item(dip)->isHidden());
    p.list()->setCurrentRow(dip);
    QTest::keyClick(p.list(), Qt::Key_Space);
    CHECK(p.window.day()->steps()->rowOf(dip).done);
    CHECK(p.session.plan().day.done.size() == 1);
    QTest::keyClick(p.list(), Qt::Key_Space);
    CHECK(p.session.plan().day.done.empty());
    p.window.day()->steps()->search()->clear();
    const QRect box = p.list()->visualItemRect(p.list()->item(0));
    QTest::mouseClick(p.list()->viewport(), Qt::LeftButton, {}, box.topLeft() + QPoint(16, 16));
    CHECK(p.window.day()->steps()->rowOf(0).done);
}

TEST_CASE("a step is pinned by its key, and let go again") {
    Day p;
    const int dip = p.rowOf("Dip");
    REQUIRE(dip >= 0);
    p.list()->setFocus();
    p.list()->setCurrentRow(dip);
    const QString at = p.window.day()->steps()->rowOf(dip).clock;
    QTest::keyClick(p.list(), Qt::Key_P);
    p.answered();
    REQUIRE(p.session.plan().day.pins.size() == 1);
    const int again = p.rowOf("Dip");
    CHECK(p.window.day()->steps()->rowOf(again).pinned);
    CHECK(p.window.day()->steps()->rowOf(again).clock == at);
    p.list()->setCurrentRow(again);
    QTest::keyClick(p.list(), Qt::Key_P);
    p.answered();
    CHECK(p.session.plan().day.pins.empty());
}

TEST_CASE("shells go to the day before and back, rounds are split and joined, from the menu of a step") {
    Day p;
    auto* steps = p.window.day()->steps();
    const auto rounds = [&] {
        int most = 0;
        for (const auto& t : p.session.answers()->day->network.tasks) most = std::max(most, t.round);
        return most;
    };
    const auto choose = [&](const char* words) {
        const std::unique_ptr<QMenu> menu(steps->menuOf(p.rowOf("Dip")));
        for (auto* action : menu->actions())
            if (action->text().contains(words)) {
                action->trigger();
                return p.answered();
            }
        FAIL("no such entry: " << words);
    };
    const int before = rounds();
    choose("smaller rounds");
    CHECK(rounds() == before + 1);
    choose("as fit");
    CHECK(rounds() == before);
    choose("the day before");
    const auto& day = *p.session.answers()->day;
    CHECK(day.clock(day.layout.begins).substr(0, 10) < p.session.plan().deadline.substr(0, 10));
    choose("on the day itself");
    CHECK(p.session.plan().day.ahead.empty());
    const QPoint at = steps->list()->visualItemRect(steps->list()->item(0)).center();
    QContextMenuEvent asked(QContextMenuEvent::Mouse, at, steps->list()->viewport()->mapToGlobal(at));
    QApplication::sendEvent(steps->list()->viewport(), &asked);
    auto* menu = qobject_cast<QMenu*>(QApplication::activePopupWidget());
    REQUIRE(menu);
    CHECK(menu->actions().front()->text() == "Tick it off");
    menu->close();
}

TEST_CASE("what was fixed by hand and how the rest gave way is there again when the file is opened") {
    Day p;
    p.window.day()->steps()->pin(p.rowOf("Dip"));
    p.answered();
    p.session.editPiece("Two more", [](Piece& x) { x.count += 2; });
    p.answered();
    const auto starts = p.session.answers()->day->layout.start;
    const QString path = p.folder.filePath("kept.uovo");
    REQUIRE(p.session.document().save(path));
    CHECK_FALSE(p.session.plan().day.laid.steps.empty());
    Program other;
    REQUIRE(other.session.document().open(path));
    other.answered();
    CHECK(other.session.answers()->day->layout.start == starts);
    other.session.document().edit("Another name", [](Plan& plan) { plan.name = "Another"; });
    CHECK(other.session.plan().day.laid.steps.empty());  // only a file holds it
    other.answered();
    CHECK(other.session.answers()->day->layout.start == starts);
}

TEST_CASE("a block is dragged: its first step is pinned there, the rest gives way, and it is said what moved") {
    Day p;
    const auto* block = p.block("Dip");
    REQUIRE(block);
    const QPoint from = block->box.center().toPoint();
    const int px = static_cast<int>(p.board()->xOf(-60) - p.board()->xOf(0));  // an hour earlier
    QTest::mousePress(p.board(), Qt::LeftButton, {}, from);
    for (int k = 1; k <= 6; ++k) QTest::mouseMove(p.board(), from + QPoint(px * k / 6, 0));
    QTest::mouseRelease(p.board(), Qt::LeftButton, {}, from + QPoint(px, 0));
    p.answered();
    REQUIRE(p.session.plan().day.pins.size() == 1);
    const auto& pin = p.session.plan().day.pins[0];
    const auto& day = *p.session.answers()->day;
    bool there = false;
    for (size_t i = 0; i < day.network.tasks.size(); ++i)
        if (day.network.tasks[i].id == pin.step)
            there = clockMinutes(day.clock(day.layout.start[i]).substr(11)) == (pin.at % 1440 + 1440) % 1440;
    CHECK(there);
    auto* notice = p.window.day()->findChild<QLabel*>("dayNotice");
    REQUIRE(notice);
    CHECK(notice->text().contains("moved"));
    QTest::keyClick(&p.window, Qt::Key_Z, Qt::ControlModifier);
    p.answered();
    CHECK(p.session.plan().day.pins.empty());
}

TEST_CASE("hours are kept free by drawing them on the clock, and given back by a press") {
    Day p;
    const int from = static_cast<int>(p.board()->xOf(p.board()->minuteAt(300))), to = from + 60;
    QTest::mousePress(p.board(), Qt::LeftButton, {}, QPoint(from, 12));
    QTest::mouseMove(p.board(), QPoint(to, 12));
    QTest::mouseRelease(p.board(), Qt::LeftButton, {}, QPoint(to, 12));
    p.answered();
    REQUIRE(p.session.plan().day.free.size() == 1);
    const auto free = p.session.plan().day.free[0];
    CHECK(free.to > free.from);
    const auto& day = *p.session.answers()->day;
    const long midnight = *localMinutes(p.session.plan().deadline) / 1440 * 1440;
    const long a = day.minuteOf(midnight + free.from), b = day.minuteOf(midnight + free.to);
    for (size_t i = 0; i < day.network.tasks.size(); ++i)
        if (day.network.tasks[i].step != "burst")
            CHECK((day.layout.start[i] >= b || day.layout.start[i] + day.network.tasks[i].minutes <= a));
    QTest::mouseClick(p.board(), Qt::LeftButton, {},
                      QPoint(static_cast<int>((p.board()->xOf(double(a)) + p.board()->xOf(double(b))) / 2), 10));
    p.answered();
    CHECK(p.session.plan().day.free.empty());
}

TEST_CASE("zoom spreads the day, keys go from block to block") {
    Day p;
    p.board()->setFocus();
    const int wide = p.board()->width();
    QTest::keyClick(p.board(), Qt::Key_Plus);
    QTest::keyClick(p.board(), Qt::Key_Plus);
    QTest::qWait(30);
    CHECK(p.board()->width() > wide);
    QTest::keyClick(p.board(), Qt::Key_0);
    QTest::qWait(30);
    CHECK(p.board()->width() == wide);
    QTest::keyClick(p.board(), Qt::Key_Home);
    const int begin = p.board()->minute();
    QTest::keyClick(p.board(), Qt::Key_Down);
    CHECK(p.board()->minute() > begin);
    QTest::keyClick(p.board(), Qt::Key_Up);
    CHECK(p.board()->minute() == begin);
}

TEST_CASE("wishes are pressed, compared side by side, and taken") {
    Day p;
    auto* early = p.window.day()->findChild<QPushButton*>("aim1");
    REQUIRE(early);
    const int late = p.session.answers()->day->layout.begins;
    early->click();
    p.answered();
    CHECK(p.session.plan().day.aim == DayWish::Aim::Early);
    CHECK(p.session.answers()->day->layout.begins < late);
    p.window.day()->findChild<QPushButton*>("compareWishes")->click();
    auto* page = p.window.findChild<QWidget*>("comparePage");
    REQUIRE(page);
    REQUIRE(QTest::qWaitFor([&] { return page->findChildren<QPushButton*>().size() == 6; }, kPatience));
    page->findChildren<QPushButton*>().front()->click();
    p.answered();
    CHECK(p.session.plan().day.aim == DayWish::Aim::Late);
    CHECK(p.session.answers()->day->layout.begins == late);
}

TEST_CASE("what would help is found beside the window and planned by a press") {
    Day p;
    p.session.document().edit("Many", [](Plan& plan) { plan.pieces[0].count = 30; });
    p.answered();
    auto* ways = p.window.day()->findChild<QWidget*>("dayWays");
    REQUIRE(QTest::qWaitFor([&] { return !ways->findChildren<QPushButton*>().empty(); }, kPatience));
    auto* way = ways->findChildren<QPushButton*>().front();
    const QString then = way->text().section(QStringLiteral(": "), -1);
    way->click();
    p.answered();
    CHECK(p.window.day()->headline()->text().contains(then));
}

TEST_CASE("a longer look is offered, not imposed") {
    Day p;
    auto* longer = p.window.day()->findChild<QPushButton*>("lookLonger");
    REQUIRE(longer);
    const auto before = p.session.answers()->day->found.layout.start;
    longer->click();
    CHECK_FALSE(longer->isEnabled());
    REQUIRE(QTest::qWaitFor([&] { return !p.window.day()->looker()->busy(); }, kPatience));
    CHECK(p.session.answers()->day->found.layout.start == before);
    if (longer->isEnabled()) {  // there was a better one
        const double cost = p.session.answers()->day->found.layout.cost;
        longer->click();
        p.answered();
        CHECK(p.session.answers()->day->found.layout.cost < cost);
    } else {
        CHECK(longer->text().contains("good"));
    }
}

TEST_CASE("the day is taken along: a sheet, cards, a calendar, text; of everybody or of one") {
    Program p;
    QTest::keyClick(&p.window, Qt::Key_F5);
    auto* along = p.window.day()->takeAlong();
    const auto words = [&](const QString& name, bool cards) {
        const QString path = p.folder.filePath(name);
        REQUIRE(along->save(path, cards));
        QProcess read;
        read.start("pdftotext", {"-layout", path, "-"});
        REQUIRE(read.waitForFinished());
        return QString::fromUtf8(read.readAllStandardOutput()).simplified();
    };
    const auto& day = *p.session.answers()->day;
    const QString sheet = words("day.pdf", false), cards = words("cards.pdf", true);
    CHECK(sheet.contains("begin by"));
    CHECK(sheet.contains("such days are ready"));
    int told = 0, steps = 0;
    for (size_t i = 0; i < day.network.tasks.size(); ++i) {
        if (day.network.tasks[i].step == "burst") continue;
        ++steps;
        const QString first = QString::fromStdString(day.network.tasks[i].title).section(' ', 0, 3);
        told += sheet.contains(first);
        if (day.network.tasks[i].step != "rest") CHECK(cards.contains(first));
    }
    CHECK(told == steps);
    auto* who = along->findChild<QComboBox*>("whose");
    REQUIRE(who->count() == 3);
    who->setCurrentIndex(2);
    CHECK(words("helper.pdf", false).size() < sheet.size());
    REQUIRE(along->save(p.folder.filePath("day.ics")));
    REQUIRE(along->save(p.folder.filePath("day.txt")));
    along->findChild<QPushButton*>("copyDay")->click();
    QFile text(p.folder.filePath("day.txt"));
    REQUIRE(text.open(QIODevice::ReadOnly));
    CHECK(QString::fromUtf8(text.readAll()) == QApplication::clipboard()->text());
    CHECK_FALSE(along->save("/no/such/folder/day.pdf"));
    CHECK_FALSE(along->save("/no/such/folder/day.ics"));
}

TEST_CASE("what a day cannot be is said in a sentence, the window stays, and undone it is as before") {
    Day p;
    auto* sentence = p.window.day()->findChild<QLabel*>("daySentence");
    const QString before = p.window.day()->headline()->text();
    const auto said = [&](const char* what, const std::function<void(Plan&)>& change, const char* words) {
        INFO(what);
        p.session.document().edit(QString::fromLatin1(what), change);
        REQUIRE(QTest::qWaitFor([&] { return !p.session.isStale(); }, kPatience));
        if (p.session.answers()->problems.empty()) p.answered();
        QTest::qWait(30);
        const QString all = p.window.day()->headline()->text() + " / " + sentence->text();
        INFO(all.toStdString());
        CHECK(all.contains(QLatin1String(words), Qt::CaseInsensitive));
        CHECK(p.board()->isVisible());
        p.session.document().undo();
        p.answered();
        QTest::qWait(30);
        CHECK(p.window.day()->headline()->text() == before);
    };
    const std::string date = p.session.plan().deadline.substr(0, 10);
    said(
        "passed", [](Plan& x) { x.deadline = localTime(kNow - 3 * 60); }, "has passed");
    said(
        "early", [&](Plan& x) { x.deadline = date + "T04:00"; }, "ready at 04:00");
    said(
        "no fridge", [](Plan& x) { x.kitchen.shelves = 0; }, "shelves");
    said(
        "nobody", [](Plan& x) { x.kitchen.cook.from = "21:25", x.kitchen.cook.until = "21:28"; },
        "Nobody is there before 21:10");
    said(
        "an hour", [](Plan& x) { x.kitchen.cook.from = "20:00"; }, "the hours of those who work come to 1 h 10 min");
    said(
        "nobody meets",
        [](Plan& x) {
            x.kitchen.helpers = {{"Nele", "23:00", "23:30", true, true, ""}};
        },
        "begin by");
    said(
        "thousands", [](Plan& x) { x.pieces[0].count = 2000; }, "more than a kitchen makes in a day");
    said(
        "a pin in the past",
        [&](Plan& x) {
            x.day.pins = {{"crater-bowl/1/coat-1", -20 * 60}};
        },
        "begin by");
    said(
        "two pins on one pair of hands",
        [](Plan& x) {
            x.pieces[0].count = 16;
            x.day.pins = {{"crater-bowl/1/coat-1", 17 * 60}, {"crater-bowl/2/coat-1", 17 * 60}};
        },
        "pinned");
    said(
        "no mold", [](Plan& x) { x.pieces[0].molds = -1; }, "mold");
}

TEST_CASE(
    "a day that is under way says what is overdue, and goes on at the bench: what is ticked was done at its time") {
    Day p;
    CHECK_FALSE(p.window.day()->findChild<QWidget*>("dayBehind")->isVisible());
    const auto first = *p.session.answers()->day;
    const long late = kNow - *localMinutes(first.clock(first.layout.begins)) - 40;
    p.session.document().edit("Ready sooner", [&](Plan& plan) {
        plan.deadline = localTime(*localMinutes(plan.deadline) + late);
        plan.day.chance = 0;
    });
    p.answered();
    CHECK(p.window.day()->findChild<QWidget*>("dayBehind")->isVisible());
    CHECK(p.window.day()->findChild<QLabel*>("daySentence")->text().contains("should have begun"));
    p.list()->setCurrentRow(0);
    QTest::keyClick(p.list(), Qt::Key_Space);
    p.answered();
    QTest::qWait(30);
    CHECK_FALSE(p.window.day()->findChild<QLabel*>("daySentence")->text().contains("should have begun"));
    const auto ticked = p.session.plan().day.done;
    REQUIRE(ticked.size() == 1);
    auto* bench = p.window.day()->findChild<QPushButton*>("dayAtBench");
    REQUIRE(bench->isVisible());
    bench->click();
    REQUIRE(p.window.bench()->isVisible());
    p.window.bench()->findChild<QPushButton*>("benchBegin")->click();
    auto* keeper = p.window.bench()->keeper();
    REQUIRE(keeper->runs());
    REQUIRE(QTest::qWaitFor([&] { return !keeper->isLaying(); }, kPatience));
    const auto& run = *keeper->run();
    REQUIRE(run.step(ticked.front()));
    CHECK_FALSE(run.isOpen(ticked.front()));
    CHECK(run.state(ticked.front()).to < 20 * 60);
    CHECK(keeper->second() >= 39 * 60);  // the clock of the run is that of the wall
    CHECK(std::abs(keeper->local() - kNow) <= 1);
    for (const auto& s : run.steps())
        if (run.isOpen(s.id)) CHECK(s.at >= 38);
}

}  // namespace day_test
