#include "desktop/shape/mold_page.h"

#include <QFileDialog>
#include <QProgressBar>
#include <QTimer>
#include <thread>

#include "core/form/decimate.h"
#include "core/form/unite.h"
#include "core/quantity/free_name.h"
#include "core/stages/cut_apart.h"
#include "core/words/words.h"
#include "desktop/kit/page.h"
#include "desktop/stage/mold_scene.h"
#include "io/mesh_file.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

class MoldPage : public Page {
    Q_DECLARE_TR_FUNCTIONS(MoldPage)

public:
    MoldPage(Session& session, std::function<void(std::optional<SolidScene>)> show, std::function<void()> again,
             std::function<void()> thing)
        : Page(session, "moldPage"),
          show_(std::move(show)),
          again_(std::move(again)),
          thing_(std::move(thing)),
          id_(session.piece() ? session.piece()->id : "") {
        const Piece* piece = session.piece();
        if (!piece) {
            note(tr("There is no piece here."), "");
            return;
        }
        parts();
        said_ = wrapped({}, "");
        said_->setObjectName(QStringLiteral("moldSaid"));
        box_->addWidget(said_);
        if (piece->family().byWater && thing_)
            button(tr("Its outline from a picture …"), QStringLiteral("moldThing"), thing_)
                ->setToolTip(tr("The thing beside a coin: nearer to its shape than a silhouette"));
        tick(tr("The mold is there already"), QStringLiteral("moldThere"), piece->mold.there,
             [this](bool on) { edit(tr("Say whether the mold is there"), [on](MoldWish& m) { m.there = on; }); });
        figure({tr("Casts it has made"), QStringLiteral("mold/casts"), "pieces/" + id_ + "/mold/casts"},
               session_.typing(Dimension::Count, "", nullptr), Measure(piece->mold.casts), [this](const Measure& v) {
                   edit(tr("Say what a mold has made"),
                        [&](MoldWish& m) { m.casts = static_cast<int>(std::lround(v.value)); });
               });
        figures(piece->mold);
        changes(*piece);
        for (const auto& words : cautionTexts({"own-mold", "raw-original"}, session.library())) note(qstring(words));
        end();
        connect(&session, &Session::answersChanged, this, &MoldPage::refresh);
        connect(&session, &Session::selectionChanged, this, &MoldPage::refresh);
        refresh();
    }
    ~MoldPage() override {
        if (show_) show_({});
    }

protected:
    void showEvent(QShowEvent*) override { refresh(); }
    void hideEvent(QHideEvent*) override {
        if (show_) show_({});
    }

private:
    void edit(const QString& label, const std::function<void(MoldWish&)>& change) {
        session_.document().edit(label, [&](Plan& plan) {
            for (auto& p : plan.pieces)
                if (p.id == id_) change(p.mold);
        });
    }
    const Piece* piece() const { return session_.plan().piece(id_); }

    /// Which part's mold is shown, where there are several.
    void parts() {
        QStringList names;
        for (const auto& item : piece()->shape.items)
            if (const auto* family = form::family(item.part.family); family && family->copied && item.edible)
                names << qstring(item.name);
        if (names.size() > 1)
            choice({tr("The mold of"), QStringLiteral("moldPart")}, names, 0, [this](int i) {
                part_ = i;
                refresh();
            });
    }

    void figures(const MoldWish& m) {
        const auto measure = [this](const QString& name, const char* place, Dimension dimension, const char* unit,
                                    const Measure& now, Measure MoldWish::*member) {
            figure({name, QStringLiteral("mold/") + QLatin1String(place), "pieces/" + id_ + "/mold/" + place},
                   session_.typing(dimension, unit, nullptr), now, [this, name, member](const Measure& v) {
                       edit(tr("Change %1").arg(name.toLower()), [&](MoldWish& w) { w.*member = v; });
                   });
        };
        const auto number = [this](const QString& name, const char* place, double now, double MoldWish::*member) {
            TypingContext typing = session_.typing(Dimension::Count, "", nullptr);
            typing.fractions = true;
            figure({name, QStringLiteral("mold/") + QLatin1String(place), "pieces/" + id_ + "/mold/" + place}, typing,
                   Measure(now), [this, name, member](const Measure& v) {
                       edit(tr("Change %1").arg(name.toLower()), [&](MoldWish& w) { w.*member = v.value; });
                   });
        };
        choice({tr("Parts of the mold"), QStringLiteral("moldParts")}, {tr("as few as do"), tr("one"), tr("two")},
               m.parts, [this](int i) { edit(tr("Change the parts of the mold"), [i](MoldWish& w) { w.parts = i; }); });
        number(tr("Hardness, Shore A"), "hardness", m.hardness, &MoldWish::hardness);
        measure(tr("Silicone round it"), "wall", Dimension::Length, "mm", m.wall, &MoldWish::wall);
        heading(tr("As its label says"));
        number(tr("Parts of A"), "partsA", m.partsA, &MoldWish::partsA);
        number(tr("Parts of B"), "partsB", m.partsB, &MoldWish::partsB);
        choice({tr("Mixed by"), QStringLiteral("moldBy")}, {tr("mass"), tr("volume")}, m.byMass ? 0 : 1,
               [this](int i) { edit(tr("Change how silicone is mixed"), [i](MoldWish& w) { w.byMass = i == 0; }); });
        measure(tr("Can be poured for"), "potLife", Dimension::Duration, "min", m.potLife, &MoldWish::potLife);
        measure(tr("Cures in"), "cure", Dimension::Duration, "h", m.cure, &MoldWish::cure);
        number(tr("Price of a kilogram"), "price", m.price, &MoldWish::price);
        heading(tr("The original"));
        words({tr("Allergens it carries"), QStringLiteral("moldAllergens")}, qstring(m.allergens),
              [this](const QString& said) {
                  edit(tr("Change what the original carries"), [&](MoldWish& w) { w.allergens = said.toStdString(); });
                  return QString();
              })
            ->edit()
            ->setMaxLength(80);
        tick(tr("It is raw food"), QStringLiteral("moldRaw"), m.raw,
             [this](bool on) { edit(tr("Say what the original is"), [on](MoldWish& w) { w.raw = on; }); });
    }

    /// What can be done to a model before a mold is taken of it.
    void changes(const Piece& piece) {
        if (!form::fromFile(piece.shape) && piece.shape.items.empty()) return;
        if (form::fromFile(piece.shape)) {
            cut_ = button(tr("Cut off what branches off"), QStringLiteral("moldCut"), [this] { cutOff(); });
            cut_->setToolTip(tr("At its necks, until each part comes out of its mold; the parts are glued afterwards"));
            figure({tr("Cut it level, at"), QStringLiteral("mold/cutAt"), "pieces/" + id_ + "/cutAt"},
                   session_.typing(Dimension::Percent, "", nullptr), Measure(at_),
                   [this](const Measure& m) { at_ = m.value; })
                ->setRule([](const Measure& m) {
                    constexpr double kLow = 0.02, kHigh = 0.98;
                    return m.value >= kLow && m.value <= kHigh ? QString() : tr("Between 2 and 98 % of its height.");
                });
            button(tr("Cut it there, with pegs"), QStringLiteral("moldCutAt"), [this] {
                cutLevel();
            })->setToolTip(tr("Of its height from below; both parts get a mold, and are glued afterwards"));
            button(tr("Give it a flat foot"), QStringLiteral("moldFoot"), [this] {
                reshape(tr("Give the original a foot"), [](const form::Mesh& m) {
                    const double high = form::bounds(m).size().z;
                    return form::onFoot(m, 0.03 * high, 0.02 * high);
                });
            });
            button(tr("Hollow it, %1 thick").arg(qstring(format(kHollow, Dimension::Length, session_.units()))),
                   QStringLiteral("moldHollow"), [this] {
                       reshape(tr("Hollow the original"),
                               [](const form::Mesh& m) { return form::hollowed(m, kHollow); });
                   });
        }
        if (form::fromFile(piece.shape)) {
            unite_ = button(tr("Make its bodies one"), QStringLiteral("moldUnite"), [this] { unite(); });
            unite_->setToolTip(tr("A new surface round all of it, where bodies or faces pass through each other"));
        }
        button(tr("Export the original …"), QStringLiteral("moldExport"), [this] { exportIt(); });
        busy_ = new QProgressBar;
        busy_->setObjectName(QStringLiteral("moldBusy"));
        busy_->setAccessibleName(tr("Working on the original"));
        busy_->setTextVisible(false);
        busy_->setRange(0, 0);
        busy_->hide();
        box_->addWidget(busy_);
        trouble_ = wrapped({}, "harm");
        trouble_->setObjectName(QStringLiteral("moldTrouble"));
        trouble_->hide();
        box_->addWidget(trouble_);
    }

    /// The mold that the page is about; null while it is not computed.
    const MoldWork* shown(const PieceAnswers* known) const {
        if (!known || !known->made || known->molds.empty()) return nullptr;
        return &known->molds[std::min(size_t(std::max(0, part_)), known->molds.size() - 1)];
    }

    void refresh() {
        const auto known = session_.pieceAnswers(id_);
        const MoldWork* work = shown(known.get());
        QString words;
        if (work) {
            const std::string id = work->name.empty() ? "mold" : "mold/" + known->made->assembly.items[work->item].key;
            for (const auto& a : known->answers)
                if (a.id == id)  // a line for each of its sentences
                    words = qstring(a.headline + " " + a.after + ". " + a.sentence)
                                .replace(QStringLiteral(". "), QStringLiteral(".\n"));
        }
        said_->setText(words.isEmpty() ? tr("Still being computed.") : words);
        if (!show_ || !isVisible()) return;
        if (session_.selected().toStdString() == id_ && work && work->own)
            show_(moldScene(*work->own, known->made->assembly.items[work->item].shape.surface));
        else show_({});
    }

    void tell(const QString& trouble) {
        trouble_->setText(trouble);
        trouble_->setVisible(!trouble.isEmpty());
    }

    /// The surface as it is built, m; none while it is not there.
    std::optional<form::Mesh> surface() const {
        const auto known = session_.pieceAnswers(id_);
        const MoldWork* work = shown(known.get());
        if (!work) return std::nullopt;
        return known->made->assembly.items[work->item].shape.surface;
    }

    template <class Change>
    void reshape(const QString& label, Change change) {
        const auto mesh = surface();
        if (!mesh) return tell(tr("It is still being computed: try again in a moment."));
        auto changed = change(*mesh);
        if (!changed) return tell(qstring(changed.error().sentence));
        keepAs(label, std::move(*changed));
    }
    /// The piece gets another model.
    void keepAs(const QString& label, form::Mesh mesh) {
        tell({});
        session_.document().edit(label, [&](Plan& plan) {
            for (auto& p : plan.pieces) {
                if (p.id != id_) continue;
                const std::string name =
                    freeName(p.shape.mesh, " ", [&](const auto& n) { return plan.meshes.contains(n); });
                plan.meshes[name] = std::make_shared<const form::Mesh>(std::move(mesh));
                p.shape.mesh = name;
                p.shape.values["scale"] = Measure(1);
            }
        });
    }

    /// A second press of a button whose work is under way stops it. @returns whether anything was under way
    bool stopped(const QPushButton* pressed) {
        if (!busy_->isVisible()) return false;
        if (pressed == working_) worker_.request_stop();
        return true;
    }
    void work(QPushButton* button) {
        tell({});
        working_ = button;
        busy_->show();
        button->setText(tr("Stop"));
    }
    void rest(QPushButton* button, const QString& words) {
        busy_->hide();
        button->setText(words);
    }

    void cutOff() {
        if (stopped(cut_)) return;
        const auto mesh = surface();
        const Piece* p = piece();
        if (!mesh || !p) return tell(tr("It is still being computed: try again in a moment."));
        work(cut_);
        auto options = moldOptions(p->mold, session_.library());
        worker_ =
            std::jthread([this, mesh = *mesh, options, lib = session_.library(), was = p->shape](std::stop_token stop) {
                auto found = mold::branchesOf(mesh, options, lib, 1, kMostParts, stop);
                QMetaObject::invokeMethod(this, [this, found = std::move(found), was] { cutFound(found, was); });
            });
    }

    /// Beside the window: it takes a second.
    void unite() {
        if (stopped(unite_)) return;
        const auto mesh = surface();
        const Piece* p = piece();
        if (!mesh || !p) return tell(tr("It is still being computed: try again in a moment."));
        work(unite_);
        worker_ = std::jthread([this, mesh = *mesh, was = p->shape](std::stop_token stop) {
            const auto crossings = form::crossingsOf(mesh, 1);
            std::optional<form::Mesh> one;
            if (crossings.pairs > 0) one = form::united(mesh, kCells, stop);
            if (one && one->triangles.size() > io::kMostTriangles)
                one = form::decimated(*one, io::kMostTriangles, stop);
            const bool stopped = stop.stop_requested();
            QMetaObject::invokeMethod(this, [this, one = std::move(one), was, stopped, crosses = crossings.pairs > 0] {
                rest(unite_, tr("Make its bodies one"));
                const Piece* now = piece();
                if (stopped || !now || !(now->shape == was)) return;
                if (!crosses) return tell(tr("Nothing passes through anything: it is one body already."));
                const double cell = form::cellOf(*one, kCells);
                keepAs(tr("Make the bodies of an original one"), *one);
                tell(tr("Its surface is new, on a grid of %1: look at its finest detail.")
                         .arg(qstring(format(cell, Dimension::Length, session_.units()))));
            });
        });
    }

    /// At the height that a person says.
    void cutLevel() {
        const auto mesh = surface();
        const Piece* p = piece();
        if (!mesh || !p) return tell(tr("It is still being computed: try again in a moment."));
        const auto found = mold::cutAcross(*mesh, at_, moldOptions(p->mold, session_.library()), session_.library(), 2);
        if (!found) return tell(qstring(found.error().sentence));
        tell({});
        session_.document().edit(tr("Cut the original level"), [&](Plan& plan) { cutApart(plan, id_, *found); });
        if (again_) QTimer::singleShot(0, this, again_);
    }

    void cutFound(const std::optional<mold::Branches>& found, const form::Part& was) {
        rest(cut_, tr("Cut off what branches off"));
        const Piece* p = piece();
        if (!found || !p || !(p->shape == was)) return;
        if (found->branches.size() < 2)
            return tell(found->free ? tr("It comes out whole: nothing needs to be cut off.")
                                    : tr("No cut was found that helps. Cut it apart by hand, or slit the mold."));
        session_.document().edit(tr("Cut off what branches off"), [&](Plan& plan) { cutApart(plan, id_, *found); });
        if (again_) QTimer::singleShot(0, this, again_);
    }

    void exportIt() {
        const auto mesh = surface();
        if (!mesh) return tell(tr("It is still being computed: try again in a moment."));
        const QString path = QFileDialog::getSaveFileName(this, tr("The original"), QStringLiteral("original.stl"),
                                                          tr("STL (*.stl);;3MF (*.3mf);;OBJ (*.obj);;PLY (*.ply)"));
        if (path.isEmpty()) return;
        const auto written = io::writeMeshFile(path.toStdString(), *mesh);
        tell(written ? QString() : qstring(written.error().sentence));
    }

    static constexpr double kHollow = 0.004;  // m
    static constexpr size_t kMostParts = 6;
    static constexpr int kCells = 150;  ///< of the grid along its longest side

    std::function<void(std::optional<SolidScene>)> show_;
    std::function<void()> again_, thing_;
    std::string id_;
    int part_ = 0;
    double at_ = 0.5;  ///< of its height, where it is cut level
    QLabel *said_ = nullptr, *trouble_ = nullptr;
    QPushButton *cut_ = nullptr, *unite_ = nullptr, *working_ = nullptr;
    QProgressBar* busy_ = nullptr;
    std::jthread worker_;
};

}  // namespace

QWidget* moldPage(Session& session, std::function<void(std::optional<SolidScene>)> show, std::function<void()> again,
                  std::function<void()> thing) {
    return new MoldPage(session, std::move(show), std::move(again), std::move(thing));
}

}  // namespace uovo::desktop
