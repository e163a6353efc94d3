// Our search against NLopt (libnlopt 2.7, BOBYQA of Powell 2009): the same posterior, another optimiser.
#include <catch2/catch.hpp>
#include <cmath>
#include <nlopt.hpp>
#include <random>

#include "core/learn/fit.h"

namespace uovo::fit_reference_test {
namespace {

using namespace learn;
using Eigen::VectorXd;

/// Grams of a film that its yield stress and its viscosity hold up together: not linear in their logarithms.
double filmOf(double yield, double viscosity, double share) {
    return std::log(share * std::exp(0.6 * yield) + (1 - share) * std::exp(0.4 * viscosity));
}

}  // namespace

TEST_CASE("twenty posteriors with Student's t, intervals and departures have their top where NLopt finds it") {
    std::mt19937 random(17);
    std::normal_distribution<double> normal;
    std::uniform_real_distribution<double> uniform(0.1, 0.9);
    int same = 0;
    for (int round = 0; round < 20; ++round) {
        const std::vector<Unknown> priors{{"yield", 0, 0.5}, {"viscosity", 0, 0.3}, {"ladle", 0.1, 0.6}};
        Block b;
        b.of = Eigen::MatrixXd::Identity(3, 3);
        b.stride = VectorXd::Constant(3, 1e-4);
        std::vector<double> shares, slopes;
        const double truth[] = {0.5 * normal(random), 0.3 * normal(random), 0.6 * normal(random)};
        for (int i = 0; i < 6; ++i) {
            shares.push_back(uniform(random));
            slopes.push_back(0.1 * normal(random));
            Seen s;
            s.value = filmOf(truth[0], truth[1], shares.back()) + slopes.back() * truth[2] + 0.06 * normal(random);
            s.scatter = 0.06;
            s.departs = {{static_cast<size_t>(i % 2), 0.05}};
            if (i == 5) {  // only looked at now and then
                s.upper = s.value + 0.1;
                s.value -= 0.1;
            } else if (i == 4 && round % 3 == 0) {
                s.value += 0.5;  // wrong
            }
            b.seen.push_back(s);
        }
        b.model = [shares, slopes](const VectorXd& p) -> std::optional<VectorXd> {
            VectorXd out(shares.size());
            for (size_t i = 0; i < shares.size(); ++i)
                out[static_cast<Eigen::Index>(i)] = filmOf(p[0], p[1], shares[i]) + slopes[i] * p[2];
            return out;
        };
        FitOptions options;
        options.enough = 1e-9;
        options.mostSteps = 200;
        const auto f = fit(priors, {b}, 2, options);
        REQUIRE(f);

        // written anew: five variables, natural units
        const auto posterior = [&](const std::vector<double>& x) {
            double sum = 0;
            for (size_t i = 0; i < 3; ++i) sum -= std::pow((x[i] - priors[i].mean) / priors[i].sd, 2) / 2;
            sum -= (x[3] * x[3] + x[4] * x[4]) / 2;
            for (size_t i = 0; i < b.seen.size(); ++i) {
                const double told = filmOf(x[0], x[1], shares[i]) + slopes[i] * x[2] + 0.05 * x[3 + i % 2];
                const auto& s = b.seen[i];
                if (s.upper)
                    sum += std::log(0.5 * (std::erf((*s.upper - told) / s.scatter / std::sqrt(2.0)) -
                                           std::erf((s.value - told) / s.scatter / std::sqrt(2.0))));
                else sum -= 2.5 * std::log1p(std::pow((s.value - told) / s.scatter, 2) / 4);
            }
            return sum;
        };
        nlopt::opt search(nlopt::LN_BOBYQA, 5);
        search.set_max_objective([](const std::vector<double>& x, std::vector<double>&,
                                    void* of) { return (*static_cast<decltype(posterior)*>(of))(x); },
                                 const_cast<void*>(static_cast<const void*>(&posterior)));
        search.set_xtol_rel(1e-10);
        search.set_maxeval(20000);
        std::vector<double> x{f->unknowns[0] + 0.05, f->unknowns[1] - 0.05, f->unknowns[2] + 0.1, 0,
                              0};  // the same top
        double top = 0;
        search.optimize(x, top);
        std::vector<double> ours{f->unknowns[0], f->unknowns[1], f->unknowns[2], f->departures[0], f->departures[1]};
        CHECK(posterior(ours) >= top - 1e-6);
        if (posterior(ours) > top + 1e-3) continue;  // it stayed at a lower top
        ++same;
        for (int i = 0; i < 3; ++i) CHECK(f->unknowns[i] == Approx(x[static_cast<size_t>(i)]).margin(1e-3));
        for (int i = 0; i < 2; ++i) CHECK(f->departures[i] == Approx(x[static_cast<size_t>(3 + i)]).margin(1e-3));
    }
    CHECK(same >= 18);
}

}  // namespace uovo::fit_reference_test
