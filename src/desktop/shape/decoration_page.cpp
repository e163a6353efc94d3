#include "desktop/shape/decoration_page.h"

#include "core/stages/stencil.h"
#include "core/words/words.h"
#include "desktop/kit/page.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

class DecorationPage : public Page {
    Q_DECLARE_TR_FUNCTIONS(DecorationPage)

public:
    DecorationPage(Session& session, size_t step)
        : Page(session, "decorationPage"), step_(step), id_(session.piece() ? session.piece()->id : "") {
        const DecorateStep* d = decoration();
        if (!d) {
            note(tr("There is no decoration here."), "");
            return;
        }
        const DecorUse uses = usesOf(d->way);
        said_ = wrapped({}, "");
        said_->setObjectName(QStringLiteral("decorationSaid"));
        box_->addWidget(said_);
        using Way = DecorateStep::Way;
        weighed_ = uses.mass
                       ? measure(tr("Grams on each, as weighed"), "mass", Dimension::Mass, "", &DecorateStep::mass)
                       : nullptr;
        count_ = button(tr("Count it from its size"), QStringLiteral("decorationCount"), [this] {
            edit(tr("Count a decoration from its size"), [](DecorateStep& s) { s.mass = Measure(0); });
        });
        weigh_ = button(tr("Say what you weighed"), QStringLiteral("decorationWeigh"), [this] {
            const auto known = session_.pieceAnswers(id_);
            const auto* done = known ? known->decoration(step_) : nullptr;
            const double kg = done && done->mass > 0 ? done->mass : 0.003;
            edit(tr("Say what a decoration weighs"), [kg](DecorateStep& s) { s.mass = Measure(kg); });
        });
        if (d->way == Way::Stencil) {
            QStringList figures;
            for (const auto& s : form::silhouettes()) figures << qtr(s.c_str());
            const auto now = std::ranges::find(form::silhouettes(), stencilFigure(*d)) - form::silhouettes().begin();
            choice({tr("What it shows"), QStringLiteral("decorationFigure")}, figures, static_cast<int>(now),
                   [this](int i) {
                       edit(tr("Change what a stencil shows"),
                            [i](DecorateStep& s) { s.name = form::silhouettes()[static_cast<size_t>(i)]; });
                   });
            note(tr("Its strip is printed with the templates, at true scale."));
        }
        if (uses.line)
            line_ = measure(d->way == Way::Strips ? tr("Strips on one piece, end to end") : tr("Line on one piece"),
                            "line", Dimension::Length, "cm", &DecorateStep::line);
        if (uses.width)
            measure(d->way == Way::Edge     ? tr("Height of the edge")
                    : d->way == Way::Petals ? tr("Width of a petal")
                    : d->way == Way::Bow    ? tr("Width of its band")
                    : d->way == Way::Strips ? tr("Width of a strip")
                                            : tr("Width of the line"),
                    "width", Dimension::Length, "mm", &DecorateStep::width);
        if (uses.thick)
            measure(d->way == Way::Scrape  ? tr("Scraped, deep")
                    : d->way == Way::Flood ? tr("Filled, thick")
                                           : tr("Thick"),
                    "thick", Dimension::Length, "mm", &DecorateStep::thick);
        if (uses.cover)
            cover_ = figure(spot(tr("Share of the face"), "cover"), session_.typing(Dimension::Percent, "", nullptr),
                            Measure(d->cover), [this](const Measure& m) {
                                edit(tr("Change how much is covered"), [&](DecorateStep& s) { s.cover = m.value; });
                            });
        if (uses.times)
            count(spot(d->way == Way::Petals ? tr("Petals on each")
                       : d->way == Way::Bow  ? tr("Bows on each")
                                             : tr("Layers"),
                       "times"),
                  1, 200, d->times,
                  [this](int n) { edit(tr("Change how often"), [n](DecorateStep& s) { s.times = n; }); });
        if (uses.every) {
            measure(tr("Round the rim, one every"), "every", Dimension::Length, "mm", &DecorateStep::every);
            note(tr("0: as it comes. Uovo fits a whole number of them and prints a ring with their places."));
        }
        measure(tr("Dry after"), "dry", Dimension::Duration, "min", &DecorateStep::dry);
        for (const auto& words : cautionTexts(decorCautions(d->way), session.library())) note(qstring(words));
        end();
        connect(&session, &Session::answersChanged, this, &DecorationPage::refresh);
        refresh();
    }

private:
    const DecorateStep* decoration() const {
        const Piece* p = session_.plan().piece(id_);
        return p && step_ < p->making.size() ? std::get_if<DecorateStep>(&p->making[step_]) : nullptr;
    }
    Spot spot(const QString& name, const char* field) const {
        const std::string at = fmt::format("making/{}/{}", step_, field);
        return {name, QStringLiteral("decoration/") + QLatin1String(field), "pieces/" + id_ + "/" + at};
    }
    void edit(const QString& label, const std::function<void(DecorateStep&)>& change) {
        session_.document().edit(label, [&](Plan& plan) {
            for (auto& p : plan.pieces)
                if (p.id == id_ && step_ < p.making.size())
                    if (auto* d = std::get_if<DecorateStep>(&p.making[step_])) change(*d);
        });
    }
    FigureField* measure(const QString& name, const char* field, Dimension dimension, const char* unit,
                         Measure DecorateStep::*member) {
        return figure(spot(name, field), session_.typing(dimension, unit, nullptr), decoration()->*member,
                      [this, name, member](const Measure& m) {
                          edit(tr("Change %1").arg(name.toLower()), [&](DecorateStep& s) { s.*member = m; });
                      });
    }
    void refresh() {
        const auto known = session_.pieceAnswers(id_);
        QString words;
        if (known)
            for (const auto& a : known->answers)
                if (a.id == fmt::format("decoration/{}", step_))
                    words = qstring(a.headline + " " + a.after + ". " + a.sentence);
        said_->setText(words);
        said_->setVisible(!words.isEmpty());
        const DecorateStep* d = decoration();
        if (!d) return;
        // grams that were weighed say how much there is: what they would be counted from is not asked then
        const bool weighs = usesOf(d->way).mass, typed = weighs && d->mass.value > 0;
        const bool spreads = d->way != DecorateStep::Way::Paste && d->way != DecorateStep::Way::Flood;
        if (weighed_) {
            showRow(weighed_, typed);
            weighed_->setMeasure(d->mass, session_.units());
        }
        if (line_ && d->way != DecorateStep::Way::Flood) showRow(line_, !typed);
        if (cover_ && spreads) showRow(cover_, !typed);
        count_->setVisible(typed);
        weigh_->setVisible(weighs && !typed);
    }

    size_t step_;
    std::string id_;
    QLabel* said_ = nullptr;
    FigureField *weighed_ = nullptr, *line_ = nullptr, *cover_ = nullptr;
    QPushButton *count_ = nullptr, *weigh_ = nullptr;
};

}  // namespace

QWidget* decorationPage(Session& session, size_t step) { return new DecorationPage(session, step); }

}  // namespace uovo::desktop
