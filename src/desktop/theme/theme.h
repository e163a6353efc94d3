// Colours, type and glyphs of the window.
#pragma once
#include <QColor>
#include <QFont>
#include <QIcon>
#include <QPainter>
#include <QPen>
#include <QString>
#include <map>
#include <string>

namespace uovo::desktop {

/// The colours of one theme. On paper and card text colours reach 4.5 : 1, `edge` and `ring` 3 : 1 (tests measure it):
/// `edge` is for what must be seen at rest (a field's border, a groove, a bar), `ring` for focus and what is chosen.
/// `hairline` and `yolk` are for grounds, `ground` is that of what can be pressed: fields are white, buttons are not.
struct Theme {
    bool dark = false;
    QColor paper, card, ground, hairline, edge, ink, quiet, yolk, ring, yolkText, cold, coldText, coldFill, harm,
        harmFill, choc, chocEdge, balloon, good;
    QColor far;  ///< quiet words that are read from a metre away, 7 : 1
};

const Theme& theme();
/// Switches the theme of the whole program; widgets repaint through the application's palette change.
/// @param styled false: the style sheet is not set yet; a window is built in half the time without, and styled at once
void setDarkTheme(bool dark, bool styled = true);
Theme lightTheme();
Theme darkTheme();

/// Colour a chocolate is drawn in, by its id; dark where it is not known.
QColor chocolateColour(const std::string& id);
/// Says which chocolates there are ("#RRGGBB" by id); the thread of the window only.
void setChocolateLooks(std::map<std::string, std::string> looks);

/// What is drawn round chocolate of this colour so that it stands out from paper and card; no pen where it does so by
/// itself.
QPen edgeOf(const QColor& chocolate);
/// The line of light round pictures of pieces: dark chocolate on the dark ground; 0 in the light theme.
QRgb rimLight();

/// Contrast ratio of two colours, WCAG 2.1.
double contrast(const QColor& a, const QColor& b);

/// Style sheet for the standard controls in the current theme.
QString styleSheet();

enum class Glyph {
    Shape,
    Build,
    Melt,
    Day,
    Bench,
    Log,
    Menu,
    Close,
    Plus,
    Undo,
    Redo,
    Warning,
    Cold,
    Table,
    Check,
    Remove,
    Left,
    Right,
    Up,
    Down,
    Copy
};
/// Draws a glyph of our own into a square.
void paintGlyph(QPainter& painter, Glyph glyph, const QRectF& square, const QColor& ink, const QColor& accent);
QIcon glyphIcon(Glyph glyph, int size = 20);

}  // namespace uovo::desktop
