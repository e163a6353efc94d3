// The day that is being worked through: its log on the disk, its clock, what is left laid out anew beside the window.
#pragma once
#include <QObject>
#include <QTimer>
#include <functional>
#include <memory>
#include <thread>

#include "core/run/fate.h"
#include "desktop/shell/session.h"
#include "io/run_file.h"

namespace uovo::desktop {

class RunKeeper : public QObject {
    Q_OBJECT

public:
    using Clock = std::function<run::Stamp()>;
    explicit RunKeeper(Session& session, QObject* parent = nullptr);
    ~RunKeeper() override;

    /// The clocks of this machine, unless a test has its own.
    void setClock(Clock clock) { clock_ = std::move(clock); }

    /// Whether a day runs: really, or as a rehearsal.
    bool runs() const { return run() && run()->hasBegun() && !run()->hasEnded(); }
    bool isOver() const { return run() && run()->hasEnded(); }
    bool isRehearsal() const { return rehearsal_ != nullptr; }
    /// Null where there is none.
    const run::Run* run() const;
    /// s of the run now.
    double second() const;
    /// What a clock on the wall shows now, or would in the rehearsal; local minutes.
    long local() const;
    /// The day as it is planned now; null where there is none.
    std::shared_ptr<const DayPlan> day() const { return day_; }

    /// A day of this plan that was begun and has not ended lies on the disk.
    bool canGoOn() const;
    void begin();
    /// Goes on with what lies on the disk.
    void goOn();
    /// @param speed minutes of the day a minute
    void rehearse(double speed, unsigned seed);
    double speed() const { return speed_; }
    void setSpeed(double speed);
    /// The log of the day as it lies on the disk; empty of a rehearsal.
    std::string logText() const;
    /// Lets go of what ran: what lies on the disk stays there.
    void close();

    /// Takes an event at this second. @returns whether it was taken; why not is said
    bool take(run::Event event);
    /// A step is done; in a rehearsal luck has its say.
    void done(const std::string& step);
    /// Lays what is left out anew, beside the window.
    void layAnew();
    bool isLaying() const { return laying_; }
    /// What went wrong in a rehearsal and wants an answer; none: nothing.
    const std::optional<run::Event>& trouble() const { return trouble_; }
    void answered() { trouble_.reset(); }
    /// What the last laying out changed, a sentence; empty: nothing.
    const QString& news() const { return news_; }

signals:
    void changed();
    /// Time has passed: twice a second, oftener in a fast rehearsal.
    void ticked();
    void said(const QString& words, bool wrong);

private:
    struct Rehearsal;
    QString path() const;
    void start();
    bool wasTaken(const run::Event& event, double secondsAgo);
    void taken(const run::Anew& anew);
    void followPlan();

    Session& session_;
    Clock clock_;
    std::optional<io::RunFile> file_;
    std::unique_ptr<Rehearsal> rehearsal_;
    std::shared_ptr<const DayPlan> day_;
    Plan laidFor_;
    unsigned told_ = 1;  // people, as bits, who were the last to say that something is done
    double speed_ = 1;
    QTimer tick_;
    QString news_;
    std::optional<run::Event> trouble_;
    bool laying_ = false;
    quint64 number_ = 0;
    std::jthread thread_;
};

}  // namespace uovo::desktop
