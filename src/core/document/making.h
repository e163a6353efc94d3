// How a piece is made: the steps, one after the other. Wall, grams, day, card and list read this one list.
#pragma once
#include <algorithm>
#include <iterator>
#include <string>
#include <type_traits>
#include <variant>
#include <vector>

#include "core/coat/coats.h"
#include "core/quantity/catalogue.h"

namespace uovo {

/// A coat of a plan: the step and what the file holds besides. It says itself where it sets, for it runs on while it
/// does.
struct PlannedCoat : coat::CoatStep {
    std::string chocolate;  ///< id, where it is not the piece's; empty: the piece's
    std::string item;   ///< key of the part of a compound that it is for; empty: all that have no steps of their own
    std::string extra;  ///< keys this version does not know, a JSON object or empty; so in every step
    bool operator==(const PlannedCoat&) const = default;
};

/// Poured into its mold, spread between bars, piped or modeled, as its family is; several share what the form takes:
/// two tones. It says itself where it sets, for a stick stands or falls by that.
struct CastStep {
    std::string chocolate;    ///< id, where it is not the piece's; empty: the piece's
    Measure share = 1;        ///< parts of what the form takes, beside the shares of the other casts
    Measure temperature = 0;  ///< °C it is poured at; 0: the chocolate's working temperature
    Measure table = 0;        ///< s on the table first, so that a stick stands
    coat::Place place = coat::Place::Fridge;
    std::string item;  ///< key of the part of a compound that it is for; empty: all that have no steps of their own
    std::string extra;
    bool operator==(const CastStep&) const = default;
};

/// Something put into chocolate that is still soft, or stuck on: a stick, a spoon, a biscuit, another piece of the
/// plan; or what the chocolate goes round: a fruit that is dipped, nuts that are bound (What::Core).
struct InsertStep {
    enum class What { Stick, Biscuit, Thing, Piece, Core };
    What what = What::Stick;
    std::string name = tr("Stick");  ///< in a person's words; of a piece its id says
    std::string piece;               ///< id of another piece (What::Piece)
    int each = 1;                    ///< so many in one
    Measure mass = 0.001;            ///< kg of one; of a piece its grams say
    std::string allergens;           ///< as a person says them
    std::string item;                ///< key of the part of a compound that it goes into; empty: the whole
    std::string extra;
    bool operator==(const InsertStep&) const = default;
};

/// A topping of the plan, strewn on or glued on one by one.
struct TopStep {
    enum class When { Wet, Tacky, Glued };  ///< at once, as soon as it holds, or one by one with a dot of chocolate
    std::string topping;                    ///< id of a topping of the plan
    Measure each = 0.004;                   ///< kg on one piece
    When when = When::Wet;
    std::string item;  ///< key of the part of a compound that it goes on; empty: the whole
    std::string extra;
    bool operator==(const TopStep&) const = default;
};

/// Some minutes in a place, for what coats and casts do not say themselves.
struct SetStep {
    coat::Place place = coat::Place::Fridge;
    Measure stay = 300;  ///< s
    std::string extra;
    bool operator==(const SetStep&) const = default;
};

struct ReleaseStep {  ///< off its former; how is said by `Handling`
    std::string extra;
    bool operator==(const ReleaseStep&) const = default;
};
struct TrimStep {  ///< the rim, with a knife or on a warm plate; a hole of its figures is melted then
    std::string extra;
    bool operator==(const TrimStep&) const = default;
};
/// Its parts are glued.
struct JoinStep {
    std::vector<std::string> order;  ///< keys of its parts as a person wants them, each once; empty: one is found
    std::string extra;
    bool operator==(const JoinStep&) const = default;
};

/// A filling of the plan goes in; several are layers.
struct FillStep {
    std::string filling;  ///< id of a filling of the plan
    Measure each = 1e-4;  ///< m³ in one piece
    Measure share = 0;    ///< of what the piece holds; above 0 it says how much goes in, and `each` does not count
    Measure chill = 0;    ///< s in the fridge after it, before the next step
    bool served = false;  ///< goes in as it is served, at the table: no task of the day
    std::string extra;
    bool operator==(const FillStep&) const = default;
};

/// Chocolate poured on the filling.
struct LidStep {
    Measure depth = 0.003;  ///< m
    std::string extra;
    bool operator==(const LidStep&) const = default;
};

/// On what has set, from light to dark; before the first coat or cast in a mold: on the mold's face, so that it comes
/// to lie outside.
struct DecorateStep {
    enum class Way {
        Drizzle,
        Paint,
        Spray,
        Dust,
        Stencil,
        Ribbon,
        Scrape,    ///< shaved or scraped off, so that what lies below shows
        Splatter,  ///< flicked off a brush
        Marble,    ///< swirled into another tone
        Gild,      ///< pearl or gold paint
        Paste,     ///< a sheet of sugar paste, cut and laid on
        Edge,      ///< an edge dipped in sugar or crumbs
        Flood,     ///< an outline, filled
        Grain,     ///< wood grain brushed in
        Petals,    ///< rolled of modeling chocolate, cut and set on
        Tilt,      ///< a second tone run over a part of the face that is held aslant
        Bow,       ///< tied of rolled modeling chocolate
        Strips     ///< spread on a frozen slab, lifted while they still bend
    };
    Way way = Way::Drizzle;
    std::string chocolate;  ///< id, where it is of chocolate; empty: the piece's
    std::string name;       ///< of a powder, ribbon, paint, paste or sugar
    Measure mass = 0.003;   ///< kg on one piece; 0: counted from the figures below
    Measure dry = 300;      ///< s until it may be touched
    Measure every = 0;      ///< m along the rim from one to the next; 0: as it comes. Not of a ribbon
    // What it is counted from, of those ways that have a use for it (stages/decorating.h).
    Measure line = 0.3;     ///< m of line on one piece
    Measure width = 0.003;  ///< m, of the line, of the band along an edge, of a petal, strip or bow's band
    Measure thick = 0.001;  ///< m, of a sheet, a filled field or a petal; or how deep is scraped
    double cover = 0.25;    ///< share of the face
    int times = 1;          ///< passes of a spray or paint; petals or bows on one piece
    std::string item;       ///< key of the part of a compound that is decorated; empty: the whole
    std::string extra;
    bool usesChocolate() const;
    bool ofPaste() const { return way == Way::Petals || way == Way::Bow; }  ///< of modeling chocolate
    bool operator==(const DecorateStep&) const = default;
};

struct StoreStep {
    enum class Where { Box, Fridge };  ///< a closed box in the room, or back into the fridge
    Where where = Where::Box;
    std::string extra;
    bool operator==(const StoreStep&) const = default;
};

/// What the one who eats it does.
struct ServeStep {
    enum class How {
        Sauce,
        Drink,
        Mallet,
        Flame
    };  ///< a warm sauce over it, melted in a drink, broken, with something lit on it
    How how = How::Sauce;
    std::string name;       ///< of the sauce or drink
    Measure amount = 2e-4;  ///< m³ for one (Sauce, Drink)
    std::string extra;
    bool operator==(const ServeStep&) const = default;
};

using Step = std::variant<PlannedCoat, CastStep, InsertStep, TopStep, SetStep, ReleaseStep, TrimStep, JoinStep,
                          FillStep, LidStep, DecorateStep, StoreStep, ServeStep>;

/// Steps in their order. It is copied, compared and taken apart in one place (making.cpp): a step is a choice of many,
/// and each source that did so would be compiled for twice as long.
struct Making : std::vector<Step> {
    Making();
    Making(std::initializer_list<Step> steps);
    Making(const Making& other);
    Making(Making&& other) noexcept;
    Making& operator=(const Making& other);
    Making& operator=(Making&& other) noexcept;
    ~Making();
    bool operator==(const Making& other) const;
};

/// The steps of one sort in a making, in their order: read and written through it where they stand.
template <class S>
class StepsOf {
    using Plain = std::remove_const_t<S>;
    using Of = std::conditional_t<std::is_const_v<S>, const Making, Making>;
    using Any = std::conditional_t<std::is_const_v<S>, const Step, Step>;

public:
    class Iterator {
    public:
        using difference_type = std::ptrdiff_t;
        using value_type = Plain;
        using reference = S&;
        using pointer = S*;
        using iterator_category = std::forward_iterator_tag;
        Iterator() = default;
        Iterator(Any* at, Any* end) : at_(at), end_(end) { skip(); }
        S& operator*() const { return *std::get_if<Plain>(at_); }
        S* operator->() const { return std::get_if<Plain>(at_); }
        Iterator& operator++() {
            ++at_;
            skip();
            return *this;
        }
        Iterator operator++(int) {
            Iterator old = *this;
            ++*this;
            return old;
        }
        bool operator==(const Iterator& o) const { return at_ == o.at_; }
        /// Where in the making it stands.
        Any* step() const { return at_; }

    private:
        void skip() {
            while (at_ != end_ && !std::holds_alternative<Plain>(*at_)) ++at_;
        }
        Any *at_ = nullptr, *end_ = nullptr;
    };

    explicit StepsOf(Of& making) : making_(&making) {}
    StepsOf(const StepsOf&) = default;
    Iterator begin() const { return {making_->data(), making_->data() + making_->size()}; }
    Iterator end() const { return {making_->data() + making_->size(), making_->data() + making_->size()}; }
    size_t size() const { return static_cast<size_t>(std::distance(begin(), end())); }
    bool empty() const { return begin() == end(); }
    S& operator[](size_t k) const { return *std::next(begin(), static_cast<std::ptrdiff_t>(k)); }
    S& front() const { return *begin(); }
    S& back() const { return (*this)[size() - 1]; }
    operator std::vector<Plain>() const { return {begin(), end()}; }
    bool operator==(const StepsOf& o) const { return std::equal(begin(), end(), o.begin(), o.end()); }

    /// After the last of its sort; the first of its sort begins the making.
    void push_back(Plain step) requires(!std::is_const_v<S>) {
        making_->insert(making_->begin() + (empty() ? 0 : place(size() - 1) + 1), std::move(step));
    }
    void erase(size_t k) requires(!std::is_const_v<S>) { making_->erase(making_->begin() + place(k)); }
    void pop_back() requires(!std::is_const_v<S>) { erase(size() - 1); }
    void clear() requires(!std::is_const_v<S>) {
        std::erase_if(*making_, [](const Step& s) { return std::holds_alternative<Plain>(s); });
    }
    void resize(size_t n) requires(!std::is_const_v<S>) {
        while (size() > n) pop_back();
        while (size() < n) push_back({});
    }
    /// Other steps in their place: those beyond the old ones come after them, one after the other.
    StepsOf& operator=(const std::vector<Plain>& steps) requires(!std::is_const_v<S>) {
        while (size() > steps.size()) pop_back();
        for (size_t k = 0; k < steps.size(); ++k) k < size() ? void((*this)[k] = steps[k]) : push_back(steps[k]);
        return *this;
    }
    StepsOf& operator=(const StepsOf& o) requires(!std::is_const_v<S>) { return *this = std::vector<Plain>(o); }
    void assign(size_t n, Plain step) requires(!std::is_const_v<S>) { *this = std::vector<Plain>(n, step); }

private:
    std::ptrdiff_t place(size_t k) const {
        return std::next(begin(), static_cast<std::ptrdiff_t>(k)).step() - making_->data();
    }

    Of* making_;
};

/// The first step of a sort; null where there is none.
template <class S>
const S* firstOf(const Making& making) {
    for (const auto& s : making)
        if (const auto* x = std::get_if<S>(&s)) return x;
    return nullptr;
}
template <class S>
S* firstOf(Making& making) {
    return const_cast<S*>(firstOf<S>(static_cast<const Making&>(making)));
}

struct Piece;
struct Plan;
namespace material {
struct Library;
}

/// A rule of order that a making breaks.
struct OrderBreak {
    std::string id;  ///< of the rule: "release-first", "closed", "lid-waits", …
    std::string sentence;
    size_t step = 0;  ///< of the making, the one that stands wrong
    Making repaired;  ///< the same with this rule kept; empty where none is known
};
/// What of a piece's making breaks a rule of order, in the order of its steps.
std::vector<OrderBreak> orderBreaks(const Piece& piece, const Plan& plan, const material::Library& library);

/// No later one of these coats or casts is for the same part of a compound. @param k number of one of them
template <class Steps>
bool isLastForItsPart(const Steps& steps, size_t k) {
    const auto one = std::next(steps.begin(), static_cast<std::ptrdiff_t>(k));
    return std::none_of(std::next(one), steps.end(), [&](const auto& later) { return later.item == one->item; });
}

/// A decoration that lies on its mold's face before anything else: it comes to lie outside.
bool inTheMold(const Piece& piece, size_t step);

/// A step that is done once, and was done before in this making: it is told, and not done again.
bool doneBefore(const Making& making, size_t step);

/// What a step is called at the begin of a sentence: "A coat", "Filling it".
std::string stepName(const Step& step);

}  // namespace uovo
