#include "core/learn/said.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <set>

#include "core/quantity/catalogue.h"
#include "core/quantity/clock.h"
#include "core/quantity/decimal.h"
#include "core/quantity/plural.h"
#include "core/quantity/words.h"

namespace uovo::learn {
namespace {

constexpr double kBeyond = 1.0;    // sds of what is left open, before something is said to differ
constexpr double kNotable = 0.04;  // less is as the book says
constexpr double kDoubted = 0.35;  // weight below which a record is asked about
constexpr double kWorthIt = 0.05;  // share that a measurement must narrow a plan by

std::string percent(double factor) { return fmt::format("{:.0f} %", 100 * std::abs(factor - 1)); }

/// "your logbook, 4 measurements of 12 May 2026 and 19 May 2026".
std::string sourceOf(size_t many, const std::vector<Evening>& evenings, const std::set<size_t>& of) {
    std::string dates;
    size_t k = 0;
    for (const size_t e : of) {
        if (!dates.empty()) dates += k + 1 == of.size() ? tr(" and ") : ", ";
        dates += evenings[e].date.empty() ? evenings[e].id : dateInWords(evenings[e].date);
        ++k;
    }
    return say("your logbook, {} of {}", sayMany("{} measurement", "{} measurements", int(many)), dates);
}

}  // namespace

std::vector<Lesson> lessons(const Learned& known, const std::vector<Evening>& evenings, const material::Library& lib,
                            std::stop_token stop) {
    std::vector<Lesson> out;
    const auto sdOf = [&](const std::string& id) {
        const size_t* at = known.unknowns.find(id);
        return at ? known.fit.sd(*at) : 1.0;
    };
    const auto valueOf = [&](const std::string& id) {
        const size_t* at = known.unknowns.find(id);
        return at ? known.fit.unknowns[static_cast<Eigen::Index>(*at)] : 0.0;
    };
    std::map<std::string, std::set<size_t>> dates;
    std::map<std::string, const Piece*> pieces;
    std::set<size_t> all;
    for (const auto& j : known.judged) {
        const Evening& e = evenings[j.evening];
        const Record& r = e.records[j.record];
        const Piece* p = e.plan.piece(r.piece);
        const auto* c = lib.find(p ? p->chocolate : r.chocolate);
        if (!c) continue;
        dates[c->figuresAs()].insert(j.evening);
        if (p) pieces[c->figuresAs()] = p;
        all.insert(j.evening);
    }
    for (const auto& [id, where] : dates) {
        const auto it = pieces.find(id);
        if (it == pieces.end()) continue;
        const Evening& last = evenings[*where.rbegin()];
        const auto bag = last.bags.find(id);
        Shift bagOnly = likely(known, id, lib, bag != last.bags.end() ? bag->second : last.id);
        for (int k = static_cast<int>(Of::Seed); k < kShifts; ++k) bagOnly[k] = 0;
        const Evening* of = &last;
        for (const size_t e : where)
            if (evenings[e].plan.piece(it->second->id) == it->second) of = &evenings[e];
        const auto made = [&](const Shift& shift) {
            Plan plan = of->plan;
            material::Library moved = lib;
            apply(shift, it->second->chocolate, plan, moved);
            return tell(*plan.piece(it->second->id), plan, moved, stop);
        };
        const auto book = made(Shift::Zero()), mine = made(bagOnly);
        if (!book || !mine) continue;
        const double factor = mine->mass() / book->mass();
        const std::string name = lowerFirst(lib.find(id)->name);
        const std::string source = sourceOf(known.measuredOf(id), evenings, where);
        if (std::abs(factor - 1) < kNotable)
            out.push_back({"wall:" + id,
                           say("Your {} is as the book says: walls come out within {:.0f} % of it.", name,
                               std::max(1.0, 100 * std::abs(factor - 1))),
                           source, factor});
        else
            out.push_back({"wall:" + id,
                           say("Your {} stands {} than the book: walls come out {} {}.", name,
                               factor > 1 ? tr("better") : tr("less well"), percent(factor),
                               factor > 1 ? tr("thicker") : tr("thinner")),
                           source, factor});
    }
    const auto differs = [&](const std::string& id, double least) {
        return std::abs(valueOf(id)) > std::max(least, kBeyond * sdOf(id));
    };
    const std::string source = sourceOf(known.measured(), evenings, all);
    if (differs("fridge-air", kNotable)) {
        const double f = std::exp(valueOf("fridge-air"));
        out.push_back(
            {"fridge",
             say("Your fridge cools {} {} than the book's.", percent(f), f > 1 ? tr("faster") : tr("more slowly")),
             source, f});
    }
    if (differs("ladle", 0.2))
        out.push_back({"ladle",
                       say("Your coats go on about {} K {} than you say.", decimal(std::abs(valueOf("ladle")), 1),
                           valueOf("ladle") > 0 ? tr("warmer") : tr("cooler")),
                       source, valueOf("ladle")});
    if (differs("wait", kNotable)) {
        const double f = std::exp(valueOf("wait"));
        out.push_back({"wait",
                       say("You drain and wait {} {} than you say.", percent(f), f > 1 ? tr("longer") : tr("shorter")),
                       source, f});
    }
    if (known.pace.isTold()) {
        const double f = std::exp(known.pace.cook);
        out.push_back(
            {"hands", say("Your hands take {} {} than the book's.", percent(f), f > 1 ? tr("longer") : tr("less long")),
             sayMany("your logbook, {} timing", "your logbook, {} timings", int(known.pace.timed)), f});
    }
    return out;
}

std::vector<Question> questions(const Learned& known, const std::vector<Evening>& evenings, UnitSystem units) {
    std::vector<Question> out;
    for (const auto& j : known.judged) {
        const Record& r = evenings[j.evening].records[j.record];
        if (j.weight >= kDoubted || r.is == Record::Is::Touched) continue;
        const bool weighed = r.is == Record::Is::Weighed;
        const Dimension d = weighed ? Dimension::Mass : Dimension::Length;
        const double each = weighed ? r.value / r.of : r.value;
        // where only what came on since the last weighing was judged, what was typed cannot be told from it
        const bool whole = std::abs(j.given / each - 1) < 1e-9;
        const auto doubt = whole ? askBack(each, j.expected, j.scatter, weighed) : std::nullopt;
        const Piece* p = evenings[j.evening].plan.piece(r.piece);
        std::string s = say("{} {}: that does not fit what else was measured.", p ? p->name : tr("A spoonful"),
                            format(r.value, d, units));
        if (doubt && doubt->slip) s += say(" Was it {}?", format(doubt->meant * (weighed ? r.of : 1), d, units));
        out.push_back({j.evening, j.record, s});
    }
    return out;
}

std::string nextMeasurement(const Learned& known, const Plan& plan, const material::Library& lib,
                            std::stop_token stop) {
    const auto worth = worthMeasuring(known, plan, lib, stop);
    if (worth.empty() || worth[0].narrows < kWorthIt) return {};
    const auto& best = worth[0];
    const auto* c = lib.find(best.chocolate);
    if (best.piece.empty())
        return say(
            "What would tell most: let one tablespoon of the {} spread for a minute on a warm level plate, and measure "
            "how wide it "
            "lies. It narrows the grams of this plan by {:.0f} %.",
            c ? lowerFirst(c->name) : best.chocolate, 100 * best.narrows);
    return say(
        "What would tell most: weigh one of the {} after its first coat. It narrows the grams of this plan by {:.0f} "
        "%.",
        plural(lowerFirst(plan.piece(best.piece)->name)), 100 * best.narrows);
}

}  // namespace uovo::learn
