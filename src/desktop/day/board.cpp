#include "desktop/day/board.h"

#include <QFontMetricsF>
#include <QHelpEvent>
#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QToolTip>
#include <algorithm>
#include <cmath>

#include "desktop/day/board_sizes.h"
#include "desktop/day/piece_mark.h"
#include "desktop/theme/theme.h"
#include "report/fonts.h"
#include "report/text.h"

namespace uovo::desktop {

Board::Board(Session& session, QWidget* parent) : QWidget(parent), session_(session) {
    setObjectName(QStringLiteral("board"));
    setAccessibleName(tr("The day; left and right move through it, up and down from block to block"));
    setFocusPolicy(Qt::StrongFocus);
    setMouseTracking(true);
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
}

void Board::setDay(std::shared_ptr<const DayPlan> day, long deadline, long now) {
    day_ = std::move(day);
    deadline_ = day_ ? static_cast<int>(day_->minuteOf(deadline)) : 0;
    now_ = day_ ? static_cast<int>(day_->minuteOf(now)) : 0;
    if (hasDay()) minute_ = std::clamp(minute_ == 0 ? day_->layout.begins : minute_, day_->layout.begins, deadline_);
    lay();
}

void Board::setZoom(double zoom) {
    zoom = std::clamp(zoom, 1.0, 8.0);
    if (zoom == zoom_) return;
    zoom_ = zoom;
    setOpening(opening_);
}

void Board::setOpening(int width) {
    opening_ = width;
    setMinimumWidth(zoom_ > 1 ? static_cast<int>(board::kNames + (width - board::kNames) * zoom_) : 300);
    lay();
}

QString Board::clock(double minute) const { return qstring(day_->said(std::lround(minute), session_.units())); }

double Board::xOf(double minute) const {
    const double from = day_->layout.begins - board::kBefore, to = deadline_;
    return board::kNames + (minute - from) / std::max(1.0, to - from) * (width() - board::kNames - board::kRight);
}

double Board::minuteAt(double x) const {
    const double from = day_->layout.begins - board::kBefore, to = deadline_;
    return from + (x - board::kNames) / (width() - board::kNames - board::kRight) * (to - from);
}

std::shared_ptr<const PieceAnswers> Board::answersOf(const std::string& piece) const {
    return session_.pieceAnswers(piece);
}

QColor Board::colourOf(const std::string& pot) const {
    if (const auto a = session_.answers())
        for (const auto& p : a->pots)
            if (const std::string id = p.key.id(); pot == id || pot == id + "-cup" || pot == id + "-molten")
                return chocolateColour(p.key.chocolate);
    return chocolateColour(pot);
}

QString Board::shortName(const Flow& f) const {
    if (f.rest) return tr("rest");
    const QString verb = qstring(f.verb);
    return f.which.empty() ? verb : verb + QLatin1Char(' ') + qstring(f.which);
}

void Board::lay() {
    hands_.clear();
    pots_.clear();
    places_.clear();
    bench_.clear();
    kept_.clear();
    marks_.clear();
    bottom_ = board::kTop;
    if (hasDay()) {
        layHands();
        layPots();
        layPlaces();
        layBench();
        int index = 0;
        for (const auto& f : session_.plan().day.free) {
            kept_.push_back({minuteOfDay(session_.plan(), day_->reserve, f.from),
                             minuteOfDay(session_.plan(), day_->reserve, f.to), index});
            ++index;
        }
    }
    updateGeometry();
    update();
}

void Board::layHands() {
    const double perMinute = xOf(1) - xOf(0);
    const auto minutes = [&](double px) { return static_cast<int>(std::ceil(px / std::max(0.05, perMinute))); };
    const auto& people = day_->network.people;
    for (size_t p = 0; p < people.size(); ++p) {
        Hands h;
        h.flows = flowsOf(*day_, p, minutes(board::kLeastBlock), minutes(board::kWordsBlock));
        h.lane = {bottom_, board::kHandsHigh, qstring(people[p].name), {}};
        if (!people[p].there.empty()) {
            const auto& first = people[p].there.front();
            h.lane.note = first.from < -day_->network.horizon ? tr("not there today")
                          : first.from > day_->layout.begins  ? tr("from %1").arg(clock(first.from))
                                                              : QString();
        }
        for (size_t i = 0; i < h.flows.size(); ++i) {
            const Flow& f = h.flows[i];
            double right = std::max(xOf(f.to), xOf(f.from) + board::kLeastBlock);
            if (i + 1 < h.flows.size()) right = std::min(right, std::max(xOf(f.to), xOf(h.flows[i + 1].from)));
            QStringList all;
            for (const int t : f.tasks)
                all << clock(day_->layout.start[static_cast<size_t>(t)]) + QLatin1Char(' ') +
                           qstring(day_->network.tasks[static_cast<size_t>(t)].title);
            marks_.push_back({Mark::Kind::Hands, p, static_cast<int>(i),
                              QRectF(xOf(f.from) + 0.5, bottom_ + 4, right - xOf(f.from) - 2, board::kHandsHigh - 8),
                              all.join(QLatin1Char('\n')), h.lane.name});
        }
        hands_.push_back(std::move(h));
        bottom_ += board::kHandsHigh;
    }
    bottom_ += board::kBetween;
}

/// Without what a colour is made of.
QString Board::plainName(const PotBand& b) { return qstring(b.name).section(QStringLiteral(" ("), 0, 0); }

QString Board::potWords(const PotBand& b) const {
    return b.cup ? tr("cup")
                 : tr("%1, %2").arg(plainName(b), qstring(format(b.most, Dimension::Mass, session_.units())));
}

double Board::potWidth(const PotBand& b) const {
    const QFontMetricsF fm(report::font(12.5));
    return std::max(xOf(b.to), xOf(b.ready) + 8) - xOf(b.melt) + 8 + fm.horizontalAdvance(potWords(b)) + 14;
}

void Board::layPots() {
    pots_ = potBandsOf(*day_);
    if (pots_.empty()) return;
    std::vector<double> until;
    potRows_.clear();
    for (const auto& b : pots_) {
        size_t row = 0;
        while (row < until.size() && until[row] > xOf(b.melt)) ++row;
        if (row == until.size()) until.push_back(0);
        until[row] = xOf(b.melt) + potWidth(b);
        potRows_.push_back(static_cast<int>(row));
    }
    potLane_ = {bottom_, board::kPotHigh * double(until.size()), tr("pots"), tr("T: tempered\ndots: warmed")};
    for (size_t i = 0; i < pots_.size(); ++i) {
        const auto& b = pots_[i];
        QString name =
            tr("%1–%2 %3").arg(clock(b.melt), clock(b.to), b.cup ? tr("a cup of %1").arg(plainName(b)) : potWords(b));
        if (b.tempered && !b.cup) name += tr(", tempered by %1").arg(clock(b.ready));
        if (!b.bursts.empty())
            name +=
                tr(", warmed for a few seconds at %1").arg(qstring(clocksInWords(*day_, b.bursts, session_.units())));
        marks_.push_back({Mark::Kind::Pot, 0, static_cast<int>(i),
                          QRectF(xOf(b.melt), bottom_ + potRows_[i] * board::kPotHigh,
                                 std::max(8.0, xOf(b.to) - xOf(b.melt)), board::kPotHigh - 4),
                          name, potLane_.name});
    }
    bottom_ += potLane_.high + board::kBetween;
}

void Board::layPlaces() {
    const auto& net = day_->network;
    using Kind = schedule::Resource::Kind;
    for (size_t r = 0; r < net.resources.size(); ++r) {
        if (net.resources[r].kind != Kind::Shelf && net.resources[r].kind != Kind::Freezer) continue;
        Place place;
        place.resource = r;
        place.stays = staysIn(*day_, r);
        if (place.stays.empty()) continue;
        place.lane = {bottom_, board::kPlaceHigh, qstring(net.resources[r].name), tr("height: how full")};
        for (size_t i = 0; i < place.stays.size(); ++i) {
            const Stay& s = place.stays[i];
            const auto& from = net.tasks[static_cast<size_t>(net.holds[static_cast<size_t>(s.hold)].from)];
            const double inside = board::kPlaceHigh - 10, high = std::max(board::kLeastStay, s.share * inside);
            const double low =
                std::min(bottom_ + board::kPlaceHigh - 2 - s.at * inside, bottom_ + board::kPlaceHigh - 2);
            marks_.push_back({Mark::Kind::Place, places_.size(), static_cast<int>(i),
                              QRectF(xOf(s.from) + 0.5, std::max(bottom_ + 4, low - high),
                                     std::max(6.0, xOf(s.to) - xOf(s.from) - 1), high),
                              tr("%1–%2 %3, %4 % of it")
                                  .arg(clock(s.from), clock(s.to), qstring(from.who))
                                  .arg(std::lround(100 * s.share)),
                              place.lane.name});
        }
        bottom_ += board::kPlaceHigh + board::kBetween;
        places_.push_back(std::move(place));
    }
}

void Board::layBench() {
    const auto& net = day_->network;
    constexpr int kOneStay = 20;  // min between two stays of a piece that are told as one
    std::vector<OnBench> all;
    for (size_t r = 0; r < net.resources.size(); ++r) {
        if (net.resources[r].kind != schedule::Resource::Kind::Bench) continue;
        for (const auto& s : staysIn(*day_, r)) {
            const auto& t = net.tasks[static_cast<size_t>(net.holds[static_cast<size_t>(s.hold)].from)];
            auto it = std::find_if(all.begin(), all.end(),
                                   [&](const OnBench& b) { return b.piece == t.piece && s.from <= b.to + kOneStay; });
            if (it == all.end()) all.push_back({t.piece, s.from, s.to, 0});
            else it->to = std::max(it->to, s.to);
        }
    }
    if (all.empty()) return;
    std::stable_sort(all.begin(), all.end(), [](const auto& a, const auto& b) { return a.from < b.from; });
    const QFontMetricsF fm(report::font(12.5));
    std::vector<double> until;
    for (auto& b : all) {
        const Piece* piece = session_.plan().piece(b.piece);
        const double words = 26 + (piece ? fm.horizontalAdvance(qstring(piece->name)) : 0);
        size_t row = 0;
        while (row < until.size() && until[row] > xOf(b.from)) ++row;
        if (row == until.size()) until.push_back(0);
        until[row] = std::max(xOf(b.to), xOf(b.from) + words) + 10;
        b.row = static_cast<int>(row);
    }
    benchLane_ = {bottom_, board::kBenchHigh * double(until.size()), tr("bench"), {}};
    bench_ = std::move(all);
    for (size_t i = 0; i < bench_.size(); ++i) {
        const auto& b = bench_[i];
        const Piece* piece = session_.plan().piece(b.piece);
        marks_.push_back({Mark::Kind::Bench, 0, static_cast<int>(i),
                          QRectF(xOf(b.from), bottom_ + b.row * board::kBenchHigh,
                                 std::max(10.0, xOf(b.to) - xOf(b.from)), board::kBenchHigh - 2),
                          tr("%1–%2 %3").arg(clock(b.from), clock(b.to), piece ? qstring(piece->name) : QString()),
                          benchLane_.name});
    }
    bottom_ += benchLane_.high + board::kBetween;
}

QSize Board::sizeHint() const { return {600, static_cast<int>(bottom_) + 4}; }

PaintedParts::Part Board::part(int index) const {
    const Mark& m = marks_.at(static_cast<size_t>(index));
    QString name = m.name;
    return {name.replace(QLatin1Char('\n'), QStringLiteral("; ")), m.lane, m.box.toAlignedRect(),
            QAccessible::StaticText};
}

const Board::Mark* Board::markAt(const QPointF& at) const {
    for (const auto& m : marks_)
        if (m.box.adjusted(-1, -2, 1, 2).contains(at)) return &m;
    return nullptr;
}

void Board::setMinute(int minute) {
    if (!hasDay()) return;
    minute = std::clamp(minute, day_->layout.begins, deadline_);
    if (minute == minute_) return;
    minute_ = minute;
    setAccessibleDescription(tr("At %1.").arg(clock(minute_)));
    update();
    emit minuteChanged(minute_);
}

void Board::resizeEvent(QResizeEvent* e) {
    QWidget::resizeEvent(e);
    if (e->size().width() != e->oldSize().width()) lay();
}

void Board::mousePressEvent(QMouseEvent* e) {
    if (!hasDay() || e->button() != Qt::LeftButton) return;
    pressed_ = at_ = e->position();
    block_ = -1;
    for (const auto& k : kept_)
        if (at_.y() < board::kTop && at_.x() >= xOf(k.from) && at_.x() <= xOf(k.to)) {
            emit freeDropped(k.index);
            return;
        }
    if (at_.y() < board::kTop && std::abs(at_.x() - xOf(minute_)) > 9) {
        drag_ = Drag::Hours;
        return;
    }
    for (size_t i = 0; i < marks_.size(); ++i)
        if (marks_[i].kind == Mark::Kind::Hands && marks_[i].box.contains(at_)) block_ = static_cast<int>(i);
    drag_ = block_ >= 0 ? Drag::Block : Drag::Line;
    if (drag_ == Drag::Line) setMinute(static_cast<int>(std::lround(minuteAt(at_.x()))));
}

void Board::mouseMoveEvent(QMouseEvent* e) {
    at_ = e->position();
    if (!hasDay()) return;
    if (drag_ == Drag::Line) setMinute(static_cast<int>(std::lround(minuteAt(at_.x()))));
    else if (drag_ != Drag::None) update();
    else setCursor(at_.y() < board::kTop && at_.x() > board::kNames ? Qt::IBeamCursor : Qt::ArrowCursor);
}

void Board::mouseReleaseEvent(QMouseEvent* e) {
    at_ = e->position();
    const Drag was = std::exchange(drag_, Drag::None);
    if (!hasDay() || e->button() != Qt::LeftButton) return;
    const bool moved = (at_ - pressed_).manhattanLength() >= board::kDragFrom;
    const auto fives = [](double minute) { return 5 * static_cast<int>(std::lround(minute / 5)); };
    if (was == Drag::Hours && moved) {
        const int a = fives(minuteAt(std::min(at_.x(), pressed_.x()))),
                  b = fives(minuteAt(std::max(at_.x(), pressed_.x())));
        if (b > a) emit freeWished(a, b);
    } else if (was == Drag::Hours) {
        setMinute(static_cast<int>(std::lround(minuteAt(at_.x()))));
    } else if (was == Drag::Block && block_ >= 0) {
        const Mark& m = marks_[static_cast<size_t>(block_)];
        const Flow* flow = &flowOf(m);
        if (!moved) setMinute(flow->from);
        else if (!flow->rest)
            emit stepMoved(heldBy(*flow), fives(day_->layout.start[static_cast<size_t>(heldBy(*flow))] +
                                                minuteAt(at_.x()) - minuteAt(pressed_.x())));
    }
    update();
}

int Board::heldBy(const Flow& flow) const {
    const auto own = [&](int t) { return isOwn(*day_, t); };
    if (own(flow.main)) return flow.main;
    const auto it = std::find_if(flow.tasks.begin(), flow.tasks.end(), own);
    return it == flow.tasks.end() ? flow.main : *it;
}

void Board::wheelEvent(QWheelEvent* e) {
    if (!(e->modifiers() & Qt::ControlModifier)) return QWidget::wheelEvent(e);
    setZoom(zoom_ * (e->angleDelta().y() > 0 ? 1.25 : 0.8));
    e->accept();
}

void Board::keyPressEvent(QKeyEvent* e) {
    const int step = e->modifiers() & Qt::ShiftModifier ? 15 : 1;
    if (e->key() == Qt::Key_Left) return setMinute(minute_ - step);
    if (e->key() == Qt::Key_Right) return setMinute(minute_ + step);
    if (hasDay() && e->key() == Qt::Key_Home) return setMinute(day_->layout.begins);
    if (hasDay() && e->key() == Qt::Key_End) return setMinute(deadline_);
    if (e->key() == Qt::Key_Plus || e->key() == Qt::Key_Equal) return setZoom(zoom_ * 1.25);
    if (e->key() == Qt::Key_Minus) return setZoom(zoom_ * 0.8);
    if (e->key() == Qt::Key_0) return setZoom(1);
    if (hasDay() && (e->key() == Qt::Key_Up || e->key() == Qt::Key_Down)) {
        std::vector<int> begins;
        for (const auto& h : hands_)
            for (const auto& f : h.flows) begins.push_back(f.from);
        std::sort(begins.begin(), begins.end());
        if (e->key() == Qt::Key_Down) {
            const auto it = std::upper_bound(begins.begin(), begins.end(), minute_);
            if (it != begins.end()) setMinute(*it);
        } else if (const auto it = std::lower_bound(begins.begin(), begins.end(), minute_); it != begins.begin()) {
            setMinute(*(it - 1));
        }
        return;
    }
    QWidget::keyPressEvent(e);
}

bool Board::event(QEvent* e) {
    if (e->type() == QEvent::ToolTip) {
        const auto* help = static_cast<QHelpEvent*>(e);
        if (const Mark* m = markAt(help->pos())) QToolTip::showText(help->globalPos(), m->name, this);
        else QToolTip::hideText();
        return true;
    }
    return QWidget::event(e);
}

bool Board::paintMark(QPainter& p, const QRectF& box, const std::string& piece) {
    const Piece* of = session_.plan().piece(piece);
    return of && paintPieceMark(p, box, *of, answersOf(piece), this);
}

}  // namespace uovo::desktop
