#include "core/why/diagnosis.h"

#include <algorithm>
#include <cmath>
#include "core/quantity/catalogue.h"

namespace uovo::why {
namespace {

/// The plan as far as a fault asks for it: one piece with what it binds, or all of it.
Plan askedFor(const Plan& plan, const std::string& id, const material::Fault& fault) {
    if (fault.about != "piece") return plan;
    Plan out = plan;
    std::vector<std::string> needed{id};
    for (size_t i = 0; i < needed.size(); ++i)
        if (const auto* p = plan.piece(needed[i]))
            for (const auto& in : StepsOf<const InsertStep>(p->making))
                if (in.what == InsertStep::What::Piece && std::ranges::find(needed, in.piece) == needed.end())
                    needed.push_back(in.piece);
    std::erase_if(out.pieces, [&](const Piece& p) { return std::ranges::find(needed, p.id) == needed.end(); });
    return out;
}

/// Makes a scene of a plan. @param id of the piece
tl::expected<Scene, Problem> sceneOf(Plan plan, const std::string& id, const material::Fault& fault,
                                     const material::Library& library, Cache& cache, std::stop_token stop) {
    AnswerOptions options;
    options.day = options.ways = options.bands = false;
    options.strength = fault.about == "piece";
    options.together = fault.id == "leaning";
    Scene scene;
    scene.plan = askedFor(plan, id, fault);
    for (size_t i = 0; i < scene.plan.pieces.size(); ++i)
        if (scene.plan.pieces[i].id == id) scene.piece = i;
    auto answers = answer(scene.plan, library, cache, options, stop);
    if (!answers) return tl::unexpected(Problem{"stopped"});
    scene.answers = std::move(*answers);
    scene.library = material::withColours(library, scene.plan.colours);
    if (!scene.known().problems.empty()) return tl::unexpected(scene.known().problems.front());
    if (!scene.known().made) return tl::unexpected(Problem{tr("This piece cannot be computed."), "piece"});
    return scene;
}

std::vector<double> ratesOf(const material::Fault& fault, const Scene& scene,
                            std::vector<std::optional<Found>>* evidenceOf = nullptr) {
    std::vector<double> rates;
    for (const auto& c : fault.causes) {
        auto found = evidence(c.evidence, scene);
        rates.push_back(rate(present(found ? std::optional(found->q) : std::nullopt, c.usual), c.makes));
        if (evidenceOf) evidenceOf->push_back(std::move(found));
    }
    return rates;
}

double mass(const Scene& s) { return s.known().made->mass; }
double untilRelease(const Scene& s) {
    const auto& made = *s.known().made;
    return made.wall ? made.wall->fromFirstCoatToRelease : made.setting.release;
}

}  // namespace

tl::expected<Inquiry, Problem> Inquiry::of(Case given, const material::Library& library, Cache& cache,
                                           std::stop_token stop) {
    const auto* fault = library.fault(given.fault);
    if (!fault) return tl::unexpected(Problem{tr("There is no fault “") + given.fault + "”.", "fault"});
    const Piece* piece = given.plan.piece(given.piece);
    if (!piece) return tl::unexpected(Problem{tr("The plan has no piece “") + given.piece + "”.", "piece"});
    if (!canHave(*fault, *piece))
        return tl::unexpected(Problem{piece->name + tr(" cannot have that: “") + fault->name + "”.", "fault"});
    for (const auto& [id, value] : given.given)
        if (std::ranges::find(allGiven(), id, [](const Given& g) { return std::string(g.id); }) == allGiven().end() ||
            !std::isfinite(value))
            return tl::unexpected(Problem{"“" + id + tr("” is not something that can be given."), "given/" + id});
    for (const auto& [id, yes] : given.answered)
        if (std::ranges::find(fault->causes, id, &material::Cause::id) == fault->causes.end())
            return tl::unexpected(Problem{tr("This fault has no cause “") + id + "”.", "answers/" + id});
    Plan worked = given.plan;
    Figures planned;
    for (auto& p : worked.pieces)
        if (p.id == given.piece) {
            if (!p.coats().empty()) {
                const auto& last = p.coats().back();
                planned = {{"drain", last.drain.value}, {"delay", last.delay.value}, {"stay", last.stay.value}};
            }
            asDone(given.given, p, worked);
        }
    auto scene = sceneOf(std::move(worked), given.piece, *fault, library, cache, stop);
    if (!scene) return tl::unexpected(scene.error());
    scene->given = given.given;
    scene->planned = std::move(planned);
    scene->log = given.log;
    Inquiry out;
    out.given_ = std::move(given);
    out.scene_ = std::move(*scene);
    out.library_ = &library;
    return out;
}

Diagnosis Inquiry::diagnose() const {
    Diagnosis out;
    out.fault = library_->fault(given_.fault);
    const auto& causes = out.fault->causes;
    std::vector<std::optional<Found>> found;
    const auto rates = ratesOf(*out.fault, scene_, &found);
    std::vector<Answered> answered;
    for (size_t k = 0; k < causes.size(); ++k)
        if (const auto it = given_.answered.find(causes[k].id); it != given_.answered.end())
            answered.push_back({k, it->second});
    const auto p = blame(rates, causes, answered);
    out.other = p.back();
    out.comes = chanceOf(rates);
    double best = kWorth;
    for (size_t k = 0; k < causes.size(); ++k) {
        Suspect s;
        s.cause = &causes[k];
        s.p = p[k];
        if (found[k]) s.computed = found[k]->q, s.reason = found[k]->reason;
        if (!given_.answered.contains(causes[k].id)) s.bits = bits(p[k], causes[k].check);
        if (s.bits / causes[k].check.cost >= best) {
            best = s.bits / causes[k].check.cost;
            out.ask = causes[k].id;
        }
        out.suspects.push_back(std::move(s));
    }
    std::stable_sort(out.suspects.begin(), out.suspects.end(),
                     [](const Suspect& a, const Suspect& b) { return a.p > b.p; });
    return out;
}

std::optional<Tried> Inquiry::tried(const material::Cause& cause, Cache& cache, std::stop_token stop) const {
    if (cause.change.empty()) return {};
    auto changed = change(cause.change, scene_.plan, scene_);
    if (!changed) return {};
    const auto& fault = *library_->fault(given_.fault);
    auto scene = sceneOf(std::move(changed->plan), given_.piece, fault, *library_, cache, stop);
    if (!scene) return {};
    scene->given = scene_.given;
    scene->planned = scene_.planned;
    scene->log = scene_.log;
    for (const char* changeable : {"bath", "drain", "delay", "stay"}) scene->given.erase(changeable);  // in its plan
    if (cause.change == "cooler-temper") scene->given.erase("hottest");
    Tried out;
    out.cause = cause.id;
    out.title = changed->title;
    out.before = chanceOf(ratesOf(fault, scene_));
    out.after = chanceOf(ratesOf(fault, *scene));
    out.grams = mass(*scene) - mass(scene_);
    out.seconds = untilRelease(*scene) - untilRelease(scene_);
    if (auto plan = change(cause.change, given_.plan, scene_)) {
        out.title = plan->title;
        out.plan = std::move(plan->plan);
    }
    constexpr double kHelps = 0.01;
    if (out.after > out.before - kHelps) return {};
    return out;
}

}  // namespace uovo::why
