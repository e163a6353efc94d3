#include "desktop/shell/kitchen_page.h"

#include <QCoreApplication>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QSpinBox>

#include "desktop/shell/figure_field.h"
#include "desktop/shell/sheet.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

struct KitchenPage {
    Q_DECLARE_TR_FUNCTIONS(KitchenPage)
};

}  // namespace

QWidget* kitchenPage(Session& session) {
    auto* page = new QWidget;
    auto* box = new QVBoxLayout(page);
    box->setContentsMargins(0, 6, 10, 6);
    box->setSpacing(7);
    const auto row = [&](const QString& name, const char* place, Dimension dimension, const char* unit,
                         Measure Kitchen::*member) {
        auto* line = new QHBoxLayout;
        line->addWidget(new QLabel(name), 1, Qt::AlignTop);
        auto* f = new FigureField(name, QStringLiteral("kitchen/") + QString::fromLatin1(place),
                                  session.typing(dimension, unit, nullptr));
        f->setMeasure(session.plan().kitchen.*member, session.units());
        f->setProblem(session.problemAt(std::string("kitchen/") + place));
        QObject::connect(f, &FigureField::measureTyped, page, [&session, f, name, member](const Measure& m) {
            session.document().edit(KitchenPage::tr("Change the kitchen: %1").arg(name),
                                    [&](Plan& p) { p.kitchen.*member = m; });
            f->setProblem(session.problemAt(f->place().toStdString()));
        });
        line->addWidget(f);
        box->addLayout(line);
    };
    row(KitchenPage::tr("Room"), "room", Dimension::Temperature, "", &Kitchen::room);
    row(KitchenPage::tr("Humidity"), "humidity", Dimension::Percent, "%", &Kitchen::humidity);
    row(KitchenPage::tr("Fridge"), "fridge", Dimension::Temperature, "", &Kitchen::fridge);
    row(KitchenPage::tr("Freezer"), "freezer", Dimension::Temperature, "", &Kitchen::freezer);
    box->addWidget(wrapped(KitchenPage::tr("One free shelf in the fridge"), "quiet"));
    row(KitchenPage::tr("Width"), "shelfWidth", Dimension::Length, "cm", &Kitchen::shelfWidth);
    row(KitchenPage::tr("Depth"), "shelfDepth", Dimension::Length, "cm", &Kitchen::shelfDepth);
    row(KitchenPage::tr("Height"), "shelfHeight", Dimension::Length, "cm", &Kitchen::shelfHeight);
    auto* shelves = new QSpinBox;
    shelves->setObjectName(QStringLiteral("kitchen/shelves"));
    shelves->setAccessibleName(KitchenPage::tr("Free shelves in the fridge"));
    shelves->setRange(1, 8);
    shelves->setValue(session.plan().kitchen.shelves);
    QObject::connect(shelves, &QSpinBox::valueChanged, page, [&session](int n) {
        session.document().edit(KitchenPage::tr("Change the shelves"), [&](Plan& p) { p.kitchen.shelves = n; });
    });
    auto* cold = new QHBoxLayout;
    cold->addWidget(new QLabel(KitchenPage::tr("Free shelves in the fridge")), 1);
    cold->addWidget(shelves);
    box->addLayout(cold);
    box->addWidget(wrapped(KitchenPage::tr("Room in the freezer"), "quiet"));
    row(KitchenPage::tr("Width of the freezer"), "freezerWidth", Dimension::Length, "cm", &Kitchen::freezerWidth);
    row(KitchenPage::tr("Depth of the freezer"), "freezerDepth", Dimension::Length, "cm", &Kitchen::freezerDepth);
    row(KitchenPage::tr("Height of the freezer"), "freezerHeight", Dimension::Length, "cm", &Kitchen::freezerHeight);
    box->addWidget(wrapped(KitchenPage::tr("Hands"), "quiet"));
    auto* count = new QHBoxLayout;
    count->addWidget(new QLabel(KitchenPage::tr("Pairs of hands")), 1);
    auto* hands = new QSpinBox;
    hands->setObjectName(QStringLiteral("kitchen/hands"));
    hands->setAccessibleName(KitchenPage::tr("Pairs of hands"));
    hands->setRange(1, 8);
    hands->setValue(session.plan().kitchen.hands);
    count->addWidget(hands);
    box->addLayout(count);
    auto* when = new QHBoxLayout;
    when->addWidget(new QLabel(KitchenPage::tr("Helpers come at")), 1);
    auto* from = new QLineEdit(qstring(session.plan().kitchen.helpersFrom));
    from->setObjectName(QStringLiteral("kitchen/helpersFrom"));
    from->setAccessibleName(KitchenPage::tr("Time at which the helpers come"));
    from->setPlaceholderText(KitchenPage::tr("there all day"));
    from->setMaximumWidth(140);
    from->setEnabled(hands->value() > 1);
    when->addWidget(from);
    box->addLayout(when);
    auto* wrong = wrapped({}, "harm");
    box->addWidget(wrong);
    const auto check = [&session, wrong] {
        wrong->setText(session.problemAt("kitchen/helpersFrom"));
        wrong->setVisible(!wrong->text().isEmpty());
    };
    check();
    QObject::connect(hands, &QSpinBox::valueChanged, page, [&session, from](int n) {
        session.document().edit(KitchenPage::tr("Change the hands"), [&](Plan& p) { p.kitchen.hands = n; });
        from->setEnabled(n > 1);
    });
    QObject::connect(from, &QLineEdit::editingFinished, page, [&session, from, check] {
        if (from->text().toStdString() != session.plan().kitchen.helpersFrom)
            session.document().edit(KitchenPage::tr("Change when helpers come"),
                                    [&](Plan& p) { p.kitchen.helpersFrom = from->text().trimmed().toStdString(); });
        check();
    });
    box->addWidget(wrapped(KitchenPage::tr("Figures of your own chocolate"), "quiet"));
    const Piece* piece = session.piece();
    if (const auto* chocolate = piece ? session.library().find(piece->chocolate) : nullptr) {
        box->addWidget(wrapped(qstring(chocolate->name), "small"));
        const std::string id = chocolate->id;
        const auto own = [&](const QString& name, const char* figure, Dimension dimension, const char* unit) {
            auto* line = new QHBoxLayout;
            line->addWidget(new QLabel(name), 1, Qt::AlignTop);
            auto* f = new FigureField(name, QStringLiteral("own/%1/%2").arg(qstring(id), QLatin1String(figure)),
                                      session.typing(dimension, unit, nullptr));
            Measure m(chocolate->at(figure).value);
            if (const auto it = session.plan().own.find(id); it != session.plan().own.end())
                if (const auto v = it->second.values.find(figure); v != it->second.values.end()) m = Measure(v->second);
            f->setMeasure(m, session.units());
            f->setProblem(session.problemAt(f->place().toStdString()));
            QObject::connect(f, &FigureField::measureTyped, page,
                             [&session, f, id, key = std::string(figure)](const Measure& typed) {
                                 session.document().edit(KitchenPage::tr("Change a chocolate"),
                                                         [&](Plan& p) { p.own[id].values[key] = typed.value; });
                                 f->setProblem(session.problemAt(f->place().toStdString()));
                             });
            line->addWidget(f);
            box->addLayout(line);
        };
        own(KitchenPage::tr("Label: work from"), "workLow", Dimension::Temperature, "");
        own(KitchenPage::tr("Label: work up to"), "workHigh", Dimension::Temperature, "");
        own(KitchenPage::tr("Cocoa butter and fat that sets"), "fatShare", Dimension::Percent, "%");
    }
    box->addWidget(wrapped(KitchenPage::tr("Numbers take any unit: 68 °F, 18 in, 46 cm."), "small"));
    box->addStretch(1);
    return page;
}

}  // namespace uovo::desktop
