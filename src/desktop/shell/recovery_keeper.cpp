#include "desktop/shell/recovery_keeper.h"

#include <QDir>
#include <QFile>
#include <QFileInfo>

#include "io/plan_file.h"

namespace uovo::desktop {

RecoveryKeeper::RecoveryKeeper(QString file) : file_(std::move(file)), thread_([this] { run(); }) {}

RecoveryKeeper::~RecoveryKeeper() {
    forget();
    {
        const std::lock_guard lock(mutex_);
        quit_ = true;
    }
    changed_.notify_all();
    thread_.join();
}

void RecoveryKeeper::keep(const Plan& plan, const QString& path) { ask({plan, path}); }
void RecoveryKeeper::forget() { ask({}); }

void RecoveryKeeper::ask(Work work) {
    {
        const std::lock_guard lock(mutex_);
        next_ = std::move(work);
    }
    changed_.notify_all();
}

void RecoveryKeeper::wait() {
    std::unique_lock lock(mutex_);
    changed_.wait(lock, [this] { return !next_ && !busy_; });
}

void RecoveryKeeper::run() {
    std::unique_lock lock(mutex_);
    while (true) {
        changed_.wait(lock, [this] { return next_ || quit_; });
        if (!next_) return;
        const Work work = std::move(*next_);
        next_.reset();
        busy_ = true;
        lock.unlock();
        if (work.plan) emit kept(write(*work.plan, work.path));
        else remove();
        lock.lock();
        busy_ = false;
        changed_.notify_all();
    }
}

QString RecoveryKeeper::write(const Plan& plan, const QString& path) {
    QDir().mkpath(QFileInfo(file_).path());
    if (!alive_) {
        alive_ = std::make_unique<QLockFile>(lockOf(file_));
        alive_->setStaleLockTime(0);
        alive_->tryLock(0);
    }
    auto kept = io::savePlan(file_.toStdString(), plan);
    if (kept) kept = io::writeWhole(pathOf(file_).toStdString(), path.toStdString());
    return kept ? QString() : QString::fromStdString(kept.error().sentence);
}

void RecoveryKeeper::remove() {
    QFile::remove(file_);
    QFile::remove(pathOf(file_));
    alive_.reset();
}

}  // namespace uovo::desktop
