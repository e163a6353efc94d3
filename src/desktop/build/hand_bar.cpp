#include "desktop/build/hand_bar.h"

#include <QHBoxLayout>
#include <QPushButton>
#include <QVBoxLayout>

#include "core/assembly/arrange.h"
#include "core/document/edits.h"
#include "core/quantity/words.h"
#include "desktop/kit/flow_layout.h"
#include "desktop/kit/widgets.h"
#include "desktop/shape/part_menu.h"
#include "desktop/shape/recipe_line.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

struct Act {
    int key;
    const char *name, *words, *tip;
};
// what each button says of the part, as a person could write it
constexpr Act kActs[] = {
    {Qt::Key_T, QT_TRANSLATE_NOOP("uovo::desktop::HandBar", "Turn"), "turned 15°",
     QT_TRANSLATE_NOOP("uovo::desktop::HandBar", "15° to the left (T)")},
    {-Qt::Key_T, QT_TRANSLATE_NOOP("uovo::desktop::HandBar", "Turn back"), "turned -15°",
     QT_TRANSLATE_NOOP("uovo::desktop::HandBar", "15° to the right (Shift T)")},
    {Qt::Key_S, QT_TRANSLATE_NOOP("uovo::desktop::HandBar", "Stand up"), "standing",
     QT_TRANSLATE_NOOP("uovo::desktop::HandBar", "A flat part on its edge, or lying again (S)")},
    {Qt::Key_U, QT_TRANSLATE_NOOP("uovo::desktop::HandBar", "Upside down"), "upside down",
     QT_TRANSLATE_NOOP("uovo::desktop::HandBar", "Turned over (U)")},
    {Qt::Key_L, QT_TRANSLATE_NOOP("uovo::desktop::HandBar", "Let down"), "",
     QT_TRANSLATE_NOOP("uovo::desktop::HandBar", "Until it rests (L)")},
    {Qt::Key_C, QT_TRANSLATE_NOOP("uovo::desktop::HandBar", "Copy"), "",
     QT_TRANSLATE_NOOP("uovo::desktop::HandBar", "Once more, beside it (C)")},
    {Qt::Key_M, QT_TRANSLATE_NOOP("uovo::desktop::HandBar", "Mirror"), "mirror left to right",
     QT_TRANSLATE_NOOP("uovo::desktop::HandBar", "Its mirror image on the other side (M)")},
    {Qt::Key_Delete, QT_TRANSLATE_NOOP("uovo::desktop::HandBar", "Take out"), "",
     QT_TRANSLATE_NOOP("uovo::desktop::HandBar", "The part and its joints (Delete)")},
};

}  // namespace

HandBar::HandBar(Session& session, HandStage* stage, QWidget* parent)
    : QWidget(parent),
      session_(session),
      stage_(stage),
      name_(new WordsField(tr("Name of the part"), QStringLiteral("partName"),
                           [this](const QString& said) { return rename(said); })),
      place_(new ShortLabel),
      where_(new WordsField(tr("Where it goes"), QStringLiteral("placeWords"),
                            [this](const QString& words) { return say(words); })),
      glue_(new QCheckBox(tr("glue what touches"))),
      buttons_(new QWidget),
      figures_(new RecipeLine(session)) {
    setObjectName(QStringLiteral("handBar"));
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(5);
    auto* line = new QHBoxLayout;
    line->setSpacing(10);
    name_->edit()->setMaxLength(60);
    name_->edit()->setFixedWidth(180);
    name_->edit()->setStyleSheet(QStringLiteral("font-weight: 600;"));
    place_->setObjectName(QStringLiteral("handPlace"));
    place_->setProperty("quiet", true);
    glue_->setObjectName(QStringLiteral("glueTouches"));
    glue_->setChecked(true);
    glue_->setToolTip(tr("Joints are made where the part touches others, and dropped where it no longer does"));
    line->addWidget(name_);
    line->addWidget(place_, 1);
    line->addWidget(glue_);
    column->addLayout(line);
    where_->edit()->setPlaceholderText(tr("on the rim at 30°, repeat 8 round it"));
    where_->edit()->setToolTip(tr(
        "Say where it goes: on the base, under the lid, right of the tub, against the wall, on the rim of the bowl at "
        "30°; 12 mm from the left edge, flush with the base on the back, 5 mm up, 40 mm high; standing, lying, upside "
        "down, turned 45°, leaning 10° back; repeat 8 round the rim, repeat 3 every 40 mm to the right, mirror left "
        "to right"));
    where_->edit()->setMinimumWidth(200);
    column->addWidget(where_);
    figures_->setBrief();
    figures_->setObjectName(QStringLiteral("partFigures"));
    column->addWidget(figures_);
    auto* flow = new FlowLayout(6, 4);
    buttons_->setLayout(flow);
    auto* add = toolButton(tr("+ part"), tr("Another part, on top of what is there"));
    add->setObjectName(QStringLiteral("handAdd"));
    add->setMenu(partMenu(add, session_, [this](const QString& key) { stage_->choose(key); }));
    flow->addWidget(add);
    for (const auto& act : kActs) {
        auto* b = toolButton(tr(act.name), tr(act.tip));
        b->setObjectName(QStringLiteral("hand/%1").arg(QString::fromLatin1(act.name)));
        connect(b, &QPushButton::clicked, this, [this, key = act.key] { edit(key); });
        flow->addWidget(b);
    }
    column->addWidget(buttons_);
    connect(stage_, &HandStage::chosenChanged, this, &HandBar::refresh);
    connect(stage_, &HandStage::put, this, &HandBar::put);
    connect(stage_, &HandStage::editWanted, this, &HandBar::edit);
}

void HandBar::refresh() {
    const Piece* piece = session_.piece();
    const auto* item = piece ? form::itemOf(piece->shape, stage_->chosen().toStdString()) : nullptr;
    name_->setWords(item ? qstring(item->name) : QString());
    name_->setEnabled(item);
    place_->clear();
    if (item)
        if (const auto* places = stage_->placer())
            if (const size_t k = static_cast<size_t>(item - piece->shape.items.data()); k < places->size())
                place_->setText(qstring(assembly::whereabouts(*places, piece->shape, k, session_.units())));
    where_->setEnabled(item);
    figures_->setVisible(item);
    const QString key = item ? stage_->chosen() : QString();
    if (key != shown_) figures_->setItem(shown_ = key);
    else figures_->refresh();  // what is being typed stays
    for (auto* b : buttons_->findChildren<QPushButton*>())
        if (b->objectName() != QStringLiteral("handAdd")) b->setEnabled(item);
}

void HandBar::commit(const QString& label, const form::Part& assembly, const std::vector<std::string>& keys) {
    form::Part made = assembly;
    if (glue_->isChecked()) (void)assembly::glueWhatTouches(made, keys, session_.plan().meshes);
    session_.editPiece(label, [&](Piece& p) { p.shape = std::move(made); });
}

QString HandBar::say(const QString& words) {
    const Piece* piece = session_.piece();
    if (!piece || words.isEmpty()) return {};
    const auto said = assembly::saidOf(piece->shape, stage_->chosen().toStdString(), words.toStdString(),
                                       session_.units(), session_.plan().meshes);
    if (!said) return qstring(said.error().sentence);
    const auto* item = form::itemOf(piece->shape, stage_->chosen().toStdString());
    commit(tr("Put %1: %2").arg(item ? qstring(lowerFirst(item->name)) : QString(), words), said->assembly, said->keys);
    where_->edit()->clear();
    return {};
}

QString HandBar::rename(const QString& name) {
    if (name.isEmpty()) return tr("A part needs a name.");
    const Piece* piece = session_.piece();
    const std::string key = stage_->chosen().toStdString();
    if (piece && std::ranges::any_of(piece->shape.items, [&](const form::PartItem& i) {
            return i.key != key && qstring(i.name).compare(name, Qt::CaseInsensitive) == 0;
        }))
        return tr("Another part is called so.");
    session_.editPiece(tr("Rename a part"), [&](Piece& p) {
        if (auto* item = form::itemOf(p.shape, key)) item->name = name.toStdString();
    });
    return {};
}

void HandBar::put(const QString& key, const form::Pose& pose) {
    const Piece* piece = session_.piece();
    const auto* places = stage_->placer();
    const auto* item = piece ? form::itemOf(piece->shape, key.toStdString()) : nullptr;
    if (!item || !places) return;
    form::Part moved = piece->shape;
    assembly::putAt(moved, static_cast<size_t>(item - piece->shape.items.data()), *places, pose);
    commit(tr("Move %1").arg(qstring(lowerFirst(item->name))), moved, {key.toStdString()});
}

void HandBar::takeOut() {
    const std::string key = stage_->chosen().toStdString();
    session_.editPiece(tr("Take a part out"), [&](Piece& p) { removePart(p, key); });
}

void HandBar::edit(int key) {
    const Piece* piece = session_.piece();
    const auto* item = piece ? form::itemOf(piece->shape, stage_->chosen().toStdString()) : nullptr;
    const auto* places = stage_->placer();
    if (!item) return;
    if (key == Qt::Key_Delete) return takeOut();
    if (!places) return;
    const size_t k = static_cast<size_t>(item - piece->shape.items.data());
    if (key == Qt::Key_L) return put(stage_->chosen(), places->rested(k, places->pose(k)).pose);
    if (key == Qt::Key_C) {
        form::Pose beside = places->pose(k);
        beside.at += stage_->seenRight() * (1.1 * (places->box(k).size().x + 0.004));
        form::Part made = piece->shape;
        const auto copy = assembly::copyTo(made, k, *places, places->rested(k, beside).pose);
        if (!copy) return where_->setProblem(qstring(copy.error().sentence));
        const std::string fresh = made.items[*copy].key;
        commit(tr("Copy %1").arg(qstring(lowerFirst(item->name))), made, {fresh});
        return stage_->choose(qstring(fresh));
    }
    for (const auto& act : kActs)
        if (act.key == key) {
            QString words = QString::fromUtf8(act.words);
            if (key == Qt::Key_S && std::abs(places->pose(k).z.z) < 0.7) words = QStringLiteral("lying");
            where_->setProblem(say(words));
        }
}

}  // namespace uovo::desktop
