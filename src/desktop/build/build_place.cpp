#include "desktop/build/build_place.h"

#include <QButtonGroup>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QPushButton>
#include <QVBoxLayout>

#include "core/document/edits.h"
#include "core/quantity/words.h"
#include "desktop/kit/flow_layout.h"
#include "desktop/kit/split.h"
#include "desktop/kit/widgets.h"
#include "desktop/shape/recipe_line.h"
#include "desktop/theme/theme.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

bool hasParts(const Piece& p) { return p.family().body == form::Body::Compound; }

}  // namespace

BuildPlace::BuildPlace(Session& session, QWidget* parent)
    : QWidget(parent),
      session_(session),
      about_(new ShortLabel),
      number_(new QLabel),
      what_(new QLabel),
      how_(new QLabel),
      empty_(wrapped({}, "quiet")),
      pieces_(choiceBox(tr("Which piece"), {})),
      open_(toolButton(tr("Open into its parts"))),
      start_(toolButton(tr("+ from parts"))),
      inOrder_(toolButton(tr("Step by step"))),
      byHand_(toolButton(tr("By hand"))),
      cut_(toolButton(tr("Templates"))),
      found_(toolButton(tr("Find an order"), tr("Yours is dropped, and one is found in which every state stands"))),
      hand_(new HandStage),
      bar_(new HandBar(session, hand_)),
      templates_(new TemplatesView(session)),
      stage_(new BuildStage),
      strip_(new OrderStrip),
      slider_(new QSlider(Qt::Horizontal)),
      joints_(new JointsColumn(session)) {
    setObjectName(QStringLiteral("buildPlace"));
    auto* outer = new QHBoxLayout(this);
    outer->setContentsMargins(0, 0, 0, 0);
    auto* split = new Split(QStringLiteral("build"));
    outer->addWidget(split);
    middle_ = new QWidget;
    auto* column = new QVBoxLayout(middle_);
    column->setContentsMargins(26, 14, 18, 12);
    column->setSpacing(6);
    column->addWidget(head());
    column->addWidget(empty_, 1);
    empty_->setAlignment(Qt::AlignTop | Qt::AlignLeft);
    empty_->setContentsMargins(0, 12, 0, 0);
    column->addWidget(stage_, 1);
    column->addWidget(hand_, 1);
    column->addWidget(bar_);
    column->addWidget(templates_, 1);
    below_ = new QWidget;
    auto* below = new QVBoxLayout(below_);
    below->setContentsMargins(0, 0, 0, 0);
    below->setSpacing(6);
    auto* line = new QHBoxLayout;
    line->setSpacing(14);
    number_->setStyleSheet(QStringLiteral("font-size: 30px; font-weight: 700;"));
    number_->setMinimumWidth(34);
    auto* words = new QVBoxLayout;
    words->setSpacing(1);
    for (auto* l : {what_, how_}) l->setWordWrap(true);
    how_->setProperty("quiet", true);
    what_->setObjectName(QStringLiteral("stepWhat"));
    what_->setStyleSheet(QStringLiteral("font-size: 17px; font-weight: 600;"));
    how_->setObjectName(QStringLiteral("stepHow"));
    words->addWidget(what_);
    words->addWidget(how_);
    line->addWidget(number_, 0, Qt::AlignTop);
    line->addLayout(words, 1);
    found_->setObjectName(QStringLiteral("findOrder"));
    line->addWidget(found_, 0, Qt::AlignTop);
    below->addLayout(line);
    below->addWidget(strip_);
    slider_->setObjectName(QStringLiteral("buildSlider"));
    slider_->setAccessibleName(tr("Step of putting together"));
    slider_->setPageStep(1);
    slider_->setMinimumHeight(24);
    below->addWidget(slider_);
    column->addWidget(below_);
    split->addPane(middle_, 0);
    split->addPane(joints_, 310);
    joints_->setAutoFillBackground(true);
    connect(slider_, &QSlider::valueChanged, this, [this](int v) { setStep(static_cast<size_t>(v)); });
    connect(strip_, &OrderStrip::stepChosen, this, &BuildPlace::setStep);
    connect(strip_, &OrderStrip::moveWanted, this, &BuildPlace::reorder);
    connect(found_, &QPushButton::clicked, this,
            [this] { session_.editPiece(tr("Find an order"), [](Piece& p) { p.having<JoinStep>().order.clear(); }); });
    connect(joints_, &JointsColumn::stepWanted, this, &BuildPlace::setStep);
    connect(joints_, &JointsColumn::mendWanted, this,
            [this] { emit mendWanted(byHand() ? hand_->chosen() : QString()); });
    connect(joints_, &JointsColumn::workingWanted, this, &BuildPlace::workingWanted);
    connect(pieces_, &QComboBox::activated, this, [this](int i) { session_.select(pieces_->itemData(i).toString()); });
    connect(open_, &QPushButton::clicked, this, [this] {
        byHand_->setChecked(true);
        session_.editPiece(tr("Open into its parts"), [this](Piece& p) { (void)open(p, session_.plan().meshes); });
    });
    connect(start_, &QPushButton::clicked, this, &BuildPlace::start);
    for (auto* b : {byHand_, cut_}) connect(b, &QPushButton::toggled, this, &BuildPlace::refresh);
    connect(bar_->figures(), &RecipeLine::outlineWanted, this, &BuildPlace::outlineWanted);
    connect(templates_, &TemplatesView::said, this, &BuildPlace::said);
    connect(&session_, &Session::planChanged, this, [this] { stage_->setStale(true); });
    connect(&session_, &Session::answersChanged, this, &BuildPlace::refresh);
    connect(&session_, &Session::selectionChanged, this, &BuildPlace::refresh);
}

QWidget* BuildPlace::head() {
    auto* bar = new QWidget;
    auto* column = new QVBoxLayout(bar);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(4);
    auto* row = new QHBoxLayout;
    row->setSpacing(14);
    column->addLayout(row);
    pieces_->setObjectName(QStringLiteral("buildPiece"));
    pieces_->setStyleSheet(QStringLiteral("font-size: 19px; font-weight: 700;"));
    pieces_->setSizeAdjustPolicy(QComboBox::AdjustToContents);
    pieces_->setSizePolicy(QSizePolicy::Fixed, QSizePolicy::Fixed);
    about_->setProperty("quiet", true);
    about_->setObjectName(QStringLiteral("buildAbout"));
    open_->setObjectName(QStringLiteral("openCompound"));
    open_->setToolTip(
        tr("It becomes an assembly of its own: parts and joints can be added, moved and taken out in Shape"));
    row->addWidget(pieces_);
    row->addWidget(about_, 1);
    for (auto* b : {inOrder_, byHand_, cut_}) b->setCheckable(true);
    cut_->setObjectName(QStringLiteral("buildTemplates"));
    cut_->setToolTip(tr("What all pieces of the plan are cut from: sheets, and patterns of acetate"));
    inOrder_->setObjectName(QStringLiteral("buildInOrder"));
    byHand_->setObjectName(QStringLiteral("buildByHand"));
    inOrder_->setToolTip(tr("The order in which it is put together"));
    byHand_->setToolTip(tr("Take its parts and put them where they belong"));
    inOrder_->setChecked(true);
    auto* either = new QButtonGroup(this);
    either->addButton(inOrder_);
    either->addButton(byHand_);
    either->addButton(cut_);
    start_->setObjectName(QStringLiteral("startFromParts"));
    start_->setToolTip(tr("A new piece, put together from parts of your choice"));
    auto* ways = new QWidget;
    auto* flow = new FlowLayout(8, 4);
    ways->setLayout(flow);
    for (auto* b : {inOrder_, byHand_, cut_, open_, start_}) flow->addWidget(b);
    column->addWidget(ways);
    return bar;
}

void BuildPlace::fillPieces() {
    const QSignalBlocker quiet(pieces_);
    pieces_->clear();
    for (const auto& p : session_.plan().pieces)
        if (hasParts(p)) pieces_->addItem(qstring(p.name), qstring(p.id));
    pieces_->setCurrentIndex(pieces_->findData(session_.selected()));
    pieces_->setVisible(pieces_->count() > 0);
}

void BuildPlace::showEvent(QShowEvent* e) {
    QWidget::showEvent(e);
    if (const Piece* p = session_.piece(); !p || !hasParts(*p))  // the first that has parts
        for (const auto& other : session_.plan().pieces)
            if (hasParts(other)) {
                session_.select(qstring(other.id));
                break;
            }
    refresh();
}

bool BuildPlace::byHand() const { return byHand_->isChecked() && !byHand_->isHidden(); }

void BuildPlace::start() {
    QString id;
    session_.document().edit(tr("Start from parts"), [&](Plan& plan) {
        plan.pieces.push_back(newPiece(plan, form::kAssembly));
        id = qstring(plan.pieces.back().id);
    });
    byHand_->setChecked(true);
    session_.select(id);
}

void BuildPlace::refresh() {
    if (!isVisible()) return;  // done again when it is shown
    fillPieces();
    const Piece* piece = session_.piece();
    const auto answers = piece ? session_.pieceAnswers(piece->id) : nullptr;
    const bool parts = piece && hasParts(*piece);
    const bool known = parts && answers && answers->made && answers->together && answers->together->problem.empty();
    const bool own = parts && piece->shape.family == form::kAssembly;
    open_->setVisible(parts && !own);
    byHand_->setVisible(own);
    const bool cut = cut_->isChecked();
    templates_->setVisible(cut);
    if (cut) templates_->refresh();
    const bool hand = own && byHand_->isChecked() && answers && answers->made && answers->problems.empty();
    hand_->setVisible(hand);
    bar_->setVisible(hand);
    stage_->setVisible(known && !hand && !cut);
    below_->setVisible(known && !hand && !cut);
    empty_->setVisible(!known && !hand && !cut);
    if (hand && !session_.isStale()) {
        hand_->setPiece(piece->id, piece->shape, session_.plan().meshes, sceneOf(*piece, *answers, false),
                        answers->together, session_.units());
        bar_->refresh();
    }
    joints_->setVisible(parts && !cut);
    if (!known) {
        lines_.clear();
        about_->clear();
        const QString why = parts && answers && answers->together ? qstring(answers->together->problem)
                            : parts && answers && !answers->problems.empty()
                                ? qstring(answers->problems.front().sentence)
                                : QString();
        empty_->setText(!why.isEmpty() ? why
                        : parts        ? tr("Finding the order …")
                        : pieces_->count() > 0
                            ? tr("This piece is made in one. Choose one that is put together.")
                            : tr("Nothing on the shelf is put together yet. Start a basket, a house or parts of your "
                                 "own in Shape, from the gallery under “Put together”."));
        joints_->refresh(lines_, 0);
        if (hand) sayAbout(*answers->made);
        return;
    }
    answers_ = answers;
    lines_ = orderLines(*answers->together, *answers->made, session_.units());
    sayAbout(*answers->made);
    if (piece->id != piece_) {
        piece_ = piece->id;
        step_ = lines_.size() > 1 ? 2 : lines_.size();
    }
    if (hand || cut) return joints_->refresh(lines_, step_);  // what is hidden is drawn when it is shown again
    whole_ = sceneOf(*piece, *answers, false);
    strip_->setOrder(whole_, answers->together, answers->made, lines_, session_.units());
    {
        const QSignalBlocker quiet(slider_);
        slider_->setRange(1, std::max(1, static_cast<int>(lines_.size())));
    }
    stage_->setStale(session_.isStale());
    show(std::clamp<size_t>(step_, 1, std::max<size_t>(1, lines_.size())));
}

void BuildPlace::sayAbout(const Made& made) {
    const auto& assembly = made.assembly;
    about_->setText(
        tr("%1 parts, %2, %3")
            .arg(assembly.items.size())
            .arg(assembly.joints.size() == 1 ? tr("one joint") : tr("%1 joints").arg(assembly.joints.size()))
            .arg(qstring(format(made.mass, Dimension::Mass, session_.units()))));
}

void BuildPlace::setStep(size_t step) {
    if (lines_.empty()) return;
    show(std::clamp<size_t>(step, 1, lines_.size()));
}

void BuildPlace::reorder(size_t from, size_t to) {
    if (!answers_ || session_.isStale() || from == to) return;
    const auto& assembly = answers_->made->assembly;
    auto lines = lines_;
    const auto moved = lines[from - 1];
    lines.erase(lines.begin() + static_cast<std::ptrdiff_t>(from) - 1);
    lines.insert(lines.begin() + static_cast<std::ptrdiff_t>(to) - 1, moved);
    std::vector<std::string> keys;
    for (const auto& l : lines)
        for (const size_t i : l.items) {
            const auto& key = assembly.items[i].key;
            if (std::ranges::find(keys, key) == keys.end()) keys.push_back(key);
        }
    auto wanted = std::make_shared<PutTogether>(*answers_->together);
    wanted->asked = true;
    wanted->order = judged(*wanted, assembly, keys, session_.library());
    if (wanted->order.stuck == assembly::kTable) {
        step_ = to;
        session_.editPiece(tr("Another order"), [&](Piece& p) { p.having<JoinStep>().order = keys; });
        return;
    }
    refused_ = std::move(wanted);
    const auto as = orderLines(*refused_, *answers_->made, session_.units());
    const auto& line = as.back();  // the one that cannot be made
    number_->setText(QString::number(as.size()));
    what_->setText(tr("Not in this order: %1.").arg(qstring(lowerFirst(line.what))));
    how_->setText(qstring(line.how) + QLatin1Char(' ') + tr("The order before it stays."));
    how_->setStyleSheet(QStringLiteral("color: %1;").arg(theme().harm.name()));
    stage_->setScene(sceneAt(whole_, *refused_, *answers_->made, as, as.size(), true, session_.units()));
}

void BuildPlace::show(size_t step) {
    step_ = step;
    refused_.reset();
    if (lines_.empty() || !answers_) return;
    found_->setVisible(answers_->together->asked);
    const auto& line = lines_[step - 1];
    number_->setText(QString::number(step));
    what_->setText(qstring(line.what) + QLatin1Char('.'));
    how_->setText(qstring(line.how));
    how_->setStyleSheet(line.harm ? QStringLiteral("color: %1;").arg(theme().harm.name()) : QString());
    stage_->setScene(sceneAt(whole_, *answers_->together, *answers_->made, lines_, step, true, session_.units()));
    strip_->setStep(step);
    const QSignalBlocker quiet(slider_);
    slider_->setValue(static_cast<int>(step));
    joints_->refresh(lines_, step);
}

void BuildPlace::keyPressEvent(QKeyEvent* e) {
    if (e->key() == Qt::Key_PageDown) return setStep(step_ + 1);
    if (e->key() == Qt::Key_PageUp) return setStep(step_ > 1 ? step_ - 1 : 1);
    QWidget::keyPressEvent(e);
}

}  // namespace uovo::desktop
