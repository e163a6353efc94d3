#include "report/card_inside.h"

#include <cmath>

namespace uovo::report {
namespace {

/// @param figure large at the right; may be empty
void heading(Page& page, const QString& words, const QString& figure = {}) {
    page.need(24);
    page.y += 2;
    page.rule();
    page.y += 2.5;
    page.line(kMargin, words, 6, QFont::DemiBold);
    if (!figure.isEmpty()) page.right(kMargin + page.width(), figure, 7, QFont::Bold);
    page.y += 8;
}

}  // namespace

void paintCasts(Page& page, const Plan& plan, const Piece& piece, const PieceAnswers& a) {
    const Made& s = *a.made;
    bool cast = false, sheet = false, mold = false;
    for (size_t k = 0; k < s.assembly.items.size(); ++k) {
        const auto& item = s.assembly.items[k];
        if (!item.edible || (s.wall && s.wall->covers(k)) || item.shape.body == form::Body::Modeled) continue;
        cast = true;
        (item.shape.body == form::Body::Sheet ? sheet : mold) = true;
    }
    if (!cast) return;
    const auto u = plan.units;
    const auto time = [&](double t) { return qstring(format(t, Dimension::Duration, u)); };
    heading(page, sheet && !mold ? QStringLiteral("Spread it") : sheet ? QStringLiteral("Cast and spread it") : QStringLiteral("Cast it"),
            qstring(format(piece.cast.temperature.value > 0 ? piece.cast.temperature.value : a.coating.working(), Dimension::Temperature, u)));
    QString words = mold ? QStringLiteral("Fill the polished, dry molds; tap them until no bubble rises. ") : QString();
    if (sheet) words += QStringLiteral("Spread between the bars on paper, or pipe; cut when it is tacky and no longer runs, small parts first. ");
    const bool table = piece.cast.place == coat::Place::Table;
    if (!table && piece.cast.table.value > 0) words += QStringLiteral("Leave it %1 on the table first. ").arg(time(piece.cast.table.value));
    words += table ? QStringLiteral("Let it set on the table") : piece.cast.place == coat::Place::Fridge ? QStringLiteral("Into the fridge") : QStringLiteral("Into the freezer");
    const double until = s.setting.release - (table ? 0 : piece.cast.table.value);
    words += std::isfinite(until) ? QStringLiteral(" until it lets go, about %1. Look: the underside of a clear mold turns from dark to frosted; in silicone and on paper it is firm and has drawn away from the edge.").arg(time(until))
                                  : QStringLiteral("; it does not set there: use a colder place.");
    page.paragraph(kMargin, page.width(), words, 4.6);
}

void paintJoints(Page& page, const Plan& plan, const material::Library& lib, const Piece& piece, const PieceAnswers& a) {
    const auto& assembly = a.made->assembly;
    if (assembly.joints.empty()) return;
    heading(page, QStringLiteral("Put it together"));
    const std::string glue = form::choice(piece.shape, "glue");
    page.paragraph(kMargin, page.width(), QStringLiteral("Fit it dry first, and look from the front and from the side. Joints: %1. Hold each until it has set; let it bear nothing for %2.")
                                              .arg(qstring(glue), qstring(format(lib.usual("glueBears"), Dimension::Duration, plan.units))), 4.4);
    page.y += 1;
    int n = 0;
    for (size_t i = 0; i < assembly.joints.size();) {  // equal ones in a row are one line
        const auto& j = assembly.joints[i];
        size_t k = i;
        while (k < assembly.joints.size() && assembly.joints[k].words == j.words && std::abs(assembly.joints[k].length - j.length) < 1e-6) ++k;
        page.need(7);
        page.line(kMargin, QString::number(++n), 4.6, QFont::Bold);
        page.line(kMargin + 8, (k - i > 1 ? QStringLiteral("%1 × ").arg(k - i) : QString()) + qstring(j.words), 4.6);
        page.right(kMargin + page.width(), QStringLiteral("%1 of glue").arg(qstring(format(j.length, Dimension::Length, plan.units))), 4.4);
        page.y += 6.4;
        i = k;
    }
}

void paintInside(Page& page, const Plan& plan, const material::Library& lib, const Piece& piece, const PieceAnswers& a) {
    if (!piece.filling) return;
    const auto& f = *piece.filling;
    const auto u = plan.units;
    const auto time = [&](const Measure& m) { return m.typed.empty() ? qstring(format(m.value, Dimension::Duration, u)) : qstring(m.typed); };
    heading(page, QStringLiteral("What goes in: %1").arg(qstring(f.name)));
    const auto recipe = scaled(piece, a);
    page.paragraph(kMargin, page.width(), QStringLiteral("%1 in each, %2 in all.").arg(qstring(format(a.fillEach, Dimension::Volume, u)), qstring(format(recipe.volume > 0 ? recipe.volume : a.fillEach * piece.count, Dimension::Volume, u))), 4.8);
    if (!f.recipe.empty()) {
        const bool known = std::isfinite(recipe.factor);
        page.paragraph(kMargin, page.width(), known ? QStringLiteral("For all of them:") : QStringLiteral("The recipe as it stands; how much it makes is not said:"), 4.2, kQuiet);
        for (const auto& in : f.recipe) {
            page.need(6.5);
            page.line(kMargin + 8, qstring(in.name), 4.6);
            page.right(kMargin + 0.5 * page.width(), qstring(amountOf(in, known ? recipe.factor : 1, u)), 4.6, QFont::Bold);
            if (!in.allergens.empty()) page.line(kMargin + 0.5 * page.width() + 6, QStringLiteral("contains ") + qstring(in.allergens), 3.8, QFont::Normal, kQuiet);
            page.y += 6.2;
        }
    }
    page.paragraph(kMargin, page.width(), f.usableFrom.value > 0 ? QStringLiteral("It takes %1 to make, and is good to fill from %2 to %3 after that.").arg(time(f.make), time(f.usableFrom), time(f.usableTo))
                                                                         : QStringLiteral("It takes %1 to make, and is good to fill for %2.").arg(time(f.make), time(f.usableTo)), 4.4);
    if (f.cap.value > 0)
        page.paragraph(kMargin, page.width(), QStringLiteral("Lid: pour %1 of molten chocolate on the set filling, %2 deep, up to the rim; let it set before you move it.").arg(qstring(format(a.capMass, Dimension::Mass, u)), qstring(format(f.cap.value, Dimension::Length, u))), 4.6);
    for (const auto& c : lib.cautions)
        if ((c.id == "perishable" && f.perishable) || (c.id == "raw-egg" && f.egg) || (c.id == "alcohol" && f.isAlcoholic())) page.paragraph(kMargin, page.width(), qstring(c.text), 4, kHarm);
}

}  // namespace uovo::report
