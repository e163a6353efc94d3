// Facts of practice as real pieces, places and handlings: what kitchens report, and what Uovo says of it.
#pragma once
#include <nlohmann/json_fwd.hpp>
#include <string>
#include <tl/expected.hpp>

#include "core/quantity/quantity.h"

namespace uovo::cli {

/// Minutes until a piece reaches what is asked ("stick", "lock", "firm", "set", "release"), or lasts ("window",
/// "usable"). Keys: `piece` as in a plan, `kitchen`, `stays` [["table", s], ["fridge", 0]], and where the piece alone
/// does not say it: `filled` (m of chocolate in a cup), `level` (m of chocolate in a cavity), `wall` (m at the place
/// that sets last), `shell` (m of cold wall under it), `core` and `tray` (J/m²K behind and on it), `shut` (what lies on
/// it gives nothing to the air), `contact` (m²K/W to the core), `cold` (°C of core and shell), `less` (min that do not
/// count).
tl::expected<double, Problem> practiceSetting(const nlohmann::json& given);

/// Share of pieces that crack, in percent, averaged over the range of strength and load, through all of the `cases`
/// named (core/stages/strength.h). Keys: `piece` with its handling and loads, `kitchen`, `cases`.
tl::expected<double, Problem> practiceStrength(const nlohmann::json& given);

}  // namespace uovo::cli
