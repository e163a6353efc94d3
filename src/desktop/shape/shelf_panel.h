// The shelf: all pieces of the plan as small cut sections drawn from their computed wall.
#pragma once
#include <QAbstractButton>
#include <QScrollArea>
#include <QVBoxLayout>

#include "desktop/shell/session.h"

namespace uovo::desktop {

class PieceTile : public QAbstractButton {
    Q_OBJECT

public:
    explicit PieceTile(QWidget* parent = nullptr);
    void setPiece(const Piece& piece, std::shared_ptr<const PieceAnswers> answers, UnitSystem units, bool chosen);
    QSize sizeHint() const override { return {168, 74}; }

protected:
    void paintEvent(QPaintEvent*) override;

private:
    QString gramsEach() const;

    Piece piece_;
    std::shared_ptr<const PieceAnswers> answers_;
    UnitSystem units_ = UnitSystem::Metric;
    bool chosen_ = false;
};

class ShelfPanel : public QWidget {
    Q_OBJECT

public:
    explicit ShelfPanel(Session& session, QWidget* parent = nullptr);
    /// Adds a piece of a family of the gallery and selects it.
    void add(const QString& family);

signals:
    void galleryWanted();

private:
    void refresh();
    void copyPiece(const std::string& id);
    void removePiece(const std::string& id);

    Session& session_;
    QVBoxLayout* tiles_;
    std::vector<PieceTile*> shown_;
};

}  // namespace uovo::desktop
