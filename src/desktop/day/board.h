// The kitchen over the day: hands by name, pots with their level, the cold places filling, the bench; and a line of
// time that can be moved.
#pragma once
#include <QWidget>
#include <memory>

#include "core/day/lanes.h"
#include "desktop/kit/painted_parts.h"
#include "desktop/shell/session.h"

namespace uovo::desktop {

class Board : public QWidget, public PaintedParts {
    Q_OBJECT

public:
    explicit Board(Session& session, QWidget* parent = nullptr);
    /// @param deadline local minutes @param now the same
    void setDay(std::shared_ptr<const DayPlan> day, long deadline, long now);
    /// Minute looked at, counted back from the end of the day (0 or below).
    int minute() const { return minute_; }
    void setMinute(int minute);
    /// 1: the whole day in the width it has.
    double zoom() const { return zoom_; }
    void setZoom(double zoom);
    /// @param width px of the opening it is seen through
    void setOpening(int width);
    double xOf(double minute) const;
    double minuteAt(double x) const;
    QSize sizeHint() const override;
    QSize minimumSizeHint() const override { return {300, sizeHint().height()}; }

    /// Its blocks: what is done, when; whose hands, or where.
    int partCount() const override { return static_cast<int>(marks_.size()); }
    Part part(int index) const override;

    /// A block, a pot, a stay or a line of the bench.
    struct Mark {
        enum class Kind { Hands, Pot, Place, Bench } kind = Kind::Hands;
        size_t of = 0;  ///< which person or place
        int index = 0;  ///< into what it is of
        QRectF box;
        QString name, lane;
    };
    const std::vector<Mark>& marks() const { return marks_; }

signals:
    void minuteChanged(int minute);
    /// A block was dragged: the step it is named by is to begin at a minute.
    void stepMoved(int task, int minute);
    /// Hours were drawn on the clock at the top.
    void freeWished(int from, int to);
    /// Hours kept free were pressed.
    void freeDropped(int index);

protected:
    void paintEvent(QPaintEvent*) override;
    void resizeEvent(QResizeEvent*) override;
    void mousePressEvent(QMouseEvent*) override;
    void mouseMoveEvent(QMouseEvent*) override;
    void mouseReleaseEvent(QMouseEvent*) override;
    void wheelEvent(QWheelEvent*) override;
    void keyPressEvent(QKeyEvent*) override;
    bool event(QEvent*) override;

private:
    struct Lane {
        double top = 0, high = 0;
        QString name, note;
    };
    struct Hands {
        std::vector<Flow> flows;
        Lane lane;
    };
    struct Place {
        size_t resource = 0;
        std::vector<Stay> stays;
        Lane lane;
        bool cold = true;
    };
    struct OnBench {
        std::string piece;
        int from = 0, to = 0, row = 0;
    };
    struct Kept {  // free, by the person's wish
        int from = 0, to = 0, index = -1;
    };

    bool hasDay() const { return day_ && day_->problem.empty(); }
    QString clock(double minute) const;
    QString shortName(const Flow& flow) const;
    std::shared_ptr<const PieceAnswers> answersOf(const std::string& piece) const;
    QColor colourOf(const std::string& pot) const;
    void lay();
    void layHands();
    void layPots();
    void layPlaces();
    void layBench();
    double potWidth(const PotBand& band) const;
    QString potWords(const PotBand& band) const;
    static QString plainName(const PotBand& band);
    const Flow& flowOf(const Mark& m) const { return hands_[m.of].flows[static_cast<size_t>(m.index)]; }
    /// The step that a block is pinned by: the one it is named by, unless that follows from others, as melting does.
    int heldBy(const Flow& flow) const;
    const Mark* markAt(const QPointF& at) const;
    bool paintMark(QPainter& p, const QRectF& box, const std::string& piece);

    // board_paint.cpp
    void paintHours(QPainter& p) const;
    void paintKept(QPainter& p) const;
    void paintFlow(QPainter& p, const Flow& flow, const QRectF& box);
    void paintPot(QPainter& p, const PotBand& band, const QRectF& box) const;
    void paintPlace(QPainter& p, size_t number);
    void paintBench(QPainter& p, const OnBench& line, const QRectF& box);
    void paintNames(QPainter& p) const;

    Session& session_;
    std::shared_ptr<const DayPlan> day_;
    int deadline_ = 0, now_ = 0, minute_ = 0;  // of the network
    double zoom_ = 1;
    int opening_ = 600;
    std::vector<Hands> hands_;
    std::vector<PotBand> pots_;
    std::vector<int> potRows_;
    Lane potLane_, benchLane_;
    std::vector<Place> places_;
    std::vector<OnBench> bench_;
    std::vector<Kept> kept_;
    std::vector<Mark> marks_;
    double bottom_ = 0;
    // under the hand
    enum class Drag { None, Line, Block, Hours } drag_ = Drag::None;
    QPointF pressed_, at_;
    int block_ = -1;  // mark
};

}  // namespace uovo::desktop
