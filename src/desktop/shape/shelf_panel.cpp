#include "desktop/shape/shelf_panel.h"

#include <QMenu>
#include <QPainter>
#include <QPushButton>

#include "desktop/shell/sheet.h"
#include "desktop/stage/thumbnail.h"
#include "desktop/theme/glyph_button.h"
#include "report/fonts.h"
#include "report/section.h"

namespace uovo::desktop {

PieceTile::PieceTile(QWidget* parent) : QAbstractButton(parent) {
    setCheckable(true);
    setFocusPolicy(Qt::StrongFocus);
    setCursor(Qt::PointingHandCursor);
    setContextMenuPolicy(Qt::CustomContextMenu);
}

void PieceTile::setPiece(const Piece& piece, std::shared_ptr<const PieceAnswers> answers, UnitSystem units,
                         bool chosen) {
    const bool another = piece.id != piece_.id;
    piece_ = piece;
    if (answers && answers->made) answers_ = std::move(answers);
    else if (another) answers_.reset();
    units_ = units;
    chosen_ = chosen;
    const QString grams = gramsEach();
    setAccessibleName(tr("%1 × %2 %3").arg(piece.count).arg(QString::fromStdString(piece.name), grams));
    setChecked(chosen);
    update();
}

QString PieceTile::gramsEach() const {
    if (!answers_ || !answers_->made) return {};
    return QString::fromStdString(format(answers_->made->mass, Dimension::Mass, units_));
}

void PieceTile::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const QRectF card = QRectF(rect()).adjusted(2, 3, -2, -3);
    if (chosen_ || underMouse()) {
        p.setPen(QPen(chosen_ ? theme().hairline : Qt::transparent, 1));
        p.setBrush(chosen_ ? theme().card : theme().hairline.lighter(theme().dark ? 90 : 104));
        p.drawRoundedRect(card, 10, 10);
    }
    if (hasFocus()) {
        p.setPen(QPen(theme().ring, 2));
        p.setBrush(Qt::NoBrush);
        p.drawRoundedRect(card.adjusted(1, 1, -1, -1), 9, 9);
    }
    const QRectF icon(card.left() + 10, card.center().y() - 21, 44, 42);
    if (answers_ && answers_->made && !answers_->made->meridian) {
        const QRectF box = icon.adjusted(-5, -8, 5, 8);
        p.drawImage(box, thumbnail(piece_, answers_, (box.size() * 2).toSize(), this));
    } else if (answers_ && answers_->made) {
        const auto& s = *answers_->made->meridian;
        const double wide = 2 * *std::max_element(s.profile.r.begin(), s.profile.r.end());
        const double scale = std::min(icon.width() / wide, icon.height() / s.height);
        // the wall in scale would be a hair: it is drawn at least 3 pixels thick
        const double times = std::max(1.0, 3.2 / (s.wall.mean * scale));
        const auto curves = report::sectionCurves(s.profile, s.coats.wall, times);
        QTransform m;
        m.translate(icon.center().x(), icon.center().y() + s.height * scale / 2);
        m.scale(scale, -scale);
        p.setPen(Qt::NoPen);
        const QColor fill = chocolateColour(piece_.chocolate);
        p.setBrush(fill);
        if (fill.lightnessF() > 0.6) p.setPen(QPen(fill.darker(150), 0.8));
        p.drawPath(report::wholeSection(curves, m));
    } else {
        p.setPen(QPen(theme().balloon, 1.5, Qt::DashLine));
        p.drawEllipse(icon.adjusted(6, 6, -6, -6));
    }
    const double x = icon.right() + 12;
    p.setFont(report::font(15, QFont::DemiBold));
    p.setPen(theme().ink);
    const QFontMetricsF fm(p.font());
    p.drawText(QPointF(x, card.center().y() - 4),
               fm.elidedText(QString::fromStdString(piece_.name), Qt::ElideRight, card.right() - x - 6));
    p.setFont(report::font(13.5));
    p.setPen(theme().quiet);
    QString line = tr("%1 ×").arg(piece_.count);
    line += QStringLiteral(" ") + gramsEach();
    p.drawText(QPointF(x, card.center().y() + 16), line);
}

ShelfPanel::ShelfPanel(Session& session, QWidget* parent) : QWidget(parent), session_(session) {
    setObjectName(QStringLiteral("shelf"));
    setAccessibleName(tr("Shelf"));
    setFixedWidth(204);
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(8, 12, 8, 14);
    auto* scroll = new QScrollArea;
    scroll->setWidgetResizable(true);
    scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    scroll->setFocusPolicy(Qt::NoFocus);
    auto* inside = new QWidget;
    tiles_ = new QVBoxLayout(inside);
    tiles_->setContentsMargins(0, 0, 0, 0);
    tiles_->setSpacing(2);
    tiles_->addStretch(1);
    scroll->setWidget(inside);
    box->addWidget(scroll, 1);
    auto* more = new GlyphButton(Glyph::Plus, tr("Another piece"));
    more->setObjectName(QStringLiteral("anotherPiece"));
    more->setProperty("flat", true);
    more->setToolTip(tr("Start a piece from the gallery (Ctrl+G)"));
    connect(more, &QPushButton::clicked, this, &ShelfPanel::galleryWanted);
    box->addWidget(more);
    connect(&session_, &Session::planChanged, this, &ShelfPanel::refresh);
    connect(&session_, &Session::answersChanged, this, &ShelfPanel::refresh);
    connect(&session_, &Session::selectionChanged, this, &ShelfPanel::refresh);
}

void ShelfPanel::refresh() {
    const auto& pieces = session_.plan().pieces;
    while (shown_.size() > pieces.size()) {
        retire(shown_.back());
        shown_.pop_back();
    }
    while (shown_.size() < pieces.size()) {
        auto* tile = new PieceTile;
        const size_t index = shown_.size();
        connect(tile, &QAbstractButton::clicked, this, [this, index] {
            if (index < session_.plan().pieces.size())
                session_.select(QString::fromStdString(session_.plan().pieces[index].id));
        });
        connect(tile, &QWidget::customContextMenuRequested, this, [this, index, tile](const QPoint& at) {
            if (index >= session_.plan().pieces.size()) return;
            const std::string id = session_.plan().pieces[index].id;
            QMenu menu;
            menu.addAction(tr("Copy beside it"), this, [this, id] { copyPiece(id); });
            menu.addAction(tr("Take off the shelf"), this, [this, id] { removePiece(id); });
            menu.exec(tile->mapToGlobal(at));
        });
        tiles_->insertWidget(tiles_->count() - 1, tile);
        shown_.push_back(tile);
    }
    for (size_t i = 0; i < pieces.size(); ++i)
        shown_[i]->setPiece(pieces[i], session_.pieceAnswers(pieces[i].id), session_.units(),
                            QString::fromStdString(pieces[i].id) == session_.selected());
}

void ShelfPanel::add(const QString& family) {
    const Plan& now = session_.plan();
    const Piece fresh = newPiece(now, family.toStdString());
    session_.select(QString::fromStdString(fresh.id));
    session_.document().edit(tr("Add a piece"), [&](Plan& plan) { plan.pieces.push_back(fresh); });
}

void ShelfPanel::copyPiece(const std::string& id) {
    std::string made;
    session_.document().edit(tr("Copy a piece"), [&](Plan& plan) {
        for (const auto& p : plan.pieces)
            if (p.id == id) {
                Piece copy = p;
                copy.id = newPiece(plan, p.shape.family).id;
                copy.name += " 2";
                made = copy.id;
                plan.pieces.push_back(copy);
                break;
            }
    });
    session_.select(QString::fromStdString(made));
}

void ShelfPanel::removePiece(const std::string& id) {
    session_.document().edit(tr("Take a piece off the shelf"), [&](Plan& plan) {
        std::erase_if(plan.pieces, [&](const Piece& p) { return p.id == id; });
    });
}

}  // namespace uovo::desktop
