#include "desktop/stage/piece_stage.h"

#include <QAccessible>
#include <QGuiApplication>
#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <algorithm>
#include <cmath>
#include <numbers>

#include "desktop/stage/cut_egg.h"
#include "desktop/stage/raster.h"
#include "desktop/stage/shadow.h"
#include "desktop/stage/solid_scene.h"
#include "desktop/theme/theme.h"
#include "report/fonts.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

constexpr double kTop = 62, kBottom = 44, kSide = 146;  // pixels kept for dimensions and callouts
constexpr double kGrip = 16, kFingerGrip = 26;          // pixels round a handle that take it
constexpr double kGhostShare = 0.42;                    // of the dip depth: how much balloon is drawn above it

}  // namespace

PieceStage::PieceStage(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("stage"));
    setMouseTracking(true);
    setFocusPolicy(Qt::StrongFocus);
    setAccessibleName(tr("The piece, cut open"));
    setAccessibleDescription(tr("Left and right choose a handle, up and down move it."));
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Expanding);
    refine_.setSingleShot(true);
    refine_.setInterval(160);
    connect(&refine_, &QTimer::timeout, this, &PieceStage::refine);
}

void PieceStage::setPiece(const Piece& piece, std::shared_ptr<const PieceAnswers> answers, UnitSystem units) {
    const auto* before = stage();
    const bool repaint = shownChocolate(piece) != shownChocolate(piece_);
    piece_ = piece;
    if (answers && answers->made && answers->made->meridian) answers_ = std::move(answers);
    else if (answers && answers_ && answers_->id != answers->id)
        answers_.reset();  // another piece, and nothing to show of it
    units_ = units;
    if (chosen_ == Handle::None && !handles().empty()) chosen_ = handles().front();
    tell();
    if (repaint || stage() != before) redraw();
    else update();
}

void PieceStage::redraw() {
    body_ = {};
    ++generation_;
    update();
}

void PieceStage::refine() {
    const MeridianWall* s = stage();
    if (!s || dragging_ != Handle::None) return;
    const double ratio = devicePixelRatioF();
    const CutEggView view{(QSizeF(size()) * ratio).toSize(),
                          map() * QTransform::fromScale(ratio, ratio),
                          chocolateColour(shownChocolate(piece_)),
                          theme().paper,
                          rimLight(),
                          true};
    painter_ = std::jthread([this, view, generation = generation_, outside = s->chocolateOutside,
                             curves = report::sectionCurves(s->profile, s->coats.wall, exaggeration_)] {
        QImage image = paintCutEgg(curves, outside, view);
        QMetaObject::invokeMethod(this, [this, image, generation] {
            if (generation != generation_ || image.size() != (QSizeF(size()) * devicePixelRatioF()).toSize()) return;
            body_ = image;
            update();
        });
    });
}

void PieceStage::setStale(bool stale) {
    if (stale_ == stale) return;
    stale_ = stale;
    update();
}

void PieceStage::setExaggeration(double times) {
    exaggeration_ = times;
    redraw();
}

std::vector<PieceStage::Handle> PieceStage::handles() const {
    std::vector<Handle> out;
    if (!stage()) return out;
    if (piece_.overBalloon()) out = {Handle::Dip, Handle::Girth};
    else out = {Handle::Dip, Handle::TopDiameter, Handle::BaseDiameter};
    if (piece_.fill() && !std::isnan(answers_->fillLevel)) out.push_back(Handle::Fill);
    return out;
}

QTransform PieceStage::map() const {
    if (dragging_ != Handle::None) return dragMap_;  // the paper does not move under the hand
    const MeridianWall* s = stage();
    if (!s) return {};
    const double radius = std::max(*std::max_element(s->profile.r.begin(), s->profile.r.end()), s->rimRadius) * 1.04;
    double tall = s->height;
    if (piece_.overBalloon()) tall += std::min(figure("length") - figure("dip"), kGhostShare * figure("dip"));
    else tall += radius * kDepthRises;
    const double scale =
        std::max(50.0, std::min((width() - 2 * kSide) / (2 * radius), (height() - kTop - kBottom) / tall));
    const double bottom = height() - kBottom - std::max(0.0, (height() - kTop - kBottom - tall * scale) / 2);
    QTransform m;
    m.translate(width() / 2.0, bottom);
    m.scale(scale, -scale);
    return m;
}

QPointF PieceStage::handleAt(Handle handle) const {
    const MeridianWall* s = stage();
    if (!s) return {};
    const QTransform m = map();
    const auto& p = s->profile;
    switch (handle) {
        case Handle::Dip:
            return m.map(QPointF(p.faceR.back(), p.faceZ.back()));
        case Handle::Girth: {
            const size_t widest = static_cast<size_t>(std::max_element(p.r.begin(), p.r.end()) - p.r.begin());
            const size_t at = std::min(widest, p.size() * 3 / 4);  // keep it apart from the rim's handle
            return m.map(QPointF(p.r[at] + p.normalR[at] * s->coats.wall[at] * exaggeration_, p.z[at]));
        }
        case Handle::Fill:
            return m.map(QPointF(0, answers_->fillLevel));
        case Handle::TopDiameter: {
            const size_t at = p.size() * 4 / 5;
            return m.map(QPointF(p.r[at], p.z[at]));
        }
        case Handle::BaseDiameter: {
            return m.map(QPointF(figure("baseDiameter") / 2, 0));
        }
        case Handle::None:
            break;
    }
    return {};
}

double PieceStage::valueAt(Handle handle, const QPointF& at) const {
    const MeridianWall* s = stage();
    const QPointF q = map().inverted().map(at);
    const double step = units_ == UnitSystem::US ? 0.0254 / 16 : 0.0005;  // handles snap to what a ruler shows
    const auto snapped = [&](double v) { return std::round(v / step) * step; };
    switch (handle) {
        case Handle::Dip: {
            if (piece_.overBalloon()) return snapped(std::clamp(q.y(), 0.006, 0.9 * figure("length")));
            return snapped(std::clamp(q.y(), 0.012, figure("height")));
        }
        case Handle::Girth: {
            const double now = map().inverted().map(handleAt(handle)).x();
            const double factor = std::clamp(q.x() / std::max(1e-3, now), 0.5, 2.0);
            return std::clamp(std::round(figure("girth") * factor / 0.005) * 0.005, 0.1, 1.5);
        }
        case Handle::Fill:
            return volumeAtLevel(*answers_->made, std::clamp(q.y(), 0.0, s->profile.faceZ.back()));
        case Handle::TopDiameter: {
            const double now = map().inverted().map(handleAt(handle)).x();
            return snapped(
                std::clamp(figure("topDiameter") * q.x() / std::max(1e-3, now), figure("baseDiameter"), 0.3));
        }
        case Handle::BaseDiameter:
            return snapped(std::clamp(2 * q.x(), 0.02, figure("topDiameter")));
        case Handle::None:
            break;
    }
    return 0;
}

QString PieceStage::handleValue(Handle handle) const {
    const auto length = [&](const char* key) {
        return QString::fromStdString(format(figure(key), Dimension::Length, units_));
    };
    switch (handle) {
        case Handle::Dip:
            return length(piece_.overBalloon() ? "dip" : "fillLine");
        case Handle::Girth:
            return length("girth");
        case Handle::Fill:
            return piece_.fill() && answers_
                       ? QString::fromStdString(format(answers_->fillEach, Dimension::Volume, units_))
                       : QString();
        case Handle::TopDiameter:
            return length("topDiameter");
        case Handle::BaseDiameter:
            return length("baseDiameter");
        case Handle::None:
            break;
    }
    return {};
}

PaintedParts::Part PieceStage::part(int index) const {
    const Handle h = handles().at(static_cast<size_t>(index));
    const QPoint at = handleAt(h).toPoint();
    const int grip = static_cast<int>(kGrip);
    return {handleName(h), handleValue(h), QRect(at - QPoint(grip, grip), QSize(2 * grip, 2 * grip)),
            QAccessible::Slider, h == chosen_};
}

void PieceStage::tell() {
    QString words = tr("%1, cut open").arg(QString::fromStdString(piece_.name));
    if (const MeridianWall* s = stage()) {
        const auto length = [&](double m) { return QString::fromStdString(format(m, Dimension::Length, units_)); };
        words += tr("; wall %1 at the rim, %2 at the thinnest, %3 in the mean")
                     .arg(length(s->wall.rim), length(s->wall.thinnest), length(s->wall.mean));
        for (const Handle h : handles())
            words += QStringLiteral("; ") + handleName(h) + QLatin1Char(' ') + handleValue(h) + tr(", adjustable");
    }
    setAccessibleName(words);
    setAccessibleDescription(
        tr("%1 is chosen. Left and right choose a handle, up and down move it.").arg(handleName(chosen_)));
}

QString PieceStage::handleName(Handle handle) const {
    switch (handle) {
        case Handle::Dip:
            return piece_.overBalloon() ? tr("dip depth") : tr("fill line");
        case Handle::Girth:
            return tr("girth");
        case Handle::Fill:
            return tr("filling");
        case Handle::TopDiameter:
            return tr("top");
        case Handle::BaseDiameter:
            return tr("base");
        case Handle::None:
            break;
    }
    return {};
}

void PieceStage::paintGhost(QPainter& p, const QTransform& m) {
    QPen dashed(theme().balloon, 1.4, Qt::DashLine);
    dashed.setDashPattern({4, 4});
    p.setPen(dashed);
    p.setBrush(Qt::NoBrush);
    QPainterPath path;
    if (piece_.overBalloon()) {
        if (const auto whole = form::wholeMeridian(form::balloonOf(piece_.shape))) {
            const form::Profile g = whole->profile(90);
            bool begun = false;
            for (size_t i = 0; i < g.size(); ++i) {
                if (g.z[i] < figure("dip")) continue;
                const QPointF q = m.map(QPointF(g.r[i], g.z[i]));
                begun ? path.lineTo(q) : path.moveTo(q);
                begun = true;
            }
            const double top = figure("length");
            path.lineTo(m.map(QPointF(0, top)));
            p.drawPath(path);
            p.drawPath(QTransform(-1, 0, 0, 1, 2 * m.dx(), 0).map(path));
            const QPointF knot = m.map(QPointF(0, top));
            p.drawPolygon(QPolygonF{knot, knot + QPointF(-6, -11), knot + QPointF(6, -11)});
        }
    } else {
        const double top = figure("topDiameter") / 2, base = figure("baseDiameter") / 2;
        path.moveTo(m.map(QPointF(top, figure("height"))));
        path.lineTo(m.map(QPointF(base, -0.0006)));
        path.lineTo(m.map(QPointF(-base, -0.0006)));
        path.lineTo(m.map(QPointF(-top, figure("height"))));
        p.drawPath(path);
    }
}

void PieceStage::paintFilling(QPainter& p, const QTransform& m, const report::SectionCurves& curves) {
    if (!piece_.fill() || std::isnan(answers_->fillLevel)) return;
    const double level = answers_->fillLevel;
    const auto& inner = stage()->chocolateOutside ? curves.former : curves.surface;
    QPolygonF region{m.map(QPointF(0, level))};
    double edge = 0;
    for (const QPointF& q : inner)
        if (q.y() <= level) {
            edge = std::max(edge, q.x());
            region.prepend(m.map(q));
        }
    region.prepend(m.map(QPointF(edge, level)));
    QColor cream = theme().dark ? QColor(0xE8, 0xD9, 0xB8, 70) : QColor(0xF3, 0xE3, 0xBF, 150);
    p.setPen(Qt::NoPen);
    p.setBrush(cream);
    // under the level, between the axis and the inside of the wall
    std::reverse(region.begin(), region.end());
    region.append(m.map(QPointF(edge, level)));
    p.drawPolygon(region);
    QPen line(theme().ink, 1.1, Qt::DotLine);
    p.setPen(line);
    p.drawLine(m.map(QPointF(0, level)), m.map(QPointF(edge, level)));
}

/// Coats lie on one another: a line between them, and their own colours where they are of different chocolates.
void PieceStage::paintLayers(QPainter& p, const QTransform& m, const report::SectionCurves& curves) {
    const MeridianWall* s = stage();
    const auto& coats = s->coats.coats;
    if (coats.size() != piece_.coats().size()) return;  // an edit is under way
    const auto chocolate = [&](size_t k) { return piece_.chocolateOf(piece_.coats()[k]); };
    bool mixed = false;
    for (size_t k = 1; k < coats.size(); ++k) mixed = mixed || chocolate(k) != chocolate(0);
    std::vector<QPointF> below = curves.former;
    for (size_t k = 0; k < coats.size(); ++k) {
        const auto above = report::sectionCurves(s->profile, coats[k].wall, exaggeration_).surface;
        QPolygonF layer;
        for (const auto& q : below) layer << m.map(q);
        const qsizetype edge = layer.size();
        for (size_t i = above.size(); i-- > 0;) layer << m.map(above[i]);
        if (mixed) {
            p.setPen(Qt::NoPen);
            p.setBrush(chocolateColour(chocolate(k)));
            p.drawPolygon(layer);
        }
        if (k + 1 < coats.size()) {
            p.setPen(QPen(mixed ? theme().chocEdge : QColor(255, 244, 226, 150), 1));
            p.setBrush(Qt::NoBrush);
            p.drawPolyline(layer.mid(edge));
        }
        below = above;
    }
}

void PieceStage::paintDimensions(QPainter& p, const QTransform& m) {
    const MeridianWall* s = stage();
    const auto& profile = s->profile;
    p.setFont(report::font(14, QFont::Medium));
    const QPen line(theme().ink, 1);
    const auto tag = [&](const QPointF& centre, const QString& words, const QString& place) {
        const QFontMetricsF fm(p.font());
        QRectF box(0, 0, fm.horizontalAdvance(words) + 14, fm.height() + 4);
        box.moveCenter(centre);
        p.fillRect(box, theme().paper);
        p.setPen(theme().ink);
        p.drawText(box, Qt::AlignCenter, words);
        labels_.push_back({box, place});
    };
    const double wide = *std::max_element(profile.r.begin(), profile.r.end()),
                 outer = wide + (s->chocolateOutside ? s->wall.mean : 0);
    const double y = std::max(24.0, m.map(QPointF(0, profile.faceZ.back())).y() - (piece_.overBalloon() ? 64 : 44));
    const QPointF a = m.map(QPointF(-outer, 0)), b = m.map(QPointF(outer, 0));
    p.setPen(line);
    p.drawLine(QPointF(a.x(), y), QPointF(b.x(), y));
    for (const double x : {a.x(), b.x()}) p.drawLine(QPointF(x, y - 5), QPointF(x, y + 5));
    tag(QPointF((a.x() * 2 + b.x()) / 3, y), qstring(format(2 * outer, Dimension::Length, units_)),
        piece_.overBalloon() ? QStringLiteral("former/girth") : QStringLiteral("former/topDiameter"));
    const double x = a.x() - 44, top = m.map(QPointF(0, profile.faceZ.back())).y(), bottom = m.map(QPointF(0, 0)).y();
    p.setPen(line);
    p.drawLine(QPointF(x, top), QPointF(x, bottom));
    for (const double at : {top, bottom}) p.drawLine(QPointF(x - 5, at), QPointF(x + 5, at));
    tag(QPointF(x, (top + bottom) / 2), qstring(format(s->height, Dimension::Length, units_)),
        piece_.overBalloon() ? QStringLiteral("former/dip") : QStringLiteral("former/fillLine"));
}

void PieceStage::paintCallouts(QPainter& p, const QTransform& m, const report::SectionCurves& curves) {
    const MeridianWall* s = stage();
    const auto& wall = s->coats.wall;
    const double wanted = piece_.wantedWall.value;
    struct Call {
        size_t cell;
        QString word;
        double y;
    };
    const size_t n = wall.size();
    std::vector<Call> calls{
        {n - 3, tr("rim"), 0}, {n / 2, QString(), 0}, {1, s->chocolateOutside ? tr("foot") : tr("floor"), 0}};
    if (s->wall.thinnestAt + 8 < n - 3 && s->wall.thinnestAt > 6)
        calls.push_back({s->wall.thinnestAt, tr("thinnest"), 0});
    if (s->wall.thickestAt > 6 && s->wall.thickestAt + 8 < n &&
        std::abs(double(s->wall.thickestAt) - double(n) / 2) > 8)
        calls.push_back({s->wall.thickestAt, tr("thickest"), 0});
    const auto middle = [&](size_t cell) { return (curves.former[cell + 1] + curves.surface[cell + 1]) / 2; };
    std::sort(calls.begin(), calls.end(),
              [&](const Call& a, const Call& b) { return middle(a.cell).y() > middle(b.cell).y(); });
    double last = -1e9;
    const double lowest = height() - 14;
    for (auto& c : calls) {  // labels never collide: each at least a line below the one above
        c.y = std::max(m.map(middle(c.cell)).y() + (c.cell < 3 ? 22 : 0), last + 22);
        last = c.y;
    }
    for (size_t i = calls.size(); i-- > 0;) {
        const double most = lowest - 22.0 * static_cast<double>(calls.size() - 1 - i);
        calls[i].y = std::min(calls[i].y, most);
    }
    const double right = m.map(QPointF(*std::max_element(s->profile.r.begin(), s->profile.r.end()), 0)).x() + 34;
    for (const auto& c : calls) {
        const QPointF from = m.map(middle(c.cell));
        const bool thin = wall[c.cell] < wanted - 1e-9;
        p.setPen(QPen(theme().ink, 1));
        p.drawLine(from, QPointF(right, c.y));
        p.setBrush(theme().ink);
        p.drawEllipse(from, 1.8, 1.8);
        p.setFont(report::font(14, QFont::DemiBold));
        const QString number = qstring(format(wall[c.cell], Dimension::Length, units_));
        p.setPen(theme().ink);
        p.drawText(QPointF(right + 6, c.y + 5), number);
        const double after = right + 6 + QFontMetricsF(p.font()).horizontalAdvance(number) + 6;
        p.setFont(report::font(14));
        p.setPen(thin ? theme().harm : theme().quiet);
        p.drawText(QPointF(after, c.y + 5),
                   thin ? (c.word.isEmpty() ? tr("thin") : tr("%1, thin").arg(c.word)) : c.word);
    }
}

void PieceStage::hatchThin(QPainter& p, const QTransform& m, const report::SectionCurves& curves) const {
    const auto& wall = stage()->coats.wall;
    for (size_t i = 0; i < wall.size(); ++i)
        if (wall[i] < piece_.wantedWall.value - 1e-9) {
            QPolygonF q{m.map(curves.former[i + 1]), m.map(curves.former[std::min(i + 2, curves.former.size() - 1)]),
                        m.map(curves.surface[std::min(i + 2, curves.surface.size() - 1)]),
                        m.map(curves.surface[i + 1])};
            p.setPen(Qt::NoPen);
            p.setBrush(QBrush(theme().harm, Qt::BDiagPattern));
            p.drawPolygon(q);
        }
}

void PieceStage::paintHandles(QPainter& p) const {
    for (const Handle h : handles()) {
        const QPointF at = handleAt(h);
        const bool strong = h == dragging_ || (hasFocus() && h == chosen_);
        p.setPen(QPen(theme().ring, 3));
        p.setBrush(theme().card);
        p.drawEllipse(at, strong ? 9 : 7.5, strong ? 9 : 7.5);
        if (strong) {
            p.setFont(report::font(13, QFont::DemiBold));
            const QString words = handleName(h);
            const QRectF box(at.x() - 60, at.y() - 34, 120, 18);
            p.setPen(theme().yolkText);
            p.drawText(box, Qt::AlignCenter, words);
        }
    }
}

void PieceStage::paintWallUnderCursor(QPainter& p, const QTransform& m, const report::SectionCurves& curves) const {
    const auto& wall = stage()->coats.wall;
    if (cursor_.x() < 0 || dragging_ != Handle::None) return;
    size_t best = 0;
    double distance = 1e9;
    for (size_t i = 0; i < wall.size(); ++i) {
        const QPointF mid = m.map((curves.former[i + 1] + curves.surface[i + 1]) / 2);
        const double d = std::hypot(mid.x() - cursor_.x(), mid.y() - cursor_.y());
        if (d < distance) {
            distance = d;
            best = i;
        }
    }
    const double reach = std::max(10.0, wall[best] * exaggeration_ * m.m11() * 0.7);
    if (distance >= reach || handleUnder(cursor_) != Handle::None) return;
    const QString words = qstring(format(wall[best], Dimension::Length, units_, Detail::Fine));
    p.setFont(report::font(14, QFont::DemiBold));
    QRectF box(0, 0, QFontMetricsF(p.font()).horizontalAdvance(words) + 14, 24);
    box.moveBottomLeft(cursor_ + QPointF(12, -8));
    p.setPen(QPen(theme().hairline, 1));
    p.setBrush(theme().card);
    p.drawRoundedRect(box, 6, 6);
    p.setPen(theme().ink);
    p.drawText(box, Qt::AlignCenter, words);
}

void PieceStage::paintScene(QPainter& p, bool interactive) {
    p.setRenderHint(QPainter::Antialiasing);
    labels_.clear();
    const MeridianWall* s = stage();
    if (!s) {
        p.setFont(report::font(17));
        p.setPen(theme().quiet);
        const QString words =
            answers_ || piece_.coats().empty() ? tr("There is no shape to show yet.") : tr("Computing the wall …");
        p.drawText(rect().adjusted(40, 0, -40, 0), Qt::AlignCenter | Qt::TextWordWrap, words);
        return;
    }
    const QTransform m = map();
    const auto curves = report::sectionCurves(s->profile, s->coats.wall, exaggeration_);
    paintShadow(p, m.map(QPointF(0, 0)) + QPointF(0, 5), m.m11() * s->rimRadius * 0.98, 13);
    paintGhost(p, m);
    const double ratio = p.device()->devicePixelRatioF();
    if (body_.isNull()) {  // a plain picture at once, the fine one from another thread when the hand rests
        const QSize whole = (QSizeF(size()) * ratio).toSize(), drawn = interactive ? draftSize(whole) : whole;
        const double share = ratio * drawn.width() / std::max(1, whole.width());
        const QTransform scaled = m * QTransform::fromScale(share, share);
        body_ = paintCutEgg(
            curves, s->chocolateOutside,
            {drawn, scaled, chocolateColour(shownChocolate(piece_)), theme().paper, rimLight(), !interactive});
        if (interactive) refine_.start();
    }
    p.drawImage(rect(), body_);
    // the balloon goes on above the paper's edge
    QLinearGradient fade(0, 0, 0, 34);
    QColor none = theme().paper;
    none.setAlpha(0);
    fade.setColorAt(0, theme().paper);
    fade.setColorAt(1, none);
    p.fillRect(QRectF(0, 0, width(), 34), fade);
    paintFilling(p, m, curves);
    const double thin = std::min(s->wall.thinnest, 0.6 * s->wall.mean),
                 thick = std::max(1.7 * s->wall.mean, thin + 1e-4);
    report::paintWall(p, curves, s->coats.wall, thin, thick, m);
    paintLayers(p, m, curves);
    hatchThin(p, m, curves);
    QPainterPath outline;
    for (size_t i = 0; i < curves.former.size(); ++i)
        i ? outline.lineTo(m.map(curves.former[i])) : outline.moveTo(m.map(curves.former[i]));
    for (size_t i = curves.surface.size(); i-- > 0;) outline.lineTo(m.map(curves.surface[i]));
    p.setBrush(Qt::NoBrush);
    p.setPen(QPen(theme().chocEdge, 1));
    p.drawPath(outline);
    QPen axis(theme().ring, 1.4, Qt::DotLine);
    p.setPen(axis);
    p.drawLine(m.map(QPointF(0, s->height * 1.12)), m.map(QPointF(0, -0.004)));

    paintDimensions(p, m);
    paintCallouts(p, m, curves);
    // legend of the wall map; a foot may be thicker than its end
    QString end = qstring(format(thick, Dimension::Length, units_));
    if (s->wall.thickest > thick) end = tr("%1 and more").arg(end);
    report::paintWallLegend(p, QRectF(20, height() - 24, 150, 9), qstring(format(thin, Dimension::Length, units_)), end,
                            theme().balloon, theme().quiet);
    if (!interactive) return;

    paintHandles(p);
    paintWallUnderCursor(p, m, curves);
    if (stale_) {
        QColor veilAll = theme().paper;
        veilAll.setAlpha(90);
        p.fillRect(rect(), veilAll);
    }
}

void PieceStage::paintEvent(QPaintEvent*) {
    if (!body_.isNull() && body_.size() != (QSizeF(size()) * devicePixelRatioF()).toSize()) {
        body_ = {};
        ++generation_;
    }
    QPainter p(this);
    paintScene(p, true);
}

QImage PieceStage::picture(const QSize& at, double ratio) {
    QImage image(QSize(static_cast<int>(at.width() * ratio), static_cast<int>(at.height() * ratio)),
                 QImage::Format_ARGB32_Premultiplied);
    image.setDevicePixelRatio(ratio);
    image.fill(theme().paper);
    body_ = {};
    QPainter p(&image);
    paintScene(p, false);
    body_ = {};
    return image;
}

PieceStage::Handle PieceStage::handleUnder(const QPointF& at, bool finger) const {
    for (const Handle h : handles()) {
        const QPointF d = handleAt(h) - at;
        if (std::hypot(d.x(), d.y()) < (finger ? kFingerGrip : kGrip)) return h;
    }
    return Handle::None;
}

void PieceStage::mousePressEvent(QMouseEvent* e) {
    if (e->button() != Qt::LeftButton) return;
    const Handle h = handleUnder(e->position(), e->pointerType() == QPointingDevice::PointerType::Finger);
    if (h == Handle::None) {
        for (const auto& label : labels_)
            if (label.box.contains(e->position())) emit dimensionClicked(label.place);
        return;
    }
    dragMap_ = map();
    chosen_ = dragging_ = h;
    grab_ = handleAt(h) - e->position();
    update();
}

void PieceStage::mouseMoveEvent(QMouseEvent* e) {
    cursor_ = e->position();
    if (dragging_ != Handle::None) {
        emit handleMoved(dragging_, valueAt(dragging_, e->position() + grab_), false);
    } else {
        const Handle h = handleUnder(e->position());
        const bool label =
            std::any_of(labels_.begin(), labels_.end(), [&](const Label& l) { return l.box.contains(e->position()); });
        setCursor(h == Handle::None ? (label ? Qt::PointingHandCursor : Qt::ArrowCursor)
                                    : (h == Handle::Dip || h == Handle::Fill ? Qt::SizeVerCursor : Qt::SizeHorCursor));
    }
    update();
}

void PieceStage::mouseReleaseEvent(QMouseEvent* e) {
    if (dragging_ == Handle::None) return;
    const Handle h = dragging_;
    const double value = valueAt(h, e->position() + grab_);
    dragging_ = Handle::None;
    redraw();
    emit handleMoved(h, value, true);
    update();
}

void PieceStage::keyPressEvent(QKeyEvent* e) {
    const auto all = handles();
    if (all.empty()) return QWidget::keyPressEvent(e);
    auto it = std::find(all.begin(), all.end(), chosen_);
    size_t at = it == all.end() ? 0 : static_cast<size_t>(it - all.begin());
    const bool up = e->key() == Qt::Key_Up, down = e->key() == Qt::Key_Down;
    if (e->key() == Qt::Key_Right) {
        chosen_ = all[(at + 1) % all.size()];
    } else if (e->key() == Qt::Key_Left) {
        chosen_ = all[(at + all.size() - 1) % all.size()];
    } else if (up || down) {
        const double sign = (up ? 1 : -1) * (e->modifiers() & Qt::ShiftModifier ? 5 : 1);
        const QTransform m = map();
        // one millimetre on the piece, or its sixteenth of an inch
        const double step = (units_ == UnitSystem::US ? 0.0254 / 16 : 0.001) * m.m11() * sign;
        const QPointF from = handleAt(chosen_);
        const bool vertical = chosen_ == Handle::Dip || chosen_ == Handle::Fill;
        emit handleMoved(chosen_, valueAt(chosen_, from + (vertical ? QPointF(0, -step) : QPointF(step, 0))), true);
    } else {
        return QWidget::keyPressEvent(e);
    }
    tell();
    update();
}

void PieceStage::leaveEvent(QEvent*) {
    cursor_ = {-1, -1};
    update();
}

void PieceStage::changeEvent(QEvent* e) {
    if (e->type() == QEvent::PaletteChange || e->type() == QEvent::StyleChange) {
        redraw();
    }
    QWidget::changeEvent(e);
}

void PieceStage::focusInEvent(QFocusEvent*) { update(); }
void PieceStage::focusOutEvent(QFocusEvent*) { update(); }

}  // namespace uovo::desktop
