// A coat case: a shape, a chocolate, coats, and what is asked of the wall. docs/format.md, "Coat cases".
#pragma once
#include <nlohmann/json_fwd.hpp>
#include <string>
#include <tl/expected.hpp>
#include <vector>

#include "core/quantity/quantity.h"

namespace uovo::cli {

struct CaseAnswer {
    std::string name, unit;  ///< SI unit
    double value = 0;        ///< NaN where there is none (a film that never locked)
};

struct CaseAnswers {
    std::vector<CaseAnswer> answers;
    size_t cells = 0, triangles = 0;  ///< of the profile (no triangles) or the mesh
    double seconds = 0;               ///< the computation took
};

/// Computes a case. @returns its answers in the order they are asked, or a sentence with the key that is wrong
tl::expected<CaseAnswers, Problem> answerCase(const nlohmann::json& coatCase);

}  // namespace uovo::cli
