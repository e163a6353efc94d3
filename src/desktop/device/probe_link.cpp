#include "desktop/device/probe_link.h"

#include <QDir>
#include <QFile>
#include <QLocalSocket>
#include <QSerialPort>
#include <QSerialPortInfo>
#include <QTimer>
#include <algorithm>
#include <filesystem>

namespace uovo::desktop {
namespace {

constexpr int kAgain = 1500;           // ms until a device that is not there is looked for again
constexpr int kFrame = 16;             // ms between two tellings of a flood
constexpr qint64 kMostUnread = 65536;  // bytes of a flood that are kept until they are read
constexpr size_t kMostAtOnce = 50;     // lines told in one
// A kitchen's thermometer sends a few lines a second: of a flood every other is enough.
constexpr size_t kMostWaiting = 400;

bool isSocket(const QString& path) {
    std::error_code none;
    return std::filesystem::is_socket(QFile::encodeName(path).toStdString(), none);
}

QString why(QSerialPort::SerialPortError error, const QString& words) {
    switch (error) {
        case QSerialPort::DeviceNotFoundError:
            return ProbeLink::tr("there is no such device");
        case QSerialPort::PermissionError:
            return ProbeLink::tr("another program listens to it, or this account may not read it");
        default:
            return words;
    }
}

}  // namespace

/// Lives on the link's thread, and the device with it.
class ProbeLink::Ear : public QObject {
public:
    Ear(ProbeLink& link, QString path) : link_(link), path_(std::move(path)), again_(this) {
        again_.setInterval(kAgain);
        connect(&again_, &QTimer::timeout, this, &Ear::open);
    }

    ~Ear() override {
        if (device_) device_->disconnect(this);  // that it is closed is no news
    }

    void open() {
        device_.reset();  // never from its own signals; and its lock goes before it is opened again
        heard_ = false;
        again_.start();
        reader_ = {};
        isSocket(path_) ? openSocket() : openPort();
    }

private:
    void openSocket() {
        auto* socket = new QLocalSocket;
        device_.reset(socket);
        socket->setReadBufferSize(kMostUnread);
        connect(socket, &QLocalSocket::connected, this, &Ear::opened);
        connect(socket, &QLocalSocket::readyRead, this, &Ear::read);
        connect(socket, &QLocalSocket::disconnected, this, &Ear::lost);
        connect(socket, &QLocalSocket::errorOccurred, this, [this, socket] {
            if (!heard_) refused(socket->errorString());
        });
        socket->connectToServer(path_, QIODevice::ReadOnly);
    }

    void openPort() {
        auto* port = new QSerialPort(path_);  // 9600 8N1, as it comes
        device_.reset(port);
        port->setReadBufferSize(kMostUnread);
        if (!port->open(QIODevice::ReadOnly)) return refused(why(port->error(), port->errorString()));
        connect(port, &QSerialPort::readyRead, this, &Ear::read);
        connect(port, &QSerialPort::errorOccurred, this, [this](QSerialPort::SerialPortError error) {
            if (error != QSerialPort::NoError) lost();
        });
        opened();
    }

    void opened() {
        again_.stop();
        heard_ = true;
        link_.tell({{}, tr("listening to %1").arg(path_), true});
    }

    void read() {
        const QByteArray bytes = device_->readAll();
        for (auto& reading : reader_.feed({bytes.constData(), static_cast<size_t>(bytes.size())}))
            link_.tell({std::move(reading), {}, false});
        link_.garbage_ = reader_.garbage();
    }

    void refused(const QString& reason) {
        if (!said_) link_.tell({{}, tr("%1 cannot be opened: %2").arg(path_, reason), false});
        said_ = true;
    }

    void lost() {
        if (!heard_) return;
        heard_ = false;
        said_ = true;
        link_.tell({{}, tr("The thermometer is unplugged: waiting for it."), false});
        again_.start();
    }

    ProbeLink& link_;
    QString path_;
    QTimer again_;
    probe::Reader reader_;
    bool heard_ = false;  // it is open
    bool said_ = false;   // that it cannot be opened or is gone: once
    std::unique_ptr<QIODevice> device_;
};

ProbeLink::ProbeLink(QObject* parent) : QObject(parent) {}

ProbeLink::~ProbeLink() { close(); }

QStringList ProbeLink::found() {
    QStringList out;
    for (const auto& port : QSerialPortInfo::availablePorts())
        if (port.hasVendorIdentifier()) out << port.systemLocation();  // plugged in, not soldered in
    for (const QString& folder : {qEnvironmentVariable("XDG_RUNTIME_DIR"), QDir::tempPath()})
        if (!folder.isEmpty())
            for (const auto& name : QDir(folder).entryList({QStringLiteral("uovo-probe*")}, QDir::System))
                out << QDir(folder).filePath(name);
    out.removeDuplicates();
    return out;
}

void ProbeLink::open(const QString& path) {
    close();
    path_ = path;
    thread_ = std::make_unique<QThread>();  // never started twice: in Qt 6.4 its objects then refer to what has ended
    auto* ear = new Ear(*this, path);
    ear->moveToThread(thread_.get());
    connect(thread_.get(), &QThread::started, ear, &Ear::open);
    connect(thread_.get(), &QThread::finished, ear, &QObject::deleteLater);
    thread_->start();
}

void ProbeLink::close() {
    if (thread_) {
        thread_->quit();
        thread_->wait();
        thread_.reset();
    }
    const std::lock_guard lock(mutex_);
    news_.clear();
    open_ = false;
    garbage_ = 0;
    path_.clear();
}

void ProbeLink::tell(News news) {
    const std::lock_guard lock(mutex_);
    if (news_.size() >= kMostWaiting) {  // every other reading goes
        size_t k = 0;
        std::erase_if(news_, [&](const News& n) { return n.state.isEmpty() && k++ % 2 == 0; });
    }
    news_.push_back(std::move(news));
    if (!asked_) {
        asked_ = true;
        QMetaObject::invokeMethod(this, &ProbeLink::deliver, Qt::QueuedConnection);
    }
}

void ProbeLink::deliver() {
    std::vector<News> now;
    {
        const std::lock_guard lock(mutex_);
        const size_t n = std::min(news_.size(), kMostAtOnce);
        now.assign(std::make_move_iterator(news_.begin()),
                   std::make_move_iterator(news_.begin() + static_cast<std::ptrdiff_t>(n)));
        news_.erase(news_.begin(), news_.begin() + static_cast<std::ptrdiff_t>(n));
        asked_ = !news_.empty();
        if (asked_) QTimer::singleShot(kFrame, this, &ProbeLink::deliver);
    }
    for (const News& n : now) {
        if (path_.isEmpty()) return;  // closed by who was told
        if (n.state.isEmpty()) {
            emit reading(n.reading);
        } else {
            open_ = n.connected;
            emit stateChanged(n.state, n.connected);
        }
    }
}

}  // namespace uovo::desktop
