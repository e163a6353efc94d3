// What cooling means for a piece: when it locks, is firm, set through and lets go of its former.
#pragma once
#include <vector>

#include "core/heat/body.h"
#include "core/heat/dew.h"

namespace uovo::setting {

/// Some time in one place.
struct Stay {
    double air = 21, transfer = 11;  ///< °C, W/m²K to the air
    double seconds = 0;              ///< the last stay goes on
};

/// Crystal fractions of the events, always in this order. A place lets go when it is set and its 2 mm at the former
/// are.
struct Events {
    double lock = 0.30, firm = 0.45, set = 0.66;
};

/// One place of a wall: a fresh coat on a former or on a set shell.
struct Wall {
    double coat = 0.002, shell = 0;                      ///< m, volume per area of the former
    double coatTemperature = 32, shellTemperature = 21;  ///< °C; the former is as warm as the shell
    double crystals = 0.06;                              ///< of the fresh coat
    heat::Former former;
    bool shut = false;  ///< the open face looks into a closed form: no heat leaves there
    double tray = 0;    ///< J/m²K of something laid on the open face
};

/// A solid: half its smallest dimension and its volume over all its faces say how it cools.
struct Chunk {
    double half = 0.005, volumeOverArea = 0.003;  ///< m
    double temperature = 32, crystals = 0.06;
    heat::Store core;  ///< a stick, a biscuit, a cold filling in its middle, J/K per m² of the chunk's faces
};

/// Seconds from the moment the chocolate went on; NaN: not within the day.
struct Times {
    double lock = 0, firm = 0, set = 0, release = 0;
};

inline constexpr double kAtFormer = 0.002;         ///< m at the former that must be set before it lets go
inline constexpr double kNeedsTheCold = 2 * 3600;  ///< s: what takes longer is not waited for
inline constexpr double kBand = 1.4;               ///< a time may be so many times shorter or longer

/// The nodes of a wall or chunk as it is at the start, and how its former and faces are cooled.
struct Cast {
    heat::Body body;
    size_t firstFresh = 0;  ///< nodes before it are set shell
    heat::Former former;
    bool shut = false, chunk = false;
};
Cast cast(const Wall& wall, const material::Coating& coating, size_t nodes = 12);
Cast cast(const Chunk& chunk, const material::Coating& coating, size_t nodes = 12);
/// Lets time pass at one stay. @param dt s
void advance(Cast& cast, const heat::CrystalLaw& law, const Stay& at, double dt);
/// Crystal fraction of the fresh chocolate on the whole, and of what lies within 2 mm of the former.
double mean(const Cast& cast);
double atFormer(const Cast& cast);

/// One-dimensional model through a list of stays, the last of which goes on for up to a day (docs/models.md,
/// "Setting").
/// @param step s
Times settle(Cast cast, const heat::CrystalLaw& law, const Events& events, const std::vector<Stay>& stays,
             double step = 4);

/// Crystal fraction of the fresh chocolate on the whole after so many seconds of the stays.
double crystalsAfter(Cast cast, const heat::CrystalLaw& law, const std::vector<Stay>& stays, double seconds);

/// Temperature above which a chocolate never sets, °C: where the equilibrium crystal fraction falls below `events.set`.
double warmestSettingAir(const heat::CrystalLaw& law, const Events& events);

}  // namespace uovo::setting
