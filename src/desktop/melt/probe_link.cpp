#include "desktop/melt/probe_link.h"

#include <fcntl.h>
#include <sys/socket.h>
#include <sys/stat.h>
#include <sys/un.h>
#include <termios.h>
#include <unistd.h>

#include <QDir>
#include <QElapsedTimer>
#include <QFile>
#include <cerrno>
#include <cstring>

namespace uovo::desktop {
namespace {
constexpr qint64 kFrame = 8;       // ms of reading at once: half a frame
constexpr size_t kMostLines = 100; // told of one piece of a flood
}  // namespace

ProbeLink::ProbeLink(QObject* parent) : QObject(parent) {
    again_.setInterval(1500);
    connect(&again_, &QTimer::timeout, this, &ProbeLink::connectNow);
}

ProbeLink::~ProbeLink() { close(); }

QStringList ProbeLink::found() {
    QStringList out;
    const QDir devices(QStringLiteral("/dev"));
    for (const auto& name : devices.entryList({QStringLiteral("ttyUSB*"), QStringLiteral("ttyACM*")}, QDir::System)) out << devices.filePath(name);
    for (const QString& folder : {qEnvironmentVariable("XDG_RUNTIME_DIR"), QDir::tempPath()})
        if (!folder.isEmpty())
            for (const auto& name : QDir(folder).entryList({QStringLiteral("uovo-probe*")}, QDir::System)) out << QDir(folder).filePath(name);
    out.removeDuplicates();
    return out;
}

void ProbeLink::open(const QString& path) {
    close();
    path_ = path;
    connectNow();
    if (!isOpen()) again_.start();
}

void ProbeLink::close() {
    again_.stop();
    if (notifier_) notifier_->setEnabled(false);
    notifier_.reset();
    if (device_ >= 0) ::close(device_);
    device_ = -1;
    reader_ = {};
    path_.clear();
}

void ProbeLink::connectNow() {
    if (device_ >= 0 || path_.isEmpty()) return;
    const QByteArray path = QFile::encodeName(path_);
    const auto failed = [&] { emit stateChanged(tr("%1 cannot be opened: %2").arg(path_, QString::fromLocal8Bit(std::strerror(errno))), false); };
    struct stat what {};
    if (::stat(path.constData(), &what) != 0) return failed();
    if (S_ISSOCK(what.st_mode)) {
        sockaddr_un address{};
        address.sun_family = AF_UNIX;
        if (static_cast<size_t>(path.size()) >= sizeof address.sun_path) return failed();
        std::memcpy(address.sun_path, path.constData(), static_cast<size_t>(path.size()) + 1);
        device_ = ::socket(AF_UNIX, SOCK_STREAM | SOCK_CLOEXEC | SOCK_NONBLOCK, 0);  // one that does not answer must not hold the window
        if (device_ >= 0 && ::connect(device_, reinterpret_cast<const sockaddr*>(&address), sizeof address) != 0) {
            const int why = errno;
            ::close(device_);
            device_ = -1;
            errno = why;
        }
    } else if (S_ISCHR(what.st_mode)) {
        device_ = ::open(path.constData(), O_RDONLY | O_NOCTTY | O_NONBLOCK | O_CLOEXEC);
        termios mode{};
        if (device_ >= 0 && ::tcgetattr(device_, &mode) == 0) {  // 8N1, as it comes
            ::cfmakeraw(&mode);
            mode.c_cflag |= CLOCAL | CREAD;
            ::cfsetspeed(&mode, B9600);
            ::tcsetattr(device_, TCSANOW, &mode);
        }
    } else {
        errno = ENODEV;
    }
    if (device_ < 0) return failed();
    again_.stop();
    reader_ = {};
    notifier_ = std::make_unique<QSocketNotifier>(device_, QSocketNotifier::Read);
    connect(notifier_.get(), &QSocketNotifier::activated, this, &ProbeLink::readable);
    emit stateChanged(tr("listening to %1").arg(path_), true);
}

void ProbeLink::drop(const QString& words) {
    if (notifier_) {
        notifier_->setEnabled(false);
        notifier_.release()->deleteLater();  // it may be the one that called
    }
    if (device_ >= 0) ::close(device_);
    device_ = -1;
    again_.start();
    emit stateChanged(words, false);
}

void ProbeLink::readable() {
    char bytes[4096];
    QElapsedTimer frame;
    frame.start();
    while (device_ >= 0 && frame.elapsed() < kFrame) {  // what is left comes with the next turn of the window
        const ssize_t n = ::read(device_, bytes, sizeof bytes);
        if (n < 0 && (errno == EAGAIN || errno == EINTR)) return;
        if (n <= 0) return drop(tr("The thermometer is unplugged: waiting for it."));
        const auto lines = reader_.feed({bytes, static_cast<size_t>(n)});
        // A kitchen's thermometer sends a few lines a second: of a flood every so many are enough.
        const size_t every = 1 + lines.size() / kMostLines;
        for (size_t i = 0; i < lines.size(); ++i)
            if (i % every == 0 || i + 1 == lines.size()) emit reading(lines[i]);
    }
}

}  // namespace uovo::desktop
