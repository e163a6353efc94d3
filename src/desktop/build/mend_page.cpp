#include "desktop/build/mend_page.h"

#include "core/words/mend_words.h"
#include "desktop/kit/page.h"
#include "desktop/theme/theme.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

class MendPage : public Page {
    Q_DECLARE_TR_FUNCTIONS(MendPage)

public:
    MendPage(Session& session, const QString& item) : Page(session, "mendPage"), piece_(session.selected()) {
        const auto known = session.pieceAnswers(piece_.toStdString());
        if (!known || !known->made) {
            note(tr("Still being computed: open it again in a moment."), "");
            return;
        }
        QStringList names;
        int at = 0;
        const auto& items = known->made->assembly.items;
        for (size_t k = 0; k < items.size(); ++k) {
            if (!items[k].edible) continue;
            if (qstring(items[k].key) == item) at = static_cast<int>(parts_.size());
            parts_.push_back(k);
            names << qstring(items[k].name);
        }
        note(tr(
            "A break across the part's longest way. Both faces dry and free of crumbs; hold it until the glue grips."));
        choice({tr("Which part broke"), "mendPart"}, names, at,
               [this](int i) { tell(parts_[static_cast<size_t>(i)]); });
        list_ = new QWidget;
        new QVBoxLayout(list_);
        list_->layout()->setContentsMargins(0, 0, 0, 0);
        box_->addWidget(list_);
        note(tr(
            "What fell on the floor is not mended. A peg is chocolate, never a toothpick that a guest could bite on."));
        end();
        if (!parts_.empty()) tell(parts_[static_cast<size_t>(at)]);
    }

private:
    void tell(size_t item) {
        emptyLayout(list_->layout());
        const auto known = session_.pieceAnswers(piece_.toStdString());
        if (!known || !known->made || item >= known->made->assembly.items.size()) return;
        int n = 0;
        for (const auto& line : mendLines(mends(session_.library(), *known, item), session_.units())) {
            auto* title = wrapped(qstring(line.title));
            title->setStyleSheet(QStringLiteral("font-weight: 600;"));
            title->setObjectName(QStringLiteral("mendWay/%1").arg(n++));
            auto* verdict = wrapped(qstring(line.verdict));
            if (line.tone != Tone::Plain)
                verdict->setStyleSheet(
                    QStringLiteral("color: %1;")
                        .arg((line.tone == Tone::Impossible ? theme().harm : theme().yolkText).name()));
            list_->layout()->addWidget(title);
            list_->layout()->addWidget(wrapped(qstring(line.figures), "quiet"));
            list_->layout()->addWidget(verdict);
        }
    }

    QString piece_;
    std::vector<size_t> parts_;
    QWidget* list_ = nullptr;
};

}  // namespace

QWidget* mendPage(Session& session, const QString& item) { return new MendPage(session, item); }

}  // namespace uovo::desktop
