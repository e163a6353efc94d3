#include "desktop/device/loud.h"

#include <QApplication>
#include <QAudioDevice>
#include <QAudioOutput>
#include <QMediaDevices>
#include <QSoundEffect>
#include <QTextToSpeech>
#include <QUrl>
#include <QVoice>

/// A resource of a static library is only there when it is asked for.
static void initSounds() { Q_INIT_RESOURCE(sounds); }

namespace uovo::desktop {

/// Lives on the loudspeaker's thread.
class Loudspeaker::Mouth : public QObject {
public:
    bool hasLoudspeaker() const { return !QMediaDevices::defaultAudioOutput().isNull(); }
    bool hasVoice() {
        voice();
        return speech_ && speech_->state() != QTextToSpeech::Error && !speech_->availableVoices().isEmpty();
    }
    void play(Sound sound, double volume) {
        auto& effect = effects_[sound == Sound::Due ? 0 : 1];
        if (!effect) {
            effect = new QSoundEffect(this);
            effect->setSource(QUrl(sound == Sound::Due ? QStringLiteral("qrc:/uovo/sounds/due.wav")
                                                       : QStringLiteral("qrc:/uovo/sounds/late.wav")));
        }
        effect->setVolume(static_cast<float>(QAudio::convertVolume(
            static_cast<float>(volume), QAudio::LogarithmicVolumeScale, QAudio::LinearVolumeScale)));
        effect->play();
    }
    void say(const QString& words, double volume) {
        if (!hasVoice()) return;
        speech_->stop();
        speech_->setVolume(volume);
        speech_->say(words);
    }
    void hush() {
        for (auto* e : effects_)
            if (e) e->stop();
        if (speech_) speech_->stop();
    }

private:
    void voice() {
        if (asked_) return;
        asked_ = true;
        if (!QTextToSpeech::availableEngines().isEmpty()) speech_ = new QTextToSpeech(this);
    }
    QSoundEffect* effects_[2]{};
    QTextToSpeech* speech_ = nullptr;
    bool asked_ = false;
};

Loudspeaker::Loudspeaker(QObject* parent) : Loud(parent) { initSounds(); }

Loudspeaker::~Loudspeaker() {
    if (!thread_) return;
    thread_->quit();
    constexpr unsigned long kPatience = 2000;  // ms
    if (thread_->wait(kPatience)) return;
    const QThread* left = thread_.release();  // a sound server hangs: the program does not
    Q_UNUSED(left)
}

void Loudspeaker::on(std::function<void(Mouth&)> does) {
    if (!thread_) {
        thread_ = std::make_unique<QThread>();
        mouth_ = new Mouth;
        mouth_->moveToThread(thread_.get());
        connect(thread_.get(), &QThread::finished, mouth_, &QObject::deleteLater);
        thread_->start();
    }
    QMetaObject::invokeMethod(
        mouth_, [m = mouth_, does = std::move(does)] { does(*m); }, Qt::QueuedConnection);
}

void Loudspeaker::look() {
    if (thread_) return;
    on([this](Mouth& m) {
        const bool sound = m.hasLoudspeaker(), voice = m.hasVoice();
        QMetaObject::invokeMethod(
            this,
            [this, sound, voice] {
                loudspeaker_ = sound ? Known::Yes : Known::No;
                voice_ = voice ? Known::Yes : Known::No;
                emit found();
            },
            Qt::QueuedConnection);
    });
}

void Loudspeaker::play(Sound sound, double volume) {
    if (loudspeaker_ == Known::No) return QApplication::beep();  // what the screen has
    on([sound, volume](Mouth& m) { m.play(sound, volume); });
}

void Loudspeaker::say(const QString& words, double volume) {
    if (voice_ == Known::No) return;
    on([words, volume](Mouth& m) { m.say(words, volume); });
}

void Loudspeaker::hush() {
    if (thread_) on([](Mouth& m) { m.hush(); });
}

}  // namespace uovo::desktop
