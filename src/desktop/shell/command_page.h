// Everything that can be done, found by typing its name, with its key.
#pragma once
#include <QAction>
#include <QLineEdit>
#include <QListWidget>

namespace uovo::desktop {

class CommandPage : public QWidget {
    Q_OBJECT

public:
    /// @param commands in the order they are shown: what can be done here and now comes first by itself; one that
    /// cannot be done now is shown greyed
    explicit CommandPage(QList<QAction*> commands);
    QLineEdit* words() const { return words_; }
    QListWidget* list() const { return list_; }

signals:
    /// A command was chosen; it has not been done yet.
    void chosen(QAction* command);

protected:
    bool eventFilter(QObject*, QEvent*) override;

private:
    void show();
    void choose(QListWidgetItem* item);

    QList<QAction*> commands_;
    QLineEdit* words_;
    QListWidget* list_;
};

/// Says where a command can be done; `here` is set anew when the page is opened. Both are properties of the action.
inline constexpr const char* kCommandPlace = "uovoPlace";
inline constexpr const char* kCommandHere = "uovoHere";

}  // namespace uovo::desktop
