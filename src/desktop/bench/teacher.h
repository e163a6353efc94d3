// What the weighings of a day teach, computed beside the window.
#pragma once
#include <QObject>
#include <QStringList>
#include <map>
#include <string>
#include <thread>
#include <utility>

#include "core/learn/shift.h"
#include "core/run/run.h"
#include "desktop/shell/session.h"

namespace uovo::desktop {

class Teacher : public QObject {
    Q_OBJECT

public:
    explicit Teacher(Session& session, QObject* parent = nullptr) : QObject(parent), session_(session) {}
    ~Teacher() override;

    /// Learns from a run that is over; once from each. What was asked before is stopped.
    void ask(const run::Run& run);
    /// Nothing is learned of any more.
    void forget();
    bool isBusy() const { return busy_; }
    /// Sentences; empty where nothing was weighed or nothing could be learned.
    const QStringList& lines() const { return lines_; }
    /// The plan can count on it, and does not yet.
    bool canCount() const { return !learned_.empty(); }
    /// The plan counts on what was learned from here on; can be undone like any edit.
    void count();

signals:
    void changed();

private:
    using Learned = std::map<std::string, learn::Shift>;  // by chocolate
    Session& session_;
    QStringList lines_;
    Learned learned_;
    std::map<std::string, std::string> sources_;  // of each, as workings name them
    std::pair<std::string, size_t> askedOf_;      // a run by its begin and its events; no events: none
    bool busy_ = false;
    quint64 number_ = 0;
    std::jthread thread_;
};

}  // namespace uovo::desktop
