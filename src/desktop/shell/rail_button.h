// A place on the rail: glyph over a word, a yolk mark when one is there.
#pragma once
#include <QAbstractButton>
#include <QPainter>

#include "desktop/theme/theme.h"
#include "report/fonts.h"

namespace uovo::desktop {

inline constexpr int kRail = 76;  ///< px, width of the rail

class RailButton : public QAbstractButton {
public:
    RailButton(Glyph glyph, const QString& word) : glyph_(glyph) {
        setText(word);
        setCheckable(true);
        setAutoExclusive(true);
        setFixedSize(kRail, 74);
        setCursor(Qt::PointingHandCursor);
        setAccessibleName(word);
    }

protected:
    void paintEvent(QPaintEvent*) override {
        QPainter p(this);
        p.setRenderHint(QPainter::Antialiasing);
        if (isChecked()) {
            p.setPen(Qt::NoPen);
            p.setBrush(theme().ring);
            p.drawRoundedRect(QRectF(-5, 14, 10, height() - 28), 5, 5);
        }
        if (hasFocus()) {
            p.setPen(QPen(theme().ring, 2));
            p.setBrush(Qt::NoBrush);
            p.drawRoundedRect(QRectF(rect()).adjusted(8, 4, -6, -4), 9, 9);
        }
        paintGlyph(p, glyph_, QRectF(width() / 2.0 - 13, 11, 26, 26), isChecked() ? theme().ink : theme().quiet,
                   theme().yolk);
        p.setFont(report::font(14, isChecked() ? QFont::DemiBold : QFont::Normal));
        p.setPen(isChecked() ? theme().ink : theme().quiet);
        p.drawText(QRectF(0, 42, width(), 20), Qt::AlignCenter, text());
    }

private:
    Glyph glyph_;
};

}  // namespace uovo::desktop
