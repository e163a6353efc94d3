#include "report/shopping_list.h"

#include <algorithm>
#include <cmath>

#include "core/quantity/decimal.h"
#include "report/page.h"
#include "report/text.h"

namespace uovo::report {
namespace {

struct Line {
    QString what, why;
};

std::vector<Line> lines(const Plan& plan, const Shopping& s) {
    std::vector<Line> out;
    const auto g = [&](double kg) { return qstring(format(kg, Dimension::Mass, plan.units)); };
    for (const auto& l : s.lines) {
        const QString name = qstring(l.name).toLower();
        out.push_back({l.packets > 0 ? QStringLiteral("%1 × %2 of %3").arg(l.packets).arg(g(l.packet), name)
                                     : QStringLiteral("no %1").arg(name),
                       qtr("%1 to melt%2").arg(g(l.need), l.have > 0 ? qtr(", %1 there").arg(g(l.have)) : QString())});
    }
    for (const auto& x : s.supplies)
        out.push_back({qstring(x.name + ": " + x.amount), qtr("for ") + qstring(x.forWhat)});
    for (const auto& f : plan.fillings) {
        if (!f.recipe.empty()) continue;
        QStringList into;
        for (const auto& p : plan.pieces)
            if (std::ranges::any_of(StepsOf<const FillStep>(p.making),
                                    [&](const FillStep& step) { return step.filling == f.id; }))
                into << QStringLiteral("%1 × %2").arg(p.count).arg(qstring(p.name).toLower());
        if (!into.isEmpty()) out.push_back({qstring(f.name), qtr("for ") + into.join(QStringLiteral(", "))});
    }
    return out;
}

}  // namespace

void paintShopping(Page& page, QPainter& p, const Plan& plan, const Shopping& s) {
    page.line(kMargin, qtr("To buy: ") + qstring(plan.name), 7, QFont::Bold);
    page.y += 12;
    for (const auto& l : lines(plan, s)) {
        page.need(14);
        p.setPen(QPen(kInk, 0.35));
        p.setBrush(Qt::NoBrush);
        p.drawRect(QRectF(kMargin, page.y + 0.8, 4.4, 4.4));
        page.line(kMargin + 8, l.what, 5, QFont::DemiBold);
        page.y += 6.4;
        page.paragraph(kMargin + 8, page.width() - 8, l.why, 3.8, kQuiet);
        page.y += 2;
    }
    page.y += 3;
    QStringList allergens, traces;
    for (const auto& a : s.allergens) allergens << qstring(a);
    for (const auto& t : s.traces) traces << qstring(t);
    if (!allergens.isEmpty())
        page.paragraph(kMargin, page.width(),
                       qtr("Allergens: %1. Traces: %2. Read the packets.")
                           .arg(allergens.join(QStringLiteral(", ")),
                                traces.isEmpty() ? qtr("none known") : traces.join(QStringLiteral(", "))),
                       3.8);
    for (const auto& w : s.warnings) page.paragraph(kMargin, page.width(), qstring(w), 3.8, kHarm);
}

int paintShoppingList(QPagedPaintDevice& device, const Plan& plan, const Shopping& s) {
    QPainter p;
    if (!beginPages(device, p, plan.units)) return 0;
    Page page(device, p);
    paintShopping(page, p, plan, s);
    p.end();
    return page.pages();
}

tl::expected<int, Problem> writeShoppingList(const QString& path, const Plan& plan, const Shopping& s) {
    return writePdf(path, qstring(plan.name), [&](QPdfWriter& pdf) { return paintShoppingList(pdf, plan, s); });
}

QString shoppingText(const Plan& plan, const Shopping& s) {
    QString out = qstring(plan.name) + QStringLiteral("\n");
    for (const auto& l : lines(plan, s)) out += l.what + QStringLiteral(" (") + l.why + QStringLiteral(")\n");
    return out;
}

QString shoppingCsv(const Plan& plan, const Shopping& s) {
    const auto quoted = [](const std::string& words) {
        return QLatin1Char('"') + qstring(words).replace(QLatin1Char('"'), QStringLiteral("\"\"")) + QLatin1Char('"');
    };
    QString out = "what;amount;packets;packet_g;melt_g;have_g;cost\n";
    for (const auto& l : s.lines)
        out += QStringLiteral("%1;%2;%3;%4;%5;%6;%7\n")
                   .arg(quoted(l.name), quoted(format(l.need, Dimension::Mass, plan.units)))
                   .arg(l.packets)
                   .arg(std::lround(l.packet * 1e3))
                   .arg(std::lround(l.need * 1e3))
                   .arg(std::lround(l.have * 1e3))
                   .arg(qstring(decimal(l.cost, 2)));
    for (const auto& x : s.supplies) out += QStringLiteral("%1;%2;;;;;\n").arg(quoted(x.name), quoted(x.amount));
    return out;
}

}  // namespace uovo::report
