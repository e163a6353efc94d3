#include "desktop/melt/shopping_panel.h"

#include <QApplication>
#include <QClipboard>
#include <QFileDialog>
#include <QHBoxLayout>
#include <QMessageBox>
#include <QPrintDialog>
#include <QPrinter>
#include <QPushButton>
#include <QSaveFile>
#include <algorithm>
#include <cmath>
#include <set>

#include "core/begin/first_plan.h"
#include "core/quantity/decimal.h"
#include "desktop/shell/sheet.h"
#include "report/fonts.h"
#include "report/shopping_list.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

/// The cupboard's line of a chocolate; null when there is none.
const Stock* stockIn(const Plan& plan, const std::string& chocolate) {
    const auto it =
        std::find_if(plan.pantry.begin(), plan.pantry.end(), [&](const Stock& s) { return s.chocolate == chocolate; });
    return it == plan.pantry.end() ? nullptr : &*it;
}

/// The cupboard's line of a chocolate; made when it is not there yet.
Stock& stockOf(Plan& plan, const std::string& chocolate) {
    if (const Stock* known = stockIn(plan, chocolate))
        return plan.pantry[static_cast<size_t>(known - plan.pantry.data())];
    plan.pantry.push_back({});
    plan.pantry.back().chocolate = chocolate;
    plan.pantry.back().mass = Measure(0.0);
    return plan.pantry.back();
}

constexpr int kMostGuests = 10000;

/// Path of what is said of a chocolate in the cupboard, also before anything is.
std::string stockPlace(const Plan& plan, const std::string& chocolate, const char* figure) {
    const Stock* known = stockIn(plan, chocolate);
    const auto at = known ? static_cast<size_t>(known - plan.pantry.data()) : plan.pantry.size();
    return "pantry/" + std::to_string(at) + "/" + figure;
}

QString money(double v) { return qstring(decimal(v, 2)); }

}  // namespace

ShoppingPanel::ShoppingPanel(Session& session, QWidget* parent) : QWidget(parent), session_(session) {
    setObjectName(QStringLiteral("shopping"));
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(16, 12, 12, 12);
    box->setSpacing(6);
    auto* head = new QHBoxLayout;
    auto* title = new QLabel(tr("To buy"));
    title->setStyleSheet(QStringLiteral("font-size: 19px; font-weight: 600;"));
    head->addWidget(title, 1);
    const auto button = [&](const QString& words, const QString& tip, const char* name, auto pressed) {
        auto* b = toolButton(words, tip);
        b->setObjectName(QString::fromLatin1(name));
        connect(b, &QPushButton::clicked, this, pressed);
        head->addWidget(b);
    };
    button(tr("copy"), tr("Copy the shopping list"), "copyShopping",
           [this] { QApplication::clipboard()->setText(text()); });
    button(tr("save"), tr("Save the shopping list as a table (CSV) or a page (PDF)"), "saveShopping", [this] {
        save(QFileDialog::getSaveFileName(window(), tr("Save the shopping list"), tr("shopping.csv"),
                                          tr("Table (*.csv);;Page (*.pdf)")));
    });
    button(tr("print"), tr("Print the shopping list"), "printShopping", [this] { print(); });
    box->addLayout(head);
    lines_ = new QVBoxLayout;
    lines_->setSpacing(2);
    box->addLayout(lines_);
    guestRow_ = new QWidget;
    auto* guestBox = new QHBoxLayout(guestRow_);
    guestBox->setContentsMargins(0, 0, 0, 0);
    guestBox->addWidget(new QLabel(tr("Guests; 0: not said")), 1, Qt::AlignTop);
    guests_ = new FigureField(tr("Guests"), QStringLiteral("guests"), session.typing(Dimension::Count, "", nullptr));
    guests_->setWhole(0, kMostGuests);
    connect(guests_, &FigureField::measureTyped, this, [this](const Measure& m) {
        session_.document().edit(
            tr("Change the guests"),
            [&](Plan& p) {
                if (m.value > 0) forGuests(p, static_cast<int>(m.value));
                else p.guests = 0;
            },
            QStringLiteral("guests"));
    });
    guestBox->addWidget(guests_);
    auto* ask = new QLabel(tr("What can I make of"));
    ask->setStyleSheet(QStringLiteral("font-weight: 600;"));
    ask->setContentsMargins(0, 10, 0, 0);
    auto* row = new QHBoxLayout;
    row->addWidget(ask, 1);
    amount_ = new FigureField(tr("Chocolate that is left"), QStringLiteral("melt/rest"),
                              session.typing(Dimension::Mass, "g", nullptr));
    amount_->setMeasure(kilograms_, session.units());
    amount_->setRule([](const Measure& m) {
        return m.value > 0 && m.value <= 1000 ? QString() : tr("Ask for more than nothing, up to a tonne.");
    });
    connect(amount_, &FigureField::measureTyped, this, [this](const Measure& m) {
        kilograms_ = m;
        refreshRest();
    });
    row->addWidget(amount_);
    box->addLayout(row);
    rest_ = new QVBoxLayout;
    rest_->setSpacing(2);
    box->addLayout(rest_);
    box->addStretch(1);
}

QString ShoppingPanel::today() const { return qstring(localTime(session_.now()).substr(0, 10)); }

void ShoppingPanel::refresh(const std::string& chocolate) {
    chocolate_ = chocolate;
    const auto answers = session_.answers();
    if (!answers) return;
    const Shopping s = listed(*answers);
    // The list is built anew around its fields: what is being written in one stays.
    for (const auto& [id, fields] : stock_) lines_->removeWidget(fields.row);
    lines_->removeWidget(guestRow_);
    emptyLayout(lines_);
    std::set<std::string> listed;
    for (const auto& l : s.lines) {
        listed.insert(l.chocolate);
        chocolateLine(l);
    }
    for (auto& [id, fields] : stock_) fields.row->setVisible(listed.contains(id));
    supplies(s);
    costs(s);
    lines_->addWidget(guestRow_);
    guests_->setMeasure(Measure(session_.plan().guests), session_.units());
    whatIsInIt(s);
    refreshRest();
}

void ShoppingPanel::chocolateLine(const Purchase& l) {
    const auto g = [&](double kg) { return qstring(format(kg, Dimension::Mass, session_.units())); };
    auto* name = wrapped(l.packets > 0 ? tr("%1 × %2 of %3").arg(l.packets).arg(g(l.packet), qstring(l.name).toLower())
                                       : tr("No %1").arg(qstring(l.name).toLower()));
    name->setStyleSheet(QStringLiteral("font-weight: 600;"));
    lines_->addWidget(name);
    QString words = tr("%1 to melt").arg(g(l.need));
    if (l.have > 0) words += tr(", %1 in the cupboard").arg(g(l.have));
    if (l.cost > 0) words += tr(", %1 used up").arg(money(l.cost));
    lines_->addWidget(wrapped(words + QStringLiteral("."), "small"));
    if (!l.note.empty()) lines_->addWidget(wrapped(qstring(l.note), "harm"));
    auto it = stock_.find(l.chocolate);
    if (it == stock_.end()) it = stock_.emplace(l.chocolate, stockFields(l.chocolate, qstring(l.name))).first;
    const Stock* known = stockIn(session_.plan(), l.chocolate);
    const StockFields& f = it->second;
    f.mass->setContext(session_.typingOf(Dimension::Mass, "g", l.chocolate));
    f.mass->setMeasure(known ? known->mass : Measure(0.0), session_.units());
    f.price->setWords(known && known->price > 0 ? money(known->price) : QString());
    f.bestBefore->setWords(known ? qstring(known->bestBefore) : QString());
    f.mass->setProblem(session_.problemAt(stockPlace(session_.plan(), l.chocolate, "mass")));
    f.price->setProblem(session_.problemAt(stockPlace(session_.plan(), l.chocolate, "price")));
    f.bestBefore->setProblem(session_.problemAt(stockPlace(session_.plan(), l.chocolate, "bestBefore")));
    lines_->addWidget(f.row);
}

ShoppingPanel::StockFields ShoppingPanel::stockFields(const std::string& id, const QString& name) {
    const QString place = QStringLiteral("pantry/%1/").arg(qstring(id));
    const auto change = [this, id](const char* figure, const QString& label, const std::function<void(Stock&)>& to) {
        return session_.typed(stockPlace(session_.plan(), id, figure),
                              [&] { session_.document().edit(label, [&](Plan& p) { to(stockOf(p, id)); }); });
    };
    StockFields f;
    f.mass = new FigureField(tr("%1 in the cupboard").arg(name), place + QStringLiteral("mass"),
                             session_.typingOf(Dimension::Mass, "g", id));
    connect(f.mass, &FigureField::measureTyped, this, [change, field = f.mass](const Measure& m) {
        field->refuse(change("mass", tr("Change what stands in the cupboard"), [&](Stock& s) { s.mass = m; }));
    });
    f.price = new WordsField(tr("Price of a kilogram of %1").arg(name.toLower()), place + QStringLiteral("price"),
                             [this, change](const QString& said) {
                                 TypingContext typing = session_.typing(Dimension::Count, "", nullptr);
                                 typing.fractions = true;
                                 const auto read =
                                     said.isEmpty() ? Measure(0.0) : parseMeasure(said.toStdString(), typing);
                                 if (!read) return qstring(read.error().sentence);
                                 return change("price", tr("Change a price"), [&](Stock& s) { s.price = read->value; });
                             });
    f.bestBefore = new WordsField(tr("Best-before date of %1").arg(name.toLower()), place + QStringLiteral("date"),
                                  [change](const QString& said) {
                                      return change("bestBefore", tr("Change a best-before date"),
                                                    [&](Stock& s) { s.bestBefore = said.toStdString(); });
                                  });
    f.price->edit()->setPlaceholderText(tr("price a kg"));
    f.bestBefore->edit()->setPlaceholderText(tr("best before"));
    f.row = new QWidget;
    auto* row = new QHBoxLayout(f.row);
    row->setContentsMargins(0, 0, 0, 6);
    row->addWidget(f.mass, 0, Qt::AlignTop);
    row->addWidget(f.price, 0, Qt::AlignTop);
    row->addWidget(f.bestBefore, 0, Qt::AlignTop);
    row->addStretch(1);
    for (Field* each : std::initializer_list<Field*>{f.mass, f.price, f.bestBefore})
        each->complaint()->setMinimumWidth(90);
    f.price->edit()->setMaximumWidth(92);
    f.bestBefore->edit()->setMaximumWidth(104);
    return f;
}

void ShoppingPanel::supplies(const Shopping& s) {
    std::string group;  // what is for one thing stands together under it
    for (const auto& x : s.supplies) {
        if (x.forWhat != group) {
            group = x.forWhat;
            auto* head = wrapped(tr("for %1").arg(qstring(group)), "small");
            head->setContentsMargins(0, 8, 0, 0);
            lines_->addWidget(head);
        }
        auto* l = wrapped(tr("%1: %2").arg(qstring(x.name), qstring(x.amount)));
        l->setObjectName(QStringLiteral("supply"));
        lines_->addWidget(l);
    }
}

void ShoppingPanel::costs(const Shopping& s) {
    if (!(s.cost > 0)) return;
    QString words =
        tr("%1 for what is used up").arg(money(s.cost)) + (s.priced ? QString() : tr(", as far as prices are known"));
    if (session_.plan().guests > 0) words += tr("; %1 a guest").arg(money(s.cost / session_.plan().guests));
    lines_->addWidget(wrapped(words + QStringLiteral("."), ""));
    QStringList each;
    for (const auto& e : s.pieces)
        for (const auto& p : session_.plan().pieces)
            if (p.id == e.piece && e.cost > 0) each << tr("%1 %2").arg(qstring(p.name), money(e.cost));
    if (!each.isEmpty()) lines_->addWidget(wrapped(tr("In each: %1.").arg(each.join(QStringLiteral(", "))), "small"));
}

void ShoppingPanel::whatIsInIt(const Shopping& s) {
    QStringList allergens, traces;
    for (const auto& a : s.allergens) allergens << qstring(a);
    for (const auto& t : s.traces) traces << qstring(t);
    if (!allergens.isEmpty() || !traces.isEmpty())
        lines_->addWidget(
            wrapped(tr("Allergens: %1.%2 Read the packets; tell your guests.")
                        .arg(allergens.join(QStringLiteral(", ")),
                             traces.isEmpty() ? QString() : tr(" Traces: %1.").arg(traces.join(QStringLiteral(", ")))),
                    "small"));
    for (const auto& w : s.warnings) lines_->addWidget(wrapped(qstring(w), "harm"));
}

void ShoppingPanel::refreshRest() {
    emptyLayout(rest_);
    const auto answers = session_.answers();
    if (!answers || chocolate_.empty() || !(kilograms_.value > 0)) return;
    const auto* c = session_.library().find(chocolate_);
    if (c) rest_->addWidget(wrapped(tr("of %1, bath and tools counted:").arg(qstring(c->name).toLower()), "small"));
    for (const auto& f :
         whatFits(session_.answeredPlan(), session_.answeredLibrary(), *answers, chocolate_, kilograms_.value)) {
        if (f.count == 0 && f.piece.empty()) continue;
        auto* l = wrapped(f.count > 0 ? tr("%1 × %2").arg(f.count).arg(qstring(f.name))
                                      : tr("not one %1").arg(qstring(f.name).toLower()),
                          f.count > 0 ? "" : "small");
        l->setObjectName(QStringLiteral("fits"));
        rest_->addWidget(l);
    }
}

Shopping ShoppingPanel::listed(const Answers& answers) const {
    return shopping(session_.answeredPlan(), session_.answeredLibrary(), answers, today().toStdString());
}

QString ShoppingPanel::text() const {
    const auto answers = session_.answers();
    return answers ? report::shoppingText(session_.answeredPlan(), listed(*answers)) : QString();
}

QString ShoppingPanel::csv() const {
    const auto answers = session_.answers();
    return answers ? report::shoppingCsv(session_.answeredPlan(), listed(*answers)) : QString();
}

void ShoppingPanel::save(const QString& path) {
    const auto answers = session_.answers();
    if (path.isEmpty() || !answers) return;
    QString problem;
    if (path.endsWith(QStringLiteral(".pdf"), Qt::CaseInsensitive)) {
        const auto pages = report::writeShoppingList(path, session_.answeredPlan(), listed(*answers));
        if (!pages) problem = qstring(pages.error().sentence);
    } else {
        QSaveFile file(path);
        if (!file.open(QIODevice::WriteOnly) || file.write(csv().toUtf8()) < 0 || !file.commit())
            problem = tr("It could not be written: %1.").arg(file.errorString());
    }
    if (!problem.isEmpty()) QMessageBox::warning(window(), tr("Not saved"), problem);
}

void ShoppingPanel::print() {
    const auto answers = session_.answers();
    if (!answers) return;
    QPrinter printer(QPrinter::HighResolution);
    QPrintDialog dialog(&printer, window());
    if (dialog.exec() != QDialog::Accepted) return;
    if (report::paintShoppingList(printer, session_.answeredPlan(), listed(*answers)) == 0)
        QMessageBox::warning(window(), tr("Not printed"), tr("The printer did not take the list."));
}

}  // namespace uovo::desktop
