// Assemblies of one's own in the real window: opened, moved, glued, coloured part by part.
#include <QAction>
#include <QComboBox>
#include <QMenu>
#include <QPushButton>

#include "program.h"

namespace assembly_test {

namespace {

QPushButton* button(Program& p, const char* name) { return p.window.findChild<QPushButton*>(QLatin1String(name)); }

QComboBox* box(Program& p, const QString& called) {
    for (auto* b : p.window.shape()->recipe()->findChildren<QComboBox*>())
        if (b->accessibleName() == called && b->isVisible()) return b;
    return nullptr;
}

void pick(QComboBox* b, const QString& word) {
    REQUIRE(b);
    const int i = b->findText(word);
    REQUIRE(i >= 0);
    b->setCurrentIndex(i);
    emit b->activated(i);
}

void choosePart(Program& p, const QString& key) {
    p.window.shape()->items()->choose(key);
    QTest::qWait(10);
    REQUIRE(p.window.shape()->items()->chosen() == key);
}

}  // namespace

TEST_CASE("a compound is opened, and one of its parts moved, glued elsewhere and taken out") {
    Program p;
    p.session.select("specimen-basket");
    p.answered();
    const double whole = p.grams();
    REQUIRE(button(p, "openParts"));
    QTest::mouseClick(button(p, "openParts"), Qt::LeftButton);
    p.answered();
    CHECK(p.piece().shape.family == form::kAssembly);
    CHECK(p.grams() == Approx(whole).epsilon(1e-9));
    CHECK_FALSE(button(p, "openParts"));

    choosePart(p, "handle");
    auto* recipe = p.window.shape()->recipe();
    p.type(recipe->field("former/items/handle/at/2"), "4 in");
    p.answered();
    CHECK(p.piece().shape.items[1].at[2].value == Approx(0.1016));
    CHECK(p.piece().shape.items[1].at[2].typed == "4 in");
    p.type(recipe->field("former/items/handle/turn/2"), "45");
    p.answered();
    const auto& pose = p.session.pieceAnswers(p.piece().id)->made->assembly.items[1].pose;
    CHECK(pose.at.z == Approx(0.1016));
    CHECK(p.grams() == Approx(whole).epsilon(1e-9));  // where it stands weighs nothing

    // a wrong figure is told beside its field, and the last answers stay
    p.type(recipe->field("former/items/handle/width"), "900 mm");
    REQUIRE(QTest::qWaitFor(
        [&] { return !p.session.piece() || recipe->field("former/items/handle/width")->complaint()->isVisible(); },
        kPatience));
    CHECK(recipe->field("former/items/handle/width")->complaint()->text().contains("must be between"));
    p.session.document().undo();
    p.answered();

    const size_t joints = p.piece().shape.joints.size();
    QTest::mouseClick(button(p, "addJoint"), Qt::LeftButton);
    p.answered();
    CHECK(p.piece().shape.joints.size() == joints + 1);
    REQUIRE(button(p, ("unglue/" + std::to_string(joints)).c_str()));
    QTest::mouseClick(button(p, ("unglue/" + std::to_string(joints)).c_str()), Qt::LeftButton);
    p.answered();
    CHECK(p.piece().shape.joints.size() == joints);

    QTest::mouseClick(button(p, "removePart"), Qt::LeftButton);
    p.answered();
    CHECK(p.piece().shape.items.size() == 1);
    CHECK(p.window.shape()->items()->chosen().isEmpty());
    for (int i = 0; i < 6; ++i) p.session.document().undo();  // removed, unglued, glued, turned, moved, opened
    p.answered();
    CHECK(p.piece().shape.family == std::string("basket"));
}

TEST_CASE("a part is added from the families and gets a chocolate of its own") {
    Program p;
    p.session.editPiece("An assembly", [](Piece& piece) {
        const std::string id = piece.id;
        piece = newPiece({}, form::kAssembly);
        piece.id = id;
    });
    p.answered();
    auto* add = button(p, "addPart");
    REQUIRE(add);
    REQUIRE(add->menu());
    QAction* leg = nullptr;
    for (auto* group : add->menu()->findChildren<QMenu*>())
        for (auto* a : group->actions())
            if (a->text() == "Leg") leg = a;
    REQUIRE(leg);
    leg->trigger();
    p.answered();
    REQUIRE(p.piece().shape.items.size() == 3);
    CHECK(p.window.shape()->items()->cards().size() == 4);

    choosePart(p, "half-ball");
    pick(box(p, "Chocolate of this part"), "white couverture");
    p.answered();
    REQUIRE(p.piece().casts().size() == 2);
    CHECK(p.piece().casts()[1].item == "half-ball");
    CHECK(std::ranges::any_of(p.session.answers()->pots, [](const auto& pot) { return pot.key.chocolate == "white"; }));
    // and says so on its step card
    CHECK(std::ranges::any_of(p.window.shape()->coats()->findChildren<QLabel*>(),
                              [](QLabel* l) { return l->text().contains("Half ball"); }));
    pick(box(p, "Chocolate of this part"), "as the whole");
    p.answered();
    CHECK(p.piece().casts().size() == 1);
}

}  // namespace assembly_test
