// Plans of one coated piece, for tests.
#pragma once
#include <catch2/catch.hpp>

#include "support.h"

namespace uovo::test {

/// A plan of one piece of a family, coated as usual.
inline Plan planOf(const char* family, const char* chocolate = "dark") {
    Plan plan;
    Piece p;
    p.id = "p";
    p.name = "Piece";
    p.chocolate = chocolate;
    p.shape = form::usual(family);
    p.count = 1;
    if (form::fromFile(p.shape)) {
        p.shape.mesh = "model";
        plan.meshes["model"] = modelFor(family);
    }
    plan.pieces = {p};
    plan.pieces[0].coatWith(usualCoats(plan.pieces[0], plan, io::library()));
    return plan;
}

/// A bowl over a balloon, two dips as usual.
inline Plan bowlPlan() {
    Plan plan;
    plan.pieces = {newPiece(plan, "balloon")};
    plan.pieces[0].id = "p";
    plan.pieces[0].count = 1;
    return plan;
}

/// The answers of its only piece, which must have no problems.
inline std::shared_ptr<const PieceAnswers> only(const Plan& plan) {
    const auto a = answersOf(plan, withoutDay());
    for (const auto& p : a.problems) UNSCOPED_INFO(p.where << ": " << p.sentence);
    REQUIRE(a.problems.empty());
    return a.pieces[0];
}

inline double sum(const std::vector<double>& v) {
    double s = 0;
    for (const double x : v) s += x;
    return s;
}

}  // namespace uovo::test
