// How the readers of models refuse.
#pragma once
#include <string>

#include <tl/expected.hpp>

#include "core/quantity/catalogue.h"
#include "core/quantity/quantity.h"

namespace uovo::io {

inline tl::unexpected<Problem> refuse(std::string sentence) {
    return tl::unexpected(Problem{std::move(sentence), "mesh"});
}
inline tl::unexpected<Problem> damaged() { return refuse(tr("The file is damaged, or is not what its ending says.")); }

}  // namespace uovo::io
