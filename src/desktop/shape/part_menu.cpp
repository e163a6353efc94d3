#include "desktop/shape/part_menu.h"

#include <map>

#include "core/assembly/arrange.h"
#include "report/text.h"

namespace uovo::desktop {

QMenu* partMenu(QWidget* parent, Session& session, std::function<void(const QString&)> added) {
    auto* menu = new QMenu(parent);
    const auto add = [&session, added = std::move(added)](const form::Part& part, const std::string& name) {
        std::string key;
        session.editPiece(QObject::tr("Add a part"),
                          [&](Piece& p) { key = assembly::addPart(p.shape, part, name, session.plan().meshes); });
        if (added && !key.empty()) added(qstring(key));
    };
    std::map<std::string, QMenu*> groups;
    for (const auto& f : form::families()) {
        if (f.body == form::Body::Compound || f.fromFile || f.former == form::Former::Itself) continue;
        QMenu*& group = groups[f.group];
        if (!group) group = menu->addMenu(qstring(f.group));
        QObject::connect(group->addAction(qstring(f.name)), &QAction::triggered, parent,
                         [add, id = f.id] { add(form::usual(id), {}); });
    }
    auto* pieces = menu->addMenu(QObject::tr("From this plan"));
    QObject::connect(pieces, &QMenu::aboutToShow, parent, [&session, pieces, parent, add] {
        pieces->clear();
        for (const auto& p : session.plan().pieces) {
            if (p.family().body == form::Body::Compound || p.roundSomething()) continue;
            QObject::connect(pieces->addAction(qstring(p.name)), &QAction::triggered, parent,
                             [add, part = p.shape, name = p.name] { add(part, name); });
        }
        if (pieces->isEmpty()) pieces->addAction(QObject::tr("Nothing here is of one part"))->setEnabled(false);
    });
    return menu;
}

}  // namespace uovo::desktop
