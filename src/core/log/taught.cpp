#include "core/log/taught.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <set>
#include <span>

#include "core/quantity/catalogue.h"
#include "core/quantity/decimal.h"
#include "core/quantity/words.h"
#include "core/stages/strength.h"

namespace uovo::log {
namespace {

learn::Band bandOf(double mean, double sd) {
    constexpr double kFive = 1.645;
    return {std::exp(mean - kFive * sd), std::exp(mean), std::exp(mean + kFive * sd)};
}

/// What of a shift a lesson is about.
std::string lessonOfShift(int k, const std::string& figures) {
    switch (static_cast<learn::Of>(k)) {
        case learn::Of::Yield:
        case learn::Of::Viscosity:
        case learn::Of::Growth:
            return "wall:" + figures;
        case learn::Of::FridgeAir:
            return "fridge";
        default:
            return {};
    }
}

learn::Lesson wholeLesson(const form::Family& family, const learn::Whole& seen, const material::Library& lib) {
    const double share = learn::survives(seen, Piece{}.survives, lib.learns("survivesWorth"));
    return {"whole:" + family.id,
            say("{}: {} of {} came out whole. Spares count on {:.0f} of 100, by the book on {:.0f}.", family.name,
                seen.whole, seen.of, 100 * share, 100 * Piece{}.survives),
            say("your logbook, {} pieces", seen.of), share};
}

/// Bars of all evenings, each once, and what they say of the chocolates of a plan.
void addBars(const std::vector<Evening>& evenings, const Plan& plan, const material::Library& lib, Taught& out) {
    std::map<std::string, std::string> last;  // date
    for (const auto& e : evenings)
        for (const auto& bar : e.plan.snaps) {
            if (!lib.find(bar.chocolate)) continue;
            auto& known = out.bars[bar.chocolate];
            if (!shell::check(bar) || std::ranges::find(known, bar) != known.end()) continue;
            known.push_back(bar);
            last[bar.chocolate] = e.date;
        }
    std::erase_if(out.bars, [](const auto& b) { return b.second.empty(); });
    for (const auto& [id, bars] : out.bars) {
        const auto* c = lib.find(id);
        if (!c) continue;
        Plan bare = plan, with = plan;
        bare.snaps.clear();
        bare.own.erase(id);
        with.snaps = bars;
        const auto book = strengthOf(bare, lib, id), now = strengthOf(with, lib, id);
        const auto mega = [](double pa) { return decimal(pa * 1e-6, 1); };
        out.lessons.push_back({"strength:" + id,
                               say("Your {} breaks at {} MPa ({} to {}), by the book at {}.", lowerFirst(c->name),
                                   mega(now.strength.mean), mega(now.low), mega(now.high), mega(book.strength.mean)),
                               sayMany("your logbook, {} bar broken by {}", "your logbook, {} bars broken by {}",
                                       int(bars.size()), dateInWords(last[id])),
                               now.strength.mean / book.strength.mean});
    }
}

/// What chocolates cost when they were bought last.
void addPrices(const std::vector<Evening>& evenings, const material::Library& lib, Taught& out) {
    for (const auto& e : evenings)
        for (const auto& s : e.plan.pantry)
            if (const auto& known = out.prices[s.chocolate]; s.price > 0 && e.date >= known.date)
                out.prices[s.chocolate] = {s.price, e.date};
    std::erase_if(out.prices, [](const auto& p) { return p.second.aKilogram <= 0; });
    for (const auto& [id, price] : out.prices)
        if (const auto* c = lib.find(id))
            out.lessons.push_back({"price:" + id,
                                   say("{} cost you {} a kilogram.", c->name, decimal(price.aKilogram, 2)),
                                   tr("your logbook, ") + dateInWords(price.date), price.aKilogram});
}

/// What the molds of the plan's pieces have made.
void addCasts(const std::vector<Evening>& evenings, const Plan& plan, const material::Library& lib, Taught& out) {
    out.casts = castsOf(evenings, plan);
    for (const auto& [id, casts] : out.casts)
        out.lessons.push_back({"casts:" + id,
                               say("The mold of {} has made {}; one stands about {:.0f}.", plan.piece(id)->name,
                                   sayMany("{} cast", "{} casts", casts.each), lib.former("siliconeLife")),
                               say("your logbook, {}, the last on {}",
                                   sayMany("{} evening", "{} evenings", casts.evenings), dateInWords(casts.last)),
                               double(casts.each)});
}

}  // namespace

std::optional<Taught> teach(const std::vector<Evening>& evenings, const Plan& plan, const material::Library& lib,
                            std::stop_token stop) {
    Taught out;
    std::vector<learn::Evening> log;
    std::vector<std::vector<std::int64_t>> numbers;
    for (const auto& e : evenings) {
        log.push_back(e.taught());
        numbers.push_back(e.taughtFrom());
    }
    out.evenings = log.size();
    const auto known = learn::learn(log, lib, stop), book = learn::learn({}, lib, stop);
    if (!known || !book) return std::nullopt;
    out.measured = known->measured();
    out.pace = known->pace;
    out.lessons = learn::lessons(*known, log, lib, stop);
    for (const auto& e : evenings)
        for (const auto& [id, count] : e.counts()) {
            auto& all = out.whole[e.plan.piece(id)->shape.family];
            all.whole += count.whole;
            all.of += count.of;
        }
    for (const auto& [family, seen] : out.whole)
        if (const auto* f = form::family(family); f && seen.of >= learn::kWholeTold)
            out.lessons.push_back(wholeLesson(*f, seen, lib));
    addBars(evenings, plan, lib, out);
    addPrices(evenings, lib, out);
    addCasts(evenings, plan, lib, out);
    for (const auto& q : learn::questions(*known, log, plan.units))
        out.questions.push_back({log[q.evening].id, numbers[q.evening][q.record], q.sentence});
    for (const auto& p : plan.pieces) {
        const auto* chocolate = lib.find(p.chocolate);
        if (!chocolate || !p.wallFromCoats() || known->measuredOf(chocolate->figuresAs()) == 0) continue;
        const std::string figures = chocolate->figuresAs(), bag = learn::openBag(log, figures);
        out.own[p.chocolate] = learn::likely(*known, figures, lib, bag);
        if (!p.alongMeridian()) continue;  // a mesh takes seconds
        const auto before = learn::forecast(*book, p, plan, lib, {}, stop);
        const auto now = learn::forecast(*known, p, plan, lib, bag, stop);
        if (before && now) out.pieces.push_back({p.id, before->mass, now->mass});
    }
    std::map<std::string, std::set<std::string>> bags;
    for (const auto& e : log)
        for (const auto& [chocolate, bag] : e.bags) bags[chocolate].insert(bag);
    for (const auto& [chocolate, named] : bags)
        for (const auto& bag : named) {
            double mean = 0, variance = 0;
            bool seen = false;
            for (const auto& part : learn::partsOf(learn::Of::Yield, chocolate, bag, "", lib))
                if (const size_t* at = known->unknowns.find(part.id)) {
                    seen = true;
                    mean += known->fit.unknowns[static_cast<Eigen::Index>(*at)];
                    variance += std::pow(known->fit.sd(*at), 2);
                }
            if (seen) out.bags.push_back({chocolate, bag, bandOf(mean, std::sqrt(variance))});
        }
    for (const auto& e : log)
        for (const auto& [chocolate, measured] : known->perChocolate) {
            const auto part = learn::partsOf(learn::Of::Seed, chocolate, "", e.id, lib).front();
            if (const size_t* at = known->unknowns.find(part.id))
                out.tempers.push_back(
                    {e.date, chocolate,
                     bandOf(known->fit.unknowns[static_cast<Eigen::Index>(*at)], known->fit.sd(*at))});
        }
    out.next = learn::nextMeasurement(*known, plan, lib, stop);
    if (stop.stop_requested()) return std::nullopt;
    return out;
}

double trustIn(const Trust& trust, const std::string& lesson) {
    const auto it = trust.find(lesson);
    return it == trust.end() ? 1 : it->second;
}

void countOn(const Taught& taught, const Trust& trust, Plan& plan, const material::Library& library) {
    for (const auto& [id, shift] : taught.own) {
        const std::string figures = learn::figuresOf(id, library);
        learn::Shift trusted = shift;
        for (int k = 0; k < learn::kShifts; ++k)
            if (const auto lesson = lessonOfShift(k, figures); !lesson.empty()) trusted[k] *= trustIn(trust, lesson);
        std::string source = tr("your logbook");
        for (const auto& l : taught.lessons)
            if (l.id == "wall:" + figures) source = l.source;
        learn::countOn(trusted, id, plan, library, source);
    }
    const double worth = library.learns("survivesWorth"), book = Piece{}.survives;
    for (auto& p : plan.pieces) {
        const auto seen = taught.whole.find(p.shape.family);
        if (seen == taught.whole.end() || seen->second.of < learn::kWholeTold) continue;
        const double share = learn::survives(seen->second, book, worth);
        p.survives = book + trustIn(trust, "whole:" + p.shape.family) * (share - book);
    }
    for (auto& p : plan.pieces)
        if (const auto seen = taught.casts.find(p.id); seen != taught.casts.end())
            if (const double trusted = trustIn(trust, "casts:" + p.id); trusted > 0) {
                p.mold.there = true;
                p.mold.casts = static_cast<int>(std::lround(trusted * seen->second.each));
            }
    if (taught.pace.isTold()) {
        const double more = taught.pace.cook + taught.pace.cookSd * taught.pace.cookSd / 2;
        plan.kitchen.pace = std::clamp(std::exp(trustIn(trust, "hands") * more), kPaceLeast, kPaceMost);
    }
    for (const auto& [id, bars] : taught.bars) {
        const auto some = std::lround(trustIn(trust, "strength:" + id) * static_cast<double>(bars.size()));
        for (const auto& bar : std::span(bars).first(static_cast<size_t>(some)))
            if (std::ranges::find(plan.snaps, bar) == plan.snaps.end()) plan.snaps.push_back(bar);
    }
    for (const auto& [id, price] : taught.prices) {
        if (trustIn(trust, "price:" + id) <= 0) continue;
        bool there = false;
        for (auto& s : plan.pantry)
            if (s.chocolate == id) there = true, s.price = s.price > 0 ? s.price : price.aKilogram;
        if (there) continue;
        Stock stock;
        stock.chocolate = id;
        stock.mass = 0;
        stock.price = price.aKilogram;
        plan.pantry.push_back(stock);
    }
}

}  // namespace uovo::log
