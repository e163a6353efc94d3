// The log of a run in its file: each event is on the disk before the next is typed.
#pragma once
#include "core/run/run_json.h"

namespace uovo::io {

/// The clocks of this machine.
run::Stamp stampNow();

/// A log that is open for writing. One program at a time has it.
class RunFile {
public:
    RunFile() = default;
    ~RunFile();
    RunFile(RunFile&&) noexcept;
    RunFile& operator=(RunFile&&) noexcept;

    /// Opens a log, or begins one. What was cut off at its end is removed.
    /// @returns why not: another window runs it, it is damaged, foreign or newer, the disk
    static tl::expected<RunFile, Problem> open(const std::string& path);

    /// Takes an event and writes it. Refused by the run it is not written; when the disk refuses it the run has it all
    /// the same, the reason is returned, and it is written before the next one.
    tl::expected<void, Problem> take(const run::Event& event, const run::Stamp& stamp);

    const run::Run& run() const { return log_.run; }
    /// s of the run at a stamp.
    double second(const run::Stamp& now) const {
        return log_.run.events().empty() ? 0 : log_.run.now() + run::elapsed(log_.last, now);
    }
    bool wasTorn() const { return log_.torn; }
    const std::string& path() const { return path_; }
    bool isOpen() const { return fd_ >= 0; }

private:
    int fd_ = -1;
    std::string path_, unwritten_;
    run::Log log_;
};

/// Where the log of a plan's day lies: beside the plan.
std::string runPathOf(const std::string& plan);

}  // namespace uovo::io
