// What the steps besides the wall put into and onto a piece.
#include <algorithm>
#include <cmath>
#include <numbers>

#include "core/setting/topping.h"
#include "core/stages/figures.h"

namespace uovo {

const PieceAnswers* PlanFigures::piece(const std::string& id) const {
    for (const auto& p : pieces)
        if (p->id == id) return p.get();
    return nullptr;
}

std::string namesOf(const std::vector<std::string>& pieces, const Plan& plan) {
    std::string out;
    for (const auto& id : pieces)
        if (const Piece* p = plan.piece(id)) out += (out.empty() ? "" : ", ") + p->name;
    return out;
}

double putOn(const Piece& piece, const PieceAnswers& known) {
    double out = 0;
    for (const auto& t : known.toppings)
        if (!t.inside) out += std::get<TopStep>(piece.making[t.step]).each.value + t.glue;
    for (const auto& d : known.decorated) out += d.mass;
    return out;
}

std::vector<Modeled> modeledOf(const Plan& plan, const PlanFigures& known) {
    std::vector<Modeled> out;
    const auto add = [&](const std::string& chocolate, double kg, const Piece& piece) {
        if (!(kg > 0)) return;
        auto at = std::ranges::find(out, chocolate, &Modeled::chocolate);
        if (at == out.end()) at = out.insert(out.end(), {chocolate, 0, {}});
        at->mass += kg;
        if (std::ranges::find(at->pieces, piece.id) == at->pieces.end()) at->pieces.push_back(piece.id);
    };
    for (const auto& piece : plan.pieces) {
        const auto* a = known.piece(piece.id);
        if (!a || !a->made) continue;
        for (size_t k = 0; k < a->made->items.size(); ++k) {
            const auto& item = a->made->assembly.items[k];
            if (!item.edible || item.shape.body != form::Body::Modeled) continue;
            const auto mine = piece.castsOf(item);
            const std::string& chocolate =
                mine.empty() ? piece.chocolate : piece.chocolateOf(piece.casts()[mine.front()]);
            add(chocolate, a->made->items[k] * (a->make + a->sparesOf(k)), piece);
        }
        for (const auto& d : a->decorated)
            if (const auto& step = std::get<DecorateStep>(piece.making[d.step]); step.ofPaste())
                add(piece.chocolateOf(step), d.used * a->make, piece);
    }
    return out;
}

namespace {

/// The pot it is dipped in; a problem where none takes it.
void addBath(const Piece& piece, const material::Library& lib, PieceAnswers& a) {
    if (!(piece.overBalloon() || (piece.roundSomething() && piece.couldBeCoated())) ||
        !std::ranges::any_of(piece.coats(), [](const auto& c) { return c.way == coat::Way::Dip; }))
        return;
    if (const auto bath = piece.bath(lib)) a.bath = *bath;
    else a.problems.push_back({bath.error().sentence, "pieces/" + piece.id + "/pot"});
}

void addFillings(const Piece& piece, PieceAnswers& a) {
    const Made& made = *a.made;
    const bool along = made.meridian != nullptr;
    for (size_t i = 0; i < piece.making.size(); ++i) {
        const auto* f = std::get_if<FillStep>(&piece.making[i]);
        if (!f) continue;
        const double each = f->share.value > 0 && made.capacity > 0 ? f->share.value * made.capacity : f->each.value;
        a.fillEach += each;
        a.fills.push_back({i, f->filling, each, along ? levelOfVolume(made, a.fillEach) : std::nan("")});
    }
    a.fillLevel = a.fills.empty() ? std::nan("") : a.fills.back().level;
    const LidStep* lid = piece.lid();
    if (a.fills.empty() || !lid || lid->depth.value <= 0) return;
    const double v = along ? volumeAtLevel(made, a.fillLevel + lid->depth.value) - a.fillEach
                           : made.capacity / std::max(1e-3, made.box.size().z) *
                                 lid->depth.value;  // of a part on the average of its height
    a.capMass = std::isfinite(v) ? std::max(0.0, v) * a.coating.densitySolid : 0;
}

/// The film of a coat at its typical place, as it is fresh.
setting::Cast filmOf(const Piece& piece, const Made& made, size_t coat, const Plan& plan, const material::Library& lib,
                     const material::Coating& own) {
    setting::Wall wall;
    const double toMelt = own.densitySolid / own.densityMelt;
    for (size_t k = 0; k < coat; ++k) wall.shell += made.wall->coats[k].mean;
    wall.coat = std::max(1e-4, made.wall->coats[coat].mean * toMelt);
    wall.coatTemperature = piece.coats()[coat].temperature.value;
    wall.shellTemperature = plan.kitchen.room.value;
    wall.crystals = material::crystalsAt(own, wall.coatTemperature);
    wall.former = formerHeat(piece.shape, lib);
    return setting::cast(wall, own);
}

void addToppings(const Piece& piece, const Plan& plan, const material::Library& lib, PieceAnswers& a) {
    const Made& made = *a.made;
    size_t coat = 0;  // of the step under it, one more than its number
    const CastStep* cast = nullptr;
    bool inside = false;
    for (size_t i = 0; i < piece.making.size(); ++i) {
        if (std::holds_alternative<PlannedCoat>(piece.making[i])) ++coat, cast = nullptr;
        if (const auto* c = std::get_if<CastStep>(&piece.making[i])) cast = c;
        inside = inside || std::holds_alternative<FillStep>(piece.making[i]);
        const auto* top = std::get_if<TopStep>(&piece.making[i]);
        const Topping* t = top ? plan.topping(top->topping) : nullptr;
        if (!t) continue;
        Topped out{i, t->id, 0, std::nan(""), std::nan(""), std::nan(""), 0, inside};
        const double d = t->grain.value;
        out.grains = top->each.value / (t->density * std::numbers::pi / 6 * d * d * d);
        if (made.area > 0) out.cover = top->each.value / setting::oneLayer(made.area, d, t->density);
        if (top->when == TopStep::When::Glued) {
            out.glue = out.grains * lib.usual("glueDot");
        } else if (inside) {
            out.from = 0;
            out.cover = std::nan("");
        } else if (cast || !made.wall ||
                   coat == 0) {  // on a level face it floats: from the begin until the face takes none
            out.from = 0;
            out.to = made.setting.lock;
        } else {
            const auto own = coatingOf(piece, piece.coats()[coat - 1].chocolate, plan, lib);
            const heat::CrystalLaw law =
                heat::CrystalLaw(*own, lib.physics)
                    .keeping(material::temperKept(*own, piece.coats()[coat - 1].temperature.value));
            out.from =
                setting::grainHoldsAfter(d, t->density, filmOf(piece, made, coat - 1, plan, lib, *own), *own, law,
                                         stayIn(coat::Place::Table, 0, plan, lib), lib.physical("staticYield"));
            out.to = made.wall->setting[coat - 1].lock;
            if (out.from > out.to) out.from = std::nan("");
        }
        a.toppings.push_back(std::move(out));
    }
}

}  // namespace

void addSteps(const Piece& piece, const Plan& plan, const material::Library& lib, PieceAnswers& a) {
    a.breaks = orderBreaks(piece, plan, lib);
    addBath(piece, lib, a);
    addFillings(piece, a);
    addToppings(piece, plan, lib, a);
    a.decorated = decorated(piece, plan, lib, *a.made, a.coating);
}

}  // namespace uovo
