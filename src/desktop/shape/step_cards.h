// The making of a piece: its steps as cards, in the order they are done.
#pragma once
#include <QHBoxLayout>
#include <QPushButton>

#include "desktop/shape/coat_card.h"

namespace uovo::desktop {

class StepCards : public QWidget {
    Q_OBJECT

public:
    explicit StepCards(Session& session, QWidget* parent = nullptr);
    void refresh();
    /// All cards, and those of the coats among them.
    const std::vector<StepCard*>& steps() const { return steps_; }
    const std::vector<CoatCard*>& cards() const { return coats_; }
    /// Adds a step of a sort where it is usually done.
    void add(const Step& step);

signals:
    void detailsWanted(size_t index);
    void paintingWanted(size_t index);
    /// A page about the filling or topping of a step.
    void pageWanted(size_t at);

private:
    void addCoat();
    void showMenu();
    void move(size_t at, size_t to);
    void drop(size_t at, int pixels);
    void build();

    Session& session_;
    QHBoxLayout* row_;
    QPushButton* more_;
    QPushButton* coat_;
    std::vector<StepCard*> steps_;
    std::vector<CoatCard*> coats_;
    QString built_;
};

}  // namespace uovo::desktop
