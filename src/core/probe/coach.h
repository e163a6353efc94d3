// Listens to the thermometer while a pot is tempered, and says what to do now.
#pragma once
#include <deque>
#include <optional>
#include <string>

#include "core/temper/temper_plan.h"

namespace uovo::probe {

struct Prompt {
    enum class Tone { Wait, Now, Ready, Harm } tone = Tone::Wait;
    std::string words;  ///< "Now stir in portion 2 of 3: 86 g"
    size_t step = 0;    ///< of the tempering plan
};

/// Fed with readings in time; noise is taken out by medians, a slow sensor by their trend; drop-outs do not matter.
class Coach {
public:
    Coach(const temper::TemperPlan& plan, const material::Coating& coating, const material::Constants& physics,
          double mass, double watts, double room, UnitSystem units);

    /// Watches a pot that is ready and in use: nothing is left to be done but to keep it in its band.
    static Coach ofUse(const material::Coating& coating, const material::Constants& physics, double mass, double watts,
                       double room, UnitSystem units);

    /// @param seconds since the start, rising @param celsius as read
    /// @returns what to do when that has changed
    std::optional<Prompt> read(double seconds, double celsius);
    /// What was read before does not count any more: a figure typed by hand stands for itself.
    void forget() { last_.clear(); }
    const Prompt& now() const { return now_; }
    /// Smoothed reading, °C; NaN before the first.
    double celsius() const;
    size_t step() const { return step_; }

private:
    double ahead() const;  ///< °C of the bowl now: the trend of the readings, a slow sensor made up for
    double slope() const;  ///< °C a minute over the last half minute; NaN when it is not known
    Prompt think(double seconds);

    temper::TemperPlan plan_;
    material::Coating coating_;
    material::Constants physics_;
    double mass_, watts_, room_;
    UnitSystem units_;
    std::deque<std::pair<double, double>> last_;  // seconds, °C as read, of half a minute
    size_t step_ = 0;
    double began_ = 0, hottest_ = -1e9;
    bool ready_ = false, used_ = false, cool_ = false, warm_ = false;
    std::optional<double> lost_;  ///< s, since when it is too warm to keep its temper
    double advised_ = -1e9;       ///< s, when too cool or too warm was last put in figures
    Prompt now_;
};

}  // namespace uovo::probe
