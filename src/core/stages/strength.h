// Will it hold: what happens to a piece from unmolding to the evening, each as a load on its wall, and a verdict in
// words.
#pragma once
#include "core/shell/load.h"
#include "core/shell/verdict.h"
#include "core/stages/figures.h"

namespace uovo {

/// How strong a chocolate is: the book's figure, a person's own, or that of bars they broke.
struct ChocolateStrength {
    shell::Strength strength;
    double low = 0, high = 0;  ///< Pa, 5–95 % range of the mean strength
    double young = 1e8;        ///< Pa, under a lasting load
    std::string source;        ///< "from memory, low confidence", "5 bars of your own"
    size_t bars = 0;
};
ChocolateStrength strengthOf(const Plan& plan, const material::Library& library, const std::string& chocolate);
/// Strength under a load that lasts so many seconds against that of 30 s; of stiffness only what is shorter counts.
double quickness(const material::Library& library, double seconds);
/// How a piece is lifted where its plan says "as usual".
Handling::Lift liftOf(const Piece& piece, const material::Library& library, double width, bool open);
/// Strength and stiffness at a temperature against those at 20 °C. @param celsius @returns 0.001–3
double firmness(const material::Library& library, double celsius);

/// A force as it is drawn on the stage.
struct Arrow {
    form::Vec3 at, force;  ///< m, N
};

/// One thing that happens to a piece.
struct LoadCase {
    std::string id;     ///< "stands", "rim", "fingers", "hand", "below", "peel", "at-once", "bump", "on-top", "hangs",
                        ///< "tap", "blow", "sauce"
    std::string title;  ///< "Lifted with two fingers"
    std::string headline;  ///< "holds 2.4 times"
    std::string sentence;
    Tone tone = Tone::Plain;
    double margin = 0, low = 0,
           high = 0;     ///< its load times this cracks one in twenty, and the honest band; infinite: nothing pulls
    double cracks = 0;   ///< share that cracks, likely
    double average = 0;  ///< the same, averaged over the range of strength and load
    std::string group;   ///< "release", "lift", "carry": ways of doing the same; else empty
    bool chosen = true;  ///< how the cook means to handle it, or what happens anyway; else another way
    double buckles = 0;  ///< its load times this makes the wall give way sideways; infinite: never
    Measure load = 0;    ///< what a person may change: N, kg or J by `dimension`
    std::string unit;    ///< "N", "kg", "J"; empty: nothing to change
    std::string place;   ///< "at the rim", "low on the wall"
    form::Vec3 at;       ///< m, of the weakest place
    bool outer = true;   ///< it opens on the outside
    double sag = 0;      ///< m, greatest shift, the whole's own motion taken off
    double seconds = 0;  ///< until it gives way; 0: not a matter of time
    std::vector<Arrow> arrows;
    std::vector<float> stress;      ///< Pa, tension at each corner of the mesh, the worse of both faces
    std::vector<form::Vec3> shift;  ///< m, of each corner
};

/// A change that helps, computed.
struct StrengthWay {
    enum class Does { Advice, BrushRim, Coat, Score };
    std::string title;
    double margin = 0;         ///< of the weakest case, after it
    double mass = 0;           ///< kg more in each
    Does does = Does::Advice;  ///< what the plan would have to change
};

/// How a piece is handled when a case of a group is the way its cook does it; none for what happens anyway.
std::optional<Handling> handledAs(const Piece& piece, const std::string& id);
/// The piece after a way out; none where only a person can do it.
std::optional<Piece> taken(const Piece& piece, const material::Library& library, StrengthWay::Does does);

struct StrengthStage {
    form::Mesh mesh;                ///< middle of the wall
    std::vector<double> thickness;  ///< m at its corners
    ChocolateStrength chocolate;
    std::vector<LoadCase> cases;    ///< in the order of a piece's life
    size_t weakest = 0;             ///< of the chosen ways and what happens anyway
    double survives = 1;            ///< share that comes through all of these, on average
    std::vector<StrengthWay> ways;  ///< when the weakest is weak
    std::string left;               ///< parts that are left out of it, in words
    std::string problem;            ///< why there is nothing of this; empty when there is
    double seconds = 0;

    /// The ways worth telling: each better than the weakest case as it is, what one click does before advice.
    std::vector<StrengthWay> helpfulWays() const;
};

struct StrengthOptions {
    double triangles = 2600;  ///< of the wall, about
    bool ways = true;         ///< whether it gives way sideways, and what to do about a weak one, as well
};
/// A first verdict within a tenth of a second: coarser, within a few percent of the whole.
inline constexpr StrengthOptions kQuickStrength{1300, false};

/// Reckons a piece. @param answers its answers, without problems
StrengthStage strength(const Piece& piece, const Plan& plan, const material::Library& library,
                       const PieceAnswers& answers, const StrengthOptions& options = {}, std::stop_token stop = {});
/// What a case's load is when a person has not changed it, N, kg or J; 0 where there is nothing to change.
double usualLoad(const material::Library& library, const std::string& id);

}  // namespace uovo
