// How the parts of a piece are put together: what touches, what is glued, in which order every state stands.
#pragma once
#include "core/assembly/order.h"
#include "core/assembly/way_in.h"
#include "core/stages/figures.h"

namespace uovo {

/// A part that closes over another, with the room it leaves.
struct Cover {
    size_t outer = 0, inner = 0;  ///< bodies
    assembly::Room room;
};

struct PutTogether {
    std::vector<size_t> items;  ///< of the assembly, in the order of the bodies; what is not eaten is left out
    std::vector<assembly::Body> bodies;
    assembly::Contacts found;
    std::vector<assembly::Glue> glues;  ///< between bodies
    std::vector<size_t> joints;         ///< of the assembly, one for each glue
    std::vector<size_t> apart;          ///< joints of the assembly whose parts do not touch
    std::vector<Cover> covers;
    assembly::Order order;
    bool asked = false;   ///< the order is a person's own, judged
    std::string problem;  ///< why there is nothing of this; empty when there is

    /// Number of the body of an item; as many as there are bodies where it has none.
    size_t bodyOf(size_t item) const;
};

/// @param made as it is made, of several parts
PutTogether putTogether(const Piece& piece, const Plan& plan, const material::Library& library, const Made& made,
                        std::stop_token stop = {});
/// A person's own order of the same, judged. @param keys of the parts in their order; others come after them
assembly::Order judged(const PutTogether& together, const form::Assembly& assembly,
                       const std::vector<std::string>& keys, const material::Library& library,
                       std::stop_token stop = {});
/// Joints of an assembly that would be made where parts touch and are not glued yet.
std::vector<form::PartJoint> unglued(const PutTogether& together, const form::Assembly& assembly);
/// What a piece's parts are as bodies, and what holds their tolerances; for those who move parts about.
std::vector<assembly::Body> bodiesOf(const form::Assembly& assembly, const Made* made, std::vector<size_t>* items);
assembly::ContactOptions contactOptions(const material::Library& library);

}  // namespace uovo
