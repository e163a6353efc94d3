#include "desktop/shape/holds_bar.h"

#include <QPainter>
#include <QPushButton>
#include <QScrollArea>
#include <algorithm>
#include <cmath>

#include "desktop/kit/finger.h"
#include "desktop/shell/sheet.h"
#include "desktop/theme/theme.h"
#include "report/fonts.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

constexpr double kShown = 0.05;  // of the piece's size: its greatest shift, drawn
constexpr double kTitle = 64;    // px: where a card's words begin
constexpr double kArrow = 0.28;  // of the piece's size: the longest arrow

double sizeOf(const form::Mesh& m) {
    const auto d = form::bounds(m).size();
    return std::max({d.x, d.y, d.z, 1e-6});
}

/// With so many digits that count.
double rounded(double v, int digits) {
    const double last = std::pow(10, std::floor(std::log10(std::max(1e-6, std::abs(v)))) - digits + 1);
    return std::round(v / last) * last;
}

double longestForce(const LoadCase& c) {
    double most = 0;
    for (const auto& a : c.arrows) most = std::max(most, form::length(a.force));
    return most;
}

}  // namespace

QString marginInWords(double margin) {
    return std::isfinite(margin) ? QObject::tr("%1 ×").arg(margin, 0, 'f', margin < 10 ? 1 : 0)
                                 : QObject::tr("no pull at all");
}

CaseCard::CaseCard(QWidget* parent) : QAbstractButton(parent) {
    setCheckable(true);
    setAutoExclusive(true);
    setCursor(Qt::PointingHandCursor);
    setFocusPolicy(Qt::StrongFocus);
    setFixedSize(sizeHint());
}

void CaseCard::set(const StrengthStage& stage, size_t index) {
    const LoadCase& c = stage.cases[index];
    title_ = qstring(c.title);
    headline_ = qstring(c.headline);
    tone_ = c.tone;
    other_ = !c.chosen;
    outline_ = {};
    outline_.setFillRule(Qt::WindingFill);
    const auto box = form::bounds(stage.mesh);
    const double size = sizeOf(stage.mesh), scale = 42 / size;
    const auto at = [&](const form::Vec3& p) {
        return QPointF(68 + scale * (p.x - 0.5 * (box.low.x + box.high.x)),
                       38 - scale * (p.z - 0.5 * (box.low.z + box.high.z)));
    };
    const double grow = c.sag > 0 ? 2.5 * kShown * size / c.sag : 0;
    for (const auto& t : stage.mesh.triangles) {
        QPolygonF poly;
        for (const int i : t)
            poly << at(stage.mesh.points[size_t(i)] + (c.shift.empty() ? form::Vec3{} : c.shift[size_t(i)] * grow));
        // every triangle the same way round, so that front and back do not cancel
        const double turn = (poly[1].x() - poly[0].x()) * (poly[2].y() - poly[0].y()) -
                            (poly[1].y() - poly[0].y()) * (poly[2].x() - poly[0].x());
        if (turn < 0) std::swap(poly[1], poly[2]);
        poly << poly.first();
        outline_.addPolygon(poly);
    }
    arrows_.clear();
    const double most = longestForce(c);
    for (const auto& a : c.arrows) {
        const QPointF head = at(a.at);
        QPointF way(a.force.x / most * 22, -a.force.z / most * 22);
        if (const double below = head.y() - way.y() - kTitle; below > 0 && way.y() < 0)
            way *= std::max(0.35, 1 + below / way.y());  // not into the words
        if (most > 0 && std::hypot(way.x(), way.y()) > 4) arrows_.emplace_back(head - way, head);
    }
    weak_.reset();
    if (std::isfinite(c.margin) && c.margin < 100) weak_ = at(c.at);
    setObjectName(QStringLiteral("case/") + qstring(c.id));
    setAccessibleName(words());
    setToolTip(qstring(c.sentence));
    update();
}

void CaseCard::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    p.setPen(QPen(hasFocus() ? theme().ring : isChecked() ? theme().balloon : theme().hairline, hasFocus() ? 2 : 1));
    p.setBrush(isChecked() ? theme().card : Qt::transparent);
    p.drawRoundedRect(QRectF(rect()).adjusted(1.5, 1.5, -1.5, -1.5), 10, 10);
    p.fillPath(outline_, theme().choc);
    const auto line = [&](const QLineF& a) {
        const QPointF u = (a.p2() - a.p1()) / std::max(1.0, a.length()), v(-u.y(), u.x());
        p.setPen(QPen(theme().coldText, 2, Qt::SolidLine, Qt::RoundCap));
        p.drawLine(a);
        QPolygonF tip;
        tip << a.p2() << a.p2() - u * 7 + v * 3.5 << a.p2() - u * 7 - v * 3.5;
        p.setPen(Qt::NoPen);
        p.setBrush(theme().coldText);
        p.drawPolygon(tip);
    };
    for (const auto& a : arrows_) line(a);
    if (weak_) {
        p.setPen(QPen(theme().paper, 3.5));
        p.setBrush(Qt::NoBrush);
        p.drawEllipse(*weak_, 5, 5);
        p.setPen(QPen(theme().harm, 1.8));
        p.drawEllipse(*weak_, 5, 5);
    }
    p.setFont(report::font(13));
    p.setPen(theme().quiet);
    p.drawText(QRectF(8, 68, width() - 16, 34), Qt::AlignHCenter | Qt::AlignTop | Qt::TextWordWrap, title_);
    p.setFont(report::font(14.5, QFont::DemiBold));
    p.setPen(other_ ? theme().quiet : tone_ == Tone::Impossible || tone_ == Tone::Weak ? theme().harm : theme().ink);
    p.drawText(QRectF(6, 103, width() - 12, 20), Qt::AlignCenter, headline_);
}

HoldsBar::HoldsBar(Session& session, QWidget* parent) : QWidget(parent), session_(session) {
    setObjectName(QStringLiteral("holdsBar"));
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(0, 0, 0, 0);
    box->setSpacing(6);
    auto* inside = new QWidget;
    strip_ = new QHBoxLayout(inside);
    strip_->setContentsMargins(0, 0, 0, 0);
    strip_->setSpacing(8);
    strip_->addStretch(1);
    auto* scroll = new QScrollArea;
    scroll->setWidgetResizable(true);
    scroll->setVerticalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    scroll->setFocusPolicy(Qt::NoFocus);
    scrollByFinger(scroll);
    scroll->setWidget(inside);
    scroll->setFixedHeight(146);
    box->addWidget(scroll);
    buildLoad();
    buildHandling();
    sentence_ = wrapped({});
    sentence_->setObjectName(QStringLiteral("holdsSentence"));
    box->addWidget(sentence_);
    auto* ways = new QWidget;
    ways_ = new FlowLayout(18, 2);
    ways->setLayout(ways_);
    box->addWidget(ways);
    sentence_->setTextFormat(Qt::RichText);
    auto* last = new QHBoxLayout;
    last->addWidget(loadRow_);
    last->addWidget(handling_);
    auto* snap = new QPushButton(tr("snap test …"));
    snap->setObjectName(QStringLiteral("snapTest"));
    snap->setProperty("flat", true);
    snap->setToolTip(tr("Measure how strong your own chocolate is"));
    connect(snap, &QPushButton::clicked, this, &HoldsBar::snapWanted);
    last->addWidget(
        wrapped(tr("Advice, not a guarantee: try one piece first; let nothing heavy hang over people."), "small"), 1);
    last->addWidget(snap);
    box->addLayout(last);
}

HoldsBar::LoadUnit HoldsBar::unitOf(const LoadCase& c, UnitSystem units) {
    const double pound = unitFactor("lb", Dimension::Mass), ounce = unitFactor("oz", Dimension::Mass),
                 inch = unitFactor("in", Dimension::Length), centimetre = unitFactor("cm", Dimension::Length);
    const bool us = units == UnitSystem::US;
    if (c.id == "bump") return {1, tr("times its weight more")};
    if (c.unit == "h") return {1, tr("hours")};
    if (c.unit == "N")
        return us ? LoadUnit{pound * kGravity, tr("lb pressed")} : LoadUnit{1, tr("N (100 g press with 1 N)")};
    if (c.unit == "N/m")
        return us ? LoadUnit{ounce * kGravity / inch, tr("oz on an inch of rim")}
                  : LoadUnit{1, tr("N on a metre of rim")};
    if (us && c.unit == "kg") return {pound, tr("lb")};
    if (us && c.unit == "cm") return {inch / centimetre, tr("in")};
    if (us && c.unit == "J") return {pound * kGravity * 12 * inch, tr("foot-pounds")};
    return {1, qstring(c.unit)};
}

void HoldsBar::buildLoad() {
    loadRow_ = new QWidget;
    auto* row = new QHBoxLayout(loadRow_);
    row->setContentsMargins(0, 0, 0, 0);
    row->addWidget(with_ = new QLabel(tr("With")));
    auto typing = session_.typing(Dimension::Count, "", nullptr);
    typing.fractions = true;
    load_ = new FigureField(tr("How hard"), QStringLiteral("strength/load"), typing);
    load_->setRule([](const Measure& m) {
        return m.value >= 0 && m.value < 1000 ? QString() : tr("A load is nothing or more, less than 1000.");
    });
    connect(load_, &FigureField::measureTyped, this, [this](const Measure& m) {
        if (!stage_ || chosen_ >= stage_->cases.size()) return;
        const double size = unitOf(stage_->cases[chosen_], session_.units()).size;
        changeLoad(m.value * size, size == 1 ? qstring(m.typed) : QString());
    });
    row->addWidget(load_);
    unit_ = new QLabel;
    row->addWidget(unit_);
    sits_ = new QComboBox;
    sits_->setAccessibleName(tr("What it is set down on"));
    sits_->setObjectName(QStringLiteral("sits"));
    for (const auto& words : {tr("on a flat table"), tr("on a ring"), tr("on three lumps")}) sits_->addItem(words);
    connect(sits_, &QComboBox::activated, this, [this](int i) {
        session_.editPiece(tr("Set it down elsewhere"), [&](Piece& p) { p.sits = static_cast<Sits>(i); });
    });
    row->addWidget(sits_);
}

void HoldsBar::buildHandling() {
    handling_ = new QWidget;
    auto* handled = new QHBoxLayout(handling_);
    handled->setContentsMargins(0, 0, 0, 0);
    mine_ = new QPushButton;
    mine_->setObjectName(QStringLiteral("handledSo"));
    mine_->setToolTip(tr("The verdict is about how you handle it; other ways are advice"));
    connect(mine_, &QPushButton::clicked, this, [this] {
        if (!stage_ || chosen_ >= stage_->cases.size()) return;
        const LoadCase& c = stage_->cases[chosen_];
        session_.editPiece(tr("Handle it another way"), [&](Piece& p) {
            if (c.chosen && c.group == "carry") p.handling.carry = Handling::Carry::Foot;
            else if (const auto h = handledAs(p, c.id)) p.handling = *h;
        });
    });
    handled->addWidget(mine_);
    oil_ = new QCheckBox(tr("a trace of oil on the balloon"));
    oil_->setObjectName(QStringLiteral("balloonOil"));
    connect(oil_, &QCheckBox::clicked, this, [this](bool on) {
        session_.editPiece(on ? tr("Oil the balloon") : tr("No oil on the balloon"),
                           [on](Piece& p) { p.handling.oil = on; });
    });
    handled->addWidget(oil_);
}

void HoldsBar::choose(size_t index) {
    chosen_ = index;
    followsWeakest_ = false;
    if (stage_ && index < stage_->cases.size()) chosenId_ = stage_->cases[index].id;
    refresh();
}

void HoldsBar::refresh() {
    const Piece* piece = session_.piece();
    const auto answers = piece ? session_.pieceAnswers(piece->id) : nullptr;
    if (piece && piece->id != piece_) {
        piece_ = piece->id;
        followsWeakest_ = true;
        stage_.reset();
    }
    if (answers && answers->strength) stage_ = answers->strength;
    const size_t count = stage_ && stage_->problem.empty() ? stage_->cases.size() : 0;
    while (cards_.size() > count) {
        retire(cards_.back());
        cards_.pop_back();
    }
    while (cards_.size() < count) {
        auto* c = new CaseCard;
        connect(c, &QAbstractButton::clicked, this, [this, index = cards_.size()] { choose(index); });
        strip_->insertWidget(static_cast<int>(cards_.size()), c);
        cards_.push_back(c);
    }
    loadRow_->setVisible(false);
    handling_->setVisible(false);
    if (!count) {
        emptyLayout(ways_);
        sentence_->setText(stage_ && !stage_->problem.empty()      ? qstring(stage_->problem)
                           : answers && !answers->problems.empty() ? tr("First the piece itself must be possible.")
                                                                   : tr("Reckoning …"));
        emit sceneChanged({});
        return;
    }
    if (followsWeakest_) {
        chosen_ = stage_->weakest;
    } else {  // the same case, wherever it stands now
        for (size_t i = 0; i < count; ++i)
            if (stage_->cases[i].id == chosenId_) chosen_ = i;
    }
    chosen_ = std::min(chosen_, count - 1);
    chosenId_ = stage_->cases[chosen_].id;
    for (size_t i = 0; i < count; ++i) {
        cards_[i]->set(*stage_, i);
        cards_[i]->setChecked(i == chosen_);
    }
    show(*stage_);
    tellWays(*stage_);
}

void HoldsBar::show(const StrengthStage& s) {
    const LoadCase& c = s.cases[chosen_];
    sentence_->setText(QStringLiteral("<b>%1</b> %2")
                           .arg(qstring(c.title).toHtmlEscaped() + QLatin1Char(':'),
                                (qstring(c.headline) + QStringLiteral(". ") + qstring(c.sentence)).toHtmlEscaped()));
    loadRow_->setVisible(!c.unit.empty());
    if (!c.unit.empty()) {
        const LoadUnit unit = unitOf(c, session_.units());
        load_->setMeasure(unit.size == 1 ? c.load : Measure(rounded(c.load.value / unit.size, 3)), session_.units());
        with_->setText(c.unit == "h" ? tr("For") : tr("With"));
        unit_->setText(unit.words);
    }
    const bool carried = c.chosen && c.group == "carry";
    mine_->setVisible(!c.group.empty() && (!c.chosen || carried));
    mine_->setText(carried ? tr("carry it by its foot") : tr("I do it this way"));
    const Piece* piece = session_.piece();
    oil_->setVisible(c.id == "peel" && piece && piece->overBalloon());
    if (piece) oil_->setChecked(piece->handling.oil);
    handling_->setVisible(!mine_->isHidden() || !oil_->isHidden());
    sits_->setVisible(c.id == "stands" || c.id == "on-top" || c.id == "bump");
    if (session_.piece()) sits_->setCurrentIndex(static_cast<int>(session_.piece()->sits));
    const double size = sizeOf(s.mesh), grow = c.sag > 0 ? kShown * size / c.sag : 0;
    std::vector<form::Vec3> moved = c.shift;
    for (auto& m : moved) m = m * grow;
    float most = 0;
    for (const float v : c.stress) most = std::max(most, v);
    SolidBody body = wallBody(s.mesh, s.thickness, moved, c.stress,
                              chocolateColour(session_.piece() ? session_.piece()->chocolate : ""));
    std::vector<SolidBody> bodies;
    bodies.push_back(std::move(body));
    SolidScene scene = sceneOf(std::move(bodies));
    scene.stress = true;
    scene.mapLow = 0;
    scene.mapHigh = std::max(1e3f, most);
    scene.arrowsMove = !c.unit.empty() && c.unit != "h" && c.unit != "cm";
    const double longest = longestForce(c);
    for (const auto& a : c.arrows)
        if (longest > 0) scene.arrows.push_back({a.at, a.force * (kArrow * size / longest)});
    if (std::isfinite(c.margin) && c.margin < 100) {
        scene.weak = c.at;
        size_t nearest = 0;
        for (size_t i = 1; i < s.mesh.points.size(); ++i)
            if (form::length(s.mesh.points[i] - c.at) < form::length(s.mesh.points[nearest] - c.at)) nearest = i;
        if (nearest < moved.size()) *scene.weak += moved[nearest];
    }
    scene.fit *= 1.35;  // room for the arrows
    scene.fitApart = scene.fit;
    emit sceneChanged(scene);
}

void HoldsBar::tellWays(const StrengthStage& s) {
    emptyLayout(ways_);
    const LoadCase& weak = s.cases[s.weakest];
    if (chosen_ != s.weakest) return;
    for (const auto& w : s.helpfulWays()) {
        auto* line = new QWidget;
        auto* row = new QHBoxLayout(line);
        row->setContentsMargins(0, 0, 0, 0);
        auto* words =
            new QLabel(tr("%1: %2 → <b>%3</b>")
                           .arg(qstring(w.title).toHtmlEscaped(), marginInWords(weak.margin), marginInWords(w.margin)));
        words->setObjectName(QStringLiteral("strengthWay"));
        row->addWidget(words);
        if (const Piece* piece = session_.piece(); piece && taken(*piece, session_.library(), w.does)) {
            auto* take = new QPushButton(tr("do it"));
            take->setProperty("flat", true);
            take->setObjectName(w.does == StrengthWay::Does::BrushRim ? QStringLiteral("brushRim")
                                : w.does == StrengthWay::Does::Score  ? QStringLiteral("scoreJoints")
                                                                      : QStringLiteral("coatMore"));
            connect(take, &QPushButton::clicked, this, [this, does = w.does, title = qstring(w.title)] {
                session_.editPiece(title, [&](Piece& p) {
                    if (auto changed = taken(p, session_.library(), does)) p = std::move(*changed);
                });
            });
            row->addWidget(take);
        }
        ways_->addWidget(line);
    }
}

void HoldsBar::changeLoad(double value, const QString& typed) {
    if (!stage_ || chosen_ >= stage_->cases.size()) return;
    const std::string id = stage_->cases[chosen_].id;
    Measure m(value);
    m.typed = typed.toStdString();
    session_.editPiece(
        tr("Change a load"), [&](Piece& p) { p.loads[id] = m; },
        dragFrom_ ? QStringLiteral("load/") + qstring(id) : QString());
}

void HoldsBar::dragLoad(double times) {
    if (!stage_ || chosen_ >= stage_->cases.size() || stage_->cases[chosen_].unit.empty()) return;
    if (!dragFrom_) dragFrom_ = stage_->cases[chosen_].load.value;
    changeLoad(rounded(*dragFrom_ * times, 2), {});
}

void HoldsBar::dropLoad() { dragFrom_.reset(); }

}  // namespace uovo::desktop
