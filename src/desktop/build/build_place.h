// Build: the parts of a piece pulled apart, in the order in which they are put together.
#pragma once
#include <QComboBox>
#include <QLabel>
#include <QSlider>
#include <QWidget>

#include "desktop/build/build_stage.h"
#include "desktop/build/hand_bar.h"
#include "desktop/build/joints_column.h"
#include "desktop/build/order_strip.h"
#include "desktop/build/templates_view.h"
#include "desktop/shell/session.h"

namespace uovo::desktop {

class BuildPlace : public QWidget {
    Q_OBJECT

public:
    explicit BuildPlace(Session& session, QWidget* parent = nullptr);
    BuildStage* stage() const { return stage_; }
    OrderStrip* strip() const { return strip_; }
    JointsColumn* joints() const { return joints_; }
    HandStage* hand() const { return hand_; }
    HandBar* bar() const { return bar_; }
    TemplatesView* templates() const { return templates_; }
    /// Whether parts are put in their places by hand, or the order is walked through.
    bool byHand() const;
    size_t step() const { return step_; }
    void setStep(size_t step);

signals:
    void workingWanted(const uovo::Answer& answer);
    void said(const QString& words, bool wrong);
    /// An outline from a picture or of letters is wanted for a part.
    void outlineWanted(const QString& item);
    void mendWanted(const QString& item);

protected:
    void showEvent(QShowEvent*) override;
    void keyPressEvent(QKeyEvent*) override;

private:
    void refresh();
    void show(size_t step);
    void start();
    /// Another order is wanted: made where every state stands, else refused with the reason drawn.
    void reorder(size_t from, size_t to);
    void sayAbout(const Made& made);
    void fillPieces();
    QWidget* head();

    Session& session_;
    QLabel *about_, *number_, *what_, *how_, *empty_;
    QComboBox* pieces_;
    QPushButton *open_, *start_, *inOrder_, *byHand_, *cut_, *found_;
    QWidget *middle_, *below_;
    HandStage* hand_;
    HandBar* bar_;
    TemplatesView* templates_;
    BuildStage* stage_;
    OrderStrip* strip_;
    QSlider* slider_;
    JointsColumn* joints_;
    SolidScene whole_;
    std::shared_ptr<const PieceAnswers> answers_;
    std::shared_ptr<const PutTogether> refused_;  ///< an order that was wanted and does not stand, while it is shown
    std::vector<OrderLine> lines_;
    size_t step_ = 0;
    std::string piece_;
};

}  // namespace uovo::desktop
