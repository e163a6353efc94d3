// The chain: form → coat → setting → batch → schedule.
#include <algorithm>
#include <atomic>
#include <chrono>
#include <cmath>
#include <map>
#include <set>

#include <fmt/format.h>

#include "core/answers/keys.h"
#include "core/quantity/catalogue.h"
#include "core/quantity/restate.h"
#include "core/quantity/side_by_side.h"
#include "core/schedule/solver.h"
#include "core/stages/put_together.h"
#include "core/stages/spares.h"
#include "core/stages/strength.h"
#include "core/words/order_words.h"
#include "core/words/words.h"

namespace uovo {
namespace {

/// A library may throw where a shape is beyond it: that is this piece's problem, the others go on.
template <class Stage>
auto guarded(const Stage& stage) -> decltype(stage()) {
    try {
        return stage();
    } catch (const std::bad_alloc&) {
        return tl::unexpected(
            Problem{tr("This piece needs more memory than there is: make its figures coarser."), "former"});
    } catch (const std::exception&) {
        return tl::unexpected(
            Problem{tr("This shape cannot be reckoned; change one of its figures a little."), "former"});
    }
}

StrengthStage guardedStrength(const Piece& piece, const Plan& plan, const material::Library& lib, const PieceAnswers& a,
                              const StrengthOptions& options, std::stop_token stop) {
    try {
        return strength(piece, plan, lib, a, options, stop);
    } catch (const std::exception&) {
        StrengthStage out;
        out.problem = tr("Whether it holds cannot be reckoned for this shape.");
        return out;
    }
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

/// What is said of one piece before its strength, and what it asks of the pots.
struct Said {
    std::shared_ptr<const PieceAnswers> answers;
    std::vector<batch::Demand> demands;
    std::vector<Problem> found;  ///< beyond what the check of the plan says
};

/// What was said of the pieces of the plan before, where neither they nor what is around them has changed.
class KnownPieces {
    struct Entry {
        std::shared_ptr<const Plan> around;
        Piece piece;
        std::shared_ptr<const Said> said;
    };

public:
    KnownPieces(const Plan& plan, const AnswerOptions& options, Cache& cache)
        : cache_(cache),
          prefix_(fmt::format("said {} {} {} {} {} ", options.day, options.ways, options.strength, options.bands,
                              options.cells)) {
        Plan around = plan;
        around.pieces.clear();
        around.name.clear();
        around.day = {};  // nothing of a piece hangs on it
        around_ = std::make_shared<const Plan>(std::move(around));
        for (const auto& p : plan.pieces)
            for (const auto& in : StepsOf<const InsertStep>(p.making))
                if (in.what == InsertStep::What::Piece) bound_.insert({p.id, in.piece});
        for (const auto& p : plan.pieces) {
            const auto entry = std::static_pointer_cast<const Entry>(cache_.find(prefix_ + p.id));
            if (!entry || bound_.contains(p.id) || !(entry->piece == p)) continue;
            if (entry->around != around_ && !(*entry->around == *around_)) continue;
            around_ = entry->around;  // the same for the next ones: compared at a glance
            said_[p.id] = entry->said;
        }
    }
    /// Null where it must be said anew.
    std::shared_ptr<const Said> of(const Piece& piece) const {
        const auto it = said_.find(piece.id);
        return it == said_.end() ? nullptr : it->second;
    }
    void keep(const Piece& piece, std::shared_ptr<const Said> said) {
        if (bound_.contains(piece.id)) return;
        const std::size_t bytes = kSaid + bytesOf(*said->answers->made);
        cache_.keep(prefix_ + piece.id, std::make_shared<const Entry>(Entry{around_, piece, std::move(said)}), bytes);
    }

private:
    static constexpr std::size_t kSaid = 40'000;  // bytes of the sentences of a piece, about

    Cache& cache_;
    std::string prefix_;
    std::shared_ptr<const Plan> around_;
    std::set<std::string> bound_;  // pieces in whose answers others have a say
    std::map<std::string, std::shared_ptr<const Said>> said_;
};

/// How many of a piece fit at once where its last coat or its cast sets.
int fitsAtOnce(const Piece& piece, const Plan& plan, const material::Library& lib, const Made& made) {
    constexpr double kOpen = 10;  // m over a table
    const auto place = setsLastIn(piece, made);
    const auto& k = plan.kitchen;
    const auto& parts = made.parts;
    const double gap = lib.usual("pieceGap");
    if (place == coat::Place::Table)
        return batch::fitOnShelves(lib.usual("tableWidth"), lib.usual("tableDepth"), kOpen, 1, parts, gap);
    return place == coat::Place::Fridge
               ? batch::fitOnShelves(k.shelfWidth.value, k.shelfDepth.value, k.shelfHeight.value, k.shelves, parts, gap)
               : batch::fitOnShelves(k.freezerWidth.value, k.freezerDepth.value, k.freezerHeight.value, 1, parts, gap);
}

/// Its molds, remembered: how they come off takes a tenth of a second for each part, and most edits leave it.
/// @returns null when stopped
std::shared_ptr<const std::vector<MoldWork>> moldsOf(const Piece& piece, const material::Library& lib, const Made& made,
                                                     const std::string& madeBy, Cache& cache, std::stop_token stop) {
    const std::string key = moldsKey(piece, madeBy);
    if (auto kept = std::static_pointer_cast<const std::vector<MoldWork>>(cache.find(key))) return kept;
    auto molds = std::make_shared<const std::vector<MoldWork>>(moldWorks(piece, lib, made, stop));
    if (stop.stop_requested()) return nullptr;
    cache.keep(key, molds, bytesOf(*molds));
    return molds;
}

/// @param problems of the plan @returns null when stopped
std::shared_ptr<const Said> saidOf(const Piece& piece, const Plan& plan, const material::Library& lib,
                                   const std::vector<Problem>& problems, Cache& cache, const AnswerOptions& options,
                                   std::stop_token stop) {
    auto said = std::make_shared<Said>();
    auto a = std::make_shared<PieceAnswers>();
    a->id = piece.id;
    const std::string at = "pieces/" + piece.id + "/";
    for (const auto& p : problems)
        if (p.where.starts_with(at) || p.where.starts_with("kitchen/") ||
            p.where.starts_with("own/" + piece.chocolate) || p.where.starts_with("colours/" + piece.chocolate) ||
            concernsFilling(p.where, piece))
            a->problems.push_back(p);
    const auto done = [&] {
        said->answers = std::move(a);
        return said;
    };
    if (!a->problems.empty()) return done();
    const std::string key = madeKey(piece, plan, options);
    a->made = std::static_pointer_cast<const Made>(cache.find(key));
    if (!a->made) {
        auto made = guarded([&] { return madeOf(piece, plan, lib, options, stop); });
        if (stop.stop_requested()) return nullptr;
        if (!made) {
            a->problems.push_back({restated(made.error().sentence, plan.units), at + made.error().where});
            said->found = a->problems;
            return done();
        }
        a->made = std::make_shared<const Made>(std::move(*made));
        cache.keep(key, a->made, bytesOf(*a->made));
    }
    if (stop.stop_requested()) return nullptr;
    a->coating = *coatingOf(piece, plan, lib);
    a->make = toMake(piece, *a->made, piece.survives, lib);
    a->spareParts = spareParts(piece, *a->made, piece.survives, lib);
    addSteps(piece, plan, lib, *a);
    if (takesOwnMolds(piece)) {
        const auto molds = moldsOf(piece, lib, *a->made, key, cache, stop);
        if (!molds) return nullptr;
        a->molds = *molds;
    }
    said->found = a->problems;
    said->demands = demandsOf(piece, plan, lib, *a);
    a->perShelf = fitsAtOnce(piece, plan, lib, *a->made);
    a->answers = a->made->meridian ? pieceAnswers(piece, plan, lib, *a) : partAnswers(piece, plan, lib, *a);
    for (auto& more : stepAnswers(piece, plan, lib, *a)) a->answers.push_back(std::move(more));
    a->strengthKey = strengthKey(piece, plan, a->fillEach, key) + fmt::format(" {:.9g}", putOn(piece, *a));
    return done();
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
        const std::string key = waysKey(piece, plan, options);
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
        const auto& now = out.pieces[i];
        if (!now->problems.empty() || now->answers.empty()) continue;
        const std::string& what = now->strengthKey;
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
    sideBySide(reckon, reckon);
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

/// In which order the parts of each piece are put together. @returns false when stopped
bool addTogether(const Plan& plan, const material::Library& lib, Cache& cache, std::stop_token stop, Answers& out) {
    for (size_t i = 0; i < plan.pieces.size(); ++i) {
        const auto& now = out.pieces[i];
        if (!now->made || !now->problems.empty() || now->made->assembly.joints.empty() || now->together) continue;
        std::string key = "together " + now->strengthKey;
        if (const auto* join = firstOf<JoinStep>(plan.pieces[i].making))
            for (const auto& part : join->order) key += '/' + part;
        auto together = std::static_pointer_cast<const PutTogether>(cache.find(key));
        if (!together) {
            auto found = guarded([&]() -> tl::expected<PutTogether, Problem> {
                return putTogether(plan.pieces[i], plan, lib, *now->made, stop);
            });
            if (stop.stop_requested()) return false;
            if (!found) {
                found.emplace();
                found->problem = tr("In which order it is put together cannot be reckoned for this shape.");
            }
            together = std::make_shared<const PutTogether>(std::move(*found));
            cache.keep(key, together, bytesOf(*together));
        }
        auto with = std::make_shared<PieceAnswers>(*now);
        with->together = together;
        for (auto& said :
             {orderAnswer(*together, *now->made, plan.units), coverAnswer(*together, *now->made, plan.units)})
            if (said) {
                const auto joints = std::ranges::find(with->answers, "joints", &Answer::id);
                with->answers.insert(joints == with->answers.end() ? joints : joints + 1, *said);
            }
        out.pieces[i] = std::move(with);
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
        more = more || toMake(plan.pieces[i], *now->made, survives, library) != now->make ||
               spareParts(plan.pieces[i], *now->made, survives, library) != now->spareParts;
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

/// A layout that was found, as it is remembered.
struct Remembered {
    tl::expected<schedule::Found, Problem> found;
};

}  // namespace

// The layout counts back from the end, so the same network keeps its layout when only the deadline moves.
Solve rememberedSolve(Cache& cache, std::stop_token stop, double share) {
    return [&cache, stop, share](const schedule::Network& net,
                                 const schedule::Genes* from) -> tl::expected<schedule::Found, Problem> {
        const std::string key = dayKey(net);
        if (const auto known = std::static_pointer_cast<const Remembered>(cache.find(key))) return known->found;
        auto effort = schedule::Effort::quick(net);
        if (from && !net.before.empty()) effort.starts = 1, effort.decodes = std::max(60, effort.decodes / 3);
        if (share < 1) effort.decodes = std::max(10, static_cast<int>(effort.decodes * share));
        Remembered now{schedule::layOut(net, effort, stop, from)};
        if (!stop.stop_requested())
            cache.keep(key, std::make_shared<const Remembered>(now), now.found ? bytesOf(*now.found) : key.size());
        return now.found;
    };
}

void remember(Cache& cache, const schedule::Network& net, schedule::Found found) {
    const std::size_t bytes = bytesOf(found);
    cache.keep(dayKey(net), std::make_shared<const Remembered>(Remembered{std::move(found)}), bytes);
}

std::optional<Answers> answer(const Plan& plan, const material::Library& library, Cache& cache,
                              const AnswerOptions& options, std::stop_token stop,
                              const std::function<void(const Answers&)>& early) {
    const auto began = std::chrono::steady_clock::now();
    const material::Library lib = material::withColours(library, plan.colours);
    Answers out;
    KnownPieces known(plan, options, cache);
    out.problems = problems(plan, lib, true, [&](const Piece& p) { return known.of(p) != nullptr; });
    std::vector<batch::Demand> demands;
    bool complete = !plan.pieces.empty();
    for (const auto& piece : plan.pieces) {
        auto said = known.of(piece);
        if (!said) {
            said = saidOf(piece, plan, lib, out.problems, cache, options, stop);
            if (!said) return std::nullopt;
            if (said->answers->problems.empty()) known.keep(piece, said);
        }
        complete = complete && said->answers->problems.empty();
        for (const auto& p : said->found) out.problems.push_back(p);
        demands.insert(demands.end(), said->demands.begin(), said->demands.end());
        out.pieces.push_back(said->answers);
    }
    std::vector<double> packets;
    packets.reserve(demands.size());
    for (const auto& d : demands) packets.push_back(packetOf(plan, lib, d.pot.chocolate));
    out.pots = batch::pots(demands, packets, lib.usual("bowlLoss"), lib.usual("spatulaLoss"), lib.usual("trimShare"));
    out.melts = meltPlans(plan, lib, out.pots);
    out.evening = potAnswers(plan, lib, out.pots);
    out.cautions = cautionsOf(plan, lib);
    if (isMany(plan))
        out.cautions.push_back(tr(
            "So many kinds of pieces are reckoned for strength on coarser nets, within a few percent, and no ways out "
            "are looked for; plan fewer at a time for both."));
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
    if (options.together && !isMany(plan) && !addTogether(plan, lib, cache, stop, out)) return std::nullopt;
    if (options.ways && !isMany(plan) && !addWays(plan, lib, options, cache, stop, out)) return std::nullopt;
    out.seconds = seconds();
    if (options.day && complete && out.problems.empty()) {
        out.day = std::make_shared<const DayPlan>(
            layDay(plan, lib, out, rememberedSolve(cache, stop, options.effort), options.before.get()));
        if (stop.stop_requested()) return std::nullopt;
        if (!options.before && !plan.day.laid.steps.empty() && out.day->problem.empty())
            remember(cache, out.day->asked, out.day->found);  // as the file keeps it: an edit that is undone finds it
        out.seconds = seconds();
        if (options.chance && early) early(out);
        if (options.chance) out.chance = std::make_shared<const Chance>(chanceOf(plan, out, lib, *out.day, stop));
        if (stop.stop_requested()) return std::nullopt;
    }
    return out;
}

}  // namespace uovo
