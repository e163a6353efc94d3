#include "io/run_file.h"

#include <fcntl.h>
#include <fmt/format.h>
#include <sys/file.h>
#include <unistd.h>

#include <cerrno>
#include <cstring>
#include <ctime>
#include <filesystem>
#include <fstream>
#include "core/quantity/catalogue.h"

namespace uovo::io {
namespace {

tl::unexpected<Problem> failed(const std::string& path, const std::string& why) {
    return tl::unexpected(
        Problem{fmt::format("“{}”: {}", std::filesystem::path(path).filename().string(), why), "run"});
}

bool writeAll(int fd, const std::string& text) {
    for (size_t done = 0; done < text.size();) {
        const ssize_t n = ::write(fd, text.data() + done, text.size() - done);
        if (n < 0 && errno == EINTR) continue;
        if (n <= 0) return false;
        done += static_cast<size_t>(n);
    }
    return true;
}

tl::expected<std::string, int> readAll(int fd) {
    std::string out;
    char buffer[1 << 16];
    for (;;) {
        const ssize_t n = ::read(fd, buffer, sizeof buffer);
        if (n < 0 && errno == EINTR) continue;
        if (n < 0) return tl::unexpected(errno);
        if (n == 0) return out;
        out.append(buffer, static_cast<size_t>(n));
    }
}

}  // namespace

run::Stamp stampNow() {
    run::Stamp out;
    out.utc = static_cast<long long>(::time(nullptr));
    timespec t{};
    if (::clock_gettime(CLOCK_BOOTTIME, &t) == 0)
        out.up = static_cast<double>(t.tv_sec) + 1e-9 * static_cast<double>(t.tv_nsec);
    std::ifstream id("/proc/sys/kernel/random/boot_id");
    std::getline(id, out.start);
    return out;
}

RunFile::~RunFile() {
    if (fd_ >= 0) ::close(fd_);
}

RunFile::RunFile(RunFile&& other) noexcept { *this = std::move(other); }

RunFile& RunFile::operator=(RunFile&& other) noexcept {
    if (this == &other) return *this;
    if (fd_ >= 0) ::close(fd_);
    fd_ = std::exchange(other.fd_, -1);
    path_ = std::move(other.path_);
    unwritten_ = std::move(other.unwritten_);
    log_ = std::move(other.log_);
    return *this;
}

tl::expected<RunFile, Problem> RunFile::open(const std::string& path) {
    RunFile out;
    out.path_ = path;
    out.fd_ = ::open(path.c_str(), O_RDWR | O_CREAT | O_CLOEXEC, 0644);
    if (out.fd_ < 0) return failed(path, std::strerror(errno));
    if (::flock(out.fd_, LOCK_EX | LOCK_NB) != 0)
        return failed(path, tr("this day runs in another window already. Go on there, or close it."));
    const auto text = readAll(out.fd_);
    if (!text) return failed(path, std::strerror(text.error()));
    const std::string head = run::headLine();
    if (text->empty() || (text->size() < head.size() && head.starts_with(*text))) {  // new, or cut off at once
        if (::ftruncate(out.fd_, 0) != 0 || ::lseek(out.fd_, 0, SEEK_SET) < 0 || !writeAll(out.fd_, head) ||
            ::fdatasync(out.fd_) != 0)
            return failed(path, std::strerror(errno));
        return out;
    }
    auto log = run::readLog(*text);
    if (!log) return failed(path, log.error().sentence);
    out.log_ = std::move(*log);
    const auto whole = static_cast<off_t>(out.log_.whole);
    if (out.log_.torn && ::ftruncate(out.fd_, whole) != 0) return failed(path, std::strerror(errno));
    if (::lseek(out.fd_, whole, SEEK_SET) < 0) return failed(path, std::strerror(errno));
    return out;
}

tl::expected<void, Problem> RunFile::take(const run::Event& event, const run::Stamp& stamp) {
    if (auto ok = log_.run.take(event); !ok) return ok;
    log_.last = stamp;
    unwritten_ += run::lineOf(event, stamp);
    const off_t before = ::lseek(fd_, 0, SEEK_CUR);
    if (fd_ < 0 || !writeAll(fd_, unwritten_) || ::fdatasync(fd_) != 0) {
        const int error = errno;
        if (fd_ >= 0 && ::ftruncate(fd_, before) == 0) ::lseek(fd_, before, SEEK_SET);
        return failed(path_, std::string(tr("this step is not on the disk yet: ")) + std::strerror(error));
    }
    unwritten_.clear();
    return {};
}

std::string runPathOf(const std::string& plan) { return plan + "-day"; }

}  // namespace uovo::io
