// A film of chocolate on any mesh, gravity in any direction.
#pragma once
#include "core/coat/film_state.h"
#include "core/coat/surface.h"

namespace uovo::coat {

/// The flow follows the slope of the former alone (levelling is left out), so it is acyclic in height: cells are sorted
/// once an orientation, and one downhill sweep of scalar solves is the exact implicit step, conservative, positive,
/// without a limit on its length. What gathers in a hollow becomes a level pool. docs/models.md, "Film on a mesh".
class MeshFilm : public FilmState {
public:
    /// @param surface is kept by reference
    MeshFilm(const Surface& surface, const material::Coating& coating, const heat::CrystalLaw& law, double lockFraction,
             const FormerHeat& former, const FilmOptions& options, double roomCelsius);

    /// Pours `cubicMetres` of melt into the lowest hollow of this orientation, as a pool.
    void pour(double cubicMetres, double celsius, double crystals, const form::Vec3& up);
    std::vector<double> thickness() const override;
    /// Takes off what stands above the wall beside it at the rim.
    void scrapeRim();
    /// What has dripped since the piece was set down (`pool`, m³) fills the gap between paper and shell, as far out as it
    /// reaches and no higher than a foot holds. @returns the radius of a disc as large as the foot, m
    double standOnPaper(const form::Vec3& up, double pool);
    void leavePaper();
    /// Height of the pool's surface along the vertical of the last step, m; NaN when there is none.
    double poolLevel() const { return level_; }
    /// Thickness of the mobile film a cell, m.
    std::vector<double> mobile() const { return v_; }

private:
    bool flow(double dt, const Surroundings& around) override;
    void lendRheology() override;
    bool turned(const Surroundings& before, const Surroundings& now) const override { return before.up != now.up || before.tapping != now.tapping; }
    void orient(const form::Vec3& up);
    void level(double volume, double celsius, double crystals);

    const Surface& p_;
    form::Vec3 up_{0, 0, 0};
    std::vector<int> order_;               // cells from the highest to the lowest
    std::vector<double> height_, slope_;   // along the vertical, m; |tangential gravity| 0..1
    std::vector<double> drain_;            // Σ width · drop over the downhill links, m
    std::vector<size_t> first_;            // downhill links of each cell
    std::vector<int> below_;
    std::vector<double> share_;            // of the cell's outflow
    bool hollow_ = false;                  // some place holds a pool
    enum class End : unsigned char { None, Drip, Bead, Pool };
    std::vector<End> end_;
    std::vector<double> cap_;              // m of mobile film held before it drips
    std::vector<double> inflow_, inHeat_, inCrystals_;  // scratch of the sweep
    double level_ = std::nan("");
    double plane_ = std::nan("");          // m: the paper, along the vertical
    std::vector<double> paper_;            // m of film that fills the gap to it, of the foot's cells; empty: no paper
};

}  // namespace uovo::coat
