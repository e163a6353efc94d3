// The making as cards in the real window: steps are added, moved, put right and taken out.
#include <QComboBox>
#include <QMenu>

#include "desktop/shape/plain_card.h"
#include "program.h"

namespace making_test {

namespace {

StepCards* cards(Program& p) { return p.window.shape()->coats(); }

/// Chooses a step in the menu of the button.
void addStep(Program& p, size_t kind) {
    QTest::mouseClick(p.window.findChild<QPushButton*>("addStep"), Qt::LeftButton);
    auto* menu = qobject_cast<QMenu*>(QApplication::activePopupWidget());
    REQUIRE(menu);
    auto* action = menu->findChild<QAction*>(QStringLiteral("addStep%1").arg(kind));
    REQUIRE(action);
    action->trigger();
    menu->close();
    p.answered();
}

PlainCard* cardOf(Program& p, size_t at) { return dynamic_cast<PlainCard*>(cards(p)->steps().at(at)); }

size_t placeOf(const Piece& piece, size_t kind) {
    for (size_t i = 0; i < piece.making.size(); ++i)
        if (piece.making[i].index() == kind) return i;
    return 99;
}

QString result(PlainCard* card) {
    QString last;
    for (auto* l : card->findChildren<QLabel*>()) last = l->text();
    return last;
}

constexpr size_t kInsert = 2, kTop = 3, kFill = 8, kLid = 9, kDecorate = 10, kStore = 11, kServe = 12;

}  // namespace

TEST_CASE("a topping is added from the menu, its page opened, and it says when it holds") {
    Program p;
    const Plan before = p.session.plan();
    addStep(p, kTop);
    const size_t at = placeOf(p.piece(), kTop);
    REQUIRE(at < p.piece().making.size());
    CHECK(at == p.piece().coats().size());  // right after its last coat
    auto* card = cardOf(p, at);
    REQUIRE(card);
    CHECK(result(card).contains("holds"));
    p.type(card->field(QStringLiteral("making/%1/each").arg(at)), "12 g");
    CHECK(std::get<TopStep>(p.piece().making[at]).each.value == Approx(0.012));
    p.answered();
    QTest::mouseClick(cardOf(p, at)->findChild<QPushButton*>("stepDetails"), Qt::LeftButton);
    auto* page = p.window.sheet()->findChild<QWidget*>("toppingPage");
    REQUIRE(page);
    for (auto* f : page->findChildren<FigureField*>())
        if (f->place() == "topping/grain") p.type(f, "25 mm");
    p.answered();
    QTest::qWait(30);
    CHECK(result(cardOf(p, at)).contains("slides"));
    auto* answer = p.window.shape()->answers()->view("topping/cocoa-nibs");
    REQUIRE(answer);
    CHECK(answer->answer().tone == Tone::Weak);
    while (p.session.document().canUndo()) p.session.document().undo();
    CHECK(p.session.plan() == before);
}

TEST_CASE("a step out of order says why on its card, and one click puts it right") {
    Program p;
    p.session.select("moon");
    p.answered();
    const Making before = p.piece().making;
    const size_t fill = placeOf(p.piece(), kFill);
    auto* card = cards(p)->steps().at(fill);
    card->setFocus();
    QTest::keyClick(card, Qt::Key_Right, Qt::AltModifier);  // filled after it is closed
    p.answered();
    CHECK(placeOf(p.piece(), kFill) == fill + 1);
    auto* wrong = cards(p)->steps().at(fill + 1)->findChild<QLabel*>("orderBreak");
    REQUIRE(wrong);
    CHECK(wrong->isVisible());
    CHECK(wrong->text().contains("closed"));
    QTest::mouseClick(cards(p)->steps().at(fill + 1)->findChild<QPushButton*>("putRight"), Qt::LeftButton);
    p.answered();
    CHECK(p.piece().making == before);
    p.session.document().undo();
    p.answered();
    CHECK(p.window.shape()->answers()->view("order/closed"));
}

TEST_CASE("each kind of step can be added, shows a card, is taken out by Delete and taken back") {
    Program p;
    for (const char* id : {"crater-bowl", "meteorite", "specimen-basket"}) {
        p.session.select(id);
        p.answered();
        for (const size_t kind : {kInsert, kTop, kFill, kDecorate, size_t{4}, kServe}) {
            INFO(id << " " << kind);
            const Making before = p.piece().making;
            addStep(p, kind);
            REQUIRE(p.piece().making.size() == before.size() + 1);
            REQUIRE(cards(p)->steps().size() == p.piece().making.size());
            size_t at = 0;
            while (at < before.size() && before[at] == p.piece().making[at]) ++at;
            CHECK(p.piece().making[at].index() == kind);
            auto* card = cards(p)->steps().at(at);
            CHECK_FALSE(card->accessibleName().isEmpty());
            CHECK(p.session.pieceAnswers(id)->problems.empty());
            card->setFocus();
            QTest::keyClick(card, Qt::Key_Delete);
            p.answered();
            CHECK(p.piece().making == before);
        }
    }
}

TEST_CASE("a lid is offered once there is a filling, and says its grams, an empty cup's lid is a break of order") {
    Program p;
    p.session.select("lens-cup");
    p.answered();
    addStep(p, kLid);
    const size_t lid = placeOf(p.piece(), kLid);
    CHECK(lid == placeOf(p.piece(), kFill) + 1);
    CHECK(result(cardOf(p, lid)).contains("g"));
    auto* fill = cards(p)->steps().at(lid - 1);
    fill->setFocus();
    QTest::keyClick(fill, Qt::Key_Delete);
    p.answered();
    CHECK(p.window.shape()->answers()->view("order/lid-alone"));
}

TEST_CASE("what stands in a piece is chosen among the plan's pieces, and the card follows") {
    Program p;
    p.session.select("lens-cup");
    p.answered();
    addStep(p, kInsert);
    const size_t at = placeOf(p.piece(), kInsert);
    auto* box = cardOf(p, at)->findChild<QComboBox*>();
    REQUIRE(box);
    const int meteorite = box->findText("meteorite");
    REQUIRE(meteorite >= 3);
    box->setCurrentIndex(meteorite);
    emit box->activated(meteorite);
    p.answered();
    CHECK(std::get<InsertStep>(p.piece().making[at]).piece == "meteorite");
    CHECK(p.window.shape()->answers()->view("stands-in/meteorite"));
    CHECK(p.session.answers()->day);
}

TEST_CASE("where a piece is kept is chosen on its card") {
    Program p;
    p.session.select("comet-cone");
    p.answered();
    const size_t at = placeOf(p.piece(), kStore);
    auto* box = cardOf(p, at)->findChild<QComboBox*>();
    box->setCurrentIndex(1);
    emit box->activated(1);
    CHECK(std::get<StoreStep>(p.piece().making[at]).where == StoreStep::Where::Fridge);
    p.session.document().undo();
    CHECK(std::get<StoreStep>(p.piece().making[at]).where == StoreStep::Where::Box);
}

}  // namespace making_test
