#include "desktop/build/templates_view.h"

#include <QFileDialog>
#include <QFileInfo>
#include <QHBoxLayout>
#include <QPainter>
#include <QPrintPreviewDialog>
#include <QPrinter>
#include <QScrollArea>
#include <QVBoxLayout>

#include "core/form/outline_box.h"
#include "desktop/kit/flow_layout.h"
#include "desktop/kit/widgets.h"
#include "desktop/theme/mixed.h"
#include "desktop/theme/theme.h"
#include "io/plan_file.h"
#include "io/sheet_svg.h"
#include "report/template_pages.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

constexpr double kTallest = 520;  // px of a sheet

report::TemplatePaper paperOf(UnitSystem units, bool mirrored) { return {units, mirrored, true}; }

}  // namespace

SheetPicture::SheetPicture(std::shared_ptr<const SheetPlan> sheets, size_t group, size_t sheet, bool mirrored,
                           QWidget* parent)
    : QWidget(parent), sheets_(std::move(sheets)), group_(group), sheet_(sheet), mirrored_(mirrored) {
    setObjectName(QStringLiteral("sheet/%1/%2").arg(group).arg(sheet));
    setAccessibleName(tr("Sheet %1 with %2 parts").arg(sheet + 1).arg(partCount()));
    QSizePolicy policy(QSizePolicy::Expanding, QSizePolicy::Preferred);
    policy.setHeightForWidth(true);
    setSizePolicy(policy);
}

QSize SheetPicture::sizeHint() const { return {460, heightForWidth(460)}; }

int SheetPicture::heightForWidth(int width) const {
    const auto& o = sheets_->groups[group_].options;
    return static_cast<int>(std::min(kTallest, width * o.height / o.width)) + 2;
}

QRectF SheetPicture::area() const { return QRectF(rect()).adjusted(1, 1, -1, -1); }

int SheetPicture::partCount() const {
    return static_cast<int>(sheets_->groups[group_].layout.sheets[sheet_].placements.size());
}

PaintedParts::Part SheetPicture::part(int index) const {
    const auto& g = sheets_->groups[group_];
    const auto& placements = g.layout.sheets[sheet_].placements;
    const auto it = std::ranges::find(placements, index, &cutting::Placement::order);
    const auto& place = it == placements.end() ? placements[static_cast<size_t>(index)] : *it;
    const Template& t = sheets_->templates[g.templates[place.piece]];
    const auto loops = cutting::placedLoops(t.cut, place);
    const auto box = form::boxOf(loops.front());
    const double scale = std::min(area().width() / g.options.width, area().height() / g.options.height);
    const double left = mirrored_ ? g.options.width - box.high[0] : box.low[0];
    return {tr("%1: %2").arg(t.number).arg(qstring(t.nameOf(place.copy))), tr("cut %1").arg(place.order + 1),
            QRectF(area().left() + left * scale, area().top() + (g.options.height - box.high[1]) * scale,
                   box.width() * scale, box.height() * scale)
                .toAlignedRect(),
            QAccessible::ListItem, false};
}

void SheetPicture::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const auto& g = sheets_->groups[group_];
    const QColor ground = theme().dark ? theme().card : QColor(Qt::white);
    const QColor fill = mixed(ground, chocolateColour(g.chocolate), theme().dark ? 0.45 : 0.2);
    report::paintSheet(p, *sheets_, group_, sheet_, area(), mirrored_, theme().ink, fill, ground);
}

TemplatesView::TemplatesView(Session& session, QWidget* parent)
    : QWidget(parent),
      session_(session),
      mirrored_(new QCheckBox(tr("mirrored"))),
      spare_(new QCheckBox(tr("one spare of each"))),
      print_(new QPushButton(tr("Print …"))),
      pdf_(new QPushButton(tr("PDF …"))),
      svg_(new QPushButton(tr("SVG …"))),
      stop_(new QPushButton(tr("Good enough"))),
      progress_(new QProgressBar),
      empty_(wrapped({}, "quiet")),
      scroll_(scrolledDown()) {
    setObjectName(QStringLiteral("templates"));
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(6);
    auto* bar = new QWidget;
    auto* flow = new FlowLayout(8, 6);
    bar->setLayout(flow);
    flow->addWidget(lineWord(tr("Sheets of")));
    flow->addWidget(width_ = figure(tr("Width of a sheet"), "sheetWidth", &Kitchen::sheetWidth, bar));
    flow->addWidget(lineWord(tr("by")));
    flow->addWidget(depth_ = figure(tr("Depth of a sheet"), "sheetDepth", &Kitchen::sheetDepth, bar));
    flow->addWidget(lineWord(tr("with")));
    flow->addWidget(gap_ = figure(tr("Gap between parts"), "sheetGap", &Kitchen::sheetGap, bar));
    flow->addWidget(lineWord(tr("between parts")));
    mirrored_->setObjectName(QStringLiteral("templatesMirrored"));
    mirrored_->setToolTip(tr("Left and right change: for those who cut from the back"));
    spare_->setObjectName(QStringLiteral("templatesSpare"));
    flow->addWidget(mirrored_);
    flow->addWidget(spare_);
    print_->setObjectName(QStringLiteral("templatesPrint"));
    pdf_->setObjectName(QStringLiteral("templatesPdf"));
    svg_->setObjectName(QStringLiteral("templatesSvg"));
    stop_->setObjectName(QStringLiteral("templatesStop"));
    stop_->setToolTip(tr("The best layout that was found so far"));
    for (auto* b : {print_, pdf_, svg_, stop_}) {
        b->setProperty("flat", true);
        flow->addWidget(b);
    }
    progress_->setRange(0, 100);
    progress_->setTextVisible(false);
    progress_->setFixedSize(120, 10);
    progress_->setAccessibleName(tr("Laying out the sheets"));
    flow->addWidget(progress_);
    column->addWidget(bar);
    column->addWidget(empty_);
    auto* page = new QWidget;
    list_ = new QVBoxLayout(page);
    list_->setContentsMargins(0, 6, 8, 12);
    list_->setSpacing(16);
    list_->addStretch(1);
    scroll_->setWidget(page);
    column->addWidget(scroll_, 1);
    connect(mirrored_, &QCheckBox::toggled, this, &TemplatesView::build);
    connect(spare_, &QCheckBox::toggled, this, [this] {
        for_.reset();
        refresh();
    });
    connect(stop_, &QPushButton::clicked, this, [this] { worker_.request_stop(); });
    connect(print_, &QPushButton::clicked, this, &TemplatesView::print);
    const auto ask = [this](const QString& title, const QString& name, const QString& filter) {
        return QFileDialog::getSaveFileName(this, title, name, filter);
    };
    connect(pdf_, &QPushButton::clicked, this, [this, ask] {
        const QString path = ask(tr("Templates as PDF"), tr("templates.pdf"), tr("PDF (*.pdf)"));
        if (path.isEmpty()) return;
        const QString wrong = savePdf(path);
        emit said(wrong.isEmpty() ? tr("The templates are in %1 at true scale. Print at 100 %.").arg(path) : wrong,
                  !wrong.isEmpty());
    });
    connect(svg_, &QPushButton::clicked, this, [this, ask] {
        const QString path = ask(tr("Sheets as SVG"), tr("sheet.svg"), tr("SVG (*.svg)"));
        if (path.isEmpty()) return;
        const QString wrong = saveSvg(path);
        emit said(wrong.isEmpty() ? tr("The sheets are in %1 at true scale.").arg(path) : wrong, !wrong.isEmpty());
    });
}

TemplatesView::~TemplatesView() {
    worker_.request_stop();
    if (worker_.joinable()) worker_.join();
}

FigureField* TemplatesView::figure(const QString& name, const char* field, Measure Kitchen::*member, QWidget* in) {
    auto* f = new FigureField(name, QStringLiteral("kitchen/%1").arg(QLatin1String(field)),
                              session_.typing(Dimension::Length, "mm", nullptr), in);
    connect(f, &FigureField::measureTyped, this, [this, f, member](const Measure& m) {
        f->refuse(session_.typed(f->place().toStdString(), [&] {
            session_.document().edit(tr("Change the sheets"), [&](Plan& p) { p.kitchen.*member = m; });
        }));
    });
    return f;
}

void TemplatesView::refresh() {
    const auto& k = session_.plan().kitchen;
    width_->setMeasure(k.sheetWidth, session_.units());
    depth_->setMeasure(k.sheetDepth, session_.units());
    gap_->setMeasure(k.sheetGap, session_.units());
    const auto now = session_.answers();
    if (!now || session_.isStale() || now == for_) return;
    for_ = now;
    lay();
}

void TemplatesView::lay() {
    worker_.request_stop();
    if (worker_.joinable()) worker_.join();
    laying_ = true;
    stop_->show();
    progress_->show();
    progress_->setValue(0);
    const int number = ++asked_;
    const SheetWishes wishes{spare_->isChecked() ? 1 : 0};
    worker_ = std::jthread([this, number, wishes, plan = session_.plan(), library = session_.library(),
                            answers = for_](const std::stop_token& stop) {
        const auto tell = [this, number](const SheetPlan& s, double share, bool ready) {
            auto kept = std::make_shared<const SheetPlan>(s);
            QMetaObject::invokeMethod(this, [this, number, kept, share, ready] {
                if (number != asked_) return;
                progress_->setValue(static_cast<int>(100 * share));
                if (ready || !sheets_) show(kept, ready);
            });
        };
        const SheetPlan found = sheetPlan(plan, library, *answers, wishes, stop,
                                          [&](const SheetPlan& s, double share) { tell(s, share, false); });
        tell(found, 1, true);
    });
}

void TemplatesView::show(std::shared_ptr<const SheetPlan> sheets, bool ready) {
    sheets_ = std::move(sheets);
    if (ready) {
        laying_ = false;
        stop_->hide();
        progress_->hide();
    }
    build();
}

int TemplatesView::wide() const {
    constexpr int kGap = 28, kLeast = 360, kMost = 560;
    const int room = std::max(200, width() - 24);
    return room < 2 * kLeast + kGap ? std::min(room, kMost) : std::min((room - kGap) / 2, kMost);
}

void TemplatesView::resizeEvent(QResizeEvent* e) {
    QWidget::resizeEvent(e);
    if (sheets_ && std::abs(wide() - built_) > 12) build();
}

void TemplatesView::build() {
    emptyLayout(list_, 1);
    built_ = wide();
    const bool any = sheets_ && !sheets_->empty();
    empty_->setVisible(sheets_ && !any);
    empty_->setText(
        tr("Nothing here is cut from a sheet or wrapped in acetate. Houses, panels, silhouettes, cones and "
           "tubes bring their templates with them."));
    for (auto* b : {print_, pdf_, svg_}) b->setEnabled(any);
    if (!any) return;
    const auto add = [&](QWidget* w) { list_->insertWidget(list_->count() - 1, w); };
    for (const auto& words : sheetTroubles(*sheets_, session_.units())) add(wrapped(qstring(words), "harm"));
    auto* all = new QWidget;
    auto* flow = new FlowLayout(28, 18);
    all->setLayout(flow);
    add(all);
    for (size_t g = 0; g < sheets_->groups.size(); ++g)
        for (size_t k = 0; k < sheets_->groups[g].pour.size(); ++k) {
            auto* one = new QWidget;
            one->setFixedWidth(built_);
            auto* column = new QVBoxLayout(one);
            column->setContentsMargins(0, 0, 0, 0);
            column->setSpacing(4);
            const size_t n = sheets_->groups[g].layout.sheets.size();
            auto words = report::sheetWords(*sheets_, g, k, session_.library(), session_.units());
            auto* head = new QLabel(tr("Sheet %1 of %2: %3").arg(k + 1).arg(n).arg(words.takeFirst()));
            head->setStyleSheet(QStringLiteral("font-size: 16px; font-weight: 600;"));
            column->addWidget(head);
            auto* about = wrapped(words.join(QStringLiteral(" · ")), "quiet");
            about->setFixedWidth(built_);
            auto* picture = new SheetPicture(sheets_, g, k, mirrored_->isChecked());
            picture->setFixedSize(built_, picture->heightForWidth(built_));
            column->addWidget(about);
            column->addWidget(picture);
            flow->addWidget(one);
        }
    const auto times = [](int n) { return n == 1 ? tr("cut once") : tr("cut %1 times").arg(n); };
    QStringList parts;
    for (const auto& t : sheets_->templates)
        parts << tr("%1  %2 of %3, %4").arg(t.number).arg(qstring(t.name), qstring(t.pieceName), times(t.cut.count));
    for (const auto& a : sheets_->acetate)
        parts << tr("film  %1, %2 of acetate")
                     .arg(qstring(a.name.empty() ? a.piece : a.piece + ": " + a.name), times(a.count));
    for (const auto& r : sheets_->rings)
        parts << tr("ring  %1, %2 marks, %3 from one to the next")
                     .arg(qstring(r.piece))
                     .arg(r.times())
                     .arg(qstring(format(r.spacing, Dimension::Length, session_.units())));
    for (const auto& n : sheets_->nets)
        parts << tr("box  %1, %2 × %3 inside and %4 high, %5")
                     .arg(qstring(n.piece), qstring(format(n.net.inside.x, Dimension::Length, session_.units())),
                          qstring(format(n.net.inside.y, Dimension::Length, session_.units())),
                          qstring(format(n.net.inside.z, Dimension::Length, session_.units())), times(n.count));
    add(wrapped(parts.join(QLatin1Char('\n'))));
    add(wrapped(tr("Small parts first, near the edge, where it sets first. The same letter on two parts is one joint. "
                   "A knife is sharp: cut away from the hand that holds."),
                "small"));
}

QString TemplatesView::savePdf(const QString& path) const {
    if (!sheets_) return tr("The sheets are not laid out yet.");
    const auto pages =
        report::writeTemplates(path, *sheets_, session_.library(), paperOf(session_.units(), mirrored_->isChecked()));
    return pages ? QString() : qstring(pages.error().sentence);
}

QString TemplatesView::saveSvg(const QString& path) const {
    if (!sheets_) return tr("The sheets are not laid out yet.");
    int number = 0;
    const QFileInfo info(path);
    for (size_t g = 0; g < sheets_->groups.size(); ++g)
        for (size_t k = 0; k < sheets_->groups[g].layout.sheets.size(); ++k) {
            const QString name =
                ++number == 1 ? path
                              : info.path() + QStringLiteral("/%1-%2.svg").arg(info.completeBaseName()).arg(number);
            const auto ok = io::writeWhole(name.toStdString(), io::sheetSvg(*sheets_, g, k, mirrored_->isChecked()));
            if (!ok) return tr("The sheet was not saved in %1: %2").arg(name, qstring(ok.error().sentence));
        }
    return number == 0 ? tr("Nothing here is cut from a sheet.") : QString();
}

void TemplatesView::print() {
    if (!sheets_) return;
    QPrinter printer(QPrinter::HighResolution);
    printer.setFullPage(true);
    QPrintPreviewDialog preview(&printer, this);
    preview.setWindowTitle(tr("Templates"));
    connect(&preview, &QPrintPreviewDialog::paintRequested, this, [this](QPrinter* p) {
        report::paintTemplates(*p, *sheets_, session_.library(), paperOf(session_.units(), mirrored_->isChecked()));
    });
    preview.exec();
}

}  // namespace uovo::desktop
