#include "desktop/shape/traced_view.h"

#include <QFileInfo>
#include <QImageReader>
#include <QPainter>
#include <QPainterPath>
#include <algorithm>
#include <cmath>
#include <functional>

#include "desktop/theme/theme.h"

namespace uovo::desktop {
namespace {

constexpr int kSide = 2200;  // px that a larger picture is read at
constexpr QSize kShown(400, 300);

}  // namespace

tl::expected<QImage, QString> readPicture(const QString& path) {
    QImageReader reader(path);
    reader.setAutoTransform(true);
    const QSize size = reader.size();
    if (!size.isValid())
        return tl::unexpected(
            TracedView::tr("%1 is no picture: take a PNG or JPEG file.").arg(QFileInfo(path).fileName()));
    if (std::max(size.width(), size.height()) > kSide)
        reader.setScaledSize(size.scaled(kSide, kSide, Qt::KeepAspectRatio));
    const QImage image = reader.read();
    if (image.isNull())
        return tl::unexpected(TracedView::tr("%1 cannot be opened: %2. A smaller copy of it may do.")
                                  .arg(QFileInfo(path).fileName(), reader.errorString()));
    // what is clear in a picture is paper
    QImage flat(image.size(), QImage::Format_RGB32);
    flat.fill(Qt::white);
    QPainter(&flat).drawImage(0, 0, image);
    return flat.convertToFormat(QImage::Format_Grayscale8);
}

io::GreyPicture greyOf(const QImage& image) {
    io::GreyPicture p{image.width(), image.height(), {}};
    p.pixels.reserve(static_cast<size_t>(p.width) * static_cast<size_t>(p.height));
    for (int y = 0; y < p.height; ++y)
        p.pixels.insert(p.pixels.end(), image.constScanLine(y), image.constScanLine(y) + p.width);
    return p;
}

TracedView::TracedView(QWidget* parent) : QLabel(parent) {
    setFixedSize(kShown);
    setAlignment(Qt::AlignCenter);
}

void TracedView::show(const std::vector<form::Loop>& loops, const io::Traced& traced,
                      const std::optional<form::Point2>& marked) {
    QPixmap pixmap(kShown * devicePixelRatioF());
    pixmap.setDevicePixelRatio(devicePixelRatioF());
    pixmap.fill(theme().card);
    QPainter p(&pixmap);
    p.setRenderHint(QPainter::Antialiasing);
    p.setRenderHint(QPainter::SmoothPixmapTransform);
    const QRectF box(QRect(QPoint(), kShown));
    std::function<QPointF(const form::Point2&)> at;
    if (!image_.isNull()) {
        const QSizeF size = QSizeF(image_.size()).scaled(box.size(), Qt::KeepAspectRatio);
        const QRectF where(QPointF((box.width() - size.width()) / 2, (box.height() - size.height()) / 2), size);
        p.setOpacity(0.55);
        p.drawImage(where, image_);
        p.setOpacity(1);
        const double scale = size.width() / image_.width();
        at = [=](const form::Point2& q) {
            const auto on = traced.inPicture(q);
            return where.topLeft() + QPointF(on[0], on[1]) * scale;
        };
        if (traced.coin) {
            p.setPen(QPen(theme().yolk, 2));
            const double r = 0.5 * traced.coin->across * scale;
            p.drawEllipse(where.topLeft() + QPointF(traced.coin->middle[0], traced.coin->middle[1]) * scale, r, r);
        }
    } else if (!loops.empty()) {
        double x = 0, y = 0;
        for (const auto& q : loops.front()) x = std::max(x, std::abs(q[0])), y = std::max(y, std::abs(q[1]));
        const double scale = 0.46 * std::min(box.width() / x, box.height() / y);
        at = [=](const form::Point2& q) { return box.center() + QPointF(q[0] * scale, -q[1] * scale); };
    }
    if (at && !loops.empty()) {
        QPainterPath path;
        for (const auto& l : loops) {
            for (size_t i = 0; i < l.size(); ++i) i ? path.lineTo(at(l[i])) : path.moveTo(at(l[i]));
            path.closeSubpath();
        }
        QColor fill = chocolateColour("dark");
        fill.setAlphaF(image_.isNull() ? 0.75f : 0.25f);
        p.setBrush(fill);
        p.setPen(QPen(theme().ring, 2));
        p.drawPath(path);
        if (marked) {
            p.setBrush(Qt::NoBrush);
            p.setPen(QPen(theme().harm, 2));
            p.drawEllipse(at(*marked), 10, 10);
        }
    }
    p.end();
    setPixmap(pixmap);
}

}  // namespace uovo::desktop
