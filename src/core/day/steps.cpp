// Tasks of all that is done besides coats and casts: strewn, joined, filled, decorated, put away.
#include <fmt/format.h>

#include <algorithm>
#include <climits>
#include <cmath>

#include "core/day/builder.h"
#include "core/quantity/catalogue.h"
#include "core/stages/gluing.h"

namespace uovo::day {
namespace {

constexpr int kLook = 10;         // min at the end within which all is looked at
constexpr double kColdAgain = 3;  // min of starting later that carrying there and back is worth

}  // namespace

int Builder::strew(const Round& r, const PieceAnswers& a, const std::vector<size_t>& steps, int onto, double lock) {
    int last = onto, before = onto;
    for (const size_t i : steps) {
        const Step& step = r.piece.making[i];
        double from = 0, to = lock;
        int now = -1;
        if (const auto* top = std::get_if<TopStep>(&step)) {
            const auto t =
                std::find_if(a.toppings.begin(), a.toppings.end(), [&](const Topped& x) { return x.step == i; });
            if (top->when == TopStep::When::Tacky && t != a.toppings.end() && std::isfinite(t->from)) from = t->from;
            now = task(r, fmt::format("top-{}", i),
                       tr("Strew ") + toppingName(*top) + tr(" on ") + partOf(a, top->item) + r.who, "coat",
                       minutes("strew", r.pieces), 0);
        } else if (const auto* in = std::get_if<InsertStep>(&step)) {
            if (in->what == InsertStep::What::Stick && std::isfinite(a.made->stickStands)) from = a.made->stickStands;
            now = task(r, fmt::format("insert-{}", i), insertTitle(r, a, *in), "coat",
                       minutes("insert", r.pieces * in->each), 0);
            standsIn(*in, now);
        }
        if (now < 0) continue;
        // each piece waits its own time; the first of them was made when the task under it began
        const int min = std::max(0, static_cast<int>(std::ceil(from / 60)) - length(onto)),
                  most = std::isfinite(to) ? static_cast<int>(std::ceil(std::max(to, from) / 60)) : 60;
        after(onto, now, min, std::max(min, most) + 6, tr("the chocolate takes it"));
        if (before != onto) after(before, now, 0, -1, tr("one after the other"));
        last = before = now;
    }
    return last;
}

std::string Builder::toppingName(const TopStep& top) const {
    const Topping* t = plan_.topping(top.topping);
    return t ? lowerFirst(t->name) : std::string(tr("the topping"));
}

std::string Builder::coreOf(const Round& r) {
    for (const auto& in : StepsOf<const InsertStep>(r.piece.making))
        if (in.what == InsertStep::What::Core)
            return r.pieces * in.each > 1 && r.piece.couldBeCoated() ? plural(lowerFirst(in.name))
                                                                     : lowerFirst(in.name);
    return tr("what is in ") + r.who;
}

std::string Builder::partOf(const PieceAnswers& a, const std::string& item) {
    for (const auto& i : a.made->assembly.items)
        if (!item.empty() && i.key == item) return say("the {} of ", lowerFirst(i.name));
    return {};
}

std::string Builder::insertTitle(const Round& r, const PieceAnswers& a, const InsertStep& in) const {
    std::string what = lowerFirst(in.name);
    if (const Piece* other = in.what == InsertStep::What::Piece ? plan_.piece(in.piece) : nullptr)
        what = lowerFirst(other->name);
    if (in.each * r.pieces > 1) what = plural(what);
    return say("Stand {} in {}{}", what, partOf(a, in.item), r.who);
}

void Builder::standsIn(const InsertStep& in, int task) {
    if (in.what != InsertStep::What::Piece) return;
    for (const int done : finished_[in.piece]) after(done, task, bears(done), -1, tr("what stands in it is finished"));
}

bool Builder::joinsAtLast(const Piece& piece, const Made& made) {
    const size_t next = together(piece.making);
    return made.wall || next >= piece.making.size() || !std::holds_alternative<JoinStep>(piece.making[next]);
}

int Builder::join(const Round& r, const PieceAnswers& a, const Since& since) {
    if (a.made->assembly.items.size() < 2) {
        const int joined = task(r, "join", tr("Warm the rims and close ") + r.who, "finish", minutes("close", r.pieces),
                                0, {"warm-plate"});
        follow(since, joined);
        glued_.insert(joined);
        return joined;
    }
    const auto goes = gluings(*a.made, a.together.get(), lib_);
    int joined = -1;
    for (size_t k = 0; k < goes.size(); ++k) {
        const auto id = [&](const char* what) {
            return k == 0 ? std::string(what) : fmt::format("{}-{}", what, k + 1);
        };
        const std::string steps = goes.size() == 1 ? ""
                                  : goes[k].first == goes[k].last
                                      ? say(": step {}", goes[k].first + 1)
                                      : say(": steps {}–{}", goes[k].first + 1, goes[k].last + 1);
        const int now =
            task(r, id("join"), tr("Put together ") + r.who + steps, "finish",
                 std::max(1, static_cast<int>(std::ceil(plan_.kitchen.pace * goes[k].hands * r.pieces / 60))), 0);
        const int wait = k == 0 ? 0 : static_cast<int>(std::ceil(waitBetween(goes[k - 1], goes[k], r.pieces) / 60));
        if (k == 0) follow(since, now);
        drawsLittle(now, potFor(r.piece, r.piece.chocolate));
        if (k > 0) after(joined, now, wait, -1, tr("the glue before it bears"));
        joined = now;
    }
    glued_.insert(joined);
    return joined;
}

Builder::Waits Builder::joined(const Round& r, const PieceAnswers& a, const Since& since) {
    const int task = join(r, a, since);
    return {task, bears(task), tr("the glue bears")};
}

int Builder::bears(int task) const {
    return glued_.contains(task) ? static_cast<int>(std::ceil(lib_.usual("glueBears") / 60)) : 0;
}

Builder::Since Builder::other(const Round& r, const PieceAnswers& a, size_t i, const Since& since) {
    const Step& step = r.piece.making[i];
    if (const auto* f = std::get_if<FillStep>(&step)) return f->served ? since : fill(r, *f, i, since);
    if (std::holds_alternative<JoinStep>(step)) {
        return {joined(r, a, since)};
    }
    if (std::holds_alternative<LidStep>(step)) {
        const int lid = task(r, "lid", tr("Pour lids on ") + r.who, "coat", minutes("patch", r.pieces), 0);
        drawsLittle(follow(since, lid), potFor(r.piece, r.piece.chocolate));
        return {{lid, static_cast<int>(std::ceil(lib_.usual("lidSets") / 60)), tr("the lid has set")}};
    }
    if (const auto* top = std::get_if<TopStep>(&step)) {
        if (top->when != TopStep::When::Glued) {
            const int strewn =
                follow(since, task(r, fmt::format("top-{}", i),
                                   tr("Strew ") + toppingName(*top) + tr(" on ") + partOf(a, top->item) + r.who,
                                   "finish", minutes("strew", r.pieces), 0));
            return {{strewn, since.front().wait, tr("it has set")}};
        }
        double grains = 1;
        for (const auto& t : a.toppings)
            if (t.step == i) grains = std::clamp(t.grains, 1.0, 500.0);
        const int glued = task(r, fmt::format("top-{}", i),
                               tr("Glue ") + toppingName(*top) + tr(" on ") + partOf(a, top->item) + r.who, "finish",
                               minutes("glueOne", static_cast<int>(std::lround(grains)) * r.pieces), 0);
        drawsLittle(follow(since, glued), potFor(r.piece, r.piece.chocolate));
        glued_.insert(glued);
        return {{glued, bears(glued), tr("the glue bears")}};
    }
    if (const auto* in = std::get_if<InsertStep>(&step)) {
        const int stood = follow(since, task(r, fmt::format("insert-{}", i), insertTitle(r, a, *in), "finish",
                                             minutes("insert", r.pieces * in->each), 0));
        standsIn(*in, stood);
        return {{stood, since.front().wait, since.front().why}};
    }
    if (const auto* d = std::get_if<DecorateStep>(&step)) {
        const auto* known = a.decoration(i);
        const double seconds = known ? known->seconds : lib_.tasks.at("decorate").seconds.value;
        std::vector<std::string> cautions;
        for (const char* id : decorCautions(d->way)) cautions.emplace_back(id);
        const int done = task(r, fmt::format("decorate-{}", i),
                              decorateTitle(*d, inTheMold(r.piece, i)) + partOf(a, d->item) + r.who, "finish",
                              std::max(1, static_cast<int>(std::ceil(plan_.kitchen.pace * seconds * r.pieces / 60))), 0,
                              std::move(cautions));
        follow(since, done);
        if (d->usesChocolate()) drawsLittle(done, potFor(r.piece, r.piece.chocolateOf(*d)));
        return {{done, static_cast<int>(std::ceil(d->dry.value / 60)), tr("it is dry")}};
    }
    if (const auto* s = std::get_if<SetStep>(&step)) return rests(r, a, i, *s, since);
    if (const auto* s = std::get_if<StoreStep>(&step)) {
        const bool cold = s->where == StoreStep::Where::Fridge;
        const int put = follow(since, task(r, cold ? "store" : "wrap",
                                           (cold ? tr("Into the fridge until they are eaten: ") : tr("Box ")) + r.who,
                                           cold ? "cold" : "finish", minutes(cold ? "carry" : "wrap", r.pieces), 0));
        if (cold) {
            after(clear_, put, 0, -1, tr("the shelf is clear"));
            takePlace(coat::Place::Fridge, put, serving(), a, r.pieces);
            stored_.insert(r.piece.id);
        }
        return {{put, 0, tr("all is ready")}};
    }
    return since;  // serving is the eaters'
}

std::string Builder::decorateTitle(const DecorateStep& d, bool inMold) {
    using Way = DecorateStep::Way;
    const std::string with = d.name.empty() ? "" : lowerFirst(d.name);
    if (inMold) {
        const char* verb = d.way == Way::Drizzle    ? tr("Drizzle")
                           : d.way == Way::Spray    ? tr("Spray")
                           : d.way == Way::Dust     ? tr("Dust")
                           : d.way == Way::Splatter ? tr("Splatter")
                           : d.way == Way::Marble   ? tr("Swirl a second tone into")
                           : d.way == Way::Tilt     ? tr("Tilt a second tone into")
                                                    : tr("Paint");
        return say("{} the molds of ", verb);
    }
    switch (d.way) {
        case Way::Scrape:
            return tr("Scrape a pattern into ");
        case Way::Splatter:
            return tr("Splatter ");
        case Way::Marble:
            return tr("Marble ");
        case Way::Gild:
            return with.empty() ? tr("Paint with luster: ") : tr("Paint with ") + with + ": ";
        case Way::Paste:
            return tr("Lay ") + (with.empty() ? tr("sugar paste") : with) + tr(" on ");
        case Way::Edge:
            return tr("Dip in ") + (with.empty() ? "sugar" : with) + tr(" the edges of ");
        case Way::Flood:
            return tr("Outline and fill fields on ");
        case Way::Grain:
            return tr("Brush wood grain into ");
        case Way::Petals:
            return tr("Make petals and set them on ");
        case Way::Tilt:
            return tr("Run a second tone over ");
        case Way::Bow:
            return tr("Tie bows and set them on ");
        case Way::Strips:
            return tr("Lift strips off the frozen slab and wind them round ");
        case Way::Drizzle:
            return tr("Drizzle ");
        case Way::Paint:
            return tr("Paint ");
        case Way::Spray:
            return tr("Spray ");
        case Way::Dust:
            return with.empty() ? tr("Dust ") : tr("Dust with ") + with + ": ";
        case Way::Stencil:
            return tr("Stencil ");
        case Way::Ribbon:
            return with.empty() ? tr("Tie a ribbon round ") : tr("Tie ") + with + tr(" round ");
    }
    return {};
}

Builder::Since Builder::rests(const Round& r, const PieceAnswers& a, size_t i, const SetStep& s, const Since& since) {
    const int stay = static_cast<int>(std::ceil(s.stay.value / 60));
    if (s.place == coat::Place::Table) {
        Since out = since;
        for (auto& w : out) w.wait += stay, w.why = tr("it stands on the table");
        return out;
    }
    const int in = task(r, fmt::format("set-in-{}", i), tr("Into the ") + placeName(s.place) + ": " + r.who, "cold",
                        minutes("carry", r.pieces), 0);
    const int out = task(r, fmt::format("set-out-{}", i), tr("Out of the ") + placeName(s.place) + ": " + r.who, "look",
                         minutes("look", r.pieces), 0);
    follow(since, in);
    after(clear_, in, 0, -1, tr("the shelf is clear"));
    after(in, out, stay, std::max(stay + 15, static_cast<int>(lib_.usual("fridgeMost") / 60)), tr("it is in the cold"));
    takePlace(s.place, in, out, a, r.pieces);
    return {{out, 0, tr("it has set")}};
}

Builder::Since Builder::fill(const Round& r, const FillStep& f, size_t step, const Since& since) {
    const Filling& filling = *plan_.filling(f.filling);
    const auto [making, first] = fillings_.try_emplace(f.filling, 0);
    if (first)
        making->second = add({f.filling + "/make-filling", tr("Make ") + lowerFirst(filling.name), "", "finish",
                              std::max(1, static_cast<int>(std::ceil(filling.make.value / 60))), 1, 0, 0,
                              filling.egg ? std::vector<std::string>{"raw-egg"} : std::vector<std::string>{}});
    std::vector<std::string> cautions;
    if (filling.perishable) cautions.push_back("perishable");
    if (filling.isAlcoholic()) cautions.push_back("alcohol");
    size_t layer = 0;
    for (size_t k = 0; k < step; ++k) layer += std::holds_alternative<FillStep>(r.piece.making[k]);
    const int filled = task(r, layer == 0 ? "fill" : fmt::format("fill-{}", layer + 1),
                            (layer == 0 ? tr("Fill ") : tr("Fill ") + lowerFirst(filling.name) + tr(" into ")) + r.who,
                            "finish", minutes("fill", r.pieces), 0, cautions);
    after(making->second, filled, static_cast<int>(std::ceil(filling.usableFrom.value / 60)),
          static_cast<int>(filling.usableTo.value / 60), tr("the filling's own window"));
    follow(since, filled);
    if (filling.perishable) perishable_.push_back({filled, r.piece.id});
    if (f.chill.value > 0) {
        SetStep chill;
        chill.stay = f.chill;
        return rests(r, *known_.piece(r.piece.id), step, chill, {{filled, 0, tr("it is filled")}});
    }
    return {{filled, 0, tr("the filling is in")}};
}

void Builder::finish(const Piece& piece, const PieceAnswers& a, Since since, const std::string& things) {
    // Spares are put together too; fillings go into those that are wanted, or into all that are closed over them.
    const Round all{piece, 0, a.make, counted(piece, things), ""},
        wanted{piece, 0, piece.count, counted(piece, things), ""};
    bool closed = false;
    const size_t begin = together(piece.making);
    for (size_t i = 0; i < begin && !closed; ++i)  // out of order, and done once all is there all the same
        if (std::holds_alternative<JoinStep>(piece.making[i]) && joinsAtLast(piece, *a.made))
            since = other(all, a, i, since), closed = true;
    for (size_t i = begin; i < piece.making.size(); ++i) {
        if (doneBefore(piece.making, i)) continue;
        const bool joins = std::holds_alternative<JoinStep>(piece.making[i]);
        closed = closed || joins;
        if (joins && !joinsAtLast(piece, *a.made)) continue;  // done round by round
        since = other(joins || (!closed && piece.closedByJoining()) ? all : wanted, a, i, since);
    }
    for (const auto& s : since) {
        after(s.task, serving(), s.wait, -1, s.why);
        finished_[piece.id].push_back(s.task);
    }
    keepCold(wanted, a, since);
}

void Builder::keepCold(const Round& r, const PieceAnswers& a, const Since& since) {
    std::vector<int> filled;
    for (const auto& [task, piece] : perishable_)
        if (piece == r.piece.id) filled.push_back(task);
    if (filled.empty()) return;
    const int most = static_cast<int>(lib_.usual("fillingMost") / 60);
    const char* why = tr("a perishable filling does not wait long");
    const auto waits = [&](int until) {
        for (const int task : filled) {
            after(task, until, 0, most, why);
            net_.lags.back().soft = true;
        }
    };
    if (stored_.contains(r.piece.id)) {
        for (size_t i = 0; i < net_.tasks.size(); ++i)
            if (net_.tasks[i].piece == r.piece.id && net_.tasks[i].step == "store") waits(static_cast<int>(i));
        return;
    }
    // Eaten within its time, or back in the cold until it is: whichever the day likes better.
    const int choice = static_cast<int>(net_.choices.size());
    net_.choices.push_back({r.piece.id + "/cold", {0, kColdAgain}});
    const size_t first = net_.lags.size();
    waits(serving());
    for (size_t i = first; i < net_.lags.size(); ++i) net_.lags[i].choice = choice;
    const size_t cold = net_.lags.size();
    const int in = task(r, "chill-in", tr("Back into the fridge: ") + r.who, "cold", minutes("carry", r.pieces), 0);
    const int out =
        task(r, "chill-out", tr("Out of the fridge for the table: ") + r.who, "look", minutes("carry", r.pieces), 0);
    for (const int t : {in, out})
        net_.tasks[static_cast<size_t>(t)].choice = choice, net_.tasks[static_cast<size_t>(t)].mode = 1;
    for (const auto& s : since) {  // at once, or when it is dry
        after(s.task, in, s.wait, s.wait + static_cast<int>(lib_.usual("servedWithin") / 60), s.why);
        net_.lags.back().soft = true;
    }
    waits(in);
    after(clear_, in, 0, -1, tr("the shelf is clear"));
    after(in, out, 0, -1, tr("it stays cold"));
    after(out, serving(), 0, static_cast<int>(lib_.usual("servedWithin") / 60), tr("it comes cold to the table"));
    net_.lags.back().soft = true;
    for (size_t i = cold; i < net_.lags.size(); ++i) net_.lags[i].choice = choice, net_.lags[i].mode = 1;
    takePlace(coat::Place::Fridge, in, out, a, r.pieces);
    net_.holds.back().choice = choice;
    net_.holds.back().mode = 1;
}

void Builder::washUp() {
    if (serve_ < 0 || draws_.empty()) return;
    const int wash =
        add({"wash-up", tr("Pour what is left out to set, wash up"), "", "finish", minutes("washUp", 1), 1, 0, 0, {}});
    std::set<int> using_;
    for (const auto& d : draws_)
        if (using_.insert(d.task).second) after(d.task, wash, 0, -1, tr("the pots are no longer needed"));
    after(wash, serving(), 0, -1, tr("the kitchen is clean"));
}

void Builder::serveLast() {
    if (serve_ < 0 || perishable_.empty()) return;
    int last = INT_MIN;
    for (const auto& p : net_.people) {
        int there = p.there.empty() ? 0 : INT_MIN;
        for (const auto& s : p.there) there = std::max(there, s.to);
        for (bool moved = true; moved;) {
            moved = false;
            for (const auto& c : net_.closed)
                if (there > c.from && there <= c.to) there = c.from, moved = true;
        }
        last = std::max(last, there);
    }
    auto& t = net_.tasks[static_cast<size_t>(serve_)];
    t.earliest = std::max(t.earliest, last - kLook);
}

int Builder::serving() {
    if (serve_ < 0)
        serve_ = add({"ready", tr("Ready: a last look at everything"), "", "finish", 1, 1, 0, 0, {"allergen"}});
    return serve_;
}

}  // namespace uovo::day
