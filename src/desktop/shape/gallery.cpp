#include "desktop/shape/gallery.h"

#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QPainter>
#include <QTextLayout>
#include <QVBoxLayout>

#include "core/form/family.h"
#include "desktop/kit/flow_layout.h"
#include "desktop/kit/widgets.h"
#include "desktop/stage/solid_scene.h"
#include "desktop/stage/thumbnail.h"
#include "desktop/theme/glyph_button.h"
#include "io/data.h"
#include "report/fonts.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

constexpr QSize kPicture(190, 116);

/// A coated piece as the program would start it, with its computed wall.
QImage coatedPicture(const QString& id, const QSize& pixels, QRgb rim) {
    Plan plan;
    Piece p = newPiece(plan, id.toStdString());
    if (p.family().former == form::Former::Cup) p.chocolate = "milk";
    for (auto& c : p.coats()) c.temperature = p.chocolate == "milk" ? 29.5 : 32;
    plan.pieces = {p};
    Cache cache;
    AnswerOptions quick;
    quick.day = quick.ways = quick.bands = quick.strength = false;
    quick.cells = 50;
    const auto answers = answer(plan, io::library(), cache, quick);
    if (!answers || !answers->pieces[0]->made) return {};
    SolidView view;
    view.zoom = 1.12;
    view.rim = rim;
    return paintSolid(sceneOf(p, *answers->pieces[0], false), view, pixels, true);
}

}  // namespace

GalleryTile::GalleryTile(const QString& family, const QString& name, const QString& when, QWidget* parent)
    : QAbstractButton(parent), family_(family), when_(when) {
    setText(name);
    setAccessibleName(name);
    setAccessibleDescription(when);
    setFixedSize(sizeHint());
    setCursor(Qt::PointingHandCursor);
    setFocusPolicy(Qt::StrongFocus);
    setObjectName(QStringLiteral("gallery/") + family);
}

void GalleryTile::setPicture(const QImage& picture) {
    picture_ = picture;
    update();
}

void GalleryTile::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const QRectF card = QRectF(rect()).adjusted(4, 4, -4, -4);
    p.setPen(hasFocus() ? QPen(theme().ring, 2) : QPen(underMouse() ? theme().quiet : theme().hairline, 1));
    p.setBrush(theme().card);
    p.drawRoundedRect(card, 11, 11);
    if (!picture_.isNull())
        p.drawImage(
            QRectF(card.center().x() - kPicture.width() / 2.0, card.top() + 8, kPicture.width(), kPicture.height()),
            picture_);
    p.setFont(report::font(15, QFont::DemiBold));
    p.setPen(theme().ink);
    p.drawText(QPointF(card.left() + 12, card.top() + 144),
               QFontMetricsF(p.font()).elidedText(text(), Qt::ElideRight, card.width() - 24));
    p.setPen(theme().quiet);
    QTextLayout layout(when_, report::font(13));
    layout.beginLayout();
    double y = card.top() + 150;
    for (int i = 0; i < 3; ++i) {
        QTextLine line = layout.createLine();
        if (!line.isValid()) break;
        line.setLineWidth(card.width() - 24);
        p.setFont(report::font(13));
        QString words = when_.mid(line.textStart(), line.textLength());
        if (i == 2 && line.textStart() + line.textLength() < when_.size())
            words = QFontMetricsF(p.font()).elidedText(when_.mid(line.textStart()), Qt::ElideRight, card.width() - 24);
        y += 17;
        p.drawText(QPointF(card.left() + 12, y), words);
    }
    layout.endLayout();
}

Gallery::Gallery(QWidget* parent)
    : QWidget(parent),
      words_(new QLineEdit),
      scroll_(scrolledDown()),
      page_(new QWidget),
      flow_(new FlowLayout(6, 6)),
      none_(new QLabel) {
    setObjectName(QStringLiteral("gallery"));
    setAccessibleName(tr("Gallery of pieces"));
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(26, 18, 18, 10);
    box->setSpacing(10);
    auto* head = new QHBoxLayout;
    auto* title = new QLabel(tr("What shall it be?"));
    title->setStyleSheet(QStringLiteral("font-size: 27px; font-weight: 700;"));
    words_->setPlaceholderText(tr("basket, dome, something to break …"));
    words_->setAccessibleName(tr("What you want to make"));
    words_->setFixedWidth(330);
    words_->installEventFilter(this);
    auto* close = GlyphButton::bare(Glyph::Close, tr("Close the gallery"));
    connect(close, &QPushButton::clicked, this, [this] {
        hide();
        emit closed();
    });
    head->addWidget(title);
    head->addSpacing(18);
    head->addWidget(words_);
    head->addStretch(1);
    head->addWidget(close);
    box->addLayout(head);
    none_->setProperty("quiet", true);
    none_->setText(
        tr("Nothing here by these words. Any bought mold can be planned by its size and the water it holds: try “any "
           "mold”."));
    none_->hide();
    box->addWidget(none_);
    page_->setLayout(flow_);
    flow_->setContentsMargins(0, 0, 0, 0);
    scroll_->setWidget(page_);
    box->addWidget(scroll_, 1);
    const auto add = [this](const QString& id, const QString& name, const QString& when) {
        auto* tile = new GalleryTile(id, name, when);
        connect(tile, &QAbstractButton::clicked, this, [this, id] {
            hide();
            emit chosen(id);
        });
        flow_->addWidget(tile);
        tiles_.push_back(tile);
    };
    for (const auto& f : form::families()) add(qstring(f.id), qstring(f.name), qstring(f.when));
    connect(words_, &QLineEdit::textChanged, this, &Gallery::filter);
    hide();
}

Gallery::~Gallery() = default;

void Gallery::open() {
    words_->clear();
    filter();
    setGeometry(parentWidget()->rect());
    show();
    raise();
    words_->setFocus();
    if (painter_.joinable() && rim_ == rimLight()) return;  // the pictures are there, or on their way
    rim_ = rimLight();
    painter_ = std::jthread([this, rim = rim_](std::stop_token stop) {
        const QSize pixels = kPicture * 2;
        for (auto* tile : tiles_) {
            if (stop.stop_requested()) return;
            const QString id = tile->family();
            const QImage picture = form::family(id.toStdString())->meridian
                                       ? coatedPicture(id, pixels, rim)
                                       : familyThumbnail(id.toStdString(), pixels, rim);
            QMetaObject::invokeMethod(tile, [tile, picture] { tile->setPicture(picture); });
        }
    });
}

void Gallery::filter() {
    const std::string words = words_->text().toStdString();
    std::vector<QString> order;
    for (const auto* f : form::search(words)) order.push_back(qstring(f->id));
    while (QLayoutItem* item = flow_->takeAt(0)) delete item;
    for (auto* t : tiles_) t->hide();
    for (const auto& id : order)
        for (auto* t : tiles_)
            if (t->family() == id) {
                flow_->addWidget(t);
                t->show();
            }
    none_->setVisible(order.empty());
    flow_->invalidate();
    page_->updateGeometry();
    scroll_->ensureVisible(0, 0);
}

QStringList Gallery::shown() const {
    QStringList out;
    for (int i = 0; i < flow_->count(); ++i)
        if (auto* t = qobject_cast<GalleryTile*>(flow_->itemAt(i)->widget())) out << t->family();
    return out;
}

bool Gallery::eventFilter(QObject* object, QEvent* e) {
    if (object == words_ && e->type() == QEvent::KeyPress) {
        const int key = static_cast<QKeyEvent*>(e)->key();
        if ((key == Qt::Key_Return || key == Qt::Key_Enter) && flow_->count() > 0) {
            qobject_cast<GalleryTile*>(flow_->itemAt(0)->widget())->click();
            return true;
        }
        if (key == Qt::Key_Down && flow_->count() > 0) {
            flow_->itemAt(0)->widget()->setFocus();
            return true;
        }
    }
    return QWidget::eventFilter(object, e);
}

void Gallery::paintEvent(QPaintEvent*) { QPainter(this).fillRect(rect(), theme().paper); }

}  // namespace uovo::desktop
