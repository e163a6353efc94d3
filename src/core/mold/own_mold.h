// A silicone mold of an original: how it comes off, in how many parts, how it is poured and filled.
#pragma once
#include "core/material/material.h"
#include "core/mold/air.h"
#include "core/mold/box_pour.h"
#include "core/mold/undercut.h"

namespace uovo::mold {

/// How an original leaves its mold.
enum class Leaves {
    Freely,     ///< nothing is caught
    Stretched,  ///< the soft mold passes over what is caught
    Slit,       ///< … once it is cut down one side
    InPieces,   ///< not at all: what branches off is cast by itself
};

struct MoldOptions {
    std::optional<form::Vec3> pull;  ///< which way it is drawn off; none: the best
    int parts = 0;                   ///< 1 or 2; 0: as few as do
    double hardness = 20;            ///< Shore A of the silicone, 0–60
    double wall = 0.009;             ///< m round the original
    Silicone silicone;
    int pulls = 200;  ///< tried for the best
};

/// The wall and the silicone that the library names.
MoldOptions usualMold(const material::Library& library);

struct OwnMold {
    Undercuts map;
    Leaves leaves = Leaves::Freely;
    double stretches = 0, stretchLow = 0, stretchHigh = 0;  ///< what such silicone bears, as shares, with its range
    form::Pose stands;             ///< turns the original so that the pull is upwards, its lowest point on z = 0
    std::vector<AirTrap> underIt;  ///< m of the original: where silicone keeps air as it is poured over
    form::Vec3 fillUp;             ///< unit, of the original: up while chocolate is poured in
    std::vector<AirTrap> inIt;     ///< where chocolate keeps air: a vent each
    BoxPour box;
    double lowDraft = 0;  ///< m² of wall within a degree of the pull: it drags
};

/// What a silicone of a hardness bears without tearing or being left bent, as a share. Judgement: half at Shore A 20,
/// half of that 15 further; within a factor of 1.6.
double bearsStretch(double hardness, const material::Library& library);

/// @param mesh closed, m @param told as bestPull's @returns nothing when stopped
std::optional<OwnMold> ownMold(const form::Mesh& mesh, const MoldOptions& options, const material::Library& library,
                               std::stop_token stop = {}, const std::function<void(int, int)>& told = {});

}  // namespace uovo::mold
