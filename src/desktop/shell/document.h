// The open plan: edits with undo, file, autosave and recovery.
#pragma once
#include <QElapsedTimer>
#include <QFileSystemWatcher>
#include <QObject>
#include <QTimer>
#include <functional>
#include <optional>

#include "core/document/plan.h"
#include "desktop/shell/recovery_keeper.h"
#include "io/plan_file.h"

namespace uovo::desktop {

class Document : public QObject {
    Q_OBJECT

public:
    /// @param recoveryFolder where autosaves go; created when needed
    explicit Document(QString recoveryFolder, QObject* parent = nullptr);
    ~Document() override;

    const Plan& plan() const { return plan_; }
    const QString& path() const { return path_; }
    bool isModified() const { return at_ != savedAt_; }
    bool canUndo() const { return at_ > 0; }
    bool canRedo() const { return at_ + 1 < static_cast<int>(history_.size()); }
    QString undoLabel() const { return canUndo() ? history_[static_cast<size_t>(at_)].label : QString(); }
    QString redoLabel() const { return canRedo() ? history_[static_cast<size_t>(at_) + 1].label : QString(); }

    /// Changes the plan. Edits with the same non-empty `merge` key that follow each other within a second are one undo
    /// step. One that would make it larger than a file may be is not made (`refused` says why); models that nothing
    /// uses go.
    void edit(const QString& label, const std::function<void(Plan&)>& change, const QString& merge = {});
    /// While there is one, an edit is made only when it allows what would come of it.
    void setRule(std::function<bool(const Plan& next)> rule) { rule_ = std::move(rule); }
    void undo();
    void redo();

    /// What is added to the plan as its file is written.
    void setFinish(std::function<void(Plan&)> finish) { finish_ = std::move(finish); }

    /// Replaces the document. @param path empty for a plan without a file
    void setPlan(Plan plan, const QString& path);
    tl::expected<void, Problem> open(const QString& path);
    tl::expected<void, Problem> save(const QString& path, io::Fault fault = io::Fault::None);

    /// Whether the plan's file is not the one that was read or written last: someone else wrote it, or took it away.
    bool changedOnDisk() const;
    /// What stands in the plan's file now.
    tl::expected<Plan, Problem> onDisk() const;
    /// Takes what stands in the file, as a step that can be undone.
    tl::expected<void, Problem> takeFromDisk();
    /// Lets the file be: the next saving writes over it.
    void keepMine();

    /// Has the recovery copy written now if there is something unsaved. @param wait until it is there
    void autosave(bool wait = false);
    /// A plan left behind by a run that ended badly, and the file it belonged to.
    struct Recovered {
        Plan plan;
        QString path, file;
    };
    std::optional<Recovered> findRecovered() const;
    void takeRecovered(const Recovered& recovered);
    void discardRecovered(const Recovered& recovered);

signals:
    /// The work cannot be kept against a crash; said once until it can again.
    void recoveryFailed(const QString& reason);
    void planChanged();
    /// The plan that follows is another one.
    void replaced();
    void fileChanged();
    /// Another program or window wrote the plan's file.
    void changedByOthers();
    /// Why an edit was not made.
    void refused(const QString& reason);

private:
    struct State {
        Plan plan;
        QString label, merge;
        qint64 when = 0;
    };
    void show(int at);
    void forgetAutosave();

    Plan plan_;
    QString path_, folder_;
    std::function<bool(const Plan&)> rule_;
    std::function<void(Plan&)> finish_;
    std::vector<State> history_;
    int at_ = 0, savedAt_ = 0;
    void wantAutosave();

    QString autosaveFile() const { return QStringLiteral("%1/%2.uovo").arg(folder_, run_); }
    QByteArray fingerprint() const;
    void watch();
    void look();

    QTimer autosaveTimer_, lookTimer_;
    QElapsedTimer unsavedSince_;  // since the first edit that is not in the recovery copy
    const QString run_;           // names this run's recovery copy: a process number may come again
    RecoveryKeeper keeper_;
    bool told_ = false;
    QByteArray seen_,
        asked_;  // the file as it was read or written, and as it was when the person was last asked about it
    QFileSystemWatcher watcher_;
};

}  // namespace uovo::desktop
