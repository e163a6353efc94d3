// Moist air: saturation pressure, dew point, and how wet a cold piece gets in a warm room.
#pragma once

namespace uovo::heat {

/// Saturation pressure of water in Pa, ASHRAE Handbook Fundamentals (2017) ch. 1 eq. 5 and 6: over ice below 0 °C.
/// @param celsius -100 to 200
double saturationPressure(double celsius);
/// Vapour pressure in Pa of air at `celsius` with relative `humidity` (0–1).
double vapourPressure(double celsius, double humidity);
/// Dew (or frost) point in °C by inverting the saturation formula; NaN for dry air.
double dewPoint(double celsius, double humidity);

/// What happens to a cold wall that is carried into a warm room.
struct Condensation {
    bool wet = false;
    double dewPoint = 0;    ///< °C
    double wetSeconds = 0;  ///< until the surface is as warm as the dew point
    double film = 0;        ///< kg/m² of water at most
    double drySeconds = 0;  ///< until the water is gone again
};

struct ColdWall {
    double thickness = 0.003;    // m
    double density = 1300;       // kg/m³
    double heatCapacity = 1650;  // J/kgK
    double temperature = 6;      // °C
    int faces = 2;               ///< faces in the air
};

/// Lumped wall with condensation heat (Lewis relation, latent heat 2.45 MJ/kg).
/// @param transfer heat transfer in W/m²K of one face, radiation included
/// @param radiation the part of it that comes by radiation, which carries no vapour
Condensation condensation(const ColdWall& wall, double roomCelsius, double humidity, double transfer, double radiation);

/// Time in s until the wall is as warm as the dew point, without the heat of condensation: tau ln((Ta-T0)/(Ta-Td)).
double drySurfaceTime(const ColdWall& wall, double roomCelsius, double humidity, double transfer);

}  // namespace uovo::heat
