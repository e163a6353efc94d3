// What branches off of a figure that no mold lets go as a whole: where to cut it so that each part comes out.
#pragma once
#include "core/form/split.h"
#include "core/mold/own_mold.h"

namespace uovo::mold {

/// One part of a figure that was cut apart; it keeps its place.
struct Branch {
    form::Mesh mesh;
    Leaves leaves = Leaves::Freely;
    int parts = 1;      ///< of its mold
    double caught = 0;  ///< share of its surface
};

/// Where two of them met.
struct Cut {
    size_t below = 0, above = 0;  ///< numbers of branches
    form::Plane plane;
    double area = 0, line = 0;  ///< m² of the cut; m round it
    std::vector<form::Key> keys;
};

struct Branches {
    std::vector<Branch> branches;
    std::vector<Cut> cuts;
    bool free = false;  ///< each of them comes out
};

/// Cuts at necks: of planes in 13 directions those whose cut is narrow against what hangs on it, of these the one that
/// leaves least caught, again and again until all parts come out of molds of one or two parts, or of as many as `most`.
/// @param keys pegs wanted in each cut @param told parts that come out, of how many
/// @returns nothing when stopped; one branch where no cut helps
std::optional<Branches> branchesOf(const form::Mesh& mesh, const MoldOptions& options, const material::Library& library,
                                   int keys = 0, size_t most = 6, std::stop_token stop = {},
                                   const std::function<void(int, int)>& told = {});

/// Cuts it once where a person wants it, level. @param share of its height from below, between 0 and 1
/// @returns two branches with what their molds say, or why it cannot be cut there
tl::expected<Branches, Problem> cutAcross(const form::Mesh& mesh, double share, const MoldOptions& options,
                                          const material::Library& library, int keys = 0);

}  // namespace uovo::mold
