#include "core/answers/cache.h"

#include "core/day/day.h"
#include "core/stages/put_together.h"
#include "core/stages/strength.h"

namespace uovo {
namespace {

template <class T>
std::size_t room(const std::vector<T>& v) {
    return v.capacity() * sizeof(T);
}

std::size_t bytesOf(const form::Mesh& m) { return room(m.points) + room(m.triangles) + room(m.marks); }

std::size_t bytesOf(const coat::CoatsResult& c) {
    std::size_t sum = room(c.wall);
    for (const auto& k : c.coats) sum += room(k.wall) + room(k.perArea) + sizeof k;
    return sum;
}

std::size_t bytesOf(const form::Profile& p) { return room(p.r) * 10 + room(p.faceR) * 2; }

}  // namespace

Cache::Cache(const Cache& other) {
    const std::lock_guard lock(*other.mutex_);
    kept_ = other.kept_;
    most_ = other.most_;
    bytes_ = other.bytes_;
    for (auto it = kept_.begin(); it != kept_.end(); ++it) at_[it->key] = it;
}

std::size_t Cache::bytes() const {
    const std::lock_guard lock(*mutex_);
    return bytes_;
}

std::size_t Cache::size() const {
    const std::lock_guard lock(*mutex_);
    return kept_.size();
}

std::shared_ptr<const void> Cache::find(const std::string& key) {
    const std::lock_guard lock(*mutex_);
    const auto it = at_.find(key);
    if (it == at_.end()) return nullptr;
    kept_.splice(kept_.end(), kept_, it->second);
    return it->second->value;
}

void Cache::keep(const std::string& key, std::shared_ptr<const void> value, std::size_t bytes) {
    std::list<Entry> gone;  // what goes is let go of when nobody waits
    const std::lock_guard lock(*mutex_);
    if (const auto it = at_.find(key); it != at_.end()) {
        bytes_ -= it->second->bytes;
        kept_.erase(it->second);
        at_.erase(it);
    }
    bytes += 2 * key.size() + sizeof(Entry);  // the key stands in the list and in the map
    kept_.push_back({key, std::move(value), bytes});
    at_[key] = std::prev(kept_.end());
    bytes_ += bytes;
    while (bytes_ > most_ && kept_.size() > 1) {
        bytes_ -= kept_.front().bytes;
        at_.erase(kept_.front().key);
        gone.splice(gone.end(), kept_, kept_.begin());
    }
}

std::size_t bytesOf(const Made& made) {
    std::size_t sum = sizeof made;
    for (const auto& i : made.assembly.items) sum += sizeof i + bytesOf(i.shape.surface) + room(i.shape.thickness);
    if (made.wall) sum += sizeof *made.wall + room(made.wall->coats) + room(made.wall->setting);
    if (made.meridian) sum += sizeof *made.meridian + bytesOf(made.meridian->profile) + bytesOf(made.meridian->coats);
    return sum;
}

std::size_t bytesOf(const StrengthStage& stage) {
    std::size_t sum = sizeof stage + bytesOf(stage.mesh) + room(stage.thickness);
    for (const auto& c : stage.cases) sum += sizeof c + room(c.stress) + room(c.shift) + room(c.arrows);
    return sum;
}

std::size_t bytesOf(const std::vector<MoldWork>& molds) {
    std::size_t out = sizeof molds;
    for (const auto& m : molds) {
        out += sizeof m;
        if (!m.own) continue;
        const auto& map = m.own->map;
        out += map.comes.size() + 8 * (map.share.size() + map.draft.size());
        for (const auto& t : map.trapped) out += sizeof t + 4 * t.triangles.size();
    }
    return out;
}

std::size_t bytesOf(const PutTogether& together) {
    std::size_t n = sizeof together;
    for (const auto& b : together.bodies)
        n += b.solid.points.size() * sizeof(form::Vec3) + b.solid.triangles.size() * sizeof(form::Triangle);
    for (const auto& c : together.found.contacts) n += sizeof c + c.touches.size() * sizeof(assembly::Touch);
    return n;
}

std::size_t bytesOf(const schedule::Found& found) {
    const auto& l = found.layout;
    std::size_t sum =
        sizeof found + 3 * room(l.start) + room(l.potWork) + room(l.sittings) + 2 * room(found.genes.delay);
    for (const auto& s : l.sittings) sum += room(s.uses) + room(s.mixes);
    return sum;
}

std::size_t bytesOf(const std::vector<WayOut>& ways) {
    std::size_t sum = sizeof ways;
    for (const auto& w : ways) sum += sizeof w + w.changed.making.capacity() * sizeof(Step);
    return sum;
}

}  // namespace uovo
