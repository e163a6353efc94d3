#include "desktop/shape/filling_page.h"

#include <QCoreApplication>
#include <QGridLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <algorithm>
#include <cmath>

#include "core/document/amount.h"
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
        amounts(*s);
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
        words({tr("Called"), QStringLiteral("fillingName")}, qstring(f.name),
              [this](const QString& said) {
                  if (const std::string now = said.toStdString(); !now.empty() && filling() && filling()->name != now)
                      edit(tr("Rename the filling"), [&](Filling& x) { x.name = now; });
                  return QString();
              })
            ->edit()
            ->setMaxLength(60);
        QStringList others;
        for (const auto& p : session_.plan().pieces)
            if (p.id != id_ && std::ranges::any_of(StepsOf<const FillStep>(p.making),
                                                   [&](const FillStep& x) { return x.filling == filling_; }))
                others << qstring(p.name);
        if (!others.isEmpty())
            note(tr("It goes into %1 too, and is made once for all.").arg(others.join(QStringLiteral(", "))));
    }
    void amounts(const FillStep& s) {
        how_ = choice({tr("Filled"), QStringLiteral("fillingHow")},
                      {tr("as much as typed"), tr("three quarters full"), tr("to the brim")},
                      s.share.value <= 0     ? 0
                      : s.share.value < 0.99 ? 1
                                             : 2,
                      [this](int i) {
                          editStep(tr("Change how full it is"), [i](FillStep& x) { x.share = Measure(kShares[i]); });
                      });
        each();
        lid();
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
        wrong_ = wrapped({}, "harm");
        wrong_->setObjectName(QStringLiteral("recipeProblem"));
        box_->addWidget(wrong_);
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
        Page::figure({tr("Typed amount"), place, "pieces/" + id_ + "/" + place.toStdString()},
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
        Page::figure({name, QStringLiteral("filling/") + QLatin1String(place), "fillings/" + filling_ + "/" + place},
                     session_.typing(dimension, unit, nullptr), filling()->*member,
                     [this, name, member](const Measure& m) {
                         edit(tr("Change %1").arg(name.toLower()), [&](Filling& x) { x.*member = m; });
                     });
    }
    void check(const QString& what, const char* object, bool Filling::*member) {
        tick(what, QLatin1String(object), filling()->*member, [this, what, member](bool on) {
            edit(tr("Change the filling: %1").arg(what.toLower()), [&](Filling& x) { x.*member = on; });
        });
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
            const auto field = [&](const QString& text, const QString& name, const char* object, int column, int wide) {
                auto* e = new QLineEdit(text);
                e->setObjectName(QStringLiteral("recipe/%1/%2").arg(i).arg(QLatin1String(object)));
                e->setAccessibleName(tr("%1 of line %2").arg(name).arg(at));
                e->setMaxLength(80);
                e->setMinimumWidth(wide);
                e->setCursorPosition(0);
                grid_->addWidget(e, at, column);
                return e;
            };
            auto* name = field(qstring(in.name), heads[0], "name", 0, 104);
            QObject::connect(name, &QLineEdit::editingFinished, this, [this, name, i] {
                line(i, tr("Change a recipe"), [&](Ingredient& x) { x.name = name->text().trimmed().toStdString(); });
            });
            auto* amount = field(qstring(writtenAmount(in, session_.units())), heads[1], "amount", 1, 78);
            QObject::connect(amount, &QLineEdit::editingFinished, this, [this, amount, i] {
                Ingredient read;
                if (const auto ok = readAmount(amount->text().toStdString(), session_.plan().metricCup, read); !ok)
                    return wrong_->setText(qstring(ok.error().sentence));
                line(i, tr("Change how much"), [&](Ingredient& x) {
                    x.by = read.by;
                    x.amount = read.amount;
                });
            });
            auto* alcohol =
                field(in.alcohol > 0 ? qstring(format(in.alcohol, Dimension::Percent, session_.units())) : QString(),
                      heads[2], "alcohol", 2, 44);
            alcohol->setPlaceholderText(tr("none"));
            QObject::connect(alcohol, &QLineEdit::editingFinished, this, [this, alcohol, i] {
                double share = 0;
                if (!alcohol->text().trimmed().isEmpty()) {
                    const auto read =
                        parseMeasure(alcohol->text().toStdString(), session_.typing(Dimension::Percent, "%", nullptr));
                    if (!read) return wrong_->setText(qstring(read.error().sentence));
                    share = read->value;
                }
                line(i, tr("Change the alcohol"), [&](Ingredient& x) { x.alcohol = share; });
            });
            auto* allergens = field(qstring(in.allergens), heads[3], "allergens", 3, 56);
            allergens->setPlaceholderText(tr("none"));
            QObject::connect(allergens, &QLineEdit::editingFinished, this, [this, allergens, i] {
                line(i, tr("Change the allergens"),
                     [&](Ingredient& x) { x.allergens = allergens->text().trimmed().toStdString(); });
            });
            scaled_.push_back(new QLabel);
            grid_->addWidget(scaled_.back(), at, 4);
            auto* gone = new QPushButton(tr("×"));
            gone->setProperty("flat", true);
            gone->setObjectName(QStringLiteral("recipe/%1/gone").arg(i));
            gone->setAccessibleName(tr("Take line %1 out").arg(at));
            gone->setFixedWidth(26);
            QObject::connect(gone, &QPushButton::clicked, this, [this, i] {
                edit(tr("Take a line out of a recipe"), [&](Filling& x) {
                    if (i < x.recipe.size()) x.recipe.erase(x.recipe.begin() + static_cast<std::ptrdiff_t>(i));
                });
                lines();
            });
            grid_->addWidget(gone, at, 5);
        }
        scale();
    }
    void line(size_t i, const QString& label, const std::function<void(Ingredient&)>& change) {
        const Filling* f = filling();
        if (!f || i >= f->recipe.size()) return;
        Ingredient changed = f->recipe[i];
        change(changed);
        if (!(changed == f->recipe[i])) edit(label, [&](Filling& x) { x.recipe[i] = changed; });
        QString wrong;
        for (const char* place : {"amount", "alcohol"})
            if (wrong.isEmpty())
                wrong = session_.problemAt("fillings/" + filling_ + "/recipe/" + std::to_string(i) + "/" + place);
        wrong_->setText(wrong);
    }
    void scale() {
        const auto answers = session_.answers();
        const auto mine = session_.pieceAnswers(id_);
        const Filling* f = filling();
        if (!answers || !mine || !mine->problems.empty() || !f || scaled_.size() != f->recipe.size()) return;
        const auto u = session_.units();
        const auto s = scaled(session_.plan(), session_.library(), *answers, *f);
        for (size_t i = 0; i < scaled_.size(); ++i)
            scaled_[i]->setText(std::isfinite(s.factor) ? qstring(amountOf(f->recipe[i], s.factor, u))
                                                        : QStringLiteral("–"));
        const auto* into = s.of(id_);
        if (!into) return;
        QString words = tr("%1 in each, %2 for all.")
                            .arg(qstring(format(into->each, Dimension::Volume, u)),
                                 qstring(format(s.volume, Dimension::Volume, u)));
        if (std::isfinite(s.factor)) words += tr(" The recipe %1 times.").arg(s.factor, 0, 'g', 3);
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
    QComboBox* how_ = nullptr;
    QGridLayout* grid_ = nullptr;
    QLabel *wrong_ = nullptr, *sum_ = nullptr;
    std::vector<QLabel*> scaled_;
};

}  // namespace

QWidget* fillingPage(Session& session, std::optional<size_t> step) { return new FillingPage(session, step); }

}  // namespace uovo::desktop
