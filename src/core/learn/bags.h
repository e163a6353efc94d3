// What older bags of a chocolate say of a new one.
#pragma once
#include <vector>

namespace uovo::learn {

/// A logarithm and its sd.
struct Known {
    double mean = 0, sd = 1;
};

/// A bag that was never worked, from those that were: nearer to their mean the better they are known.
/// mean = Σ[y/(one² + s²)]/P, P = 1/all² + Σ 1/(one² + s²), sd² = 1/P + one².
/// @param older logarithms of their multiple of the book's figure
/// @param all, one sd of what all bags of a chocolate share, and of what is of one bag alone
Known newBag(const std::vector<Known>& older, double all, double one);

}  // namespace uovo::learn
