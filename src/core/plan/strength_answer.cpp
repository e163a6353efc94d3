// How strong a chocolate is, from the book, a person's figure or their bars; and the verdict as an answer.
#include <fmt/format.h>

#include <cmath>
#include <map>

#include "core/form/joint.h"
#include "core/plan/strength.h"

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

Handling::Lift liftOf(const Piece& piece, double width, bool open) {
    constexpr double kSmall = 0.045;  // m: smaller cups are picked up by two fingers
    if (piece.handling.lift != Handling::Lift::Usual) return piece.handling.lift;
    return open && width < kSmall && !piece.overBalloon() ? Handling::Lift::Fingers : Handling::Lift::Hand;
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
            out.source = "your own figure";
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
        out.source = fmt::format("{} {} of your own", bars.size(), bars.size() == 1 ? "bar" : "bars");
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

std::optional<Piece> taken(const Piece& piece, StrengthWay::Does does) {
    using Does = StrengthWay::Does;
    Piece out = piece;
    if (does == Does::Score) {
        out.shape.choices["glue"] = form::kScored;
        return out;
    }
    if (piece.coats().empty() || does == Does::Advice || (does == Does::Coat && piece.closes())) return std::nullopt;
    PlannedCoat c = piece.coats().back();
    if (does == Does::BrushRim) {
        c.way = coat::Way::Brush;
        c.where = coat::Where::Rim;
        c.brushMass = Measure(StrengthWay::kBrushed);
        c.motion = coat::Motion::Still;
    }
    out.coats().push_back(c);
    return out;
}

std::optional<Answer> strengthAnswer(const StrengthStage& s, const Plan& plan, const material::Library& lib) {
    if (!s.problem.empty() || s.cases.empty()) return std::nullopt;
    const auto& c = s.cases[s.weakest];
    Answer a;
    a.id = "strength";
    a.figure = {c.margin, c.low, c.high, Dimension::Count};
    a.headline =
        std::isfinite(c.margin) && c.margin < 100
            ? fmt::format("{} ×", (c.margin >= 10 ? fmt::format("{:.0f}", c.margin) : fmt::format("{:.1f}", c.margin)))
            : "easily";
    a.after = "what it must bear";
    std::string title = c.title;
    title[0] = static_cast<char>(std::tolower(static_cast<unsigned char>(title[0])));
    a.sentence = fmt::format("Hardest: {}. {} Advice, not a guarantee.{}", title, c.sentence,
                             s.left.empty() ? "" : " Left out: " + s.left + ".");
    a.tone = c.tone;
    // Other ways of doing the same, in one line; the good one first where the chosen one fails.
    std::string good, others;
    for (const auto& o : s.cases) {
        if (o.chosen || o.group.empty()) continue;
        std::string name = o.title;
        name[0] = static_cast<char>(std::tolower(static_cast<unsigned char>(name[0])));
        const bool fails = o.average > 0.1;
        if (!fails && o.group == c.group && c.average > 0.1) good = name;
        others += (others.empty() ? "" : "; ") + name + ": " +
                  (fails ? o.average > 0.9    ? "hardly one survives"
                           : o.average > 0.25 ? fmt::format("{} in 10 crack", std::lround(10 * o.average))
                                              : fmt::format("1 in {} cracks", std::lround(1 / o.average))
                   : std::isfinite(o.margin) && o.margin < 100
                       ? fmt::format("{} ×",
                                     o.margin >= 10 ? fmt::format("{:.0f}", o.margin) : fmt::format("{:.1f}", o.margin))
                       : std::string("easily"));
    }
    if (!good.empty()) a.sentence = fmt::format("Better {}. ", good) + a.sentence;
    if (!others.empty()) a.sentence += " Other ways: " + others + ".";
    const auto mega = [](double pa) { return fmt::format("{:.2g} MPa", pa / 1e6); };
    a.working = {"Will it hold",
                 "σ_eq = [(1/V_E) ∫ Σ⟨σ_i⟩₊ᵐ dV]^(1/m) of stresses averaged over the wall's thickness;  P = 1 − "
                 "exp[−(σ_eq Γ(1+1/m)/σ̄)ᵐ]",
                 {{"mean strength of bars at 20 °C", mega(s.chocolate.strength.mean),
                   mega(s.chocolate.low) + "–" + mega(s.chocolate.high), s.chocolate.source},
                  {"stiffness under a lasting load", fmt::format("{:.0f} MPa", s.chocolate.young / 1e6), "",
                   s.chocolate.bars ? s.chocolate.source : "from memory, low confidence"},
                  {"Weibull's m", fmt::format("{:.0f}", s.chocolate.strength.modulus),
                   fmt::format("{:.0f}–{:.0f}", lib.strength.at("weibull").low, lib.strength.at("weibull").high),
                   lib.strength.at("weibull").source},
                  {"at the room's temperature, of that at 20 °C",
                   fmt::format("{:.2f}", firmness(lib, plan.kitchen.room.value)), "", "from memory, low confidence"},
                  {"triangles of the wall", std::to_string(s.mesh.triangles.size()), "",
                   "its middle, with the thickness of the coats"}},
                 a.headline,
                 "The strength of chocolate is the weakest figure here: a snap test of your own bars replaces it. "
                 "Loads of hands are judgement. Linear, without cracks that are there already.",
                 "Strength"};
    return a;
}

}  // namespace uovo
