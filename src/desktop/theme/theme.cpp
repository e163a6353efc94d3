#include "desktop/theme/theme.h"

#include <QApplication>
#include <QPalette>
#include <QPixmap>
#include <cmath>

#include "report/fonts.h"

namespace uovo::desktop {
namespace {

Theme& current() {
    static Theme t = lightTheme();
    return t;
}

QString name(const QColor& c) { return c.name(QColor::HexRgb); }

}  // namespace

Theme lightTheme() {
    Theme t;
    t.paper = QColor(0xFB, 0xF6, 0xEC);
    t.card = QColor(0xFF, 0xFF, 0xFF);
    t.ground = QColor(0xF1, 0xE8, 0xDA);
    t.hairline = QColor(0xE6, 0xDB, 0xC9);
    t.edge = QColor(0x94, 0x83, 0x6D);
    t.ink = QColor(0x2A, 0x1A, 0x12);
    t.quiet = QColor(0x6E, 0x5F, 0x52);
    t.far = QColor(0x58, 0x4A, 0x3F);
    t.yolk = QColor(0xE5, 0x9A, 0x1F);
    t.ring = QColor(0xB8, 0x74, 0x0A);
    t.yolkText = QColor(0x8A, 0x57, 0x06);
    t.cold = QColor(0x2E, 0x7D, 0x86);
    t.coldText = QColor(0x24, 0x66, 0x6E);
    t.coldFill = QColor(0xD9, 0xEA, 0xEA);
    t.harm = QColor(0xB3, 0x29, 0x3E);
    t.harmFill = QColor(0xFB, 0xEC, 0xEE);
    t.choc = QColor(0x3B, 0x20, 0x14);
    t.chocEdge = QColor(0x22, 0x11, 0x0A);
    t.balloon = QColor(0xB9, 0xA9, 0x92);
    t.good = QColor(0x4C, 0x6B, 0x2F);
    return t;
}

Theme darkTheme() {
    Theme t;
    t.dark = true;
    t.paper = QColor(0x1E, 0x16, 0x12);
    t.card = QColor(0x2A, 0x20, 0x1A);
    t.ground = QColor(0x39, 0x2D, 0x25);
    t.hairline = QColor(0x47, 0x38, 0x2E);
    t.edge = QColor(0x8A, 0x79, 0x69);
    t.ink = QColor(0xF4, 0xEA, 0xDB);
    t.quiet = QColor(0xB9, 0xA7, 0x95);
    t.far = QColor(0xC8, 0xB8, 0xA7);
    t.yolk = QColor(0xEB, 0xA6, 0x33);
    t.ring = t.yolk;
    t.yolkText = QColor(0xF2, 0xBE, 0x63);
    t.cold = QColor(0x5F, 0xB4, 0xBD);
    t.coldText = QColor(0x86, 0xCB, 0xD2);
    t.coldFill = QColor(0x21, 0x3B, 0x3E);
    t.harm = QColor(0xF0, 0x7F, 0x8F);
    t.harmFill = QColor(0x42, 0x21, 0x25);
    t.choc = QColor(0x7A, 0x4A, 0x2B);
    t.chocEdge = QColor(0xC9, 0xA2, 0x7C);
    t.balloon = QColor(0x7E, 0x6D, 0x5E);
    t.good = QColor(0xA9, 0xC9, 0x83);
    return t;
}

const Theme& theme() { return current(); }

namespace {
std::map<std::string, std::string>& looks() {
    static std::map<std::string, std::string> known;
    return known;
}
}  // namespace

QColor chocolateColour(const std::string& id) {
    const auto it = looks().find(id);
    const QColor c = it == looks().end() ? QColor() : QColor(QString::fromStdString(it->second));
    return c.isValid() ? c : QColor(0x4E, 0x2A, 0x1A);
}

QPen edgeOf(const QColor& chocolate) {
    constexpr double kSeen = 3;  // WCAG 2.1, 1.4.11
    const Theme& t = theme();
    if (std::min(contrast(chocolate, t.paper), contrast(chocolate, t.card)) >= kSeen) return Qt::NoPen;
    return QPen(t.dark ? t.chocEdge : t.edge, 1.2);
}

QRgb rimLight() { return theme().dark ? theme().chocEdge.rgb() : 0; }

void setChocolateLooks(std::map<std::string, std::string> known) { looks() = std::move(known); }

double contrast(const QColor& a, const QColor& b) {
    const auto luminance = [](const QColor& c) {
        const auto linear = [](double v) { return v <= 0.03928 ? v / 12.92 : std::pow((v + 0.055) / 1.055, 2.4); };
        return 0.2126 * linear(c.redF()) + 0.7152 * linear(c.greenF()) + 0.0722 * linear(c.blueF());
    };
    const double x = luminance(a) + 0.05, y = luminance(b) + 0.05;
    return x > y ? x / y : y / x;
}

void setDarkTheme(bool dark, bool styled) {
    current() = dark ? darkTheme() : lightTheme();
    const Theme& t = theme();
    QPalette p;
    p.setColor(QPalette::Window, t.paper);
    p.setColor(QPalette::Base, t.card);
    p.setColor(QPalette::AlternateBase, t.paper);
    p.setColor(QPalette::Button, t.card);
    for (const auto role : {QPalette::WindowText, QPalette::Text, QPalette::ButtonText}) p.setColor(role, t.ink);
    p.setColor(QPalette::PlaceholderText, t.quiet);
    for (const auto role : {QPalette::WindowText, QPalette::Text, QPalette::ButtonText})
        p.setColor(QPalette::Disabled, role, t.quiet);
    p.setColor(QPalette::Highlight, t.yolk);
    p.setColor(QPalette::HighlightedText, QColor(0x2A, 0x1A, 0x12));
    p.setColor(QPalette::ToolTipBase, t.card);
    p.setColor(QPalette::ToolTipText, t.ink);
    QApplication::setPalette(p);
    if (styled) qApp->setStyleSheet(styleSheet());
}

QString styleSheet() {
    const Theme& t = theme();
    QString s = QStringLiteral(R"(
QFrame#header { border: 0; border-bottom: 1px solid @hairline; background: @paper; }
QFrame#asked { background: @card; border: 1px solid @hairline; border-radius: 10px; }
QFrame#rule { background: @hairline; }
QLabel[quiet="true"] { color: @quiet; }
#bench QLabel[quiet="true"] { color: @far; }
QLabel[small="true"] { font-size: 13px; color: @quiet; }
QLabel[harm="true"] { color: @harm; font-size: 13px; }
QLineEdit, QComboBox, QDateTimeEdit, QSpinBox { background: @card; border: 1px solid @edge; border-radius: 7px; padding: 2px 7px; min-height: 22px;
  selection-background-color: @yolk; selection-color: #2A1A12; }
QLineEdit:hover, QComboBox:hover { border-color: @ink; }
QLineEdit:focus, QComboBox:focus, QDateTimeEdit:focus, QSpinBox:focus { border: 2px solid @ring; padding: 1px 6px; }
QLineEdit[wrong="true"] { border: 2px solid @harm; padding: 1px 6px; background: @harmFill; }
QComboBox::drop-down { border: 0; width: 16px; }
QComboBox::down-arrow { image: none; width: 0; height: 0; }
QPushButton::menu-indicator { image: none; width: 0; }
QComboBox QAbstractItemView { background: @card; border: 1px solid @hairline; selection-background-color: @hairline; selection-color: @ink; padding: 4px; outline: 0; }
QPushButton { background: @ground; border: 1px solid @edge; border-radius: 13px; padding: 5px 14px; text-align: left; }
QPushButton:hover { background: @hairline; }
QPushButton:focus { border: 2px solid @ring; padding: 4px 13px; }
QPushButton:disabled { color: @quiet; }
QPushButton[bench="true"] { background: @card; border: 1px solid @edge; border-radius: 12px; padding: 6px 14px; font-size: 21px; font-weight: 600; text-align: center; }
QPushButton[bench="true"]:hover { border-color: @ink; }
QPushButton[bench="true"]:focus { border: 3px solid @ring; padding: 4px 12px; }
QPushButton[bench="true"]:disabled { color: @quiet; background: transparent; }
QPushButton[bench="small"] { background: transparent; border: 1px solid @edge; border-radius: 10px; padding: 4px 8px; font-size: 18px; font-weight: 500; text-align: center; }
QPushButton[bench="small"]:focus { border: 3px solid @ring; padding: 2px 6px; }
QPushButton[bench="small"]:disabled { color: @quiet; }
QPushButton[bench="main"] { background: @ink; color: @paper; border: 1px solid @ink; border-radius: 12px; padding: 6px 14px; font-size: 26px; font-weight: 600; text-align: center; }
QPushButton[bench="main"]:focus { border: 3px solid @ring; padding: 4px 12px; }
QPushButton[bench="main"]:disabled { background: @ground; color: @quiet; }
QLabel[benchLine="look"], QLabel[benchLine="wrong"], QLabel[benchLine="caution"] { font-size: 19px; padding: 2px 0 2px 12px; border: 0; }
QLabel[benchLine="wrong"] { border-left: 4px solid @edge; }
QLabel[benchLine="look"] { border-left: 4px solid @cold; }
QLabel[benchLine="caution"] { border-left: 4px solid @harm; }
QPushButton[flat="true"] { background: @ground; border: 1px solid transparent; padding: 4px 10px; }
QPushButton[flat="true"]:hover { background: @hairline; }
QPushButton[flat="true"]:disabled { background: transparent; }
QPushButton[flat="true"]:focus { border: 2px solid @ring; padding: 3px 9px; }
QPushButton[tool="true"] { font-size: 14px; padding: 2px 8px; border-radius: 10px; }
QPushButton[tool="true"]:focus { padding: 1px 7px; }
QPushButton[tool="true"]:checked { background: @hairline; font-weight: 600; border: 1px solid @ring; }
QPushButton[tool="true"]:checked:focus { border: 2px solid @ring; }
QPushButton[narrow="true"] { padding: 2px 5px; border-radius: 10px; }
QPushButton[narrow="true"]:focus { padding: 1px 4px; }
QPushButton[alarm="true"] { background: @harmFill; border: 1px solid @harm; color: @harm; font-weight: 600; padding: 3px 10px; }
QPushButton#planMenu { font-size: 20px; font-weight: 700; padding: 4px 9px; }
QPushButton#planMenu:focus { border: 2px solid @ring; padding: 3px 8px; }
QPushButton[main="true"] { background: @ink; color: @paper; border: 0; font-weight: 600; padding: 8px 16px; }
QPushButton[main="true"]:focus { border: 3px solid @ring; padding: 5px 13px; }
QPushButton[main="true"]:disabled { background: @ground; color: @quiet; }
QLineEdit#wish { font-size: 20px; min-height: 34px; border-radius: 10px; padding: 2px 12px; }
QLineEdit#wish:focus { padding: 1px 11px; }
QPushButton#way, QPushButton#holdWay { margin-left: 14px; font-size: 14px; }
QMenu { background: @card; border: 1px solid @hairline; border-radius: 8px; padding: 6px; }
QMenu::item { padding: 6px 28px 6px 14px; border-radius: 6px; }
QMenu::item:selected { background: @hairline; }
QMenu::separator { height: 1px; background: @hairline; margin: 5px 8px; }
QToolTip { background: @card; color: @ink; border: 1px solid @hairline; padding: 5px 8px; }
QSplitter::handle:horizontal { background: @hairline; margin: 0 3px; }
QSplitter::handle:horizontal:hover { background: @edge; margin: 0 2px; }
QScrollArea { border: 0; background: transparent; }
QScrollArea > QWidget > QWidget { background: transparent; }
QScrollBar:vertical { width: 9px; background: transparent; margin: 0; }
QScrollBar:horizontal { height: 9px; background: transparent; margin: 0; }
QScrollBar::handle { background: @edge; border-radius: 4px; min-height: 30px; min-width: 30px; }
QScrollBar::handle:hover { background: @quiet; }
QScrollBar::add-line, QScrollBar::sub-line { width: 0; height: 0; }
QScrollBar::add-page, QScrollBar::sub-page { background: transparent; }
QSlider::groove:horizontal { height: 4px; background: @edge; border-radius: 2px; }
QSlider::sub-page:horizontal { background: @quiet; border-radius: 2px; }
QSlider::handle:horizontal { width: 16px; height: 16px; margin: -7px 0; border-radius: 9px; background: @card; border: 2px solid @ring; }
QSlider::handle:horizontal:focus { background: @yolk; }
QMessageBox, QDialog { background: @paper; }
)");
    // Longer names first: "@hairline" before "@harm" does not matter, "@harmFill" before "@harm" does.
    s.replace("@harmFill", name(t.harmFill))
        .replace("@hairline", name(t.hairline))
        .replace("@ground", name(t.ground))
        .replace("@balloon", name(t.balloon))
        .replace("@paper", name(t.paper));
    s.replace("@card", name(t.card))
        .replace("@quiet", name(t.quiet))
        .replace("@far", name(t.far))
        .replace("@yolk", name(t.yolk))
        .replace("@ring", name(t.ring))
        .replace("@edge", name(t.edge))
        .replace("@harm", name(t.harm))
        .replace("@cold", name(t.cold))
        .replace("@ink", name(t.ink));
    return s;
}

// Long because it is one branch a glyph.
void paintGlyph(QPainter& p, Glyph glyph, const QRectF& square, const QColor& ink, const QColor& accent) {
    p.save();
    p.setRenderHint(QPainter::Antialiasing);
    p.translate(square.topLeft());
    p.scale(square.width() / 24, square.height() / 24);
    const QPen pen(ink, 1.9, Qt::SolidLine, Qt::RoundCap, Qt::RoundJoin);
    const QPen bright(accent, 2.0, Qt::SolidLine, Qt::RoundCap, Qt::RoundJoin);
    p.setPen(pen);
    p.setBrush(Qt::NoBrush);
    QPainterPath path;
    switch (glyph) {
        case Glyph::Shape:  // an egg, cut
            path.moveTo(12, 2.5);
            path.cubicTo(6, 2.5, 3.5, 11, 4.2, 15);
            path.cubicTo(5, 19.5, 8, 21.5, 12, 21.5);
            p.drawPath(path);
            path = QPainterPath(QPointF(12, 2.5));
            path.cubicTo(18, 2.5, 20.5, 11, 19.8, 15);
            path.cubicTo(19, 19.5, 16, 21.5, 12, 21.5);
            p.setPen(bright);
            p.drawPath(path);
            break;
        case Glyph::Melt: {  // a bowl, and what runs from the spoon into it
            QPainterPath bowl(QPointF(3.5, 11));
            bowl.cubicTo(QPointF(4.5, 19.5), QPointF(8.5, 20.5), QPointF(12, 20.5));
            bowl.cubicTo(QPointF(15.5, 20.5), QPointF(19.5, 19.5), QPointF(20.5, 11));
            p.drawPath(bowl);
            p.drawLine(QPointF(3.5, 11), QPointF(20.5, 11));
            p.setPen(bright);
            p.drawLine(QPointF(12, 2.5), QPointF(12, 11));
            break;
        }
        case Glyph::Build:  // two walls and what is set on them
            p.drawLine(QPointF(5, 21), QPointF(5, 12));
            p.drawLine(QPointF(19, 21), QPointF(19, 12));
            p.drawLine(QPointF(3, 21), QPointF(21, 21));
            p.setPen(bright);
            p.drawLine(QPointF(2.5, 9), QPointF(12, 3));
            p.drawLine(QPointF(12, 3), QPointF(21.5, 9));
            break;
        case Glyph::Day:  // bars of a day, one line of time
            p.drawLine(QPointF(3, 6), QPointF(10, 6));
            p.drawLine(QPointF(7, 12), QPointF(19, 12));
            p.drawLine(QPointF(12, 18), QPointF(21, 18));
            p.setPen(bright);
            p.drawLine(QPointF(15, 2.5), QPointF(15, 21.5));
            break;
        case Glyph::Bench:  // a whisk over a bowl
            p.drawArc(QRectF(3, 6, 18, 15), 180 * 16, 180 * 16);
            p.drawLine(QPointF(2, 13.5), QPointF(22, 13.5));
            p.setPen(bright);
            p.drawLine(QPointF(13, 10.5), QPointF(18, 2.5));
            break;
        case Glyph::Log:  // what stands on a board, and a lozenge for how it was
            p.drawLine(QPointF(2, 20), QPointF(22, 20));
            p.drawArc(QRectF(3, 11, 9, 9), 180 * 16, 180 * 16);
            p.drawLine(QPointF(3, 15.5), QPointF(12, 15.5));
            p.drawLine(QPointF(17.5, 12), QPointF(17.5, 20));
            p.setPen(bright);
            p.drawPolygon(QPolygonF({QPointF(17.5, 2), QPointF(20.5, 6.5), QPointF(17.5, 11), QPointF(14.5, 6.5)}));
            break;
        case Glyph::Menu:
            for (const double y : {7.0, 12.0, 17.0}) p.drawLine(QPointF(4, y), QPointF(y == 17 ? 14 : 20, y));
            break;
        case Glyph::Close:
            p.drawLine(QPointF(6, 6), QPointF(18, 18));
            p.drawLine(QPointF(18, 6), QPointF(6, 18));
            break;
        case Glyph::Plus:
            p.drawLine(QPointF(12, 5), QPointF(12, 19));
            p.drawLine(QPointF(5, 12), QPointF(19, 12));
            break;
        case Glyph::Undo:
        case Glyph::Redo:
            if (glyph == Glyph::Redo) {
                p.translate(24, 0);
                p.scale(-1, 1);
            }
            path.moveTo(9, 5);
            path.lineTo(4, 10);
            path.lineTo(9, 15);
            path.moveTo(4, 10);
            path.lineTo(14, 10);
            path.cubicTo(21, 10, 21, 19, 14, 19);
            path.lineTo(11, 19);
            p.drawPath(path);
            break;
        case Glyph::Warning:
            path.moveTo(12, 3.5);
            path.lineTo(21.5, 20);
            path.lineTo(2.5, 20);
            path.closeSubpath();
            p.drawPath(path);
            p.drawLine(QPointF(12, 9.5), QPointF(12, 14));
            p.drawPoint(QPointF(12, 17));
            break;
        case Glyph::Cold:
            for (int k = 0; k < 3; ++k) {
                const double a = k * M_PI / 3;
                p.drawLine(QPointF(12 - 9 * std::cos(a), 12 - 9 * std::sin(a)),
                           QPointF(12 + 9 * std::cos(a), 12 + 9 * std::sin(a)));
            }
            break;
        case Glyph::Table:
            p.drawLine(QPointF(3, 9), QPointF(21, 9));
            p.drawLine(QPointF(6, 9), QPointF(6, 19));
            p.drawLine(QPointF(18, 9), QPointF(18, 19));
            break;
        case Glyph::Check:
            path.moveTo(5, 13);
            path.lineTo(10, 18);
            path.lineTo(19, 7);
            p.drawPath(path);
            break;
        case Glyph::Remove:
            p.drawLine(QPointF(6, 12), QPointF(18, 12));
            break;
        case Glyph::Left:
        case Glyph::Right: {
            const double d = glyph == Glyph::Left ? -1 : 1;
            path.moveTo(12 - 3 * d, 5);
            path.lineTo(12 + 4 * d, 12);
            path.lineTo(12 - 3 * d, 19);
            p.drawPath(path);
            break;
        }
        case Glyph::Up:
        case Glyph::Down: {
            const double d = glyph == Glyph::Up ? -1 : 1;
            path.moveTo(5, 12 - 3 * d);
            path.lineTo(12, 12 + 4 * d);
            path.lineTo(19, 12 - 3 * d);
            p.drawPath(path);
            break;
        }
        case Glyph::Copy:
            p.drawRoundedRect(QRectF(4, 8, 12, 12), 2, 2);
            path.moveTo(8.5, 4);
            path.lineTo(18, 4);
            path.quadTo(20, 4, 20, 6);
            path.lineTo(20, 15.5);
            p.drawPath(path);
            break;
    }
    p.restore();
}

QIcon glyphIcon(Glyph glyph, int size) {
    QPixmap pixmap(size * 2, size * 2);
    pixmap.setDevicePixelRatio(2);
    pixmap.fill(Qt::transparent);
    QPainter p(&pixmap);
    paintGlyph(p, glyph, QRectF(0, 0, size, size), theme().ink, theme().yolk);
    return QIcon(pixmap);
}

}  // namespace uovo::desktop
