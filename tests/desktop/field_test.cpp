// The rule of every field: what cannot be stays in it with a sentence, the plan keeps what was right, Escape takes it
// back.
#include "core/document/edits.h"
#include "desktop/kit/page.h"
#include "program.h"

namespace field_test {

using namespace uovo;
using namespace uovo::desktop;

TEST_CASE("a figure the plan cannot have stays in its field with a sentence, and nothing else changes") {
    Program p;
    p.answered();
    QTest::keyClick(&p.window, Qt::Key_Comma, Qt::ControlModifier);
    auto* room = p.window.findChild<FigureField*>("kitchen/room");
    REQUIRE(room);
    const QString before = room->edit()->text();
    const Plan was = p.session.plan();
    p.type(room, "300 °C");
    CHECK(p.session.plan() == was);
    CHECK(room->edit()->text() == "300 °C");
    CHECK_FALSE(room->complaint()->text().isEmpty());
    CHECK(room->complaint()->isVisibleTo(room));
    CHECK(room->edit()->property("wrong").toBool());
    CHECK(room->edit()->hasFocus());
    CHECK_FALSE(p.session.isStale());  // nothing is computed anew for it
    QTest::keyClick(room->edit(), Qt::Key_Escape);
    CHECK(room->edit()->text() == before);
    CHECK_FALSE(room->edit()->property("wrong").toBool());
    CHECK(p.window.sheet()->isVisible());  // the first Escape is the field's, the second the sheet's
    QTest::keyClick(room->edit(), Qt::Key_Escape);
    CHECK_FALSE(p.window.sheet()->isVisible());
}

TEST_CASE("words that are no figure are told, and what was right goes on counting") {
    Program p;
    p.answered();
    QTest::keyClick(&p.window, Qt::Key_Comma, Qt::ControlModifier);
    auto* shelves = p.window.findChild<FigureField*>("kitchen/shelves");
    REQUIRE(shelves);
    const int before = p.session.plan().kitchen.shelves;
    for (const char* wrong : {"many", "-2", "2.5", "0", "90"}) {
        INFO(wrong);
        p.type(shelves, wrong);
        CHECK(p.session.plan().kitchen.shelves == before);
        CHECK_FALSE(shelves->complaint()->text().isEmpty());
        CHECK(shelves->edit()->accessibleDescription() == shelves->complaint()->text());
    }
    p.type(shelves, "3");
    CHECK(p.session.plan().kitchen.shelves == 3);
    CHECK(shelves->complaint()->text().isEmpty());
}

TEST_CASE("a bare number has the unit of its place: seconds drain, minutes cool, a tape says centimetres") {
    Program p;
    p.session.select("crater-bowl");
    p.answered();
    const auto field = [&](const char* place) {
        for (auto* f : p.window.shape()->findChildren<FigureField*>())
            if (f->place() == QString::fromLatin1(place)) return f;
        FAIL(place);
        return static_cast<FigureField*>(nullptr);
    };
    const auto coats = p.window.shape()->coats()->findChildren<FigureField*>();
    FigureField* drain = nullptr;
    for (auto* f : coats)
        if (f->place().endsWith("/drain") && !drain) drain = f;
    REQUIRE(drain);
    Program::type(drain, "42");
    CHECK(p.piece().coats().front().drain.value == 42);
    Program::type(field("former/girth"), "40");
    CHECK(p.piece().shape.values.at("girth").value == Approx(0.40));
    Program::type(field("former/dip"), "66");
    CHECK(p.piece().shape.values.at("dip").value == Approx(0.066));
    // a figure that nobody typed is shown in it too
    p.session.editPiece("Another balloon", [](Piece& piece) { piece.shape.values["girth"] = Measure(0.385); });
    p.answered();
    CHECK(field("former/girth")->edit()->text() == "38.5 cm");
    // in the other units it is theirs
    p.session.document().edit("Switch", [](Plan& plan) { switchUnits(plan, UnitSystem::US); });
    p.answered();
    Program::type(field("former/girth"), "15");
    CHECK(p.piece().shape.values.at("girth").value == Approx(15 * 0.0254));
}

TEST_CASE("an hour that is none is told beside its field") {
    Program p;
    p.answered();
    QTest::keyClick(&p.window, Qt::Key_Comma, Qt::ControlModifier);
    p.type(p.window.findChild<Field*>("kitchen/hands"), "2");
    auto* from = p.window.findChild<Field*>("kitchen/helpers/0/from");
    REQUIRE(from);
    REQUIRE(from->isEnabled());
    const std::string was = p.session.plan().kitchen.helpers.at(0).from;
    p.type(from, "soon");
    CHECK(from->complaint()->text().contains("not a time of day"));
    CHECK(p.session.plan().kitchen.helpers.at(0).from == was);
    p.type(from, "17:30");
    CHECK(p.session.plan().kitchen.helpers.at(0).from == "17:30");
    CHECK(from->complaint()->text().isEmpty());
}

TEST_CASE("what is wrong in a field goes when its figure changes by another way") {
    Program p;
    p.answered();
    auto* recipe = p.window.findChild<QWidget*>("recipe");
    REQUIRE(recipe);
    auto* girth = recipe->findChild<FigureField*>("former/girth");
    REQUIRE(girth);
    const QString before = girth->edit()->text();
    p.type(girth, "52 cm");
    p.answered();
    p.type(girth, "9 m");
    CHECK_FALSE(girth->complaint()->text().isEmpty());
    p.session.document().undo();
    p.answered();
    girth->edit()->clearFocus();
    CHECK(girth->edit()->text() == before);
    CHECK(girth->complaint()->text().isEmpty());
}

}  // namespace field_test
