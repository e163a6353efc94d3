#include "core/learn/run_records.h"

#include <set>

namespace uovo::learn {
namespace {

/// Coats on the pieces of a step when one of them was weighed; 0: none, or something else weighs too.
int coatsBy(const run::Run& run, const run::Step& weighed, double at) {
    std::set<std::string> coats;
    for (const auto& s : run.steps()) {
        if (s.piece != weighed.piece) continue;
        const auto& state = run.state(s.id);
        const bool done = s.id == weighed.id || (state.is == run::StepState::Is::Done && state.to <= at);
        if (!done) continue;
        if (s.kind.starts_with("fill") || s.kind.starts_with("top-") || s.kind.starts_with("join") ||
            s.kind.starts_with("cast"))
            return 0;
        if (s.kind.starts_with("coat-")) coats.insert(s.kind);
    }
    return static_cast<int>(coats.size());
}

}  // namespace

Evening eveningOf(const run::Run& run, const Plan& plan) {
    Evening out;
    out.id = run.begun();
    out.date = run.begun().substr(0, 10);
    out.plan = plan;
    for (const auto* e : run.held()) {
        if (e->kind != run::Kind::Weighed) continue;
        const run::Step* step = run.step(e->step);
        const Piece* piece = step ? plan.piece(step->madeOf()) : nullptr;
        if (!piece || !piece->wallFromCoats() || !(e->figure > 0)) continue;
        const int coats = coatsBy(run, *step, e->at);
        if (coats == 0) continue;
        Record r;
        r.piece = piece->id;
        r.coats = std::min(coats, static_cast<int>(piece->coats().size()));
        r.value = e->figure;
        out.records.push_back(r);
    }
    return out;
}

}  // namespace uovo::learn
