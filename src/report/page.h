// A printed page in millimetres, with a pen that moves down it.
#pragma once
#include <QColor>
#include <QFontMetricsF>
#include <QPageLayout>
#include <QPagedPaintDevice>
#include <QPainter>
#include <QPdfWriter>
#include <QSaveFile>
#include <QTextLayout>
#include <functional>
#include <vector>

#include "core/quantity/quantity.h"
#include "report/fonts.h"
#include "report/text.h"

namespace uovo::report {

inline const QColor kInk(0x2A, 0x1A, 0x12), kQuiet(0x6E, 0x5F, 0x52), kLine(0xCD, 0xBE, 0xA8), kHarm(0xB3, 0x29, 0x3E);
inline constexpr double kMargin = 14;      // mm
inline constexpr double kLineHigh = 1.32;  // of the size of its letters

/// A page in millimetres with a pen that moves down.
class Page {
public:
    Page(QPagedPaintDevice& device, QPainter& painter) : device_(device), p_(painter) { begin(); }
    int pages() const { return pages_; }
    double width() const { return width_ - 2 * kMargin; }
    double y = 0;

    /// Draws everything smaller from here on, at the top of a page: what is a little too long stays on one.
    void setTight(double share) {
        p_.scale(share / tight_, share / tight_);
        tight_ = share;
        begin();
    }
    void next() {
        device_.newPage();
        ++pages_;
        begin();
    }
    void need(double mm) {
        if (y + mm > height_ - kMargin) next();
    }
    double line(double x, const QString& words, double size, int weight = QFont::Normal, const QColor& colour = kInk) {
        p_.setFont(font(size * kFine, weight));
        p_.setPen(colour);
        draw(x, y, words);
        return QFontMetricsF(p_.font()).horizontalAdvance(words) / kFine;
    }
    void clock(double x, const QString& words, double size) {
        p_.setFont(font(size * kFine, QFont::Bold));
        p_.setPen(kInk);
        p_.save();
        p_.translate(x, y);
        p_.scale(1 / kFine, 1 / kFine);
        drawTabular(p_, QPointF(0, QFontMetricsF(p_.font()).ascent()), words);
        p_.restore();
    }
    void right(double x, const QString& words, double size, int weight = QFont::Normal) {
        p_.setFont(font(size * kFine, weight));
        p_.setPen(kInk);
        draw(x - QFontMetricsF(p_.font()).horizontalAdvance(words) / kFine, y, words);
    }
    void paragraph(double x, double w, const QString& words, double size, const QColor& colour = kInk) {
        QTextLayout layout(words, font(size * kFine));
        const auto lines = linesOf(layout, w);
        p_.setPen(colour);
        for (const auto& l : lines) {
            need(size * 1.3);
            p_.setFont(font(size * kFine));
            draw(x, y, words.mid(l.textStart(), l.textLength()));
            y += size * kLineHigh;
        }
    }
    /// How high a paragraph is, mm.
    double paragraphHigh(double w, const QString& words, double size) const {
        QTextLayout layout(words, font(size * kFine));
        return size * kLineHigh * double(linesOf(layout, w).size());
    }
    void rule() {
        p_.setPen(QPen(kLine, 0.2));
        p_.drawLine(QPointF(kMargin, y), QPointF(kMargin + width(), y));
    }

private:
    /// The lines of a paragraph; they live as long as its layout.
    static std::vector<QTextLine> linesOf(QTextLayout& layout, double w) {
        std::vector<QTextLine> lines;
        layout.beginLayout();
        for (QTextLine l = layout.createLine(); l.isValid(); l = layout.createLine()) {
            l.setLineWidth(w * kFine);
            lines.push_back(l);
        }
        layout.endLayout();
        return lines;
    }
    static constexpr double kFine = 20;  // fonts are set in twentieths of a millimetre: sizes in mm are too coarse
    void begin() {
        y = kMargin;
        const QRectF full = device_.pageLayout().fullRect(QPageLayout::Millimeter);
        width_ = full.width() / tight_;
        height_ = full.height() / tight_;
    }
    void draw(double x, double top, const QString& words) {
        p_.save();
        p_.translate(x, top);
        p_.scale(1 / kFine, 1 / kFine);
        p_.drawText(QPointF(0, QFontMetricsF(p_.font()).ascent()), words);
        p_.restore();
    }
    QPagedPaintDevice& device_;
    QPainter& p_;
    double width_ = 210, height_ = 297, tight_ = 1;
    int pages_ = 1;
};

/// Begins pages of A4, or letter for US units, with a painter in millimetres. @returns false when the device does not
/// paint
inline bool beginPages(QPagedPaintDevice& device, QPainter& painter, UnitSystem units) {
    device.setPageSize(QPageSize(units == UnitSystem::US ? QPageSize::Letter : QPageSize::A4));
    device.setPageMargins(QMarginsF(0, 0, 0, 0), QPageLayout::Millimeter);
    if (!painter.begin(&device)) return false;
    painter.setRenderHint(QPainter::Antialiasing);
    const double perMm = device.logicalDpiX() / 25.4;
    painter.scale(perMm, perMm);
    return true;
}

/// Paints pages into a PDF file, written whole or not at all. @param paint returns the number of pages, 0 for none
inline tl::expected<int, Problem> writePdf(const QString& path, const QString& title,
                                           const std::function<int(QPdfWriter&)>& paint) {
    QSaveFile file(path);
    const auto refuse = [&] {
        return tl::unexpected(Problem{tr("It could not be written: ") + file.errorString().toStdString() + "."});
    };
    if (!file.open(QIODevice::WriteOnly)) return refuse();
    int pages = 0;
    {
        QPdfWriter pdf(&file);
        pdf.setResolution(1200);
        pdf.setTitle(title);
        pdf.setCreator(qtr("Uovo"));
        pages = paint(pdf);
    }
    if (pages == 0 || !file.commit()) return refuse();
    return pages;
}

}  // namespace uovo::report
