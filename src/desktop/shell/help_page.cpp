#include "desktop/shell/help_page.h"

#include <QCoreApplication>
#include <QPainter>
#include <QPushButton>

#include "desktop/kit/widgets.h"
#include "desktop/theme/theme.h"
#include "report/fonts.h"

namespace uovo::desktop {
namespace {

constexpr int kWide = 408;      // px of the picture
constexpr double kNumber = 11;  // px, radius of a number

class HelpPage : public QWidget {
    Q_DECLARE_TR_FUNCTIONS(HelpPage)

public:
    HelpPage(HelpPlace place, QWidget* shown, const std::vector<QWidget*>& points, std::function<void(HelpPlace)> go,
             std::function<void()> commands)
        : go_(std::move(go)) {
        setObjectName(QStringLiteral("helpPage"));
        const Help& help = helpOf(place);
        auto* box = new QVBoxLayout(this);
        box->setContentsMargins(0, 4, 10, 6);
        box->setSpacing(8);
        auto* words = new QLineEdit;
        words->setObjectName(QStringLiteral("helpWords"));
        words->setPlaceholderText(tr("search all help: thin rim, balloon, glue …"));
        words->setAccessibleName(tr("Search the help"));
        box->addWidget(words);
        auto* find = new QPushButton(tr("Find a command and its key …"));
        find->setObjectName(QStringLiteral("helpCommands"));
        find->setProperty("flat", true);
        QObject::connect(find, &QPushButton::clicked, this, [commands = std::move(commands)] { commands(); });
        box->addWidget(find);
        found_ = new QWidget;
        new QVBoxLayout(found_);
        found_->layout()->setContentsMargins(0, 0, 0, 0);
        found_->hide();
        box->addWidget(found_);
        page_ = new QWidget;
        auto* page = new QVBoxLayout(page_);
        page->setContentsMargins(0, 0, 0, 0);
        page->setSpacing(8);
        auto* picture = new QLabel;
        picture->setObjectName(QStringLiteral("helpPicture"));
        picture->setAccessibleName(tr("The place as it is now, with numbers"));
        picture->setPixmap(numbered(shown, points));
        page->addWidget(picture);
        for (size_t k = 0; k < help.points.size(); ++k)
            page->addWidget(wrapped(QStringLiteral("%1  %2").arg(k + 1).arg(help.points[k])));
        page->addSpacing(6);
        for (const QString& p : help.paragraphs) page->addWidget(wrapped(p));
        box->addWidget(page_);
        box->addStretch(1);
        setFocusProxy(words);
        QObject::connect(words, &QLineEdit::textChanged, this, [this](const QString& text) { look(text); });
    }

private:
    static QPixmap numbered(QWidget* shown, const std::vector<QWidget*>& points) {
        if (!shown || shown->width() < 1) return {};
        QPixmap whole = shown->grab();
        const double ratio = whole.devicePixelRatio();
        QPixmap small = whole.scaledToWidth(static_cast<int>(kWide * ratio), Qt::SmoothTransformation);
        small.setDevicePixelRatio(ratio);
        const double scale = double(kWide) / shown->width();
        QPainter p(&small);
        p.setRenderHint(QPainter::Antialiasing);
        p.setPen(QPen(theme().edge, 1));
        p.drawRect(QRectF(0.5, 0.5, kWide - 1, shown->height() * scale - 1));
        for (size_t k = 0; k < points.size(); ++k) {
            const QWidget* w = points[k];
            if (!w || !w->isVisible()) continue;
            const QRect visible = w->visibleRegion().boundingRect();
            QPointF at = QPointF(w->mapTo(shown, visible.center())) * scale;
            at.setX(qBound(kNumber, at.x(), kWide - kNumber));
            p.setPen(QPen(theme().paper, 2));
            p.setBrush(theme().ink);
            p.drawEllipse(at, kNumber, kNumber);
            p.setPen(theme().paper);
            p.setFont(report::font(14, QFont::Bold));
            p.drawText(QRectF(at.x() - kNumber, at.y() - kNumber, 2 * kNumber, 2 * kNumber), Qt::AlignCenter,
                       QString::number(k + 1));
        }
        return small;
    }
    void look(const QString& text) {
        emptyLayout(found_->layout());
        const bool any = !text.trimmed().isEmpty();
        found_->setVisible(any);
        page_->setVisible(!any);
        if (!any) return;
        const auto hits = findHelp(text);
        if (hits.empty())
            found_->layout()->addWidget(wrapped(tr("Nothing is said of that here. Another word may do."), "quiet"));
        for (const auto& hit : hits) {
            auto* to = new QPushButton(helpOf(hit.place).title);
            to->setProperty("flat", true);
            to->setObjectName(QStringLiteral("helpHit"));
            QObject::connect(to, &QPushButton::clicked, this, [this, place = hit.place] { go_(place); });
            found_->layout()->addWidget(to);
            found_->layout()->addWidget(wrapped(hit.text));
        }
    }

    std::function<void(HelpPlace)> go_;
    QWidget *found_ = nullptr, *page_ = nullptr;
};

}  // namespace

QWidget* helpPage(HelpPlace place, QWidget* shown, const std::vector<QWidget*>& points,
                  std::function<void(HelpPlace)> go, std::function<void()> commands) {
    return new HelpPage(place, shown, points, std::move(go), std::move(commands));
}

}  // namespace uovo::desktop
