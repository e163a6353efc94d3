// Nothing of anyone's is lost: files that others write, offers that wait, models of the same name, plans as large as
// they may be.
#include <QSignalSpy>

#include "core/document/limits.h"
#include "core/form/rock.h"
#include "io/model_reader.h"
#include "program.h"

namespace others_test {

namespace {

void rename(Document& d, const char* name) {
    d.edit("Rename", [&](Plan& p) { p.name = name; });
}

/// What another program does to a plan's file.
void writtenByOthers(const QString& path, const char* name) {
    Plan theirs = *io::loadPlan(path.toStdString());
    theirs.name = name;
    REQUIRE(io::savePlan(path.toStdString(), theirs));
}

QPushButton* button(const Program& p, const char* name) {
    QPushButton* b = nullptr;
    for (auto* found : p.window.findChildren<QPushButton*>(QString::fromLatin1(name)))
        if (found->isVisible()) b = found;
    return b;
}

/// A window with its plan in a file.
struct Saved : Program {
    QString path = folder.filePath("supper.uovo");
    Saved() {
        REQUIRE(window.saveTo(path));
        rename(session.document(), "mine");
    }
    std::string onDisk() const { return io::loadPlan(path.toStdString())->name; }
};

}  // namespace

TEST_CASE("a file that another program wrote is not written over unasked") {
    Saved p;
    writtenByOthers(p.path, "theirs");
    CHECK_FALSE(p.window.saveTo(p.path));
    CHECK(p.onDisk() == "theirs");
    CHECK(p.session.document().isModified());
    CHECK(p.window.saying().contains("another program"));
    SECTION("both are shown side by side") {
        REQUIRE(button(p, "showBoth"));
        QTest::mouseClick(button(p, "showBoth"), Qt::LeftButton);
        CHECK(p.window.sheet()->title() == "Two versions");
        QStringList words;
        for (const auto* l : p.window.sheet()->findChildren<QLabel*>()) words << l->text();
        CHECK(words.contains("mine"));
        CHECK(words.contains("theirs"));
        CHECK(button(p, "takeTheirs"));  // still to be answered, in the bar and on the page
        REQUIRE(button(p, "page/takeTheirs"));
        QTest::mouseClick(button(p, "page/takeTheirs"), Qt::LeftButton);
        CHECK(p.session.plan().name == "theirs");
        CHECK_FALSE(p.window.sheet()->isVisible());
        QTest::qWait(10);
        CHECK_FALSE(button(p, "takeTheirs"));
    }
    SECTION("theirs can be taken, and mine had back") {
        QTest::mouseClick(button(p, "takeTheirs"), Qt::LeftButton);
        CHECK(p.session.plan().name == "theirs");
        CHECK_FALSE(p.session.document().isModified());
        p.session.document().undo();
        CHECK(p.session.plan().name == "mine");
        CHECK(p.window.saveTo(p.path));
        CHECK(p.onDisk() == "mine");
    }
    SECTION("mine can be written over it") {
        QTest::mouseClick(button(p, "writeMine"), Qt::LeftButton);
        CHECK(p.onDisk() == "mine");
        CHECK_FALSE(p.session.document().isModified());
        QTest::qWait(10);
        CHECK_FALSE(button(p, "writeMine"));
    }
    SECTION("mine can go elsewhere") {
        CHECK(p.window.saveTo(p.folder.filePath("elsewhere.uovo")));
        CHECK(p.onDisk() == "theirs");
        CHECK_FALSE(button(p, "writeMine"));
    }
}

TEST_CASE("a file that others write is noticed while the plan is open, its own savings are not") {
    Saved p;
    QSignalSpy noticed(&p.session.document(), &Document::changedByOthers);
    REQUIRE(p.window.saveTo(p.path));
    rename(p.session.document(), "more of mine");
    REQUIRE(p.window.saveTo(p.path));
    QTest::qWait(600);
    CHECK(noticed.isEmpty());
    writtenByOthers(p.path, "theirs");
    REQUIRE(QTest::qWaitFor([&] { return noticed.size() == 1; }, kPatience));
    CHECK(button(p, "takeTheirs"));
    writtenByOthers(p.path, "theirs again");  // a file that was written anew is watched on
    CHECK(QTest::qWaitFor([&] { return noticed.size() == 2; }, kPatience));
    REQUIRE(QFile::remove(p.path));
    QTest::qWait(600);
    CHECK(noticed.size() == 2);
    CHECK(p.window.saveTo(p.path));  // gone: it is made again
}

TEST_CASE("of two windows with one plan the second to save is asked") {
    Saved a;
    REQUIRE(a.window.saveTo(a.path));
    Program b;
    REQUIRE(b.window.openFile(a.path));
    rename(b.session.document(), "of the second");
    rename(a.session.document(), "of the first");
    REQUIRE(a.window.saveTo(a.path));
    CHECK_FALSE(b.window.saveTo(a.path));
    CHECK(a.onDisk() == "of the first");
    CHECK(b.session.plan().name == "of the second");
}

TEST_CASE("an offer waits until it is answered, whatever is said meanwhile") {
    Program p;
    QDir(p.folder.path()).mkpath("recovery");
    Plan left = p.session.plan();
    left.name = "left behind";
    const QString file = p.folder.filePath("recovery/99999999.uovo");
    REQUIRE(io::savePlan(file.toStdString(), left));
    p.window.offerRecovered();
    REQUIRE(button(p, "takeBack"));
    p.window.say("The bench card is somewhere.", false);
    CHECK_FALSE(p.window.openFile(p.folder.filePath("nothing.uovo")));
    CHECK(p.window.saying().contains("nothing.uovo"));
    REQUIRE(button(p, "takeBack"));
    QTest::mouseClick(button(p, "takeBack"), Qt::LeftButton);
    CHECK(p.session.plan().name == "left behind");
    QTest::qWait(10);
    CHECK_FALSE(button(p, "takeBack"));
    CHECK(p.window.saying().contains("nothing.uovo"));  // the message is another matter
}

TEST_CASE("a second model of the same name takes no other piece's model away") {
    Program p;
    const auto bring = [&](unsigned seed, const char* where) {
        QDir(p.folder.path()).mkpath(where);
        const QString path = p.folder.filePath(QString::fromLatin1(where) + "/pebble.stl");
        REQUIRE(io::writeMeshFile(path.toStdString(), form::rock(0.06, seed, 3)));
        p.session.select("crater-bowl");  // not a model's piece: a new one is made
        p.window.files()->bring(path);
        REQUIRE(QTest::qWaitFor([&] { return !p.window.files()->isReading(); }, kPatience));
        QPushButton* mm = nullptr;
        REQUIRE(QTest::qWaitFor([&] { return (mm = p.window.findChild<QPushButton*>("unit/millimetres")) != nullptr; },
                                kPatience));
        QTest::mouseClick(mm, Qt::LeftButton);
        REQUIRE(QTest::qWaitFor([&] { return !p.window.findChild<QPushButton*>("unit/millimetres"); }, kPatience));
        return p.session.piece()->shape.mesh;
    };
    const std::string first = bring(1, "a"), second = bring(2, "b");
    CHECK(first == "pebble");
    CHECK(second == "pebble 2");
    const auto& meshes = p.session.plan().meshes;
    REQUIRE(meshes.contains(first));
    REQUIRE(meshes.contains(second));
    CHECK_FALSE(*meshes.at(first) == *meshes.at(second));
    p.session.document().undo();
    CHECK_FALSE(p.session.plan().meshes.contains(second));
    CHECK(p.session.plan().meshes.contains(first));
}

TEST_CASE("an edit beyond what a file holds is not made, and the window says why") {
    Program p;
    Plan full;
    for (size_t i = 0; i < limits::kPieces; ++i) {
        full.pieces.push_back(newPiece(full, "disc"));
        full.pieces.back().id = "disc-" + std::to_string(i);
    }
    QTemporaryDir apart;
    Document d(apart.path());
    d.setPlan(full, {});
    QSignalSpy refused(&d, &Document::refused);
    d.edit("One more", [](Plan& plan) { plan.pieces.push_back(newPiece(plan, "disc")); });
    CHECK(refused.size() == 1);
    CHECK(d.plan() == full);
    CHECK_FALSE(d.canUndo());
    CHECK_FALSE(d.isModified());
    p.session.document().edit("Far too many colours", [](Plan& plan) { plan.colours.resize(limits::kColours + 1); });
    CHECK(p.window.saying().contains("100 colours"));
}

TEST_CASE("writing the recovery copy does not hold the hands, and the newest plan is what is kept") {
    QTemporaryDir folder;
    Document d(folder.path());
    for (int i = 0; i < 30; ++i) {
        rename(d, ("version " + std::to_string(i)).c_str());
        d.autosave();
    }
    d.autosave(true);
    const auto copies = QDir(folder.path()).entryList({"*.uovo"}, QDir::Files);
    REQUIRE(copies.size() == 1);
    CHECK(io::loadPlan(folder.filePath(copies.front()).toStdString())->name == "version 29");
    CHECK(QDir(folder.path()).entryList({"*writing*"}, QDir::Files).isEmpty());
}

}  // namespace others_test
