// Beside the piece: whether it stands, what is wrong, and its joints as a list that speaks.
#pragma once
#include <QVBoxLayout>
#include <QWidget>

#include "core/words/order_words.h"
#include "desktop/kit/answer_view.h"
#include "desktop/shell/session.h"

namespace uovo::desktop {

class JointsColumn : public QWidget {
    Q_OBJECT

public:
    explicit JointsColumn(Session& session, QWidget* parent = nullptr);
    void refresh(const std::vector<OrderLine>& lines, size_t step);

signals:
    void workingWanted(const uovo::Answer& answer);
    /// A joint was pressed: the step it is made in.
    void stepWanted(size_t step);
    /// Something of the piece broke.
    void mendWanted();

private:
    void joints(const Piece& piece, const PieceAnswers& answers, const std::vector<OrderLine>& lines, size_t step);
    void heading(const QString& words);

    Session& session_;
    QWidget* page_;
    QVBoxLayout* list_;
};

}  // namespace uovo::desktop
