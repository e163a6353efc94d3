#include "core/setting/setting.h"

#include <algorithm>
#include <cmath>

namespace uovo::setting {
namespace {

heat::Body bodyOf(const material::Coating& c) {
    heat::Body b;
    b.density = c.densityMelt;
    b.heatCapacity = c.heatCapacity;
    b.conductivity = c.conductivity;
    b.latentHeat = c.latentHeat;
    return b;
}

void add(heat::Body& b, double thickness, size_t nodes, double T, double X) {
    for (size_t i = 0; i < nodes; ++i) {
        b.width.push_back(thickness / static_cast<double>(nodes));
        b.T.push_back(T);
        b.X.push_back(X);
    }
}

}  // namespace

Cast cast(const Wall& wall, const material::Coating& coating, size_t nodes) {
    Cast out{bodyOf(coating), 0, wall.former, wall.shut, false};
    const double share = wall.shell / (wall.shell + wall.coat);
    if (wall.shell > 0)
        out.firstFresh =
            std::clamp<size_t>(static_cast<size_t>(std::lround(share * static_cast<double>(nodes))), 2, nodes - 2);
    add(out.body, wall.shell, out.firstFresh, wall.shellTemperature, 1);
    add(out.body, wall.coat, nodes - out.firstFresh, wall.coatTemperature, wall.crystals);
    out.body.inner = {wall.former.capacity, wall.former.contact, wall.shellTemperature};
    out.body.outer = {wall.tray, 0, wall.shellTemperature};
    return out;
}

Cast cast(const Chunk& chunk, const material::Coating& coating, size_t nodes) {
    Cast out{bodyOf(coating), 0, {0, 0, 0}, false, true};
    out.body.spread = std::clamp(chunk.half / chunk.volumeOverArea - 1, 0.0, 2.0);
    add(out.body, chunk.half, nodes, chunk.temperature, chunk.crystals);
    out.body.inner = chunk.core;
    if (chunk.core.capacity > 0) out.body.spread = 0;  // what is round a core is a wall
    return out;
}

void advance(Cast& c, const heat::CrystalLaw& law, const Stay& at, double dt) {
    const double back = c.chunk || c.former.capacity <= 0 ? 0 : c.former.back >= 0 ? c.former.back : at.transfer;
    heat::advance(c.body, law, {at.air, c.shut ? 0 : at.transfer, back}, dt);
}

double mean(const Cast& c) {
    double sum = 0, volume = 0;
    for (size_t i = c.firstFresh; i < c.body.X.size(); ++i) {
        const double v = c.body.volume(i);
        sum += v * c.body.X[i];
        volume += v;
    }
    return sum / volume;
}

double atFormer(const Cast& c) {
    const double all = c.body.thickness();
    double from = 0, sum = 0, reach = 0;
    for (size_t i = 0; i < c.body.X.size(); ++i) {
        const double to = from + c.body.width[i];
        const double in = c.chunk ? to - std::max(from, all - kAtFormer) : std::min(to, kAtFormer) - from;
        if (in > 0) {
            sum += in * c.body.X[i];
            reach += in;
        }
        from = to;
    }
    return sum / reach;
}

Times settle(Cast cast, const heat::CrystalLaw& law, const Events& events, const std::vector<Stay>& stays,
             double step) {
    constexpr double kLongest = 24 * 3600;
    const double never = std::nan("");
    Times out{never, never, never, never};
    if (stays.empty()) return out;
    double t = 0, stayEnds = stays[0].seconds, before = mean(cast), beforeWall = atFormer(cast);
    size_t at = 0;
    while (t < kLongest) {
        while (t >= stayEnds - 1e-9 && at + 1 < stays.size()) stayEnds += stays[++at].seconds;
        // young chocolate changes fast; what takes hours is stepped in halves of a minute
        double dt = t > 3600 ? 30 : t < 10 ? std::min(step, 1.0) : step;
        if (at + 1 < stays.size()) dt = std::min(dt, stayEnds - t);
        advance(cast, law, stays[at], dt);
        const double now = mean(cast), wall = atFormer(cast);
        const auto event = [&](double& when, double level, double was, double is) {
            if (std::isnan(when) && is >= level)
                when = t + (is > was ? dt * std::clamp((level - was) / (is - was), 0.0, 1.0) : 0.0);
        };
        event(out.lock, events.lock, before, now);
        event(out.firm, events.firm, before, now);
        event(out.set, events.set, before, now);
        if (!std::isnan(out.set)) event(out.release, events.set, beforeWall, wall);
        t += dt;
        if (!std::isnan(out.release)) {
            out.release = std::max(out.release, out.set);
            break;
        }
        if (at + 1 == stays.size() && t > 3 * 3600 && now - before < 1e-6)
            break;  // no longer changing: it will not set here
        before = now;
        beforeWall = wall;
    }
    return out;
}

double crystalsAfter(Cast cast, const heat::CrystalLaw& law, const std::vector<Stay>& stays, double seconds) {
    size_t at = 0;
    double ends = stays[0].seconds;
    for (double t = 0; t < std::min(seconds, 4.0 * 3600);) {
        while (t >= ends - 1e-9 && at + 1 < stays.size()) ends += stays[++at].seconds;
        const double dt = std::min({t > 3600 ? 30.0 : 5.0, seconds - t, at + 1 < stays.size() ? ends - t : 1e9});
        advance(cast, law, stays[at], std::max(dt, 1e-3));
        t += std::max(dt, 1e-3);
    }
    return mean(cast);
}

double warmestSettingAir(const heat::CrystalLaw& law, const Events& events) {
    double low = 0, high = 40;
    for (int i = 0; i < 50; ++i) {
        const double mid = 0.5 * (low + high);
        (1 - heat::meltedShare(mid, law.shift) >= events.set ? low : high) = mid;
    }
    return low;
}

}  // namespace uovo::setting
