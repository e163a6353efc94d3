#include "desktop/shell/own_shelf.h"

#include <QDir>
#include <QFileInfo>

#include "core/begin/keep.h"
#include "core/document/limits.h"
#include "io/plan_file.h"
#include "report/text.h"

namespace uovo::desktop {

OwnShelf::OwnShelf(const QString& folder, QObject* parent)
    : QObject(parent), path_(folder + QStringLiteral("/own-pieces.uovo")) {}

const Plan& OwnShelf::kept() {
    if (!kept_) {
        kept_.emplace();
        if (QFileInfo::exists(path_)) {
            if (auto plan = io::loadPlan(path_.toStdString())) *kept_ = std::move(*plan);
            else
                trouble_ = tr("Your kept pieces cannot be read, and are left as they are: %1")
                               .arg(qstring(plan.error().sentence));
        }
    }
    return *kept_;
}

QString OwnShelf::write(Plan next) {
    if (!trouble_.isEmpty()) return trouble_;
    if (const auto problem = tooLarge(next)) return qstring(problem->sentence);
    QDir().mkpath(QFileInfo(path_).absolutePath());
    if (auto ok = io::savePlan(path_.toStdString(), next); !ok) return qstring(ok.error().sentence);
    kept_ = std::move(next);
    emit keptChanged();
    return {};
}

QString OwnShelf::keep(const Plan& plan, const std::string& piece) {
    Plan next = kept();
    next.name = tr("Kept pieces").toStdString();
    copyPiece(plan, piece, next);
    return write(std::move(next));
}

std::string OwnShelf::take(const std::string& piece, Plan& into) { return copyPiece(kept(), piece, into); }

QString OwnShelf::forget(const std::string& piece) {
    Plan next = kept();
    std::erase_if(next.pieces, [&](const Piece& p) { return p.id == piece; });
    return write(std::move(next));
}

}  // namespace uovo::desktop
