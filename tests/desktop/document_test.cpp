// The document alone: undo, merging, files, recovery; and what is printed.
#include <QDir>
#include <QFile>
#include <QProcess>
#include <QTemporaryDir>
#include <QTest>
#include <catch2/catch.hpp>

#include "core/form/rock.h"
#include "desktop/kit/figure_field.h"
#include "desktop/shell/document.h"
#include "io/data.h"
#include "report/bench_card.h"
#include "report/text.h"

namespace document_test {

using namespace uovo;
using namespace uovo::desktop;

namespace {

void rename(Document& d, const char* name, const QString& merge = {}) {
    d.edit(
        "Rename", [&](Plan& p) { p.name = name; }, merge);
}

}  // namespace

TEST_CASE("edits are undone and redone in their order, a new edit forgets what was undone") {
    QTemporaryDir folder;
    Document d(folder.path());
    CHECK_FALSE(d.canUndo());
    rename(d, "one");
    rename(d, "two");
    CHECK(d.isModified());
    d.undo();
    CHECK(d.plan().name == "one");
    CHECK(d.redoLabel() == "Rename");
    d.redo();
    CHECK(d.plan().name == "two");
    d.undo();
    rename(d, "three");
    CHECK_FALSE(d.canRedo());
    d.undo();
    d.undo();
    CHECK_FALSE(d.isModified());
    CHECK_FALSE(d.canUndo());
    d.undo();  // nothing happens
    CHECK_FALSE(d.canUndo());
}

TEST_CASE("an edit that changes nothing is no step, edits of one kind within a second are one") {
    QTemporaryDir folder;
    Document d(folder.path());
    rename(d, d.plan().name.c_str());
    CHECK_FALSE(d.canUndo());
    rename(d, "a", "drag");
    rename(d, "b", "drag");
    rename(d, "c", "other");
    d.undo();
    CHECK(d.plan().name == "b");
    d.undo();
    CHECK_FALSE(d.canUndo());
}

TEST_CASE("five hundred steps are kept, and the saved state is still known") {
    QTemporaryDir folder;
    Document d(folder.path());
    for (int i = 0; i < 700; ++i) rename(d, std::to_string(i).c_str());
    int steps = 0;
    while (d.canUndo()) {
        d.undo();
        ++steps;
    }
    CHECK(steps == 499);
    REQUIRE(d.save(folder.filePath("a.uovo")));
    CHECK_FALSE(d.isModified());
    d.redo();
    CHECK(d.isModified());
    d.undo();
    CHECK_FALSE(d.isModified());
}

TEST_CASE("a step keeps the mesh it came with, without copying it") {
    QTemporaryDir folder;
    Document d(folder.path());
    const auto mesh = std::make_shared<const form::Mesh>(form::rock(0.05, 1, 4));
    d.edit("mesh", [&](Plan& p) {
        p.pieces = {newPiece(p, "mesh")};
        p.pieces[0].shape.mesh = "stone";
        p.meshes["stone"] = mesh;
    });
    for (int i = 0; i < 20; ++i) rename(d, std::to_string(i).c_str());
    CHECK(d.plan().meshes.at("stone") == mesh);
    while (d.canUndo()) d.undo();
    CHECK(d.plan().meshes.empty());
}

TEST_CASE("recovery finds only what another run left behind, and forgets what is thrown away") {
    QTemporaryDir folder;
    QDir(folder.path()).mkpath("recovery");
    Document d(folder.filePath("recovery"));
    CHECK_FALSE(d.findRecovered());
    rename(d, "mine");
    d.autosave(true);
    CHECK_FALSE(d.findRecovered());  // this run's own
    Plan left;
    left.name = "left behind";
    REQUIRE(io::savePlan(folder.filePath("recovery/99999998.uovo").toStdString(), left));
    REQUIRE(io::writeWhole(folder.filePath("recovery/99999998.uovo.path").toStdString(), "/home/someone/supper.uovo"));
    QFile broken(folder.filePath("recovery/99999997.uovo"));
    REQUIRE(broken.open(QIODevice::WriteOnly));
    broken.write("{ half a plan");
    broken.close();
    const auto found = d.findRecovered();
    REQUIRE(found);
    CHECK(found->plan.name == "left behind");
    CHECK(found->path == "/home/someone/supper.uovo");
    d.discardRecovered(*found);
    CHECK_FALSE(d.findRecovered());
}

TEST_CASE("a failed save leaves the document modified and its file as it was") {
    QTemporaryDir folder;
    Document d(folder.path());
    rename(d, "first");
    REQUIRE(d.save(folder.filePath("a.uovo")));
    rename(d, "second");
    for (const auto fault : {io::Fault::Open, io::Fault::Write, io::Fault::Sync, io::Fault::Rename}) {
        CHECK_FALSE(d.save(folder.filePath("a.uovo"), fault));
        CHECK(d.isModified());
    }
    CHECK(io::loadPlan(folder.filePath("a.uovo").toStdString())->name == "first");
}

TEST_CASE("a field shows what was said as it was said, in whatever units") {
    Measure typed(0.1397);
    typed.typed = "5 1/2 in";
    CHECK(shownMeasure(typed, Dimension::Length, UnitSystem::US) == "5 1/2 in");
    CHECK(shownMeasure(typed, Dimension::Length, UnitSystem::Metric) == "5 1/2 in");
    Measure words(31.5);
    words.typed = "falls in a ribbon";
    CHECK(shownMeasure(words, Dimension::Temperature, UnitSystem::US) == "falls in a ribbon");
    CHECK(shownMeasure(Measure(0.062), Dimension::Length, UnitSystem::Metric) == "62 mm");
    CHECK(shownMeasure(Measure(0.062), Dimension::Length, UnitSystem::US).endsWith("in"));
}

TEST_CASE("no line ends between a number and its unit") {
    CHECK(bound("Brush 12 g on, wait 7 min at 32 °C.") ==
          QString::fromUtf8("Brush 12\u00A0g on, wait 7\u00A0min at 32\u00A0°C."));
    CHECK(bound("6 go in 3 rounds") == "6 go in 3 rounds");
    CHECK(bound("1½ lb of 2 cups") == QString::fromUtf8("1½\u00A0lb of 2\u00A0cups"));
}

TEST_CASE("the bench card prints parts and compounds with every part's grams") {
    QTemporaryDir folder;
    Plan plan = io::demoPlan(20669L * 1440);
    plan.pieces.erase(plan.pieces.begin(), plan.pieces.begin() + 2);
    Cache cache;
    const auto answers = answer(plan, io::library(), cache);
    REQUIRE(answers);
    const QString path = folder.filePath("card.pdf");
    const auto pages = report::writeBenchCard(path, plan, io::library(), *answers);
    REQUIRE(pages);
    CHECK(*pages >= 6);
    QProcess words;
    words.start("pdftotext", {"-layout", path, "-"});
    REQUIRE(words.waitForFinished());
    const QString text = QString::fromUtf8(words.readAllStandardOutput());
    for (const char* expected : {"Comet cone",
                                 "Specimen basket",
                                 "Handle",
                                 "Observatory",
                                 "Ceiling",
                                 "Dome",
                                 "Moon to break",
                                 "not eaten",
                                 "Meteorite",
                                 "silicone",
                                 "mm of glue",
                                 "The pots",
                                 "Stir in portion 2 of 3",
                                 "Dusk blue",
                                 "8 × wall",
                                 "Put it together",
                                 "dome with the tube on the ceiling",
                                 "ceiling on walls 1 to 8",
                                 "Fill it: Cocoa almonds",
                                 "Cast it",
                                 "To buy:",
                                 "Allergens:"}) {
        INFO(expected);
        CHECK(text.contains(expected));
    }
    const QString plain = report::benchCardText(plan, *answers);
    CHECK(plain.contains("2 × Specimen basket"));
    CHECK(plain.contains("at the thinnest"));
    CHECK(plain.contains("sugar pearls on each"));
    plan.units = UnitSystem::US;
    Cache fresh;
    const auto us = answer(plan, io::library(), fresh);
    REQUIRE(report::writeBenchCard(path, plan, io::library(), *us));
    QProcess info;
    info.start("pdfinfo", {path});
    REQUIRE(info.waitForFinished());
    CHECK(QString(info.readAllStandardOutput()).contains("letter"));
}

TEST_CASE("a process number that comes again neither hides nor deletes what was left behind") {
    QTemporaryDir folder;
    Plan left;
    left.name = "left behind";
    REQUIRE(io::savePlan(folder.filePath("one.uovo").toStdString(), left));
    // the lock of a run with this very number, as in a container that starts anew
    const std::string lock = std::to_string(QCoreApplication::applicationPid()) + "\n" +
                             QCoreApplication::applicationName().toStdString() + "\nhere\n";
    REQUIRE(io::writeWhole(folder.filePath("one.uovo.lock").toStdString(), lock));
    {
        Document d(folder.path());
        rename(d, "mine");
        d.autosave(true);
        const auto found = d.findRecovered();
        REQUIRE(found);
        CHECK(found->plan.name == "left behind");
    }
    CHECK(QFile::exists(folder.filePath("one.uovo")));  // a good end forgets only its own
    CHECK(QDir(folder.path()).entryList({"*.uovo"}, QDir::Files).size() == 1);
}

TEST_CASE("hands that never rest are kept within five seconds all the same") {
    QTemporaryDir folder;
    Document d(folder.path());
    bool kept = false;
    for (int k = 0; k < 26 && !kept; ++k) {
        rename(d, ("edit " + std::to_string(k)).c_str());
        QTest::qWait(250);
        kept = !QDir(folder.path()).entryList({"*.uovo"}, QDir::Files).isEmpty();
    }
    CHECK(kept);
}

TEST_CASE("a recovery copy that cannot be written is said, once until it can again") {
    QTemporaryDir folder;
    QFile taken(folder.filePath("recovery"));  // a file where the folder should be
    REQUIRE(taken.open(QIODevice::WriteOnly));
    taken.close();
    Document d(folder.filePath("recovery"));
    int said = 0;
    QObject::connect(&d, &Document::recoveryFailed, [&](const QString& why) { said += !why.isEmpty(); });
    for (const char* name : {"a", "b", "c"}) {
        rename(d, name);
        d.autosave(true);
    }
    CHECK(said == 1);
    REQUIRE(taken.remove());
    rename(d, "d");
    d.autosave(true);
    CHECK(QDir(folder.filePath("recovery")).entryList({"*.uovo"}, QDir::Files).size() == 1);
    CHECK(said == 1);
}

TEST_CASE("the command line says when its output does not arrive, and knows its options") {
    QTemporaryDir folder;
    const QString plan = folder.filePath("demo.uovo");
    REQUIRE(io::savePlan(plan.toStdString(), io::demoPlan(20669L * 1440)));
    const auto code = [&](const QStringList& words, const QString& out) {
        QProcess p;
        p.setStandardOutputFile(out);
        p.start(UOVO_CLI, words);
        REQUIRE(p.waitForFinished(300000));
        return p.exitCode();
    };
    const QString there = folder.filePath("out");
    CHECK(code({"check", plan}, there) == 0);
    CHECK(code({"check", plan}, "/dev/full") == 1);
    CHECK(code({"answers", plan, "--no-day"}, "/dev/full") == 1);
    CHECK(code({"demo"}, "/dev/full") == 1);
    CHECK(code({"answers", plan, "--no-days"}, there) == 2);
    CHECK(code({"check", plan, "--quick"}, there) == 2);
}

}  // namespace document_test
