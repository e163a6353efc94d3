// The tasks of a plan with their lags, and what they keep in use.
#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "core/day/builder.h"
#include "core/quantity/catalogue.h"

namespace uovo::day {

schedule::Network Builder::build() {
    closed();
    people();
    const int shelf =
        addResource(schedule::Resource::Kind::Shelf, tr("fridge shelf"),
                    plan_.kitchen.shelfWidth.value * plan_.kitchen.shelfDepth.value * plan_.kitchen.shelves);
    const int freezer = addResource(schedule::Resource::Kind::Freezer, "freezer",
                                    plan_.kitchen.freezerWidth.value * plan_.kitchen.freezerDepth.value);
    const int table =
        addResource(schedule::Resource::Kind::Bench, "bench", lib_.usual("tableWidth") * lib_.usual("tableDepth"));
    places_ = {{coat::Place::Table, table}, {coat::Place::Fridge, shelf}, {coat::Place::Freezer, freezer}};
    plate_ = static_cast<int>(net_.resources.size());
    net_.resources.push_back({tr("warm plate"), 1, "plate", schedule::Resource::Kind::Plate});
    clear_ =
        add({"clear-shelf", tr("Clear the shelf in the fridge"), "", "prepare", minutes("clearShelf", 1), 1, 0, 0, {}});
    for (const auto& piece : plan_.pieces) build(piece);
    washUp();
    serveLast();
    shareGrams();
    wishes();
    return std::move(net_);
}

void Builder::build(const Piece& piece) {
    if (finished_.contains(piece.id)) return;
    finished_[piece.id];
    for (const auto& step : piece.making)
        if (const auto* in = std::get_if<InsertStep>(&step); in && in->what == InsertStep::What::Piece)
            for (const auto& other : plan_.pieces)
                if (other.id == in->piece) build(other);
    const PieceAnswers& a = *known_.piece(piece.id);
    const Made& made = *a.made;
    Since finished;
    const size_t first = net_.tasks.size();
    if (made.wall) coats(piece, a, finished);
    if (!made.wall || made.wall->items.size() < made.assembly.items.size()) casts(piece, a, finished);
    madeBefore(piece, first);
    finish(piece, a, std::move(finished), plural(lowerFirst(piece.name)));
}

int Builder::minutes(const char* task, int pieces) const {
    const auto& t = lib_.tasks.at(task);
    return std::max(1,
                    static_cast<int>(std::ceil(plan_.kitchen.pace * t.seconds.value * (t.perPiece ? pieces : 1) / 60)));
}

int Builder::addResource(schedule::Resource::Kind kind, const std::string& name, double squareMetres) {
    net_.resources.push_back({name, static_cast<int>(squareMetres * 1e4), "cm²", kind});
    return static_cast<int>(net_.resources.size()) - 1;
}

int Builder::add(schedule::Task task) {
    task.step = task.id.substr(task.id.rfind('/') + 1);
    for (const auto& c : task.cautions) {
        if (c == "hot-bowl" || c == "warm-plate" || c == "balloon-hot") task.skills |= schedule::kHot;
        if (c == "blade") task.skills |= schedule::kKnife;
    }
    const int at = static_cast<int>(net_.tasks.size());
    if (std::ranges::find(task.cautions, "warm-plate") != task.cautions.end())
        net_.holds.push_back({plate_, at, at, 1});
    net_.tasks.push_back(std::move(task));
    return at;
}

void Builder::after(int from, int to, int min, int max, std::string why) {
    net_.lags.push_back({from, to, length(from) + min, max < 0 ? -1 : length(from) + max, std::move(why)});
}

int Builder::follow(const Since& since, int task, int most) {
    for (const auto& s : since) after(s.task, task, s.wait, most, s.why);
    return task;
}

int Builder::task(const Round& r, const std::string& what, std::string title, const char* lane, int length_, int coat,
                  std::vector<std::string> cautions) {
    const std::string id = r.number > 0 ? fmt::format("{}/{}/{}", r.piece.id, r.number, what) : r.piece.id + "/" + what;
    return add(
        {id, std::move(title), r.piece.id, lane, length_, 1, coat, r.number, std::move(cautions), r.which, {}, r.who});
}

std::vector<Builder::Round> Builder::roundsOf(const Piece& piece, const PieceAnswers& a) const {
    const auto wished = plan_.day.rounds.find(piece.id);
    const int make = a.make,
              perRound =
                  std::max(1, std::min({a.perShelf, make, wished == plan_.day.rounds.end() ? make : wished->second,
                                        moldsOf(piece) > 0 ? moldsOf(piece) : make}));
    std::vector<int> ends;  // number of the last piece of each round
    if (const auto begun = frame_.rounds.find(piece.id); begun != frame_.rounds.end())
        for (const int n : begun->second) ends.push_back(std::min(make, (ends.empty() ? 0 : ends.back()) + n));
    const int gone = ends.empty() ? 0 : ends.back(), left = (make - gone + perRound - 1) / perRound;
    for (int r = 1; r <= left; ++r) ends.push_back(gone + (make - gone) * r / left);
    const int rounds = static_cast<int>(ends.size());
    std::vector<Round> out;
    for (int r = 0, from = 1; r < rounds; from = ends[static_cast<size_t>(r++)] + 1) {
        const int to = ends[static_cast<size_t>(r)];
        out.push_back({piece, r + 1, to - from + 1, whose(piece, rounds, from, to), numbers(rounds, from, to)});
    }
    return out;
}

size_t Builder::together(const Making& making) {
    size_t at = 0;
    for (size_t i = 0; i < making.size(); ++i)
        if (std::holds_alternative<PlannedCoat>(making[i]) || std::holds_alternative<CastStep>(making[i]) ||
            std::holds_alternative<ReleaseStep>(making[i]) || std::holds_alternative<TrimStep>(making[i]))
            at = i + 1;
    return at;
}

std::vector<size_t> Builder::strewnOn(const Making& making, size_t at, size_t end) {
    std::vector<size_t> out;
    for (size_t k = at + 1;
         k < end && (std::holds_alternative<TopStep>(making[k]) || std::holds_alternative<InsertStep>(making[k])); ++k)
        out.push_back(k);
    return out;
}

std::string Builder::whose(const Piece& piece, int rounds, int from, int to) {
    const std::string one = lowerFirst(piece.name);
    if (rounds > 1)
        return from == to ? fmt::format("{} {}", one, from) : fmt::format("{} {}–{}", plural(one), from, to);
    return to == from ? say("the {}", one) : say("all {} {}", to - from + 1, plural(one));
}

std::string Builder::counted(const Piece& piece, const std::string& things) {
    return piece.count == 1 ? say("the {}", lowerFirst(piece.name)) : fmt::format("{} {}", piece.count, things);
}

std::string Builder::numbers(int rounds, int from, int to) {
    return rounds <= 1 ? "" : from == to ? std::to_string(from) : fmt::format("{}–{}", from, to);
}

void Builder::takePlace(coat::Place where, int from, int to, const PieceAnswers& a, int pieces) {
    const int place = places_.at(where), capacity = net_.resources[static_cast<size_t>(place)].capacity;
    net_.holds.push_back({place, from, to, std::min(capacity, capacity / std::max(1, a.perShelf) * pieces)});
}

double Builder::longestIn(coat::Place place) const {
    return place == coat::Place::Freezer  ? lib_.usual("freezerMost")
           : place == coat::Place::Fridge ? lib_.usual("fridgeMost")
                                          : 4 * 3600.0;
}

int Builder::fitIn(coat::Place place, double diameter) const {
    const auto& k = plan_.kitchen;
    if (place == coat::Place::Table)
        return batch::fitOnShelf(lib_.usual("tableWidth"), lib_.usual("tableDepth"), diameter);
    return place == coat::Place::Fridge
               ? k.shelves * batch::fitOnShelf(k.shelfWidth.value, k.shelfDepth.value, diameter)
               : batch::fitOnShelf(k.freezerWidth.value, k.freezerDepth.value, diameter);
}

std::string Builder::placeName(coat::Place p) {
    return p == coat::Place::Table ? tr("bench") : p == coat::Place::Fridge ? tr("fridge") : tr("freezer");
}

}  // namespace uovo::day

namespace uovo {

schedule::Network dayNetwork(const Plan& plan, const material::Library& lib, const PlanFigures& known,
                             const DayFrame& frame) {
    return day::Builder(plan, lib, known, frame).build();
}

}  // namespace uovo
