// The turning stage: a piece or compound in three dimensions, with measures drawn on it.
#pragma once
#include <QTimer>
#include <QWidget>
#include <memory>
#include <thread>

#include "desktop/kit/painted_parts.h"
#include "desktop/stage/solid_scene.h"

namespace uovo::desktop {

class SolidStage : public QWidget, public PaintedParts {
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
    const SolidScene& scene() const { return film_ ? *film_ : scene_; }
    /// Shows this instead of the piece, in the colours of the wall map: a moment of its coats. None: the piece again.
    void setFilm(std::optional<SolidScene> film);
    bool showsFilm() const { return film_.has_value(); }
    /// Clicks paint where a brush goes. @param spots what is painted already, in the scene
    void setPainting(bool painting, const std::vector<form::Vec3>& spots);
    bool isPainting() const { return painting_; }
    /// The wall under a point of the widget, m; NaN on paper.
    double wallAt(const QPointF& at) const;
    /// Where the handle of a force lies in the widget.
    QPointF arrowTail(size_t arrow) const;

    QImage picture(const QSize& size, double ratio);
    QString svg() const;
    /// The parts it is put together from.
    int partCount() const override;
    Part part(int index) const override;
    QSize minimumSizeHint() const override { return {300, 120}; }

signals:
    void viewChanged();
    /// A click or the space bar painted here; with Shift what lies there is wiped off.
    void painted(const uovo::form::Vec3& at, bool wipe);
    /// An arrow is drawn so many times its length.
    void loadDragged(double times);
    void loadDropped();

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent*) override;
    void mouseMoveEvent(QMouseEvent*) override;
    void mouseReleaseEvent(QMouseEvent*) override;
    void wheelEvent(QWheelEvent*) override;
    void keyPressEvent(QKeyEvent*) override;
    bool event(QEvent*) override;
    void changeEvent(QEvent*) override;
    void leaveEvent(QEvent*) override;

private:
    void paintKeys(QPainter& p);
    void paintReading(QPainter& p);
    void paintLoads(QPainter& p, const Projection& project, bool interactive);
    void paintSpots(QPainter& p, const Projection& project);
    bool mapShown() const { return film_ || view_.map; }
    SolidView shownView() const;
    void rebuild();
    void redraw();
    void refine();
    void paintScene(QPainter& p, bool interactive);
    void paintMeasures(QPainter& p, const Projection& project);

    Piece piece_;
    std::shared_ptr<const PieceAnswers> answers_;
    UnitSystem units_ = UnitSystem::Metric;
    SolidScene scene_;
    std::optional<SolidScene> film_;
    bool painting_ = false;
    std::vector<form::Vec3> spots_;
    QPointF cursor_{-1, -1}, pressedAt_;
    std::optional<size_t> arrow_;  ///< the force that is dragged
    SolidView view_;
    bool egg_ = false, stale_ = false;
    QPointF last_;
    Qt::MouseButton held_ = Qt::NoButton;
    QSize bodyFor_;  // pixels of the widget it was drawn for
    QImage body_;
    int generation_ = 0;
    QTimer refine_;
    std::jthread painter_;
};

}  // namespace uovo::desktop
