#include "core/words/compared.h"

#include <algorithm>
#include <cmath>

#include "core/quantity/catalogue.h"
#include "core/quantity/decimal.h"
#include "core/quantity/words.h"
#include "core/stages/shopping.h"
#include "core/stages/strength.h"

namespace uovo {
namespace {

constexpr double kSame = 0.005;  // figures within so much of each other say the same
constexpr double kMoved = 0.02;  // by so much a figure moved

/// Answers that are compared by their figures, in this order, and what they are called beside each other.
constexpr std::pair<const char*, const char*> kRows[]{
    {"wall", trLater("Thinnest wall")},  {"grams", trLater("Chocolate in one")},
    {"eaten", trLater("In all to eat")}, {"strength", trLater("Will it hold")},
    {"holds", trLater("Holds")},         {"size", trLater("Size")},
    {"cold", trLater("In the cold")},    {"moments", trLater("Until nothing runs")},
    {"shelf", trLater("Fit at once")},   {"joints", trLater("Joints to glue")}};

const Answer* find(const PieceAnswers& p, const std::string& id) {
    for (const auto& a : p.answers)
        if (a.id == id) return &a;
    return nullptr;
}

bool alike(double a, double b, double within) {
    return a == b || std::abs(a - b) <= within * std::max(std::abs(a), std::abs(b)) || (std::isnan(a) && std::isnan(b));
}

std::string said(const Answer* a, const char* id) {
    if (!a) return {};
    return std::string(id) == "strength" || std::string(id) == "size"
               ? a->headline + (a->after.empty() ? "" : " " + a->after)
               : a->headline;
}

/// Minutes of hands of one piece; 0 where there is no day.
double handsOf(const Answers& answers, const std::string& piece, int count) {
    if (!answers.day || count < 1) return 0;
    double sum = 0;
    for (const auto& t : answers.day->network.tasks)
        if (t.piece == piece && t.hands > 0) sum += t.minutes * t.hands;
    return sum / count;
}

}  // namespace

std::vector<ComparedRow> compared(const Plan& plan, const material::Library& library, const Answers& answers,
                                  const std::string& first, const std::string& second, const std::string& today) {
    std::vector<ComparedRow> out;
    const PieceAnswers *a = answers.piece(first), *b = answers.piece(second);
    const Piece *p = plan.piece(first), *q = plan.piece(second);
    if (!a || !b || !p || !q) return out;
    for (const auto& [id, what] : kRows) {
        const Answer *x = find(*a, id), *y = find(*b, id);
        if (!x && !y) continue;
        ComparedRow row{tr(what), said(x, id), said(y, id), true};
        row.differs = !x || !y || row.first != row.second;
        if (x && y && x->figure.dimension == y->figure.dimension && x->figure.value != 0)
            row.differs = !alike(x->figure.value, y->figure.value, kSame);
        out.push_back(std::move(row));
    }
    const auto number = [&](const char* what, double x, double y, auto words) {
        if (x > 0 || y > 0) out.push_back({what, x > 0 ? words(x) : "", y > 0 ? words(y) : "", !alike(x, y, kSame)});
    };
    number(tr("Hands for one"), handsOf(answers, first, p->count), handsOf(answers, second, q->count),
           [&](double minutes) { return format(60 * minutes, Dimension::Duration, plan.units); });
    const Shopping list = shopping(plan, library, answers, today);
    const auto cost = [&](const std::string& id) {
        for (const auto& each : list.pieces)
            if (each.piece == id) return each.cost;
        return 0.0;
    };
    number(tr("Chocolate costs"), cost(first), cost(second), [](double money) { return decimal(money, 2); });
    return out;
}

std::vector<std::string> changed(const PieceAnswers& before, const PieceAnswers& now, size_t most) {
    std::vector<std::string> out;
    for (const auto& [id, what] : kRows) {
        const Answer *x = find(before, id), *y = find(now, id);
        if (!x || !y || out.size() == most || x->figure.dimension != y->figure.dimension) continue;
        if (alike(x->figure.value, y->figure.value, kSame) || x->headline == y->headline) continue;
        out.push_back(fmt::format("{} {} → {}", tr(what), x->headline, y->headline));
    }
    return out;
}

Computed computedOf(const Plan& plan, const Answers& answers) {
    Computed out;
    out.model = kModelVersion;
    for (const auto& p : plan.pieces) {
        const auto* a = answers.piece(p.id);
        if (!a || !a->made) continue;
        out.mass[p.id] = a->made->mass;
        if (const Answer* wall = find(*a, "wall"); wall && wall->figure.dimension == Dimension::Length)
            out.wall[p.id] = wall->figure.value;
    }
    return out;
}

std::vector<std::string> movedSince(const Computed& then, const Plan& plan, const Answers& answers) {
    std::vector<std::string> out;
    if (then.model == 0 || then.model == kModelVersion) return out;
    const Computed now = computedOf(plan, answers);
    for (const auto& p : plan.pieces) {
        std::vector<std::string> words;
        const auto look = [&](const auto& old, const auto& fresh, const char* what, Dimension d) {
            const auto x = old.find(p.id), y = fresh.find(p.id);
            if (x == old.end() || y == fresh.end() || alike(x->second, y->second, kMoved)) return;
            words.push_back(
                say("{} {}, was {}", what, format(y->second, d, plan.units), format(x->second, d, plan.units)));
        };
        look(then.mass, now.mass, "chocolate", Dimension::Mass);
        look(then.wall, now.wall, "wall", Dimension::Length);
        if (!words.empty()) out.push_back(fmt::format("{}: {}", p.name, listed(words)));
    }
    return out;
}

}  // namespace uovo
