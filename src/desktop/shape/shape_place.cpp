#include "desktop/shape/shape_place.h"

#include <QApplication>
#include <QHBoxLayout>
#include <QScrollArea>
#include <QVBoxLayout>
#include <cmath>
#include <tuple>

#include "core/stages/as_original.h"
#include "desktop/kit/flow_layout.h"
#include "desktop/kit/widgets.h"
#include "desktop/theme/theme.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

constexpr int kLeastStage = 200;  // px
// px of the place: in a narrower one the answers lie over the stage, when asked for
constexpr int kAnswersBeside = 1090, kAnswersBesideWithoutShelf = 700;

/// The stage, cut open or turning: it takes what the others leave, and not less than one can see.
class Stages : public QStackedWidget {
public:
    QSize sizeHint() const override { return {300, kLeastStage}; }
    QSize minimumSizeHint() const override { return sizeHint(); }
};

}  // namespace

ShapePlace::ShapePlace(Session& session, QWidget* parent)
    : QWidget(parent),
      session_(session),
      own_(session.dataFolder()),
      stage_(new PieceStage),
      solid_(new SolidStage),
      stages_(new Stages),
      recipe_(new RecipeLine(session)),
      coats_(new StepCards(session)),
      items_(new ItemBar(session)),
      answers_(new AnswersColumn(session)),
      film_(new FilmBar(session)),
      holds_(new HoldsBar(session)),
      making_(new QWidget) {
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(0, 0, 0, 0);
    row->addWidget(split_ = new Split(QStringLiteral("shape")));
    shelf_ = new ShelfPanel(session);
    split_->addPane(shelf_, 204);
    auto* inside = new QWidget;
    auto* middle = new QVBoxLayout(inside);
    middle->setContentsMargins(18, 12, 14, 8);
    middle->setSpacing(8);
    middle->addWidget(recipe_);
    stages_->addWidget(stage_);
    stages_->addWidget(solid_);
    middle->addWidget(stages_, 1);
    middle->addWidget(tools_ = tools());
    tools_->layout()->addWidget(film_);
    middle->addWidget(holds_);
    auto* making = new QVBoxLayout(making_);
    making->setContentsMargins(0, 0, 0, 0);
    making->setSpacing(8);
    for (QWidget* w : std::initializer_list<QWidget*>{items_, coats_}) making->addWidget(w);
    middle->addWidget(making_);
    inside->setMinimumSize(1, 1);    // what it needs hangs on its width: the layout says it
    auto* scroll = new QScrollArea;  // in a low window it is scrolled
    scroll->setWidgetResizable(true);
    scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    scroll->setFocusPolicy(Qt::NoFocus);
    scroll->setMinimumWidth(330);
    scroll->setWidget(inside);
    split_->addPane(scroll, 0);
    split_->addPane(answers_, 310);
    answers_->setAutoFillBackground(true);
    gallery_ = new Gallery(own_, this);
    connect(gallery_, &Gallery::said, this, &ShapePlace::said);
    connect(gallery_, &Gallery::keptChosen, this, [this](const std::string& piece) {
        std::string id;
        session_.document().edit(tr("Take a kept piece"), [&](Plan& plan) { id = own_.take(piece, plan); });
        if (!id.empty()) session_.select(qstring(id));
    });
    connect(shelf_, &ShelfPanel::keepWanted, this, &ShapePlace::keepChosen);
    connect(shelf_, &ShelfPanel::castWanted, this, &ShapePlace::castChosen);
    connect(shelf_, &ShelfPanel::notesWanted, this, &ShapePlace::notesWanted);
    connect(shelf_, &ShelfPanel::besideWanted, this, &ShapePlace::besideWanted);

    connect(shelf_, &ShelfPanel::galleryWanted, gallery_, &Gallery::open);
    connect(gallery_, &Gallery::chosen, this, [this](const form::Hit& hit) {
        shelf_->add(hit);
        if (const auto cut = hit.choices.find("cut"); cut != hit.choices.end() && cut->second == "points")
            emit outlineWanted({});
    });
    connect(stage_, &PieceStage::handleMoved, this,
            [this](PieceStage::Handle h, double value, bool) { handleMoved(h, value); });
    connect(stage_, &PieceStage::dimensionClicked, this, [this](const QString& place) {
        if (auto* f = recipe_->field(place)) {
            f->edit()->setFocus();
            f->edit()->selectAll();
        }
    });
    connect(coats_, &StepCards::detailsWanted, this, &ShapePlace::coatWanted);
    connect(coats_, &StepCards::paintingWanted, this, [this](size_t coat) { paintCoat(static_cast<int>(coat)); });
    connect(coats_, &StepCards::pageWanted, this, &ShapePlace::stepPageWanted);
    connect(solid_, &SolidStage::painted, this, &ShapePlace::painted);
    connect(film_, &FilmBar::filmChanged, this, [this](const std::optional<SolidScene>& scene) {
        const bool begins = scene && !solid_->showsFilm();
        solid_->setFilm(scene);
        if (begins || !scene) refresh();
    });
    connect(film_, &FilmBar::activeChanged, this, &ShapePlace::placeFilm);
    holds_->hide();
    connect(holds_, &HoldsBar::snapWanted, this, &ShapePlace::snapWanted);
    connect(holds_, &HoldsBar::sceneChanged, this, [this](const std::optional<SolidScene>& scene) {
        if (holding_) solid_->setFilm(scene);
    });
    connect(solid_, &SolidStage::loadDragged, holds_, &HoldsBar::dragLoad);
    connect(solid_, &SolidStage::loadDropped, holds_, &HoldsBar::dropLoad);
    connect(solid_, &SolidStage::viewChanged, this, &ShapePlace::refreshTools);
    connect(items_, &ItemBar::chosenChanged, this, [this] { recipe_->setItem(items_->chosen()); });
    connect(recipe_, &RecipeLine::fileWanted, this, &ShapePlace::fileWanted);
    connect(recipe_, &RecipeLine::fillingWanted, this, &ShapePlace::fillingWanted);
    connect(recipe_, &RecipeLine::drawingWanted, this, &ShapePlace::drawingWanted);
    connect(recipe_, &RecipeLine::moldWanted, this, &ShapePlace::moldWanted);
    connect(recipe_, &RecipeLine::outlineWanted, this, &ShapePlace::outlineWanted);
    connect(answers_, &AnswersColumn::workingWanted, this, &ShapePlace::workingWanted);
    connect(answers_, &AnswersColumn::strengthWanted, this, [this] { setHolding(true); });
    connect(answers_, &AnswersColumn::adviceWanted, this, &ShapePlace::adviceWanted);
    connect(answers_, &AnswersColumn::wayTaken, this, [this](const WayOut& way) {
        session_.document().edit(qstring(way.title), [&](Plan& plan) {
            for (auto& p : plan.pieces)
                if (p.id == way.changed.id) {
                    p.making = way.changed.making;
                    p.shape = way.changed.shape;
                    p.count = way.changed.count;
                }
        });
    });
    connect(&session_, &Session::planChanged, this, [this] {
        stage_->setStale(true);
        solid_->setStale(true);
        refresh();
    });
    connect(&session_, &Session::answersChanged, this, [this] {
        stage_->setStale(false);
        solid_->setStale(false);
        refresh();
        answers_->refresh();
    });
    connect(&session_, &Session::selectionChanged, this, [this] {
        refresh();
        answers_->refresh();
    });
}

QWidget* ShapePlace::tools() {
    auto* bar = new QWidget;
    auto* row = new FlowLayout(4, 2);  // in a narrow window it takes a second line
    row->setContentsMargins(0, 0, 0, 0);
    bar->setLayout(row);
    QSizePolicy policy(QSizePolicy::Expanding, QSizePolicy::Minimum);
    policy.setHeightForWidth(true);
    bar->setSizePolicy(policy);
    const auto button = [&](const QString& words, const QString& tip, auto pressed) {
        auto* b = toolButton(words, tip);
        b->setCheckable(true);
        connect(b, &QPushButton::clicked, this, pressed);
        row->addWidget(b);
        return b;
    };
    open_ = button(tr("cut open"), tr("The piece cut open, with handles"), [this] { setTurning(false); });
    turn_ = button(tr("turn it"), tr("The piece in three dimensions (F8)"), [this] { setTurning(true); });
    open_->setObjectName(QStringLiteral("cutOpen"));
    turn_->setObjectName(QStringLiteral("turnIt"));
    hold_ = button(tr("will it hold"), tr("What happens to the piece, and whether it holds (F9)"),
                   [this] { setHolding(!holding_); });
    hold_->setObjectName(QStringLiteral("willItHold"));
    more_ = button(tr("answers"), tr("What follows from it: wall, grams, times (F10)"),
                   [this] { setAnswersOpen(!answersOpen_); });
    more_->setObjectName(QStringLiteral("openAnswers"));
    more_->hide();
    using Side = SolidStage::Side;
    for (const auto& [words, tip, side] : {std::tuple{tr("corner"), tr("From a corner (1)"), Side::Corner},
                                           {tr("front"), tr("From the front (2)"), Side::Front},
                                           {tr("side"), tr("From the right (3)"), Side::Right},
                                           {tr("top"), tr("From above (4)"), Side::Top}})
        sides_.push_back(button(words, tip, [this, side] { solid_->look(side); }));
    map_ = button(tr("thick or thin"), tr("Colour the wall by its thickness"), [this] {
        SolidView v = solid_->view();
        v.map = map_->isChecked();
        solid_->setView(v);
    });
    egg_ = button(tr("egg"), tr("A hen's egg beside it, for scale"), [this] { solid_->setEgg(egg_->isChecked()); });
    egg_->setObjectName(QStringLiteral("eggBeside"));
    paint_ = button(tr("paint"), tr("Paint where the brush goes"), [this] {
        if (painting_ >= 0) return paintCoat(-1);
        const Piece* p = session_.piece();
        for (size_t k = 0; p && k < p->coats().size(); ++k)
            if (p->coats()[k].way == coat::Way::Brush && p->coats()[k].where == coat::Where::Spots)
                return paintCoat(static_cast<int>(k));
    });
    paint_->setObjectName(QStringLiteral("paintBrush"));
    sliders(row);
    return bar;
}

void ShapePlace::sliders(QLayout* row) {
    const auto slider = [&](const QString& name, int low, int high, auto changed) {
        auto* label = new QLabel;
        label->setProperty("small", true);
        auto* s = new QSlider(Qt::Horizontal);
        s->setRange(low, high);
        s->setFixedSize(90, 24);
        s->setAccessibleName(name);
        s->setToolTip(name);
        auto* both = new QWidget;
        auto* line = new QHBoxLayout(both);
        line->setContentsMargins(0, 0, 0, 0);
        line->addWidget(label);
        line->addWidget(s);
        row->addWidget(both);
        connect(s, &QSlider::valueChanged, this, changed);
        return std::pair{label, s};
    };
    std::tie(apartLabel_, apart_) = slider(tr("Pull the parts from each other"), 0, 100, [this](int v) {
        SolidView view = solid_->view();
        view.apart = v / 100.0;
        solid_->setView(view);
    });
    apartLabel_->setText(tr("apart"));
    std::tie(cutLabel_, cut_) = slider(tr("Cut away from the front"), 0, 95, [this](int v) {
        SolidView view = solid_->view();
        view.cut = v / 100.0;
        solid_->setView(view);
    });
    cutLabel_->setText(tr("cut away"));
    std::tie(scaleLabel_, scale_) =
        slider(tr("How much thicker than it is the wall is drawn"), 2, 12, [this](int halves) {
            stage_->setExaggeration(halves / 2.0);
            scaleLabel_->setText(halves == 2 ? tr("wall in true scale") : tr("wall drawn %1 ×").arg(halves / 2.0));
        });
    scaleLabel_->setText(tr("wall in true scale"));
    scale_->setObjectName(QStringLiteral("wallScale"));
    cut_->setObjectName(QStringLiteral("cutAway"));
    apart_->setObjectName(QStringLiteral("pullApart"));
}

void ShapePlace::placeFilm() {
    QWidget* focus = QApplication::focusWidget();
    const bool mine = focus && film_->isAncestorOf(focus);
    const bool shown = !film_->isHidden();
    auto* column = static_cast<QVBoxLayout*>(making_->layout());
    if (film_->isActive()) {
        tools_->layout()->removeWidget(film_);
        column->insertWidget(0, film_);
    } else {
        column->removeWidget(film_);
        tools_->layout()->addWidget(film_);
    }
    film_->setVisible(shown);
    if (mine) focus->setFocus();
}

void ShapePlace::setTurning(bool turning) {
    turning_ = turning;
    refresh();
}

void ShapePlace::setHolding(bool holding) {
    if (holding == holding_) return;
    holding_ = holding;
    if (holding) {
        film_->close();
        painting_ = -1;
    }
    refresh();
    if (!holding) solid_->setFilm({});
    refresh();
}

void ShapePlace::refreshTools() {
    const Piece* piece = session_.piece();
    const bool solid = piece && (!piece->alongMeridian() || turning_ || holding_ || solid_->showsFilm());
    const bool brushed = piece && std::any_of(piece->coats().begin(), piece->coats().end(), [](const auto& c) {
                             return c.way == coat::Way::Brush && c.where == coat::Where::Spots;
                         });
    paint_->setVisible(solid && brushed);
    paint_->setChecked(painting_ >= 0);
    const bool compound = solid && solid_->scene().bodies.size() > 1u + (solid_->egg() ? 1u : 0u);
    open_->setVisible(piece && piece->alongMeridian());
    turn_->setVisible(piece && piece->alongMeridian());
    open_->setChecked(!solid);
    turn_->setChecked(solid);
    open_->setEnabled(!solid_->showsFilm());
    hold_->setVisible(piece != nullptr);
    hold_->setChecked(holding_);
    for (auto* b : sides_) {
        b->setVisible(solid);
        b->setChecked(false);
    }
    for (QWidget* w : std::initializer_list<QWidget*>{map_, egg_, cutLabel_, cut_}) w->setVisible(solid);
    for (QWidget* w : std::initializer_list<QWidget*>{apartLabel_, apart_}) w->setVisible(compound);
    for (QWidget* w : std::initializer_list<QWidget*>{scaleLabel_, scale_}) w->setVisible(piece && !solid);
    map_->setChecked(solid_->view().map);
    const QSignalBlocker one(cut_), two(apart_);
    cut_->setValue(static_cast<int>(std::lround(solid_->view().cut * 100)));
    apart_->setValue(static_cast<int>(std::lround(solid_->view().apart * 100)));
}

void ShapePlace::refresh() {
    recipe_->refresh();
    coats_->refresh();
    items_->refresh();
    const Piece* piece = session_.piece();
    size_t item = 0;
    if (const auto a = piece ? session_.pieceAnswers(piece->id) : nullptr;
        a && a->made && a->made->wall && !a->made->wall->items.empty()) {
        item = a->made->wall->items.front();
        for (const size_t k : a->made->wall->items)
            if (QString::fromStdString(a->made->assembly.items[k].key) == items_->chosen()) item = k;
    }
    film_->refresh(item);
    if (holding_) film_->hide();
    holds_->setVisible(holding_);
    making_->setVisible(!holding_);
    if (holding_) holds_->refresh();
    if (piece) {
        const auto answers = session_.pieceAnswers(piece->id);
        if (piece->id != shown_) {
            shown_ = piece->id;
            painting_ = -1;
        }
        const bool solid = !piece->alongMeridian() || turning_ || holding_ || solid_->showsFilm();
        if (piece->alongMeridian()) stage_->setPiece(*piece, answers, session_.units());
        if (solid) solid_->setPiece(*piece, answers, session_.units());
        QWidget* now = solid ? static_cast<QWidget*>(solid_) : stage_;
        const bool focused = stages_->currentWidget() != now && stages_->currentWidget()->hasFocus();
        stages_->setCurrentWidget(now);
        if (focused) now->setFocus();
    }
    stages_->setVisible(piece != nullptr);
    refreshPainting();
    refreshTools();
}

void ShapePlace::paintCoat(int coat) {
    painting_ = coat;
    if (coat >= 0) {
        film_->close();
        turning_ = true;
    }
    refresh();
    if (coat >= 0) solid_->setFocus();
}

/// Shows the strokes of the coat that is painted.
void ShapePlace::refreshPainting() {
    const Piece* piece = session_.piece();
    if (piece && painting_ >= 0 &&
        (static_cast<size_t>(painting_) >= piece->coats().size() ||
         piece->coats()[static_cast<size_t>(painting_)].where != coat::Where::Spots))
        painting_ = -1;
    std::vector<form::Vec3> spots;
    if (piece && painting_ >= 0)
        for (const auto& s : piece->coats()[static_cast<size_t>(painting_)].spots) spots.push_back(s.at);
    solid_->setPainting(painting_ >= 0, spots);
}

void ShapePlace::painted(const form::Vec3& at, bool wipe) {
    if (painting_ < 0) return;
    const auto k = static_cast<size_t>(painting_);
    session_.editPiece(wipe ? tr("Wipe a stroke off") : tr("Paint a stroke"), [&](Piece& p) {
        if (k >= p.coats().size()) return;
        auto& spots = p.coats()[k].spots;
        const auto near = std::min_element(spots.begin(), spots.end(), [&](const auto& a, const auto& b) {
            return form::length(a.at - at) < form::length(b.at - at);
        });
        const double distance = near == spots.end() ? 1e9 : form::length(near->at - at);
        if (wipe) {
            if (distance < 2 * coat::kSpotRadius) spots.erase(near);
        } else if (distance < 0.3 * coat::kSpotRadius) {
            near->weight += 1;
        } else {
            spots.push_back({at, 1});
        }
    });
}

void ShapePlace::showInstead(std::optional<SolidScene> scene) {
    if (holding_ || film_->isActive()) return;
    if (scene) setTurning(true);
    solid_->setFilm(std::move(scene));
}

QImage ShapePlace::picture(double ratio) {
    return stages_->currentWidget() == solid_ ? solid_->picture(solid_->size(), ratio)
                                              : stage_->picture(stage_->size(), ratio);
}

QString ShapePlace::svgPicture() const { return stages_->currentWidget() == solid_ ? solid_->svg() : QString(); }

void ShapePlace::resizeEvent(QResizeEvent* e) {
    QWidget::resizeEvent(e);
    gallery_->setGeometry(rect());
    placeAnswers();
}

void ShapePlace::setAnswersOpen(bool open) {
    answersOpen_ = open;
    more_->setChecked(open);
    placeAnswers();
}

void ShapePlace::lookAtAnswers() {
    if (!beside_) setAnswersOpen(!answersOpen_);
    if (answers_->isVisible()) answers_->look();
}

void ShapePlace::setSheet(bool beside, int covered) {
    if (beside == sheetBeside_ && covered == covered_) return;
    sheetBeside_ = beside;
    covered_ = covered;
    placeAnswers();
}

void ShapePlace::placeAnswers() {
    const bool shelf = !sheetBeside_ || width() >= kAnswersBeside;
    const bool beside = covered_ == 0 && width() >= (shelf ? kAnswersBeside : kAnswersBesideWithoutShelf);
    shelf_->setVisible(shelf);
    if (beside != beside_) {
        beside_ = beside;
        if (beside) split_->addPane(answers_, 310);
        else answers_->setParent(this);
        more_->setVisible(!beside);
    }
    const bool over = !beside && (answersOpen_ || covered_ > 0);
    answers_->setVisible(beside || over);
    split_->share();
    if (!over) return;
    const int wide = std::min(310, width() - covered_);
    answers_->setGeometry(width() - covered_ - wide, 0, wide, height());
    answers_->raise();
    gallery_->raise();
}

void ShapePlace::castChosen() {
    const Piece* piece = session_.piece();
    if (!piece) return;
    // beside the window: parts that reach into each other are made one
    caster_ = std::jthread([this, was = session_.plan(), id = piece->id](std::stop_token stop) {
        Plan tried = was;
        auto cast = asOriginal(tried, id, stop);
        if (stop.stop_requested()) return;
        QMetaObject::invokeMethod(this, [this, was, tried = std::move(tried), cast = std::move(cast)] {
            if (!cast) return emit said(qstring(cast.error().sentence), true);
            if (!(session_.plan() == was))
                return emit said(tr("The plan has changed meanwhile: cast it again."), false);
            session_.document().edit(tr("Cast a piece in a mold of its own"), [&](Plan& plan) { plan = tried; });
            session_.select(qstring(*cast));
            emit moldWanted();
        });
    });
}

void ShapePlace::keepChosen() {
    const Piece* piece = session_.piece();
    if (!piece) return;
    const QString name = qstring(piece->name), why = own_.keep(session_.plan(), piece->id);
    emit said(why.isEmpty() ? tr("%1 is kept: it stands first in the gallery of every plan.").arg(name) : why,
              !why.isEmpty());
}

void ShapePlace::handleMoved(PieceStage::Handle handle, double value) {
    using Handle = PieceStage::Handle;
    const QString key = QStringLiteral("handle%1").arg(static_cast<int>(handle));
    const QString label = handle == Handle::Dip     ? tr("Drag the dip line")
                          : handle == Handle::Girth ? tr("Drag the girth")
                          : handle == Handle::Fill  ? tr("Drag the filling")
                                                    : tr("Drag the cup");
    session_.editPiece(
        label,
        [&](Piece& p) {
            if (FillStep* fill = p.fill(); handle == Handle::Fill && fill) {
                fill->each = Measure(value);
                fill->share = 0;
            }
            auto& figures = p.shape.values;
            if (handle == Handle::Dip) figures[p.overBalloon() ? "dip" : "fillLine"] = Measure(value);
            if (handle == Handle::Girth) {  // a fuller balloon keeps its shape
                figures["length"] = Measure(form::figure(p.shape, "length") * value / form::figure(p.shape, "girth"));
                figures["girth"] = Measure(value);
            }
            if (handle == Handle::TopDiameter) figures["topDiameter"] = Measure(value);
            if (handle == Handle::BaseDiameter) figures["baseDiameter"] = Measure(value);
        },
        key);
}

}  // namespace uovo::desktop
