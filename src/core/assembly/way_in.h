// Whether a part can still be brought to its place: what closes over it must come after it.
#pragma once
#include <vector>

#include "core/assembly/contacts.h"

namespace uovo::assembly {

/// Pairs of parts, one of which closes over the other: it is in the way upwards and to all four sides.
class WaysIn {
public:
    explicit WaysIn(const std::vector<Body>& bodies, double seat = 3e-3);
    bool closesOver(size_t outer, size_t inner) const { return over_[outer * n_ + inner]; }

private:
    size_t n_;
    std::vector<char> over_;
};

}  // namespace uovo::assembly
