// What a person could have entered wrongly, each with its sentence and its place.
#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "core/batch/batch.h"
#include "core/document/plan.h"
#include "core/quantity/catalogue.h"
#include "core/quantity/restate.h"

namespace uovo {
namespace {

constexpr int kMostPieces = 500;

void checkWorker(const Worker& w, const std::string& field, std::vector<Problem>& out) {
    const auto time = [&](const std::string& said, const char* what) -> std::optional<int> {
        const auto at = clockMinutes(said);
        if (!said.empty() && !at)
            out.push_back(
                {say("“{}” is not a time of day; write 16:00.", said), fmt::format("kitchen/{}/{}", field, what)});
        return at;
    };
    const auto from = time(w.from, "from"), until = time(w.until, "until");
    if (from && until && *until <= *from)
        out.push_back({tr("Hours end after they begin."), fmt::format("kitchen/{}/until", field)});
}

void checkKitchen(const Kitchen& k, std::vector<Problem>& out) {
    const auto range = [&](const Measure& m, double low, double high, Dimension d, const char* what,
                           const char* field) {
        if (std::isfinite(m.value) && m.value >= low && m.value <= high) return;
        const auto text = [&](double v) { return format(v, d, UnitSystem::Metric); };
        out.push_back({std::isfinite(m.value)
                           ? say("{} is {}; it must be between {} and {}.", what, text(m.value), text(low), text(high))
                           : say("{} is not a number.", what),
                       std::string("kitchen/") + field});
    };
    range(k.room, 5, 40, Dimension::Temperature, tr("The room"), "room");
    range(k.humidity, 0.05, 0.99, Dimension::Percent, tr("The humidity"), "humidity");
    range(k.fridge, 0, 14, Dimension::Temperature, tr("The fridge"), "fridge");
    if (k.freezer.value > -5)
        out.push_back({say("A freezer at {} does not freeze; check the sign.",
                           format(k.freezer.value, Dimension::Temperature, UnitSystem::Metric)),
                       "kitchen/freezer"});
    else range(k.freezer, -40, -5, Dimension::Temperature, tr("The freezer"), "freezer");
    range(k.shelfWidth, 0.05, 2, Dimension::Length, tr("The shelf's width"), "shelfWidth");
    range(k.shelfDepth, 0.05, 2, Dimension::Length, tr("The shelf's depth"), "shelfDepth");
    range(k.shelfHeight, 0.02, 2, Dimension::Length, tr("The shelf's height"), "shelfHeight");
    range(k.freezerWidth, 0.05, 2, Dimension::Length, tr("The freezer's width"), "freezerWidth");
    range(k.freezerDepth, 0.05, 2, Dimension::Length, tr("The freezer's depth"), "freezerDepth");
    range(k.freezerHeight, 0.02, 2, Dimension::Length, tr("The freezer's height"), "freezerHeight");
    range(k.sheetWidth, 0.05, 2, Dimension::Length, tr("The sheet's width"), "sheetWidth");
    range(k.sheetDepth, 0.05, 2, Dimension::Length, tr("The sheet's depth"), "sheetDepth");
    range(k.sheetGap, 0, 0.03, Dimension::Length, tr("The gap between parts"), "sheetGap");
    const Measure none(0);
    if (k.boxLength != none) range(k.boxLength, 0.03, 2, Dimension::Length, tr("The box's length"), "boxLength");
    if (k.boxWidth != none) range(k.boxWidth, 0.03, 2, Dimension::Length, tr("The box's width"), "boxWidth");
    if (k.boxHeight != none) range(k.boxHeight, 0.02, 2, Dimension::Length, tr("The box's height"), "boxHeight");
    range(k.plate, 0.03, 1, Dimension::Length, tr("The plate"), "plate");
    range(k.mug, 0.03, 0.5, Dimension::Length, tr("The mug's width"), "mug");
    range(k.mugDepth, 0.02, 0.5, Dimension::Length, tr("The mug's depth"), "mugDepth");
    if (k.knife != Measure(0))
        range(k.knife, 0.001, 0.2, Dimension::Length, tr("What a knife cuts in a second"), "knife");
    if (!(k.fridgeAir >= kFridgeAirLeast && k.fridgeAir <= kFridgeAirMost))
        out.push_back(
            {tr("The fridge's air takes between a fifth and five times the heat of the book's."), "kitchen/fridgeAir"});
    if (!(k.pace >= kPaceLeast && k.pace <= kPaceMost))
        out.push_back({tr("Hands take between three tenths and three times the book's minutes."), "kitchen/pace"});
    if (k.shelves < 1 || k.shelves > 8)
        out.push_back({tr("Between one and eight free shelves in the fridge."), "kitchen/shelves"});
    checkWorker(k.cook, "cook", out);
    for (size_t i = 0; i < k.helpers.size(); ++i) checkWorker(k.helpers[i], fmt::format("helpers/{}", i), out);
}

void checkDay(const DayWish& d, std::vector<Problem>& out) {
    if (!(d.chance == 0 || (d.chance >= 0.5 && d.chance <= 0.99)))
        out.push_back({tr("A chance lies between 50 and 99 %."), "day/chance"});
    constexpr int kWeek = 7 * 1440;
    const auto near = [](int at) { return at >= -kWeek && at <= kWeek; };
    for (size_t i = 0; i < d.pins.size(); ++i)
        if (!near(d.pins[i].at))
            out.push_back({tr("A step is pinned within a week before the deadline."), fmt::format("day/pins/{}", i)});
    for (size_t i = 0; i < d.free.size(); ++i)
        if (!near(d.free[i].from) || !near(d.free[i].to) || d.free[i].to <= d.free[i].from)
            out.push_back(
                {tr("What is kept free begins before it ends, within a week."), fmt::format("day/free/{}", i)});
    for (const auto& [piece, days] : d.ahead)
        if (days < 0 || days > 6) out.push_back({tr("Made between 0 and 6 days before."), "day/ahead/" + piece});
    for (const auto& [piece, most] : d.rounds)
        if (most < 1 || most > kMostPieces)
            out.push_back({say("A round has between 1 and {} pieces.", kMostPieces), "day/rounds/" + piece});
}

/// Whether its shape can be built; the last shapes asked for are remembered, for fields ask at each key.
tl::expected<void, Problem> buildable(const Piece& p, const form::Meshes& meshes) {
    struct Known {
        form::Part part;
        std::vector<std::shared_ptr<const form::Mesh>> models;
        bool assumed = true;
        tl::expected<void, Problem> answer;
    };
    constexpr size_t kKept = 64;
    thread_local std::vector<Known> known;
    std::vector<std::shared_ptr<const form::Mesh>> models;
    for (const auto& name : form::modelsOf(p.shape))
        if (const auto mesh = meshes.find(name); mesh != meshes.end()) models.push_back(mesh->second);
    const bool assumed = !p.wallFromCoats();
    for (const auto& k : known)
        if (k.assumed == assumed && k.models == models && k.part == p.shape) return k.answer;
    if (known.size() >= kKept) known.erase(known.begin());
    known.push_back({p.shape, models, assumed, form::checkBuild(p.shape, meshes, assumed)});
    return known.back().answer;
}

/// Whether a step may be for a part of that key. Of a ready-made compound the parts are known once it is built.
bool isPartOf(const Piece& p, const std::string& key) {
    return key.empty() || (p.shape.items.empty() && p.family().body == form::Body::Compound) ||
           form::itemOf(p.shape, key);
}

/// What a step may not be, whatever its piece. @param add takes a problem whose place begins behind the piece's
template <class Add>
void checkMaking(const Piece& p, const Plan& plan, const material::Library& lib, const Add& add) {
    const auto chocolate = [&](const auto& step, const std::string& here) {
        if (const auto own = coatingOf(p, step.chocolate, plan, lib); !own) add(own.error(), here);
    };
    const auto between = [&](const Measure& m, double low, double high, const char* sentence,
                             const std::string& where) {
        if (!(m.value >= low && m.value <= high)) add({sentence, where});
    };
    const bool cast = !p.alongMeridian();  // of a coated compound some parts are cast
    size_t casts = 0, fills = 0;
    for (size_t i = 0; i < p.making.size(); ++i) {
        const std::string here = fmt::format("making/{}/", i);
        const Step& step = p.making[i];
        if (const auto* c = std::get_if<CastStep>(&step)) {
            const std::string at = ++casts == 1 ? "cast/" : here;
            chocolate(*c, at);
            if (!isPartOf(p, c->item)) add({tr("There is no such part: this cast is for none."), at + "item"});
            between(c->share, 0.01, 100, tr("A cast takes more than nothing of what the form holds."), at + "share");
            const double T = c->temperature.value;
            if (cast && !(T == 0 || (T >= 20 && T <= 60)))
                add({say("Chocolate is poured between 20 and 60 °C, not at {}.",
                         format(T, Dimension::Temperature, plan.units)),
                     at + "temperature"});
            if (cast)
                between(c->table, 0, 6 * 3600, tr("It stands on the table between no time and six hours."),
                        at + "table");
        } else if (const auto* s = std::get_if<InsertStep>(&step)) {
            if (s->each < 1 || s->each > 100) add({tr("Between one and a hundred of them."), here + "each"});
            between(s->mass, 0, 5, tr("It weighs between nothing and five kilograms."), here + "mass");
            if (!isPartOf(p, s->item)) add({tr("There is no such part for it to go into."), here + "item"});
            if (s->what != InsertStep::What::Piece) continue;
            if (s->piece == p.id) add({tr("A piece cannot stand in itself."), here + "piece"});
            else if (!plan.piece(s->piece)) add({tr("The piece that goes in is not in this plan."), here + "piece"});
        } else if (const auto* t = std::get_if<TopStep>(&step)) {
            if (!plan.topping(t->topping))
                add({tr("There is no topping “") + t->topping + tr("” here."), here + "topping"});
            between(t->each, 0, 5, tr("A topping weighs between nothing and five kilograms."), here + "each");
            if (!isPartOf(p, t->item)) add({tr("There is no such part for it to go on."), here + "item"});
        } else if (const auto* w = std::get_if<SetStep>(&step)) {
            between(w->stay, 0, 86400, tr("It sets between no time and a day."), here + "stay");
        } else if (const auto* f = std::get_if<FillStep>(&step)) {
            const std::string at = ++fills == 1 ? "filling/" : here;
            if (!plan.filling(f->filling))
                add({tr("There is no filling “") + f->filling + tr("” here."), at + "filling"});
            between(f->share, 0, 1, tr("A piece is filled to between nothing and its brim."), at + "share");
            if (!(f->each.value >= 0 && f->each.value < 0.02))
                add({tr("A filling is between nothing and 20 l."), at + "each"});
            between(f->chill, 0, 86400, tr("It is chilled between no time and a day."), at + "chill");
        } else if (const auto* l = std::get_if<LidStep>(&step)) {
            between(l->depth, 0, 0.02, tr("A lid of chocolate is at most 20 mm thick."), "filling/cap");
        } else if (const auto* d = std::get_if<DecorateStep>(&step)) {
            if (d->usesChocolate()) chocolate(*d, here);
            if (!isPartOf(p, d->item)) add({tr("There is no such part to decorate."), here + "item"});
            between(d->mass, 0, 5, tr("A decoration weighs between nothing and five kilograms."), here + "mass");
            between(d->dry, 0, 86400, tr("It dries between no time and a day."), here + "dry");
            if (d->usesChocolate() || d->way == DecorateStep::Way::Edge) {
                between(d->line, 0.005, 20, tr("A line on one piece is between 5 mm and 20 m long."), here + "line");
                between(d->width, 0.0005, 0.2,
                        tr("A line, a band or a petal is between half a millimetre and 200 mm wide."), here + "width");
            }
            between(d->thick, 0.00005, 0.03, tr("Between a twentieth of a millimetre and 30 mm."), here + "thick");
            if (!(d->cover > 0 && d->cover <= 1))
                add({tr("It covers more than nothing and at most all of the face."), here + "cover"});
            if (d->times < 1 || d->times > 200) add({tr("Between one and 200 times."), here + "times"});
            if (d->every != Measure(0))
                between(d->every, 0.002, 0.5, tr("From one to the next are between 2 and 500 mm."), here + "every");
        } else if (const auto* e = std::get_if<ServeStep>(&step)) {
            between(e->amount, 0, 0.02, tr("Between nothing and 20 l for one."), here + "amount");
        }
    }
}

/// Pieces that stand in each other in a circle.
void checkCircles(const Plan& plan, std::vector<Problem>& out) {
    const auto standsIn = [&](const Piece& p) {
        std::vector<std::string> ids;
        for (const auto& step : p.making)
            if (const auto* s = std::get_if<InsertStep>(&step); s && s->what == InsertStep::What::Piece)
                ids.push_back(s->piece);
        return ids;
    };
    for (const auto& p : plan.pieces) {
        std::vector<std::string> open = standsIn(p), seen;
        while (!open.empty()) {
            const std::string id = std::move(open.back());
            open.pop_back();
            if (std::find(seen.begin(), seen.end(), id) != seen.end()) continue;
            seen.push_back(id);
            for (const auto& q : plan.pieces)
                if (q.id == id)
                    for (auto& next : standsIn(q)) open.push_back(std::move(next));
        }
        if (const bool self = std::find(seen.begin(), seen.end(), p.id) != seen.end();
            self && std::none_of(out.begin(), out.end(), [&](const Problem& x) {
                return x.where.starts_with("pieces/" + p.id + "/making") && x.where.ends_with("/piece");
            }))
            out.push_back({say("{} stands in a piece that stands in it.", p.name), "pieces/" + p.id + "/making"});
    }
}

void checkPiece(const Piece& p, const Plan& plan, const material::Library& lib, bool shapes,
                std::vector<Problem>& out) {
    const std::string at = "pieces/" + p.id + "/";
    const auto add = [&](Problem problem, const std::string& before = "") {
        out.push_back({problem.sentence, at + before + problem.where});
    };
    if (p.count < 1) add({tr("Plan at least one piece, or take it off the shelf."), "count"});
    if (p.count > kMostPieces)
        add({say("{} pieces are more than a kitchen makes in a day; {} at most.", p.count, kMostPieces), "count"});
    if (p.family().copied) {
        const MoldWish& m = p.mold;
        const auto within = [&](const Measure& v, double low, double high, const char* words, const char* field) {
            if (!(v.value >= low && v.value <= high)) add({words, field});
        };
        if (m.casts < 0 || m.casts > 100'000) add({tr("A mold has made no cast yet, or some."), "mold/casts"});
        if (m.parts < 0 || m.parts > 2) add({tr("A mold has one part or two."), "mold/parts"});
        if (!(m.hardness >= 0 && m.hardness <= 60)) add({tr("Shore A hardness is between 0 and 60."), "mold/hardness"});
        within(m.wall, 0.003, 0.05, tr("Silicone round an original is between 3 and 50 mm thick."), "mold/wall");
        within(m.cure, 600, 14 * 86400, tr("It cures between ten minutes and two weeks."), "mold/cure");
        within(m.potLife, 60, 86400, tr("It can be poured for between a minute and a day."), "mold/potLife");
        if (!(m.partsA > 0 && m.partsA <= 1000)) add({tr("It is mixed of some parts of A."), "mold/partsA"});
        if (!(m.partsB > 0 && m.partsB <= 1000)) add({tr("It is mixed of some parts of B."), "mold/partsB"});
        if (!(m.price >= 0 && m.price < 1e6)) add({tr("A price is nothing or more."), "mold/price"});
    }
    if (p.molds < 0) add({tr("Without a mold there is no piece: one at least, or as many as are needed."), "molds"});
    if (p.survives < 0.2 || p.survives > 1 || !std::isfinite(p.survives))
        add({tr("The share that comes out whole lies between 20 % and 100 %."), "survives"});
    const auto coating = coatingOf(p, plan, lib);
    if (!coating) add(coating.error());
    const bool meridian = p.alongMeridian();
    const auto coats = p.coats();
    const auto isPart = [&](const std::string& key) { return isPartOf(p, key); };
    const bool hasClosed = std::ranges::any_of(p.shape.items, [](const auto& i) {
        const auto* f = form::family(i.part.family);
        return f && f->former == form::Former::Closed;
    });
    const auto former =
        meridian ? form::meridian(p.shape) : tl::expected<form::Meridian, Problem>(tl::unexpected(Problem{}));
    if (meridian && !former) add(former.error(), "former/");
    else if (auto ok = shapes && !meridian ? buildable(p, plan.meshes) : form::checkFigures(p.shape); !ok)
        add(ok.error(), "former/");
    if ((former ? p.overBalloon() : p.roundSomething() && p.wallFromCoats() && form::checkFigures(p.shape)) &&
        (p.pot.empty() || lib.pot(p.pot)) &&
        std::any_of(coats.begin(), coats.end(), [](const auto& c) { return c.way == coat::Way::Dip; })) {
        const auto bath = p.bath(lib);  // what its shape says is told with its shape
        if (!bath && bath.error().where == "pot") add(bath.error());
    }
    for (const auto& item : p.shape.items) {
        const bool own = p.hasOwnSteps(item.key);
        if (const auto* f = form::family(item.part.family);
            f && f->meridian && std::ranges::none_of(coats, [&](const auto& c) {
                return c.item == (own ? item.key : std::string()) && c.way != coat::Way::Turn;
            }))
            add({say("The wall of “{}” is made by coats: add one.", item.name), "coats"});
    }
    if (meridian && coats.empty()) add({tr("There is no coat yet: add one."), "coats"});
    checkMaking(p, plan, lib, add);
    if (coats.size() > 8) add({tr("More than eight coats make no shell; use fewer."), "coats"});
    for (size_t i = 0; coating && i < coats.size(); ++i) {
        const std::string here = fmt::format("coats/{}/", i);
        const auto own = coatingOf(p, coats[i].chocolate, plan, lib);
        if (!own) {
            add(own.error(), here);
            continue;
        }
        const double bears = p.overBalloon() ? lib.former(own->compound ? "balloonBearsCompound" : "balloonBears") : 90;
        if (auto ok = coat::checkStep(coats[i], *own, bears); !ok) add(ok.error(), here);
        if (p.overBalloon() && coats[i].way == coat::Way::Pour)
            add({tr("A balloon cannot be filled and poured out; dip or brush it."), here + "way"});
        if (i == 0 && coats[i].way == coat::Way::Press)
            add({tr("The first coat makes the wall; press its rim in afterwards."), here + "way"});
        if (p.roundSomething() && coats[i].way == coat::Way::Press)
            add({tr("It has no rim to press: dip it, pour over it or brush it."), here + "way"});
        if (!isPart(coats[i].item)) add({tr("There is no such part: this coat is for none."), here + "item"});
        if (coats[i].way == coat::Way::Turn && !p.closes() && !hasClosed)
            add({tr("Only a closed mold is filled and turned; pour this one out."), here + "way"});
        if (p.wallFromCoats() && p.closes() && coats[i].way != coat::Way::Turn)
            add({tr("A closed mold is filled in part and turned about; nothing else reaches its wall."), here + "way"});
        if (!meridian) continue;
        if (!p.overBalloon() && coats[i].way == coat::Way::Dip)
            add({tr("A cup is coated inside; fill and pour out, or brush it."), here + "way"});
        if (!p.overBalloon() && coats[i].rest == coat::Rest::Hung)
            add({tr("A cup stands or is turned over."), here + "rest"});
    }
    if (!(p.wantedWall.value >= 0 && p.wantedWall.value < 0.02))
        add({tr("A wall is between 0 and 20 mm."), "wantedWall"});
    if (!p.pot.empty() && !lib.pot(p.pot)) add({tr("There is no pot “") + p.pot + tr("” here."), "pot"});
    for (const auto& [id, m] : p.loads)
        if (!(m.value >= 0 && m.value < 1e4)) add({tr("A load is nothing or more."), "loads/" + id});
}

void checkFilling(const Filling& f, std::vector<Problem>& out) {
    const auto add = [&](std::string sentence, const std::string& field) {
        out.push_back({std::move(sentence), "fillings/" + f.id + "/" + field});
    };
    if (!(f.makes.value >= 0 && f.makes.value < 1))
        add(tr("A recipe makes between nothing and a cubic metre."), "makes");
    if (f.recipe.size() > 60) add(tr("A recipe of more than sixty lines; leave the pinches out."), "recipe");
    for (size_t i = 0; i < f.recipe.size(); ++i) {
        const auto& r = f.recipe[i];
        const std::string here = fmt::format("recipe/{}/", i);
        if (!(r.amount.value >= 0 && std::isfinite(r.amount.value)))
            add(say("How much {} goes in cannot be less than nothing.", r.name), here + "amount");
        if (!(r.alcohol >= 0 && r.alcohol <= 1))
            add(tr("Alcohol lies between 0 and 100 % of the volume."), here + "alcohol");
        if (r.alcohol > 0 && r.by == Ingredient::By::Count)
            add(say("Say how much {} goes in by volume: its alcohol cannot be counted by the piece.", r.name),
                here + "amount");
    }
    if (!(f.make.value >= 0 && f.make.value <= 6 * 3600))
        add(tr("Making the filling takes at most six hours."), "make");
    if (!(f.density == 0 || (f.density >= 50 && f.density <= 3000)))
        add(tr("A litre of a filling weighs between 50 g and 3 kg."), "density");
    const bool ordered = f.usableFrom.value <= f.usableTo.value;  // each of the two is told: either may be mended
    if (!(f.usableFrom.value >= 0 && ordered))
        add(tr("It is good before it is no longer: the other way round."), "usableFrom");
    if (!(f.usableTo.value < 86400 && ordered))
        add(tr("The filling's window ends before it begins, or after a day."), "usableTo");
}

void checkTopping(const Topping& t, std::vector<Problem>& out) {
    const auto add = [&](const char* sentence, const char* field) {
        out.push_back({sentence, "toppings/" + t.id + "/" + field});
    };
    if (!(t.grain.value >= 1e-5 && t.grain.value <= 0.1))
        add(tr("A topping's grains are between a hundredth of a millimetre and ten centimetres."), "grain");
    if (!(t.density >= 20 && t.density <= 8000)) add(tr("Between 20 and 8000 kg in a cubic metre."), "density");
    if (!(t.price >= 0 && t.price < 1e6)) add(tr("A price is nothing or more."), "price");
}

}  // namespace

std::vector<Problem> problems(const Plan& plan, const material::Library& library, bool shapes,
                              const std::function<bool(const Piece&)>& fine) {
    std::vector<Problem> out;
    const material::Library lib = material::withColours(library, plan.colours);
    for (const auto& c : plan.colours) {
        for (auto& p : material::problems(c, library)) out.push_back(std::move(p));
        if (std::count_if(plan.colours.begin(), plan.colours.end(), [&](const auto& o) { return o.id == c.id; }) > 1)
            out.push_back({tr("Two colours are called “") + c.name + "”.", "colours/" + c.id + "/name"});
    }
    if (!localMinutes(plan.deadline))
        out.push_back({tr("The time it must be ready is not a date and time."), "deadline"});
    checkKitchen(plan.kitchen, out);
    checkDay(plan.day, out);
    for (const auto& [id, figures] : plan.own) {
        const auto* chocolate = lib.find(id);
        if (!chocolate) out.push_back({tr("There is no chocolate “") + id + tr("” here."), "own/" + id});
        else if (auto ok = material::checkOwnFigures(*chocolate, figures); !ok)
            out.push_back({ok.error().sentence, "own/" + id + "/" + ok.error().where});
    }
    for (const auto& [id, choice] : plan.melting)
        if (!lib.find(id)) out.push_back({tr("There is no chocolate “") + id + tr("” here."), "melting/" + id});
    for (size_t i = 0; i < plan.pantry.size(); ++i) {
        const auto& s = plan.pantry[i];
        const std::string at = fmt::format("pantry/{}/", i);
        if (!lib.find(s.chocolate))
            out.push_back({tr("There is no chocolate “") + s.chocolate + tr("” here."), at + "chocolate"});
        if (!(s.mass.value >= 0 && s.mass.value < 500))
            out.push_back({tr("In the cupboard there is nothing or more, not less."), at + "mass"});
        if (!(s.price >= 0 && s.price < 1e6)) out.push_back({tr("A price is nothing or more."), at + "price"});
        if (!s.bestBefore.empty() && !localMinutes(s.bestBefore + "T00:00"))
            out.push_back({"“" + s.bestBefore + tr("” is not a date; write 2027-03-01."), at + "bestBefore"});
    }
    for (size_t i = 0; i < plan.snaps.size(); ++i) {
        const std::string at = fmt::format("snaps/{}/", i);
        if (!lib.find(plan.snaps[i].chocolate))
            out.push_back({tr("There is no chocolate “") + plan.snaps[i].chocolate + tr("” here."), at + "chocolate"});
        if (auto ok = shell::check(plan.snaps[i]); !ok) out.push_back({ok.error().sentence, at + ok.error().where});
    }
    if (plan.guests < 0 || plan.guests > 10000) out.push_back({tr("Between no guests and ten thousand."), "guests"});
    for (const auto& f : plan.fillings) checkFilling(f, out);
    for (const auto& t : plan.toppings) checkTopping(t, out);
    for (const auto& p : plan.pieces)
        if (!fine || !fine(p)) checkPiece(p, plan, lib, shapes, out);
    checkCircles(plan, out);
    for (auto& p : out) p.sentence = restated(p.sentence, plan.units);
    return out;
}

}  // namespace uovo
