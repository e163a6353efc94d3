#include "desktop/shape/outline_page.h"

#include <QCoreApplication>
#include <QFileDialog>
#include <QSlider>

#include "core/quantity/decimal.h"
#include "core/stages/narrow_place.h"
#include "desktop/kit/latest.h"
#include "desktop/kit/page.h"
#include "desktop/shape/letters.h"
#include "desktop/shape/traced_view.h"
#include "desktop/theme/theme.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

class OutlinePage : public Page {
    Q_DECLARE_TR_FUNCTIONS(OutlinePage)

public:
    OutlinePage(Session& session, QString item, const QString& picture)
        : Page(session, "outlinePage"), item_(std::move(item)), piece_(session.selected()) {
        wishes_.longest = 0.12;
        button(tr("A picture …"), QStringLiteral("choosePicture"), [this] {
            const QString path = QFileDialog::getOpenFileName(this, tr("A picture of a silhouette"), {},
                                                              tr("Pictures (*.png *.jpg *.jpeg)"));
            if (!path.isEmpty()) open(path);
        });
        note(
            tr("A photo or scan of one figure, dark on light or light on dark, from straight above, a ruler beside it "
               "to measure by."));
        shown_ = new TracedView;
        shown_->setObjectName(QStringLiteral("tracedPicture"));
        shown_->setAccessibleName(tr("The outline"));
        box_->addWidget(shown_);
        longest_ = figure({tr("Its longer side"), "outlineLongest"}, session.typing(Dimension::Length, "mm", nullptr),
                          Measure(wishes_.longest), [this](const Measure& m) {
                              wishes_.longest = m.value;
                              trace();
                          });
        longest_->setRule(lengthBetween(5e-3, 0.6));
        shade_ = new QSlider(Qt::Horizontal);
        shade_->setRange(1, 255);
        shade_->setValue(128);
        shade_->setObjectName(QStringLiteral("outlineShade"));
        shade_->setAccessibleName(tr("Shade that parts the figure from its ground"));
        row(tr("Shade"), shade_);
        connect(shade_, &QSlider::valueChanged, this, [this](int v) {
            wishes_.threshold = v;
            trace();
        });
        tick(tr("with its holes"), QStringLiteral("outlineHoles"), true, [this](bool on) {
            wishes_.holes = on;
            trace();
        });
        heading(tr("Or letters"));
        text_ = words({tr("Letter or word"), "outlineLetters"}, {}, [this](const QString& said) {
            word_ = said;
            return set();
        });
        figure({tr("Height of a capital"), "outlineCapital"}, session.typing(Dimension::Length, "mm", nullptr),
               Measure(capital_),
               [this](const Measure& m) {
                   capital_ = m.value;
                   text_->setProblem(set());
               })
            ->setRule(lengthBetween(5e-3, 0.4));
        tick(tr("joined by a bar at their foot"), QStringLiteral("outlineBar"), bar_, [this](bool on) {
            bar_ = on;
            text_->setProblem(set());
        });
        said_ = wrapped({});
        said_->setObjectName(QStringLiteral("outlineSaid"));
        box_->addWidget(said_);
        use_ = button(tr("Cut this"), QStringLiteral("outlineUse"), [this] { use(); });
        use_->setEnabled(false);
        end();
        draw();
        if (!picture.isEmpty()) open(picture);
    }

    void open(const QString& path) {
        const auto read = readPicture(path);
        if (!read) return tell(read.error(), true);
        shown_->setPicture(*read);
        picture_ = greyOf(*read);
        wishes_.threshold = -1;
        word_.clear();
        trace();
    }

private:
    /// In the background: a large picture takes longer than a frame.
    void trace() {
        if (picture_.pixels.empty()) return;
        use_->setEnabled(false);  // until what is shown is what is wished
        tracing_.ask([this, picture = picture_, wishes = wishes_]() -> Latest::Shown {
            return [this, traced = io::trace(picture, wishes)] {
                if (!traced) {
                    loops_.clear();
                    draw();
                    use_->setEnabled(false);
                    return tell(qstring(traced.error().sentence), true);
                }
                traced_ = *traced;
                const QSignalBlocker quiet(shade_);
                shade_->setValue(traced->threshold);
                take(traced->loops, traced->others > 0
                                        ? tr("%1 other figures in the picture are left out. ").arg(traced->others)
                                        : QString());
            };
        });
    }

    /// The word as it is written now. @returns why it cannot be
    QString set() {
        if (word_.trimmed().isEmpty()) return {};
        const auto made = letters(word_, capital_, bar_);
        if (!made) return qstring(made.error().sentence);
        shown_->setPicture({});
        picture_ = {};
        tracing_.forget();
        take(*made, {});
        return {};
    }

    void take(const std::vector<form::Loop>& loops, const QString& before) {
        loops_ = loops;
        size_t corners = 0;
        for (const auto& l : loops_) corners += l.size();
        const auto length = [&](double m) { return qstring(format(m, Dimension::Length, session_.units())); };
        QString words =
            before + tr("%1 corners, %2 to cut. ").arg(corners).arg(length(form::perimeter(loops_.front())));
        narrow_ = cutting::narrowest(loops_);
        bool holds = true;
        if (narrow_) {
            const auto place = narrowPlace(*narrow_, thickness(), chocolate(), session_.plan(), session_.library());
            holds = place.holds();
            words += tr("Its narrowest place is %1 wide, marked in the picture; %2 thick, it bears %3 times what hangs "
                        "on it, lifted flat by a hand.")
                         .arg(length(narrow_->width), length(thickness()))
                         .arg(qstring(decimal(place.bears, 1)));
            if (!holds) words += tr(" Make it wider or the sheet thicker, or lift it with a card under it.");
        }
        tell(words, !holds);
        use_->setEnabled(true);
        draw();
    }

    /// Of the part that gets the outline, or of a new sheet as it comes.
    const form::Part* part() const {
        const Piece* piece = session_.plan().piece(piece_.toStdString());
        if (!piece || piece_ != session_.selected()) return nullptr;
        if (item_.isEmpty()) return piece->family().points == "outline" ? &piece->shape : nullptr;
        const auto* item = form::itemOf(piece->shape, item_.toStdString());
        return item ? &item->part : nullptr;
    }
    double thickness() const { return form::figure(part() ? *part() : form::usual("sheet"), "thickness"); }
    std::string chocolate() const {
        return part() ? session_.plan().piece(piece_.toStdString())->chocolate
                      : newPiece(session_.plan(), "sheet").chocolate;
    }

    void tell(const QString& words, bool wrong) {
        said_->setText(words);
        said_->setStyleSheet(wrong ? QStringLiteral("color: %1;").arg(theme().harm.name()) : QString());
    }

    void draw() { shown_->show(loops_, traced_, narrow_ ? std::optional(narrow_->at) : std::nullopt); }

    void use() {
        if (loops_.empty()) return;
        const auto give = [this](form::Part& part) {
            part.choices["cut"] = "points";
            part.points = loops_;
        };
        if (part()) {
            session_.editPiece(tr("Another outline"), [&](Piece& p) {
                if (item_.isEmpty()) give(p.shape);
                else if (auto* item = form::itemOf(p.shape, item_.toStdString())) give(item->part);
            });
            return tell(tr("It is cut so now."), false);
        }
        Piece fresh = newPiece(session_.plan(), "sheet");
        give(fresh.shape);
        if (!word_.isEmpty()) fresh.name = word_.toStdString();
        piece_ = qstring(fresh.id);
        session_.document().edit(tr("Bring in an outline"), [&](Plan& plan) { plan.pieces.push_back(fresh); });
        session_.select(piece_);
        tell(tr("It stands on the shelf as a piece of its own."), false);
    }

    QString item_, piece_, word_;
    io::TraceWishes wishes_;
    io::GreyPicture picture_;
    io::Traced traced_;
    std::vector<form::Loop> loops_;
    std::optional<cutting::Narrow> narrow_;  ///< of them
    double capital_ = 0.05;
    bool bar_ = true;
    TracedView* shown_;
    QLabel* said_;
    FigureField* longest_;
    QSlider* shade_;
    WordsField* text_;
    QPushButton* use_;
    Latest tracing_{this};  // last: it ends before what it speaks to
};

}  // namespace

QWidget* outlinePage(Session& session, const QString& item, const QString& picture) {
    return new OutlinePage(session, item, picture);
}

}  // namespace uovo::desktop
