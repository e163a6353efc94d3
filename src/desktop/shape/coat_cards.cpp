#include "desktop/shape/coat_cards.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QScrollArea>
#include <QVBoxLayout>
#include <cmath>

#include "desktop/shape/coat_page.h"
#include "desktop/shape/recipe_line.h"
#include "desktop/shell/sheet.h"
#include "desktop/theme/glyph_button.h"
#include "report/fonts.h"

namespace uovo::desktop {
namespace {

constexpr int kCardWidth = 222, kCardGap = 10;
constexpr coat::Rest kBalloonRests[]{coat::Rest::Upright, coat::Rest::Inverted, coat::Rest::Hung};
constexpr coat::Place kPlaces[]{coat::Place::Table, coat::Place::Fridge, coat::Place::Freezer};
constexpr coat::Where kWheres[]{coat::Where::All, coat::Where::Rim, coat::Where::Foot, coat::Where::Spots};

template <class E, size_t N>
int indexOf(E value, const E (&list)[N]) {
    return static_cast<int>(std::find(list, list + N, value) - list);
}

}  // namespace

CoatCard::CoatCard(Session& session, size_t index, const PlannedCoat& coat, bool overBalloon, QWidget* parent)
    : QFrame(parent), session_(session), index_(index), box_(new QVBoxLayout(this)), result_(new QLabel) {
    setObjectName(QStringLiteral("coat%1").arg(index + 1));
    setAccessibleName(tr("Coat %1").arg(index + 1));
    setAccessibleDescription(tr("Alt with left or right moves it, Delete removes it."));
    setFocusPolicy(Qt::StrongFocus);
    setFixedWidth(kCardWidth);
    setCursor(Qt::OpenHandCursor);
    box_->setContentsMargins(12, 10, 12, 9);
    box_->setSpacing(4);
    const bool brush = coat.way == coat::Way::Brush, turned = coat.way == coat::Way::Turn, press = coat.way == coat::Way::Press;
    const Piece* piece = session.piece();
    const bool closed = piece && piece->closes(), single = piece && piece->family().body != form::Body::Compound;

    way_ = choiceBox(tr("How coat %1 goes on").arg(index + 1), closed ? QStringList{tr("fill, turn")} : QStringList{overBalloon ? tr("dip") : tr("fill, pour"), tr("brush"), tr("press rim")});
    connect(way_, &QComboBox::activated, this, [this, overBalloon, closed](int i) {
        change(tr("Change how a coat goes on"), [&](PlannedCoat& c) { c.way = closed ? coat::Way::Turn : i == 1 ? coat::Way::Brush : i == 2 ? coat::Way::Press : overBalloon ? coat::Way::Dip : coat::Way::Pour; });
    });
    auto* more = new QPushButton(QStringLiteral("…"));
    more->setObjectName(QStringLiteral("coatDetails"));
    more->setProperty("flat", true);
    more->setProperty("tool", true);
    more->setFixedWidth(26);
    more->setCursor(Qt::PointingHandCursor);
    more->setAccessibleName(tr("Coat %1 in detail").arg(index + 1));
    more->setToolTip(tr("Chocolate of its own, turning, tapping, scraping"));
    connect(more, &QPushButton::clicked, this, [this] { emit detailsWanted(index_); });
    auto* head = new QHBoxLayout;
    auto* number = new QLabel(QString::number(index + 1));
    number->setStyleSheet(QStringLiteral("font-size: 18px; font-weight: 700;"));
    head->addWidget(number);
    head->addWidget(way_);
    head->addStretch(1);
    head->addWidget(figure(tr("Temperature of coat %1").arg(index + 1), "temperature", Dimension::Temperature, "", &PlannedCoat::temperature));
    head->addWidget(more, 0, Qt::AlignTop);
    box_->addLayout(head);
    if (brush) {
        where_ = choiceBox(tr("Where coat %1 is brushed").arg(index + 1), single ? QStringList{tr("all over"), tr("round the rim"), tr("on the foot"), tr("where I paint")} : QStringList{tr("all over"), tr("round the rim"), tr("on the foot")});
        connect(where_, &QComboBox::activated, this, [this](int i) {
            change(tr("Change where a coat goes"), [&](PlannedCoat& c) { c.where = kWheres[i]; });
            if (kWheres[i] == coat::Where::Spots) emit paintingWanted(index_);
        });
        row({}, where_, figure(tr("Grams brushed on in coat %1").arg(index + 1), "brushMass", Dimension::Mass, "", &PlannedCoat::brushMass));
    } else if (press) {
        row(tr("%1 of rim, in a plate").arg(QString::fromStdString(format(coat::kPressed, Dimension::Length, session.units()))), nullptr, nullptr);
    } else if (turned) {
        row(tr("filled to"), nullptr, figure(tr("Share of the mold filled in coat %1").arg(index + 1), "fill", Dimension::Percent, "%", &PlannedCoat::fill));
    } else {
        row(overBalloon ? tr("drain over the bath") : tr("pour out for"), nullptr, figure(tr("Drain time of coat %1").arg(index + 1), "drain", Dimension::Duration, "s", &PlannedCoat::drain));
    }
    rest_ = choiceBox(tr("Which way up coat %1 sets").arg(index + 1), overBalloon ? QStringList{tr("stand it on paper"), tr("upside down on a ring"), tr("hang it by the knot")}
                                                                                   : QStringList{tr("stand it upright"), tr("turn it upside down")});
    connect(rest_, &QComboBox::activated, this, [this](int i) { change(tr("Change which way up it sets"), [&](PlannedCoat& c) { c.rest = kBalloonRests[i]; }); });
    row({}, rest_, nullptr);
    row(tr("before the cold"), nullptr, figure(tr("Minutes before coat %1 goes to the cold").arg(index + 1), "delay", Dimension::Duration, "min", &PlannedCoat::delay));
    place_ = choiceBox(tr("Where coat %1 sets").arg(index + 1), {tr("on the table"), tr("in the fridge"), tr("in the freezer")});
    connect(place_, &QComboBox::activated, this, [this](int i) { change(tr("Change where it sets"), [&](PlannedCoat& c) { c.place = kPlaces[i]; }); });
    row({}, place_, figure(tr("Minutes coat %1 stays there").arg(index + 1), "stay", Dimension::Duration, "min", &PlannedCoat::stay));
    auto* line = new QFrame;
    line->setFixedHeight(1);
    line->setStyleSheet(QStringLiteral("background: %1;").arg(theme().hairline.name()));
    box_->addWidget(line);
    result_->setStyleSheet(QStringLiteral("font-weight: 600;"));
    result_->setMinimumWidth(1);
    box_->addWidget(result_);
    extras_ = new QLabel;
    extras_->setProperty("small", true);
    extras_->setObjectName(QStringLiteral("coatExtras"));
    extras_->setMinimumWidth(1);
    box_->addWidget(extras_);
    box_->addStretch(1);
}

void CoatCard::row(const QString& word, QWidget* left, QWidget* right) {
    auto* line = new QHBoxLayout;
    line->setSpacing(6);
    if (left) {
        line->addWidget(left);
    } else {
        auto* l = new QLabel(word);
        l->setProperty("quiet", true);
        line->addWidget(l);
    }
    line->addStretch(1);
    if (right) line->addWidget(right);
    box_->addLayout(line);
}

FigureField* CoatCard::figure(const QString& name, const char* place, Dimension dimension, const char* unit, Measure PlannedCoat::*member) {
    auto* f = new FigureField(name, QString::fromLatin1(place), session_.typing(dimension, unit, session_.piece()));
    f->complaint()->setMinimumWidth(150);
    connect(f, &FigureField::measureTyped, this, [this, member, name](const Measure& m) { change(tr("Change %1").arg(name.toLower()), [&](PlannedCoat& c) { c.*member = m; }); });
    figures_.push_back({f, member});
    return f;
}

FigureField* CoatCard::field(const QString& name) const {
    for (const auto& f : figures_)
        if (f.field->place() == name) return f.field;
    return nullptr;
}

const PlannedCoat* CoatCard::coat() const {
    const Piece* p = session_.piece();
    return p && index_ < p->coats.size() ? &p->coats[index_] : nullptr;
}

void CoatCard::change(const QString& label, const std::function<void(PlannedCoat&)>& change) {
    session_.editPiece(label, [&](Piece& p) {
        if (index_ < p.coats.size()) change(p.coats[index_]);
    });
}

void CoatCard::refresh() {
    const PlannedCoat* c = coat();
    const Piece* p = session_.piece();
    if (!c) return;
    const std::string at = "pieces/" + p->id + "/coats/" + std::to_string(index_) + "/";
    for (const auto& f : figures_) {
        f.field->setMeasure(c->*f.member, session_.units());
        f.field->setProblem(session_.problemAt(at + f.field->place().toStdString()));
    }
    way_->setCurrentIndex(c->way == coat::Way::Brush ? 1 : c->way == coat::Way::Press ? 2 : 0);
    const QString extras = coatExtras(*c, *p, session_.units());
    extras_->setVisible(!extras.isEmpty());
    extras_->setText(QFontMetrics(extras_->font()).elidedText(extras, Qt::ElideRight, kCardWidth - 26));
    extras_->setToolTip(extras);
    rest_->setCurrentIndex(indexOf(c->rest, kBalloonRests));
    place_->setCurrentIndex(indexOf(c->place, kPlaces));
    if (where_) where_->setCurrentIndex(indexOf(c->where, kWheres));
    const auto answers = session_.pieceAnswers(p->id);
    const auto text = [&](double v, Dimension d) {
        if (d == Dimension::Duration && v > 180) v = 60 * std::round(v / 60);  // there is little room
        return QString::fromStdString(format(v, d, session_.units()));
    };
    if (answers && answers->made && answers->made->wall && index_ < answers->made->wall->coats.size()) {
        const auto& r = answers->made->wall->coats[index_];
        const auto& t = answers->made->wall->setting[index_];
        result_->setText(tr("+%1 · %2 · firm %3").arg(text(r.mean, Dimension::Length), text(r.added, Dimension::Mass), text(t.firm, Dimension::Duration)));
        result_->setToolTip(tr("Stops flowing after %1; %2 drip back.").arg(text(t.lock, Dimension::Duration), text(r.dripped, Dimension::Mass)));
    } else {
        result_->setText(tr("computing …"));
    }
}

void CoatCard::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const QRectF card = QRectF(rect()).adjusted(1, 1, -1, -2);
    p.setPen(Qt::NoPen);
    p.setBrush(QColor(0x2A, 0x1A, 0x12, 16));
    p.drawRoundedRect(card.translated(0, 1.2), 12, 12);
    p.setPen(QPen(hasFocus() ? theme().yolk : theme().hairline, hasFocus() ? 2 : 1));
    p.setBrush(theme().card);
    p.drawRoundedRect(card, 12, 12);
}

void CoatCard::keyPressEvent(QKeyEvent* e) {
    if (e->modifiers() & Qt::AltModifier && (e->key() == Qt::Key_Left || e->key() == Qt::Key_Right))
        emit moved(index_, e->key() == Qt::Key_Left ? -1 : 1);
    else if (e->key() == Qt::Key_Delete)
        emit removed(index_);
    else
        QFrame::keyPressEvent(e);
}

void CoatCard::mousePressEvent(QMouseEvent* e) {
    pressed_ = e->globalPosition().toPoint();
    setFocus();
    raise();
    setCursor(Qt::ClosedHandCursor);
}

void CoatCard::mouseMoveEvent(QMouseEvent* e) {
    if (!(e->buttons() & Qt::LeftButton)) return;
    const int dx = e->globalPosition().toPoint().x() - pressed_.x();
    if (!dragging_ && std::abs(dx) < 8) return;
    dragging_ = true;
    move(static_cast<int>(index_) * (kCardWidth + kCardGap) + dx, y());
}

void CoatCard::mouseReleaseEvent(QMouseEvent* e) {
    setCursor(Qt::OpenHandCursor);
    if (!dragging_) return;
    dragging_ = false;
    // from where the hand is, not where the card is: answers that arrive meanwhile lay the row out anew
    const int by = qRound(double(e->globalPosition().toPoint().x() - pressed_.x()) / (kCardWidth + kCardGap));
    parentWidget()->layout()->invalidate();
    parentWidget()->layout()->activate();
    emit moved(index_, by);
}

CoatCards::CoatCards(Session& session, QWidget* parent) : QWidget(parent), session_(session) {
    setObjectName(QStringLiteral("coats"));
    auto* outer = new QVBoxLayout(this);
    outer->setContentsMargins(0, 0, 0, 0);
    auto* scroll = new QScrollArea;
    scroll->setWidgetResizable(true);
    scroll->setVerticalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    scroll->setFocusPolicy(Qt::NoFocus);
    auto* inside = new QWidget;
    row_ = new QHBoxLayout(inside);
    row_->setContentsMargins(0, 0, 0, 4);
    row_->setSpacing(kCardGap);
    more_ = new GlyphButton(Glyph::Plus, tr("coat"));
    more_->setObjectName(QStringLiteral("addCoat"));
    more_->setAccessibleName(tr("Add a coat"));
    more_->setToolTip(tr("Add a coat like the last one (Ctrl+K)"));
    more_->setStyleSheet(QStringLiteral("QPushButton { border: 1px dashed %1; border-radius: 12px; background: transparent; min-height: 120px; min-width: 60px; text-align: center; } QPushButton:focus { border: 2px solid %2; }")
                             .arg(theme().balloon.name(), theme().yolk.name()));
    connect(more_, &QPushButton::clicked, this, [this] {
        session_.editPiece(tr("Add a coat"), [this](Piece& p) {
            p.coats.push_back(p.coats.empty() ? usualCoats(p, session_.plan(), session_.library()).front() : p.coats.back());
        });
    });
    row_->addWidget(more_);
    row_->addStretch(1);
    scroll->setWidget(inside);
    outer->addWidget(scroll);
    setFixedHeight(214);
}

void CoatCards::move(size_t index, int by) {
    session_.editPiece(tr("Move a coat"), [&](Piece& p) {
        if (index >= p.coats.size()) return;
        const int to = std::clamp(static_cast<int>(index) + by, 0, static_cast<int>(p.coats.size()) - 1);
        const PlannedCoat c = p.coats[index];
        p.coats.erase(p.coats.begin() + static_cast<std::ptrdiff_t>(index));
        p.coats.insert(p.coats.begin() + to, c);
    });
}

void CoatCards::refresh() {
    const Piece* piece = session_.piece();
    QString kind;
    if (piece) {
        kind = QString::fromStdString(piece->id) + (theme().dark ? "d" : "l") + QString::fromStdString(piece->shape.family);
        for (const auto& c : piece->coats) kind += c.way == coat::Way::Brush ? "b" : c.way == coat::Way::Turn ? "t" : c.way == coat::Way::Press ? "p" : "d";
    }
    if (kind != built_) {
        built_ = kind;
        for (auto* c : cards_) retire(c);
        cards_.clear();
        for (size_t i = 0; piece && i < piece->coats.size(); ++i) {
            auto* card = new CoatCard(session_, i, piece->coats[i], piece->family().outside);
            connect(card, &CoatCard::moved, this, &CoatCards::move);
            connect(card, &CoatCard::detailsWanted, this, &CoatCards::detailsWanted);
            connect(card, &CoatCard::paintingWanted, this, &CoatCards::paintingWanted);
            connect(card, &CoatCard::removed, this, [this](size_t index) {
                session_.editPiece(tr("Remove a coat"), [&](Piece& p) {
                    if (index < p.coats.size()) p.coats.erase(p.coats.begin() + static_cast<std::ptrdiff_t>(index));
                });
            });
            row_->insertWidget(static_cast<int>(i), card);
            cards_.push_back(card);
        }
    }
    more_->setEnabled(piece && piece->coats.size() < 8);
    setVisible(!piece || piece->alongMeridian() || piece->wallFromCoats());
    for (auto* c : cards_) c->refresh();
    const bool extras = piece && std::any_of(piece->coats.begin(), piece->coats.end(), [&](const auto& c) { return !coatExtras(c, *piece, session_.units()).isEmpty(); });
    setFixedHeight(212 + (extras ? 18 : 0) + (cards_.size() > 2 ? 12 : 0));  // a bar to scroll with lies under more than two
}

}  // namespace uovo::desktop
