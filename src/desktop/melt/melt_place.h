// Melt: the pots of the plan, how each is tempered, what to buy.
#pragma once
#include <QComboBox>
#include <QLabel>
#include <QStackedWidget>
#include <QVBoxLayout>
#include <QWidget>

#include "desktop/kit/split.h"
#include "desktop/melt/live_panel.h"
#include "desktop/melt/pot_card.h"
#include "desktop/melt/shopping_panel.h"
#include "desktop/melt/temper_curve.h"

namespace uovo::desktop {

class MeltPlace : public QWidget {
    Q_OBJECT

public:
    MeltPlace(Session& session, ProbeLink& probe, QWidget* parent = nullptr);
    void refresh();
    const std::vector<PotCard*>& pots() const { return cards_; }
    TemperCurve* curve() const { return curve_; }
    ShoppingPanel* shopping() const { return shopping_; }
    LivePanel* live() const { return live_; }
    size_t chosen() const { return chosen_; }
    void choose(size_t pot);

signals:
    /// A colour of the plan is to be looked at.
    void colourWanted(const QString& id);

protected:
    void showEvent(QShowEvent*) override;
    void resizeEvent(QResizeEvent*) override;

private:
    void change(const QString& label, const std::function<void(temper::Choice&)>& edit);
    QWidget* whichSide();   // pots or list, where both share a side
    QWidget* sentence();    // how the pot is tempered
    QWidget* packetLine();  // what its packet says
    void showPot();
    void showSentence(const temper::Choice& choice);
    void showSittings(const batch::Pot& pot);
    void showSteps(const MeltPlan& melt);
    void showColours();
    void showLabel();

    Session& session_;
    QVBoxLayout *list_, *colours_, *steps_;
    std::vector<PotCard*> cards_;
    QLabel *title_, *summary_, *clock_;
    QWidget* label_;
    std::vector<FigureField*> labels_;
    QComboBox *method_, *vessel_, *fresh_, *heat_, *look_;
    FigureField* watts_;
    TemperCurve* curve_;
    LivePanel* live_;
    ShoppingPanel* shopping_;
    Split* split_;
    QStackedWidget* sides_;
    QWidget *which_, *buy_;
    bool three_ = true;
    size_t chosen_ = 0;
};

}  // namespace uovo::desktop
