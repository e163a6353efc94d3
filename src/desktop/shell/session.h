// What the places of the window share: the document, the answers and which piece is looked at.
#pragma once
#include <QObject>
#include <QSettings>
#include <functional>
#include <memory>

#include "desktop/shell/answerer.h"
#include "desktop/shell/document.h"

namespace uovo::desktop {

class Session : public QObject {
    Q_OBJECT

public:
    /// @param now local minutes; injected so that tests and late evenings can choose it
    /// @param known answers of an earlier plan that need not be computed again
    Session(const material::Library& library, QString dataFolder, std::function<long()> now, Cache known = {},
            QObject* parent = nullptr);

    /// Chocolates and the rest, with the plan's colours beside them. Of the window's thread: others take a copy. After
    /// an edit it may be another one; the one of before stays until the window's loop has turned.
    const material::Library& library() const { return *coloured_; }
    Document& document() { return document_; }
    const Plan& plan() const { return document_.plan(); }
    UnitSystem units() const { return plan().units; }
    long now() const { return now_(); }
    /// The day before the last edit that moved it; null where there was none.
    std::shared_ptr<const DayPlan> dayBefore() const { return dayBefore_; }
    /// Takes another layout of the day that is shown.
    void takeDay(const schedule::Found& found);
    Answerer& answerer() { return answerer_; }
    const material::Library& plainLibrary() const { return library_; }
    /// Where the program keeps what is its own: recovery copies, which plans are open.
    const QString& dataFolder() const { return folder_; }

    /// Last good answers; may belong to an older plan while `isStale`.
    std::shared_ptr<const Answers> answers() const { return answers_; }
    /// The plan that they belong to, and the library with its colours: what is told from answers and a plan needs
    /// these, for steps may have moved since. Both may be others when the window's loop has turned.
    const Plan& answeredPlan() const { return answeredPlan_; }
    const material::Library& answeredLibrary() const { return *answeredLibrary_; }
    bool isStale() const { return stale_; }
    /// Ways out and the day are there too.
    bool isComplete() const { return !stale_ && complete_; }

    const QString& selected() const { return selected_; }
    void select(const QString& pieceId);
    const Piece* piece() const;
    std::shared_ptr<const PieceAnswers> pieceAnswers(const std::string& id) const;

    /// Changes the selected piece as one undo step.
    void editPiece(const QString& label, const std::function<void(Piece&)>& change, const QString& merge = {});
    /// Makes an edit that someone typed, unless it would be a problem at `place`: then the plan stays as it is.
    /// @returns the problem's sentence; empty when the edit is made
    QString typed(const std::string& place, const std::function<void()>& edit);
    /// The same of the selected piece. @param place behind the piece's own, "former/girth"
    QString typedOfPiece(const QString& place, const QString& label, const std::function<void(Piece&)>& change);
    /// Sentence of the plan's problems at a place ("pieces/x/former/dip"), empty when there is none.
    QString problemAt(const std::string& place) const;
    /// All that is wrong in the plan, each once, in its order.
    std::vector<Problem> allProblems() const;
    /// What a field of this piece understands.
    TypingContext typing(Dimension dimension, const char* unit, const Piece* piece) const;
    /// What a field about a chocolate, by its id, understands: its bars and packets.
    TypingContext typingOf(Dimension dimension, const char* unit, const std::string& chocolate) const;

signals:
    void planChanged();
    void answersChanged();
    void selectionChanged();

private:
    void ask();
    /// Mixes the plan's colours, where they are others than before.
    void mixColours();
    std::shared_ptr<const DayPlan> dayToStayNear() const;

    const QString folder_;
    const material::Library& library_;
    std::shared_ptr<const material::Library> coloured_;
    std::vector<material::Colour> colours_;  // that are in it
    std::function<long()> now_;
    Document document_;
    Answerer answerer_;
    std::shared_ptr<const Answers> answers_;
    Plan answeredPlan_;
    std::shared_ptr<const material::Library> answeredLibrary_ = coloured_;
    std::vector<Problem> problems_;
    QString selected_;
    bool stale_ = true, complete_ = false;
    Plan laidFor_;  // the plan whose day is known
    std::shared_ptr<const DayPlan> laid_, dayBefore_;
};

}  // namespace uovo::desktop
