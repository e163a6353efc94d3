// A page of help about a place: its picture as it is now, with numbers where things are, and what they are for.
#pragma once
#include <QLineEdit>
#include <QWidget>
#include <functional>

#include "desktop/shell/help.h"

namespace uovo::desktop {

/// @param shown the place in the window @param points what its numbers stand at, in the order of its help; a null or
/// hidden one is told without a number in the picture
/// @param go leads to another place and its help @param commands opens the list of commands
QWidget* helpPage(HelpPlace place, QWidget* shown, const std::vector<QWidget*>& points,
                  std::function<void(HelpPlace)> go, std::function<void()> commands);

}  // namespace uovo::desktop
