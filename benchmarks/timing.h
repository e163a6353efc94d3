// Medians of what is measured, a row each.
#pragma once
#include <algorithm>
#include <chrono>
#include <cstdio>
#include <functional>
#include <vector>

inline double median(int times, const std::function<void()>& what) {
    std::vector<double> ms;
    for (int i = 0; i < times; ++i) {
        const auto t = std::chrono::steady_clock::now();
        what();
        ms.push_back(std::chrono::duration<double, std::milli>(std::chrono::steady_clock::now() - t).count());
    }
    std::sort(ms.begin(), ms.end());
    return ms[ms.size() / 2];
}

inline void row(const char* name, double ms, double allowed) {
    std::printf("%-58s %8.2f ms  (asked: %.0f)\n", name, ms, allowed);
}
