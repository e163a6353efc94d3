// What helps a wall that is too thin: each change is computed like the plan itself.
#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "core/quantity/catalogue.h"
#include "core/stages/figures.h"

namespace uovo {
std::vector<WayOut> waysOut(const Piece& piece, const Plan& plan, const material::Library& lib, const MeridianWall& now,
                            std::stop_token stop) {
    std::vector<WayOut> ways;
    const auto degrees = [&](double kelvin) {
        return plan.units == UnitSystem::US ? fmt::format("{:.0f} °F", kelvin * 1.8) : fmt::format("{:.0f} °C", kelvin);
    };
    const auto coating = coatingOf(piece, plan, lib);
    if (!coating || !now.round)
        return ways;  // what is turned or painted is not told by its meridian: it has no quick answer
    const double bears = lib.former(coating->compound ? "balloonBearsCompound" : "balloonBears");
    const auto possible = [&](const Piece& p) {
        for (const auto& c : p.coats())
            if (const auto own = coatingOf(p, c.chocolate, plan, lib); !own || !coat::checkStep(c, *own, bears))
                return false;
        return p.coats().size() <= 8;
    };
    const auto propose = [&](std::string title, Piece changed) {
        if (possible(changed)) ways.push_back({std::move(title), std::move(changed), 0, 0, 0, false});
    };
    {
        Piece p = piece;
        p.coats().push_back(p.coats().back());
        static const char* const kOrdinal[]{"",          tr("first"), tr("second"),  tr("third"), tr("fourth"),
                                            tr("fifth"), tr("sixth"), tr("seventh"), tr("eighth")};
        if (p.coats().size() <= 8) propose(say("A {} coat", kOrdinal[p.coats().size()]), p);
    }
    {
        Piece p = piece;
        bool cooler = true;
        for (auto& c : p.coats()) {
            c.temperature = Measure(c.temperature.value - 1);
            cooler = cooler && c.temperature.value >= coating->workLow - 1;
        }
        if (cooler) propose(say("Coat {} cooler", degrees(1)), p);
    }
    if (piece.coats().back().rest != coat::Rest::Inverted) {
        Piece p = piece;
        p.coats().back().rest = coat::Rest::Inverted;
        propose(
            piece.overBalloon() ? tr("Set the last coat upside down on a ring") : tr("Set the last coat upside down"),
            p);
    }
    // Brush round the rim: the missing wall times the rim band's area, a tenth more.
    if (now.profile.arc[now.wall.thinnestAt] > 0.5 * now.profile.arc.back()) {
        Piece p = piece;
        PlannedCoat brush = p.coats().back();
        brush.extra.clear();
        brush.way = coat::Way::Brush;
        brush.where = coat::Where::Rim;
        const double band = std::min(0.3 * now.profile.arc.back(), coat::kBrushBand);
        double missing = 0;
        for (size_t i = 0; i < now.profile.size(); ++i)
            if (now.profile.arc[i] > now.profile.arc.back() - band)
                missing += std::max(0.0, piece.wantedWall.value - now.coats.wall[i]) * now.profile.area[i];
        brush.stay = Measure(std::min(brush.stay.value, coat::kBrushSets));
        for (const double more :
             {2.0, 6.0}) {  // what is brushed on runs down too: the least of these that is enough is kept
            const double kg = std::max(0.002, std::ceil(missing * more * coating->densitySolid * 1000) / 1000);
            if (!ways.empty() && ways.back().changed.coats().back().way == coat::Way::Brush &&
                ways.back().changed.coats().back().brushMass.value >= kg - 1e-9)
                continue;
            brush.brushMass = Measure(kg);
            Piece q = p;
            q.coats().push_back(brush);
            propose(say("Brush {} round the rim", format(kg, Dimension::Mass, plan.units)), q);
        }
    }
    if (piece.coats().front().drain.value > 25) {
        Piece p = piece;
        for (auto& c : p.coats())
            if (c.delay.value > 30) c.delay = Measure(30);
        if (!(p == piece)) propose(tr("Into the cold after half a minute"), p);
    }
    std::vector<coat::CoatJob> jobs;
    const int cells = static_cast<int>(now.profile.size());
    jobs.reserve(ways.size());
    for (const auto& w : ways) jobs.push_back(*coatJob(w.changed, plan, lib, cells));
    const auto results = coat::coatAll(jobs, stop, 1);  // the other core paints the answers already known
    std::vector<WayOut> out;
    const auto stays = [](const Piece& p) {
        double s = 0;
        for (const auto& c : p.coats()) s += coat::beforeCold(c) + c.stay.value;
        return s;
    };
    for (size_t i = 0; i < ways.size(); ++i) {
        if (!results[i]) continue;
        WayOut w = ways[i];
        const auto f = coat::figures(results[i]->wall, now.profile);
        w.thinnest = f.thinnest;
        w.mass = results[i]->mass - now.coats.mass;
        w.seconds = stays(w.changed) - stays(piece);
        w.enough = f.thinnest >= piece.wantedWall.value;
        if (w.thinnest > now.wall.thinnest + 2e-5) out.push_back(std::move(w));
    }
    std::stable_sort(out.begin(), out.end(), [](const WayOut& a, const WayOut& b) {
        return a.enough != b.enough ? a.enough : a.thinnest > b.thinnest;
    });
    // One brushing is enough: the lightest that reaches the wall, else the heaviest.
    const auto brushed = [](const WayOut& w) { return w.changed.coats().back().way == coat::Way::Brush; };
    const WayOut* keep = nullptr;
    for (const auto& w : out)
        if (brushed(w) && (!keep || (w.enough && (!keep->enough || w.mass < keep->mass)))) keep = &w;
    const std::string kept = keep ? keep->title : "";
    std::erase_if(out, [&](const WayOut& w) { return brushed(w) && w.title != kept; });
    if (out.size() > 4) out.resize(4);
    return out;
}

}  // namespace uovo
