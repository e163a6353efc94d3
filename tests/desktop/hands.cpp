// Random hands: clicks, keys, words, drags and a hostile thermometer, as many as UOVO_HANDS says. scripts/storm.sh runs
// it; says the longest the window was held, how much memory grew and what it takes when nobody does anything.
#include <execinfo.h>
#include <malloc.h>
#include <pty.h>
#include <unistd.h>

#include <atomic>
#include <csignal>

#include <QAbstractButton>
#include <QAbstractEventDispatcher>
#include <fstream>
#include <iostream>
#include <thread>

#include "program.h"
#include "storm/storm.h"

namespace {

using storm::any;
using storm::below;
using storm::chance;
using storm::computed;

double megabytes() {
    ::malloc_trim(0);
    std::ifstream in("/proc/self/statm");
    double all = 0, resident = 0;
    in >> all >> resident;
    return resident * static_cast<double>(::sysconf(_SC_PAGESIZE)) / 1e6;
}

/// What is asked for and not given back, without the holes between it.
double megabytesInUse() {
    const auto info = ::mallinfo2();
    return double(info.uordblks + info.hblkhd) / 1e6;
}

/// Where the window is, on the error stream: addr2line -Cfe desktop-tests says it in words.
void saysWhere(int) {
    void* frames[60];
    ::backtrace_symbols_fd(frames, ::backtrace(frames, 60), STDERR_FILENO);
}

void saysWhereItBroke(int signal) {
    saysWhere(signal);
    std::signal(signal, SIG_DFL);
    std::raise(signal);
}

/// The longest turn of the window's loop, and what it did then: no key is heard meanwhile. Timers would tell more than
/// it: they wait as long as there are other events, while keys and the mouse are served.
class Heartbeat : public QObject {
public:
    Heartbeat() {
        since_.start();
        std::signal(SIGUSR2, saysWhere);
        std::signal(SIGSEGV, saysWhereItBroke);
        watch_ = std::jthread([this, window = ::pthread_self()](const std::stop_token& stop) {
            int seen = 0;
            for (int still = 0; !stop.stop_requested(); ++still) {
                std::this_thread::sleep_for(std::chrono::milliseconds(500));
                if (const int now = beats_; now != seen) seen = now, still = 0;
                if (still == 2 || still == 4) ::pthread_kill(window, SIGUSR2);
            }
        });
        connect(QAbstractEventDispatcher::instance(), &QAbstractEventDispatcher::awake, this, &Heartbeat::beat);
        startTimer(5);
    }
    void doing(const QString& what) { now_ = what; }
    qint64 longest = 0;
    QString then;

private:
    void beat() {
        ++beats_;
        if (const qint64 gap = since_.restart(); gap > longest) {
            longest = gap;
            then = now_;
        }
    }

    QElapsedTimer since_;
    QString now_;
    std::atomic<int> beats_ = 0;
    std::jthread watch_;  // last: it looks at what stands above it
};

/// A thermometer that floods, stammers, leaps and lies.
class Hostile {
public:
    explicit Hostile(unsigned seed) {
        REQUIRE(openpty(&host_, &device_, name, nullptr, nullptr) == 0);
        thread_ = std::jthread([this, seed](std::stop_token stop) {
            storm::Random r(seed);
            while (!stop.stop_requested()) {
                std::string words;
                switch (below(r, 6)) {
                    case 0:
                        words = "T " + std::to_string(25 + 20 * storm::share(r)) + "\n";
                        break;
                    case 1:
                        words = "T 31.5 @" + std::to_string(r() % 4'000'000'000u) + "\n";
                        break;
                    case 2:
                        for (int i = 0; i < 300; ++i) words += "T 3" + std::to_string(i % 10) + "\n";
                        break;
                    case 3:
                        for (int i = below(r, 3000); i > 0; --i) words += static_cast<char>(r());
                        break;
                    case 4:
                        words = "T nan\nT 1e999\nM -5 g\n! \n";
                        break;
                    case 5:
                        words = "uovo-probe 1 " + std::string(static_cast<size_t>(below(r, 400)), 'x') + "\n";
                        break;
                }
                (void)!::write(host_, words.data(), words.size());
                std::this_thread::sleep_for(std::chrono::milliseconds(below(r, 60)));
            }
        });
        drain_ = std::jthread([this](std::stop_token stop) {  // nobody may be listening: its line must not fill up
            while (!stop.stop_requested()) {
                ::tcflush(device_, TCIFLUSH);
                std::this_thread::sleep_for(std::chrono::milliseconds(200));
            }
        });
    }
    ~Hostile() {
        thread_.request_stop();
        drain_.request_stop();
        ::tcflush(device_, TCIOFLUSH);
        ::close(device_);
        ::close(host_);
    }
    char name[256] = {};

private:
    int host_ = -1, device_ = -1;
    std::jthread thread_, drain_;
};

template <class W>
W* one(QWidget& of, storm::Random& r) {
    std::vector<W*> there;
    for (auto* w : of.findChildren<W*>())
        if (w->isVisible() && w->isEnabled() && w->width() > 2 && w->height() > 2) there.push_back(w);
    return there.empty() ? nullptr : any(r, there);
}

QString words(storm::Random& r) {
    static const std::vector<QString> kWords{"3 mm",
                                             "1/2 in",
                                             "12 cm",
                                             "0",
                                             "-5",
                                             "1e9",
                                             "falls in a ribbon",
                                             "two spoons",
                                             "1.234,5 mm",
                                             "1,234",
                                             "☃",
                                             "90 %",
                                             "40 s",
                                             "1 h 15",
                                             "32 °C",
                                             "90 °F",
                                             "2 cups",
                                             "nonsense",
                                             "",
                                             "99999999999",
                                             "0,002",
                                             "count to thirty",
                                             "5 g"};
    return any(r, kWords);
}

}  // namespace

TEST_CASE("random hands", "[.][hands]") {
    const int actions =
        qEnvironmentVariableIntValue("UOVO_HANDS") > 0 ? qEnvironmentVariableIntValue("UOVO_HANDS") : 500;
    const auto seed = static_cast<unsigned>(qEnvironmentVariableIntValue("UOVO_HANDS_SEED"));
    storm::Random r(seed + 1);
    QApplication::setQuitOnLastWindowClosed(false);
    // A small store of answers is full soon: what grows after that is not remembered on purpose.
    Program p(Cache(48'000'000), 1);
    QDir::setCurrent(p.folder.path());
    Hostile probe(seed);
    Heartbeat heart;
    // Whatever asks and waits is answered, closed or escaped.
    bool answering = true;
    std::function<void()> tick;
    tick = [&] {
        if (!answering) return;
        QTimer::singleShot(40, &p.window, tick);  // first: what is answered may ask again, and wait
        if (auto* popup = QApplication::activePopupWidget()) {
            chance(r, 0.3) ? QTest::keyClick(popup, Qt::Key_Down)
                           : QTest::keyClick(popup, chance(r, 0.5) ? Qt::Key_Return : Qt::Key_Escape);
            return;
        }
        auto* modal = QApplication::activeModalWidget();
        if (!modal) return;
        auto* b = chance(r, 0.4) ? one<QAbstractButton>(*modal, r) : nullptr;
        b ? b->click() : (void)QTest::keyClick(modal, chance(r, 0.2) ? Qt::Key_Return : Qt::Key_Escape);
    };
    tick();
    const std::vector<QKeySequence> keys{
        QKeySequence("F2"),           QKeySequence("F5"),           QKeySequence("F8"),      QKeySequence("F4"),
        QKeySequence("F9"),           QKeySequence("F1"),           QKeySequence("Ctrl+F1"), QKeySequence("Ctrl+Z"),
        QKeySequence("Ctrl+Shift+Z"), QKeySequence("Ctrl+G"),       QKeySequence("Ctrl+K"),  QKeySequence("Ctrl+U"),
        QKeySequence("Ctrl+D"),       QKeySequence("Ctrl+S"),       QKeySequence("Ctrl+N"),  QKeySequence("Ctrl+,"),
        QKeySequence("Esc"),          QKeySequence("Tab"),          QKeySequence("Return"),  QKeySequence("Delete"),
        QKeySequence("Left"),         QKeySequence("Right"),        QKeySequence("Up"),      QKeySequence("Down"),
        QKeySequence("Shift+Up"),     QKeySequence("Home"),         QKeySequence("End"),     QKeySequence("Space"),
        QKeySequence("Alt+Left"),     QKeySequence("Ctrl+Shift+C"), QKeySequence("Ctrl+O"),  QKeySequence("Ctrl+E"),
        QKeySequence("Ctrl+I")};
    double first = 0, firstInUse = 0;
    QElapsedTimer grown;
    const double began = computed();
    QElapsedTimer all;
    all.start();
    for (int i = 0; i < actions; ++i) {
        if (!p.window.isVisible()) p.window.show();
        const double kind = storm::share(r);
        if (kind < 0.36) {
            if (auto* b = one<QAbstractButton>(p.window, r)) {
                heart.doing("clicking " + b->objectName() + " " + b->text().left(30) + b->accessibleName().left(30));
                QTest::mouseClick(b, Qt::LeftButton);
            }
        } else if (kind < 0.60) {
            const auto key = any(r, keys);
            heart.doing("pressing " + key.toString());
            QWidget* to = QApplication::focusWidget() ? QApplication::focusWidget() : &p.window;
            QTest::keyClick(to, Qt::Key(key[0].key()), key[0].keyboardModifiers());
        } else if (kind < 0.76) {
            if (auto* f = one<FigureField>(p.window, r)) {
                const QString text = words(r);
                heart.doing("typing " + text + " in " + f->objectName());
                if (f->edit()->isVisible() && f->edit()->isEnabled()) {
                    f->edit()->setFocus();
                    f->edit()->selectAll();
                    text.contains(QChar(0x2603)) ? f->edit()->insert(text) : QTest::keyClicks(f->edit(), text);
                    if (QPointer<QLineEdit> still = f->edit(); still) QTest::keyClick(still, Qt::Key_Return);
                }
            }
        } else if (kind < 0.80) {
            if (auto* c = one<QComboBox>(p.window, r); c && c->count() > 0) {
                heart.doing("choosing in " + c->objectName());
                c->setFocus();
                QPointer<QComboBox> still = c;
                for (int k = below(r, 4); k >= 0 && still; --k)
                    QTest::keyClick(still, chance(r, 0.6) ? Qt::Key_Down : Qt::Key_Up);
            }
        } else if (kind < 0.90) {
            QPointer<QWidget> w = one<QWidget>(p.window, r);  // what is asked meanwhile may take it away
            heart.doing(QString("dragging on ") + (w ? w->metaObject()->className() : ""));
            const auto at = [&] { return w ? QPoint(below(r, w->width()), below(r, w->height())) : QPoint(); };
            if (w)
                QTest::mousePress(w, chance(r, 0.8) ? Qt::LeftButton : Qt::RightButton,
                                  chance(r, 0.2) ? Qt::ShiftModifier : Qt::NoModifier, at());
            for (int k = below(r, 5); k > 0 && w; --k) QTest::mouseMove(w, at());
            if (w) QTest::mouseRelease(w, Qt::LeftButton, Qt::NoModifier, at());
            if (w) {
                const QPointF where{at()};
                QWheelEvent wheel(where, where, {}, {0, below(r, 480) - 240}, Qt::NoButton, Qt::NoModifier,
                                  Qt::NoScrollPhase, false);
                QApplication::sendEvent(w, &wheel);
            }
        } else if (kind < 0.93) {
            heart.doing("resizing");
            p.window.resize(960 + below(r, 700), 640 + below(r, 400));
        } else if (kind < 0.95) {
            heart.doing("another plan");
            p.session.document().setPlan(chance(r, 0.5) ? storm::randomPlan(r) : io::demoPlan(kNow), {});
        } else if (kind < 0.97) {
            heart.doing("the thermometer");
            auto* live = p.window.melt()->live();
            chance(r, 0.7) ? live->listen(QString::fromLocal8Bit(probe.name)) : live->link().close();
        } else {
            heart.doing("another piece");
            if (!p.session.plan().pieces.empty())
                p.session.select(QString::fromStdString(any(r, p.session.plan().pieces).id));
        }
        QCoreApplication::processEvents(QEventLoop::AllEvents, 5);
        if (chance(r, 0.05)) QTest::qWait(below(r, 120));
        if ((i + 1) % 2000 == 0)
            std::cout << "after " << i + 1 << " actions: " << megabytes() << " MB, in use " << megabytesInUse()
                      << std::endl;
        // a third is for what is made once: fonts, pictures of the gallery, rings of memory
        if (i == actions / 3 || i + 1 == actions) {
            heart.doing("resting");
            p.window.melt()->live()->link().close();
            p.window.sheet()->hide();
            p.window.resize(1280, 800);
            for (int k = 0; k < 60;
                 ++k) {  // answers of other plans are remembered for a while: until these have taken their place
                Plan plan = io::demoPlan(kNow);
                plan.pieces.resize(1);
                plan.pieces[0].coats()[0].drain = Measure(20 + k);
                p.session.document().setPlan(plan, {});
                CHECK(QTest::qWaitFor([&] { return p.session.isComplete(); }, kPatience));
            }
            p.session.document().setPlan(io::demoPlan(kNow), {});
            CHECK(QTest::qWaitFor([&] { return p.session.isComplete(); }, kPatience));
            QTest::qWait(300);
            if (i + 1 < actions) {
                first = megabytes();
                firstInUse = megabytesInUse();
                grown.start();
            }
        }
    }
    const double minutes = double(grown.elapsed()) / 6e4, last = megabytes(), lastInUse = megabytesInUse();
    // Idle: nobody does anything.
    answering = false;
    p.window.goTo(MainWindow::Place::Shape);
    QTest::qWait(500);
    const double before = computed();
    const qint64 longest = heart.longest;
    QTest::qWait(5000);
    const double idle = (computed() - before) / 5;
    std::cout << "hands: " << actions << " actions in " << all.elapsed() / 1000 << " s (" << computed() - began
              << " s of computing), seed " << seed << "; longest hold " << longest << " ms ("
              << heart.then.toStdString() << "); memory " << first << " to " << last << " MB (in use " << firstInUse
              << " to " << lastInUse << ") over " << minutes << " min; idle " << 100 * idle << " % of a core\n";
    CHECK(p.window.isVisible());
    if (!qEnvironmentVariableIsSet("UOVO_SLOW")) CHECK(longest < 2000);
    CHECK(idle < 0.06);  // the heartbeat and the hostile thread themselves
}
