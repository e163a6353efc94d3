// The page that looks for ways to another wall, in the real window.
#include <QComboBox>
#include <QFrame>

#include "desktop/shape/advisor_page.h"
#include "program.h"

namespace advisor_test {

namespace {

AdvisorPage* opened(Program& p) {
    auto* button = p.window.shape()->answers()->findChild<QPushButton*>("adviceWanted");
    REQUIRE(button);
    QTest::mouseClick(button, Qt::LeftButton);
    auto* page = p.window.sheet()->findChild<AdvisorPage*>("advisor");
    REQUIRE(page);
    REQUIRE(QTest::qWaitFor([&] { return !page->isLooking(); }, kPatience));
    return page;
}

}  // namespace

TEST_CASE("ways to another wall are found, taken with one click and taken back") {
    Program p;
    auto* page = opened(p);
    const auto takes = page->findChildren<QPushButton*>("adviceTake");
    REQUIRE(takes.size() >= 1);
    const std::vector<PlannedCoat> before = p.session.piece()->coats();
    QTest::mouseClick(takes.back(), Qt::LeftButton);
    CHECK_FALSE(std::vector<PlannedCoat>(p.session.piece()->coats()) == before);
    p.answered();
    p.session.document().undo();
    CHECK(std::vector<PlannedCoat>(p.session.piece()->coats()) == before);
}

TEST_CASE("an impossible wish is said in words, another wish is looked for at once") {
    Program p;
    auto* page = opened(p);
    auto* field = page->findChild<FigureField*>();
    REQUIRE(field);
    field->edit()->setFocus();
    field->edit()->selectAll();
    QTest::keyClicks(field->edit(), "25 mm");
    QTest::keyClick(field->edit(), Qt::Key_Return);
    REQUIRE(QTest::qWaitFor([&] { return !page->isLooking() && page->findChild<QLabel*>("advisorImpossible"); },
                            kPatience));
    CHECK(page->findChild<QLabel*>("advisorImpossible")->text().contains("cannot leave"));
    auto* wish = page->findChild<QComboBox*>("advisorWish");
    wish->setCurrentIndex(3);
    emit wish->activated(3);
    REQUIRE(QTest::qWaitFor([&] { return !page->isLooking(); }, kPatience));
    CHECK(page->findChildren<QPushButton*>("adviceTake").size() >= 1);
    auto* now = page->findChildren<FigureField*>().back();
    now->edit()->selectAll();
    QTest::keyClicks(now->edit(), "0 g");
    QTest::keyClick(now->edit(), Qt::Key_Return);
    REQUIRE(QTest::qWaitFor([&] { return !page->isLooking(); }, kPatience));
    CHECK(now->complaint()->text().contains("more than nothing"));
}

TEST_CASE("looking can be stopped, and closing the page leaves nothing behind") {
    Program p;
    auto* button = p.window.shape()->answers()->findChild<QPushButton*>("adviceWanted");
    REQUIRE(button);
    QTest::mouseClick(button, Qt::LeftButton);
    auto* page = p.window.sheet()->findChild<AdvisorPage*>("advisor");
    REQUIRE(page);
    CHECK(page->isLooking());
    QTest::mouseClick(page->findChild<QPushButton*>("advisorStop"), Qt::LeftButton);
    CHECK_FALSE(page->isLooking());
    CHECK(page->findChildren<QPushButton*>("adviceTake").isEmpty());
    QTest::mouseClick(page->findChild<QPushButton*>("advisorLook"), Qt::LeftButton);
    QTest::keyClick(p.window.sheet(), Qt::Key_Escape);
    QTest::qWait(300);
    p.assumed("specimen-basket");  // without coats there is no such button
    CHECK(p.window.shape()->answers()->findChild<QPushButton*>("adviceWanted") == nullptr);
}

TEST_CASE("a part's wall is computed from its coats at a click, shown on the stage, and assumed again at another") {
    Program p;
    p.session.select("moon");
    p.session.editPiece("Try a family", [](Piece& piece) {
        piece.shape = form::usual("tart");
        piece.coatWith({});
    });
    p.answered();
    auto* column = p.window.shape()->answers();
    auto* button = column->findChild<QPushButton*>("wallFromCoats");
    REQUIRE(button);
    CHECK(p.window.shape()->recipe()->field("former/wall"));
    QTest::mouseClick(button, Qt::LeftButton);
    p.answered();
    REQUIRE(p.session.piece()->coats().size() == 2);
    const auto a = p.session.pieceAnswers("moon");
    REQUIRE(a->made->wall);
    CHECK(p.window.shape()->recipe()->field("former/wall") == nullptr);
    const auto& bodies = p.window.shape()->solid()->scene().bodies;
    REQUIRE_FALSE(bodies.empty());
    const auto [thin, thick] = std::minmax_element(bodies[0].wall.begin(), bodies[0].wall.end());
    CHECK(*thick > *thin + 1e-4f);  // a map, not one colour
    button = column->findChildren<QPushButton*>("wallFromCoats").back();
    CHECK(button->text().contains("Assume"));
    QTest::mouseClick(button, Qt::LeftButton);
    p.answered();
    CHECK(p.session.piece()->coats().empty());
    CHECK_FALSE(p.session.pieceAnswers("moon")->made->wall);
    CHECK(p.window.shape()->recipe()->field("former/wall"));
}

}  // namespace advisor_test
