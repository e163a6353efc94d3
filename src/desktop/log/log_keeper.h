// The log in the window: its file, the evening that is looked at, and what all of it teaches, computed beside the
// window.
#pragma once
#include <QObject>
#include <QTemporaryDir>
#include <map>
#include <memory>
#include <optional>
#include <thread>
#include <vector>

#include "core/log/run_evening.h"
#include "core/log/taught.h"
#include "desktop/shell/session.h"
#include "io/logbook.h"

namespace uovo::desktop {

class LogKeeper : public QObject {
    Q_OBJECT

public:
    static constexpr size_t kEvenings = 24;  ///< that are learned from, the latest

    explicit LogKeeper(Session& session, QObject* parent = nullptr);
    ~LogKeeper() override;

    /// Opens the file of the log where it is not open; why it cannot is `problem()`.
    void open();
    const QString& problem() const { return problem_; }
    bool isEmpty() const { return shelf_.empty(); }
    /// Somebody looks at the log: what it teaches follows the plan then, and else when it is looked at again.
    void setWatched(bool watched);
    /// Two invented evenings instead of a person's own; nothing of it is kept.
    bool isInvented() const { return invented_; }
    void showInvented(bool shown);

    const std::vector<io::ShelfMark>& shelf() const { return shelf_; }
    /// Null where there is none. Its pictures are left out.
    std::shared_ptr<const log::Evening> evening(const std::string& id) const;
    /// Bytes of its pictures, by the numbers of their entries.
    std::map<std::int64_t, std::string> pictures(const std::string& id) const;
    /// What its plan said; null while it is computed.
    std::shared_ptr<const Answers> planned(const std::string& id) const;

    /// Keeps something of an evening. @returns why it cannot be; empty when it is kept
    QString add(const std::string& evening, log::Entry entry);
    QString keep(const log::Evening& evening);
    /// Takes in what is not there yet. @returns a sentence about it
    QString take(const std::vector<log::Evening>& evenings);
    /// All of it, to be written out.
    std::vector<log::Evening> all() const;

    /// Null while it is computed, and where nothing was measured.
    const log::Taught* taught() const { return taught_ ? &*taught_ : nullptr; }
    bool isLearning() const { return learning_; }
    double trustIn(const std::string& lesson) const;
    void trust(const std::string& lesson, double share);
    /// Takes every measurement of a chocolate back; they stay in the log, struck out.
    void forget(const std::string& chocolate);
    /// The plan counts on what was learned, as far as it is trusted; can be undone like any edit.
    void count();

    std::vector<io::Resolve> resolves() const;
    void resolve(const std::string& fault, const std::string& cause);
    void unresolve(std::int64_t id);

signals:
    void changed();
    /// What the plan of an evening said is known now.
    void computed(const std::string& evening);
    void learned();
    /// Something could not be written down; why.
    void refused(const QString& words);

private:
    /// Says what went wrong with the file, if anything did. @returns whether it is written
    template <class T>
    bool isWritten(const tl::expected<T, Problem>& done) {
        if (!done) emit refused(QString::fromStdString(done.error().sentence));
        return done.has_value();
    }
    io::Logbook* book() const;  ///< the one that is shown; null where there is none
    void read();                ///< what is in the file
    void think();               ///< about it, beside the window
    void follow();              ///< the plan, where it is another than the one that was thought of
    void stop();

    Session& session_;
    std::unique_ptr<io::Logbook> own_;
    std::unique_ptr<QTemporaryDir> folder_;  // of the invented one
    std::unique_ptr<io::Logbook> invention_;
    bool invented_ = false;
    QString problem_;
    std::vector<io::ShelfMark> shelf_;
    mutable std::map<std::string, std::shared_ptr<const log::Evening>> evenings_;
    std::map<std::string, std::shared_ptr<const Answers>> planned_;
    log::Trust trust_;
    std::optional<log::Taught> taught_;
    bool learning_ = false, watched_ = false;
    Plan thoughtOf_;  // the plan that what is taught is about
    quint64 number_ = 0;
    std::jthread thread_;
};

}  // namespace uovo::desktop
