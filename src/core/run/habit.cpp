#include "core/run/habit.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include "core/quantity/catalogue.h"

namespace uovo::run {
namespace {

constexpr double kMinuteWorth =
    0.02;  // kg of chocolate that count as much as a minute, to put habits in order (judgement)

/// The lesson that a mishap asks for; empty: nobody's fault.
std::string lessonAfter(const Event& e, const Step* step) {
    switch (e.mishap) {
        case Mishap::Broke:
            return step && step->kind.starts_with("join") ? "gluing" : "releasing";
        case Mishap::NotSet:
            return "releasing";
        case Mishap::TooThick:
        case Mishap::BareSpots:
            return step && step->kind.starts_with("cast") ? "pouring" : "keeping";
        case Mishap::TooHot:
        case Mishap::Seized:
            return "tempering";
        case Mishap::PotSet:
            return "keeping";
        default:
            return {};
    }
}

}  // namespace

std::string lessonOf(const std::string& kind) {
    if (kind == "temper" || kind == "warm" || kind == "melt" || kind == "colour") return "tempering";
    if (kind.starts_with("coat") || kind.starts_with("cast")) return "pouring";
    if (kind == "release" || kind == "unmold" || kind == "uncast") return "releasing";
    if (kind.starts_with("join") || kind.starts_with("top")) return "gluing";
    return "pace";
}

std::vector<Habit> habits(const Run& run, const PlanFigures& known) {
    std::vector<Habit> out;
    const auto of = [&](const std::string& lesson) -> Habit& {
        const auto it = std::ranges::find(out, lesson, &Habit::lesson);
        if (it != out.end()) return *it;
        out.push_back({lesson, 0, 0, 0});
        return out.back();
    };
    std::string now;
    for (const auto& e : run.events()) {
        switch (e.kind) {
            case Kind::Happened:
                now = lessonAfter(e, run.step(e.step));
                if (!now.empty()) ++of(now).times;
                break;
            case Kind::NotYet: {  // looked at too soon
                if (e.minutes < 2) break;
                auto& h = of("releasing");
                ++h.times;
                h.minutes += e.minutes;
                break;
            }
            case Kind::Extra:
                if (now.empty() || e.laid.empty()) break;
                of(now).minutes += e.laid.front().minutes;
                of(now).kilograms += e.laid.front().takes;
                break;
            case Kind::Again: {
                const auto* a = known.piece(e.piece);
                if (!now.empty() && a && a->made) of(now).kilograms += e.count * a->made->mass;
                break;
            }
            case Kind::Done:
                now.clear();
                break;
            default:
                break;
        }
    }
    std::ranges::stable_sort(out, std::greater{},
                             [](const Habit& h) { return h.minutes + h.kilograms / kMinuteWorth; });
    return out;
}

std::string habitWords(const Habit& h, UnitSystem units) {
    const std::string_view name = h.lesson == "tempering"   ? tr("Tempering")
                                  : h.lesson == "keeping"   ? tr("Keeping a pot in its band")
                                  : h.lesson == "pouring"   ? tr("Pouring out in time")
                                  : h.lesson == "releasing" ? tr("Letting go")
                                                            : tr("Gluing");
    std::string out = fmt::format("{}, {} {}", name, h.times, h.times == 1 ? tr("time") : tr("times"));
    std::vector<std::string> cost;
    if (h.minutes >= 1) cost.push_back(say("{:.0f} min", h.minutes));
    if (h.kilograms > 1e-3) cost.push_back(format(h.kilograms, Dimension::Mass, units));
    if (!cost.empty()) out += tr(": about ") + cost[0] + (cost.size() > 1 ? tr(" and ") + cost[1] : "");
    return out + ".";
}

}  // namespace uovo::run
