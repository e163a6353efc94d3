// The day as a band: lanes for hands, cold and pots, and a line of time that can be moved.
#pragma once
#include <QWidget>
#include <memory>

#include "core/answers/answers.h"
#include "desktop/kit/painted_parts.h"

namespace uovo::desktop {

class Timeline : public QWidget, public PaintedParts {
    Q_OBJECT

public:
    explicit Timeline(QWidget* parent = nullptr);
    /// @param deadline local minutes @param now the same
    void setDay(std::shared_ptr<const DayPlan> day, long deadline, long now, UnitSystem units);
    /// Minute looked at, counted back from the end of the day (0 or below).
    int minute() const { return minute_; }
    void setMinute(int minute);
    QSize sizeHint() const override;
    QSize minimumSizeHint() const override { return sizeHint(); }

    /// Its blocks: piece and what is done with it, when; where.
    int partCount() const override { return static_cast<int>(bars_.size()); }
    Part part(int index) const override;

    /// Of a bar and of the words on it.
    struct Ink {
        QColor fill, words;
    };

signals:
    void minuteChanged(int minute);

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent*) override;
    void mouseMoveEvent(QMouseEvent*) override;
    void keyPressEvent(QKeyEvent*) override;
    bool event(QEvent*) override;

private:
    struct Bar {
        QRectF box;
        Ink ink;
        QString words, tip, place;
        bool outlined = false;
    };
    struct HoldRow {
        std::string title;
        std::vector<std::pair<size_t, int>> holds;  ///< hold, row within the lane
        int rows = 0;
        bool cold = false;
    };
    QString clock(int minute) const { return QString::fromStdString(day_->said(minute, units_)); }
    double xOf(double minute) const;
    double minuteAt(double x) const;
    void layRows();
    void paintHours(QPainter& p) const;
    void paintName(QPainter& p, double y, const QString& words) const;
    std::vector<Bar> layBars() const;
    double heightOf(const HoldRow& lane) const;
    void paintBar(QPainter& p, const Bar& bar) const;

    std::shared_ptr<const DayPlan> day_;
    UnitSystem units_ = UnitSystem::Metric;    // whose clock is read
    int deadline_ = 0, now_ = 0, minute_ = 0;  // of the network
    std::vector<HoldRow> lanes_;
    std::vector<Bar> bars_;
};

}  // namespace uovo::desktop
