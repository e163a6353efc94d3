// Below the stage: the coats of a piece played in time, and where their grams go.
#pragma once
#include <QLabel>
#include <QProgressBar>
#include <QPushButton>
#include <QSlider>
#include <QTimer>
#include <thread>

#include "core/stages/film_history.h"
#include "desktop/shell/session.h"
#include "desktop/stage/solid_scene.h"

namespace uovo::desktop {

/// A bar of grams: in the piece, dripped back, fallen where it rested.
class GramsBar : public QWidget {
    Q_OBJECT

public:
    explicit GramsBar(QWidget* parent = nullptr);
    void set(double piece, double back, double fell, UnitSystem units, const QColor& chocolate);
    QSize sizeHint() const override { return {252, 34}; }

protected:
    void paintEvent(QPaintEvent*) override;

private:
    double piece_ = 0, back_ = 0, fell_ = 0;
    UnitSystem units_ = UnitSystem::Metric;
    QColor chocolate_;
};

class FilmBar : public QWidget {
    Q_OBJECT

public:
    explicit FilmBar(Session& session, QWidget* parent = nullptr);
    ~FilmBar() override;
    /// @param item of a compound whose coats are shown
    void refresh(size_t item);
    bool isComputing() const { return progress_->isVisible(); }
    bool isShowing() const { return history_ != nullptr; }
    /// Computing or showing: it needs a line of its own then; else it is a button and the grams.
    bool isActive() const { return active_; }
    QSlider* slider() const { return slider_; }
    QPushButton* button() const { return play_; }
    QString words() const { return words_->text(); }
    const GramsBar* grams() const { return grams_; }
    /// Back to the finished piece.
    void close();

signals:
    void activeChanged();
    /// A moment of the coats, turned as hands hold it; none when the finished piece is shown again.
    void filmChanged(const std::optional<uovo::desktop::SolidScene>& scene);

private:
    void setActive(bool active);
    void play();
    void compute();
    void showFrame();
    void tellGrams();

    Session& session_;
    QPushButton *play_, *done_;
    QSlider* slider_;
    QProgressBar* progress_;
    QLabel* words_;
    GramsBar* grams_;
    QTimer tick_;
    std::shared_ptr<const FilmHistory> history_;
    Piece piece_;  ///< the history is of this
    size_t item_ = 0;
    bool active_ = false;
    int generation_ = 0;
    std::jthread worker_;
};

}  // namespace uovo::desktop
