// From what was measured to what is known of bags, evenings, kitchen and cook.
#pragma once
#include <map>
#include <numeric>

#include "core/learn/fit.h"
#include "core/learn/pace.h"
#include "core/learn/record.h"
#include "core/learn/shift.h"

namespace uovo::learn {

inline constexpr int kCells = 40;        ///< of a profile: grams differ from those on 100 by less than 1 %
inline constexpr double kStride = 0.25;  ///< sds that a parameter is moved by, for the slopes

/// Names with numbers, in the order in which they were first asked for.
class Names {
public:
    size_t of(const std::string& name);
    const size_t* find(const std::string& name) const;
    size_t size() const { return list_.size(); }
    const std::vector<std::string>& list() const { return list_; }

private:
    std::map<std::string, size_t> at_;
    std::vector<std::string> list_;
};

/// The id that the figures of a chocolate stand under; its own where it is not known.
std::string figuresOf(const std::string& chocolate, const material::Library& library);

/// A parameter as a sum of unknowns: what all bags have in common and what one has alone; the kitchen; the evening.
/// @param chocolate id that figures stand under @param bag, evening which ones; an empty one is a new one
std::vector<Unknown> partsOf(Of of, const std::string& chocolate, const std::string& bag, const std::string& evening,
                             const material::Library& library);

/// A measurement as it came out.
struct Judged {
    size_t evening = 0, record = 0;
    double given = 0;     ///< what was judged, in the record's unit: of Weighed kg on one since it was last weighed
    double expected = 0;  ///< what the fit makes of it; of Touched s until it is firm
    double scatter = 0;   ///< sd of its logarithm
    double z = 0;         ///< how far it is off, in its scatter
    double weight = 1;    ///< near 0: not believed
};

/// Means that unknowns begin with where it is not the book's nought, by their ids.
using Centre = std::map<std::string, double>;
/// What a plan's own figures say of its chocolates and its kitchen.
Centre centreOf(const Plan& plan, const material::Library& library);

struct Learned {
    Centre centre;
    Names unknowns;
    std::vector<Unknown> priors;  ///< of each unknown
    Names departures;
    Fit fit;
    std::vector<Judged> judged;  ///< of all that measures chocolate
    Pace pace;
    std::vector<Problem> leftOut;  ///< records that teach nothing, and why
    size_t measured() const { return judged.size(); }
    /// Measurements of one chocolate.
    size_t measuredOf(const std::string& chocolate) const;
    std::map<std::string, size_t> perChocolate;
};

/// Learns from all evenings at once. Without evenings: what the book knows.
/// @param centre where to begin from; empty: from the book. A log of many evenings begins there, for the plans' own
/// figures may come from it; one evening alone begins with what its plan counts on.
tl::expected<Learned, Problem> learn(const std::vector<Evening>& evenings, const material::Library& library,
                                     std::stop_token stop = {}, Centre centre = {});

/// What a piece of a plan is computed to weigh and do: kg of each coat, m, s.
struct Told {
    std::vector<double> coats;
    double mass() const { return std::accumulate(coats.begin(), coats.end(), 0.0); }  ///< kg of all coats
    double rim = 0, foot = 0,
           rimFirm = 0;  ///< thickness of the rim; until it is firm where it sets last, and at its rim
};
/// Runs the film of one piece; empty where its wall does not come from coats, or cannot be made.
std::optional<Told> tell(const Piece& piece, const Plan& plan, const material::Library& library,
                         std::stop_token stop = {});

/// Departures that bear on the grams of a coat, with their sds: of its family, of that coat on it, of its shape.
std::vector<std::pair<std::string, double>> departuresOf(const Piece& piece, size_t coat,
                                                         const material::Library& library);

}  // namespace uovo::learn
