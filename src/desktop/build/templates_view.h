// What is cut from sheets: each sheet drawn with its parts, what to pour and how long it can be cut; paper, PDF and
// SVG.
#pragma once
#include <QCheckBox>
#include <QLabel>
#include <QProgressBar>
#include <QPushButton>
#include <QWidget>
#include <memory>
#include <stop_token>
#include <thread>

#include "core/stages/sheets.h"
#include "desktop/kit/figure_field.h"
#include "desktop/kit/painted_parts.h"
#include "desktop/shell/session.h"

namespace uovo::desktop {

/// One sheet, drawn.
class SheetPicture : public QWidget, public PaintedParts {
    Q_OBJECT

public:
    SheetPicture(std::shared_ptr<const SheetPlan> sheets, size_t group, size_t sheet, bool mirrored,
                 QWidget* parent = nullptr);
    QSize sizeHint() const override;
    bool hasHeightForWidth() const override { return true; }
    int heightForWidth(int width) const override;
    /// Its parts with their numbers, in the order in which they are cut.
    int partCount() const override;
    Part part(int index) const override;

protected:
    void paintEvent(QPaintEvent*) override;

private:
    QRectF area() const;
    std::shared_ptr<const SheetPlan> sheets_;
    size_t group_, sheet_;
    bool mirrored_;
};

class TemplatesView : public QWidget {
    Q_OBJECT

public:
    explicit TemplatesView(Session& session, QWidget* parent = nullptr);
    ~TemplatesView() override;
    /// Lays the sheets out anew where the plan has changed; shown by and by.
    void refresh();
    /// What is shown; null while nothing is known yet.
    std::shared_ptr<const SheetPlan> sheets() const { return sheets_; }
    bool isLaying() const { return laying_; }
    /// Written to a file. @returns why not; empty when it is
    QString savePdf(const QString& path) const;
    QString saveSvg(const QString& path) const;  ///< a file a sheet: "name-2.svg" for the second

signals:
    void said(const QString& words, bool wrong);

protected:
    void resizeEvent(QResizeEvent*) override;

private:
    int wide() const;  ///< px of a sheet: two beside each other where there is room
    void lay();
    void show(std::shared_ptr<const SheetPlan> sheets, bool ready);
    void build();
    void print();
    FigureField* figure(const QString& name, const char* field, Measure Kitchen::*member, QWidget* in);

    Session& session_;
    FigureField *width_, *depth_, *gap_;
    QCheckBox *mirrored_, *spare_;
    QPushButton *print_, *pdf_, *svg_, *stop_;
    QProgressBar* progress_;
    QLabel* empty_;
    class QScrollArea* scroll_;
    class QVBoxLayout* list_;
    std::shared_ptr<const SheetPlan> sheets_;
    std::shared_ptr<const Answers> for_;
    bool laying_ = false;
    int built_ = 0;  ///< px that a sheet was drawn wide
    int asked_ = 0;  ///< layouts: an older one that comes late is dropped
    std::jthread worker_;
};

}  // namespace uovo::desktop
