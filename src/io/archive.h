// Zip archives in memory, within a budget: what a small file unfolds to is asked before it is unfolded.
#pragma once
#include <memory>
#include <string>
#include <utility>
#include <vector>

#include <tl/expected.hpp>

#include "core/quantity/quantity.h"

struct zip;  // of libzip

namespace uovo::io {

inline constexpr std::size_t kMostEntries = 10'000;        ///< files in an archive
inline constexpr std::size_t kMostUnfolded = 256'000'000;  ///< bytes of all that is read from one
inline constexpr std::size_t kMostRatio = 200;             ///< times a file may unfold, beyond its first megabyte

class Archive {
public:
    /// @returns the archive, or why it is none. Keeps a reference to `bytes`.
    static tl::expected<Archive, Problem> open(const std::string& bytes);
    bool has(const std::string& name) const;
    /// One of its files, unfolded and checked against its sum.
    tl::expected<std::string, Problem> read(const std::string& name);

private:
    struct Close {
        void operator()(::zip* z) const;
    };
    std::unique_ptr<::zip, Close> zip_;
    std::size_t unfolded_ = 0;
};

/// An archive of files, in their order; the same files always give the same bytes.
tl::expected<std::string, Problem> archived(const std::vector<std::pair<std::string, std::string>>& files);

}  // namespace uovo::io
