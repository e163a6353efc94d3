#include "desktop/shape/topping_page.h"

#include "desktop/kit/page.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

class ToppingPage : public Page {
    Q_DECLARE_TR_FUNCTIONS(ToppingPage)

public:
    ToppingPage(Session& session, size_t step) : Page(session, "toppingPage") {
        const Piece* piece = session.piece();
        const auto* top = piece && step < piece->making.size() ? std::get_if<TopStep>(&piece->making[step]) : nullptr;
        const Topping* t = top ? session.plan().topping(top->topping) : nullptr;
        if (!t) {
            note(tr("There is no topping here."), "");
            return;
        }
        id_ = t->id;
        told(tr("Called"), "toppingName", t->name, [](Topping& x, std::string now) {
            if (!now.empty()) x.name = std::move(now);
        });
        measure(tr("Size of a grain"), "grain", Dimension::Length, "mm", t->grain,
                [](Topping& x, const Measure& m) { x.grain = m; });
        note(
            tr("Measure one with a ruler, or ten in a row. Small grains stay on a fresh wall, large ones slide down: "
               "then they are strewn when it is tacky, or glued."));
        measure(tr("Kilograms in a cubic metre of it"), "density", Dimension::Count, "", Measure(t->density),
                [](Topping& x, const Measure& m) { x.density = m.value; });
        note(tr("Puffed cereal 100, crumbs 500, nuts 1000, sugar pearls 1500."));
        told(tr("Allergens"), "toppingAllergens", t->allergens,
             [](Topping& x, std::string now) { x.allergens = std::move(now); });
        measure(tr("Price of a kilogram"), "price", Dimension::Count, "", Measure(t->price),
                [](Topping& x, const Measure& m) { x.price = m.value; });
        button(tr("Another topping"), QStringLiteral("anotherTopping"),
               [this, step, owner = piece->id] { another(step, owner); });
        end();
    }

private:
    void edit(const QString& label, const std::function<void(Topping&)>& change) {
        session_.document().edit(label, [&](Plan& plan) {
            for (auto& t : plan.toppings)
                if (t.id == id_) change(t);
        });
    }
    void told(const QString& name, const char* object, const std::string& now,
              std::function<void(Topping&, std::string)> change) {
        words({name, QLatin1String(object)}, qstring(now),
              [this, name, change = std::move(change)](const QString& said) {
                  if (const Topping* t = session_.plan().topping(id_)) {
                      Topping changed = *t;
                      change(changed, said.toStdString());
                      if (!(changed == *t)) edit(tr("Change %1").arg(name.toLower()), [&](Topping& x) { x = changed; });
                  }
                  return QString();
              })
            ->edit()
            ->setMaxLength(80);
    }
    void measure(const QString& name, const char* place, Dimension dimension, const char* unit, const Measure& now,
                 std::function<void(Topping&, const Measure&)> typed) {
        TypingContext typing = session_.typing(dimension, unit, nullptr);
        typing.fractions = true;
        figure({name, QStringLiteral("topping/") + QLatin1String(place), "toppings/" + id_ + "/" + place}, typing, now,
               [this, name, typed = std::move(typed)](const Measure& m) {
                   edit(tr("Change %1").arg(name.toLower()), [&](Topping& x) { typed(x, m); });
               });
    }
    /// A topping of the step's own, beginning as the one it had.
    void another(size_t step, const std::string& owner) {
        session_.document().edit(tr("Another topping"), [&](Plan& plan) {
            const Topping* now = plan.topping(id_);
            if (!now) return;
            Topping fresh = *now;
            for (int k = 2;
                 plan.topping(fresh.id) || std::any_of(plan.toppings.begin(), plan.toppings.end(),
                                                       [&](const Topping& o) { return o.name == fresh.name; });
                 ++k) {
                fresh.id = "topping-" + std::to_string(k);
                fresh.name = tr("Topping %1").arg(k).toStdString();
            }
            fresh.extra.clear();
            for (auto& p : plan.pieces)
                if (p.id == owner && step < p.making.size())
                    if (auto* s = std::get_if<TopStep>(&p.making[step])) s->topping = fresh.id;
            plan.toppings.push_back(std::move(fresh));
        });
        window()->setFocus();
        setEnabled(false);
    }

    std::string id_;
};

}  // namespace

QWidget* toppingPage(Session& session, size_t step) { return new ToppingPage(session, step); }

}  // namespace uovo::desktop
