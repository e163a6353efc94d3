#include "desktop/shell/kitchen_page.h"

#include "core/document/limits.h"
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
        const auto multiple = [&](const QString& name, const char* place, double Kitchen::*member) {
            figure({name, QStringLiteral("kitchen/") + QLatin1String(place)},
                   session_.typing(Dimension::Percent, "%", nullptr), Measure(session_.plan().kitchen.*member),
                   [this, name, member](const Measure& m) {
                       session_.document().edit(tr("Change the kitchen: %1").arg(name),
                                                [&](Plan& p) { p.kitchen.*member = m.value; });
                   });
        };
        note(tr("Your log finds these two out; 100 % is as the book says."));
        multiple(tr("Cold that the fridge's air takes"), "fridgeAir", &Kitchen::fridgeAir);
        multiple(tr("Minutes that your hands take"), "pace", &Kitchen::pace);
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

    /// A clock time or nothing. @param at where of the plan's kitchen it stands
    WordsField* clock(const QString& name, const std::string& at, const std::string& now, const QString& none,
                      std::function<std::string*(Kitchen&)> member) {
        auto* field = words({name, QStringLiteral("kitchen/") + qstring(at)}, qstring(now),
                            [this, at, member](const QString& said) {
                                return session_.typed("kitchen/" + at, [&] {
                                    session_.document().edit(tr("Change the hours"), [&](Plan& p) {
                                        if (auto* hour = member(p.kitchen)) *hour = said.toStdString();
                                    });
                                });
                            });
        field->edit()->setPlaceholderText(none);
        field->setMaximumWidth(190);
        return field;
    }

    void hands() {
        heading(tr("Who works, and when"));
        const Kitchen& now = session_.plan().kitchen;
        clock(tr("You begin no sooner than"), "cook/from", now.cook.from, tr("whenever it is needed"),
              [](Kitchen& k) { return &k.cook.from; });
        clock(tr("You leave at"), "cook/until", now.cook.until, tr("when it is ready"),
              [](Kitchen& k) { return &k.cook.until; });
        const int helpers = static_cast<int>(now.helpers.size());
        auto* pairs = count({tr("Pairs of hands"), QStringLiteral("kitchen/hands")}, 1,
                            static_cast<int>(limits::kHelpers) + 1, helpers + 1, [this](int n) {
                                session_.document().edit(tr("Change the hands"), [&](Plan& p) {
                                    p.kitchen.helpers.resize(static_cast<size_t>(n - 1));
                                });
                            });
        for (size_t i = 0; i < limits::kHelpers; ++i) helper(i, i < now.helpers.size() ? now.helpers[i] : Worker{});
        showHelpers(helpers);
        connect(pairs, &FigureField::measureTyped, this,
                [this](const Measure& m) { showHelpers(static_cast<int>(m.value) - 1); });
    }

    /// Changes a helper, if they are still there: another plan has other hands.
    void edit(const QString& label, size_t i, const std::function<void(Worker&)>& change) {
        if (i >= session_.plan().kitchen.helpers.size()) return;
        session_.document().edit(label, [&](Plan& p) { change(p.kitchen.helpers[i]); });
    }

    void helper(size_t i, const Worker& now) {
        const std::string at = "helpers/" + std::to_string(i) + "/";
        const QString object = QStringLiteral("kitchen/") + qstring(at);
        const QString who = tr("Helper %1").arg(i + 1);
        auto* name = words({who + tr(" is called"), object + QStringLiteral("name")}, qstring(now.name),
                           [this, i](const QString& said) {
                               edit(tr("Name a helper"), i, [&](Worker& w) { w.name = said.toStdString(); });
                               return QString();
                           });
        name->edit()->setMaxLength(40);
        name->edit()->setPlaceholderText(tr("a helper"));
        const auto of = [i](std::string Worker::*hour) {
            return [=](Kitchen& k) { return i < k.helpers.size() ? &(k.helpers[i].*hour) : nullptr; };
        };
        auto* from = clock(who + tr(" comes at"), at + "from", now.from, tr("there all day"), of(&Worker::from));
        auto* until =
            clock(who + tr(" leaves at"), at + "until", now.until, tr("stays to the end"), of(&Worker::until));
        const auto may = [&](const QString& words, const char* key, bool is, bool Worker::*member) {
            auto* box = tick(words, object + QLatin1String(key), is, [this, i, member](bool on) {
                edit(tr("Change what a helper does"), i, [=](Worker& w) { w.*member = on; });
            });
            return box;
        };
        auto* hot = may(tr("%1 may work with warm chocolate").arg(who), "hot", now.hot, &Worker::hot);
        auto* knife = may(tr("%1 may use a knife").arg(who), "knife", now.knife, &Worker::knife);
        rows_.push_back({name, from, until, hot, knife});
    }

    void showHelpers(int many) {
        for (size_t i = 0; i < rows_.size(); ++i)
            for (QWidget* field : rows_[i])
                if (qobject_cast<QCheckBox*>(field)) field->setVisible(static_cast<int>(i) < many);
                else showRow(field, static_cast<int>(i) < many);
    }

    std::vector<std::vector<QWidget*>> rows_;  // of each helper

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
                                                [&](Plan& p) { p.own[id].say(key, m.value); });
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
