// The page that looks for the making of a wanted wall, beside the piece it is for.
#pragma once
#include <QComboBox>
#include <QProgressBar>
#include <QPushButton>
#include <QVBoxLayout>
#include <thread>

#include "core/stages/advisor.h"
#include "desktop/kit/figure_field.h"
#include "desktop/shell/session.h"

namespace uovo::desktop {

class AdvisorPage : public QWidget {
    Q_OBJECT

public:
    explicit AdvisorPage(Session& session, QWidget* parent = nullptr);
    ~AdvisorPage() override;

    /// Looks anew for the wish in the fields; what is under way is stopped.
    void look();
    bool isLooking() const { return progress_->isVisible(); }

private:
    void wishChanged();
    void show(const tl::expected<Advised, Problem>& found);

    Session& session_;
    QString piece_;
    QComboBox* wish_;
    QVBoxLayout *field_, *list_;
    FigureField* figure_ = nullptr;
    Measure value_;
    QProgressBar* progress_;
    QPushButton *look_, *stop_;
    int generation_ = 0;
    std::jthread worker_;
};

}  // namespace uovo::desktop
