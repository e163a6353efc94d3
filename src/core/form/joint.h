// How parts are joined, and how much of the chocolate's own strength a joint has.
#pragma once
#include <string>
#include <vector>

namespace uovo::material {
struct Library;
}

namespace uovo::form {

/// Ways to prepare a joint, the choice "glue" of every compound, as files name them too; the first is the usual one.
std::vector<std::string> glues();
inline constexpr const char* kScored = "glue on scored faces";  ///< the strongest of them
/// Strength of a joint as a share of the whole wall's: value and its range. @param set share of the glue that has set,
/// 0–1
struct JointStrength {
    double value = 0, low = 0, high = 0;
};
/// How long a joint is held by hand, and until it may be loaded, s.
struct JointTimes {
    double hold = 0, bears = 0;
};
JointTimes jointTimes(const material::Library& library, const std::string& glue);
JointStrength jointStrength(const material::Library& library, const std::string& glue, double set = 1);

}  // namespace uovo::form
