#include "io/logbook.h"

#include <SQLiteCpp/Backup.h>
#include <SQLiteCpp/SQLiteCpp.h>
#include <fmt/format.h>
#include <sqlite3.h>

#include <filesystem>
#include <nlohmann/json.hpp>
#include "core/quantity/catalogue.h"

namespace uovo::io {
namespace {

namespace fs = std::filesystem;

constexpr int kBusy = 4000;               // ms that one program waits for another
constexpr int kApplication = 0x556f766f;  // "Uovo" in the file's head
constexpr const char* kMigrations[] = {
    // 0 → 1
    "CREATE TABLE evenings(id TEXT PRIMARY KEY NOT NULL, date TEXT NOT NULL, name TEXT NOT NULL, plan TEXT NOT "
    "NULL, "
    "bags TEXT NOT NULL, run TEXT NOT NULL) WITHOUT ROWID;"
    "CREATE TABLE entries(id INTEGER PRIMARY KEY AUTOINCREMENT, evening TEXT NOT NULL REFERENCES evenings(id), "
    "replaces INTEGER REFERENCES entries(id), measured INTEGER NOT NULL, entry TEXT NOT NULL, photo BLOB);"
    "CREATE INDEX entriesOf ON entries(evening, id);",
    // 1 → 2
    "CREATE TABLE resolves(id INTEGER PRIMARY KEY AUTOINCREMENT, fault TEXT NOT NULL, cause TEXT NOT NULL, since "
    "TEXT "
    "NOT NULL, UNIQUE(fault, cause));"
    "CREATE TABLE trust(lesson TEXT PRIMARY KEY NOT NULL, share REAL NOT NULL) WITHOUT ROWID;",
};
static_assert(std::size(kMigrations) == Logbook::kVersion);

/// What SQLite says, as a person is told it.
Problem told(int code, const std::string& path, const char* what) {
    switch (code & 0xff) {
        case SQLITE_FULL:
            return {say("The disk is full: the log {} was not written. Nothing that was in it is lost.", path)};
        case SQLITE_READONLY:
            return {say("The log {} may not be written here.", path)};
        case SQLITE_BUSY:
        case SQLITE_LOCKED:
            return {tr("Another program is writing into the log; try again in a moment.")};
        case SQLITE_CORRUPT:
        case SQLITE_NOTADB:
            return {
                say("{} is damaged, or is no log of Uovo. It was left as it is: move it away to begin a new "
                    "one, or put a copy of it in its place.",
                    path)};
        case SQLITE_CANTOPEN:
            return {say("The log {} cannot be opened: is its folder there, and may it be written?", path)};
        case SQLITE_IOERR:
            return {say("The disk refused the log {}. Nothing that was in it is lost.", path)};
        default:
            return {say("The log {} cannot be used: {}.", path, what)};
    }
}

log::Entry entryFrom(SQLite::Statement& row) {
    auto entry = log::readEntry(row.getColumn("entry").getString());
    if (!entry) throw Problem(entry.error());
    entry->id = row.getColumn("id").getInt64();
    if (const auto replaces = row.getColumn("replaces"); !replaces.isNull()) entry->replaces = replaces.getInt64();
    if (row.getColumnCount() > 3)
        if (const auto photo = row.getColumn(3); !photo.isNull())
            entry->photo.assign(static_cast<const char*>(photo.getBlob()), static_cast<size_t>(photo.getBytes()));
    return *entry;
}

}  // namespace

struct Logbook::File {
    SQLite::Database db;
};

Logbook::Logbook(std::unique_ptr<File> file) : file_(std::move(file)), path_(file_->db.getFilename()) {}
Logbook::Logbook(Logbook&&) noexcept = default;
Logbook& Logbook::operator=(Logbook&&) noexcept = default;
Logbook::~Logbook() = default;

template <class Do>
auto Logbook::guarded(Do what) const -> tl::expected<decltype(what()), Problem> {
    try {
        return what();
    } catch (const SQLite::Exception& e) {
        return tl::unexpected(told(e.getErrorCode(), path_, e.what()));
    } catch (const Problem& p) {
        return tl::unexpected(p);
    }
}

template <class Do>
tl::expected<void, Problem> Logbook::changing(Do what) {
    if (readOnly_) return tl::unexpected(told(SQLITE_READONLY, path_, ""));
    const auto done = guarded([&] {
        SQLite::Transaction all(file_->db, SQLite::TransactionBehavior::IMMEDIATE);
        what();
        all.commit();
        return true;
    });
    if (!done) return tl::unexpected(done.error());
    return {};
}

tl::expected<Logbook, Problem> Logbook::open(const std::string& path) {
    std::error_code failed;
    const fs::path folder = fs::path(path).parent_path();
    if (!folder.empty()) fs::create_directories(folder, failed);
    try {
        bool readOnly = false;
        std::unique_ptr<File> file;
        try {
            file = std::make_unique<File>(
                File{SQLite::Database(path, SQLite::OPEN_READWRITE | SQLite::OPEN_CREATE, kBusy)});
            readOnly = sqlite3_db_readonly(file->db.getHandle(), "main") == 1;
        } catch (const SQLite::Exception&) {
            if (!fs::exists(path)) throw;
            file = std::make_unique<File>(File{SQLite::Database(path, SQLite::OPEN_READONLY, kBusy)});
            readOnly = true;
        }
        auto& db = file->db;
        const int version = db.execAndGet("PRAGMA user_version").getInt();
        const bool empty = db.execAndGet("SELECT count(*) FROM sqlite_master").getInt() == 0;
        if (!empty && db.execAndGet("PRAGMA application_id").getInt() != kApplication)
            throw SQLite::Exception(tr("it is of another program"), SQLITE_NOTADB);
        if (version > kVersion)
            return tl::unexpected(
                Problem{say("{} was written by a newer Uovo (version {}; this one reads {}). It was left as it is.",
                            path, version, kVersion)});
        if (const auto well = db.execAndGet("PRAGMA quick_check(1)").getString(); well != "ok")
            throw SQLite::Exception(well, SQLITE_CORRUPT);
        if (readOnly && version < kVersion) throw SQLite::Exception(tr("it is older"), SQLITE_READONLY);
        if (!readOnly) {
            db.exec("PRAGMA journal_mode=WAL");
            db.exec("PRAGMA synchronous=FULL");  // what was told kept is on the disk
            if (version > 0 && version < kVersion) {
                SQLite::Database copy(fmt::format("{}.version-{}", path, version),
                                      SQLite::OPEN_READWRITE | SQLite::OPEN_CREATE);
                SQLite::Backup(copy, db).executeStep();
            }
            if (version < kVersion) {
                SQLite::Transaction all(db, SQLite::TransactionBehavior::IMMEDIATE);
                const int now = db.execAndGet("PRAGMA user_version").getInt();  // another program may have been faster
                for (int k = now; k < kVersion; ++k) db.exec(kMigrations[k]);
                db.exec(fmt::format("PRAGMA application_id={}", kApplication));
                db.exec(fmt::format("PRAGMA user_version={}", kVersion));
                all.commit();
            }
        }
        db.exec("PRAGMA foreign_keys=ON");
        Logbook out(std::move(file));
        out.readOnly_ = readOnly;
        return out;
    } catch (const SQLite::Exception& e) {
        return tl::unexpected(told(e.getErrorCode(), path, e.what()));
    }
}

tl::expected<std::vector<ShelfMark>, Problem> Logbook::shelf() const {
    return guarded([&] {
        std::vector<ShelfMark> out;
        SQLite::Statement rows(file_->db,
                               "SELECT e.id, e.date, e.name, count(x.id), coalesce(sum(x.measured), 0) FROM evenings e "
                               "LEFT JOIN entries x ON x.evening = e.id GROUP BY e.id ORDER BY e.date DESC, e.id DESC");
        while (rows.executeStep())
            out.push_back({rows.getColumn(0).getString(), rows.getColumn(1).getString(), rows.getColumn(2).getString(),
                           rows.getColumn(3).getInt(), rows.getColumn(4).getInt()});
        return out;
    });
}

tl::expected<std::optional<log::Evening>, Problem> Logbook::evening(const std::string& id, bool photos) const {
    return guarded([&]() -> std::optional<log::Evening> {
        SQLite::Statement row(file_->db, "SELECT date, plan, bags, run FROM evenings WHERE id = ?");
        row.bind(1, id);
        if (!row.executeStep()) return std::nullopt;
        log::Evening out;
        out.id = id;
        out.date = row.getColumn(0).getString();
        auto plan = readPlan(row.getColumn(1).getString());
        if (!plan) throw Problem(plan.error());
        out.plan = std::move(*plan);
        const auto bags = nlohmann::json::parse(row.getColumn(2).getString(), nullptr, false);
        if (bags.is_object())
            for (const auto& [chocolate, bag] : bags.items())
                if (bag.is_string()) out.bags[chocolate] = bag.get<std::string>();
        out.run = row.getColumn(3).getString();
        SQLite::Statement entries(
            file_->db, photos ? "SELECT id, replaces, entry, photo FROM entries WHERE evening = ? ORDER BY id"
                              : "SELECT id, replaces, entry FROM entries WHERE evening = ? ORDER BY id");
        entries.bind(1, id);
        while (entries.executeStep()) out.entries.push_back(entryFrom(entries));
        return out;
    });
}

tl::expected<std::vector<log::Evening>, Problem> Logbook::all(bool photos) const {
    const auto marks = shelf();
    if (!marks) return tl::unexpected(marks.error());
    std::vector<log::Evening> out;
    for (auto m = marks->rbegin(); m != marks->rend(); ++m) {
        auto e = evening(m->id, photos);
        if (!e) return tl::unexpected(e.error());
        if (*e) out.push_back(std::move(**e));
    }
    return out;
}

namespace {

std::int64_t insert(SQLite::Database& db, const std::string& evening, const log::Entry& entry) {
    log::Entry bare = entry;
    bare.id = bare.replaces = 0;
    SQLite::Statement in(db, "INSERT INTO entries(evening, replaces, measured, entry, photo) VALUES(?, ?, ?, ?, ?)");
    in.bind(1, evening);
    if (entry.replaces != 0) in.bind(2, static_cast<int64_t>(entry.replaces));
    in.bind(3, entry.is == log::Entry::Is::Measured ? 1 : 0);
    in.bind(4, log::entryText(bare, false));
    if (!entry.photo.empty()) in.bind(5, entry.photo.data(), static_cast<int>(entry.photo.size()));
    in.exec();
    return db.getLastInsertRowid();
}

bool isThere(SQLite::Database& db, const std::string& evening) {
    SQLite::Statement row(db, "SELECT 1 FROM evenings WHERE id = ?");
    row.bind(1, evening);
    return row.executeStep();
}

void putHead(SQLite::Database& db, const log::Evening& e) {
    SQLite::Statement in(
        db,
        "INSERT INTO evenings(id, date, name, plan, bags, run) VALUES(?, ?, ?, ?, ?, ?) ON CONFLICT(id) "
        "DO UPDATE SET date = excluded.date, name = excluded.name, plan = excluded.plan, bags = "
        "excluded.bags, run = excluded.run");
    in.bind(1, e.id);
    in.bind(2, e.date);
    in.bind(3, e.plan.name);
    in.bind(4, writePlan(e.plan));
    in.bind(5, nlohmann::json(e.bags).dump());
    in.bind(6, e.run);
    in.exec();
}

/// Entries with new numbers; what they correct follows.
void putEntries(SQLite::Database& db, const log::Evening& e) {
    std::map<std::int64_t, std::int64_t> now;
    for (log::Entry entry : e.entries) {
        if (auto wrong = log::wrongWith(entry, e); !wrong.empty()) throw Problem{std::move(wrong)};
        const std::int64_t old = entry.id;
        if (entry.replaces != 0) {
            if (!now.contains(entry.replaces)) throw Problem{tr("What an entry corrects comes after it.")};
            entry.replaces = now.at(entry.replaces);
        }
        now[old] = insert(db, e.id, entry);
    }
}

}  // namespace

tl::expected<void, Problem> Logbook::keep(const log::Evening& e) {
    if (e.id.empty()) return tl::unexpected(Problem{tr("An evening needs an id.")});
    return changing([&] {
        const bool isNew = !isThere(file_->db, e.id);
        putHead(file_->db, e);
        if (isNew) putEntries(file_->db, e);
    });
}

tl::expected<std::int64_t, Problem> Logbook::add(const std::string& id, const log::Entry& entry) {
    return add(id, std::vector{entry}).map([](const auto& numbers) { return numbers.front(); });
}

tl::expected<std::vector<std::int64_t>, Problem> Logbook::add(const std::string& id,
                                                              const std::vector<log::Entry>& entries) {
    const auto to = evening(id, false);
    if (!to) return tl::unexpected(to.error());
    if (!*to) return tl::unexpected(Problem{tr("That evening is not in the log.")});
    for (const auto& entry : entries)
        if (auto wrong = log::wrongWith(entry, **to); !wrong.empty()) return tl::unexpected(Problem{std::move(wrong)});
    std::vector<std::int64_t> numbers;
    const auto done = changing([&] {
        for (const auto& entry : entries) numbers.push_back(insert(file_->db, id, entry));
    });
    if (!done) return tl::unexpected(done.error());
    return numbers;
}

tl::expected<int, Problem> Logbook::import(const std::vector<log::Evening>& evenings) {
    int taken = 0;
    const auto done = changing([&] {
        for (const auto& e : evenings) {
            if (isThere(file_->db, e.id)) continue;
            putHead(file_->db, e);
            putEntries(file_->db, e);
            ++taken;
        }
    });
    if (!done) return tl::unexpected(done.error());
    return taken;
}

tl::expected<std::vector<Resolve>, Problem> Logbook::resolves() const {
    return guarded([&] {
        std::vector<Resolve> out;
        SQLite::Statement rows(file_->db, "SELECT id, fault, cause, since FROM resolves ORDER BY id");
        while (rows.executeStep())
            out.push_back({rows.getColumn(0).getInt64(), rows.getColumn(1).getString(), rows.getColumn(2).getString(),
                           rows.getColumn(3).getString()});
        return out;
    });
}

tl::expected<void, Problem> Logbook::resolve(const Resolve& r) {
    return changing([&] {
        SQLite::Statement in(file_->db, "INSERT OR IGNORE INTO resolves(fault, cause, since) VALUES(?, ?, ?)");
        in.bind(1, r.fault);
        in.bind(2, r.cause);
        in.bind(3, r.since);
        in.exec();
    });
}

tl::expected<void, Problem> Logbook::unresolve(std::int64_t id) {
    return changing([&] {
        SQLite::Statement out(file_->db, "DELETE FROM resolves WHERE id = ?");
        out.bind(1, static_cast<int64_t>(id));
        out.exec();
    });
}

tl::expected<log::Trust, Problem> Logbook::trust() const {
    return guarded([&] {
        log::Trust out;
        SQLite::Statement rows(file_->db, "SELECT lesson, share FROM trust");
        while (rows.executeStep()) out[rows.getColumn(0).getString()] = rows.getColumn(1).getDouble();
        return out;
    });
}

tl::expected<void, Problem> Logbook::trust(const std::string& lesson, double share) {
    return changing([&] {
        SQLite::Statement in(file_->db,
                             "INSERT INTO trust(lesson, share) VALUES(?, ?) ON CONFLICT(lesson) DO UPDATE SET share = "
                             "excluded.share");
        in.bind(1, lesson);
        in.bind(2, std::clamp(share, 0.0, 1.0));
        in.exec();
    });
}

}  // namespace uovo::io
