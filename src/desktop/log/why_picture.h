// A piece with what can go wrong round it, each leading to its place on it.
#pragma once
#include <QPushButton>
#include <QWidget>
#include <memory>
#include <vector>

#include "core/answers/answers.h"

namespace uovo::desktop {

class WhyPicture : public QWidget {
    Q_OBJECT

public:
    explicit WhyPicture(QWidget* parent = nullptr);
    /// @param faults those that the piece can have
    void setPiece(const Piece& piece, std::shared_ptr<const PieceAnswers> answers,
                  const std::vector<const material::Fault*>& faults, const std::string& chosen);
    QSize sizeHint() const override { return {760, 320}; }
    QSize minimumSizeHint() const override { return {430, 320}; }

signals:
    void chosen(const QString& fault);

protected:
    void paintEvent(QPaintEvent*) override;
    void resizeEvent(QResizeEvent*) override { place(); }

private:
    struct Chip {
        QPushButton* button;
        QString name;
        QPointF at;  // on the piece's box, 0–1
        bool left;
    };
    void place();
    QRectF pieceBox() const;

    Piece piece_;
    std::shared_ptr<const PieceAnswers> answers_;
    std::vector<Chip> chips_;
};

}  // namespace uovo::desktop
