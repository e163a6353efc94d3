#include "core/form/meridian.h"

#include <algorithm>
#include <array>
#include <boost/math/tools/toms748_solve.hpp>
#include <cmath>
#include <numbers>

namespace uovo::form {
namespace {

/// Where a rising function is nothing, between two places; the nearer end where it is nothing nowhere. Algorithm 748 of
/// Alefeld, Potra and Shi, as Boost.Math has it: a handful of evaluations where halving takes sixty.
template <class F>
double root(const F& f, double low, double high) {
    const double below = f(low), above = f(high);
    if (below >= 0) return low;
    if (above <= 0) return high;
    std::uintmax_t most = 100;
    const auto [a, b] = boost::math::tools::toms748_solve(f, low, high, below, above,
                                                          boost::math::tools::eps_tolerance<double>(52), most);
    return 0.5 * (a + b);
}

/// The parameter at which a piece of a meridian that rises passes a height.
double passing(const Meridian::Piece& piece, double z) {
    return root([&](double u) { return piece(u).z - z; }, 0, 1);
}

// Gauss–Legendre, 8 points on (-1, 1): Abramowitz & Stegun, table 25.4.
constexpr std::array<double, 4> kNode{0.1834346424956498, 0.5255324099163290, 0.7966664774136267, 0.9602898564975363};
constexpr std::array<double, 4> kWeight{0.3626837833783620, 0.3137066458778873, 0.2223810344533745, 0.1012285362903763};

template <class F>
double integrate(double a, double b, const F& f) {
    const double m = 0.5 * (a + b), h = 0.5 * (b - a);
    double sum = 0;
    for (size_t i = 0; i < kNode.size(); ++i) sum += kWeight[i] * (f(m - h * kNode[i]) + f(m + h * kNode[i]));
    return h * sum;
}

constexpr int kPanels = 16;

template <class F>
double overPiece(const Meridian::Piece& piece, const F& f) {
    double sum = 0;
    for (int p = 0; p < kPanels; ++p)
        sum += integrate(double(p) / kPanels, double(p + 1) / kPanels, [&](double u) { return f(piece(u)); });
    return sum;
}

double speed(const CurvePoint& p) { return std::hypot(p.dr, p.dz); }

}  // namespace

double Meridian::length() const {
    double sum = 0;
    for (const auto& piece : pieces_) sum += overPiece(piece, speed);
    return sum;
}

double Meridian::area() const {
    double sum = 0;
    for (const auto& piece : pieces_)
        sum += overPiece(piece, [](const CurvePoint& p) { return 2 * std::numbers::pi * p.r * speed(p); });
    return sum;
}

double Meridian::lowest() const {
    double z = 1e9;
    for (const auto& piece : pieces_)
        for (int i = 0; i <= 64; ++i) z = std::min(z, piece(i / 64.0).z);
    return z;
}

double Meridian::highest() const {
    double z = -1e9;
    for (const auto& piece : pieces_)
        for (int i = 0; i <= 64; ++i) z = std::max(z, piece(i / 64.0).z);
    return z;
}

double Meridian::widest() const {
    double best = 0;
    for (const auto& piece : pieces_) {  // coarse search, then golden refinement around the best sample
        int at = 0;
        for (int i = 0; i <= 64; ++i)
            if (piece(i / 64.0).r > piece(at / 64.0).r) at = i;
        double a = std::max(0, at - 1) / 64.0, b = std::min(64, at + 1) / 64.0;
        for (int i = 0; i < 60; ++i) {
            const double c = a + (b - a) * 0.381966, d = a + (b - a) * 0.618034;
            (piece(c).r > piece(d).r ? b : a) = piece(c).r > piece(d).r ? d : c;
        }
        best = std::max({best, piece(0.5 * (a + b)).r, piece(at / 64.0).r});
    }
    return best;
}

double Meridian::volumeBelow(double z) const {
    double sum = 0;
    for (const auto& piece : pieces_) {
        if (piece(0).z >= z) continue;
        const double to = piece(1).z > z ? passing(piece, z) : 1;  // z rises along every former here
        for (int p = 0; p < kPanels; ++p)
            sum += integrate(to * p / kPanels, to * (p + 1) / kPanels, [&](double u) {
                const CurvePoint q = piece(u);
                return std::numbers::pi * q.r * q.r * q.dz;
            });
    }
    return sum;
}

double Meridian::volume() const { return volumeBelow(highest() + 1); }

double Meridian::levelOf(double volume) const {
    if (volume < 0 || volume > this->volume() * (1 + 1e-9)) return std::nan("");
    return root([&](double z) { return volumeBelow(z) - volume; }, lowest(), highest());
}

double Meridian::radiusAt(double z) const {
    double best = 0;
    for (const auto& piece : pieces_) {
        if (piece(0).z > z || piece(1).z < z) continue;
        best = std::max(best, piece(passing(piece, z)).r);
    }
    return best;
}

Profile Meridian::profile(int cells) const {
    // Arc length at fine panel ends, then each face and centre by Newton on arc(u).
    struct Node {
        size_t piece;
        double u, arc;
    };
    std::vector<Node> nodes;
    double arc = 0;
    for (size_t k = 0; k < pieces_.size(); ++k) {
        nodes.push_back({k, 0, arc});
        for (int p = 0; p < kPanels; ++p) {
            arc +=
                integrate(double(p) / kPanels, double(p + 1) / kPanels, [&](double u) { return speed(pieces_[k](u)); });
            nodes.push_back({k, double(p + 1) / kPanels, arc});
        }
    }
    const auto locate = [&](double s) {
        size_t i = 0;
        while (i + 2 < nodes.size() && (nodes[i + 1].arc < s || nodes[i + 1].piece != nodes[i].piece)) ++i;
        const auto& piece = pieces_[nodes[i].piece];
        double u = nodes[i].u + (s - nodes[i].arc) / speed(piece(nodes[i].u + 0.5 / kPanels));
        for (int it = 0; it < 4; ++it) {
            const double have = nodes[i].arc + integrate(nodes[i].u, u, [&](double v) { return speed(piece(v)); });
            u += (s - have) / speed(piece(std::clamp(u, 0.0, 1.0)));
        }
        return piece(std::clamp(u, 0.0, 1.0));
    };

    Profile out;
    const size_t n = static_cast<size_t>(cells);
    out.step = arc / cells;
    const double sign = side_ == Side::Outside ? 1 : -1;
    for (size_t i = 0; i <= n; ++i) {
        const CurvePoint face = locate(out.step * static_cast<double>(i));
        out.faceR.push_back(i == 0 ? pieces_.front()(0).r : face.r);
        out.faceZ.push_back(face.z);
        out.faceWidth.push_back(2 * std::numbers::pi * out.faceR.back());
    }
    for (size_t i = 0; i < n; ++i) {
        const double s = out.step * (static_cast<double>(i) + 0.5);
        const CurvePoint p = locate(s);
        const double v = speed(p), tr = p.dr / v, tz = p.dz / v;
        const double meridional = (p.dr * p.ddz - p.dz * p.ddr) / (v * v * v);
        const double parallel = p.r > 1e-9 ? tz / p.r : meridional;
        out.arc.push_back(s);
        out.r.push_back(p.r);
        out.z.push_back(p.z);
        out.tangentR.push_back(tr);
        out.tangentZ.push_back(tz);
        out.normalR.push_back(sign * tz);
        out.normalZ.push_back(-sign * tr);
        out.mean.push_back(sign * 0.5 * (meridional + parallel));
        out.gauss.push_back(meridional * parallel);
        // Simpson over the cell keeps the sum of cell areas within 1e-6 of the exact area from about 50 cells.
        out.area.push_back(out.step * (out.faceWidth[i] + 8 * std::numbers::pi * p.r + out.faceWidth[i + 1]) / 6);
    }
    return out;
}

}  // namespace uovo::form
