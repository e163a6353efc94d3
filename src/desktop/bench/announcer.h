// What the bench lets be heard, and when: alarms, steps read aloud, what the thermometer says; quiet in quiet hours.
#pragma once
#include <QObject>
#include <memory>

#include "core/run/alarm.h"
#include "desktop/device/loud.h"

namespace uovo::desktop {

class Announcer : public QObject {
    Q_OBJECT

public:
    explicit Announcer(QObject* parent = nullptr);

    /// Another mouth, for tests.
    void setLoud(std::unique_ptr<Loud> loud);
    Loud& loud() const { return *loud_; }
    const run::Aloud& aloud() const { return aloud_; }
    /// Kept for the next start.
    void setAloud(const run::Aloud& aloud);
    /// Whether nothing is heard at a minute of the day but what somebody asks for.
    bool isSilent(int minute) const { return aloud_.volume <= 0 || run::isQuiet(aloud_, minute); }

    /// Rings. @param words said after the sound where steps are read aloud
    void ring(bool late, const QString& words, int minute);
    /// Reads a step as it comes, where that is wished.
    void step(const QString& words, int minute);
    /// Reads what somebody asks to hear, in quiet hours too.
    void readAgain(const QString& words);
    void hush() { loud_->hush(); }
    /// What cannot be heard here, a sentence; empty: all can.
    QString lacking() const;

signals:
    void changed();

private:
    std::unique_ptr<Loud> loud_;
    run::Aloud aloud_;
};

}  // namespace uovo::desktop
