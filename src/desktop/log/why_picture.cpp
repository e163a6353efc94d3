#include "desktop/log/why_picture.h"

#include <QPainter>
#include <algorithm>
#include <map>

#include "desktop/day/piece_mark.h"
#include "desktop/kit/widgets.h"
#include "desktop/theme/theme.h"
#include "report/fonts.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

constexpr int kChip = 30, kChipGap = 5, kChipWide = 250, kChipPad = 16, kPieceLeast = 170;
constexpr double kPot = 46;  // px of the pot under the piece

/// Where on a piece a fault is looked for: across and down, 0–1; below 1 it is about the pot, above 0 about the day.
QPointF placeOf(const std::string& fault) {
    static const std::map<std::string, QPointF> kPlaces{
        {"thin-rim", {0.06, 0.04}},      {"crack", {0.97, 0.10}},      {"dull", {0.10, 0.42}},
        {"streaks", {0.90, 0.42}},       {"bare-spots", {0.14, 0.66}}, {"broke-on-release", {0.88, 0.62}},
        {"thin-crown", {0.36, 0.97}},    {"leaning", {0.62, 0.99}},    {"leaked", {0.70, 0.86}},
        {"joint", {0.80, 0.06}},         {"curled", {0.22, 0.90}},     {"fell-off", {0.93, 0.30}},
        {"balloon-burst", {0.30, 0.14}}, {"thick", {0.42, 1.22}},      {"ran-out", {0.58, 1.22}},
        {"set-in-bowl", {0.40, 1.28}},   {"too-much", {0.60, 1.28}},   {"late", {0.5, -0.02}}};
    const auto it = kPlaces.find(fault);
    return it == kPlaces.end() ? QPointF(0.5, 0.5) : it->second;
}

}  // namespace

WhyPicture::WhyPicture(QWidget* parent) : QWidget(parent) {
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
    setAccessibleName(tr("What went wrong"));
}

QRectF WhyPicture::pieceBox() const {
    const double side = std::min({190.0, height() - kPot - 70.0, width() - 2.0 * kChipWide < 190 ? 150.0 : 190.0});
    return {width() / 2.0 - side / 2, 30, side, side};
}

void WhyPicture::setPiece(const Piece& piece, std::shared_ptr<const PieceAnswers> answers,
                          const std::vector<const material::Fault*>& faults, const std::string& now) {
    piece_ = piece;
    answers_ = std::move(answers);
    for (auto& c : chips_) retire(c.button);
    chips_.clear();
    // those that lead to the same side stand there, from the top down
    std::vector<const material::Fault*> sorted = faults;
    std::ranges::stable_sort(sorted, {}, [](const auto* f) { return placeOf(f->id).y(); });
    size_t left = 0, right = 0;
    for (const auto* f : sorted) {
        const QPointF at = placeOf(f->id);
        bool toLeft = at.x() < 0.5;
        if (toLeft && left > right + 1) toLeft = false;
        if (!toLeft && right > left + 1) toLeft = true;
        ++(toLeft ? left : right);
        auto* b = new QPushButton(qstring(f->name), this);
        b->setObjectName(QStringLiteral("fault/") + qstring(f->id));
        b->setCheckable(true);
        b->setChecked(f->id == now);
        b->setAccessibleName(tr("%1: %2").arg(qstring(piece.name), qstring(f->name)));
        connect(b, &QPushButton::clicked, this, [this, id = qstring(f->id)] { emit chosen(id); });
        b->show();
        b->setToolTip(qstring(f->name));
        chips_.push_back({b, qstring(f->name), at, toLeft});
    }
    place();
    update();
}

void WhyPicture::place() {
    const int wide = std::min(kChipWide, (width() - kPieceLeast) / 2);
    for (const bool left : {true, false}) {
        const auto many = std::count_if(chips_.begin(), chips_.end(), [&](const Chip& c) { return c.left == left; });
        const int all = static_cast<int>(many) * (kChip + kChipGap) - kChipGap;
        int y = std::max(0, (height() - all) / 2);
        for (auto& c : chips_) {
            if (c.left != left) continue;
            c.button->setGeometry(left ? 2 : width() - wide - 2, y, wide, kChip);
            c.button->setText(c.button->fontMetrics().elidedText(c.name, Qt::ElideRight, wide - 2 * kChipPad));
            y += kChip + kChipGap;
        }
    }
}

void WhyPicture::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const auto& t = theme();
    const QRectF box = pieceBox();
    QRectF drawn = box;  // what the piece takes of it
    if (answers_ && answers_->made) {
        paintPieceState(p, box, piece_, answers_, static_cast<int>(piece_.coats().size()), true, this);
        QSizeF size = QSizeF(4, 3).scaled(box.size(), Qt::KeepAspectRatio);
        double low = box.center().y() + size.height() / 2;
        if (answers_->made->meridian) {  // as paintPieceState puts it
            const auto& s = *answers_->made->meridian;
            size = QSizeF(2 * *std::max_element(s.profile.r.begin(), s.profile.r.end()), s.height);
            size.scale(QSizeF(0.7 * box.width(), 0.81 * box.height()), Qt::KeepAspectRatio);
            low = box.bottom() - 0.08 * box.height();
        }
        drawn = QRectF(box.center().x() - size.width() / 2, low - size.height(), size.width(), size.height());
    }
    const QRectF pot(box.center().x() - kPot / 2, height() - kPot - 22, kPot, kPot);
    paintKitchenMark(p, pot, chocolateColour(piece_.chocolate));
    const QPointF clock(box.center().x(), 12);
    p.setFont(report::font(13));
    p.setPen(t.quiet);
    p.drawText(QRectF(pot.left() - 40, pot.bottom() + 2, kPot + 80, 18), Qt::AlignCenter, tr("the pot"));
    if (std::any_of(chips_.begin(), chips_.end(), [](const Chip& c) { return c.at.y() < 0; })) {
        p.setPen(QPen(t.quiet, 1.6));
        p.setBrush(Qt::NoBrush);
        p.drawEllipse(clock, 9, 9);
        p.drawPolyline(QPolygonF{{clock + QPointF(0, -6), clock, clock + QPointF(4, 2)}});
    }
    for (const auto& c : chips_) {
        const QRectF b = c.button->geometry();
        const double across = c.left ? std::min(c.at.x(), 1 - c.at.x()) : std::max(c.at.x(), 1 - c.at.x());
        QPointF to(drawn.left() + across * drawn.width(), drawn.top() + c.at.y() * drawn.height());
        if (c.at.y() < 0) to = clock + QPointF(c.left ? -9 : 9, 0);
        if (c.at.y() > 1) to = QPointF(c.left ? pot.left() + 4 : pot.right() - 4, pot.center().y());
        const QPointF from(c.left ? b.right() + 4 : b.left() - 4, b.center().y());
        const bool chosen = c.button->isChecked();
        p.setPen(QPen(chosen ? t.ink : t.edge, chosen ? 1.8 : 1));
        const double bend = from.x() + (to.x() - from.x()) * 0.35;
        p.drawPolyline(QPolygonF{{from, QPointF(bend, from.y()), to}});
        p.setBrush(chosen ? t.ink : t.card);
        p.drawEllipse(to, chosen ? 4.5 : 3, chosen ? 4.5 : 3);
    }
}

}  // namespace uovo::desktop
