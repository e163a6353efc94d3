// The thermometer at the bench: the pot of the step that is shown is watched while it is tempered and as long as it is
// in use; what it reads becomes part of the run.
#pragma once
#include <QElapsedTimer>
#include <QObject>
#include <optional>

#include "core/probe/coach.h"
#include "desktop/bench/run_keeper.h"
#include "desktop/device/probe_link.h"

namespace uovo::desktop {

class PotWatch : public QObject {
    Q_OBJECT

public:
    PotWatch(Session& session, RunKeeper& keeper, ProbeLink& link, QObject* parent = nullptr);

    /// Watches the pot of a step; null, or a step without a pot that is watched: none.
    void follow(const run::Step* step);
    /// A figure that somebody read themselves, °C.
    void typed(double celsius);
    /// The pot that is watched; empty: none.
    const std::string& pot() const { return pot_; }
    /// What was read last of it, °C; none: nothing yet.
    std::optional<double> celsius() const { return celsius_; }
    probe::Prompt prompt() const { return coach_ ? coach_->now() : probe::Prompt{}; }
    /// What lies on the scale, kg; none: nothing is known, or not any more.
    std::optional<double> scale() const;

signals:
    void changed();
    /// What to do now has changed.
    void prompted(const QString& words, uovo::probe::Prompt::Tone tone);

private:
    void read(double seconds, double celsius);
    void keep(double celsius);
    /// The last reading of the pot that the run has, by this window or another; null: none.
    const run::Event* lastKept() const;

    Session& session_;
    RunKeeper& keeper_;
    ProbeLink& link_;
    std::string pot_, kind_;  // and what is done to it: "temper", or it is used
    std::optional<probe::Coach> coach_;
    std::optional<double> celsius_, mass_;
    QElapsedTimer since_, weighed_;
};

}  // namespace uovo::desktop
