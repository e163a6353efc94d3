// A sheet of paper laid over the right side of the window: workings, the kitchen, the shortcuts.
#pragma once
#include <QFrame>
#include <QLabel>
#include <QPointer>
#include <QScrollArea>
#include <QVBoxLayout>

#include "core/answers/answers.h"
#include "desktop/kit/widgets.h"

namespace uovo::desktop {

class Sheet : public QFrame {
    Q_OBJECT

public:
    explicit Sheet(QWidget* window);
    /// Shows `content` under a title; takes ownership. Esc or the cross closes it.
    void open(const QString& title, QWidget* content);
    QString title() const { return title_->text(); }
    void fit();

protected:
    void paintEvent(QPaintEvent*) override;
    void keyPressEvent(QKeyEvent*) override;

private:
    QLabel* title_;
    QScrollArea* scroll_;
    QPointer<QWidget> before_;
};

/// The working of a figure as a page.
QWidget* workingPage(const Working& working);

}  // namespace uovo::desktop
