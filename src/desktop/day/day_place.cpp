#include "desktop/day/day_place.h"

#include <QHBoxLayout>
#include <QPainter>
#include <QPushButton>
#include <QScrollArea>
#include <QStyledItemDelegate>
#include <QVBoxLayout>
#include <algorithm>
#include <numeric>

#include "core/words/words.h"
#include "desktop/kit/finger.h"
#include "desktop/kit/widgets.h"
#include "desktop/stage/thumbnail.h"
#include "desktop/theme/theme.h"
#include "report/fonts.h"
#include "report/section.h"
#include "report/text.h"

namespace uovo::desktop {

/// Small cut sections of every family as they are at one moment.
class StatesStrip : public QWidget {
public:
    explicit StatesStrip(Session& session) : session_(session) {
        setMinimumHeight(150);
        setObjectName(QStringLiteral("states"));
    }
    void setStates(std::vector<PieceState> states) {
        states_ = std::move(states);
        QStringList words;
        for (const auto& s : states_) words << QString::fromStdString(s.piece + " " + s.which + ": " + s.words);
        setAccessibleName(words.join(QStringLiteral("; ")));
        fit();
        update();
    }

protected:
    void resizeEvent(QResizeEvent* e) override {
        QWidget::resizeEvent(e);
        fit();
    }
    void paintEvent(QPaintEvent*) override {
        QPainter p(this);
        p.setRenderHint(QPainter::Antialiasing);
        const double cell = kCell;
        const int columns = std::max(1, static_cast<int>(width() / cell));
        for (size_t i = 0; i < states_.size(); ++i) {
            const auto& state = states_[i];
            const QRectF box(static_cast<int>(i) % columns * cell, static_cast<int>(i) / columns * 150.0, cell - 14,
                             140);
            const Piece* piece = nullptr;
            for (const auto& q : session_.plan().pieces)
                if (q.id == state.piece) piece = &q;
            const auto answers = session_.pieceAnswers(state.piece);
            if (!piece || !answers || !answers->made) continue;
            if (state.cold) {
                p.setPen(QPen(theme().cold, 1));
                p.setBrush(theme().coldFill);
                p.drawRoundedRect(box.adjusted(0.5, 0.5, -0.5, -0.5), 10, 10);
            }
            const auto tell = [&] {
                p.setFont(report::font(14, QFont::DemiBold));
                p.setPen(theme().ink);
                p.drawText(QRectF(box.left(), box.top() + 90, box.width(), 18), Qt::AlignCenter,
                           QString::fromStdString(piece->name + (state.which.empty() ? "" : " " + state.which)));
                p.setFont(report::font(13));
                p.setPen(state.cold ? theme().coldText : theme().quiet);
                p.drawText(QRectF(box.left() + 4, box.top() + 108, box.width() - 8, 32),
                           Qt::AlignHCenter | Qt::AlignTop | Qt::TextWordWrap, QString::fromStdString(state.words));
            };
            if (!answers->made->meridian) {
                const QRectF icon(box.center().x() - 52, box.top() + 6, 104, 82);
                p.setOpacity(state.coats > 0 ? 1 : 0.22);  // not cast yet
                p.drawImage(icon, thumbnail(*piece, answers, (icon.size() * 2).toSize(), this));
                p.setOpacity(1);
                tell();
                continue;
            }
            const auto& s = *answers->made->meridian;
            const double wide = 2 * *std::max_element(s.profile.r.begin(), s.profile.r.end());
            const double scale = std::min(104 / wide, 66 / s.height);
            QTransform m;
            m.translate(box.center().x(), box.top() + 16 + 66);
            m.scale(scale, -scale);
            std::vector<double> wall(s.profile.size(), 0.0);
            if (state.coats > 0)
                wall = s.coats.coats[std::min<size_t>(static_cast<size_t>(state.coats), s.coats.coats.size()) - 1].wall;
            const double times = std::max(1.0, 3.4 / (s.wall.mean * scale));
            const auto curves = report::sectionCurves(s.profile, wall, times);
            if (!state.released) {  // the former is still there
                QPen dashed(theme().balloon, 1.3);
                dashed.setDashPattern({4, 3});
                p.setPen(dashed);
                p.setBrush(Qt::NoBrush);
                QPainterPath f;
                for (size_t k = 0; k < curves.former.size(); ++k)
                    k ? f.lineTo(m.map(curves.former[k])) : f.moveTo(m.map(curves.former[k]));
                p.drawPath(f);
                p.drawPath((QTransform(-1, 0, 0, 1, 2 * m.dx(), 0)).map(f));
            }
            if (state.coats > 0) {
                p.setPen(edgeOf(chocolateColour(piece->chocolate)));
                p.setBrush(chocolateColour(piece->chocolate));
                p.drawPath(report::wholeSection(curves, m));
            }
            tell();
        }
    }

private:
    static constexpr double kCell = 158, kHigh = 150;
    /// As high as its rows need; the strip scrolls.
    void fit() {
        const int columns = std::max(1, static_cast<int>(width() / kCell)),
                  rows = (static_cast<int>(states_.size()) + columns - 1) / columns;
        setMinimumHeight(static_cast<int>(std::max(1, rows) * kHigh));
    }

    Session& session_;
    std::vector<PieceState> states_;
};

/// A step: its time in figures of one width, then its words.
class StepDelegate : public QStyledItemDelegate {
public:
    using QStyledItemDelegate::QStyledItemDelegate;
    QSize sizeHint(const QStyleOptionViewItem&, const QModelIndex&) const override { return {200, 27}; }
    void paint(QPainter* p, const QStyleOptionViewItem& option, const QModelIndex& index) const override {
        p->save();
        p->setRenderHint(QPainter::Antialiasing);
        const bool chosen = option.state & QStyle::State_Selected;
        if (chosen) {
            p->setPen(QPen(theme().ring, 1.5));
            p->setBrush(theme().yolk);
            p->drawRoundedRect(QRectF(option.rect).adjusted(0, 1, -2, -1), 6, 6);
        }
        const QString words = index.data().toString();
        const double base = option.rect.top() + 18.5;
        p->setPen(chosen ? QColor(0x2A, 0x1A, 0x12) : theme().quiet);
        p->setFont(report::font(15, QFont::Medium));
        report::drawTabular(*p, QPointF(option.rect.left() + 8, base), words.left(5));
        p->setPen(chosen ? QColor(0x2A, 0x1A, 0x12) : theme().ink);
        p->setFont(report::font(15));
        p->drawText(
            QPointF(option.rect.left() + 64, base),
            QFontMetricsF(p->font()).elidedText(words.mid(6).trimmed(), Qt::ElideRight, option.rect.width() - 72));
        p->restore();
    }
};

DayPlace::DayPlace(Session& session, QWidget* parent)
    : QWidget(parent),
      session_(session),
      headline_(new QLabel),
      sentence_(new QLabel),
      moment_(new QLabel),
      timeline_(new Timeline),
      states_(new StatesStrip(session)),
      steps_(new QListWidget) {
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(26, 16, 24, 14);
    box->setSpacing(8);
    headline_->setStyleSheet(QStringLiteral("font-size: 27px; font-weight: 700;"));
    headline_->setObjectName(QStringLiteral("dayHeadline"));
    sentence_->setProperty("quiet", true);
    sentence_->setWordWrap(true);
    auto* head = new QHBoxLayout;
    auto* words = new QVBoxLayout;
    words->setSpacing(2);
    words->addWidget(headline_);
    words->addWidget(sentence_);
    head->addLayout(words, 1);
    auto* working = new QPushButton(tr("Show the working"));
    working->setProperty("flat", true);
    connect(working, &QPushButton::clicked, this, [this] {
        if (const auto a = session_.answers(); a && a->day)
            emit workingWanted(dayAnswer(session_.plan(), *a->day, session_.now()));
    });
    head->addWidget(working, 0, Qt::AlignTop);
    box->addLayout(head);
    auto* scroll = new QScrollArea;
    scroll->setWidgetResizable(true);
    scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    scroll->setFocusPolicy(Qt::NoFocus);
    scroll->setWidget(timeline_);
    timelineScroll_ = scroll;

    box->addWidget(scroll, 0);
    auto* below = new QHBoxLayout;
    below->setSpacing(24);
    auto* left = new QVBoxLayout;
    moment_->setStyleSheet(QStringLiteral("font-size: 21px; font-weight: 600;"));
    left->addWidget(moment_);
    auto* strip = scrolledDown();
    strip->setWidget(states_);
    left->addWidget(strip, 1);
    below->addLayout(left, 5);
    steps_->setAccessibleName(tr("Steps of the day"));
    steps_->setStyleSheet(QStringLiteral("QListWidget { background: transparent; border: 0; outline: 0; }"));
    steps_->setItemDelegate(new StepDelegate(steps_));
    steps_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    scrollByFinger(steps_);
    below->addWidget(steps_, 4);
    box->addLayout(below, 1);
    connect(timeline_, &Timeline::minuteChanged, this, &DayPlace::showMinute);
    connect(steps_, &QListWidget::itemActivated, this,
            [this](QListWidgetItem* item) { timeline_->setMinute(item->data(Qt::UserRole).toInt()); });
    connect(steps_, &QListWidget::itemClicked, this,
            [this](QListWidgetItem* item) { timeline_->setMinute(item->data(Qt::UserRole).toInt()); });
    connect(&session_, &Session::answersChanged, this, &DayPlace::refresh);
    connect(&session_, &Session::planChanged, this, [this] { setEnabled(!session_.plan().pieces.empty()); });
}

void DayPlace::showEvent(QShowEvent* e) {
    QWidget::showEvent(e);
    refresh();
}

void DayPlace::refresh() {
    if (!isVisible()) return;  // done again when it is shown
    const auto a = session_.answers();
    const bool day = a && a->day;
    if (!day) {
        headline_->setText(session_.plan().pieces.empty() ? tr("Nothing on the shelf yet")
                           : a && !a->problems.empty()    ? tr("No day yet")
                                                          : tr("Laying out the day …"));
        sentence_->setText(a && !a->problems.empty() ? QString::fromStdString(a->problems.front().sentence)
                                                     : QString());
        if (!a || a->problems.empty()) return;  // the old day stays until the new one is there
    }
    const auto due = localMinutes(session_.plan().deadline);  // none where it is no time: the last good day stays
    timeline_->setDay(day ? a->day : nullptr, due.value_or(day ? a->day->end : 0), session_.now(), session_.units());
    fitTimeline();
    steps_->clear();
    order_.clear();
    if (!day) {
        states_->setStates({});
        moment_->clear();
        return;
    }
    const Answer answer = dayAnswer(session_.plan(), *a->day, session_.now());
    const bool bad = answer.tone == Tone::Impossible;
    const QString start = QString::fromStdString(answer.headline);
    headline_->setText(!a->day->problem.empty() ? tr("No day fits")
                       : due                    ? tr("Start by %1, ready at %2")
                                   .arg(start, qstring(clockInWords(static_cast<int>(*due % 1440), session_.units())))
                             : tr("Start by %1").arg(start));
    const QString style =
        QStringLiteral("font-size: 27px; font-weight: 700; color: %1;").arg((bad ? theme().harm : theme().ink).name());
    if (style != headline_->styleSheet()) headline_->setStyleSheet(style);
    sentence_->setText(QString::fromStdString(answer.sentence));
    if (a->day->problem.empty()) {
        order_.resize(a->day->layout.start.size());
        std::iota(order_.begin(), order_.end(), 0);
        std::stable_sort(order_.begin(), order_.end(),
                         [&](size_t x, size_t y) { return a->day->layout.start[x] < a->day->layout.start[y]; });
        for (const size_t i : order_) {
            const auto& t = a->day->network.tasks[i];
            auto* item = new QListWidgetItem(QStringLiteral("%1   %2").arg(
                qstring(a->day->said(a->day->layout.start[i], session_.units())), QString::fromStdString(t.title)));
            item->setData(Qt::UserRole, a->day->layout.start[i]);
            item->setToolTip(tr("%1 min").arg(t.minutes));
            steps_->addItem(item);
        }
    }
    showMinute();
}

void DayPlace::fitTimeline() {
    timelineScroll_->setFixedHeight(std::min(timeline_->sizeHint().height() + 4, std::max(220, height() * 3 / 5)));
}

void DayPlace::resizeEvent(QResizeEvent* e) {
    QWidget::resizeEvent(e);
    fitTimeline();
}

void DayPlace::showMinute() {
    const auto a = session_.answers();
    if (!a || !a->day || !a->day->problem.empty()) return;
    const int minute = timeline_->minute();
    moment_->setText(tr("At %1").arg(qstring(a->day->said(minute, session_.units()))));
    states_->setStates(statesAt(session_.plan(), *a->day, minute));
    int row = -1;
    for (size_t i = 0; i < order_.size(); ++i)
        if (a->day->layout.start[order_[i]] <= minute) row = static_cast<int>(i);
    if (row >= 0 && row < steps_->count()) {
        steps_->setCurrentRow(row);
        steps_->scrollToItem(steps_->item(row), QAbstractItemView::PositionAtCenter);
    }
}

}  // namespace uovo::desktop
