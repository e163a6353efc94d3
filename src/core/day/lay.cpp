// Lays out a day as it is wished: where a wish hangs on the day itself, it is laid out again.
#include <algorithm>
#include <cmath>
#include <limits>
#include <map>
#include <numeric>

#include "core/day/carry.h"
#include "core/day/chance.h"
#include "core/document/limits.h"

namespace uovo {

using day::rankOf;
using day::sortBlocks;

namespace {

constexpr double kAboutAsSure = 0.04;  // of a chance

/// The genes of a day that was kept; none when its steps are not those of the network.
std::optional<schedule::Genes> keptGenes(const LaidDay& kept, const schedule::Network& net) {
    if (kept.steps.size() != net.tasks.size()) return std::nullopt;
    std::map<std::string, size_t> at;
    for (size_t i = 0; i < kept.steps.size(); ++i) at[kept.steps[i].step] = i;
    const schedule::Decoder plain(net);
    schedule::Genes genes = plain.plainGenes();
    std::vector<double> place(net.tasks.size());
    for (size_t t = 0; t < net.tasks.size(); ++t) {
        const auto it = at.find(net.tasks[t].id);
        if (it == at.end()) return std::nullopt;
        const auto& step = kept.steps[it->second];
        place[t] = static_cast<double>(it->second);
        genes.delay[t] = std::clamp(step.sooner, 0, 7 * 1440);
        genes.small[t] = step.small && net.tasks[t].small;
    }
    for (size_t c = 0; c < net.choices.size(); ++c) {
        const auto it = kept.ways.find(net.choices[c].id);
        if (it == kept.ways.end()) return std::nullopt;
        genes.modes[c] = std::clamp(it->second, 0, static_cast<int>(net.choices[c].cost.size()) - 1);
    }
    sortBlocks(plain.blocks(), place, genes.order);
    return genes;
}

class Layer {
public:
    Layer(const Plan& plan, const material::Library& lib, const PlanFigures& known, const Solve& solve,
          const DayPlan* before)
        : plan_(plan), lib_(lib), known_(known), solve_(solve), before_(before) {}

    DayPlan run() {
        using Aim = DayWish::Aim;
        if (!before_ && !plan_.day.laid.steps.empty())
            if (auto kept = asKept()) return std::move(*kept);
        const bool wished = plan_.day.chance > 0, edited = before_ && before_->problem.empty();
        frame_.reserve =
            wished && edited ? before_->reserve : static_cast<int>(std::lround(lib_.usual("reserve") / 60));
        if (plan_.day.aim == Aim::FreeEvening) doneByClock(lib_.usual("evening"));
        DayPlan day = plan_.day.aim == Aim::FewTemperings || plan_.day.aim == Aim::Calm ? fromLate() : lay();
        if (plan_.day.aim == Aim::Early && day.problem.empty()) {
            const int morning =
                clockAt(clockMinutes(plan_.kitchen.cook.from).value_or(static_cast<int>(lib_.usual("morning") / 60)));
            if (morning < day.layout.begins) day = early(std::move(day), morning);
        }
        if (wished && day.problem.empty()) {
            const Chance chance = chanceOf(plan_, known_, lib_, day);
            const int wanted = reserveFor(chance, plan_.day.chance);
            // after an edit the clocks stand still while it is about as sure as before
            const bool enough = edited && std::abs(chance.onTime - plan_.day.chance) <= kAboutAsSure;
            if (!enough && std::abs(wanted - frame_.reserve) > 3) {
                if (frame_.doneBy) *frame_.doneBy += wanted - frame_.reserve;
                frame_.reserve = wanted;
                day = edited ? lay(nullptr, &day) : lay(&day);
            }
        }
        return day;
    }

private:
    /// The day that the file keeps, not looked for again.
    std::optional<DayPlan> asKept() const {
        const DayFrame frame{plan_.day.laid.reserve, plan_.day.laid.doneBy};
        DayPlan day = framed(frame);
        const auto genes = keptGenes(plan_.day.laid, day.asked);
        if (!genes) return std::nullopt;
        schedule::Effort once;
        once.decodes = 1;
        auto found = schedule::layOut(day.asked, once, {}, &*genes);
        if (!found) return std::nullopt;
        day.found = std::move(*found);
        realise(day, plan_.units);
        return day;
    }

    /// What is to be laid out, and when it ends.
    DayPlan framed(const DayFrame& frame) const {
        DayPlan day;
        day.asked = dayNetwork(plan_, lib_, known_, frame);
        day.reserve = frame.reserve;
        day.doneBy = frame.doneBy;
        day.end = localMinutes(plan_.deadline).value_or(0) - frame.reserve;
        return day;
    }

    /// The network's minute of a clock time on the day of the deadline.
    int clockAt(int minutes) const { return minuteOfDay(plan_, frame_.reserve, minutes); }
    void doneByClock(double seconds) {
        if (const int at = clockAt(static_cast<int>(seconds / 60)); at < 0) frame_.doneBy = at;
    }

    /// Begun with the day that begins late: a wish that weighs things otherwise is never worse off by its own measure.
    DayPlan fromLate() const {
        Plan late = plan_;
        late.day.aim = DayWish::Aim::Late;
        Layer plain(late, lib_, known_, solve_, nullptr);
        plain.frame_ = frame_;
        const DayPlan day = plain.lay();
        return day.problem.empty() ? lay(&day) : day;
    }

    /// Begun in the morning, and done so much sooner; what that does not fit into ends later.
    DayPlan early(DayPlan late, int morning) {
        frame_.doneBy = std::min(0, morning - late.layout.begins);
        DayPlan day;
        for (int again = 0; again < 3; ++again) {
            day = lay(&late);
            if (!day.problem.empty() || day.layout.begins >= morning) return day;
            // half the way: with more helpers about it all takes less
            frame_.doneBy = std::min(0, *frame_.doneBy + (morning - day.layout.begins) / 2);
        }
        return day.layout.begins < late.layout.begins ? day : late;
    }

    /// @param begin the day that it begins with, not to stay near to but to be quick @param before a day to stay near
    /// to; null: the one before the edit
    DayPlan lay(const DayPlan* begin = nullptr, const DayPlan* before = nullptr) const {
        if (!before) before = before_;
        DayPlan day = framed(frame_);
        std::optional<schedule::Genes> genes;
        if (begin) {
            genes = day::carried(*begin, day.asked);
            day.asked.before.clear();
        } else if (before && before->problem.empty() && !before->asked.tasks.empty()) {
            genes = day::opened(*before, day.asked);
        }
        if (auto found = solve_(day.asked, genes ? &*genes : nullptr)) {
            day.found = std::move(*found);
            realise(day, plan_.units);
        } else {
            day.problem = found.error().sentence;
        }
        return day;
    }

    const Plan& plan_;
    const material::Library& lib_;
    const PlanFigures& known_;
    const Solve& solve_;
    const DayPlan* before_;
    DayFrame frame_;
};

}  // namespace

LaidDay laidOf(const DayPlan& day) {
    LaidDay out;
    const auto& net = day.asked;
    const auto& genes = day.found.genes;
    if (!day.problem.empty() || net.tasks.empty() || net.tasks.size() > limits::kTasks) return out;
    out.reserve = day.reserve;
    out.doneBy = day.doneBy;
    const auto rank = rankOf(schedule::Decoder(net), genes, net.tasks.size());
    std::vector<size_t> order(net.tasks.size());
    std::iota(order.begin(), order.end(), size_t{0});
    std::stable_sort(order.begin(), order.end(), [&](size_t a, size_t b) { return rank[a] < rank[b]; });
    for (const size_t t : order) out.steps.push_back({net.tasks[t].id, genes.delay[t], genes.small[t] != 0});
    for (size_t c = 0; c < net.choices.size(); ++c) out.ways[net.choices[c].id] = genes.modes[c];
    return out;
}

DayPlan layDay(const Plan& plan, const material::Library& lib, const PlanFigures& known, const Solve& solve,
               const DayPlan* before) {
    DayPlan day = Layer(plan, lib, known, solve, before).run();
    day.before = daysBefore(plan, lib, known, day);
    return day;
}

}  // namespace uovo
