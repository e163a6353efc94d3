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
#include <QSpinBox>
#include <algorithm>
#include <cmath>

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

QString money(double v) { return QString::number(v, 'f', 2); }

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
        auto* b = new QPushButton(words);
        b->setProperty("flat", true);
        b->setProperty("tool", true);
        b->setObjectName(QString::fromLatin1(name));
        b->setToolTip(tip);
        b->setAccessibleName(tip);
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
    lines_->setSpacing(4);
    box->addLayout(lines_);
    auto* ask = new QLabel(tr("What can I make of"));
    ask->setStyleSheet(QStringLiteral("font-weight: 600;"));
    ask->setContentsMargins(0, 10, 0, 0);
    auto* row = new QHBoxLayout;
    row->addWidget(ask, 1);
    amount_ = new FigureField(tr("Chocolate that is left"), QStringLiteral("melt/rest"),
                              session.typing(Dimension::Mass, "g", nullptr));
    amount_->setMeasure(kilograms_, session.units());
    connect(amount_, &FigureField::measureTyped, this, [this](const Measure& m) {
        amount_->setProblem(m.value > 0 ? QString() : tr("Ask for more than nothing."));
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
    const Shopping s = shopping(session_.plan(), session_.library(), *answers, today().toStdString());
    const auto g = [&](double kg) { return qstring(format(kg, Dimension::Mass, session_.units())); };
    // The list is built anew; the field a person is in gets its focus back.
    const QWidget* focus = QApplication::focusWidget();
    const QString focused = focus && isAncestorOf(focus) ? focus->objectName() : QString();
    emptyLayout(lines_);
    for (const auto& l : s.lines) {
        auto* name =
            wrapped(l.packets > 0 ? tr("%1 × %2 of %3").arg(l.packets).arg(g(l.packet), qstring(l.name).toLower())
                                  : tr("No %1").arg(qstring(l.name).toLower()));
        name->setStyleSheet(QStringLiteral("font-weight: 600;"));
        lines_->addWidget(name);
        QString words = tr("%1 to melt").arg(g(l.need));
        if (l.have > 0) words += tr(", %1 in the cupboard").arg(g(l.have));
        if (l.cost > 0) words += tr(", %1 used up").arg(money(l.cost));
        lines_->addWidget(wrapped(words + QStringLiteral("."), "small"));
        if (!l.note.empty()) lines_->addWidget(wrapped(qstring(l.note), "harm"));
        auto* stock = new QWidget;
        auto* row = new QHBoxLayout(stock);
        row->setContentsMargins(0, 0, 0, 6);
        auto* have = new FigureField(tr("%1 in the cupboard").arg(qstring(l.name)),
                                     QStringLiteral("pantry/%1/mass").arg(qstring(l.chocolate)),
                                     session_.typingOf(Dimension::Mass, "g", l.chocolate));
        const Stock* known = stockIn(session_.plan(), l.chocolate);
        const Measure mass = known ? known->mass : Measure(0.0);
        const double price = known ? known->price : 0;
        const QString date = known ? qstring(known->bestBefore) : QString();
        have->setMeasure(mass, session_.units());
        connect(have, &FigureField::measureTyped, this, [this, have, id = l.chocolate](const Measure& m) {
            if (!(m.value >= 0)) return have->setProblem(tr("In the cupboard there is nothing or more, not less."));
            session_.document().edit(tr("Change what stands in the cupboard"),
                                     [&](Plan& p) { stockOf(p, id).mass = m; });
        });
        auto* cost = new QLineEdit(price > 0 ? money(price) : QString());
        cost->setObjectName(QStringLiteral("pantry/%1/price").arg(qstring(l.chocolate)));
        cost->setPlaceholderText(tr("price a kg"));
        cost->setAccessibleName(tr("Price of a kilogram of %1").arg(qstring(l.name).toLower()));
        cost->setMaximumWidth(92);
        connect(cost, &QLineEdit::editingFinished, this, [this, cost, id = l.chocolate] {
            bool ok = cost->text().trimmed().isEmpty();
            const double v = ok ? 0 : QString(cost->text()).replace(',', '.').toDouble(&ok);
            if (!ok || !(v >= 0)) return cost->setText(QString());
            const Stock* before = stockIn(session_.plan(), id);
            if (std::abs(v - (before ? before->price : 0)) > 1e-9)
                session_.document().edit(tr("Change a price"), [&](Plan& p) { stockOf(p, id).price = v; });
        });
        auto* best = new QLineEdit(date);
        best->setObjectName(QStringLiteral("pantry/%1/date").arg(qstring(l.chocolate)));
        best->setPlaceholderText(tr("best before"));
        best->setAccessibleName(tr("Best-before date of %1").arg(qstring(l.name).toLower()));
        best->setMaximumWidth(104);
        connect(best, &QLineEdit::editingFinished, this, [this, best, id = l.chocolate] {
            const Stock* before = stockIn(session_.plan(), id);
            if (best->text().trimmed() == (before ? qstring(before->bestBefore) : QString())) return;
            session_.document().edit(tr("Change a best-before date"), [&](Plan& p) {
                stockOf(p, id).bestBefore = best->text().trimmed().toStdString();
            });
        });
        row->addWidget(have);
        row->addWidget(cost);
        row->addWidget(best);
        row->addStretch(1);
        lines_->addWidget(stock);
        for (size_t i = 0; i < session_.plan().pantry.size(); ++i)
            if (session_.plan().pantry[i].chocolate == l.chocolate)
                for (const char* field : {"mass", "price", "bestBefore"})
                    if (const QString wrong = session_.problemAt("pantry/" + std::to_string(i) + "/" + field);
                        !wrong.isEmpty())
                        lines_->addWidget(wrapped(wrong, "harm"));
    }
    for (const auto& x : s.supplies) {
        auto* l = wrapped(tr("%1: %2").arg(qstring(x.name), qstring(x.amount)));
        l->setObjectName(QStringLiteral("supply"));
        lines_->addWidget(l);
        lines_->addWidget(wrapped(tr("for %1").arg(qstring(x.forWhat)), "small"));
    }
    if (s.cost > 0) {
        QString words = tr("%1 for what is used up").arg(money(s.cost)) +
                        (s.priced ? QString() : tr(", as far as prices are known"));
        if (session_.plan().guests > 0) words += tr("; %1 a guest").arg(money(s.cost / session_.plan().guests));
        lines_->addWidget(wrapped(words + QStringLiteral("."), ""));
        QStringList each;
        for (const auto& e : s.pieces)
            for (const auto& p : session_.plan().pieces)
                if (p.id == e.piece && e.cost > 0) each << tr("%1 %2").arg(qstring(p.name), money(e.cost));
        if (!each.isEmpty())
            lines_->addWidget(wrapped(tr("In each: %1.").arg(each.join(QStringLiteral(", "))), "small"));
    }
    auto* guestRow = new QWidget;
    auto* guestBox = new QHBoxLayout(guestRow);
    guestBox->setContentsMargins(0, 0, 0, 0);
    guestBox->addWidget(new QLabel(tr("Guests")), 1);
    auto* guests = new QSpinBox;
    guests->setObjectName(QStringLiteral("guests"));
    guests->setAccessibleName(tr("Guests"));
    guests->setRange(0, 10000);
    guests->setButtonSymbols(QAbstractSpinBox::NoButtons);
    guests->setMaximumWidth(92);
    guests->setSpecialValueText(tr("not said"));
    guests->setValue(session_.plan().guests);
    connect(guests, &QSpinBox::valueChanged, this, [this](int n) {
        session_.document().edit(
            tr("Change the guests"), [&](Plan& p) { p.guests = n; }, QStringLiteral("guests"));
    });
    guestBox->addWidget(guests);
    lines_->addWidget(guestRow);
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
    if (!focused.isEmpty())
        if (auto* again = findChild<QWidget*>(focused)) again->setFocus();
    refreshRest();
}

void ShoppingPanel::refreshRest() {
    emptyLayout(rest_);
    const auto answers = session_.answers();
    if (!answers || chocolate_.empty() || !(kilograms_.value > 0)) return;
    const auto* c = session_.library().find(chocolate_);
    if (c) rest_->addWidget(wrapped(tr("of %1, bath and tools counted:").arg(qstring(c->name).toLower()), "small"));
    for (const auto& f : whatFits(session_.plan(), session_.library(), *answers, chocolate_, kilograms_.value)) {
        if (f.count == 0 && f.piece.empty()) continue;
        auto* l = wrapped(f.count > 0 ? tr("%1 × %2").arg(f.count).arg(qstring(f.name))
                                      : tr("not one %1").arg(qstring(f.name).toLower()),
                          f.count > 0 ? "" : "small");
        l->setObjectName(QStringLiteral("fits"));
        rest_->addWidget(l);
    }
}

QString ShoppingPanel::text() const {
    const auto answers = session_.answers();
    return answers ? report::shoppingText(session_.plan(), shopping(session_.plan(), session_.library(), *answers,
                                                                    today().toStdString()))
                   : QString();
}

QString ShoppingPanel::csv() const {
    const auto answers = session_.answers();
    return answers ? report::shoppingCsv(session_.plan(),
                                         shopping(session_.plan(), session_.library(), *answers, today().toStdString()))
                   : QString();
}

void ShoppingPanel::save(const QString& path) {
    const auto answers = session_.answers();
    if (path.isEmpty() || !answers) return;
    QString problem;
    if (path.endsWith(QStringLiteral(".pdf"), Qt::CaseInsensitive)) {
        const auto pages = report::writeShoppingList(
            path, session_.plan(), shopping(session_.plan(), session_.library(), *answers, today().toStdString()));
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
    if (report::paintShoppingList(printer, session_.plan(),
                                  shopping(session_.plan(), session_.library(), *answers, today().toStdString())) == 0)
        QMessageBox::warning(window(), tr("Not printed"), tr("The printer did not take the list."));
}

}  // namespace uovo::desktop
