// How strong a chocolate is, from the book, a person's figure or their bars; how a piece is handled, and what helps.
#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <map>

#include "core/form/joint.h"
#include "core/quantity/catalogue.h"
#include "core/stages/strength.h"

namespace uovo {

double usualLoad(const material::Library& lib, const std::string& id) {
    const std::map<std::string, const char*> names{
        {"peel", "peelLine"}, {"at-once", "burstLine"},  {"bump", "bumpDown"},     {"on-top", "onTop"}, {"tap", "tap"},
        {"blow", "blow"},     {"stands", "standsHours"}, {"hangs", "standsHours"}, {"drop", "dropCm"}};
    const auto it = names.find(id);
    return it == names.end() ? 0 : lib.strong(it->second);
}

double quickness(const material::Library& lib, double seconds) {
    return std::pow(lib.strong("fast"), std::log(30 / seconds) / std::log(6000.0));
}

Handling::Lift liftOf(const Piece& piece, const material::Library& lib, double width, bool open) {
    if (piece.handling.lift != Handling::Lift::Usual) return piece.handling.lift;
    return open && width < lib.strong("twoFingersTo") && !piece.overBalloon() ? Handling::Lift::Fingers
                                                                              : Handling::Lift::Hand;
}

double firmness(const material::Library& lib, double celsius) {
    const std::pair<double, double> known[]{{5, lib.strong("strengthAt5")},
                                            {20, 1},
                                            {25, lib.strong("strengthAt25")},
                                            {28, lib.strong("strengthAt28")},
                                            {31, 0.001}};
    if (celsius <= known[0].first) return known[0].second;
    for (size_t i = 1; i < std::size(known); ++i)
        if (celsius < known[i].first) {
            const double share = (celsius - known[i - 1].first) / (known[i].first - known[i - 1].first);
            return std::exp((1 - share) * std::log(known[i - 1].second) + share * std::log(known[i].second));
        }
    return 0.001;
}

ChocolateStrength strengthOf(const Plan& plan, const material::Library& lib, const std::string& id) {
    ChocolateStrength out;
    const auto* c = lib.find(id);
    const std::string bought = c ? c->boughtAs() : id;
    auto& s = out.strength;
    s.modulus = lib.strong("weibull");
    s.barLength = lib.strong("barLength");
    s.barWidth = lib.strong("barWidth");
    s.barThickness = lib.strong("barThickness");
    if (c) {
        const auto &strong = c->at("strength"), &stiff = c->at("stiffness");
        s.mean = strong.value;
        out.low = strong.low;
        out.high = strong.high;
        out.young = stiff.value;
        out.source = strong.source;
    }
    if (const auto own = plan.own.find(bought); own != plan.own.end()) {
        if (const auto it = own->second.values.find("strength"); it != own->second.values.end()) {
            s.mean = it->second;
            out.low = 0.8 * s.mean;
            out.high = 1.25 * s.mean;
            out.source = tr("your own figure");
        }
        if (const auto it = own->second.values.find("stiffness"); it != own->second.values.end())
            out.young = it->second;
    }
    std::vector<shell::SnapBar> bars;
    for (const auto& b : plan.snaps)
        if (b.chocolate == bought && shell::check(b)) bars.push_back(b);
    if (!bars.empty()) {
        const auto snapped = shell::snapped(bars, s.modulus, s.barVolume());
        s.mean = snapped.mean;
        out.low = snapped.low;
        out.high = snapped.high;
        if (std::isfinite(snapped.young)) out.young = snapped.young;
        out.bars = bars.size();
        out.source = sayMany("{} bar of your own", "{} bars of your own", int(bars.size()));
    }
    return out;
}

std::optional<Handling> handledAs(const Piece& piece, const std::string& id) {
    Handling h = piece.handling;
    if (id == "peel" || id == "at-once")
        h.release = id == "peel" ? Handling::Release::Slowly : Handling::Release::Burst;
    else if (id == "hand" || id == "fingers" || id == "below")
        h.lift = id == "hand"      ? Handling::Lift::Hand
                 : id == "fingers" ? Handling::Lift::Fingers
                                   : Handling::Lift::Below;
    else if (id == "rim" || id == "handle") h.carry = id == "rim" ? Handling::Carry::Rim : Handling::Carry::Handle;
    else return std::nullopt;
    return h;
}

std::vector<StrengthWay> StrengthStage::helpfulWays() const {
    constexpr double kBetter = 1.05;
    constexpr size_t kMost = 3;
    std::vector<StrengthWay> helps;
    for (const auto& w : ways)
        if (w.margin > kBetter * cases[weakest].margin) helps.push_back(w);
    std::stable_partition(helps.begin(), helps.end(),
                          [](const auto& w) { return w.does != StrengthWay::Does::Advice; });
    if (helps.size() > kMost) helps.resize(kMost);
    return helps;
}

std::optional<Piece> taken(const Piece& piece, const material::Library& lib, StrengthWay::Does does) {
    using Does = StrengthWay::Does;
    Piece out = piece;
    if (does == Does::Score) {
        out.shape.choices["glue"] = form::kScored;
        for (auto& j : out.shape.joints) j.glue.clear();
        return out;
    }
    if (piece.coats().empty() || does == Does::Advice || (does == Does::Coat && piece.closes())) return std::nullopt;
    PlannedCoat c = piece.coats().back();
    if (does == Does::BrushRim) {
        c.way = coat::Way::Brush;
        c.where = coat::Where::Rim;
        c.brushMass = Measure(lib.strong("brushRound"));
        c.motion = coat::Motion::Still;
    }
    out.coats().push_back(c);
    return out;
}

}  // namespace uovo
