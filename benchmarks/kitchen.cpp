// A day at the bench: what it costs while nobody touches it, how late an alarm is, whether memory grows over twelve
// hours.
#include <QElapsedTimer>
#include <cstdio>
#include <ctime>
#include <fstream>

#include "desktop/bench/bench_place.h"
#include "desktop/bench/run_keeper.h"
#include "program.h"

using namespace uovo;

namespace {

void spend(int ms) {
    QElapsedTimer t;
    t.start();
    while (t.elapsed() < ms) QApplication::processEvents(QEventLoop::WaitForMoreEvents | QEventLoop::AllEvents);
}

/// MB of memory that this process holds now.
double megabytes() {
    std::ifstream in("/proc/self/statm");
    long all = 0, resident = 0;
    in >> all >> resident;
    return double(resident) * 4096 / 1e6;
}

}  // namespace

int main(int argc, char** argv) {
    Program program(argc, argv);
    QApplication& app = program.app;
    desktop::Session& session = program.session;
    desktop::MainWindow& window = program.window;
    while (session.isStale() || !session.isComplete()) app.processEvents(QEventLoop::WaitForMoreEvents);
    auto* keeper = window.bench()->keeper();
    QElapsedTimer real;
    real.start();
    double ahead = 0;  // s that the test's clock is before the machine's
    keeper->setClock([&] {
        const double s = 1000 + ahead + double(real.nsecsElapsed()) * 1e-9;
        return run::Stamp{static_cast<long long>(1'000'000 + s), s, "benchmark"};
    });
    window.goTo(desktop::MainWindow::Place::Bench);
    keeper->begin();
    while (keeper->isLaying()) app.processEvents(QEventLoop::WaitForMoreEvents);
    // works on until something waits in the cold
    const auto cold = [&] {
        for (const auto& t : keeper->run()->timers(keeper->second()))
            if (!t.step.empty() && t.due > keeper->second() + 60) return t.due;
        return 0.0;
    };
    for (int k = 0; k < 60 && cold() == 0; ++k) {
        const run::Step* s = keeper->run()->step(window.bench()->shown());
        if (!s) break;
        ahead += std::max(0.0, std::max(keeper->run()->due(*s), (s->at + s->minutes) * 60.0) - keeper->second());
        keeper->done(s->id);
        while (keeper->isLaying()) app.processEvents(QEventLoop::WaitForMoreEvents);
        app.processEvents();
    }
    spend(2000);
    const std::clock_t before = std::clock();
    spend(20000);
    std::printf("at rest, %zu timers: %.2f %% of one core (asked: 1)\n", keeper->run()->timers(keeper->second()).size(),
                100.0 * double(std::clock() - before) / CLOCKS_PER_SEC / 20);
    if (const double due = cold(); due > 0) {
        ahead += due - keeper->second() - 2.3;
        double late = -1;
        QObject::connect(keeper, &desktop::RunKeeper::ticked, keeper, [&] {
            const double by = keeper->second() - due;
            if (late < 0 && by >= 0) late = by;
        });
        spend(4000);
        std::printf("an alarm comes %.2f s late (asked: 1)\n", late);
    }
    const auto hours = [&](int many) {
        for (int s = 0; s < many * 3600; s += 2) {
            ahead += 2;
            emit keeper->ticked();
            if (s % 60 == 0) app.processEvents();
        }
        return megabytes();
    };
    const double first = hours(1);
    std::printf("memory after an hour of the day %.1f MB, after twelve %.1f MB\n", first, hours(11));
}
