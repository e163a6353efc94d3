#include "core/begin/first_plan.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "core/quantity/catalogue.h"
#include "core/quantity/words.h"

namespace uovo {
namespace {

/// What goes into it stays there: it is not itself something that is dipped, cut or cast full.
bool takesFilling(const Piece& piece) {
    const auto& f = piece.family();
    return !piece.roundSomething() &&
           (f.meridian || f.body == form::Body::Wall || f.body == form::Body::Compound || f.gap);
}

/// As a heading: at most so many letters, its first one large.
std::string titled(std::string words) {
    constexpr size_t kLong = 60;
    if (words.size() > kLong) {
        words.resize(kLong);
        if (const size_t space = words.rfind(' '); space != std::string::npos) words.resize(space);
    }
    return upperFirst(words);
}

/// As many lids as there are of a piece, as wide as its mouth.
void addLids(Plan& plan, const std::string& id) {
    const Piece& of = *plan.piece(id);
    double across = 0;
    for (const char* key : {"topDiameter", "diameter"})
        if (const auto it = of.shape.values.find(key); across == 0 && it != of.shape.values.end())
            across = it->second.value;
    if (!(across > 0) || of.family().id == "lid") return;
    Piece lid = newPiece(plan, "lid");
    lid.count = of.count;
    lid.chocolate = of.chocolate;
    const double inside = lid.shape.values["diameter"].value - lid.shape.values["plug"].value;
    lid.shape.values["diameter"] = Measure(across);
    lid.shape.values["plug"] = Measure(across - inside);
    plan.pieces.push_back(std::move(lid));
}

}  // namespace

Filling fillingOf(const material::FillingKind& k) {
    Filling f;
    f.name = k.name;
    f.make = k.make;
    f.usableFrom = k.usableFrom;
    f.usableTo = k.usableTo;
    f.perishable = k.perishable;
    f.egg = k.egg;
    f.alcohol = k.alcohol;
    f.density = k.density.value;
    return f;
}

void fillWithUsual(Plan& plan, const std::string& id, const std::string& kind, const material::Library& lib) {
    const auto k = std::ranges::find(lib.fillings, kind, &material::FillingKind::id);
    const auto piece = std::ranges::find(plan.pieces, id, &Piece::id);
    if (k == lib.fillings.end() || piece == plan.pieces.end() || !takesFilling(*piece)) return;
    FillStep& step = plan.fillWith(*piece, plan.keep(fillingOf(*k)));
    step.share = Measure(k->share);
    // nobody is served a whole bowl of ice cream: a portion, where it is less than what fits in
    constexpr double kWalled = 0.7;  // of the former's room is left inside the wall, at least
    const auto portion = lib.kitchen.find("portion-" + kind);
    const auto built = form::build(piece->shape, plan.meshes);
    const double room = built && !built->items.empty() ? built->items.front().shape.volume : 0;
    if (portion != lib.kitchen.end() && portion->second.value < kWalled * k->share * room)
        step.share = Measure(0), step.each = Measure(portion->second.value);
    step.served = k->served && !piece->closedByJoining();
    if (!step.served) return;
    const FillStep last = step;  // after it is put away
    piece->without<FillStep>();
    piece->complete();
    piece->insert(last);
}

Piece pieceOf(const form::Hit& hit, const Plan& plan) {
    Piece p = newPiece(plan, hit.family->id);
    for (const auto& [key, word] : hit.choices) p.shape.choices[key] = word;
    // a star of the same size holds less than a ball: its usual water until it does
    constexpr int kTries = 8;
    constexpr double kLess = 0.8;
    if (const auto water = p.shape.values.find("water"); !hit.choices.empty() && water != p.shape.values.end())
        for (int k = 0; k < kTries && !form::build(p.shape); ++k) water->second = Measure(kLess * water->second.value);
    if (!hit.thing.empty()) p.name = upperFirst(hit.thing);
    else if (const auto shape = hit.choices.find("silhouette"); shape != hit.choices.end())
        p.name = upperFirst(shape->second);
    return p;
}

long readyAt(const Wanted& wish, long now) {
    constexpr long kOneDay = 1440;
    const long at = wish.day.value_or(now / kOneDay + 1) * kOneDay + wish.clock.value_or(kUsualClock);
    return at > now ? at : at + kOneDay;
}

Plan firstPlan(const Wanted& wish, const form::Hit& shape, long now, const Plan& like, const material::Library& lib) {
    Plan plan;
    plan.units = like.units;
    plan.metricCup = like.metricCup;
    plan.kitchen = like.kitchen;
    plan.own = like.own;
    plan.pantry = like.pantry;
    plan.day.chance = lib.usual("readySure");
    plan.deadline = localTime(readyAt(wish, now));
    Piece piece = pieceOf(shape, plan);
    if (wish.count > 0) piece.count = wish.count;
    plan.guests = wish.guests;
    const std::string id = piece.id;
    plan.pieces = {std::move(piece)};
    if (!wish.filling.empty()) fillWithUsual(plan, id, wish.filling, lib);
    if (wish.lidded) addLids(plan, id);
    const std::string said = wish.things.empty() || isTranslated() ? lowerFirst(plan.pieces[0].name) : wish.things;
    std::vector<std::string> names{wish.count > 1 ? fmt::format("{} {}", wish.count, said) : said};
    for (const auto& other : wish.others) {
        Piece more = pieceOf(other.shape, plan);
        more.count = other.count;
        plan.pieces.push_back(std::move(more));
        const std::string called = isTranslated() ? lowerFirst(other.shape.family->brief) : other.things;
        names.push_back(other.count > 1 ? fmt::format("{} {}", other.count, called) : called);
    }
    plan.name = titled(listed(names));
    return plan;
}

int countFor(int count, int before, int after) {
    return std::max(1, static_cast<int>(std::ceil(double(count) * after / before - 1e-9)));
}

void forGuests(Plan& plan, int guests) {
    const int before = plan.guests;
    plan.guests = guests;
    if (before <= 0) return;
    for (auto& p : plan.pieces)
        if (p.count > 1) p.count = countFor(p.count, before, guests);
}

}  // namespace uovo
