// Families of the gallery as tiles, each drawn from its real geometry, in the order in which words find them.
#pragma once
#include <QAbstractButton>
#include <QImage>
#include <QThreadPool>
#include <QWidget>
#include <map>

#include "core/form/search.h"

namespace uovo::desktop {

class GalleryTile : public QAbstractButton {
    Q_OBJECT

public:
    explicit GalleryTile(form::Hit hit, QWidget* parent = nullptr);
    const form::Hit& hit() const { return hit_; }
    void setPicture(const QImage& picture);
    /// Asks for its picture as soon as it is seen.
    void wantPicture() {
        wanting_ = true;
        update();
    }
    /// The one that is taken when nobody chooses.
    void setBest(bool best) {
        best_ = best;
        update();
    }
    /// Says this in place of its family's name; empty: that again.
    void say(const QString& words, const QString& below);
    QSize sizeHint() const override { return {221, 216}; }

signals:
    void pictureWanted();

protected:
    void paintEvent(QPaintEvent*) override;

private:
    form::Hit hit_;
    QString when_;
    QImage picture_;
    bool best_ = false, wanting_ = false;
};

class FamilyTiles : public QWidget {
    Q_OBJECT

public:
    explicit FamilyTiles(QWidget* parent = nullptr);
    ~FamilyTiles() override;
    /// Shows these, in their order. Pictures of those in sight come as they are painted, on another thread.
    /// @param words said in place of their names, and the line below @param best the first is taken when nobody chooses
    void look(const std::vector<form::Hit>& hits, const std::vector<std::pair<QString, QString>>& words = {},
              bool best = false);
    /// Ids of the families that are shown, best first.
    QStringList shown() const;
    GalleryTile* first() const;

signals:
    void chosen(const uovo::form::Hit& hit);

private:
    void paint(GalleryTile* tile);

    class FlowLayout* flow_;
    std::vector<GalleryTile*> tiles_;  ///< that were made so far
    std::map<QString, QImage> pictures_;
    QRgb rim_ = 0;  // of the pictures that are there
    QThreadPool painter_;
};

}  // namespace uovo::desktop
