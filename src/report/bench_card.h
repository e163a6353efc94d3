// The bench card: what to do, on paper, readable from a metre.
#pragma once
#include <QString>

#include "core/answers/answers.h"

class QPagedPaintDevice;

namespace uovo::report {

/// Paints the card of a plan: the pots with their tempering, one page a piece where it fits, the day, what to buy.
/// Fonts must be loaded.
/// @returns number of pages, 0 when nothing could be painted
int paintBenchCard(QPagedPaintDevice& device, const Plan& plan, const material::Library& library,
                   const Answers& answers);

/// The card as a PDF file (A4, or letter for US units), written whole or not at all.
tl::expected<int, Problem> writeBenchCard(const QString& path, const Plan& plan, const material::Library& library,
                                          const Answers& answers);

/// The same as plain text, for the clipboard.
QString benchCardText(const Plan& plan, const Answers& answers);

}  // namespace uovo::report
