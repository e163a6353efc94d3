// Plans whose day is tested.
#pragma once
#include "support.h"

namespace uovo::test {

/// Bowls of the demo alone, for one cook.
inline Plan bowls(int count) {
    Plan plan = demo();
    plan.pieces.resize(1);
    plan.pieces[0].count = count;
    plan.kitchen.helpers.clear();
    return plan;
}

}  // namespace uovo::test
