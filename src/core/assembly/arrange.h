// Edits of an assembly of one's own: parts put elsewhere, copied, mirrored and repeated; glue follows what touches.
#pragma once
#include "core/assembly/placing.h"
#include "core/form/part.h"

namespace uovo::assembly {

/// Parts of an assembly at the most, as a file holds them.
inline constexpr size_t kMostParts = 40;

/// The assembly as it is put together by hand: fine enough for its parts to lie on each other.
/// @returns it, or the sentence of what cannot be built
tl::expected<Placer, Problem> placerOf(const form::Part& assembly, const form::Meshes& meshes,
                                       const form::Detail& detail = kPlacing);

/// Puts a part elsewhere; how far it moves when all is pulled apart follows.
void putAt(form::Part& assembly, size_t item, const Placer& placer, const form::Pose& pose);
/// A part once more at another place, under a name of its own. @returns its number, or why not
tl::expected<size_t, Problem> copyTo(form::Part& assembly, size_t item, const Placer& placer, const form::Pose& pose);

/// A new part on top of what is there, glued to the last one. @param name empty: its family's @returns its key, empty
/// where it cannot be one
std::string addPart(form::Part& assembly, const form::Part& part, const std::string& name, const form::Meshes& meshes);

/// Joints of these parts as what touches wants them: new ones are made where a part touches another, those that do not
/// touch any more are dropped, all others stay as a person left them.
tl::expected<void, Problem> glueWhatTouches(form::Part& assembly, const std::vector<std::string>& keys,
                                            const form::Meshes& meshes);

/// Does with a part what a person says: "on the rim at 30°", "12 mm from the left edge of the base", "standing, leaning
/// 10° back", "repeat 8 round the bowl", "mirror left to right". What touches is not glued yet.
/// @returns the assembly with it done and the keys of the parts that it moved or made, or what was not understood
struct Said {
    form::Part assembly;
    std::vector<std::string> keys;
};
tl::expected<Said, Problem> saidOf(const form::Part& assembly, const std::string& key, const std::string& words,
                                   UnitSystem units, const form::Meshes& meshes);

/// Where a part is, in words: "on the bowl, 12 mm from its left edge".
std::string whereabouts(const Placer& placer, const form::Part& assembly, size_t item, UnitSystem units);

}  // namespace uovo::assembly
