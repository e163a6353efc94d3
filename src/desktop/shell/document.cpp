#include "desktop/shell/document.h"

#include <QCoreApplication>
#include <QDateTime>
#include <QDir>
#include <QFile>
#include <QFileInfo>
#include <QUuid>

namespace uovo::desktop {
namespace {
constexpr int kAutosaveAfter = 1500;      // ms after the last edit
constexpr int kAutosaveLatest = 5000;     // ms after the first that is not kept yet, however fast the hands are
constexpr qint64 kMergeWithin = 1000;     // ms
constexpr size_t kMostSteps = 500;

QString lockOf(const QString& copy) { return copy + QStringLiteral(".lock"); }

/// Whether the run that wrote a recovery copy still goes on. A lock of this very process number is not this run's: the number came again.
bool writerLives(const QString& copy) {
    QLockFile lock(lockOf(copy));
    lock.setStaleLockTime(0);
    qint64 pid = 0;
    QString host, name;
    if (lock.getLockInfo(&pid, &host, &name) && pid == QCoreApplication::applicationPid()) QFile::remove(lockOf(copy));
    return !lock.tryLock(0);
}

}  // namespace

Document::Document(QString recoveryFolder, QObject* parent) : QObject(parent), folder_(std::move(recoveryFolder)), run_(QUuid::createUuid().toString(QUuid::WithoutBraces)) {
    history_.push_back({plan_, {}, {}, 0});
    autosaveTimer_.setSingleShot(true);
    autosaveTimer_.setInterval(kAutosaveAfter);
    connect(&autosaveTimer_, &QTimer::timeout, this, &Document::autosave);
}

Document::~Document() { forgetAutosave(); }

void Document::edit(const QString& label, const std::function<void(Plan&)>& change, const QString& merge) {
    Plan next = plan_;
    change(next);
    if (next == plan_) return;
    const qint64 now = QDateTime::currentMSecsSinceEpoch();
    auto& top = history_[static_cast<size_t>(at_)];
    const bool same = !merge.isEmpty() && top.merge == merge && now - top.when < kMergeWithin && at_ + 1 == static_cast<int>(history_.size()) && at_ != savedAt_;
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
    if (!autosaveTimer_.isActive() || unsavedSince_.elapsed() + kAutosaveAfter < kAutosaveLatest) autosaveTimer_.start();
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
    plan_ = std::move(plan);
    path_ = path;
    history_ = {{plan_, {}, {}, 0}};
    at_ = savedAt_ = 0;
    autosaveTimer_.stop();
    emit fileChanged();
    emit planChanged();
}

tl::expected<void, Problem> Document::open(const QString& path) {
    auto plan = io::loadPlan(path.toStdString());
    if (!plan) return tl::unexpected(plan.error());
    setPlan(std::move(*plan), path);
    return {};
}

tl::expected<void, Problem> Document::save(const QString& path, io::Fault fault) {
    if (auto ok = io::savePlan(path.toStdString(), plan_, fault); !ok) return ok;
    path_ = path;
    savedAt_ = at_;
    forgetAutosave();
    emit fileChanged();
    return {};
}

QString Document::autosaveFile() const { return QStringLiteral("%1/%2.uovo").arg(folder_, run_); }

void Document::autosave() {
    if (!isModified()) {
        forgetAutosave();
        return;
    }
    QDir().mkpath(folder_);
    if (!alive_) {
        alive_ = std::make_unique<QLockFile>(lockOf(autosaveFile()));
        alive_->setStaleLockTime(0);
        alive_->tryLock(0);
    }
    // The file it belongs to goes beside it; a failed autosave must not disturb the work, but it is said.
    auto kept = io::savePlan(autosaveFile().toStdString(), plan_);
    if (kept) kept = io::writeWhole((autosaveFile() + QStringLiteral(".path")).toStdString(), path_.toStdString());
    if (!kept && !told_) emit recoveryFailed(QString::fromStdString(kept.error().sentence));
    told_ = !kept;
}

void Document::forgetAutosave() {
    autosaveTimer_.stop();
    QFile::remove(autosaveFile());
    QFile::remove(autosaveFile() + QStringLiteral(".path"));
    alive_.reset();
}

std::optional<Document::Recovered> Document::findRecovered() const {
    const QDir folder(folder_);
    for (const QFileInfo& info : folder.entryInfoList({QStringLiteral("*.uovo")}, QDir::Files, QDir::Time)) {
        if (info.completeBaseName() == run_ || writerLives(info.filePath())) continue;
        auto plan = io::loadPlan(info.filePath().toStdString());
        if (!plan) continue;
        const auto path = io::readWhole((info.filePath() + QStringLiteral(".path")).toStdString());
        return Recovered{std::move(*plan), path ? QString::fromStdString(*path) : QString(), info.filePath()};
    }
    return std::nullopt;
}

void Document::takeRecovered(const Recovered& r) {
    setPlan(r.plan, r.path);
    savedAt_ = -1;  // not what is on disk
    autosave();
    discardRecovered(r);
    emit fileChanged();
}

void Document::discardRecovered(const Recovered& r) {
    QFile::remove(r.file);
    QFile::remove(r.file + QStringLiteral(".path"));
    QFile::remove(lockOf(r.file));
}

}  // namespace uovo::desktop
