#include <fmt/format.h>
#include <poll.h>
#include <sys/resource.h>
#include <sys/wait.h>
#include <unistd.h>

#include <cmath>
#include <csignal>
#include <cstring>
#include <filesystem>
#include <fstream>

#include "storm/storm.h"

namespace uovo::storm {

Trial inChild(const std::function<std::string()>& work, double seconds, double megabytes) {
    int ends[2];
    if (::pipe(ends) != 0) return {"no pipe", 0, 0};
    std::fflush(nullptr);
    const pid_t pid = ::fork();
    if (pid == 0) {
        ::close(ends[0]);
        const auto most = static_cast<rlim_t>(std::ceil(seconds));
        const rlimit cpu{most, most + 2}, core{0, 0};
        ::setrlimit(RLIMIT_CPU, &cpu);
        ::setrlimit(RLIMIT_CORE, &core);
        std::string words;
        try {
            words = work();
        } catch (const std::exception& e) {
            words = std::string("thrown: ") + e.what();
        }
        words.resize(std::min<size_t>(words.size(), 4000));
        (void)!::write(ends[1], words.data(), words.size());
        std::_Exit(0);
    }
    ::close(ends[1]);
    Trial out;
    char buffer[4096];
    pollfd wait{ends[0], POLLIN, 0};
    bool late = false;
    while (!late) {
        const int ready = ::poll(&wait, 1, static_cast<int>(3000 * seconds));
        if (ready < 0 && errno == EINTR) continue;
        late = ready == 0;
        const ssize_t n = ready > 0 ? ::read(ends[0], buffer, sizeof buffer) : 0;
        if (n <= 0) break;
        out.wrong.append(buffer, static_cast<size_t>(n));
    }
    ::close(ends[0]);
    if (late) ::kill(pid, SIGKILL);
    int status = 0;
    rusage used{};
    ::wait4(pid, &status, 0, &used);
    const auto time = [](const timeval& t) {
        return static_cast<double>(t.tv_sec) + 1e-6 * static_cast<double>(t.tv_usec);
    };
    out.seconds = time(used.ru_utime) + time(used.ru_stime);
    out.megabytes = static_cast<double>(used.ru_maxrss) / 1000;
    if (late) out.wrong = fmt::format("it hangs: nothing for {:.0f} s", 3 * seconds);
    else if (WIFSIGNALED(status) && WTERMSIG(status) == SIGXCPU)
        out.wrong = fmt::format("longer than {:.0f} s", seconds);
    else if (WIFSIGNALED(status)) out.wrong = fmt::format("ended by {} ({})", ::strsignal(WTERMSIG(status)), out.wrong);
    else if (!WIFEXITED(status) || WEXITSTATUS(status) != 0)
        out.wrong = fmt::format("ended with {} ({})", WEXITSTATUS(status), out.wrong);
    else if (out.wrong.empty() && out.megabytes > megabytes) out.wrong = fmt::format("{:.0f} MB", out.megabytes);
    return out;
}

Random randomOf(unsigned seed, int trial) {
    std::seed_seq from{seed, static_cast<unsigned>(trial)};
    return Random(from);
}

std::string keep(const std::string& name, const std::string& bytes) {
    const char* folder = std::getenv("UOVO_STORM_FOUND");
    const std::filesystem::path where = folder ? folder : std::filesystem::temp_directory_path();
    std::error_code ignored;
    std::filesystem::create_directories(where, ignored);
    std::ofstream(where / name, std::ios::binary) << bytes;
    return (where / name).string();
}

}  // namespace uovo::storm
