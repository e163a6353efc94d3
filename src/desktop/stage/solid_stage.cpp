#include "desktop/stage/solid_stage.h"

#include <QGestureEvent>
#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QPinchGesture>
#include <algorithm>
#include <cmath>

#include "core/quantity/decimal.h"
#include "desktop/stage/raster.h"
#include "desktop/stage/shadow.h"
#include "desktop/theme/theme.h"
#include "report/fonts.h"
#include "report/section.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {
constexpr double kTurn = 0.009;  // rad a pixel
constexpr double kStep = 5 * M_PI / 180;
}  // namespace

SolidStage::SolidStage(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("solidStage"));
    setFocusPolicy(Qt::StrongFocus);
    setAccessibleName(tr("The piece in three dimensions"));
    setAccessibleDescription(
        tr("Arrows turn it, plus and minus come nearer and go back, Shift with arrows moves it, 1 to 4 are standard "
           "views, 0 fits it in. While painting, space paints in the middle."));
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Expanding);
    setCursor(Qt::OpenHandCursor);
    setMouseTracking(true);
    grabGesture(Qt::PinchGesture);
    refine_.setSingleShot(true);
    refine_.setInterval(140);
    connect(&refine_, &QTimer::timeout, this, &SolidStage::refine);
}

void SolidStage::setPiece(const Piece& piece, std::shared_ptr<const PieceAnswers> answers, UnitSystem units) {
    const bool another = piece.id != piece_.id;
    const auto shown = [this]() -> const void* { return answers_ ? answers_->made.get() : nullptr; };
    const void* before = shown();
    const bool recoloured = chocolatesOf(piece) != chocolatesOf(piece_);
    piece_ = piece;
    units_ = units;
    if (answers && answers->made) answers_ = std::move(answers);
    else if (another) answers_.reset();
    if (another) {
        const bool map = view_.map;
        view_ = {};
        view_.map = map;
        emit viewChanged();
    }
    QString words = tr("%1, in three dimensions").arg(QString::fromStdString(piece.name));
    if (answers_ && answers_->made && answers_->made->wall)
        words += tr("; wall %1 at the thinnest, %2 in the mean")
                     .arg(QString::fromStdString(format(answers_->made->wall->thinnest, Dimension::Length, units)),
                          QString::fromStdString(format(answers_->made->wall->mean, Dimension::Length, units)));
    setAccessibleName(words);
    if (before != shown() || another || recoloured) rebuild();
    else update();
}

int SolidStage::partCount() const {
    return answers_ && answers_->made ? static_cast<int>(answers_->made->assembly.items.size()) : 0;
}

PaintedParts::Part SolidStage::part(int index) const {
    return {QString::fromStdString(answers_->made->assembly.items.at(static_cast<size_t>(index)).name),
            {},
            rect(),
            QAccessible::Graphic};
}

void SolidStage::rebuild() {
    scene_ = answers_ ? sceneOf(piece_, *answers_, egg_) : SolidScene{};
    redraw();
}

void SolidStage::redraw() {
    body_ = {};
    ++generation_;
    update();
}

void SolidStage::setFilm(std::optional<SolidScene> film) {
    if (!film && !film_) return;
    film_ = std::move(film);
    redraw();
}

void SolidStage::setPainting(bool painting, const std::vector<form::Vec3>& spots) {
    if (painting == painting_ && spots == spots_) return;
    painting_ = painting;
    spots_ = spots;
    setCursor(painting ? Qt::CrossCursor : Qt::OpenHandCursor);
    update();
}

SolidView SolidStage::shownView() const {
    SolidView v = view_;
    v.map = mapShown();
    v.rim = rimLight();
    if (film_) v.apart = 0;
    return v;
}

double SolidStage::wallAt(const QPointF& at) const {
    const auto hit = under(scene(), shownView(), QSizeF(size()), at);
    return hit ? hit->wall : std::nan("");
}

/// The wall where the cursor is.
void SolidStage::paintReading(QPainter& p) {
    if (cursor_.x() < 0 || held_ != Qt::NoButton) return;
    const double wall = wallAt(cursor_);
    if (std::isnan(wall)) return;
    const QString words = scene().stress       ? tr("%1 MPa").arg(qstring(significant(wall / 1e6, 2)))
                          : wall < coat::kBare ? tr("bare")
                                               : qstring(format(wall, Dimension::Length, units_));
    p.setFont(report::font(14, QFont::DemiBold));
    QRectF box(0, 0, QFontMetricsF(p.font()).horizontalAdvance(words) + 16, 26);
    box.moveTopLeft(cursor_ + QPointF(14, -32));
    box.moveRight(std::min(box.right(), double(width()) - 4));
    box.moveTop(std::max(box.top(), 4.0));
    p.setPen(QPen(theme().hairline, 1));
    p.setBrush(theme().card);
    p.drawRoundedRect(box, 7, 7);
    p.setPen(theme().ink);
    p.drawText(box, Qt::AlignCenter, words);
}

QPointF SolidStage::arrowTail(size_t arrow) const {
    const Projection project(scene(), shownView(), QSizeF(size()));
    const auto& a = scene().arrows[arrow];
    return project(a.at - a.along);
}

/// Forces as arrows, and the place that opens first.
void SolidStage::paintLoads(QPainter& p, const Projection& project, bool interactive) {
    p.setRenderHint(QPainter::Antialiasing);
    for (const auto& a : scene().arrows) {
        const QPointF head = project(a.at), tail = project(a.at - a.along);
        const QPointF way = head - tail;
        const double length = std::hypot(way.x(), way.y());
        p.setPen(QPen(theme().paper, 5, Qt::SolidLine, Qt::RoundCap));
        p.drawLine(tail, head);
        p.setPen(QPen(theme().coldText, 2.5, Qt::SolidLine, Qt::RoundCap));
        p.drawLine(tail, head);
        if (length > 4) {
            const QPointF u = way / length, v(-u.y(), u.x());
            QPolygonF tip;
            tip << head << head - u * 11 + v * 5 << head - u * 11 - v * 5;
            p.setPen(Qt::NoPen);
            p.setBrush(theme().coldText);
            p.drawPolygon(tip);
        }
        if (scene().arrowsMove && interactive) {
            p.setPen(QPen(theme().ring, 3));
            p.setBrush(theme().card);
            p.drawEllipse(tail, 7, 7);
        }
    }
    if (scene().weak) {
        const QPointF at = project(*scene().weak);
        p.setBrush(Qt::NoBrush);
        p.setPen(QPen(theme().paper, 5));
        p.drawEllipse(at, 12, 12);
        p.setPen(QPen(theme().harm, 2.5));
        p.drawEllipse(at, 12, 12);
        const QString words = tr("opens here first");
        p.setFont(report::font(13.5, QFont::DemiBold));
        QRectF box(0, 0, QFontMetricsF(p.font()).horizontalAdvance(words) + 14, 24);
        box.moveTopLeft(at + QPointF(16, -12));
        if (box.right() > width() - 4) box.moveRight(at.x() - 16);
        p.setPen(QPen(theme().hairline, 1));
        p.setBrush(theme().card);
        p.drawRoundedRect(box, 7, 7);
        p.setPen(theme().harm);
        p.drawText(box, Qt::AlignCenter, words);
    }
}

/// Where a person painted: rings as wide as the brush.
void SolidStage::paintSpots(QPainter& p, const Projection& project) {
    if (!painting_) return;
    const double radius = coat::kSpotRadius * project.scale();
    for (const auto& s : spots_) {
        const QPointF at = project(s);
        const auto seen = under(scene(), shownView(), QSizeF(size()), at);
        const bool front = seen && form::length(seen->at - s) < 2 * coat::kSpotRadius;
        p.setPen(QPen(theme().ring, front ? 3 : 1.5, front ? Qt::SolidLine : Qt::DotLine));
        p.setBrush(Qt::NoBrush);
        p.drawEllipse(at, radius, radius);
    }
    if (hasFocus()) {  // where the space bar paints
        const QPointF c(width() / 2.0, height() / 2.0);
        p.setPen(QPen(theme().ring, 2));
        p.drawLine(c - QPointF(9, 0), c + QPointF(9, 0));
        p.drawLine(c - QPointF(0, 9), c + QPointF(0, 9));
    }
    p.setFont(report::font(13.5, QFont::Medium));
    p.setPen(theme().ink);
    p.drawText(QRectF(20, 8, width() - 40, 22), Qt::AlignLeft,
               spots_.empty() ? tr("Click where the brush goes; drag turns the piece.")
                              : tr("%n stroke(s). Shift and click wipes one off.", nullptr, int(spots_.size())));
}

void SolidStage::refine() {
    if (scene().bodies.empty() || held_ != Qt::NoButton) return;
    const QSize pixels = (QSizeF(size()) * devicePixelRatioF()).toSize();
    painter_ = std::jthread([this, scene = scene(), view = shownView(), pixels, generation = generation_] {
        QImage image = paintSolid(scene, view, pixels, true);
        QMetaObject::invokeMethod(this, [this, image, generation] {
            if (generation != generation_) return;
            body_ = image;
            bodyFor_ = image.size();
            update();
        });
    });
}

void SolidStage::setStale(bool stale) {
    if (stale == stale_) return;
    stale_ = stale;
    update();
}

void SolidStage::setView(const SolidView& view) {
    view_ = view;
    view_.pitch = std::clamp(view_.pitch, -M_PI / 2, M_PI / 2);
    view_.zoom = std::clamp(view_.zoom, 0.2, 12.0);
    redraw();
    emit viewChanged();
}

void SolidStage::look(Side side) {
    SolidView v = view_;
    v.panX = v.panY = 0;
    v.zoom = 1;
    v.yaw = side == Side::Corner ? -0.6 : side == Side::Right ? M_PI / 2 : 0;
    v.pitch = side == Side::Corner ? 0.42 : side == Side::Top ? M_PI / 2 : 0;
    setView(v);
}

void SolidStage::setEgg(bool shown) {
    egg_ = shown;
    rebuild();
}

void SolidStage::paintMeasures(QPainter& p, const Projection& project) {
    if (view_.apart > 0.01 || scene_.bodies.empty() || film_) return;
    form::Box box;
    bool first = true;
    for (const auto& b : scene_.bodies) {
        if (b.name == QStringLiteral("egg")) continue;
        const form::Box own = form::bounds(b.mesh);
        box = first ? own
                    : form::Box{{std::min(box.low.x, own.low.x), std::min(box.low.y, own.low.y),
                                 std::min(box.low.z, own.low.z)},
                                {std::max(box.high.x, own.high.x), std::max(box.high.y, own.high.y),
                                 std::max(box.high.z, own.high.z)}};
        first = false;
    }
    const form::Vec3 d = box.size();
    const double off = 0.09 * std::max({d.x, d.y, d.z});
    const bool fromRight = std::sin(view_.yaw) > 0;  // the depth is drawn on the side that is seen
    const double side = fromRight ? box.low.x - off : box.high.x + off;
    struct Line {
        form::Vec3 a, b;
        double length;
    };
    const Line lines[]{{{box.low.x, box.low.y - off, box.low.z}, {box.high.x, box.low.y - off, box.low.z}, d.x},
                       {{side, box.low.y, box.low.z}, {side, box.high.y, box.low.z}, d.y},
                       {{fromRight ? box.high.x + off : box.low.x - off, box.low.y, box.low.z},
                        {fromRight ? box.high.x + off : box.low.x - off, box.low.y, box.high.z},
                        d.z}};
    p.setFont(report::font(14, QFont::Medium));
    const QFontMetricsF fm(p.font());
    std::vector<QRectF> taken;
    for (const auto& l : lines) {
        const QPointF a = project(l.a), b = project(l.b), span = b - a;
        const double n = std::hypot(span.x(), span.y());
        if (n < 24) continue;  // seen from its end
        const QPointF tick(-span.y() / n * 5, span.x() / n * 5);
        p.setPen(QPen(theme().ink, 1));
        p.drawLine(a, b);
        p.drawLine(a - tick, a + tick);
        p.drawLine(b - tick, b + tick);
        const QString words = qstring(format(l.length, Dimension::Length, units_));
        QRectF box2(0, 0, fm.horizontalAdvance(words) + 12, fm.height() + 2);
        box2.moveCenter((a + b) / 2);
        if (std::any_of(taken.begin(), taken.end(), [&](const QRectF& t) { return t.intersects(box2); }))
            box2.moveCenter(a + span * 0.25);
        taken.push_back(box2);
        p.fillRect(box2, theme().paper);
        p.drawText(box2, Qt::AlignCenter, words);
    }
}

void SolidStage::paintScene(QPainter& p, bool interactive) {
    p.setRenderHint(QPainter::Antialiasing);
    if (scene().bodies.empty()) {
        p.setFont(report::font(17));
        p.setPen(theme().quiet);
        p.drawText(rect().adjusted(40, 0, -40, 0), Qt::AlignCenter | Qt::TextWordWrap,
                   answers_ ? tr("There is no shape to show yet.") : tr("Building the shape …"));
        return;
    }
    const Projection project(scene(), shownView(), QSizeF(size()));
    if (view_.pitch > 0.02 && view_.apart < 0.01) {
        const form::Box box = film_ ? form::bounds(film_->bodies.front().mesh) : scene().box;
        const form::Vec3 foot{0.5 * (box.low.x + box.high.x), 0.5 * (box.low.y + box.high.y), box.low.z};
        const double half = project.scale() * 0.62 * std::max(box.size().x, box.size().y);
        paintShadow(p, project(foot), half, std::max(4.0, half * std::sin(view_.pitch)));
    }
    const QSize pixels = (QSizeF(size()) * p.device()->devicePixelRatioF()).toSize();
    if (body_.isNull() || bodyFor_ != pixels) {
        body_ = paintSolid(scene(), shownView(), interactive ? draftSize(pixels) : pixels, !interactive);
        bodyFor_ = pixels;
        if (interactive) refine_.start();
    }
    p.drawImage(rect(), body_);
    paintMeasures(p, project);
    if (!scene().keys.empty()) paintKeys(p);
    else if (mapShown())
        report::paintWallLegend(p, QRectF(20, height() - 24, 150, 9),
                                scene().stress ? tr("no pull") : qstring(format(kMapThin, Dimension::Length, units_)),
                                scene().stress
                                    ? tr("%1 MPa").arg(qstring(significant(scene().mapHigh / 1e6, 2)))
                                    : tr("%1 and more").arg(qstring(format(kMapThick, Dimension::Length, units_))),
                                theme().balloon, theme().quiet);
    paintLoads(p, project, interactive);
    if (interactive) {
        paintSpots(p, project);
        paintReading(p);
    }
    if (interactive && hasFocus()) {
        p.setPen(QPen(theme().ring, 2));
        p.setBrush(Qt::NoBrush);
        p.drawRoundedRect(QRectF(rect()).adjusted(2, 2, -2, -2), 10, 10);
    }
    if (interactive && stale_) {
        QColor veil = theme().paper;
        veil.setAlpha(90);
        p.fillRect(rect(), veil);
    }
}

/// What the colours say, a line each at the lower left.
void SolidStage::paintKeys(QPainter& p) {
    p.setFont(report::font(13));
    double y = height() - 14 - 20.0 * double(scene().keys.size() - 1);
    for (const auto& key : scene().keys) {
        const QRectF swatch(20, y - 11, 22, 13);
        p.fillRect(swatch, key.colour);
        if (key.hatched) {
            p.setPen(QPen(theme().harm, 1.6));
            p.setClipRect(swatch);
            for (double x = swatch.left() - 12; x < swatch.right(); x += 6)
                p.drawLine(QPointF(x, swatch.bottom()), QPointF(x + 13, swatch.top()));
            p.setClipping(false);
        }
        p.setPen(QPen(theme().balloon, 1));
        p.setBrush(Qt::NoBrush);
        p.drawRect(swatch);
        p.setPen(theme().ink);
        p.drawText(QPointF(swatch.right() + 8, y), key.words);
        y += 20;
    }
}

void SolidStage::paintEvent(QPaintEvent*) {
    QPainter p(this);
    paintScene(p, true);
}

QImage SolidStage::picture(const QSize& at, double ratio) {
    QImage image(QSize(int(at.width() * ratio), int(at.height() * ratio)), QImage::Format_ARGB32_Premultiplied);
    image.setDevicePixelRatio(ratio);
    image.fill(theme().paper);
    body_ = {};
    QPainter p(&image);
    paintScene(p, false);
    body_ = {};
    return image;
}

QString SolidStage::svg() const { return svgSolid(scene(), shownView(), size(), theme().paper); }

void SolidStage::mousePressEvent(QMouseEvent* e) {
    last_ = pressedAt_ = e->position();
    for (size_t i = 0; scene().arrowsMove && i < scene().arrows.size(); ++i) {
        if ((arrowTail(i) - e->position()).manhattanLength() > 14) continue;
        arrow_ = i;
        return setCursor(Qt::SizeAllCursor);
    }
    held_ = e->button() == Qt::LeftButton && !(e->modifiers() & Qt::ShiftModifier) ? Qt::LeftButton : Qt::RightButton;
    setCursor(Qt::ClosedHandCursor);
}

void SolidStage::mouseMoveEvent(QMouseEvent* e) {
    cursor_ = e->position();
    if (arrow_ && *arrow_ < scene().arrows.size()) {
        const Projection project(scene(), shownView(), QSizeF(size()));
        const QPointF head = project(scene().arrows[*arrow_].at), way = arrowTail(*arrow_) - head,
                      mine = e->position() - head;
        const double square = QPointF::dotProduct(way, way);
        if (square > 16) emit loadDragged(std::clamp(QPointF::dotProduct(way, mine) / square, 0.05, 20.0));
        return;
    }
    if (held_ == Qt::NoButton) return update();
    const QPointF by = e->position() - last_;
    last_ = e->position();
    SolidView v = view_;
    if (held_ == Qt::LeftButton) {
        v.yaw -= by.x() * kTurn;
        v.pitch += by.y() * kTurn;
    } else {
        v.panX += by.x() / height();
        v.panY += by.y() / height();
    }
    setView(v);
}

void SolidStage::mouseReleaseEvent(QMouseEvent* e) {
    if (arrow_) {
        arrow_.reset();
        setCursor(Qt::OpenHandCursor);
        emit loadDropped();
        return;
    }
    held_ = Qt::NoButton;
    setCursor(painting_ ? Qt::CrossCursor : Qt::OpenHandCursor);
    if (painting_ && (e->position() - pressedAt_).manhattanLength() < 4)
        if (const auto hit = under(scene_, view_, QSizeF(size()), e->position()))
            emit painted(hit->at, e->modifiers() & Qt::ShiftModifier);
    refine_.start();
}

void SolidStage::wheelEvent(QWheelEvent* e) {
    SolidView v = view_;
    if (!e->pixelDelta().isNull() && !(e->modifiers() & Qt::ControlModifier)) {  // a touchpad turns, Ctrl comes nearer
        v.yaw -= e->pixelDelta().x() * kTurn * 0.5;
        v.pitch += e->pixelDelta().y() * kTurn * 0.5;
    } else {
        v.zoom *= std::pow(1.0015, e->angleDelta().y());
    }
    setView(v);
    e->accept();
}

bool SolidStage::event(QEvent* e) {
    if (e->type() == QEvent::Gesture)
        if (auto* pinch = static_cast<QPinchGesture*>(static_cast<QGestureEvent*>(e)->gesture(Qt::PinchGesture))) {
            SolidView v = view_;
            v.zoom *= pinch->scaleFactor();
            setView(v);
            return true;
        }
    return QWidget::event(e);
}

void SolidStage::keyPressEvent(QKeyEvent* e) {
    SolidView v = view_;
    const bool move = e->modifiers() & Qt::ShiftModifier;
    switch (e->key()) {
        case Qt::Key_Left:
            move ? v.panX -= 0.05 : v.yaw += kStep;
            break;
        case Qt::Key_Right:
            move ? v.panX += 0.05 : v.yaw -= kStep;
            break;
        case Qt::Key_Up:
            move ? v.panY -= 0.05 : v.pitch += kStep;
            break;
        case Qt::Key_Down:
            move ? v.panY += 0.05 : v.pitch -= kStep;
            break;
        case Qt::Key_Space:
            if (!painting_) return QWidget::keyPressEvent(e);
            if (const auto hit = under(scene_, view_, QSizeF(size()), QPointF(width() / 2.0, height() / 2.0)))
                emit painted(hit->at, move);
            return;
        case Qt::Key_Plus:
        case Qt::Key_Equal:
            v.zoom *= 1.15;
            break;
        case Qt::Key_Minus:
            v.zoom /= 1.15;
            break;
        case Qt::Key_0:
            v.panX = v.panY = 0;
            v.zoom = 1;
            break;
        case Qt::Key_1:
            return look(Side::Corner);
        case Qt::Key_2:
            return look(Side::Front);
        case Qt::Key_3:
            return look(Side::Right);
        case Qt::Key_4:
            return look(Side::Top);
        default:
            return QWidget::keyPressEvent(e);
    }
    setView(v);
}

void SolidStage::leaveEvent(QEvent*) {
    cursor_ = {-1, -1};
    update();
}

void SolidStage::changeEvent(QEvent* e) {
    if (e->type() == QEvent::PaletteChange) redraw();
    QWidget::changeEvent(e);
}

}  // namespace uovo::desktop
