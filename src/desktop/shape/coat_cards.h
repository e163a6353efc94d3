// The coats of a piece as cards in the order they are made.
#pragma once
#include <QComboBox>
#include <QFrame>
#include <QHBoxLayout>
#include <QLabel>
#include <QPushButton>

#include "desktop/shell/figure_field.h"
#include "desktop/shell/session.h"

namespace uovo::desktop {

class CoatCard : public QFrame {
    Q_OBJECT

public:
    CoatCard(Session& session, size_t index, const PlannedCoat& coat, bool overBalloon, QWidget* parent = nullptr);
    void refresh();
    FigureField* field(const QString& name) const;

signals:
    /// The card was dragged, or moved with Alt and an arrow, by so many places.
    void moved(size_t index, int by);
    void removed(size_t index);
    void detailsWanted(size_t index);
    void paintingWanted(size_t index);

protected:
    void paintEvent(QPaintEvent*) override;
    void keyPressEvent(QKeyEvent*) override;
    void mousePressEvent(QMouseEvent*) override;
    void mouseMoveEvent(QMouseEvent*) override;
    void mouseReleaseEvent(QMouseEvent*) override;

private:
    const PlannedCoat* coat() const;
    void change(const QString& label, const std::function<void(PlannedCoat&)>& change);
    FigureField* figure(const QString& name, const char* place, Dimension dimension, const char* unit, Measure PlannedCoat::*member);
    void row(const QString& word, QWidget* left, QWidget* right);

    Session& session_;
    size_t index_;
    class QVBoxLayout* box_;
    struct Figure {
        FigureField* field;
        Measure PlannedCoat::*member;
    };
    std::vector<Figure> figures_;
    QComboBox *way_, *rest_, *place_, *where_ = nullptr;
    QLabel *result_, *extras_ = nullptr;
    QPoint pressed_;
    bool dragging_ = false;
};

class CoatCards : public QWidget {
    Q_OBJECT

public:
    explicit CoatCards(Session& session, QWidget* parent = nullptr);
    void refresh();
    const std::vector<CoatCard*>& cards() const { return cards_; }

signals:
    void detailsWanted(size_t index);
    void paintingWanted(size_t index);

private:
    void move(size_t index, int by);

    Session& session_;
    QHBoxLayout* row_;
    QPushButton* more_;
    std::vector<CoatCard*> cards_;
    QString built_;
};

}  // namespace uovo::desktop
