// The shopping list on paper: a square to tick before each line.
#pragma once
#include <QString>

#include "core/answers/answers.h"
#include "core/stages/shopping.h"

class QPagedPaintDevice;
class QPainter;

namespace uovo::report {

class Page;

/// What to buy, each line with its reason; allergens by name. @param painter of the page
void paintShopping(Page& page, QPainter& painter, const Plan& plan, const Shopping& shopping);
/// Paints the list of a plan. Fonts must be loaded. @returns number of pages, 0 when nothing could be painted
int paintShoppingList(QPagedPaintDevice& device, const Plan& plan, const Shopping& shopping);
/// The same as a PDF file, written whole or not at all.
tl::expected<int, Problem> writeShoppingList(const QString& path, const Plan& plan, const Shopping& shopping);
/// The same as plain text, for the clipboard; and as a table with semicolons.
QString shoppingText(const Plan& plan, const Shopping& shopping);
QString shoppingCsv(const Plan& plan, const Shopping& shopping);

}  // namespace uovo::report
