#include "desktop/melt/colour_page.h"
#include "core/plan/edits.h"

#include <QCheckBox>
#include <QColorDialog>
#include <QCoreApplication>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPointer>
#include <QPushButton>
#include <QVBoxLayout>
#include <algorithm>

#include "desktop/shape/recipe_line.h"
#include "desktop/shell/figure_field.h"
#include "desktop/shell/sheet.h"
#include "desktop/theme/theme.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

constexpr const char* kLooks[]{"#5B7FB0", "#B0533F", "#6E8F4E",
                               "#D9A23A", "#8A5E94", "#3F8588"};  // of new colours, in turn

struct ColourPage {
    Q_DECLARE_TR_FUNCTIONS(ColourPage)
};

const material::Colour* colourIn(const Plan& plan, const std::string& id) {
    for (const auto& c : plan.colours)
        if (c.id == id) return &c;
    return nullptr;
}

}  // namespace

std::string addColour(Session& session, const std::string& base) {
    material::Colour c;
    c.base = base;
    c.look = kLooks[session.plan().colours.size() % std::size(kLooks)];
    for (int n = 1;; ++n) {
        c.id = "colour-" + std::to_string(n);
        c.name = ColourPage::tr("Colour %1").arg(n).toStdString();
        if (!colourIn(session.plan(), c.id)) break;
    }
    session.document().edit(ColourPage::tr("Add a colour"), [&](Plan& p) { p.colours.push_back(c); });
    return c.id;
}

QWidget* colourPage(Session& session, const std::string& id) {
    auto* page = new QWidget;
    page->setObjectName(QStringLiteral("colourPage"));
    auto* box = new QVBoxLayout(page);
    box->setContentsMargins(0, 6, 10, 6);
    box->setSpacing(8);
    const material::Colour* now = colourIn(session.plan(), id);
    if (!now) {
        box->addWidget(wrapped(ColourPage::tr("This colour is not in the plan any more.")));
        return page;
    }
    const auto edit = [&session, id](const QString& label, const std::function<void(material::Colour&)>& change) {
        session.document().edit(label, [&](Plan& p) {
            for (auto& c : p.colours)
                if (c.id == id) change(c);
        });
    };
    const auto row = [&](const QString& name, QWidget* right) { box->addLayout(namedRow(name, right)); };
    auto* name = new QLineEdit(qstring(now->name));
    name->setObjectName(QStringLiteral("colourName"));
    name->setAccessibleName(ColourPage::tr("Name of the colour"));
    name->setMaxLength(40);
    QObject::connect(name, &QLineEdit::editingFinished, page, [=] {
        const std::string words = name->text().trimmed().toStdString();
        if (!words.empty()) edit(ColourPage::tr("Rename a colour"), [&](material::Colour& c) { c.name = words; });
    });
    row(ColourPage::tr("Name"), name);
    QStringList names;
    std::vector<std::string> ids;
    for (const auto& c : session.library().chocolates)
        if (c.base.empty()) {
            names << qstring(c.name);
            ids.push_back(c.id);
        }
    auto* base = choiceBox(ColourPage::tr("Mixed from"), names);
    base->setObjectName(QStringLiteral("colourBase"));
    base->setCurrentIndex(static_cast<int>(std::find(ids.begin(), ids.end(), now->base) - ids.begin()));
    auto* shows = wrapped({}, "small");
    const auto tell = [=, &session] {
        const auto* c = colourIn(session.plan(), id);
        const QColor of = chocolateColour(c ? c->base : "");
        shows->setText(
            of.lightnessF() < 0.6
                ? ColourPage::tr("On so dark a chocolate a colour hardly shows; take white.")
                : ColourPage::tr(
                      "Oil colour only; gel or water colour makes chocolate seize. Only what is sold for food."));
    };
    QObject::connect(base, &QComboBox::activated, page, [=](int i) {
        edit(ColourPage::tr("Change what a colour is mixed from"),
             [&](material::Colour& c) { c.base = ids[static_cast<size_t>(i)]; });
        tell();
    });
    row(ColourPage::tr("Mixed from"), base);
    auto* second = choiceBox(ColourPage::tr("Blended with"), QStringList{ColourPage::tr("nothing")} + names);
    second->setObjectName(QStringLiteral("colourSecond"));
    second->setCurrentIndex(
        now->second.empty() ? 0 : 1 + static_cast<int>(std::find(ids.begin(), ids.end(), now->second) - ids.begin()));
    row(ColourPage::tr("Blended with"), second);
    box->addWidget(shows);
    tell();
    auto* look = new QPushButton;
    look->setObjectName(QStringLiteral("colourLook"));
    look->setAccessibleName(ColourPage::tr("How it is drawn"));
    look->setFixedWidth(96);
    const auto paint = [=, &session] {
        const auto* c = colourIn(session.plan(), id);
        look->setText(c ? qstring(c->look) : QString());
        look->setStyleSheet(QStringLiteral("background: %1; color: %2;")
                                .arg(look->text(), QColor(look->text()).lightnessF() > 0.55
                                                       ? QStringLiteral("#2A1A12")
                                                       : QStringLiteral("#FFFFFF")));
    };
    QObject::connect(look, &QPushButton::clicked, page, [=, here = QPointer<QWidget>(look)] {
        const QColor picked =
            QColorDialog::getColor(QColor(look->text()), look->window(), ColourPage::tr("How the colour is drawn"));
        if (!here || !picked.isValid()) return;  // its page may have gone while it was asked
        edit(ColourPage::tr("Change how a colour is drawn"),
             [&](material::Colour& c) { c.look = picked.name().toUpper().toStdString(); });
        paint();
    });
    row(ColourPage::tr("Drawn as"), look);
    paint();
    const auto figure = [&](const QString& words, const char* place, Measure material::Colour::*member) {
        auto* f = new FigureField(words, QStringLiteral("colours/%1/%2").arg(qstring(id), QLatin1String(place)),
                                  session.typing(Dimension::Percent, "%", nullptr));
        f->setMeasure(now->*member, session.units());
        f->setProblem(session.problemAt(f->place().toStdString()));
        QObject::connect(f, &FigureField::measureTyped, page, [=, &session](const Measure& m) {
            edit(ColourPage::tr("Change %1").arg(words.toLower()), [&](material::Colour& c) { c.*member = m; });
            f->setProblem(session.problemAt(f->place().toStdString()));
        });
        row(words, f);
        return f;
    };
    auto* share = figure(ColourPage::tr("Share of the other chocolate"), "secondShare", &material::Colour::secondShare);
    share->setEnabled(!now->second.empty());
    auto* blended = wrapped({}, "small");
    blended->setObjectName(QStringLiteral("blendProblem"));
    const auto tellBlend = [=, &session] { blended->setText(session.problemAt("colours/" + id + "/second")); };
    QObject::connect(second, &QComboBox::activated, page, [=, &session](int i) {
        edit(ColourPage::tr("Change what a colour is blended with"),
             [&](material::Colour& c) { c.second = i == 0 ? std::string() : ids[static_cast<size_t>(i - 1)]; });
        share->setEnabled(i > 0);
        tellBlend();
    });
    tellBlend();
    box->addWidget(blended);
    figure(ColourPage::tr("Oil colour in the strong pot"), "strength", &material::Colour::strength);
    figure(ColourPage::tr("Let down with plain chocolate"), "letDown", &material::Colour::letDown);
    box->addWidget(wrapped(ColourPage::tr("0.3 to 1 % colour it; a pastel is a strong colour let down with white. A "
                                          "blend of two chocolates may have none: 0 %."),
                           "small"));
    auto* who = wrapped(ColourPage::tr("Pieces that take it, all from one pot so that they match"));
    who->setStyleSheet(QStringLiteral("font-weight: 600; margin-top: 6px;"));
    box->addWidget(who);
    for (const auto& p : session.plan().pieces) {
        auto* takes = new QCheckBox(qstring(p.name));
        takes->setObjectName(QStringLiteral("colourOf/") + qstring(p.id));
        takes->setChecked(p.chocolate == id);
        QObject::connect(takes, &QCheckBox::toggled, page, [&session, id, piece = p.id, was = p.chocolate](bool on) {
            session.document().edit(
                on ? ColourPage::tr("Colour a piece") : ColourPage::tr("Take the colour off a piece"), [&](Plan& plan) {
                    const auto* c = colourIn(plan, id);
                    for (auto& q : plan.pieces)
                        if (q.id == piece && c) q.chocolate = on ? id : was == id ? c->base : was;
                });
        });
        box->addWidget(takes);
    }
    auto* gone = new QPushButton(ColourPage::tr("Take this colour out of the plan"));
    gone->setObjectName(QStringLiteral("colourGone"));
    QObject::connect(gone, &QPushButton::clicked, page, [=, &session] {
        session.document().edit(ColourPage::tr("Take a colour out"), [&](Plan& plan) { removeColour(plan, id); });
        page->setEnabled(false);
    });
    box->addWidget(gone, 0, Qt::AlignLeft);
    box->addStretch(1);
    return page;
}

}  // namespace uovo::desktop
