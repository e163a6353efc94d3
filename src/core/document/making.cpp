// What a making is without what a person says of it, and the rules of its order.
#include "core/document/making.h"

#include <fmt/format.h>

#include <algorithm>

#include "core/document/plan.h"
#include "core/quantity/catalogue.h"
#include "core/quantity/words.h"

namespace uovo {

Making::Making() = default;
Making::Making(std::initializer_list<Step> steps) : std::vector<Step>(steps) {}
Making::Making(const Making& other) = default;
Making::Making(Making&& other) noexcept = default;
Making& Making::operator=(const Making& other) = default;
Making& Making::operator=(Making&& other) noexcept = default;
Making::~Making() = default;
bool Making::operator==(const Making& other) const {
    return static_cast<const std::vector<Step>&>(*this) == static_cast<const std::vector<Step>&>(other);
}

namespace {

/// Where a sort of step usually stands: smaller numbers first.
enum Rank { kAround, kShape, kInto, kOff, kTrimmed, kInside, kTogether, kFilled, kLidded, kOnTop, kKept, kServed };

Rank rankOf(const Step& step, const Piece& piece) {
    struct {
        const Piece& piece;
        Rank operator()(const PlannedCoat&) const { return kShape; }
        Rank operator()(const CastStep&) const { return kShape; }
        Rank operator()(const InsertStep& s) const { return s.what == InsertStep::What::Core ? kAround : kInto; }
        Rank operator()(const TopStep& s) const { return s.when == TopStep::When::Glued ? kOnTop : kInto; }
        Rank operator()(const SetStep&) const { return kOnTop; }
        Rank operator()(const ReleaseStep&) const { return kOff; }
        Rank operator()(const TrimStep&) const { return kTrimmed; }
        Rank operator()(const JoinStep&) const { return kTogether; }
        Rank operator()(const FillStep& s) const {
            return piece.closedByJoining() ? kInside : s.served ? kServed : kFilled;
        }
        Rank operator()(const LidStep&) const { return kLidded; }
        Rank operator()(const DecorateStep&) const { return kOnTop; }
        Rank operator()(const StoreStep&) const { return kKept; }
        Rank operator()(const ServeStep&) const { return kServed; }
    } rank{piece};
    return std::visit(rank, step);
}

template <class S>
bool is(const Step& step) {
    return std::holds_alternative<S>(step);
}

/// What is done to chocolate that is soft, and what leaves it so.
/// Done by those who eat it, or before their eyes.
bool atTable(const Step& s) {
    const auto* fill = std::get_if<FillStep>(&s);
    return is<ServeStep>(s) || (fill && fill->served);
}
bool leavesSoft(const Step& s) { return is<PlannedCoat>(s) || is<CastStep>(s) || is<FillStep>(s) || is<LidStep>(s); }
bool wantsSoft(const Step& s) {
    const auto* top = std::get_if<TopStep>(&s);
    const auto* in = std::get_if<InsertStep>(&s);
    return (in && in->what != InsertStep::What::Core) || (top && top->when != TopStep::When::Glued);
}

/// Decorations that a mold's face takes before its chocolate.
bool canBeFirst(DecorateStep::Way way) {
    using Way = DecorateStep::Way;
    return way == Way::Drizzle || way == Way::Paint || way == Way::Spray || way == Way::Dust || way == Way::Splatter ||
           way == Way::Gild || way == Way::Flood || way == Way::Marble || way == Way::Tilt;
}

/// The same with step `from` standing right before or after where `to` stands now.
Making moved(const Making& making, size_t from, size_t to, bool after) {
    Making out = making;
    Step step = out[from];
    const std::ptrdiff_t target = static_cast<std::ptrdiff_t>(to) + (after ? 1 : 0);
    out.insert(out.begin() + target, std::move(step));
    out.erase(out.begin() + (target <= static_cast<std::ptrdiff_t>(from) ? static_cast<std::ptrdiff_t>(from) + 1
                                                                         : static_cast<std::ptrdiff_t>(from)));
    return out;
}

Making changed(const Making& making, size_t at, Step step) {
    Making out = making;
    out[at] = std::move(step);
    return out;
}

Making without(const Making& making, size_t at) {
    Making out = making;
    out.erase(out.begin() + static_cast<std::ptrdiff_t>(at));
    return out;
}

/// The rules of order. A repair moves what comes later behind what comes before it, never the other way: repairs end.
class Rules {
public:
    Rules(const Piece& piece, const Plan& plan, const material::Library& lib)
        : piece_(piece), plan_(plan), lib_(lib), m_(piece.making) {}

    std::vector<OrderBreak> all() {
        for (size_t i = 0; i < m_.size(); ++i) {
            nothingYet(i);
            offItsFormer(i);
            intoSomething(i);
            soft(i);
            after(i);
            colours(i);
            useless(i);
            twice(i);
            core(i);
        }
        return std::move(out_);
    }

private:
    void tell(const char* id, std::string sentence, size_t step, Making repaired = {}) {
        out_.push_back({id, std::move(sentence), step, std::move(repaired)});
    }
    template <class S>
    std::optional<size_t> first() const {
        for (size_t i = 0; i < m_.size(); ++i)
            if (is<S>(m_[i])) return i;
        return std::nullopt;
    }

    /// What is done to chocolate finds some: it is coated or cast first.
    void nothingYet(size_t i) {
        const Step& s = m_[i];
        if (!is<SetStep>(s) && !is<ReleaseStep>(s) && !is<TrimStep>(s) && !is<JoinStep>(s) && !is<DecorateStep>(s) &&
            !is<FillStep>(s) && !is<LidStep>(s))
            return;
        if (inTheMold(piece_, i) && canBeFirst(std::get<DecorateStep>(s).way)) return;
        const auto shapes = [](const Step& x) { return is<PlannedCoat>(x) || is<CastStep>(x); };
        if (std::any_of(m_.begin(), m_.begin() + static_cast<std::ptrdiff_t>(i), shapes)) return;
        for (size_t k = i + 1; k < m_.size(); ++k)
            if (shapes(m_[k]))
                return tell("nothing-yet",
                            say("There is nothing yet: {} comes once it is made.", lowerFirst(stepName(s))), i,
                            moved(m_, i, k, true));
    }

    /// A former is left before what needs a bare piece, and after what needs the former.
    void offItsFormer(size_t i) {
        const auto release = first<ReleaseStep>();
        if (!release) return;
        const Step& s = m_[i];
        const bool bare =
            is<TrimStep>(s) || is<JoinStep>(s) || is<StoreStep>(s) || (is<FillStep>(s) && piece_.overBalloon());
        if (i < *release && bare)
            tell("release-first",
                 piece_.overBalloon() && is<FillStep>(s)
                     ? tr("The balloon is still in it: let it out before anything goes in.")
                     : say("{} comes once it is off its former.", stepName(s)),
                 i, moved(m_, i, *release, true));
        const auto* coat = std::get_if<PlannedCoat>(&s);
        const bool former = is<CastStep>(s) || (coat && coat->way != coat::Way::Press && coat->way != coat::Way::Brush);
        if (i > *release && former)
            tell("former-gone",
                 tr("Its former is off by then: this is done before. Only a rim can still be pressed in, or a place "
                    "brushed."),
                 i, moved(m_, i, *release, false));
    }

    /// Nothing goes into what is closed; a lid waits for its filling.
    void intoSomething(size_t i) {
        if (is<FillStep>(m_[i])) {
            if (const auto join = first<JoinStep>(); join && *join < i && piece_.closedByJoining())
                tell("closed", tr("It is closed by then: it is filled before it is put together."), i,
                     moved(m_, *join, i, true));
            if (const auto lid = first<LidStep>(); lid && *lid < i)
                tell("lid-waits", tr("The lid is on by then: it waits for its filling."), i, moved(m_, *lid, i, true));
        }
        if (is<LidStep>(m_[i]) && !first<FillStep>())
            tell("lid-alone", tr("A lid is poured on a filling, and there is none."), i, without(m_, i));
    }

    /// What stands in chocolate or sticks to it finds it soft.
    void soft(size_t i) {
        if (!wantsSoft(m_[i])) return;
        size_t k = i;
        while (k > 0 && wantsSoft(m_[k - 1])) --k;
        if (k > 0 && leavesSoft(m_[k - 1])) return;
        std::optional<size_t> onto;
        for (size_t n = 0; n < m_.size(); ++n)
            if (is<PlannedCoat>(m_[n]) || is<CastStep>(m_[n])) onto = n;
        if (const auto* top = std::get_if<TopStep>(&m_[i]); top && i > 0) {
            TopStep glued = *top;
            glued.when = TopStep::When::Glued;
            tell("soft", tr("The chocolate under it has set by then: glue it on, or strew it on a fresh coat."), i,
                 changed(m_, i, glued));
        } else {
            tell("soft", tr("There is nothing soft for it to stand in: it goes in right after what is poured."), i,
                 onto ? moved(m_, i, *onto, true) : Making{});
        }
    }

    /// What is boxed is left alone; what does not keep goes back into the cold.
    void after(size_t i) {
        if (const auto store = first<StoreStep>(); store && i > *store && !atTable(m_[i]) && !is<StoreStep>(m_[i]))
            tell("put-away", say("It is put away by then: {} comes before.", stepName(m_[i])), i,
                 moved(m_, *store, i, true));
        if (const auto serve = first<ServeStep>(); serve && i > *serve && !atTable(m_[i]))
            tell("served", tr("It is eaten by then."), i, moved(m_, *serve, i, true));
        const auto* store = std::get_if<StoreStep>(&m_[i]);
        if (!store || store->where == StoreStep::Where::Fridge) return;
        for (const auto& s : m_)
            if (const auto* fill = std::get_if<FillStep>(&s))
                if (const Filling* f = plan_.filling(fill->filling); f && f->perishable && !fill->served) {
                    StoreStep cold = *store;
                    cold.where = StoreStep::Where::Fridge;
                    tell("perishable",
                         say("{} does not keep in a box in the room: it goes back into the fridge.", f->name), i,
                         changed(m_, i, cold));
                    return;
                }
    }

    /// Light colours before dark ones: they do not cover.
    void colours(size_t i) {
        const auto* now = std::get_if<DecorateStep>(&m_[i]);
        if (!now || !now->usesChocolate() || i == 0) return;
        const auto* before = std::get_if<DecorateStep>(&m_[i - 1]);
        if (!before || !before->usesChocolate()) return;
        const auto light = [&](const DecorateStep& d) {
            const auto* c = lib_.find(piece_.chocolateOf(d));
            return c ? material::lightness(c->look) : 0;
        };
        constexpr double kSeen = 0.02;  // a difference that is none
        if (light(*now) > light(*before) + kSeen)
            tell("light-first", tr("Light colours come before dark ones: a light one does not cover."), i,
                 moved(m_, i, i - 1, false));
    }

    /// Steps that this shape has no use for.
    void useless(size_t i) {
        if (is<PlannedCoat>(m_[i]) && !piece_.couldBeCoated())
            tell("solid", tr("It is cast full or shaped: there is no wall for a coat to make."), i, without(m_, i));
        if (is<FillStep>(m_[i]) && (piece_.roundSomething() || piece_.family().body == form::Body::Modeled))
            tell("full", tr("It is not hollow: nothing is filled into it."), i, without(m_, i));
        if (is<JoinStep>(m_[i]) && piece_.family().body != form::Body::Compound && !piece_.closedByJoining())
            tell("one-part", tr("It is of one part: there is nothing to put together."), i, without(m_, i));
    }

    /// What the chocolate goes round is there before it.
    void core(size_t i) {
        const auto* in = std::get_if<InsertStep>(&m_[i]);
        if (!in || in->what != InsertStep::What::Core) return;
        for (size_t k = 0; k < i; ++k)
            if (is<PlannedCoat>(m_[k]) || is<CastStep>(m_[k]))
                return tell("core-first", tr("It is dipped or bound: it is there before the chocolate."), i,
                            moved(m_, i, k, false));
    }

    /// What is done once.
    void twice(size_t i) {
        if (doneBefore(m_, i)) tell("twice", say("{} is done once.", stepName(m_[i])), i, without(m_, i));
    }

    const Piece& piece_;
    const Plan& plan_;
    const material::Library& lib_;
    const Making& m_;
    std::vector<OrderBreak> out_;
};

}  // namespace

bool doneBefore(const Making& making, size_t step) {
    const Step& s = making[step];
    const bool once = is<ReleaseStep>(s) || is<JoinStep>(s) || is<StoreStep>(s) || is<LidStep>(s) || is<TrimStep>(s);
    return once && std::any_of(making.begin(), making.begin() + static_cast<std::ptrdiff_t>(step),
                               [&](const Step& before) { return before.index() == s.index(); });
}

bool DecorateStep::usesChocolate() const {
    switch (way) {
        case Way::Dust:
        case Way::Ribbon:
        case Way::Scrape:
        case Way::Gild:
        case Way::Paste:
        case Way::Edge:
        case Way::Grain:
            return false;
        default:
            return true;
    }
}

bool inTheMold(const Piece& piece, size_t step) {
    if (step >= piece.making.size() || !is<DecorateStep>(piece.making[step])) return false;
    const auto& f = piece.family();
    if (f.outside || piece.roundSomething() || f.body == form::Body::Modeled) return false;
    for (size_t k = 0; k < step; ++k)
        if (is<PlannedCoat>(piece.making[k]) || is<CastStep>(piece.making[k])) return false;
    return std::any_of(piece.making.begin() + static_cast<std::ptrdiff_t>(step), piece.making.end(),
                       [](const Step& s) { return is<PlannedCoat>(s) || is<CastStep>(s); });
}

const CastStep& Piece::cast() const {
    static const CastStep usual;
    const auto* c = firstOf<CastStep>(making);
    return c ? *c : usual;
}

CastStep& Piece::cast() { return having<CastStep>(); }

size_t Piece::usualPlace(const Step& step) const {
    if (is<LidStep>(step))  // under what is strewn on the filling
        for (size_t i = making.size(); i-- > 0;)
            if (is<FillStep>(making[i])) return i + 1;
    const Rank rank = rankOf(step, *this);
    size_t at = 0;
    for (size_t i = 0; i < making.size(); ++i)
        if (rankOf(making[i], *this) <= rank) at = i + 1;
    return at;
}

void Piece::complete() {
    const form::Family& f = family();
    const bool coated = wallFromCoats();
    if (!f.meridian && (!coated || f.body == form::Body::Compound)) having<CastStep>();
    if (f.body != form::Body::Modeled && !roundSomething()) having<ReleaseStep>();
    if ((coated || f.meridian) && !roundSomething()) having<TrimStep>();
    if (f.body == form::Body::Compound || closedByJoining()) having<JoinStep>();
    if (!fill() || fill()->served || closedByJoining()) having<StoreStep>();
}

tl::expected<batch::Bath, Problem> Piece::bath(const material::Library& lib) const {
    const double dip = form::figure(shape, "dip");
    const auto former = roundSomething() ? form::roundDipped(shape) : form::meridian(shape);
    if (!former) return tl::unexpected(former.error());
    const double clearance = lib.usual("bathClearance");
    return pot.empty() ? batch::bestBath(*former, dip, lib.pots, clearance)
                       : batch::bathFor(*former, dip, *lib.pot(pot), clearance);
}

bool fillsPerishable(const Piece& piece, const Plan& plan) {
    return std::ranges::any_of(StepsOf<const FillStep>(piece.making), [&](const FillStep& s) {
        const Filling* f = plan.filling(s.filling);
        return f && f->perishable;
    });
}

void Piece::coatWith(const std::vector<PlannedCoat>& coats) {
    this->coats() = coats;
    if (coats.empty()) without<TrimStep>();
    else if (family().body != form::Body::Compound) without<CastStep>();
    if (!closedByJoining() && family().body != form::Body::Compound) without<JoinStep>();
    complete();
}

std::vector<OrderBreak> orderBreaks(const Piece& piece, const Plan& plan, const material::Library& library) {
    return Rules(piece, plan, library).all();
}

std::string stepName(const Step& step) {
    struct {
        std::string operator()(const PlannedCoat&) const { return tr("A coat"); }
        std::string operator()(const CastStep&) const { return tr("Casting"); }
        std::string operator()(const InsertStep&) const { return tr("Something in it"); }
        std::string operator()(const TopStep&) const { return tr("A topping"); }
        std::string operator()(const SetStep&) const { return tr("Setting"); }
        std::string operator()(const ReleaseStep&) const { return tr("Taking it off its former"); }
        std::string operator()(const TrimStep&) const { return tr("Trimming"); }
        std::string operator()(const JoinStep&) const { return tr("Putting it together"); }
        std::string operator()(const FillStep&) const { return tr("Filling it"); }
        std::string operator()(const LidStep&) const { return tr("A lid"); }
        std::string operator()(const DecorateStep&) const { return tr("Decorating"); }
        std::string operator()(const StoreStep&) const { return tr("Putting it away"); }
        std::string operator()(const ServeStep&) const { return tr("Serving"); }
    } name;
    return std::visit(name, step);
}

}  // namespace uovo
