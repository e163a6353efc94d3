// Coats in the order they are made: dip, fill and pour, or brush; which way up; when and where to the cold.
#pragma once
#include <optional>
#include <stop_token>
#include <string>
#include <tl/expected.hpp>
#include <vector>

#include "core/coat/film.h"
#include "core/form/former.h"

namespace uovo::coat {

/// How the chocolate gets onto the former. Turn: some is closed in and turned about; Press: the rim into a plate of it.
enum class Way { Dip, Pour, Brush, Turn, Press };
inline constexpr double kPressed = 0.005;     ///< m of rim that goes into the plate
inline constexpr double kBrushBand = 0.015;   ///< m, as wide as a brush goes round a rim
inline constexpr double kSwirl = 60;          ///< s in which hands bring every side down once
inline constexpr double kBrushSets = 600;     ///< s, a thin brushed coat on a cold shell
enum class Rest { Upright, Inverted, Hung };  ///< on its foot, rim down on a ring or rack, hanging by the knot
enum class Place { Table, Fridge, Freezer };
enum class Where { All, Rim, Foot, Spots };  ///< where a brush goes; Spots: where a person painted
enum class Motion {
    Still,
    Spin,
    Over,
    Side
};  ///< left as it rests, spun by hand every way, turned over time and again, on its side

/// A place a person painted, in the former's own axes.
struct Spot {
    form::Vec3 at;      ///< m
    double weight = 1;  ///< strokes
    bool operator==(const Spot&) const = default;
};
inline constexpr double kSpotRadius = 0.012;  ///< m, of a brush stroke: a 25 mm brush

/// One coat as a person plans it.
struct CoatStep {
    Way way = Way::Dip;
    Measure temperature = 32;  ///< °C in the bath or ladle
    Measure drain = 40;        ///< s held over the bath (dip) or upside down while pouring out
    Measure brushMass = 0.02;  ///< kg, brush only
    Where where = Where::All;
    std::vector<Spot> spots;  ///< Where::Spots
    Measure fill = 0.25;      ///< Turn: share of the former's room that is poured in
    Motion motion = Motion::Still;
    Measure moveFor = 300;        ///< s of motion
    Measure moveEvery = 60;       ///< s between turns (Over)
    Place moveIn = Place::Table;  ///< where it is moved
    Measure tap = 0;              ///< s of tapping on the table after it
    bool scrape = false;          ///< what stands above the wall at the rim is scraped off
    Rest rest = Rest::Upright;
    Measure delay = 120;  ///< s on the table before it goes to `place`
    Place place = Place::Fridge;
    Measure stay = 900;  ///< s in `place`
    bool operator==(const CoatStep&) const = default;

    /// A round piece stays round under this coat: a profile can tell it.
    bool round() const {
        return motion == Motion::Still && way != Way::Turn && where != Where::Spots && tap.value <= 0 && !scrape;
    }
};

/// Whether a coat is held to drain: over the bath, or upside down while it is poured out.
inline bool drains(Way way) { return way == Way::Dip || way == Way::Pour; }
/// s a coat spends out of the cold: draining, moved about on the table, tapped, waiting.
double beforeCold(const CoatStep& step);
/// s it spends in the cold, moved about and at rest.
double inCold(const CoatStep& step);

/// A chocolate as it is worked.
struct Melt {
    material::Coating coating;
    heat::CrystalLaw law;
};

/// Temperatures and air of the kitchen.
struct Climate {
    double room = 21, humidity = 0.55, fridge = 6, freezer = -18;  // °C, 0–1
    double airRoom = 11, airFridge = 11, airFreezer = 11;          // W/m²K
    double air(Place place) const { return place == Place::Table ? room : place == Place::Fridge ? fridge : freezer; }
    double transfer(Place place) const {
        return place == Place::Table ? airRoom : place == Place::Fridge ? airFridge : airFreezer;
    }
};

/// What a coat is made in and with: everything but the shape and the steps.
struct CoatSetting : Melt {
    std::vector<Melt> melts;  // one a coat where coats are of different chocolates, else empty
    FormerHeat former;
    bool shut = false;  // the chocolate looks into a closed form: no heat leaves there
    double lockFraction = 0.3;
    double dipSpeed = 0.02;                    // m/s vertical
    double dipMost = 0.006, pourFilm = 0.006;  // m
    Climate climate;

    /// The chocolate of a coat with the crystal law of the temper it keeps at its temperature.
    Melt melt(size_t coat, double celsius) const {
        Melt m = coat < melts.size() ? melts[coat] : static_cast<const Melt&>(*this);
        m.law = m.law.keeping(material::temperKept(m.coating, celsius));
        return m;
    }
    /// Air and heat where the piece stands.
    void put(Surroundings& around, Place place) const {
        around.air = climate.air(place);
        around.openSide = shut ? 0 : climate.transfer(place);
        around.formerSide = former.through(climate.transfer(place));
    }
};

struct CoatJob : CoatSetting {
    form::Profile profile;
    form::Side side = form::Side::Outside;
    std::vector<CoatStep> steps;
};

/// What one coat did. Thickness is of set chocolate, normal to the former, m a cell.
struct CoatResult {
    std::vector<double> wall;     ///< total after this coat
    std::vector<double> perArea;  ///< the same as m³ per m² of the former, melt
    double added = 0;             ///< kg this coat adds to the piece
    double dripped = 0;           ///< kg that left the piece, over the bath and where it rested
    double fell = 0;              ///< kg of them that fell where it rested: on the paper, the rack or the tray
    double lockTypical = 0;       ///< s until half of the wall no longer flows; NaN when it did not
    double lockLast = 0;          ///< s until no place flows; NaN when it did not
    double footRadius = 0;        ///< m, of the flat foot on paper
    double shellTemperature = 0;  ///< °C at the end
    bool stillLiquid = false;     ///< something still flowed when the coat's time was over
};

struct CoatsResult {
    std::vector<CoatResult> coats;
    double mass = 0;           ///< kg in the piece
    double error = 0;          ///< relative mass error of the whole schedule
    std::vector<double> wall;  ///< after the last coat
};

/// The wall from how it is coated: film flow of a Casson fluid under gravity with cooling and crystallising, coat after
/// coat (docs/models.md, "Film on a profile").
/// @returns thickness and mass after each coat; or why it cannot be computed
tl::expected<CoatsResult, Problem> coat(const CoatJob& job, std::stop_token stop = {});

/// The time by which half of `total` area has reached it; NaN when less has a time. @param timeAndArea s and m²
double medianByArea(std::vector<std::pair<double, double>> timeAndArea, double total);

/// What a coat's own figures may not be: refused with a sentence and the field.
tl::expected<void, Problem> checkStep(const CoatStep& step, const material::Coating& coating, double formerBears);

}  // namespace uovo::coat
