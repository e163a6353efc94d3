// What pages, cards and lines of the window are put together from.
#pragma once
#include <QAbstractButton>
#include <QComboBox>
#include <QLabel>
#include <QPushButton>

class QHBoxLayout;
class QLayout;
class QScrollArea;

namespace uovo::desktop {

/// Takes a widget out of the window; it goes when the events that are under way are done, and is not clicked meanwhile.
void retire(QWidget* widget);
/// Takes everything out of a layout but its last `keep` items; widgets go when the events that are under way are done.
void emptyLayout(QLayout* layout, int keep = 0);
/// An area that scrolls down, by wheel, bar and finger; it takes no focus.
QScrollArea* scrolledDown();
/// A row in a widget that has no layout yet; it scrolls sideways when more stands in it than fits.
/// @param below px under its things @param under px under it
QHBoxLayout* sidewaysRow(QWidget* in, int spacing, int below, int under);
/// A label in one line that takes what room there is, its words shortened where they do not fit.
class ShortLabel : public QLabel {
public:
    ShortLabel();
    QSize minimumSizeHint() const override { return {0, QLabel::minimumSizeHint().height()}; }

protected:
    void paintEvent(QPaintEvent*) override;
};
/// A caution in one line, its first words; a press shows all of it.
class CautionLine : public QAbstractButton {
public:
    CautionLine();
    void setCautions(const QStringList& sentences);
    QSize sizeHint() const override { return {60, 20}; }

protected:
    void paintEvent(QPaintEvent*) override;
};
/// A label that wraps. @param role "", "quiet", "small" or "harm"
QLabel* wrapped(const QString& text, const char* role = "");
/// Words over what follows them. @param above px over them
QLabel* heading(const QString& words, int above);
/// A word of a line, as high as the fields beside it.
QLabel* lineWord(const QString& words);
/// A small flat button of a bar. @param tip its accessible name too; empty: its words
QPushButton* toolButton(const QString& words, const QString& tip = {});
/// A choice that the wheel does not change. @param name accessible name
QComboBox* choiceBox(const QString& name, const QStringList& words);
/// Table, fridge, freezer: in the order of coat::Place.
QStringList everyPlace();

}  // namespace uovo::desktop
