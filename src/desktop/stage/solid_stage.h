// The turning stage: a piece or compound in three dimensions, with measures drawn on it.
#pragma once
#include <QTimer>
#include <QWidget>
#include <memory>
#include <thread>

#include "desktop/stage/solid_scene.h"

namespace uovo::desktop {

class SolidStage : public QWidget {
    Q_OBJECT

public:
    explicit SolidStage(QWidget* parent = nullptr);

    void setPiece(const Piece& piece, std::shared_ptr<const PieceAnswers> answers, UnitSystem units);
    void setStale(bool stale);
    const SolidView& view() const { return view_; }
    void setView(const SolidView& view);
    enum class Side { Corner, Front, Right, Top };
    void look(Side side);
    void setEgg(bool shown);
    bool egg() const { return egg_; }
    const SolidScene& scene() const { return scene_; }

    QImage picture(const QSize& size, double ratio);
    QString svg() const;
    QSize minimumSizeHint() const override { return {420, 260}; }

signals:
    void viewChanged();

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent*) override;
    void mouseMoveEvent(QMouseEvent*) override;
    void mouseReleaseEvent(QMouseEvent*) override;
    void wheelEvent(QWheelEvent*) override;
    void keyPressEvent(QKeyEvent*) override;
    bool event(QEvent*) override;
    void changeEvent(QEvent*) override;

private:
    void rebuild();
    void redraw();
    void refine();
    void paintScene(QPainter& p, bool interactive);
    void paintMeasures(QPainter& p, const Projection& project);

    Piece piece_;
    std::shared_ptr<const PieceAnswers> answers_;
    UnitSystem units_ = UnitSystem::Metric;
    SolidScene scene_;
    SolidView view_;
    bool egg_ = false, stale_ = false;
    QPointF last_;
    Qt::MouseButton held_ = Qt::NoButton;
    QImage body_;
    int generation_ = 0;
    QTimer refine_;
    std::jthread painter_;
};

}  // namespace uovo::desktop
