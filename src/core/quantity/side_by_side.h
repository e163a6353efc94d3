// Two things at once.
#pragma once
#include <functional>
#include <future>

namespace uovo {

/// Runs one thing here and another beside it, and waits for both. What either throws is thrown here: a thread of its
/// own would end the program.
template <class Here, class There>
void sideBySide(const Here& here, const There& there) {
    auto other = std::async(std::launch::async, std::cref(there));
    here();
    other.get();
}

}  // namespace uovo
