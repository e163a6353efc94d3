#include "report/card_steps.h"

#include <cmath>

#include "core/day/former.h"
#include "core/document/amount.h"
#include "core/form/joint.h"
#include "core/stages/rim_ring.h"
#include "core/stages/sheets.h"
#include "core/stages/shopping.h"
#include "core/words/decor_words.h"
#include "core/words/mold_words.h"
#include "core/words/order_words.h"
#include "core/words/words.h"
#include "report/text.h"

namespace uovo::report {
namespace {

constexpr double kIndent = 12;  // mm

QString wayWords(const PlannedCoat& c, UnitSystem u) {
    if (c.way == coat::Way::Dip) return qtr("Dip");
    if (c.way == coat::Way::Pour) return qtr("Fill and pour out");
    if (c.way == coat::Way::Turn)
        return qtr("Fill to %1, close, turn about").arg(qstring(format(c.fill.value, Dimension::Percent, u)));
    if (c.way == coat::Way::Press) return qtr("Press the rim into a plate of chocolate");
    const QString where = c.where == coat::Where::Rim     ? qtr(" round the rim")
                          : c.where == coat::Where::Foot  ? qtr(" on the foot")
                          : c.where == coat::Where::Spots ? qtr(" where it is marked")
                                                          : QString();
    return qtr("Brush ") + qstring(format(c.brushMass.value, Dimension::Mass, u)) + where;
}

QString restWords(const PlannedCoat& c, bool balloon) {
    if (c.rest == coat::Rest::Hung) return qtr("hang it by the knot");
    if (c.rest == coat::Rest::Inverted) return balloon ? qtr("upside down on a ring") : qtr("turned upside down");
    return balloon ? qtr("stand it on paper") : qtr("stand it upright");
}

/// What is said of a coat: how it goes on, which way up it sets, where and how long.
/// "Cup: " where a step is for one part of it.
QString partOf(const Made& made, const std::string& key) {
    for (const auto& item : made.assembly.items)
        if (!key.empty() && item.key == key) return qstring(item.name) + QStringLiteral(": ");
    return {};
}

QString coatWords(const PlannedCoat& c, const Piece& piece, const material::Library& lib, UnitSystem u) {
    QString words;
    if (piece.chocolateOf(c) != piece.chocolate)
        if (const auto* other = lib.find(c.chocolate)) words += qtr("In %1. ").arg(qstring(other->name).toLower());
    if (c.way == coat::Way::Dip)
        words += qtr("Drain over the bath %1, then ").arg(measureWords(c.drain, Dimension::Duration, u));
    if (c.way == coat::Way::Pour)
        words += qtr("Pour out for %1, then ").arg(measureWords(c.drain, Dimension::Duration, u));
    const QString lasts = measureWords(c.moveFor, Dimension::Duration, u);
    const bool moved = c.motion != coat::Motion::Still || c.way == coat::Way::Turn,
               movedInCold = moved && c.moveIn != coat::Place::Table;
    if (c.way == coat::Way::Turn && c.motion == coat::Motion::Over)
        words += qtr("swirl it until no bare patch is left, then ");
    if (movedInCold && c.delay.value > 0)
        words += qtr("wait %1 on the table, then ").arg(measureWords(c.delay, Dimension::Duration, u));
    if (movedInCold) words += placeWords(c.moveIn) + QLatin1Char(' ');
    if (c.motion == coat::Motion::Spin || (c.way == coat::Way::Turn && c.motion == coat::Motion::Still))
        words += qtr("spin it every way for %1 until no bare patch is left, then ").arg(lasts);
    if (c.motion == coat::Motion::Over)
        words += qtr("roll it once round and set it on another side every %1 for %2, then ")
                     .arg(measureWords(c.moveEvery, Dimension::Duration, u), lasts);
    if (c.motion == coat::Motion::Side) words += qtr("lay it on its side for %1, then ").arg(lasts);
    if (c.tap.value > 0) words += qtr("tap it %1, then ").arg(measureWords(c.tap, Dimension::Duration, u));
    if (c.scrape) words += qtr("scrape the rim, then ");
    words += restWords(c, piece.overBalloon() || piece.roundSomething()) + QStringLiteral(". ");
    words += c.place == coat::Place::Table
                 ? qtr("Leave it on the table %1.").arg(measureWords(c.stay, Dimension::Duration, u))
             : movedInCold && c.moveIn == c.place
                 ? qtr("Leave it there for %1.").arg(measureWords(c.stay, Dimension::Duration, u))
             : c.delay.value > 0 && !movedInCold
                 ? qtr("Wait %1 on the table, then %2 for %3.")
                       .arg(measureWords(c.delay, Dimension::Duration, u), placeWords(c.place),
                            measureWords(c.stay, Dimension::Duration, u))
                 : qtr("At once %1, for %2.").arg(placeWords(c.place), measureWords(c.stay, Dimension::Duration, u));
    words[0] = words[0].toUpper();
    return words;
}

class Painter {
public:
    Painter(Page& page, const Plan& plan, const material::Library& lib, const Piece& piece, const PieceAnswers& mine,
            const Answers& answers)
        : page_(page),
          plan_(plan),
          lib_(lib),
          piece_(piece),
          a_(mine),
          answers_(answers),
          made_(*mine.made),
          u_(plan.units) {}

    void all() {
        ready();
        for (at_ = 0; at_ < piece_.making.size(); ++at_)
            std::visit([this](const auto& s) { paint(s); }, piece_.making[at_]);
    }

private:
    QString time(double s) const { return qstring(format(s, Dimension::Duration, u_)); }
    QString grams(double kg) const { return qstring(format(kg, Dimension::Mass, u_)); }
    QString length(double m) const { return qstring(format(m, Dimension::Length, u_)); }
    /// A numbered line. @param figure large at the right; may be empty
    /// @param high mm that the step takes, not to be parted
    void head(const QString& words, const QString& figure = {}, double high = 18) {
        page_.need(high);
        page_.rule();
        page_.y += 1.8;
        page_.line(kMargin, QString::number(++number_), 7.5, QFont::Bold);
        page_.line(kMargin + kIndent, words, 5.8, QFont::DemiBold);
        if (!figure.isEmpty()) page_.right(kMargin + page_.width(), figure, 7.2, QFont::Bold);
        page_.y += 8.2;
    }
    void say(const QString& words, double size = 4.3, const QColor& colour = kInk) {
        if (!words.isEmpty()) page_.paragraph(kMargin + kIndent, page_.width() - kIndent, words, size, colour);
    }
    /// What to take care of at this step.
    void caution() {
        for (const auto& words : cautionsAt(piece_, at_, plan_, lib_)) say(qstring(words), 3.6, kHarm);
    }
    void done() { page_.y += 1.4; }
    /// A line of a list within a step; what stands at its end takes the room it needs.
    void numbered(int n, const QString& words, const QString& end) {
        page_.need(7);
        page_.line(kMargin + kIndent, QStringLiteral("%1)").arg(n), 4.6, QFont::Bold);
        const double top = page_.y, wide = page_.width() - kIndent - 8 - (end.isEmpty() ? 0 : 38);
        if (!end.isEmpty()) page_.right(kMargin + page_.width(), end, 4.2);
        page_.y = top;
        page_.paragraph(kMargin + kIndent + 8, wide, words, 4.6);
        if (page_.y >= top) page_.y = std::max(page_.y, top + 6.2);  // else it goes on on the next page
    }

    /// Molds of one's own are taken on a day before: what is the same for all of them once, then each by its figures.
    void ownMold() {
        const MoldWish& wish = piece_.mold;
        if (a_.molds.empty() || wish.there) return;
        int molds = 0;
        bool two = false;
        for (const auto& w : a_.molds) molds += w.molds, two = two || w.pourings > 1;
        head(molds == 1 ? qtr("On a day before: take its mold") : qtr("On a day before: take its molds"),
             molds == 1 ? QString() : QString::number(molds), 40);
        say(qtr("Seal the original on a flat base so that nothing creeps under it. A box of card round it, taped "
                "tight: "
                "its net is among the templates. Stir A and B until no streak is left, pour in a thin stream beside "
                "it until it stands over all of it; mixed, it can be poured for %1. Let it cure %2, undisturbed. %3"
                "Loosen it all round, take the original out, wash the mold. Cast it once and throw that cast away.")
                .arg(measureWords(wish.potLife, Dimension::Duration, u_),
                     measureWords(wish.cure, Dimension::Duration, u_),
                     two ? qtr("Of two parts: bed the original in clay up to where they meet, press a few "
                               "dents into the clay as keys, pour the first part; when it has cured, take "
                               "the clay off, brush release agent on the silicone and pour the second. ")
                         : QString()));
        for (size_t k = 0; k < a_.molds.size(); ++k) {
            const auto& w = a_.molds[k];
            const auto& b = w.box;
            const auto part = [&](double kg, double m3) {
                return wish.byMass ? grams(kg) : qstring(format(m3, Dimension::Volume, u_));
            };
            QString words =
                qtr("%1box %2 by %3 inside, %4 high; %5 of A, %6 of B%7.")
                    .arg(w.name.empty() ? QString() : qstring(w.name) + QStringLiteral(": "), length(b.inside.x),
                         length(b.inside.y), length(b.inside.z), part(b.massA, b.volumeA), part(b.massB, b.volumeB),
                         w.molds > 1 ? qtr(" for each of %1").arg(w.molds) : QString());
            words[0] = words[0].toUpper();
            if (w.own)
                for (const auto& line : moldWords(*w.own, u_)) words += QLatin1Char(' ') + qstring(line);
            a_.molds.size() > 1 ? numbered(static_cast<int>(k) + 1, words, {}) : say(words);
        }
        for (const auto& words :
             cautionTexts(wish.raw ? std::vector{"own-mold", "raw-original"} : std::vector{"own-mold"}, lib_))
            say(qstring(words), 3.6, kHarm);
        if (!wish.allergens.empty())
            say(qtr("The mold carries what the original is of: %1.").arg(qstring(wish.allergens)), 3.6, kHarm);
        done();
    }

    /// What is made ready before the chocolate is.
    void ready() {
        ownMold();
        using day::Former;
        const Former former = day::formerOf(piece_);
        const bool strips = former == Former::Balloon && form::choice(piece_.shape, "pattern") == "strips";
        if (former == Former::Core || (piece_.coats().empty() && !strips)) return;  // what is cast says so itself
        const QString many = QString::number(a_.make);
        switch (former) {
            case Former::Balloon:
                head(qtr("Blow up the balloons"), many);
                say(qtr("Each to %1 round, by the tape, one like the other. Wash and dry them, wipe a trace of "
                        "oil on where chocolate comes, and stand them knot down in glasses.")
                        .arg(spokenLength(piece_.shape, "girth", u_)));
                break;
            case Former::Acetate:
                head(qtr("Cut and roll the acetate"), many);
                say(
                    qtr("By the flat pattern below. Wipe the inside, roll it, tape the overlap outside, and "
                        "stand it so that nothing leans."));
                break;
            case Former::PaperCase:
            case Former::NestedPaperCases:
                head(qtr("Set out the paper cases"), many);
                break;
            case Former::SiliconeCup:
                head(qtr("Wash and dry the cups"), many);
                say(qtr("To the last drop: water makes chocolate seize."));
                break;
            case Former::Cup:
                head(qtr("Snip the cups"), many);
                say(qtr("Two short cuts into the rim, a finger apart, to tear a strip open later. Dry inside."));
                break;
            default:
                head(qtr("Polish the molds"), many);
                say(
                    qtr("With a soft cloth, dry to the last drop, at the warmth of the room: a cold mold makes "
                        "streaks, a warm one lets go late."));
        }
        done();
    }

    void paint(const PlannedCoat& c) {
        head(partOf(made_, c.item) + wayWords(c, u_), measureWords(c.temperature, Dimension::Temperature, u_));
        say(coatWords(c, piece_, lib_, u_));
        if (made_.wall && coat_ < made_.wall->setting.size()) {
            const auto& t = made_.wall->setting[coat_];
            say(std::isnan(t.lock)
                    ? qtr("It still flows when its time is over.")
                    : qtr("It stops flowing after %1 and is firm after %2. Look for bare spots before it does.")
                          .arg(time(t.lock), time(t.firm)),
                4, kQuiet);
        }
        caution();
        if (const double nested = form::figure(piece_.shape, "nested");
            coat_ == 0 && nested > 1 && form::choice(piece_.shape, "mold") == "paper case")
            say(qtr("Nest %1 paper cases in each other: one alone spreads under the chocolate.").arg(nested));
        ++coat_;
        done();
    }

    void paint(const CastStep& c) {
        const CastWork work = castWork(made_, piece_, cast_);
        bool sheet = false, mold = false;
        for (const size_t k : work.items)
            if (const auto body = made_.assembly.items[k].shape.body; body != form::Body::Modeled)
                (body == form::Body::Sheet ? sheet : mold) = true;
        const double kg = work.mass;
        const size_t number = cast_++;
        if (kg <= 0) return;
        const auto own = coatingOf(piece_, c.chocolate, plan_, lib_);
        if (!sheet && !mold) {
            head(qtr("Shape it by hand"), grams(kg));
            const auto paste = modelingPaste(kg * a_.make, piece_.chocolateOf(c), lib_);
            say(qtr("For all: %1 of chocolate and %2 of glucose syrup, made on a day before. Knead it until it "
                    "bends; roll, cut to length, and let it stand until it keeps its shape.")
                    .arg(grams(paste.chocolate), grams(paste.syrup)));
            return done();
        }
        const double T = c.temperature.value > 0 ? c.temperature.value : own->working();
        const bool heap = piece_.roundSomething();
        head(heap                 ? qtr("Stir and spoon it")
             : sheet && !mold     ? qtr("Spread or pipe it")
             : sheet              ? qtr("Cast and spread its parts")
             : !work.name.empty() ? qtr("Cast its %1").arg(qstring(work.name).toLower())
                                  : qtr("Cast it"),
             qstring(format(T, Dimension::Temperature, u_)));
        QString words = qtr("%1 of %2 in each. ").arg(grams(kg), qstring(own->name).toLower());
        const std::string pattern = piece_.overBalloon() ? form::choice(piece_.shape, "pattern") : "";
        if (pattern == "strips")
            words += qtr(
                "Spread it thin on a frozen slab, cut strips, lift them and lay them crosswise over the oiled balloon "
                "while they still bend. ");
        else if (!pattern.empty())
            words +=
                qtr("Blow the balloon up, oil it with a trace, stand it knot down in a glass, and let lines from a bag "
                    "cross and touch each other. ");
        else if (heap) words += qtr("Stir until everything is coated, and spoon it in heaps on paper. ");
        else if (piece_.family().gap)
            words +=
                qtr("Pour so much into each form, press the insert straight down to its line until chocolate shows all "
                    "round, and scrape the rim. ");
        else if (mold && work.tone == 0) words += castWords(work);
        if (work.tone > 0) words += qtr("Pour it on when the tone under it no longer runs and still feels soft. ");
        if (sheet) words += sheetWords();
        const auto& times = made_.casts[number];
        if (!work.last) {
            words += qtr("Leave it on the table until it no longer runs, about %1.").arg(time(times.lock));
        } else {
            const bool table = c.place == coat::Place::Table;
            if (!table && c.table.value > 0)
                words += qtr("Leave it %1 on the table first. ").arg(measureWords(c.table, Dimension::Duration, u_));
            words += table                            ? qtr("Let it set on the table")
                     : c.place == coat::Place::Fridge ? qtr("Then into the fridge")
                                                      : qtr("Then into the freezer");
            const double until = times.release - (table ? 0 : c.table.value);
            if (heap && std::isfinite(times.set))
                words += qtr(" until it is firm and lifts off the paper cleanly, about %1.")
                             .arg(time(times.set - (table ? 0 : c.table.value)));
            else
                words += std::isfinite(until) ? qtr(" until it lets go, about %1. ").arg(time(until)) + lookWords(mold)
                                              : qtr("; it does not set there: use a colder place.");
        }
        say(words);
        if (work.tone == 0) caution();
        done();
    }

    void paint(const InsertStep& in) {
        if (in.what == InsertStep::What::Core) return around(in);
        QString what = qstring(in.name).toLower();
        if (const Piece* other = in.what == InsertStep::What::Piece ? plan_.piece(in.piece) : nullptr)
            what = qstring(other->name).toLower();
        head(partOf(made_, in.item) +
             (in.each > 1 ? qtr("Stand in each: %1 × %2").arg(in.each).arg(what) : qtr("Stand in it: %1").arg(what)));
        QString words = in.what == InsertStep::What::Stick && std::isfinite(made_.stickStands)
                            ? qtr("It stands by itself after %1 on the table; only then it goes into the cold.")
                                  .arg(time(made_.stickStands))
                            : qtr("While what it stands in is soft.");
        if (!in.allergens.empty()) words += qtr(" Contains %1.").arg(qstring(in.allergens));
        say(words);
        done();
    }

    /// What is dipped or bound.
    void around(const InsertStep& in) {
        head(in.each > 1 ? QStringLiteral("%1 × %2").arg(in.each).arg(qstring(in.name).toLower()) : qstring(in.name),
             grams(in.mass.value * in.each));
        QString words =
            qtr("Dry to the last drop and at room temperature; lay all of it out before the "
                "chocolate is ready.");
        if (!in.allergens.empty()) words += qtr(" Contains %1.").arg(qstring(in.allergens));
        say(words);
        done();
    }

    void paint(const TopStep& top) {
        const Topping* t = plan_.topping(top.topping);
        if (!t) return;
        head(partOf(made_, top.item) + (top.when == TopStep::When::Glued
                                            ? qtr("Glue %1 on").arg(qstring(t->name).toLower())
                                            : qtr("Strew %1 on it").arg(qstring(t->name).toLower())),
             grams(top.each.value));
        QString words;
        for (const auto& x : a_.toppings)
            if (x.step == at_) {
                if (x.glue > 0)
                    words =
                        qtr("About %1 on each, each with a dot of chocolate.").arg(std::max(1L, std::lround(x.grains)));
                else if (x.inside) words = qtr("On what is in it, as late as you can.");
                else if (std::isnan(x.from))
                    words = qtr("They slide down a fresh wall: press them on by hand, or glue them.");
                else if (top.when == TopStep::When::Tacky && x.from > 0)
                    words = qtr("From %1 to %2 after the coat: then it holds them, and still takes them.")
                                .arg(time(x.from), time(x.to));
                else
                    words = std::isfinite(x.to) ? qtr("At once, piece by piece; it takes them for %1.").arg(time(x.to))
                                                : qtr("At once, piece by piece.");
            }
        if (!t->allergens.empty()) words += qtr(" Contains %1.").arg(qstring(t->allergens));
        say(words);
        done();
    }

    void paint(const SetStep& s) {
        head(s.place == coat::Place::Table    ? qtr("Leave it on the table")
             : s.place == coat::Place::Fridge ? qtr("Into the fridge")
                                              : qtr("Into the freezer"),
             measureWords(s.stay, Dimension::Duration, u_));
        done();
    }

    /// When its walls and what is cast let go, the slowest of each.
    QString letsGo() const {
        double walls = 0, casts = 0;
        const auto coats = piece_.coats();
        for (size_t k = 0; made_.wall && k < coats.size(); ++k)
            if (isLastForItsPart(coats, k)) walls = std::max(walls, made_.wall->setting[k].release);
        for (size_t k = 0; k < std::max<size_t>(1, piece_.casts().size()); ++k)
            if (const CastWork work = castWork(made_, piece_, k); work.last && work.mass > 0)
                casts = std::max(casts, made_.casts[k].release);
        if (made_.wall && !std::isfinite(made_.wall->fromFirstCoatToRelease)) return {};
        if (walls > 0 && casts > 0)
            return qtr("After %1 what is coated lets go, after %2 what is cast. ").arg(time(walls), time(casts));
        const double t = std::max(walls, casts);
        return t > 0 ? qtr("After %1 it lets go. ").arg(time(t)) : QString();
    }

    /// How a sheet, or what is drawn on one, comes about.
    QString sheetWords() const {
        using Laid = form::Family::Laid;
        switch (piece_.family().laid) {
            case Laid::Piped:
                return qtr(
                    "Lay acetate over its drawing and pipe or brush it on, line by line, thicker where a stick goes. ");
            case Laid::Bent:
                return qtr(
                    "Spread it on its strip of acetate to the thickness; when it no longer runs and still bends, lay "
                    "the "
                    "strip into its form, and let it set so. ");
            case Laid::Cut:
                break;
        }
        return qtr(
            "Spread between the bars on paper, or pipe; cut when it is tacky and no longer runs, small parts first. ");
    }

    /// What to look for before it is taken off.
    QString lookWords(bool mold) const {
        if (piece_.overBalloon()) return qtr("Look: its lines are dull and do not give.");
        if (!mold) return qtr("Look: it is dull, firm, and has drawn away from paper or acetate at its edge.");
        return qtr(
            "Look: the underside of a clear mold turns from dark to frosted; in silicone and on paper it is firm and "
            "has "
            "drawn away from the edge.");
    }

    /// How chocolate comes into molds: solids are filled, of a shell only its wall stays.
    QString castWords(const CastWork& work) const {
        bool shell = false, solid = false;
        for (const size_t k : work.items) {
            const auto body = made_.assembly.items[k].shape.body;
            shell = shell || body == form::Body::Wall;
            solid = solid || (body != form::Body::Wall && body != form::Body::Sheet);
        }
        QString words;
        if (shell)
            words += piece_.family().former == form::Former::Wrap
                         ? qtr("Roll the acetate to its pattern, tape it outside and stand it in a glass. Pour "
                               "in more than stays, turn it until every side is covered, and tip the rest "
                               "out. ")
                         : qtr("Pour more than stays into the polished, dry molds, turn them until every side "
                               "is covered, tap, and tip the rest out; scrape the rim. ");
        if (solid) words += qtr("Fill the polished, dry molds; tap them until no bubble rises. ");
        return words;
    }

    void paint(const ReleaseStep&) {
        const QString when = letsGo();
        if (piece_.overBalloon()) {
            head(piece_.handling.release == Handling::Release::Burst ? qtr("Burst the balloon")
                                                                     : qtr("Let the air out"));
            say(when + qtr("Pinch the neck and snip it, let the air out slowly, and peel the skin off "
                           "inwards; count every bit."));
            caution();
        } else if (piece_.family().former == form::Former::Cup) {
            head(qtr("Tear the cup off"));
            say(when + (form::choice(piece_.shape, "made") == "silicone"
                            ? qtr("Turn the cup's edge back all round and push the floor up.")
                            : qtr("Snip the edge, tear round in a strip, and take the floor off last.")));
        } else {
            const bool flat = piece_.family().flat, wrap = piece_.family().former == form::Former::Wrap;
            head(wrap ? qtr("Peel the acetate off") : flat ? qtr("Lift it off") : qtr("Unmold it"));
            say(when + (wrap   ? qtr("Begin at the overlap and peel it away flat, not upwards; what it leaves "
                                       "is as glossy as it is: touch it no more.")
                        : flat ? qtr("Bend the paper or acetate away from it, not it from the paper.")
                        : piece_.family().gap
                            ? qtr("Lift the insert out straight, then turn the form over on a cloth and tap.")
                            : qtr("Turn it over on a cloth and tap; in silicone push it out from below. "
                                  "What does not come goes back into the cold for five minutes.")));
        }
        done();
    }

    void paint(const TrimStep&) {
        head(made_.melted > 0 ? qtr("Trim the rim, melt the hole") : qtr("Trim the rim"));
        say(
            qtr("Turn the rim on a warm plate, or take the edge off with a warm knife; chill it for five "
                "minutes after it."));
        caution();
        done();
    }

    void paint(const JoinStep&) {
        const auto& joints = made_.assembly.joints;
        if (joints.empty()) {
            head(qtr("Close the halves"));
            say(qtr("Warm both rims on a plate until they shine, set one on the other, and hold still until "
                    "it grips; let it bear nothing for %1.")
                    .arg(time(lib_.usual("glueBears"))));
            caution();
            return done();
        }
        head(qtr("Put it together"));
        if (!a_.together || !a_.together->problem.empty()) {
            say(qtr("Fit it dry first, and look from the front and from the side. Joints: %1. Hold each "
                    "until it has set; let it bear nothing for %2.")
                    .arg(qtr(joints.front().glue.c_str()), time(lib_.usual("glueBears"))));
            int n = 0;
            for (const auto& j : joints) numbered(++n, qstring(j.words), qtr("%1 of glue").arg(length(j.length)));
            return done();
        }
        const bool alike = std::ranges::all_of(joints, [&](const auto& j) { return j.glue == joints.front().glue; });
        const auto lines = orderLines(*a_.together, made_, u_);
        say(qtr("Fit it dry first, mark the places, and look from the front and from the side.%1 A joint bears "
                "after %2.")
                .arg(alike ? qtr(" Joints: %1.").arg(qtr(joints.front().glue.c_str())) : QString(),
                     time(form::jointTimes(lib_, joints.front().glue).bears)));
        for (const auto& words : orderTroubles(*a_.together, made_, u_)) say(qstring(words), 4.3, kHarm);
        if (a_.make > 1 && lines.size() > 1)
            say(qstring(eachBeforeTheNext(gluings(made_, a_.together.get(), lib_), a_.make)));
        int n = 0;
        for (const auto& line : lines) {
            numbered(
                ++n, qstring(line.what),
                line.length > 0
                    ? QStringLiteral("%1 of %2").arg(length(line.length), alike ? qtr("glue") : qtr(line.glue.c_str()))
                    : QString());
            page_.paragraph(kMargin + kIndent + 8, page_.width() - kIndent - 8, qstring(line.how), 4.1,
                            line.harm ? kHarm : kQuiet);
        }
        done();
    }

    void paint(const FillStep& step) {
        const Filling* f = plan_.filling(step.filling);
        if (!f) return;
        double each = 0, level = std::nan("");
        for (const auto& x : a_.fills)
            if (x.step == at_) each = x.each, level = x.level;
        head((step.served ? qtr("As you serve it: %1") : qtr("Fill it: %1")).arg(qstring(f->name)),
             qstring(format(each, Dimension::Volume, u_)), 29 + 6.2 * double(std::min<size_t>(f->recipe.size(), 20)));
        const auto recipe = scaled(plan_, lib_, answers_, *f);
        QStringList others;
        for (const auto& in : recipe.into)
            for (const auto& p : plan_.pieces)
                if (p.id == in.piece && p.id != piece_.id)
                    others << QStringLiteral("%1 %2").arg(p.count).arg(qstring(p.name).toLower());
        QString words =
            qtr("%1 for these %2").arg(qstring(format(each * piece_.count, Dimension::Volume, u_))).arg(piece_.count);
        words += std::isfinite(level) ? qtr(", %1 deep in each.").arg(length(level)) : QStringLiteral(".");
        if (!others.isEmpty())
            words += qtr(" It is made once, %1 in all, with what goes into %2.")
                         .arg(qstring(format(recipe.volume, Dimension::Volume, u_)), others.join(QStringLiteral(", ")));
        say(words);
        const auto span = [&](const Measure& m) { return measureWords(m, Dimension::Duration, u_); };
        if (!f->recipe.empty()) {
            const bool known = std::isfinite(recipe.factor);
            say(known ? others.isEmpty() ? qtr("For all of them:") : qtr("For everything it goes into:")
                      : qtr("The recipe as it stands; how much it makes is not said:"),
                4.2, kQuiet);
            for (const auto& in : f->recipe) {
                page_.need(6.5);
                page_.line(kMargin + kIndent + 4, qstring(in.name), 4.6);
                page_.right(kMargin + 0.55 * page_.width(), qstring(amountOf(in, known ? recipe.factor : 1, u_)), 4.6,
                            QFont::Bold);
                if (!in.allergens.empty())
                    page_.line(kMargin + 0.55 * page_.width() + 6, qtr("contains ") + qstring(in.allergens), 3.8,
                               QFont::Normal, kQuiet);
                page_.y += 6.2;
            }
        }
        words = step.served ? qtr("At the table, not before: it is good there for about %1.").arg(span(f->usableTo))
                : f->usableFrom.value > 0
                    ? qtr("It takes %1 to make, and is good to fill from %2 to %3 after that.")
                          .arg(span(f->make), span(f->usableFrom), span(f->usableTo))
                    : qtr("It takes %1 to make, and is good to fill for %2.").arg(span(f->make), span(f->usableTo));
        if (step.chill.value > 0) words += qtr(" Then %1 in the fridge.").arg(span(step.chill));
        say(words, 4.4);
        caution();
        done();
    }

    void paint(const LidStep& lid) {
        head(qtr("Pour a lid"), grams(a_.capMass));
        say(qtr("Molten chocolate on the set, cool filling, %1 deep, up to the rim. Let it set %2 before you move it.")
                .arg(measureWords(lid.depth, Dimension::Length, u_), time(lib_.usual("lidSets"))));
        done();
    }

    void paint(const DecorateStep& d) {
        const auto* done = a_.decoration(at_);
        if (!done) return;
        const DecorWords words = decorWords(piece_, at_, plan_, lib_, a_);
        head(partOf(made_, d.item) + qstring(words.title), done->mass >= kWeighed ? grams(done->mass) : QString());
        QString all;
        for (const auto& list : {words.how, words.look, words.wrong})
            for (const auto& line : list) all += (all.isEmpty() ? "" : " ") + qstring(line);
        say(all);
        caution();
        this->done();
    }

    void paint(const StoreStep& s) {
        head(s.where == StoreStep::Where::Box ? qtr("Box it") : qtr("Keep it in the fridge"));
        say(s.where == StoreStep::Where::Box ? qtr("A closed box, away from light, warmth and smells.")
                                             : qtr("Covered, until it is eaten."));
        done();
    }

    void paint(const ServeStep& s) {
        using How = ServeStep::How;
        const QString name = qstring(s.name).toLower(), each = qstring(format(s.amount.value, Dimension::Volume, u_));
        if (s.how == How::Sauce) {
            head(qtr("At the table: sauce over it"), each);
            say((name.isEmpty() ? QString() : name[0].toUpper() + name.mid(1) + QStringLiteral(", ")) +
                qtr("%1 for all. A warm sauce melts what it runs over.")
                    .arg(qstring(format(s.amount.value * piece_.count, Dimension::Volume, u_))));
        } else if (s.how == How::Drink) {
            head(qtr("Melt it in a mug"), each);
            say(qtr("Hot %1 over it, and stir until it has melted; %2 for all.")
                    .arg(name.isEmpty() ? qtr("milk") : name,
                         qstring(format(s.amount.value * piece_.count, Dimension::Volume, u_))));
        } else if (s.how == How::Mallet) {
            head(qtr("Break it with a mallet"));
            caution();
        } else {
            head(qtr("Light it"));
            caution();
        }
        done();
    }

    Page& page_;
    const Plan& plan_;
    const material::Library& lib_;
    const Piece& piece_;
    const PieceAnswers& a_;
    const Answers& answers_;
    const Made& made_;
    const UnitSystem u_;
    size_t at_ = 0, coat_ = 0, cast_ = 0;
    int number_ = 0;
};

}  // namespace

QString measureWords(const Measure& m, Dimension d, UnitSystem u) { return qstring(spoken(m, d, u)); }

QString spokenLength(const form::Part& shape, const char* key, UnitSystem u) {
    const auto it = shape.values.find(key);
    return measureWords(it != shape.values.end() ? it->second : Measure(form::figure(shape, key)), Dimension::Length,
                        u);
}

void paintMaking(Page& page, const Plan& plan, const material::Library& lib, const Piece& piece,
                 const PieceAnswers& mine, const Answers& answers) {
    Painter(page, plan, lib, piece, mine, answers).all();
}

}  // namespace uovo::report
