#include "desktop/shape/topping_page.h"

#include <QCoreApplication>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QVBoxLayout>

#include "desktop/shell/figure_field.h"
#include "desktop/shell/sheet.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

class ToppingPage : public QWidget {
    Q_DECLARE_TR_FUNCTIONS(ToppingPage)

public:
    ToppingPage(Session& session, size_t step) : session_(session) {
        setObjectName(QStringLiteral("toppingPage"));
        auto* box = new QVBoxLayout(this);
        box->setContentsMargins(0, 6, 10, 6);
        box->setSpacing(8);
        const Piece* piece = session.piece();
        const auto* top = piece && step < piece->making.size() ? std::get_if<TopStep>(&piece->making[step]) : nullptr;
        const Topping* t = top ? session.plan().topping(top->topping) : nullptr;
        if (!t) {
            box->addWidget(wrapped(tr("There is no topping here.")));
            return;
        }
        id_ = t->id;
        const std::string owner = piece->id;
        words(tr("Called"), "toppingName", t->name, [](Topping& x, std::string now) {
            if (!now.empty()) x.name = std::move(now);
        });
        measure(tr("Size of a grain"), "grain", Dimension::Length, "mm", t->grain,
                [](Topping& x, const Measure& m) { x.grain = m; });
        box->addWidget(wrapped(tr("Measure one with a ruler, or ten in a row. Small grains stay on a fresh wall, large "
                                  "ones slide down: then they are strewn when it is tacky, or glued."),
                               "small"));
        measure(tr("Kilograms in a cubic metre of it"), "density", Dimension::Count, "", Measure(t->density),
                [](Topping& x, const Measure& m) { x.density = m.value; });
        box->addWidget(wrapped(tr("Puffed cereal 100, crumbs 500, nuts 1000, sugar pearls 1500."), "small"));
        words(tr("Allergens"), "toppingAllergens", t->allergens,
              [](Topping& x, std::string now) { x.allergens = std::move(now); });
        measure(tr("Price of a kilogram"), "price", Dimension::Count, "", Measure(t->price),
                [](Topping& x, const Measure& m) { x.price = m.value; });
        auto* another = new QPushButton(tr("Another topping"));
        another->setObjectName(QStringLiteral("anotherTopping"));
        QObject::connect(another, &QPushButton::clicked, this, [this, step, owner] {
            session_.document().edit(tr("Another topping"), [&](Plan& plan) {
                Topping fresh = *plan.topping(id_);
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
        });
        box->addWidget(another, 0, Qt::AlignLeft);
        box->addStretch(1);
    }

private:
    void edit(const QString& label, const std::function<void(Topping&)>& change) {
        session_.document().edit(label, [&](Plan& plan) {
            for (auto& t : plan.toppings)
                if (t.id == id_) change(t);
        });
    }
    void row(const QString& name, QWidget* right) {
        static_cast<QVBoxLayout*>(layout())->addLayout(namedRow(name, right));
    }
    void words(const QString& name, const char* object, const std::string& now,
               std::function<void(Topping&, std::string)> typed) {
        auto* e = new QLineEdit(qstring(now));
        e->setObjectName(QLatin1String(object));
        e->setAccessibleName(name);
        e->setMaxLength(80);
        QObject::connect(e, &QLineEdit::editingFinished, this, [this, e, name, typed = std::move(typed)] {
            const Topping* t = session_.plan().topping(id_);
            if (!t) return;
            Topping changed = *t;
            typed(changed, e->text().trimmed().toStdString());
            if (!(changed == *t)) edit(tr("Change %1").arg(name.toLower()), [&](Topping& x) { x = changed; });
        });
        row(name, e);
    }
    void measure(const QString& name, const char* place, Dimension dimension, const char* unit, const Measure& now,
                 std::function<void(Topping&, const Measure&)> typed) {
        auto* f = new FigureField(name, QStringLiteral("topping/") + QLatin1String(place),
                                  session_.typing(dimension, unit, nullptr));
        f->setMeasure(now, session_.units());
        const std::string at = "toppings/" + id_ + "/" + place;
        f->setProblem(session_.problemAt(at));
        QObject::connect(f, &FigureField::measureTyped, this,
                         [this, f, at, name, typed = std::move(typed)](const Measure& m) {
                             edit(tr("Change %1").arg(name.toLower()), [&](Topping& x) { typed(x, m); });
                             f->setProblem(session_.problemAt(at));
                         });
        row(name, f);
    }

    Session& session_;
    std::string id_;
};

}  // namespace

QWidget* toppingPage(Session& session, size_t step) { return new ToppingPage(session, step); }

}  // namespace uovo::desktop
