#include "desktop/log/entry_page.h"

#include <QCoreApplication>
#include <QFile>
#include <QFileDialog>
#include <QPushButton>
#include <QTimer>
#include <cmath>

#include "desktop/kit/page.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

using log::Entry;

/// What can be written down, in the order it is offered.
enum What { Weighed, Rim, Touched, Spoon, Whole, Wrong, Left, Stars, Sentence, Picture, Took, Bag };

constexpr int kFresh = 4000;  // ms that a scale's figure counts

/// "releaseBalloon" → "release balloon".
QString taskWords(const std::string& id) {
    QString out;
    for (const QChar c : qstring(id)) out += c.isUpper() ? QStringLiteral(" ") + c.toLower() : QString(c);
    return out;
}

class EntryPage : public Page {
    Q_DECLARE_TR_FUNCTIONS(EntryPage)

public:
    EntryPage(Session& session, LogKeeper& keeper, ProbeLink& probe, std::string evening, std::int64_t corrects,
              std::function<void()> kept)
        : Page(session, "entryPage"),
          keeper_(keeper),
          id_(std::move(evening)),
          evening_(keeper.evening(id_)),
          kept_(std::move(kept)) {
        if (!evening_) return;
        for (const auto& e : evening_->entries)
            if (e.id == corrects && corrects != 0) start(e);
        if (entry_.record.coats < 1 && !evening_->plan.pieces.empty())
            entry_.record.coats =
                std::max(1, static_cast<int>(evening_->plan.pieces[static_cast<size_t>(piece0_)].coats().size()));
        const QStringList whats{tr("One or more pieces weighed"),
                                tr("A broken rim, by caliper"),
                                tr("When it was firm to the finger"),
                                tr("How wide a spoonful lay"),
                                tr("How many came out whole"),
                                tr("Something went wrong"),
                                tr("Chocolate left over"),
                                tr("Stars"),
                                tr("A sentence"),
                                tr("A picture"),
                                tr("How long something took"),
                                tr("Which bag was open")};
        what_ = choice({tr("What"), QStringLiteral("entryWhat")}, whats, what0_, [this](int) { show(); });
        QStringList pieces, chocolates, faults;
        for (const auto& p : evening_->plan.pieces) pieces << qstring(p.name);
        piece_ = choice({tr("Piece"), QStringLiteral("entryPiece")}, pieces, piece0_, [](int) {});
        for (const auto& c : session.library().chocolates) chocolates << qstring(c.name);
        chocolate_ = choice({tr("Chocolate"), QStringLiteral("entryChocolate")}, chocolates, chocolate0_, [](int) {});
        for (const auto& f : session.library().faults) faults << qstring(f.name);
        fault_ = choice({tr("What went wrong"), QStringLiteral("entryFault")}, faults, fault0_, [](int) {});
        const auto number = [&](const QString& name, const char* object, int low, int high, int& value) {
            auto* f = count({name, QLatin1String(object)}, low, high, value, [&value](int v) { value = v; });
            return f;
        };
        coats_ = number(tr("After how many coats"), "entryCoats", 1, 20, entry_.record.coats);
        of_ = number(tr("Weighed together"), "entryTogether", 1, 1000, entry_.record.of);
        const auto figureOf = [&](const QString& name, const char* object, Dimension d, const char* unit, double now,
                                  std::function<void(double)> typed) {
            auto* f = new FigureField(name, QLatin1String(object), session_.typing(d, unit, nullptr));
            if (now > 0 && std::isfinite(now)) f->setMeasure(Measure(now), session_.units());
            connect(f, &FigureField::measureTyped, this,
                    [typed = std::move(typed)](const Measure& m) { typed(m.value); });
            row(name, f);
            f->setRule(canBe(d));
            return f;
        };
        auto& r = entry_.record;
        mass_ = figureOf(tr("They weigh"), "entryMass", Dimension::Mass, "g", mass0_, [this](double v) { mass0_ = v; });
        thick_ = figureOf(tr("It is thick"), "entryThick", Dimension::Length, "mm", thick0_,
                          [this](double v) { thick0_ = v; });
        wide_ = figureOf(tr("15 ml lay wide, after a minute"), "entryWide", Dimension::Length, "mm", wide0_,
                         [this](double v) { wide0_ = v; });
        notAt_ = figureOf(tr("Not firm yet, after the last coat"), "entryNotAt", Dimension::Duration, "min", r.notAt,
                          [this](double v) { entry_.record.notAt = v; });
        at_ = figureOf(tr("Firm, after the last coat"), "entryAt", Dimension::Duration, "min",
                       std::isfinite(r.at) ? r.at : 0, [this](double v) { entry_.record.at = v; });
        left_ = figureOf(tr("Left over"), "entryLeft", Dimension::Mass, "g", entry_.value,
                         [this](double v) { entry_.value = v; });
        whole_ = number(tr("Came out whole"), "entryWhole", 0, 10'000, whole0_);
        begun_ = number(tr("Of so many begun"), "entryBegun", 1, 10'000, begun0_);
        many_ = number(tr("How many of them"), "entryMany", 1, 10'000, many0_);
        stars_ = number(tr("Stars of five"), "entryStars", 1, 5, stars0_);
        QStringList tasks;
        for (const auto& [id, t] : session.library().tasks) {
            tasks_.push_back(id);
            tasks << taskWords(id);
        }
        const auto task = std::find(tasks_.begin(), tasks_.end(), entry_.record.task);
        task_ = choice({tr("Which"), QStringLiteral("entryTask")}, tasks,
                       task == tasks_.end() ? 0 : static_cast<int>(task - tasks_.begin()), [](int) {});
        took_ = figureOf(tr("It took"), "entryTook", Dimension::Duration, "min", 60 * took0_,
                         [this](double v) { took0_ = v / 60; });
        book_ = figureOf(tr("It was planned to take"), "entryBook", Dimension::Duration, "min", 60 * entry_.record.book,
                         [this](double v) { entry_.record.book = v / 60; });
        words_ =
            words({tr("In your words"), QStringLiteral("entryWords")}, qstring(entry_.words), [this](const QString& w) {
                entry_.words = w.toStdString();
                return QString();
            });
        scale_ = button({}, QStringLiteral("entryScale"), [this] { weigh(); });
        stale_.setSingleShot(true);
        stale_.setInterval(kFresh);
        connect(&stale_, &QTimer::timeout, this, [this] { lies(std::nullopt); });
        connect(&probe, &ProbeLink::reading, this, [this](const probe::Reading& r) {
            if (r.kind == probe::Reading::Kind::Mass) lies(r.value);
        });
        file_ = button(tr("Choose a picture …"), QStringLiteral("entryPicture"), [this] { choosePicture(); });
        wrong_ = wrapped({}, "harm");
        wrong_->setObjectName(QStringLiteral("entryProblem"));
        box_->addWidget(wrong_);
        keep_ = button(corrects ? tr("Keep it in its place") : tr("Keep it"), QStringLiteral("entryKeep"),
                       [this] { keep(); });
        keep_->setProperty("main", true);
        end();
        show();
    }

private:
    /// Takes what an entry says as what is written first.
    void start(const Entry& e) {
        entry_ = e;
        entry_.replaces = e.id;
        entry_.id = 0;
        const auto at = [&](const std::string& id) {
            const auto it = std::ranges::find(evening_->plan.pieces, id, &Piece::id);
            return it == evening_->plan.pieces.end() ? 0 : static_cast<int>(it - evening_->plan.pieces.begin());
        };
        piece0_ = at(e.piece.empty() ? e.record.piece : e.piece);
        switch (e.is) {
            case Entry::Is::Measured:
                what0_ = e.record.is == learn::Record::Is::Rim       ? Rim
                         : e.record.is == learn::Record::Is::Touched ? Touched
                         : e.record.is == learn::Record::Is::Spoon   ? Spoon
                         : e.record.is == learn::Record::Is::Took    ? Took
                                                                     : Weighed;
                mass0_ = thick0_ = wide0_ = took0_ = e.record.value;
                break;
            case Entry::Is::Made:
                what0_ = Whole;
                whole0_ = e.count;
                begun0_ = e.of;
                break;
            case Entry::Is::Failed:
                what0_ = Wrong;
                many0_ = std::max(1, e.count);
                for (size_t k = 0; k < session_.library().faults.size(); ++k)
                    if (session_.library().faults[k].id == e.fault) fault0_ = static_cast<int>(k);
                break;
            case Entry::Is::Left:
                what0_ = Left;
                break;
            case Entry::Is::Stars:
                what0_ = Stars;
                stars0_ = e.count;
                break;
            case Entry::Is::Photo:
                what0_ = Picture;
                break;
            default:
                what0_ = Sentence;
        }
        for (size_t k = 0; k < session_.library().chocolates.size(); ++k)
            if (session_.library().chocolates[k].id == e.chocolate) chocolate0_ = static_cast<int>(k);
    }

    void show() {
        const int what = what_->currentIndex();
        const auto only = [&](QWidget* row, std::initializer_list<int> when) {
            showRow(row, std::find(when.begin(), when.end(), what) != when.end());
        };
        only(piece_, {Weighed, Rim, Touched, Whole, Wrong, Stars});
        only(chocolate_, {Spoon, Left, Bag});
        only(task_, {Took});
        only(took_, {Took});
        only(book_, {Took});
        only(fault_, {Wrong});
        only(coats_, {Weighed});
        only(of_, {Weighed});
        only(mass_, {Weighed});
        only(thick_, {Rim});
        only(wide_, {Spoon});
        only(notAt_, {Touched});
        only(at_, {Touched});
        only(left_, {Left});
        only(whole_, {Whole});
        only(begun_, {Whole});
        only(many_, {Wrong});
        only(stars_, {Stars});
        only(words_, {Sentence, Picture, Bag});
        file_->setVisible(what == Picture);
        wrong_->setText({});
        lies(lying_);
    }

    /// What lies on the scale, kg; none: nothing is known, or not any more.
    void lies(std::optional<double> mass) {
        lying_ = mass;
        const int what = what_->currentIndex();
        scale_->setVisible(mass && (what == Weighed || what == Left));
        if (!mass) return;
        scale_->setText(tr("%1 from the scale").arg(qstring(format(*mass, Dimension::Mass, session_.units()))));
        stale_.start();
    }

    void weigh() {
        if (!lying_) return;
        FigureField* field = what_->currentIndex() == Left ? left_ : mass_;
        (what_->currentIndex() == Left ? entry_.value : mass0_) = *lying_;
        field->setMeasure(Measure(*lying_), session_.units());
        keep_->setFocus();
    }

    void choosePicture() {
        const QString path = QFileDialog::getOpenFileName(this, tr("A picture of the evening"), {},
                                                          tr("Pictures (*.jpg *.jpeg *.png *.webp)"));
        if (path.isEmpty()) return;
        QFile file(path);
        if (!file.open(QIODevice::ReadOnly)) return wrong_->setText(tr("%1 cannot be read.").arg(path));
        if (file.size() > static_cast<qint64>(log::kMostPhoto))
            return wrong_->setText(tr("The picture is larger than 8 MB: make it smaller first."));
        entry_.photo = file.readAll().toStdString();
        wrong_->setText(tr("It is chosen: %1").arg(path.section(QLatin1Char('/'), -1)));
    }

    void keep() {
        const int what = what_->currentIndex();
        Entry e = entry_;
        const auto& pieces = evening_->plan.pieces;
        const std::string piece = piece_->currentIndex() >= 0 && piece_->currentIndex() < std::ssize(pieces)
                                      ? pieces[static_cast<size_t>(piece_->currentIndex())].id
                                      : std::string();
        e.piece.clear();
        e.record.piece.clear();
        const auto missing = [&](const QString& words) { wrong_->setText(words); };
        const auto& chocolates = session_.library().chocolates;
        const auto chocolate = [&] {
            return chocolates[static_cast<size_t>(std::max(0, chocolate_->currentIndex()))].id;
        };
        switch (what) {
            case Weighed:
                if (!(mass0_ > 0)) return missing(tr("Say what they weigh."));
                e.is = Entry::Is::Measured;
                e.record.is = learn::Record::Is::Weighed;
                e.record.value = mass0_;
                e.record.piece = piece;
                break;
            case Rim:
                if (!(thick0_ > 0)) return missing(tr("Say how thick the rim is."));
                e.is = Entry::Is::Measured;
                e.record.is = learn::Record::Is::Rim;
                e.record.value = thick0_;
                e.record.piece = piece;
                break;
            case Touched:
                if (!(e.record.at > e.record.notAt) || (e.record.notAt <= 0 && !std::isfinite(e.record.at)))
                    return missing(tr("Say when it was not firm yet, or when it was: the latter is later."));
                e.is = Entry::Is::Measured;
                e.record.is = learn::Record::Is::Touched;
                e.record.piece = piece;
                break;
            case Spoon:
                if (!(wide0_ > 0)) return missing(tr("Say how wide it lay."));
                e.is = Entry::Is::Measured;
                e.record.is = learn::Record::Is::Spoon;
                e.record.value = wide0_;
                e.record.chocolate = chocolate();
                break;
            case Whole:
                e.is = Entry::Is::Made;
                e.piece = piece;
                e.count = whole0_;
                e.of = begun0_;
                break;
            case Wrong:
                e.is = Entry::Is::Failed;
                e.piece = piece;
                e.count = many0_;
                e.fault = session_.library().faults[static_cast<size_t>(std::max(0, fault_->currentIndex()))].id;
                break;
            case Left:
                e.is = Entry::Is::Left;
                e.chocolate = chocolate();
                break;
            case Stars:
                e.is = Entry::Is::Stars;
                e.piece = piece;
                e.count = stars0_;
                break;
            case Picture:
                e.is = Entry::Is::Photo;
                break;
            case Took:
                if (!(took0_ > 0) || !(e.record.book > 0))
                    return missing(tr("Say what it took, and what was planned."));
                e.is = Entry::Is::Measured;
                e.record.is = learn::Record::Is::Took;
                e.record.task = tasks_[static_cast<size_t>(std::max(0, task_->currentIndex()))];
                e.record.value = took0_;
                break;
            case Bag: {
                if (e.words.empty()) return missing(tr("Give the bag a name, the date it was opened for one."));
                log::Evening with = *evening_;
                with.bags[learn::figuresOf(chocolate(), session_.library())] = e.words;
                if (const QString why = keeper_.keep(with); !why.isEmpty()) return missing(why);
                return kept_();
            }
            default:
                e.is = Entry::Is::Said;
        }
        if (const QString why = keeper_.add(id_, e); !why.isEmpty()) return missing(why);
        kept_();
    }

    LogKeeper& keeper_;
    std::string id_;
    std::shared_ptr<const log::Evening> evening_;
    std::function<void()> kept_;
    Entry entry_;
    int what0_ = Weighed, piece0_ = 0, chocolate0_ = 0, fault0_ = 0;
    int whole0_ = 1, begun0_ = 1, many0_ = 1, stars0_ = 4;
    double mass0_ = 0, thick0_ = 0, wide0_ = 0, took0_ = 0;
    std::vector<std::string> tasks_;
    QComboBox *what_ = nullptr, *piece_ = nullptr, *chocolate_ = nullptr, *fault_ = nullptr, *task_ = nullptr;
    FigureField *coats_ = nullptr, *of_ = nullptr, *mass_ = nullptr, *thick_ = nullptr, *wide_ = nullptr,
                *notAt_ = nullptr, *at_ = nullptr, *left_ = nullptr, *whole_ = nullptr, *begun_ = nullptr,
                *many_ = nullptr, *stars_ = nullptr, *took_ = nullptr, *book_ = nullptr;
    WordsField* words_ = nullptr;
    QPushButton *file_ = nullptr, *keep_ = nullptr, *scale_ = nullptr;
    std::optional<double> lying_;
    QTimer stale_;
    QLabel* wrong_ = nullptr;
};

}  // namespace

std::function<QString(const Measure&)> canBe(Dimension dimension) {
    return [dimension](const Measure& m) {
        const auto between = [&](double low, double high, const QString& words) {
            return m.value >= low && m.value <= high ? QString() : words;
        };
        switch (dimension) {
            case Dimension::Temperature:
                return between(-30, 120, QObject::tr("No kitchen measures that: between -30 and 120 °C."));
            case Dimension::Duration:
                return between(0, 86400, QObject::tr("Between nothing and a day."));
            case Dimension::Length:
                return between(1e-4, 0.3, QObject::tr("Between a tenth of a millimetre and 30 cm."));
            case Dimension::Mass:
                return between(1e-4, 100, QObject::tr("Between a tenth of a gram and 100 kg."));
            default:
                return QString();
        }
    };
}

QWidget* entryPage(Session& session, LogKeeper& keeper, ProbeLink& probe, const std::string& evening,
                   std::int64_t corrects, std::function<void()> kept) {
    return new EntryPage(session, keeper, probe, evening, corrects, std::move(kept));
}

}  // namespace uovo::desktop
