// A thermometer or scale on a serial port or a local socket: opened, read, and found again after it was unplugged.
#pragma once
#include <QObject>
#include <QSocketNotifier>
#include <QStringList>
#include <QTimer>
#include <memory>

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
    bool isOpen() const { return device_ >= 0; }
    const QString& path() const { return path_; }
    size_t garbage() const { return reader_.garbage(); }

signals:
    void reading(const uovo::probe::Reading& reading);
    /// "connected to …", "unplugged: waiting for it", "… cannot be opened: …"
    void stateChanged(const QString& words, bool connected);

private:
    void connectNow();
    void drop(const QString& words);
    void readable();

    QString path_;
    int device_ = -1;
    probe::Reader reader_;
    std::unique_ptr<QSocketNotifier> notifier_;
    QTimer again_;
};

}  // namespace uovo::desktop
