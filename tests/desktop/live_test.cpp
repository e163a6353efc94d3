// Tempering with a thermometer, end to end: the practice probe, a serial line, and figures typed by hand.
#include <fcntl.h>
#include <pty.h>
#include <sys/socket.h>
#include <sys/un.h>
#include <unistd.h>

#include <QProcess>
#include <QTemporaryDir>

#include "program.h"

namespace live_test {

namespace {

MeltPlace* melt(Program& p) {
    QTest::keyClick(&p.window, Qt::Key_F4);
    REQUIRE(p.window.melt()->isVisible());
    return p.window.melt();
}

/// The practice probe on a socket, as fast as asked.
struct Practice {
    QTemporaryDir folder;
    QProcess process;
    QString path = folder.filePath("uovo-probe.sock");
    explicit Practice(const QStringList& more = {"--speed", "400"}) { start(more); }
    void start(const QStringList& more) {
        process.start(UOVO_PROBE_SIM, QStringList{"--socket", path, "--grams", "2420", "--room", "21"} + more);
        REQUIRE(process.waitForStarted());
        REQUIRE(process.waitForReadyRead(kPatience));
    }
    void stop() {
        process.kill();
        process.waitForFinished();
    }
    ~Practice() { stop(); }
};

/// A serial line whose other end the test holds.
struct Serial {
    int host = -1, device = -1;
    char name[256] = {};
    LivePanel* live;
    explicit Serial(LivePanel* panel) : live(panel) {
        REQUIRE(openpty(&host, &device, name, nullptr, nullptr) == 0);
        live->listen(QString::fromLocal8Bit(name));
        REQUIRE(QTest::qWaitFor([&] { return live->link().isOpen(); }, kPatience));
    }
    bool send(const std::string& words) const { return write(host, words.data(), words.size()) > 0; }
    void unplug() {
        close(host);
        REQUIRE(QTest::qWaitFor([&] { return !live->link().isOpen(); }, kPatience));
        close(device);
    }
};

}  // namespace

TEST_CASE("the practice probe is heard, its curve drawn, and the prompts lead to ready") {
    Program p;
    auto* live = melt(p)->live();
    Practice probe;
    live->listen(probe.path);
    REQUIRE(QTest::qWaitFor([&] { return live->link().isOpen(); }, kPatience));
    REQUIRE(QTest::qWaitFor([&] { return !live->digits().isEmpty(); }, kPatience));
    QStringList said;
    QObject::connect(live, &LivePanel::curveChanged, live, [&] {
        if (said.isEmpty() || said.back() != live->prompt()) said << live->prompt();
    });
    QTest::mouseClick(live->findChild<QPushButton*>("temperNow"), Qt::LeftButton);
    REQUIRE(live->isRunning());
    REQUIRE(QTest::qWaitFor([&] { return live->prompt().startsWith("Ready"); }, kPatience));
    CHECK(said.join('|').contains("portion 1"));
    CHECK(said.join('|').contains("portion 3"));
    CHECK(live->curve().size() > 100);
    double hottest = 0;
    for (const auto& q : live->curve()) hottest = std::max(hottest, q.y());
    CHECK(hottest > 42);
    QTest::mouseClick(live->findChild<QPushButton*>("temperNow"), Qt::LeftButton);
    CHECK_FALSE(live->isRunning());
    CHECK(live->curve().empty());
}

TEST_CASE("an unplugged probe is waited for, and heard again when it is back") {
    Program p;
    auto* live = melt(p)->live();
    Practice probe({"--speed", "50"});
    live->listen(probe.path);
    REQUIRE(QTest::qWaitFor([&] { return !live->digits().isEmpty(); }, kPatience));
    live->begin();
    probe.stop();
    auto* state = live->findChild<QLabel*>("probeState");
    REQUIRE(QTest::qWaitFor([&] { return !live->link().isOpen(); }, kPatience));
    CHECK(state->text().contains("unplugged"));
    CHECK(live->isRunning());  // what was begun goes on
    probe.start({"--speed", "50"});
    REQUIRE(QTest::qWaitFor([&] { return live->link().isOpen(); }, kPatience));
    CHECK(state->text().contains("listening"));
    live->link().close();
    live->listen(QStringLiteral("/dev/no-such-thermometer"));
    CHECK(QTest::qWaitFor([&] { return state->text().contains("cannot be opened"); }, kPatience));
}

TEST_CASE("a serial line is read: a probe in Fahrenheit, garbage between its lines") {
    Program p;
    auto* live = melt(p)->live();
    Serial line(live);
    REQUIRE(line.send("uovo-probe 1 bench probe\r\nT 9\x02!\r\nT 88.7 F\r\nM 412 g\r\nT 300 C\r\n"));
    REQUIRE(QTest::qWaitFor([&] { return live->digits().startsWith("31.5"); }, kPatience));
    CHECK(live->link().garbage() == 2);
    CHECK(live->findChild<QLabel*>("probeState")->text().contains("bench probe"));
    line.unplug();
}

TEST_CASE("a thermometer whose clock leaps is heard on, and the curve stays drawn") {
    Program p;
    auto* live = melt(p)->live();
    Serial line(live);
    live->begin();
    REQUIRE(line.send("T 30 @10\nT 31 @12\nT 32 @1800000000\nT 33 @1800000003\nT 34 @5\nT 35 @8\n"));
    REQUIRE(QTest::qWaitFor([&] { return live->curve().size() >= 6; }, kPatience));
    for (size_t i = 1; i < live->curve().size(); ++i) CHECK(live->curve()[i].x() > live->curve()[i - 1].x());
    CHECK(live->curve().back().x() < 60);
    QElapsedTimer drawn;
    drawn.start();
    CHECK_FALSE(p.window.grab().isNull());
    CHECK(drawn.elapsed() < 2000);
    line.unplug();
}

TEST_CASE("a server that does not answer and a flood of lines hold the window no longer than a blink") {
    Program p;
    auto* live = melt(p)->live();
    QTemporaryDir folder;
    const QByteArray path = folder.filePath("uovo-probe.sock").toLocal8Bit();
    sockaddr_un address{};
    address.sun_family = AF_UNIX;
    REQUIRE(size_t(path.size()) < sizeof address.sun_path);
    std::memcpy(address.sun_path, path.constData(), size_t(path.size()) + 1);
    const int server = ::socket(AF_UNIX, SOCK_STREAM | SOCK_CLOEXEC, 0);
    REQUIRE(::bind(server, reinterpret_cast<const sockaddr*>(&address), sizeof address) == 0);
    REQUIRE(::listen(server, 0) == 0);
    std::vector<int> waiting;  // fill the queue of a server that never takes anyone in
    for (int k = 0; k < 4; ++k) {
        waiting.push_back(::socket(AF_UNIX, SOCK_STREAM | SOCK_CLOEXEC | SOCK_NONBLOCK, 0));
        (void)::connect(waiting.back(), reinterpret_cast<const sockaddr*>(&address), sizeof address);
    }
    QElapsedTimer time;
    time.start();
    live->listen(QString::fromLocal8Bit(path));
    CHECK(time.elapsed() < 1000);
    live->link().close();
    for (const int w : waiting) ::close(w);
    ::close(server);

    Serial line(live);
    ::fcntl(line.host, F_SETFL, ::fcntl(line.host, F_GETFL) | O_NONBLOCK);
    live->begin();
    std::string flood;
    for (int k = 0; k < 400; ++k) flood += "T 31.5\n";
    qint64 longest = 0;
    time.restart();
    for (QElapsedTimer all = time; all.elapsed() < 2000;) {
        while (write(line.host, flood.data(), flood.size()) > 0 && all.elapsed() < 2000) {
            time.restart();
            QCoreApplication::processEvents();
            longest = std::max(longest, time.elapsed());
        }
        time.restart();
        QCoreApplication::processEvents();
        longest = std::max(longest, time.elapsed());
    }
    CHECK(longest < 500);
    CHECK(live->digits().startsWith("31.5"));
    line.unplug();
}

TEST_CASE("without a device the figures are typed, and do the same") {
    Program p;
    auto* live = melt(p)->live();
    FigureField* typed = nullptr;
    for (auto* f : live->findChildren<FigureField*>()) typed = f;
    REQUIRE(typed);
    const auto type = [&](const char* words) {
        typed->edit()->setFocus();
        typed->edit()->selectAll();
        QTest::keyClicks(typed->edit(), words);
        QTest::keyClick(typed->edit(), Qt::Key_Return);
    };
    type("35");
    REQUIRE(live->isRunning());
    CHECK(live->digits().startsWith("35"));
    type("113 °F");
    CHECK(live->prompt().contains("portion 1"));
    type("60");
    CHECK(live->prompt().contains("scorches"));
    type("900");
    CHECK(typed->complaint()->text().contains("No thermometer"));
}

TEST_CASE(
    "another pot may be looked at while one is tempered: the run goes on, says whose it is, and its curve waits "
    "there") {
    Program p;
    auto* m = melt(p);
    auto* live = m->live();
    Serial line(live);
    live->begin();
    auto* button = live->findChild<QPushButton*>("temperNow");
    CHECK(button->text() == "stop");
    REQUIRE(line.send("T 40 @0\nT 39 @4\nT 38 @8\n"));
    REQUIRE(QTest::qWaitFor([&] { return live->curve().size() >= 3; }, kPatience));
    const size_t before = live->curve().size();
    QTest::mouseClick(m->pots().at(1), Qt::LeftButton);
    CHECK(live->isRunning());
    CHECK(live->curve().empty());  // the drawn curve is that of the other pot
    CHECK(button->text().startsWith("stop tempering "));
    CHECK(button->text().contains(QString::fromStdString(p.session.answers()->pots[0].name).toLower()));
    REQUIRE(line.send("T 37 @12\nT 37 @16\nT 37 @20\n"));
    REQUIRE(QTest::qWaitFor([&] { return live->digits().startsWith("37"); }, kPatience));
    QTest::mouseClick(m->pots().at(0), Qt::LeftButton);
    CHECK(live->curve().size() > before);
    CHECK(button->text() == "stop");
    line.unplug();
}

TEST_CASE("pictures of tempering", "[.][pictures]") {
    Program p;
    const QString folder = qEnvironmentVariable("UOVO_PICTURES", QStringLiteral(UOVO_SOURCE "/docs/screenshots"));
    auto* live = melt(p)->live();
    Practice probe({"--speed", "200"});
    live->listen(probe.path);
    live->begin();
    REQUIRE(QTest::qWaitFor([&] { return live->prompt().contains("portion 2"); }, kPatience));
    probe.stop();
    QTest::qWait(300);
    REQUIRE(p.window.grab().save(folder + "/tempering.png"));
}

}  // namespace live_test
