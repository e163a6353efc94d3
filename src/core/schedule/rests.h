// Rests in a day that is laid out: all stop for a while where nothing minds it.
#pragma once
#include "core/schedule/network.h"

namespace uovo::schedule {

/// Spans in which somebody who wants rests is there, has worked, will work, and does nothing for at least a rest.
std::vector<Layout::Rest> restsOf(const Network& network, const Layout& layout);

/// Stops the kitchen for a rest wherever somebody would work longer without one than is wished: all that comes before
/// it in the day is moved earlier by it, and no window, hour or pot minds. Where every minute is minded, there is none.
void addRests(const Network& network, Layout& layout);

}  // namespace uovo::schedule
