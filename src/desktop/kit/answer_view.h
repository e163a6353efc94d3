// One plain sentence with one large figure; a press shows how it came about.
#pragma once
#include <QAbstractButton>
#include <QVBoxLayout>

#include "core/stages/answer.h"

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

inline constexpr int kColumnWidth = 292, kColumnLeft = 16;  ///< px, of a column of answers and of the words in it

/// A column of answers that scrolls: what is added stands before its last stretch. @param page gets the widget inside
QVBoxLayout* answerColumn(QWidget* in, QWidget*& page);

}  // namespace uovo::desktop
