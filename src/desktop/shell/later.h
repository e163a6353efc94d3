// A widget that is built when it is first asked for.
#pragma once
#include <functional>
#include <utility>

namespace uovo::desktop {

template <class Widget>
class Later {
public:
    explicit Later(std::function<Widget*()> build) : build_(std::move(build)) {}
    Widget* get() {
        if (!widget_) widget_ = build_();
        return widget_;
    }
    Widget* operator->() { return get(); }
    bool isBuilt() const { return widget_ != nullptr; }

private:
    std::function<Widget*()> build_;
    Widget* widget_ = nullptr;  // its parent's
};

}  // namespace uovo::desktop
