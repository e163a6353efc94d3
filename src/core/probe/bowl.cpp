#include "core/probe/bowl.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "core/heat/pot.h"

namespace uovo::probe {
namespace {
constexpr double kStep = 0.25;    // s
constexpr double kPerLine = 0.5;  // s between lines
constexpr double kMelts = 22;     // s in which stirred-in seed melts to a third
}  // namespace

Bowl::Bowl(const temper::TemperPlan& plan, const material::Coating& coating, const material::Constants& physics,
           const temper::Choice& choice, double mass, double room, const BowlOptions& options)
    : plan_(plan),
      c_(coating),
      physics_(physics),
      choice_(choice),
      room_(room),
      T_(room),
      felt_(room),
      mass_(plan.melt > 0 ? plan.melt : mass),
      crystals_(coating.crystalsFloor),
      o_(options),
      random_(options.seed) {}

void Bowl::advance(double dt) {
    time_ += dt;
    inStep_ += dt;
    const double own =
        mass_ * c_.heatCapacityLiquid + temper::capacityOf(choice_.vessel) * (choice_.freshBowl && step_ > 0 ? 0.3 : 1);
    const double loss = heat::potLoss(physics_, std::max(0.05, mass_), true);
    T_ -= dt * loss * (T_ - room_) / own;
    if (step_ < plan_.steps.size()) {
        const auto& s = plan_.steps[step_];
        const double before = step_ > 0 ? plan_.steps[step_ - 1].celsius : room_;
        bool next = false;
        if (std::isnan(s.celsius)) {
            next = inStep_ >= s.seconds;
        } else if (step_ == 0 || s.celsius > before + 0.1) {  // heated: as fast as its step has time
            const double joules =
                mass_ * (temper::enthalpy(c_, s.celsius) - temper::enthalpy(c_, step_ == 0 ? room_ : before));
            const double rise = temper::enthalpy(c_, T_ + 0.05) - temper::enthalpy(c_, T_ - 0.05);
            T_ += dt * joules / std::max(30.0, s.seconds) / (mass_ * rise / 0.1);
            next = T_ >= s.celsius;
        } else if (s.grams > 0) {  // seed that takes heat up as it melts
            if (seeded_ == 0) {
                seeded_ = s.grams;
                mass_ += s.grams;
            }
            T_ += dt * (s.celsius - T_) / kMelts;
            next = inStep_ >= s.seconds;
            if (next) seeded_ = 0;
        } else {
            if (s.seconds > 0 && std::isfinite(s.seconds))
                T_ += dt * (s.celsius - T_) / std::max(20.0, 0.4 * s.seconds);
            next = T_ <= s.celsius + 0.15 || inStep_ > 3 * std::max(60.0, s.seconds);
        }
        if (next) {
            ++step_;
            inStep_ = 0;
        }
    } else {
        const heat::CrystalLaw law(c_, physics_);
        const double X = std::max(crystals_, c_.crystalsAtStart), after = law.advance(X, T_, dt);
        T_ += mass_ * c_.latentHeat * (after - X) / own;
        crystals_ = after;
    }
    felt_ += dt * (T_ - felt_) / std::max(dt, o_.lag);
}

std::string Bowl::line() {
    std::uniform_real_distribution<double> share(0, 1);
    std::normal_distribution<double> noise(0, o_.noise);
    if (share(random_) < o_.dropOut) return "";
    const double read = felt_ + noise(random_);
    if (share(random_) < o_.garbage) return "T 3\x01?" + std::string(3, '#') + "\n";
    return o_.fahrenheit ? fmt::format("T {:.2f} F @{:.1f}\n", read * 1.8 + 32, nextLine_)
                         : fmt::format("T {:.2f} C @{:.1f}\n", read, nextLine_);
}

std::string Bowl::pass(double seconds) {
    std::string out;
    if (time_ == 0) out = "uovo-probe 1 a bowl of chocolate\n";
    for (double left = seconds; left > 1e-9; left -= kStep) {
        advance(std::min(left, kStep));
        while (time_ >= nextLine_) {
            out += line();
            if (std::fmod(nextLine_, 10) < 1e-9) out += fmt::format("M {:.1f} g @{:.1f}\n", mass_ * 1e3, nextLine_);
            nextLine_ += kPerLine;
        }
    }
    return out;
}

}  // namespace uovo::probe
