// The gallery: what a piece is started from, found by words.
#pragma once
#include <QLabel>
#include <QLineEdit>
#include <QScrollArea>

#include "desktop/shape/family_tiles.h"
#include "desktop/shell/own_shelf.h"

namespace uovo::desktop {

class Gallery : public QWidget {
    Q_OBJECT

public:
    /// @param shelf pieces that a person kept, offered before all others
    Gallery(OwnShelf& shelf, QWidget* parent);
    /// Shows it over its parent and waits for words or a choice.
    void open();
    QLineEdit* words() const { return words_; }
    QLabel* note() const { return note_; }
    /// Families shown now, best first. "balloon" and "cup" are the coated pieces.
    QStringList shown() const { return tiles_->shown(); }

signals:
    void chosen(const uovo::form::Hit& hit);
    /// A kept piece, by its id on the own shelf.
    void keptChosen(const std::string& piece);
    void said(const QString& sentence, bool harm);
    void closed();

protected:
    void paintEvent(QPaintEvent*) override;
    bool eventFilter(QObject*, QEvent*) override;

private:
    void filter();
    void kept();
    OwnShelf& shelf_;
    QWidget* own_;
    class FlowLayout* ownRow_;
    QLineEdit* words_;
    QScrollArea* scroll_;
    QLabel* note_;
    FamilyTiles* tiles_;
};

/// What is said over the tiles where something asked for has no family: "There is no rabbit here …"; else empty.
QString aboutWays(const std::vector<form::Hit>& hits);

}  // namespace uovo::desktop
