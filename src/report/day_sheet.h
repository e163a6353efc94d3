// The day on paper: a sheet for the wall, and a card for each block of work of each person.
#pragma once
#include <QString>
#include <optional>

#include "core/answers/answers.h"

class QPagedPaintDevice;

namespace uovo::report {

/// All steps with a ring to tick before each. Fonts must be loaded. @param person whose; none: everybody's
/// @returns number of pages, 0 when nothing could be painted
int paintDaySheet(QPagedPaintDevice& device, const Plan& plan, const material::Library& library, const Answers& answers,
                  std::optional<size_t> person);
/// Cards to cut out, two beside each other: who, when, what, step by step.
int paintTaskCards(QPagedPaintDevice& device, const Plan& plan, const material::Library& library,
                   const Answers& answers, std::optional<size_t> person);
/// The same as PDF files, written whole or not at all.
tl::expected<int, Problem> writeDaySheet(const QString& path, const Plan& plan, const material::Library& library,
                                         const Answers& answers, std::optional<size_t> person);
tl::expected<int, Problem> writeTaskCards(const QString& path, const Plan& plan, const material::Library& library,
                                          const Answers& answers, std::optional<size_t> person);

}  // namespace uovo::report
