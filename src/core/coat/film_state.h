// What a film of chocolate on a surface is made of, cell by cell: it cools, crystallises, locks; how it flows is up to
// the surface.
#pragma once
#include <algorithm>
#include <cmath>
#include <stop_token>
#include <vector>

#include "core/coat/hollows.h"
#include "core/form/mesh.h"
#include "core/heat/body.h"
#include "core/heat/crystal.h"
#include "core/quantity/quantity.h"

namespace uovo::coat {

/// Where the piece is and which way up.
struct Surroundings {
    bool inverted = false;   ///< rim down (a profile)
    form::Vec3 up{0, 0, 1};  ///< the vertical, in the piece's own axes (a mesh)
    double air = 21;         ///< °C
    double openSide = 11;    ///< W/m²K on the chocolate's face
    double formerSide = 2;   ///< W/m²K through the former
    bool tapping = false;    ///< tapped on the table: the yield stress halves and slopes wobble by 30°
    bool onPaper = false;    ///< what drips from the bottom stays under it and forms the foot
};

/// What the former does to the film.
struct FormerHeat : heat::Former {
    FormerHeat() { capacity = 300; }
    double dripCap = 0.0025;   // m
    double rimBead = 0.0012;   // m
    double dripTime = 0.5;     // s
    double footFilm = 0.0015;  // m
    double footMost = 0.0028;  // m, highest gap between paper and shell that chocolate fills
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

/// State of a film. Volumes are per area of the former's surface; thickness is normal to it:
/// `v + s = h (1 + H h + K h²/3)`, H mean and K Gaussian curvature, positive where the chocolate is on the convex side.
/// docs/models.md, "Film".
class FilmState {
public:
    virtual ~FilmState() = default;

    /// Lays a fresh film of thickness `add[i]` m (one a cell) on what is there.
    void deposit(const std::vector<double>& add, double celsius, double crystals);
    /// The same by volume per area of the former, m.
    void depositVolume(const std::vector<double>& perArea, double celsius, double crystals);
    /// Lets time pass. @returns false when stopped.
    bool run(double seconds, const Surroundings& around, std::stop_token stop = {});
    /// Length of the first time step after an event, s.
    void firstStep(double seconds) { o_.firstStep = seconds; }
    /// Locks what is still liquid and begins the next coat's clock.
    void closeCoat();
    /// What is laid on from now on is this chocolate; call after closeCoat. The set shell's heat is told by it as well.
    void use(const material::Coating& coating, const heat::CrystalLaw& law) {
        c_ = coating;
        law_ = law;
        freshYield_ = material::yieldStress(c_, c_.working(), c_.crystalsAtStart);
    }

    /// Total, melt, m a cell, along the normal; of a pool its depth, plumb.
    std::vector<double> thickness() const;
    /// Total, melt, m³ per m² of the former.
    std::vector<double> perArea() const;
    double volume() const;  ///< chocolate on the piece, m³ (melt), a pool included
    double mobileVolume() const;
    double dripped() const { return dripped_; }                     ///< m³ (melt) lost since the start
    double time() const { return time_ + owed_; }                   ///< s since the start
    const std::vector<double>& lockTimes() const { return lock_; }  ///< s since closeCoat, NaN where not locked
    const std::vector<double>& temperatures() const {
        return T_;
    }                                 ///< °C of the film, or of the shell where there is none
    double shellTemperature() const;  ///< area mean of the former and shell, °C
    double leastMobile() const;       ///< smallest v, to show that it never turns negative
    /// Height of the liquid that stands over each cell along the vertical of the last step, m; NaN where none does.
    const std::vector<double>& levels() const { return level_; }

protected:
    /// @param area m² a cell @param mean, gauss curvature a cell, 1/m and 1/m²
    FilmState(std::vector<double> area, const std::vector<double>& mean, const std::vector<double>& gauss,
              const material::Coating& coating, const heat::CrystalLaw& law, double lockFraction,
              const FormerHeat& former, const FilmOptions& options, double room);

    /// One implicit step of flow with the rheology of this moment. @returns false when the step must be shorter
    virtual bool flow(double dt, const Surroundings& around) = 0;
    /// Cells whose film may come to cell i within a step: a dry cell takes the rheology of the wettest of them.
    virtual void lendRheology() = 0;
    /// Whether gravity points another way than before: time steps begin small again.
    virtual bool turned(const Surroundings& before, const Surroundings& now) const = 0;

    double volumeOf(size_t i, double h) const;
    double slopeOf(size_t i, double h) const;
    double thicknessOf(size_t i, double volume, double guess = 0) const;
    double criticalOf(size_t i) const { return critical_[i]; }  ///< m from which v(h) is continued in a straight line

    static constexpr double kOverhang = -0.9;  // n·up below which a film hangs and drips
    static constexpr double kLeastSlope =
        0.3;  // of v(h) in a concave corner, beyond which volume is laid on as on a flat wall
    static constexpr double kFloor = 0.5;        // n·up from which a pool's depth counts as the wall's thickness
    static constexpr double kDry = 1e-9;         // m: thinner than this is no film
    static constexpr double kFillet = 0.15;      // n·up from which a concave corner is part of the floor
    static constexpr double kHeatLeast = 1;      // s of the least step of heat
    static constexpr double kWallLayer = 0.002;  // m: what is more than twice as deep sets in layers from its wall

    material::Coating c_;
    heat::CrystalLaw law_;
    FormerHeat former_;
    FilmOptions o_;
    double lockFraction_;
    std::vector<double> area_, v_, s_, b_, h_, T_, X_, Tw_, Xs_, lock_;
    std::vector<double> eta_, tau_, rootTau_;
    /// How much thicker a film hangs in a mold than a fresh one at working temperature does: with its yield stress.
    double hangs(size_t i) const { return std::clamp(tau_[i] / freshYield_, 0.5, 4.0); }
    double dripped_ = 0, pool_ = 0, time_ = 0;
    double owed_ = 0;  // s of heat exchange that are still to be reckoned

    // Hollows of this orientation. The surface sets these when it is turned, then calls findHollows.
    std::vector<double> height_, lean_;  // along the vertical, m; n·up
    std::vector<int> order_;             // cells from the highest to the lowest
    /// @param open, link, to as Hollows::Ground has them; kept by reference
    void findHollows(const std::vector<char>& open, const std::vector<size_t>& link, const std::vector<int>& to);
    bool stands(size_t i) const {
        return !level_.empty() && !std::isnan(level_[i]);
    }  // liquid stands over it: it runs nowhere
    bool gathers() const { return hollows_.any(); }
    int hollowOf(size_t i) const { return hollows_.at(i); }
    /// Whatever reached a hollow lies level there; what it cannot hold spills. @param arrived m³/m² a cell that came to
    /// rest in this step
    void levelPools(const std::vector<double>& arrived);
    bool sunk(size_t i) const { return deeper_[i] != 0; }  // a pool has set over it
    double began(size_t i) const {
        return before_.empty() ? 0 : before_[i];
    }  // m³/m² that lay there when the coat began
    /// Pours m³ of melt into the lowest hollow; where there is none it is gone.
    void pourInHollow(double volume, double celsius, double crystals);

private:
    /// What lies in the hollows while it is levelled: m³ of each hollow; m³/m² of each cell that stay, that may move;
    /// the level that is reached in each cell, m, NaN above it; m³ that may move in all.
    struct Pools {
        std::vector<double> volume, taken, free, level;
        double all = 0;
    };
    /// Films beside the pools run down into them as far as their yield stress lets them. @returns whether anything did
    bool slump(Pools& pools);
    /// Moves what has to move. @param gone m³ that no hollow holds
    void settle(const Pools& pools, double& gone);
    double depthOf(size_t i) const;
    void exchangeHeat(double dt, const Surroundings& around);
    void payHeat(bool wet);  ///< reckons the heat of the steps gone by, in the surroundings they had

    std::vector<double> H_, K_, critical_;
    std::vector<double> Xn_,
        filmX_;  // crystals of the layer at the wall, of a deep cell, else NaN; of each cell before it flowed
    double freshYield_ = 1;
    Hollows hollows_;
    const std::vector<size_t>* link_ = nullptr;
    const std::vector<int>* to_ = nullptr;
    std::vector<double> before_;
    std::vector<double> level_, deeper_, poolSet_,
        spread_;  // deeper_: m between a set pool's depth and the shell its volume would make; poolSet_: m³/m² that set
                  // under a pool of this orientation; spread_: m between a cell and its neighbours
    double coatStart_ = 0, sinceEvent_ = 0;
    Surroundings last_;
};

}  // namespace uovo::coat
