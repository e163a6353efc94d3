// Drives the real window with mouse and keys.
#include <QComboBox>
#include <QFile>
#include <QMouseEvent>
#include <QProcess>
#include <QSignalSpy>
#include <QTest>
#include <catch2/catch.hpp>

#include <set>
#include "desktop/theme/theme.h"

#include "program.h"
#include "report/bench_card.h"
#include "report/fonts.h"

namespace window_test {

namespace {

double dip(const Piece& p) { return form::figure(p.shape, "dip"); }

}  // namespace

TEST_CASE("the demo evening opens with its answers") {
    Program p;
    REQUIRE(p.session.plan().pieces.size() == 7);
    CHECK(p.piece().count == 14);
    CHECK(p.grams() > 0.05);
    CHECK(p.session.answers()->day->problem.empty());
    CHECK(p.window.shape()->answers()->view("wall") != nullptr);
    CHECK(p.window.shape()->answers()->view("day") != nullptr);
}

TEST_CASE("dragging the dip line changes the grams, and undo takes it back") {
    Program p;
    const double before = p.grams(), depth = dip(p.piece());
    p.drag(PieceStage::Handle::Dip, QPoint(0, -40));
    p.answered();
    CHECK(dip(p.piece()) > depth + 0.005);
    CHECK(p.grams() > before * 1.05);
    QTest::keyClick(&p.window, Qt::Key_Z, Qt::ControlModifier);
    p.answered();
    CHECK(dip(p.piece()) == depth);
    CHECK(p.grams() == before);
    QTest::keyClick(&p.window, Qt::Key_Z, Qt::ControlModifier | Qt::ShiftModifier);
    p.answered();
    CHECK(dip(p.piece()) > depth + 0.005);
}

TEST_CASE("a drag is one undo step") {
    Program p;
    p.drag(PieceStage::Handle::Dip, QPoint(0, -30));
    p.answered();
    QTest::keyClick(&p.window, Qt::Key_Z, Qt::ControlModifier);
    CHECK_FALSE(p.session.document().canUndo());
}

TEST_CASE("handles move with the keyboard") {
    Program p;
    auto* stage = p.window.shape()->stage();
    stage->setFocus();
    const double depth = dip(p.piece());
    QTest::keyClick(stage, Qt::Key_Up);
    CHECK(dip(p.piece()) == Approx(depth + 0.001).margin(6e-4));
    QTest::keyClick(stage, Qt::Key_Right);
    QTest::keyClick(stage, Qt::Key_Up);
    CHECK(form::figure(p.piece().shape, "girth") > 0.36);
}

TEST_CASE("a coat card is added by its button and removed with a key") {
    Program p;
    const double before = p.grams();
    auto* add = p.window.findChild<QPushButton*>("addCoat");
    REQUIRE(add);
    QTest::mouseClick(add, Qt::LeftButton);
    p.answered();
    REQUIRE(p.piece().coats().size() == 3);
    CHECK(p.window.shape()->coats()->cards().size() == 3);
    CHECK(p.grams() > before * 1.2);
    auto* card = p.window.shape()->coats()->cards()[2];
    card->setFocus();
    QTest::keyClick(card, Qt::Key_Delete);
    p.answered();
    CHECK(p.piece().coats().size() == 2);
    CHECK(p.grams() == Approx(before));
}

TEST_CASE("coat cards are reordered by the keyboard and by dragging") {
    Program p;
    p.type(p.window.shape()->coats()->cards()[0]->field("temperature"), "31 °C");
    REQUIRE(p.piece().coats()[0].temperature.value == 31);
    auto* card = p.window.shape()->coats()->cards()[0];
    card->setFocus();
    QTest::keyClick(card, Qt::Key_Right, Qt::AltModifier);
    CHECK(p.piece().coats()[1].temperature.value == 31);
    auto* first = p.window.shape()->coats()->cards()[0];
    const QPoint start = first->mapToGlobal(QPoint(30, 190));
    QTest::mousePress(first, Qt::LeftButton, {}, QPoint(30, 190));
    const auto send = [&](QEvent::Type type, int by, Qt::MouseButton button, Qt::MouseButtons held) {
        const QPointF at = start + QPoint(by, 0);
        QMouseEvent event(type, first->mapFromGlobal(at), at, button, held, {});
        QApplication::sendEvent(first, &event);
        QTest::qWait(5);
    };
    for (const int by : {30, 120, 230}) send(QEvent::MouseMove, by, Qt::NoButton, Qt::LeftButton);
    send(QEvent::MouseButtonRelease, 230, Qt::LeftButton, Qt::NoButton);
    CHECK(p.piece().coats()[0].temperature.value == 31);
}

TEST_CASE("nonsense in a field gets a sentence beside it and changes nothing") {
    Program p;
    auto* girth = p.window.shape()->recipe()->field("former/girth");
    const Plan before = p.session.plan();
    p.type(girth, "blue");
    CHECK(girth->complaint()->isVisible());
    CHECK(girth->complaint()->text().contains("Start with a number"));
    CHECK(p.session.plan() == before);
    p.type(girth, "12 kg");
    CHECK(girth->complaint()->text().contains("does not belong here"));
    p.type(girth, "14 1/2 in");
    CHECK_FALSE(girth->complaint()->isVisible());
    CHECK(form::figure(p.piece().shape, "girth") == Approx(14.5 * 0.0254));
    CHECK(girth->edit()->text() == "14 1/2 in");  // as it was said, though this plan speaks metric
    CHECK(p.piece().shape.values.at("girth").typed == "14 1/2 in");
}

TEST_CASE("words of the kitchen are understood and widen the band") {
    Program p;
    p.answered();
    const auto narrow = p.session.pieceAnswers("crater-bowl")->made->meridian->band.mean;
    for (auto* card : p.window.shape()->coats()->cards()) p.type(card->field("temperature"), "falls in a ribbon");
    p.answered();
    CHECK(p.piece().coats()[0].temperature.value == Approx(31.5));
    CHECK(p.piece().coats()[0].temperature.spread == Approx(1.5));
    const auto wide = p.session.pieceAnswers("crater-bowl")->made->meridian->band.mean;
    CHECK(wide.high - wide.low > narrow.high - narrow.low);
}

TEST_CASE("what is impossible is said beside its field, and the last good picture stays") {
    struct Case {
        const char *field, *typed, *says;
    };
    const auto c =
        GENERATE(Case{"former/dip", "40 cm", "only 135 mm long"}, Case{"count", "0", "at least one piece"},
                 Case{"count", "10000", "more than a kitchen makes"}, Case{"former/girth", "3 m", "must be between"},
                 Case{"wantedWall", "5 cm", "between 0 and 20 mm"});
    Program p;
    auto* field = p.window.shape()->recipe()->field(c.field);
    p.type(field, c.typed);
    p.answered();
    INFO(c.field << " " << c.typed << ": " << field->complaint()->text().toStdString());
    CHECK(field->complaint()->isVisible());
    CHECK(field->complaint()->text().contains(c.says));
    CHECK_FALSE(p.session.document().canUndo());  // it is not in the plan
    QTest::keyClick(field->edit(), Qt::Key_Z, Qt::ControlModifier);
    p.answered();
    CHECK_FALSE(field->complaint()->isVisible());
}

TEST_CASE("hot chocolate on a balloon is refused beside the temperature") {
    Program p;
    auto* field = p.window.shape()->coats()->cards()[0]->field("temperature");
    p.type(field, "70 °C");
    p.answered();
    CHECK(field->complaint()->isVisible());
    CHECK(field->complaint()->text().contains("scorches"));
    p.type(field, "45 °C");
    p.answered();
    CHECK(field->complaint()->text().contains("bursts"));
}

TEST_CASE("save, reopen, equal") {
    Program p;
    p.type(p.window.shape()->recipe()->field("former/dip"), "6,5 cm");
    const QString path = p.folder.filePath("supper.uovo");
    REQUIRE(p.window.saveTo(path));
    CHECK_FALSE(p.session.document().isModified());
    const Plan saved = p.session.plan();
    p.session.document().setPlan(Plan{}, {});
    REQUIRE(p.window.openFile(path));
    CHECK(p.session.plan() == saved);
    p.answered();
    CHECK(p.window.shape()->recipe()->field("former/dip")->edit()->text() == "6,5 cm");
}

TEST_CASE("a refused write says so and loses nothing") {
    Program p;
    const QString path = p.folder.filePath("supper.uovo");
    REQUIRE(p.window.saveTo(path));
    QFile file(path);
    REQUIRE(file.open(QIODevice::ReadOnly));
    const QByteArray old = file.readAll();
    p.type(p.window.shape()->recipe()->field("former/dip"), "50 mm");
    const auto fault = GENERATE(io::Fault::Open, io::Fault::Write, io::Fault::Sync, io::Fault::Rename);
    CHECK_FALSE(p.window.saveTo(path, fault));
    CHECK(p.window.saying().contains("was not saved"));
    CHECK(p.session.document().isModified());
    CHECK(dip(p.piece()) == Approx(0.05));
    file.seek(0);
    CHECK(file.readAll() == old);
    CHECK(QDir(p.folder.path()).entryList({"*writing*"}).isEmpty());
}

TEST_CASE("a damaged file is refused with its line and the open plan stays") {
    Program p;
    const Plan before = p.session.plan();
    QFile file(p.folder.filePath("broken.uovo"));
    REQUIRE(file.open(QIODevice::WriteOnly));
    file.write(QByteArray::fromStdString(writePlan(before)).left(400));
    file.close();
    CHECK_FALSE(p.window.openFile(file.fileName()));
    CHECK(p.window.saying().contains("cut short"));
    CHECK(p.session.plan() == before);
}

TEST_CASE("a plan left by a crash is offered and taken back") {
    Program p;
    p.type(p.window.shape()->recipe()->field("former/dip"), "55 mm");
    const std::string text = writePlan(p.session.plan());
    QDir(p.folder.path()).mkpath("recovery");
    const QString file = p.folder.filePath("recovery/99999999.uovo");  // no process has this number
    REQUIRE(io::writeWhole(file.toStdString(), text));
    p.session.document().setPlan(io::demoPlan(kNow), {});
    p.window.offerRecovered();
    auto* take = p.window.findChild<QPushButton*>("takeBack");
    REQUIRE(take);
    QTest::mouseClick(take, Qt::LeftButton);
    CHECK(dip(*p.session.piece()) == Approx(0.055));
    CHECK(p.session.document().isModified());
    CHECK_FALSE(QFile::exists(file));
}

TEST_CASE("a plan that was open when the program ended badly is not opened again unasked") {
    Program p;
    const QString file = p.folder.filePath("bad.uovo");
    Plan plan = p.session.plan();
    plan.name = "Open at the end";
    REQUIRE(io::savePlan(file.toStdString(), plan));
    QSettings().setValue("openNow", file);
    CHECK_FALSE(p.window.reopen(file));
    CHECK(p.session.plan().name != "Open at the end");
    CHECK(p.window.saying().contains("bad.uovo"));
    auto* again = p.window.findChild<QPushButton*>("openAgain");
    REQUIRE(again);
    QTest::mouseClick(again, Qt::LeftButton);
    CHECK(p.session.plan().name == "Open at the end");
    QSettings().remove("openNow");
    CHECK(p.window.reopen(file));  // after a good end it is
    QSettings().remove("openNow");
}

TEST_CASE("autosave keeps what is not saved, and saving forgets it") {
    Program p;
    p.type(p.window.shape()->recipe()->field("former/dip"), "54 mm");
    p.session.document().autosave(true);
    const QDir recovery(p.folder.filePath("recovery"));
    REQUIRE(recovery.entryList({"*.uovo"}).size() == 1);
    auto kept = io::loadPlan(recovery.filePath(recovery.entryList({"*.uovo"}).front()).toStdString());
    REQUIRE(kept);
    kept->day.laid = {};  // only a file holds it
    CHECK(*kept == p.session.plan());
    REQUIRE(p.window.saveTo(p.folder.filePath("a.uovo")));
    CHECK(QTest::qWaitFor([&] { return recovery.entryList({"*.uovo"}).isEmpty(); }, kPatience));
}

TEST_CASE("a way out is one click, and undoable") {
    Program p;
    const double thin = p.session.pieceAnswers("crater-bowl")->made->wall->thinnest;
    REQUIRE(p.window.shape()->answers()->view("wall")->answer().tone == Tone::Weak);
    const auto way = p.window.shape()->answers()->view("wall")->answer().ways.front();
    auto* button = p.window.shape()->answers()->findChild<QPushButton*>("way");
    REQUIRE(button);
    QTest::mouseClick(button, Qt::LeftButton);
    p.answered();
    CHECK(p.session.pieceAnswers("crater-bowl")->made->wall->thinnest == Approx(way.thinnest).epsilon(1e-6));
    CHECK(p.session.pieceAnswers("crater-bowl")->made->wall->thinnest > thin);
    QTest::keyClick(&p.window, Qt::Key_Z, Qt::ControlModifier);
    p.answered();
    CHECK(p.session.pieceAnswers("crater-bowl")->made->wall->thinnest == Approx(thin));
}

TEST_CASE("every answer shows its working") {
    Program p;
    for (const char* id : {"wall", "grams", "cold", "holds", "bath", "shelf", "day"}) {
        auto* view = p.window.shape()->answers()->view(id);
        REQUIRE(view);
        QTest::mouseClick(view, Qt::LeftButton);
        CHECK(p.window.sheet()->isVisible());
        CHECK(p.window.sheet()->title().toStdString() == view->answer().working.title);
        CHECK_FALSE(view->answer().working.formula.empty());
        CHECK_FALSE(view->answer().working.trust.empty());
        QTest::keyClick(p.window.sheet(), Qt::Key_Escape);
        CHECK_FALSE(p.window.sheet()->isVisible());
    }
}

TEST_CASE("units switch and go back") {
    Program p;
    const QString grams = QString::fromStdString(p.window.shape()->answers()->view("grams")->answer().headline);
    QTest::keyClick(&p.window, Qt::Key_M, Qt::ControlModifier);
    p.answered();
    CHECK(p.window.shape()->answers()->view("grams")->answer().headline.find("oz") != std::string::npos);
    CHECK(p.window.shape()->answers()->view("bath")->answer().headline.find("lb") != std::string::npos);
    CHECK(p.window.shape()->recipe()->field("former/dip")->edit()->text() == "2 1/2 in");
    for (const auto& way : p.window.shape()->answers()->view("wall")->answer().ways)
        CHECK(way.title.find(" g ") == std::string::npos);
    QTest::keyClick(&p.window, Qt::Key_M, Qt::ControlModifier);
    p.answered();
    CHECK(QString::fromStdString(p.window.shape()->answers()->view("grams")->answer().headline) == grams);
}

TEST_CASE("the day shows each round and moves with the keys") {
    Program p;
    QTest::keyClick(&p.window, Qt::Key_F5);
    auto* line = p.window.day()->board();
    CHECK(p.window.day()->headline()->text().startsWith("Begin by"));
    line->setFocus();
    QTest::keyClick(line, Qt::Key_Home);
    const int begin = line->minute();
    QTest::keyClick(line, Qt::Key_Right, Qt::ShiftModifier);
    CHECK(line->minute() == begin + 15);
    QTest::keyClick(line, Qt::Key_End);
    const auto states = statesAt(p.session.plan(), *p.session.answers()->day, line->minute());
    int bowls = 0;
    for (const auto& s : states) {
        const auto& piece = *std::find_if(p.session.plan().pieces.begin(), p.session.plan().pieces.end(),
                                          [&](const Piece& x) { return x.id == s.piece; });
        bowls += s.piece == "crater-bowl";
        CHECK(s.coats == std::max<int>(1, static_cast<int>(piece.coats().size())));
        CHECK(s.released);
        CHECK(s.filled == (piece.fill() != nullptr));
    }
    std::set<int> rounds;
    for (const auto& t : p.session.answers()->day->network.tasks)
        if (t.piece == "crater-bowl" && t.round > 0) rounds.insert(t.round);
    CHECK(bowls == static_cast<int>(rounds.size()));
    int shown = 0;
    for (const auto& t : p.session.answers()->day->network.tasks) shown += t.step != "burst";
    CHECK(p.window.day()->steps()->list()->count() == shown);
    QTest::mouseClick(line, Qt::LeftButton, {}, QPoint(line->width() / 2, 60));
    CHECK(line->minute() < 0);
    CHECK(line->minute() > begin);
}

TEST_CASE("a deadline in the past is said and nothing breaks") {
    Program p;
    p.session.document().edit("late", [](Plan& plan) { plan.deadline = "2020-01-01T10:00"; });
    p.answered();
    auto* day = p.window.shape()->answers()->view("day");
    REQUIRE(day);
    CHECK(day->answer().tone == Tone::Impossible);
    CHECK(day->answer().sentence.find("has passed") != std::string::npos);
}

TEST_CASE("pieces are added, copied and taken off the shelf, an empty shelf teaches") {
    Program p;
    p.session.document().edit("empty", [](Plan& plan) { plan.pieces.clear(); });
    p.answered();
    CHECK_FALSE(p.window.shape()->stage()->isVisible());
    const Piece fresh = newPiece(p.session.plan(), "cup");
    p.session.select(QString::fromStdString(fresh.id));
    p.session.document().edit("add", [&](Plan& plan) { plan.pieces.push_back(fresh); });
    p.answered();
    CHECK(p.window.shape()->stage()->isVisible());
    CHECK(p.grams() > 0.005);
}

TEST_CASE("the bench card is a PDF of A4 pages with its fonts inside") {
    Program p;
    const QString path = p.folder.filePath("card.pdf");
    REQUIRE(p.window.writeCard(path));
    QProcess info;
    info.start("pdfinfo", {path});
    REQUIRE(info.waitForFinished());
    const QString said = info.readAllStandardOutput();
    CHECK(said.contains("A4"));
    CHECK(said.contains(QRegularExpression("Pages: +(1[2-9]|2[0-5])")));
    QProcess fonts;
    fonts.start("pdffonts", {path});
    REQUIRE(fonts.waitForFinished());
    CHECK(QString(fonts.readAllStandardOutput()).contains("Cabin"));
    QProcess words;
    words.start("pdftotext", {"-layout", path, "-"});
    REQUIRE(words.waitForFinished());
    const QString text = words.readAllStandardOutput();
    CHECK(text.contains("Crater bowl"));
    CHECK(text.contains("32 °C"));
    CHECK(text.contains(QString::fromStdString(format(p.grams(), Dimension::Mass, UnitSystem::Metric))));
    CHECK(text.contains("Dip crater bowls 1"));
    CHECK_FALSE(p.window.writeCard("/nowhere/at/all/card.pdf"));
    CHECK(p.window.saying().contains("could not be written"));
}

TEST_CASE("the window and the command line give the same figures") {
    Program p;
    const QString path = p.folder.filePath("plan.uovo");
    REQUIRE(p.window.saveTo(path));
    QProcess cli;
    cli.start(UOVO_CLI, {"answers", path});
    REQUIRE(cli.waitForFinished(kPatience));
    CHECK(QString::fromUtf8(cli.readAllStandardOutput()).toStdString() ==
          answersJson(p.session.plan(), *p.session.answers()));
}

TEST_CASE("the stage is painted: chocolate on the left, the wall's section on the right") {
    Program p;
    const QImage picture = p.window.shape()->stage()->picture(QSize(700, 380), 1);
    const auto darkPixels = [&](int from, int to) {
        int n = 0;
        for (int y = 0; y < picture.height(); ++y)
            for (int x = from; x < to; ++x) n += qGray(picture.pixel(x, y)) < 90;
        return n;
    };
    CHECK(darkPixels(200, 350) > 8000);  // the outside
    CHECK(darkPixels(352, 520) < 8000);  // open
    CHECK(darkPixels(352, 520) > 300);   // but for its wall
}

TEST_CASE("every control has an accessible name") {
    Program p;
    for (auto* w : p.window.findChildren<QWidget*>()) {
        if (!w->isVisible() || w->focusPolicy() == Qt::NoFocus || qobject_cast<QAbstractScrollArea*>(w) ||
            w->focusProxy())
            continue;
        const QString name = !w->accessibleName().isEmpty()      ? w->accessibleName()
                             : qobject_cast<QAbstractButton*>(w) ? qobject_cast<QAbstractButton*>(w)->text()
                                                                 : QString();
        if (QString(w->metaObject()->className()).contains("QLabel")) continue;
        INFO(w->metaObject()->className() << " " << w->objectName().toStdString());
        CHECK_FALSE(name.isEmpty());
    }
}

TEST_CASE("figures in columns have one width") {
    const QFont f = report::font(20);
    CHECK(report::tabularWidth(f, "11:11") == Approx(report::tabularWidth(f, "20:48")));
    CHECK(report::tabularWidth(f, "11:11") > QFontMetricsF(f).horizontalAdvance("11:11"));
}

TEST_CASE("the first place is there at once, the others when the window has been seen or when they are asked for") {
    QTemporaryDir folder;
    Session session(
        io::library(), folder.path(), [] { return kNow; }, demoKnown());
    session.answerer().setHeld(true);
    session.document().setPlan(io::demoPlan(kNow), {});
    MainWindow window(session);
    CHECK_FALSE(window.findChild<LogPlace*>());
    CHECK_FALSE(window.findChild<BenchPlace*>());
    window.goTo(MainWindow::Place::Log);
    CHECK(window.findChild<LogPlace*>() == window.log());
    CHECK_FALSE(window.findChild<BenchPlace*>());
    CHECK_FALSE(window.isWhole());
    QSignalSpy seen(&window, &MainWindow::painted);
    window.show();
    REQUIRE(QTest::qWaitFor([&] { return window.isWhole(); }, kPatience));
    CHECK(seen.size() == 1);
    CHECK(window.findChildren<LogPlace*>().size() == 1);  // none twice
    CHECK(window.findChildren<BenchPlace*>().size() == 1);
    CHECK(window.log()->isVisible());
    // answers wait until they are asked for
    QTest::qWait(200);
    CHECK_FALSE(session.answers());
    session.answerer().setHeld(false);
    REQUIRE(QTest::qWaitFor([&] { return session.isComplete(); }, kPatience));
    session.document().setPlan(Plan{}, {});
}

TEST_CASE("the program itself starts, paints and quits") {
    QProcess app;
    app.start(UOVO_APP, {"--demo", "--report-start"});
    REQUIRE(app.waitForFinished(kPatience));
    CHECK(app.exitCode() == 0);
    CHECK(QString(app.readAllStandardOutput()).trimmed().toDouble() > 0);
}

TEST_CASE("a plan whose deadline is no time leaves the last good day on the screen, and says what is wrong") {
    Program p;
    p.window.goTo(MainWindow::Place::Day);
    p.answered();
    for (const char* deadline : {"never", "", "2026-13-40T99:99"}) {
        INFO(deadline);
        Plan plan = p.session.plan();
        plan.deadline = deadline;
        p.session.document().setPlan(plan, {});
        QTest::qWait(300);
        CHECK_FALSE(p.window.grab().isNull());
        bool said = false;
        for (const auto* l : p.window.findChildren<QLabel*>())
            said = said || (l->isVisible() && (l->text().startsWith("Begin by") || l->text().startsWith("No day yet")));
        CHECK(said);
        CHECK_FALSE(p.session.problemAt("deadline").isEmpty());
    }
}

TEST_CASE("a sentence can be selected and copied, and never dragged: answers may take its label away meanwhile") {
    QWidget window;
    auto* box = new QVBoxLayout(&window);
    auto* label = wrapped("It lies at the rim, likely 0.9 mm to 1.9 mm.");
    box->addWidget(label);
    window.resize(400, 80);
    window.show();
    REQUIRE(QTest::qWaitForWindowExposed(&window));
    const QPoint word(30, label->height() / 2);
    QTest::mouseDClick(label, Qt::LeftButton, Qt::NoModifier, word);
    CHECK(label->hasSelectedText());
    QTest::mouseRelease(label, Qt::LeftButton, Qt::NoModifier, word);
    QTest::mousePress(label, Qt::LeftButton, Qt::NoModifier, word);  // on what is selected: a drag would begin here
    QTest::mouseMove(label, word + QPoint(60, 0));
    QTest::mouseMove(label, word + QPoint(120, 0));  // a drag would wait in there for a hand that never lets go
    QTest::mouseRelease(label, Qt::LeftButton, Qt::NoModifier, word + QPoint(120, 0));
    CHECK(label->selectedText().size() > 4);  // it selects from there on instead
}

}  // namespace window_test
