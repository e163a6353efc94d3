// A pot of the plan as a card: drawn with its level, in its chocolate's colour, and what becomes of it.
#pragma once
#include <QAbstractButton>

#include "desktop/shell/session.h"

namespace uovo::desktop {

class PotCard : public QAbstractButton {
    Q_OBJECT

public:
    explicit PotCard(QWidget* parent = nullptr);
    /// @param most kg of the fullest pot: levels are to one scale
    void set(const Session& session, size_t pot, double most);
    QSize sizeHint() const override { return {330, 128}; }

protected:
    void paintEvent(QPaintEvent*) override;

private:
    QString name_, grams_, batches_;
    QStringList uses_;
    QColor colour_;
    double level_ = 0, bath_ = 0;  ///< shares of the bowl's height
};

}  // namespace uovo::desktop
