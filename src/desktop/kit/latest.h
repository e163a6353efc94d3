// Work beside the window of which only the latest wish counts.
#pragma once
#include <QObject>
#include <functional>
#include <thread>
#include <utility>

namespace uovo::desktop {

/// While one wish is worked on the next waits, and those between are forgotten: nobody waits for a thread.
class Latest {
public:
    using Shown = std::function<void()>;  ///< shows what was found, in the window's thread

    /// @param owner lives as long as this
    explicit Latest(QObject* owner) : owner_(owner) {}

    /// @param work is done beside the window
    void ask(std::function<Shown()> work) {
        forget();
        next_ = std::move(work);
        if (!busy_) start();
    }
    /// What is under way is not shown any more.
    void forget() {
        next_ = {};
        ++number_;
    }

private:
    void start() {
        busy_ = true;
        thread_ = std::jthread([this, number = number_, work = std::exchange(next_, {})] {
            QMetaObject::invokeMethod(owner_, [this, number, shown = work()] {
                busy_ = false;
                if (next_) start();
                else if (number == number_) shown();
            });
        });
    }

    QObject* owner_;
    std::function<Shown()> next_;
    int number_ = 0;
    bool busy_ = false;
    std::jthread thread_;
};

}  // namespace uovo::desktop
