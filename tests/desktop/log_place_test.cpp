// Log: evenings kept, retold and corrected; lessons that are trusted or not; why something failed.
#include <QFile>
#include <set>

#include "desktop/bench/lesson_page.h"
#include "desktop/log/log_place.h"
#include "program.h"

namespace log_place_test {
namespace {

QPushButton* pressed(QWidget* in, const char* name) {
    for (auto* b : in->findChildren<QPushButton*>(QString::fromUtf8(name)))
        if (b->isEnabled() && !b->isHidden()) {  // what was replaced just now goes with the next events
            b->click();
            return b;
        }
    INFO(name);
    REQUIRE(false);
    return nullptr;
}

bool thought(Program& p) {
    return QTest::qWaitFor([&] { return !p.window.log()->keeper()->isLearning(); }, kPatience);
}

/// The log with the two invented evenings.
LogPlace* invented(Program& p) {
    QTest::keyClick(&p.window, Qt::Key_F7);
    auto* log = p.window.log();
    pressed(log, "logInvent");
    REQUIRE(thought(p));
    return log;
}

size_t heldOf(LogPlace* log) { return log->keeper()->evening(log->evening()->evening())->held().size(); }

}  // namespace

TEST_CASE("an empty log teaches, and shows two invented evenings that are not kept") {
    Program p;
    auto* log = invented(p);
    CHECK(log->keeper()->isInvented());
    REQUIRE(log->tiles().size() == 2);
    CHECK(log->tiles()[0]->accessibleName().contains("Cups for the volunteers"));
    CHECK(log->tiles()[0]->isChecked());
    CHECK(log->findChild<QLabel*>("logInvented")->isVisible());
    CHECK(log->evening()->beside()->rows().size() == 3);
    log->tiles()[1]->click();
    CHECK(log->evening()->findChild<QLabel*>("eveningAbout")->text().contains("3 of 4 came out whole"));
    CHECK(log->evening()->beside()->rows().size() == 3);  // two weighings and a touch; the slip was corrected
    pressed(log, "logMine");
    CHECK_FALSE(log->keeper()->isInvented());
    CHECK(log->keeper()->isEmpty());
    CHECK(log->tiles().empty());
}

TEST_CASE("an evening is begun, written into, corrected and taken back, by the keyboard's ways alone") {
    Program p;
    QTest::keyClick(&p.window, Qt::Key_F7);
    auto* log = p.window.log();
    pressed(log, "logBegin");
    REQUIRE(log->tiles().size() == 1);
    pressed(log, "logWrite");
    auto* sheet = p.window.sheet();
    REQUIRE(sheet->isVisible());
    pressed(sheet, "entryKeep");
    CHECK(sheet->findChild<QLabel*>("entryProblem")->text() == "Say what they weigh.");
    CHECK(heldOf(log) == 0);
    Program::type(sheet->findChild<Field*>("entryCoats"), "1");
    Program::type(sheet->findChild<Field*>("entryMass"), "57 g");
    pressed(sheet, "entryKeep");
    CHECK_FALSE(sheet->isVisible());
    REQUIRE(heldOf(log) == 1);
    auto evening = log->keeper()->evening(log->evening()->evening());
    CHECK(evening->held()[0]->record.value == Approx(0.057));
    CHECK(evening->held()[0]->record.piece == "crater-bowl");
    CHECK(evening->held()[0]->record.coats == 1);

    const auto id = evening->held()[0]->id;
    pressed(log, qPrintable(QString("entryCorrect/%1").arg(id)));
    Program::type(sheet->findChild<Field*>("entryMass"), "2 oz");
    pressed(sheet, "entryKeep");
    evening = log->keeper()->evening(log->evening()->evening());
    CHECK(evening->entries.size() == 2);
    REQUIRE(evening->held().size() == 1);
    CHECK(evening->held()[0]->record.value == Approx(0.0567).margin(1e-4));
    pressed(log, qPrintable(QString("entryBack/%1").arg(evening->held()[0]->id)));
    CHECK(heldOf(log) == 0);

    // Every other kind of thing.
    const auto writes = [&](int what, auto fill) {
        pressed(log, "logWrite");
        auto* box = sheet->findChild<QComboBox*>("entryWhat");
        box->setCurrentIndex(what);
        emit box->activated(what);
        fill();
        const size_t before = heldOf(log);
        pressed(sheet, "entryKeep");
        CHECK(heldOf(log) == before + 1);
    };
    const auto field = [&](const char* name) { return sheet->findChild<Field*>(name); };
    writes(1, [&] { Program::type(field("entryThick"), "2.1 mm"); });
    writes(2, [&] {
        Program::type(field("entryNotAt"), "6 min");
        Program::type(field("entryAt"), "10 min");
    });
    writes(3, [&] { Program::type(field("entryWide"), "70 mm"); });
    writes(4, [&] {
        Program::type(field("entryBegun"), "14");
        Program::type(field("entryWhole"), "12");
    });
    writes(5, [&] { sheet->findChild<QComboBox*>("entryFault")->setCurrentIndex(4); });
    writes(6, [&] { Program::type(field("entryLeft"), "300 g"); });
    writes(7, [&] { Program::type(field("entryStars"), "5"); });
    writes(8, [&] { Program::type(field("entryWords"), "It went well"); });
    writes(10, [&] {
        Program::type(field("entryTook"), "12 min");
        Program::type(field("entryBook"), "10 min");
    });
    pressed(log, "logWrite");
    sheet->findChild<QComboBox*>("entryWhat")->setCurrentIndex(11);
    emit sheet->findChild<QComboBox*>("entryWhat")->activated(11);
    Program::type(field("entryWords"), "The blue sack");
    pressed(sheet, "entryKeep");
    CHECK(log->keeper()->evening(log->evening()->evening())->bags.at("dark") == "The blue sack");
    const auto now = log->keeper()->evening(log->evening()->evening());
    CHECK(now->counts().at("crater-bowl").whole == 12);
    CHECK(now->taught().records.size() == 4);
    REQUIRE(thought(p));
    CHECK(log->keeper()->taught()->measured == 3);

    // It is on the disk: a second window reads it.
    Session other(io::library(), p.folder.path(), [] { return kNow; });
    LogKeeper keeper(other);
    keeper.open();
    REQUIRE(keeper.shelf().size() == 1);
    CHECK(keeper.evening(keeper.shelf()[0].id)->held().size() == 9);
}

TEST_CASE("what the log teaches is said, trusted as far as a person likes, counted on and undone") {
    Program p;
    auto* log = invented(p);
    pressed(log, "logTeaches");
    const log::Taught* t = log->keeper()->taught();
    REQUIRE(t);
    CHECK(t->measured == 6);
    CHECK(t->evenings == 2);
    REQUIRE(!t->lessons.empty());
    CHECK(t->lessons[0].id == "wall:dark");
    CHECK(t->lessons[0].factor > 1.05);
    CHECK(t->lessons[0].source.starts_with("your logbook, "));
    REQUIRE(!t->pieces.empty());
    CHECK(t->pieces[0].now.high / t->pieces[0].now.low < 0.75 * t->pieces[0].before.high / t->pieces[0].before.low);
    CHECK(t->bags.size() == 2);
    CHECK(t->tempers.size() >= 2);
    CHECK(log->lessons()->next()->partCount() == static_cast<int>(t->pieces.size()));
    CHECK(log->lessons()->next()->part(0).value.contains("by the book"));
    p.session.select("crater-bowl");
    const double before = p.grams();
    pressed(log, "logCount");
    p.answered();
    const double counted = p.grams();
    CHECK(p.session.plan().own.at("dark").from.at("yield40").starts_with("your logbook, "));
    CHECK(p.piece().survives < 0.9);  // seven of eight bowls
    bool whole = false;
    for (const auto& l : t->lessons) whole = whole || l.id.starts_with("whole:");
    CHECK(whole);
    CHECK(counted > 1.05 * before);
    p.session.document().undo();
    p.answered();
    CHECK(p.grams() == Approx(before));
    // Half of it.
    auto* trust = log->findChild<QComboBox*>("trust/wall:dark");
    REQUIRE(trust);
    trust->setCurrentIndex(1);
    emit trust->activated(1);
    CHECK(log->keeper()->trustIn("wall:dark") == 0.5);
    pressed(log, "logCount");
    p.answered();
    CHECK(p.grams() > before);
    CHECK(p.grams() < counted);
    p.session.document().undo();
    p.answered();
    // Forgotten: its measurements are struck out, those of the milk stay.
    pressed(log, "forget/wall:dark");
    REQUIRE(thought(p));
    REQUIRE(log->keeper()->taught());
    CHECK(log->keeper()->taught()->measured == 2);
    for (const auto& l : log->keeper()->taught()->lessons) CHECK(l.id != "wall:dark");
}

TEST_CASE("why: chosen on the piece, one question, a change that goes into the plan and back") {
    Program p;
    p.session.select("crater-bowl");
    p.session.editPiece("Out too soon", [](Piece& piece) { piece.coats().back().stay = Measure(420); });
    p.answered();
    QTest::keyClick(&p.window, Qt::Key_F7, Qt::AltModifier);
    auto* log = p.window.log();
    auto* why = log->why();
    pressed(why, "fault/broke-on-release");
    REQUIRE(QTest::qWaitFor([&] { return !why->isBusy(); }, kPatience));
    REQUIRE(why->inquiry());
    CHECK(why->inquiry()->diagnose().suspects.front().cause->id == "not-set");
    CHECK(why->findChild<QLabel*>("whyQuestion")->text().contains("tacky"));
    pressed(why, "whyYes");
    CHECK(why->inquiry()->diagnose().suspects.front().p > 0.8);
    pressed(why, "whyUnanswer/not-set");
    CHECK(why->inquiry()->given().answered.empty());
    REQUIRE(why->tried().contains("not-set"));
    pressed(why, "whyPut/not-set");
    CHECK(p.piece().coats().back().stay.value > 600);
    p.session.document().undo();
    CHECK(p.piece().coats().back().stay.value == 420);
    pressed(why, "whyMean/not-set");
    QTest::keyClick(&p.window, Qt::Key_F7);
    log->showLessons();
    REQUIRE(log->keeper()->resolves().size() == 1);
    pressed(log, "practise/releasing");
    CHECK(p.window.bench()->lessons()->isVisible());
}

TEST_CASE("every fault can be reached in the window, and each piece offers only those it can have") {
    Program p;
    QTest::keyClick(&p.window, Qt::Key_F7, Qt::AltModifier);
    auto* why = p.window.log()->why();
    std::set<QString> reached;
    for (const auto& piece : p.session.plan().pieces) {
        why->show({}, QString::fromStdString(piece.id), {});
        std::set<QString> now;
        for (auto* b : why->picture()->findChildren<QPushButton*>())
            if (b->objectName().startsWith("fault/")) now.insert(b->objectName().mid(6));
        for (const auto& f : p.session.library().faults)
            CHECK(now.contains(QString::fromStdString(f.id)) == why::canHave(f, piece));
        reached.merge(now);
    }
    CHECK(reached.size() == 18);
    // What was really done is typed, and the piece is computed anew from that.
    why->show({}, "crater-bowl", "streaks");
    REQUIRE(QTest::qWaitFor([&] { return !why->isBusy(); }, kPatience));
    const double before = why->inquiry()->diagnose().comes;
    Program::type(why->findChild<Field*>("given/hottest"), "36 °C");
    REQUIRE(QTest::qWaitFor([&] { return !why->isBusy(); }, kPatience));
    CHECK(why->inquiry()->diagnose().suspects.front().cause->id == "lost");
    CHECK(why->inquiry()->diagnose().comes > before + 0.3);
}

TEST_CASE("an evening's fault leads to its causes; what it was is written down in its place") {
    Program p;
    auto* log = invented(p);
    log->tiles()[0]->click();
    const auto evening = log->keeper()->evening(log->evening()->evening());
    std::int64_t dull = 0;
    for (const auto* e : evening->held())
        if (e->fault == "dull") dull = e->id;
    pressed(log, qPrintable(QString("entryWhy/%1").arg(dull)));
    REQUIRE(QTest::qWaitFor([&] { return !log->why()->isBusy(); }, kPatience));
    CHECK(log->why()->findChild<QComboBox*>("whyPiece")->currentText() == "Lens cup");
    REQUIRE(log->why()->findChild<QPushButton*>("whyWas/dew"));
    pressed(log->why(), "whyWas/dew");
    const auto now = log->keeper()->evening(evening->id);
    size_t faults = 0;
    for (const auto* e : now->held())
        if (e->fault == "dull") {
            ++faults;
            CHECK(e->cause == "dew");
            CHECK(e->count == 2);
        }
    CHECK(faults == 1);
}

TEST_CASE("what the log knows of a bag is asked of the one that was open that evening") {
    Program p;
    auto* log = invented(p);
    auto other = *log->keeper()->evening(log->keeper()->shelf().back().id);
    other.bags["dark"] = "A thin sack";
    REQUIRE(log->keeper()->keep(other).isEmpty());
    REQUIRE(thought(p));
    std::set<double> yields;
    for (const auto& mark : log->keeper()->shelf()) {
        log->askWhy(mark.id, "crater-bowl", "thin-rim");
        REQUIRE(QTest::qWaitFor([&] { return !log->why()->isBusy(); }, kPatience));
        const auto evening = log->keeper()->evening(mark.id);
        for (const auto& b : log->keeper()->taught()->bags)
            if (b.chocolate == "dark" && b.bag == evening->bags.at("dark"))
                CHECK(log->why()->inquiry()->given().log.yield.value_or(0) == Approx(std::log(b.yield.likely)));
        yields.insert(*log->why()->inquiry()->given().log.yield);
    }
    CHECK(yields.size() == 2);
}

TEST_CASE("an evening is made again for more; the log goes out and comes in as files") {
    Program p;
    auto* log = invented(p);
    const QString json = p.folder.filePath("log.json"), csv = p.folder.filePath("log.csv");
    CHECK(log->writeTo(json).contains("2 evening"));
    CHECK(log->writeTo(csv).contains("2 evening"));
    CHECK(!log->writeTo("/nowhere/log.json").contains("are in"));
    log->tiles()[1]->click();
    pressed(log, "logAgain");
    Program::type(p.window.sheet()->findChild<Field*>("againMany"), "20");
    pressed(p.window.sheet(), "againMake");
    REQUIRE(p.session.plan().pieces.size() == 1);
    CHECK(p.session.plan().pieces[0].count == 20);
    CHECK(p.session.plan().name == "A trial of bowls");
    CHECK(*localMinutes(p.session.plan().deadline) > kNow);
    CHECK_FALSE(p.session.document().canUndo());
    QTest::keyClick(&p.window, Qt::Key_F7);
    pressed(log, "logMine");
    CHECK(log->keeper()->isEmpty());
    CHECK(log->takeFrom(json).startsWith("2 of 2"));
    CHECK(log->takeFrom(csv).startsWith("0 of 2"));
    CHECK(log->tiles().size() == 2);
    QFile bad(p.folder.filePath("bad.json"));
    REQUIRE(bad.open(QIODevice::WriteOnly));
    bad.write("{}");
    bad.close();
    CHECK(!log->takeFrom(bad.fileName()).isEmpty());
    CHECK(log->tiles().size() == 2);
}

TEST_CASE("a damaged log says so in the place, and the rest of the program works") {
    Program p;
    QFile file(p.folder.filePath("log.sqlite"));
    REQUIRE(file.open(QIODevice::WriteOnly));
    file.write(QByteArray(20'000, 'x'));
    file.close();
    QTest::keyClick(&p.window, Qt::Key_F7);
    auto* log = p.window.log();
    CHECK(log->findChild<QLabel*>("logSum")->text().contains("damaged"));
    pressed(log, "logBegin");  // refused in words, nothing else
    CHECK(p.window.saying().contains("damaged"));
    CHECK(log->tiles().empty());
    QTest::keyClick(&p.window, Qt::Key_F2);
    p.session.select("crater-bowl");
    CHECK(p.grams() > 0.05);
}

TEST_CASE("what lies on the scale goes into the sheet by one press, and is offered only while it is fresh") {
    Program p;
    QTest::keyClick(&p.window, Qt::Key_F7);
    auto* log = p.window.log();
    pressed(log, "logBegin");
    pressed(log, "logWrite");
    auto* page = p.window.findChild<QWidget*>("entryPage");
    REQUIRE(page);
    auto* scale = page->findChild<QPushButton*>("entryScale");
    CHECK(scale->isHidden());
    auto* link = p.window.findChild<ProbeLink*>();
    probe::Reading on;
    on.kind = probe::Reading::Kind::Temperature;
    on.value = 31;
    emit link->reading(on);
    CHECK(scale->isHidden());
    on.kind = probe::Reading::Kind::Mass;
    on.value = 0.0534;
    emit link->reading(on);
    CHECK(scale->isVisible());
    CHECK(scale->text().contains("53"));
    scale->click();
    CHECK(page->findChild<Field*>("entryMass")->edit()->text().contains("53"));
    page->findChild<QPushButton*>("entryKeep")->click();
    const auto e = log->keeper()->evening(log->evening()->evening());
    REQUIRE(e->entries.size() == 1);
    CHECK(e->entries[0].record.value == Approx(0.0534));
}

}  // namespace log_place_test
