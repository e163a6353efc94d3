// A mold of one's own as work: what it takes, what it costs, when it is begun so that it is there on the day.
#pragma once
#include <optional>

#include "core/batch/batch.h"
#include "core/cutting/box_net.h"
#include "core/document/plan.h"
#include "core/mold/own_mold.h"
#include "core/stages/made.h"

namespace uovo {

inline constexpr int kPullsAtOnce = 26;  ///< directions a mold is drawn off in, where it is answered while one types

/// A vessel of the kitchen in place of a box.
struct MoldPan {
    std::string name;
    double silicone = 0;  ///< m³
    double height = 0;    ///< m it is filled
};

/// The mold of one part of a piece.
struct MoldWork {
    size_t item = 0;                   ///< of its assembly
    std::string name;                  ///< of the part, where there are several
    std::optional<mold::OwnMold> own;  ///< of a model; of a thing in the hand only its size is known
    mold::BoxPour box;                 ///< of one mold
    int molds = 1;                     ///< that are made
    std::optional<MoldPan> pan;        ///< with less silicone than the box
    double mixes = 0, pours = 0;       ///< s for one mold: stirring, pouring beside it
    int pourings = 1;                  ///< one for each part of the mold, each cures
    double cost = 0;                   ///< of all molds; 0: the price is not known
    double life = 0;                   ///< casts that one mold stands
    double firstCast = 0;              ///< kg of chocolate that the first cast of all molds takes; it is not eaten
};

mold::MoldOptions moldOptions(const MoldWish& wish, const material::Library& library);
/// The molds of a piece: of a figure or an original, or of each part of an assembly that is one. Those that are there
/// already too. Empty where none is taken.
std::vector<MoldWork> moldWorks(const Piece& piece, const material::Library& library, const Made& made,
                                std::stop_token stop = {});

/// Whether molds are taken for it.
bool takesOwnMolds(const Piece& piece);

/// Hands of all of it, s, and the time from beginning until the mold can be used: pouring, curing of each part, a wash
/// and a first cast.
struct MoldTime {
    double hands = 0, ready = 0;
};
MoldTime moldTime(const Piece& piece, const std::vector<MoldWork>& works, const material::Library& library);

}  // namespace uovo
