// The tasks of a plan with their lags, and what they keep in use.
#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <map>
#include <set>

#include "core/heat/pot.h"
#include "core/plan/answers.h"
#include "core/plan/plural.h"
#include "core/quantity/words.h"

namespace uovo {
namespace {

class Builder {
public:
    Builder(const Plan& plan, const material::Library& lib, const Answers& answers)
        : plan_(plan), lib_(lib), answers_(answers) {
        net_.hands = plan.kitchen.hands;
        const auto end = localMinutes(plan.deadline);
        if (const auto from = clockMinutes(plan.kitchen.helpersFrom); from && end && net_.hands > 1)
            net_.helpers = (static_cast<int>(*end % 1440) - *from + 1440) % 1440;
    }

    schedule::Network build() {
        const int shelf =
            addResource(schedule::Resource::Kind::Shelf, "fridge shelf",
                        plan_.kitchen.shelfWidth.value * plan_.kitchen.shelfDepth.value * plan_.kitchen.shelves);
        const int freezer = addResource(schedule::Resource::Kind::Freezer, "freezer",
                                        plan_.kitchen.freezerWidth.value * plan_.kitchen.freezerDepth.value);
        const int table =
            addResource(schedule::Resource::Kind::Bench, "bench", lib_.usual("tableWidth") * lib_.usual("tableDepth"));
        places_ = {{coat::Place::Table, table}, {coat::Place::Fridge, shelf}, {coat::Place::Freezer, freezer}};
        clear_ =
            add({"clear-shelf", "Clear the shelf in the fridge", "", "prepare", minutes("clearShelf", 1), 1, 0, 0, {}});
        for (const auto& piece : plan_.pieces) build(piece);
        keepCold();
        if (serve_ >= 0) net_.order.push_back(serve_);
        for (int i = static_cast<int>(net_.tasks.size()); i-- > 0;)
            if (i != serve_) net_.order.push_back(i);
        return std::move(net_);
    }

private:
    /// A piece, after those that stand in it.
    void build(const Piece& piece) {
        if (finished_.contains(piece.id)) return;
        finished_[piece.id];
        for (const auto& step : piece.making)
            if (const auto* in = std::get_if<InsertStep>(&step); in && in->what == InsertStep::What::Piece)
                for (const auto& other : plan_.pieces)
                    if (other.id == in->piece) build(other);
        const PieceAnswers& a = *answers_.piece(piece.id);
        const Made& made = *a.made;
        Since finished;
        if (made.wall) coats(piece, a, finished);
        if (!made.wall || made.wall->items.size() < made.assembly.items.size()) casts(piece, a, finished);
        finish(piece, a, std::move(finished), plural(lowerFirst(piece.name)));
    }

    struct PotState {
        int resource = 0, melt = 0;  ///< melt: the task after which it is molten, divided and coloured
        double life = 0;             // min of usable chocolate after tempering
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
        if (m.problem.empty() && !m.temper.steps.empty() && m.each > 0)
            return std::max(2, static_cast<int>(std::ceil(m.temper.steps.front().seconds * mass / m.each / 60)));
        return minutes("melt", 1);
    }
    /// The pot of a piece's chocolate: melted once a day, tempered again before each sitting.
    PotState& potFor(const Piece& piece, const std::string& chocolate, const material::Coating& coating) {
        const batch::PotKey key = potOf(piece, chocolate, lib_);
        const auto [it, fresh] = pots_.try_emplace(key.id());
        PotState& pot = it->second;
        if (!fresh) return pot;
        const auto found =
            std::find_if(answers_.pots.begin(), answers_.pots.end(), [&](const batch::Pot& p) { return p.key == key; });
        const auto index = static_cast<size_t>(found - answers_.pots.begin());
        const double mass = found->melt, together = answers_.melts[index].together;
        const auto* bought = lib_.find(chocolate);
        const auto* base = together > 0 ? lib_.find(bought->boughtAs()) : nullptr;
        const auto grams = [&](double kg) { return format(kg, Dimension::Mass, plan_.units); };
        const auto meltAll = [&](batch::PotKey of, const std::string& what, double kg) {
            const int chop =
                add({"chop/" + of.id(), "Chop " + lowerFirst(what), "", "prepare", minutes("chop", 1), 1, 0, 0, {}});
            const int melt = add({"melt/" + of.id(),
                                  "Melt " + grams(kg) + " of " + lowerFirst(what),
                                  "",
                                  "melt",
                                  meltMinutes(index, kg),
                                  1,
                                  0,
                                  0,
                                  {"hot-bowl"}});
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
                pot.melt = add({"colour/" + key.id(),
                                "Divide off " + grams(mass) + " and colour it: " + lowerFirst(bought->name),
                                "",
                                "melt",
                                minutes("colour", 1),
                                1,
                                0,
                                0,
                                {}});
                after(one->second, pot.melt, 0, 60, "it is molten");
            }
        } else {
            pot.melt = meltAll(key, found->name, mass);
        }
        net_.resources.push_back(
            {"pot of " + lowerFirst(found->name), 1, "pot", schedule::Resource::Kind::Pot, key.id()});
        pot.resource = static_cast<int>(net_.resources.size()) - 1;
        pot.life = 90;
        if (coating.tempered)  // hands re-warm it as they work
            pot.life =
                std::max(heat::batchWindow(coating, lib_.physics, mass, 0,
                                           std::min(coating.workHigh, coating.loses - 0.5), plan_.kitchen.room.value),
                         answers_.melts[index].temper.keeps) /
                60;
        return pot;
    }

    /// What a step waits for: a task, and minutes after its end.
    struct Waits {
        int task = 0, wait = 0;
        const char* why = "";
    };
    using Since = std::vector<Waits>;
    /// A task waits for all that is before it. @param most minutes; below 0: as long as it likes @returns the task
    int follow(const Since& since, int task, int most = -1) {
        for (const auto& s : since) after(s.task, task, s.wait, most, s.why);
        return task;
    }
    /// Pieces that go through the day together; number 0: all of them.
    struct Round {
        const Piece& piece;
        int number = 1, pieces = 1;
        std::string who, which;
    };
    int task(const Round& r, const std::string& what, std::string title, const char* lane, int length_, int coat,
             std::vector<std::string> cautions = {}) {
        const std::string id =
            r.number > 0 ? fmt::format("{}/{}/{}", r.piece.id, r.number, what) : r.piece.id + "/" + what;
        return add({id,
                    std::move(title),
                    r.piece.id,
                    lane,
                    length_,
                    1,
                    coat,
                    r.number,
                    std::move(cautions),
                    r.which,
                    {},
                    r.who});
    }
    std::vector<Round> roundsOf(const Piece& piece, int make, int perRound) const {
        const int rounds = (make + perRound - 1) / perRound;
        std::vector<Round> out;
        for (int r = 0; r < rounds; ++r) {
            const int from = make * r / rounds + 1, to = make * (r + 1) / rounds;
            out.push_back({piece, r + 1, to - from + 1, whose(piece, rounds, from, to), numbers(rounds, from, to)});
        }
        return out;
    }
    /// The first step that is done once, for all rounds together: behind the last that shapes, releases or trims.
    static size_t together(const Making& making) {
        size_t at = 0;
        for (size_t i = 0; i < making.size(); ++i)
            if (std::holds_alternative<PlannedCoat>(making[i]) || std::holds_alternative<CastStep>(making[i]) ||
                std::holds_alternative<ReleaseStep>(making[i]) || std::holds_alternative<TrimStep>(making[i]))
                at = i + 1;
        return at;
    }
    /// The toppings and inserts that follow a coat or cast at once, before step `end`.
    static std::vector<size_t> strewnOn(const Making& making, size_t at, size_t end) {
        std::vector<size_t> out;
        for (size_t k = at + 1;
             k < end && (std::holds_alternative<TopStep>(making[k]) || std::holds_alternative<InsertStep>(making[k]));
             ++k)
            out.push_back(k);
        return out;
    }
    template <class S>
    static bool has(const Making& making) {
        return firstOf<S>(making) != nullptr;
    }

    /// Everything that is coated, coat after coat: bowls, cups and the molded walls of parts.
    void coats(const Piece& piece, const PieceAnswers& a, Since& finished) {
        const bool balloon = piece.overBalloon(), mold = !piece.alongMeridian(), around = piece.roundSomething();
        const int walls = static_cast<int>(a.made->wall->items.size());
        double life = 1e9;
        for (const auto& c : piece.coats()) life = std::min(life, potOfCoat(piece, c).life);
        // A sitting must fit the place, the chocolate's life and the hands.
        const double each = walls * lib_.tasks.at(balloon ? "dip" : "pour").seconds.value / 60;
        const int byLife = std::max(1, static_cast<int>((life - 1) / each));
        const size_t end = together(piece.making);
        int firstPrepare = -1;
        for (const Round& r :
             roundsOf(piece, a.make, std::max(1, std::min({std::max(1, a.perShelf), byLife, a.make})))) {
            const int n = r.pieces;
            const bool silicone = form::choice(piece.shape, "made") == "silicone";
            const int prepare =
                around    ? task(r, "core", "Dry and lay out " + coreOf(r), "prepare", minutes("insert", n), 0)
                : balloon ? task(r, "inflate", "Blow up and oil " + r.who, "prepare",
                                 std::max(1, minutes("inflate", n) + minutes("oil", n)), 0, {"latex", "balloon-oil"})
                : mold    ? task(r, "mold",
                                 (piece.family().former == form::Former::Wrap ? "Cut and roll the acetate for "
                                  : form::choice(piece.shape, "mold") == "paper case"
                                      ? form::figure(piece.shape, "nested") > 1 ? "Nest the paper cases for "
                                                                                : "Set out the paper cases for "
                                      : "Polish the molds for ") +
                                     r.who,
                                 "prepare", minutes("prepareMold", n * walls), 0)
                : silicone
                    ? task(r, "snip", "Wash and dry the cups for " + r.who, "prepare", minutes("prepareMold", n), 0)
                    : task(r, "snip", "Snip " + r.who + " to tear open", "prepare", minutes("snip", n), 0, {"paper"});
            if (firstPrepare < 0) firstPrepare = prepare;
            std::map<std::string, SoFar> parts;  // those that have coats of their own; else one
            size_t coatNumber = 0;
            bool patched = around;  // what is in it needs no patch
            Since since;
            since.push_back({prepare, 0, "its former is ready"});
            for (size_t i = 0; i < end; ++i) {
                const Step& step = piece.making[i];
                if (const auto* c = std::get_if<PlannedCoat>(&step)) {
                    SoFar& now = parts.try_emplace(c->item, SoFar{prepare, 0}).first->second;
                    if (patched && !around)
                        now.before = since.back().task;  // a rim pressed in once it is off its former
                    coat(r, a, coatNumber++, strewnOn(piece.making, i, end), now);
                    since.clear();
                    for (const auto& [key, part] : parts) since.push_back({part.before, 0, "it has been looked at"});
                    continue;
                }
                if (std::holds_alternative<TopStep>(step) || std::holds_alternative<InsertStep>(step))
                    continue;                                          // with its coat
                if (std::holds_alternative<CastStep>(step)) continue;  // of its other parts
                if (std::holds_alternative<JoinStep>(step) || doneBefore(piece.making, i))
                    continue;  // joined when all is there
                if (!patched) {
                    patched = true;
                    const int warm = task(r, "patch-pot", "Warm a little chocolate to patch " + r.who, "melt",
                                          minutes("patchPot", 1), 0, {"hot-bowl"});
                    const int patch = task(r, "patch", "Patch bare spots on " + r.who, "coat",
                                           minutes("patch", std::max(1, n / 3)), 0);
                    follow(since, warm);
                    after(warm, patch, 0, 6, "the small pot is warm");
                    since = {{patch, 3, "the patch is firm"}};
                }
                if (std::holds_alternative<ReleaseStep>(step)) {
                    const int release =
                        mold
                            ? task(r, "unmold",
                                   (piece.family().former == form::Former::Wrap ? "Peel the acetate off " : "Unmold ") +
                                       r.who,
                                   "release", minutes("unmold", n * walls), 0)
                        : balloon
                            ? task(r, "release", "Let the air out and peel " + r.who, "release",
                                   minutes("releaseBalloon", n), 0, {"latex", "blade"})
                            : task(r, "release",
                                   (silicone ? "Turn the cups back and push out " : "Tear the paper off ") + r.who,
                                   "release", minutes("releaseCup", n), 0);
                    follow(since, release, static_cast<int>(lib_.usual("latestRelease") / 60));
                    since = {{release, 0, "it is off its former"}};
                } else if (std::holds_alternative<TrimStep>(step)) {
                    const int trim =
                        task(r, "trim", "Trim the rims of " + r.who, "finish", minutes("trim", n), 0, {"warm-plate"});
                    follow(since, trim);
                    since = {{trim, 0, "its rim is trimmed"}};
                } else {
                    since = other(r, a, i, since);
                }
            }
            if (a.made->melted > 0) {
                const int open = task(r, "open", "Melt the holes into " + r.who + " on a warm plate", "finish",
                                      minutes("open", n), 0, {"warm-plate"});
                follow(since, open);
                since = {{open, 0, "its hole is open"}};
            }
            if (r.number > 1) after(firstPrepare, prepare, 0, -1, "the rounds go in their order");
            finished.push_back(since.back());
        }
    }
    struct SoFar {
        int before = 0;  ///< task that comes before the next coat
        int coats = 0;
    };
    /// One coat of a round: chocolate, coat, what is strewn on it, the cold, a look.
    void coat(const Round& r, const PieceAnswers& a, size_t index, const std::vector<size_t>& strewn, SoFar& now) {
        const Piece& piece = r.piece;
        const PlannedCoat c = piece.coats()[index];
        const CoatTimes& times = *a.made->wall;
        const auto walled = coatedBy(*a.made, piece, index);
        if (walled.empty()) return;
        const int k = now.coats++;
        const int number = static_cast<int>(index) + 1, n = r.pieces, walls = static_cast<int>(walled.size());
        const bool balloon = piece.overBalloon(), first = r.number == 1 && index == 0;
        const std::string who = c.item.empty() ? r.who : partOf(r, a.made->assembly.items[walled.front()].name, walls);
        PotState& pot = potOfCoat(piece, c);
        const auto coating = *coatingOf(piece, c.chocolate, plan_, lib_);
        const auto coatId = [&](const char* what) { return fmt::format("{}-{}", what, number); };
        const int ready = coating.tempered
                              ? task(r, coatId("temper"),
                                     first ? "Temper " + lowerFirst(coating.name) : "Warm and temper again for " + who,
                                     "melt", minutes(first ? "temper" : "rewarm", 1), number, {"hot-bowl"})
                              : task(r, coatId("warm"), "Stir and warm the pot for " + who, "melt",
                                     minutes("rewarm", 1), number, {"hot-bowl"});
        after(pot.melt, ready, 0, -1, "the chocolate is melted");
        const char* verb = c.way == coat::Way::Dip     ? "Dip "
                           : c.way == coat::Way::Pour  ? "Fill and pour out "
                           : c.way == coat::Way::Turn  ? "Fill and turn about "
                           : c.way == coat::Way::Press ? "Press into a plate of chocolate the rims of "
                                                       : "Brush ";
        const char* time = c.way == coat::Way::Dip                                  ? "dip"
                           : c.way == coat::Way::Brush || c.way == coat::Way::Press ? "brush"
                                                                                    : "pour";
        const int moving = c.motion == coat::Motion::Still && c.way != coat::Way::Turn
                               ? 0
                               : static_cast<int>(std::ceil(c.moveFor.value / 60));  // hands stay on it
        const int dip = task(r, coatId("coat"),
                             verb + who +
                                 (k == 1   ? ", second coat"
                                  : k == 2 ? ", third coat"
                                  : k > 2  ? ", one more coat"
                                           : ""),
                             "coat", minutes(time, n * walls) + moving, number,
                             balloon ? std::vector<std::string>{"balloon-hot"} : std::vector<std::string>{});
        const int lasts = static_cast<int>(pot.life) - (length(dip) - moving);
        after(ready, dip, 0, std::max(0, std::min(lasts, static_cast<int>(lib_.usual("latestWarm") / 60))),
              "the chocolate stays usable");
        net_.holds.push_back({pot.resource, ready, dip, 1});
        after(now.before, dip, 0, k == 0 ? 120 : 30, k == 0 ? "a balloon slowly shrinks" : "the shell is still cold");
        const int strewnLast = strew(r, a, strewn, dip, times.setting[index].lock);
        const int carry = c.place == coat::Place::Table
                              ? -1
                              : task(r, coatId("in"), "Into the " + placeName(c.place) + ": " + who, "cold",
                                     minutes("carry", n), number);
        const int delay = static_cast<int>(std::ceil(c.delay.value / 60));
        int inside = strewnLast;
        if (carry >= 0) {
            after(clear_, carry, 0, -1, "the shelf is clear");
            // each piece waits its own delay; the last one is coated when the task ends
            after(dip, carry, std::max(0, delay - length(dip)), strewnLast == dip ? delay + 6 : -1,
                  "the wait before the cold");
            if (strewnLast != dip) after(strewnLast, carry, 0, 6, "its topping is on");
            inside = carry;
        }
        const int out =
            task(r, coatId("out"), (carry >= 0 ? "Out of the " + placeName(c.place) + ", look: " : "Look at ") + who,
                 "look", minutes("look", n), number);
        const auto coats = piece.coats();
        bool last = true;
        for (size_t i = index + 1; i < coats.size(); ++i) last = last && coats[i].item != c.item;
        double need = (last ? times.setting[index].release : times.setting[index].firm) - coat::beforeCold(c);
        need = std::max(std::isfinite(need) ? need : 0.0, c.stay.value);
        const int stay = static_cast<int>(std::ceil(need / 60));
        const double most = longestIn(c.place);
        after(inside, out, stay, std::max(stay + 5, static_cast<int>(most / 60)), last ? "it lets go" : "it is firm");
        // A place holds perShelf pieces at once, so each counts as that share of its area.
        const int place = places_.at(c.place), capacity = net_.resources[static_cast<size_t>(place)].capacity;
        const int fit = fitIn(c.place, a.made->shelfDiameter + lib_.usual("pieceGap"));
        net_.holds.push_back(
            {place, inside, out,
             std::min(capacity, static_cast<int>(std::floor(double(capacity) / std::max(1, fit))) * n)});
        now.before = out;
    }
    PotState& potOfCoat(const Piece& piece, const PlannedCoat& c) {
        return potFor(piece, piece.chocolateOf(c), *coatingOf(piece, c.chocolate, plan_, lib_));
    }

    /// What is strewn on or stood into fresh chocolate. @param steps of the making @param onto the task that leaves it
    /// fresh @param lock s until it takes none
    /// @returns the last of the tasks; `onto` where there is none
    int strew(const Round& r, const PieceAnswers& a, const std::vector<size_t>& steps, int onto, double lock) {
        int last = onto, before = onto;
        for (const size_t i : steps) {
            const Step& step = r.piece.making[i];
            double from = 0, to = lock;
            int now = -1;
            if (const auto* top = std::get_if<TopStep>(&step)) {
                const auto t =
                    std::find_if(a.toppings.begin(), a.toppings.end(), [&](const Topped& x) { return x.step == i; });
                if (top->when == TopStep::When::Tacky && t != a.toppings.end() && std::isfinite(t->from))
                    from = t->from;
                now = task(r, fmt::format("top-{}", i), "Strew " + toppingName(*top) + " on " + r.who, "coat",
                           minutes("strew", r.pieces), 0);
            } else if (const auto* in = std::get_if<InsertStep>(&step)) {
                if (in->what == InsertStep::What::Stick && std::isfinite(a.made->stickStands))
                    from = a.made->stickStands;
                now = task(r, fmt::format("insert-{}", i), insertTitle(r, *in), "coat",
                           minutes("insert", r.pieces * in->each), 0);
                standsIn(*in, now);
            }
            if (now < 0) continue;
            // each piece waits its own time; the first of them was made when the task under it began
            const int min = std::max(0, static_cast<int>(std::ceil(from / 60)) - length(onto)),
                      most = std::isfinite(to) ? static_cast<int>(std::ceil(std::max(to, from) / 60)) : 60;
            after(onto, now, min, std::max(min, most) + 6, "the chocolate takes it");
            if (before != onto) after(before, now, 0, -1, "one after the other");
            last = before = now;
        }
        return last;
    }
    std::string toppingName(const TopStep& top) const {
        const Topping* t = plan_.topping(top.topping);
        return t ? lowerFirst(t->name) : std::string("the topping");
    }
    /// What is dipped or bound in a round, by its name.
    static std::string coreOf(const Round& r) {
        for (const auto& in : StepsOf<const InsertStep>(r.piece.making))
            if (in.what == InsertStep::What::Core)
                return r.pieces * in.each > 1 && r.piece.couldBeCoated() ? plural(lowerFirst(in.name))
                                                                         : lowerFirst(in.name);
        return "what is in " + r.who;
    }
    std::string insertTitle(const Round& r, const InsertStep& in) const {
        std::string what = lowerFirst(in.name);
        if (const Piece* other = in.what == InsertStep::What::Piece ? plan_.piece(in.piece) : nullptr)
            what = lowerFirst(other->name);
        if (in.each * r.pieces > 1) what = plural(what);
        return fmt::format("Stand {} in {}", what, r.who);
    }
    /// Another piece goes in once it is finished.
    void standsIn(const InsertStep& in, int task) {
        if (in.what != InsertStep::What::Piece) return;
        for (const int done : finished_[in.piece]) after(done, task, bears(done), -1, "what stands in it is finished");
    }

    /// Parts in molds, between bars or by hand, all but the coated walls: cast, set, unmold; a compound is then put
    /// together.
    void casts(const Piece& piece, const PieceAnswers& a, Since& finished) {
        const auto& stage = *a.made;
        int edible = 0, sheets = 0;
        for (size_t k = 0; k < stage.assembly.items.size(); ++k) {
            const auto& item = stage.assembly.items[k];
            if (stage.wall && stage.wall->covers(k)) continue;
            edible += item.edible;
            sheets += item.edible && item.shape.body == form::Body::Sheet;
        }
        if (edible == 0) return;
        const bool modeled = std::all_of(stage.assembly.items.begin(), stage.assembly.items.end(), [](const auto& i) {
            return !i.edible || i.shape.body == form::Body::Modeled;
        });
        if (modeled && !stage.wall) return model(piece, a, edible, finished);
        const bool joins = has<JoinStep>(piece.making) && !joinsAtLast(piece, stage);
        std::vector<CastStep> steps(piece.casts().begin(), piece.casts().end());
        if (steps.empty()) steps.emplace_back();
        double life = 1e9;
        for (const auto& c : steps) life = std::min(life, potOfCast(piece, c).life);
        const double each = std::max(1, edible) * lib_.tasks.at("cast").seconds.value / 60;
        const int byLife = std::max(1, static_cast<int>((life - 1) / each));
        const size_t end = together(piece.making);
        const bool balloon = piece.overBalloon();
        int before = -1;
        for (const Round& r :
             roundsOf(piece, a.make, std::max(1, std::min({std::max(1, a.perShelf), byLife, a.make})))) {
            const int many = r.pieces * std::max(1, edible);
            const int prepare =
                balloon ? task(r, "bars", "Blow up and oil the balloons for " + r.who, "prepare",
                               minutes("inflate", r.pieces) + minutes("oil", r.pieces), 0, {"latex", "balloon-oil"})
                : piece.roundSomething()
                    ? task(r, "core", "Dry and weigh " + coreOf(r), "prepare", minutes("insert", r.pieces), 0)
                    : task(r, "bars", "Prepare molds and bars for " + r.who, "prepare", minutes("prepareMold", many),
                           0);
            if (before >= 0) after(before, prepare, 0, -1, "the rounds go in their order");
            before = prepare;
            Since since{{prepare, 0, "the molds are ready"}};
            std::map<std::string, Since> parts;  // those that have casts of their own; else one
            size_t layer = 0;
            bool released = false;
            const auto castNext = [&](const std::vector<size_t>& strewn) {
                const size_t k = layer++;
                const CastWork work = castWork(stage, piece, k);
                if (work.items.empty()) return;
                Since& part =
                    parts.try_emplace(steps[k].item, Since{{prepare, 0, "the molds are ready"}}).first->second;
                const int cold = cast(r, a, k, steps[k], work, strewn, part);
                part.assign(1, Waits{cold, 0, "it has been looked at"});
                since.clear();
                for (const auto& [key, of] : parts) since.push_back(of.back());
            };
            for (size_t i = 0; i < end; ++i) {
                const Step& step = piece.making[i];
                if (std::holds_alternative<JoinStep>(step) || doneBefore(piece.making, i)) continue;
                if (std::holds_alternative<CastStep>(step)) {
                    if (layer >= steps.size()) continue;  // poured before it was let go, whatever the order says
                    castNext(strewnOn(piece.making, i, end));
                } else if (std::holds_alternative<ReleaseStep>(step)) {
                    while (layer < steps.size()) castNext({});
                    const int release =
                        balloon ? task(r, "uncast", "Let the air out and peel " + r.who, "release",
                                       minutes("releaseBalloon", r.pieces), 0, {"latex", "blade"})
                                : task(r, "uncast",
                                       (stage.wall                                    ? "Unmold the other parts of "
                                        : piece.family().former == form::Former::Wrap ? "Peel the acetate off "
                                                                                      : "Unmold ") +
                                           r.who,
                                       "release", minutes("unmold", many), 0);
                    follow(since, release);
                    since = {{release, 0, "it is off its former"}};
                    released = true;
                } else if (!stage.wall && released && std::holds_alternative<TrimStep>(step)) {
                    const int trim =
                        task(r, "trim", "Trim " + r.who, "finish", minutes("trim", r.pieces), 0, {"warm-plate"});
                    follow(since, trim);
                    since = {{trim, 0, "it is trimmed"}};
                } else if (!stage.wall && layer > 0 && !std::holds_alternative<TopStep>(step) &&
                           !std::holds_alternative<InsertStep>(step) && !std::holds_alternative<PlannedCoat>(step)) {
                    since = other(r, a, i, since);
                }
            }
            while (layer < steps.size()) castNext({});
            if (joins) finished.push_back(joined(r, a, since));
            else finished.insert(finished.end(), since.begin(), since.end());
        }
    }
    /// Shaped by hand: the chocolate is kneaded, all pieces are made at one go, and stand until they keep their shape.
    void model(const Piece& piece, const PieceAnswers& a, int edible, Since& finished) {
        const Round r{piece, 1, a.make, whose(piece, 1, 1, a.make), ""};
        const int knead =
            task(r, "knead", "Knead the modeling chocolate for " + r.who, "prepare", minutes("rewarm", 1), 0);
        after(potOfCast(piece, piece.cast()).melt, knead, 0, -1, "it is made");
        const int shape =
            task(r, "cast", "Shape " + r.who + " by hand", "coat", minutes("model", r.pieces * edible), 1);
        after(knead, shape, 0, 60, "it is warm from the hands");
        finished.push_back({shape, static_cast<int>(std::ceil(lib_.usual("modeledRests") / 60)), "it keeps its shape"});
    }
    PotState& potOfCast(const Piece& piece, const CastStep& c) {
        return potFor(piece, piece.chocolateOf(c), *coatingOf(piece, c.chocolate, plan_, lib_));
    }
    /// One tone of a round: chocolate, cast, what is stood in it, then the cold, where it is the last; else until it
    /// takes the next. @returns its last task
    /// @param k number of the cast @param since what this part of the piece waits for
    int cast(const Round& r, const PieceAnswers& a, size_t k, const CastStep& c, const CastWork& work,
             const std::vector<size_t>& strewn, const Since& since) {
        const Piece& piece = r.piece;
        const auto& stage = *a.made;
        const int edible = static_cast<int>(work.items.size()), sheets = work.sheets;
        const size_t layer = work.tone;
        const std::string who = work.name.empty() ? r.who : partOf(r, work.name, edible);
        PotState& pot = potOfCast(piece, c);
        const auto coating = *coatingOf(piece, c.chocolate, plan_, lib_);
        const int n = r.pieces, many = n * std::max(1, edible);
        const bool last = work.last;
        const auto id = [&](const char* what) {
            return k == 0 ? std::string(what) : fmt::format("{}-{}", what, k + 1);
        };
        const int ready =
            coating.tempered
                ? task(r, id("cast-temper"),
                       (r.number == 1 ? "Temper " : "Temper again: ") + lowerFirst(coating.name) + " for " + who,
                       "melt", minutes(r.number == 1 ? "temper" : "rewarm", 1), 1, {"hot-bowl"})
                : task(r, id("cast-warm"), "Stir and warm the pot for " + who, "melt", minutes("rewarm", 1), 1,
                       {"hot-bowl"});
        after(pot.melt, ready, 0, -1, "the chocolate is melted");
        const int poured = task(
            r, id("cast"),
            (piece.overBalloon()               ? laceVerb(piece)
             : piece.roundSomething()          ? "Stir and spoon "
             : sheets == edible                ? "Spread and cut "
             : stage.wall && work.name.empty() ? "Cast the other parts of "
                                               : "Cast ") +
                who + (layer == 0 ? "" : fmt::format(", {} tone", layer == 1 ? "second" : "next")),
            "coat",
            minutes("cast", many - n * sheets) * (edible > sheets) + minutes("spread", n * sheets) * (sheets > 0), 1);
        const int lasts = static_cast<int>(pot.life) - length(poured);
        after(ready, poured, 0, std::max(0, std::min(lasts, static_cast<int>(lib_.usual("latestWarm") / 60))),
              "the chocolate stays usable");
        const auto times = stage.casts[k];
        if (layer == 0) {
            follow(since, poured, 240);
        } else {  // the tone under it no longer mixes with it, and still grips it
            const auto& under = stage.casts[castUnder(piece, k)];
            const int lock = std::isfinite(under.lock) ? static_cast<int>(std::ceil(under.lock / 60)) : 5,
                      firm = std::isfinite(under.firm) ? static_cast<int>(std::ceil(under.firm / 60)) : lock;
            for (const auto& s : since)
                after(s.task, poured, std::max(0, lock - length(s.task)), std::max(lock, firm) + 30,
                      "the tone under it no longer runs");
        }
        net_.holds.push_back({pot.resource, ready, poured, 1});
        const int stood = strew(r, a, strewn, poured, times.lock);
        if (!last) return stood;
        const coat::Place where = c.place;
        const auto castId = [&](const char* what) {
            return c.item.empty() ? std::string(what) : fmt::format("{}-{}", what, c.item);
        };
        const bool stays = where == coat::Place::Table;
        const int table = stays ? 0 : static_cast<int>(std::ceil(c.table.value / 60));
        int in = stood;
        if (!stays) {
            in =
                task(r, castId("cast-in"), "Into the " + placeName(where) + ": " + who, "cold", minutes("carry", n), 1);
            after(clear_, in, 0, -1, "the shelf is clear");
            after(poured, in, table, stood == poured ? table + 15 : -1, "the wait before the cold");
            if (stood != poured) after(stood, in, 0, 15, "what stands in it stands");
        }
        const int out =
            task(r, castId("cast-out"), (stays ? "Look at " : "Out of the " + placeName(where) + ", look: ") + who,
                 "look", minutes("look", n), 1);
        const double until = std::isnan(times.release) ? times.set : times.release, need = until - table * 60;
        const int stay = std::max(0, static_cast<int>(std::ceil((std::isfinite(need) ? need : 3600) / 60)));
        const double most = longestIn(where);
        after(in, out, stay, std::max(stay + 15, static_cast<int>(most / 60)), "it lets go");
        takePlace(where, in, out, a, n);
        return out;
    }

    /// "the handles of all 4 cups". @param each so many in a piece
    static std::string partOf(const Round& r, const std::string& name, int each) {
        const std::string part = lowerFirst(name);
        return "the " + (each * r.pieces > 1 ? plural(part) : part) + " of " + r.who;
    }
    /// The cast under one of its casts, in the same items.
    static size_t castUnder(const Piece& piece, size_t k) {
        size_t under = 0;
        for (size_t i = 0; i < k; ++i)
            if (piece.casts()[i].item == piece.casts()[k].item) under = i;
        return under;
    }

    /// How lines come onto a balloon.
    static std::string laceVerb(const Piece& piece) {
        const std::string pattern = form::choice(piece.shape, "pattern");
        return pattern == "strips" ? "Spread, cut and lay the strips over "
               : pattern == "lace" ? "Pipe the lines over "
                                   : "Let drips run over ";
    }

    /// Put together once all rounds are there: what has coated walls, and what something is done to first, as filling
    /// what closes.
    static bool joinsAtLast(const Piece& piece, const Made& made) {
        const size_t next = together(piece.making);
        return made.wall || next >= piece.making.size() || !std::holds_alternative<JoinStep>(piece.making[next]);
    }

    /// Glues together what is finished; glue is melted when it is wanted. Two halves are joined by their rims, warmed
    /// on a plate.
    int join(const Round& r, const PieceAnswers& a, const Since& since) {
        const auto& items = a.made->assembly.items;
        if (items.size() < 2) {
            const int joined = task(r, "join", "Warm the rims and close " + r.who, "finish", minutes("join", r.pieces),
                                    0, {"warm-plate"});
            follow(since, joined);
            glued_.insert(joined);
            return joined;
        }
        const int glue = task(r, "glue-pot", "Melt a little chocolate as glue for " + r.who, "melt",
                              minutes("patchPot", 1), 0, {"hot-bowl"});
        const int joined = task(r, "join", "Put together " + r.who, "finish",
                                minutes("join", r.pieces * static_cast<int>(items.size() - 1)), 0);
        follow(since, glue);
        after(glue, joined, 0, 6, "the glue is warm");
        glued_.insert(joined);
        return joined;
    }

    Waits joined(const Round& r, const PieceAnswers& a, const Since& since) {
        const int task = join(r, a, since);
        return {task, bears(task), "the glue bears"};
    }
    /// Minutes until what this task has made may be loaded.
    int bears(int task) const {
        return glued_.contains(task) ? static_cast<int>(std::ceil(lib_.usual("glueBears") / 60)) : 0;
    }

    /// A small pot for glue, lids and dots, and the task that needs it while it is warm.
    void withSmallPot(const Round& r, const std::string& pot, std::string title, const Since& since, int needs) {
        const int warm = task(r, pot, std::move(title), "melt", minutes("patchPot", 1), 0, {"hot-bowl"});
        follow(since, needs);
        after(warm, needs, 0, 6, "the small pot is warm");
    }

    /// Every step that is neither coat, cast, release nor trim, wherever it stands. @returns what the next step waits
    /// for
    Since other(const Round& r, const PieceAnswers& a, size_t i, const Since& since) {
        const Step& step = r.piece.making[i];
        if (const auto* f = std::get_if<FillStep>(&step)) return fill(r, *f, i, since);
        if (std::holds_alternative<JoinStep>(step)) {
            return {joined(r, a, since)};
        }
        if (std::holds_alternative<LidStep>(step)) {
            const int lid = task(r, "lid", "Pour lids on " + r.who, "coat", minutes("patch", r.pieces), 0);
            withSmallPot(r, "lid-pot", "Melt a little chocolate for the lids of " + r.who, since, lid);
            return {{lid, static_cast<int>(std::ceil(lib_.usual("lidSets") / 60)), "the lid has set"}};
        }
        if (const auto* top = std::get_if<TopStep>(&step)) {
            if (top->when != TopStep::When::Glued) {
                const int strewn =
                    follow(since, task(r, fmt::format("top-{}", i), "Strew " + toppingName(*top) + " on " + r.who,
                                       "finish", minutes("strew", r.pieces), 0));
                return {{strewn, since.front().wait, "it has set"}};
            }
            double grains = 1;
            for (const auto& t : a.toppings)
                if (t.step == i) grains = std::clamp(t.grains, 1.0, 500.0);
            const int glued = task(r, fmt::format("top-{}", i), "Glue " + toppingName(*top) + " on " + r.who, "finish",
                                   minutes("glueOne", static_cast<int>(std::lround(grains)) * r.pieces), 0);
            withSmallPot(r, fmt::format("top-pot-{}", i), "Melt a little chocolate as glue for " + r.who, since, glued);
            glued_.insert(glued);
            return {{glued, bears(glued), "the glue bears"}};
        }
        if (const auto* in = std::get_if<InsertStep>(&step)) {
            const int stood = follow(since, task(r, fmt::format("insert-{}", i), insertTitle(r, *in), "finish",
                                                 minutes("insert", r.pieces * in->each), 0));
            standsIn(*in, stood);
            return {{stood, since.front().wait, since.front().why}};
        }
        if (const auto* d = std::get_if<DecorateStep>(&step)) {
            const int done = task(r, fmt::format("decorate-{}", i), decorateTitle(*d) + r.who, "finish",
                                  minutes("decorate", r.pieces), 0);
            if (d->usesChocolate())
                withSmallPot(r, fmt::format("decorate-pot-{}", i),
                             "Warm " + decorateChocolate(r.piece, *d) + " to decorate " + r.who, since, done);
            else follow(since, done);
            return {{done, static_cast<int>(std::ceil(d->dry.value / 60)), "it is dry"}};
        }
        if (const auto* s = std::get_if<SetStep>(&step)) return rests(r, a, i, *s, since);
        if (const auto* s = std::get_if<StoreStep>(&step)) {
            const bool cold = s->where == StoreStep::Where::Fridge;
            const int put =
                follow(since, task(r, cold ? "store" : "wrap",
                                   (cold ? "Into the fridge until they are eaten: " : "Box ") + r.who,
                                   cold ? "cold" : "finish", minutes(cold ? "carry" : "wrap", r.pieces), 0));
            if (cold) {
                after(clear_, put, 0, -1, "the shelf is clear");
                takePlace(coat::Place::Fridge, put, serving(), a, r.pieces);
                stored_.insert(r.piece.id);
            }
            return {{put, 0, "all is ready"}};
        }
        return since;  // serving is the eaters'
    }

    std::string decorateTitle(const DecorateStep& d) const {
        using Way = DecorateStep::Way;
        const std::string with = d.name.empty() ? "" : lowerFirst(d.name);
        switch (d.way) {
            case Way::Drizzle:
                return "Drizzle ";
            case Way::Paint:
                return "Paint ";
            case Way::Spray:
                return "Spray ";
            case Way::Dust:
                return with.empty() ? "Dust " : "Dust with " + with + ": ";
            case Way::Stencil:
                return "Stencil ";
            case Way::Ribbon:
                return with.empty() ? "Tie a ribbon round " : "Tie " + with + " round ";
        }
        return {};
    }
    std::string decorateChocolate(const Piece& piece, const DecorateStep& d) const {
        const auto* c = lib_.find(piece.chocolateOf(d));
        return c ? "a little " + lowerFirst(c->name) : std::string("a little chocolate");
    }

    /// Some minutes in a place of their own.
    Since rests(const Round& r, const PieceAnswers& a, size_t i, const SetStep& s, const Since& since) {
        const int stay = static_cast<int>(std::ceil(s.stay.value / 60));
        if (s.place == coat::Place::Table) {
            Since out = since;
            for (auto& w : out) w.wait += stay, w.why = "it stands on the table";
            return out;
        }
        const int in = task(r, fmt::format("set-in-{}", i), "Into the " + placeName(s.place) + ": " + r.who, "cold",
                            minutes("carry", r.pieces), 0);
        const int out = task(r, fmt::format("set-out-{}", i), "Out of the " + placeName(s.place) + ": " + r.who, "look",
                             minutes("look", r.pieces), 0);
        follow(since, in);
        after(clear_, in, 0, -1, "the shelf is clear");
        after(in, out, stay, std::max(stay + 15, static_cast<int>(lib_.usual("fridgeMost") / 60)), "it is in the cold");
        takePlace(s.place, in, out, a, r.pieces);
        return {{out, 0, "it has set"}};
    }

    /// Fills what is finished; a filling is made once for all that it goes into.
    Since fill(const Round& r, const FillStep& f, size_t step, const Since& since) {
        const Filling& filling = *plan_.filling(f.filling);
        const auto [making, first] = fillings_.try_emplace(f.filling, 0);
        if (first)
            making->second = add({f.filling + "/make-filling", "Make " + lowerFirst(filling.name), "", "finish",
                                  std::max(1, static_cast<int>(std::ceil(filling.make.value / 60))), 1, 0, 0,
                                  filling.egg ? std::vector<std::string>{"raw-egg"} : std::vector<std::string>{}});
        std::vector<std::string> cautions;
        if (filling.perishable) cautions.push_back("perishable");
        if (filling.isAlcoholic()) cautions.push_back("alcohol");
        size_t layer = 0;
        for (size_t k = 0; k < step; ++k) layer += std::holds_alternative<FillStep>(r.piece.making[k]);
        const int filled = task(r, layer == 0 ? "fill" : fmt::format("fill-{}", layer + 1),
                                (layer == 0 ? "Fill " : "Fill " + lowerFirst(filling.name) + " into ") + r.who,
                                "finish", minutes("fill", r.pieces), 0, cautions);
        after(making->second, filled, static_cast<int>(std::ceil(filling.usableFrom.value / 60)),
              static_cast<int>(filling.usableTo.value / 60), "the filling's own window");
        follow(since, filled);
        if (filling.perishable) perishable_.push_back({filled, r.piece.id});
        if (f.chill.value > 0) {
            SetStep chill;
            chill.stay = f.chill;
            return rests(r, *answers_.piece(r.piece.id), step, chill, {{filled, 0, "it is filled"}});
        }
        return {{filled, 0, "the filling is in"}};
    }

    /// The steps that are done once, for all rounds together, up to the table.
    void finish(const Piece& piece, const PieceAnswers& a, Since since, const std::string& things) {
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
    }

    /// What does not keep stands no longer than its time: until it is back in the fridge, or until it is eaten.
    void keepCold() {
        for (const auto& [task, piece] : perishable_) {
            int until = serving();
            if (stored_.contains(piece))
                for (size_t i = 0; i < net_.tasks.size(); ++i)
                    if (net_.tasks[i].piece == piece && net_.tasks[i].step == "store") until = static_cast<int>(i);
            after(task, until, 0, static_cast<int>(lib_.usual("fillingMost") / 60),
                  "a perishable filling does not wait long");
        }
    }

    /// The end of the work: a task of one minute that everything leads to.
    int serving() {
        if (serve_ < 0)
            serve_ = add({"ready", "Ready: a last look at everything", "", "finish", 1, 1, 0, 0, {"allergen"}});
        return serve_;
    }
    /// Which pieces a step is about: "crater bowls 1–6", "moon to break 2", "all 4 meteorites", "the moon to break".
    static std::string whose(const Piece& piece, int rounds, int from, int to) {
        const std::string one = lowerFirst(piece.name);
        if (rounds > 1)
            return from == to ? fmt::format("{} {}", one, from) : fmt::format("{} {}–{}", plural(one), from, to);
        return to == from ? "the " + one : fmt::format("all {} {}", to - from + 1, plural(one));
    }
    static std::string counted(const Piece& piece, const std::string& things) {
        return piece.count == 1 ? "the " + lowerFirst(piece.name) : fmt::format("{} {}", piece.count, things);
    }
    /// The pieces of a round in figures: "1–6", "2".
    static std::string numbers(int rounds, int from, int to) {
        return rounds <= 1 ? "" : from == to ? std::to_string(from) : fmt::format("{}–{}", from, to);
    }
    /// So many pieces take their share of a place, which holds perShelf of them, from one task to another.
    void takePlace(coat::Place where, int from, int to, const PieceAnswers& a, int pieces) {
        const int place = places_.at(where), capacity = net_.resources[static_cast<size_t>(place)].capacity;
        net_.holds.push_back({place, from, to, std::min(capacity, capacity / std::max(1, a.perShelf) * pieces)});
    }
    /// s that chocolate may stay in a place.
    double longestIn(coat::Place place) const {
        return place == coat::Place::Freezer  ? lib_.usual("freezerMost")
               : place == coat::Place::Fridge ? lib_.usual("fridgeMost")
                                              : 4 * 3600.0;
    }
    int fitIn(coat::Place place, double diameter) const {
        const auto& k = plan_.kitchen;
        if (place == coat::Place::Table)
            return batch::fitOnShelf(lib_.usual("tableWidth"), lib_.usual("tableDepth"), diameter);
        return place == coat::Place::Fridge
                   ? k.shelves * batch::fitOnShelf(k.shelfWidth.value, k.shelfDepth.value, diameter)
                   : batch::fitOnShelf(k.freezerWidth.value, k.freezerDepth.value, diameter);
    }
    static std::string placeName(coat::Place p) {
        return p == coat::Place::Table ? "bench" : p == coat::Place::Fridge ? "fridge" : "freezer";
    }

    const Plan& plan_;
    const material::Library& lib_;
    const Answers& answers_;
    schedule::Network net_;
    std::map<coat::Place, int> places_;
    std::map<std::string, PotState> pots_;
    std::map<std::string, int> molten_;                    // task that melts a base for all of its colours
    std::map<std::string, int> fillings_;                  // task that makes a filling
    std::map<std::string, std::vector<int>> finished_;     // last tasks of each piece
    std::vector<std::pair<int, std::string>> perishable_;  // tasks that fill in what does not keep, and their pieces
    std::set<std::string> stored_;                         // pieces that go back into the fridge
    std::set<int> glued_;                                  // tasks that glue
    int clear_ = 0, serve_ = -1;
};

}  // namespace

schedule::Network dayNetwork(const Plan& plan, const material::Library& lib, const Answers& answers) {
    return Builder(plan, lib, answers).build();
}

}  // namespace uovo
