// Static equilibrium with friction as a linear program, after Whiting, Ochsendorf and Durand 2009 (structural
// feasibility of masonry): for every part Σ f + m g = 0 and Σ (x − c) × f = 0, f in polyhedral cones. What cannot be
// balanced is a slack that costs; its least sum is zero exactly where the parts can stand. Solved by Clp.
#include "core/assembly/balance.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <coin/ClpSimplex.hpp>
#include <coin/CoinPackedMatrix.hpp>
#include <numbers>

#include "core/quantity/quantity.h"

namespace uovo::assembly {
namespace {

using form::Vec3;
constexpr int kSides = 8;           // of a friction cone
constexpr double kTight = 1e-9;     // of the linear program
constexpr double kBalanced = 1e-7;  // of the weight: what is missing may be rounding

/// Two directions across a normal; the first as far downhill as it goes, where sliding begins.
std::pair<Vec3, Vec3> across(const Vec3& normal, const Vec3& gravity) {
    Vec3 u = gravity - normal * form::dot(gravity, normal);
    if (form::length(u) < 1e-9 * form::length(gravity))
        u = std::abs(normal.x) < 0.9 ? Vec3{1, 0, 0} - normal * normal.x : Vec3{0, 1, 0} - normal * normal.y;
    u = form::unit(u);
    return {u, form::cross(normal, u)};
}

}  // namespace

struct Statics::Program {
    struct Column {
        size_t support;
        Vec3 force;  // N, of one unit
    };
    std::vector<Rigid> parts;
    std::vector<Support> supports;
    std::vector<Column> columns;
    double unit = 1, moment = 1;  // N and N m that one unit of the rows stands for
    int slack = 0;                // first of the columns that cost
    bool solved = false;
    ClpSimplex lp;

    /// The wrench of a force on a part, in the units of the rows.
    std::array<double, 6> wrench(size_t part, const Vec3& at, const Vec3& f) const {
        const Vec3 m = form::cross(at - parts[part].centre, f);
        return {f.x / unit, f.y / unit, f.z / unit, m.x / moment, m.y / moment, m.z / moment};
    }
    void build(const Vec3& down);
};

void Statics::Program::build(const Vec3& down) {
    constexpr double g = kGravity;
    const size_t n = parts.size();
    double weight = 0, size = 1e-3;
    for (const auto& p : parts) weight += p.mass * g;
    for (const auto& s : supports)
        if (s.a < n) size = std::max(size, form::length(s.at - parts[s.a].centre));
    unit = std::max(weight, 1e-9);
    moment = unit * size;
    std::vector<int> rows, places;
    std::vector<double> values, lower, upper, cost;
    const auto column = [&](size_t support, const Vec3& force, double low, double high) {
        const auto& s = supports[support];
        const Vec3 f = force * unit;
        for (const bool other : {false, true}) {
            const size_t part = other ? s.b : s.a;
            if (part >= n) continue;
            const auto w = wrench(part, s.at, other ? f * -1 : f);
            for (size_t k = 0; k < 6; ++k)
                if (w[k] != 0) {
                    rows.push_back(static_cast<int>(6 * part + k));
                    places.push_back(static_cast<int>(cost.size()));
                    values.push_back(w[k]);
                }
        }
        lower.push_back(low);
        upper.push_back(high);
        cost.push_back(0);
        columns.push_back({support, f});
    };
    for (size_t i = 0; i < supports.size(); ++i) {
        const auto& s = supports[i];
        const auto [u, v] = across(s.normal, down);
        if (s.friction == 0) {
            column(i, s.normal, 0, COIN_DBL_MAX);
        } else if (s.friction > 0) {
            for (int k = 0; k < kSides; ++k) {
                const double angle = 2 * std::numbers::pi * k / kSides;
                column(i, s.normal + u * (s.friction * std::cos(angle)) + v * (s.friction * std::sin(angle)), 0,
                       COIN_DBL_MAX);
            }
        }
        if (s.glue > 0) {
            const double most = s.glue / std::sqrt(3.0) / unit;
            column(i, s.normal, -most, 0);
            column(i, u, -most, most);
            column(i, v, -most, most);
        }
    }
    slack = static_cast<int>(cost.size());
    for (size_t r = 0; r < 6 * n; ++r)
        for (const double sign : {1.0, -1.0}) {
            rows.push_back(static_cast<int>(r));
            places.push_back(static_cast<int>(cost.size()));
            values.push_back(sign);
            lower.push_back(0);
            upper.push_back(COIN_DBL_MAX);
            cost.push_back(1);
        }
    const CoinPackedMatrix matrix(true, rows.data(), places.data(), values.data(),
                                  static_cast<CoinBigIndex>(values.size()));
    const std::vector<double> none(6 * n, 0);
    lp.setLogLevel(0);
    lp.setPrimalTolerance(kTight);
    lp.setDualTolerance(kTight);
    lp.loadProblem(matrix, lower.data(), upper.data(), cost.data(), none.data(), none.data());
}

Statics::Statics(std::vector<Rigid> parts, std::vector<Support> supports, const Vec3& down)
    : program_(std::make_unique<Program>()) {
    program_->parts = std::move(parts);
    program_->supports = std::move(supports);
    if (!program_->parts.empty()) program_->build(down);
}
Statics::~Statics() = default;

Balance Statics::under(const Vec3& gravity, const std::vector<Push>& pushes) {
    Program& p = *program_;
    const size_t n = p.parts.size();
    Balance out;
    out.missingOf.assign(n, 0);
    out.turning.assign(n, {});
    out.forces.assign(p.supports.size(), {});
    if (n == 0) {
        out.stands = true;
        return out;
    }
    std::vector<double> load(6 * n, 0);  // what the supports have to give
    const auto add = [&](size_t part, const Vec3& at, const Vec3& f) {
        const auto w = p.wrench(part, at, f);
        for (size_t k = 0; k < 6; ++k) load[6 * part + k] -= w[k];
    };
    for (size_t i = 0; i < n; ++i) add(i, p.parts[i].centre, gravity * p.parts[i].mass);
    for (const auto& push : pushes)
        if (push.part < n) add(push.part, push.at, push.force);
    for (size_t r = 0; r < load.size(); ++r) p.lp.setRowBounds(static_cast<int>(r), load[r], load[r]);
    constexpr int kKeeps = 1, kTakesUp = 2;         // work areas and factors, of the solution before
    if (p.solved) p.lp.dual(0, kKeeps | kTakesUp);  // the last optimum is a start: only the loads are others
    else p.lp.primal(0, kKeeps);                    // the slacks are a basis that is feasible at once
    p.solved = true;
    const double* x = p.lp.primalColumnSolution();
    for (size_t i = 0; i < n; ++i) {
        double turn[3]{};
        for (size_t k = 0; k < 6; ++k) {
            const size_t c = static_cast<size_t>(p.slack) + 2 * (6 * i + k);
            out.missingOf[i] += x[c] + x[c + 1];
            if (k >= 3) turn[k - 3] = (x[c + 1] - x[c]) * p.moment;
        }
        out.missing += out.missingOf[i];
        out.turning[i] = {turn[0], turn[1], turn[2]};
    }
    for (size_t c = 0; c < p.columns.size(); ++c) out.forces[p.columns[c].support] += p.columns[c].force * x[c];
    out.stands = p.lp.status() == 0 && out.missing <= kBalanced;
    return out;
}

Balance balance(const std::vector<Rigid>& parts, const std::vector<Support>& supports, const Vec3& gravity,
                const std::vector<Push>& pushes) {
    return Statics(parts, supports, gravity).under(gravity, pushes);
}

}  // namespace uovo::assembly
