// The chain: form → coat → setting → batch → schedule.
#include <algorithm>
#include <atomic>
#include <bit>
#include <chrono>
#include <cmath>
#include <numbers>
#include <thread>

#include <fmt/format.h>

#include "core/plan/answers.h"
#include "core/plan/strength.h"
#include "core/quantity/restate.h"
#include "core/schedule/solver.h"

namespace uovo {
namespace {

/// The piece in the chocolates it is bought as: a colour changes no wall, a blend does.
Piece uncoloured(Piece p, const Plan& plan) {
    const auto plain = [&](std::string& id) {
        for (const auto& c : plan.colours)
            if (c.id == id && c.second.empty()) {
                id = c.base;
                return;
            }
    };
    plain(p.chocolate);
    for (auto& step : p.making) {
        if (auto* c = std::get_if<PlannedCoat>(&step)) plain(c->chocolate);
        if (auto* c = std::get_if<CastStep>(&step)) plain(c->chocolate);
    }
    return p;
}

/// The steps that shape decides on: wall, grams and setting read no other.
Making shaping(const Making& making) {
    Making out;
    for (const auto& s : making)
        if (std::holds_alternative<PlannedCoat>(s) || std::holds_alternative<CastStep>(s) ||
            std::holds_alternative<InsertStep>(s))
            out.push_back(s);
    return out;
}

/// A library may throw where a shape is beyond it: that is this piece's problem, the others go on.
template <class Stage>
auto guarded(const Stage& stage) -> decltype(stage()) {
    try {
        return stage();
    } catch (const std::bad_alloc&) {
        return tl::unexpected(
            Problem{"This piece needs more memory than there is: make its figures coarser.", "former"});
    } catch (const std::exception&) {
        return tl::unexpected(Problem{"This shape cannot be reckoned; change one of its figures a little.", "former"});
    }
}

StrengthStage guardedStrength(const Piece& piece, const Plan& plan, const material::Library& lib, const PieceAnswers& a,
                              const StrengthOptions& options, std::stop_token stop) {
    try {
        return strength(piece, plan, lib, a, options, stop);
    } catch (const std::exception&) {
        StrengthStage out;
        out.problem = "Whether it holds cannot be reckoned for this shape.";
        return out;
    }
}

std::vector<material::Colour> blends(const Plan& plan) {
    std::vector<material::Colour> out = plan.colours;
    std::erase_if(out, [](const auto& c) { return c.second.empty(); });
    return out;
}

/// What the coat stage depends on, and nothing else: the name, count or filling may change without computing it again.
std::string stageKey(const Piece& piece, const Plan& plan, const AnswerOptions& options) {
    Plan essence;
    essence.kitchen = plan.kitchen;
    essence.kitchen.hands = 1;
    essence.kitchen.helpersFrom.clear();
    for (Measure* m : {&essence.kitchen.shelfWidth, &essence.kitchen.shelfDepth, &essence.kitchen.shelfHeight,
                       &essence.kitchen.freezerWidth, &essence.kitchen.freezerDepth, &essence.kitchen.freezerHeight})
        *m = 0;
    essence.own = plan.own;
    Piece p = uncoloured(piece, plan);
    p.name.clear();
    p.count = 1;
    p.making = shaping(p.making);
    p.pot.clear();
    p.wantedWall = 0;
    p.survives = 1;
    p.loads.clear();
    p.sits = Sits::Flat;
    essence.pieces = {p};
    essence.colours = blends(plan);
    return "coat" + std::to_string(kModelVersion) + (options.bands ? "b" : "-") + std::to_string(options.cells) +
           writePlan(essence);
}

/// A problem of a filling or topping is that of every piece that names it.
bool concernsFilling(const std::string& where, const Piece& piece) {
    return std::any_of(piece.making.begin(), piece.making.end(), [&](const Step& s) {
        const auto* fill = std::get_if<FillStep>(&s);
        const auto* top = std::get_if<TopStep>(&s);
        return (fill && where.starts_with("fillings/" + fill->filling + "/")) ||
               (top && where.starts_with("toppings/" + top->topping + "/"));
    });
}

/// What a part depends on: its figures, the chocolate and the fridge.
/// A model by what it is: where it lies in memory may be another's later.
std::string contentOf(const form::Mesh& mesh) {
    std::uint64_t sum = 14695981039346656037ull;  // FNV-1a, eight bytes at a time
    const auto add = [&](std::uint64_t v) { sum = (sum ^ v) * 1099511628211ull; };
    for (const auto& p : mesh.points)
        for (const double v : {p.x, p.y, p.z}) add(std::bit_cast<std::uint64_t>(v));
    for (const auto& t : mesh.triangles)
        for (const int i : t) add(static_cast<std::uint64_t>(i));
    return fmt::format("{} {} {:016x}", mesh.points.size(), mesh.triangles.size(), sum);
}

std::string partKey(const Piece& coloured, const Plan& plan) {
    const Piece piece = uncoloured(coloured, plan);
    Plan essence;
    essence.kitchen.room = plan.kitchen.room;
    essence.kitchen.fridge = plan.kitchen.fridge;
    essence.kitchen.fan = plan.kitchen.fan;
    if (const auto own = plan.own.find(piece.chocolate); own != plan.own.end()) essence.own[own->first] = own->second;
    essence.colours = blends(plan);
    Piece p;
    p.id = "part";
    p.shape = piece.shape;
    p.chocolate = piece.chocolate;
    p.temper = piece.temper;
    p.thinner = piece.thinner;
    p.thinnerShare = piece.thinnerShare;
    p.making = shaping(piece.making);
    if (!piece.wallFromCoats()) p.coats().clear();
    essence.kitchen.freezer = plan.kitchen.freezer;
    if (piece.wallFromCoats()) {
        essence.own = plan.own;
        essence.kitchen.freezer = plan.kitchen.freezer;
        essence.kitchen.humidity = plan.kitchen.humidity;
    }
    essence.pieces = {p};
    std::string key = "part" + std::to_string(kModelVersion) + writePlan(essence);
    for (const auto& name : form::modelsOf(piece.shape))
        if (const auto mesh = plan.meshes.find(name); mesh != plan.meshes.end()) key += contentOf(*mesh->second);
    return key;
}

/// What a piece as it is made depends on.
std::string madeKey(const Piece& piece, const Plan& plan, const AnswerOptions& options) {
    return piece.alongMeridian() ? stageKey(piece, plan, options) : partKey(piece, plan);
}

/// Ways out for every wall that is too thin. The answers already published are not touched: a copy takes their place.
/// @returns false when stopped
bool addWays(const Plan& plan, const material::Library& lib, const AnswerOptions& options, Cache& cache,
             std::stop_token stop, Answers& out) {
    for (size_t i = 0; i < plan.pieces.size(); ++i) {
        const Piece& piece = plan.pieces[i];
        const auto& now = out.pieces[i];
        if (!now->made || !now->made->meridian || now->answers.empty() ||
            now->made->wall->thinnest >= piece.wantedWall.value)
            continue;
        const std::string key = std::string(plan.units == UnitSystem::US ? "waysUS" : "ways") +
                                format(piece.wantedWall.value, Dimension::Length, UnitSystem::Metric, Detail::Fine) +
                                stageKey(piece, plan, options);
        auto ways = std::static_pointer_cast<const std::vector<WayOut>>(cache.find(key));
        if (!ways) {
            ways = std::make_shared<const std::vector<WayOut>>(waysOut(piece, plan, lib, *now->made->meridian, stop));
            if (stop.stop_requested()) return false;
            cache.keep(key, ways, bytesOf(*ways));
        }
        auto with = std::make_shared<PieceAnswers>(*now);
        for (auto& answer : with->answers) {
            if (answer.id != "wall") continue;
            answer.ways = *ways;
            for (auto& way : answer.ways) {  // the remembered piece may differ in what the wall does not depend on
                Piece changed = piece;
                changed.coats() = std::as_const(way.changed).coats();
                way.changed = changed;
            }
        }
        out.pieces[i] = std::move(with);
    }
    return true;
}

/// More kinds than a kitchen makes at once: the budget of models.md, "Limits".
bool isMany(const Plan& plan) { return plan.pieces.size() > 40; }

/// Whether each piece holds. @param quick a first verdict @returns false when stopped
bool addStrength(const Plan& plan, const material::Library& lib, const AnswerOptions& options, bool quick, Cache& cache,
                 std::stop_token stop, Answers& out) {
    struct Job {
        size_t piece;
        std::string key;
        std::shared_ptr<const StrengthStage> stage;
        bool known = false;
    };
    std::vector<Job> jobs;
    const StrengthOptions whole = isMany(plan) ? kQuickStrength
                                               : StrengthOptions{StrengthOptions{}.triangles, options.ways},
                          how = quick ? kQuickStrength : whole;
    for (size_t i = 0; i < plan.pieces.size(); ++i) {
        const Piece& piece = plan.pieces[i];
        const auto& now = out.pieces[i];
        if (!now->problems.empty() || now->answers.empty()) continue;
        Plan essence;
        essence.snaps = plan.snaps;
        Piece p;
        p.id = "strength";
        p.chocolate = piece.chocolate;
        p.loads = piece.loads;
        p.sits = piece.sits;
        p.handling = piece.handling;
        essence.pieces = {p};
        const std::string what =
            fmt::format("{} {:.9g} {} {} {}", plan.units == UnitSystem::US, now->fillEach, fillsPerishable(piece, plan),
                        writePlan(essence), madeKey(piece, plan, options));
        const auto key = [&](const StrengthOptions& o) {
            return fmt::format("strength {} {} {}", o.triangles, o.ways, what);
        };
        Job job{i, key(how), nullptr, false};
        job.stage = std::static_pointer_cast<const StrengthStage>(
            cache.find(key(whole)));  // the better one, where it is known already
        if (!job.stage) job.stage = std::static_pointer_cast<const StrengthStage>(cache.find(job.key));
        job.known = job.stage != nullptr;
        jobs.push_back(std::move(job));
    }
    std::atomic<size_t> next = 0;  // pieces side by side on two threads
    const auto reckon = [&] {
        for (size_t k = next++; k < jobs.size() && !stop.stop_requested(); k = next++)
            if (!jobs[k].stage)
                jobs[k].stage = std::make_shared<const StrengthStage>(
                    guardedStrength(plan.pieces[jobs[k].piece], plan, lib, *out.pieces[jobs[k].piece], how, stop));
    };
    {
        std::jthread other(reckon);
        reckon();
    }
    if (stop.stop_requested()) return false;
    for (auto& job : jobs) {
        if (!job.known) cache.keep(job.key, job.stage, bytesOf(*job.stage));
        auto with = std::make_shared<PieceAnswers>(*out.pieces[job.piece]);
        with->strength = job.stage;
        std::erase_if(with->answers, [](const Answer& a) { return a.id == "strength"; });
        if (auto said = strengthAnswer(*job.stage, plan, lib))
            with->answers.insert(with->answers.begin() + std::min<std::ptrdiff_t>(2, std::ssize(with->answers)),
                                 std::move(*said));
        out.pieces[job.piece] = std::move(with);
    }
    return true;
}

/// Spares follow from what handling leaves: everything that hangs on how many are made is reckoned again, walls and
/// strength are known.
/// @returns false when stopped
bool spareWhatCracks(const Plan& plan, const material::Library& library, const AnswerOptions& options, Cache& cache,
                     std::stop_token stop, Answers& out) {
    constexpr double kLeast = 0.2;  // of a family that survives: a plan cannot ask for less
    Plan handled = plan;
    bool more = false;
    for (size_t i = 0; i < plan.pieces.size(); ++i) {
        const auto& now = out.pieces[i];
        if (!now->strength || !now->strength->problem.empty() || now->answers.empty()) continue;
        auto& survives = handled.pieces[i].survives;
        survives = std::max(std::min(kLeast, survives), survives * now->strength->survives);
        more = more || batch::piecesToMake(plan.pieces[i].count, survives, library.usual("sparesSure")) != now->make;
    }
    if (!more) return true;
    AnswerOptions rest = options;
    rest.strength = rest.ways = rest.day = false;
    auto again = answer(handled, library, cache, rest, stop);
    if (!again) return false;
    again->problems = out.problems;
    for (size_t i = 0; i < out.pieces.size(); ++i) {
        if (!out.pieces[i]->strength) continue;
        auto with = std::make_shared<PieceAnswers>(*again->pieces[i]);
        with->strength = out.pieces[i]->strength;
        for (const auto& a : out.pieces[i]->answers)
            if (a.id == "strength")
                with->answers.insert(with->answers.begin() + std::min<std::ptrdiff_t>(2, std::ssize(with->answers)), a);
        again->pieces[i] = std::move(with);
    }
    out = std::move(*again);
    return true;
}

std::shared_ptr<const DayPlan> layDay(const Plan& plan, const material::Library& lib, const Answers& answers,
                                      Cache& cache, std::stop_token stop) {
    auto day = std::make_shared<DayPlan>();
    day->network = dayNetwork(plan, lib, answers);
    day->end = localMinutes(plan.deadline).value_or(0) - std::lround(lib.usual("reserve") / 60);
    // The layout counts back from the end, so the same network keeps its layout when only the deadline moves.
    std::string key = "day" + std::to_string(kModelVersion);
    const auto put = [&](int v) { key.append(reinterpret_cast<const char*>(&v), sizeof v); };
    for (const auto& t : day->network.tasks) {
        put(t.minutes);
        put(t.hands);
    }
    for (const auto& l : day->network.lags) {
        put(l.from);
        put(l.to);
        put(l.min);
        put(l.max);
    }
    for (const auto& h : day->network.holds) {
        put(h.resource);
        put(h.from);
        put(h.to);
        put(h.amount);
    }
    for (const auto& r : day->network.resources) put(r.capacity);
    put(day->network.hands);
    put(day->network.helpers);
    if (const auto known = std::static_pointer_cast<const DayPlan>(cache.find(key))) {
        day->layout = known->layout;
        day->problem = known->problem;
        return day;
    }
    if (auto layout = schedule::layOut(day->network, {}, stop)) day->layout = std::move(*layout);
    else day->problem = layout.error().sentence;
    if (stop.stop_requested()) return nullptr;
    cache.keep(key, day, bytesOf(*day));
    return day;
}

}  // namespace

const PieceAnswers* Answers::piece(const std::string& id) const {
    for (const auto& p : pieces)
        if (p->id == id) return p.get();
    return nullptr;
}

std::optional<Answers> answer(const Plan& plan, const material::Library& library, Cache& cache,
                              const AnswerOptions& options, std::stop_token stop,
                              const std::function<void(const Answers&)>& early) {
    const auto began = std::chrono::steady_clock::now();
    const material::Library lib = material::withColours(library, plan.colours);
    Answers out;
    out.problems = problems(plan, lib);
    std::vector<batch::Demand> demands;
    std::vector<double> packets;
    bool complete = !plan.pieces.empty();
    for (const auto& piece : plan.pieces) {
        auto a = std::make_shared<PieceAnswers>();
        a->id = piece.id;
        const std::string at = "pieces/" + piece.id + "/";
        for (const auto& p : out.problems)
            if (p.where.starts_with(at) || p.where.starts_with("kitchen/") ||
                p.where.starts_with("own/" + piece.chocolate) || p.where.starts_with("colours/" + piece.chocolate) ||
                concernsFilling(p.where, piece))
                a->problems.push_back(p);
        if (a->problems.empty()) {
            const std::string key = madeKey(piece, plan, options);
            a->made = std::static_pointer_cast<const Made>(cache.find(key));
            if (!a->made) {
                if (auto made = guarded([&] { return madeOf(piece, plan, lib, options, stop); })) {
                    a->made = std::make_shared<const Made>(std::move(*made));
                    cache.keep(key, a->made, bytesOf(*a->made));
                } else {
                    if (stop.stop_requested()) return std::nullopt;
                    a->problems.push_back({restated(made.error().sentence, plan.units), at + made.error().where});
                    out.problems.push_back(a->problems.back());
                }
            }
        }
        if (stop.stop_requested()) return std::nullopt;
        if (!a->problems.empty()) {
            complete = false;
            out.pieces.push_back(std::move(a));
            continue;
        }
        a->coating = *coatingOf(piece, plan, lib);
        a->make = batch::piecesToMake(piece.count, piece.survives, lib.usual("sparesSure"));
        addSteps(piece, plan, lib, *a);
        out.problems.insert(out.problems.end(), a->problems.begin(), a->problems.end());
        for (auto& d : demandsOf(piece, plan, lib, *a)) {
            packets.push_back(packetOf(plan, lib, d.pot.chocolate));
            demands.push_back(std::move(d));
        }
        const Made& made = *a->made;
        const auto place = made.wall ? piece.coats().back().place : piece.cast().place;
        const auto& k = plan.kitchen;
        const auto& parts = made.parts;
        const double gap = lib.usual("pieceGap");
        constexpr double kOpen = 10;  // m over a table
        a->perShelf = place == coat::Place::Table
                          ? batch::fitOnShelves(lib.usual("tableWidth"), lib.usual("tableDepth"), kOpen, 1, parts, gap)
                      : place == coat::Place::Fridge ? batch::fitOnShelves(k.shelfWidth.value, k.shelfDepth.value,
                                                                           k.shelfHeight.value, k.shelves, parts, gap)
                                                     : batch::fitOnShelves(k.freezerWidth.value, k.freezerDepth.value,
                                                                           k.freezerHeight.value, 1, parts, gap);
        a->answers = made.meridian ? pieceAnswers(piece, plan, lib, *a) : partAnswers(piece, plan, lib, *a);
        for (auto& said : stepAnswers(piece, plan, lib, *a)) a->answers.push_back(std::move(said));
        out.pieces.push_back(std::move(a));
    }
    out.pots = batch::pots(demands, packets, lib.usual("bowlLoss"), lib.usual("spatulaLoss"), lib.usual("trimShare"));
    out.melts = meltPlans(plan, lib, out.pots);
    std::map<std::string, std::pair<double, double>>
        bought;  // what all pots of one packet need, and what stands in the cupboard
    for (const auto& pot : out.pots)
        if (const auto* c = lib.find(pot.key.chocolate))
            for (const auto& [id, part] : c->bought()) bought[id].first += part * pot.melt;
    for (const auto& s : plan.pantry)
        if (bought.contains(s.chocolate)) bought[s.chocolate].second += s.mass.value;
    for (const auto& pot : out.pots) {
        Answer a;
        a.id = "pot/" + pot.key.id();
        a.figure = {pot.melt, pot.melt, pot.melt, Dimension::Mass};
        a.headline = format(pot.melt, Dimension::Mass, plan.units);
        a.after = "to melt";
        const auto g = [&](double kg) { return format(kg, Dimension::Mass, plan.units); };
        a.sentence = pot.name + ". " + g(pot.consumed) + " is used up, " + g(pot.returned) + " comes back.";
        const auto* c = lib.find(pot.key.chocolate);
        for (const auto& [id, part] : c ? c->bought() : std::vector<std::pair<std::string, double>>{}) {
            if (!bought.contains(id)) continue;
            const auto [need, have] = bought[id];
            const double packet = packetOf(plan, lib, id);
            const int buy = batch::packetsToBuy(need, have, packet);
            const std::string of = part < 1 ? " " + lib.find(id)->name : "";
            a.sentence += buy == 0
                              ? fmt::format("{} stands in the cupboard.", of.empty() ? " It" : of)
                              : fmt::format(" Buy {} {} of {}{}{}.", buy, buy == 1 ? "packet" : "packets", g(packet),
                                            of, need <= part * pot.melt + 1e-9 ? "" : " for all that is made from it");
            bought.erase(id);
        }
        a.working = {"Chocolate to melt",
                     "melt = pieces + what falls aside + bath + tools;  used up = melt − bath − what comes back",
                     {{"in the pieces, spares included", g(pot.pieces), "", "coat model"},
                      {"in the bath after the last piece", g(pot.bath), "", "geometry of pot and piece"},
                      {"on bowl and spatula", g(pot.tools), "13–28 g", "from memory"},
                      {"on paper, cut off, trimmed: comes back", g(pot.trim), "",
                       "coat model; off-cuts and 1–6 % of the pieces from memory"}},
                     a.headline,
                     "Returned trim may be melted again, never trusted as seed.",
                     "Batch"};
        out.evening.push_back(std::move(a));
    }
    for (const auto& caution : lib.cautions) {
        bool relevant = false;
        for (const auto& w : caution.when)
            for (const auto& p : plan.pieces) {
                bool perishable = false, egg = false, alcohol = false, mallet = false, flame = false;
                for (const auto& step : p.making) {
                    if (const auto* serve = std::get_if<ServeStep>(&step))
                        mallet |= serve->how == ServeStep::How::Mallet, flame |= serve->how == ServeStep::How::Flame;
                    if (const auto* fill = std::get_if<FillStep>(&step))
                        if (const Filling* f = plan.filling(fill->filling))
                            perishable |= f->perishable, egg |= f->egg, alcohol |= f->isAlcoholic();
                }
                relevant |= w == "melt" || w == "allergen" || (w == "balloon" && p.overBalloon()) ||
                            (w == "cup" && p.family().former == form::Former::Cup) ||
                            (w == "perishable" && perishable) || (w == "egg" && egg) || (w == "alcohol" && alcohol) ||
                            (w == "mallet" && mallet) || (w == "flame" && flame) || w == "trim";
            }
        if (relevant) out.cautions.push_back(caution.text);
    }
    if (isMany(plan))
        out.cautions.push_back(
            "So many kinds of pieces are reckoned for strength on coarser nets, within a few percent, and no ways out "
            "are looked for; plan fewer at a time for both.");
    const auto seconds = [&] {
        return std::chrono::duration<double>(std::chrono::steady_clock::now() - began).count();
    };
    out.seconds = seconds();
    if (early) early(out);
    if (options.strength && early && !isMany(plan)) {
        if (!addStrength(plan, lib, options, true, cache, stop, out)) return std::nullopt;
        out.seconds = seconds();
        early(out);
    }
    if (options.strength) {
        if (!addStrength(plan, lib, options, false, cache, stop, out)) return std::nullopt;
        if (!spareWhatCracks(plan, library, options, cache, stop, out)) return std::nullopt;
        out.seconds = seconds();
    }
    if (options.ways && !isMany(plan) && !addWays(plan, lib, options, cache, stop, out)) return std::nullopt;
    out.seconds = seconds();
    if (options.day && complete && out.problems.empty()) {
        out.day = layDay(plan, lib, out, cache, stop);
        if (stop.stop_requested()) return std::nullopt;
        out.seconds = seconds();
    }
    return out;
}

}  // namespace uovo
