// What the core's tests share.
#pragma once
#include "core/answers/answers.h"
#include "core/form/rock.h"
#include "core/stages/shopping.h"
#include "io/data.h"

namespace uovo::test {

inline Plan demo() { return io::demoPlan(20669L * 1440); }

inline AnswerOptions withoutStrength() {
    AnswerOptions o;
    o.strength = o.together = false;  // the dearest, and tested by themselves
    o.effort = 0.1;                   // a day, not the best one
    return o;
}

/// The same with a day as the program finds it.
inline AnswerOptions asTheProgram() {
    AnswerOptions o = withoutStrength();
    o.effort = 1;
    return o;
}

/// Answers of a plan, the day included.
inline Answers answersOf(const Plan& plan, AnswerOptions options = withoutStrength()) {
    Cache cache;
    return *answer(plan, io::library(), cache, options);
}

/// Problems as lines with their places, sorted.
inline std::vector<std::string> sentences(const std::vector<Problem>& problems) {
    std::vector<std::string> out;
    for (const auto& p : problems) out.push_back(p.where + ": " + p.sentence);
    std::sort(out.begin(), out.end());
    return out;
}

inline AnswerOptions withoutDay() {
    AnswerOptions o;
    o.day = o.strength = o.together = false;
    return o;
}

/// A model for a family that takes one: a stone, or the lower half of a ball with its flat side up.
inline std::shared_ptr<const form::Mesh> modelFor(const std::string& family, double radius = 0.03) {
    if (family == "mesh") return std::make_shared<const form::Mesh>(form::rock(radius, 7, 3));
    form::Part half = form::usual("half-ball");
    half.values["diameter"] = Measure(2 * radius);
    half.values["depth"] = Measure(radius);
    form::Mesh mesh = form::build(half)->items.front().shape.surface;
    mesh.marks.clear();
    return std::make_shared<const form::Mesh>(std::move(mesh));
}

/// How much of something is bought besides chocolate; empty where it is not on the list.
inline std::string bought(const Shopping& list, const std::string& name) {
    for (const auto& s : list.supplies)
        if (s.name == name) return s.amount;
    return {};
}

/// Puts something into a piece of a plan.
inline FillStep& fill(Plan& plan, Piece& piece, const char* name = "Cream", double each = 1e-4,
                      bool perishable = true) {
    Filling f;
    f.name = name;
    f.perishable = perishable;
    FillStep& step = plan.fillWith(piece, plan.keep(std::move(f)));
    step.each = Measure(each);
    return step;
}

/// A bowl's or cup's shape from its figures, m.
inline form::Part balloon(double girth, double length, double dip, double pear = 0.2) {
    form::Part p = form::usual("balloon");
    p.values = {{"girth", girth}, {"length", length}, {"dip", dip}, {"pear", pear}};
    return p;
}
inline form::Part cup(double base, double top, double height, double corner, double fillLine) {
    form::Part p = form::usual("cup");
    p.values = {
        {"baseDiameter", base}, {"topDiameter", top}, {"height", height}, {"corner", corner}, {"fillLine", fillLine}};
    return p;
}

inline material::Coating coating(const char* id, material::Temper temper = material::Temper::Tempered) {
    return *material::coating(*io::library().find(id), temper, material::Thinner::None, 0, {}, io::library().physics);
}

/// The answer of a piece with this id, or none.
inline const Answer* find(const PieceAnswers& a, const std::string& id) {
    for (const auto& x : a.answers)
        if (x.id == id) return &x;
    return nullptr;
}

}  // namespace uovo::test
