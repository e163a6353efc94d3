#include "desktop/shape/recipe_line.h"

#include <QPushButton>
#include <algorithm>
#include <set>

#include "core/document/edits.h"
#include "core/form/joint.h"
#include "desktop/shape/part_menu.h"
#include "desktop/shell/sheet.h"
#include "desktop/theme/glyph_button.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

/// Names of all chocolates, in the library's order.
QStringList chocolateNames(const material::Library& library) {
    QStringList out;
    for (const auto& c : library.chocolates) out << qstring(c.name).toLower();
    return out;
}

constexpr int kMoldsOffered = 24;

/// As wide as its words.
void fitWords(WordsField* f, const QString& words, int most) {
    f->setWords(words);
    f->edit()->setFixedWidth(std::clamp(f->edit()->fontMetrics().horizontalAdvance(f->edit()->text()) + 28, 90, most));
}

}  // namespace

RecipeLine::RecipeLine(Session& session, QWidget* parent)
    : QWidget(parent), session_(session), flow_(new FlowLayout(6, 5)) {
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

void RecipeLine::word(const QString& text) { flow_->addWidget(lineWord(text)); }

void RecipeLine::figure(const QString& name, const QString& place, Dimension dimension, const char* unit,
                        std::function<Measure*(Piece&)> of, bool whole) {
    TypingContext context = session_.typing(dimension, unit, session_.piece());
    context.fractions = !whole;
    auto* f = new FigureField(name, place, context);
    connect(f, &FigureField::measureTyped, this, [this, f, of, name](const Measure& m) {
        f->refuse(session_.typedOfPiece(f->place(), tr("Change %1").arg(name.toLower()), [&](Piece& p) {
            if (Measure* target = of(p)) *target = m;
        }));
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

void RecipeLine::nameField() {
    name_ = new WordsField(tr("Name of the piece"), QStringLiteral("name"), [this](const QString& said) {
        if (said.isEmpty()) return tr("A piece needs a name.");
        session_.editPiece(tr("Rename"), [&](Piece& p) { p.name = said.toStdString(); });
        return QString();
    });
    name_->edit()->setMaxLength(60);
    flow_->addWidget(name_);
}

void RecipeLine::count() {
    TypingContext c = session_.typing(Dimension::Count, "", nullptr);
    count_ = new FigureField(tr("How many"), QStringLiteral("count"), c);
    connect(count_, &FigureField::measureTyped, this, [this, f = count_](const Measure& m) {
        f->refuse(session_.typedOfPiece(f->place(), tr("Change how many"),
                                        [&](Piece& p) { p.count = static_cast<int>(std::min(1e9, m.value)); }));
    });
    flow_->addWidget(count_);
}

void RecipeLine::chocolate(const Piece& piece) {
    choice(
        tr("Chocolate"), chocolateNames(session_.library()),
        [this](const Piece& p) {
            for (size_t i = 0; i < session_.library().chocolates.size(); ++i)
                if (session_.library().chocolates[i].id == p.chocolate) return static_cast<int>(i);
            return 0;
        },
        [this](Piece& p, int i) {
            setChocolate(p, session_.library().chocolates[static_cast<size_t>(i)].id, session_.plan(),
                         session_.library());
        });
    const auto* chocolate = session_.library().find(piece.chocolate);
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
    if (!item_.isEmpty()) return buildPart(piece->shape, item_.toStdString());
    count();
    word(QStringLiteral("×"));
    nameField();
    word(tr("in"));
    chocolate(*piece);
    buildPart(piece->shape, {});
    const bool wall = piece->family().body == form::Body::Wall || piece->family().body == form::Body::Compound,
               hollow = wall && !piece->roundSomething();
    if (wall) {
        word(tr("Wall at least"));
        figure(tr("Wall wanted"), QStringLiteral("wantedWall"), Dimension::Length, "mm",
               [](Piece& p) { return &p.wantedWall; });
    }
    if (hollow) filling(*piece);
    if (piece->usesMolds()) molds(*piece);
    if (takesOwnMolds(*piece))
        button(tr("its own mold"), QStringLiteral("ownMold"),
               tr("How its mold is made and comes off, and when it is begun"), [this] { emit moldWanted(); });
}

void RecipeLine::molds(const Piece& piece) {
    QStringList words{tr("molds enough")};
    for (int n = 1; n <= std::max(piece.molds, kMoldsOffered); ++n)
        words << (n == 1 ? tr("one mold") : tr("%1 molds").arg(n));
    choice(
        tr("Molds that are there"), words, [](const Piece& p) { return p.molds; },
        [](Piece& p, int i) { p.molds = i; });
}

void RecipeLine::filling(const Piece& piece) {
    if (const Filling* filling = session_.plan().fillingOf(piece)) {
        if (piece.fill()->share.value > 0) {
            word(tr("filled"));
            figure(tr("Share that is filled"), QStringLiteral("filling/share"), Dimension::Percent, "",
                   [](Piece& p) -> Measure* { return p.fill() ? &p.fill()->share : nullptr; });
            word(tr("with"));
        } else {
            word(tr("holding"));
            figure(tr("Filling in each"), QStringLiteral("filling/each"), Dimension::Volume, "",
                   [](Piece& p) -> Measure* { return p.fill() ? &p.fill()->each : nullptr; });
            word(tr("of"));
        }
        auto* name = new WordsField(tr("Name of the filling; empty for none"), QStringLiteral("filling/name"),
                                    [this, id = piece.id](const QString& said) {
                                        session_.document().edit(
                                            said.isEmpty() ? tr("Take the filling out") : tr("Rename the filling"),
                                            [&](Plan& plan) {
                                                for (auto& p : plan.pieces) {
                                                    if (p.id != id) continue;
                                                    if (Filling* f = plan.fillingOf(p); f && !said.isEmpty())
                                                        f->name = said.toStdString();
                                                    if (!said.isEmpty()) continue;
                                                    p.without<FillStep>();
                                                    p.without<LidStep>();
                                                    p.complete();
                                                }
                                            });
                                        return QString();
                                    });
        name->edit()->setMaxLength(60);
        fitWords(name, qstring(filling->name), 230);
        flow_->addWidget(name);
        button(tr("recipe and lid"), QStringLiteral("fillingDetails"),
               tr("How full, the lid on it, its recipe and when it is good"), [this] { emit fillingWanted(); });
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

namespace {

/// The part whose figures are asked for: the whole, or an item of an assembly; null of a compound's.
form::Part* partOf(Piece& p, const std::string& item) {
    if (item.empty()) return &p.shape;
    form::PartItem* found = form::itemOf(p.shape, item);
    return found ? &found->part : nullptr;
}
const form::Part* partOf(const Piece& p, const std::string& item) { return partOf(const_cast<Piece&>(p), item); }

}  // namespace

void RecipeLine::button(const QString& words, const QString& name, const QString& tip,
                        const std::function<void()>& does) {
    auto* b = new QPushButton(words);
    b->setObjectName(name);
    b->setProperty("flat", true);
    b->setToolTip(tip);
    connect(b, &QPushButton::clicked, this, does);
    flow_->addWidget(b);
}

void RecipeLine::ownChocolate(const std::string& item) {
    word(tr("in"));
    choice(
        tr("Chocolate of this part"), QStringList{tr("as the whole")} + chocolateNames(session_.library()),
        [this, item](const Piece& p) {
            const std::string id = chocolateOf(p, item);
            const auto& all = session_.library().chocolates;
            const auto found = std::ranges::find(all, id, &material::Chocolate::id);
            return found == all.end() ? 0 : static_cast<int>(found - all.begin()) + 1;
        },
        [this, item](Piece& p, int i) {
            const auto answers = session_.pieceAnswers(p.id);
            if (!answers || !answers->made) return;
            setChocolateOf(p, item,
                           i == 0 ? std::string() : session_.library().chocolates[static_cast<size_t>(i) - 1].id,
                           answers->made->assembly, session_.plan(), session_.library());
        });
}

void RecipeLine::place(const std::string& item) {
    struct Says {
        QString before, name;
    };
    const auto three = [&](const std::array<Says, 3>& says, const char* key, Dimension dimension, const char* unit,
                           std::array<Measure, 3> form::PartItem::*member) {
        for (size_t i = 0; i < 3; ++i) {
            word(says[i].before);
            figure(
                says[i].name, QStringLiteral("former/items/%1/%2/%3").arg(qstring(item), QLatin1String(key)).arg(i),
                dimension, unit,
                [item, member, i](Piece& p) -> Measure* {
                    form::PartItem* found = form::itemOf(p.shape, item);
                    return found ? &(found->*member)[i] : nullptr;
                },
                dimension != Dimension::Count);
        }
    };
    three({{{tr("stands right"), tr("How far to the right it stands")},
            {tr("back"), tr("How far to the back it stands")},
            {tr("up"), tr("How far up it stands")}}},
          "at", Dimension::Length, "mm", &form::PartItem::at);
    three({{{tr("tipped back °"), tr("Tipped back, degrees")},
            {tr("aside °"), tr("Tipped aside, degrees")},
            {tr("turned °"), tr("Turned round, degrees")}}},
          "turn", Dimension::Count, "", &form::PartItem::turn);
    if (brief_) return;
    const Piece& piece = *session_.piece();
    for (size_t j = 0; j < piece.shape.joints.size(); ++j) {
        const form::PartJoint& joint = piece.shape.joints[j];
        if (joint.a != item && joint.b != item) continue;
        word(tr("glued to"));
        std::vector<std::string> keys;
        QStringList names;
        for (const auto& other : piece.shape.items)
            if (other.key != item) {
                keys.push_back(other.key);
                names << qstring(other.name);
            }
        const auto other = [item](form::PartJoint& g) -> std::string& { return g.a == item ? g.b : g.a; };
        choice(
            tr("Glued to"), names,
            [keys, other, j](const Piece& p) {
                if (j >= p.shape.joints.size()) return 0;
                form::PartJoint g = p.shape.joints[j];
                const auto found = std::ranges::find(keys, other(g));
                return found == keys.end() ? 0 : static_cast<int>(found - keys.begin());
            },
            [keys, other, j](Piece& p, int i) {
                if (j < p.shape.joints.size()) other(p.shape.joints[j]) = keys[static_cast<size_t>(i)];
            });
        word(tr("along"));
        figure(tr("Length of the joint"), QStringLiteral("former/joints/%1/length").arg(j), Dimension::Length, "mm",
               [j](Piece& p) -> Measure* { return j < p.shape.joints.size() ? &p.shape.joints[j].length : nullptr; });
        QStringList ways{tr("as the whole")};
        for (const auto& g : form::glues()) ways << qtr(g.c_str());
        choice(
            tr("How it is glued"), ways,
            [j](const Piece& p) {
                const auto known = form::glues();
                if (j >= p.shape.joints.size()) return 0;
                const auto at = std::ranges::find(known, p.shape.joints[j].glue);
                return at == known.end() ? 0 : static_cast<int>(at - known.begin()) + 1;
            },
            [j](Piece& p, int i) {
                if (j < p.shape.joints.size())
                    p.shape.joints[j].glue = i == 0 ? std::string() : form::glues()[static_cast<size_t>(i) - 1];
            });
        button(tr("unglue"), QStringLiteral("unglue/%1").arg(j), tr("Take this joint out"), [this, j] {
            session_.editPiece(tr("Take a joint out"), [j](Piece& p) {
                if (j < p.shape.joints.size())
                    p.shape.joints.erase(p.shape.joints.begin() + static_cast<std::ptrdiff_t>(j));
            });
        });
    }
    if (piece.shape.items.size() > 1)
        button(tr("+ joint"), QStringLiteral("addJoint"), tr("Where else this part is glued"), [this, item] {
            session_.editPiece(tr("Add a joint"), [&](Piece& p) {
                form::PartJoint joint;
                joint.a = item;
                for (const auto& other : p.shape.items)
                    if (other.key != item) joint.b = other.key;
                p.shape.joints.push_back(std::move(joint));
            });
        });
    button(tr("Take this part out"), QStringLiteral("removePart"), tr("The part, its joints and its own steps"),
           [this, item] { session_.editPiece(tr("Take a part out"), [&](Piece& p) { removePart(p, item); }); });
}

void RecipeLine::parts(const form::Part& part) {
    if (part.family != form::kAssembly) {
        button(tr("Open into its parts"), QStringLiteral("openParts"),
               tr("Each part free to move, change and glue; the whole no longer follows a few figures"), [this] {
                   session_.editPiece(tr("Open into its parts"), [&](Piece& p) {
                       (void)open(p, session_.plan().meshes);  // what cannot be built is told at its figure already
                   });
               });
        return;
    }
    auto* add = new QPushButton(tr("+ part"));
    add->setObjectName(QStringLiteral("addPart"));
    add->setProperty("flat", true);
    add->setToolTip(tr("Another part, on top of what is there"));
    add->setMenu(partMenu(add, session_));
    flow_->addWidget(add);
}

void RecipeLine::setItem(const QString& key) {
    item_ = key;
    built_.clear();
    refresh();
}

void RecipeLine::partChoice(const form::Choice& c, const std::string& item) {
    QStringList words;
    for (const auto& o : c.options) words << (o == "points" ? tr("outline from a file") : qtr(o.c_str()));
    choice(
        qstring(c.name), words,
        [key = c.key, options = c.options, item](const Piece& p) {
            const form::Part* of = partOf(p, item);
            const auto found = std::find(options.begin(), options.end(), of ? form::choice(*of, key) : std::string());
            return found == options.end() ? 0 : static_cast<int>(found - options.begin());
        },
        [key = c.key, options = c.options, item](Piece& p, int i) {
            if (form::Part* of = partOf(p, item)) of->choices[key] = options[static_cast<size_t>(i)];
        });
}

void RecipeLine::partFigure(const form::Field& f, const Measure& usual, const std::string& item, bool free) {
    if (!f.before.empty()) {
        QString words = qstring(f.before);
        if (words.startsWith(QLatin1Char(';')) || words.startsWith(QLatin1Char(',')))
            words = QStringLiteral("· ") + words.mid(1).trimmed();
        word(words);
    }
    const QString place =
        item.empty() ? QStringLiteral("former/") + QString::fromStdString(f.key)
        : free       ? QStringLiteral("former/items/%1/%2").arg(qstring(item), qstring(f.key))
               : QStringLiteral("former/own/%1/%2").arg(QString::fromStdString(item), QString::fromStdString(f.key));
    figure(
        qstring(f.name), place, f.dimension, f.unit.empty() && f.dimension == Dimension::Length ? "mm" : f.unit.c_str(),
        [key = f.key, item, usual](Piece& p) -> Measure* {
            form::Part* of = partOf(p, item);
            form::Figures& figures = of ? of->values : p.shape.own[item];
            return &figures.try_emplace(key, usual).first->second;
        },
        f.whole);
}

void RecipeLine::buildPart(const form::Part& whole, const std::string& item) {
    // The figures of one item of a compound are the compound's until a person changes them.
    form::Part part = whole;
    if (!item.empty()) {
        std::string called;
        bool edible = true;
        if (const auto* own = form::itemOf(whole, item)) {
            part = own->part;
            called = own->name;
            edible = own->edible;
        } else {  // of a ready-made compound the recipe knows
            const auto answers = session_.pieceAnswers(session_.piece()->id);
            if (!answers || !answers->made) return;
            const auto& items = answers->made->assembly.items;
            const auto it = std::ranges::find(items, item, &form::Item::key);
            if (it == items.end()) return;
            part = it->part;
            called = it->name;
            edible = it->edible;
        }
        if (!brief_) {
            auto* name = lineWord(qstring(called) + QStringLiteral(":"));
            name->setStyleSheet(QStringLiteral("font-weight: 600;"));
            flow_->addWidget(name);
        }
        if (edible) ownChocolate(item);
    }
    const bool free = !item.empty() && whole.family == form::kAssembly;  // its figures are its own
    const form::Family* family = form::family(part.family);
    if (!family) return;
    for (const auto& c : family->choices)
        if ((item.empty() || free) && c.key != "glue" && form::asked(part, c.only)) partChoice(c, item);
    for (const auto& f : family->fields) {
        if (f.key == "wall" && item.empty() && session_.piece()->wallFromCoats()) continue;  // its coats say
        if (!form::asked(part, f.only)) continue;
        partFigure(f, form::figure(part, f.key), item, free);
    }
    if (const auto* glue = family->choice("glue"); glue && item.empty()) {
        word(tr("joined with"));
        if (form::asked(part, glue->only)) partChoice(*glue, item);
    }
    if (item.empty() && family->points == "profile") {
        button(tr("Draw its profile …"), QStringLiteral("drawProfile"), {}, [this] { emit drawingWanted(); });
    }
    if (item.empty() && (!family->points.empty() || form::fromFile(part))) {
        button(form::fromFile(part)          ? tr("Model file …")
               : family->points == "profile" ? tr("Profile from an SVG file …")
                                             : tr("Outline from an SVG file …"),
               QStringLiteral("partFile"), {}, [this] { emit fileWanted(); });
    }
    if ((item.empty() || free) && family->points == "outline")
        button(tr("Picture or letters …"), QStringLiteral("outlineFrom"),
               tr("An outline traced from a photo or scan, or a letter or word"),
               [this, item] { emit outlineWanted(qstring(item)); });
    if (free) place(item);
    if (item.empty() && family->body == form::Body::Compound) parts(part);
    if (!item.empty() && whole.own.contains(item)) {
        button(tr("Follow the whole again"), QStringLiteral("followWhole"), {}, [this, item] {
            session_.editPiece(tr("Let a part follow the whole"), [&](Piece& p) { p.shape.own.erase(item); });
        });
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
        QString joined;  // what an item's sentence names
        if (!item_.isEmpty())
            for (const auto& j : piece->shape.joints) joined += qstring(j.a + ">" + j.b + ",");
        for (const auto& i : piece->shape.items) joined += qstring(i.key + ",");
        const auto* chocolate = session_.library().find(piece->chocolate);
        kind = QString::fromStdString(piece->id) + "/" + QString::fromStdString(piece->shape.family) + "/" +
               decisive(piece->shape) + "/" + joined + "/" + item_ + "/" +
               (partOf(*piece, item_.toStdString()) ? decisive(*partOf(*piece, item_.toStdString())) : QString()) +
               (piece->shape.own.contains(item_.toStdString()) ? "+" : "") +
               (chocolate ? QString::fromStdString(chocolate->kind) : QString()) +
               (piece->wallFromCoats() ? QStringLiteral("/coats") : QString()) +
               (piece->molds > kMoldsOffered ? QString::number(piece->molds) : QString()) +
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
        QString wrong = session_.problemAt(at + f.field->place().toStdString());
        // what does not go in is told where it is written, too
        if (const auto mine = session_.pieceAnswers(piece->id);
            wrong.isEmpty() && mine && f.field->place() == QStringLiteral("filling/each"))
            for (const auto& a : mine->answers)
                if (a.id == "holds" && a.tone == Tone::Impossible) wrong = qstring(a.sentence);
        f.field->setProblem(wrong);
    }
    if (count_) {
        count_->setMeasure(Measure(piece->count), session_.units());
        count_->setProblem(session_.problemAt(at + "count"));
    }
    for (const auto& c : choices_) c.box->setCurrentIndex(c.of(*piece));
    if (name_) fitWords(name_, qstring(piece->name), 240);
    updateGeometry();
}

}  // namespace uovo::desktop
