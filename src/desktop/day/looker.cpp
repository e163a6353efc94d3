#include "desktop/day/looker.h"

#include "core/day/chance.h"
#include "report/text.h"

namespace uovo::desktop {

Looker::Looker(const material::Library& library, Answerer& answerer, QObject* parent)
    : QObject(parent), library_(library), answerer_(answerer) {}

Looker::~Looker() { stop(); }

void Looker::stop() {
    ++number_;
    busy_ = false;
    if (thread_.joinable()) thread_ = {};  // asks it to stop and waits, some milliseconds
}

/// @param work gets the stop token and a function that does something on this thread unless it was stopped
template <class Work>
void Looker::start(Work work) {
    stop();
    busy_ = true;
    thread_ = std::jthread([this, number = number_, work = std::move(work)](std::stop_token quit) {
        const auto tell = [&](auto what) {
            QMetaObject::invokeMethod(
                this,
                [this, number, what] {
                    if (number == number_) what();
                },
                Qt::QueuedConnection);
        };
        work(quit, tell);
        tell([this] {
            busy_ = false;
            emit progressed(1);
        });
    });
}

void Looker::lookForWays(const Plan& plan, std::shared_ptr<const Answers> answers) {
    start([this, plan, answers](std::stop_token quit, const auto& tell) {
        const auto lib = material::withColours(library_, plan.colours);
        const auto refigure = [&](const Plan& other) -> std::shared_ptr<const PlanFigures> {
            Cache cache;
            AnswerOptions o;
            o.day = o.strength = o.together = o.ways = o.bands = false;
            const auto all = answer(other, library_, cache, o, quit);
            return all ? std::make_shared<const PlanFigures>(*all) : nullptr;
        };
        const auto ways = dayWays(
            plan, lib, *answers, *answers->day, answerer_.solve(quit), quit,
            [&](int done, int all) { tell([=, this] { emit progressed(0.99 * done / all); }); }, refigure);
        if (!quit.stop_requested()) tell([this, ways] { emit waysFound(ways); });
    });
}

void Looker::lookForBetter(std::shared_ptr<const DayPlan> day) {
    start([this, day](std::stop_token quit, const auto& tell) {
        schedule::Effort effort;
        constexpr double kEffort = 7e6;  // tasks × layouts
        effort.decodes =
            std::clamp(static_cast<int>(kEffort / double(std::max<size_t>(1, day->asked.tasks.size()))), 2000, 60'000);
        auto found = schedule::layOut(day->asked, effort, quit, &day->found.genes, [&](double share, const auto&) {
            tell([=, this] { emit progressed(0.99 * share); });
        });
        constexpr double kWorthIt = 0.98;  // of the cost
        if (quit.stop_requested() || !found) return;
        const auto &now = day->found.price, &then = found->price;
        const bool better = then.broken != now.broken ? then.broken < now.broken
                                                      : then.late <= now.late && then.cost < kWorthIt * now.cost;
        if (!better) return;
        auto shared = std::make_shared<const schedule::Found>(std::move(*found));
        tell([this, shared] { emit betterFound(shared); });
    });
}

void Looker::compare(const Plan& plan, std::shared_ptr<const Answers> answers) {
    start([this, plan, answers](std::stop_token quit, const auto& tell) {
        const auto lib = material::withColours(library_, plan.colours);
        Plan other = plan;
        constexpr int kAims = 6;
        for (int aim = 0; aim < kAims && !quit.stop_requested(); ++aim) {
            other.day.aim = static_cast<DayWish::Aim>(aim);
            const DayPlan day = layDay(other, lib, *answers, answerer_.solve(quit));
            if (quit.stop_requested()) return;
            DayFigures f;
            f.aim = other.day.aim;
            f.known = day.problem.empty();
            if (f.known) {
                f.begins = qstring(day.said(day.layout.begins, plan.units));
                int ends = day.layout.begins;
                for (size_t i = 0; i < day.network.tasks.size(); ++i) {
                    const auto& t = day.network.tasks[i];
                    if (t.step == "rest") ++f.rests;
                    else f.hands += t.minutes * t.hands;
                    f.temperings += t.step == "temper";
                    // what must be fresh, and the last look, are at the end of every day
                    if (t.step != "ready") ends = std::max(ends, day.layout.start[i] + t.minutes);
                }
                f.ends = qstring(day.said(ends, plan.units));
                f.broken = static_cast<int>(day.found.layout.broken.size());
                f.onTime = chanceOf(other, *answers, lib, day, quit).onTime;
            }
            tell([=, this] {
                emit compared(f);
                emit progressed(0.99 * (aim + 1) / kAims);
            });
        }
    });
}

}  // namespace uovo::desktop
