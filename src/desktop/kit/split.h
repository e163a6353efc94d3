// Panes side by side whose borders a person moves; where they were left is remembered.
#pragma once
#include <QSplitter>

namespace uovo::desktop {

class Split : public QSplitter {
    Q_OBJECT

public:
    /// @param name under which the widths are kept in the settings: "shape"
    explicit Split(const QString& name);
    /// Puts a pane at the end. @param usual px wide when nobody has moved a border; 0: what is left over
    void addPane(QWidget* pane, int usual);
    /// Gives each pane in sight the width it was left with; the pane of usual width 0 takes the rest. To be called when
    /// a pane was shown or hidden.
    void share();

protected:
    void resizeEvent(QResizeEvent*) override;
    void childEvent(QChildEvent*) override;

private:
    void remember();

    bool sharing_ = false;
};

}  // namespace uovo::desktop
