// The parts of an assembly of one's own at their places, each to be taken by hand and put elsewhere.
#pragma once
#include <QWidget>
#include <optional>

#include "core/assembly/contacts.h"
#include "core/assembly/placing.h"
#include "desktop/kit/painted_parts.h"
#include "desktop/stage/solid_scene.h"
#include "desktop/stage/turned_view.h"

namespace uovo::desktop {

/// A part is dragged over the table and over what stands there; it holds on to middles, edges and rims, and rests on
/// what is below. With Shift it is lifted, with Control it holds on to nothing. What is dragged beside a part turns the
/// view. Keys do all of it.
class HandStage : public QWidget, public PaintedParts {
    Q_OBJECT

public:
    explicit HandStage(QWidget* parent = nullptr);
    /// @param scene a body an item, as it is drawn @param together what touches; may be null
    void setPiece(const std::string& id, const form::Part& assembly, const form::Meshes& meshes, SolidScene scene,
                  std::shared_ptr<const PutTogether> together, UnitSystem units);
    const QString& chosen() const { return chosen_; }
    void choose(const QString& key);
    /// Where a part is on the widget: the middle of it, for those who point at it.
    QPoint placeOf(const QString& key) const;
    /// What the part in hand holds on to, in words; empty while none is in hand.
    const QString& holds() const { return holds_; }
    /// Ways that the keys move it: to the right and to the back as they are seen.
    form::Vec3 seenRight() const;
    /// Built when it is first asked for; null where the parts cannot be built.
    const assembly::Placer* placer() const;
    QSize minimumSizeHint() const override { return {300, 180}; }
    int partCount() const override { return static_cast<int>(assembly_.items.size()); }
    Part part(int index) const override;

signals:
    void chosenChanged();
    /// A part was put elsewhere by hand or key.
    void put(const QString& key, const uovo::form::Pose& pose);
    /// A key that means an edit of the chosen part.
    void editWanted(int key);
    void inHand();

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent*) override;
    void mouseMoveEvent(QMouseEvent*) override;
    void mouseReleaseEvent(QMouseEvent*) override;
    void wheelEvent(QWheelEvent*) override;
    void keyPressEvent(QKeyEvent*) override;
    void changeEvent(QEvent*) override;

private:
    size_t index() const;  ///< of the chosen part; as many as there are where none is
    void turned();
    void lay(const assembly::Placing& placing);
    void letGo();
    void step(const form::Vec3& by);
    void fitFrame();
    /// m in the scene that a way on the widget means.
    form::Vec3 moved(const QPointF& by, bool lift) const;
    void drawBoard(QPainter& p, const class Projection& project) const;
    void drawSnaps(QPainter& p, const Projection& project) const;
    void drawName(QPainter& p, const Projection& project) const;

    std::string id_;
    form::Part assembly_;
    form::Meshes meshes_;
    SolidScene base_, scene_;  ///< as they are in the plan, and with the one in hand where it is now
    std::shared_ptr<const PutTogether> together_;
    UnitSystem units_ = UnitSystem::Metric;
    QString chosen_, holds_;
    mutable std::optional<assembly::Placer> placer_;
    mutable bool cannot_ = false;
    std::optional<assembly::Placer> inHand_;  ///< coarser, while a part is in hand
    form::Vec3 by_;                           ///< m that it was moved by last, and how near it held on then
    double reach_ = 0;
    std::optional<assembly::ContactFinder> finder_;  ///< while a part is in hand
    std::optional<assembly::Placing> placing_;       ///< of the part in hand
    size_t touching_ = 0;
    form::Box frame_;
    QSizeF fit_;
    TurnedView view_{0.5};
    QImage image_;
    QSize imageFor_;
    bool fine_ = false, turning_ = false, dragging_ = false;
    QPointF pressed_, last_;
};

/// What a part in hand holds on to, in a few words.
QString wordsOf(const std::vector<assembly::Snap>& snaps, const form::Part& assembly);

}  // namespace uovo::desktop
