// What is kept with pieces and beyond a plan, in a real window: notes and a picture, kept pieces, two beside each
// other, what an edit changed, help.
#include <QComboBox>
#include <QMenu>
#include <QPainter>
#include <QPlainTextEdit>

#include "core/document/making.h"
#include "desktop/shape/notes_page.h"
#include "desktop/shell/help.h"
#include "desktop/shell/plan_picture.h"
#include "io/plan_file.h"
#include "program.h"

namespace keep_test {

namespace {

template <class W>
W* inSheet(Program& p, const char* name) {
    auto* w = p.window.sheet()->findChild<W*>(QString::fromLatin1(name));
    REQUIRE(w);
    return w;
}

}  // namespace

TEST_CASE("notes are written as one step, come back by undo, and are in the file") {
    Program p;
    p.session.select("moon");
    QTest::keyClick(&p.window, Qt::Key_T, Qt::ControlModifier | Qt::ShiftModifier);
    auto* words = inSheet<QPlainTextEdit>(p, "pieceNotes");
    QTest::keyClicks(words, "Mold is with Aunt Vela.");
    CHECK(p.piece().notes == "Mold is with Aunt Vela.");
    CHECK(p.session.document().undoLabel() == "Write notes");
    const QString path = p.folder.filePath("notes.uovo");
    REQUIRE(p.window.saveTo(path));
    CHECK(io::loadPlan(path.toStdString()).value().piece("moon")->notes == "Mold is with Aunt Vela.");
    p.session.document().undo();
    CHECK(p.piece().notes.empty());
    CHECK(words->toPlainText().isEmpty());
}

TEST_CASE("a kept piece stands first in the gallery of another plan, and is forgotten again") {
    Program p;
    p.session.select("crater-bowl");
    QTest::keyClick(&p.window, Qt::Key_K, Qt::ControlModifier | Qt::ShiftModifier);
    CHECK(p.window.saying().contains("is kept"));
    const double grams = p.session.pieceAnswers("crater-bowl")->made->mass;
    Plan other;
    other.deadline = p.session.plan().deadline;
    p.session.document().setPlan(other, {});
    p.window.shape()->gallery()->open();
    auto* kept = p.window.shape()->gallery()->findChild<QPushButton*>("kept/crater-bowl");
    REQUIRE(kept);
    CHECK(kept->isVisible());
    // not among what other words find
    QTest::keyClicks(p.window.shape()->gallery()->words(), "xylophone");
    QTest::qWait(1);
    CHECK_FALSE(p.window.shape()->gallery()->findChild<QPushButton*>("kept/crater-bowl"));
    p.window.shape()->gallery()->open();
    QTest::qWait(1);
    kept = p.window.shape()->gallery()->findChild<QPushButton*>("kept/crater-bowl");
    REQUIRE(kept);
    kept->click();
    p.answered();
    REQUIRE(p.session.plan().pieces.size() == 1);
    CHECK(p.grams() == Approx(grams));
    CHECK(p.session.allProblems().empty());
    // it outlives the program: another one with the same folder has it
    OwnShelf again(p.folder.path());
    REQUIRE(again.kept().pieces.size() == 1);
    CHECK(again.forget("crater-bowl").isEmpty());
    CHECK(OwnShelf(p.folder.path()).kept().pieces.empty());
}

TEST_CASE("a damaged file of kept pieces is said and left as it is") {
    QTemporaryDir folder;
    OwnShelf shelf(folder.path());
    QFile file(shelf.path());
    REQUIRE(file.open(QIODevice::WriteOnly));
    file.write("{ this is no plan");
    file.close();
    const Plan demo = io::demoPlan(kNow);
    CHECK(shelf.kept().pieces.empty());
    CHECK(shelf.keep(demo, "moon").contains("left as they are"));
    REQUIRE(file.open(QIODevice::ReadOnly));
    CHECK(file.readAll() == "{ this is no plan");
}

TEST_CASE("a copy is laid beside its original: what differs is bold, and follows an edit") {
    Program p;
    p.session.select("crater-bowl");
    p.window.shape()->findChild<QPushButton*>("copyPiece")->click();
    p.answered();
    p.session.select("crater-bowl");
    QTest::keyClick(&p.window, Qt::Key_B, Qt::ControlModifier | Qt::ShiftModifier);
    auto* other = inSheet<QComboBox>(p, "besideOther");
    CHECK(other->currentText() == "Crater bowl 2");
    const auto bold = [&](int row) {
        return inSheet<QLabel>(p, qPrintable(QStringLiteral("beside/%1/2").arg(row)))->styleSheet().contains("700");
    };
    CHECK_FALSE(bold(1));
    CHECK_FALSE(bold(2));
    const std::string copy = p.session.plan().pieces[1].id;
    p.session.document().edit("One coat more", [&](Plan& plan) {
        for (auto& piece : plan.pieces)
            if (piece.id == copy) piece.making.insert(piece.making.begin(), piece.coats().front());
    });
    p.answered();
    CHECK(bold(1));
    CHECK(bold(2));
    CHECK(inSheet<QLabel>(p, "beside/2/1")->text() != inSheet<QLabel>(p, "beside/2/2")->text());
    // there must be another one
    Plan one;
    one.deadline = p.session.plan().deadline;
    one.pieces = {newPiece(one, "balloon")};
    p.session.document().setPlan(one, {});
    p.session.select("bowl");
    p.answered();
    QTest::keyClick(&p.window, Qt::Key_B, Qt::ControlModifier | Qt::ShiftModifier);
    CHECK_FALSE(p.window.sheet()->findChild<QComboBox*>("besideOther"));
}

TEST_CASE("what an edit changed is told for a moment") {
    Program p;
    p.session.select("crater-bowl");
    p.answered();
    p.session.editPiece("One coat more",
                        [](Piece& piece) { piece.making.insert(piece.making.begin(), piece.coats().front()); });
    p.answered();
    auto* told = p.window.findChild<QLabel*>("cameBack");
    CHECK(told->toolTip().contains("Thinnest wall"));
    CHECK(told->toolTip().contains(QStringLiteral("→")));
    p.session.editPiece("Rename", [](Piece& piece) { piece.name = "Bowl of stars"; });
    p.answered();
    CHECK_FALSE(told->toolTip().contains("Bowl of stars"));
}

TEST_CASE("figures that an older model computed otherwise are told when the plan is opened") {
    Program p;
    const QString path = p.folder.filePath("old.uovo");
    REQUIRE(p.window.saveTo(path));
    auto plan = io::loadPlan(path.toStdString()).value();
    CHECK(plan.computed.model == kModelVersion);
    plan.computed.model = kModelVersion + 1;
    plan.computed.mass["crater-bowl"] *= 0.7;
    REQUIRE(io::savePlan(path.toStdString(), plan));
    REQUIRE(p.window.openFile(path));
    p.answered();
    CHECK(p.window.saying().contains("computes some figures otherwise"));
    CHECK(p.window.saying().contains("Crater bowl: chocolate"));
}

TEST_CASE("help: each place has its page with a picture and numbers; a search leads from one to another") {
    Program p;
    for (int k = 0; k < 6; ++k) {
        p.window.goTo(static_cast<MainWindow::Place>(k));
        QTest::keyClick(&p.window, Qt::Key_F1);
        const Help& help = helpOf(static_cast<HelpPlace>(k));
        INFO(help.key.toStdString());
        CHECK(p.window.sheet()->title() == help.title);
        CHECK(inSheet<QLabel>(p, "helpPicture")->pixmap().width() > 300);
        CHECK(help.three.size() == 3);
        CHECK(help.points.size() >= 2);
        CHECK(help.paragraphs.size() >= 3);
    }
    p.window.goTo(MainWindow::Place::Shape);
    QTest::keyClick(&p.window, Qt::Key_F1);
    QTest::keyClicks(inSheet<QLineEdit>(p, "helpWords"), "shopping cupboard");
    CHECK_FALSE(p.window.sheet()->findChild<QPushButton*>("helpHit"));
    inSheet<QLineEdit>(p, "helpWords")->clear();
    QTest::keyClicks(inSheet<QLineEdit>(p, "helpWords"), "foot switch");
    inSheet<QPushButton>(p, "helpHit")->click();
    CHECK(p.window.bench()->isVisible());
    CHECK(p.window.sheet()->title() == helpOf(HelpPlace::Bench).title);
    inSheet<QPushButton>(p, "helpCommands")->click();
    CHECK(p.window.sheet()->title() == "What can be done");
}

TEST_CASE("a place tells three things once") {
    Program p;
    QSettings().remove("met");
    p.window.setGreets(true);
    CHECK(p.window.saying().startsWith("New here?"));
    CHECK(p.window.saying().contains("sentence over the drawing"));
    p.window.findChild<QPushButton*>("metSeen")->click();
    CHECK_FALSE(p.window.saying().startsWith("New here?"));
    p.window.goTo(MainWindow::Place::Melt);
    CHECK(p.window.saying().contains("how it is tempered"));
    p.window.goTo(MainWindow::Place::Shape);
    QTest::qWait(1);
    CHECK_FALSE(p.window.saying().startsWith("New here?"));
    p.window.goTo(MainWindow::Place::Melt);
    CHECK(p.window.saying().contains("how it is tempered"));  // nobody said that they saw it
    p.window.findChild<QPushButton*>("metMore")->click();
    CHECK(p.window.sheet()->title() == helpOf(HelpPlace::Melt).title);
    QSettings().remove("met");
}

TEST_CASE("a filling is set to what it usually is at once, and taken back at once") {
    Program p;
    p.session.select("lens-cup");
    p.answered();
    emit p.window.shape()->fillingWanted();
    auto* kind = inSheet<QComboBox>(p, "fillingKind");
    const Filling before = *p.session.plan().fillingOf(p.piece());
    const int at = kind->findText("Whipped cream");
    REQUIRE(at > 0);
    kind->setCurrentIndex(at);
    emit kind->activated(at);
    const Filling& now = *p.session.plan().fillingOf(p.piece());
    CHECK(now.name == "Whipped cream");
    CHECK(now.density == 450);
    CHECK(now.id == before.id);
    CHECK(now.recipe == before.recipe);
    for (auto* f : p.window.sheet()->findChildren<FigureField*>())
        if (f->place() == "filling/density") {
            CHECK(f->edit()->text().contains("450 g"));
            Program::type(f, "500 g");
        }
    CHECK(p.session.plan().fillingOf(p.piece())->density == Approx(500));
    p.session.document().undo();
    p.session.document().undo();
    CHECK(*p.session.plan().fillingOf(p.piece()) == before);
}

TEST_CASE("a plan has a small picture for those who list files; an empty one has none") {
    const QImage picture = planPicture(io::demoPlan(kNow), 128);
    REQUIRE(picture.size() == QSize(128, 128));
    int covered = 0;
    for (int y = 0; y < 128; ++y)
        for (int x = 0; x < 128; ++x) covered += qAlpha(picture.pixel(x, y)) > 128;
    CHECK(covered > 128 * 128 / 10);
    CHECK(qAlpha(picture.pixel(0, 0)) == 0);
    CHECK(planPicture(Plan(), 128).isNull());
}

}  // namespace keep_test
