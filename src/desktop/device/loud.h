// What can be heard: two sounds that ship with the program, and sentences where a voice is installed.
#pragma once
#include <QObject>
#include <QThread>
#include <functional>
#include <memory>

namespace uovo::desktop {

class Loud : public QObject {
    Q_OBJECT

public:
    enum class Sound { Due, Late };
    enum class Known { NotYet, No, Yes };
    using QObject::QObject;

    /// @param volume 0 to 1, as it is felt
    virtual void play(Sound sound, double volume) = 0;
    virtual void say(const QString& words, double volume) = 0;
    virtual void hush() = 0;
    /// Looks for a loudspeaker and a voice, once; `found` tells.
    virtual void look() = 0;
    Known loudspeaker() const { return loudspeaker_; }
    Known voice() const { return voice_; }

signals:
    void found();

protected:
    Known loudspeaker_ = Known::NotYet, voice_ = Known::NotYet;
};

/// Through Qt Multimedia and Qt TextToSpeech, on a thread of its own: a sound server that does not answer holds nobody
/// up. Nothing is opened before it is wanted.
class Loudspeaker : public Loud {
    Q_OBJECT

public:
    explicit Loudspeaker(QObject* parent = nullptr);
    ~Loudspeaker() override;
    void play(Sound sound, double volume) override;
    void say(const QString& words, double volume) override;
    void hush() override;
    void look() override;

private:
    class Mouth;
    void on(std::function<void(Mouth&)> does);
    std::unique_ptr<QThread> thread_;
    Mouth* mouth_ = nullptr;  // of the thread
};

}  // namespace uovo::desktop
