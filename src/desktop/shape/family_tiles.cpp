#include "desktop/shape/family_tiles.h"

#include <QPainter>
#include <QPointer>
#include <QTextLayout>

#include "core/begin/first_plan.h"
#include "core/quantity/words.h"
#include "desktop/kit/flow_layout.h"
#include "desktop/stage/solid_scene.h"
#include "desktop/stage/thumbnail.h"
#include "desktop/theme/theme.h"
#include "io/data.h"
#include "report/fonts.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

constexpr QSize kTilePicture(190, 116);

/// A coated piece as the program would start it, with its computed wall.
QImage coatedPicture(const form::Hit& hit, const QSize& pixels, QRgb rim) {
    Plan plan;
    Piece p = pieceOf(hit, plan);
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

QString nameOf(const form::Hit& hit) {
    const std::string& family = hit.family->id;
    if (hit.thing.empty()) {
        const auto shape = hit.choices.find("silhouette");
        return shape == hit.choices.end()
                   ? qstring(hit.family->name)
                   : GalleryTile::tr("%1: %2").arg(qstring(hit.family->name), qstring(shape->second));
    }
    const QString thing = qstring(upperFirst(hit.thing));
    return family == "bought"     ? GalleryTile::tr("%1 in a bought mold").arg(thing)
           : family == "original" ? GalleryTile::tr("%1 cast from a real one").arg(thing)
           : family == "mesh"     ? GalleryTile::tr("%1 from a model file").arg(thing)
                                  : GalleryTile::tr("%1 cut by its outline").arg(thing);
}

QString whenOf(const form::Hit& hit) {
    if (hit.thing.empty()) return qstring(hit.family->when);
    const std::string& family = hit.family->id;
    return family == "bought"     ? GalleryTile::tr("Any mold that is sold: weigh the water it holds.")
           : family == "original" ? GalleryTile::tr("A toy or a thing of nature: a silicone mold is taken of it.")
           : family == "mesh"     ? GalleryTile::tr("A model from a file, printed or as its own mold.")
                                  : GalleryTile::tr("Draw the outline, or trace a picture: cut from a sheet.");
}

QString keyOf(const form::Hit& hit) {
    QStringList key{qstring(hit.family->id)};
    for (const auto& [name, word] : hit.choices)
        if (word != "points") key << qstring(name) << qstring(word);  // an outline comes later
    return key.join(QLatin1Char(' '));
}

}  // namespace

GalleryTile::GalleryTile(form::Hit hit, QWidget* parent) : QAbstractButton(parent), hit_(std::move(hit)) {
    say({}, {});
    setFixedSize(sizeHint());
    setCursor(Qt::PointingHandCursor);
    setFocusPolicy(Qt::StrongFocus);
    setObjectName(QStringLiteral("gallery/") + qstring(hit_.family->id));
}

void GalleryTile::say(const QString& words, const QString& below) {
    setText(words.isEmpty() ? nameOf(hit_) : words);
    when_ = words.isEmpty() ? whenOf(hit_) : below;
    setAccessibleName(text());
    setAccessibleDescription(when_);
    update();
}

void GalleryTile::setPicture(const QImage& picture) {
    picture_ = picture;
    update();
}

void GalleryTile::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    if (std::exchange(wanting_, false)) emit pictureWanted();
    const QRectF card = QRectF(rect()).adjusted(4, 4, -4, -4);
    p.setPen(hasFocus() ? QPen(theme().ring, 2)
             : best_    ? QPen(theme().ink, 2)
                        : QPen(underMouse() ? theme().quiet : theme().hairline, 1));
    p.setBrush(theme().card);
    p.drawRoundedRect(card, 11, 11);
    if (!picture_.isNull())
        p.drawImage(QRectF(card.center().x() - kTilePicture.width() / 2.0, card.top() + 8, kTilePicture.width(),
                           kTilePicture.height()),
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

FamilyTiles::FamilyTiles(QWidget* parent) : QWidget(parent), flow_(new FlowLayout(6, 6)) {
    setLayout(flow_);
    flow_->setContentsMargins(0, 0, 0, 0);
    painter_.setMaxThreadCount(1);
}

FamilyTiles::~FamilyTiles() {
    painter_.clear();
    painter_.waitForDone();
}

void FamilyTiles::paint(GalleryTile* tile) {
    const QString key = keyOf(tile->hit());
    if (const auto known = pictures_.find(key); known != pictures_.end()) {
        if (!known->second.isNull()) tile->setPicture(known->second);
        return;  // it is there, or on its way
    }
    pictures_[key] = {};
    painter_.start([this, key, hit = tile->hit(), rim = rim_] {
        const QSize pixels = kTilePicture * 2;
        const QImage picture = hit.family->meridian ? coatedPicture(hit, pixels, rim)
                                                    : familyThumbnail(hit.family->id, pixels, rim, hit.choices);
        QMetaObject::invokeMethod(this, [this, key, rim, picture] {
            if (rim != rim_) return;  // light or dark meanwhile
            pictures_[key] = picture;
            for (auto* t : tiles_)
                if (keyOf(t->hit()) == key) t->setPicture(picture);
        });
    });
}

void FamilyTiles::look(const std::vector<form::Hit>& hits, const std::vector<std::pair<QString, QString>>& words,
                       bool best) {
    if (rim_ != rimLight()) pictures_.clear();
    rim_ = rimLight();
    while (QLayoutItem* item = flow_->takeAt(0)) delete item;
    for (auto* t : tiles_) t->hide();
    for (size_t k = 0; k < hits.size(); ++k) {
        const auto& hit = hits[k];
        const auto known = std::ranges::find_if(tiles_, [&](const auto* t) { return t->hit() == hit; });
        GalleryTile* tile = known == tiles_.end() ? nullptr : *known;
        if (!tile) {
            tile = new GalleryTile(hit, this);
            connect(tile, &QAbstractButton::clicked, this, [this, tile] { emit chosen(tile->hit()); });
            connect(tile, &GalleryTile::pictureWanted, this, [this, tile] { paint(tile); });
            tiles_.push_back(tile);
        }
        k < words.size() ? tile->say(words[k].first, words[k].second) : tile->say({}, {});
        flow_->addWidget(tile);
        tile->setBest(best && k == 0);
        tile->wantPicture();
        tile->show();
    }
    flow_->invalidate();
    updateGeometry();
}

QStringList FamilyTiles::shown() const {
    QStringList out;
    for (int i = 0; i < flow_->count(); ++i)
        if (auto* t = qobject_cast<GalleryTile*>(flow_->itemAt(i)->widget())) out << qstring(t->hit().family->id);
    return out;
}

GalleryTile* FamilyTiles::first() const {
    return flow_->count() > 0 ? qobject_cast<GalleryTile*>(flow_->itemAt(0)->widget()) : nullptr;
}

}  // namespace uovo::desktop
