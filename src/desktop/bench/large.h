// Letters that are read from a metre away, and targets that are met with sticky hands.
#pragma once
#include <QLabel>
#include <QPushButton>

namespace uovo::desktop {

/// Words that wrap. @param weight 400 to 700
QLabel* letters(const QString& words, int pixels, int weight, const QString& name = {});
/// @param name of the object, for tests and style; may be empty @param high px at least: 22 mm are 55 px where 24
/// inches have 1280
QPushButton* target(const QString& words, const QString& name, int high);

}  // namespace uovo::desktop
