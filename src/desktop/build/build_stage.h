// The piece pulled apart at a moment of its order: what is there, what comes now, what comes later over its place.
#pragma once
#include <QWidget>

#include "desktop/build/build_scene.h"
#include "desktop/kit/painted_parts.h"
#include "desktop/stage/turned_view.h"

namespace uovo::desktop {

class BuildStage : public QWidget, public PaintedParts {
    Q_OBJECT

public:
    explicit BuildStage(QWidget* parent = nullptr);
    void setScene(BuildScene scene);
    void setStale(bool stale);
    const BuildScene& scene() const { return scene_; }
    QSize minimumSizeHint() const override { return {300, 180}; }
    /// Its labels: parts with the step they come in, props with how long they stay.
    int partCount() const override { return static_cast<int>(scene_.labels.size()); }
    Part part(int index) const override;

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent*) override;
    void mouseMoveEvent(QMouseEvent*) override;
    void mouseReleaseEvent(QMouseEvent*) override;
    void wheelEvent(QWheelEvent*) override;
    void keyPressEvent(QKeyEvent*) override;
    void changeEvent(QEvent*) override;

private:
    struct Placed {
        QPointF from;  ///< the part
        QRectF box;    ///< its words
    };
    std::vector<Placed> placeLabels() const;
    void drawTip(QPainter& p) const;
    /// What the picture takes of the widget: words have their own room where it is narrow.
    QSize pictureSize() const;
    void turned();

    BuildScene scene_;
    TurnedView view_{0.34};
    QImage image_;
    QSize imageFor_;
    bool fine_ = false, stale_ = false, turning_ = false;
    QPointF last_;
};

}  // namespace uovo::desktop
