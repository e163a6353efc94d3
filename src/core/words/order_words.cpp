#include "core/words/order_words.h"

#include <fmt/format.h>

#include <algorithm>
#include <cctype>
#include <cmath>

#include "core/quantity/catalogue.h"
#include "core/quantity/plural.h"
#include "core/quantity/words.h"

namespace uovo {
namespace {

using assembly::kTable;
using Way = assembly::OrderStep::Way;

class OrderTeller {
public:
    OrderTeller(const PutTogether& t, const Made& made, UnitSystem units) : t_(t), made_(made), units_(units) {}

    std::string name(size_t body) const {
        const std::string n = lowerFirst(made_.assembly.items[t_.items[body]].name);
        const bool numbered = !n.empty() && std::isdigit(static_cast<unsigned char>(n.back()));  // "wall 3"
        return numbered ? n : say("the {}", n);
    }
    std::string length(double m) const { return format(m, Dimension::Length, units_); }
    std::string time(double s) const { return format(s, Dimension::Duration, units_); }

    /// "the dome, the tube and walls 1 to 8"
    std::string list(std::vector<std::string> names) const {
        const auto split = [](const std::string& n) {
            const size_t space = n.rfind(' ');
            const bool number = space != std::string::npos && space + 1 < n.size() &&
                                n.find_first_not_of("0123456789", space + 1) == std::string::npos;
            return number ? std::pair{n.substr(0, space), std::stoi(n.substr(space + 1, 6))} : std::pair{n, -1};
        };
        std::ranges::sort(names, {}, split);
        for (size_t i = 0; i < names.size(); ++i) {
            const auto [word, first] = split(names[i]);
            size_t k = i + 1;
            while (first >= 0 && k < names.size() &&
                   split(names[k]) == std::pair{word, first + static_cast<int>(k - i)})
                ++k;
            if (k - i < 3) continue;
            names[i] = fmt::format("{} {} to {}", plural(word), first, first + static_cast<int>(k - i) - 1);
            names.erase(names.begin() + static_cast<std::ptrdiff_t>(i) + 1,
                        names.begin() + static_cast<std::ptrdiff_t>(k));
        }
        return listed(names);
    }

    OrderLine line(const assembly::Order& order, size_t k, bool beside) const {
        const auto& s = order.steps[k];
        OrderLine out;
        std::vector<std::string> what;
        for (const size_t p : s.parts) {
            what.push_back(name(p));
            out.items.push_back(t_.items[p]);
        }
        const std::string with =
            s.parts.size() > 1 ? what.front() + tr(" with ") + list({what.begin() + 1, what.end()}) : what.front();
        std::vector<std::string> onto;
        std::vector<std::string> where;  // what the joints themselves say
        bool on = false;
        for (const size_t g : s.glues) {
            const auto& glue = t_.glues[g];
            const bool a = std::ranges::find(s.parts, glue.a) != s.parts.end();
            onto.push_back(name(a ? glue.b : glue.a));
            on = on || liesOn(a ? glue.a : glue.b, a ? glue.b : glue.a);
            out.hold = std::max(out.hold, glue.hold);
            out.bears = std::max(out.bears, glue.set);
            const auto& joint = made_.assembly.joints[t_.joints[g]];
            out.length += joint.length;
            out.glue = joint.glue;
            if (joint.words.find(' ') != std::string::npos && std::ranges::find(where, joint.words) == where.end())
                where.push_back(joint.words);
        }
        if (!s.possible) {
            out.harm = true;
            out.what = upperFirst(with);
            out.how = why(order, k);
            return out;
        }
        if (onto.empty())
            out.what = k == 0 ? fmt::format("{} {}", s.way == Way::Prop ? tr("Stand up") : tr("Begin with"), with)
                              : say("Stand {} in its place", with);
        else out.what = on ? say("Glue {} on {}", with, list(onto)) : say("Glue {} to {}", with, list(onto));
        out.beside = beside;
        if (beside) out.what += tr(", beside the rest");
        std::string how;
        for (const auto& w : where) how += (how.empty() ? upperFirst(w) : ", " + w);
        if (!how.empty()) how += ". ";
        if (s.waits) how += say("First let the glue before it bear: {}. ", time(lastBears(order, k)));
        if (s.way != Way::Hold) out.hold = 0;
        if (s.way == Way::Free)
            how += onto.empty() ? tr("It stands by itself.") : tr("It stands by itself while the glue sets.");
        if (s.way == Way::Hold) how += say("Hold it for {}, until the glue grips.", time(out.hold));
        if (s.way == Way::Prop) how += props(s, order.steps.size());
        out.how = how;
        return out;
    }

    /// Why a step cannot be made.
    std::string why(const assembly::Order& order, size_t k) const {
        if (!order.steps[k].touches) return tr("It touches nothing that is there yet.");
        if (const size_t outer = order.steps[k].shutBy; outer != kTable)
            return say("It does not come to its place any more: {} closes over it.", name(outer));
        if (order.tips == kTable) return tr("It falls, whatever stands beside it.");
        std::string out = say("{} tips", upperFirst(name(order.tips)));
        if (order.tipsTo != form::Vec3{}) out += fmt::format(" {}", toWords(order.tipsTo));
        return out + (order.beyond > 0 ? say(": the weight lies {} outside its foot.", length(order.beyond))
                                       : tr(", whatever stands beside it."));
    }
    static const char* toWords(const form::Vec3& way) {
        if (std::abs(way.x) > std::abs(way.y)) return way.x > 0 ? tr("to the right") : tr("to the left");
        return way.y > 0 ? tr("to the back") : tr("to the front");
    }

    /// The first lies on the second: it is pushed up by it.
    bool liesOn(size_t a, size_t b) const {
        const auto& all = t_.found.contacts;
        const auto c = std::ranges::find_if(all, [&](const auto& x) { return x.between(a, b); });
        return c != all.end() && c->lifts(a) > 0.3;
    }

private:
    double lastBears(const assembly::Order& order, size_t k) const {
        double most = 0;
        for (const size_t g : order.steps[k - 1].glues) most = std::max(most, t_.glues[g].set);
        return most;
    }
    std::string props(const assembly::OrderStep& s, size_t steps) const {
        std::vector<std::string> words;
        int against = 0;
        double high = 0;
        size_t until = 0;
        for (const auto& p : s.props) {
            until = std::max(until, p.until);
            if (p.below()) words.push_back(say("{} high under it", thing(p.height)));
            else ++against, high = std::max(high, p.height);
        }
        if (against > 0)
            words.push_back(say("something heavy against it {}, {} up",
                                against > 1 ? tr("on either side") : tr("on the open side"), length(high)));
        return say("Put {}{}.", list(words),
                   until >= steps ? tr(", until all of it has set") : say(", until step {} has set", until + 1));
    }
    std::string thing(double height) const {
        const char* what = height < 0.012  ? tr("a folded cloth")
                           : height < 0.06 ? tr("a block of foam")
                           : height < 0.13 ? tr("a tin or cup")
                                           : tr("a tall glass");
        return fmt::format("{} {}", what, length(height));
    }
    const PutTogether& t_;
    const Made& made_;
    UnitSystem units_;
};

const char* sideWords(assembly::Side side) {
    switch (side) {
        case assembly::Side::Upright:
            return "";
        case assembly::Side::UpsideDown:
            return tr("Build it upside down, and turn it over when all of it has set.");
        default:
            return tr("Build it lying on its side, and stand it up when all of it has set.");
    }
}

}  // namespace

std::vector<OrderLine> orderLines(const PutTogether& t, const Made& made, UnitSystem units) {
    const OrderTeller teller(t, made, units);
    std::vector<OrderLine> out;
    for (const auto& s : toldSteps(t.order)) out.push_back(teller.line(*s.order, s.step, s.beside));
    if (const std::string side = sideWords(t.order.side); !side.empty() && !out.empty())
        out.front().how = side + " " + out.front().how;
    return out;
}

std::string eachBeforeTheNext(const std::vector<Gluing>& goes, int pieces) {
    bool waits = false, spared = false;
    for (size_t k = 1; k < goes.size(); ++k) {
        waits = waits || waitBetween(goes[k - 1], goes[k], pieces) > 0;
        spared = spared || goes[k].wait > 0;
    }
    return say("Do each step on all {} before the next one{}.", pieces,
               spared && !waits ? tr(": what was glued first bears by then") : "");
}

std::vector<std::string> orderTroubles(const PutTogether& t, const Made& made, UnitSystem units) {
    const OrderTeller teller(t, made, units);
    std::vector<std::string> out;
    out.reserve(t.found.afloat.size() + t.apart.size() + t.found.cuts.size() + 1);
    for (const size_t p : t.found.afloat)
        out.push_back(say("{} touches nothing: move it, nearer than {} glue takes it.", upperFirst(teller.name(p)),
                          teller.length(5e-4)));
    for (const size_t j : t.apart) {
        const auto& joint = made.assembly.joints[j];
        const size_t a = t.bodyOf(joint.a), b = t.bodyOf(joint.b);
        if (std::ranges::find(t.found.afloat, a) != t.found.afloat.end() ||
            std::ranges::find(t.found.afloat, b) != t.found.afloat.end())
            continue;
        out.push_back(say("{} does not reach {}: they are to be glued.", upperFirst(teller.name(a)), teller.name(b)));
    }
    for (const auto& c : t.found.cuts)
        out.push_back(say("{} and {} cut {} into each other.", upperFirst(teller.name(c.a)), teller.name(c.b),
                          teller.length(c.depth)));
    if (t.asked && t.order.stuck != kTable)
        out.push_back(
            say("In your order step {} cannot be made. {}", t.order.stuck + 1, teller.why(t.order, t.order.stuck)));
    if (!t.order.stands && t.order.stuck == kTable)
        out.push_back(t.order.beyond > 0
                          ? say("Finished, it tips over: its weight lies {} outside its foot. A foot wider that "
                                "way by more than that, or something under {} for good.",
                                teller.length(t.order.beyond), teller.name(t.order.tips))
                          : say("Finished, it does not stand on a table that leans a little: {} moves first.",
                                teller.name(t.order.tips)));
    return out;
}

std::optional<Answer> coverAnswer(const PutTogether& t, const Made& made, UnitSystem units) {
    if (!t.problem.empty() || t.covers.empty()) return std::nullopt;
    constexpr double kLetDown = 0.002;  // m: less is touched when it is let down
    const OrderTeller teller(t, made, units);
    const auto least = [](const Cover& c) { return std::min(c.room.above, c.room.beside); };
    const auto tight = std::ranges::min_element(t.covers, {}, least);
    Answer a;
    a.id = "cover";
    const double room = least(*tight);
    a.figure = {room, room, room, Dimension::Length};
    a.headline = teller.length(room);
    a.after = tr("free under ") + teller.name(tight->outer);
    for (const auto& c : t.covers) {
        if (&c != &*tight && a.working.inputs.size() > 8) break;
        if (&c == &*tight)
            a.sentence = say("{} leaves {} beside and {} above {}, which goes to its place first.",
                             upperFirst(teller.name(c.outer)), teller.length(c.room.beside),
                             teller.length(c.room.above), teller.name(c.inner));
        a.working.inputs.push_back(
            {teller.name(c.outer) + tr(" over ") + teller.name(c.inner),
             teller.length(c.room.beside) + tr(" beside, ") + teller.length(c.room.above) + tr(" above"), "",
             tr("geometry")});
    }
    if (room < kLetDown) {
        a.tone = Tone::Weak;
        a.sentence += tr(" So little is touched when it is let down: two millimetres all round are easier.");
    }
    a.working.title = tr("Room under a cover");
    a.working.formula =
        tr("the least way of what is inside, up and to four sides, before it touches what closes over it");
    a.working.result = a.headline;
    a.working.trust = tr("As exact as your ruler and the wall; walls differ by a third.");
    a.working.section = tr("Putting together");
    return a;
}

std::optional<Answer> orderAnswer(const PutTogether& t, const Made& made, UnitSystem units) {
    if (!t.problem.empty()) return std::nullopt;
    const auto lines = orderLines(t, made, units);
    const auto troubles = orderTroubles(t, made, units);
    Answer a;
    a.id = "together";
    const double n = double(lines.size());
    a.figure = {n, n, n, Dimension::Count};
    a.headline = std::to_string(lines.size());
    a.after = lines.size() == 1 ? tr("step to put it together") : tr("steps to put it together");
    int held = 0, propped = 0;
    for (const auto& s : t.order.steps) held += s.way == Way::Hold, propped += s.way == Way::Prop;
    if (!troubles.empty()) {
        a.tone = t.order.stands ? Tone::Weak : Tone::Impossible;
        a.sentence = troubles.front();
    } else {
        a.sentence = lines.empty() ? "" : lines.front().what + ". ";
        a.sentence += held == 0 && propped == 0 ? tr("Every part stands by itself while its glue sets.")
                      : propped == 0
                          ? say("{} held until the glue grips.", held == 1 ? tr("One is") : say("{} are", held))
                          : say("{} held until the glue grips, {} something beside it.",
                                held == 1 ? tr("One is") : say("{} are", held),
                                propped == 1 ? tr("one needs") : say("{} need", propped));
    }
    a.working = {
        tr("Order of putting together"),
        tr("Σ f + m g = 0, Σ (x − c) × f = 0 for each part, f in friction cones and within what glue bears;  the "
           "least wrench that is missing by a linear program, upright and leaning to eight sides"),
        {{tr("friction"), "0.4", "0.3–0.6", tr("judgement")},
         {tr("lean"), "2°", "1–4°", tr("judgement")},
         {tr("cut short by"), format(1e-3, Dimension::Length, units), "0.5–2 mm", tr("judgement")},
         {tr("glue fills"), format(5e-4, Dimension::Length, units), "", tr("judgement")}},
        a.headline,
        tr("What is said to stand stands with these tolerances; what is said to be held may stand in a lucky hand. "
           "Fit it dry first."),
        tr("Putting together")};
    return a;
}

}  // namespace uovo
