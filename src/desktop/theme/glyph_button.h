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

    /// A flat one without words. @param name told to those who listen @param tip under the cursor; empty: its name
    static GlyphButton* bare(Glyph glyph, const QString& name, const QString& tip = {}, int size = 20) {
        auto* b = new GlyphButton(glyph, {}, size);
        b->setProperty("flat", true);
        b->setAccessibleName(name);
        b->setToolTip(tip.isEmpty() ? name : tip);
        return b;
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
