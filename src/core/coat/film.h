// A film of chocolate on a meridian: the fast path for round pieces.
#pragma once
#include <cmath>

#include "core/coat/film_state.h"
#include "core/form/meridian.h"

namespace uovo::coat {

/// Fluxes are first-order upwind finite volumes, implicit, damped Newton on the total thickness h, finished in flux
/// form so that mass is exact. docs/models.md, "Film on a profile".
class Film : public FilmState {
public:
    Film(const form::Profile& profile, const material::Coating& coating, const heat::CrystalLaw& law,
         double lockFraction, const FormerHeat& former, const FilmOptions& options, double roomCelsius);

    /// Sets the piece down on paper, or lets what has since dripped there join the foot: chocolate fills the gap
    /// between paper and shell out to the foot's edge. @returns the foot's radius in m
    double standOnPaper();
    /// Takes the piece off the paper; flash that the foot could not hold is left behind.
    void leavePaper();

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
    bool flow(double dt, const Surroundings& around) override;
    void assemble(double dt, double up, bool rimLowest);
    void limitOutflow(double dt);
    void carryHeat(double dt);
    void moveMass(double dt, bool onPaper, bool rimLowest);
    /// What comes back into a cell over its far face, m³/s a radian; what runs over the foot stays in the pool.
    double fromRim(size_t i) const { return i + 1 == foot_ ? 0.0 : std::max(0.0, -flux_[i + 1]); }
    void lendRheology() override;
    bool turned(const Surroundings& before, const Surroundings& now) const override {
        return before.inverted != now.inverted;
    }
    void orient(double up);

    const form::Profile& p_;
    size_t foot_ = 0;              // cells pressed between shell and paper
    double plane_ = std::nan("");  // m below the former's pole: the paper
    double up_ = 0;
    std::vector<char> rim_;     // the last cell's edge is open
    std::vector<size_t> link_;  // a chain: each cell and the next
    std::vector<int> to_;
    // scratch of the Newton solve
    std::vector<double> lower_, diag_, upper_, rhs_, flux_, trial_, in_, drip_, arrived_;
};

}  // namespace uovo::coat
