// Every step but a coat as a card: casts, what is put in and on, fillings, lids, and what hands do to a finished piece.
#pragma once
#include "desktop/shape/step_card.h"

namespace uovo::desktop {

class PlainCard : public StepCard {
    Q_OBJECT

public:
    PlainCard(Session& session, size_t at, QWidget* parent = nullptr);
    void refresh() override;
    FigureField* field(const QString& place) const;

signals:
    /// A page about what the step names: the filling's recipe, the topping.
    void pageWanted(size_t at);

private:
    void build(const CastStep& cast);
    void build(const InsertStep& insert);
    void insertKind();
    void build(const TopStep& top);
    void build(const SetStep& set);
    void build(const ReleaseStep&);
    void build(const TrimStep&);
    void build(const JoinStep&);
    void build(const FillStep& fill);
    void build(const LidStep& lid);
    void build(const DecorateStep& decorate);
    void build(const StoreStep& store);
    void build(const ServeStep& serve);
    void build(const PlannedCoat&) {}
    void head(const QString& words, QWidget* right = nullptr);
    void note(const QString& words);
    /// A choice of its step, kept at what the step says.
    QComboBox* choice(const QString& name, const QStringList& words, std::function<int()> now,
                      std::function<void(int)> chosen);
    QComboBox* placeChoice(const QString& name, std::function<coat::Place()> now,
                           std::function<void(coat::Place)> chosen);
    /// A chocolate of its own, the first of them the piece's.
    template <class S>
    QComboBox* chocolate(const QString& name);
    /// A text of its step. @param key what it is called in the plan's file
    template <class S>
    WordsField* words(const QString& name, const QString& empty, const char* key, std::string S::*member);
    /// Which part of a compound its step is for; nothing of a single part.
    template <class S>
    void partChoice(const QString& name);
    QPushButton* more(const QString& tip);
    QString result(const PieceAnswers& answers) const;

    struct Chosen {
        QComboBox* box;
        std::function<int()> now;
    };
    std::vector<Chosen> choices_;
    struct Text {
        WordsField* field;
        std::function<QString()> now;
    };
    std::vector<Text> texts_;
    QLabel* result_ = nullptr;
};

/// What a step is called on a card and in the menu of steps.
QString stepWords(const Step& step, const Piece& piece);

}  // namespace uovo::desktop
