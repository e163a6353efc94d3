#include "desktop/bench/run_keeper.h"

#include <QDir>
#include <QFile>
#include <QFileInfo>

#include "report/text.h"

namespace uovo::desktop {

namespace {
constexpr int kTick = 500, kFast = 100;  // ms: an alarm is half a second late at most; while it is rehearsed faster
}  // namespace

/// A run that is nowhere on the disk, by a clock of its own.
struct RunKeeper::Rehearsal {
    run::Run run;
    run::Fate fate;
    run::Stamp last;  // of this machine, when `at` was
    double at = 0;    // s of the run
};

RunKeeper::RunKeeper(Session& session, QObject* parent) : QObject(parent), session_(session), clock_(io::stampNow) {
    tick_.setInterval(kTick);
    connect(&tick_, &QTimer::timeout, this, &RunKeeper::ticked);
    connect(&session_, &Session::answersChanged, this, &RunKeeper::followPlan);
    connect(&session_.document(), &Document::replaced, this, &RunKeeper::close);
}

RunKeeper::~RunKeeper() { ++number_; }

const run::Run* RunKeeper::run() const {
    if (rehearsal_) return &rehearsal_->run;
    return file_ ? &file_->run() : nullptr;
}

double RunKeeper::second() const {
    if (rehearsal_) return rehearsal_->at + speed_ * run::elapsed(rehearsal_->last, clock_());
    return file_ ? file_->second(clock_()) : 0;
}

long RunKeeper::local() const { return runs() || isOver() ? run::localAt(*run(), second()) : session_.now(); }

QString RunKeeper::path() const {
    const QString plan = session_.document().path();
    return plan.isEmpty() ? session_.dataFolder() + QStringLiteral("/unsaved.uovo-day")
                          : QString::fromStdString(io::runPathOf(plan.toStdString()));
}

bool RunKeeper::canGoOn() const {
    QFile f(path());
    if (file_ || !f.open(QIODevice::ReadOnly)) return false;
    const auto log = run::readLog(f.readAll().toStdString());
    return log && log->run.hasBegun() && !log->run.hasEnded();
}

std::string RunKeeper::logText() const {
    QFile f(file_ ? QString::fromStdString(file_->path()) : QString());
    return file_ && f.open(QIODevice::ReadOnly) ? f.readAll().toStdString() : std::string();
}

void RunKeeper::begin() {
    const auto answers = session_.answers();
    if (!answers || !answers->day || !answers->day->problem.empty()) return;
    close();
    QDir().mkpath(QFileInfo(path()).absolutePath());
    if (QFile::exists(path())) {  // an older day is kept beside it
        QString kept;
        for (int k = 1; kept.isEmpty() || QFile::exists(kept); ++k) kept = QStringLiteral("%1.%2").arg(path()).arg(k);
        QFile::rename(path(), kept);
    }
    auto file = io::RunFile::open(path().toStdString());
    if (!file) {
        emit said(qstring(file.error().sentence), true);
        return;
    }
    file_ = std::move(*file);
    start();
}

void RunKeeper::start() {
    told_ = 1;
    const auto answers = session_.answers();
    day_ = answers->day;
    laidFor_ = session_.answeredPlan();
    tick_.start();
    // what was ticked was done when it was to be: the day began then
    const long now = session_.now(), planned = *localMinutes(day_->clock(day_->layout.begins));
    const auto& ticks = session_.plan().day.done;
    const bool early = planned < now && std::ranges::any_of(day_->network.tasks, [&](const schedule::Task& t) {
                           return std::ranges::find(ticks, t.id) != ticks.end();
                       });
    const long begun = early ? planned : now;
    const double already = run::kMinute * static_cast<double>(minutesBetween(begun, now));
    if (!wasTaken(run::begin(session_.answeredPlan(), *answers, begun), already)) return;
    const run::Event laid = run::laid(*day_, begun, 0);
    if (early) {
        wasTaken(laid, already);
        for (const auto& done : run::ticked(laid, ticks, already)) wasTaken(done, already - done.at);
        emit changed();
    }
    // it is begun when it is begun: what is planned for later waits, what is late is laid out anew
    if (now > planned + 1) return layAnew();
    take(laid);
}

/// Writes down what was at its second of the run, so long ago; what does not follow on what is known is left out.
bool RunKeeper::wasTaken(const run::Event& event, double secondsAgo) {
    run::Stamp then = clock_();
    then.utc -= std::llround(secondsAgo);
    then.up -= secondsAgo;
    const auto ok = file_->take(event, then);
    if (!ok && event.kind != run::Kind::Done) emit said(qstring(ok.error().sentence), true);
    return ok.has_value();
}

void RunKeeper::goOn() {
    const auto answers = session_.answers();
    auto file = io::RunFile::open(path().toStdString());
    if (!file) {
        emit said(qstring(file.error().sentence), true);
        return;
    }
    close();
    told_ = 1;
    file_ = std::move(*file);
    day_ = answers ? answers->day : nullptr;
    if (file_->wasTorn())
        emit said(tr("The last event of this day was not whole on the disk, and is left out."), false);
    tick_.start();
    layAnew();
    emit changed();
}

void RunKeeper::rehearse(double speed, unsigned seed) {
    const auto answers = session_.answers();
    if (!answers || !answers->day || !answers->day->problem.empty()) return;
    close();
    told_ = 1;
    rehearsal_.reset(new Rehearsal{{}, run::Fate(seed, {}), clock_(), 0});
    day_ = answers->day;
    laidFor_ = session_.answeredPlan();
    const long begins = *localMinutes(day_->clock(day_->layout.begins));
    tick_.start();
    take(run::begin(session_.answeredPlan(), *answers, begins));
    take(run::laid(*day_, begins, 0));
    setSpeed(speed);
}

void RunKeeper::setSpeed(double speed) {
    if (!rehearsal_) return;
    rehearsal_->at = second();
    rehearsal_->last = clock_();
    speed_ = std::clamp(speed, 1.0, 240.0);
    tick_.setInterval(speed_ > 1 ? kFast : kTick);
    emit changed();
}

void RunKeeper::close() {
    ++number_;
    if (thread_.joinable()) thread_ = {};
    laying_ = false;
    tick_.stop();
    tick_.setInterval(kTick);
    rehearsal_.reset();
    file_.reset();
    trouble_.reset();
    news_.clear();
    speed_ = 1;
    emit changed();
}

bool RunKeeper::take(run::Event event) {
    event.at = std::max(second(), run() ? run()->now() : 0.0);
    tl::expected<void, Problem> ok;
    if (rehearsal_) {
        ok = rehearsal_->run.take(event);
    } else if (file_) {
        const auto before = file_->run().events().size();
        ok = file_->take(event, clock_());
        if (!ok && file_->run().events().size() > before) {  // taken, and not on the disk yet
            emit said(qstring(ok.error().sentence), true);
            ok = {};
        }
    } else {
        return false;
    }
    if (!ok) emit said(qstring(ok.error().sentence), true);
    emit changed();
    return ok.has_value();
}

void RunKeeper::done(const std::string& id) {
    if (!run() || !run()->step(id)) return;
    const run::Step step = *run()->step(id);
    if (rehearsal_) {
        if (const auto e = rehearsal_->fate.notYet(*run(), step, second())) {
            news_ = tr("Not yet: it has not set. Look again in %1 min.").arg(e->minutes);
            take(*e);
            return;
        }
    }
    run::Event e;
    e.kind = run::Kind::Done;
    e.step = id;
    e.who = step.who;
    news_.clear();
    if (!take(e)) return;
    told_ = step.who;
    const auto answers = session_.answers();
    if (rehearsal_ && answers) {
        if (auto m = rehearsal_->fate.mishap(*run(), step, session_.answeredPlan(), *answers, second());
            m && take(*m)) {
            m->at = run()->now();
            if (m->mishap == run::Mishap::Interrupted) {
                rehearsal_->at = second() + m->minutes * run::kMinute;
                rehearsal_->last = clock_();
            }
            trouble_ = *m;
            emit changed();
        }
    }
    if (runs() && run()->late(second()) > run::kBehind) layAnew();
}

void RunKeeper::layAnew() {
    const auto answers = session_.answers();
    if (!run() || !answers || !answers->day || !day_) return;
    ++number_;
    if (thread_.joinable()) thread_ = {};
    laying_ = true;
    laidFor_ = session_.answeredPlan();
    thread_ = std::jthread([this, number = number_, state = *run(), at = second(), plan = laidFor_, answers,
                            before = day_, lib = session_.answeredLibrary(), mine = told_](std::stop_token stop) {
        auto anew = run::layAnew(state, at, plan, lib, *answers, *before, run::underWay(state, at, mine), stop);
        if (stop.stop_requested()) return;
        QMetaObject::invokeMethod(
            this,
            [this, number, anew = std::move(anew)] {
                if (number != number_) return;
                laying_ = false;
                if (anew) taken(*anew);
                else emit said(qstring(anew.error().sentence), true);
            },
            Qt::QueuedConnection);
    });
}

void RunKeeper::taken(const run::Anew& anew) {
    run::Event laid = anew.event;
    // what was done while it was laid out is done
    std::erase_if(laid.laid, [&](const run::Step& s) { return run()->step(s.id) && !run()->isOpen(s.id); });
    if (!take(laid)) return;
    const int before = day_ ? -day_->reserve : 0;
    day_ = std::make_shared<const DayPlan>(anew.day);
    QStringList words;
    if (anew.later > 0)
        words << tr("Ready at %1, %n min late.", nullptr, anew.later)
                     .arg(qstring(clockInWords(
                         *clockMinutes(localTimeAfter(*localMinutes(session_.plan().deadline), anew.later).substr(11)),
                         session_.units())));
    else if (anew.later - before > 2) words << tr("%n min less in hand.", nullptr, anew.later - before);
    if (!anew.moved.empty())
        words << (anew.moved.size() > 2
                      ? tr("%1 and %n more steps move.", nullptr, static_cast<int>(anew.moved.size()) - 1)
                            .arg(qstring(anew.moved.front()))
                      : tr("Later: %1.").arg(qstring(anew.moved.front())));
    for (size_t i = 0; i < anew.atRisk.size() && i < 2; ++i) words << tr("At risk: %1").arg(qstring(anew.atRisk[i]));
    news_ = words.join(QLatin1Char(' '));
    emit changed();
}

/// The plan was edited while its day runs: what is done stays done, the rest follows.
void RunKeeper::followPlan() {
    if (!runs() || !session_.isComplete() || isRehearsal()) return;
    Plan now = session_.plan(), was = laidFor_;
    now.day.done = was.day.done = {};
    now.day.laid = was.day.laid = {};
    if (now == was) return;
    layAnew();
}

}  // namespace uovo::desktop
