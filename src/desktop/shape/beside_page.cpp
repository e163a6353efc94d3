#include "desktop/shape/beside_page.h"

#include <QGridLayout>

#include "core/words/compared.h"
#include "desktop/kit/page.h"
#include "desktop/stage/solid_scene.h"
#include "desktop/theme/theme.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

constexpr QSize kBesidePicture(196, 170);

class BesidePage : public Page {
    Q_DECLARE_TR_FUNCTIONS(BesidePage)

public:
    explicit BesidePage(Session& session) : Page(session, "besidePage") {
        const auto& pieces = session.plan().pieces;
        first_ = session.selected().toStdString();
        QStringList names;
        for (const auto& p : pieces) {
            if (p.id == first_) continue;
            others_.push_back(p.id);
            names << qstring(p.name);
        }
        if (!session.piece() || others_.empty()) {
            note(tr("Copy the piece beside it, change the copy, and look at both here."), "");
            return;
        }
        // a copy stands right behind its original
        const auto at = std::ranges::find(pieces, first_, &Piece::id) - pieces.begin();
        const size_t next = static_cast<size_t>(at) < others_.size() ? static_cast<size_t>(at) : others_.size() - 1;
        second_ = others_[next];
        choice({tr("%1 beside").arg(qstring(session.piece()->name)), QStringLiteral("besideOther")}, names,
               static_cast<int>(next), [this](int i) {
                   second_ = others_[static_cast<size_t>(i)];
                   refresh();
               });
        grid_ = new QGridLayout;
        grid_->setHorizontalSpacing(10);
        grid_->setVerticalSpacing(6);
        grid_->setColumnStretch(0, 2);
        grid_->setColumnStretch(1, 3);
        grid_->setColumnStretch(2, 3);
        pictures_ = new QHBoxLayout;
        box_->addLayout(pictures_);
        box_->addLayout(grid_);
        note(tr("In bold where they differ. The pictures are in one scale."));
        end();
        connect(&session, &Session::answersChanged, this, &BesidePage::refresh);
        refresh();
    }

private:
    SolidScene scene(const std::string& id) const {
        const Piece* p = session_.plan().piece(id);
        const auto known = session_.pieceAnswers(id);
        return p && known && known->made ? sceneOf(*p, *known, false) : SolidScene{};
    }
    static QLabel* picture(const SolidScene& scene, const QString& name) {
        auto* l = new QLabel;
        if (scene.bodies.empty()) return l;
        SolidView view;
        view.rim = rimLight();
        QImage image = paintSolid(scene, view, kBesidePicture * 2, true);
        image.setDevicePixelRatio(2);
        l->setPixmap(QPixmap::fromImage(image));
        l->setAccessibleName(name);
        return l;
    }
    void refresh() {
        emptyLayout(pictures_);
        emptyLayout(grid_);
        const auto answers = session_.answers();
        if (!answers || !session_.plan().piece(first_) || !session_.plan().piece(second_)) return;
        const auto name = [&](const std::string& id) { return qstring(session_.plan().piece(id)->name); };
        SolidScene one = scene(first_), two = scene(second_);
        for (SolidScene* s : {&one, &two}) s->fit = s->fitApart = one.fit.expandedTo(two.fit);  // in one scale
        pictures_->addWidget(picture(one, name(first_)));
        pictures_->addWidget(picture(two, name(second_)));
        grid_->addWidget(wrapped(name(first_), "small"), 0, 1);
        grid_->addWidget(wrapped(name(second_), "small"), 0, 2);
        int row = 1;
        const std::string today = localTime(session_.now()).substr(0, 10);
        for (const auto& r :
             compared(session_.answeredPlan(), session_.answeredLibrary(), *answers, first_, second_, today)) {
            grid_->addWidget(wrapped(qstring(r.what), "quiet"), row, 0, Qt::AlignTop);
            int column = 1;
            for (const auto& words : {r.first, r.second}) {
                auto* l = wrapped(words.empty() ? QStringLiteral("–") : qstring(words));
                if (r.differs) l->setStyleSheet(QStringLiteral("font-weight: 700;"));
                l->setObjectName(QStringLiteral("beside/%1/%2").arg(row).arg(column));
                grid_->addWidget(l, row, column++, Qt::AlignTop);
            }
            ++row;
        }
    }

    std::string first_, second_;
    std::vector<std::string> others_;
    QGridLayout* grid_ = nullptr;
    QHBoxLayout* pictures_ = nullptr;
};

}  // namespace

QWidget* besidePage(Session& session) { return new BesidePage(session); }

}  // namespace uovo::desktop
