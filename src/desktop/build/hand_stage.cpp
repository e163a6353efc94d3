#include "desktop/build/hand_stage.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QWheelEvent>
#include <numbers>

#include "core/assembly/arrange.h"
#include "core/quantity/words.h"
#include "core/stages/put_together.h"
#include "desktop/stage/raster.h"
#include "desktop/theme/mixed.h"
#include "desktop/theme/theme.h"
#include "report/fonts.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

using assembly::Snap;
using form::Vec3;

constexpr double kReach = 9;                    // px: so near a part holds on
constexpr double kLeastMove = 5e-5;             // m: less is no move
constexpr double kFrame = 1.18;                 // of the parts, what the picture shows
constexpr double kShrunk = 0.5;                 // of the frame: parts that take less are looked at from nearer
constexpr double kSteep = 0.15;                 // of the pitch's sine: seen flatter a part moves only aside
constexpr double kStep = 1e-3, kStride = 1e-2;  // m a key moves a part
constexpr double kBoard = 0.62;                 // radius of the board, of the frame's diagonal

/// A body moved from one pose to another.
void shift(SolidBody& b, const form::Pose& from, const form::Pose& to) {
    const auto back = [&](const Vec3& d) {
        return Vec3{form::dot(d, from.x), form::dot(d, from.y), form::dot(d, from.z)};
    };
    for (auto& p : b.mesh.points) p = to(back(p - from.at));
    for (auto& n : b.normals) {
        const Vec3 v = to(back({n.x(), n.y(), n.z()})) - to.at;
        n = {float(v.x), float(v.y), float(v.z)};
    }
}

}  // namespace

QString wordsOf(const std::vector<Snap>& snaps, const form::Part& assembly) {
    QStringList out;
    const auto name = [&](size_t k) {
        return k < assembly.items.size() ? qstring(lowerFirst(assembly.items[k].name)) : HandStage::tr("the table");
    };
    for (const auto& s : snaps) {
        QString words;
        switch (s.kind) {
            case Snap::Kind::Centred:
                words = HandStage::tr("centred on %1").arg(name(s.other));
                break;
            case Snap::Kind::Flush:
                words = HandStage::tr("in line with %1").arg(name(s.other));
                break;
            case Snap::Kind::Beside:
                words = HandStage::tr("against %1").arg(name(s.other));
                break;
            case Snap::Kind::Rim:
                words = HandStage::tr("on the rim of %1").arg(name(s.other));
                break;
            case Snap::Kind::Angle:
                words = HandStage::tr("on the rim of %1 at %2°").arg(name(s.other)).arg(qRound(s.angle));
                break;
            case Snap::Kind::Rests:
                words = HandStage::tr("standing on %1").arg(name(s.other));
                break;
        }
        if (!out.contains(words)) out << words;
    }
    return out.join(QStringLiteral(", "));
}

HandStage::HandStage(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("handStage"));
    setAccessibleName(tr("The parts at their places"));
    setFocusPolicy(Qt::StrongFocus);
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Expanding);
}

size_t HandStage::index() const {
    return static_cast<size_t>(std::ranges::find(assembly_.items, chosen_.toStdString(), &form::PartItem::key) -
                               assembly_.items.begin());
}

void HandStage::setPiece(const std::string& id, const form::Part& assembly, const form::Meshes& meshes,
                         SolidScene scene, std::shared_ptr<const PutTogether> together, UnitSystem units) {
    if (dragging_) letGo();
    if (!(assembly == assembly_)) {
        placer_.reset();
        finder_.reset();
        inHand_.reset();
        cannot_ = false;
    }
    const bool other = id != id_;
    id_ = id;
    assembly_ = assembly;
    meshes_ = meshes;
    base_ = std::move(scene);
    together_ = std::move(together);
    units_ = units;
    placing_.reset();
    holds_.clear();
    if (other) {
        frame_ = {};
        view_.reset();
    }
    // what floats or sits in another is seen
    if (together_)
        for (size_t k = 0; k < together_->items.size(); ++k) {
            const bool wrong = std::ranges::find(together_->found.afloat, k) != together_->found.afloat.end() ||
                               std::ranges::any_of(together_->found.cuts,
                                                   [&](const assembly::Cut& c) { return c.a == k || c.b == k; });
            if (wrong && together_->items[k] < base_.bodies.size()) {
                auto& colour = base_.bodies[together_->items[k]].colour;
                colour = mixed(colour, theme().harm, 0.55f);
            }
        }
    scene_ = base_;
    fitFrame();
    if (index() == assembly_.items.size()) {
        chosen_ = assembly_.items.empty() ? QString() : qstring(assembly_.items.back().key);
        emit chosenChanged();
    }
    turned();
}

/// The picture does not jump while parts are moved: it fits anew where they leave it or shrink in it.
void HandStage::fitFrame() {
    const Vec3 now = base_.box.size(), was = frame_.size();
    const auto in = [&](double low, double high, double a, double b) { return low >= a && high <= b; };
    const bool fits = in(base_.box.low.x, base_.box.high.x, frame_.low.x, frame_.high.x) &&
                      in(base_.box.low.y, base_.box.high.y, frame_.low.y, frame_.high.y) &&
                      in(base_.box.low.z, base_.box.high.z, frame_.low.z, frame_.high.z);
    if (!fits || form::length(now) < kShrunk * form::length(was)) {
        const Vec3 middle = (base_.box.low + base_.box.high) * 0.5, half = now * (0.5 * kFrame);
        frame_ = {middle - half, middle + half};
        fit_ = base_.fit * kFrame;
    }
    for (SolidScene* s : {&base_, &scene_}) {
        s->box = frame_;
        s->fit = s->fitApart = fit_;
    }
}

void HandStage::choose(const QString& key) {
    if (key == chosen_) return;
    chosen_ = key;
    emit chosenChanged();
    turned();
}

const assembly::Placer* HandStage::placer() const {
    if (!placer_ && !cannot_) {
        if (auto made = assembly::placerOf(assembly_, meshes_)) placer_.emplace(std::move(*made));
        else cannot_ = true;
    }
    return placer_ ? &*placer_ : nullptr;
}

void HandStage::turned() {
    image_ = {};
    update();
}

PaintedParts::Part HandStage::part(int i) const {
    const auto& item = assembly_.items.at(static_cast<size_t>(i));
    const QPoint at = placeOf(qstring(item.key));
    const auto* places = placer();
    return {qstring(item.name),
            places && places->size() == assembly_.items.size()
                ? qstring(assembly::whereabouts(*places, assembly_, static_cast<size_t>(i), units_))
                : QString(),
            QRect(at - QPoint(14, 14), QSize(28, 28)), QAccessible::ListItem, qstring(item.key) == chosen_};
}

QPoint HandStage::placeOf(const QString& key) const {
    const auto it = std::ranges::find(assembly_.items, key.toStdString(), &form::PartItem::key);
    const size_t k = static_cast<size_t>(it - assembly_.items.begin());
    if (k >= scene_.bodies.size()) return {};
    const Projection project(scene_, *view_, QSizeF(size()));
    const form::Box b = form::bounds(scene_.bodies[k].mesh);
    const QPoint middle = project((b.low + b.high) * 0.5).toPoint();
    // a ring has nothing in its middle, and another part may stand before it
    const auto at = [&](const QPoint& p) {
        const auto hit = under(scene_, *view_, QSizeF(size()), p);
        return hit && hit->body == k;
    };
    if (at(middle)) return middle;
    for (const auto& t : scene_.bodies[k].mesh.triangles) {
        const auto& m = scene_.bodies[k].mesh.points;
        const QPoint p = project((m[size_t(t[0])] + m[size_t(t[1])] + m[size_t(t[2])]) * (1.0 / 3)).toPoint();
        if (at(p)) return p;
    }
    return middle;
}

form::Vec3 HandStage::seenRight() const {
    // the axis nearest to the right of the picture
    const double turn = std::round(view_->yaw / (0.5 * std::numbers::pi)) * 0.5 * std::numbers::pi;
    return {std::round(std::cos(turn)), -std::round(std::sin(turn)), 0};
}

Vec3 HandStage::moved(const QPointF& by, bool lift) const {
    const Projection project(scene_, *view_, QSizeF(size()));
    const double s = project.scale(), c = std::cos(view_->yaw), d = std::sin(view_->yaw), sp = std::sin(view_->pitch),
                 cp = std::cos(view_->pitch);
    if (lift) return {0, 0, std::abs(cp) > kSteep ? -by.y() / (s * cp) : 0};
    const double right = by.x() / s, away = std::abs(sp) > kSteep ? -by.y() / (s * sp) : 0;
    return {c * right + d * away, -d * right + c * away, 0};
}

void HandStage::lay(const assembly::Placing& placing) {
    const size_t k = index();
    if (k >= base_.bodies.size()) return;
    placing_ = placing;
    scene_.bodies[k] = base_.bodies[k];
    shift(scene_.bodies[k], form::poseOf(assembly_.items[k]), placing.pose);
    holds_ = wordsOf(placing.snaps, assembly_);
    if (finder_ && k < finder_->bodies().size()) {
        assembly::Body body = finder_->bodies()[k];
        body.solid = inHand_->solid(k, placing.pose);
        finder_->move(k, std::move(body));
        touching_ = 0;
        for (const auto& c : finder_->find().contacts) touching_ += c.b != assembly::kTable && (c.a == k || c.b == k);
    }
    setAccessibleDescription(holds_);
    emit inHand();
    turned();
}

void HandStage::letGo() {
    dragging_ = false;
    finder_.reset();
    inHand_.reset();
    if (!placing_) return;
    if (const auto* fine = placer(); fine && index() < assembly_.items.size())
        placing_ = fine->moved(index(), by_, reach_);
    const form::Pose pose = placing_->pose;
    placing_.reset();
    holds_.clear();
    const size_t k = index();
    if (k >= assembly_.items.size()) return;
    const form::Pose was = form::poseOf(assembly_.items[k]);
    const bool same = form::length(pose.at - was.at) < kLeastMove && form::length(pose.x - was.x) < 1e-6 &&
                      form::length(pose.y - was.y) < 1e-6;
    if (!same) emit put(chosen_, pose);
    else scene_ = base_;
    turned();
}

void HandStage::mousePressEvent(QMouseEvent* e) {
    pressed_ = last_ = e->position();
    const auto hit =
        e->button() == Qt::LeftButton ? under(scene_, *view_, QSizeF(size()), e->position()) : std::nullopt;
    if (!hit || hit->body >= assembly_.items.size()) {
        turning_ = true;
        return;
    }
    choose(qstring(assembly_.items[hit->body].key));
    auto coarse = assembly::placerOf(assembly_, meshes_, assembly::kInHand);
    if (!coarse) return;
    inHand_.emplace(std::move(*coarse));
    dragging_ = true;
    std::vector<assembly::Body> bodies(assembly_.items.size());
    for (size_t k = 0; k < bodies.size(); ++k) bodies[k].solid = inHand_->solid(k, inHand_->pose(k));
    finder_.emplace(std::move(bodies), assembly::ContactOptions::inHand());
}

void HandStage::mouseMoveEvent(QMouseEvent* e) {
    if (turning_) {
        view_.drag(e->position() - last_);
        last_ = e->position();
        return turned();
    }
    const size_t k = index();
    if (!dragging_ || k >= assembly_.items.size()) return;
    if (!placing_ && (e->position() - pressed_).manhattanLength() < 4) return;  // a press is no drag yet
    const Projection project(scene_, *view_, QSizeF(size()));
    const bool lift = e->modifiers() & Qt::ShiftModifier;
    Vec3 by = moved(e->position() - pressed_, lift);
    if (lift && by.z == 0) by.z = 1e-9;
    by_ = by;
    reach_ = e->modifiers() & Qt::ControlModifier ? 0 : kReach / project.scale();
    lay(inHand_->moved(k, by_, reach_));
}

void HandStage::mouseReleaseEvent(QMouseEvent*) {
    turning_ = false;
    if (dragging_) letGo();
    turned();
}

void HandStage::wheelEvent(QWheelEvent* e) {
    view_.wheel(e->angleDelta().y());
    turned();
}

void HandStage::step(const Vec3& by) {
    const size_t k = index();
    if (k >= assembly_.items.size() || !placer()) return;
    emit put(chosen_, placer()->moved(k, by, 0).pose);
}

void HandStage::keyPressEvent(QKeyEvent* e) {
    const bool far = e->modifiers() & Qt::ShiftModifier;
    const double by = far ? kStride : kStep;
    const Vec3 right = seenRight(), back{-right.y, right.x, 0};
    const size_t n = assembly_.items.size();
    if (e->modifiers() & Qt::AltModifier && view_.arrow(e->key())) return turned();
    switch (e->key()) {
        case Qt::Key_Left:
            return step(right * -by);
        case Qt::Key_Right:
            return step(right * by);
        case Qt::Key_Up:
            return step(back * by);
        case Qt::Key_Down:
            return step(back * -by);
        case Qt::Key_PageUp:
            return step({0, 0, by});
        case Qt::Key_PageDown:
            return step({0, 0, -by});
        case Qt::Key_Escape:
            if (!dragging_) break;
            placing_.reset();
            letGo();
            scene_ = base_;
            return turned();
        case Qt::Key_BracketLeft:
        case Qt::Key_BracketRight: {
            if (n == 0) return;
            const size_t k = std::min(index(), n - 1);
            return choose(qstring(assembly_.items[(k + (e->key() == Qt::Key_BracketLeft ? n - 1 : 1)) % n].key));
        }
        case Qt::Key_T:
        case Qt::Key_S:
        case Qt::Key_U:
        case Qt::Key_M:
        case Qt::Key_C:
        case Qt::Key_L:
        case Qt::Key_Delete:
            emit editWanted(e->key() == Qt::Key_T && far ? -Qt::Key_T : e->key());
            return;
        default:
            break;
    }
    if (view_.key(e->key())) return turned();
    QWidget::keyPressEvent(e);
}

/// What it all stands on: a round board.
void HandStage::drawBoard(QPainter& p, const Projection& project) const {
    const double r = kBoard * std::hypot(frame_.size().x, frame_.size().y);
    const Vec3 c{0.5 * (frame_.low.x + frame_.high.x), 0.5 * (frame_.low.y + frame_.high.y), base_.box.low.z};
    const double table = placer_ ? placer_->table() : frame_.low.z + 0.5 * (1 - 1 / kFrame) * frame_.size().z;
    QPolygonF round;
    for (int i = 0; i < 120; ++i) {
        const double a = 2 * std::numbers::pi * i / 120;
        round << project({c.x + r * std::cos(a), c.y + r * std::sin(a), table});
    }
    p.setPen(QPen(theme().hairline, 1));
    p.setBrush(theme().dark ? theme().card : mixed(theme().paper, theme().hairline, 0.45f));
    p.drawPolygon(round);
}

void HandStage::drawSnaps(QPainter& p, const Projection& project) const {
    if (!placing_) return;
    p.setPen(QPen(theme().ring, 1.6, Qt::DotLine));
    for (const auto& s : placing_->snaps) {
        if (s.kind == Snap::Kind::Rests) continue;
        p.drawLine(project(s.from), project(s.to));
    }
}

void HandStage::drawName(QPainter& p, const Projection& project) const {
    const size_t k = index();
    if (k >= scene_.bodies.size()) return;
    const form::Box b = form::bounds(scene_.bodies[k].mesh);
    const QPointF at = project({0.5 * (b.low.x + b.high.x), 0.5 * (b.low.y + b.high.y), b.high.z});
    const QString name = qstring(assembly_.items[k].name);
    QString words = holds_;
    if (placing_ && finder_)
        words += touching_ == 0   ? tr(" · touches nothing")
                 : touching_ == 1 ? tr(" · touches one part")
                                  : tr(" · touches %1 parts").arg(touching_);
    const QFont bold = report::font(15, QFont::Bold), plain = report::font(13.5);
    const double wide = std::max(QFontMetricsF(bold).horizontalAdvance(name),
                                 words.isEmpty() ? 0 : QFontMetricsF(plain).horizontalAdvance(words)) +
                        20;
    const double high = words.isEmpty() ? 28 : 46;
    QRectF box(at.x() - 0.5 * wide, at.y() - high - 16, wide, high);
    box.moveLeft(std::clamp(box.left(), 4.0, std::max(4.0, width() - wide - 4.0)));
    box.moveTop(std::max(4.0, box.top()));
    p.setPen(QPen(theme().ring, 1));
    p.drawLine(QPointF(std::clamp(at.x(), box.left(), box.right()), box.bottom()), at);
    p.setBrush(theme().card);
    p.drawRoundedRect(box, 8, 8);
    p.setPen(theme().ink);
    p.setFont(bold);
    p.drawText(QRectF(box.left() + 10, box.top() + 4, wide, 20), Qt::AlignLeft | Qt::AlignVCenter, name);
    if (words.isEmpty()) return;
    p.setFont(plain);
    p.setPen(theme().quiet);
    p.drawText(QRectF(box.left() + 10, box.top() + 23, wide, 19), Qt::AlignLeft | Qt::AlignVCenter, words);
}

void HandStage::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    if (scene_.bodies.empty()) return;
    const double ratio = devicePixelRatioF();
    const QSize pixels = (QSizeF(size()) * ratio).toSize();
    const bool quick = turning_ || placing_.has_value();
    if (image_.isNull() || imageFor_ != pixels || fine_ == quick) {
        SolidView view = *view_;
        view.rim = rimLight();
        // only while it is painted, the chosen one is of another colour
        QColor* chosen = index() < scene_.bodies.size() ? &scene_.bodies[index()].colour : nullptr;
        const QColor own = chosen ? *chosen : QColor();
        if (chosen) *chosen = mixed(own, theme().yolk, 0.35);
        image_ = paintSolid(scene_, view, quick ? draftSize(pixels) : pixels, !quick);
        if (chosen) *chosen = own;
        fine_ = !quick;
        imageFor_ = pixels;
    }
    const Projection project(scene_, *view_, QSizeF(size()));
    drawBoard(p, project);
    p.setRenderHint(QPainter::SmoothPixmapTransform);  // of a draft
    p.drawImage(QRectF(rect()), image_);
    drawSnaps(p, project);
    drawName(p, project);
    if (hasFocus()) {
        p.setPen(QPen(theme().ring, 2));
        p.setBrush(Qt::NoBrush);
        p.drawRoundedRect(QRectF(rect()).adjusted(2, 2, -2, -2), 8, 8);
    }
}

void HandStage::changeEvent(QEvent* e) {
    if (e->type() == QEvent::PaletteChange) image_ = {};
    QWidget::changeEvent(e);
}

}  // namespace uovo::desktop
