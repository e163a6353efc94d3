#include "desktop/shape/recipe_line.h"

#include <QPainter>
#include <QPushButton>
#include <QWheelEvent>
#include <algorithm>
#include <set>

#include "desktop/shell/sheet.h"
#include "desktop/theme/glyph_button.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

class CalmBox : public QComboBox {
public:
    using QComboBox::QComboBox;

protected:
    void wheelEvent(QWheelEvent* e) override { e->ignore(); }
    void paintEvent(QPaintEvent* e) override {
        QComboBox::paintEvent(e);
        QPainter p(this);
        p.setRenderHint(QPainter::Antialiasing);
        p.setPen(QPen(theme().quiet, 1.6, Qt::SolidLine, Qt::RoundCap, Qt::RoundJoin));
        const QPointF c(width() - 13, height() / 2.0 + 1);
        p.drawPolyline(QPolygonF{c + QPointF(-4, -2), c + QPointF(0, 2), c + QPointF(4, -2)});
    }
};

}  // namespace

QComboBox* choiceBox(const QString& name, const QStringList& words) {
    auto* box = new CalmBox;
    box->addItems(words);
    box->setAccessibleName(name);
    box->setToolTip(name);
    box->setSizeAdjustPolicy(QComboBox::AdjustToContents);
    box->setFocusPolicy(Qt::StrongFocus);
    return box;
}

QStringList everyPlace() {
    return {placeWords(coat::Place::Table), placeWords(coat::Place::Fridge), placeWords(coat::Place::Freezer)};
}

RecipeLine::RecipeLine(Session& session, QWidget* parent)
    : QWidget(parent), session_(session), flow_(new FlowLayout(6, 7)) {
    setObjectName(QStringLiteral("recipe"));
    setLayout(flow_);
    flow_->setContentsMargins(0, 0, 0, 0);
    QSizePolicy policy(QSizePolicy::Expanding, QSizePolicy::Minimum);
    policy.setHeightForWidth(true);
    setSizePolicy(policy);
}

FigureField* RecipeLine::field(const QString& place) const {
    for (const auto& f : figures_)
        if (f.field->place() == place) return f.field;
    return place == QStringLiteral("count") ? count_ : nullptr;
}

void RecipeLine::word(const QString& text) {
    auto* l = new QLabel(text);
    l->setMinimumHeight(28);
    flow_->addWidget(l);
}

void RecipeLine::figure(const QString& name, const QString& place, Dimension dimension, const char* unit,
                        std::function<Measure*(Piece&)> of, bool whole) {
    TypingContext context = session_.typing(dimension, unit, session_.piece());
    context.fractions = !whole;
    auto* f = new FigureField(name, place, context);
    connect(f, &FigureField::measureTyped, this, [this, of, name](const Measure& m) {
        session_.editPiece(tr("Change %1").arg(name.toLower()), [&](Piece& p) {
            if (Measure* target = of(p)) *target = m;
        });
    });
    flow_->addWidget(f);
    figures_.push_back({f, std::move(of)});
}

void RecipeLine::choice(const QString& name, const QStringList& words, std::function<int(const Piece&)> of,
                        std::function<void(Piece&, int)> set) {
    auto* box = choiceBox(name, words);
    connect(box, &QComboBox::activated, this, [this, name, set](int i) {
        session_.editPiece(tr("Change %1").arg(name.toLower()), [&](Piece& p) { set(p, i); });
    });
    flow_->addWidget(box);
    choices_.push_back({box, std::move(of)});
}

QLineEdit* RecipeLine::nameField() {
    auto* e = new QLineEdit;
    e->setAccessibleName(tr("Name of the piece"));
    e->setToolTip(tr("Name of the piece"));
    e->setMaxLength(60);
    connect(e, &QLineEdit::editingFinished, this, [this, e] {
        const std::string name = e->text().trimmed().toStdString();
        if (!name.empty()) session_.editPiece(tr("Rename"), [&](Piece& p) { p.name = name; });
    });
    return e;
}

void RecipeLine::count() {
    TypingContext c = session_.typing(Dimension::Count, "", nullptr);
    count_ = new FigureField(tr("How many"), QStringLiteral("count"), c);
    connect(count_, &FigureField::measureTyped, this, [this](const Measure& m) {
        session_.editPiece(tr("Change how many"),
                           [&](Piece& p) { p.count = static_cast<int>(std::min(1e9, m.value)); });
    });
    flow_->addWidget(count_);
}

void RecipeLine::build() {
    while (QLayoutItem* item = flow_->takeAt(0)) {
        retire(item->widget());
        delete item;
    }
    figures_.clear();
    choices_.clear();
    const Piece* piece = session_.piece();
    count_ = nullptr;
    name_ = nullptr;
    if (!piece) return;
    count();
    word(QStringLiteral("×"));
    name_ = nameField();
    flow_->addWidget(name_);
    word(tr("in"));
    QStringList kinds;
    for (const auto& c : session_.library().chocolates) kinds << QString::fromStdString(c.name).toLower();
    choice(
        tr("Chocolate"), kinds,
        [this](const Piece& p) {
            for (size_t i = 0; i < session_.library().chocolates.size(); ++i)
                if (session_.library().chocolates[i].id == p.chocolate) return static_cast<int>(i);
            return 0;
        },
        [this](Piece& p, int i) {
            p.chocolate = session_.library().chocolates[static_cast<size_t>(i)].id;
            // the bath follows the new chocolate's working temperature
            if (const auto c = coatingOf(p, session_.plan(), session_.library()))
                for (auto& coat : p.coats())
                    if (coat.temperature.value < c->workLow - 3 || coat.temperature.value > c->workHigh + 3)
                        coat.temperature = Measure(c->working());
        });
    const auto* chocolate = session_.library().find(piece->chocolate);
    if (chocolate && chocolate->kind == "couverture")
        choice(
            tr("Temper"), {tr("tempered"), tr("untempered")},
            [](const Piece& p) { return p.temper == material::Temper::Tempered ? 0 : 1; },
            [](Piece& p, int i) { p.temper = i ? material::Temper::Untempered : material::Temper::Tempered; });
    choice(
        tr("Thinned with"),
        {tr("not thinned"), tr("2 % cocoa butter"), tr("5 % cocoa butter"), tr("2 % oil"), tr("5 % oil")},
        [](const Piece& p) {
            if (p.thinner == material::Thinner::None || p.thinnerShare <= 0) return 0;
            const int strong = p.thinnerShare > 0.035 ? 1 : 0;
            return (p.thinner == material::Thinner::CocoaButter ? 1 : 3) + strong;
        },
        [](Piece& p, int i) {
            p.thinner = i == 0  ? material::Thinner::None
                        : i < 3 ? material::Thinner::CocoaButter
                                : material::Thinner::VegetableOil;
            p.thinnerShare = i == 0 ? 0 : (i == 1 || i == 3) ? 0.02 : 0.05;
        });
    buildPart(piece->shape, item_.toStdString());
    if (!item_.isEmpty()) return;
    const bool wall = piece->family().body == form::Body::Wall || piece->family().body == form::Body::Compound,
               hollow = wall && !piece->roundSomething();
    if (wall) {
        word(tr("Wall at least"));
        figure(tr("Wall wanted"), QStringLiteral("wantedWall"), Dimension::Length, "mm",
               [](Piece& p) { return &p.wantedWall; });
    }
    if (!hollow) return;
    if (const Filling* filling = session_.plan().fillingOf(*piece)) {
        word(tr("holding"));
        figure(tr("Filling in each"), QStringLiteral("filling/each"), Dimension::Volume, "",
               [](Piece& p) -> Measure* { return p.fill() ? &p.fill()->each : nullptr; });
        word(tr("of"));
        auto* name = new QLineEdit(qstring(filling->name));
        name->setAccessibleName(tr("Name of the filling; empty for none"));
        name->setToolTip(name->accessibleName());
        name->setMaxLength(60);
        name->setFixedWidth(std::clamp(name->fontMetrics().horizontalAdvance(name->text()) + 28, 90, 230));
        connect(name, &QLineEdit::editingFinished, this, [this, name, id = piece->id] {
            const std::string words = name->text().trimmed().toStdString();
            session_.document().edit(words.empty() ? tr("Take the filling out") : tr("Rename the filling"),
                                     [&](Plan& plan) {
                                         for (auto& p : plan.pieces) {
                                             if (p.id != id) continue;
                                             if (Filling* f = plan.fillingOf(p); f && !words.empty()) f->name = words;
                                             if (!words.empty()) continue;
                                             p.without<FillStep>();
                                             p.without<LidStep>();
                                             p.complete();
                                         }
                                     });
        });
        flow_->addWidget(name);
        auto* details = new QPushButton(tr("recipe and lid"));
        details->setObjectName(QStringLiteral("fillingDetails"));
        details->setProperty("flat", true);
        details->setToolTip(tr("How full, the lid on it, its recipe and when it is good"));
        connect(details, &QPushButton::clicked, this, &RecipeLine::fillingWanted);
        flow_->addWidget(details);
    } else {
        auto* more = new GlyphButton(Glyph::Plus, tr("filling"), 16);
        more->setProperty("flat", true);
        connect(more, &QPushButton::clicked, this, [this] {
            const std::string id = session_.piece() ? session_.piece()->id : "";
            session_.document().edit(tr("Add a filling"), [&](Plan& plan) {
                for (auto& p : plan.pieces)
                    if (p.id == id) plan.fillWith(p, plan.freshFilling());
            });
        });
        flow_->addWidget(more);
    }
}

void RecipeLine::setItem(const QString& key) {
    item_ = key;
    built_.clear();
    refresh();
}

void RecipeLine::buildPart(const form::Part& whole, const std::string& item) {
    // The figures of one item of a compound are the compound's until a person changes them.
    form::Part part = whole;
    if (!item.empty()) {
        const auto answers = session_.pieceAnswers(session_.piece()->id);
        if (!answers || !answers->made) return;
        const auto& items = answers->made->assembly.items;
        const auto it = std::find_if(items.begin(), items.end(), [&](const form::Item& i) { return i.key == item; });
        if (it == items.end()) return;
        part = it->part;
        auto* name = new QLabel(QString::fromStdString(it->name) + QStringLiteral(":"));
        name->setStyleSheet(QStringLiteral("font-weight: 600;"));
        name->setMinimumHeight(28);
        flow_->addWidget(name);
    }
    const form::Family* family = form::family(part.family);
    if (!family) return;
    const auto chooses = [&](const form::Choice& c) {
        QStringList words;
        for (const auto& o : c.options)
            words << (o == "points" ? tr("outline from a file") : QString::fromStdString(o));
        if (!form::asked(part, c.only)) return;
        choice(
            qstring(c.name), words,
            [key = c.key](const Piece& p) {
                const form::Choice* options = p.family().choice(key);
                if (!options) return 0;
                const auto found =
                    std::find(options->options.begin(), options->options.end(), form::choice(p.shape, key));
                return found == options->options.end() ? 0 : static_cast<int>(found - options->options.begin());
            },
            [key = c.key, options = c.options](Piece& p, int i) {
                p.shape.choices[key] = options[static_cast<size_t>(i)];
            });
    };
    for (const auto& c : family->choices)
        if (item.empty() && c.key != "glue") chooses(c);
    for (const auto& f : family->fields) {
        if (f.key == "wall" && item.empty() && session_.piece()->wallFromCoats()) continue;  // its coats say
        if (!form::asked(part, f.only)) continue;
        if (!f.before.empty()) {
            QString words = qstring(f.before);
            if (words.startsWith(QLatin1Char(';')) || words.startsWith(QLatin1Char(',')))
                words = words.mid(1).trimmed();
            word(words);
        }
        const QString place =
            item.empty()
                ? QStringLiteral("former/") + QString::fromStdString(f.key)
                : QStringLiteral("former/own/%1/%2").arg(QString::fromStdString(item), QString::fromStdString(f.key));
        const Measure usual(form::figure(part, f.key));
        figure(
            qstring(f.name), place, f.dimension,
            f.unit.empty() && f.dimension == Dimension::Length ? "mm" : f.unit.c_str(),
            [key = f.key, item, usual](Piece& p) -> Measure* {
                form::Figures& figures = item.empty() ? p.shape.values : p.shape.own[item];
                return &figures.try_emplace(key, usual).first->second;
            },
            f.whole);
    }
    if (const auto* glue = family->choice("glue"); glue && item.empty()) {
        word(tr("joined with"));
        chooses(*glue);
    }
    if (item.empty() && family->points == "profile") {
        auto* draw = new QPushButton(tr("Draw its profile …"));
        draw->setProperty("flat", true);
        draw->setObjectName(QStringLiteral("drawProfile"));
        connect(draw, &QPushButton::clicked, this, &RecipeLine::drawingWanted);
        flow_->addWidget(draw);
    }
    if (item.empty() && (!family->points.empty() || form::fromFile(part))) {
        auto* file = new QPushButton(form::fromFile(part)          ? tr("Model file …")
                                     : family->points == "profile" ? tr("Profile from an SVG file …")
                                                                   : tr("Outline from an SVG file …"));
        file->setProperty("flat", true);
        file->setObjectName(QStringLiteral("partFile"));
        connect(file, &QPushButton::clicked, this, &RecipeLine::fileWanted);
        flow_->addWidget(file);
    }
    if (!item.empty() && whole.own.contains(item)) {
        auto* back = new QPushButton(tr("Follow the whole again"));
        back->setProperty("flat", true);
        connect(back, &QPushButton::clicked, this, [this, item] {
            session_.editPiece(tr("Let a part follow the whole"), [&](Piece& p) { p.shape.own.erase(item); });
        });
        flow_->addWidget(back);
    }
}

namespace {

/// The words on which other figures and choices hang.
QString decisive(const form::Part& part) {
    const form::Family* family = form::family(part.family);
    std::set<std::string> keys;
    if (!family) return {};
    for (const auto& f : family->fields) keys.insert(f.only.choice);
    for (const auto& c : family->choices) keys.insert(c.only.choice);
    QStringList words;
    for (const auto& key : keys) words << qstring(key.empty() ? key : form::choice(part, key));
    return words.join('/');
}

}  // namespace

void RecipeLine::refresh() {
    const Piece* piece = session_.piece();
    QString kind;
    if (piece) {
        const auto* chocolate = session_.library().find(piece->chocolate);
        kind = QString::fromStdString(piece->id) + "/" + QString::fromStdString(piece->shape.family) + "/" +
               decisive(piece->shape) + "/" + item_ + (piece->shape.own.contains(item_.toStdString()) ? "+" : "") +
               (chocolate ? QString::fromStdString(chocolate->kind) : QString()) +
               (piece->wallFromCoats() ? QStringLiteral("/coats") : QString()) +
               (session_.plan().fillingOf(*piece) ? qstring(session_.plan().fillingOf(*piece)->name) : QString());
    }
    if (kind != built_) {
        built_ = kind;
        build();
    }
    if (!piece) return;
    Piece copy = *piece;
    const std::string at = "pieces/" + piece->id + "/";
    for (const auto& f : figures_) {
        if (const Measure* m = f.of(copy)) f.field->setMeasure(*m, session_.units());
        f.field->setProblem(session_.problemAt(at + f.field->place().toStdString()));
    }
    Measure number(piece->count);
    count_->setMeasure(number, session_.units());
    count_->setProblem(session_.problemAt(at + "count"));
    for (const auto& c : choices_) c.box->setCurrentIndex(c.of(*piece));
    if (!name_->hasFocus()) {
        name_->setText(QString::fromStdString(piece->name));
        name_->setFixedWidth(std::clamp(name_->fontMetrics().horizontalAdvance(name_->text()) + 28, 90, 240));
    }
    updateGeometry();
}

}  // namespace uovo::desktop
