// The bench: a day worked through by keyboard alone, something that happens, a program that is started again.
#include <QPushButton>

#include "desktop/bench/mishap_panel.h"
#include "desktop/theme/theme.h"
#include "program.h"

namespace bench_test {
namespace {

constexpr double kPitch = 24 * 25.4 * 16 / 18.868 / 1280;  // mm a px on 24 inches of 1280 by 800

/// Two cups, their day at the bench, a clock that the test turns.
struct Kitchen : Program {
    run::Stamp now{1'000'000, 100, "test"};

    Kitchen() : Program(demoKnown(), 0.1) {
        Plan plan = session.plan();
        plan.pieces.resize(1);
        plan.pieces[0].count = 2;
        plan.kitchen.helpers.clear();
        session.document().setPlan(plan, {});
        answered();
        bench()->keeper()->setClock([this] { return now; });
        window.goTo(MainWindow::Place::Bench);
        QTest::qWait(20);
    }
    BenchPlace* bench() { return window.bench(); }
    const run::Run& run() { return *bench()->keeper()->run(); }
    void press(Qt::Key key) {
        QWidget* at = QApplication::focusWidget() ? QApplication::focusWidget() : bench();
        QTest::keyClick(at, key);
        QTest::qWait(1);
    }
    void wait(double minutes) { now.up += minutes * 60, now.utc += static_cast<long long>(minutes * 60); }
    void settled() {
        REQUIRE(QTest::qWaitFor([this] { return !bench()->keeper()->isLaying(); }, kPatience));
    }
    /// Works on, each step at its time, until one of a kind is shown or none is left.
    void work(const std::string& until = {}) {
        for (int k = 0; k < 400 && bench()->keeper()->runs(); ++k) {
            settled();
            const run::Step* s = run().step(bench()->shown());
            if (!s || (!until.empty() && s->kind == until)) return;
            const double at = std::max(run().due(*s), (s->at + s->minutes) * run::kMinute);
            if (const double left = at - bench()->keeper()->second(); left > 0) wait(left / 60);
            const auto before = run().events().size();
            press(Qt::Key_Space);
            INFO(s->id << " at " << at << ", focus "
                       << (QApplication::focusWidget() ? QApplication::focusWidget()->objectName().toStdString()
                                                       : "none")
                       << ", " << window.saying().toStdString());
            REQUIRE(run().events().size() > before);
        }
    }
};

}  // namespace

TEST_CASE("a small day is begun, worked through and ended by keyboard alone") {
    Kitchen k;
    REQUIRE(k.bench()->findChild<QPushButton*>("benchBegin")->hasFocus());
    k.press(Qt::Key_Space);
    REQUIRE(k.bench()->keeper()->runs());
    k.settled();
    CHECK_FALSE(k.bench()->shown().empty());
    const QString first = k.bench()->title()->text();
    k.press(Qt::Key_Space);
    CHECK(k.bench()->title()->text() != first);
    k.press(Qt::Key_Backspace);  // step back
    CHECK(k.bench()->title()->text() == first);
    k.work();
    CHECK(k.bench()->keeper()->isOver());
    CHECK(k.bench()->findChild<QLabel*>("benchOver")->isVisible());
    CHECK(k.bench()->findChild<QLabel*>("benchOverList")->text().contains("2 of 2"));
    k.bench()->findChild<QPushButton*>("benchClose")->click();
    CHECK(k.bench()->findChild<QPushButton*>("benchBegin")->isVisible());
}

TEST_CASE("what is in the cold is a timer; when it is due it asks, and “not yet” asks again later") {
    Kitchen k;
    k.press(Qt::Key_Space);
    k.work("in-1");
    k.press(Qt::Key_Space);
    REQUIRE_FALSE(k.bench()->timers().empty());
    emit k.bench()->keeper()->ticked();
    TimerCard* cold = nullptr;
    for (auto* t : k.bench()->timers())
        if (!t->isDue()) cold = t;
    REQUIRE(cold);
    CHECK(cold->figure().contains(':'));
    k.wait(40);
    emit k.bench()->keeper()->ticked();
    CHECK(cold->isDue());
    auto* notYet = cold->findChildren<QPushButton*>().back();
    REQUIRE(notYet->isVisible());
    notYet->click();
    emit k.bench()->keeper()->ticked();
    CHECK_FALSE(cold->isDue());
}

TEST_CASE("a broken bowl is told in three presses, mended, and the rest of the day follows") {
    Kitchen k;
    k.press(Qt::Key_Space);
    k.work("release");
    REQUIRE(k.run().step(k.bench()->shown())->kind == "release");
    k.press(Qt::Key_Space);
    const auto whole = k.run().pieces()[0].whole();
    k.press(Qt::Key_H);
    auto* panel = k.bench()->mishaps();
    REQUIRE(panel->isVisible());
    k.press(Qt::Key_Space);  // the first: one broke
    CHECK(k.run().pieces()[0].whole() == whole - 1);
    REQUIRE(panel->isVisible());
    k.press(Qt::Key_Space);  // the first way on
    CHECK_FALSE(panel->isVisible());
    k.settled();
    k.work();
    CHECK(k.bench()->keeper()->isOver());
    CHECK(k.bench()->findChild<QLabel*>("benchOverList")->text().contains("broke"));
}

TEST_CASE("a program that was killed goes on at its step, its timers right, whatever the clock did meanwhile") {
    Kitchen k;
    k.press(Qt::Key_Space);
    k.work("out-1");
    const std::string shown = k.bench()->shown();
    const double second = k.bench()->keeper()->second();
    k.bench()->keeper()->close();  // as a crash leaves it: the log is on the disk
    CHECK(k.bench()->findChild<QPushButton*>("benchGoOn")->isVisible());
    k.now.up += 7 * 60;  // seven minutes of the machine's own clock
    k.now.utc -= 3600;   // while the clock on the wall was set back
    k.bench()->findChild<QPushButton*>("benchGoOn")->click();
    k.settled();
    REQUIRE(k.bench()->keeper()->runs());
    CHECK(k.bench()->keeper()->second() == Approx(second + 7 * 60).margin(1));
    CHECK(k.run().isOpen(shown));
    k.work();
    CHECK(k.bench()->keeper()->isOver());
}

TEST_CASE("the same day is not run by two windows") {
    Kitchen k;
    k.press(Qt::Key_Space);
    const QString path = k.folder.path() + "/unsaved.uovo-day";
    REQUIRE(QFile::exists(path));
    const auto other = io::RunFile::open(path.toStdString());
    REQUIRE_FALSE(other);
    CHECK(other.error().sentence.find("another window") != std::string::npos);
}

TEST_CASE("the plan may be edited while its day runs: what is done stays done") {
    Kitchen k;
    k.press(Qt::Key_Space);
    k.work("coat-1");
    const auto done = std::ranges::count_if(k.run().steps(), [&](const auto& s) { return !k.run().isOpen(s.id); });
    k.session.editPiece("One more", [](Piece& p) { p.count = 3; });
    k.answered();
    k.settled();
    REQUIRE(k.bench()->keeper()->runs());
    CHECK(std::ranges::count_if(k.run().steps(), [&](const auto& s) { return !k.run().isOpen(s.id); }) == done);
    k.work();
    CHECK(k.bench()->keeper()->isOver());
}

TEST_CASE("an evening is rehearsed at 240 times its speed to its end") {
    Kitchen k;
    k.bench()->keeper()->rehearse(240, 3);
    REQUIRE(k.bench()->keeper()->isRehearsal());
    for (int n = 0; n < 600 && k.bench()->keeper()->runs(); ++n) {
        k.settled();
        k.wait(0.05);  // twelve minutes of the day
        k.press(Qt::Key_Space);
    }
    CHECK(k.bench()->keeper()->isOver());
    CHECK_FALSE(QFile::exists(k.folder.path() + "/unsaved.uovo-day"));
}

TEST_CASE("the step is read from a metre away, and its targets are met with sticky hands") {
    Kitchen k;
    k.press(Qt::Key_Space);
    CHECK(QFontMetricsF(k.bench()->title()->font()).capHeight() * kPitch >= 9);
    for (const char* name : {"benchDone", "benchLater", "benchTrouble", "benchBack"}) {
        INFO(name);
        auto* b = k.bench()->findChild<QPushButton*>(name);
        CHECK(b->height() * kPitch >= 22);
        CHECK(b->width() * kPitch >= 22);
        CHECK_FALSE(b->text().isEmpty());
    }
    for (const Theme& t : {lightTheme(), darkTheme()}) CHECK(contrast(t.ink, t.paper) >= 7);
}

}  // namespace bench_test
