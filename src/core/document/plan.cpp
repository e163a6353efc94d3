#include "core/document/plan.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <tuple>
#include "core/quantity/catalogue.h"

namespace uovo {

const form::Family& Piece::family() const {
    static const form::Family none;
    const form::Family* f = form::family(shape.family);
    return f ? *f : none;
}

Piece::Piece() = default;
Piece::Piece(const Piece& other) = default;
Piece::Piece(Piece&& other) noexcept = default;
Piece& Piece::operator=(const Piece& other) = default;
Piece& Piece::operator=(Piece&& other) noexcept = default;
Piece::~Piece() = default;
Plan::Plan() = default;
Plan::Plan(const Plan& other) = default;
Plan::Plan(Plan&& other) noexcept = default;
Plan& Plan::operator=(const Plan& other) = default;
Plan& Plan::operator=(Plan&& other) noexcept = default;
Plan::~Plan() = default;
bool Piece::operator==(const Piece& other) const = default;

bool Piece::couldBeCoated() const {
    const auto walled = [](const form::Family* f) {
        return f &&
               (f->meridian || ((f->body == form::Body::Wall || f->body == form::Body::Compound) && f->field("wall")));
    };
    return walled(&family()) || std::ranges::any_of(shape.items, [&](const form::PartItem& i) {
               return walled(form::family(i.part.family));
           });
}

bool Piece::usesMolds() const {
    using enum form::Former;
    const auto& of = family();
    if (of.former == Cup) return form::choice(shape, "made") == "silicone";
    if (of.former == Parts) return !of.flat;
    return of.former == Closed || of.former == Wrap ||
           (of.former == Mold && form::choice(shape, "mold") != "paper case");
}

bool Piece::hasOwnSteps(const std::string& item) const {
    return !item.empty() && (std::ranges::any_of(coats(), [&](const auto& c) { return c.item == item; }) ||
                             std::ranges::any_of(casts(), [&](const auto& c) { return c.item == item; }));
}

std::vector<size_t> Piece::coatsOn(const form::Item& item) const {
    std::vector<size_t> out;
    if (!item.edible || item.shape.body != form::Body::Wall || item.shape.coverage < 1) return out;
    const std::string key = hasOwnSteps(item.key) ? item.key : std::string();
    const form::Family* f = form::family(item.part.family);
    const bool closes = f && f->former == form::Former::Closed;
    size_t k = 0;
    for (const auto& c : coats()) {
        const bool suits = family().body != form::Body::Compound || (c.way == coat::Way::Turn) == closes;
        if (c.item == key && suits) out.push_back(k);
        ++k;
    }
    return out;
}

std::vector<size_t> Piece::castsOf(const form::Item& item) const {
    std::vector<size_t> out;
    const std::string key = hasOwnSteps(item.key) ? item.key : std::string();
    size_t k = 0;
    for (const auto& c : casts()) {
        if (c.item == key) out.push_back(k);
        ++k;
    }
    return out;
}

bool Filling::isAlcoholic() const {
    return alcohol || std::any_of(recipe.begin(), recipe.end(), [](const Ingredient& i) { return i.alcohol > 0; });
}

bool Plan::operator==(const Plan& o) const {
    const auto rest = [](const Plan& p) {
        return std::tie(p.name, p.deadline, p.units, p.metricCup, p.kitchen, p.own, p.melting, p.pantry, p.fillings,
                        p.toppings, p.colours, p.snaps, p.guests, p.pieces, p.day, p.meshExtras, p.extra);
    };
    if (rest(*this) != rest(o) || meshes.size() != o.meshes.size()) return false;
    for (auto a = meshes.begin(), b = o.meshes.begin(); a != meshes.end(); ++a, ++b)
        if (a->first != b->first || (a->second != b->second && !(*a->second == *b->second))) return false;
    return true;
}

const Piece* Plan::piece(const std::string& id) const {
    const auto found = std::find_if(pieces.begin(), pieces.end(), [&](const Piece& p) { return p.id == id; });
    return found == pieces.end() ? nullptr : &*found;
}

const Filling* Plan::filling(const std::string& id) const {
    const auto found = std::find_if(fillings.begin(), fillings.end(), [&](const Filling& f) { return f.id == id; });
    return found == fillings.end() ? nullptr : &*found;
}

const Topping* Plan::topping(const std::string& id) const {
    const auto found = std::find_if(toppings.begin(), toppings.end(), [&](const Topping& t) { return t.id == id; });
    return found == toppings.end() ? nullptr : &*found;
}

std::string Plan::keep(Filling wanted) {
    for (const auto& f : fillings) {
        Filling same = wanted;
        same.id = f.id;
        if (same == f) return f.id;
    }
    std::string slug;
    for (const char c : wanted.name) {
        const auto u = static_cast<unsigned char>(c);
        if (std::isalnum(u) && u < 128) slug += static_cast<char>(std::tolower(u));
        else if (!slug.empty() && slug.back() != '-') slug += '-';
    }
    if (slug.ends_with('-')) slug.pop_back();
    if (slug.empty()) slug = "filling";
    wanted.id = slug;
    for (int i = 2; filling(wanted.id); ++i) wanted.id = fmt::format("{}-{}", slug, i);
    fillings.push_back(std::move(wanted));
    return fillings.back().id;
}

FillStep& Plan::fillWith(Piece& piece, const std::string& id) {
    if (const Filling* f = filling(id); f && f->perishable && !piece.closedByJoining()) piece.without<StoreStep>();
    FillStep& step = piece.having<FillStep>();
    step.filling = id;
    return step;
}

std::string Plan::freshFilling() {
    Filling f;
    f.name = tr("Filling");
    for (int k = 2; std::any_of(fillings.begin(), fillings.end(), [&](const Filling& o) { return o.name == f.name; });
         ++k)
        f.name = say("Filling {}", k);
    return keep(std::move(f));
}

tl::expected<material::Coating, Problem> coatingOf(const Piece& piece, const Plan& plan, const material::Library& lib) {
    const material::Chocolate* c = lib.find(piece.chocolate);
    if (!c)
        return tl::unexpected(Problem{tr("There is no chocolate “") + piece.chocolate + tr("” here."), "chocolate"});
    const auto own = plan.own.find(c->figuresAs());
    return material::coating(*c, piece.temper, piece.thinner, piece.thinnerShare,
                             own == plan.own.end() ? material::OwnFigures{} : own->second, lib.physics);
}

tl::expected<material::Coating, Problem> coatingOf(const Piece& piece, const std::string& chocolate, const Plan& plan,
                                                   const material::Library& lib) {
    if (chocolate.empty() || chocolate == piece.chocolate) return coatingOf(piece, plan, lib);
    Piece other;
    other.chocolate = chocolate;
    other.temper = piece.temper;
    other.thinner = piece.thinner;
    other.thinnerShare = piece.thinnerShare;
    if (const auto* c = lib.find(other.chocolate); c && c->kind == "compound")
        other.temper = material::Temper::Tempered;
    return coatingOf(other, plan, lib);
}

namespace {

/// An id and a name that the plan does not have yet.
Piece named(const Plan& plan, const std::string& id, const std::string& name) {
    Piece p;
    p.id = id;
    p.name = name;
    for (int i = 2; std::any_of(plan.pieces.begin(), plan.pieces.end(), [&](const Piece& q) { return q.id == p.id; });
         ++i) {
        p.id = fmt::format("{}-{}", id, i);
        p.name = fmt::format("{} {}", name, i);
    }
    return p;
}

}  // namespace

InsertStep usualCore(const Piece& piece) {
    InsertStep core;
    core.what = InsertStep::What::Core;
    const bool dipped = piece.couldBeCoated();
    core.name = dipped ? tr("Strawberry") : tr("Almonds");
    core.mass = dipped ? 0.018 : 0.009;
    core.allergens = dipped ? "" : "almonds";
    return core;
}

Piece newPiece(const Plan& plan, const std::string& family) {
    const form::Family* f = form::family(family);
    if (f && f->meridian) {
        Piece p = f->former == form::Former::Balloon ? named(plan, "bowl", tr("Bowl")) : named(plan, "cup", tr("Cup"));
        p.shape = form::usual(family);
        p.count = 6;
        PlannedCoat c;
        if (f->former != form::Former::Balloon) {
            c.way = coat::Way::Pour;
            c.drain = 12;
            c.delay = 60;
            c.rest = coat::Rest::Inverted;  // what runs back out makes no thick floor
        }
        p.making = {c, c};
        p.complete();
        return p;
    }
    Piece p = named(plan, family, f ? f->brief : tr("Part"));
    p.shape = form::usual(family);
    p.count = f && f->body == form::Body::Compound ? 1 : 4;
    if (p.roundSomething()) {
        p.making.push_back(usualCore(p));
        p.count = 12;
        p.survives = 0.97;               // common practice, no source: nothing is unmolded
        p.wantedWall = Measure(0.0005);  // it covers, it carries nothing
        if (p.couldBeCoated()) {
            PlannedCoat dip;
            dip.drain = 8;
            dip.delay = 300;
            p.making.push_back(dip);
        }
    }
    p.complete();
    return p;
}

std::vector<PlannedCoat> usualCoats(const Piece& piece, const Plan& plan, const material::Library& lib) {
    PlannedCoat c;
    if (const auto coating = coatingOf(piece, plan, lib)) c.temperature = Measure(coating->workedAt());
    if (!piece.family().outside) {
        c.way = coat::Way::Pour;
        c.drain = 12;
        c.delay = 60;
        c.rest = coat::Rest::Inverted;
    }
    if (piece.closes()) {
        c.way = coat::Way::Turn;
        c.rest = coat::Rest::Upright;
        c.motion = coat::Motion::Over;
        c.moveFor = 900;
        c.moveEvery = 120;
        c.moveIn = coat::Place::Fridge;
        c.delay = 0;
        c.stay = 2700;
        return {c};  // a quarter full leaves a wall of a tenth of the radius at once
    }
    if (piece.roundSomething()) return {c};
    return {c, c};
}

}  // namespace uovo
