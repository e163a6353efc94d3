#include "core/run/run.h"

#include <fmt/format.h>

#include <algorithm>
#include <charconv>
#include <cmath>
#include <limits>
#include <set>
#include <tuple>
#include "core/quantity/catalogue.h"

namespace uovo::run {
namespace {

tl::unexpected<Problem> refuse(std::string sentence) { return tl::unexpected(Problem{std::move(sentence), "run"}); }

constexpr double kWarmAt = 0.6;  // of the minutes that a pot stays usable: it is warmed then
constexpr int kMostPieces = 1000;
constexpr size_t kMostSteps = 20'000;

bool isOf(const Step& s, int person) { return person < 0 ? s.who != 0 : (s.who >> person & 1) != 0; }

}  // namespace

void useOf(const Step& s, double second, Pots& pots) {
    if (s.pot.empty()) return;
    if (s.makes > 0) {
        auto& pot = pots[s.pot];
        pot.kilograms = s.makes;
        pot.ready = s.ready;
        pot.usable = s.usable;
        pot.since = second;
    } else if (const auto it = pots.find(s.pot); it != pots.end()) {
        it->second.kilograms = std::max(0.0, it->second.kilograms - s.takes);
        it->second.since = second;
    }
}

size_t Step::number() const {
    const size_t dash = kind.rfind('-');
    size_t out = 1;
    if (dash != std::string::npos) std::from_chars(kind.data() + dash + 1, kind.data() + kind.size(), out);
    return std::max<size_t>(1, out);
}

bool isOwn(Kind kind) {
    switch (kind) {
        case Kind::Begun:
        case Kind::Laid:
        case Kind::Undone:
        case Kind::Ended:
        case Kind::Read:
            return false;
        default:
            return true;
    }
}

const Step* Run::step(const std::string& id) const {
    const auto it = std::ranges::find(steps_, id, &Step::id);
    return it == steps_.end() ? nullptr : &*it;
}

const StepState& Run::state(const std::string& id) const {
    static const StepState kNone;
    const auto it = states_.find(id);
    return it == states_.end() ? kNone : it->second;
}

PieceState* Run::find(const std::string& piece) {
    const auto it = std::ranges::find_if(pieces_, [&](const auto& p) { return p.count.piece == piece; });
    return it == pieces_.end() ? nullptr : &*it;
}
const PieceState* Run::piece(const std::string& id) const { return const_cast<Run*>(this)->find(id); }

tl::expected<void, Problem> Run::take(const Event& e) {
    if (!std::isfinite(e.at) || e.at < 0) return refuse(tr("An event needs a time after the run began."));
    if (!events_.empty() && e.at < now_) return refuse(tr("An event cannot lie before the one before it."));
    if (e.kind == Kind::Begun ? begun_ : !begun_)
        return refuse(begun_ ? tr("This day has begun already.") : tr("This day has not begun."));
    if (ended_ && e.kind != Kind::Undone) return refuse(tr("This day is over."));
    if (e.kind == Kind::Undone) {
        if (!canUndo()) return refuse(tr("There is nothing to take back."));
        while (!holds_.empty()) {  // what was laid out because of it goes with it
            const Kind last = events_[holds_.back()].kind;
            holds_.pop_back();
            if (isOwn(last) || last == Kind::Ended) break;
        }
        events_.push_back(e);
        again();
        now_ = e.at;
        return {};
    }
    if (auto ok = change(e); !ok) return ok;
    now_ = e.at;
    holds_.push_back(events_.size());
    events_.push_back(e);
    return {};
}

std::vector<const Event*> Run::held() const {
    std::vector<const Event*> out;
    out.reserve(holds_.size());
    for (const size_t i : holds_) out.push_back(&events_[i]);
    return out;
}

bool Run::canUndo() const {
    return std::ranges::any_of(holds_,
                               [&](size_t i) { return isOwn(events_[i].kind) || events_[i].kind == Kind::Ended; });
}

void Run::again() {
    begun_ = ended_ = false;
    steps_.clear();
    states_.clear();
    pots_.clear();
    pieces_.clear();
    free_.clear();
    for (const size_t i : holds_)
        if (!change(events_[i])) break;  // each was taken once, after the same ones
}

tl::expected<void, Problem> Run::change(const Event& e) {
    switch (e.kind) {
        case Kind::Begun: {
            std::set<std::string> known;
            for (const auto& c : e.counts)
                if (c.wanted < 0 || c.made < 0 || c.made > kMostPieces || !known.insert(c.piece).second)
                    return refuse(tr("The pieces of this run do not add up."));
            begun_ = true;
            plan_ = e.plan;
            deadline_ = e.deadline;
            begunAt_ = e.begun;
            for (const auto& c : e.counts) pieces_.push_back({c, 0, 0, 0, 0});
            return {};
        }
        case Kind::Laid:
            return lay(e);
        case Kind::Done:
            return done(e);
        case Kind::NotYet: {
            const Step* s = step(e.step);
            if (!s || !isOpen(e.step)) return refuse(tr("This step is not open."));
            if (e.minutes < 1 || e.minutes > 24 * 60) return refuse(tr("Look again in one minute at least."));
            states_[e.step].again = e.at + e.minutes * kMinute;
            return {};
        }
        case Kind::LeftOut: {
            if (!step(e.step) || !isOpen(e.step)) return refuse(tr("This step is not open."));
            leaveOut(e.step, e.at);
            return {};
        }
        case Kind::Happened:
            switch (e.mishap) {
                case Mishap::Broke:
                    return count(e);
                case Mishap::PotSet:
                case Mishap::TooHot:
                    if (!pots_.contains(e.pot)) return refuse(tr("This pot is not in use."));
                    pots_[e.pot].ready = false;
                    pots_[e.pot].since = e.at;
                    return {};
                case Mishap::Seized:
                case Mishap::RanOut:
                    if (!pots_.contains(e.pot)) return refuse(tr("This pot is not in use."));
                    pots_[e.pot].kilograms = 0;
                    pots_[e.pot].ready = false;
                    return {};
                default:
                    return {};
            }
        case Kind::Again:
        case Kind::Fewer:
        case Kind::Mended:
            return count(e);
        case Kind::Extra: {
            if (e.laid.size() != 1) return refuse(tr("A step of one's own is one step."));
            const Step& s = e.laid.front();
            if (s.id.empty() || step(s.id) || s.minutes < 1) return refuse(tr("This step is there already."));
            steps_.push_back(s);
            states_[s.id];
            sort();
            return {};
        }
        case Kind::Weighed:
            if (!(e.figure > 0 && e.figure < 100)) return refuse(tr("A weight lies above nothing and below 100 kg."));
            return {};
        case Kind::Read:
            if (!(e.figure > -40 && e.figure < 300)) return refuse(tr("A reading lies between −40 and 300 °C."));
            if (const auto it = pots_.find(e.pot); it != pots_.end()) it->second.celsius = e.figure;
            return {};
        case Kind::Warmed: {
            const auto it = pots_.find(e.pot);
            if (it == pots_.end() || !it->second.ready) return refuse(tr("This pot is not in use."));
            it->second.since = e.at;
            return {};
        }
        case Kind::MoldGone: {
            PieceState* p = find(e.piece);
            if (!p) return refuse(tr("There is no such piece in this day."));
            if (p->moldsGone >= kMostPieces) return refuse(tr("So many molds there are not."));
            ++p->moldsGone;
            return {};
        }
        case Kind::Ended:
            return end(e);
        case Kind::Undone:
            return {};
    }
    return {};
}

tl::expected<void, Problem> Run::count(const Event& e) {
    PieceState* p = find(e.piece);
    if (!p) return refuse(tr("There is no such piece in this day."));
    switch (e.kind) {
        case Kind::Again:
            if (e.count < 1 || p->again + e.count > kMostPieces) return refuse(tr("One more at least."));
            p->again += e.count;
            return {};
        case Kind::Fewer:
            if (e.count == 0 || p->fewer + e.count < -kMostPieces || e.count > p->wanted())
                return refuse(tr("So many are not wanted."));
            p->fewer += e.count;
            return {};
        case Kind::Mended:
            if (e.count < 1 || e.count > p->broken) return refuse(tr("So many have not broken."));
            p->broken -= e.count;
            return {};
        default:
            if (e.count < 1 || e.count > p->whole()) return refuse(say("{} can have broken at most.", p->whole()));
            p->broken += e.count;
            return {};
    }
}

void Run::leaveOut(const std::string& id, double at) {
    auto& state = states_[id];
    state.is = StepState::Is::LeftOut;
    state.from = state.to = at;
}

std::vector<std::string> Run::missing(const Step& s) const {
    std::vector<std::string> out;
    for (const auto& w : s.waits)
        if (step(w.after) && isOpen(w.after)) out.push_back(w.after);
    return out;
}

tl::expected<void, Problem> Run::done(const Event& e) {
    const Step* s = step(e.step);
    if (!s) return refuse(tr("There is no such step in this day."));
    if (!isOpen(e.step)) return refuse(say("“{}” is done already.", s->title));
    if (const auto open = missing(*s); !open.empty())
        return refuse(say("“{}” comes first.", step(open.front())->title));
    auto& state = states_[e.step];
    state.is = StepState::Is::Done;
    state.to = e.at;
    double from = s->at * kMinute;  // begun as planned, or when what its hands did before was done
    for (int p = 0; p < 32; ++p)
        if (s->who >> p & 1) {
            from = std::max(from, free(p));
            free_[p] = e.at;
        }
    state.from = std::clamp(from, 0.0, e.at);
    useOf(*s, e.at, pots_);
    return {};
}

tl::expected<void, Problem> Run::lay(const Event& e) {
    if (e.laid.size() > kMostSteps) return refuse(tr("These are more steps than a day has."));
    std::set<std::string> ids;
    for (const auto& s : e.laid) {
        if (s.id.empty() || !ids.insert(s.id).second) return refuse(tr("Each step needs an id of its own."));
        if (s.minutes < 1 || s.minutes > 7 * 24 * 60) return refuse(tr("A step takes a minute at least."));
        if (step(s.id) && !isOpen(s.id)) return refuse(say("“{}” is done already.", s.title));
    }
    std::erase_if(steps_, [&](const Step& s) { return isOpen(s.id); });
    std::erase_if(states_,
                  [&](const auto& s) { return s.second.is == StepState::Is::Waits && !ids.contains(s.first); });
    for (const auto& s : e.laid) {
        steps_.push_back(s);
        states_[s.id];
    }
    sort();
    return {};
}

void Run::sort() {
    std::ranges::stable_sort(steps_, {}, [](const Step& s) { return s.at; });
}

tl::expected<void, Problem> Run::end(const Event& e) {
    const auto open = std::ranges::find_if(steps_, [&](const Step& s) { return isOpen(s.id); });
    if (open != steps_.end() && e.count == 0)  // a person says so twice
        return refuse(say("“{}” is neither done nor left out.", open->title));
    for (const auto& s : steps_)
        if (isOpen(s.id)) leaveOut(s.id, e.at);
    ended_ = true;
    return {};
}

double Run::due(const Step& s) const {
    double out = std::max(0.0, state(s.id).again);
    bool any = false;
    for (const auto& w : s.waits)
        if (const auto it = states_.find(w.after); it != states_.end() && it->second.is == StepState::Is::Done)
            out = std::max(out, it->second.to + w.min * kMinute), any = true;
    return any || out > 0 ? out : s.at * kMinute;
}

double Run::latest(const Step& s) const {
    double out = -1;
    for (const auto& w : s.waits)
        if (const auto it = states_.find(w.after);
            w.max >= 0 && it != states_.end() && it->second.is == StepState::Is::Done)
            out = out < 0 ? it->second.to + w.max * kMinute : std::min(out, it->second.to + w.max * kMinute);
    return out;
}

double Run::free(int person) const {
    const auto it = free_.find(person);
    return it == free_.end() ? 0 : it->second;
}

const Step* Run::next(int person) const {
    for (const auto& s : steps_)
        if (isOf(s, person) && isOpen(s.id) && missing(s).empty()) return &s;
    return nullptr;
}

std::vector<const Step*> Run::after(int person, size_t many) const {
    std::vector<const Step*> out;
    const Step* now = next(person);
    for (const auto& s : steps_)
        if (out.size() < many && &s != now && isOf(s, person) && isOpen(s.id)) out.push_back(&s);
    return out;
}

std::vector<Timer> Run::timers(double second) const {
    std::vector<Timer> out;
    for (const auto& s : steps_) {
        if (!isOpen(s.id) || !missing(s).empty()) continue;
        const bool waits = state(s.id).again > 0 || std::ranges::any_of(s.waits, [&](const Wait& w) {
                               const auto it = states_.find(w.after);
                               return w.min > 0 && it != states_.end() && it->second.is == StepState::Is::Done;
                           });
        if (waits) out.push_back({s.id, "", due(s), latest(s)});
    }
    for (const auto& [id, pot] : pots_) {
        if (!pot.ready || pot.usable <= 0 || pot.kilograms <= 0) continue;
        if (std::ranges::none_of(steps_, [&](const Step& s) { return s.pot == id && s.takes > 0 && isOpen(s.id); }))
            continue;
        out.push_back({"", id, pot.since + pot.usable * kMinute * kWarmAt, pot.since + pot.usable * kMinute});
    }
    std::ranges::stable_sort(out, {}, [&](const Timer& t) {
        constexpr double kNever = std::numeric_limits<double>::max();
        const bool due = t.due <= second;
        return std::tuple(!due, due ? (t.latest < 0 ? kNever : t.latest) : t.due, t.due);
    });
    return out;
}

double Run::late(double second) const {
    for (const auto& s : steps_)
        if (isOpen(s.id) && missing(s).empty()) return std::max(second, due(s)) / kMinute - s.at;
    return 0;
}

}  // namespace uovo::run
