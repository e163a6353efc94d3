#include "desktop/melt/probe_link.h"

#include <fcntl.h>
#include <poll.h>
#include <sys/eventfd.h>
#include <sys/socket.h>
#include <sys/stat.h>
#include <sys/un.h>
#include <termios.h>
#include <unistd.h>

#include <QDir>
#include <QFile>
#include <QTimer>
#include <algorithm>
#include <cerrno>
#include <cstring>

namespace uovo::desktop {
namespace {

constexpr int kAgain = 1500;        // ms until a device that is not there is looked for again
constexpr int kFrame = 16;          // ms between two tellings of a flood
constexpr size_t kMostAtOnce = 50;  // lines told in one
constexpr size_t kMostWaiting =
    400;  // a kitchen's thermometer sends a few a second: of a flood every other line is enough

/// @returns a file descriptor that never blocks, or -1 with errno
int opened(const QByteArray& path) {
    struct stat what {};
    if (::stat(path.constData(), &what) != 0) return -1;
    if (S_ISSOCK(what.st_mode)) {
        sockaddr_un address{};
        address.sun_family = AF_UNIX;
        if (static_cast<size_t>(path.size()) >= sizeof address.sun_path) return errno = ENAMETOOLONG, -1;
        std::memcpy(address.sun_path, path.constData(), static_cast<size_t>(path.size()) + 1);
        const int fd = ::socket(AF_UNIX, SOCK_STREAM | SOCK_CLOEXEC | SOCK_NONBLOCK, 0);
        if (fd >= 0 && ::connect(fd, reinterpret_cast<const sockaddr*>(&address), sizeof address) != 0) {
            const int why = errno;
            ::close(fd);
            errno = why;
            return -1;
        }
        return fd;
    }
    if (!S_ISCHR(what.st_mode)) return errno = ENODEV, -1;
    const int fd = ::open(path.constData(), O_RDONLY | O_NOCTTY | O_NONBLOCK | O_CLOEXEC);
    termios mode{};
    if (fd >= 0 && ::tcgetattr(fd, &mode) == 0) {  // 8N1, as it comes
        ::cfmakeraw(&mode);
        mode.c_cflag |= CLOCAL | CREAD;
        ::cfsetspeed(&mode, B9600);
        ::tcsetattr(fd, TCSANOW, &mode);
    }
    return fd;
}

}  // namespace

ProbeLink::ProbeLink(QObject* parent) : QObject(parent), wake_(::eventfd(0, EFD_CLOEXEC | EFD_NONBLOCK)) {}

ProbeLink::~ProbeLink() {
    close();
    ::close(wake_);
}

QStringList ProbeLink::found() {
    QStringList out;
    const QDir devices(QStringLiteral("/dev"));
    for (const auto& name : devices.entryList({QStringLiteral("ttyUSB*"), QStringLiteral("ttyACM*")}, QDir::System))
        out << devices.filePath(name);
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
    thread_ = std::jthread([this, name = QFile::encodeName(path)](std::stop_token stop) { listen(stop, name); });
}

void ProbeLink::close() {
    if (thread_.joinable()) {
        thread_.request_stop();
        const std::uint64_t one = 1;
        (void)!::write(wake_, &one, sizeof one);
        thread_.join();
        std::uint64_t drained = 0;
        (void)!::read(wake_, &drained, sizeof drained);
    }
    const std::lock_guard lock(mutex_);
    news_.clear();
    open_ = false;
    garbage_ = 0;
    path_.clear();
}

void ProbeLink::listen(std::stop_token stop, QByteArray path) {
    const QString name = QFile::decodeName(path);
    QString last;  // said once
    while (!stop.stop_requested()) {
        const int device = opened(path);
        if (device < 0) {
            const QString words = tr("%1 cannot be opened: %2").arg(name, QString::fromLocal8Bit(std::strerror(errno)));
            if (last.isEmpty()) tell({{}, last = words, false});
        } else {
            tell({{}, tr("listening to %1").arg(name), true});
            last = read(stop, device);
            ::close(device);
            if (!last.isEmpty()) tell({{}, last, false});
        }
        pollfd wait{wake_, POLLIN, 0};
        if (!stop.stop_requested()) ::poll(&wait, 1, kAgain);
    }
}

QString ProbeLink::read(std::stop_token stop, int device) {
    probe::Reader reader;
    char bytes[4096];
    while (!stop.stop_requested()) {
        pollfd wait[2]{{device, POLLIN, 0}, {wake_, POLLIN, 0}};
        if (::poll(wait, 2, -1) < 0 && errno != EINTR) break;
        if (stop.stop_requested()) return {};
        if (!wait[0].revents) continue;
        const ssize_t n = ::read(device, bytes, sizeof bytes);
        if (n < 0 && (errno == EAGAIN || errno == EINTR)) continue;
        if (n <= 0) break;
        for (auto& reading : reader.feed({bytes, static_cast<size_t>(n)})) tell({std::move(reading), {}, false});
        garbage_ = reader.garbage();
    }
    return stop.stop_requested() ? QString() : tr("The thermometer is unplugged: waiting for it.");
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
