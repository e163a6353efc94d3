// The sheet in a real window: a page follows what it is about, whoever changes it, and goes when that is gone.
#include <QCheckBox>
#include <QMenu>
#include <QPushButton>
#include <QTimer>

#include "program.h"

namespace sheet_test {

namespace {

FigureField* figureOf(Program& p, const char* name) {
    auto* f = p.window.sheet()->findChild<FigureField*>(QString::fromLatin1(name));
    REQUIRE(f);
    return f;
}

QString shown(Program& p, const char* name) { return figureOf(p, name)->edit()->text(); }

void waitUntil(const std::function<bool()>& so) { CHECK(QTest::qWaitFor(so, kPatience)); }

void openKitchen(Program& p) { QTest::keyClick(&p.window, Qt::Key_Comma, Qt::ControlModifier); }

void undo(Program& p) { QTest::keyClick(&p.window, Qt::Key_Z, Qt::ControlModifier); }

}  // namespace

TEST_CASE("what is undone is undone in the page that shows it, and the field that was left has the cursor again") {
    Program p;
    openKitchen(p);
    const QString before = shown(p, "kitchen/room");
    p.type(figureOf(p, "kitchen/room"), "17 °C");
    CHECK(shown(p, "kitchen/room") == "17 °C");
    CHECK(before != "17 °C");
    undo(p);
    CHECK(shown(p, "kitchen/room") == before);
    CHECK(figureOf(p, "kitchen/room")->edit()->hasFocus());
    QTest::keyClick(&p.window, Qt::Key_Z, Qt::ControlModifier | Qt::ShiftModifier);
    CHECK(shown(p, "kitchen/room") == "17 °C");
}

TEST_CASE("a helper who is gone cannot be changed: the page shows the hands that there are") {
    Program p;
    const auto helpers = p.session.plan().kitchen.helpers.size();
    openKitchen(p);
    p.type(figureOf(p, "kitchen/hands"), QString::number(helpers + 3));
    REQUIRE(p.session.plan().kitchen.helpers.size() == helpers + 2);
    const auto knife = QStringLiteral("kitchen/helpers/%1/knife").arg(helpers + 1);
    CHECK(p.window.sheet()->findChild<QCheckBox*>(knife)->isVisibleTo(p.window.sheet()));
    undo(p);
    REQUIRE(p.session.plan().kitchen.helpers.size() == helpers);
    CHECK_FALSE(p.window.sheet()->findChild<QCheckBox*>(knife)->isVisibleTo(p.window.sheet()));
    CHECK(shown(p, "kitchen/hands") == QString::number(helpers + 1));
    // another plan has a kitchen of its own
    p.type(figureOf(p, "kitchen/hands"), QString::number(helpers + 3));
    Plan other = p.session.plan();
    other.kitchen.helpers.clear();
    other.kitchen.room = Measure(291.15);
    p.session.document().setPlan(other, {});
    waitUntil([&] { return shown(p, "kitchen/hands") == "1"; });
    CHECK_FALSE(p.window.sheet()->findChild<QCheckBox*>(knife)->isVisibleTo(p.window.sheet()));
    // not even in the moment before it is drawn
    p.type(figureOf(p, "kitchen/hands"), "3");
    auto* box = p.window.sheet()->findChild<QCheckBox*>("kitchen/helpers/1/hot");
    p.session.document().setPlan(other, {});
    box->toggle();
    CHECK(p.session.plan().kitchen.helpers.empty());
}

TEST_CASE("a problem may be chosen from the menu after its page has gone: nothing happens") {
    Program p;
    openKitchen(p);
    p.type(figureOf(p, "kitchen/room"), "300 °C");
    p.type(figureOf(p, "kitchen/humidity"), "400 %");
    QTest::qWait(50);
    auto* problems = p.window.findChild<QPushButton*>("problems");
    REQUIRE(problems);
    bool chosen = false;
    QTimer::singleShot(50, &p.window, [&] {
        auto* menu = qobject_cast<QMenu*>(QApplication::activePopupWidget());
        if (!menu || menu->actions().size() < 2) return;
        p.window.sheet()->renew();  // the fields of before are gone
        QTest::keyClick(menu, Qt::Key_Down);
        QTest::keyClick(menu, Qt::Key_Return);
        chosen = true;
    });
    problems->click();
    CHECK(chosen);
    CHECK(p.window.sheet()->isVisible());
}

TEST_CASE("a library outlives the edit that mixes another colour, and stays where no colour changes") {
    Program p;
    const auto* before = &p.session.library();
    p.session.editPiece("One more", [](Piece& piece) { ++piece.count; });
    CHECK(&p.session.library() == before);
    const std::string base = before->chocolates.front().id, name = before->chocolates.front().name;
    const auto& chocolate = before->chocolates.front();
    p.session.document().edit("Mix", [&](Plan& plan) {
        plan.colours.emplace_back();
        plan.colours.back().id = "violet-test";
        plan.colours.back().name = "Dusk";
        plan.colours.back().base = base;
        plan.colours.back().look = "#5B4F70";
    });
    CHECK(&p.session.library() != before);
    CHECK(chocolate.name == name);  // still to be read by who made the edit
    CHECK(p.session.library().find("violet-test"));
    CHECK_FALSE(before->find("violet-test"));
}

TEST_CASE("a page beside the places follows what is changed there, and is left alone by its own edits") {
    Program p;
    p.session.select("crater-bowl");
    emit p.window.shape()->coatWanted(0);
    REQUIRE(p.window.sheet()->isVisible());
    auto* tap = figureOf(p, "tap");
    p.type(tap, "12 s");
    QTest::qWait(250);
    CHECK(figureOf(p, "tap") == tap);  // the same field: it was not taken from under the hand
    p.window.shape()->stage()->setFocus();
    p.session.editPiece("Tap longer", [](Piece& piece) { piece.coats()[0].tap = Measure(20); });
    waitUntil([&] { return shown(p, "tap") == "20 s"; });
    CHECK(p.window.shape()->stage()->hasFocus());
    // its coat leaves
    p.session.editPiece("No coats", [](Piece& piece) { piece.coatWith({}); });
    waitUntil([&] { return !p.window.sheet()->findChild<FigureField*>("tap"); });
}

TEST_CASE("the page of a piece closes when another piece is looked at; one of the kitchen stays") {
    Program p;
    p.session.select("crater-bowl");
    emit p.window.shape()->coatWanted(0);
    p.session.select("moon");
    CHECK_FALSE(p.window.sheet()->isVisible());
    openKitchen(p);
    p.session.select("crater-bowl");
    CHECK(p.window.sheet()->isVisible());
}

}  // namespace sheet_test
