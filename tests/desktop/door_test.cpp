// Where one arrives, in a real window: a wish becomes a plan in a few clicks; examples, plans of before, an empty
// shelf.
#include <QCalendarWidget>
#include <QComboBox>
#include <QMenu>

#include "core/document/making.h"
#include "io/examples.h"
#include "program.h"

namespace door_test {

namespace {

/// Counts what a person presses.
struct Hand {
    Program& p;
    int clicks = 0, keys = 0;

    template <class W>
    W* on(const char* name) const {
        auto* w = p.window.findChild<W*>(QString::fromLatin1(name));
        REQUIRE(w);
        REQUIRE(w->isVisible());
        return w;
    }
    void click(QWidget* w) {
        QTest::mouseClick(w, Qt::LeftButton);
        ++clicks;
    }
    void type(QWidget* w, const QString& words) {
        QTest::keyClicks(w, words);
        keys += static_cast<int>(words.size());
    }
};

void arrive(Program& p) {
    p.window.arrive();
    REQUIRE(p.window.door()->isVisible());
}

}  // namespace

TEST_CASE("a stranger's walk: twelve bowls that hold ice cream on Saturday, in one sentence") {
    Program p;
    arrive(p);
    Hand hand{p};
    auto* door = p.window.door();
    CHECK(door->sentence()->hasFocus());
    CHECK_FALSE(door->plan()->isEnabled());
    hand.type(door->sentence(), "12 bowls that hold ice cream on Saturday");
    CHECK(door->said()->text().contains("12 × bowl over a balloon, ice cream in each, ready Saturday"));
    hand.click(door->plan());
    CHECK_FALSE(door->isVisible());
    p.answered();
    CHECK(hand.clicks == 1);
    REQUIRE(p.session.plan().pieces.size() == 1);
    CHECK(p.piece().count == 12);
    CHECK(p.session.plan().deadline.starts_with("2026-08-08T18:00"));
    CHECK(p.session.allProblems().empty());
    const auto day = p.session.answers()->day;
    REQUIRE(day);
    CHECK(day->problem.empty());
    CHECK(p.window.findChild<QPushButton*>("planMenu")->text().contains("12 bowls that hold ice cream"));
}

TEST_CASE("the same by clicks alone: a wish that is ready, a day on the calendar, eight at most") {
    Program p;
    arrive(p);
    Hand hand{p};
    auto* door = p.window.door();
    GalleryTile* bowls = nullptr;
    for (auto* t : door->tiles()->findChildren<GalleryTile*>())
        if (t->isVisible() && t->text().contains("ice cream")) bowls = t;
    REQUIRE(bowls);
    hand.click(bowls);
    CHECK(door->sentence()->text() == "12 bowls that hold ice cream");
    hand.click(hand.on<QPushButton>("wish/calendar"));
    QCalendarWidget* days = nullptr;
    REQUIRE(
        QTest::qWaitFor([&] { return (days = door->findChild<QCalendarWidget*>("wish/days")) && days->isVisible(); }));
    emit days->clicked(QDate(2026, 8, 8));  // one more: a leaf has no widget for a day
    ++hand.clicks;
    hand.click(door->plan());
    p.answered();
    CHECK(hand.clicks == 4);
    CHECK(p.piece().count == 12);
    CHECK(p.session.plan().deadline == "2026-08-08T18:00");
    REQUIRE(p.session.plan().fillings.size() == 1);
    CHECK(p.session.plan().fillings[0].name == "Ice cream");
}

TEST_CASE("fields follow the sentence; what a hand sets stays until the sentence says something else") {
    Program p;
    arrive(p);
    auto* door = p.window.door();
    const auto field = [&](const char* name) {
        for (auto* f : door->findChildren<Field*>())
            if (f->place() == QString::fromLatin1(name)) return f;
        FAIL(name);
        return static_cast<Field*>(nullptr);
    };
    QTest::keyClicks(door->sentence(), "6 cups for mousse");
    CHECK(field("wish/count")->edit()->text() == "6");
    CHECK(door->findChild<QComboBox*>("wish/filling")->currentText() == "Mousse");
    Program::type(field("wish/count"), "9");
    Program::type(field("wish/clock"), "7:30 pm");
    QTest::keyClicks(door->sentence(), " on Friday");
    CHECK(field("wish/count")->edit()->text() == "9");
    CHECK(door->wish().clock == 19 * 60 + 30);
    CHECK(field("wish/day")->edit()->text().contains("Friday"));
    door->sentence()->selectAll();
    QTest::keyClicks(door->sentence(), "900 cups");
    CHECK(door->said()->text().contains("at most 500"));
    CHECK_FALSE(door->plan()->isEnabled());
    door->sentence()->selectAll();
    QTest::keyClicks(door->sentence(), "9 cups on Friday");
    // a sentence beside each field that cannot be, the wish stays
    Program::type(field("wish/count"), "many");
    CHECK(field("wish/count")->complaint()->text().contains("whole number"));
    Program::type(field("wish/day"), "30 February");
    CHECK(field("wish/day")->complaint()->text().contains("Not a day"));
    Program::type(field("wish/clock"), "half past never");
    CHECK_FALSE(field("wish/clock")->complaint()->text().isEmpty());
    CHECK(door->wish().count == 9);
    door->sentence()->setFocus();
    QTest::keyClick(door->sentence(), Qt::Key_Return);
    p.answered();
    CHECK(p.piece().count == 9);
    CHECK(p.session.plan().deadline == "2026-08-07T19:30");
}

TEST_CASE("what no shape is leads to ways; one of them opens on its outline") {
    Program p;
    arrive(p);
    auto* door = p.window.door();
    QTest::keyClicks(door->sentence(), "5 rabbits");
    CHECK(door->said()->text().contains("No shape here is a rabbit"));
    CHECK(door->tiles()->shown().mid(0, 4) == QStringList{"sheet", "bought", "original", "mesh"});
    CHECK(door->tiles()->first()->text() == "Rabbit cut by its outline");
    QTest::mouseClick(door->tiles()->first(), Qt::LeftButton);
    CHECK(p.piece().name == "Rabbit");
    CHECK(p.piece().count == 5);
    CHECK(p.window.sheet()->isVisible());
    CHECK(p.window.sheet()->title() == "An outline");
}

TEST_CASE("each example opens, is in order, lies ahead, and leaves what was open as it was saved") {
    Program p;
    for (const auto& e : io::examples()) {
        arrive(p);
        INFO(e.file);
        auto* b = p.window.door()->findChild<QPushButton*>(QStringLiteral("example/") + QString::fromStdString(e.file));
        REQUIRE(b);
        QTest::mouseClick(b, Qt::LeftButton);
        CHECK_FALSE(p.window.door()->isVisible());
        p.answered();
        CHECK(p.session.plan().name == e.name);
        CHECK(p.session.allProblems().empty());
        REQUIRE(p.session.answers()->day);
        CHECK(p.session.answers()->day->problem.empty());
        CHECK(p.session.answers()->day->minuteOf(kNow) < p.session.answers()->day->layout.begins);
        for (const auto& piece : p.session.plan().pieces)
            CHECK(orderBreaks(piece, p.session.plan(), p.session.library()).empty());
        CHECK(p.session.document().path().isEmpty());
    }
}

TEST_CASE("plans of before stand beside the wish; one that is damaged says so over the plan that stays") {
    Program p;
    const QString good = p.folder.filePath("good.uovo"), bad = p.folder.filePath("bad.uovo");
    REQUIRE(p.window.saveTo(good));
    QFile file(bad);
    REQUIRE(file.open(QIODevice::WriteOnly));
    file.write("{}");
    file.close();
    for (const QString& path : {good, bad}) {
        p.window.door()->open({path, p.folder.filePath("gone.uovo")});
        const auto lately = p.window.door()->findChildren<QPushButton*>("lately");
        REQUIRE(lately.size() == 1);  // what is not there any more is not offered
        QTest::mouseClick(lately.front(), Qt::LeftButton);
        QTest::qWait(1);
        CHECK_FALSE(p.window.door()->isVisible());
        CHECK(p.window.saying().contains("was not opened") == (path == bad));
        CHECK(p.session.document().path() == good);
    }
}

TEST_CASE("Esc goes back to the plan that was open; an empty shelf is one press away") {
    Program p;
    const Plan before = p.session.plan();
    QTest::keyClick(&p.window, Qt::Key_N, Qt::ControlModifier);
    REQUIRE(p.window.door()->isVisible());
    QTest::keyClick(p.window.door()->sentence(), Qt::Key_Escape);
    CHECK_FALSE(p.window.door()->isVisible());
    CHECK(p.session.plan() == before);
    arrive(p);
    QTest::mouseClick(p.window.door()->findChild<QPushButton*>("emptyPlan"), Qt::LeftButton);
    CHECK(p.session.plan().pieces.empty());
    CHECK(p.session.plan().kitchen == Kitchen());  // the demo's was invented
    CHECK(!before.kitchen.helpers.empty());
    p.session.document().edit("A warm room", [](Plan& plan) { plan.kitchen.room = Measure(25); });
    REQUIRE(p.window.saveTo(p.folder.filePath("warm.uovo")));  // else it is asked first
    arrive(p);
    QTest::keyClicks(p.window.door()->sentence(), "4 cups");
    QTest::keyClick(p.window.door()->sentence(), Qt::Key_Return);
    CHECK(p.session.plan().kitchen.room == Measure(25));  // one's own goes along
}

TEST_CASE("the tabulator stays at the door while it is open, and reaches all of it") {
    Program p;
    arrive(p);
    auto* door = p.window.door();
    QTest::keyClicks(door->sentence(), "8 cups");
    std::set<QWidget*> reached;
    for (int k = 0; k < 60; ++k) {
        QTest::keyClick(QApplication::focusWidget(), Qt::Key_Tab);
        REQUIRE(QApplication::focusWidget());
        CHECK(door->isAncestorOf(QApplication::focusWidget()));
        reached.insert(QApplication::focusWidget());
    }
    for (const char* name : {"planIt", "wish/filling", "wish/calendar", "doorDemo", "emptyPlan", "doorClose"}) {
        INFO(name);
        CHECK(reached.contains(door->findChild<QWidget*>(QString::fromLatin1(name))));
    }
}

TEST_CASE("twenty guests instead of fourteen, where the day is said") {
    Program p;
    arrive(p);
    QTest::keyClicks(p.window.door()->sentence(), "ice cream bowls for 14 guests");
    QTest::keyClick(p.window.door()->sentence(), Qt::Key_Return);
    p.answered();
    QTest::keyClick(&p.window, Qt::Key_R, Qt::ControlModifier);
    REQUIRE(p.window.sheet()->isVisible());
    for (auto* f : p.window.sheet()->findChildren<Field*>())
        if (f->place() == "plan/guests") Program::type(f, "20");
    p.answered();
    CHECK(p.session.plan().guests == 20);
    CHECK(p.piece().count == 20);
    p.session.document().undo();
    CHECK(p.piece().count == 14);
}

}  // namespace door_test
