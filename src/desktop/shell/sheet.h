// A sheet of paper laid over the right side of the window: workings, the kitchen, the shortcuts.
#pragma once
#include <QFrame>
#include <QLabel>
#include <QPointer>
#include <QScrollArea>
#include <QVBoxLayout>

#include "core/plan/answers.h"

class QHBoxLayout;

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
/// Takes a widget out of the window; it goes when the events that are under way are done, and is not clicked meanwhile.
void retire(QWidget* widget);
/// Takes everything out of a layout but its last `keep` items; widgets go when the events that are under way are done.
void emptyLayout(QLayout* layout, int keep = 0);
/// A row in a widget that has no layout yet; it scrolls sideways when more stands in it than fits.
/// @param below px under its things @param under px under it
QHBoxLayout* sidewaysRow(QWidget* in, int spacing, int below, int under);
/// A line of a page: what a field is called at the left, the field at the right.
QHBoxLayout* namedRow(const QString& name, QWidget* field);
/// A label that wraps. @param role "", "quiet", "small" or "harm"
QLabel* wrapped(const QString& text, const char* role = "");

}  // namespace uovo::desktop
