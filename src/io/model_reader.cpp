#include "io/model_reader.h"

#include <fcntl.h>
#include <fmt/format.h>
#include <poll.h>
#include <spawn.h>
#include <sys/prctl.h>
#include <sys/resource.h>
#include <sys/stat.h>
#include <sys/wait.h>
#include <unistd.h>

#include <cerrno>
#include <chrono>
#include <csignal>
#include <cstdio>
#include <cstring>
#include <filesystem>
#include <fstream>
#include <memory>

#include "core/quantity/carried.h"
#include "core/quantity/catalogue.h"
#include "io/refusal.h"

// What goes through the pipe: tagged blocks of a letter, a length of eight bytes and that many bytes, in this machine's
// own order. 'P' progress (a double), 'R' refused (a sentence), 'H' head, 'V' corners, 'T' triangles, 'W' remarks, 'E'
// end.

// g++ says so by a macro, clang by a feature.
#if defined(__SANITIZE_ADDRESS__)
#define UOVO_ADDRESS_SANITIZER 1
#elif defined(__has_feature)
#if __has_feature(address_sanitizer)
#define UOVO_ADDRESS_SANITIZER 1
#endif
#endif

namespace uovo::io {
namespace {

#if defined(UOVO_ADDRESS_SANITIZER)
constexpr bool kSanitized = true;  // its shadow takes terabytes of address space
#else
constexpr bool kSanitized = false;
#endif

struct Head {
    MeshUnit likely;
    size_t before;
    form::MeshReport report;
};

void send(char tag, const void* data, size_t n) {
    const std::uint64_t length = n;
    std::fwrite(&tag, 1, 1, stdout);
    std::fwrite(&length, sizeof length, 1, stdout);
    if (n) std::fwrite(data, 1, n, stdout);
}

/// A file descriptor that closes itself.
struct Handle {
    int fd = -1;
    explicit Handle(int f = -1) : fd(f) {}
    Handle(const Handle&) = delete;
    Handle& operator=(const Handle&) = delete;
    ~Handle() { close(); }
    void close() {
        if (fd >= 0) ::close(fd);
        fd = -1;
    }
};

/// Resident memory of a process, bytes.
size_t memoryOf(pid_t pid) {
    std::ifstream in(fmt::format("/proc/{}/statm", pid));
    size_t all = 0, resident = 0;
    in >> all >> resident;
    return resident * static_cast<size_t>(::sysconf(_SC_PAGESIZE));
}

/// What the helper said, block by block, while it arrives.
class Blocks {
public:
    explicit Blocks(const std::function<void(double)>& progress) : progress_(progress) {}
    /// @returns false when this is not what a helper says
    bool feed(const char* data, size_t n) {
        bytes_.append(data, n);
        size_t at = 0;
        while (bytes_.size() - at >= 9) {
            std::uint64_t length = 0;
            std::memcpy(&length, bytes_.data() + at + 1, 8);
            if (length > kReaderBytes) return false;
            if (bytes_.size() - at - 9 < length) break;
            if (!take(bytes_[at], bytes_.data() + at + 9, length)) return false;
            at += 9 + length;
        }
        bytes_.erase(0, at);
        return true;
    }
    bool complete() const { return ended_; }
    std::string refused;
    ReadMesh mesh;

private:
    template <class T>
    static bool copy(const char* data, size_t n, std::vector<T>& out) {
        if (n % sizeof(T)) return false;
        out.resize(n / sizeof(T));
        if (n) std::memcpy(out.data(), data, n);
        return true;
    }
    bool take(char tag, const char* data, size_t n) {
        switch (tag) {
            case 'P': {
                double p = 0;
                if (n != sizeof p) return false;
                std::memcpy(&p, data, n);
                if (progress_) progress_(p);
                return true;
            }
            case 'R':
                refused = unpacked(std::string(data, n));
                return true;
            case 'H': {
                Head head{};
                if (n != sizeof head) return false;
                std::memcpy(&head, data, n);
                mesh.likely = head.likely;
                mesh.before = head.before;
                mesh.report = head.report;
                return true;
            }
            case 'V':
                return copy(data, n, mesh.mesh.points);
            case 'T':
                return copy(data, n, mesh.mesh.triangles);
            case 'W':
                mesh.remarks = unpacked(std::string(data, n));
                return true;
            case 'E':
                ended_ = true;
                return true;
        }
        return false;
    }
    const std::function<void(double)>& progress_;
    std::string bytes_;
    bool ended_ = false;
};

std::string helper() {
    std::error_code error;
    return (std::filesystem::read_symlink("/proc/self/exe", error).parent_path() / "uovo-model-reader").string();
}

}  // namespace

tl::expected<ReadMesh, Problem> readMeshFile(const std::string& path, std::stop_token stop,
                                             const std::function<void(double)>& progress) {
    const std::string name = "“" + std::filesystem::path(path).filename().string() + "”";
    const std::string extension = extensionOf(path);
    std::error_code error;
    if (!std::filesystem::is_regular_file(path, error)) return refuse(name + tr(" is not there, or is not a file."));
    if (!isModelEnding(extension))
        return refuse(tr("Models are read from STL, OBJ, PLY and 3MF files; ") + name + tr(" is none of them."));
    Handle file(::open(path.c_str(), O_RDONLY | O_CLOEXEC | O_NONBLOCK | O_NOCTTY));
    struct stat what {};
    if (file.fd < 0 || ::fstat(file.fd, &what) != 0)
        return refuse(name + tr(" cannot be read: ") + std::strerror(errno) + ".");
    if (!S_ISREG(what.st_mode)) return refuse(name + tr(" is not there, or is not a file."));
    if (what.st_size == 0) return refuse(name + tr(" is empty."));
    if (static_cast<size_t>(what.st_size) > kLargestModel)
        return refuse(say("{} is {} MB large; models of up to {} MB are read. Thin it out first.", name,
                          what.st_size / 1'000'000, kLargestModel / 1'000'000));

    int ends[2];
    if (::pipe2(ends, O_CLOEXEC) != 0) return refuse(name + tr(" cannot be read: ") + std::strerror(errno) + ".");
    Handle from(ends[0]), to(ends[1]);
    posix_spawn_file_actions_t actions;
    posix_spawn_file_actions_init(&actions);
    posix_spawn_file_actions_adddup2(&actions, file.fd, 0);
    posix_spawn_file_actions_adddup2(&actions, to.fd, 1);
    const std::string program = helper();
    std::string arguments[]{program, extension, kCarried};
    char* const argv[]{arguments[0].data(), arguments[1].data(), isTranslated() ? arguments[2].data() : nullptr,
                       nullptr};
    pid_t pid = 0;
    const int failed = ::posix_spawn(&pid, program.c_str(), &actions, nullptr, argv, environ);
    posix_spawn_file_actions_destroy(&actions);
    to.close();
    if (failed)
        return refuse(say("The program's own part that reads models is missing or cannot be started ({}): {}.", program,
                          std::strerror(failed)));

    using Clock = std::chrono::steady_clock;
    const auto deadline = Clock::now() + std::chrono::duration<double>(kReaderSeconds * (kSanitized ? 4 : 1));
    Blocks blocks(progress);
    const std::string tooLong = say("{} takes longer than {} s to read; thin it out first.", name, kReaderSeconds);
    std::string why;
    std::vector<char> chunk(1 << 16);
    bool open = true;
    while (open && why.empty()) {
        pollfd wait{from.fd, POLLIN, 0};
        const int ready = ::poll(&wait, 1, 50);
        if (stop.stop_requested()) why = tr("Stopped.");
        else if (Clock::now() > deadline) why = tooLong;
        else if (!kSanitized && memoryOf(pid) > kReaderBytes)
            why = say("{} takes more memory to read than {} GB; thin it out first.", name, kReaderBytes / 1e9);
        else if (ready > 0) {
            const ssize_t n = ::read(from.fd, chunk.data(), chunk.size());
            open = n > 0 || (n < 0 && errno == EINTR);
            if (n > 0 && !blocks.feed(chunk.data(), static_cast<size_t>(n)))
                why = name + tr(" made its reader stumble; it was left alone.");
        }
    }
    if (!why.empty()) ::kill(pid, SIGKILL);
    int status = 0;
    while (::waitpid(pid, &status, 0) < 0 && errno == EINTR) {
    }
    if (!why.empty()) return refuse(why);
    if (!blocks.refused.empty())
        return refuse(blocks.refused.starts_with("The file") ? name + blocks.refused.substr(8) : blocks.refused);
    if (!blocks.complete() || !WIFEXITED(status) || WEXITSTATUS(status) != 0) {
        if (WIFSIGNALED(status) && WTERMSIG(status) == SIGXCPU) return refuse(tooLong);
        return refuse(name +
                      tr(" made its reader stumble: it is damaged, or takes more memory than a model may. Nothing else "
                         "was touched."));
    }
    for (const auto& t : blocks.mesh.mesh.triangles)
        for (const int i : t)
            if (i < 0 || static_cast<size_t>(i) >= blocks.mesh.mesh.points.size())
                return refuse(name + tr(" made its reader stumble; it was left alone."));
    return std::move(blocks.mesh);
}

int serveModel(const std::string& extension, bool carries) {
    if (carries) carryTexts();
    ::prctl(PR_SET_PDEATHSIG, SIGKILL);  // ends with the program that asked
    const auto limit = [](int what, rlim_t most) {
        const rlimit both{most, most};
        ::setrlimit(static_cast<__rlimit_resource>(what), &both);
    };
    if (!kSanitized) {
        limit(RLIMIT_AS, 2 * kReaderBytes);  // address space: more than what is used of it
        limit(RLIMIT_CPU, static_cast<rlim_t>(kReaderSeconds));
        limit(RLIMIT_NOFILE, 3);  // nothing else is opened, whatever a file names
    }
    limit(RLIMIT_FSIZE, 0);
    limit(RLIMIT_CORE, 0);
    try {
        std::string bytes;
        std::vector<char> chunk(1 << 20);
        while (const size_t n = std::fread(chunk.data(), 1, chunk.size(), stdin)) {
            bytes.append(chunk.data(), n);
            if (bytes.size() > kLargestModel) break;
        }
        const auto read = readMeshBytes(bytes, extension, {}, [](double p) {
            send('P', &p, sizeof p);
            std::fflush(stdout);
        });
        if (!read) {
            send('R', read.error().sentence.data(), read.error().sentence.size());
        } else {
            const Head head{read->likely, read->before, read->report};
            send('H', &head, sizeof head);
            send('V', read->mesh.points.data(), read->mesh.points.size() * sizeof(form::Vec3));
            send('T', read->mesh.triangles.data(), read->mesh.triangles.size() * sizeof(form::Triangle));
            send('W', read->remarks.data(), read->remarks.size());
            send('E', nullptr, 0);
        }
    } catch (const std::exception&) {  // out of memory, or a library's own words
        const std::string_view words =
            tr("The file made its reader stumble: it is damaged, or takes more memory than a model may.");
        send('R', words.data(), words.size());
    }
    return std::fflush(stdout) == 0 ? 0 : 1;
}

}  // namespace uovo::io
