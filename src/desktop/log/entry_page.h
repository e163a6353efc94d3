// Something written down about an evening: what was weighed, how it came out, what went wrong.
#pragma once
#include <QWidget>

#include "desktop/device/probe_link.h"
#include "desktop/log/log_keeper.h"

namespace uovo::desktop {

/// A page of a sheet that keeps one thing; it may be another word for an entry that is there.
/// @param probe what lies on a scale is offered @param corrects number of that entry; 0: a new one @param kept called
/// when it is kept
QWidget* entryPage(Session& session, LogKeeper& keeper, ProbeLink& probe, const std::string& evening,
                   std::int64_t corrects, std::function<void()> kept);

/// What a figure that was measured in a kitchen can be, as a field's rule.
std::function<QString(const Measure&)> canBe(Dimension dimension);

}  // namespace uovo::desktop
