#include "core/plan/melting.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <numbers>

#include "core/plan/answers.h"

namespace uovo {
namespace {

constexpr int kMostBatches = 12;
constexpr double kDisc = 0.127, kDiscThick = 0.0032, kSpoon = 0.012, kBark = 0.004;  // m; m; kg of a small spoon; m thick

/// kg of one piece that come from this chocolate's pots.
double inOne(const Answers& answers, const PieceAnswers& piece, const std::string& chocolate) {
    double kg = 0;
    for (const auto& pot : answers.pots)
        for (const auto& use : pot.uses)
            if (pot.id == chocolate && use.piece == piece.id) kg += use.mass / piece.make;
    return kg;
}

/// kg that must stand in the pot besides, for one piece to be made.
double besides(const Piece& piece, const PieceAnswers& a) {
    if (a.bath) return a.bath->chocolate * a.coating.densityMelt;
    return a.stage && !piece.overBalloon() ? a.stage->formerVolume * a.coating.densityMelt : 0;
}

void unite(std::vector<std::string>& all, const std::vector<std::string>& more) {
    for (const auto& m : more)
        if (std::find(all.begin(), all.end(), m) == all.end()) all.push_back(m);
}

}  // namespace

std::vector<MeltPlan> meltPlans(const Plan& plan, const material::Library& lib, const std::vector<batch::Pot>& pots) {
    std::vector<MeltPlan> out;
    for (const auto& pot : pots) {
        MeltPlan m;
        if (const auto it = plan.melting.find(pot.id); it != plan.melting.end()) m.choice = it->second;
        Piece like;  // the first piece of this pot says whether it is tempered and thinned
        like.chocolate = pot.id;
        for (const auto& p : plan.pieces)
            if (!pot.uses.empty() && p.id == pot.uses.front().piece) {
                like.temper = p.temper;
                like.thinner = p.thinner;
                like.thinnerShare = p.thinnerShare;
            }
        const auto coating = coatingOf(like, plan, lib);
        if (!coating) {
            m.problem = coating.error().sentence;
            out.push_back(std::move(m));
            continue;
        }
        m.coating = *coating;
        for (m.batches = 1; m.batches <= kMostBatches; ++m.batches) {
            m.each = (pot.pieces + pot.tools) / m.batches + pot.bath;
            const auto t = temper::plan(*coating, lib.physics, m.choice, m.each, plan.kitchen.room.value, plan.units);
            if (!t) {
                m.problem = t.error().sentence;
                break;
            }
            m.temper = *t;
            if (!coating->tempered || pot.minutes / m.batches * 60 <= m.temper.window) break;
        }
        m.batches = std::min(m.batches, kMostBatches);
        out.push_back(std::move(m));
    }
    return out;
}

Shopping shopping(const Plan& plan, const material::Library& lib, const Answers& answers, const std::string& today) {
    Shopping out;
    out.priced = true;
    std::map<std::string, double> price;
    for (const auto& pot : answers.pots) {
        auto it = std::find_if(out.lines.begin(), out.lines.end(), [&](const Purchase& p) { return p.chocolate == pot.id; });
        const auto* chocolate = lib.find(pot.id);
        if (!chocolate) continue;
        if (it == out.lines.end()) {
            out.lines.push_back({pot.id, chocolate->name, 0, 0, pot.packet, 0, 0, ""});
            it = out.lines.end() - 1;
            for (const auto& s : plan.pantry) {
                if (s.chocolate != pot.id) continue;
                if (s.price > 0) price[pot.id] = s.price;
                if (!s.bestBefore.empty() && !today.empty() && s.bestBefore < today) {
                    it->note += fmt::format("{}{} in the cupboard are past their date ({}).", it->note.empty() ? "" : " ", format(s.mass.value, Dimension::Mass, plan.units), s.bestBefore);
                    continue;
                }
                it->have += s.mass.value;
            }
            unite(out.allergens, chocolate->allergens);
            unite(out.traces, chocolate->traces);
        }
        it->need += pot.melt;
        if (price.count(pot.id)) it->cost += pot.consumed * price[pot.id];
    }
    for (auto& l : out.lines) {
        l.packets = l.packet > 0 ? static_cast<int>(std::ceil(std::max(0.0, l.need - l.have) / l.packet - 1e-9)) : 0;
        out.cost += l.cost;
        out.priced = out.priced && price.count(l.chocolate) > 0;
    }
    std::erase_if(out.traces, [&](const std::string& t) { return std::find(out.allergens.begin(), out.allergens.end(), t) != out.allergens.end(); });
    for (size_t i = 0; i < plan.pieces.size() && i < answers.pieces.size(); ++i) {
        if (!answers.pieces[i]->problems.empty()) continue;
        Shopping::Each each{plan.pieces[i].id, 0};
        for (const auto& [id, perKg] : price) each.cost += inOne(answers, *answers.pieces[i], id) * perKg;
        out.pieces.push_back(each);
        const auto& f = plan.pieces[i].filling;
        if (f && f->alcohol) unite(out.warnings, {fmt::format("{} contains alcohol: for adults.", f->name)});
        if (f && f->egg) {
            unite(out.allergens, {"egg"});
            unite(out.warnings, {fmt::format("{} contains raw egg: keep it cold, and not for everyone.", f->name)});
        }
    }
    return out;
}

std::vector<Fits> whatFits(const Plan& plan, const material::Library& lib, const Answers& answers, const std::string& chocolate, double kg) {
    std::vector<Fits> out;
    const double tools = lib.usual("bowlLoss") + lib.usual("spatulaLoss");
    for (size_t i = 0; i < plan.pieces.size() && i < answers.pieces.size(); ++i) {
        const auto& a = *answers.pieces[i];
        if (!a.problems.empty()) continue;
        const double each = inOne(answers, a, chocolate);
        if (each <= 0) continue;
        const double room = kg - tools - besides(plan.pieces[i], a);
        const int n = std::max(0, static_cast<int>(std::floor(room / each + 1e-9)));
        out.push_back({plan.pieces[i].id, plan.pieces[i].name, n, std::max(0.0, kg - tools - n * each)});
    }
    std::stable_sort(out.begin(), out.end(), [](const Fits& x, const Fits& y) { return x.count > y.count; });
    const auto* c = lib.find(chocolate);
    const double density = c ? c->at("densitySolid").value : 1300, rest = std::max(0.0, kg - tools);
    const double disc = std::numbers::pi / 4 * kDisc * kDisc * kDiscThick * density;
    out.push_back({"", "discs, 5 in across, 1/8 in thick", static_cast<int>(rest / disc), std::fmod(rest, disc)});
    out.push_back({"", "small spoons", static_cast<int>(rest / kSpoon), std::fmod(rest, kSpoon)});
    out.push_back({"", "pieces of bark, 10 by 10 cm, 4 mm thick", static_cast<int>(rest / (0.01 * kBark * density)), 0});
    return out;
}

}  // namespace uovo
