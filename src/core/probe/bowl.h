// A bowl of chocolate that is melted, seeded and stirred, as a slow and noisy thermometer sees it: for practice and
// tests.
#pragma once
#include <random>
#include <string>

#include "core/temper/temper_plan.h"

namespace uovo::probe {

struct BowlOptions {
    double noise = 0.12;    ///< °C, one standard deviation
    double lag = 5;         ///< s that the sensor is slow
    double dropOut = 0.02;  ///< share of lines that do not come
    double garbage = 0.01;  ///< share of lines that are broken
    bool fahrenheit = false;
    unsigned seed = 7;
};

/// Driven by the program's own heat balance; does what the plan asks as soon as it is due, like a patient cook.
class Bowl {
public:
    Bowl(const temper::TemperPlan& plan, const material::Coating& coating, const material::Constants& physics,
         const temper::Choice& choice, double mass, double room, const BowlOptions& options);

    /// Lets time pass. @returns the lines that come meanwhile, two a second
    std::string pass(double seconds);
    double celsius() const { return T_; }  ///< as it really is
    double time() const { return time_; }
    double mass() const { return mass_; }  ///< kg in the bowl
    bool done() const { return step_ >= plan_.steps.size(); }

private:
    void advance(double dt);
    std::string line();

    temper::TemperPlan plan_;
    material::Coating c_;
    const material::Constants& physics_;
    temper::Choice choice_;
    double room_, T_, felt_, mass_ = 0, time_ = 0, nextLine_ = 0, inStep_ = 0, seeded_ = 0, crystals_ = 0;
    size_t step_ = 0;
    BowlOptions o_;
    std::mt19937 random_;
};

}  // namespace uovo::probe
