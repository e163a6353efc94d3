// The pots that the steps of a day draw from.
#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "core/day/builder.h"
#include "core/heat/pot.h"
#include "core/quantity/catalogue.h"

namespace uovo::day {
namespace {

constexpr double kSpoonful = 0.03;            // kg for which nobody tempers a pot
constexpr double kLittle = 0.2, kMuch = 2.0;  // kg between which a pot's minutes are taken as a line

}  // namespace

int Builder::potFor(const Piece& piece, const std::string& chocolate, bool molten) {
    const batch::PotKey key = potOf(piece, chocolate, lib_);
    const std::string id = key.id() + (molten ? "-molten" : "");
    if (const auto at = pots_.find(id); at != pots_.end()) return at->second;
    const auto found =
        std::find_if(known_.pots.begin(), known_.pots.end(), [&](const batch::Pot& p) { return p.key == key; });
    if (found == known_.pots.end()) return -1;  // a step that asks for none of it, as a lid over what is shut
    const auto known = static_cast<size_t>(found - known_.pots.begin());
    const auto* bought = lib_.find(chocolate);
    const auto* base = known_.melts[known].together > 0 ? lib_.find(bought->boughtAs()) : nullptr;
    schedule::Pot pot = potOfKind(key, known, molten);
    pot.id = id;
    if (base && bought != base) {  // divided off its base, which is melted for all of its colours
        batch::PotKey plain = key;
        plain.chocolate = base->id;
        const auto [at, fresh] = pots_.try_emplace(plain.id(), static_cast<int>(net_.pots.size()));
        if (fresh) {
            schedule::Pot of = pot;
            of.id = plain.id();
            of.name = lowerFirst(base->name);
            net_.pots.push_back(std::move(of));
            potKeys_.push_back(plain);
            chop(at->second, base->name);
            giveCup(at->second);
        }
        pot.base = at->second;
        pot.mixMinutes = minutes("colour", 1);
    }
    const int index = static_cast<int>(net_.pots.size());
    pots_[id] = index;
    net_.pots.push_back(pot);
    potKeys_.push_back(key);
    if (pot.base < 0) chop(index, found->name);
    if (!molten) giveCup(index);
    return index;
}

void Builder::giveCup(int pot) {
    schedule::Pot cup = net_.pots[static_cast<size_t>(pot)];
    cup.id += "-cup";
    cup.base = -1;
    cup.tempered = true;
    cup.before.clear();
    cup.meltMinutes = cup.meltPerKilogram = cup.temperPerKilogram = 0;
    cup.temperMinutes = minutes("patchPot", 1);
    cup.windowMinutes = cup.idle = static_cast<int>(lib_.usual("cupIdle") / 60);
    cup.windowPerKilogram = 0;
    cup.firstUse = static_cast<int>(lib_.usual("cupFirstUse") / 60);
    cup.length = static_cast<int>(lib_.usual("cupMost") / 60);
    net_.pots[static_cast<size_t>(pot)].small = static_cast<int>(net_.pots.size());
    net_.pots.push_back(std::move(cup));
    const batch::PotKey key = potKeys_[static_cast<size_t>(pot)];
    potKeys_.push_back(key);
}

schedule::Pot Builder::potOfKind(const batch::PotKey& key, size_t known, bool molten) const {
    const auto& pot = known_.pots[known];
    const MeltPlan& plan = known_.melts[known];
    const auto& coating = plan.coating;
    schedule::Pot out;
    out.name = lowerFirst(pot.name);
    out.tempered = coating.tempered && key.temper == material::Temper::Tempered && !molten;
    const auto melts = [&](double kg) {  // by its grams, the microwave's watts or the bath, and the bowl
        return plan.problem.empty() && !plan.temper.steps.empty() && plan.each > 0
                   ? std::max(2.0, plan.temper.steps.front().seconds * kg / plan.each / 60)
                   : minutes("melt", 1);
    };
    out.meltPerKilogram = (melts(kMuch) - melts(kLittle)) / (kMuch - kLittle);
    out.meltMinutes = std::max(1.0, melts(kLittle) - out.meltPerKilogram * kLittle);
    out.temperPerKilogram = lib_.usual("temperPerKilogram") / 60;
    out.temperMinutes = minutes("temper", 1) - 0.5 * out.temperPerKilogram;  // of half a kilogram, as in tasks.json
    out.keepsWarm = plan.choice.method == temper::Method::Machine;
    const auto window = [&](double kg) {
        return heat::batchWindow(coating, lib_.physics, kg, 0, std::min(coating.workHigh, coating.loses - 0.5),
                                 plan_.kitchen.room.value) /
               60;
    };
    const double little = window(kLittle), much = window(kMuch);
    if (!std::isfinite(little) || !std::isfinite(much)) {
        out.windowMinutes = 60;
    } else {
        out.windowPerKilogram = std::max(0.0, (much - little) / (kMuch - kLittle));
        out.windowMinutes = std::max(2.0, little - out.windowPerKilogram * kLittle);
    }
    out.vessel = lib_.usual("bowlHolds");
    out.idle = static_cast<int>(lib_.usual("potIdle") / 60);
    out.firstUse = static_cast<int>(lib_.usual("potFirst") / 60);
    out.length = static_cast<int>(lib_.usual("potMost") / 60);
    out.temperAfterMelt = static_cast<int>(lib_.usual("latestTemper") / 60);
    return out;
}

void Builder::chop(int pot, const std::string& name) {
    auto& of = net_.pots[static_cast<size_t>(pot)];
    of.before.push_back(
        add({"chop/" + of.id, tr("Chop ") + lowerFirst(name), "", "prepare", minutes("chop", 1), 1, 0, 0, {}}));
    net_.tasks.back().skills |= schedule::kKnife;
}

void Builder::draws(int task, int pot, bool bath) {
    if (pot < 0) return;
    net_.tasks[static_cast<size_t>(task)].pot = pot;
    net_.tasks[static_cast<size_t>(task)].skills |= schedule::kHot;
    draws_.push_back({task, pot, bath, false});
}

void Builder::drawsLittle(int task, int pot) {
    if (pot < 0) return;
    auto& t = net_.tasks[static_cast<size_t>(task)];
    t.pot = pot;
    t.small = true;
    t.skills |= schedule::kHot;
    draws_.push_back({task, pot, false, true});
}

void Builder::shareGrams() {
    for (const auto& piece : plan_.pieces) {
        const PieceAnswers& a = *known_.piece(piece.id);
        for (const auto& demand : demandsOf(piece, plan_, lib_, a)) {
            double work[2] = {0, 0};  // min of tasks that draw much, and little
            const auto mine = [&](const Draw& d) {
                return net_.tasks[static_cast<size_t>(d.task)].piece == piece.id &&
                       potKeys_[static_cast<size_t>(d.pot)] == demand.pot;
            };
            for (const auto& d : draws_)
                if (mine(d)) work[d.small] += length(d.task);
            for (const auto& d : draws_) {
                if (!mine(d)) continue;
                auto& t = net_.tasks[static_cast<size_t>(d.task)];
                t.draw = (d.small ? demand.late : (demand.each + demand.aside) * a.make) * t.minutes / work[d.small];
                if (d.bath) t.bath = demand.bath;
            }
        }
    }
    for (const auto& d : draws_) {
        auto& t = net_.tasks[static_cast<size_t>(d.task)];
        t.small = t.small ||
                  (!d.bath && t.draw > 0 && t.draw < kSpoonful && net_.pots[static_cast<size_t>(d.pot)].small >= 0);
    }
}

}  // namespace uovo::day
