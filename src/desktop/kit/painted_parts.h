// What a widget paints by itself, told to those who listen instead of look: handles of the stage, blocks of the day.
#pragma once
#include <QAccessible>
#include <QRect>
#include <QString>

namespace uovo::desktop {

/// Of a widget whose parts are painted. Its own name is its accessible name.
class PaintedParts {
public:
    virtual ~PaintedParts() = default;
    struct Part {
        QString name, value;
        QRect box;  ///< on the widget
        QAccessible::Role role = QAccessible::StaticText;
        bool chosen = false;
    };
    virtual int partCount() const = 0;
    virtual Part part(int index) const = 0;
};

/// Makes the parts known to Qt's accessibility; once, before the first window.
void tellPaintedParts();

}  // namespace uovo::desktop
