#include "desktop/build/build_stage.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>
#include <QWheelEvent>
#include <algorithm>
#include <numeric>

#include "desktop/stage/raster.h"
#include "desktop/theme/theme.h"
#include "report/fonts.h"

namespace uovo::desktop {
namespace {

constexpr double kRow = 40, kGap = 12, kWide = 190;
constexpr int kMostLabels = 9;
constexpr int kRoomy = 780, kAside = 130;  // px

}  // namespace

BuildStage::BuildStage(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("buildStage"));
    setAccessibleName(tr("The piece, pulled apart"));
    setFocusPolicy(Qt::StrongFocus);
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Expanding);
}

void BuildStage::setScene(BuildScene scene) {
    scene_ = std::move(scene);
    QStringList now;
    for (const auto& l : scene_.labels)
        if (l.when == When::Now) now << l.name;
    setAccessibleDescription(now.isEmpty() ? QString() : tr("Now: %1").arg(now.join(QStringLiteral(", "))));
    image_ = {};
    update();
}

void BuildStage::setStale(bool stale) {
    if (stale == stale_) return;
    stale_ = stale;
    update();
}

PaintedParts::Part BuildStage::part(int index) const {
    const auto& l = scene_.labels.at(static_cast<size_t>(index));
    const auto placed = placeLabels();
    const QRectF box = static_cast<size_t>(index) < placed.size() ? placed[static_cast<size_t>(index)].box : QRectF();
    return {l.name, l.words, box.toAlignedRect(), QAccessible::StaticText, l.when == When::Now};
}

QSize BuildStage::pictureSize() const { return {width() < kRoomy ? width() - kAside : width(), height()}; }

/// Words on either side, each as high as its part where there is room, none on another.
std::vector<BuildStage::Placed> BuildStage::placeLabels() const {
    const Projection project(scene_.scene, *view_, QSizeF(pictureSize()));
    std::vector<Placed> out(scene_.labels.size());
    for (const bool right : {true, false}) {
        std::vector<size_t> mine;
        for (size_t i = 0; i < out.size(); ++i) {
            out[i].from = project(scene_.labels[i].at);
            const bool here = scene_.labels[i].when == When::Beside ? false : true;
            if (here == right) mine.push_back(i);
        }
        std::stable_sort(mine.begin(), mine.end(),
                         [&](size_t a, size_t b) { return out[a].from.y() < out[b].from.y(); });
        if (mine.size() > kMostLabels) {  // what comes first is named
            std::stable_sort(mine.begin(), mine.end(),
                             [&](size_t a, size_t b) { return scene_.labels[a].when < scene_.labels[b].when; });
            mine.resize(kMostLabels);
            std::stable_sort(mine.begin(), mine.end(),
                             [&](size_t a, size_t b) { return out[a].from.y() < out[b].from.y(); });
        }
        double y = kGap;
        const double most = height() - kGap;
        for (size_t k = 0; k < mine.size(); ++k) {
            const double left = double(mine.size() - k) * kRow;
            const double wish = std::clamp(out[mine[k]].from.y() - 0.5 * kRow, y, std::max(y, most - left));
            out[mine[k]].box = QRectF(right ? width() - kWide - kGap : kGap, wish, kWide, kRow);
            y = wish + kRow;
        }
    }
    return out;
}

void BuildStage::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    if (hasFocus()) {
        p.setPen(QPen(theme().ring, 2));
        p.drawRoundedRect(QRectF(rect()).adjusted(2, 2, -2, -2), 8, 8);
    }
    if (scene_.scene.bodies.empty()) return;
    const double ratio = devicePixelRatioF();
    const QSize pixels = (QSizeF(pictureSize()) * ratio).toSize();
    if (image_.isNull() || imageFor_ != pixels || fine_ != !turning_) {
        SolidView view = *view_;
        view.rim = rimLight();
        image_ = paintSolid(scene_.scene, view, turning_ ? draftSize(pixels) : pixels, !turning_);
        fine_ = !turning_;
        imageFor_ = pixels;
    }
    p.setOpacity(stale_ ? 0.6 : 1);
    p.drawImage(QRectF(QPointF(), QSizeF(pictureSize())), image_);
    drawTip(p);
    const auto placed = placeLabels();
    for (size_t i = 0; i < placed.size(); ++i) {
        const auto& l = scene_.labels[i];
        const QRectF box = placed[i].box;
        if (box.isEmpty()) continue;
        const bool right = box.left() > width() / 2.0;
        p.setPen(QPen(l.when == When::Beside ? theme().coldText
                      : l.when == When::Now  ? theme().ring
                                             : theme().edge,
                      l.when == When::Now ? 1.6 : 1, l.when == When::Later ? Qt::DotLine : Qt::SolidLine));
        p.drawLine(placed[i].from, QPointF(right ? box.left() - 6 : box.left() + kWide * 0.62, box.top() + 13));
        p.setFont(report::font(15, l.when == When::Now ? QFont::Bold : QFont::DemiBold));
        p.setPen(l.when == When::Beside ? theme().coldText : theme().ink);
        const auto words = [&](const QString& text, double y) {
            p.drawText(QRectF(box.left(), box.top() + y, box.width(), 19), Qt::AlignLeft | Qt::AlignVCenter,
                       QFontMetricsF(p.font()).elidedText(text, Qt::ElideRight, box.width()));
        };
        words(l.name, 2);
        p.setFont(report::font(13.5));
        if (l.when != When::Beside) p.setPen(theme().quiet);
        words(l.when == When::Now ? tr("now") : l.words, 20);
    }
}

/// The edge it tips over, and an arrow the way it falls.
void BuildStage::drawTip(QPainter& p) const {
    if (!scene_.tip) return;
    const Tip& t = *scene_.tip;
    const Projection project(scene_.scene, *view_, QSizeF(pictureSize()));
    const form::Vec3 across{-t.to.y * 0.5 * t.size, t.to.x * 0.5 * t.size, 0};
    p.setPen(QPen(theme().harm, 3, Qt::SolidLine, Qt::RoundCap));
    p.drawLine(project(t.over - across), project(t.over + across));
    QPainterPath way;  // a quarter of a round from above the edge to the side
    for (int k = 0; k <= 20; ++k) {
        const double a = k * 0.07;
        const form::Vec3 at = t.over + t.to * (t.size * std::sin(a)) + form::Vec3{0, 0, t.size * std::cos(a)};
        k ? way.lineTo(project(at)) : way.moveTo(project(at));
    }
    p.setBrush(Qt::NoBrush);
    p.drawPath(way);
    const QPointF end = way.currentPosition(), before = way.pointAtPercent(0.88);
    const QPointF along = (end - before) / std::max(1.0, std::hypot(end.x() - before.x(), end.y() - before.y()));
    const QPointF side(-along.y(), along.x());
    p.setBrush(theme().harm);
    p.drawPolygon(QPolygonF{end + along * 5, end - along * 9 + side * 7, end - along * 9 - side * 7});
    p.setBrush(Qt::NoBrush);
}

void BuildStage::turned() {
    image_ = {};
    update();
}

void BuildStage::mousePressEvent(QMouseEvent* e) {
    last_ = e->position();
    turning_ = e->button() == Qt::LeftButton;
}

void BuildStage::mouseMoveEvent(QMouseEvent* e) {
    if (!turning_) return;
    const QPointF by = e->position() - last_;
    last_ = e->position();
    view_.drag(by);
    turned();
}

void BuildStage::mouseReleaseEvent(QMouseEvent*) {
    turning_ = false;
    update();
}

void BuildStage::wheelEvent(QWheelEvent* e) {
    view_.wheel(e->angleDelta().y());
    turned();
}

void BuildStage::keyPressEvent(QKeyEvent* e) {
    if (view_.key(e->key()) || view_.arrow(e->key())) return turned();
    QWidget::keyPressEvent(e);
}

void BuildStage::changeEvent(QEvent* e) {
    if (e->type() == QEvent::PaletteChange) image_ = {};
    QWidget::changeEvent(e);
}

}  // namespace uovo::desktop
