// Figures beside each other, drawn: what was thought, what is known now, what came out. Reads without colour.
#pragma once
#include <QWidget>
#include <optional>
#include <vector>

#include "core/learn/forecast.h"
#include "desktop/kit/painted_parts.h"

namespace uovo::desktop {

class BandRows : public QWidget, public PaintedParts {
    Q_OBJECT

public:
    struct Row {
        QString name, words;                ///< words stand behind it
        std::optional<learn::Band> before;  ///< drawn as an outline
        std::optional<learn::Band> now;     ///< drawn full
        std::optional<double> real;         ///< drawn as a dot
        std::optional<double> mark;         ///< drawn as a thin line: what the book says
    };
    explicit BandRows(const QString& name, QWidget* parent = nullptr);
    /// @param together all rows on one scale
    void setRows(std::vector<Row> rows, bool together = false);
    const std::vector<Row>& rows() const { return rows_; }

    QSize sizeHint() const override;
    QSize minimumSizeHint() const override { return {260, sizeHint().height()}; }
    int partCount() const override { return static_cast<int>(rows_.size()); }
    Part part(int index) const override;

protected:
    void paintEvent(QPaintEvent*) override;

private:
    QRect rowBox(int index) const;
    std::vector<Row> rows_;
    bool together_ = false;
};

}  // namespace uovo::desktop
