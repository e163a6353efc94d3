#include "io/plan_file.h"

#include <fcntl.h>
#include <sys/stat.h>
#include <unistd.h>

#include <cerrno>
#include <charconv>
#include <csignal>
#include <cstring>
#include <filesystem>
#include <fstream>
#include <sstream>
#include "core/quantity/catalogue.h"

namespace uovo::io {
namespace {

std::string because(int error) {
    switch (error) {
        case ENOSPC:
            return tr("the disk is full");
        case EDQUOT:
            return tr("your share of the disk is full");
        case EFBIG:
            return tr("a file may not be that large here");
        case EACCES:
        case EPERM:
            return tr("you may not write there");
        case EROFS:
            return tr("it is on a read-only disk");
        case ENOENT:
            return tr("the folder does not exist");
        case EISDIR:
            return tr("it is a folder");
        default:
            return std::strerror(error);
    }
}

constexpr const char* kWriting = ".uovo-writing-";  // and the number of the process that writes

/// Removes what programs that were killed while they wrote this file left beside it.
void sweep(const std::string& target) {
    std::error_code ignored;
    const std::filesystem::path path(target), folder = path.has_parent_path() ? path.parent_path() : ".";
    const std::string begins = path.filename().string() + kWriting;
    for (const auto& entry : std::filesystem::directory_iterator(folder, ignored)) {
        const std::string name = entry.path().filename().string();
        if (!name.starts_with(begins)) continue;
        const std::string number = name.substr(begins.size());
        pid_t pid = 0;
        const auto [end, error] = std::from_chars(number.data(), number.data() + number.size(), pid);
        if (error == std::errc() && end == number.data() + number.size() && pid > 0 && ::kill(pid, 0) != 0 &&
            errno == ESRCH)
            std::filesystem::remove(entry.path(), ignored);
    }
}

tl::unexpected<Problem> notSaved(const std::string& path, int error) {
    return tl::unexpected(
        Problem{"“" + std::filesystem::path(path).filename().string() + tr("” was not saved: ") + because(error) +
                tr(". The older file is untouched and your plan is still open here; save it in another place.")});
}

}  // namespace

tl::expected<void, Problem> writeWhole(const std::string& path, const std::string& text, Fault fault) {
    // A link is followed so that it stays a link.
    std::error_code ignored;
    std::string target =
        std::filesystem::is_symlink(path, ignored) ? std::filesystem::weakly_canonical(path, ignored).string() : path;
    if (target.empty()) target = path;
    if (std::filesystem::is_directory(target, ignored)) return notSaved(path, EISDIR);
    const std::string temporary = target + kWriting + std::to_string(::getpid());
    const int fd = fault == Fault::Open ? (errno = EACCES, -1)
                                        : ::open(temporary.c_str(), O_WRONLY | O_CREAT | O_TRUNC | O_CLOEXEC, 0644);
    if (fd < 0) return notSaved(path, errno);
    const auto fail = [&](int error) {
        ::close(fd);
        ::unlink(temporary.c_str());
        return notSaved(path, error);
    };
    struct stat old {};
    if (::stat(target.c_str(), &old) == 0) (void)::fchmod(fd, old.st_mode & 07777);
    size_t done = 0;
    while (done < text.size()) {
        const size_t want = fault == Fault::Write ? (text.size() - done) / 2 : text.size() - done;
        const ssize_t n =
            fault == Fault::Write && done > 0 ? (errno = ENOSPC, -1) : ::write(fd, text.data() + done, want);
        if (n < 0 && errno == EINTR) continue;
        if (n < 0) return fail(errno);
        done += static_cast<size_t>(n);
    }
    if (fault == Fault::Sync || ::fsync(fd) != 0) return fail(fault == Fault::Sync ? EIO : errno);
    if (fault == Fault::Rename || ::rename(temporary.c_str(), target.c_str()) != 0)
        return fail(fault == Fault::Rename ? EACCES : errno);
    ::close(fd);
    const std::string folder = std::filesystem::path(target).parent_path().string();
    sweep(target);
    if (const int d = ::open(folder.empty() ? "." : folder.c_str(), O_RDONLY | O_DIRECTORY | O_CLOEXEC); d >= 0) {
        (void)::fsync(d);
        ::close(d);
    }
    return {};
}

tl::expected<std::string, Problem> readWhole(const std::string& path, size_t most) {
    std::error_code error;
    const std::string name = "“" + std::filesystem::path(path).filename().string() + "”";
    if (!std::filesystem::exists(path, error)) return tl::unexpected(Problem{name + tr(" is not there.")});
    if (!std::filesystem::is_regular_file(path, error)) return tl::unexpected(Problem{name + tr(" is not a file.")});
    if (std::filesystem::file_size(path, error) > most) return tl::unexpected(Problem{name + tr(" is too large.")});
    std::ifstream in(path, std::ios::binary);
    std::stringstream text;
    text << in.rdbuf();
    if (!in || text.bad()) return tl::unexpected(Problem{name + tr(" cannot be read: ") + because(errno) + "."});
    return text.str();
}

tl::expected<Plan, Problem> loadPlan(const std::string& path) {
    auto text = readWhole(path);
    if (!text) return tl::unexpected(text.error());
    return readPlan(*text);
}

tl::expected<void, Problem> savePlan(const std::string& path, const Plan& plan, Fault fault) {
    return writeWhole(path, writePlan(plan), fault);
}

}  // namespace uovo::io
