// uovo-probe-sim: a bowl of chocolate with a thermometer in it and a scale under it, for practice without either.
#include <sys/socket.h>
#include <sys/un.h>
#include <unistd.h>

#include <chrono>
#include <csignal>
#include <cstdio>
#include <cstdlib>
#include <cstring>
#include <string>
#include <thread>

#include "core/probe/bowl.h"
#include "io/data.h"

using namespace uovo;

namespace {

int usage() {
    std::puts(
        "uovo-probe-sim: plays a thermometer in a bowl of chocolate that is melted and tempered\n\n"
        "  --socket PATH     serves one listener after another on a local socket; else the lines go to standard "
        "output\n"
        "  --chocolate ID    dark, milk, white, compound (dark)\n"
        "  --grams N         in the bowl (800)\n"
        "  --room C          °C of the kitchen (20)\n"
        "  --speed N         times as fast as it is (1; 0 without waiting)\n"
        "  --minutes N       ends after so many minutes of the bowl (60)\n"
        "  --fahrenheit      a probe that speaks °F");
    return 2;
}

/// Writes all of it; false when the listener is gone.
bool sent(int to, const std::string& text) {
    for (size_t at = 0; at < text.size();) {
        const ssize_t n = write(to, text.data() + at, text.size() - at);
        if (n <= 0) return false;
        at += static_cast<size_t>(n);
    }
    return true;
}

}  // namespace

int main(int argc, char** argv) {
    std::string socketPath, id = "dark";
    double grams = 800, room = 20, speed = 1, minutes = 60;
    probe::BowlOptions options;
    for (int i = 1; i < argc; ++i) {
        const std::string a = argv[i];
        const auto number = [&](double& out) { return i + 1 < argc && (out = std::atof(argv[++i])) >= 0; };
        if (a == "--socket" && i + 1 < argc) socketPath = argv[++i];
        else if (a == "--chocolate" && i + 1 < argc) id = argv[++i];
        else if (a == "--grams") {
            if (!number(grams)) return usage();
        } else if (a == "--room") {
            if (!number(room)) return usage();
        } else if (a == "--speed") {
            if (!number(speed)) return usage();
        } else if (a == "--minutes") {
            if (!number(minutes)) return usage();
        } else if (a == "--fahrenheit") options.fahrenheit = true;
        else return usage();
    }
    const auto& lib = io::library();
    const auto* chocolate = lib.find(id);
    if (!chocolate) {
        std::fprintf(stderr, "uovo-probe-sim: there is no chocolate “%s”\n", id.c_str());
        return 1;
    }
    const auto coating =
        material::coating(*chocolate, material::Temper::Tempered, material::Thinner::None, 0, {}, lib.physics);
    const temper::Choice choice;
    const auto plan = coating ? temper::plan(*coating, lib.physics, choice, grams / 1e3, room, UnitSystem::Metric)
                              : tl::unexpected(coating.error());
    if (!plan) {
        std::fprintf(stderr, "uovo-probe-sim: %s\n", plan.error().sentence.c_str());
        return 1;
    }
    std::signal(SIGPIPE, SIG_IGN);
    const auto play = [&](int to) {
        probe::Bowl bowl(*plan, *coating, lib.physics, choice, grams / 1e3, room, options);
        while (bowl.time() < 60 * minutes) {
            if (!sent(to, bowl.pass(0.5))) return;
            if (speed > 0) std::this_thread::sleep_for(std::chrono::duration<double>(0.5 / speed));
        }
    };
    if (socketPath.empty()) {
        play(STDOUT_FILENO);
        return 0;
    }
    sockaddr_un address{};
    address.sun_family = AF_UNIX;
    if (socketPath.size() >= sizeof address.sun_path) {
        std::fputs("uovo-probe-sim: the socket's path is too long\n", stderr);
        return 1;
    }
    std::memcpy(address.sun_path, socketPath.c_str(), socketPath.size() + 1);
    const int server = socket(AF_UNIX, SOCK_STREAM, 0);
    unlink(socketPath.c_str());
    if (server < 0 || bind(server, reinterpret_cast<const sockaddr*>(&address), sizeof address) != 0 ||
        listen(server, 1) != 0) {
        std::perror("uovo-probe-sim");
        return 1;
    }
    std::printf("listening on %s\n", socketPath.c_str());
    std::fflush(stdout);
    for (int client; (client = accept(server, nullptr, nullptr)) >= 0; close(client)) play(client);
}
