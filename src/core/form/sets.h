// What hangs together: disjoint sets of numbers (union-find with halved paths).
#pragma once
#include <numeric>
#include <vector>

namespace uovo::form {

class Sets {
public:
    explicit Sets(size_t many) : of_(many) { std::iota(of_.begin(), of_.end(), 0); }
    /// The number that stands for its set.
    int find(int i) {
        while (at(i) != i) i = at(i) = at(at(i));
        return i;
    }
    void join(int a, int b) { at(find(a)) = find(b); }

private:
    int& at(int i) { return of_[static_cast<size_t>(i)]; }

    std::vector<int> of_;
};

}  // namespace uovo::form
