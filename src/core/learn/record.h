// What was measured of an evening: kept as it was said, never overwritten.
#pragma once
#include <limits>
#include <map>
#include <string>
#include <tl/expected.hpp>
#include <vector>

#include "core/document/plan.h"

namespace uovo::learn {

inline constexpr size_t kMostRecords = 20'000;  ///< of all evenings together

struct Record {
    enum class Is {
        Weighed,  ///< so many pieces together, former and all else taken off, after some of their coats
        Rim,      ///< thickness of a rim that broke, by caliper
        Touched,  ///< after the last coat: not firm yet at one time, firm at another
        Spoon,    ///< how wide a spoonful lay after a minute on a warm level plate
        Took      ///< how long a task took
    } is = Is::Weighed;
    std::string piece;                                    ///< id in the evening's plan (Weighed, Rim, Touched)
    int coats = 0;                                        ///< that were on it; 0: all
    int of = 1;                                           ///< pieces weighed together
    double value = 0;                                     ///< kg, m, m or min: of Weighed, Rim, Spoon, Took
    double notAt = 0;                                     ///< s, Touched: it was not firm yet; 0: not looked
    double at = std::numeric_limits<double>::infinity();  ///< s, Touched: it was firm; infinite: it never was
    bool foot = true;                                     ///< Touched: at its foot, where it sets last; else at its rim
    std::string chocolate;                                ///< id, of Spoon
    double volume = 15e-6, celsius = 32;                  ///< m³ and °C, of Spoon
    std::string task;                                     ///< id in data/tasks.json, of Took
    double book = 0;                                      ///< min that were planned, of Took
    bool operator==(const Record&) const = default;
};

/// An evening: the plan as it was worked, the bags that were open, and what was measured.
struct Evening {
    std::string id, date;
    Plan plan;
    std::map<std::string, std::string> bags;  ///< of a chocolate, by its id; not named: a bag of that evening alone
    std::vector<Record> records;
};

/// The bag of a chocolate that was open last; empty: none was named.
std::string openBag(const std::vector<Evening>& evenings, const std::string& figures);

/// Reads evenings (docs/format.md, "Records"); plans are documents of their own in it.
tl::expected<std::vector<Evening>, Problem> readEvenings(const std::string& text);
std::string writeEvenings(const std::vector<Evening>& evenings);

}  // namespace uovo::learn
