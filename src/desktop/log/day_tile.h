// An evening on the shelf of days: its date, and its pieces standing on a board.
#pragma once
#include <QAbstractButton>
#include <memory>

#include "core/answers/answers.h"
#include "core/log/evening.h"

namespace uovo::desktop {

class DayTile : public QAbstractButton {
    Q_OBJECT

public:
    explicit DayTile(QWidget* parent = nullptr);
    /// @param answers of its plan; null while they are computed
    void setEvening(std::shared_ptr<const log::Evening> evening, std::shared_ptr<const Answers> answers);
    const std::string& id() const { return evening_->id; }
    QSize sizeHint() const override { return {300, 122}; }

protected:
    void paintEvent(QPaintEvent*) override;
    void keyPressEvent(QKeyEvent*) override;

private:
    std::shared_ptr<const log::Evening> evening_;
    std::shared_ptr<const Answers> answers_;
    QString date_, whole_, brief_;  // brief: "18 of 20"
};

/// "18 of 20 came out whole"; empty where nothing was said.
QString wholeWords(const log::Evening& evening);
/// "Saturday, 8 August 2026".
QString dayWords(const std::string& date);

}  // namespace uovo::desktop
