// The stage: one piece cut open like an egg, with its wall in scale and handles on the drawing.
#pragma once
#include <QImage>
#include <QTimer>
#include <QWidget>
#include <memory>
#include <thread>

#include "core/answers/answers.h"
#include "desktop/kit/painted_parts.h"
#include "report/section.h"

namespace uovo::desktop {

class PieceStage : public QWidget, public PaintedParts {
    Q_OBJECT

public:
    explicit PieceStage(QWidget* parent = nullptr);

    /// @param answers may be null or without a stage (impossible or not computed yet)
    void setPiece(const Piece& piece, std::shared_ptr<const PieceAnswers> answers, UnitSystem units);
    /// Shows the last good answers dimmed while new ones are computed.
    void setStale(bool stale);
    void setExaggeration(double times);
    double exaggeration() const { return exaggeration_; }

    enum class Handle { None, Dip, Girth, Fill, TopDiameter, BaseDiameter };
    /// Where a handle is drawn, in widget coordinates; for the mouse, the keyboard and tests.
    QPointF handleAt(Handle handle) const;
    std::vector<Handle> handles() const;
    /// The picture alone, for the clipboard and files.
    QImage picture(const QSize& size, double ratio);

    /// Its handles: what each changes and its figure.
    int partCount() const override { return static_cast<int>(handles().size()); }
    Part part(int index) const override;

    QSize minimumSizeHint() const override { return {300, 120}; }

signals:
    /// A handle was moved to a new value (m, or m³ for Fill). `ended` on release.
    void handleMoved(uovo::desktop::PieceStage::Handle handle, double value, bool ended);
    /// A dimension on the drawing was clicked: its field should be edited.
    void dimensionClicked(const QString& place);

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent*) override;
    void mouseMoveEvent(QMouseEvent*) override;
    void mouseReleaseEvent(QMouseEvent*) override;
    void keyPressEvent(QKeyEvent*) override;
    void leaveEvent(QEvent*) override;
    void changeEvent(QEvent*) override;
    void focusInEvent(QFocusEvent*) override;
    void focusOutEvent(QFocusEvent*) override;

private:
    double figure(const char* key) const { return form::figure(piece_.shape, key); }
    struct Label {
        QRectF box;
        QString place;
    };
    const MeridianWall* stage() const { return answers_ && answers_->made ? answers_->made->meridian.get() : nullptr; }
    QTransform map() const;
    void redraw();
    void refine();
    void paintScene(QPainter& p, bool interactive);
    void paintGhost(QPainter& p, const QTransform& m);
    void paintLayers(QPainter& p, const QTransform& m, const report::SectionCurves& curves);
    void paintDimensions(QPainter& p, const QTransform& m);
    void paintCallouts(QPainter& p, const QTransform& m, const report::SectionCurves& curves);
    void paintFilling(QPainter& p, const QTransform& m, const report::SectionCurves& curves);
    void hatchThin(QPainter& p, const QTransform& m, const report::SectionCurves& curves) const;
    void paintHandles(QPainter& p) const;
    /// Anywhere on the section.
    void paintWallUnderCursor(QPainter& p, const QTransform& m, const report::SectionCurves& curves) const;
    double valueAt(Handle handle, const QPointF& at) const;
    Handle handleUnder(const QPointF& at, bool finger = false) const;
    QString handleName(Handle handle) const;
    /// "62 mm"
    QString handleValue(Handle handle) const;
    /// Says in words what is seen.
    void tell();

    Piece piece_;
    std::shared_ptr<const PieceAnswers> answers_;
    UnitSystem units_ = UnitSystem::Metric;
    double exaggeration_ = 1;
    bool stale_ = false;
    Handle dragging_ = Handle::None, chosen_ = Handle::None;
    QPointF grab_;
    QTransform dragMap_;
    QPointF cursor_{-1, -1};
    QImage body_;
    int generation_ = 0;  ///< counts redraws, so that a fine picture of an older state is not shown
    QTimer refine_;
    std::jthread painter_;  ///< paints the fine picture; joined before the members it needs are gone
    std::vector<Label> labels_;
};

}  // namespace uovo::desktop
