// Answers: a column of plain sentences with one number each; a weak one offers ways out.
#pragma once
#include <QAbstractButton>
#include <QScrollArea>
#include <QVBoxLayout>

#include "desktop/kit/answer_view.h"
#include "desktop/shell/session.h"

namespace uovo::desktop {

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
