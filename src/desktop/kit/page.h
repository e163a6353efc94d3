// A page of a sheet: named rows that write into the plan, each with what is wrong beside its field.
#pragma once
#include <QCheckBox>
#include <QPointer>
#include <QPushButton>
#include <QVBoxLayout>

#include "desktop/kit/figure_field.h"
#include "desktop/kit/widgets.h"
#include "desktop/shell/session.h"

namespace uovo::desktop {

class Page : public QWidget {
    Q_OBJECT

public:
    Page(Session& session, const char* objectName);

    /// Where a field stands: what it is called, its object's name, and the plan's path if that is another.
    struct Spot {
        QString name, place;
        std::string path = {};
    };
    FigureField* figure(const Spot& spot, const TypingContext& typing, const Measure& now,
                        std::function<void(const Measure&)> typed);
    /// A whole number between two limits.
    FigureField* count(const Spot& spot, int low, int high, int now, std::function<void(int)> typed);
    /// @param said takes what was written and @returns why it cannot be, empty when it can
    WordsField* words(const Spot& spot, const QString& now, std::function<QString(const QString&)> said);
    QComboBox* choice(const Spot& spot, const QStringList& words, int now, std::function<void(int)> chosen);
    QCheckBox* tick(const QString& words, const QString& object, bool now, std::function<void(bool)> ticked);
    QPushButton* button(const QString& words, const QString& object, std::function<void()> pressed);
    void note(const QString& words, const char* role = "small");
    void heading(const QString& words);
    void row(const QString& name, QWidget* field);
    /// A length between two, m: a field's rule.
    std::function<QString(const Measure&)> lengthBetween(double low, double high) const;
    void showRow(QWidget* field, bool shown) { field->parentWidget()->setVisible(shown); }
    /// Whether the plan is being changed from here.
    bool isWriting() const { return writing_; }
    /// After the last row.
    void end() { box_->addStretch(1); }

protected:
    Session& session_;
    QVBoxLayout* box_;

private:
    struct Writing {
        explicit Writing(Page* by) : page(by) { by->writing_ = true; }
        ~Writing() {
            if (page) page->writing_ = false;
        }
        Writing(const Writing&) = delete;
        Writing& operator=(const Writing&) = delete;
        QPointer<Page> page;  // it may close itself
    };
    /// `does`, known as this page's own doing.
    template <class Result, class... What>
    auto ours(std::function<Result(What...)> does) {
        return [this, does = std::move(does)](What... what) {
            const Writing now(this);
            return does(what...);
        };
    }

    bool writing_ = false;
};

}  // namespace uovo::desktop
