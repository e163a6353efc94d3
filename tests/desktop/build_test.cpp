// Build: the order of a piece's parts, walked through by mouse and key.
#include <QSlider>

#include "desktop/build/build_place.h"
#include "desktop/shell/sheet.h"
#include "program.h"

namespace build_test {

namespace {

BuildPlace* build(Program& p, const char* id) {
    p.session.select(id);
    QTest::keyClick(&p.window, Qt::Key_F3);
    p.answered();
    auto* place = p.window.build();
    REQUIRE(place->isVisible());
    return place;
}

QString words(BuildPlace* place, const char* name) { return place->findChild<QLabel*>(name)->text(); }

}  // namespace

TEST_CASE("the observatory is put together step by step: slider, pictures, joints and keys lead through it") {
    Program p;
    auto* place = build(p, "observatory");
    const auto& pictures = place->strip()->pictures();
    REQUIRE(pictures.size() >= 10);
    CHECK(words(place, "buildAbout").startsWith("11 parts, 18 joints"));
    auto* slider = place->findChild<QSlider*>("buildSlider");
    CHECK(slider->maximum() == static_cast<int>(pictures.size()));
    const QString second = words(place, "stepWhat");
    slider->setFocus();
    QTest::keyClick(slider, Qt::Key_End);
    CHECK(place->step() == pictures.size());
    CHECK(words(place, "stepWhat") != second);
    CHECK(place->stage()->scene().scene.bodies.size() == 11);
    for (const auto& l : place->stage()->scene().labels) CHECK(l.when == When::Now);
    pictures[0]->click();
    CHECK(place->step() == 1);
    CHECK(pictures[0]->isChecked());
    CHECK(place->stage()->scene().scene.bodies.size() > 11);  // something stands beside the first wall
    QTest::keyClick(place, Qt::Key_PageDown);
    CHECK(place->step() == 2);
    QTest::qWait(20);                                                    // what was there before is gone then
    auto* joint = place->joints()->findChild<QPushButton*>("joint/17");  // the tube on its dome
    REQUIRE(joint);
    CHECK(joint->accessibleDescription().contains("step"));
    joint->click();
    CHECK(place->step() > 8);
}

TEST_CASE("the pictures of the strip are painted by and by, and the stage turns under a hand and by keys") {
    Program p;
    auto* place = build(p, "specimen-basket");
    REQUIRE(place->strip()->pictures().size() == 2);
    REQUIRE(QTest::qWaitFor(
        [&] {
            const QImage now = place->strip()->pictures()[1]->grab().toImage();
            int dark = 0;
            for (int y = 0; y < now.height(); ++y)
                for (int x = 0; x < now.width(); ++x) dark += qGray(now.pixel(x, y)) < 90;
            return dark > 60;
        },
        5000));
    const QImage before = place->stage()->grab().toImage();
    QTest::mousePress(place->stage(), Qt::LeftButton, {}, QPoint(200, 150));
    QTest::mouseMove(place->stage(), QPoint(260, 160));
    QTest::mouseRelease(place->stage(), Qt::LeftButton, {}, QPoint(260, 160));
    const QImage turned = place->stage()->grab().toImage();
    CHECK(turned != before);
    place->stage()->setFocus();
    QTest::keyClick(place->stage(), Qt::Key_Left);
    CHECK(place->stage()->grab().toImage() != turned);
    QTest::keyClick(place->stage(), Qt::Key_0);
}

TEST_CASE("a compound that is opened lets each joint be glued its own way; it is undone like all else") {
    Program p;
    auto* place = build(p, "observatory");
    auto* open = place->findChild<QPushButton*>("openCompound");
    REQUIRE(open->isVisible());
    open->click();
    p.answered();
    CHECK(p.piece().shape.family == form::kAssembly);
    CHECK_FALSE(open->isVisible());
    auto* glue = place->joints()->findChild<QComboBox*>("jointGlue/0");
    REQUIRE(glue);
    glue->setFocus();
    QTest::keyClick(glue, Qt::Key_Down);
    QTest::keyClick(glue, Qt::Key_Down);
    p.answered();
    CHECK_FALSE(p.piece().shape.joints[0].glue.empty());
    const auto joints = p.piece().shape.joints.size();
    p.session.editPiece("Take joints out", [](Piece& x) { x.shape.joints.resize(2); });
    p.answered();
    auto* more = place->joints()->findChild<QPushButton*>("glueTouching");
    REQUIRE(more);
    more->click();
    p.answered();
    CHECK(p.piece().shape.joints.size() >= joints - 1);
    p.session.document().undo();
    p.answered();
    CHECK(p.piece().shape.joints.size() == 2);
}

TEST_CASE("Build says what is wrong: a part that floats, a piece made in one, an empty shelf") {
    Program p;
    auto* place = build(p, "observatory");
    place->findChild<QPushButton*>("openCompound")->click();
    p.answered();
    p.session.editPiece("Lift the dome", [](Piece& x) {
        if (auto* dome = form::itemOf(x.shape, "dome")) dome->at[2] = Measure(dome->at[2].value + 0.06);
    });
    p.answered();
    QString all;
    for (auto* v : place->joints()->findChildren<AnswerView*>()) all += v->accessibleName();
    CHECK(all.contains("touches nothing"));
    p.session.select("crater-bowl");
    CHECK_FALSE(place->stage()->isVisible());
    p.session.document().setPlan(Plan{}, {});
    QTest::qWait(30);
    CHECK_FALSE(place->stage()->isVisible());
}

namespace {

/// A part from the menu of parts, as a mouse finds it: group, then family.
void addPart(Program& p, const QString& group, const QString& family) {
    auto* menu = p.window.build()->bar()->findChild<QPushButton*>("handAdd")->menu();
    for (auto* g : menu->actions())
        if (g->text() == group) {
            emit g->menu()->aboutToShow();
            for (auto* a : g->menu()->actions())
                if (a->text() == family) {
                    a->trigger();
                    p.answered();
                    return;
                }
        }
    FAIL("no " + family.toStdString());
}

/// Types into one of the figures of the chosen part.
void typed(Program& p, const QString& field, const QString& words) {
    auto* bar = p.window.build()->bar();
    const QString place = QStringLiteral("former/items/%1/%2").arg(p.window.build()->hand()->chosen(), field);
    auto* f = bar->findChild<FigureField*>(place);
    REQUIRE(f);
    f->edit()->setFocus();
    f->edit()->selectAll();
    QTest::keyClicks(f->edit(), words);
    QTest::keyClick(f->edit(), Qt::Key_Return);
    INFO(place.toStdString());
    CHECK(!f->isRefused());
    p.answered();
    QTest::qWait(20);
}

void say(Program& p, const QString& words) {
    auto* where = p.window.build()->bar()->where();
    where->edit()->setFocus();
    where->edit()->clear();
    QTest::keyClicks(where->edit(), words);
    QTest::keyClick(where->edit(), Qt::Key_Return);
    INFO(words.toStdString() << ": " << where->complaint()->text().toStdString());
    CHECK(!where->isRefused());
    p.answered();
}

/// A press on a part, a way with the mouse, and let go.
void drag(Program& p, const QString& key, const QPoint& by, Qt::KeyboardModifiers with = {}) {
    auto* stage = p.window.build()->hand();
    const QPoint from = stage->placeOf(key);
    QTest::mousePress(stage, Qt::LeftButton, with, from);
    for (int k = 1; k <= 5; ++k) {
        QMouseEvent e(QEvent::MouseMove, from + by * k / 5, stage->mapToGlobal(from + by * k / 5), Qt::NoButton,
                      Qt::LeftButton, with);
        QApplication::sendEvent(stage, &e);
    }
    QTest::mouseRelease(stage, Qt::LeftButton, with, from + by);
    p.answered();
}

form::Part shapeOf(Program& p) { return p.session.piece()->shape; }
const form::PartItem& itemOf(Program& p, const QString& key) {
    static form::Part kept;
    kept = shapeOf(p);
    const auto* item = form::itemOf(kept, key.toStdString());
    REQUIRE(item);
    return *item;
}

void startFromParts(Program& p) {
    QTest::keyClick(&p.window, Qt::Key_F3);
    p.answered();
    p.window.build()->findChild<QPushButton*>("startFromParts")->click();
    p.answered();
    REQUIRE(p.window.build()->byHand());
    REQUIRE(shapeOf(p).items.size() == 2);  // a disc and a half ball to begin with
}

bool everyStateStands(Program& p) {
    const auto answers = p.session.pieceAnswers(p.session.piece()->id);
    REQUIRE(answers);
    REQUIRE(answers->together);
    CHECK(answers->together->found.afloat.empty());
    CHECK(answers->together->found.cuts.empty());
    CHECK(answers->together->order.stuck == assembly::kTable);
    return answers->together->order.stands;
}

}  // namespace

TEST_CASE("a bowl with leaves round its rim is built by hand: menu, words, mouse and keys") {
    Program p;
    startFromParts(p);
    auto* stage = p.window.build()->hand();
    // the half ball opens upwards on the disc; leaves go round its rim
    stage->choose("disc");
    typed(p, "diameter", "110 mm");
    stage->choose("half-ball");
    say(p, "on the disc");
    addPart(p, "Sheets and piping", "Sheet part cut by template");
    REQUIRE(stage->chosen() == "sheet");
    typed(p, "length", "16 mm");
    typed(p, "width", "10 mm");
    say(p, "on the rim of the half ball, repeat 6 round the rim");
    CHECK(shapeOf(p).items.size() == 8);
    CHECK(shapeOf(p).joints.size() == 7);  // the half ball on its disc and six leaves
    CHECK(everyStateStands(p));
    // one of them is taken by the mouse and put on the disc
    const auto before = itemOf(p, "sheet-2").at;
    drag(p, "sheet-2", QPoint(90, 60));
    const auto after = itemOf(p, "sheet-2").at;
    CHECK(std::abs(after[0].value - before[0].value) + std::abs(after[1].value - before[1].value) > 5e-3);
    CHECK(after[2].value < before[2].value);  // it lies lower than on the rim
    // undone, redone
    QTest::keyClick(&p.window, Qt::Key_Z, Qt::ControlModifier);
    p.answered();
    CHECK(itemOf(p, "sheet-2").at == before);
    // keys: 1 mm, 10 mm, up; turned; taken out
    stage->setFocus();
    stage->choose("disc");
    const double x = itemOf(p, "disc").at[0].value;
    QTest::keyClick(stage, Qt::Key_Right, Qt::ShiftModifier);
    p.answered();
    const auto& disc = itemOf(p, "disc");
    CHECK(std::hypot(disc.at[0].value - x, disc.at[1].value) == Approx(0.01).margin(1e-5));
    stage->choose("sheet-3");
    QTest::keyClick(stage, Qt::Key_Delete);
    p.answered();
    CHECK(!form::itemOf(shapeOf(p), "sheet-3"));
    CHECK(shapeOf(p).items.size() == 7);
}

TEST_CASE("a stand of two walls and a shelf is built by hand, and its order is found") {
    Program p;
    startFromParts(p);
    auto* stage = p.window.build()->hand();
    stage->choose("half-ball");
    p.window.build()->bar()->findChild<QPushButton*>("hand/Take out")->click();
    p.answered();
    stage->choose("disc");
    typed(p, "diameter", "160 mm");
    addPart(p, "Sheets and piping", "Sheet part cut by template");
    typed(p, "length", "60 mm");
    typed(p, "width", "50 mm");
    typed(p, "thickness", "6 mm");
    say(p, "on the disc, standing, turned 90°, 30 mm to the left, mirror left to right");
    CHECK(shapeOf(p).items.size() == 3);
    CHECK(itemOf(p, "sheet").at[0].value == Approx(-itemOf(p, "sheet-2").at[0].value).margin(7e-3));
    addPart(p, "Sheets and piping", "Sheet part cut by template");
    const QString shelf = stage->chosen();
    typed(p, "length", "90 mm");
    typed(p, "width", "60 mm");
    say(p, "centred on the disc");  // it comes down on the walls
    CHECK(itemOf(p, shelf).at[2].value == Approx(0.005 + 0.05).margin(2e-3));
    CHECK(shapeOf(p).joints.size() == 4);
    CHECK(everyStateStands(p));
    p.window.build()->findChild<QPushButton*>("buildInOrder")->click();
    CHECK(p.window.build()->strip()->pictures().size() == 4);
    // what is said wrongly is told beside the field and changes nothing
    p.window.build()->findChild<QPushButton*>("buildByHand")->click();
    auto* where = p.window.build()->bar()->where();
    const auto was = shapeOf(p);
    QTest::keyClicks(where->edit(), "on the chimney");
    QTest::keyClick(where->edit(), Qt::Key_Return);
    CHECK(where->complaint()->text().contains("no part “chimney”"));
    CHECK(shapeOf(p) == was);
}

TEST_CASE("an opened basket is built on: a figure of the plan beside it, lifted with Shift, joints dropped by hand") {
    Program p;
    auto* place = build(p, "specimen-basket");
    place->findChild<QPushButton*>("openCompound")->click();
    p.answered();
    REQUIRE(place->byHand());
    auto* stage = place->hand();
    addPart(p, "From this plan", "Crater bowl");
    const QString bowl = stage->chosen();
    CHECK(itemOf(p, bowl).name == "Crater bowl");
    say(p, "right of the basket");
    CHECK(itemOf(p, bowl).at[2].value == Approx(0).margin(0.2));
    const double up = itemOf(p, bowl).at[2].value;
    drag(p, bowl, QPoint(0, -60), Qt::ShiftModifier);
    CHECK(itemOf(p, bowl).at[2].value > up + 0.005);
    const auto answers = p.session.pieceAnswers("specimen-basket");
    REQUIRE(answers->together);
    CHECK(answers->together->found.afloat.size() == 1);  // and it is told
    const size_t joints = shapeOf(p).joints.size();
    QTest::qWait(20);
    place->joints()->findChild<QPushButton*>("jointDrop/0")->click();
    p.answered();
    CHECK(shapeOf(p).joints.size() == joints - 1);
}

TEST_CASE("a hung figure of two bought halves is built by hand: one turned over on the other, the cord, the order") {
    Program p;
    startFromParts(p);
    auto* stage = p.window.build()->hand();
    for (const char* key : {"half-ball", "disc"}) {
        stage->choose(key);
        p.window.build()->bar()->findChild<QPushButton*>("hand/Take out")->click();
        p.answered();
        QTest::qWait(20);
        if (shapeOf(p).items.size() == 1) break;
    }
    addPart(p, "In a mold", "Bought mold without a file");
    const QString lower = stage->chosen();
    addPart(p, "In a mold", "Bought mold without a file");
    const QString upper = stage->chosen();
    REQUIRE(upper != lower);
    const QString rest = shapeOf(p).items.front().key == lower.toStdString() ? QString() : "disc";
    if (!rest.isEmpty() && form::itemOf(shapeOf(p), "disc")) {
        stage->choose(rest);
        p.window.build()->bar()->findChild<QPushButton*>("hand/Take out")->click();
        p.answered();
    }
    REQUIRE(shapeOf(p).items.size() == 2);
    stage->choose(upper);
    say(p, "upside down, on the " + QString::fromStdString(itemOf(p, lower).name).toLower());
    CHECK(itemOf(p, upper).at[2].value > itemOf(p, lower).at[2].value);
    CHECK(shapeOf(p).joints.size() == 1);
    p.session.editPiece("hung", [](Piece& piece) { piece.shape.choices["carried"] = "hung from its cord"; });
    p.answered();
    CHECK(everyStateStands(p));
    const auto answers = p.session.pieceAnswers(p.session.piece()->id);
    CHECK(answers->together->order.steps.size() == 2);
    CHECK(answers->together->glues.size() == 1);
}

TEST_CASE("steps are dragged to another order, a bad one is refused with the part that falls, and one is found again") {
    Program p;
    auto* place = build(p, "observatory");
    const auto order = [&] { return firstOf<JoinStep>(p.session.piece()->making)->order; };
    REQUIRE(order().empty());
    const size_t n = place->strip()->pictures().size();
    // the dome before the walls: it would lie on nothing
    auto* last = place->strip()->pictures()[n - 2];
    last->setFocus();
    const auto drop = [&](StepPicture* picture, int by) {
        const QPoint at = picture->rect().center();
        QTest::mousePress(picture, Qt::LeftButton, {}, at);
        for (int k = 1; k <= 4; ++k) {
            QMouseEvent e(QEvent::MouseMove, at + QPoint(by / 4, 0), picture->mapToGlobal(at), Qt::NoButton,
                          Qt::LeftButton, {});
            QApplication::sendEvent(picture, &e);
        }
        QTest::mouseRelease(picture, Qt::LeftButton, {}, at);
        p.answered();
    };
    drop(last, -2000);
    CHECK(order().empty());
    CHECK(words(place, "stepWhat").startsWith("Not in this order"));
    CHECK(words(place, "stepHow").contains("stays"));
    // two walls change their places by the keys: that stands
    QTest::qWait(20);
    auto* third = place->strip()->pictures()[2];
    third->setFocus();
    QTest::keyClick(third, Qt::Key_Right, Qt::ControlModifier);
    p.answered();
    REQUIRE(order().size() == 11);
    CHECK(p.session.pieceAnswers("observatory")->together->asked);
    CHECK(p.session.pieceAnswers("observatory")->together->order.stuck == assembly::kTable);
    auto* find = place->findChild<QPushButton*>("findOrder");
    REQUIRE(find->isVisible());
    find->click();
    p.answered();
    CHECK(order().empty());
    CHECK_FALSE(find->isVisible());
}

TEST_CASE("what broke is looked up: a part, its ways, minutes and grams") {
    Program p;
    auto* place = build(p, "specimen-basket");
    place->joints()->findChild<QPushButton*>("mend")->click();
    auto* page = p.window.sheet()->findChild<QWidget*>("mendPage");
    REQUIRE(page);
    CHECK(page->findChild<QLabel*>("mendWay/0")->text().startsWith("Score both faces"));
    const int before = int(page->findChildren<QLabel*>().size());
    auto* part = page->findChild<QComboBox*>("mendPart");
    REQUIRE(part->count() == 2);
    part->setCurrentIndex(1);
    emit part->activated(1);
    QTest::qWait(20);
    CHECK(page->findChild<QLabel*>("mendWay/2"));
    CHECK(page->findChildren<QLabel*>().size() >= before);  // the handle can have pegs
}

}  // namespace build_test
