#include "core/stages/decorating.h"

#include <cmath>
#include <limits>

#include "core/quantity/catalogue.h"
#include "core/stages/rim_ring.h"

namespace uovo {
namespace {

using Way = DecorateStep::Way;

/// m² of the face that is decorated.
double faceOf(const Made& made, const std::string& item) {
    if (item.empty()) return made.area;
    for (const auto& i : made.assembly.items)
        if (i.key == item) return i.shape.area;
    return made.area;
}

class Counter {
public:
    Counter(const DecorateStep& d, const Made& made, const material::Library& lib, double density)
        : d_(d), lib_(lib), face_(faceOf(made, d.item)), density_(density) {
        if (d.way == Way::Edge) rim_ = form::perimeter(rimOf(made, d.item));
    }

    /// kg of the figures, each constant as `of` says it.
    template <class Of>
    double mass(Of of) const {
        const double cover = d_.cover * face_, w = d_.width.value;
        const double line = of("lineSection") * w * w * d_.line.value * density_;
        switch (d_.way) {
            case Way::Drizzle:
                return line;
            case Way::Paint:
                return cover * of("paintFilm") * d_.times * density_;
            case Way::Spray:
                return cover * of("sprayFilm") * d_.times * density_;
            case Way::Stencil:
                return cover * of("stencilFilm") * density_;
            case Way::Splatter:
                return cover * of("splatterFilm") * density_;
            case Way::Marble:
            case Way::Tilt:
                return cover * d_.thick.value * density_;
            case Way::Flood:
                return line + cover * d_.thick.value * density_;
            case Way::Dust:
                return cover * of("dustMass");
            case Way::Gild:
                return cover * of("gildMass") * d_.times;
            case Way::Paste:
                return cover * d_.thick.value * of("pasteDensity");
            case Way::Edge:
                return rim_ * w * of("edgeMass");
            case Way::Petals:
                return d_.times * of("petalFills") * w * w * d_.thick.value * density_;
            case Way::Bow:
                return d_.times * of("bowLength") * w * w * d_.thick.value * density_;
            case Way::Strips:
                return d_.line.value * w * d_.thick.value * density_;
            case Way::Ribbon:
            case Way::Scrape:
            case Way::Grain:
                break;
        }
        return 0;
    }

    void count(Decorated& out) const {
        const auto at = [&](auto member) {
            return [this, member](const char* name) { return lib_.decor.at(name).*member; };
        };
        const double counted = mass(at(&material::Constant::value));
        out.mass = d_.mass.value > 0 && usesOf(d_.way).mass ? d_.mass.value : counted;
        const bool typed = out.mass != counted;
        out.low = typed ? out.mass : mass(at(&material::Constant::low));
        out.high = typed ? out.mass : mass(at(&material::Constant::high));
        const double times = counted > 0 ? out.mass / counted : 1;  // as much as is typed, of lines or face
        out.used = d_.way == Way::Spray ? out.mass / (1 - c("sprayLoss")) : out.mass;
        const DecorUse uses = usesOf(d_.way);
        if (uses.line) out.line = d_.line.value * (d_.way == Way::Drizzle || d_.way == Way::Strips ? times : 1);
        if (uses.cover) out.area = d_.cover * face_ * (d_.way == Way::Paste || d_.way == Way::Flood ? 1 : times);
        if (d_.way == Way::Edge) out.line = rim_;
        if (d_.way == Way::Scrape) out.away = out.area * d_.thick.value * density_;
        out.seconds = c("decorateSet") + work(out);
    }

private:
    double c(const char* name) const { return lib_.decorating(name); }
    double work(const Decorated& out) const {
        switch (d_.way) {
            case Way::Drizzle:
                return out.line / c("pipeSpeed");
            case Way::Flood:
                return out.line / c("pipeSpeed") + out.area / c("paintSpeed");
            case Way::Paint:
                return out.area / c("paintSpeed") * d_.times;
            case Way::Spray:
                return c("sprayPass") * d_.times;
            case Way::Stencil:
                return c("sprayPass") + out.area / c("dustSpeed");
            case Way::Dust:
                return out.area / c("dustSpeed");
            case Way::Splatter:
                return c("splatterSeconds");
            case Way::Marble:
                return c("marbleSeconds");
            case Way::Gild:
                return out.area / c("gildSpeed") * d_.times;
            case Way::Paste:
                return c("pasteSeconds");
            case Way::Edge:
                return c("edgeSeconds");
            case Way::Scrape:
                return out.area / c("scrapeSpeed");
            case Way::Grain:
                return c("grainSeconds");
            case Way::Petals:
                return c("petalSeconds") * d_.times;
            case Way::Tilt:
                return c("tiltSeconds");
            case Way::Bow:
                return c("bowSeconds") * d_.times;
            case Way::Strips:
                return out.line / c("stripSpeed");
            case Way::Ribbon:
                return lib_.tasks.at("decorate").seconds.value - c("decorateSet");
        }
        return 0;
    }

    const DecorateStep& d_;
    const material::Library& lib_;
    double face_, density_, rim_ = 0;
};

/// What of a wall a scrape bares, and what it leaves.
void scraped(const Piece& piece, const Made& made, const DecorateStep& d, Decorated& out) {
    double low = 0, mean = 0, high = 0;
    for (const auto& layer : layersOf(piece, made)) {
        out.bares.push_back({layer.chocolate, low, mean, high});
        low += layer.low;
        mean += layer.mean;
        high += layer.high;
    }
    out.leaves = (made.wall ? made.wall->thinnest : made.thickest) - d.thick.value;
}

/// s after which a film of so many metres stays where it is: a stencil would take it along.
double locksAfter(const Piece& piece, const Plan& plan, const material::Library& lib, const Made& made,
                  const std::string& chocolate, double film, bool onMold) {
    const auto own = coatingOf(piece, chocolate, plan, lib);
    if (!own) return std::nan("");
    setting::Wall wall;
    wall.coat = film;
    if (!onMold) wall.shell = made.wall ? made.wall->mean : made.thickest;
    wall.coatTemperature = own->working();
    wall.shellTemperature = plan.kitchen.room.value;
    wall.crystals = material::crystalsAt(*own, wall.coatTemperature);
    const heat::CrystalLaw law(*own, lib.physics);
    constexpr double kStep = 1;  // s: so thin a film sets in less than a minute or two
    return setting::settle(setting::cast(wall, *own), law, settingEvents(lib),
                           {stayIn(coat::Place::Table, 0, plan, lib)}, kStep)
        .lock;
}

}  // namespace

ModelingPaste modelingPaste(double kg, const std::string& id, const material::Library& lib) {
    const auto* c = lib.find(id);
    const double light = c ? material::lightness(c->look) : 0;
    constexpr double kMilk = 0.28, kWhite = 0.6;  // of lightness, from there on
    const double syrup = lib.decorating(light < kMilk ? "syrupDark" : light < kWhite ? "syrupMilk" : "syrupWhite");
    return {kg / (1 + syrup), kg * syrup / (1 + syrup)};
}

std::vector<WallLayer> layersOf(const Piece& piece, const Made& made) {
    std::vector<WallLayer> out;
    if (!made.wall) return out;
    std::vector<std::string> ids;
    for (const auto& c : piece.coats()) ids.push_back(piece.chocolateOf(c));
    const size_t n = std::min(ids.size(), made.wall->coats.size());
    const bool outermostLast = piece.family().outside;
    for (size_t i = 0; i < n; ++i) {
        const size_t k = outermostLast ? n - 1 - i : i;
        const double mean = made.wall->coats[k].mean;
        if (!(mean > 0)) continue;
        if (out.empty() || out.back().chocolate != ids[k]) out.push_back({ids[k], 0, 0, 0});
        out.back().low += mean * (1 - CoatedWall::kLess);
        out.back().mean += mean;
        out.back().high += mean * (1 + CoatedWall::kMore);
    }
    return out;
}

DecorUse usesOf(Way way) {
    DecorUse u;
    u.line = way == Way::Drizzle || way == Way::Flood || way == Way::Strips;
    u.width = u.line || way == Way::Edge || way == Way::Petals || way == Way::Bow;
    u.thick = way == Way::Scrape || way == Way::Paste || way == Way::Flood || way == Way::Marble ||
              way == Way::Petals || way == Way::Tilt || way == Way::Bow || way == Way::Strips;
    u.cover = way != Way::Drizzle && way != Way::Ribbon && way != Way::Edge && way != Way::Grain &&
              way != Way::Petals && way != Way::Bow && way != Way::Strips;
    u.times = way == Way::Spray || way == Way::Paint || way == Way::Gild || way == Way::Petals || way == Way::Bow;
    u.mass = way != Way::Ribbon && way != Way::Scrape && way != Way::Grain;
    u.every = way == Way::Drizzle || way == Way::Stencil || way == Way::Spray || way == Way::Paint ||
              way == Way::Dust || way == Way::Petals || way == Way::Scrape || way == Way::Gild;
    return u;
}

DecorateStep usualDecoration(Way way, const material::Library& lib) {
    DecorateStep d;
    d.way = way;
    d.mass = Measure(0);
    constexpr double mm = 1e-3;
    switch (way) {
        case Way::Paste:
            d.name = tr("Sugar paste");
            d.thick = Measure(2 * mm);
            d.dry = Measure(0);
            break;
        case Way::Edge:
            d.name = tr("Sugar");
            d.width = Measure(6 * mm);
            break;
        case Way::Gild:
            d.name = tr("Pearl luster");
            d.dry = Measure(lib.decorating("gildDries"));
            break;
        case Way::Dust:
            d.name = tr("Cocoa powder");
            d.dry = Measure(0);
            break;
        case Way::Petals:
            d.times = 5;
            d.width = Measure(25 * mm);
            d.thick = Measure(1.5 * mm);
            d.dry = Measure(1800);
            break;
        case Way::Tilt:
            d.cover = 0.5;
            d.thick = Measure(1.5 * mm);
            break;
        case Way::Bow:
            d.width = Measure(15 * mm);
            d.thick = Measure(1.5 * mm);
            d.dry = Measure(3600);
            break;
        case Way::Strips:
            d.line = Measure(0.4);
            d.width = Measure(20 * mm);
            d.dry = Measure(0);
            break;
        case Way::Spray:
            d.times = 2;
            d.cover = 1;
            break;
        case Way::Scrape:
            d.dry = Measure(0);
            d.cover = 0.2;
            break;
        case Way::Flood:
            d.thick = Measure(1.5 * mm);
            d.cover = 0.05;
            break;
        case Way::Splatter:
            d.cover = 0.15;
            break;
        case Way::Marble:
            d.cover = 0.3;
            d.thick = Measure(0.5 * mm);
            break;
        case Way::Ribbon:
        case Way::Grain:
            d.dry = Measure(0);
            break;
        default:
            break;
    }
    return d;
}

std::string usualName(Way way) {
    switch (way) {
        case Way::Dust:
            return tr("Powder to dust with");
        case Way::Ribbon:
            return tr("Ribbon");
        case Way::Gild:
            return tr("Paint");
        case Way::Paste:
            return tr("Sugar paste");
        case Way::Edge:
            return tr("Sugar");
        default:
            return tr("Decoration");
    }
}

std::vector<const char*> decorCautions(Way way) {
    switch (way) {
        case Way::Spray:
            return {"spray"};
        case Way::Gild:
            return {"alcohol-paint"};
        case Way::Dust:
            return {"powder"};
        case Way::Grain:
            return {"bristles"};
        default:
            return {};
    }
}

std::vector<Decorated> decorated(const Piece& piece, const Plan& plan, const material::Library& lib, const Made& made,
                                 const material::Coating& coating) {
    std::vector<Decorated> out;
    for (size_t i = 0; i < piece.making.size(); ++i) {
        const auto* d = std::get_if<DecorateStep>(&piece.making[i]);
        if (!d) continue;
        Decorated one;
        one.step = i;
        one.first = inTheMold(piece, i);
        one.lifts = std::numeric_limits<double>::quiet_NaN();
        Counter(*d, made, lib, coating.densitySolid).count(one);
        if (d->way == Way::Scrape) scraped(piece, made, *d, one);
        if (d->way == Way::Stencil)
            one.lifts = locksAfter(piece, plan, lib, made, d->chocolate, lib.decorating("stencilFilm"), false);
        if (d->way == Way::Tilt)
            one.lifts = locksAfter(piece, plan, lib, made, d->chocolate, d->thick.value, one.first);
        if (d->way == Way::Strips) {  // as cold goes through a sheet: with the square of how thick it is
            const double times = std::pow(d->thick.value / lib.decorating("stripThick"), 2);
            one.bends = times * lib.decorating("stripHolds");
            one.stiff = times * lib.decorating("stripBends");
        }
        out.push_back(std::move(one));
    }
    return out;
}

}  // namespace uovo
