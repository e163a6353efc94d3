#include "desktop/shell/kitchen_page.h"

#include "desktop/kit/page.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

class KitchenPage : public Page {
    Q_DECLARE_TR_FUNCTIONS(KitchenPage)

public:
    explicit KitchenPage(Session& session) : Page(session, "kitchenPage") {
        air();
        hands();
        if (const Piece* piece = session.piece())
            if (const auto* chocolate = session.library().find(piece->chocolate)) own(*chocolate);
        note(tr("Numbers take any unit: 68 °F, 18 in, 46 cm."));
        end();
    }

private:
    void kitchenFigure(const QString& name, const char* place, Dimension dimension, const char* unit,
                       Measure Kitchen::*member) {
        figure({name, QStringLiteral("kitchen/") + QLatin1String(place)}, session_.typing(dimension, unit, nullptr),
               session_.plan().kitchen.*member, [this, name, member](const Measure& m) {
                   session_.document().edit(tr("Change the kitchen: %1").arg(name),
                                            [&](Plan& p) { p.kitchen.*member = m; });
               });
    }

    void air() {
        kitchenFigure(tr("Room"), "room", Dimension::Temperature, "", &Kitchen::room);
        kitchenFigure(tr("Humidity"), "humidity", Dimension::Percent, "%", &Kitchen::humidity);
        kitchenFigure(tr("Fridge"), "fridge", Dimension::Temperature, "", &Kitchen::fridge);
        kitchenFigure(tr("Freezer"), "freezer", Dimension::Temperature, "", &Kitchen::freezer);
        heading(tr("One free shelf in the fridge"));
        kitchenFigure(tr("Width"), "shelfWidth", Dimension::Length, "cm", &Kitchen::shelfWidth);
        kitchenFigure(tr("Depth"), "shelfDepth", Dimension::Length, "cm", &Kitchen::shelfDepth);
        kitchenFigure(tr("Height"), "shelfHeight", Dimension::Length, "cm", &Kitchen::shelfHeight);
        count({tr("Free shelves in the fridge"), QStringLiteral("kitchen/shelves")}, 1, 8,
              session_.plan().kitchen.shelves, [this](int n) {
                  session_.document().edit(tr("Change the shelves"), [&](Plan& p) { p.kitchen.shelves = n; });
              });
        heading(tr("Room in the freezer"));
        kitchenFigure(tr("Width of the freezer"), "freezerWidth", Dimension::Length, "cm", &Kitchen::freezerWidth);
        kitchenFigure(tr("Depth of the freezer"), "freezerDepth", Dimension::Length, "cm", &Kitchen::freezerDepth);
        kitchenFigure(tr("Height of the freezer"), "freezerHeight", Dimension::Length, "cm", &Kitchen::freezerHeight);
        heading(tr("What pieces go into"));
        note(tr("A box of 0 is none: the answers then say which one a piece needs."));
        kitchenFigure(tr("Length of the box inside"), "boxLength", Dimension::Length, "cm", &Kitchen::boxLength);
        kitchenFigure(tr("Width of the box inside"), "boxWidth", Dimension::Length, "cm", &Kitchen::boxWidth);
        kitchenFigure(tr("Height of the box inside"), "boxHeight", Dimension::Length, "cm", &Kitchen::boxHeight);
        kitchenFigure(tr("Plate, its flat"), "plate", Dimension::Length, "cm", &Kitchen::plate);
        kitchenFigure(tr("Mug across inside"), "mug", Dimension::Length, "cm", &Kitchen::mug);
        kitchenFigure(tr("Depth of the mug"), "mugDepth", Dimension::Length, "cm", &Kitchen::mugDepth);
    }

    void hands() {
        heading(tr("Hands"));
        const Kitchen& now = session_.plan().kitchen;
        auto* pairs = count({tr("Pairs of hands"), QStringLiteral("kitchen/hands")}, 1, 8, now.hands, [this](int n) {
            session_.document().edit(tr("Change the hands"), [&](Plan& p) { p.kitchen.hands = n; });
        });
        auto* from = words({tr("Helpers come at"), QStringLiteral("kitchen/helpersFrom")}, qstring(now.helpersFrom),
                           [this](const QString& said) {
                               return session_.typed("kitchen/helpersFrom", [&] {
                                   session_.document().edit(tr("Change when helpers come"), [&](Plan& p) {
                                       p.kitchen.helpersFrom = said.toStdString();
                                   });
                               });
                           });
        from->edit()->setPlaceholderText(tr("there all day"));
        from->setMaximumWidth(190);
        from->setEnabled(now.hands > 1);
        connect(pairs, &FigureField::measureTyped, from, [from](const Measure& m) { from->setEnabled(m.value > 1); });
    }

    void own(const material::Chocolate& chocolate) {
        heading(tr("Figures of your own chocolate"));
        note(qstring(chocolate.name));
        const auto one = [&](const QString& name, const char* key, Dimension dimension, const char* unit) {
            Measure now(chocolate.at(key).value);
            if (const auto it = session_.plan().own.find(chocolate.id); it != session_.plan().own.end())
                if (const auto v = it->second.values.find(key); v != it->second.values.end()) now = Measure(v->second);
            figure({name, QStringLiteral("own/%1/%2").arg(qstring(chocolate.id), QLatin1String(key))},
                   session_.typing(dimension, unit, nullptr), now,
                   [this, id = chocolate.id, key = std::string(key)](const Measure& m) {
                       session_.document().edit(tr("Change a chocolate"),
                                                [&](Plan& p) { p.own[id].values[key] = m.value; });
                   });
        };
        one(tr("Label: work from"), "workLow", Dimension::Temperature, "");
        one(tr("Label: work up to"), "workHigh", Dimension::Temperature, "");
        one(tr("Cocoa butter and fat that sets"), "fatShare", Dimension::Percent, "%");
    }
};

}  // namespace

QWidget* kitchenPage(Session& session) { return new KitchenPage(session); }

}  // namespace uovo::desktop
