#include "core/learn/forecast.h"

#include <Eigen/Cholesky>
#include <algorithm>
#include <cmath>
#include <numeric>
#include <random>

#include "core/learn/spoon.h"
#include "core/quantity/catalogue.h"

namespace uovo::learn {
namespace {

using Eigen::Index;
using Eigen::MatrixXd;
using Eigen::VectorXd;

constexpr int kDraws = 32;
constexpr const char* kToCome = "to come";

/// All that is not known, known unknowns and departures first, what was never met behind them with its prior.
class Room {
public:
    explicit Room(const Learned& known) : known_(known), many_(static_cast<Index>(known.priors.size())) {
        const auto n = known.fit.covariance.rows();
        mean_.assign(static_cast<size_t>(n), 0.0);
        for (Index i = 0; i < many_; ++i) mean_[static_cast<size_t>(i)] = known.fit.unknowns[i];
        for (Index i = many_; i < n; ++i) mean_[static_cast<size_t>(i)] = known.fit.departures[i - many_];
        names_ = known.unknowns.list();
        for (const auto& d : known.departures.list()) names_.push_back("off " + d);
    }
    size_t unknown(const Unknown& u) {
        if (const size_t* at = known_.unknowns.find(u.id)) return *at;
        const auto mean = known_.centre.find(u.id);
        return fresh(u.id, mean != known_.centre.end() ? mean->second : u.mean, u.sd);
    }
    /// In units of its sd.
    size_t departure(const std::string& name) {
        if (const size_t* at = known_.departures.find(name)) return static_cast<size_t>(many_) + *at;
        return fresh("off " + name, 0, 1);
    }
    Index size() const { return static_cast<Index>(mean_.size()); }
    VectorXd mean() const { return Eigen::Map<const VectorXd>(mean_.data(), size()); }
    const std::vector<std::string>& names() const { return names_; }
    MatrixXd covariance() const {
        const Index n = known_.fit.covariance.rows();
        MatrixXd c = MatrixXd::Zero(size(), size());
        c.topLeftCorner(n, n) = known_.fit.covariance;
        for (size_t i = 0; i < sds_.size(); ++i)
            c(n + static_cast<Index>(i), n + static_cast<Index>(i)) = sds_[i] * sds_[i];
        return c;
    }

private:
    size_t fresh(const std::string& name, double mean, double sd) {
        const auto [it, isNew] = added_.try_emplace(name, mean_.size());
        if (isNew) {
            mean_.push_back(mean);
            sds_.push_back(sd);
            names_.push_back(name);
        }
        return it->second;
    }
    const Learned& known_;
    Index many_;
    std::vector<double> mean_, sds_;
    std::vector<std::string> names_;
    std::map<std::string, size_t> added_;
};

/// Places of a shift's parameters in a room.
using Parts = std::vector<std::pair<int, size_t>>;

Parts partsIn(Room& room, const std::string& figures, const std::string& bag, const material::Library& lib) {
    Parts out;
    for (int k = 0; k < kShifts; ++k)
        for (const auto& u : partsOf(static_cast<Of>(k), figures, bag.empty() ? kToCome : bag, kToCome, lib))
            out.emplace_back(k, room.unknown(u));
    return out;
}

Shift shiftAt(const Parts& parts, const VectorXd& at) {
    Shift s = Shift::Zero();
    for (const auto& [k, i] : parts) s[k] += at[static_cast<Index>(i)];
    return s;
}

std::optional<Told> toldUnder(const Shift& shift, const Piece& piece, const Plan& plan,
                              const material::Library& library, const std::stop_token& stop) {
    Plan moved = plan;
    material::Library lib = library;
    apply(shift, piece.chocolate, moved, lib);
    return tell(*moved.piece(piece.id), moved, lib, stop);
}

/// Draws of a unit normal, a pair of each sign, with a second moment of one: the same for a name wherever it is asked.
std::vector<double> drawsOf(const std::string& name) {
    std::uint64_t seed = 14695981039346656037ull;  // FNV-1a
    for (const char c : name) seed = (seed ^ static_cast<unsigned char>(c)) * 1099511628211ull;
    std::mt19937_64 dice(seed);
    std::normal_distribution<double> normal;
    std::vector<double> out(kDraws);
    double square = 0;
    for (int d = 0; d < kDraws; d += 2) {
        const double z = normal(dice);
        out[static_cast<size_t>(d)] = z;
        out[static_cast<size_t>(d) + 1] = -z;
        square += 2 * z * z;
    }
    for (double& z : out) z *= std::sqrt(kDraws / square);
    return out;
}

/// 5, 50 and 95 % of what is spread as its logarithms are.
Band bandOf(const std::vector<double>& logarithms) {
    const double n = static_cast<double>(logarithms.size());
    const double mean = std::accumulate(logarithms.begin(), logarithms.end(), 0.0) / n;
    double square = 0;
    for (const double v : logarithms) square += (v - mean) * (v - mean);
    constexpr double kFive = 1.6448536269514722;  // of the unit normal, 5 % beyond
    const double sd = std::sqrt(square / n);
    return {std::exp(mean - kFive * sd), std::exp(mean), std::exp(mean + kFive * sd)};
}

}  // namespace

Shift likely(const Learned& known, const std::string& figures, const material::Library& library,
             const std::string& bag) {
    Room room(known);
    const Parts parts = partsIn(room, figures, bag, library);
    return shiftAt(parts, room.mean());
}

std::optional<Forecast> forecast(const Learned& known, const Piece& piece, const Plan& plan,
                                 const material::Library& library, const std::string& bag, std::stop_token stop) {
    Room room(known);
    const Parts parts = partsIn(room, figuresOf(piece.chocolate, library), bag, library);
    const size_t coats = piece.coats().size();
    std::vector<std::vector<std::pair<size_t, double>>> off(coats);
    for (size_t k = 0; k < coats; ++k)
        for (const auto& [name, sd] : departuresOf(piece, k, library)) off[k].emplace_back(room.departure(name), sd);
    const size_t rimOff = room.departure("rim:" + piece.shape.family);
    const size_t setOff = room.departure("setting:" + piece.shape.family);
    const Eigen::LDLT<MatrixXd> split(room.covariance());
    const MatrixXd spread = split.transpositionsP().transpose() * MatrixXd(split.matrixL()) *
                            split.vectorD().cwiseMax(0).cwiseSqrt().asDiagonal();
    std::vector<std::vector<double>> draws;
    for (const auto& name : room.names()) draws.push_back(drawsOf(name));
    const auto own = [&](const std::string& what, const char* sd) {  // of that piece alone
        auto out = drawsOf(what + " " + piece.id);
        for (double& z : out) z *= library.learns(sd);
        return out;
    };
    std::vector<std::vector<double>> each;  // of each coat
    std::string coat = "coat";
    for (size_t k = 0; k < coats; ++k, coat.insert(0, "next ")) each.push_back(own(coat, "scatterCoat"));
    const auto girth = own("girth", "scatterGirth"), caliper = own("rim", "scatterRim"),
               finger = own("touch", "scatterTouch");
    std::vector<double> mass, rim, firm;
    VectorXd z(room.size());
    for (size_t d = 0; d < kDraws; ++d) {
        for (Index i = 0; i < z.size(); ++i) z[i] = draws[static_cast<size_t>(i)][d];
        const VectorXd at = room.mean() + spread * z;
        const auto told = toldUnder(shiftAt(parts, at), piece, plan, library, stop);
        if (stop.stop_requested()) return std::nullopt;
        if (!told || told->coats.size() != coats) continue;  // a temper that is lost may leave nothing that stands
        double sum = 0;
        for (size_t k = 0; k < coats; ++k) {
            double shift = each[k][d];
            for (const auto& [i, sd] : off[k]) shift += sd * at[static_cast<Index>(i)];
            sum += told->coats[k] * std::exp(shift);
        }
        if (!(sum > 0)) continue;
        mass.push_back(std::log(sum) + girth[d]);
        if (told->rim > 0)
            rim.push_back(std::log(told->rim) + library.learns("offRim") * at[static_cast<Index>(rimOff)] + caliper[d]);
        if (told->foot > 0)
            firm.push_back(std::log(told->foot) + library.learns("offSetting") * at[static_cast<Index>(setOff)] +
                           finger[d]);
    }
    if (mass.size() < kDraws / 2) return std::nullopt;
    const auto band = [](const std::vector<double>& v) { return v.size() < kDraws / 2 ? Band{} : bandOf(v); };
    return Forecast{piece.id, band(mass), band(rim), band(firm)};
}

std::vector<Worth> worthMeasuring(const Learned& known, const Plan& plan, const material::Library& library,
                                  std::stop_token stop) {
    Room room(known);
    struct Row {
        std::vector<std::pair<size_t, double>> loads;
        double scatter = 0;
    };
    struct Candidate {
        Worth worth;
        Row row;
    };
    std::vector<Row> wanted;
    std::vector<Candidate> candidates;
    std::map<std::string, bool> spoons;
    const Shift sds = shiftSds(library);
    for (const auto& piece : plan.pieces) {
        if (!piece.wallFromCoats()) continue;
        const std::string figures = figuresOf(piece.chocolate, library);
        const Parts parts = partsIn(room, figures, {}, library);
        const Shift here = shiftAt(parts, room.mean());
        const auto told = toldUnder(here, piece, plan, library, stop);
        if (!told) continue;
        const double all = told->mass();
        Row whole, first;
        bool well = true;
        for (int k = 0; k < kShifts && well; ++k) {
            Shift moved = here;
            const double stride = kStride * sds[k];
            moved[k] += stride;
            const auto then = toldUnder(moved, piece, plan, library, stop);
            if (stop.stop_requested()) return {};
            if (!(well = then && then->coats.size() == told->coats.size())) break;
            const double sum = then->mass();
            for (const auto& [parameter, i] : parts) {
                if (parameter != k) continue;
                whole.loads.emplace_back(i, std::log(sum / all) / stride);
                first.loads.emplace_back(i, std::log(then->coats[0] / told->coats[0]) / stride);
            }
        }
        if (!well) continue;
        for (size_t k = 0; k < told->coats.size(); ++k)
            for (const auto& [name, sd] : departuresOf(piece, k, library)) {
                whole.loads.emplace_back(room.departure(name), sd * told->coats[k] / all);
                if (k == 0) first.loads.emplace_back(room.departure(name), sd);
            }
        first.scatter = std::hypot(library.learns("scatterCoat"), library.learns("scatterGirth"));
        wanted.push_back(whole);
        candidates.push_back({{piece.id, figures, 0}, first});
        if (spoons[figures]) continue;
        spoons[figures] = true;
        Row spoon;  // R goes with the fifth root of the yield stress
        for (const auto& [parameter, i] : parts)
            if (parameter == static_cast<int>(Of::Yield)) spoon.loads.emplace_back(i, -0.2);
        spoon.loads.emplace_back(room.departure("spoon"), library.learns("offSpoon") / 5);
        spoon.scatter = library.learns("scatterSpoon") / 5;
        candidates.push_back({{"", figures, 0}, spoon});
    }
    const MatrixXd cov = room.covariance();
    const auto vector = [&](const Row& r) {
        VectorXd v = VectorXd::Zero(room.size());
        for (const auto& [i, load] : r.loads) v[static_cast<Index>(i)] += load;
        return v;
    };
    double before = 0;
    std::vector<VectorXd> rows;
    for (const auto& w : wanted) {
        rows.push_back(vector(w));
        before += rows.back().dot(cov * rows.back());
    }
    std::vector<Worth> out;
    for (auto& c : candidates) {
        const VectorXd a = vector(c.row), pa = cov * a;
        const double sees = a.dot(pa) + c.row.scatter * c.row.scatter;
        double gained = 0;
        for (const auto& r : rows) {
            const double x = r.dot(pa);
            gained += x * x / sees;
        }
        c.worth.narrows = before > 0 ? 1 - std::sqrt(std::max(0.0, before - gained) / before) : 0;
        out.push_back(c.worth);
    }
    std::ranges::stable_sort(out, std::greater{}, &Worth::narrows);
    return out;
}

}  // namespace uovo::learn
