// Computes answers beside the window; the newest plan wins.
#pragma once
#include <QObject>
#include <atomic>
#include <condition_variable>
#include <memory>
#include <mutex>
#include <optional>
#include <thread>
#include <vector>

#include "core/answers/answers.h"

namespace uovo::desktop {

class Answerer : public QObject {
    Q_OBJECT

public:
    /// @param known answers of an earlier plan that need not be computed again
    explicit Answerer(const material::Library& library, Cache known = {}, QObject* parent = nullptr);
    ~Answerer() override;

    /// Asks for answers; what is being computed for an older plan is stopped.
    /// @param before the day to stay near to; may be null
    void ask(const Plan& plan, std::shared_ptr<const DayPlan> before = nullptr);
    /// What was computed, for others who ask beside it; may be used from any thread.
    Cache& cache() { return cache_; }
    /// From the next question on, days are tried this share of the usual times: what is not about the day is answered
    /// sooner.
    void setEffort(double share) { effort_ = share; }
    /// Lays out days as the answers do, remembered with them; may be used from any thread.
    Solve solve(std::stop_token stop) { return rememberedSolve(cache_, std::move(stop), effort_); }
    bool busy() const { return pending_ > 0; }
    /// Questions wait while this is so: a window that is being painted for the first time has both cores.
    void setHeld(bool held);

signals:
    /// On the interface's thread: first without ways out and the day (`complete` false), then with them.
    void answered(std::shared_ptr<const uovo::Answers> answers, bool complete);
    void busyChanged();

private:
    void work(std::stop_token quit);

    const material::Library& library_;
    Cache cache_;
    std::mutex mutex_;
    std::condition_variable_any wake_;
    std::optional<Plan> next_;
    bool held_ = false;
    std::shared_ptr<const DayPlan> before_;
    std::stop_source current_;
    std::atomic<double> effort_ = 1;
    quint64 asked_ = 0;
    int pending_ = 0;
    /// Two: the newest plan does not wait until the older one has stopped, which may take a factorisation.
    std::vector<std::jthread> threads_;
};

}  // namespace uovo::desktop
