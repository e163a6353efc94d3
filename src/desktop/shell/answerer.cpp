#include "desktop/shell/answerer.h"

namespace uovo::desktop {

Answerer::Answerer(const material::Library& library, Cache known, QObject* parent)
    : QObject(parent), library_(library), cache_(std::move(known)) {
    for (int i = 0; i < 2; ++i) threads_.emplace_back([this](std::stop_token quit) { work(quit); });
}

Answerer::~Answerer() {
    {
        const std::lock_guard lock(mutex_);
        current_.request_stop();
    }
    for (auto& t : threads_) t.request_stop();
    wake_.notify_all();
}

void Answerer::ask(const Plan& plan, std::shared_ptr<const DayPlan> before) {
    {
        const std::lock_guard lock(mutex_);
        next_ = plan;
        before_ = std::move(before);
        ++asked_;
        current_.request_stop();
    }
    pending_ = 1;
    emit busyChanged();
    wake_.notify_one();
}

void Answerer::setHeld(bool held) {
    {
        const std::lock_guard lock(mutex_);
        held_ = held;
    }
    wake_.notify_one();
}

void Answerer::work(std::stop_token quit) {
    while (!quit.stop_requested()) {
        Plan plan;
        AnswerOptions options;
        options.chance = true;
        options.effort = effort_;
        std::stop_source stop;
        quint64 number = 0;
        {
            std::unique_lock lock(mutex_);
            if (!wake_.wait(lock, quit, [this] { return next_.has_value() && !held_; })) return;
            plan = std::move(*next_);
            next_.reset();
            options.before = std::move(before_);
            current_ = stop;
            number = asked_;
        }
        const auto publish = [this, number](const Answers& a, bool complete) {
            auto shared = std::make_shared<const Answers>(a);
            QMetaObject::invokeMethod(
                this,
                [this, shared, complete, number] {
                    if (number != asked_) return;  // a newer plan is on its way; asked_ changes only on this thread
                    if (complete) pending_ = 0;
                    emit answered(shared, complete);
                    if (complete) emit busyChanged();
                },
                Qt::QueuedConnection);
        };
        const auto answers = answer(plan, library_, cache_, options, stop.get_token(),
                                    [&](const Answers& early) { publish(early, false); });
        if (answers) publish(*answers, true);
    }
}

}  // namespace uovo::desktop
