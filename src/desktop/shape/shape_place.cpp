#include "desktop/shape/shape_place.h"

#include <QHBoxLayout>
#include <QVBoxLayout>

#include "desktop/theme/theme.h"

namespace uovo::desktop {
namespace {

class Rule : public QWidget {
public:
    Rule() { setFixedWidth(1); }
    void paintEvent(QPaintEvent*) override { QPainter(this).fillRect(rect(), theme().hairline); }
};

}  // namespace

ShapePlace::ShapePlace(Session& session, QWidget* parent)
    : QWidget(parent), session_(session), stage_(new PieceStage), recipe_(new RecipeLine(session)), coats_(new CoatCards(session)), answers_(new AnswersColumn(session)), scaleLabel_(new QLabel), scale_(new QSlider(Qt::Horizontal)) {
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(0);
    row->addWidget(new ShelfPanel(session));
    row->addWidget(new Rule);
    auto* middle = new QVBoxLayout;
    middle->setContentsMargins(18, 12, 14, 8);
    middle->setSpacing(8);
    middle->addWidget(recipe_);
    middle->addWidget(stage_, 1);
    auto* scaleRow = new QHBoxLayout;
    scaleRow->addStretch(1);
    scaleLabel_->setProperty("small", true);
    scale_->setRange(2, 12);  // halves
    scale_->setValue(2);
    scale_->setFixedSize(130, 24);
    scale_->setAccessibleName(tr("How much thicker than it is the wall is drawn"));
    scaleRow->addWidget(scaleLabel_);
    scaleRow->addWidget(scale_);
    middle->addLayout(scaleRow);
    middle->addWidget(coats_);
    row->addLayout(middle, 1);
    row->addWidget(new Rule);
    row->addWidget(answers_);

    const auto scaleChanged = [this](int halves) {
        stage_->setExaggeration(halves / 2.0);
        scaleLabel_->setText(halves == 2 ? tr("wall in true scale") : tr("wall drawn %1 ×").arg(halves / 2.0));
    };
    connect(scale_, &QSlider::valueChanged, this, scaleChanged);
    scaleChanged(scale_->value());
    connect(stage_, &PieceStage::handleMoved, this, [this](PieceStage::Handle h, double value, bool) { handleMoved(h, value); });
    connect(stage_, &PieceStage::dimensionClicked, this, [this](const QString& place) {
        if (auto* f = recipe_->field(place)) {
            f->edit()->setFocus();
            f->edit()->selectAll();
        }
    });
    connect(answers_, &AnswersColumn::workingWanted, this, &ShapePlace::workingWanted);
    connect(answers_, &AnswersColumn::wayTaken, this, [this](const WayOut& way) {
        session_.editPiece(QString::fromStdString(way.title), [&](Piece& p) { p.coats = way.changed.coats; });
    });
    connect(&session_, &Session::planChanged, this, [this] {
        stage_->setStale(true);
        refresh();
    });
    connect(&session_, &Session::answersChanged, this, [this] {
        stage_->setStale(false);
        refresh();
        answers_->refresh();
    });
    connect(&session_, &Session::selectionChanged, this, [this] {
        refresh();
        answers_->refresh();
    });
}

void ShapePlace::refresh() {
    recipe_->refresh();
    coats_->refresh();
    if (const Piece* piece = session_.piece())
        stage_->setPiece(*piece, session_.pieceAnswers(piece->id), session_.units());
    stage_->setVisible(session_.piece() != nullptr);
}

void ShapePlace::handleMoved(PieceStage::Handle handle, double value) {
    using Handle = PieceStage::Handle;
    const QString key = QStringLiteral("handle%1").arg(static_cast<int>(handle));
    const QString label = handle == Handle::Dip ? tr("Drag the dip line") : handle == Handle::Girth ? tr("Drag the girth") : handle == Handle::Fill ? tr("Drag the filling") : tr("Drag the cup");
    session_.editPiece(
        label,
        [&](Piece& p) {
            if (handle == Handle::Fill && p.filling) p.filling->each = Measure(value);
            if (auto* b = std::get_if<form::Balloon>(&p.former)) {
                if (handle == Handle::Dip) b->dip = Measure(value);
                if (handle == Handle::Girth) {  // a fuller balloon keeps its shape
                    b->length = Measure(b->length.value * value / b->girth.value);
                    b->girth = Measure(value);
                }
            }
            if (auto* c = std::get_if<form::Cup>(&p.former)) {
                if (handle == Handle::Dip) c->fillLine = Measure(value);
                if (handle == Handle::TopDiameter) c->topDiameter = Measure(value);
                if (handle == Handle::BaseDiameter) c->baseDiameter = Measure(value);
            }
        },
        key);
}

}  // namespace uovo::desktop
