#include "desktop/bench/announcer.h"

#include <QSettings>
#include <algorithm>

namespace uovo::desktop {
namespace {

constexpr int kDayMinutes = 24 * 60;  // min
constexpr double kAskedFor = 0.3;     // volume at least of what somebody asks to hear
const auto kVolume = QStringLiteral("bench/volume"), kReads = QStringLiteral("bench/reads"),
           kHours = QStringLiteral("bench/quiet"), kFrom = QStringLiteral("bench/quietFrom"),
           kTo = QStringLiteral("bench/quietTo");

}  // namespace

Announcer::Announcer(QObject* parent) : QObject(parent) {
    setLoud(std::make_unique<Loudspeaker>());
    const QSettings kept;
    const run::Aloud usual;
    aloud_.volume = std::clamp(kept.value(kVolume, usual.volume).toDouble(), 0.0, 1.0);
    aloud_.reads = kept.value(kReads, usual.reads).toBool();
    aloud_.hours = kept.value(kHours, usual.hours).toBool();
    aloud_.from = std::clamp(kept.value(kFrom, usual.from).toInt(), 0, kDayMinutes - 1);
    aloud_.to = std::clamp(kept.value(kTo, usual.to).toInt(), 0, kDayMinutes - 1);
}

void Announcer::setLoud(std::unique_ptr<Loud> loud) {
    loud_ = std::move(loud);
    connect(loud_.get(), &Loud::found, this, &Announcer::changed);
}

void Announcer::setAloud(const run::Aloud& aloud) {
    if (aloud == aloud_) return;
    aloud_ = aloud;
    QSettings kept;
    kept.setValue(kVolume, aloud_.volume);
    kept.setValue(kReads, aloud_.reads);
    kept.setValue(kHours, aloud_.hours);
    kept.setValue(kFrom, aloud_.from);
    kept.setValue(kTo, aloud_.to);
    emit changed();
}

void Announcer::ring(bool late, const QString& words, int minute) {
    if (isSilent(minute)) return;
    loud_->play(late ? Loud::Sound::Late : Loud::Sound::Due, aloud_.volume);
    if (aloud_.reads) loud_->say(words, aloud_.volume);
}

void Announcer::step(const QString& words, int minute) {
    if (aloud_.reads && !isSilent(minute)) loud_->say(words, aloud_.volume);
}

void Announcer::readAgain(const QString& words) { loud_->say(words, std::max(kAskedFor, aloud_.volume)); }

QString Announcer::lacking() const {
    const bool sound = loud_->loudspeaker() != Loud::Known::No, voice = loud_->voice() != Loud::Known::No;
    if (!sound && !voice) return tr("No loudspeaker and no voice here: alarms are seen, not heard.");
    if (!sound) return tr("No loudspeaker here: alarms are seen, not heard.");
    if (!voice) return tr("No voice is installed here: it rings, and reads nothing aloud.");
    return {};
}

}  // namespace uovo::desktop
