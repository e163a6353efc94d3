// A push button with one of our glyphs, drawn anew when the theme changes.
#pragma once
#include <QEvent>
#include <QPushButton>

#include "desktop/theme/theme.h"

namespace uovo::desktop {

class GlyphButton : public QPushButton {
public:
    explicit GlyphButton(Glyph glyph, const QString& text = {}, int size = 20)
        : QPushButton(text), glyph_(glyph), size_(size) {
        setIcon(glyphIcon(glyph_, size_));
    }

protected:
    void changeEvent(QEvent* e) override {
        if (e->type() == QEvent::PaletteChange) setIcon(glyphIcon(glyph_, size_));
        QPushButton::changeEvent(e);
    }

private:
    Glyph glyph_;
    int size_;
};

}  // namespace uovo::desktop
