#include "core/quantity/base64.h"

#include <algorithm>
#include <array>

namespace uovo {
namespace {

constexpr const char* kDigits = "ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789+/";

}  // namespace

std::string base64(const std::string& bytes) {
    std::string out;
    out.reserve((bytes.size() + 2) / 3 * 4);
    for (size_t i = 0; i < bytes.size(); i += 3) {
        const size_t n = std::min<size_t>(3, bytes.size() - i);
        unsigned v = 0;
        for (size_t k = 0; k < 3; ++k) v = v << 8 | (k < n ? static_cast<unsigned char>(bytes[i + k]) : 0U);
        for (size_t k = 0; k < 4; ++k) out += k <= n ? kDigits[v >> (18 - 6 * k) & 63U] : '=';
    }
    return out;
}

std::optional<std::string> fromBase64(const std::string& text, std::size_t most) {
    static const std::array<int, 256> value = [] {
        std::array<int, 256> v{};
        v.fill(-1);
        for (int k = 0; k < 64; ++k) v[static_cast<unsigned char>(kDigits[k])] = k;
        return v;
    }();
    if (text.size() % 4 != 0 || text.size() / 4 * 3 > most + 3) return std::nullopt;
    std::string out;
    out.reserve(text.size() / 4 * 3);
    for (size_t i = 0; i < text.size(); i += 4) {
        unsigned v = 0;
        size_t n = 3;
        for (size_t k = 0; k < 4; ++k) {
            const char c = text[i + k];
            if (c == '=' && i + 4 == text.size() && k >= 2) {
                n = std::min(n, k - 1);
                v <<= 6;
                continue;
            }
            const int d = value[static_cast<unsigned char>(c)];
            if (d < 0 || n < 3) return std::nullopt;
            v = v << 6 | static_cast<unsigned>(d);
        }
        for (size_t k = 0; k < n; ++k) out += static_cast<char>(v >> (16 - 8 * k) & 255U);
    }
    return out;
}

}  // namespace uovo
