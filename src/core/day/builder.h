// The tasks of a plan with their lags, step by step of each making; inside the day only.
#pragma once
#include <map>
#include <set>

#include "core/day/day.h"
#include "core/quantity/plural.h"
#include "core/quantity/words.h"

namespace uovo::day {

/// Builds the network piece by piece: a public face of one call; the rest is in three files by what is done.
class Builder {
public:
    Builder(const Plan& plan, const material::Library& lib, const PlanFigures& known, const DayFrame& frame)
        : plan_(plan), lib_(lib), known_(known), frame_(frame) {}
    schedule::Network build();

private:
    /// A piece, after those that stand in it.
    void build(const Piece& piece);
    int minutes(const char* task, int pieces) const;
    int addResource(schedule::Resource::Kind kind, const std::string& name, double squareMetres);
    int add(schedule::Task task);
    int length(int task) const { return net_.tasks[static_cast<size_t>(task)].minutes; }
    /// `min`..`max` minutes lie between the end of `from` and the start of `to`; max < 0: none.
    void after(int from, int to, int min, int max, std::string why);
    /// The pot of a piece's chocolate, with its small twin; sittings are found by who lays out the day.
    /// @param molten it need not be tempered: kneaded, not eaten as it sets
    /// @returns -1 when no piece asks for a gram of it
    int potFor(const Piece& piece, const std::string& chocolate, bool molten = false);
    /// A pot as it is melted, tempered and kept. @param known index of it among the plan's pots
    schedule::Pot potOfKind(const batch::PotKey& key, size_t known, bool molten) const;
    void chop(int pot, const std::string& name);
    /// Its small twin: a few spoonfuls, melted and tempered in a cup.
    void giveCup(int pot);
    /// A task draws from a pot. @param bath whether it needs the depth of a dip
    void draws(int task, int pot, bool bath = false);
    /// A spoonful from what is warm, or from a cup of its own.
    void drawsLittle(int task, int pot);
    /// Each piece's grams of a pot over the tasks that draw them, by their minutes.
    void shareGrams();
    /// What a step waits for: a task, and minutes after its end.
    struct Waits {
        int task = 0, wait = 0;
        const char* why = "";
    };
    using Since = std::vector<Waits>;
    /// A task waits for all that is before it. @param most minutes; below 0: as long as it likes @returns the task
    int follow(const Since& since, int task, int most = -1);
    /// Pieces that go through the day together; number 0: all of them.
    struct Round {
        const Piece& piece;
        int number = 1, pieces = 1;
        std::string who, which;
    };
    int task(const Round& r, const std::string& what, std::string title, const char* lane, int length_, int coat,
             std::vector<std::string> cautions = {});
    /// Molds that a piece is made in round after round; 0: as many as are needed.
    static int moldsOf(const Piece& piece) { return piece.usesMolds() ? piece.molds : 0; }
    /// As many at once as the shelf holds, there are molds for, and the person wishes.
    std::vector<Round> roundsOf(const Piece& piece, const PieceAnswers& a) const;
    /// The first step that is done once, for all rounds together: behind the last that shapes, releases or trims.
    static size_t together(const Making& making);
    /// The toppings and inserts that follow a coat or cast at once, before step `end`.
    static std::vector<size_t> strewnOn(const Making& making, size_t at, size_t end);
    template <class S>
    static bool has(const Making& making) {
        return firstOf<S>(making) != nullptr;
    }

    // wishes.cpp
    /// The network's minute of a local time, in minutes from the midnight before the deadline.
    int minuteAt(int fromMidnight) const;
    /// Those who work, when they are there, and the rests they may take.
    void people();
    std::vector<schedule::Span> hoursOf(const Worker& worker) const;
    void rests(int person);
    /// Nights of a day that is several, hours kept free.
    void closed();
    /// Tasks that stand because of an earlier day: ended by its evening. @param first of them
    void madeBefore(const Piece& piece, size_t first);
    /// Pins, and what is wished of the whole.
    void wishes();

    // coats.cpp
    /// Everything that is coated, coat after coat: bowls, cups and the molded walls of parts.
    void coats(const Piece& piece, const PieceAnswers& a, Since& finished);
    /// A former made ready for its first coat; what is dipped, dried.
    int readyFormer(const Round& r, int walls);
    /// Unmolded, peeled or torn off.
    int offItsFormer(const Round& r, int walls);
    /// Bare spots are patched before it leaves its former. @returns what the next step waits for
    Since patch(const Round& r, const Since& since);
    struct SoFar {
        int before = 0;  ///< task that comes before the next coat
        int coats = 0;
    };
    /// One coat of a round: chocolate, coat, what is strewn on it, the cold, a look.
    void coat(const Round& r, const PieceAnswers& a, size_t index, const std::vector<size_t>& strewn, SoFar& now);

    // steps.cpp
    /// What is strewn on or stood into fresh chocolate. @param steps of the making @param onto the task that leaves it
    /// fresh @param lock s until it takes none
    /// @returns the last of the tasks; `onto` where there is none
    int strew(const Round& r, const PieceAnswers& a, const std::vector<size_t>& steps, int onto, double lock);
    std::string toppingName(const TopStep& top) const;
    /// What is dipped or bound in a round, by its name.
    static std::string coreOf(const Round& r);
    std::string insertTitle(const Round& r, const PieceAnswers& a, const InsertStep& in) const;
    /// "the dome of ", where a step is for one part; else nothing.
    static std::string partOf(const PieceAnswers& a, const std::string& item);
    /// Another piece goes in once it is finished.
    void standsIn(const InsertStep& in, int task);

    // casts.cpp
    /// @param many casts of the round @param walled whether other parts of the piece are coated
    int prepareCasts(const Round& r, int many);
    int releaseCasts(const Round& r, bool walled, int many);
    /// Parts in molds, between bars or by hand, all but the coated walls: cast, set, unmold; a compound is then put
    /// together.
    void casts(const Piece& piece, const PieceAnswers& a, Since& finished);
    /// Shaped by hand: the chocolate is kneaded, all pieces are made at one go, and stand until they keep their shape.
    void model(const Piece& piece, const PieceAnswers& a, int edible, Since& finished);
    /// One tone of a round: chocolate, cast, what is stood in it, then the cold, where it is the last; else until it
    /// takes the next. @returns its last task
    /// @param k number of the cast @param since what this part of the piece waits for
    int cast(const Round& r, const PieceAnswers& a, size_t k, const CastStep& c, const CastWork& work,
             const std::vector<size_t>& strewn, const Since& since);
    /// "the handles of all 4 cups". @param each so many in a piece
    static std::string partOf(const Round& r, const std::string& name, int each);
    /// How lines come onto a balloon.
    static std::string laceVerb(const Piece& piece);
    /// Put together once all rounds are there: what has coated walls, and what something is done to first, as filling
    /// what closes.
    static bool joinsAtLast(const Piece& piece, const Made& made);
    /// Glues together what is finished; glue is melted when it is wanted. Two halves are joined by their rims, warmed
    /// on a plate.
    int join(const Round& r, const PieceAnswers& a, const Since& since);
    Waits joined(const Round& r, const PieceAnswers& a, const Since& since);
    /// Minutes until what this task has made may be loaded.
    int bears(int task) const;
    /// Every step that is neither coat, cast, release nor trim, wherever it stands. @returns what the next step waits
    /// for
    Since other(const Round& r, const PieceAnswers& a, size_t i, const Since& since);
    static std::string decorateTitle(const DecorateStep& d, bool inMold);
    /// Some minutes in a place of their own.
    Since rests(const Round& r, const PieceAnswers& a, size_t i, const SetStep& s, const Since& since);
    /// Fills what is finished; a filling is made once for all that it goes into.
    Since fill(const Round& r, const FillStep& f, size_t step, const Since& since);
    /// The steps that are done once, for all rounds together, up to the table.
    void finish(const Piece& piece, const PieceAnswers& a, Since since, const std::string& things);
    /// What does not keep stands no longer than its time: until it is back in the fridge, or until it is eaten.
    void keepCold(const Round& r, const PieceAnswers& a, const Since& since);
    /// Once no step draws from a pot any more.
    void washUp();
    /// What is looked at last is looked at last: at the end of the hours in which somebody is there.
    void serveLast();
    /// The end of the work: a task of one minute that everything leads to.
    int serving();
    /// Which pieces a step is about: "crater bowls 1–6", "moon to break 2", "all 4 meteorites", "the moon to break".
    static std::string whose(const Piece& piece, int rounds, int from, int to);
    static std::string counted(const Piece& piece, const std::string& things);
    /// The pieces of a round in figures: "1–6", "2".
    static std::string numbers(int rounds, int from, int to);
    /// So many pieces take their share of a place, which holds perShelf of them, from one task to another.
    void takePlace(coat::Place where, int from, int to, const PieceAnswers& a, int pieces);
    /// s that chocolate may stay in a place.
    double longestIn(coat::Place place) const;
    int fitIn(coat::Place place, double diameter) const;
    static std::string placeName(coat::Place p);

    const Plan& plan_;
    const material::Library& lib_;
    const PlanFigures& known_;
    const DayFrame& frame_;
    schedule::Network net_;
    std::map<coat::Place, int> places_;
    struct Draw {
        int task = 0, pot = 0;
        bool bath = false, small = false;
    };
    std::map<std::string, int> pots_;  // by id
    std::vector<batch::PotKey> potKeys_;
    std::vector<Draw> draws_;
    std::map<std::string, int> fillings_;                  // task that makes a filling
    std::map<std::string, std::vector<int>> finished_;     // last tasks of each piece
    std::vector<std::pair<int, std::string>> perishable_;  // tasks that fill in what does not keep, and their pieces
    std::set<std::string> stored_;                         // pieces that go back into the fridge
    std::set<int> glued_;                                  // tasks that glue
    int clear_ = 0, serve_ = -1, plate_ = 0;
};

}  // namespace uovo::day
