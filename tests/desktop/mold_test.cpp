// The page of a mold of one's own and that of a decoration, in a real window.
#include <QCheckBox>
#include <QComboBox>
#include <QLabel>
#include <QPainter>
#include <QPushButton>
#include <QTemporaryDir>

#include "core/form/decimate.h"
#include "core/form/iso_surface.h"
#include "core/form/rock.h"
#include "program.h"

namespace {

QPushButton* press(Program& p, const char* name) {
    auto* b = p.window.sheet()->findChild<QPushButton*>(QString::fromLatin1(name));
    REQUIRE(b);
    b->click();
    return b;
}

FigureField* field(Program& p, const QString& place) {
    for (auto* f : p.window.sheet()->findChildren<FigureField*>())
        if (f->place() == place) return f;
    FAIL(place.toStdString());
    return nullptr;
}

void type(FigureField* f, const QString& words) {
    f->edit()->setFocus();
    f->edit()->setText(words);
    QTest::keyClick(f->edit(), Qt::Key_Return);
}

/// The chosen piece as an original: what it becomes is computed beside the window.
void cast(Program& p) {
    const std::string was = p.piece().id;
    p.window.shape()->cast();
    REQUIRE(QTest::qWaitFor([&] { return p.piece().id != was; }, kPatience));
    p.answered();
}

void openMold(Program& p) {
    p.session.select("meteorite");
    p.answered();
    p.window.shape()->recipe()->findChild<QPushButton*>("ownMold")->click();
    p.answered();
}

}  // namespace

TEST_CASE("the mold of a figure is shown on the stage while its page is open, and follows what is typed") {
    Program p;
    openMold(p);
    CHECK(p.window.shape()->solid()->showsFilm());
    CHECK(p.window.shape()->solid()->scene().keys.size() >= 2);
    CHECK(!p.window.shape()->solid()->scene().arrows.empty());
    auto* said = p.window.sheet()->findChild<QLabel*>("moldSaid");
    CHECK(said->text().contains("silicone for its mold"));
    // what is typed is in the plan, and the sentence follows
    type(field(p, "mold/partsA"), "2");
    p.answered();
    CHECK(p.piece().mold.partsA == 2);
    CHECK(said->text().contains("2 to 1"));
    // a day before, until it is there
    auto* there = p.window.sheet()->findChild<QCheckBox*>("moldThere");
    CHECK(there->isChecked() == p.piece().mold.there);
    if (there->isChecked()) there->click();
    p.answered();
    CHECK(p.session.answers()->day->before.size() == 1);
    there->click();
    p.answered();
    CHECK(p.session.answers()->day->before.empty());
    // a sentence beside its field, the plan stays as it was
    type(field(p, "mold/wall"), "900 mm");
    p.answered();
    CHECK(field(p, "mold/wall")->complaint()->text().contains("between 3 and 50 mm"));
    CHECK(p.piece().mold.wall.value == 0.009);
    // gone with its page, and with another piece
    p.session.select("moon");
    CHECK(!p.window.shape()->solid()->showsFilm());
    p.session.select("meteorite");
    p.answered();
    CHECK(p.window.shape()->solid()->showsFilm());
    p.window.sheet()->hide();
    CHECK(!p.window.shape()->solid()->showsFilm());
}

TEST_CASE("what comes out whole is not cut; a foot and a hollow change the model, and are undone") {
    Program p;
    openMold(p);
    auto* trouble = p.window.sheet()->findChild<QLabel*>("moldTrouble");
    press(p, "moldCut");
    REQUIRE(QTest::qWaitFor([&] { return trouble->isVisible(); }, kPatience));
    CHECK(trouble->text().contains("comes out whole"));
    const double before = p.grams();
    press(p, "moldFoot");
    p.answered();
    CHECK(p.piece().shape.mesh != "meteorite");
    CHECK(p.grams() != before);
    p.session.document().undo();
    p.answered();
    CHECK(p.piece().shape.mesh == "meteorite");
    CHECK(p.grams() == before);
    press(p, "moldHollow");
    p.answered();
    CHECK(p.grams() < before);
    p.session.document().undo();
    p.answered();
}

TEST_CASE("a branching figure is cut apart by one button, in one step that can be taken back") {
    Program p;
    Plan plan;
    plan.deadline = p.session.plan().deadline;
    plan.meshes["twig"] = std::make_shared<const form::Mesh>(*form::decimated(form::seedHead(0.11, 70), 6000));
    plan.pieces = {newPiece(plan, "mesh")};
    Piece& twig = plan.pieces[0];
    twig.shape.mesh = "twig";
    twig.shape.values["scale"] = Measure(1);
    twig.complete();
    const std::string id = twig.id;
    p.session.document().setPlan(plan, {});
    p.session.select(QString::fromStdString(id));
    p.answered();
    p.window.shape()->recipe()->findChild<QPushButton*>("ownMold")->click();
    p.answered();
    press(p, "moldCut");
    REQUIRE(QTest::qWaitFor([&] { return p.piece().shape.family == form::kAssembly; }, kPatience));
    p.answered();
    auto* part = p.window.sheet()->findChild<QComboBox*>("moldPart");
    REQUIRE(part);
    CHECK(part->count() == static_cast<int>(p.piece().shape.items.size()));
    CHECK(p.session.pieceAnswers(id)->molds.size() == p.piece().shape.items.size());
    CHECK(p.window.shape()->solid()->showsFilm());
    part->setCurrentIndex(1);
    emit part->activated(1);
    CHECK(p.window.sheet()->findChild<QLabel*>("moldSaid")->text().contains("for the mold of the"));
    p.session.document().undo();
    p.answered();
    CHECK(p.piece().shape.family == "mesh");
}

TEST_CASE("any piece can be the original of a mold: a cast of it stands beside it, with the mold's page open") {
    Program p;
    for (const char* id : {"specimen-basket", "comet-cone"}) {
        INFO(id);
        p.session.select(id);
        p.answered();
        cast(p);
        CHECK(p.piece().shape.family == "mesh");
        CHECK(p.window.sheet()->title() == "Its own mold");
        const auto known = p.session.pieceAnswers(p.piece().id);
        REQUIRE(known->made);
        REQUIRE(known->molds.size() == 1);
        CHECK(known->molds[0].box.silicone > 0);
        CHECK(p.session.allProblems().empty());
        p.session.document().undo();
        p.answered();
    }
}

TEST_CASE("what no mold can be taken of says why, and stays as it is") {
    Program p;
    Plan plan = p.session.plan();
    plan.pieces = {newPiece(plan, "mesh")};  // no model yet
    p.session.document().setPlan(plan, {});
    p.session.select(QString::fromStdString(plan.pieces[0].id));
    p.answered();
    const Plan before = p.session.plan();
    p.window.shape()->cast();
    REQUIRE(QTest::qWaitFor([&] { return !p.window.saying().isEmpty(); }, kPatience));
    CHECK(p.session.plan() == before);
}

TEST_CASE("parts in each other become one original, and a model of two bodies is made one by a button") {
    Program p;
    p.session.select("observatory");  // its tube lies in its dome
    p.answered();
    cast(p);
    CHECK(p.piece().shape.family == "mesh");
    const std::string id = p.piece().id;
    press(p, "moldUnite");
    auto* trouble = p.window.sheet()->findChild<QLabel*>("moldTrouble");
    REQUIRE(QTest::qWaitFor([&] { return !trouble->text().isEmpty(); }, kPatience));
    CHECK(trouble->text().contains("one body already"));
    // two stones in each other
    auto two = form::rock(0.04, 3, 3);
    auto other = form::rock(0.03, 8, 3);
    for (auto& q : other.points) q.x += 0.018;
    form::append(two, other);
    p.session.document().edit("two", [&](Plan& plan) {
        plan.meshes["two"] = std::make_shared<const form::Mesh>(two);
        for (auto& piece : plan.pieces)
            if (piece.id == id) piece.shape.mesh = "two";
    });
    p.answered();
    press(p, "moldUnite");
    REQUIRE(QTest::qWaitFor([&] { return p.piece().shape.mesh != "two"; }, kPatience));
    p.answered();
    const auto report = form::inspect(*p.session.plan().meshes.at(p.piece().shape.mesh));
    CHECK(report.sound());
    CHECK(report.shells == 1);
    p.session.document().undo();
    CHECK(p.piece().shape.mesh == "two");
}

TEST_CASE("an original is cut level where a person says, and glued there again") {
    Program p;
    openMold(p);
    const double before = p.grams();
    type(field(p, "mold/cutAt"), "40 %");
    press(p, "moldCutAt");
    REQUIRE(QTest::qWaitFor([&] { return p.piece().shape.family == form::kAssembly; }, kPatience));
    p.answered();
    REQUIRE(p.piece().shape.items.size() == 2);
    REQUIRE(p.piece().shape.joints.size() == 1);
    CHECK(p.piece().shape.joints[0].length.value > 0.01);
    CHECK(p.grams() == Approx(before).epsilon(0.02));
    CHECK(p.session.pieceAnswers(p.piece().id)->molds.size() == 2);
    p.session.document().undo();
    p.answered();
    CHECK(p.grams() == before);
}

TEST_CASE("a thing beside a coin becomes the original of a mold as large as the coin says") {
    Program p;
    QTemporaryDir folder;
    QImage photo(900, 600, QImage::Format_RGB32);  // ten pixels a millimetre
    photo.fill(Qt::white);
    QPainter paint(&photo);
    paint.setRenderHint(QPainter::Antialiasing);
    paint.setBrush(QColor(70, 50, 40));
    paint.setPen(Qt::NoPen);
    paint.drawEllipse(QRectF(60, 180, 400, 240));  // 40 × 24 mm
    paint.drawEllipse(QRectF(600, 180, 240, 240));
    paint.end();
    REQUIRE(photo.save(folder.filePath("Acorn.png")));
    const size_t before = p.session.plan().pieces.size();
    p.window.showThing(folder.filePath("Acorn.png"));
    auto* use = p.window.sheet()->findChild<QPushButton*>("thingUse");
    REQUIRE(use);
    const auto ready = [&] { return QTest::qWaitFor([&] { return use->isEnabled(); }, kPatience); };
    REQUIRE(ready());
    type(field(p, "thingHeight"), "20 mm");
    CHECK_FALSE(use->isEnabled());
    REQUIRE(ready());
    auto* said = p.window.sheet()->findChild<QLabel*>("thingSaid");
    CHECK(said->text().contains("40 mm × 24 mm"));
    CHECK(said->text().contains("the water tells how full it is"));
    // more water than such an outline and height can have is said, and what was there before is not taken
    type(field(p, "thingWater"), "60 g");
    REQUIRE(QTest::qWaitFor([&] { return said->text().contains("measure again"); }, kPatience));
    CHECK_FALSE(use->isEnabled());
    type(field(p, "thingWater"), "10 g");
    REQUIRE(ready());
    CHECK(said->text().contains("it displaces 10"));
    use->click();
    REQUIRE(QTest::qWaitFor([&] { return p.window.sheet()->title() == "Its own mold"; }, kPatience));
    p.answered();
    CHECK(p.session.plan().pieces.size() == before + 1);
    CHECK(p.piece().name == "Acorn");
    const auto known = p.session.pieceAnswers(p.piece().id);
    REQUIRE(known->made);
    REQUIRE(known->molds.size() == 1);
    // 10 g of water displaced is so much chocolate
    CHECK(known->made->mass == Approx(10e-3 / 998 * known->coating.densitySolid).epsilon(0.02));
    p.session.document().undo();
    CHECK(p.session.plan().pieces.size() == before);
}

TEST_CASE("a decoration is counted from its size, or weighed") {
    Program p;
    p.session.select("moon");
    p.answered();
    size_t at = 0;
    for (size_t k = 0; k < p.piece().making.size(); ++k)
        if (std::holds_alternative<DecorateStep>(p.piece().making[k])) at = k;
    REQUIRE(at > 0);
    emit p.window.shape()->stepPageWanted(at);
    const auto step = [&]() -> const DecorateStep& { return std::get<DecorateStep>(p.piece().making[at]); };
    REQUIRE(step().mass.value > 0);
    CHECK(field(p, "decoration/mass")->isVisible());
    CHECK(!field(p, "decoration/line")->isVisible());
    press(p, "decorationCount");
    p.answered();
    CHECK(step().mass.value == 0);
    CHECK(field(p, "decoration/line")->isVisible());
    type(field(p, "decoration/line"), "2 m");
    p.answered();
    CHECK(step().line.value == 2);
    const auto known = p.session.pieceAnswers("moon");
    CHECK(known->decoration(at)->line == Approx(2));
    CHECK(p.window.sheet()->findChild<QLabel*>("decorationSaid")->text().contains("of line"));
    press(p, "decorationWeigh");
    p.answered();
    CHECK(step().mass.value == Approx(known->decoration(at)->mass));
    // another way brings its own figures
    p.session.editPiece("Scrape", [&](Piece& piece) {
        piece.making[at] = usualDecoration(DecorateStep::Way::Scrape, p.session.library());
    });
    emit p.window.shape()->stepPageWanted(at);
    p.answered();
    type(field(p, "decoration/thick"), "-3 mm");
    p.answered();
    CHECK(!field(p, "decoration/thick")->complaint()->text().isEmpty());
    CHECK(step().thick.value > 0);
}
