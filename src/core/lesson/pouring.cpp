// A mold is filled and stands; its wall grows from the mold inwards until it is turned over, then its rim is scraped.
#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <numeric>

#include "core/lesson/scenes.h"
#include "core/quantity/catalogue.h"
#include "core/setting/setting.h"

namespace uovo::lesson {
namespace {

class Pouring final : public Lesson {
    static constexpr double kDeep = 0.012, kHeight = 0.05;     // m from the wall to the middle; of the cavity
    static constexpr double kRunsOff = 20;                     // s that it is held upside down
    static constexpr double kNear = 0.0004;                    // m that a wall may be off
    static constexpr double kTooSoon = 0.15, kTooLate = 0.45;  // of its crystals, as its rim is scraped
    static constexpr double kLongest = 3600, kCup = 0.0025;    // s; m² of the cavity's wall
    static constexpr double kStill = 8;                        // W/m²K inside a filled mold
    struct Setup {
        double mold, room, wanted;
        const char* words;
    };
    static constexpr Setup kTries[]{{20, 20, 0.0025, trLater("A mold at room temperature, {}.")},
                                    {12, 20, 0.003, trLater("A mold from the cool larder, {}.")},
                                    {25, 25, 0.003, trLater("A warm kitchen: mold and air at {}.")}};

public:
    Pouring(const material::Library& lib, UnitSystem units)
        : Lesson(lib, units), c_(plainCoating(lib, "dark")), law_(c_, lib.physics) {
        begin(0);
    }
    double speed() const override { return poured_ ? 20 : 8; }
    size_t tries() const override { return std::size(kTries); }
    Look look() const override {
        Look l;
        l.of = Look::Of::Cavity;
        l.wall = poured_ ? wall_ : stays();
        l.deep = kDeep;
        l.poured = poured_;
        l.tacky = poured_ ? std::min(1.0, rim() / lib_.physical("firmFraction")) : 0;
        return l;
    }
    std::vector<Figure> figures() const override {
        const auto length = [&](double m) { return format(m, Dimension::Length, units_, Detail::Fine); };
        return {{length(setup().wanted), tr("is the wall that is wanted")},
                {fmt::format("{:.0f} s", time()), poured_ ? tr("since it was filled") : tr("it stands")}};
    }

protected:
    void begin(size_t number) override {
        number_ = number;
        poured_ = false;
        wall_ = 0;
        const Setup& s = kTries[number];
        cast_ = setting::cast(
            setting::Wall{
                kDeep, 0, c_.working(), s.mold, c_.crystalsAtStart, {lib_.former("thickPlasticHeatCapacity"), 0}},
            c_, 24);
    }
    std::vector<Act> offered() const override {
        if (!poured_) return {{"pour", tr("Turn it over, let it run out")}};
        return {{"scrape", tr("Scrape the rim")}};
    }
    void done(const std::string& id) override {
        if (id == "pour") {
            wall_ = stays();
            poured_ = true;
            const heat::Body before = cast_.body;
            cast_ = setting::cast(setting::Wall{wall_,
                                                0,
                                                c_.working(),
                                                before.inner.T,
                                                c_.crystalsAtStart,
                                                {lib_.former("thickPlasticHeatCapacity"), 0}},
                                  c_);
            for (size_t i = 0; i < cast_.body.X.size(); ++i) {  // what stays is as it was there
                const double y = wall_ * (static_cast<double>(i) + 0.5) / static_cast<double>(cast_.body.X.size());
                const auto k = std::min(before.X.size() - 1, static_cast<size_t>(y / before.width[0]));
                cast_.body.X[i] = before.X[k];
                cast_.body.T[i] = before.T[k];
            }
            return;
        }
        scrape();
    }
    void step(double dt) override {
        setting::advance(cast_, law_, {setup().room, poured_ ? lib_.physical("airStill") : kStill, 0}, dt);
        if (time() > kLongest)
            poured_ ? scrape() : tell({false, tr("It has set through: a solid piece."), time() / 60, 0});
    }
    std::string scene() const override {
        if (poured_) {
            const double X = rim();
            return X < kTooSoon   ? tr("It hangs upside down; the rim is wet and shines.")
                   : X < kTooLate ? tr("The rim has turned matt at its edge and gives to a finger.")
                                  : tr("The rim is hard.");
        }
        return sayLater(setup().words, degrees(setup().mold)) +
               tr(" Filled and tapped; the wall grows from the mold inwards.");
    }
    std::string remember() const override {
        return tr(
            "A cold mold builds its wall in half the time, a warm one hardly at all: look at the edge, not at the "
            "clock. Scrape while the rim is matt and still gives.");
    }

private:
    const Setup& setup() const { return kTries[number_]; }
    /// Crystals of the rim's open side.
    double rim() const {
        const auto& X = cast_.body.X;
        const size_t from = X.size() / 2;
        return std::accumulate(X.begin() + static_cast<std::ptrdiff_t>(from), X.end(), 0.0) /
               static_cast<double>(X.size() - from);
    }
    /// m that stay when it is turned over: nowhere between wall and surface may what hangs beyond a place shear it,
    /// `ρ g (δ − y) ≤ τ₀(y)`; and what has not run off there yet.
    double stays() const {
        double out = kDeep, y = 0;
        for (size_t i = 0; i < cast_.body.X.size(); ++i) {
            y += 0.5 * cast_.body.width[i];
            if (cast_.body.X[i] < lib_.physical("lockFraction"))
                out = std::min(out, y + drained(c_, cast_.body.T[i], cast_.body.X[i], kHeight, kRunsOff));
            y += 0.5 * cast_.body.width[i];
        }
        return out;
    }
    void scrape() {
        const double X = rim(), off = wall_ - setup().wanted;
        const std::string thick = format(wall_, Dimension::Length, units_, Detail::Fine);
        Round r{false, {}, time() / 60, std::max(0.0, off) * kCup * c_.densityMelt};
        if (std::abs(off) <= kNear) r.words = say("{}: the wall that was wanted.", thick);
        else if (off > 0) r.words = say("{}: too thick, it stood too long.", thick);
        else r.words = say("{}: too thin, it will break as it is turned out. It could have stood longer.", thick);
        const bool soon = X<kTooSoon, late = X> kTooLate;
        r.words += soon   ? tr(" The rim was still wet: it ran back over the edge.")
                   : late ? tr(" The rim was hard: it chipped as it was scraped.")
                          : tr(" The rim is clean.");
        r.good = std::abs(off) <= kNear && !soon && !late;
        tell(std::move(r));
    }

    material::Coating c_;
    heat::CrystalLaw law_;
    setting::Cast cast_;
    size_t number_ = 0;
    bool poured_ = false;
    double wall_ = 0;
};

}  // namespace

std::unique_ptr<Lesson> pouring(const material::Library& lib, UnitSystem units) {
    return std::make_unique<Pouring>(lib, units);
}

}  // namespace uovo::lesson
