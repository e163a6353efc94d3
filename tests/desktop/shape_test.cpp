// Parts in the real window: gallery, sentence, compound parts, turning stage, files.
#include <QClipboard>
#include <QComboBox>
#include <QFile>
#include <QMessageBox>
#include <QRegularExpression>
#include <QWheelEvent>

#include "core/form/rock.h"
#include "desktop/shape/profile_editor.h"
#include "io/model_reader.h"
#include "program.h"

namespace shape_test {

namespace {

double partGrams(Program& p) { return p.session.pieceAnswers(p.session.selected().toStdString())->made->mass; }
const form::Part& part(Program& p) { return p.session.piece()->shape; }

int painted(const QImage& image, const QColor& paper) {
    int n = 0;
    for (int y = 0; y < image.height(); y += 2)
        for (int x = 0; x < image.width(); x += 2) n += std::abs(qGray(image.pixel(x, y)) - qGray(paper.rgb())) > 24;
    return n;
}

/// How much of an image what is painted reaches across, in the direction it fills best.
double filled(const QImage& image, const QColor& paper) {
    int left = image.width(), right = 0, top = image.height(), bottom = 0;
    for (int y = 0; y < image.height(); ++y)
        for (int x = 0; x < image.width(); ++x)
            if (std::abs(qGray(image.pixel(x, y)) - qGray(paper.rgb())) > 24) {
                left = std::min(left, x);
                right = std::max(right, x);
                top = std::min(top, y);
                bottom = std::max(bottom, y);
            }
    return std::max(double(right - left) / image.width(), double(bottom - top) / image.height());
}

}  // namespace

TEST_CASE("every piece of the demo evening is drawn") {
    Program p;
    REQUIRE(p.session.plan().pieces.size() == 7);
    for (const auto& piece : p.session.plan().pieces) {
        INFO(piece.id);
        p.session.select(QString::fromStdString(piece.id));
        QTest::qWait(20);
        const auto a = p.session.pieceAnswers(piece.id);
        REQUIRE(a);
        CHECK(a->problems.empty());
        CHECK(a->made);
        CHECK(filled(p.window.shape()->picture(1), QColor(0xFB, 0xF6, 0xEC)) >
              0.5);  // of the stage, in its tighter direction
        CHECK(p.window.shape()->coats()->isVisible());
        CHECK(p.window.shape()->coats()->steps().size() == piece.making.size());
        CHECK(p.window.shape()->solid()->isVisible() != piece.alongMeridian());
    }
}

TEST_CASE("the gallery finds by what a person wants to make, and starts it") {
    Program p;
    auto* gallery = p.window.shape()->gallery();
    QTest::keyClick(&p.window, Qt::Key_G, Qt::ControlModifier);
    REQUIRE(gallery->isVisible());
    CHECK(gallery->shown().size() == static_cast<int>(form::families().size()));
    QTest::keyClicks(gallery->words(), "something to break");
    CHECK(gallery->shown().contains("hung-ball"));
    gallery->words()->clear();
    QTest::keyClicks(gallery->words(), "baskets");
    REQUIRE_FALSE(gallery->shown().isEmpty());
    CHECK(gallery->shown().front() == "basket");
    QTest::keyClick(gallery->words(), Qt::Key_Return);
    CHECK_FALSE(gallery->isVisible());
    p.answered();
    CHECK(part(p).family == "basket");
    CHECK(partGrams(p) > 0.1);
    QTest::keyClick(&p.window, Qt::Key_Z, Qt::ControlModifier);
    CHECK(p.session.plan().pieces.size() == 7);
    gallery->open();
    QTest::keyClicks(gallery->words(), "submarine");
    CHECK(gallery->shown() == QStringList{"sheet", "bought", "original", "mesh"});
    CHECK(gallery->note()->text().contains("No shape here is a submarine"));
    QTest::keyClick(gallery, Qt::Key_Escape);
    CHECK_FALSE(gallery->isVisible());
}

TEST_CASE("every family of the gallery can be started, answers, and fits into the day") {
    Program p;
    p.session.document().edit("one", [](Plan& plan) {
        plan.pieces.clear();
        for (const auto& f : form::families())
            if (!form::fromFile(form::usual(f.id))) {
                plan.pieces.push_back(newPiece(plan, f.id));
                plan.pieces.back().count = 1;
            }
    });
    REQUIRE(QTest::qWaitFor([&] { return p.session.answers() && !p.session.isStale(); }, kPatience));
    for (const auto& a : p.session.answers()->pieces) {
        INFO(a->id << (a->problems.empty() ? "" : ": " + a->problems[0].sentence));
        CHECK(a->problems.empty());
        REQUIRE(a->made);
        CHECK(a->made->mass > 1e-4);
        CHECK(a->answers.size() >= 4);
        p.session.select(QString::fromStdString(a->id));
        for (const auto& field : form::family(part(p).family)->fields) {
            INFO(field.key);
            const bool said = form::asked(part(p), field.only) && !(field.key == "wall" && p.piece().wallFromCoats());
            CHECK((p.window.shape()->recipe()->field("former/" + QString::fromStdString(field.key)) != nullptr) ==
                  said);
        }
    }
}

TEST_CASE("a word of a choice brings the figures that it asks for, and takes away those that it does not") {
    Program p;
    p.session.document().edit("one", [](Plan& plan) { plan.pieces = {newPiece(plan, "dipped")}; });
    p.session.select("dipped");
    p.answered();
    auto* recipe = p.window.shape()->recipe();
    CHECK(recipe->field("former/pear"));
    CHECK_FALSE(recipe->field("former/thickness"));
    QComboBox* what = nullptr;
    for (auto* box : recipe->findChildren<QComboBox*>())
        if (box->accessibleName() == "What is dipped") what = box;
    REQUIRE(what);
    what->setFocus();
    QTest::keyClick(what, Qt::Key_Down);  // the round biscuit
    p.answered();
    CHECK(p.piece().shape.choices.at("what") == "round biscuit");
    CHECK(recipe->field("former/thickness"));
    CHECK_FALSE(recipe->field("former/pear"));
    // its cards: what is dipped and one coat, nothing to let go or trim
    for (const auto& step : p.piece().making) {
        CHECK_FALSE(std::holds_alternative<ReleaseStep>(step));
        CHECK_FALSE(std::holds_alternative<TrimStep>(step));
    }
    p.session.document().undo();
    p.answered();
    CHECK(recipe->field("former/pear"));
}

TEST_CASE("a part's figure is typed, what is impossible is said beside it") {
    Program p;
    p.assumed("comet-cone");
    const double before = partGrams(p);
    auto* field = p.window.shape()->recipe()->field("former/wall");
    p.type(field, "4 mm");
    p.answered();
    CHECK(partGrams(p) > 1.7 * before);
    p.type(field, "9 cm");
    CHECK(field->complaint()->isVisible());
    CHECK(field->complaint()->text().contains("must be between"));
    QTest::keyClick(field->edit(), Qt::Key_Z, Qt::ControlModifier);
    p.answered();
    CHECK_FALSE(field->complaint()->isVisible());
    CHECK(figure(part(p), "wall") == Approx(0.004));
    p.type(p.window.shape()->recipe()->field("former/height"), "3 in");
    p.answered();
    CHECK(figure(part(p), "height") == Approx(0.0762));
}

TEST_CASE("flutes deeper than the pan, and their like, are refused in words and lose nothing") {
    Program p;
    p.window.shape()->gallery()->open();
    QTest::keyClicks(p.window.shape()->gallery()->words(), "tart");
    QTest::keyClick(p.window.shape()->gallery()->words(), Qt::Key_Return);
    p.answered();
    REQUIRE(part(p).family == "tart");
    p.type(p.window.shape()->recipe()->field("former/flutes"), "60");
    p.answered();
    const Plan before = p.session.plan();
    p.type(p.window.shape()->recipe()->field("former/fluteDepth"), "20 mm");
    REQUIRE(QTest::qWaitFor([&] { return !p.session.isStale(); }, kPatience));
    CHECK(p.window.shape()->recipe()->field("former/fluteDepth")->complaint()->text().contains("flutes"));
    QTest::keyClick(&p.window, Qt::Key_Z, Qt::ControlModifier);
    p.answered();
    CHECK(p.session.plan() == before);
}

TEST_CASE("a part of a compound is edited by itself and follows again") {
    Program p;
    p.session.select("specimen-basket");
    auto* items = p.window.shape()->items();
    REQUIRE(items->isVisible());
    REQUIRE(items->cards().size() == 3);
    const double whole = partGrams(p);
    QTest::mouseClick(items->cards()[2], Qt::LeftButton);
    CHECK(items->chosen() == "handle");
    auto* depth = p.window.shape()->recipe()->field("former/own/handle/depth");
    REQUIRE(depth);
    p.type(depth, "20 mm");
    p.answered();
    CHECK(partGrams(p) > whole + 0.03);
    CHECK(part(p).own.at("handle").at("depth").value == Approx(0.02));
    // the compound's own figure still drives the rest
    items->choose({});
    p.type(p.window.shape()->recipe()->field("former/rise"), "90 mm");
    p.answered();
    CHECK(figure(p.session.pieceAnswers("specimen-basket")->made->assembly.items[1].part, "rise") == Approx(0.09));
    CHECK(figure(p.session.pieceAnswers("specimen-basket")->made->assembly.items[1].part, "depth") == Approx(0.02));
    items->choose("handle");
    QPushButton* back = nullptr;
    for (auto* b : p.window.shape()->recipe()->findChildren<QPushButton*>())
        if (b->text().contains("Follow")) back = b;
    REQUIRE(back);
    back->click();
    p.answered();
    CHECK_FALSE(part(p).own.contains("handle"));
}

TEST_CASE("the stage turns, comes nearer, moves, cuts and pulls apart") {
    Program p;
    p.session.select("observatory");
    QTest::qWait(30);
    auto* stage = p.window.shape()->solid();
    REQUIRE(stage->isVisible());
    const SolidView before = stage->view();
    const QPoint middle = stage->rect().center();
    const auto move = [&](QPoint to, Qt::MouseButton held) {
        QMouseEvent e(QEvent::MouseMove, QPointF(to), stage->mapToGlobal(QPointF(to)), Qt::NoButton, held, {});
        QApplication::sendEvent(stage, &e);
    };
    QTest::mousePress(stage, Qt::LeftButton, {}, middle);
    move(middle + QPoint(60, 20), Qt::LeftButton);
    QTest::mouseRelease(stage, Qt::LeftButton, {}, middle + QPoint(60, 20));
    CHECK(stage->view().yaw < before.yaw);
    CHECK(stage->view().pitch > before.pitch);
    QTest::mousePress(stage, Qt::RightButton, {}, middle);
    move(middle + QPoint(40, 0), Qt::RightButton);
    QTest::mouseRelease(stage, Qt::RightButton, {}, middle);
    CHECK(stage->view().panX > 0);
    QWheelEvent wheel(middle, stage->mapToGlobal(middle), {}, QPoint(0, 120), {}, {}, Qt::NoScrollPhase, false);
    QApplication::sendEvent(stage, &wheel);
    CHECK(stage->view().zoom > 1);
    stage->setFocus();
    QTest::keyClick(stage, Qt::Key_0);
    CHECK(stage->view().zoom == 1);
    CHECK(stage->view().panX == 0);
    QTest::keyClick(stage, Qt::Key_4);
    CHECK(stage->view().pitch == Approx(M_PI / 2));
    QTest::keyClick(stage, Qt::Key_1);
    const double yaw = stage->view().yaw;
    QTest::keyClick(stage, Qt::Key_Left);
    CHECK(stage->view().yaw > yaw);
    QTest::keyClick(stage, Qt::Key_Plus);
    CHECK(stage->view().zoom > 1);
    const QColor paper(0xFB, 0xF6, 0xEC);
    QTest::keyClick(stage, Qt::Key_1);
    const int whole = painted(stage->picture(QSize(500, 400), 1), paper);
    auto* cut = p.window.shape()->findChild<QSlider*>("cutAway");
    cut->setValue(90);
    CHECK(painted(stage->picture(QSize(500, 400), 1), paper) < 0.8 * whole);
    cut->setValue(0);
    auto* apart = p.window.shape()->findChild<QSlider*>("pullApart");
    REQUIRE(apart->isVisible());
    apart->setValue(100);
    CHECK(stage->view().apart == 1);
    CHECK(painted(stage->picture(QSize(500, 400), 1), paper) > 1000);
}

TEST_CASE("a coated bowl turns too, with its wall map and an egg beside it") {
    Program p;
    auto* turn = p.window.shape()->findChild<QPushButton*>("turnIt");
    REQUIRE(turn->isVisible());
    QTest::mouseClick(turn, Qt::LeftButton);
    auto* stage = p.window.shape()->solid();
    REQUIRE(stage->isVisible());
    CHECK(stage->scene().bodies.size() == 1);
    CHECK(stage->scene().bodies[0].wall.size() == stage->scene().bodies[0].mesh.points.size());
    CHECK(form::inspect(stage->scene().bodies[0].mesh).sound());
    const double grams =
        form::volume(stage->scene().bodies[0].mesh) * p.session.pieceAnswers("crater-bowl")->coating.densitySolid;
    CHECK(grams == Approx(p.grams()).epsilon(0.03));
    SolidView v = stage->view();
    v.map = true;
    stage->setView(v);
    CHECK(painted(stage->picture(QSize(400, 300), 1), QColor(0xFB, 0xF6, 0xEC)) > 2000);
    stage->setEgg(true);
    CHECK(stage->scene().bodies.size() == 2);
    QTest::keyClick(&p.window, Qt::Key_F8);
    CHECK(p.window.shape()->stage()->isVisible());
}

TEST_CASE("shapes, pictures and patterns are saved, the exported solid weighs what the answer says") {
    Program p;
    for (const char* id : {"crater-bowl", "specimen-basket", "moon"}) {
        p.session.select(id);
        QTest::qWait(20);
        for (const char* format : {"stl", "3mf"}) {
            const QString path = p.folder.filePath(QStringLiteral("%1.%2").arg(id, format));
            INFO(path.toStdString());
            REQUIRE(p.window.files()->exportShape(path));
            const auto back = io::readMeshFile(path.toStdString());
            REQUIRE(back);
            const auto a = p.session.pieceAnswers(id);
            double kg = a->made->mass;
            if (!a->made->meridian)
                for (const auto& item : a->made->assembly.items)
                    if (!item.edible) kg += item.shape.volume * a->coating.densitySolid;
            // a wall from coats on a mesh follows its corners: a solid of straight edges takes less in than the coats
            // put on
            CHECK(form::volume(back->mesh) * 1e-9 * a->coating.densitySolid ==
                  Approx(kg).epsilon(a->made->meridian ? 0.01 : 0.04));
        }
    }
    p.session.select("comet-cone");
    QTest::qWait(20);
    CHECK(p.window.files()->exportPattern(p.folder.filePath("cone.svg")));
    CHECK(QFile(p.folder.filePath("cone.svg")).size() > 300);
    CHECK(p.window.files()->exportPicture(p.folder.filePath("cone.png")));
    CHECK(QImage(p.folder.filePath("cone.png")).width() > 800);
    CHECK(p.window.files()->exportPicture(p.folder.filePath("cone-picture.svg")));
    p.session.select("observatory");
    QTest::qWait(20);
    CHECK(p.window.files()->exportPattern(p.folder.filePath("walls.svg")));
    p.session.select("crater-bowl");
    CHECK_FALSE(p.window.files()->exportPattern(p.folder.filePath("bowl.svg")));
    CHECK(p.window.saying().contains("no flat pattern"));
    CHECK_FALSE(p.window.files()->exportShape("/nowhere/bowl.stl"));
    CHECK_FALSE(p.window.files()->exportShape(p.folder.filePath("bowl.xyz")));
}

TEST_CASE("a model file is read, its unit asked, and it becomes a figure that is saved with the plan") {
    Program p;
    const QString path = p.folder.filePath("pebble.stl");
    REQUIRE(io::writeMeshFile(path.toStdString(), form::rock(0.06, 8, 4)));
    p.session.select("crater-bowl");
    p.window.files()->bring(path);
    REQUIRE(QTest::qWaitFor([&] { return !p.window.files()->isReading(); }, kPatience));
    QMessageBox* box = nullptr;
    REQUIRE(QTest::qWaitFor([&] { return (box = p.window.findChild<QMessageBox*>()) != nullptr; }, kPatience));
    CHECK(box->text().contains("In what unit"));
    auto* mm = box->findChild<QPushButton*>("unit/millimetres");
    REQUIRE(mm);
    CHECK(mm->text().contains("60 mm"));
    QTest::mouseClick(mm, Qt::LeftButton);
    p.answered();
    CHECK(p.session.piece()->name == "pebble");
    CHECK(partGrams(p) == Approx(form::volume(form::rock(0.06, 8, 4)) * 1300).epsilon(0.01));
    REQUIRE(p.window.saveTo(p.folder.filePath("with.uovo")));
    const auto back = io::loadPlan(p.folder.filePath("with.uovo").toStdString());
    REQUIRE(back);
    CHECK(*back == p.session.plan());
    CHECK(back->meshes.at("pebble")->triangles.size() == form::rock(0.06, 8, 4).triangles.size());
}

TEST_CASE("bad files are told and leave the plan unharmed") {
    Program p;
    const Plan before = p.session.plan();
    const auto write = [&](const char* name, const QByteArray& bytes) {
        QFile f(p.folder.filePath(name));
        REQUIRE(f.open(QIODevice::WriteOnly));
        f.write(bytes);
        return f.fileName();
    };
    for (const auto& [name, bytes, says] :
         {std::tuple{"empty.stl", QByteArray(), "is empty"},
          {"bad.ply", QByteArray("ply nonsense"), "damaged"},
          {"cross.svg", QByteArray("<svg width='100mm' viewBox='0 0 100 100'><path d='M0 0L50 50L50 0L0 50Z'/></svg>"),
           "crosses itself"},
          {"cake.txt", QByteArray("flour"), "neither"}}) {
        INFO(name);
        p.window.files()->bring(write(name, bytes));
        REQUIRE(QTest::qWaitFor([&] { return !p.window.files()->isReading(); }, kPatience));
        CHECK(p.window.saying().contains(says));
        CHECK(p.session.plan() == before);
    }
}

TEST_CASE("an SVG outline becomes a sheet part with its hole") {
    Program p;
    QFile f(p.folder.filePath("badge.svg"));
    REQUIRE(f.open(QIODevice::WriteOnly));
    f.write("<svg width='100mm' viewBox='0 0 100 100'><path d='M10 10h80v60h-80zM40 30v20h20v-20z'/></svg>");
    f.close();
    p.window.files()->bring(f.fileName());
    p.answered();
    REQUIRE(part(p).family == "sheet");
    CHECK(part(p).points.size() == 2);
    CHECK(p.session.pieceAnswers(p.session.selected().toStdString())->made->assembly.items[0].shape.volume ==
          Approx((0.08 * 0.06 - 0.02 * 0.02) * 0.003).epsilon(1e-6));
    QTest::keyClick(&p.window, Qt::Key_Z, Qt::ControlModifier);
    CHECK(p.session.plan().pieces.size() == 7);
}

TEST_CASE("a profile is drawn point by point, with mouse and keys, one that crosses itself is not taken") {
    Program p;
    p.window.shape()->gallery()->open();
    QTest::keyClicks(p.window.shape()->gallery()->words(), "vase");
    QTest::keyClick(p.window.shape()->gallery()->words(), Qt::Key_Return);
    p.answered();
    REQUIRE(part(p).family == "profile-mold");
    auto* draw = p.window.shape()->recipe()->findChild<QPushButton*>("drawProfile");
    REQUIRE(draw);
    draw->click();
    auto* editor = p.window.findChild<ProfileEditor*>();
    REQUIRE(editor);
    QTest::qWait(30);
    const double before = p.session.pieceAnswers(p.session.selected().toStdString())->made->capacity;
    const size_t n = editor->profile().size();
    const QPoint rim = editor->at(n - 1).toPoint();
    QTest::mousePress(editor, Qt::LeftButton, {}, rim);
    QMouseEvent move(QEvent::MouseMove, QPointF(rim + QPoint(40, 0)), editor->mapToGlobal(QPointF(rim + QPoint(40, 0))),
                     Qt::NoButton, Qt::LeftButton, {});
    QApplication::sendEvent(editor, &move);
    QTest::mouseRelease(editor, Qt::LeftButton, {}, rim + QPoint(40, 0));
    p.answered();
    CHECK(p.session.pieceAnswers(p.session.selected().toStdString())->made->capacity > before * 1.05);
    QTest::mouseClick(editor, Qt::LeftButton, {}, ((editor->at(n - 1) + editor->at(n - 2)) / 2).toPoint());
    CHECK(part(p).points[0].size() == n + 1);
    editor->setFocus();
    QTest::keyClick(editor, Qt::Key_Right, Qt::ShiftModifier);
    const form::Loop good = part(p).points[0];
    QTest::keyClick(editor, Qt::Key_Delete);
    CHECK(part(p).points[0].size() == n);
    // far down through the floor: refused, the plan keeps the last good one
    for (int i = 0; i < 20; ++i) QTest::keyClick(editor, Qt::Key_Down, Qt::ShiftModifier);
    for (const auto& q : part(p).points[0]) CHECK(q[1] >= 0);
    CHECK(form::build(part(p)));
}

}  // namespace shape_test
