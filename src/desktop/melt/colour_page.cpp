#include "desktop/melt/colour_page.h"

#include <QColorDialog>
#include <QCoreApplication>
#include <QPointer>
#include <algorithm>

#include "core/document/edits.h"
#include "desktop/kit/page.h"
#include "desktop/theme/theme.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

constexpr const char* kLooks[]{"#5B7FB0", "#B0533F", "#6E8F4E",
                               "#D9A23A", "#8A5E94", "#3F8588"};  // of new colours, in turn

struct ColourWords {
    Q_DECLARE_TR_FUNCTIONS(ColourWords)
};

const material::Colour* colourIn(const Plan& plan, const std::string& id) {
    for (const auto& c : plan.colours)
        if (c.id == id) return &c;
    return nullptr;
}

class ColourPage : public Page {
    Q_DECLARE_TR_FUNCTIONS(ColourPage)

public:
    ColourPage(Session& session, std::string id) : Page(session, "colourPage"), id_(std::move(id)) {
        const material::Colour* now = colour();
        if (!now) {
            note(tr("This colour is not in the plan any more."), "");
            return;
        }
        words({tr("Name"), QStringLiteral("colourName")}, qstring(now->name),
              [this](const QString& said) {
                  if (!said.isEmpty())
                      edit(tr("Rename a colour"), [&](material::Colour& c) { c.name = said.toStdString(); });
                  return QString();
              })
            ->edit()
            ->setMaxLength(40);
        mixed(*now);
        look();
        shares(*now);
        takers();
        button(tr("Take this colour out of the plan"), QStringLiteral("colourGone"), [this] {
            session_.document().edit(tr("Take a colour out"), [&](Plan& plan) { removeColour(plan, id_); });
            setEnabled(false);
        });
        end();
    }

private:
    const material::Colour* colour() const { return colourIn(session_.plan(), id_); }
    void edit(const QString& label, const std::function<void(material::Colour&)>& change) {
        session_.document().edit(label, [&](Plan& p) {
            for (auto& c : p.colours)
                if (c.id == id_) change(c);
        });
    }

    void mixed(const material::Colour& now) {
        QStringList names;
        for (const auto& c : session_.library().chocolates)
            if (c.base.empty()) {
                names << qstring(c.name);
                ids_.push_back(c.id);
            }
        const auto at = [&](const std::string& id) {
            return static_cast<int>(std::find(ids_.begin(), ids_.end(), id) - ids_.begin());
        };
        choice({tr("Mixed from"), QStringLiteral("colourBase")}, names, at(now.base), [this](int i) {
            edit(tr("Change what a colour is mixed from"),
                 [&](material::Colour& c) { c.base = ids_[static_cast<size_t>(i)]; });
            tellHowItShows();
        });
        second_ = choice({tr("Blended with"), QStringLiteral("colourSecond")}, QStringList{tr("nothing")} + names,
                         now.second.empty() ? 0 : 1 + at(now.second), {});
        shows_ = wrapped({}, "small");
        box_->addWidget(shows_);
        tellHowItShows();
    }
    void tellHowItShows() {
        const auto* c = colour();
        shows_->setText(chocolateColour(c ? c->base : "").lightnessF() < 0.6
                            ? tr("On so dark a chocolate a colour hardly shows; take white.")
                            : tr("Oil colour only; gel or water colour makes chocolate seize. Only what is sold for "
                                 "food."));
    }

    void look() {
        look_ = new QPushButton;
        look_->setObjectName(QStringLiteral("colourLook"));
        look_->setAccessibleName(tr("How it is drawn"));
        look_->setFixedWidth(96);
        connect(look_, &QPushButton::clicked, this, [this, here = QPointer<QWidget>(look_)] {
            const QColor picked =
                QColorDialog::getColor(QColor(look_->text()), look_->window(), tr("How the colour is drawn"));
            if (!here || !picked.isValid()) return;  // its page may have gone while it was asked
            edit(tr("Change how a colour is drawn"),
                 [&](material::Colour& c) { c.look = picked.name().toUpper().toStdString(); });
            paintLook();
        });
        row(tr("Drawn as"), look_);
        paintLook();
    }
    void paintLook() {
        const auto* c = colour();
        look_->setText(c ? qstring(c->look) : QString());
        const bool light = QColor(look_->text()).lightnessF() > 0.55;
        look_->setStyleSheet(QStringLiteral("background: %1; color: %2;")
                                 .arg(look_->text(), light ? QStringLiteral("#2A1A12") : QStringLiteral("#FFFFFF")));
    }

    FigureField* share(const QString& name, const char* place, Measure material::Colour::*member) {
        return figure({name, QStringLiteral("colours/%1/%2").arg(qstring(id_), QLatin1String(place))},
                      session_.typing(Dimension::Percent, "%", nullptr), colour()->*member,
                      [this, name, member](const Measure& m) {
                          edit(tr("Change %1").arg(name.toLower()), [&](material::Colour& c) { c.*member = m; });
                      });
    }
    void shares(const material::Colour& now) {
        auto* other = share(tr("Share of the other chocolate"), "secondShare", &material::Colour::secondShare);
        other->setEnabled(!now.second.empty());
        auto* blended = wrapped({}, "small");
        blended->setObjectName(QStringLiteral("blendProblem"));
        box_->addWidget(blended);
        const auto tell = [this, blended] { blended->setText(session_.problemAt("colours/" + id_ + "/second")); };
        tell();
        connect(second_, &QComboBox::activated, this, [this, other, tell](int i) {
            edit(tr("Change what a colour is blended with"),
                 [&](material::Colour& c) { c.second = i == 0 ? std::string() : ids_[static_cast<size_t>(i - 1)]; });
            other->setEnabled(i > 0);
            tell();
        });
        share(tr("Oil colour in the strong pot"), "strength", &material::Colour::strength);
        share(tr("Let down with plain chocolate"), "letDown", &material::Colour::letDown);
        note(
            tr("0.3 to 1 % colour it; a pastel is a strong colour let down with white. A blend of two chocolates may "
               "have none: 0 %."));
        heading(tr("Flavour"));
        words({tr("Flavour oil"), QStringLiteral("colourFlavourName")}, qstring(now.flavourName),
              [this](const QString& said) {
                  edit(tr("Name a flavour"), [&](material::Colour& c) { c.flavourName = said.toStdString(); });
                  return QString();
              })
            ->edit()
            ->setMaxLength(40);
        share(tr("Flavour oil in the pot"), "flavour", &material::Colour::flavour);
        note(
            tr("0.05 to 0.5 %, by how strong the oil is: its label says. Drops are counted for the pot on its card. A "
               "pot that is only flavoured has no colour: 0 %."));
    }

    void takers() {
        heading(tr("Pieces that take it, all from one pot so that they match"));
        for (const auto& p : session_.plan().pieces)
            tick(qstring(p.name), QStringLiteral("colourOf/") + qstring(p.id), p.chocolate == id_,
                 [this, piece = p.id, was = p.chocolate](bool on) {
                     session_.document().edit(on ? tr("Colour a piece") : tr("Take the colour off a piece"),
                                              [&](Plan& plan) {
                                                  const auto* c = colourIn(plan, id_);
                                                  for (auto& q : plan.pieces)
                                                      if (q.id == piece && c)
                                                          q.chocolate = on ? id_ : was == id_ ? c->base : was;
                                              });
                 });
    }

    std::string id_;
    std::vector<std::string> ids_;  // of the chocolates it can be mixed from
    QComboBox* second_ = nullptr;
    QLabel* shows_ = nullptr;
    QPushButton* look_ = nullptr;
};

}  // namespace

std::string addColour(Session& session, const std::string& base) {
    material::Colour c;
    c.base = base;
    c.look = kLooks[session.plan().colours.size() % std::size(kLooks)];
    for (int n = 1;; ++n) {
        c.id = "colour-" + std::to_string(n);
        c.name = ColourWords::tr("Colour %1").arg(n).toStdString();
        if (!colourIn(session.plan(), c.id)) break;
    }
    session.document().edit(ColourWords::tr("Add a colour"), [&](Plan& p) { p.colours.push_back(c); });
    return c.id;
}

QWidget* colourPage(Session& session, const std::string& id) { return new ColourPage(session, id); }

}  // namespace uovo::desktop
