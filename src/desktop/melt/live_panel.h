// Tempering now: the thermometer's figure in large digits, what to do, and a field for those who read it themselves.
#pragma once
#include <QComboBox>
#include <QElapsedTimer>
#include <QLabel>
#include <QPushButton>
#include <QWidget>
#include <optional>

#include "core/probe/coach.h"
#include "desktop/device/probe_link.h"
#include "desktop/kit/figure_field.h"
#include "desktop/shell/session.h"

namespace uovo::desktop {

class LivePanel : public QWidget {
    Q_OBJECT

public:
    LivePanel(Session& session, ProbeLink& link, QWidget* parent = nullptr);
    /// The pot that is looked at and would be tempered next. What is under way goes on as it was planned, whichever pot
    /// is looked at.
    void setPot(const QString& key, const QString& name, const temper::TemperPlan& plan,
                const material::Coating& coating, double mass, double watts);
    void begin();
    void end();
    bool isRunning() const { return coach_.has_value(); }
    /// Listens to a device at this path.
    void listen(const QString& path);
    ProbeLink& link() { return link_; }
    QString prompt() const { return prompt_->text(); }
    QString digits() const { return digits_->text(); }
    /// Seconds and °C of the run, where it is of the pot that is looked at; else empty.
    std::vector<QPointF> curve() const { return runs_ == key_ ? curve_ : std::vector<QPointF>{}; }

signals:
    void curveChanged();

protected:
    void showEvent(QShowEvent*) override;

private:
    void read(double seconds, double celsius);
    void lookForDevices();
    void tellWhose();

    Session& session_;
    ProbeLink& link_;
    QString key_, name_, runs_, runsName_;  ///< the pot that is looked at, and that of the run
    temper::TemperPlan plan_;
    material::Coating coating_;
    double mass_ = 0, watts_ = 800, device_ = 0;  ///< s: the device's clock as it was last told
    std::optional<double> offset_;                // s: the device's clock when this began; none until it was heard
    std::optional<probe::Coach> coach_;
    QElapsedTimer clock_;
    std::vector<QPointF> curve_;
    QLabel *digits_, *prompt_, *state_, *scale_;
    QPushButton* begin_;
    QComboBox* devices_;
    FigureField* typed_;
};

}  // namespace uovo::desktop
