// The bench: a day worked through by keyboard alone, something that happens, a program that is started again.
#include <QPointer>
#include <QPushButton>

#include "desktop/bench/aids_panel.h"
#include "desktop/bench/figure_pad.h"
#include "desktop/bench/lesson_page.h"
#include "desktop/bench/mishap_panel.h"
#include "desktop/theme/theme.h"
#include "program.h"

namespace bench_test {
namespace {

constexpr double kPitch = 24 * 25.4 * 16 / 18.868 / 1280;  // mm a px on 24 inches of 1280 by 800

/// Keeps what would be heard.
struct Heard : Loud {
    std::vector<std::pair<Sound, double>> sounds;
    QStringList words;
    void play(Sound sound, double volume) override { sounds.emplace_back(sound, volume); }
    void say(const QString& what, double) override { words << what; }
    void hush() override {}
    void look() override {}
    void lacks() {
        loudspeaker_ = voice_ = Known::No;
        emit found();
    }
};

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
    CHECK(k.bench()->findChild<QLabel*>("benchOverList")->text().contains("in your log"));
    k.press(Qt::Key_F7);  // the day stands on the shelf, with its own log
    REQUIRE(k.window.log()->tiles().size() == 1);
    const auto kept = k.window.log()->keeper()->evening(k.window.log()->tiles()[0]->id());
    CHECK(kept->counts().begin()->second.whole >= 2);
    CHECK(kept->plan == k.session.plan());
    CHECK(run::readLog(kept->run)->run.hasEnded());
    CHECK(k.window.log()->evening()->findChild<QLabel*>("eveningAbout")->text().contains("came out whole"));
    k.press(Qt::Key_F6);
    k.bench()->findChild<QPushButton*>("benchClose")->click();
    CHECK(k.bench()->findChild<QPushButton*>("benchBegin")->isVisible());
}

TEST_CASE(
    "a step that leaves the plan while it is shown is told as it was, until the rest of the day is laid out anew") {
    Kitchen k;
    k.session.editPiece("Drizzle", [](Piece& piece) {
        DecorateStep d;
        d.way = DecorateStep::Way::Drizzle;
        d.line = Measure(0.3);
        piece.insert(d);
    });
    k.answered();
    k.bench()->findChild<QPushButton*>("benchBegin")->click();
    REQUIRE(k.bench()->keeper()->runs());
    const Piece& piece = k.session.plan().pieces[0];
    size_t at = 0;
    while (!std::holds_alternative<DecorateStep>(piece.making[at])) ++at;
    const std::string kind = "decorate-" + std::to_string(at);
    k.work(kind);
    REQUIRE(k.run().step(k.bench()->shown())->kind == kind);
    const QString title = k.bench()->title()->text();
    k.session.answerer().setHeld(true);  // the answers to come are slow
    k.session.editPiece("No drizzle", [](Piece& now) { now.without<DecorateStep>(); });
    REQUIRE(k.session.isStale());
    emit k.bench()->keeper()->changed();  // as for a timer, a weight, a mishap
    CHECK(k.bench()->title()->text() == title);
    CHECK(k.bench()->keeper()->runs());
    k.session.answerer().setHeld(false);
    k.answered();
    k.settled();
    k.work();
    CHECK(k.bench()->keeper()->isOver());
}

TEST_CASE("a bowl weighed at the bench teaches: the end of the day says it, and the plan counts on it with one press") {
    Kitchen k;
    k.press(Qt::Key_Space);
    k.work("in-1");  // after the first coat
    const auto planned = k.session.pieceAnswers(k.session.plan().pieces[0].id);
    REQUIRE(planned->made->wall);
    const double book = planned->made->wall->coats[0].added;
    run::Event weighed;
    weighed.kind = run::Kind::Weighed;
    weighed.step = k.bench()->shown();
    weighed.piece = k.run().step(weighed.step)->piece;
    weighed.figure = 0.8 * book;
    REQUIRE(k.bench()->keeper()->take(weighed));
    k.work();
    REQUIRE(k.bench()->keeper()->isOver());
    auto* count = k.bench()->findChild<QPushButton*>("benchCount");
    REQUIRE(QTest::qWaitFor([&] { return count->isVisible(); }, kPatience));
    const QString said = k.bench()->findChild<QLabel*>("benchTaught")->text();
    CHECK(said.contains("thinner"));
    CHECK(said.contains("your logbook, 1 measurement"));
    CHECK(said.contains("the next one weighs"));
    const double before = planned->made->mass;
    const Plan plan = k.session.plan();
    count->click();
    CHECK_FALSE(count->isVisible());
    k.answered();
    CHECK(k.session.pieceAnswers(k.session.plan().pieces[0].id)->made->mass < 0.95 * before);
    k.session.document().undo();
    CHECK(k.session.plan().own == plan.own);
    CHECK(k.session.plan().kitchen == plan.kitchen);
    // a rehearsal measures nothing, and says nothing of the day before it
    k.answered();
    k.bench()->keeper()->close();
    k.bench()->keeper()->rehearse(1, 3);
    for (int i = 0; i < 400 && k.bench()->keeper()->runs(); ++i) {
        k.settled();
        const run::Step* s = k.run().step(k.bench()->shown());
        if (!s) break;
        k.wait(std::max(0.0, std::max(k.run().due(*s), (s->at + s->minutes) * run::kMinute) -
                                 k.bench()->keeper()->second()) /
               60);
        k.bench()->doneTarget()->click();
        k.bench()->keeper()->answered();
        emit k.bench()->mishaps()->closed();
    }
    REQUIRE(k.bench()->keeper()->isOver());
    CHECK_FALSE(k.bench()->findChild<QLabel*>("benchTaught")->isVisible());
    CHECK_FALSE(count->isVisible());
    k.press(Qt::Key_F7);  // one day, one weighing; nothing of the rehearsal
    REQUIRE(k.window.log()->keeper()->shelf().size() == 1);
    const auto kept = k.window.log()->keeper()->evening(k.window.log()->keeper()->shelf()[0].id);
    CHECK(std::ranges::count(kept->taught().records, learn::Record::Is::Weighed, &learn::Record::is) == 1);
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
    for (const Theme& t : {lightTheme(), darkTheme()})
        for (const auto& ground : {t.paper, t.card, t.coldFill, t.harmFill}) CHECK(contrast(t.ink, ground) >= 7);
    int seen = 0;
    for (auto* l : k.bench()->findChildren<QLabel*>()) {
        if (!l->isVisible() || l->text().isEmpty()) continue;
        ++seen;
        INFO(l->text().toStdString());
        CHECK(contrast(l->palette().color(l->foregroundRole()), theme().paper) >= 7);
    }
    CHECK(seen >= 8);
}

TEST_CASE("a piece is weighed by big digits on the keyboard, compared, and kept as an event of the day") {
    Kitchen k;
    k.press(Qt::Key_Space);
    k.work("release");
    k.press(Qt::Key_W);
    auto* pad = k.bench()->pad();
    REQUIRE(pad->isVisible());
    CHECK_FALSE(k.bench()->doneTarget()->isVisible());
    k.press(Qt::Key_Return);  // nothing yet
    CHECK(pad->problem()->text().contains("Type the figure"));
    for (const auto key : {Qt::Key_9, Qt::Key_9, Qt::Key_9, Qt::Key_9, Qt::Key_9, Qt::Key_9}) k.press(key);
    k.press(Qt::Key_Return);
    CHECK(pad->problem()->text().contains("between"));
    REQUIRE(pad->isVisible());
    for (int i = 0; i < 6; ++i) k.press(Qt::Key_Backspace);
    for (const auto key : {Qt::Key_6, Qt::Key_0}) k.press(key);
    CHECK(pad->figure() == "60");
    const auto before = k.run().events().size();
    k.press(Qt::Key_Return);
    CHECK_FALSE(pad->isVisible());
    REQUIRE(k.run().events().size() == before + 1);
    const auto& e = k.run().events().back();
    CHECK(e.kind == run::Kind::Weighed);
    CHECK(e.figure == Approx(0.06));
    CHECK(e.piece == k.run().step(e.step)->piece);
    CHECK(k.window.saying().contains("60 g"));
    CHECK(k.window.saying().contains("planned"));
    CHECK(k.bench()->doneTarget()->hasFocus());
    k.press(Qt::Key_W);  // and left again, nothing lost
    k.press(Qt::Key_Escape);
    CHECK_FALSE(pad->isVisible());
    k.press(Qt::Key_Backspace);  // taken back
    CHECK(k.run().events().back().kind == run::Kind::Undone);
}

TEST_CASE("what the thermometer reads is typed, judged for the pot in use, and kept") {
    Kitchen k;
    k.press(Qt::Key_Space);
    k.work("coat-1");
    REQUIRE_FALSE(k.bench()->watch()->pot().empty());
    auto* reading = k.bench()->findChild<QLabel*>("benchReading");
    CHECK_FALSE(reading->isVisible());
    k.press(Qt::Key_T);
    for (const auto key : {Qt::Key_2, Qt::Key_8}) k.press(key);
    k.press(Qt::Key_Return);
    CHECK(reading->isVisible());
    CHECK(reading->text().contains("28"));
    CHECK(reading->text().contains("Too cool: warm it for"));
    const auto& pots = k.run().pots();
    const auto at = pots.find(k.bench()->watch()->pot());
    REQUIRE(at != pots.end());
    CHECK(*at->second.celsius == Approx(28));
}

TEST_CASE("a pot that two windows watch is read once into the day, again when it has moved and a minute has passed") {
    Kitchen k;
    Plan plan = k.session.plan();
    plan.kitchen.helpers = io::demoPlan(kNow).kitchen.helpers;
    k.session.document().setPlan(plan, {});
    k.answered();
    k.bench()->keeper()->begin();
    k.settled();
    k.work("coat-1");
    auto* who = k.bench()->findChild<QComboBox*>("benchWho");
    BenchPlace* second = k.bench()->openFor(who->itemText(1));
    REQUIRE(second);
    QTest::qWait(30);
    REQUIRE_FALSE(k.bench()->watch()->pot().empty());
    REQUIRE(second->watch()->pot() == k.bench()->watch()->pot());
    auto* link = k.window.findChild<ProbeLink*>();
    REQUIRE(link);
    const auto read = [&](double celsius) {
        emit link->reading({probe::Reading::Kind::Temperature, celsius, {}, -1});
        QTest::qWait(5);
        return std::ranges::count(k.run().events(), run::Kind::Read, &run::Event::kind);
    };
    CHECK(read(31.5) == 1);
    CHECK(read(31.5) == 1);
    CHECK(second->watch()->celsius().has_value());
    k.wait(2);
    CHECK(read(31.5) == 1);  // it has not moved
    k.bench()->keeper()->close();
    QTest::qWait(20);
}

TEST_CASE("a due timer rings once, louder things in their own way, and nothing in quiet hours") {
    Kitchen k;
    auto heard = std::make_unique<Heard>();
    auto& ears = *heard;
    k.bench()->announcer().setLoud(std::move(heard));
    run::Aloud aloud;
    aloud.reads = true;
    k.bench()->announcer().setAloud(aloud);
    k.press(Qt::Key_Space);
    k.work("in-1");
    CHECK_FALSE(ears.words.isEmpty());  // steps were read as they came
    k.press(Qt::Key_Space);
    emit k.bench()->keeper()->ticked();
    ears.sounds.clear();
    ears.words.clear();
    k.wait(9);
    emit k.bench()->keeper()->ticked();
    REQUIRE(ears.sounds.size() == 1);
    CHECK(ears.sounds[0].second == Approx(0.7));
    CHECK_FALSE(ears.words.isEmpty());
    k.wait(0.3);
    emit k.bench()->keeper()->ticked();
    CHECK(ears.sounds.size() == 1);
    k.wait(1);
    emit k.bench()->keeper()->ticked();
    CHECK(ears.sounds.size() == 2);  // nobody answered
    aloud.hours = true;
    aloud.from = 0;
    aloud.to = 24 * 60 - 1;
    k.bench()->announcer().setAloud(aloud);
    k.wait(2);
    emit k.bench()->keeper()->ticked();
    CHECK(ears.sounds.size() == 2);
    ears.words.clear();
    k.press(Qt::Key_R);  // asked for, it is read all the same
    CHECK(ears.words.size() == 1);
    k.bench()->announcer().setAloud({});
}

TEST_CASE("how it is heard is set in large targets, kept, and what is lacking is said") {
    Kitchen k;
    auto heard = std::make_unique<Heard>();
    auto& ears = *heard;
    k.bench()->announcer().setLoud(std::move(heard));
    k.press(Qt::Key_Space);
    k.settled();
    k.press(Qt::Key_S);
    auto* aids = k.bench()->aids();
    REQUIRE(aids->isVisible());
    const auto press = [&](const char* name) {
        auto* b = aids->findChild<QPushButton*>(name);
        REQUIRE(b);
        CHECK(b->height() * kPitch >= 22);
        b->click();
    };
    press("aidsLouder");
    CHECK(aids->findChild<QLabel*>("aidsVolume")->text() == "8 of 10");
    for (int i = 0; i < 10; ++i) press("aidsQuieter");
    CHECK(aids->findChild<QLabel*>("aidsVolume")->text() == "silent");
    CHECK(k.bench()->announcer().isSilent(12 * 60));
    for (int i = 0; i < 5; ++i) press("aidsLouder");
    press("aidsReads");
    press("aidsHours");
    CHECK(aids->findChild<QPushButton*>("aidsFrom")->isVisible());
    press("aidsTry");
    CHECK(ears.sounds.size() == 1);
    CHECK(aids->lacking()->text().isEmpty());
    ears.lacks();
    CHECK(aids->lacking()->text().contains("seen, not heard"));
    const Announcer again;  // as the next start has it
    CHECK(again.aloud() == k.bench()->announcer().aloud());
    k.press(Qt::Key_Escape);
    CHECK_FALSE(aids->isVisible());
    k.bench()->announcer().setAloud({});
}

TEST_CASE("who helps has a window with their steps alone; what is done in one is done in both") {
    Kitchen k;
    Plan plan = k.session.plan();
    plan.kitchen.helpers = io::demoPlan(kNow).kitchen.helpers;
    REQUIRE_FALSE(plan.kitchen.helpers.empty());
    plan.pieces[0].count = 6;
    k.session.document().setPlan(plan, {});
    k.answered();
    k.bench()->keeper()->begin();
    k.settled();
    auto* who = k.bench()->findChild<QComboBox*>("benchWho");
    REQUIRE(who->count() >= 3);
    who->setCurrentIndex(2);
    emit who->activated(2);
    k.press(Qt::Key_N);
    BenchPlace* theirs = nullptr;
    for (auto* w : QApplication::topLevelWidgets())
        if (auto* b = qobject_cast<BenchPlace*>(w)) theirs = b;
    REQUIRE(theirs);
    CHECK(theirs->windowTitle().contains(who->currentText()));
    CHECK(k.bench()->openFor(who->currentText()) == theirs);  // not twice
    who->setCurrentIndex(0);
    emit who->activated(0);
    for (int i = 0; i < 200 && k.bench()->keeper()->runs(); ++i) {
        k.settled();
        const run::Step* mine = theirs->shown().empty() ? nullptr : k.run().step(theirs->shown());
        if (mine) CHECK((mine->who >> 1 & 1));  // theirs, by whose hands it is
        const run::Step* s = k.run().step(k.bench()->shown());
        if (!s) break;
        const double at = std::max(k.run().due(*s), (s->at + s->minutes) * run::kMinute);
        if (const double left = at - k.bench()->keeper()->second(); left > 0) k.wait(left / 60);
        const auto done = s->id;
        if (mine && mine->id == s->id) theirs->doneTarget()->click();
        else k.bench()->doneTarget()->click();
        if (k.bench()->keeper()->run()) CHECK_FALSE(k.run().isOpen(done));
    }
    const QPointer<BenchPlace> gone(theirs);
    k.bench()->keeper()->close();
    CHECK(QTest::qWaitFor([&] { return gone.isNull(); }, kPatience));
}

TEST_CASE("a lesson is taken by keyboard alone, from the choice to what it taught") {
    Kitchen k;
    k.press(Qt::Key_P);
    auto* lessons = k.bench()->lessons();
    REQUIRE(lessons->isVisible());
    k.press(Qt::Key_Space);  // the first
    REQUIRE(lessons->lesson());
    lessons->stop();
    k.press(Qt::Key_Escape);
    CHECK_FALSE(lessons->lesson());
    lessons->open("gluing");
    lessons->stop();
    for (int i = 0; i < 3; ++i) {
        k.press(Qt::Key_1);  // score
        k.press(Qt::Key_1);  // glue
        k.press(Qt::Key_1);  // set it on
        lessons->pass(300);
        k.press(Qt::Key_2);  // let go
        INFO(lessons->words()->text().toStdString());
        REQUIRE(lessons->lesson()->rounds().size() == size_t(i + 1));
        CHECK(lessons->lesson()->rounds().back().good);
        k.press(Qt::Key_1);
    }
    CHECK(lessons->lesson()->isOver());
    CHECK(lessons->words()->text().contains("3 of 3"));
    for (auto* b : lessons->acts()) CHECK(b->height() * kPitch >= 22);
    k.press(Qt::Key_Escape);
    k.press(Qt::Key_Escape);
    CHECK_FALSE(lessons->isVisible());
    CHECK(k.bench()->findChild<QPushButton*>("benchPractise")->hasFocus());
}

TEST_CASE("time passes in a lesson by itself, stands still while a try is told and while nobody looks") {
    Kitchen k;
    k.press(Qt::Key_P);
    auto* lessons = k.bench()->lessons();
    lessons->open("keeping");
    const QString before = lessons->findChildren<QLabel*>("lessonFigure").front()->text();
    CHECK(QTest::qWaitFor([&] { return lessons->findChildren<QLabel*>("lessonFigure").front()->text() != before; },
                          kPatience));
    k.window.goTo(MainWindow::Place::Day);
    QTest::qWait(150);
    const QString there = lessons->findChildren<QLabel*>("lessonFigure").front()->text();
    QTest::qWait(400);
    CHECK(lessons->findChildren<QLabel*>("lessonFigure").front()->text() == there);
}

}  // namespace bench_test
