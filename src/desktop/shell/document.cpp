#include "desktop/shell/document.h"

#include <QCoreApplication>
#include <QCryptographicHash>
#include <QDateTime>
#include <QDir>
#include <QFile>
#include <QFileInfo>
#include <QLockFile>
#include <QUuid>

#include "core/document/limits.h"
#include "core/document/models.h"

namespace uovo::desktop {
namespace {
constexpr int kAutosaveAfter = 1500;   // ms after the last edit
constexpr int kAutosaveLatest = 5000;  // ms after the first that is not kept yet, however fast the hands are
constexpr qint64 kMergeWithin = 1000;  // ms
constexpr size_t kMostSteps = 500;

constexpr int kLookAfter = 200;  // ms after the file was touched: whoever writes it has done

/// Whether the run that wrote a recovery copy still goes on. A lock of this very process number is not this run's: the
/// number came again.
bool writerLives(const QString& copy) {
    QLockFile lock(RecoveryKeeper::lockOf(copy));
    lock.setStaleLockTime(0);
    qint64 pid = 0;
    QString host, name;
    if (lock.getLockInfo(&pid, &host, &name) && pid == QCoreApplication::applicationPid())
        QFile::remove(RecoveryKeeper::lockOf(copy));
    return !lock.tryLock(0);
}

/// A plan as it is written.
Plan finishedBy(const std::function<void(Plan&)>& finish, Plan plan) {
    if (finish) finish(plan);
    return plan;
}

}  // namespace

Document::Document(QString recoveryFolder, QObject* parent)
    : QObject(parent),
      folder_(std::move(recoveryFolder)),
      run_(QUuid::createUuid().toString(QUuid::WithoutBraces)),
      keeper_(autosaveFile()) {
    history_.push_back({plan_, {}, {}, 0});
    autosaveTimer_.setSingleShot(true);
    autosaveTimer_.setInterval(kAutosaveAfter);
    connect(&autosaveTimer_, &QTimer::timeout, this, [this] { autosave(); });
    connect(&keeper_, &RecoveryKeeper::kept, this,
            [this](const QString& failure) {  // said once until it can be kept again
                if (!failure.isEmpty() && !told_) emit recoveryFailed(failure);
                told_ = !failure.isEmpty();
            });
    lookTimer_.setSingleShot(true);
    lookTimer_.setInterval(kLookAfter);
    connect(&lookTimer_, &QTimer::timeout, this, &Document::look);
    connect(&watcher_, &QFileSystemWatcher::fileChanged, &lookTimer_, qOverload<>(&QTimer::start));
    connect(&watcher_, &QFileSystemWatcher::directoryChanged, this, [this] {  // a file that is watched tells by itself
        if (!watcher_.files().contains(path_)) lookTimer_.start();
    });
}

Document::~Document() = default;

void Document::edit(const QString& label, const std::function<void(Plan&)>& change, const QString& merge) {
    Plan next = plan_;
    change(next);
    pruneModels(next);
    if (next == plan_) return;
    next.day.laid = {};  // it was of the plan before
    if (const auto problem = tooLarge(next)) {
        emit refused(QString::fromStdString(problem->sentence));
        return;
    }
    if (rule_ && !rule_(next)) return;
    const qint64 now = QDateTime::currentMSecsSinceEpoch();
    auto& top = history_[static_cast<size_t>(at_)];
    const bool same = !merge.isEmpty() && top.merge == merge && now - top.when < kMergeWithin &&
                      at_ + 1 == static_cast<int>(history_.size()) && at_ != savedAt_;
    plan_ = next;
    if (same) {
        top.plan = std::move(next);
        top.when = now;
    } else {
        history_.resize(static_cast<size_t>(at_) + 1);
        if (savedAt_ > at_) savedAt_ = -1;
        history_.push_back({std::move(next), label, merge, now});
        ++at_;
        if (history_.size() > kMostSteps) {
            history_.erase(history_.begin());
            --at_;
            --savedAt_;
        }
    }
    wantAutosave();
    emit planChanged();
}

void Document::wantAutosave() {
    if (!autosaveTimer_.isActive()) unsavedSince_.start();
    if (!autosaveTimer_.isActive() || unsavedSince_.elapsed() + kAutosaveAfter < kAutosaveLatest)
        autosaveTimer_.start();
}

void Document::show(int at) {
    at_ = at;
    plan_ = history_[static_cast<size_t>(at)].plan;
    wantAutosave();
    emit planChanged();
}

void Document::undo() {
    if (canUndo()) show(at_ - 1);
}

void Document::redo() {
    if (canRedo()) show(at_ + 1);
}

void Document::setPlan(Plan plan, const QString& path) {
    forgetAutosave();
    emit replaced();
    plan_ = std::move(plan);
    path_ = path;
    history_ = {{plan_, {}, {}, 0}};
    at_ = savedAt_ = 0;
    autosaveTimer_.stop();
    seen_ = asked_ = fingerprint();
    watch();
    emit fileChanged();
    emit planChanged();
}

tl::expected<void, Problem> Document::open(const QString& path) {
    auto plan = io::loadPlan(path.toStdString());
    if (!plan) return tl::unexpected(plan.error());
    setPlan(std::move(*plan), path);
    return {};
}

/// Of the plan's file; empty when there is none.
QByteArray Document::fingerprint() const {
    QFile file(path_);
    if (path_.isEmpty() || !file.open(QIODevice::ReadOnly)) return {};
    QCryptographicHash hash(QCryptographicHash::Sha1);
    hash.addData(&file);
    return hash.result();
}

void Document::watch() {
    if (!watcher_.files().isEmpty()) watcher_.removePaths(watcher_.files());
    if (!watcher_.directories().isEmpty()) watcher_.removePaths(watcher_.directories());
    if (path_.isEmpty()) return;
    watcher_.addPath(QFileInfo(path_).absolutePath());  // files that are written whole are new files
    if (QFile::exists(path_)) watcher_.addPath(path_);
}

void Document::look() {
    if (path_.isEmpty()) return;
    const QByteArray now = fingerprint();
    if (!watcher_.files().contains(path_)) watch();
    if (now.isEmpty() || now == asked_ || now == seen_) return;  // gone: the next saving makes it again
    asked_ = now;
    emit changedByOthers();
}

bool Document::changedOnDisk() const {
    const QByteArray now = fingerprint();
    return !now.isEmpty() && now != seen_;
}

tl::expected<Plan, Problem> Document::onDisk() const { return io::loadPlan(path_.toStdString()); }

tl::expected<void, Problem> Document::takeFromDisk() {
    const QByteArray now = fingerprint();
    auto theirs = onDisk();
    if (!theirs) return tl::unexpected(theirs.error());
    edit(tr("Take what is in the file"), [&](Plan& plan) { plan = std::move(*theirs); });
    seen_ = asked_ = now;
    savedAt_ = at_;
    forgetAutosave();
    emit fileChanged();
    return {};
}

void Document::keepMine() { seen_ = asked_ = fingerprint(); }

tl::expected<void, Problem> Document::save(const QString& path, io::Fault fault) {
    Plan finished = finishedBy(finish_, plan_);
    if (auto ok = io::savePlan(path.toStdString(), finished, fault); !ok) return ok;
    plan_ = history_[static_cast<size_t>(at_)].plan = std::move(finished);
    path_ = path;
    savedAt_ = at_;
    seen_ = asked_ = fingerprint();
    watch();
    forgetAutosave();
    emit fileChanged();
    return {};
}

void Document::autosave(bool wait) {
    autosaveTimer_.stop();
    isModified() ? keeper_.keep(finishedBy(finish_, plan_), path_) : keeper_.forget();
    if (!wait) return;
    keeper_.wait();
    QCoreApplication::sendPostedEvents(this);  // its word about a failure
}

void Document::forgetAutosave() {
    autosaveTimer_.stop();
    keeper_.forget();
}

std::optional<Document::Recovered> Document::findRecovered() const {
    const QDir folder(folder_);
    for (const QFileInfo& info : folder.entryInfoList({QStringLiteral("*.uovo")}, QDir::Files, QDir::Time)) {
        if (info.completeBaseName() == run_ || writerLives(info.filePath())) continue;
        auto plan = io::loadPlan(info.filePath().toStdString());
        if (!plan) continue;
        const auto path = io::readWhole(RecoveryKeeper::pathOf(info.filePath()).toStdString());
        return Recovered{std::move(*plan), path ? QString::fromStdString(*path) : QString(), info.filePath()};
    }
    return std::nullopt;
}

void Document::takeRecovered(const Recovered& r) {
    setPlan(r.plan, r.path);
    savedAt_ = -1;  // not what is on disk
    autosave(true);
    discardRecovered(r);
    emit fileChanged();
}

void Document::discardRecovered(const Recovered& r) {
    QFile::remove(r.file);
    QFile::remove(RecoveryKeeper::pathOf(r.file));
    QFile::remove(RecoveryKeeper::lockOf(r.file));
}

}  // namespace uovo::desktop
