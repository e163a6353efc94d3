// Storms: thousands of random trials, each in a process of its own with bounded time and memory. scripts/storm.sh runs
// them.
#pragma once
#include <ctime>
#include <functional>
#include <random>
#include <string>

#include "core/document/plan.h"

namespace uovo::storm {

using Random = std::mt19937_64;

inline double share(Random& r) { return std::uniform_real_distribution<double>(0, 1)(r); }
inline int below(Random& r, int n) { return n <= 1 ? 0 : static_cast<int>(r() % static_cast<unsigned>(n)); }
inline bool chance(Random& r, double p) { return share(r) < p; }
template <class T>
const T& any(Random& r, const std::vector<T>& of) {
    return of[static_cast<size_t>(below(r, static_cast<int>(of.size())))];
}

/// Bounds that every trial keeps: docs/models.md, "Limits".
struct Bounds {
    double checkSeconds = 1, answerSeconds = 60;  ///< of computing, on one core; beyond it hangs
    double megabytes = 1000;
};

struct Trial {
    std::string wrong;     ///< what is not as it should be; empty when all is well
    double seconds = 0;    ///< of computing
    double megabytes = 0;  ///< at the most
};

/// s of computing that this process has taken.
inline double computed() {
    timespec t{};
    ::clock_gettime(CLOCK_PROCESS_CPUTIME_ID, &t);
    return static_cast<double>(t.tv_sec) + 1e-9 * static_cast<double>(t.tv_nsec);
}

/// Runs `work` in a child process. What it returns is what it found wrong; a signal, too long and too much are found
/// here.
/// @param seconds of computing after which it is killed, as much again of waiting
Trial inChild(const std::function<std::string()>& work, double seconds, double megabytes);

/// The random number source of a trial: the same for the same storm and number, whatever ran before.
Random randomOf(unsigned seed, int trial);

/// A plan of any pieces whose figures lie within, on, beyond and far beyond their limits.
Plan randomPlan(Random& random);
/// The text of a plan's file with something wrong in its structure.
std::string mutated(const std::string& text, Random& random);
/// A model's file and its ending, often damaged.
std::pair<std::string, std::string> randomModel(Random& random);
/// An outline's file, often damaged.
std::string randomOutline(Random& random);

/// What is wrong with a plan or what is answered on it; empty when nothing is.
/// @param whole the answers too
std::string examine(const Plan& plan, const Bounds& bounds, bool whole);

/// Where what went wrong is kept for looking at.
std::string keep(const std::string& name, const std::string& bytes);

}  // namespace uovo::storm
