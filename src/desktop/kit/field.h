// A field a person writes in. What cannot be stays in it, with a sentence beside it; nothing else changes meanwhile.
#pragma once
#include <QLabel>
#include <QLineEdit>
#include <QWidget>
#include <functional>

namespace uovo::desktop {

class Field : public QWidget {
    Q_OBJECT

public:
    const QString& place() const { return place_; }
    /// What the rest of the program says about the value; empty for nothing.
    void setProblem(const QString& sentence);
    QLineEdit* edit() const { return edit_; }
    QLabel* complaint() const { return complaint_; }
    /// What was written and cannot be stands in it.
    bool isRefused() const { return !typingProblem_.isEmpty(); }
    /// The type of the event a window gets when something in it is refused, or no longer.
    static int refusedEvent();

protected:
    /// @param name accessible name, "Balloon girth" @param place plan path, "former/girth": the object's name
    Field(const QString& name, const QString& place, QWidget* parent);
    /// Takes what was written. @returns why it cannot be, empty when it can
    virtual QString take(const QString& text) = 0;
    /// Shows the value as it is now; what is being written stays. @returns whether it is shown
    bool show(const QString& text);
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    void commit();
    void complain(const QString& sentence);

    QString place_, shown_, typingProblem_, planProblem_;
    QLineEdit* edit_;
    QLabel* complaint_;
    bool told_ = false;  // the window knows that it is refused
};

/// A field for words: a name, a date, a price.
class WordsField : public Field {
    Q_OBJECT

public:
    /// @param said takes what was written and @returns why it cannot be, empty when it can
    WordsField(const QString& name, const QString& place, std::function<QString(const QString&)> said,
               QWidget* parent = nullptr);
    void setWords(const QString& words) { show(words); }

protected:
    QString take(const QString& text) override { return said_(text.trimmed()); }

private:
    std::function<QString(const QString&)> said_;
};

}  // namespace uovo::desktop
