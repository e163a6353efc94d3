// What a piece is, as a sentence with fields in it.
#pragma once
#include <QComboBox>
#include <QWidget>
#include <functional>

#include "desktop/kit/figure_field.h"
#include "desktop/kit/flow_layout.h"
#include "desktop/shell/session.h"

namespace uovo::desktop {

class RecipeLine : public QWidget {
    Q_OBJECT

public:
    explicit RecipeLine(Session& session, QWidget* parent = nullptr);
    void refresh();
    /// The field at a place of the plan ("former/girth"), or null.
    FigureField* field(const QString& place) const;
    /// The part of a compound whose figures the sentence holds; empty: the whole.
    void setItem(const QString& key);
    /// Of a part only its figures and its place: what it is glued to stands elsewhere.
    void setBrief() { brief_ = true; }

signals:
    /// A file is wanted for this part: a model, or an SVG outline or profile.
    void fileWanted();
    /// The profile of this part is to be drawn.
    void drawingWanted();
    void moldWanted();
    /// An outline from a picture or of letters is wanted for a part. @param item key; empty: the whole
    void outlineWanted(const QString& item);
    /// The filling in detail.
    void fillingWanted();

private:
    void build();
    void buildPart(const form::Part& part, const std::string& item);
    void partChoice(const form::Choice& choice, const std::string& item);
    /// @param usual while none is said @param free its figures are its own
    void partFigure(const form::Field& field, const Measure& usual, const std::string& item, bool free);
    /// What the whole is made of: chocolate, temper, thinner.
    void chocolate(const Piece& piece);
    /// How many molds there are: with fewer than pieces they are used round after round.
    void molds(const Piece& piece);
    /// What goes into it.
    void filling(const Piece& piece);
    /// Which chocolate a part of a compound is of.
    void ownChocolate(const std::string& item);
    /// Where a part of an assembly stands, what it is glued to.
    void place(const std::string& item);
    /// What can be done to the parts of a compound as a whole.
    void parts(const form::Part& part);
    void button(const QString& words, const QString& name, const QString& tip, const std::function<void()>& does);
    void word(const QString& text);
    void nameField();
    void figure(const QString& name, const QString& place, Dimension dimension, const char* unit,
                std::function<Measure*(Piece&)> of, bool whole = true);
    void count();
    void choice(const QString& name, const QStringList& words, std::function<int(const Piece&)> of,
                std::function<void(Piece&, int)> set);

    Session& session_;
    FlowLayout* flow_;
    QString item_;
    bool brief_ = false;
    QString built_;  ///< which kind of sentence stands there
    struct Figure {
        FigureField* field;
        std::function<Measure*(Piece&)> of;
    };
    std::vector<Figure> figures_;
    struct Choice {
        QComboBox* box;
        std::function<int(const Piece&)> of;
    };
    std::vector<Choice> choices_;
    WordsField* name_ = nullptr;
    FigureField* count_ = nullptr;
};

}  // namespace uovo::desktop
