#include "core/run/rehearse.h"

#include <algorithm>
#include <cmath>
#include <map>

#include "core/run/habit.h"
#include "core/run/run_json.h"

namespace uovo::run {
namespace {

constexpr size_t kMost = 20'000;  // events: no rehearsal is that long

class Player {
public:
    Player(const Plan& plan, const material::Library& lib, const PlanFigures& known, const DayPlan& day, unsigned seed,
           const Luck& luck, const Answering& answer, std::stop_token stop,
           const std::function<void(const Event&)>& told)
        : plan_(plan),
          lib_(lib),
          known_(known),
          day_(day),
          answer_(answer),
          stop_(std::move(stop)),
          told_(told),
          fate_(seed, luck) {}

    tl::expected<Rehearsal, Problem> play() {
        if (!day_.problem.empty()) return tl::unexpected(Problem{day_.problem, "day"});
        const long local = *localMinutes(day_.clock(day_.layout.begins));
        Event first = begin(plan_, known_, local);
        take(first);
        take(laid(day_, local, 0));
        const size_t people = std::max<size_t>(1, day_.asked.people.size());
        busy_.assign(people, {});
        while (out_.run.events().size() < kMost && !stop_.stop_requested() && go()) {
        }
        if (stop_.stop_requested()) return tl::unexpected(Problem{"stopped"});
        Event end;
        end.kind = Kind::Ended;
        end.count = 1;
        end.at = out_.run.now();
        take(end);
        return tellAll();
    }

private:
    struct Busy {
        std::string step;
        double from = 0, until = 0;  // s of the run
        double over = 0;             // min that it takes more than planned
    };

    bool take(const Event& e) {
        if (!out_.run.take(e)) return false;
        if (told_) told_(out_.run.events().back());
        return true;
    }

    /// One thing that ends, or is begun. @returns false when nothing is left
    bool go() {
        begins();
        size_t first = busy_.size();
        for (size_t p = 0; p < busy_.size(); ++p)
            if (!busy_[p].step.empty() && (first == busy_.size() || busy_[p].until < busy_[first].until)) first = p;
        if (first == busy_.size()) return false;
        const Busy now = busy_[first];
        for (auto& b : busy_)
            if (b.step == now.step) b = {};
        now_ = std::max(now_, now.until);
        const Step* found = out_.run.step(now.step);
        if (!found || !out_.run.isOpen(now.step)) return true;  // gone with what was laid out anew
        const Step s = *found;
        if (notYet(s)) return true;
        slow_[s.kind] += now.over;
        Event e;
        e.kind = Kind::Done;
        e.step = s.id;
        e.at = now_;
        e.who = s.who;
        if (!take(e)) {  // something before it was not done: it is left out, said so
            e.kind = Kind::LeftOut;
            take(e);
            return true;
        }
        happens(s);
        if (const double late = out_.run.late(now_); late > kBehind && late - lateThen_ > kBehind) anew();
        return true;
    }

    /// Whoever is free begins their next step, at its time or as soon as they can.
    void begins() {
        for (size_t p = 0; p < busy_.size(); ++p) {
            if (!busy_[p].step.empty()) continue;
            const Step* s = firstFree([&](const Step& x) { return (x.who >> p & 1) != 0; });
            if (!s && p == 0) s = firstFree([](const Step& x) { return x.who == 0; });  // for which nobody was found
            if (!s) continue;
            double start = std::max({now_, out_.run.due(*s), s->at * kMinute});
            std::vector<size_t> hands;
            for (size_t q = 0; q < busy_.size(); ++q)
                if (q == p || (s->who >> q & 1)) hands.push_back(q);
            for (const size_t q : hands)
                if (!busy_[q].step.empty()) start = std::max(start, busy_[q].until);
            const double took = s->minutes * kMinute * fate_.factor(*s);
            for (const size_t q : hands)
                if (busy_[q].step.empty()) busy_[q] = {s->id, start, start + took, took / kMinute - s->minutes};
        }
    }
    /// The first step of some that may be done and that nobody is at.
    template <class Wanted>
    const Step* firstFree(const Wanted& wanted) const {
        for (const auto& x : out_.run.steps())
            if (wanted(x) && out_.run.isOpen(x.id) && out_.run.missing(x).empty() && !isBegun(x.id)) return &x;
        return nullptr;
    }
    bool isBegun(const std::string& id) const {
        return std::ranges::any_of(busy_, [&](const Busy& b) { return b.step == id; });
    }

    /// What was to have set by now may not have.
    bool notYet(const Step& s) {
        const auto e = fate_.notYet(out_.run, s, now_);
        if (!e || !take(*e)) return false;
        cost("not-set", e->minutes, 0);
        return true;
    }

    void happens(const Step& s) {
        const auto e = fate_.mishap(out_.run, s, plan_, known_, now_);
        if (!e || !take(*e)) return;
        const auto offered = ways(out_.run, *e, plan_, lib_, known_, day_);
        const size_t chosen = answer_ ? std::min(answer_(out_.run, *e, offered), offered.size() - 1) : 0;
        const Way& way = offered[chosen];
        for (Event next : way.events) {
            next.at = now_;
            take(next);
        }
        const bool away = e->mishap == Mishap::Interrupted;
        cost(wordOf(e->mishap), away ? e->minutes : way.minutes, way.kilograms);
        if (away) {
            for (auto& b : busy_)
                if (!b.step.empty()) b.until += e->minutes * kMinute;
            now_ += e->minutes * kMinute;
        }
        anew();
    }

    void anew() {
        UnderWay underWay;
        for (const auto& b : busy_)
            if (!b.step.empty() && b.from < now_) underWay[b.step] = {b.from, b.until};
        auto next = layAnew(out_.run, now_, plan_, lib_, known_, day_, underWay, stop_);
        if (!next) return;
        if (!take(next->event)) return;
        day_ = std::move(next->day);
        for (auto& b : busy_)  // what was not begun yet may come at another time
            if (b.from >= now_) b = {};
        lateThen_ = std::max(0.0, out_.run.late(now_));
    }

    void cost(const std::string& cause, double minutes, double kilograms) {
        auto& t = costs_[cause];
        t.cause = cause;
        t.minutes += minutes;
        t.kilograms += kilograms;
        ++t.times;
    }

    Rehearsal tellAll() {
        const long ready = localAt(out_.run, now_), due = localMinutes(plan_.deadline).value_or(0);
        out_.late = static_cast<double>(minutesBetween(due, ready));
        for (const auto& p : out_.run.pieces())
            out_.wanted += p.wanted(), out_.whole += std::min(p.whole(), p.wanted());
        double slow = 0;
        for (const auto& [kind, minutes] : slow_) slow += std::max(0.0, minutes);
        if (slow > 0.5) costs_["slow"] = {"slow", slow, 0, 1};
        for (const auto& [cause, t] : costs_) out_.costs.push_back(t);
        std::ranges::stable_sort(out_.costs, std::ranges::greater{}, &Told::minutes);
        out_.habit = habit();
        return std::move(out_);
    }

    /// What costs most and can be practised.
    std::string habit() const {
        std::map<std::string, double> by;
        for (const auto& [kind, minutes] : slow_)
            if (minutes > 0) by[lessonOf(kind)] += minutes;
        for (const auto& h : habits(out_.run, known_)) by[h.lesson] += h.minutes;
        std::string best;
        for (const auto& [name, minutes] : by)
            if (minutes > 2 && (best.empty() || minutes > by[best])) best = name;
        return best;
    }

    const Plan& plan_;
    const material::Library& lib_;
    const PlanFigures& known_;
    DayPlan day_;
    const Answering& answer_;
    std::stop_token stop_;
    const std::function<void(const Event&)>& told_;
    Fate fate_;
    double now_ = 0, lateThen_ = 0;
    std::vector<Busy> busy_;
    std::map<std::string, double> slow_;
    std::map<std::string, Told> costs_;
    Rehearsal out_;
};

}  // namespace

tl::expected<Rehearsal, Problem> rehearse(const Plan& plan, const material::Library& lib, const PlanFigures& known,
                                          const DayPlan& day, unsigned seed, const Luck& luck, const Answering& answer,
                                          std::stop_token stop, const std::function<void(const Event&)>& told) {
    return Player(plan, lib, known, day, seed, luck, answer, std::move(stop), told).play();
}

}  // namespace uovo::run
