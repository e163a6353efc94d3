// A film of chocolate on any mesh, gravity in any direction.
#pragma once
#include "core/coat/film_state.h"
#include "core/coat/surface.h"

namespace uovo::coat {

/// The flow follows the slope of the former alone (levelling is left out), so it is acyclic in height: cells are sorted
/// once an orientation, and one downhill sweep of scalar solves is the exact implicit step, conservative, positive,
/// without a limit on its length. What gathers in a hollow lies level there (FilmState). docs/models.md, "Film on a
/// mesh".
class MeshFilm : public FilmState {
public:
    /// @param surface is kept by reference
    MeshFilm(const Surface& surface, const material::Coating& coating, const heat::CrystalLaw& law, double lockFraction,
             const FormerHeat& former, const FilmOptions& options, double roomCelsius);

    /// Pours `cubicMetres` of melt into the lowest hollow of this orientation, as a pool.
    void pour(double cubicMetres, double celsius, double crystals, const form::Vec3& up);
    /// Takes off what stands above the wall beside it at the rim.
    void scrapeRim();
    /// What has dripped since the piece was set down (`pool`, m³) fills the gap between paper and shell, as far out as
    /// it reaches and no higher than a foot holds. @returns the radius of a disc as large as the foot, m
    double standOnPaper(const form::Vec3& up, double pool);
    void leavePaper();
    /// Surface tension irons out what is narrower than its reach before a coat locks for good; pools and rims stay as
    /// they are. Call at a coat's end, before closeCoat.
    void iron();
    /// Height of the highest liquid surface along the vertical of the last step, m; NaN when there is none.
    double poolLevel() const;
    /// Thickness of the mobile film a cell, m.
    std::vector<double> mobile() const { return v_; }

private:
    bool flow(double dt, const Surroundings& around) override;
    void lendRheology() override;
    bool turned(const Surroundings& before, const Surroundings& now) const override {
        return before.up != now.up || before.tapping != now.tapping;
    }
    void orient(const form::Vec3& up);
    size_t fallsInto(size_t cell) const;  // the lowest place under a ceiling, or none

    const Surface& p_;
    form::Vec3 up_{0, 0, 0};
    std::vector<double> slope_;   // |tangential gravity| 0..1
    std::vector<char> rim_;       // an open edge
    std::vector<size_t> lowest_;  // cells that have no lower neighbour and hold liquid
    bool inside_ = false;         // the chocolate is in the former: what drips may fall back into it
    std::vector<double> drain_;   // Σ width · drop over the downhill links, m
    std::vector<size_t> first_;   // downhill links of each cell
    std::vector<int> below_;
    std::vector<double> share_;  // of the cell's outflow
    enum class End : unsigned char { None, Drip, Bead, Pool };
    std::vector<End> end_;
    std::vector<double> cap_;                                     // m of mobile film held before it drips
    std::vector<double> inflow_, inHeat_, inCrystals_, arrived_;  // scratch of the sweep
    double plane_ = std::nan("");                                 // m: the paper, along the vertical
    std::vector<double> paper_;  // m of film that fills the gap to it, of the foot's cells; empty: no paper
};

}  // namespace uovo::coat
