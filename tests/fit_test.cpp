// The search for what is most likely true: closed forms, intervals, records that are wrong.
#include "core/learn/fit.h"

#include <Eigen/Cholesky>
#include <Eigen/LU>
#include <boost/math/distributions/normal.hpp>
#include <catch2/catch.hpp>
#include <limits>
#include <random>

#include "core/learn/ask_back.h"
#include "core/learn/bags.h"
#include "core/learn/pace.h"
#include "core/learn/spoon.h"

namespace uovo::fit_test {
namespace {

using namespace learn;
using Eigen::MatrixXd;
using Eigen::VectorXd;

/// One unknown that is measured as it is, so many times.
Block direct(std::vector<Seen> seen) {
    Block b;
    b.of = MatrixXd::Identity(1, 1);
    b.stride = VectorXd::Constant(1, 0.1);
    const auto many = static_cast<Eigen::Index>(seen.size());
    b.seen = std::move(seen);
    b.model = [many](const VectorXd& p) { return VectorXd::Constant(many, p[0]); };
    return b;
}

Seen seen(double value, double scatter) {
    Seen s;
    s.value = value;
    s.scatter = scatter;
    return s;
}

}  // namespace

TEST_CASE("a linear model is fitted as the closed form of Gauss says, departures and shared unknowns included") {
    std::mt19937 random(3);
    std::normal_distribution<double> normal;
    for (int round = 0; round < 20; ++round) {
        const int unknowns = 3, parameters = 2, measured = 5, departures = 2;
        std::vector<Unknown> priors;
        for (int i = 0; i < unknowns; ++i)
            priors.push_back({std::to_string(i), 0.3 * normal(random), 0.2 + std::abs(normal(random))});
        std::vector<Block> blocks;
        MatrixXd rows(2 * measured, unknowns + departures);
        VectorXd values(2 * measured), scatters(2 * measured);
        for (int b = 0; b < 2; ++b) {
            Block block;
            block.of = MatrixXd::NullaryExpr(parameters, unknowns, [&] { return normal(random); });
            block.stride = VectorXd::Constant(parameters, 0.1);
            const MatrixXd slope = MatrixXd::NullaryExpr(measured, parameters, [&] { return normal(random); });
            const VectorXd at = VectorXd::NullaryExpr(measured, [&] { return normal(random); });
            block.model = [slope, at](const VectorXd& p) -> std::optional<VectorXd> { return at + slope * p; };
            for (int i = 0; i < measured; ++i) {
                Seen s = seen(normal(random), 0.1 + std::abs(normal(random)));
                s.departs = {{static_cast<size_t>(i % departures), 0.4}};
                const int row = b * measured + i;
                rows.row(row) << (slope * block.of).row(i), VectorXd::Zero(departures).transpose();
                rows(row, unknowns + i % departures) = 0.4;
                values[row] = s.value - at[i];
                scatters[row] = s.scatter;
                block.seen.push_back(s);
            }
            blocks.push_back(std::move(block));
        }
        FitOptions options;
        options.nu = 0;
        const auto f = fit(priors, blocks, departures, options);
        REQUIRE(f);
        VectorXd mean = VectorXd::Zero(unknowns + departures), precision = VectorXd::Ones(unknowns + departures);
        for (int i = 0; i < unknowns; ++i) {
            mean[i] = priors[static_cast<size_t>(i)].mean;
            precision[i] = 1 / std::pow(priors[static_cast<size_t>(i)].sd, 2);
        }
        const VectorXd w = scatters.cwiseProduct(scatters).cwiseInverse();
        const MatrixXd h = MatrixXd(precision.asDiagonal()) + rows.transpose() * w.asDiagonal() * rows;
        const VectorXd x = h.ldlt().solve(precision.cwiseProduct(mean) + rows.transpose() * w.cwiseProduct(values));
        CHECK((f->unknowns - x.head(unknowns)).norm() < 1e-9);
        CHECK((f->departures - x.tail(departures)).norm() < 1e-9);
        CHECK((f->covariance - h.inverse()).norm() < 1e-8);
    }
}

TEST_CASE("nothing measured leaves what the book knows") {
    const auto f = fit({{"a", 0.3, 0.5}}, {}, 1);
    REQUIRE(f);
    CHECK(f->unknowns[0] == 0.3);
    CHECK(f->sd(0) == Approx(0.5));
    CHECK(f->gain == 0);
    CHECK(f->runs == 0);
}

TEST_CASE("three weighings of which one is ten times too large: the two are believed") {
    const std::vector<Seen> three{seen(std::log(45.0), 0.058), seen(std::log(45.0), 0.058),
                                  seen(std::log(450.0), 0.058)};
    const std::vector<Unknown> prior{{"mass", std::log(53.54), 0.26}};
    const auto f = fit(prior, {direct(three)}, 0);
    REQUIRE(f);
    CHECK(std::exp(f->unknowns[0]) == Approx(45).epsilon(0.02));
    CHECK(f->weights[0][0] == Approx(1.25).margin(0.02));  // (ν + 1)/ν where it is met
    CHECK(f->weights[0][2] < 0.005);
    FitOptions gauss;
    gauss.nu = 0;
    CHECK(std::exp(fit(prior, {direct(three)}, 0, gauss)->unknowns[0]) > 85);
}

TEST_CASE("a time between two looks: pull and curvature are the derivatives of the normal between them") {
    const boost::math::normal unit;
    for (const auto& [low, high] : {std::pair(0.2, 0.5), std::pair(-0.9, -0.6), std::pair(1.2, 1.25),
                                    std::pair(-std::numeric_limits<double>::infinity(), -0.4),
                                    std::pair(0.7, std::numeric_limits<double>::infinity())}) {
        Seen s = seen(low, 0.15);
        s.upper = high;
        const auto f = fit({{"t", 0.1, 0.3}}, {direct({s})}, 0);
        REQUIRE(f);
        // another way: the posterior on a fine grid
        double best = 0, most = -1e300;
        for (double t = -2; t <= 2; t += 1e-5) {
            const double inside = boost::math::cdf(unit, std::min(40.0, (high - t) / 0.15)) -
                                  boost::math::cdf(unit, std::max(-40.0, (low - t) / 0.15));
            const double p = std::log(std::max(inside, 1e-300)) - std::pow((t - 0.1) / 0.3, 2) / 2;
            if (p > most) {
                most = p;
                best = t;
            }
        }
        CHECK(f->unknowns[0] == Approx(best).margin(0.004));
        CHECK(f->sd(0) < 0.3);
    }
}

TEST_CASE("a model that cannot be run at the book's figures is said, and one that fails on the way is not followed") {
    Block never = direct({seen(1, 0.1)});
    never.model = [](const VectorXd&) -> std::optional<VectorXd> { return std::nullopt; };
    CHECK_FALSE(fit({{"a", 0, 1}}, {never}, 0));
    Block edge = direct({seen(1, 0.1)});
    edge.model = [](const VectorXd& p) -> std::optional<VectorXd> {
        if (p[0] > 0.6) return std::nullopt;
        return VectorXd::Constant(1, p[0]);
    };
    const auto f = fit({{"a", 0, 1}}, {edge}, 0);
    REQUIRE(f);
    CHECK(f->unknowns[0] > 0.4);
    CHECK(f->unknowns[0] <= 0.6);
    std::stop_source stop;
    stop.request_stop();
    CHECK_FALSE(fit({{"a", 0, 1}}, {edge}, 0, {}, stop.get_token()));
}

// The next three: worked by hand from the formulas.
TEST_CASE("older bags tell of a new one") {
    const Known three = newBag({{-0.30, 0.12}, {-0.10, 0.12}, {-0.25, 0.12}}, 0.45, 0.22);
    CHECK(three.mean == Approx(-0.1964).margin(5e-5));
    CHECK(three.sd == Approx(0.2596).margin(5e-5));
    CHECK(newBag({}, 0.45, 0.22).sd == Approx(std::hypot(0.45, 0.22)));
    double last = 1;
    for (size_t n = 0; n < 8; ++n) {
        const Known k = newBag(std::vector<Known>(n, Known{0.2, 0.12}), 0.45, 0.22);
        CHECK(k.sd < last);
        CHECK(k.sd > 0.22);  // a bag stays a bag
        last = k.sd;
    }
}

TEST_CASE("a spoonful tells the yield stress") {
    CHECK(spoonAcross(10.12, 15e-6, 1270) / kSpread == Approx(0.06913).margin(1e-5));
    for (const double tau : {2.0, 10.0, 40.0})
        CHECK(yieldOfSpoon(spoonAcross(tau, 15e-6, 1270), 15e-6, 1270) == Approx(tau));
    CHECK(spoonAcross(5, 15e-6, 1270) > spoonAcross(10, 15e-6, 1270));
}

TEST_CASE("timings tell how fast hands are, and of which kind of task") {
    const std::vector<Timed> timed{{"dip", 4, 6}, {"dip", 4, 5}, {"dip", 4, 6}, {"melt", 15, 15}};
    const Pace p = paceOf(timed, {});
    CHECK(p.cook == Approx(0.0974).margin(5e-5));
    CHECK(p.cookSd == Approx(0.1784).margin(5e-5));
    CHECK(p.median("dip") == Approx(1.343).margin(5e-4));
    CHECK(p.planned("dip") > p.median("dip"));
    CHECK(p.median("brush") == Approx(std::exp(p.cook)));
    // another way: all timings and unknowns as one linear fit
    std::vector<Seen> dips, melts;
    for (const auto& t : timed)
        (t.kind == "dip" ? dips : melts).push_back(seen(std::log(t.took / t.book), std::hypot(0.25, 0.29 / t.book)));
    const auto sumOf = [](std::vector<Seen> s, int kind) {
        Block b = direct(std::move(s));
        b.of = MatrixXd::Zero(1, 3);
        b.of(0, 0) = b.of(0, kind) = 1;
        return b;
    };
    FitOptions gauss;
    gauss.nu = 0;
    const auto f =
        fit({{"cook", 0, 0.25}, {"dip", 0, 0.3}, {"melt", 0, 0.3}}, {sumOf(dips, 1), sumOf(melts, 2)}, 0, gauss);
    REQUIRE(f);
    CHECK(f->unknowns[0] == Approx(p.cook).margin(1e-9));
    CHECK(f->sd(0) == Approx(p.cookSd).margin(1e-9));
    CHECK(f->unknowns[1] == Approx(p.kinds.at("dip").more).margin(1e-9));
    const double both = f->covariance(0, 0) + f->covariance(1, 1) + 2 * f->covariance(0, 1);
    CHECK(std::sqrt(both) == Approx(p.kinds.at("dip").sd).margin(1e-9));
    CHECK(paceOf({{"dip", 0, 5}, {"dip", 4, 0}}, {}).timed == 0);
    CHECK_FALSE(paceOf({{"dip", 4, 8}, {"dip", 4, 8}}, {}).isTold());
    CHECK(paceOf({{"dip", 4, 8}, {"dip", 4, 8}, {"brush", 10, 20}}, {}).isTold());
}

TEST_CASE("forty slips of a finger are asked back and named, two hundred honest figures are not") {
    std::mt19937 random(11);
    std::normal_distribution<double> normal;
    const double sd = 0.2;
    int asked = 0;
    for (int i = 0; i < 200; ++i)
        if (askBack(45 * std::exp(std::clamp(sd * normal(random), -2.9 * sd, 2.9 * sd)), 45, sd)) ++asked;
    CHECK(asked == 0);
    const std::pair<Slip, double> slips[] = {
        {Slip::TenTooMuch, 10}, {Slip::TenTooLittle, 0.1}, {Slip::Ounces, 1 / 28.349523125}, {Slip::Thousand, 0.001}};
    int named = 0;
    for (int i = 0; i < 40; ++i) {
        const auto& [slip, factor] = slips[i % 4];
        const double truth = 45 * std::exp(0.5 * sd * normal(random));
        const auto doubt = askBack(truth * factor, 45, sd);
        REQUIRE(doubt);
        if (doubt->slip == slip) ++named;
        if (doubt->slip == slip) CHECK(doubt->meant == Approx(truth));
    }
    CHECK(named >= 39);
    CHECK_FALSE(askBack(0, 45, sd));
    CHECK_FALSE(askBack(45 * 50, 45, 0.02)->slip);  // no slip explains it
}

}  // namespace uovo::fit_test
