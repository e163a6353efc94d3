// The first plan of a wish: a piece with its coats or cast, what goes into it, when it is ready.
#pragma once
#include "core/begin/wanted.h"
#include "core/document/plan.h"

namespace uovo {

/// A filling as it usually is.
Filling fillingOf(const material::FillingKind& kind);
/// Puts a usual filling into a piece of the plan, as full as it usually is. Nothing where the piece takes none.
/// @param piece id @param kind id
void fillWithUsual(Plan& plan, const std::string& piece, const std::string& kind, const material::Library& library);

/// A piece of what was found: its family with the shape that was asked for, under the name of the thing.
Piece pieceOf(const form::Hit& hit, const Plan& plan);

/// A whole plan of a wish. @param shape one of wish.shapes, or any family @param now local minutes
/// @param like units and kitchen of the person's, as they are in the plan before
Plan firstPlan(const Wanted& wish, const form::Hit& shape, long now, const Plan& like,
               const material::Library& library);

/// A usual time of day for what is said without one, minutes.
inline constexpr int kUsualClock = 18 * 60;
/// When a wish is ready, local minutes: tomorrow where no day is said, at the usual time where none is; a day later
/// where that has passed.
long readyAt(const Wanted& wish, long now);

/// Of what is made for so many, as much for another number; at least one. @param before, after at least 1
int countFor(int count, int before, int after);
/// The same plan for another number of guests: what is made follows, but for what there is one of on the table. The
/// first number that is said changes nothing else. @param guests at least 1
void forGuests(Plan& plan, int guests);

}  // namespace uovo
