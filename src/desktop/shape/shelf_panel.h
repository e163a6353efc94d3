// The shelf: all pieces of the plan as small cut sections drawn from their computed wall.
#pragma once
#include <QAbstractButton>
#include <QMenu>
#include <QPushButton>
#include <QScrollArea>
#include <QVBoxLayout>

#include "desktop/shell/session.h"

namespace uovo::desktop {

class PieceTile : public QAbstractButton {
    Q_OBJECT

public:
    explicit PieceTile(QWidget* parent = nullptr);
    void setPiece(const Piece& piece, std::shared_ptr<const PieceAnswers> answers, UnitSystem units, bool chosen);
    QSize sizeHint() const override { return {168, verdict().words.isEmpty() ? 74 : 90}; }

protected:
    void paintEvent(QPaintEvent*) override;

private:
    QString gramsEach() const;
    /// What is to be known of it before all else: why it cannot be, what is weak, else whether it holds.
    struct Verdict {
        QString words;
        bool harm = false;
    };
    Verdict verdict() const;

    Piece piece_;
    std::shared_ptr<const PieceAnswers> answers_, now_;  // the last good ones; those of the plan as it is
    UnitSystem units_ = UnitSystem::Metric;
    bool chosen_ = false;
};

class ShelfPanel : public QWidget {
    Q_OBJECT

public:
    explicit ShelfPanel(Session& session, QWidget* parent = nullptr);
    /// Adds a piece of a family of the gallery and selects it.
    void add(const form::Hit& hit);
    /// What can be done with the chosen piece.
    void copyChosen();
    void removeChosen();
    /// @param by places down the shelf; up: negative
    void moveChosen(int by);

signals:
    void galleryWanted();
    void keepWanted();
    void notesWanted();
    void besideWanted();
    void castWanted();

private:
    void refresh();
    Session& session_;
    QScrollArea* scroll_;
    QVBoxLayout* tiles_;
    std::vector<PieceTile*> shown_;
    QMenu* moreMenu(QWidget* parent);
    QPushButton *copy_, *remove_, *up_, *down_, *more_;
};

}  // namespace uovo::desktop
