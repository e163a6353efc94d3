// Whether a part can still be brought to its place: what closes over it must come after it.
#pragma once
#include <vector>

#include "core/assembly/contacts.h"

namespace uovo::assembly {

/// Room that a part which closes over another leaves it, m.
struct Room {
    double above = 0, beside = 0;  ///< upwards; the least to the four sides
};

/// Pairs of parts, one of which closes over the other: it is in the way upwards and to all four sides.
class WaysIn {
public:
    explicit WaysIn(const std::vector<Body>& bodies, double seat = 3e-3);
    bool closesOver(size_t outer, size_t inner) const { return over_[outer * n_ + inner]; }

    /// Of a pair that closes.
    const Room& room(size_t outer, size_t inner) const { return room_[outer * n_ + inner]; }

private:
    size_t n_;
    std::vector<char> over_;
    std::vector<Room> room_;
};

}  // namespace uovo::assembly
