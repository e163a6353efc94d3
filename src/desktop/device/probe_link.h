// A thermometer or scale on a serial port or a local socket: opened, read, and found again after it was unplugged. All
// of it on a thread of its own: whatever a device does, the window goes on.
#pragma once
#include <QObject>
#include <QStringList>
#include <QThread>
#include <atomic>
#include <deque>
#include <memory>
#include <mutex>

#include "core/probe/reader.h"

namespace uovo::desktop {

class ProbeLink : public QObject {
    Q_OBJECT

public:
    explicit ProbeLink(QObject* parent = nullptr);
    ~ProbeLink() override;

    /// Places where a device may be now: serial ports, the practice probe's sockets.
    static QStringList found();
    /// Opens a device; tries again every second or two until `close`.
    void open(const QString& path);
    void close();
    bool isOpen() const { return open_; }
    const QString& path() const { return path_; }
    size_t garbage() const { return garbage_; }

signals:
    void reading(const uovo::probe::Reading& reading);
    /// "connected to …", "unplugged: waiting for it", "… cannot be opened: …"
    void stateChanged(const QString& words, bool connected);

private:
    /// What the thread has to tell, in its order.
    struct News {
        probe::Reading reading;
        QString state;  // not empty: this and not a reading
        bool connected = false;
    };
    class Ear;
    void tell(News news);
    void deliver();

    QString path_;
    bool open_ = false;
    std::atomic<size_t> garbage_ = 0;
    std::mutex mutex_;
    std::deque<News> news_;            // not told yet, at most kMostWaiting
    bool asked_ = false;               // deliver() is on its way
    std::unique_ptr<QThread> thread_;  // while something is open
};

}  // namespace uovo::desktop
