// Coats on any mesh: dip, fill and pour, a pool that is turned about, a brush where it is pointed.
#pragma once
#include <functional>

#include "core/coat/coats.h"
#include "core/coat/mesh_film.h"

namespace uovo::coat {

/// The piece is held one way for a while.
struct Turn {
    form::Vec3 up{0, 0, 1};  ///< the vertical in the piece's own axes, unit length
    double seconds = 0;
    Place place = Place::Table;
};

/// One coat on a mesh: a plan's coat, and what only a mesh can tell.
struct MeshStep {
    CoatStep coat;
    double fill = 0;  ///< m³ of melt poured in and left inside, a pool; 0: dip, pour or brush as the coat says
    std::vector<double> brush;  ///< brush: weight a corner of the mesh; empty: evenly
    std::vector<Turn> turns;    ///< before the coat rests; empty: as the coat's way has it
    double tap = 0;             ///< s of tapping on the table at the end of the turns
    bool scrape = false;        ///< what stands above the wall at the rim is scraped off
    bool stays = false;         ///< it rests as the last turn left it
    bool onPaper = false;       ///< it rests on paper, where what drips forms a foot
};

struct MeshJob : CoatSetting {
    const Surface* surface = nullptr;
    std::vector<MeshStep> steps;
    double frameEvery = 0;  ///< s between frames of the film's history, fewer while it is young; 0: none
    FilmOptions options = quick();

    static FilmOptions quick() {  // the sweep has no limit on its step: a turn may begin with a longer one
        FilmOptions o;
        o.firstStep = 0.05;
        return o;
    }
};

/// The film at one moment: melt thickness a cell, and how much of it still flows.
struct Frame {
    double time = 0;  ///< s since the first coat
    size_t coat = 0;
    double mass = 0, dripped = 0;  ///< kg on the piece and lost, since the first coat
    double fell = 0;               ///< kg of the lost that fell where it rested
    form::Vec3 up{0, 0, 1};
    std::vector<float> thickness;  ///< m
    double flows = 0;              ///< share of all chocolate on the piece that still flows
};

struct MeshCoat {
    std::vector<double> wall;              ///< set chocolate, m a cell, total after this coat
    std::vector<double> perArea;           ///< the same as m³ per m² of the former, melt
    double added = 0, dripped = 0;         ///< kg
    double fell = 0;                       ///< kg of what dripped, that fell where it rested
    double lockTypical = 0, lockLast = 0;  ///< s; NaN when it did not
    double poolDeepest = 0;                ///< m, thickest place
    double bare = 0;                       ///< share of the wall thinner than 0.1 mm
    double footRadius = 0;                 ///< m, of the foot on paper, as wide as a disc of its area
    double shellTemperature = 0;           ///< °C at the end
    bool stillLiquid = false;
};

struct MeshCoats {
    std::vector<MeshCoat> coats;
    std::vector<Frame> frames;
    double mass = 0, error = 0;  ///< kg; relative mass error of the whole schedule
};

/// Turns that bring every side down in turn, as hands do until no bare patch is left: 20 directions, evenly spread.
std::vector<Turn> spinByHand(double seconds);
/// Taken up every `every` seconds, rolled once round so that all is wet again (ten seconds, a quarter of the time at
/// most), and set down on another side: six sides and the eight corners between them in turn.
std::vector<Turn> turnedEvery(double every, int times);

/// 1 for cells that lie within `reach` m of a rim, else 0.
std::vector<double> nearRim(const Surface& surface, double reach);

/// A plan's coat as a mesh needs it: turns, pool, weights of the brush.
/// @param outside the piece is dipped over its former, and rests on paper when it stands upright
MeshStep meshStep(const CoatStep& step, const Surface& surface, bool outside);

/// Room inside a former, m³: below its lowest rim, or all of it when it is closed.
double roomIn(const Surface& surface);

/// @returns the coats one after the other; or a sentence: no coats, more fill than the ball holds, a schedule longer
/// than a day …
tl::expected<MeshCoats, Problem> coat(const MeshJob& job, std::stop_token stop = {},
                                      const std::function<void(double)>& progress = {});

}  // namespace uovo::coat
