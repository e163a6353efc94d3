// Random numbers that are the same on every machine.
#pragma once
#include <cmath>
#include <cstdint>
#include <numbers>

namespace uovo::schedule {

/// The same numbers everywhere (xorshift64*, Vigna 2016).
class Random {
public:
    explicit Random(unsigned seed) : state_(0x9E3779B97F4A7C15ULL * (seed + 1)) {}
    int below(int n) { return n <= 1 ? 0 : static_cast<int>((next() >> 33) % static_cast<uint64_t>(n)); }
    /// 0 ≤ x < 1
    double share() { return static_cast<double>(next() >> 11) * 0x1p-53; }
    /// Of mean 0 and deviation 1 (Box and Muller 1958).
    double normal() {
        const double a = 1 - share(), b = share();
        return std::sqrt(-2 * std::log(a)) * std::cos(2 * std::numbers::pi * b);
    }

private:
    uint64_t next() {
        state_ ^= state_ >> 12;
        state_ ^= state_ << 25;
        state_ ^= state_ >> 27;
        return state_ * 0x2545F4914F6CDD1DULL;
    }
    uint64_t state_;
};

}  // namespace uovo::schedule
