// Stages remembered by their canonical inputs, bounded by what they take.
#pragma once
#include <cstddef>
#include <list>
#include <memory>
#include <mutex>
#include <string>
#include <unordered_map>
#include <vector>

namespace uovo {

namespace schedule {
struct Found;
}

struct Made;
struct MoldWork;
struct PutTogether;
struct StrengthStage;
struct WayOut;

/// The latest used stages within so many bytes. Several threads may ask and keep at a time.
class Cache {
public:
    /// More than a plan of three hundred kinds takes, strength included.
    static constexpr std::size_t kUsual = 256'000'000;

    Cache() = default;
    explicit Cache(std::size_t most) : most_(most) {}
    Cache(Cache&&) = default;
    Cache& operator=(Cache&&) = default;
    Cache(const Cache& other);  ///< remembers the same values
    Cache& operator=(const Cache&) = delete;
    std::shared_ptr<const void> find(const std::string& key);
    /// Remembers a value; what was used longest ago goes when there is no room. The newest always stays.
    /// @param bytes about what it takes
    void keep(const std::string& key, std::shared_ptr<const void> value, std::size_t bytes);
    std::size_t bytes() const;
    std::size_t size() const;

private:
    struct Entry {
        std::string key;
        std::shared_ptr<const void> value;
        std::size_t bytes = 0;
    };
    std::unique_ptr<std::mutex> mutex_ = std::make_unique<std::mutex>();
    std::list<Entry> kept_;  // newest last
    std::unordered_map<std::string, std::list<Entry>::iterator> at_;
    std::size_t most_ = kUsual, bytes_ = 0;
};

/// About what a stage takes, bytes.
std::size_t bytesOf(const Made& made);
std::size_t bytesOf(const StrengthStage& stage);
std::size_t bytesOf(const PutTogether& together);
std::size_t bytesOf(const std::vector<MoldWork>& molds);
std::size_t bytesOf(const schedule::Found& found);
std::size_t bytesOf(const std::vector<WayOut>& ways);

}  // namespace uovo
