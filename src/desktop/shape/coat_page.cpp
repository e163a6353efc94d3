#include "desktop/shape/coat_page.h"

#include <QCheckBox>
#include <QComboBox>
#include <QCoreApplication>
#include <QHBoxLayout>
#include <QLabel>
#include <QPushButton>
#include <QVBoxLayout>

#include "desktop/shape/recipe_line.h"
#include "desktop/shell/figure_field.h"
#include "desktop/shell/sheet.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

struct CoatPage {
    Q_DECLARE_TR_FUNCTIONS(CoatPage)
};

constexpr coat::Motion kMotions[]{coat::Motion::Still, coat::Motion::Spin, coat::Motion::Over, coat::Motion::Side};

QString chocolateName(const Session& session, const std::string& id) {
    const auto* c = session.library().find(id);
    return c ? qstring(c->name) : qstring(id);
}

}  // namespace

QString motionWords(coat::Motion motion) {
    switch (motion) {
        case coat::Motion::Still:
            return CoatPage::tr("left as it rests");
        case coat::Motion::Spin:
            return CoatPage::tr("spun by hand, every way");
        case coat::Motion::Over:
            return CoatPage::tr("rolled round, set on another side, again and again");
        case coat::Motion::Side:
            return CoatPage::tr("laid on its side");
    }
    return {};
}

QString coatExtras(const PlannedCoat& c, const Piece& piece, UnitSystem units) {
    QStringList words;
    const auto time = [&](const Measure& m) { return qstring(format(m.value, Dimension::Duration, units)); };
    if (piece.chocolateOf(c) != piece.chocolate) words << qstring(c.chocolate);
    if (c.motion == coat::Motion::Spin) words << CoatPage::tr("spun %1").arg(time(c.moveFor));
    if (c.motion == coat::Motion::Over)
        words << CoatPage::tr("rolled round and turned every %1 for %2").arg(time(c.moveEvery), time(c.moveFor));
    if (c.motion == coat::Motion::Side) words << CoatPage::tr("on its side %1").arg(time(c.moveFor));
    if (c.tap.value > 0) words << CoatPage::tr("tapped %1").arg(time(c.tap));
    if (c.scrape) words << CoatPage::tr("rim scraped");
    return words.join(QStringLiteral(" · "));
}

QWidget* coatPage(Session& session, size_t index) {
    auto* page = new QWidget;
    page->setObjectName(QStringLiteral("coatPage"));
    auto* box = new QVBoxLayout(page);
    box->setContentsMargins(0, 6, 10, 6);
    box->setSpacing(8);
    const Piece* piece = session.piece();
    if (!piece || index >= piece->coats().size()) return page;
    const PlannedCoat coat = piece->coats()[index];
    const QString id = qstring(piece->id);
    const auto change = [&session, id, index](const QString& label, const std::function<void(PlannedCoat&)>& edit) {
        if (!session.piece() || qstring(session.piece()->id) != id || index >= session.piece()->coats().size()) return;
        session.editPiece(label, [&](Piece& p) { edit(p.coats()[index]); });
    };
    const auto row = [&](const QString& name, QWidget* right) {
        auto* line = namedRow(name, right);
        auto* whole = new QWidget;
        line->setContentsMargins(0, 0, 0, 0);
        whole->setLayout(line);
        box->addWidget(whole);
        return whole;
    };
    const auto figure = [&](const QString& name, const char* place, Dimension dimension, const char* unit,
                            Measure PlannedCoat::*member) {
        auto* f = new FigureField(name, QString::fromLatin1(place), session.typing(dimension, unit, piece));
        f->setMeasure(coat.*member, session.units());
        const std::string at = "pieces/" + piece->id + "/coats/" + std::to_string(index) + "/" + place;
        f->setProblem(session.problemAt(at));
        QObject::connect(f, &FigureField::measureTyped, page, [=, &session](const Measure& m) {
            change(CoatPage::tr("Change %1").arg(name.toLower()), [&](PlannedCoat& c) { c.*member = m; });
            f->setProblem(session.problemAt(at));
        });
        return row(name, f);
    };

    QStringList names{CoatPage::tr("as the piece")};
    std::vector<std::string> ids{""};
    for (const auto& c : session.library().chocolates) {
        names << chocolateName(session, c.id);
        ids.push_back(c.id);
    }
    auto* chocolate = choiceBox(CoatPage::tr("Chocolate of this coat"), names);
    chocolate->setObjectName(QStringLiteral("coatChocolate"));
    chocolate->setCurrentIndex(
        static_cast<int>((std::find(ids.begin(), ids.end(), coat.chocolate) - ids.begin()) % names.size()));
    QObject::connect(chocolate, &QComboBox::activated, page, [=, &session](int i) {
        change(CoatPage::tr("Change the chocolate of a coat"), [&](PlannedCoat& c) {
            c.chocolate = ids[static_cast<size_t>(i)];
            Piece own = *session.piece();  // another chocolate is worked at another temperature
            if (const auto coating = coatingOf(own, c.chocolate, session.plan(), session.library()))
                c.temperature = Measure(0.5 * std::round(2 * coating->working()));
        });
    });
    row(CoatPage::tr("Chocolate"), chocolate);
    box->addWidget(wrapped(CoatPage::tr("A coat of another chocolate takes its working temperature. Layers lie apart: "
                                        "where the upper one is scraped or shaved, the lower one shows."),
                           "small"));

    const bool turned = coat.way == coat::Way::Turn;
    if (turned) figure(CoatPage::tr("Share of the mold filled"), "fill", Dimension::Percent, "%", &PlannedCoat::fill);
    if (coat.way != coat::Way::Brush && coat.way != coat::Way::Press) {
        QStringList motions;
        for (const auto m : kMotions)
            if (!(turned && m == coat::Motion::Still)) motions << motionWords(m);
        auto* motion = choiceBox(CoatPage::tr("While it flows"), motions);
        motion->setObjectName(QStringLiteral("coatMotion"));
        const int first = turned ? 1 : 0;
        motion->setCurrentIndex(
            std::max(0, static_cast<int>(std::find(kMotions, kMotions + 4, coat.motion) - kMotions) - first));
        row(CoatPage::tr("While it flows"), motion);
        auto* lasts = figure(CoatPage::tr("For"), "moveFor", Dimension::Duration, "min", &PlannedCoat::moveFor);
        auto* every =
            figure(CoatPage::tr("Turned every"), "moveEvery", Dimension::Duration, "s", &PlannedCoat::moveEvery);
        auto* where = choiceBox(CoatPage::tr("Where it is moved about"), everyPlace());
        where->setObjectName(QStringLiteral("coatMoveIn"));
        where->setCurrentIndex(static_cast<int>(coat.moveIn));
        QObject::connect(where, &QComboBox::activated, page, [=](int i) {
            change(CoatPage::tr("Change where it is moved about"),
                   [&](PlannedCoat& c) { c.moveIn = static_cast<coat::Place>(i); });
        });
        auto* whereRow = row(CoatPage::tr("Moved about"), where);
        const auto shown = [=](coat::Motion m) {
            lasts->setVisible(m != coat::Motion::Still);
            whereRow->setVisible(m != coat::Motion::Still);
            every->setVisible(m == coat::Motion::Over);
        };
        shown(turned && coat.motion == coat::Motion::Still ? coat::Motion::Spin : coat.motion);
        QObject::connect(motion, &QComboBox::activated, page, [=](int i) {
            const coat::Motion m = kMotions[i + first];
            shown(m);
            change(CoatPage::tr("Change how it is moved"), [&](PlannedCoat& c) { c.motion = m; });
        });
        figure(CoatPage::tr("Tapped on the table for"), "tap", Dimension::Duration, "s", &PlannedCoat::tap);
        auto* scrape = new QCheckBox(CoatPage::tr("Scrape the rim before it rests"));
        scrape->setObjectName(QStringLiteral("coatScrape"));
        scrape->setChecked(coat.scrape);
        QObject::connect(scrape, &QCheckBox::toggled, page, [=](bool on) {
            change(on ? CoatPage::tr("Scrape the rim") : CoatPage::tr("Do not scrape the rim"),
                   [&](PlannedCoat& c) { c.scrape = on; });
        });
        box->addWidget(scrape);
        box->addWidget(wrapped(CoatPage::tr("A piece that is moved, tapped or scraped is computed on its own "
                                            "triangles; its range is judged, not run."),
                               "small"));
    } else if (coat.where == coat::Where::Spots) {
        box->addWidget(wrapped(CoatPage::tr("%n stroke(s) painted on the stage. The grams are shared among them.",
                                            nullptr, static_cast<int>(coat.spots.size()))));
        auto* wipe = new QPushButton(CoatPage::tr("Wipe all strokes off"));
        wipe->setObjectName(QStringLiteral("coatWipe"));
        QObject::connect(wipe, &QPushButton::clicked, page, [=] {
            change(CoatPage::tr("Wipe the strokes off"), [&](PlannedCoat& c) { c.spots.clear(); });
        });
        box->addWidget(wipe);
    }
    box->addStretch(1);
    return page;
}

}  // namespace uovo::desktop
