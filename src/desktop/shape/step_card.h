// A step of a making as a card: what it does, what it adds, how long, what to look for.
#pragma once
#include <QComboBox>
#include <QFrame>
#include <QLabel>
#include <QPushButton>
#include <functional>

#include "desktop/kit/figure_field.h"
#include "desktop/kit/widgets.h"
#include "desktop/shell/session.h"

namespace uovo::desktop {

inline constexpr int kCardGap = 10;  ///< px between two cards

/// Name of the part of a compound that a step is for; empty where it is for all.
QString partName(const Session& session, const std::string& key);

/// The frame of every card: it is dragged, moved by keys and removed, and says what of the order it breaks.
class StepCard : public QFrame {
    Q_OBJECT

public:
    /// @param at where in the making its step stands
    StepCard(Session& session, size_t at, const QString& name, int width, QWidget* parent = nullptr);
    virtual void refresh();
    size_t at() const { return at_; }

signals:
    /// The card was moved with Alt and an arrow, by so many places.
    void moved(size_t at, int by);
    /// The card was dragged and let go so many pixels aside.
    void dropped(size_t at, int pixels);
    void removed(size_t at);
    void copied(size_t at);

protected:
    void paintEvent(QPaintEvent*) override;
    void keyPressEvent(QKeyEvent*) override;
    void mousePressEvent(QMouseEvent*) override;
    void mouseMoveEvent(QMouseEvent*) override;
    void mouseReleaseEvent(QMouseEvent*) override;

    /// Its step; null when the piece has changed under it.
    const Step* step() const;
    template <class S>
    const S* as() const {
        const Step* s = step();
        return s ? std::get_if<S>(s) : nullptr;
    }
    template <class S>
    void change(const QString& label, const std::function<void(S&)>& change) {
        session_.editPiece(label, [&](Piece& p) {
            if (at_ < p.making.size())
                if (S* s = std::get_if<S>(&p.making[at_])) change(*s);
        });
    }
    /// A figure of its step. @param place of its problem, behind the piece's
    template <class S>
    FigureField* figure(const QString& name, const QString& place, Dimension dimension, const char* unit,
                        Measure S::*member) {
        FigureField* f = newFigure(name, place, dimension, unit);
        connect(f, &FigureField::measureTyped, this, [this, f, member, name](const Measure& m) {
            f->refuse(session_.typedOfPiece(f->place(), tr("Change %1").arg(name.toLower()), [&](Piece& p) {
                if (S* s = at_ < p.making.size() ? std::get_if<S>(&p.making[at_]) : nullptr) s->*member = m;
            }));
        });
        figures_.push_back({f, [this, member]() -> const Measure* {
                                const S* s = as<S>();
                                return s ? &(s->*member) : nullptr;
                            }});
        return f;
    }
    /// A line of the card: words or a widget at the left, a widget at the right.
    void row(const QString& word, QWidget* left, QWidget* right);
    /// A hairline, and what the step makes under it.
    QLabel* resultLine();

    Session& session_;
    size_t at_;
    class QVBoxLayout* box_;
    struct Figure {
        FigureField* field;
        std::function<const Measure*()> of;
    };
    std::vector<Figure> figures_;

private:
    FigureField* newFigure(const QString& name, const QString& place, Dimension dimension, const char* unit);

    CautionLine* caution_ = nullptr;
    QLabel* wrong_ = nullptr;
    QPushButton* repair_ = nullptr;
    QPoint pressed_;
    bool dragging_ = false;
    int from_ = 0;
};

}  // namespace uovo::desktop
