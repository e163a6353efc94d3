// The open plan: edits with undo, file, autosave and recovery.
#pragma once
#include <QObject>
#include <QElapsedTimer>
#include <QLockFile>
#include <QTimer>
#include <functional>
#include <memory>
#include <optional>

#include "core/plan/plan.h"
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

    /// Changes the plan. Edits with the same non-empty `merge` key that follow each other within a second are one undo step.
    void edit(const QString& label, const std::function<void(Plan&)>& change, const QString& merge = {});
    void undo();
    void redo();

    /// Replaces the document. @param path empty for a plan without a file
    void setPlan(Plan plan, const QString& path);
    tl::expected<void, Problem> open(const QString& path);
    tl::expected<void, Problem> save(const QString& path, io::Fault fault = io::Fault::None);

    /// Writes the autosave now if there is something unsaved.
    void autosave();
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
    void fileChanged();

private:
    struct State {
        Plan plan;
        QString label, merge;
        qint64 when = 0;
    };
    void show(int at);
    QString autosaveFile() const;
    void forgetAutosave();

    Plan plan_;
    QString path_, folder_;
    std::vector<State> history_;
    int at_ = 0, savedAt_ = 0;
    void wantAutosave();

    QTimer autosaveTimer_;
    QElapsedTimer unsavedSince_;   // since the first edit that is not in the recovery copy
    const QString run_;            // names this run's recovery copy: a process number may come again
    std::unique_ptr<QLockFile> alive_;  // beside the copy while this run lives
    bool told_ = false;
};

}  // namespace uovo::desktop
