#include "desktop/shell/difference_page.h"

#include <QGridLayout>
#include <QLabel>

#include "desktop/shell/sheet.h"

namespace uovo::desktop {
namespace {
constexpr size_t kMostRows = 60;  // more tell a person nothing
}

QWidget* differencePage(const std::vector<Difference>& differences, const QString& file) {
    auto* page = new QWidget;
    auto* box = new QVBoxLayout(page);
    box->setContentsMargins(0, 6, 10, 6);
    if (differences.empty()) {
        box->addWidget(wrapped(QObject::tr("%1 holds the same plan as this window.").arg(file)));
        box->addStretch(1);
        return page;
    }
    box->addWidget(wrapped(QObject::tr("Left what is open here, right what stands in %1 now.").arg(file), "quiet"));
    auto* grid = new QGridLayout;
    grid->setHorizontalSpacing(14);
    grid->setVerticalSpacing(8);
    const auto cell = [&](int row, int column, const QString& words, const char* role = "") {
        grid->addWidget(wrapped(words, role), row, column, Qt::AlignTop);
    };
    cell(0, 1, QObject::tr("here"), "small");
    cell(0, 2, QObject::tr("in the file"), "small");
    int row = 1;
    for (const auto& d : differences) {
        if (row > static_cast<int>(kMostRows)) break;
        cell(row, 0, QString::fromStdString(d.what), "quiet");
        cell(row, 1, QString::fromStdString(d.mine));
        cell(row++, 2, QString::fromStdString(d.theirs));
    }
    grid->setColumnStretch(0, 2);
    grid->setColumnStretch(1, 1);
    grid->setColumnStretch(2, 1);
    box->addLayout(grid);
    if (differences.size() > kMostRows)
        box->addWidget(wrapped(QObject::tr("… and %1 more.").arg(differences.size() - kMostRows), "small"));
    box->addStretch(1);
    return page;
}

}  // namespace uovo::desktop
