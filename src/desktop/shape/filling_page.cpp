#include "desktop/shape/filling_page.h"

#include <QCoreApplication>
#include <QGridLayout>
#include <QLabel>
#include <QPushButton>
#include <algorithm>
#include <cmath>

#include "core/begin/first_plan.h"
#include "core/document/amount.h"
#include "core/quantity/decimal.h"
#include "core/stages/shopping.h"
#include "desktop/kit/page.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

constexpr double kShares[]{0, 0.75, 1};

class FillingPage : public Page {
    Q_DECLARE_TR_FUNCTIONS(FillingPage)

public:
    FillingPage(Session& session, std::optional<size_t> step)
        : Page(session, "fillingPage"), id_(session.piece() ? session.piece()->id : "") {
        const Piece* piece = session.piece();
        for (size_t i = 0; piece && i < piece->making.size(); ++i)
            if (std::holds_alternative<FillStep>(piece->making[i]) && (!step || *step == i)) {
                at_ = i;
                break;
            }
        const FillStep* s = fill();
        const Filling* f = filling();
        if (!s || !f) {
            note(tr("This piece has no filling."), "");
            return;
        }
        filling_ = f->id;
        first_ = s == piece->fill();
        named(*f);
        kinds(*f);
        amounts(*s);
        weight();
        figure(tr("Making it takes"), "make", Dimension::Duration, "min", &Filling::make);
        figure(tr("Good from, after it is made"), "usableFrom", Dimension::Duration, "min", &Filling::usableFrom);
        figure(tr("Good until"), "usableTo", Dimension::Duration, "min", &Filling::usableTo);
        check(tr("It does not keep: cold, and only a short time out"), "fillingPerishable", &Filling::perishable);
        check(tr("Raw egg is in it"), "fillingEgg", &Filling::egg);
        check(tr("Alcohol is in it"), "fillingAlcohol", &Filling::alcohol);
        recipe();
        end();
        QObject::connect(&session_, &Session::answersChanged, this, [this] { scale(); });
    }

private:
    const Piece* piece() const {
        for (const auto& p : session_.plan().pieces)
            if (p.id == id_) return &p;
        return nullptr;
    }
    const FillStep* fill() const {
        const Piece* p = piece();
        return p && at_ < p->making.size() ? std::get_if<FillStep>(&p->making[at_]) : nullptr;
    }
    const Filling* filling() const {
        const FillStep* s = fill();
        return session_.plan().filling(filling_.empty() && s ? s->filling : filling_);
    }
    void edit(const QString& label, const std::function<void(Filling&)>& change) {
        session_.document().edit(label, [&](Plan& plan) {
            if (Filling* f = plan.filling(filling_)) change(*f);
        });
    }
    void editPiece(const QString& label, const std::function<void(Piece&)>& change) {
        session_.document().edit(label, [&](Plan& plan) {
            for (auto& p : plan.pieces)
                if (p.id == id_) change(p);
        });
    }
    void editStep(const QString& label, const std::function<void(FillStep&)>& change) {
        editPiece(label, [&](Piece& p) {
            if (at_ < p.making.size())
                if (auto* s = std::get_if<FillStep>(&p.making[at_])) change(*s);
        });
    }
    void named(const Filling& f) {
        name_ = words({tr("Called"), QStringLiteral("fillingName")}, qstring(f.name), [this](const QString& said) {
            if (said.isEmpty()) return tr("A filling needs a name.");
            if (const std::string now = said.toStdString(); filling() && filling()->name != now)
                edit(tr("Rename the filling"), [&](Filling& x) { x.name = now; });
            return QString();
        });
        name_->edit()->setMaxLength(60);
        QStringList others;
        for (const auto& p : session_.plan().pieces)
            if (p.id != id_ && std::ranges::any_of(StepsOf<const FillStep>(p.making),
                                                   [&](const FillStep& x) { return x.filling == filling_; }))
                others << qstring(p.name);
        if (!others.isEmpty())
            note(tr("It goes into %1 too, and is made once for all.").arg(others.join(QStringLiteral(", "))));
    }
    /// What it usually is: its name, weight and times at once.
    void kinds(const Filling& f) {
        const auto& known = session_.library().fillings;
        QStringList names{tr("something else")};
        int now = 0;
        for (size_t k = 0; k < known.size(); ++k) {
            names << qstring(known[k].name);
            if (known[k].name == f.name && known[k].density.value == f.density) now = static_cast<int>(k) + 1;
        }
        choice({tr("It is"), QStringLiteral("fillingKind")}, names, now, [this](int i) {
            if (i == 0) return;
            const auto& kind = session_.library().fillings[static_cast<size_t>(i) - 1];
            session_.document().edit(tr("Fill it with %1").arg(qstring(kind.name).toLower()), [&](Plan& plan) {
                Filling* x = plan.filling(filling_);
                if (!x) return;
                Filling usual = fillingOf(kind);
                usual.id = x->id;
                usual.recipe = x->recipe;
                usual.makes = x->makes;
                usual.extra = x->extra;
                *x = std::move(usual);
                for (auto& p : plan.pieces)
                    if (p.id == id_ && at_ < p.making.size())
                        if (auto* step = std::get_if<FillStep>(&p.making[at_])) step->share = Measure(kind.share);
            });
            const Filling* fresh = filling();
            if (!fresh) return;
            name_->setWords(qstring(fresh->name));
            for (const auto& [field, member] : figures_) field->setMeasure(fresh->*member, session_.units());
            for (const auto& [box, member] : ticks_) {
                const QSignalBlocker quiet(box);
                box->setChecked(fresh->*member);
            }
            weight_->setMeasure(weighed(*fresh), session_.units());
        });
    }
    /// What a litre, or a cup, of it weighs.
    double portion() const { return session_.units() == UnitSystem::US ? 2.365882365e-4 : 1e-3; }  // m³
    Measure weighed(const Filling& f) const { return Measure(f.density * portion()); }
    void weight() {
        weight_ = Page::figure(
            {session_.units() == UnitSystem::US ? tr("A cup of it weighs") : tr("A litre of it weighs"),
             QStringLiteral("filling/density"), "fillings/" + filling_ + "/density"},
            session_.typing(Dimension::Mass, "", nullptr), weighed(*filling()), [this](const Measure& m) {
                edit(tr("Change what the filling weighs"), [&](Filling& x) { x.density = m.value / portion(); });
            });
        note(tr("0: as such fillings usually do. What a piece carries hangs on it."));
    }
    void amounts(const FillStep& s) {
        how_ = choice({tr("Filled"), QStringLiteral("fillingHow")},
                      {tr("by an amount"), tr("three quarters full"), tr("to the brim")},
                      s.share.value <= 0     ? 0
                      : s.share.value < 0.99 ? 1
                                             : 2,
                      [this](int i) {
                          editStep(tr("Change how full it is"), [i](FillStep& x) { x.share = Measure(kShares[i]); });
                      });
        each();
        lid();
        tick(tr("It goes in as it is served, at the table"), QStringLiteral("fillingServed"), s.served,
             [this](bool on) {
                 editPiece(tr("Change when it is filled"), [&](Piece& p) {
                     if (at_ >= p.making.size()) return;
                     auto* step = std::get_if<FillStep>(&p.making[at_]);
                     if (!step) return;
                     FillStep moved = *step;
                     moved.served = on;
                     p.making.erase(p.making.begin() + static_cast<std::ptrdiff_t>(at_));
                     if (on) p.complete();
                     p.insert(moved);
                     for (size_t k = 0; k < p.making.size(); ++k)
                         if (const auto* f = std::get_if<FillStep>(&p.making[k]); f && *f == moved) at_ = k;
                 });
             });
        note(
            tr("Nothing: it stays open. A lid is poured on what is about three quarters full, when the filling is no "
               "warmer than the room."));
    }
    void recipe() {
        heading(tr("Recipe"));
        figure(tr("As written it makes"), "makes", Dimension::Volume, "", &Filling::makes);
        grid_ = new QGridLayout;
        grid_->setHorizontalSpacing(6);
        grid_->setVerticalSpacing(4);
        grid_->setColumnStretch(0, 1);
        box_->addLayout(grid_);
        button(tr("one more line"), QStringLiteral("recipeMore"), [this] {
            edit(tr("Add to a recipe"), [](Filling& x) { x.recipe.push_back({}); });
            lines();
        });
        sum_ = wrapped({}, "small");
        sum_->setObjectName(QStringLiteral("recipeSum"));
        box_->addWidget(sum_);
        lines();
    }
    void each() {
        const QString place = first_ ? QStringLiteral("filling/each") : QStringLiteral("making/%1/each").arg(at_);
        Page::figure({tr("The amount in one"), place, "pieces/" + id_ + "/" + place.toStdString()},
                     session_.typing(Dimension::Volume, "", nullptr), fill()->each, [this](const Measure& m) {
                         editStep(tr("Change how much goes in"), [&](FillStep& s) {
                             s.each = m;
                             s.share = 0;
                         });
                         how_->setCurrentIndex(0);
                     });
    }
    void lid() {
        const LidStep* now = piece()->lid();
        Page::figure({tr("Lid of chocolate, thick"), QStringLiteral("filling/cap"), "pieces/" + id_ + "/filling/cap"},
                     session_.typing(Dimension::Length, "mm", nullptr), now ? now->depth : Measure(0),
                     [this](const Measure& m) {
                         editPiece(tr("Change the lid"), [&](Piece& p) {
                             if (m.value == 0) p.without<LidStep>();
                             else p.having<LidStep>().depth = m;
                         });
                     });
    }
    void figure(const QString& name, const char* place, Dimension dimension, const char* unit,
                Measure Filling::*member) {
        auto* field = Page::figure(
            {name, QStringLiteral("filling/") + QLatin1String(place), "fillings/" + filling_ + "/" + place},
            session_.typing(dimension, unit, nullptr), filling()->*member, [this, name, member](const Measure& m) {
                edit(tr("Change %1").arg(name.toLower()), [&](Filling& x) { x.*member = m; });
            });
        if (std::string(place) != "makes") figures_.emplace_back(field, member);
    }
    void check(const QString& what, const char* object, bool Filling::*member) {
        auto* box = tick(what, QLatin1String(object), filling()->*member, [this, what, member](bool on) {
            edit(tr("Change the filling: %1").arg(what.toLower()), [&](Filling& x) { x.*member = on; });
        });
        ticks_.emplace_back(box, member);
    }
    /// The recipe's lines, built anew when one comes or goes.
    void lines() {
        emptyLayout(grid_);
        scaled_.clear();
        const Filling* f = filling();
        if (!f) return;
        const QStringList heads{tr("what"), tr("how much"), tr("alcohol"), tr("allergens"), tr("for all")};
        for (int i = 0; i < heads.size(); ++i) grid_->addWidget(wrapped(heads[i], "small"), 0, i);
        for (size_t i = 0; i < f->recipe.size(); ++i) {
            const auto& in = f->recipe[i];
            const int at = static_cast<int>(i) + 1;
            const std::string at0 = "fillings/" + filling_ + "/recipe/" + std::to_string(i) + "/";
            auto* under = new QWidget;  // what is wrong in the line, over its whole width
            auto* wrong = new QVBoxLayout(under);
            wrong->setContentsMargins(0, 0, 0, 0);
            wrong->setSpacing(0);
            grid_->addWidget(under, 2 * at, 0, 1, 6);
            const auto field = [&](const QString& text, const QString& name, const char* object, int column, int wide,
                                   const QString& label, auto take) {
                const std::string path = at0 + object;
                auto* cell = new WordsField(tr("%1 of line %2").arg(name).arg(at),
                                            QStringLiteral("recipe/%1/%2").arg(i).arg(QLatin1String(object)),
                                            [this, i, label, path, take](const QString& said) {
                                                Ingredient x = ingredient(i);
                                                if (QString no = take(x, said.toStdString()); !no.isEmpty()) return no;
                                                return session_.typed(path, [&] { line(i, label, x); });
                                            });
                cell->edit()->setMaxLength(80);
                cell->edit()->setMinimumWidth(wide);
                cell->setWords(text);
                cell->setProblem(session_.problemAt(path));
                wrong->addWidget(cell->complaint());
                grid_->addWidget(cell, 2 * at - 1, column);
                return cell;
            };
            field(qstring(in.name), heads[0], "name", 0, 104, tr("Change a recipe"),
                  [](Ingredient& x, const std::string& said) {
                      x.name = said;
                      return QString();
                  });
            field(qstring(writtenAmount(in, session_.units())), heads[1], "amount", 1, 78, tr("Change how much"),
                  [this](Ingredient& x, const std::string& said) {
                      Ingredient read;
                      if (const auto ok = readAmount(said, session_.plan().metricCup, read); !ok)
                          return qstring(ok.error().sentence);
                      x.by = read.by;
                      x.amount = read.amount;
                      return QString();
                  });
            field(in.alcohol > 0 ? qstring(format(in.alcohol, Dimension::Percent, session_.units())) : QString(),
                  heads[2], "alcohol", 2, 44, tr("Change the alcohol"),
                  [this](Ingredient& x, const std::string& said) {
                      x.alcohol = 0;
                      if (said.empty()) return QString();
                      const auto read = parseMeasure(said, session_.typing(Dimension::Percent, "%", nullptr));
                      if (!read) return qstring(read.error().sentence);
                      x.alcohol = read->value;
                      return QString();
                  })
                ->edit()
                ->setPlaceholderText(tr("none"));
            field(qstring(in.allergens), heads[3], "allergens", 3, 56, tr("Change the allergens"),
                  [](Ingredient& x, const std::string& said) {
                      x.allergens = said;
                      return QString();
                  })
                ->edit()
                ->setPlaceholderText(tr("none"));
            scaled_.push_back(new QLabel);
            grid_->addWidget(scaled_.back(), 2 * at - 1, 4);
            auto* gone = new QPushButton(tr("×"));
            gone->setProperty("flat", true);
            gone->setObjectName(QStringLiteral("recipe/%1/gone").arg(i));
            gone->setAccessibleName(tr("Take line %1 out").arg(at));
            gone->setProperty("narrow", true);
            gone->setFixedWidth(26);
            QObject::connect(gone, &QPushButton::clicked, this, [this, i] {
                edit(tr("Take a line out of a recipe"), [&](Filling& x) {
                    if (i < x.recipe.size()) x.recipe.erase(x.recipe.begin() + static_cast<std::ptrdiff_t>(i));
                });
                lines();
            });
            grid_->addWidget(gone, 2 * at - 1, 5);
        }
        scale();
    }
    Ingredient ingredient(size_t i) const {
        const Filling* f = filling();
        return f && i < f->recipe.size() ? f->recipe[i] : Ingredient();
    }
    void line(size_t i, const QString& label, const Ingredient& changed) {
        const Filling* f = filling();
        if (f && i < f->recipe.size() && !(changed == f->recipe[i]))
            edit(label, [&](Filling& x) { x.recipe[i] = changed; });
    }
    void scale() {
        const auto answers = session_.answers();
        const auto mine = session_.pieceAnswers(id_);
        const Filling* f = filling();
        if (!answers || !mine || !mine->problems.empty() || !f || scaled_.size() != f->recipe.size()) return;
        const auto u = session_.units();
        const auto s = scaled(session_.answeredPlan(), session_.answeredLibrary(), *answers, *f);
        for (size_t i = 0; i < scaled_.size(); ++i)
            scaled_[i]->setText(std::isfinite(s.factor) ? qstring(amountOf(f->recipe[i], s.factor, u))
                                                        : QStringLiteral("–"));
        const auto* into = s.of(id_);
        if (!into) return;
        QString words = tr("%1 in each, %2 for all.")
                            .arg(qstring(format(into->each, Dimension::Volume, u)),
                                 qstring(format(s.volume, Dimension::Volume, u)));
        if (std::isfinite(s.factor)) words += tr(" The recipe %1 times.").arg(qstring(significant(s.factor, 3)));
        if (mine->capMass > 0) words += tr(" A lid weighs %1.").arg(qstring(format(mine->capMass, Dimension::Mass, u)));
        if (s.alcohol > 0)
            words += tr(" %1 alcohol by volume, %2 of pure alcohol in each, cooked off or not: for adults; the age "
                        "that law asks for differs from place to place.")
                         .arg(qstring(format(s.alcohol, Dimension::Percent, u)),
                              qstring(format(into->grams, Dimension::Mass, u, Detail::Fine)));
        sum_->setText(words);
    }

    std::string id_, filling_;
    size_t at_ = 0;
    bool first_ = true;
    WordsField* name_ = nullptr;
    FigureField* weight_ = nullptr;
    std::vector<std::pair<FigureField*, Measure Filling::*>> figures_;
    std::vector<std::pair<QCheckBox*, bool Filling::*>> ticks_;
    QComboBox* how_ = nullptr;
    QGridLayout* grid_ = nullptr;
    QLabel* sum_ = nullptr;
    std::vector<QLabel*> scaled_;
};

}  // namespace

QWidget* fillingPage(Session& session, std::optional<size_t> step) { return new FillingPage(session, step); }

}  // namespace uovo::desktop
