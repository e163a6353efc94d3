// Keeps a run's unsaved plan against a crash, on a thread of its own.
#pragma once
#include <QLockFile>
#include <QObject>
#include <condition_variable>
#include <memory>
#include <mutex>
#include <optional>
#include <thread>

#include "core/document/plan.h"

namespace uovo::desktop {

class RecoveryKeeper : public QObject {
    Q_OBJECT

public:
    /// @param file the copy; beside it go ".path", the file it belongs to, and ".lock" while this run lives
    explicit RecoveryKeeper(QString file);
    /// Forgets the copy: a run that ends well leaves none.
    ~RecoveryKeeper() override;

    /// Writes the plan when the thread is free; what is newer takes the place of what waits.
    void keep(const Plan& plan, const QString& path);
    /// Removes the copy, after all that was asked before.
    void forget();
    /// Waits until all that was asked is done.
    void wait();

    static QString lockOf(const QString& copy) { return copy + QStringLiteral(".lock"); }
    static QString pathOf(const QString& copy) { return copy + QStringLiteral(".path"); }

signals:
    /// Of each writing; empty when it went well, else why not.
    void kept(const QString& failure);

private:
    struct Work {
        std::optional<Plan> plan;  // none: forget
        QString path;
    };
    void ask(Work work);
    void run();
    QString write(const Plan& plan, const QString& path);
    void remove();

    const QString file_;
    std::unique_ptr<QLockFile> alive_;  // of the thread
    std::mutex mutex_;
    std::condition_variable changed_;
    std::optional<Work> next_;
    bool busy_ = false, quit_ = false;
    std::thread thread_;
};

}  // namespace uovo::desktop
