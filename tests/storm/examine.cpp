#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <nlohmann/json.hpp>
#include <set>

#include "core/answers/answers.h"
#include "storm/storm.h"
#include "support.h"

namespace uovo::storm {
namespace {

std::string figures(const Answers& answers) {
    for (const auto& p : answers.pieces) {
        if (!p->problems.empty()) continue;
        const double mass = p->made ? p->made->mass : 0;
        if (!(mass >= 0 && mass < 200)) return fmt::format("{} weighs {} kg", p->id, mass);
        for (const Answer& a : p->answers) {
            if (a.sentence.empty() || a.id.empty()) return fmt::format("{} has an answer without words", p->id);
            if (a.sentence.find("nan") != std::string::npos || a.sentence.find("inf ") != std::string::npos)
                return fmt::format("{}: {}", p->id, a.sentence);
            if (a.figure.dimension == Dimension::Length && std::isfinite(a.figure.value) &&
                std::abs(a.figure.value) > 20)
                return fmt::format("{} of {} is {} m", a.id, p->id, a.figure.value);
            if (a.figure.dimension == Dimension::Mass && std::isfinite(a.figure.value) && a.figure.value < 0)
                return fmt::format("{} of {} is {} kg", a.id, p->id, a.figure.value);
        }
    }
    if (answers.day) {
        std::set<std::string> ids;
        for (const auto& t : answers.day->network.tasks)
            if (!ids.insert(t.id).second) return "two tasks are called " + t.id;
    }
    return {};
}

}  // namespace

std::string examine(const Plan& plan, const Bounds& bounds, bool whole) {
    const std::string text = writePlan(plan);
    const auto back = readPlan(text);
    if (!back) return "it is written but not read back: " + back.error().sentence;
    if (writePlan(*back) != text) return "written again it is another file";
    const double before = computed();
    const auto found = problems(*back, io::library());
    if (const double took = computed() - before; took > bounds.checkSeconds)
        return fmt::format("the check takes {:.1f} s", took);
    for (const auto& p : found)
        if (p.sentence.size() < 8 || p.where.empty())
            return "a problem without words or place: " + p.where + ": " + p.sentence;
    if (!whole) return {};
    Cache cache;
    AnswerOptions options;
    options.effort = 0.2;  // a day that is tried less often breaks no other lines
    const auto answers = answer(*back, io::library(), cache, options);
    if (!answers) return "no answers";
    if (const auto a = test::sentences(found), b = test::sentences(answers->problems); a != b) {
        std::vector<std::string> apart;
        std::set_symmetric_difference(a.begin(), a.end(), b.begin(), b.end(), std::back_inserter(apart));
        return "the check and the answers differ: " + apart.front();
    }
    if (const auto wrong = figures(*answers); !wrong.empty()) return wrong;
    if (!nlohmann::json::accept(answersJson(*back, *answers))) return "the answers are no JSON";
    if (const double took = computed() - before; took > bounds.answerSeconds)
        return fmt::format("the answers take {:.1f} s", took);
    return {};
}

}  // namespace uovo::storm
