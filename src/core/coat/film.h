// A film of chocolate on a meridian: it flows, cools, crystallises and locks.
#pragma once
#include <cmath>
#include <stop_token>
#include <vector>

#include "core/form/meridian.h"
#include "core/heat/crystal.h"

namespace uovo::coat {

/// Where the piece is and which way up.
struct Surroundings {
    bool inverted = false;  ///< rim down
    double air = 21;        ///< °C
    double openSide = 8;    ///< W/m²K on the chocolate's face
    double formerSide = 2;  ///< W/m²K through the former
    bool onPaper = false;   ///< what drips from the bottom stays under it and forms the foot
};

/// What the former does to the film.
struct FormerHeat {
    double capacity = 300;    // J/m²K
    double dripCap = 0.0025;  // m
    double rimBead = 0.0012;  // m
    double dripTime = 0.5;    // s
    double footFilm = 0.0015; // m
    double footMost = 0.0028; // m, highest gap between paper and shell that chocolate fills
};

struct FilmOptions {
    bool curvature = true;    ///< off only to compare with flat-film theory
    bool levelling = true;    ///< hydrostatic term where the film lies on top
    bool heat = true;         ///< off: isothermal at 40 °C without crystals
    bool openRim = false;     ///< the film runs off freely at the last face (a plate's lower edge)
    double firstStep = 0.02;  ///< s after an event
    double growth = 0.2;      ///< time step as a share of the time since the last event
    double mostStep = 20;     ///< s
    double heatStep = 6;      ///< s
};

/// State of the film. Volumes are per area of the former's surface; thickness is normal to it:
/// `v + s = h (1 + H h + K h²/3)`. Fluxes are first-order upwind finite volumes, implicit, damped Newton on the total
/// thickness h, finished in flux form so that mass is exact. docs/models.md, "Film on a profile".
class Film {
public:
    Film(const form::Profile& profile, const material::Coating& coating, const heat::CrystalLaw& law, double lockFraction,
         const FormerHeat& former, const FilmOptions& options, double roomCelsius);

    /// Lays a fresh film of thickness `add[i]` m (one a cell) on what is there.
    void deposit(const std::vector<double>& add, double celsius, double crystals);
    /// The same by volume per area of the former, m.
    void depositVolume(const std::vector<double>& perArea, double celsius, double crystals);
    /// Lets time pass. @returns false when stopped.
    bool run(double seconds, const Surroundings& around, std::stop_token stop = {});
    /// Sets the piece down on paper, or lets what has since dripped there join the foot: chocolate fills the gap between
    /// paper and shell out to the foot's edge. @returns the foot's radius in m
    double standOnPaper();
    /// Takes the piece off the paper; flash that the foot could not hold is left behind.
    void leavePaper();
    /// Locks what is still liquid and begins the next coat's clock.
    void closeCoat();

    std::vector<double> thickness() const;  ///< total, melt volume, m a cell
    double volume() const;                  ///< chocolate on the piece, m³ (melt), the pool on paper included
    double mobileVolume() const;
    double dripped() const { return dripped_; }  ///< m³ (melt) lost since the start
    double time() const { return time_; }        ///< s since the start
    const std::vector<double>& lockTimes() const { return lock_; }  ///< s since closeCoat, NaN where not locked
    double shellTemperature() const;  ///< area mean of the former and shell, °C
    double leastMobile() const;       ///< smallest v, to show that it never turns negative

private:
    /// Flow through face f (between cells f-1 and f) at the trial thickness, positive towards the rim, m³/s.
    struct FaceFlow {
        double flux = 0;
        size_t from = 0;         ///< upstream cell
        double byThickness = 0;  ///< d flux / d thickness of the upstream cell
        double byHead = 0;       ///< d flux / d (head difference)
    };
    FaceFlow faceFlow(size_t f, double up) const;
    double head(size_t i, double up) const;
    double volumeOf(size_t i, double h) const;
    double slopeOf(size_t i, double h) const;
    double thicknessOf(size_t i, double volume, double guess = 0) const;
    bool flow(double dt, const Surroundings& around);
    void exchangeHeat(double dt, const Surroundings& around);

    const form::Profile& p_;
    const material::Coating& c_;
    heat::CrystalLaw law_;
    FormerHeat former_;
    FilmOptions o_;
    double lockFraction_;
    std::vector<double> v_, s_, b_, h_, T_, X_, Tw_, Xs_, lock_;
    std::vector<double> eta_, tau_, rootTau_, drip_;
    std::vector<double> H_, K_, critical_;
    size_t foot_ = 0;                 // cells pressed between shell and paper
    double plane_ = std::nan("");     // m below the former's pole: the paper
    double dripped_ = 0, pool_ = 0, time_ = 0, coatStart_ = 0, sinceEvent_ = 0;
    bool inverted_ = false;
    // scratch of the Newton solve
    std::vector<double> lower_, diag_, upper_, rhs_, flux_, trial_, in_;
};

}  // namespace uovo::coat
