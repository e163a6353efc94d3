#include "desktop/shape/filling_page.h"

#include <QCheckBox>
#include <QCoreApplication>
#include <QGridLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QVBoxLayout>
#include <algorithm>
#include <cmath>

#include "core/plan/amount.h"
#include "desktop/shape/recipe_line.h"
#include "desktop/shell/figure_field.h"
#include "desktop/shell/sheet.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

constexpr double kShares[]{0, 0.75, 1};

class FillingPage : public QWidget {
    Q_DECLARE_TR_FUNCTIONS(FillingPage)

public:
    FillingPage(Session& session, std::optional<size_t> step)
        : session_(session), id_(session.piece() ? session.piece()->id : "") {
        setObjectName(QStringLiteral("fillingPage"));
        auto* box = new QVBoxLayout(this);
        box->setContentsMargins(0, 6, 10, 6);
        box->setSpacing(8);
        const Piece* piece = session.piece();
        for (size_t i = 0; piece && i < piece->making.size(); ++i)
            if (std::holds_alternative<FillStep>(piece->making[i]) && (!step || *step == i)) {
                at_ = i;
                break;
            }
        const FillStep* s = fill();
        const Filling* f = filling();
        if (!s || !f) {
            box->addWidget(wrapped(tr("This piece has no filling.")));
            return;
        }
        filling_ = f->id;
        first_ = s == piece->fill();
        QStringList others;
        for (const auto& p : session.plan().pieces)
            if (p.id != id_ && std::ranges::any_of(StepsOf<const FillStep>(p.making),
                                                   [&](const FillStep& x) { return x.filling == filling_; }))
                others << qstring(p.name);
        auto* name = new QLineEdit(qstring(f->name));
        name->setObjectName(QStringLiteral("fillingName"));
        name->setAccessibleName(tr("Name of the filling"));
        name->setMaxLength(60);
        QObject::connect(name, &QLineEdit::editingFinished, this, [this, name] {
            if (const std::string words = name->text().trimmed().toStdString();
                !words.empty() && filling() && filling()->name != words)
                edit(tr("Rename the filling"), [&](Filling& x) { x.name = words; });
        });
        row(tr("Called"), name);
        if (!others.isEmpty())
            box->addWidget(wrapped(
                tr("It goes into %1 too, and is made once for all.").arg(others.join(QStringLiteral(", "))), "small"));
        how_ = choiceBox(tr("How full"), {tr("as much as typed"), tr("three quarters full"), tr("to the brim")});
        how_->setObjectName(QStringLiteral("fillingHow"));
        how_->setCurrentIndex(s->share.value <= 0 ? 0 : s->share.value < 0.99 ? 1 : 2);
        QObject::connect(how_, &QComboBox::activated, this, [this](int i) {
            editStep(tr("Change how full it is"), [i](FillStep& x) { x.share = Measure(kShares[i]); });
        });
        row(tr("Filled"), how_);
        each();
        lid();
        box->addWidget(wrapped(tr("Nothing: it stays open. A lid is poured on what is about three quarters full, when "
                                  "the filling is no warmer than the room."),
                               "small"));
        figure(tr("Making it takes"), "make", Dimension::Duration, "min", &Filling::make);
        figure(tr("Good from, after it is made"), "usableFrom", Dimension::Duration, "min", &Filling::usableFrom);
        figure(tr("Good until"), "usableTo", Dimension::Duration, "min", &Filling::usableTo);
        check(tr("It does not keep: cold, and only a short time out"), "fillingPerishable", &Filling::perishable);
        check(tr("Raw egg is in it"), "fillingEgg", &Filling::egg);
        check(tr("Alcohol is in it"), "fillingAlcohol", &Filling::alcohol);
        auto* title = wrapped(tr("Recipe"));
        title->setStyleSheet(QStringLiteral("font-weight: 600; margin-top: 6px;"));
        box->addWidget(title);
        figure(tr("As written it makes"), "makes", Dimension::Volume, "", &Filling::makes);
        grid_ = new QGridLayout;
        grid_->setHorizontalSpacing(6);
        grid_->setVerticalSpacing(4);
        grid_->setColumnStretch(0, 1);
        box->addLayout(grid_);
        wrong_ = wrapped({}, "harm");
        wrong_->setObjectName(QStringLiteral("recipeProblem"));
        box->addWidget(wrong_);
        auto* more = new QPushButton(tr("one more line"));
        more->setObjectName(QStringLiteral("recipeMore"));
        QObject::connect(more, &QPushButton::clicked, this, [this] {
            edit(tr("Add to a recipe"), [](Filling& x) { x.recipe.push_back({}); });
            lines();
        });
        box->addWidget(more, 0, Qt::AlignLeft);
        sum_ = wrapped({}, "small");
        sum_->setObjectName(QStringLiteral("recipeSum"));
        box->addWidget(sum_);
        box->addStretch(1);
        lines();
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
    FigureField* field(const QString& name, const QString& place, Dimension dimension, const char* unit,
                       const Measure& now, const std::string& at, std::function<void(const Measure&)> typed) {
        auto* f = new FigureField(name, place, session_.typing(dimension, unit, nullptr));
        f->setMeasure(now, session_.units());
        f->setProblem(session_.problemAt(at));
        QObject::connect(f, &FigureField::measureTyped, this,
                         [this, f, at, typed = std::move(typed)](const Measure& m) {
                             typed(m);
                             f->setProblem(session_.problemAt(at));
                         });
        row(name, f);
        return f;
    }
    void each() {
        const QString place = first_ ? QStringLiteral("filling/each") : QStringLiteral("making/%1/each").arg(at_);
        field(tr("Typed amount"), place, Dimension::Volume, "", fill()->each,
              "pieces/" + id_ + "/" + place.toStdString(), [this](const Measure& m) {
                  editStep(tr("Change how much goes in"), [&](FillStep& s) {
                      s.each = m;
                      s.share = 0;
                  });
                  how_->setCurrentIndex(0);
              });
    }
    void lid() {
        const LidStep* now = piece()->lid();
        field(tr("Lid of chocolate, thick"), QStringLiteral("filling/cap"), Dimension::Length, "mm",
              now ? now->depth : Measure(0), "pieces/" + id_ + "/filling/cap", [this](const Measure& m) {
                  editPiece(tr("Change the lid"), [&](Piece& p) {
                      if (m.value == 0) p.without<LidStep>();
                      else p.having<LidStep>().depth = m;
                  });
              });
    }
    void row(const QString& name, QWidget* right) {
        static_cast<QVBoxLayout*>(layout())->addLayout(namedRow(name, right));
    }
    void figure(const QString& name, const char* place, Dimension dimension, const char* unit,
                Measure Filling::*member) {
        field(name, QStringLiteral("filling/") + QLatin1String(place), dimension, unit, filling()->*member,
              "fillings/" + filling_ + "/" + place, [this, name, member](const Measure& m) {
                  edit(tr("Change %1").arg(name.toLower()), [&](Filling& x) { x.*member = m; });
              });
    }
    void check(const QString& words, const char* object, bool Filling::*member) {
        auto* c = new QCheckBox(words);
        c->setObjectName(QLatin1String(object));
        c->setChecked(filling()->*member);
        QObject::connect(c, &QCheckBox::toggled, this, [this, words, member](bool on) {
            edit(tr("Change the filling: %1").arg(words.toLower()), [&](Filling& x) { x.*member = on; });
        });
        layout()->addWidget(c);
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
            auto* name = field(qstring(in.name), heads[0], "name", 0, 118);
            QObject::connect(name, &QLineEdit::editingFinished, this, [this, name, i] {
                line(i, tr("Change a recipe"), [&](Ingredient& x) { x.name = name->text().trimmed().toStdString(); });
            });
            auto* amount = field(qstring(writtenAmount(in, session_.units())), heads[1], "amount", 1, 64);
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
        const auto s = scaled(session_.plan(), *answers, *f);
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

    Session& session_;
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
