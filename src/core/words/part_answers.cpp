// Parts beyond bowl and cup, told: an assumed wall says so, a computed one where it is thin.
#include <algorithm>
#include <cmath>

#include "core/form/opening.h"
#include "core/quantity/catalogue.h"
#include "core/quantity/decimal.h"
#include "core/setting/stick.h"
#include "core/stages/narrow_place.h"
#include "core/stages/sheets.h"
#include "core/stages/spares.h"
#include "core/stages/strength.h"
#include "core/words/speaker.h"

namespace uovo {
namespace {

constexpr size_t kDrawn = 8;  // corners: an outline with fewer is a panel

constexpr double kLump = 0.008;  // m: a thicker place than three walls is worth a word

class PartTeller : Speaker {
public:
    PartTeller(const Piece& piece, const Plan& plan, const material::Library& lib, const PieceAnswers& known)
        : Speaker(piece, plan, lib),
          known_(known),
          s_(*known.made),
          family_(*form::family(piece.shape.family)),
          first_(s_.assembly.items.front().shape) {}

    Answer wall() const {
        Answer a;
        a.id = "wall";
        const auto& items = s_.assembly.items;
        double least = 1;
        const form::Item* thin = nullptr;
        for (const auto& i : items)
            if (i.edible && i.shape.wall > 0 && i.shape.wall < least) {
                least = i.shape.wall;
                thin = &i;
            }
        if (s_.wall) return computedWall();
        if (!thin) {
            a.id = "solid";
            a.figure = {s_.thickest, s_.thickest, s_.thickest, Dimension::Length};
            a.headline = tr("Solid");
            const bool modeled = first_.body == form::Body::Modeled;
            const bool heap = piece_.roundSomething();
            a.after = modeled ? tr("shaped by hand") : heap ? tr("a heap, bound") : tr("cast full");
            a.sentence = modeled ? say("It takes {} of modeling chocolate.", volume(s_.volumes.front()))
                         : heap  ? say("{} of chocolate hold it together.", volume(s_.volumes.front()))
                                 : say("{} of chocolate fill it.", volume(s_.volumes.front()));
            a.working = {tr("Solid part"),
                         tr("volume of the part, less what is inside it"),
                         {{tr("volume"), volume(first_.volume), "", how()},
                          {tr("core inside"), volume(first_.displaced), "", tr("your plan")}},
                         volume(s_.volumes.front()),
                         trust(),
                         tr("Parts")};
            return a;
        }
        const bool sheet = thin->shape.body == form::Body::Sheet, pressed = thin->shape.body == form::Body::Cast;
        a.figure = {least, thin->shape.wallLow, thin->shape.wallHigh, Dimension::Length};
        a.headline = length(least);
        a.after = sheet ? tr("thick") : pressed ? tr("wall") : tr("wall, assumed");
        a.sentence =
            sheet ? (thin->shape.wallLow < thin->shape.wallHigh
                         ? say("Spread freehand it comes out {} to {}.", length(thin->shape.wallLow),
                               length(thin->shape.wallHigh))
                         : std::string(tr("As thick as its bars.")))
            : pressed
                ? std::string(family_.byWater ? tr("The gap between the form and its insert, on the mean.")
                                              : tr("The gap between the form and its insert: the same in every piece."))
                : tr("You gave this wall; it is not computed from how you coat it. Two coats usually make 2 to 4 mm.");
        if (s_.assembly.joints.size() > 0)
            a.sentence = thin->name + ": " + static_cast<char>(std::tolower(a.sentence[0])) + a.sentence.substr(1);
        if (least < piece_.wantedWall.value - 1e-9 && !sheet && !pressed) {
            a.tone = Tone::Weak;
            a.sentence += " " + tooThin();
        }
        a.working = {
            sheet     ? tr("Thickness")
            : pressed ? tr("Wall")
                      : tr("Assumed wall"),
            sheet     ? tr("thickness of the bars, or of a piped line")
            : pressed ? tr("gap between form and insert, across the wall")
                      : tr("given by you"),
            {{tr("wall"), length(least), "", tr("your plan")}},
            a.headline,
            sheet     ? tr("Bars are exact; freehand varies by a third (judgement).")
            : pressed ? tr("As exact as the forms meet; press the insert in straight.")
                      : tr("Only as good as your assumption. Bowls over balloons and coated cups have computed walls."),
            tr("Parts")};
        return a;
    }

    std::string tooThin() const {
        return say("You want {}; thinner {}.", length(piece_.wantedWall.value),
                   piece_.roundSomething() ? tr("chocolate cracks and lets in air")
                                           : tr("walls break when they are unmolded"));
    }

    Answer computedWall() const {
        const CoatedWall& w = *s_.wall;
        Answer a;
        a.id = "wall";
        a.figure = {w.thinnest, (1 - CoatedWall::kLess) * w.thinnest, (1 + CoatedWall::kMore) * w.thinnest,
                    Dimension::Length};
        a.headline = length(w.thinnest);
        a.after = tr("at the thinnest");
        const double wanted = piece_.wantedWall.value,
                     share = s_.box.size().z > 0 ? w.thinnestHeight / s_.box.size().z : 0;
        a.tone = w.thinnest < wanted - 1e-9 ? Tone::Weak : a.figure.low < wanted ? Tone::Plain : Tone::Good;
        a.sentence = w.bare > 0.002 ? say("{:.0f} % of the form stays bare. ", 100 * w.bare)
                                    : say("It lies {}, likely {} to {}. ",
                                          w.thinAtRim    ? tr("at the rim")
                                          : share > 0.75 ? tr("near the top")
                                          : share < 0.25 ? tr("near the bottom")
                                                         : tr("on the wall"),
                                          length(a.figure.low), length(a.figure.high));
        if (s_.assembly.joints.size() > 0) a.sentence = w.thinnestOn + ": " + lowerFirst(a.sentence);
        if (a.tone == Tone::Weak) a.sentence += tooThin() + " ";
        a.sentence += say("Mean {}, {}thickest {}, from its coats.", length(w.mean),
                          piece_.closes() ? "" : tr("rim ") + length(w.rim) + ", ", length(w.thickest));
        if (w.thickest > 3 * w.mean && w.thickest > kLump)
            a.sentence += piece_.closes()
                              ? tr(" A lump lies where the pool lay last: turn it longer, until nothing runs.")
                              : tr(" A pool lies at its bottom: pour it out longer, or set it upside down.");
        a.working = {
            tr("Wall from how it is coated"),
            tr("one downhill sweep a step over the part's own triangles: M(h) ρ g w (z_i − z_j), Casson; a place "
               "locks when 30 % of its fat has crystallised"),
            {},
            a.headline,
            tr("The range is the one the yield stress leaves on round pieces (a third less, two fifths more: "
               "judgement for other shapes). Flat tops do not level, corners and hanging drops rest on "
               "judgement. Weigh a piece to know better."),
            tr("Film on a mesh")};
        for (size_t i = 0; i < w.coats.size(); ++i)
            a.working.inputs.push_back({say("coat {} adds", i + 1), mass(w.coats[i].added), "", tr("computed")});
        a.working.inputs.push_back({tr("mass lost in the sum"), fmt::format("{:.0e}", w.error), "", tr("computed")});
        return a;
    }

    Answer grams() const {
        Answer a;
        a.id = "grams";
        a.figure = {s_.mass, s_.massLow, s_.massHigh, Dimension::Mass};
        a.headline = mass(s_.mass);
        a.after = tr("in each");
        const int spares = known_.make - piece_.count;
        a.sentence = piece_.count == 1 && known_.make == 1
                         ? ""
                         : say("{} in {}{}. ", mass(s_.mass * known_.make), piece_.count,
                               spares == 1  ? tr(" and 1 spare")
                               : spares > 1 ? say(" and {} spares", spares)
                                            : "");
        if (const auto parts = sparePartWords(s_, known_.spareParts); !parts.empty())
            a.sentence += say("No spare of the whole; {}, because some break. ", parts);
        if (s_.massHigh > 1.01 * s_.massLow)
            a.sentence += say("Likely {} to {} each. ", mass(s_.massLow), mass(s_.massHigh));
        std::vector<std::pair<std::string, double>> named;  // walls 1–8 are told as one
        for (size_t i = 0; i < s_.items.size(); ++i) {
            if (!s_.assembly.items[i].edible) continue;
            const std::string name = unnumbered(s_.assembly.items[i].name);
            if (named.empty() || named.back().first != name) named.emplace_back(name, 0);
            named.back().second += s_.items[i];
            a.working.inputs.push_back({s_.assembly.items[i].name, mass(s_.items[i]), "", tr("geometry × density")});
        }
        if (named.size() > 1)
            for (size_t i = 0; i < named.size(); ++i)
                a.sentence += (i ? ", " : "") + (i ? lowerFirst(named[i].first) : named[i].first) + " " +
                              mass(named[i].second) + (i + 1 == named.size() ? "." : "");
        if (a.sentence.empty()) a.sentence = say("{} of chocolate.", volume(s_.mass / known_.coating.densitySolid));
        const auto& density = lib_.find(piece_.chocolate)->at("densitySolid");
        a.working.title = tr("Grams in a part");
        a.working.formula = first_.body == form::Body::Wall
                                ? tr("m = ρ · (volume between the former and its offset by the wall)")
                                : "m = ρ · V";
        a.working.inputs.push_back({tr("density, set"), fmt::format("{:.0f} {}", density.value, density.unit),
                                    fmt::format("{:.0f}–{:.0f}", density.low, density.high), density.source});
        a.working.inputs.push_back({tr("coated area"), fmt::format("{:.0f} cm²", s_.area * 1e4),
                                    first_.areaHigh > first_.areaLow
                                        ? fmt::format("{:.0f}–{:.0f}", first_.areaLow * 1e4, first_.areaHigh * 1e4)
                                        : "",
                                    how()});
        a.working.result = a.headline;
        a.working.trust = trust();
        a.working.section = tr("Parts");
        return a;
    }

    Answer size() const {
        Answer a;
        a.id = "size";
        const form::Vec3 d = s_.box.size();
        a.figure = {d.z, d.z, d.z, Dimension::Length};
        a.headline = length(d.z);
        a.after = tr("high");
        a.sentence = say("{} by {} across", length(d.x), length(d.y));
        if (first_.rim > 0) a.sentence += say(", rim {} round", length(first_.rim));
        if (first_.seam > 0) a.sentence += say(", seam {} long", length(first_.seam));
        a.sentence += ".";
        if (s_.assembly.enclosed > 0) a.sentence += say(" It encloses {}.", volume(s_.assembly.enclosed));
        const double high = s_.centre.z - s_.box.low.z;
        a.working = {tr("Size"),
                     tr("bounding box, rims and seams of the shape"),
                     {{tr("area"), fmt::format("{:.0f} cm²", s_.area * 1e4), "", how()},
                      {tr("stands on"), fmt::format("{} cm²", decimal(s_.foot * 1e4, 1)), "",
                       tr("convex hull of what touches the table")},
                      {tr("centre of mass"), length(high) + tr(" up"), "", tr("geometry")},
                      {tr("to measure"), family_.measure, "", ""}},
                     fmt::format("{} × {} × {}", length(d.x), length(d.y), length(d.z)),
                     trust(),
                     tr("Parts")};
        return a;
    }

    std::optional<Answer> holds() const {
        if (s_.capacity <= 0) return std::nullopt;
        Answer a = held(s_.capacity, known_, tr("inside"), tr("To the brim, with this wall."));
        if (piece_.fill() && piece_.closes() && piece_.wallFromCoats() &&
            form::figure(piece_.shape, form::kOpening) <= 0) {
            a.tone = Tone::Impossible;
            a.sentence = say(
                "It closes round itself as it is coated: nothing goes in. {}, or take its coats away and join two "
                "halves over the filling.",
                family_.field(form::kOpening) ? tr("Melt an opening into it") : tr("Choose a ball with an opening"));
        }
        a.working = {tr("What it holds"),
                     tr("volume of the former less the chocolate in it"),
                     {{tr("former"), volume(first_.volume), "", how()},
                      {tr("chocolate in it"), volume(first_.outside ? 0 : s_.volumes.front()), "", tr("assumed wall")}},
                     a.headline,
                     trust(),
                     tr("Parts")};
        return a;
    }

    std::optional<Answer> joints() const {
        const auto& joints = s_.assembly.joints;
        if (joints.empty()) return std::nullopt;
        double all = 0;
        for (const auto& j : joints) all += j.length;
        Answer a;
        a.id = "joints";
        a.figure = {double(joints.size()), double(joints.size()), double(joints.size()), Dimension::Count};
        a.headline = std::to_string(joints.size());
        a.after = joints.size() == 1 ? tr("joint to glue") : tr("joints to glue");
        std::vector<std::string> places;
        for (const auto& j : joints)
            if (std::find(places.begin(), places.end(), j.words) == places.end()) places.push_back(j.words);
        std::string list;
        for (size_t i = 0; i < places.size() && i < 4; ++i) list += (i ? ", " : "") + places[i];
        a.sentence = say("{} of glue line in all: {}{}.", length(all), list, places.size() > 4 ? " …" : "");
        for (const auto& j : joints)
            a.working.inputs.push_back({j.words, length(j.length), tr(j.glue), tr("geometry")});
        a.working.title = tr("Joints");
        a.working.formula = tr("length of each line where two parts meet");
        a.working.result = length(all);
        a.working.trust = tr("Geometry; what a joint bears is not computed here.");
        a.working.section = tr("Parts");
        return a;
    }

    /// What to cut from acetate.
    std::optional<Answer> pattern() const {
        if (!first_.pattern) return std::nullopt;
        const auto& p = *first_.pattern;
        Answer a;
        a.id = "pattern";
        const double longest = p.outer > 0 ? p.outer * p.angle : p.width;
        a.figure = {longest, longest, longest, Dimension::Length};
        a.headline = length(longest);
        a.after = tr("along the flat pattern");
        const std::string over = p.overlap > 0 ? say(", {} of it overlap", length(p.overlap)) : "";
        a.sentence = p.outer > 0 ? (p.inner > 1e-6 ? say("Arcs of {} and {} radius over {}°{}.", length(p.inner),
                                                         length(p.outer), decimal(p.angle * 180 / M_PI, 1), over)
                                                   : say("One arc of {} radius over {}°{}.", length(p.outer),
                                                         decimal(p.angle * 180 / M_PI, 1), over))
                                 : say("A strip {} by {}{}.", length(p.width), length(p.height), over);
        a.sentence += tr(" Save it from the plan's menu: true scale, with a ruler to check.");
        a.working = {
            tr("Flat pattern"),
            tr("slant s = √(h² + (r₁ − r₂)²);  outer radius r₁ s/(r₁ − r₂);  angle 2π r₁ over it, the overlap added"),
            {{tr("overlap"), length(p.overlap), "", tr("your plan")}},
            a.headline,
            tr("As exact as your ruler; acetate bends but does not stretch."),
            tr("Parts")};
        return a;
    }

    /// What melts away when a hole is opened on a warm plate.
    std::optional<Answer> opening() const {
        if (s_.melted <= 0) return std::nullopt;
        const form::Opening hole(piece_.shape);
        const double d = hole.across, cap = hole.height, t = first_.wall, clear = hole.inside(t),
                     scoop = lib_.usual("scoop");
        Answer a;
        a.id = "opening";
        a.figure = {clear, clear, clear, Dimension::Length};
        a.headline = length(clear);
        a.after = tr("clear across the opening");
        a.tone = clear >= scoop ? Tone::Good : clear > 0 ? Tone::Plain : Tone::Weak;
        if (clear <= 0) {  // a plate takes off a cap that is lower than the wall is thick
            a.headline = tr("No hole");
            a.after = tr("yet");
            a.sentence = say("Melted {} across it is only {} deep, and the wall is {}. Melt it at least {} across.",
                             length(d), length(cap), length(t), length(std::ceil(1e3 * hole.least(t) + 1) * 1e-3));
        }
        if (const double wide = openingFor(scoop, t); clear < scoop && wide > 0)
            a.ways.push_back(way(say("Melt it {} across", length(wide)),
                                 [&](Piece& p) { p.shape.values[form::kOpening] = Measure(wide); }));
        if (clear > 0) {
            a.sentence = say(
                "The hole is {} across outside, melted on a warm plate once it has set; five minutes in the fridge "
                "after it. {} {} melt away and come back.",
                length(d),
                clear >= scoop ? say("A scoop of {} goes through.", length(scoop))
                               : say("No scoop of {} goes through: fill it from a bag or by the spoon.", length(scoop)),
                mass(s_.melted));
        }
        a.working = {
            tr("Opening"),
            tr("inside 2 √((R − t)² − (R − h)²) with h = R − √(R² − r²);  grams: cap area 2π R h times the wall"),
            {{tr("height of the cap"), length(cap), "", tr("geometry")},
             {tr("wall"), length(t), "", s_.wall ? tr("coat model") : tr("assumed")},
             {tr("scoop"), length(scoop), "40–60 mm", tr("common practice, no source")}},
            a.headline,
            tr("As wide as you melt it; the edge comes out rounded."),
            tr("Parts")};
        return a;
    }

    /// m across that an opening is melted so that so much goes through it; 0 where the ball is too small for that.
    double openingFor(double through, double wall) const {
        form::Part ball = piece_.shape;
        for (int mm = 1; mm < 900 * form::Opening(ball).radius * 2; ++mm) {
            ball.values[form::kOpening] = Measure(mm * 1e-3);
            if (form::Opening(ball).inside(wall) >= through) return mm * 1e-3;
        }
        return 0;
    }

    Answer cold() const {
        Answer a;
        a.id = "cold";
        const auto& t = s_.setting;
        const coat::Place place = piece_.cast().place;
        const std::string where = inPlace(place);
        const double table = place == coat::Place::Table ? 0 : piece_.cast().table.value, until = t.release - table;
        a.after = where;
        if (std::isnan(t.release)) {
            a.headline = tr("Never sets");
            a.tone = Tone::Impossible;
            a.figure = {0, 0, 0, Dimension::Duration};
            a.sentence =
                say("{} does not set at {}.{}", known_.coating.name, temperature(stayIn(place, 0, plan_, lib_).air),
                    place == coat::Place::Table ? tr(" Use the fridge.") : "");
            if (place == coat::Place::Table) a.ways.push_back(setsIn(coat::Place::Fridge));
        } else {
            a.figure = {until, until / setting::kBand, until * setting::kBand, Dimension::Duration};
            a.headline = time(until);
            if (table > 0) a.sentence = say("After {} on the table. ", time(table));
            a.sentence += say("From pouring on it is firm at {}, set through at {}, and lets go at {}.", time(t.firm),
                              time(t.set), time(t.release));
            if (t.release > setting::kNeedsTheCold && place == coat::Place::Table) {
                a.tone = Tone::Weak;
                a.sentence += tr(" It needs the cold.");
                a.ways.push_back(setsIn(coat::Place::Fridge));
            }
            if (place == coat::Place::Freezer && until > lib_.usual("freezerMost")) {
                a.tone = Tone::Weak;
                a.sentence +=
                    tr(" So long in the freezer dulls it, and cracks it where a form holds it: use the fridge.");
                a.ways.push_back(setsIn(coat::Place::Fridge));
            }
        }
        if (s_.wall) {
            a.id = "cold-parts";
            a.after += tr(", the cast parts");
        }
        a.working = {tr("Setting"),
                     tr("ρ c T_t = div(k grad T) + ρ L X_t;  a wall on its form and tray, a chunk by half its smallest "
                        "dimension and its volume over its faces;  firm 45 %, set 66 % of the fat crystallised on the "
                        "whole, lets go when the 2 mm at the form are set too"),
                     {{tr("thickness that sets"), length(s_.thickest), "", tr("geometry")},
                      {where, temperature(stayIn(place, 0, plan_, lib_).air), "", tr("your kitchen")}},
                     a.headline,
                     tr("Within ×1.4 of what kitchens report. Look before you unmold."),
                     tr("Setting")};
        return a;
    }

    /// The minutes in which a sheet can be cut: from tacky to hard, on the table.
    std::optional<Answer> cutting() const {
        const form::Item* sheet = nullptr;
        double edges = 0;
        int outlines = 0;
        for (const auto& i : s_.assembly.items) {
            if (!i.edible || i.shape.body != form::Body::Sheet || !form::family(i.part.family)->cut) continue;
            if (!sheet || i.shape.wall > sheet->shape.wall) sheet = &i;
            for (const auto& loop : form::sheetOutline(i.part)) {
                edges += form::perimeter(loop);
                ++outlines;
            }
        }
        if (!sheet) return std::nullopt;
        const auto t = cuttingWindow(*sheet, piece_, plan_, lib_, known_.coating);
        Answer a;
        a.id = "cutting";
        if (std::isnan(t.firm)) return std::nullopt;
        const bool cutter = form::choice(sheet->part, "tool") == "cutter";
        const double window = t.firm - t.lock,
                     each = cutter ? outlines * lib_.usual("cutterPress") : edges / knifeSpeed(plan_, lib_),
                     all = each * known_.make;
        a.figure = {window, window / setting::kBand, window * setting::kBand, Dimension::Duration};
        a.headline = time(window);
        a.after = tr("to cut it in");
        a.sentence = say("On the table it is tacky at {} and hard at {}. {}, {} with a {}", time(t.lock), time(t.firm),
                         cutter ? say("{} to press out of each",
                                      outlines == 1 ? std::string(tr("One shape")) : say("{} shapes", outlines))
                                : say("The cuts of one are {} long", length(edges)),
                         time(each), cutter ? tr("cutter") : tr("knife"));
        a.sentence += known_.make > 1 ? say("; of all {} {}.", known_.make, time(all)) : ".";
        const int sheets = static_cast<int>(std::ceil(all / window));
        if (sheets > 1) {
            a.tone = Tone::Weak;
            a.sentence += say(" Spread them in {} sheets, one after the other.", sheets);
        } else {
            a.sentence +=
                tr(" Small parts first, near the edge, where it sets first; a flat weight keeps it from curling.");
        }
        a.working = {
            tr("When a sheet can be cut"),
            tr("from the moment it no longer runs (30 % of the fat crystallised) until it is firm (45 %);  knife: "
               "perimeters / its speed;  cutter: so long for each shape;  all pieces of a sheet within one window"),
            {{tr("thickness"), length(sheet->shape.wall), "", tr("your plan")},
             {tr("room"), temperature(plan_.kitchen.room.value), "", tr("your kitchen")},
             {tr("knife"), format(knifeSpeed(plan_, lib_), Dimension::Length, plan_.units) + tr(" in a second"),
              "5–20 mm", tr("judgement")},
             {tr("cutter"), time(lib_.usual("cutterPress")) + tr(" for a shape"), "2–6 s", tr("judgement")}},
            a.headline,
            tr("Within ×1.4: kitchens report about five minutes. Once hard, cut with a warm knife."),
            tr("Setting")};
        return a;
    }

    /// Where an outline of one's own is narrow, and what hangs on it there.
    std::optional<Answer> narrow() const {
        for (size_t k = 0; k < s_.assembly.items.size(); ++k) {
            const auto& i = s_.assembly.items[k];
            if (!i.edible || i.shape.body != form::Body::Sheet || form::choice(i.part, "cut") != "points") continue;
            if (i.part.points.empty() || i.part.points.front().size() < kDrawn) continue;  // a panel of a house
            const auto n = cutting::narrowest(i.part.points);
            if (!n) continue;
            const double t = i.shape.wall;
            const NarrowPlace place = narrowPlace(*n, t, piece_.chocolate, plan_, lib_);
            Answer a;
            a.id = "narrow";
            a.figure = {n->width, n->width, n->width, Dimension::Length};
            a.headline = length(n->width);
            a.after = tr("at its narrowest");
            a.sentence = say("{} hang on it: lifted flat by a hand it bears {} times that.", mass(place.hangs),
                             decimal(place.bears, 1));
            if (!place.holds()) {
                a.tone = Tone::Weak;
                a.sentence += tr(" Make it wider or the sheet thicker, or lift it with a card under it.");
            }
            a.working = {
                tr("Where an outline is narrow"),
                tr("the outline opened by a disc;  σ = 6 F d / (w t²), F the weight beyond it, jerked"),
                {{tr("width w"), length(n->width), "", tr("your outline")},
                 {tr("to the middle of what hangs on it, d"), length(n->lever), "", tr("your outline")},
                 {tr("thickness t"), length(t), "", tr("your plan")},
                 {"jerk", tr("2 times its weight"), "1.5–3", tr("judgement")},
                 {tr("strength"), say("{} MPa", decimal(place.mean * 1e-6, 1)), "", tr("snap test or judgement")}},
                a.headline,
                tr("Within a factor of two, as its strength is. A tip that only tapers is not counted."),
                tr("Templates")};
            return a;
        }
        return std::nullopt;
    }

    /// When a stick stands by itself in what is cast, and how long it still goes in.
    std::optional<Answer> stick() const {
        const setting::Stick stick = stickFor(s_);
        if (piece_.roundSomething()) return std::nullopt;
        const double stands = stickStands(s_, piece_, plan_, lib_, known_.coating);
        if (std::isnan(stands)) return std::nullopt;
        Answer a;
        a.id = "stick";
        a.figure = {stands, stands / setting::kBand, stands * setting::kBand, Dimension::Duration};
        a.headline = time(stands);
        a.after = tr("until a stick stands");
        a.sentence = say(
            "On the table, likely {} to {}. Stand sticks and spoons up then, and only after that put it into the cold.",
            time(a.figure.low), time(a.figure.high));
        a.working = {
            tr("When a stick stands"),
            tr("its weight's moment, m g (L/2 − D) sin 10°, against the bearing of a yield-stress fluid on its sides, "
               "9 "
               "τ₀ d D²/4;  τ₀ at rest is 1.35 times that of chocolate that flows, its mean along the stick counts"),
            {{tr("stick"), say("{:.0f} g, {} long", stick.mass * 1e3, length(stick.length)), "", tr("judgement")},
             {tr("pushed in"), length(stick.depth), "", tr("judgement")},
             {tr("yield stress at which it stands"), fmt::format("{:.0f} Pa", setting::standsAt(stick)), "",
              tr("computed")},
             physics("staticYield", lib_.physics)},
            a.headline,
            tr("Dark and milk within ×1.4 of what kitchens report; white comes out slower, compound much slower: it "
               "cools "
               "to its setting point first."),
            tr("Setting")};
        return a;
    }

private:
    std::string how() const {
        return family_.byWater ? tr("volume from your water; area by two faces of the same volume")
               : first_.exact  ? tr("closed form or integral of the shape")
                               : tr("the mesh");
    }
    std::string trust() const {
        if (family_.byWater)
            return tr(
                "The volume is as exact as your scale; the area is only as good as the silhouette, see its range.");
        if (s_.wall) return tr("Geometry is as exact as your ruler; the grams are those of the computed wall.");
        return first_.body == form::Body::Wall
                   ? tr("Geometry is as exact as your ruler; the grams are as good as the wall you assume.")
                   : tr("As exact as your ruler.");
    }

    const PieceAnswers& known_;
    const Made& s_;
    const form::Family& family_;
    const form::Shape& first_;
};

}  // namespace

std::vector<Answer> partAnswers(const Piece& piece, const Plan& plan, const material::Library& lib,
                                const PieceAnswers& known) {
    const PartTeller t(piece, plan, lib, known);
    std::vector<Answer> out{t.wall(), t.grams(), t.size()};
    for (auto& a : {t.holds(), t.pattern(), t.opening(), t.joints()})
        if (a) out.push_back(*a);
    const Made& s = *known.made;
    if (s.wall) {
        std::vector<std::string> names;
        names.reserve(s.assembly.items.size());
        for (const auto& i : s.assembly.items) names.push_back(s.assembly.items.size() > 1 ? i.name : "");
        for (auto& a : coatAnswers(piece, plan, lib, known.coating, *s.wall, s.wall->mean, s.wall->thickest,
                                   s.wall->blemishes, s.box.size().z, names))
            out.push_back(std::move(a));
    }
    bool cast = false;
    for (size_t k = 0; k < s.assembly.items.size(); ++k)
        cast = cast || (s.assembly.items[k].edible && !(s.wall && s.wall->covers(k)));
    if (cast) out.push_back(t.cold());
    for (auto& a : {t.cutting(), t.narrow(), t.stick()})
        if (a) out.push_back(*a);
    for (auto& a : {roomAnswer(piece, plan, lib, known), besideAnswer(piece, plan, lib, known)})
        if (a) out.push_back(*a);
    return out;
}

}  // namespace uovo
