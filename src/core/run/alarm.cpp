#include "core/run/alarm.h"

namespace uovo::run {

bool isQuiet(const Aloud& a, int minute) {
    if (!a.hours || a.from == a.to) return false;
    return a.from < a.to ? minute >= a.from && minute < a.to : minute >= a.from || minute < a.to;
}

std::optional<Ring> Alarm::pass(const std::vector<Timer>& timers, double second) {
    if (second < last_) rung_.clear();
    last_ = second;
    std::optional<Ring> out;
    std::map<std::string, Rung> kept;  // what is answered rings at once when it comes again
    for (const auto& t : timers) {
        if (t.due > second) continue;
        const std::string& id = t.step.empty() ? t.pot : t.step;
        const bool late = t.latest >= 0 && t.latest - second <= kBefore;
        const auto was = rung_.find(id);
        Rung rung = was == rung_.end() ? Rung{second, late} : was->second;
        if (was == rung_.end() || (late && !rung.late) || second - rung.at >= kAgain) {
            rung = {second, late};
            if (!out) out = Ring{late, t};
            else if (late && !out->late) out = Ring{true, t};
        }
        kept[id] = rung;
    }
    rung_ = std::move(kept);
    return out;
}

}  // namespace uovo::run
