#include "desktop/shape/shelf_panel.h"

#include "core/begin/first_plan.h"

#include <QHBoxLayout>
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
    const QSize before = sizeHint();
    piece_ = piece;
    now_ = answers;
    if (answers && answers->made) answers_ = std::move(answers);
    else if (another) answers_.reset();
    units_ = units;
    chosen_ = chosen;
    const QString grams = gramsEach();
    setAccessibleName(tr("%1 × %2 %3").arg(piece.count).arg(QString::fromStdString(piece.name), grams));
    setAccessibleDescription(verdict().words);
    setChecked(chosen);
    if (sizeHint() != before) updateGeometry();
    update();
}

PieceTile::Verdict PieceTile::verdict() const {
    if (now_ && !now_->problems.empty()) return {tr("not like this"), true};
    if (!answers_) return {};
    const Answer* worst = nullptr;
    for (const auto& a : answers_->answers) {
        const bool harm = a.tone == Tone::Weak || a.tone == Tone::Impossible;
        if (harm && (!worst || a.tone > worst->tone)) worst = &a;
        if (!worst && a.id == "strength") worst = &a;
    }
    if (!worst) return {};
    const QString words = QString::fromStdString(worst->headline + (worst->after.empty() ? "" : " " + worst->after));
    return {words, worst->tone == Tone::Weak || worst->tone == Tone::Impossible};
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
    const QRectF icon(card.left() + 10, card.center().y() - (verdict().words.isEmpty() ? 21 : 30), 44, 42);
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
        const QColor fill = chocolateColour(piece_.chocolate);
        p.setBrush(fill);
        p.setPen(edgeOf(fill));
        p.drawPath(report::wholeSection(curves, m));
    } else {
        p.setPen(QPen(theme().balloon, 1.5, Qt::DashLine));
        p.drawEllipse(icon.adjusted(6, 6, -6, -6));
    }
    const double x = icon.right() + 12;
    const Verdict said = verdict();
    const double middle = card.center().y() - (said.words.isEmpty() ? 0 : 9);
    if (said.harm) p.fillRect(QRectF(card.left() + 1, card.top() + 9, 4, card.height() - 18), theme().harm);
    p.setFont(report::font(15, QFont::DemiBold));
    p.setPen(theme().ink);
    const QFontMetricsF fm(p.font());
    p.drawText(QPointF(x, middle - 4),
               fm.elidedText(QString::fromStdString(piece_.name), Qt::ElideRight, card.right() - x - 6));
    p.setFont(report::font(13.5));
    p.setPen(theme().quiet);
    QString line = tr("%1 ×").arg(piece_.count);
    line += QStringLiteral(" ") + gramsEach();
    p.drawText(QPointF(x, middle + 16), line);
    if (said.words.isEmpty()) return;
    p.setFont(report::font(13.5, said.harm ? QFont::DemiBold : QFont::Normal));
    p.setPen(said.harm ? theme().harm : theme().quiet);
    const double from = card.left() + 14;
    p.drawText(QPointF(from, card.bottom() - 8),
               QFontMetricsF(p.font()).elidedText(said.words, Qt::ElideRight, card.right() - from - 6));
}

ShelfPanel::ShelfPanel(Session& session, QWidget* parent) : QWidget(parent), session_(session) {
    setObjectName(QStringLiteral("shelf"));
    setAccessibleName(tr("Shelf"));
    setMinimumWidth(160);
    setMaximumWidth(340);
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(8, 12, 8, 14);
    auto* scroll = scroll_ = scrolledDown();
    auto* inside = new QWidget;
    tiles_ = new QVBoxLayout(inside);
    tiles_->setContentsMargins(0, 0, 0, 0);
    tiles_->setSpacing(2);
    tiles_->addStretch(1);
    scroll->setWidget(inside);
    box->addWidget(scroll, 1);
    auto* tools = new QHBoxLayout;
    tools->setSpacing(2);
    const auto tool = [&](Glyph glyph, const QString& name, const char* object, auto does) {
        auto* b = GlyphButton::bare(glyph, name, {}, 18);
        b->setObjectName(QLatin1String(object));
        connect(b, &QPushButton::clicked, this, does);
        tools->addWidget(b);
        return b;
    };
    copy_ = tool(Glyph::Copy, tr("Copy the piece beside it"), "copyPiece", [this] { copyChosen(); });
    up_ = tool(Glyph::Up, tr("Move the piece up"), "pieceUp", [this] { moveChosen(-1); });
    down_ = tool(Glyph::Down, tr("Move the piece down"), "pieceDown", [this] { moveChosen(1); });
    remove_ = tool(Glyph::Remove, tr("Take the piece off the shelf"), "removePiece", [this] { removeChosen(); });
    more_ = tool(Glyph::Menu, tr("More about the piece: notes, beside another, keep it"), "pieceMore", [this] {
        QMenu* menu = moreMenu(this);
        menu->setAttribute(Qt::WA_DeleteOnClose);
        menu->popup(more_->mapToGlobal(QPoint(0, more_->height())));
    });
    tools->addStretch(1);
    box->addLayout(tools);
    auto* more = new GlyphButton(Glyph::Plus, tr("Another piece"));
    more->setObjectName(QStringLiteral("anotherPiece"));
    more->setProperty("flat", true);
    more->setToolTip(tr("Start a piece from the gallery (Ctrl+G)"));
    connect(more, &QPushButton::clicked, this, &ShelfPanel::galleryWanted);
    box->addWidget(more);
    connect(&session_, &Session::planChanged, this, &ShelfPanel::refresh);
    connect(&session_, &Session::answersChanged, this, &ShelfPanel::refresh);
    connect(&session_, &Session::selectionChanged, this, [this] {
        refresh();
        for (auto* tile : shown_)
            if (tile->isChecked()) scroll_->ensureWidgetVisible(tile, 0, 20);
    });
}

QMenu* ShelfPanel::moreMenu(QWidget* parent) {
    auto* menu = new QMenu(parent);
    menu->setObjectName(QStringLiteral("pieceMenu"));
    menu->addAction(tr("Notes and a picture …"), this, &ShelfPanel::notesWanted);
    menu->addAction(tr("Beside another piece …"), this, &ShelfPanel::besideWanted);
    menu->addAction(tr("Keep it for other plans"), this, &ShelfPanel::keepWanted);
    menu->addAction(tr("Cast it in a mold of its own"), this, &ShelfPanel::castWanted);
    return menu;
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
            session_.select(QString::fromStdString(id));
            std::unique_ptr<QMenu> more(moreMenu(this));
            QMenu& menu = *more;
            menu.addSeparator();
            for (auto* b : {copy_, up_, down_, remove_})
                if (b->isEnabled()) menu.addAction(b->accessibleName(), b, &QPushButton::click);
            menu.exec(tile->mapToGlobal(at));
        });
        tiles_->insertWidget(tiles_->count() - 1, tile);
        shown_.push_back(tile);
    }
    const auto at = std::ranges::find(pieces, session_.selected().toStdString(), &Piece::id) - pieces.begin();
    const bool any = at < std::ssize(pieces);
    copy_->setEnabled(any);
    remove_->setEnabled(any);
    more_->setEnabled(any);
    up_->setEnabled(any && at > 0);
    down_->setEnabled(any && at + 1 < std::ssize(pieces));
    for (size_t i = 0; i < pieces.size(); ++i)
        shown_[i]->setPiece(pieces[i], session_.pieceAnswers(pieces[i].id), session_.units(),
                            QString::fromStdString(pieces[i].id) == session_.selected());
}

void ShelfPanel::add(const form::Hit& hit) {
    const Piece fresh = pieceOf(hit, session_.plan());
    session_.select(QString::fromStdString(fresh.id));
    session_.document().edit(tr("Add a piece"), [&](Plan& plan) { plan.pieces.push_back(fresh); });
}

void ShelfPanel::copyChosen() {
    const std::string id = session_.selected().toStdString();
    std::string made;
    session_.document().edit(tr("Copy a piece"), [&](Plan& plan) {
        for (size_t k = 0; k < plan.pieces.size(); ++k)
            if (plan.pieces[k].id == id) {
                Piece copy = plan.pieces[k];
                copy.id = newPiece(plan, copy.shape.family).id;
                copy.name += " 2";
                made = copy.id;
                plan.pieces.insert(plan.pieces.begin() + static_cast<std::ptrdiff_t>(k) + 1, copy);
                break;
            }
    });
    if (!made.empty()) session_.select(QString::fromStdString(made));
}

void ShelfPanel::removeChosen() {
    const auto& pieces = session_.plan().pieces;
    const std::string id = session_.selected().toStdString();
    const auto at = std::ranges::find(pieces, id, &Piece::id);
    if (at == pieces.end()) return;
    const auto next = at + 1 != pieces.end() ? at + 1 : at != pieces.begin() ? at - 1 : at;
    const QString neighbour = QString::fromStdString(next->id);
    session_.document().edit(tr("Take a piece off the shelf"), [&](Plan& plan) {
        std::erase_if(plan.pieces, [&](const Piece& p) { return p.id == id; });
    });
    session_.select(neighbour);
}

void ShelfPanel::moveChosen(int by) {
    const std::string id = session_.selected().toStdString();
    session_.document().edit(by < 0 ? tr("Move a piece up the shelf") : tr("Move a piece down the shelf"),
                             [&](Plan& plan) {
                                 auto& pieces = plan.pieces;
                                 const auto at = std::ranges::find(pieces, id, &Piece::id) - pieces.begin();
                                 const auto to = at + by;
                                 if (at == std::ssize(pieces) || to < 0 || to >= std::ssize(pieces)) return;
                                 std::swap(pieces[static_cast<size_t>(at)], pieces[static_cast<size_t>(to)]);
                             });
}

}  // namespace uovo::desktop
