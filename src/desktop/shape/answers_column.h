// Answers: a column of plain sentences with one number each; a weak one offers ways out.
#pragma once
#include <QAbstractButton>
#include <QScrollArea>
#include <QVBoxLayout>

#include "desktop/shell/session.h"

namespace uovo::desktop {

/// One answer; activating it shows its working.
class AnswerView : public QAbstractButton {
    Q_OBJECT

public:
    /// @param former it was the answer before something cannot be; shown dimmed
    AnswerView(const Answer& answer, UnitSystem units, bool former = false, QWidget* parent = nullptr);
    const Answer& answer() const { return answer_; }
    QSize sizeHint() const override;
    bool hasHeightForWidth() const override { return true; }
    int heightForWidth(int width) const override;

protected:
    void paintEvent(QPaintEvent*) override;

private:
    Answer answer_;
    UnitSystem units_;
    bool former_;
};

class AnswersColumn : public QWidget {
    Q_OBJECT

public:
    explicit AnswersColumn(Session& session, QWidget* parent = nullptr);
    void refresh();
    /// Puts the cursor on the first answer.
    void look();
    AnswerView* view(const QString& id) const;

signals:
    void workingWanted(const uovo::Answer& answer);
    void wayTaken(const uovo::WayOut& way);
    void strengthWanted();
    void adviceWanted();

private:
    /// @param former of the plan before it had a problem: dimmed, without ways out
    void add(const Answer& answer, bool former = false);
    void strengthWays(const Answer& answer);
    Session& session_;
    QWidget* page_;
    QVBoxLayout* list_;
    std::vector<AnswerView*> views_;
    std::map<std::string, std::shared_ptr<const PieceAnswers>> good_;  ///< the last answers of pieces without problems
    std::vector<WayOut> ways_;                                         ///< last known ways out of a thin wall
};

}  // namespace uovo::desktop
