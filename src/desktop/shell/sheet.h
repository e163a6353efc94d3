// A sheet of paper beside the places, or over their right side where the window is narrow: workings, the kitchen, the
// shortcuts.
#pragma once
#include <QFrame>
#include <QLabel>
#include <QPointer>
#include <QScrollArea>
#include <QTimer>
#include <QVBoxLayout>
#include <functional>

#include "core/answers/answers.h"
#include "desktop/kit/widgets.h"

namespace uovo::desktop {

class Sheet : public QFrame {
    Q_OBJECT

public:
    explicit Sheet(QWidget* window);
    /// Shows `content` under a title; takes ownership. Esc or the cross closes it.
    void open(const QString& title, QWidget* content);
    /// Shows a page that is made of the plan's figures: it is made anew when they change otherwise than by itself.
    /// @param piece id of the piece it is about; empty: about the plan
    void open(const QString& title, std::function<QWidget*()> page, const QString& piece = {});
    /// After an edit of the plan: a page that did not make it is made anew in a moment.
    void follow();
    /// Makes the page anew, at the place and the field where one was; for what went back, and for another plan.
    void renew();
    const QString& piece() const { return piece_; }
    QString title() const { return title_->text(); }
    /// Lies over the right side of its window.
    void fit();
    static constexpr int kWidth = 460;  ///< px

signals:
    void openChanged();

protected:
    void showEvent(QShowEvent*) override;
    void hideEvent(QHideEvent*) override;
    /// The tabulator stays in the sheet until it is closed.
    bool focusNextPrevChild(bool next) override;
    void paintEvent(QPaintEvent*) override;
    void keyPressEvent(QKeyEvent*) override;

private:
    void put(QWidget* content);

    QLabel* title_;
    QScrollArea* scroll_;
    std::function<QWidget*()> page_;  // empty: the page looks after itself
    QString piece_;                   // whose page it is; empty: of none
    QTimer renewal_;
    QPointer<QWidget> before_;
};

/// The working of a figure as a page: what it says, what it hangs on most, then how it is computed and the rest.
/// @param said the answer in a cook's sentence; empty: none
QWidget* workingPage(const Working& working, const QString& said = {});

}  // namespace uovo::desktop
