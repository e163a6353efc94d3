#include "desktop/bench/large.h"

#include "desktop/kit/widgets.h"

namespace uovo::desktop {

QLabel* letters(const QString& words, int pixels, int weight, const QString& name) {
    auto* l = wrapped(words);
    l->setObjectName(name);
    l->setStyleSheet(QStringLiteral("font-size: %1px; font-weight: %2;").arg(pixels).arg(weight));
    return l;
}

QPushButton* target(const QString& words, const QString& name, int high) {
    auto* b = new QPushButton(words);
    b->setObjectName(name);
    b->setProperty("bench", true);
    b->setMinimumHeight(high);
    return b;
}

}  // namespace uovo::desktop
