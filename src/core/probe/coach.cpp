#include "core/probe/coach.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "core/heat/pot.h"
#include "core/quantity/catalogue.h"

namespace uovo::probe {
namespace {
constexpr double kRemembered = 30;  // s
constexpr double kMedian = 5;       // s: a sensor's noise and single wild readings
constexpr double kStill = 0.6;      // °C a minute: it has settled
constexpr double kNear = 0.5;       // K
constexpr double kStirred = 25;     // s a portion has at least
constexpr double kTrend = 16;       // s of readings that tell where it is now
constexpr double kLag = 3;     // s that a kitchen's probe is behind the bowl (judgement: a thin metal stem, stirred)
constexpr double kWild = 0.8;  // K from the trend: not believed
constexpr double kUse = 60;    // s after which the minutes that are left are said anew
constexpr double kLost = 10;   // s above where its crystals melt before that is said: a reading or two tell nothing
constexpr double kAgain = 30;  // s between two changes of the same advice
}  // namespace

Coach::Coach(const temper::TemperPlan& plan, const material::Coating& coating, const material::Constants& physics,
             double mass, double watts, double room, UnitSystem units)
    : plan_(plan), coating_(coating), physics_(physics), mass_(mass), watts_(watts), room_(room), units_(units) {
    now_ = {Prompt::Tone::Wait, plan_.steps.empty() ? "" : plan_.steps.front().title, 0};
}

Coach Coach::ofUse(const material::Coating& coating, const material::Constants& physics, double mass, double watts,
                   double room, UnitSystem units) {
    Coach out({}, coating, physics, mass, watts, room, units);
    out.ready_ = out.used_ = true;
    return out;
}

double Coach::celsius() const {
    std::vector<double> v;
    for (size_t i = last_.size(); i-- > 0 && last_.back().first - last_[i].first <= kMedian;)
        v.push_back(last_[i].second);
    if (v.empty()) return std::nan("");
    std::nth_element(v.begin(), v.begin() + static_cast<std::ptrdiff_t>(v.size() / 2), v.end());
    return v[v.size() / 2];
}

double Coach::ahead() const {
    // Medians of the older and the newer half: single wild readings do not count.
    std::vector<double> old, young;
    double to = 0, ty = 0;
    for (size_t i = last_.size(); i-- > 0 && last_.back().first - last_[i].first <= kTrend;) {
        const bool late = last_.back().first - last_[i].first < 0.5 * kTrend;
        (late ? young : old).push_back(last_[i].second);
        (late ? ty : to) += last_[i].first;
    }
    if (old.size() < 4 || young.size() < 4) return celsius();
    const auto median = [](std::vector<double>& v) {
        std::nth_element(v.begin(), v.begin() + static_cast<std::ptrdiff_t>(v.size() / 2), v.end());
        return v[v.size() / 2];
    };
    const double before = median(old), now = median(young), at = ty / double(young.size());
    const double rate = (now - before) / std::max(1.0, at - to / double(old.size()));
    // A straight line through what lies near that of the medians.
    double n = 0, x = 0, y = 0, xx = 0, xy = 0;
    for (size_t i = last_.size(); i-- > 0 && last_.back().first - last_[i].first <= kTrend;) {
        const double s = last_[i].first - at, off = last_[i].second - now - rate * s;
        if (std::abs(off) > kWild) continue;
        n += 1, x += s, y += off, xx += s * s, xy += s * off;
    }
    const double s = last_.back().first + kLag - at, under = n * xx - x * x;
    const double tilt = under > 0 ? (n * xy - x * y) / under : 0, mean = n > 0 ? (y - tilt * x) / n : 0;
    return now + rate * s + mean + tilt * s;
}

double Coach::slope() const {
    if (last_.size() < 4 || last_.back().first - last_.front().first < 0.5 * kRemembered) return std::nan("");
    double n = double(last_.size()), x = 0, y = 0, xx = 0, xy = 0;
    for (const auto& [t, c] : last_) {
        const double s = t - last_.back().first;
        x += s, y += c, xx += s * s, xy += s * c;
    }
    const double under = n * xx - x * x;
    return under > 0 ? 60 * (n * xy - x * y) / under : std::nan("");
}

std::optional<Prompt> Coach::read(double seconds, double celsius) {
    if (!std::isfinite(celsius) || !std::isfinite(seconds) || (!last_.empty() && seconds < last_.back().first))
        return std::nullopt;
    last_.emplace_back(seconds, celsius);
    while (last_.back().first - last_.front().first > kRemembered) last_.pop_front();
    const Prompt next = think(seconds);
    if (next.words == now_.words) return std::nullopt;
    now_ = next;
    return now_;
}

Prompt Coach::think(double seconds) {
    const double T = celsius(), rate = slope(), bowl = ahead();
    hottest_ = std::max(hottest_, T);
    const auto degrees = [&](double t) { return format(t, Dimension::Temperature, units_); };
    const auto time = [&](double s) { return format(s, Dimension::Duration, units_); };
    if (T > coating_.scorch)
        return {Prompt::Tone::Harm,
                say("Too hot: {} scorches above {}. Take it off the heat.", coating_.name, degrees(coating_.scorch)),
                step_};
    if (plan_.steps.empty() && !used_) return now_;
    // the steps that ask for a temperature, in their order
    while (!used_ && step_ + 1 < plan_.steps.size()) {
        const auto& s = plan_.steps[step_];
        const bool first = step_ == 0;
        const bool next = std::isnan(s.celsius) ? seconds - began_ >= s.seconds
                          : first               ? T >= s.low
                          : s.celsius > plan_.steps[step_ - 1].celsius
                              ? T >= s.celsius - kNear
                              : seconds - began_ >= kStirred &&
                                    (bowl <= s.celsius + kNear || (std::abs(rate) < kStill && T < s.high));
        if (!next || std::isnan(plan_.steps[step_ + 1].celsius)) {
            if (next) ready_ = true;  // only the smear test is left
            break;
        }
        ++step_;
        began_ = seconds;
        last_ = {last_.back()};
        const auto& now = plan_.steps[step_];
        std::string words = now.title;
        words[0] = static_cast<char>(std::tolower(static_cast<unsigned char>(words[0])));
        return {Prompt::Tone::Now, tr("Now ") + words, step_};
    }
    if (step_ + 1 >= plan_.steps.size()) ready_ = true;
    if (!ready_) {
        const auto& s = plan_.steps[step_];
        if (seconds - began_ < 15 && step_ > 0) return now_;  // what was just said stands
        return {Prompt::Tone::Wait, fmt::format("{}: to {}", s.title, degrees(s.celsius)), step_};
    }
    // Advice stands until the bowl is well inside its band again, and its figures change twice a minute at most.
    const bool cool = T < coating_.workLow - kNear || (cool_ && T < coating_.workLow), was = cool_;
    const bool warm = coating_.tempered && hottest_ > coating_.loses &&
                      (bowl > coating_.workHigh + kNear || (warm_ && bowl > coating_.workHigh));
    cool_ = cool;
    if (cool) {
        if (was && seconds - advised_ < kAgain) return now_;
        advised_ = seconds;
        const double burst = std::max(2.0, std::ceil(mass_ * coating_.heatCapacityLiquid * (coating_.working() - T) /
                                                     (watts_ * physics_.at("microwaveShare").value)));
        return {Prompt::Tone::Now, say("Too cool: warm it for {}", time(burst)), step_};
    }
    if (used_ && coating_.tempered) {
        if (T <= coating_.loses) lost_.reset();
        else if (!lost_) lost_ = seconds;
        if (lost_ && seconds - *lost_ >= kLost)
            return {Prompt::Tone::Harm,
                    say("Above {} its crystals melt: off the warmth, stir in seed, test a smear before you go on",
                        degrees(coating_.loses)),
                    step_};
        const bool high = bowl > coating_.workHigh + kNear || (warm_ && bowl > coating_.workHigh);
        warm_ = high;
        if (high)
            return {Prompt::Tone::Now, say("Too warm: off the warmth, stir down to {}", degrees(coating_.workHigh)),
                    step_};
    } else if (warm) {
        if (std::abs(rate) < kStill && !(warm_ && seconds - advised_ < kAgain)) {
            warm_ = true;
            advised_ = seconds;
            const temper::Seeding s{mass_, T, 0, room_, {}, 0};
            return {Prompt::Tone::Now,
                    say("Still too warm: {} more seed, or stir on",
                        format(std::round(200 * temper::seedFor(coating_, s, coating_.working())) / 200,
                               Dimension::Mass, units_)),
                    step_};
        }
        return now_;
    }
    if (!used_) warm_ = false;
    if (now_.tone == Prompt::Tone::Ready && !(used_ && seconds - advised_ >= kUse)) return now_;
    if (used_) advised_ = seconds;
    const double use = heat::batchWindow(coating_, physics_, mass_, 0, std::min(bowl, coating_.loses - 0.3), room_);
    const std::string now = degrees(std::round(10 * bowl) / 10), lasts = time(60 * std::round(use / 60));
    return {
        Prompt::Tone::Ready,
        used_ ? say("{}: as it should be, about {} of use", now, lasts) : say("Ready: {}, about {} of use", now, lasts),
        step_};
}

}  // namespace uovo::probe
