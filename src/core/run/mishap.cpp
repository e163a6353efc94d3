#include "core/run/mishap.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "core/quantity/catalogue.h"
#include "core/quantity/plural.h"
#include "core/quantity/words.h"
#include "core/stages/mending.h"

namespace uovo::run {
namespace {

class Offers {
public:
    Offers(const Run& run, const Event& happened, const Plan& plan, const material::Library& lib,
           const PlanFigures& known, const DayPlan& day)
        : run_(run), e_(happened), plan_(plan), lib_(lib), known_(known), day_(day) {}

    std::vector<Way> all() {
        switch (e_.mishap) {
            case Mishap::Broke:
                broke(std::max(1, e_.count));
                break;
            case Mishap::MoldDropped:
                if (whole() > 0) broke(1);
                moldGone();
                break;
            case Mishap::BareSpots:
                patch();
                break;
            case Mishap::NotSet:
                wait();
                break;
            case Mishap::TooHot:
            case Mishap::PotSet:
            case Mishap::Seized:
            case Mishap::RanOut:
                pot();
                break;
            case Mishap::OneMore:
                oneMore();
                break;
            case Mishap::TooThick:
            case Mishap::Interrupted:
                break;
        }
        if (out_.empty())
            add("on", e_.mishap == Mishap::Interrupted ? tr("Plan the rest anew from here")
                                                       : tr("Go on; it is kept for the log"));
        return std::move(out_);
    }

private:
    Way& add(std::string id, std::string words, int minutes = 0, double kilograms = 0) {
        out_.push_back({std::move(id), std::move(words), minutes, kilograms, {}});
        return out_.back();
    }
    static Event event(Kind kind, const std::string& piece, int count) {
        Event e;
        e.kind = kind;
        e.piece = piece;
        e.count = count;
        return e;
    }
    const Piece* piece() const { return plan_.piece(e_.piece); }
    int whole() const {
        const auto* p = run_.piece(e_.piece);
        return p ? p->whole() : 0;
    }
    int minutes(const char* task, int many = 1) const {
        const auto& t = lib_.tasks.at(task);
        return std::max(1, static_cast<int>(std::ceil(t.seconds.value * (t.perPiece ? many : 1) / 60)));
    }
    std::string named(int many) const {
        const std::string one = piece() ? lowerFirst(piece()->name) : tr("piece");
        return many == 1 ? tr("one ") + one : fmt::format("{} {}", many, plural(one));
    }
    double eachMass() const {
        const PieceAnswers* a = known_.piece(e_.piece);
        return a && a->made ? a->made->mass : 0;
    }
    /// Minutes of hands that one of a piece takes, of all that are in the day.
    int eachMinutes() const {
        const auto* p = run_.piece(e_.piece);
        int all = 0;
        for (const auto& t : day_.asked.tasks)
            if (t.piece == e_.piece) all += t.minutes * std::max(1, t.hands);
        return p && p->count.made > 0 ? std::max(5, static_cast<int>(std::ceil(double(all) / p->count.made))) : 5;
    }
    std::string kitchenPot() const {  // of the piece's chocolate
        const Piece* p = piece();
        return p ? potOf(*p, p->chocolate, lib_).id() : std::string();
    }
    Event extra(const std::string& id, std::string title, int minutes, double kilograms) const {
        Event e;
        e.kind = Kind::Extra;
        Step s;
        int number = 1;
        while (run_.step(fmt::format("{}/{}-{}", e_.piece, id, number))) ++number;
        s.id = fmt::format("{}/{}-{}", e_.piece, id, number);
        s.title = std::move(title);
        s.piece = e_.piece;
        s.lane = "finish";
        s.kind = "extra";
        s.minutes = minutes;
        s.at = static_cast<int>(e_.at / 60);
        s.pot = kitchenPot();
        s.takes = kilograms;
        e.laid.push_back(std::move(s));
        return e;
    }

    /// The mold itself is broken: what is left goes in smaller rounds.
    void moldGone() {
        const Piece* p = piece();
        const auto* state = run_.piece(e_.piece);
        if (!p || !state || p->molds - state->moldsGone < 2) return;  // as many as are needed, or the only one
        const Way base = out_.empty() ? Way{} : out_.front();
        Way& w = add("mold", say("The mold is broken too: go on with {}", p->molds - state->moldsGone - 1),
                     base.minutes, base.kilograms);
        w.events = base.events;
        w.events.push_back(event(Kind::MoldGone, e_.piece, 1));
    }

    void broke(int n) {
        const auto* p = run_.piece(e_.piece);
        if (!p || !piece()) return;
        const bool toldOf = e_.mishap == Mishap::MoldDropped;  // what was in it is not counted as broken yet
        const int after = p->whole() - (toldOf ? n : 0);
        const auto also = [&](Way& w) {
            if (!toldOf) return;
            Event b = event(Kind::Happened, e_.piece, n);
            b.mishap = Mishap::Broke;
            w.events.insert(w.events.begin(), std::move(b));
        };
        if (after >= p->wanted()) also(add("spare", say("There is a spare: {} are still enough", p->wanted())));
        if (const PieceAnswers* a = known_.piece(e_.piece);
            a && a->made && !a->made->assembly.items.empty() && !toldOf) {
            for (const auto& m : mends(lib_, *a, 0)) {
                if (m.how != Mend::How::Glue && m.how != Mend::How::Patch) continue;
                if (m.verdict == Mend::Verdict::Fails) continue;
                const int hands = std::max(1, static_cast<int>(std::ceil(m.hands * n / 60)));
                Way& w = add("glue",
                             m.verdict == Mend::Verdict::Bears ? tr("Glue it back: it bears as before")
                                                               : tr("Glue it back, for show: do not load it"),
                             hands, m.mass * n);
                w.events.push_back(event(Kind::Mended, e_.piece, n));
                w.events.push_back(extra("glue", tr("Glue back ") + named(n), hands, m.mass * n));
                break;
            }
        }
        if (after < p->wanted()) {
            const int missing = std::min(n, p->wanted() - after);
            Way& again = add("again", say("Make {} more from the beginning", named(missing)), eachMinutes() * missing,
                             eachMass() * missing);
            again.events.push_back(event(Kind::Again, e_.piece, missing));
            also(again);
            Way& fewer =
                add("fewer", missing == 1 ? std::string(tr("Serve one fewer")) : say("Serve {} fewer", missing));
            fewer.events.push_back(event(Kind::Fewer, e_.piece, missing));
            also(fewer);
        }
    }

    void patch() {
        if (!piece()) return;
        const int many = std::max(1, e_.count), hands = minutes("patch", many);
        const double kg = 0.03 * eachMass() * many;
        add("patch", tr("Brush chocolate over the bare spots of ") + named(many), hands, kg)
            .events.push_back(extra("patch", tr("Brush over the bare spots of ") + named(many), hands, kg));
        add("on", tr("Leave them: they will not show"));
    }

    void wait() {
        for (const int more : {3, 6, 12}) {
            Way& w = add("wait", say("Look again in {} min", more), 0, 0);
            Event e;
            e.kind = Kind::NotYet;
            e.step = e_.step;
            e.minutes = more;
            w.events.push_back(e);
        }
    }

    void pot() {
        const auto it = run_.pots().find(e_.pot);
        const auto of = std::ranges::find(day_.asked.pots, e_.pot, &schedule::Pot::id);
        if (it == run_.pots().end() || of == day_.asked.pots.end()) return;
        double left = 0;  // kg that are still to be taken from it
        for (const auto& s : run_.steps())
            if (run_.isOpen(s.id) && s.pot == e_.pot) left += s.takes;
        const double kg = std::max(it->second.kilograms, 0.0);
        const bool lost = e_.mishap == Mishap::Seized || e_.mishap == Mishap::RanOut;
        if (left <= 0) {
            add("on", tr("Nothing more is taken from it: go on"));
            return;
        }
        const int temper = of->tempered ? schedule::temperMinutes(*of, std::max(kg, left)) : 0;
        if (!lost && e_.mishap == Mishap::TooHot)
            add("temper",
                of->tempered ? tr("Temper it again, with seed: it has lost its crystals above its working range")
                             : tr("Stir until it has cooled"),
                std::max(2, temper), of->tempered ? lib_.physics.at("seedShare").value * kg : 0);
        else if (!lost)
            add("temper", tr("Melt it through and temper it again"), schedule::meltMinutes(*of, kg) + temper, 0);
        else
            add("melt",
                e_.mishap == Mishap::Seized
                    ? tr("Melt new chocolate; what has seized makes a filling with warm cream, never a shell")
                    : tr("Melt more"),
                schedule::meltMinutes(*of, left) + (of->tempered ? schedule::temperMinutes(*of, left) : 0), left);
    }

    void oneMore() {
        const auto* p = run_.piece(e_.piece);
        if (!p || !piece()) return;
        const int more = std::max(1, e_.count);
        if (p->whole() >= p->wanted() + more)
            add("spare", tr("A spare is there for them")).events.push_back(event(Kind::Fewer, e_.piece, -more));
        Way& w =
            add("again", say("Make {} more from the beginning", named(more)), eachMinutes() * more, eachMass() * more);
        w.events.push_back(event(Kind::Fewer, e_.piece, -more));
        w.events.push_back(event(Kind::Again, e_.piece, more));
        add("on", tr("Share what there is"));
    }

    const Run& run_;
    const Event& e_;
    const Plan& plan_;
    const material::Library& lib_;
    const PlanFigures& known_;
    const DayPlan& day_;
    std::vector<Way> out_;
};

}  // namespace

Asks asks(Mishap m) {
    switch (m) {
        case Mishap::Broke:
        case Mishap::BareSpots:
        case Mishap::TooThick:
        case Mishap::MoldDropped:
        case Mishap::OneMore:
            return Asks::Piece;
        case Mishap::TooHot:
        case Mishap::PotSet:
        case Mishap::Seized:
        case Mishap::RanOut:
            return Asks::Pot;
        case Mishap::Interrupted:
            return Asks::Minutes;
        case Mishap::NotSet:
            return Asks::Nothing;
    }
    return Asks::Nothing;
}

std::string told(Mishap m) {
    switch (m) {
        case Mishap::Broke:
            return tr("One broke");
        case Mishap::BareSpots:
            return tr("It has bare spots");
        case Mishap::TooThick:
            return tr("It came out too thick");
        case Mishap::NotSet:
            return tr("It has not set");
        case Mishap::TooHot:
            return tr("The pot is too hot");
        case Mishap::PotSet:
            return tr("The pot has set");
        case Mishap::Seized:
            return tr("The pot has seized: thick and grainy");
        case Mishap::Interrupted:
            return tr("I was called away");
        case Mishap::MoldDropped:
            return tr("A mold was dropped");
        case Mishap::OneMore:
            return tr("One more guest");
        case Mishap::RanOut:
            return tr("The chocolate ran out");
    }
    return {};
}

std::vector<Mishap> mishaps() {
    using enum Mishap;
    return {Broke, BareSpots, NotSet, TooThick, TooHot, PotSet, Seized, RanOut, MoldDropped, OneMore, Interrupted};
}

std::vector<Way> ways(const Run& run, const Event& happened, const Plan& plan, const material::Library& lib,
                      const PlanFigures& known, const DayPlan& day) {
    return Offers(run, happened, plan, lib, known, day).all();
}

}  // namespace uovo::run
