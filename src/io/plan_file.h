// Plans on disk: read with a reason when damaged, written whole or not at all.
#pragma once
#include <string>

#include "core/document/plan.h"

namespace uovo::io {

/// Where a write may be made to fail, for tests: a full disk or a refusal cannot be had as root otherwise.
enum class Fault { None, Open, Write, Sync, Rename };

/// Writes `text` to `path` atomically: a temporary file beside it, fsync, rename, fsync of the folder. On failure the
/// old file is untouched, the temporary one is gone, and the sentence says what to do.
tl::expected<void, Problem> writeWhole(const std::string& path, const std::string& text, Fault fault = Fault::None);

/// @param most bytes; a larger file is refused
tl::expected<std::string, Problem> readWhole(const std::string& path, size_t most = 64 * 1024 * 1024);

tl::expected<Plan, Problem> loadPlan(const std::string& path);
tl::expected<void, Problem> savePlan(const std::string& path, const Plan& plan, Fault fault = Fault::None);

}  // namespace uovo::io
