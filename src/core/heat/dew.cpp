#include "core/heat/dew.h"

#include <cmath>

namespace uovo::heat {

double saturationPressure(double celsius) {
    const double T = celsius + 273.15;
    if (celsius < 0.01)  // over ice
        return std::exp(-5.6745359e3 / T + 6.3925247 - 9.677843e-3 * T + 6.2215701e-7 * T * T +
                        2.0747825e-9 * T * T * T - 9.484024e-13 * T * T * T * T + 4.1635019 * std::log(T));
    return std::exp(-5.8002206e3 / T + 1.3914993 - 4.8640239e-2 * T + 4.1764768e-5 * T * T - 1.4452093e-8 * T * T * T +
                    6.5459673 * std::log(T));
}

double vapourPressure(double celsius, double humidity) { return humidity * saturationPressure(celsius); }

double dewPoint(double celsius, double humidity) {
    if (!(humidity > 0)) return std::nan("");
    const double p = vapourPressure(celsius, humidity);
    double low = -90, high = celsius;
    for (int i = 0; i < 80; ++i) {
        const double mid = 0.5 * (low + high);
        (saturationPressure(mid) < p ? low : high) = mid;
    }
    return 0.5 * (low + high);
}

double drySurfaceTime(const ColdWall& wall, double room, double humidity, double transfer) {
    const double dew = dewPoint(room, humidity);
    if (!(wall.temperature < dew)) return 0;
    const double tau = wall.density * wall.heatCapacity * wall.thickness / (wall.faces * transfer);
    return tau * std::log((room - wall.temperature) / (room - dew));
}

Condensation condensation(const ColdWall& wall, double room, double humidity, double transfer, double radiation) {
    // Lewis: mass transfer h_m = convection / (rho_air c_air) for vapour density; water vapour 461.5 J/kgK.
    constexpr double kLatent = 2.45e6, kAir = 1.2 * 1006, kVapour = 461.5;
    Condensation out;
    out.dewPoint = dewPoint(room, humidity);
    if (!(wall.temperature < out.dewPoint)) return out;
    out.wet = true;
    const double p = vapourPressure(room, humidity);
    const double capacity = wall.density * wall.heatCapacity * wall.thickness / wall.faces;
    double T = wall.temperature, film = 0, t = 0;
    constexpr double dt = 0.5;
    while (t < 4 * 3600) {
        const double drive = (p - saturationPressure(T)) / (kVapour * (T + 273.15));
        double rate = (transfer - radiation) / kAir * drive;  // kg/m²s, negative when drying
        if (rate < 0 && film + rate * dt < 0) rate = -film / dt;
        film += rate * dt;
        T += dt * (transfer * (room - T) + kLatent * rate) / capacity;
        t += dt;
        if (film > out.film) out.film = film;
        if (out.wetSeconds == 0 && T >= out.dewPoint) out.wetSeconds = t;
        if (out.wetSeconds > 0 && film <= 1e-9) break;
    }
    out.drySeconds = t;
    return out;
}

}  // namespace uovo::heat
