// What to buy, what stands in the cupboard, what it costs, what is in it; and what a rest is good for.
#pragma once
#include <QLabel>
#include <QLineEdit>
#include <QVBoxLayout>
#include <QWidget>
#include <map>

#include "core/stages/shopping.h"
#include "desktop/kit/figure_field.h"
#include "desktop/shell/session.h"

namespace uovo::desktop {

class ShoppingPanel : public QWidget {
    Q_OBJECT

public:
    explicit ShoppingPanel(Session& session, QWidget* parent = nullptr);
    /// @param chocolate id of the pot that is looked at: a rest is asked of it
    void refresh(const std::string& chocolate);
    /// The list as a person reads it, and as a table with semicolons.
    QString text() const;
    QString csv() const;
    /// Writes it: a page where the name ends in .pdf, else a table.
    void save(const QString& path);
    void print();

private:
    /// What is written of a chocolate in the cupboard.
    struct StockFields {
        QWidget* row = nullptr;
        FigureField* mass = nullptr;
        WordsField *price = nullptr, *bestBefore = nullptr;
    };
    QString today() const;
    /// The list of the plan that these answers belong to.
    Shopping listed(const Answers& answers) const;
    void chocolateLine(const Purchase& line);
    StockFields stockFields(const std::string& chocolate, const QString& name);
    void supplies(const Shopping& shopping);
    void costs(const Shopping& shopping);
    void whatIsInIt(const Shopping& shopping);
    void refreshRest();

    Session& session_;
    std::string chocolate_;
    QVBoxLayout *lines_, *rest_;
    QWidget* guestRow_;
    FigureField *amount_, *guests_;
    std::map<std::string, StockFields> stock_;  // kept while the list is built anew
    Measure kilograms_{0.5};
};

}  // namespace uovo::desktop
