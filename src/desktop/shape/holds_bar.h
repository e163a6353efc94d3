// Below the stage: what happens to a piece, as a strip of small pictures with its margins; one of them is shown on the
// stage.
#pragma once
#include <QAbstractButton>
#include <QCheckBox>
#include <QComboBox>
#include <QHBoxLayout>
#include <QLabel>
#include <QPainterPath>
#include <QVBoxLayout>
#include <QWidget>
#include <optional>

#include "core/stages/strength.h"
#include "desktop/kit/figure_field.h"
#include "desktop/kit/flow_layout.h"
#include "desktop/shell/session.h"
#include "desktop/stage/solid_scene.h"

namespace uovo::desktop {

/// How many times its load something bears, after a way out.
QString marginInWords(double margin);

/// One load case: the piece in outline with its forces, and its verdict.
class CaseCard : public QAbstractButton {
    Q_OBJECT

public:
    explicit CaseCard(QWidget* parent = nullptr);
    void set(const StrengthStage& stage, size_t index);
    QSize sizeHint() const override { return {136, 128}; }
    QString words() const { return title_ + QStringLiteral(": ") + headline_; }

protected:
    void paintEvent(QPaintEvent*) override;

private:
    QString title_, headline_;
    Tone tone_ = Tone::Plain;
    bool other_ = false;  // another way than the cook's own
    QPainterPath outline_;
    std::vector<QLineF> arrows_;  // tail, head
    std::optional<QPointF> weak_;
};

class HoldsBar : public QWidget {
    Q_OBJECT

public:
    explicit HoldsBar(Session& session, QWidget* parent = nullptr);
    void refresh();
    const std::vector<CaseCard*>& cards() const { return cards_; }
    size_t chosen() const { return chosen_; }
    void choose(size_t index);
    FigureField* load() const { return load_; }
    QString sentence() const { return sentence_->text(); }

public slots:
    void dragLoad(double times);
    void dropLoad();

signals:
    void snapWanted();
    /// The piece under the chosen load; none where there is nothing to show.
    void sceneChanged(const std::optional<uovo::desktop::SolidScene>& scene);

private:
    void buildLoad();      // how hard, on what
    void buildHandling();  // as the person handles it
    void show(const StrengthStage& stage);
    void tellWays(const StrengthStage& stage);
    void changeLoad(double value, const QString& typed);
    /// What a load is typed in: how much of the plan's unit one is, and its words.
    struct LoadUnit {
        double size = 1;
        QString words;
    };
    static LoadUnit unitOf(const LoadCase& c, UnitSystem units);

    Session& session_;
    std::shared_ptr<const StrengthStage> stage_;
    std::string piece_, chosenId_;
    size_t chosen_ = 0;
    bool followsWeakest_ = true;
    std::vector<CaseCard*> cards_;
    QHBoxLayout* strip_;
    FlowLayout* ways_;
    QLabel *sentence_, *unit_, *with_;
    FigureField* load_;
    QComboBox* sits_;
    QPushButton* mine_;  // this way is how I do it
    QCheckBox* oil_;
    QWidget* handling_;
    QWidget* loadRow_;
    std::optional<double> dragFrom_;
};

}  // namespace uovo::desktop
