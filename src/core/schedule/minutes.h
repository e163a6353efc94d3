// Minutes that are free or busy, as bits.
#pragma once
#include <bit>
#include <cstdint>
#include <vector>

namespace uovo::schedule {

/// Rows of minutes, one for each person and pot; copied at one go.
class Minutes {
public:
    static constexpr int kNone = 1 << 29;

    Minutes() = default;
    Minutes(int rows, int minutes)
        : words_((minutes + 63) / 64), minutes_(words_ * 64), bits_(static_cast<size_t>(rows * words_), 0) {}

    int minutes() const { return minutes_; }

    void take(int row, int from, int to) {
        forEach(row, from, to, [](uint64_t& word, uint64_t mask) { word |= mask; });
    }
    void give(int row, int from, int to) {
        forEach(row, from, to, [](uint64_t& word, uint64_t mask) { word &= ~mask; });
    }
    bool isFree(int row, int from, int to) const { return from >= 0 && to <= minutes_ && nextBusy(row, from) >= to; }
    /// The first minute from `from` on with `length` free ones; kNone when there is none.
    int firstFree(int row, int from, int length) const {
        for (int at = from;;) {
            at = nextFree(row, at);
            if (at + length > minutes_) return kNone;
            const int end = nextBusy(row, at);
            if (end - at >= length) return at;
            at = end;
        }
    }
    /// @returns minutes() when all are busy
    int nextFree(int row, int from) const { return next(row, from, ~uint64_t{0}); }
    /// @returns minutes() when all are free
    int nextBusy(int row, int from) const { return next(row, from, 0); }

private:
    template <class Do>
    void forEach(int row, int from, int to, Do&& action) {
        for (int at = from < 0 ? 0 : from; at < to && at < minutes_;) {
            const int bit = at & 63, most = 64 - bit, length = to - at < most ? to - at : most;
            const uint64_t mask = (length == 64 ? ~uint64_t{0} : (uint64_t{1} << length) - 1) << bit;
            action(bits_[static_cast<size_t>(row * words_ + (at >> 6))], mask);
            at += length;
        }
    }
    int next(int row, int from, uint64_t flip) const {
        if (from >= minutes_) return minutes_;
        int word = from >> 6;
        uint64_t bits = (bits_[static_cast<size_t>(row * words_ + word)] ^ flip) & (~uint64_t{0} << (from & 63));
        while (bits == 0) {
            if (++word == words_) return minutes_;
            bits = bits_[static_cast<size_t>(row * words_ + word)] ^ flip;
        }
        return word * 64 + std::countr_zero(bits);
    }

    int words_ = 0, minutes_ = 0;
    std::vector<uint64_t> bits_;
};

}  // namespace uovo::schedule
