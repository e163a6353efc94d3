// The page that lays the open plan beside what stands in its file.
#pragma once
#include <QWidget>

#include "core/document/difference.h"

namespace uovo::desktop {

QWidget* differencePage(const std::vector<Difference>& differences, const QString& file);

}  // namespace uovo::desktop
