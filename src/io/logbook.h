// The log on the disk: one SQLite file. Entries are added and corrected, never overwritten.
#pragma once
#include <memory>
#include <optional>

#include "core/log/taught.h"

namespace uovo::io {

/// What is told of an evening before it is opened.
struct ShelfMark {
    std::string id, date, name;  ///< name: of its plan
    int entries = 0;             ///< that were made
    int measured = 0;            ///< of them measurements
};

/// Something a cook means to do from now on.
struct Resolve {
    std::int64_t id = 0;
    std::string fault, cause;  ///< ids of data/faults.json that it comes from
    std::string since;         ///< date
    bool operator==(const Resolve&) const = default;
};

/// The file of the log. Several programs may have it open.
class Logbook {
public:
    static constexpr int kVersion = 2;

    /// Opens a log, or begins one. An older one is copied beside itself and brought up to date; a damaged, foreign or
    /// newer one is refused and left as it is. Where it may not be written it can be read all the same.
    /// @param path of the file; its folder is made where it is not there
    static tl::expected<Logbook, Problem> open(const std::string& path);
    Logbook(Logbook&&) noexcept;
    Logbook& operator=(Logbook&&) noexcept;
    ~Logbook();

    const std::string& path() const { return path_; }
    bool isReadOnly() const { return readOnly_; }

    /// The newest first.
    tl::expected<std::vector<ShelfMark>, Problem> shelf() const;
    /// @param photos whether their bytes come along; else `photo` is empty
    tl::expected<std::optional<log::Evening>, Problem> evening(const std::string& id, bool photos = true) const;
    /// All of them, the oldest first.
    tl::expected<std::vector<log::Evening>, Problem> all(bool photos = true) const;

    /// Keeps an evening with its entries, or what is new in the plan, bags and run of one that is there.
    tl::expected<void, Problem> keep(const log::Evening& evening);
    /// Adds an entry. @returns its number
    tl::expected<std::int64_t, Problem> add(const std::string& evening, const log::Entry& entry);
    /// Adds several, all or none. @returns their numbers
    tl::expected<std::vector<std::int64_t>, Problem> add(const std::string& evening,
                                                         const std::vector<log::Entry>& entries);
    /// Takes evenings in that are not there yet, with new numbers. @returns how many
    tl::expected<int, Problem> import(const std::vector<log::Evening>& evenings);

    tl::expected<std::vector<Resolve>, Problem> resolves() const;
    tl::expected<void, Problem> resolve(const Resolve& resolve);
    tl::expected<void, Problem> unresolve(std::int64_t id);

    tl::expected<log::Trust, Problem> trust() const;
    tl::expected<void, Problem> trust(const std::string& lesson, double share);

private:
    struct File;
    explicit Logbook(std::unique_ptr<File> file);
    template <class Do>
    auto guarded(Do what) const -> tl::expected<decltype(what()), Problem>;
    template <class Do>
    tl::expected<void, Problem> changing(Do what);

    std::unique_ptr<File> file_;
    std::string path_;
    bool readOnly_ = false;
};

}  // namespace uovo::io
