// The tasks of a plan with their lags, and what they keep in use.
#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <map>
#include <set>

#include "core/heat/pot.h"
#include "core/plan/answers.h"
#include "core/plan/plural.h"

namespace uovo {
namespace {

class Builder {
public:
    Builder(const Plan& plan, const material::Library& lib, const Answers& answers) : plan_(plan), lib_(lib), answers_(answers) {
        net_.hands = plan.kitchen.hands;
        const auto end = localMinutes(plan.deadline);
        if (const auto from = clockMinutes(plan.kitchen.helpersFrom); from && end && net_.hands > 1)
            net_.helpers = (static_cast<int>(*end % 1440) - *from + 1440) % 1440;
    }

    schedule::Network build() {
        const int shelf = addResource(schedule::Resource::Kind::Shelf, "fridge shelf", plan_.kitchen.shelfWidth.value * plan_.kitchen.shelfDepth.value * plan_.kitchen.shelves);
        const int freezer = addResource(schedule::Resource::Kind::Freezer, "freezer", plan_.kitchen.freezerWidth.value * plan_.kitchen.freezerDepth.value);
        const int table = addResource(schedule::Resource::Kind::Bench, "bench", lib_.usual("tableWidth") * lib_.usual("tableDepth"));
        places_ = {{coat::Place::Table, table}, {coat::Place::Fridge, shelf}, {coat::Place::Freezer, freezer}};
        clear_ = add({"clear-shelf", "Clear the shelf in the fridge", "", "prepare", minutes("clearShelf", 1), 1, 0, 0, {}});
        for (size_t i = 0; i < plan_.pieces.size(); ++i) {
            const Piece& piece = plan_.pieces[i];
            const PieceAnswers& a = *answers_.pieces[i];
            const std::string things = plural(lower(piece.name));
            std::vector<int> finished;
            const Made& made = *a.made;
            if (made.wall) coats(piece, a, finished);
            if (!made.wall || made.wall->items.size() < made.assembly.items.size()) casts(piece, a, finished);
            if (joinsAtLast(piece, made) && made.assembly.items.size() > 1) finished = {join(piece, a, finished, a.make, counted(piece, things))};
            finish(piece, finished, things);
        }
        if (serve_ >= 0) net_.order.push_back(serve_);
        for (int i = static_cast<int>(net_.tasks.size()); i-- > 0;)
            if (i != serve_) net_.order.push_back(i);
        return std::move(net_);
    }

private:
    struct PotState {
        int resource = 0, melt = 0;  ///< melt: the task after which it is molten, divided and coloured
        double life = 0;  // min of usable chocolate after tempering
    };

    int minutes(const char* task, int pieces) const {
        const auto& t = lib_.tasks.at(task);
        return std::max(1, static_cast<int>(std::ceil(t.seconds.value * (t.perPiece ? pieces : 1) / 60)));
    }
    int addResource(schedule::Resource::Kind kind, const std::string& name, double squareMetres) {
        net_.resources.push_back({name, static_cast<int>(squareMetres * 1e4), "cm²", kind});
        return static_cast<int>(net_.resources.size()) - 1;
    }
    int add(schedule::Task task) {
        task.step = task.id.substr(task.id.rfind('/') + 1);
        net_.tasks.push_back(std::move(task));
        return static_cast<int>(net_.tasks.size()) - 1;
    }
    int length(int task) const { return net_.tasks[static_cast<size_t>(task)].minutes; }
    /// `min`..`max` minutes lie between the end of `from` and the start of `to`; max < 0: none.
    void after(int from, int to, int min, int max, std::string why) {
        net_.lags.push_back({from, to, length(from) + min, max < 0 ? -1 : length(from) + max, std::move(why)});
    }

    /// By its grams, the microwave's watts or the bath, and the bowl. @param index of the pot
    int meltMinutes(size_t index, double mass) const {
        const MeltPlan& m = answers_.melts[index];
        if (m.problem.empty() && !m.temper.steps.empty() && m.each > 0) return std::max(2, static_cast<int>(std::ceil(m.temper.steps.front().seconds * mass / m.each / 60)));
        return minutes("melt", 1);
    }
    /// The pot of a piece's chocolate: melted once a day, tempered again before each sitting.
    PotState& potFor(const Piece& piece, const std::string& chocolate, const material::Coating& coating) {
        const batch::PotKey key = potOf(piece, chocolate, lib_);
        const auto [it, fresh] = pots_.try_emplace(key.id());
        PotState& pot = it->second;
        if (!fresh) return pot;
        const auto found = std::find_if(answers_.pots.begin(), answers_.pots.end(), [&](const batch::Pot& p) { return p.key == key; });
        const auto index = static_cast<size_t>(found - answers_.pots.begin());
        const double mass = found->melt, together = answers_.melts[index].together;
        const auto* bought = lib_.find(chocolate);
        const auto* base = together > 0 ? lib_.find(bought->boughtAs()) : nullptr;
        const auto grams = [&](double kg) { return format(kg, Dimension::Mass, plan_.units); };
        const auto meltAll = [&](batch::PotKey of, const std::string& what, double kg) {
            const int chop = add({"chop/" + of.id(), "Chop " + lower(what), "", "prepare", minutes("chop", 1), 1, 0, 0, {}});
            const int melt = add({"melt/" + of.id(), "Melt " + grams(kg) + " of " + lower(what), "", "melt", meltMinutes(index, kg), 1, 0, 0, {"hot-bowl"}});
            after(chop, melt, 0, -1, "it is chopped");
            return melt;
        };
        if (base) {  // one melt for all of its colours, divided then
            batch::PotKey plain = key;
            plain.chocolate = base->id;
            const auto [one, first] = molten_.try_emplace(plain.id(), 0);
            if (first) one->second = meltAll(plain, base->name, together);
            pot.melt = one->second;
            if (bought != base) {
                pot.melt = add({"colour/" + key.id(), "Divide off " + grams(mass) + " and colour it: " + lower(bought->name), "", "melt", minutes("colour", 1), 1, 0, 0, {}});
                after(one->second, pot.melt, 0, 60, "it is molten");
            }
        } else {
            pot.melt = meltAll(key, found->name, mass);
        }
        net_.resources.push_back({"pot of " + lower(found->name), 1, "pot", schedule::Resource::Kind::Pot, key.id()});
        pot.resource = static_cast<int>(net_.resources.size()) - 1;
        pot.life = 90;
        if (coating.tempered)  // hands re-warm it as they work
            pot.life = std::max(heat::batchWindow(coating, lib_.physics, mass, 0, std::min(coating.workHigh, coating.loses - 0.5), plan_.kitchen.room.value), answers_.melts[index].temper.keeps) / 60;
        return pot;
    }

    /// Everything that is coated, coat after coat: bowls, cups and the molded walls of parts.
    void coats(const Piece& piece, const PieceAnswers& a, std::vector<int>& finished) {
        const bool balloon = piece.overBalloon(), mold = !piece.alongMeridian();
        const CoatTimes& times = *a.made->wall;
        const double across = a.made->shelfDiameter;
        const int walls = static_cast<int>(a.made->wall->items.size());
        double life = 1e9;
        for (const auto& c : piece.coats) life = std::min(life, potOfCoat(piece, c).life);
        const double gap = lib_.usual("pieceGap");
        const int perPlace = std::max(1, a.perShelf);
        // A sitting must fit the place, the chocolate's life and the hands.
        const char* work = balloon ? "dip" : "pour";
        const double each = walls * lib_.tasks.at(work).seconds.value / 60;
        const int byLife = std::max(1, static_cast<int>((life - 1) / each));
        const int perRound = std::max(1, std::min({perPlace, byLife, a.make}));
        const int rounds = (a.make + perRound - 1) / perRound;
        int firstPrepare = -1;
        for (int r = 0; r < rounds; ++r) {
            const int from = a.make * r / rounds + 1, to = a.make * (r + 1) / rounds, n = to - from + 1;
            const std::string who = whose(piece, rounds, from, to);
            const auto id = [&](const std::string& what) { return fmt::format("{}/{}/{}", piece.id, r + 1, what); };
            const auto task = [&](const std::string& what, std::string title, const char* lane, int length_, int coat, std::vector<std::string> cautions = {}) {
                return add({id(what), std::move(title), piece.id, lane, length_, 1, coat, r + 1, std::move(cautions), numbers(rounds, from, to), {}, who});
            };
            const int prepare = balloon ? task("inflate", "Blow up and oil " + who, "prepare", std::max(1, minutes("inflate", n) + minutes("oil", n)), 0, {"latex", "balloon-oil"})
                                : mold  ? task("mold", "Polish the molds for " + who, "prepare", minutes("prepareMold", n * walls), 0)
                                        : task("snip", "Snip " + who + " to tear open", "prepare", minutes("snip", n), 0, {"paper"});
            if (firstPrepare < 0) firstPrepare = prepare;
            int before = prepare;
            int firstOut = -1;
            for (size_t k = 0; k < piece.coats.size(); ++k) {
                const auto& c = piece.coats[k];
                PotState& pot = potOfCoat(piece, c);
                const auto coating = *coatingOf(piece, c, plan_, lib_);
                const int number = static_cast<int>(k) + 1;
                const auto coatId = [&](const char* what) { return fmt::format("{}-{}", what, number); };
                const bool first = r == 0 && k == 0;
                const int ready = coating.tempered
                                      ? task(coatId("temper"), first ? "Temper " + lower(coating.name) : "Warm and temper again for " + who, "melt",
                                             minutes(first ? "temper" : "rewarm", 1), number, {"hot-bowl"})
                                      : task(coatId("warm"), "Stir and warm the pot for " + who, "melt", minutes("rewarm", 1), number, {"hot-bowl"});
                after(pot.melt, ready, 0, -1, "the chocolate is melted");
                const char* verb = c.way == coat::Way::Dip ? "Dip " : c.way == coat::Way::Pour ? "Fill and pour out " : c.way == coat::Way::Turn ? "Fill and turn about " : c.way == coat::Way::Press ? "Press into a plate of chocolate the rims of " : "Brush ";
                const char* time = c.way == coat::Way::Dip ? "dip" : c.way == coat::Way::Brush || c.way == coat::Way::Press ? "brush" : "pour";
                const int moving = c.motion == coat::Motion::Still && c.way != coat::Way::Turn ? 0 : static_cast<int>(std::ceil(c.moveFor.value / 60));  // hands stay on it
                const int dip = task(coatId("coat"), verb + who + (k == 1 ? ", second coat" : k == 2 ? ", third coat" : k > 2 ? ", one more coat" : ""), "coat",
                                     minutes(time, n * walls) + moving, number, balloon ? std::vector<std::string>{"balloon-hot"} : std::vector<std::string>{});
                const int lasts = static_cast<int>(pot.life) - (length(dip) - moving);
                after(ready, dip, 0, std::max(0, std::min(lasts, static_cast<int>(lib_.usual("latestWarm") / 60))), "the chocolate stays usable");
                net_.holds.push_back({pot.resource, ready, dip, 1});
                if (k == 0)
                    after(prepare, dip, 0, 120, "a balloon slowly shrinks");
                else
                    after(before, dip, 0, 30, "the shell is still cold");
                const int carry = c.place == coat::Place::Table ? -1 : task(coatId("in"), "Into the " + placeName(c.place) + ": " + who, "cold", minutes("carry", n), number);
                const int delay = static_cast<int>(std::ceil(c.delay.value / 60));
                int inside = dip;
                if (carry >= 0) {
                    after(clear_, carry, 0, -1, "the shelf is clear");
                    // each piece waits its own delay; the last one is coated when the task ends
                    after(dip, carry, std::max(0, delay - length(dip)), delay + 6, "the wait before the cold");
                    inside = carry;
                }
                const int out = task(coatId("out"), (carry >= 0 ? "Out of the " + placeName(c.place) + ", look: " : "Look at ") + who, "look",
                                     minutes("look", n), number);
                const bool last = k + 1 == piece.coats.size();
                const double lead = coat::beforeCold(c);
                double need = last ? times.setting[k].release - lead : times.setting[k].firm - lead;
                need = std::max(std::isfinite(need) ? need : 0.0, c.stay.value);
                const int stay = static_cast<int>(std::ceil(need / 60));
                const double most = c.place == coat::Place::Freezer ? lib_.usual("freezerMost") : c.place == coat::Place::Fridge ? lib_.usual("fridgeMost") : 4 * 3600;
                after(inside, out, stay, std::max(stay + 5, static_cast<int>(most / 60)), last ? "it lets go" : "it is firm");
                // A place holds perShelf pieces at once, so each counts as that share of its area.
                const int place = places_.at(c.place);
                const int capacity = net_.resources[static_cast<size_t>(place)].capacity;
                const int fit = fitIn(c.place, across + gap);
                net_.holds.push_back({place, inside, out, std::min(capacity, static_cast<int>(std::floor(double(capacity) / std::max(1, fit))) * n)});
                if (firstOut < 0) firstOut = out;
                before = out;
            }
            const int warm = task("patch-pot", "Warm a little chocolate to patch " + who, "melt", minutes("patchPot", 1), 0, {"hot-bowl"});
            const int patch = task("patch", "Patch bare spots on " + who, "coat", minutes("patch", std::max(1, n / 3)), 0);
            after(before, warm, 0, -1, "it has been looked at");
            after(warm, patch, 0, 6, "the small pot is warm");
            const int release = mold ? task("unmold", "Unmold " + who, "release", minutes("unmold", n * walls), 0)
                                : balloon ? task("release", "Let the air out and peel " + who, "release", minutes("releaseBalloon", n), 0, {"latex", "blade"})
                                        : task("release", "Tear the paper off " + who, "release", minutes("releaseCup", n), 0);
            after(patch, release, 3, static_cast<int>(lib_.usual("latestRelease") / 60), "the patch is firm");
            const int trim = task("trim", "Trim the rims of " + who, "finish", minutes("trim", n), 0, {"warm-plate"});
            after(release, trim, 0, -1, "it is off its former");
            int done = trim;
            if (a.made->melted > 0) {
                done = task("open", "Melt the holes into " + who + " on a warm plate", "finish", minutes("open", n), 0, {"warm-plate"});
                after(trim, done, 0, -1, "its rim is trimmed");
            }
            if (r > 0) after(firstPrepare, prepare, 0, -1, "the rounds go in their order");
            finished.push_back(done);
        }
    }
    PotState& potOfCoat(const Piece& piece, const PlannedCoat& c) {
        return potFor(piece, piece.chocolateOf(c), *coatingOf(piece, c, plan_, lib_));
    }

    /// Parts in molds, between bars or by hand, all but the coated walls: cast, set, unmold; a compound is then put together.
    void casts(const Piece& piece, const PieceAnswers& a, std::vector<int>& finished) {
        PotState& pot = potFor(piece, piece.chocolate, a.coating);
        const auto& stage = *a.made;
        int edible = 0, sheets = 0;
        const auto coated = [&](size_t k) { return stage.wall && stage.wall->covers(k); };
        for (size_t k = 0; k < stage.assembly.items.size(); ++k) {
            const auto& item = stage.assembly.items[k];
            if (coated(k)) continue;
            edible += item.edible;
            sheets += item.edible && item.shape.body == form::Body::Sheet;
        }
        if (edible == 0) return;
        const bool compound = stage.assembly.items.size() > 1 && !joinsAtLast(piece, stage);
        const double each = std::max(1, edible) * lib_.tasks.at("cast").seconds.value / 60;
        const int byLife = std::max(1, static_cast<int>((pot.life - 1) / each));
        const int perRound = std::max(1, std::min({std::max(1, a.perShelf), byLife, a.make}));
        const int rounds = (a.make + perRound - 1) / perRound;
        int before = -1;
        for (int r = 0; r < rounds; ++r) {
            const int from = a.make * r / rounds + 1, to = a.make * (r + 1) / rounds, n = to - from + 1, many = n * std::max(1, edible);
            const std::string who = whose(piece, rounds, from, to);
            const auto task = [&](const char* what, std::string title, const char* lane, int length_, int coat, std::vector<std::string> cautions = {}) {
                return add({fmt::format("{}/{}/{}", piece.id, r + 1, what), std::move(title), piece.id, lane, length_, 1, coat, r + 1, std::move(cautions), numbers(rounds, from, to), {}, who});
            };
            const int prepare = task("bars", "Prepare molds and bars for " + who, "prepare", minutes("prepareMold", many), 0);
            if (before >= 0) after(before, prepare, 0, -1, "the rounds go in their order");
            before = prepare;
            const int ready = a.coating.tempered ? task("cast-temper", (r == 0 ? "Temper " : "Temper again: ") + lower(a.coating.name) + " for " + who, "melt", minutes(r == 0 ? "temper" : "rewarm", 1), 1, {"hot-bowl"})
                                                 : task("cast-warm", "Stir and warm the pot for " + who, "melt", minutes("rewarm", 1), 1, {"hot-bowl"});
            after(pot.melt, ready, 0, -1, "the chocolate is melted");
            const int cast = task("cast", (sheets == edible ? "Spread and cut " : stage.wall ? "Cast the other parts of " : "Cast ") + who, "coat", minutes("cast", many - n * sheets) * (edible > sheets) + minutes("spread", n * sheets) * (sheets > 0), 1);
            const int life = static_cast<int>(pot.life) - length(cast);
            after(ready, cast, 0, std::max(0, std::min(life, static_cast<int>(lib_.usual("latestWarm") / 60))), "the chocolate stays usable");
            after(prepare, cast, 0, 240, "the molds are ready");
            net_.holds.push_back({pot.resource, ready, cast, 1});
            const coat::Place where = piece.cast.place;
            const bool stays = where == coat::Place::Table;
            const int table = stays ? 0 : static_cast<int>(std::ceil(piece.cast.table.value / 60));
            int in = cast;
            if (!stays) {
                in = task("cast-in", "Into the " + placeName(where) + ": " + who, "cold", minutes("carry", n), 1);
                after(clear_, in, 0, -1, "the shelf is clear");
                after(cast, in, table, table + 15, "the wait before the cold");
            }
            const int out = task("cast-out", (stays ? "Look at " : "Out of the " + placeName(where) + ", look: ") + who, "look", minutes("look", n), 1);
            const double until = std::isnan(stage.setting.release) ? stage.setting.set : stage.setting.release, need = until - table * 60;
            const int stay = std::max(0, static_cast<int>(std::ceil((std::isfinite(need) ? need : 3600) / 60)));
            const double most = where == coat::Place::Freezer ? lib_.usual("freezerMost") : stays ? 4 * 3600.0 : lib_.usual("fridgeMost");
            after(in, out, stay, std::max(stay + 15, static_cast<int>(most / 60)), "it lets go");
            const int capacity = net_.resources[static_cast<size_t>(places_.at(where))].capacity;
            net_.holds.push_back({places_.at(where), in, out, std::min(capacity, capacity / std::max(1, a.perShelf) * n)});
            const int release = task("uncast", (stage.wall ? "Unmold the other parts of " : "Unmold ") + who, "release", minutes("unmold", many), 0);
            after(out, release, 0, -1, "it has been looked at");
            finished.push_back(compound ? join(piece, a, {release}, n, who, r + 1, numbers(rounds, from, to)) : release);
        }
    }

    /// Put together once all rounds are there: what has coated walls, and what closes over a filling that is made once.
    static bool joinsAtLast(const Piece& piece, const Made& made) { return made.wall || (piece.family().hung && piece.filling); }
    /// Fills what `ready` has finished; the filling is made once. @param round 0: all of them
    int fill(const Piece& piece, const std::vector<int>& ready, int pieces, const std::string& who, int round = 0, const std::string& which = "") {
        const auto& f = *piece.filling;
        const auto [making, first] = fillings_.try_emplace(piece.id, 0);
        if (first)
            making->second = add({piece.id + "/make-filling", "Make " + lower(f.name), piece.id, "finish", std::max(1, static_cast<int>(std::ceil(f.make.value / 60))), 1, 0, 0,
                                  f.egg ? std::vector<std::string>{"raw-egg"} : std::vector<std::string>{}});
        std::vector<std::string> cautions;
        if (f.perishable) cautions.push_back("perishable");
        if (f.isAlcoholic()) cautions.push_back("alcohol");
        const int filled = add({piece.id + (round > 0 ? fmt::format("/{}/", round) : "/") + "fill", "Fill " + who, piece.id, "finish", minutes("fill", pieces), 1, 0, round, cautions, which, {}, who});
        after(making->second, filled, static_cast<int>(std::ceil(f.usableFrom.value / 60)), static_cast<int>(f.usableTo.value / 60), "the filling's own window");
        for (const int t : ready) after(t, filled, bears(t), -1, glued_.contains(t) ? "the glue bears" : "it is off its former");
        after(filled, serving(), 0, f.perishable ? static_cast<int>(lib_.usual("fillingMost") / 60) : -1, "a perishable filling does not wait long");
        return filled;
    }

    /// Glues together what `parts` have finished; glue is melted when it is wanted. What closes over its filling is filled first. @param round 0: all of them
    int join(const Piece& piece, const PieceAnswers& a, const std::vector<int>& parts, int pieces, const std::string& who, int round = 0, const std::string& which = "") {
        const std::string at = piece.id + (round > 0 ? fmt::format("/{}/", round) : "/");
        const int glue = add({at + "glue-pot", "Melt a little chocolate as glue for " + who, piece.id, "melt", minutes("patchPot", 1), 1, 0, round, {"hot-bowl"}, which});
        const int joined = add({at + "join", "Put together " + who, piece.id, "finish", minutes("join", pieces * static_cast<int>(a.made->assembly.items.size() - 1)), 1, 0, round, {}, which});
        if (piece.filling && piece.family().hung)
            after(fill(piece, parts, pieces, who, round, which), glue, 0, -1, "it is filled before it is closed");
        else
            for (const int t : parts) after(t, glue, 0, -1, "the parts are there");
        after(glue, joined, 0, 6, "the glue is warm");
        glued_.insert(joined);
        return joined;
    }

    /// Minutes until what this task has made may be loaded.
    int bears(int task) const { return glued_.contains(task) ? static_cast<int>(std::ceil(lib_.usual("glueBears") / 60)) : 0; }
    /// Fills or boxes what is finished.
    void finish(const Piece& piece, const std::vector<int>& finished, const std::string& things) {
        if (piece.filling && !piece.family().hung) {
            const auto& f = *piece.filling;
            const int filled = fill(piece, finished, piece.count, counted(piece, things));
            int closed = filled;
            if (f.cap.value > 0) {
                const int pot = add({piece.id + "/lid-pot", "Melt a little chocolate for the lids of " + counted(piece, things), piece.id, "melt", minutes("patchPot", 1), 1, 0, 0, {"hot-bowl"}});
                closed = add({piece.id + "/lid", "Pour lids on " + counted(piece, things), piece.id, "coat", minutes("patch", piece.count), 1, 0, 0, {}});
                after(pot, closed, 0, 6, "the small pot is warm");
                after(filled, closed, 0, -1, "the filling is in");
            }
            if (closed != filled) after(closed, serving(), static_cast<int>(std::ceil(lib_.usual("lidSets") / 60)), -1, "the lid has set");
        } else {
            const int wrap = add({piece.id + "/wrap", "Box " + counted(piece, things), piece.id, "finish", minutes("wrap", piece.count), 1, 0, 0, {}});
            for (const int t : finished) after(t, wrap, bears(t), -1, glued_.contains(t) ? "the glue bears" : "the rims are trimmed");
            after(wrap, serving(), 0, -1, "all is ready");
        }
    }

    /// The end of the work: a task of one minute that everything leads to.
    int serving() {
        if (serve_ < 0) serve_ = add({"ready", "Ready: a last look at everything", "", "finish", 1, 1, 0, 0, {"allergen"}});
        return serve_;
    }
    /// Which pieces a step is about: "crater bowls 1–6", "moon to break 2", "all 4 meteorites", "the moon to break".
    static std::string whose(const Piece& piece, int rounds, int from, int to) {
        const std::string one = lower(piece.name);
        if (rounds > 1) return from == to ? fmt::format("{} {}", one, from) : fmt::format("{} {}–{}", plural(one), from, to);
        return to == from ? "the " + one : fmt::format("all {} {}", to - from + 1, plural(one));
    }
    static std::string counted(const Piece& piece, const std::string& things) { return piece.count == 1 ? "the " + lower(piece.name) : fmt::format("{} {}", piece.count, things); }
    /// The pieces of a round in figures: "1–6", "2".
    static std::string numbers(int rounds, int from, int to) { return rounds <= 1 ? "" : from == to ? std::to_string(from) : fmt::format("{}–{}", from, to); }
    int fitIn(coat::Place place, double diameter) const {
        const auto& k = plan_.kitchen;
        if (place == coat::Place::Table) return batch::fitOnShelf(lib_.usual("tableWidth"), lib_.usual("tableDepth"), diameter);
        return place == coat::Place::Fridge ? k.shelves * batch::fitOnShelf(k.shelfWidth.value, k.shelfDepth.value, diameter)
                                            : batch::fitOnShelf(k.freezerWidth.value, k.freezerDepth.value, diameter);
    }
    static std::string placeName(coat::Place p) { return p == coat::Place::Table ? "bench" : p == coat::Place::Fridge ? "fridge" : "freezer"; }
    static std::string lower(std::string s) {
        if (!s.empty()) s[0] = static_cast<char>(std::tolower(static_cast<unsigned char>(s[0])));
        return s;
    }

    const Plan& plan_;
    const material::Library& lib_;
    const Answers& answers_;
    schedule::Network net_;
    std::map<coat::Place, int> places_;
    std::map<std::string, PotState> pots_;
    std::map<std::string, int> molten_;  // task that melts a base for all of its colours
    std::map<std::string, int> fillings_;  // task that makes a piece's filling
    std::set<int> glued_;                // tasks that glue
    int clear_ = 0, serve_ = -1;
};

}  // namespace

schedule::Network dayNetwork(const Plan& plan, const material::Library& lib, const Answers& answers) { return Builder(plan, lib, answers).build(); }

namespace {

std::string handsInWords(const Kitchen& k) {
    if (k.hands <= 1) return "your hands";
    if (k.helpersFrom.empty()) return fmt::format("{} pairs of hands", k.hands);
    return fmt::format("your hands, {} from {}", k.hands == 2 ? "and a helper's" : fmt::format("and {} helpers'", k.hands - 1), k.helpersFrom);
}

}  // namespace

Answer dayAnswer(const Plan& plan, const DayPlan& day, std::optional<long> now) {
    Answer a;
    a.id = "day";
    a.working = {"Start of the day",
                 "first plan found by start time, backwards from the deadline; every lag, hand and shelf is checked by a second program",
                 {{"steps", std::to_string(day.network.tasks.size()), "", "from the plan"},
                  {"kept free before the deadline", "20 min", "10–40 min", "judgement"},
                  {"times a step takes", "", "", "common practice, no source; data/tasks.json"}},
                 "", "The order is a good one, not the best one. Hands differ: see after the first evening.", "Day"};
    if (!day.problem.empty()) {
        a.tone = Tone::Impossible;
        a.headline = "No day";
        a.sentence = day.problem;
        a.working.result = day.problem;
        return a;
    }
    const long toDeadline = day.minuteOf(localMinutes(plan.deadline).value_or(0));
    const std::string clock = day.clock(day.layout.begins).substr(11);
    int hands = 0;
    for (const auto& t : day.network.tasks) hands += t.minutes;
    a.figure = {double(-day.layout.begins) * 60, 0, 0, Dimension::Duration};
    a.headline = clock;
    a.after = "start by";
    a.sentence = fmt::format("{} from the first step to the deadline, {} of work for {}.",
                             format(double(toDeadline - day.layout.begins) * 60, Dimension::Duration, plan.units),
                             format(hands * 60.0, Dimension::Duration, plan.units), handsInWords(plan.kitchen));
    if (now && day.minuteOf(*now) > day.layout.begins) {
        a.tone = Tone::Impossible;
        a.sentence = day.minuteOf(*now) > toDeadline ? "The time it must be ready has passed. Choose another day."
                                     : fmt::format("You should have begun {} ago. Make fewer, or be ready later.",
                                                   format(double(day.minuteOf(*now) - day.layout.begins) * 60, Dimension::Duration, plan.units));
    }
    a.working.result = clock;
    return a;
}

std::vector<PieceState> statesAt(const Plan& plan, const DayPlan& day, int minute) {
    std::vector<PieceState> out;
    for (const auto& piece : plan.pieces) {
        std::map<int, std::pair<PieceState, int>> rounds;  // round → state and the start of what it is after
        for (const auto& t : day.network.tasks)
            if (t.piece == piece.id && t.round > 0) {
                PieceState& s = rounds[t.round].first;
                s.piece = piece.id;
                s.round = t.round;
                s.which = t.which;
                s.words = "not begun";
                rounds[t.round].second = -1000000;
            }
        for (size_t i = 0; i < day.layout.start.size(); ++i) {
            const auto& t = day.network.tasks[i];
            const int begin = day.layout.start[i];
            if (t.piece != piece.id || begin > minute || t.step == "make-filling") continue;
            const bool done = begin + t.minutes <= minute;
            for (auto& [round, entry] : rounds) {
                if (t.round != 0 && t.round != round) continue;
                auto& [s, latest] = entry;
                if (t.lane == "coat" && t.coat > 0 && done) s.coats = std::max(s.coats, t.coat);
                if (t.lane == "release" && done) s.released = true;
                if (t.step == "fill" && done) s.filled = true;
                if (begin < latest) continue;
                latest = begin;
                s.cold = t.lane == "cold" && done;
                s.words = !done                     ? t.title
                          : t.lane == "cold"        ? "in the cold"
                          : t.lane == "release"     ? "off its former"
                          : t.step == "fill" ? "filled"
                          : t.step == "wrap" ? "boxed"
                          : t.lane == "prepare"     ? "former ready"
                          : t.lane == "finish"      ? "trimmed"
                                                    : "on the bench";
            }
        }
        for (auto& [round, entry] : rounds) out.push_back(entry.first);
    }
    return out;
}

}  // namespace uovo
