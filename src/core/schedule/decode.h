// A day made from genes: blocks of tasks are laid one after the other from the end of the day backwards, pots get their
// sittings as they are used.
#pragma once
#include "core/schedule/blocks.h"
#include "core/schedule/minutes.h"

namespace uovo::schedule {

/// All that the search may change about a day.
struct Genes {
    std::vector<int> order;   ///< blocks, the later of the day first
    std::vector<int> delay;   ///< min by which a task is laid earlier in the day than it could be
    std::vector<char> small;  ///< of a task that needs a spoonful: from the small twin
    std::vector<int> modes;   ///< of each choice
    bool operator==(const Genes&) const = default;
};

/// Lays out days of one network. Keeps its memory between them; not shared by threads.
class Decoder {
public:
    explicit Decoder(const Network& network);

    const Blocks& blocks() const { return blocks_; }
    Genes plainGenes() const;

    struct Price {
        double cost = 0;           ///< by the wish
        int broken = 0, late = 0;  ///< windows, and their minutes
        /// What the search goes by. @param strictness 0..1
        double energy(double strictness) const {
            return cost + (60.0 * broken + 3.0 * late) * (1 + 12 * strictness * strictness);
        }
        bool betterThan(const Price& other) const {
            return broken != other.broken ? broken < other.broken
                   : late != other.late   ? late < other.late
                                          : cost < other.cost;
        }
    };
    Price decode(const Genes& genes);
    /// Genes whose day has its tasks about where they were. @param start of each task, or kLeftOut @param genes cups
    /// and modes
    Genes near(const std::vector<int>& start, Genes genes);
    /// The same, laid in the order of the genes.
    Genes at(const std::vector<int>& start, Genes genes);
    /// The day decoded last.
    Layout layout() const;
    /// Tasks that the day decoded last takes from each of its sittings. @returns pots, and a list a sitting
    std::vector<std::pair<int, std::vector<int>>> usesBySitting() const;
    /// Windows broken by the day decoded last.
    const std::vector<Broken>& broken() const { return broken_; }

private:
    // Mirrored minutes throughout: 0 is the end of the day; something at s for d minutes ends s minutes before the end
    // of the day and starts at s + d before it.
    struct Work {  // of a pot
        PotWork::Kind kind = PotWork::Kind::Melt;
        int sitting = 0, at = 0, minutes = 1, person = 0;
        bool interrupts = false;
    };
    struct Sitting {
        int pot = 0, lo = 0, hi = 0;  // of the uses
        int uses = 0;
        double draw = 0, bath = 0;
        bool standing = false;                      // made ready already
        int readyAt = -1, readyEnd = -1, end = -1;  // tempered, warmed or mixed; end: molten before it
        bool settled() const { return readyAt >= 0; }
        double mass() const { return draw + bath; }
    };
    struct Use {
        int sitting = 0, task = -1, mixes = -1, at = 0, minutes = 0;
        double draw = 0, bath = 0;
    };
    struct Overfull {
        int hold = 0, most = 0;
    };
    struct State {
        Minutes busy;  // people, then pots
        std::vector<Work> work;
        std::vector<Sitting> sittings;  // uses 0: none any more
        std::vector<Use> uses;
        std::vector<Overfull> overfull;
        std::vector<int> lastPiece;  // of each person
    };
    struct Filled {  // of a resource, to be taken back
        int resource, from, to, amount;
    };
    struct Seen {  // a place found
        int at = Minutes::kNone;
        unsigned who = 0;
        int person = 0;
    };

    bool isOff(int choice, int mode) const { return choice >= 0 && genes_->modes[choice] != mode; }
    bool isOff(int task) const { return isOff(net_.tasks[task].choice, net_.tasks[task].mode); }
    int people() const { return static_cast<int>(net_.people.size()); }
    int potRow(int pot) const { return people() + pot; }
    void layBlock(int block);
    bool tryBlock(const std::vector<int>& tasks, bool accept);
    bool layTask(int task, bool accept);
    int nextTask(const std::vector<int>& tasks) const;
    int lowerBound(int task) const;
    bool keepsWindows(int task, bool accept);
    /// A task that has been done stands where it was.
    bool layDone(int task, bool accept);
    bool takeHolds(int task, bool accept);
    int holdFits(int task, int at) const;
    void fill(int resource, int from, int to, int amount);
    void unfill(size_t back);
    Seen findHands(int from, int minutes, int hands, unsigned skills, int task) const;
    /// Hands for work on a pot, in minutes in which nothing else is done with it. @param row of the pot
    Seen findPotHands(int from, int minutes, int row) const;
    int outsideForbidden(int task, int at) const;

    // pots, decode_pots.cpp
    int potOf(int task) const;
    void lift(int pot);
    void settle(int pot);
    void settleSitting(int sitting);
    int lastSitting(int pot) const;
    /// @returns the sitting that a use may join there, -1 where it opens one, or -2: try again at `next`
    int sittingFor(const Use& use, int pot, int& next);
    /// The ends of the uses beside a place in a sitting, mirrored; -1: there is none.
    std::pair<int, int> beside(int sitting, int at, int end) const;
    bool joins(const Use& use, const Sitting& sitting, int index) const;
    /// Whether hands are free to make a sitting ready soon enough before a use of it.
    /// @returns where to try else; the use's own place when they are
    int readyFits(const Use& use, int pot, int sitting) const;
    void addUse(const Use& use, int pot, int sitting);
    void recount(int sitting);
    /// Spans between the uses of a sitting, mirrored.
    std::vector<std::pair<int, int>> gapsOf(int sitting) const;
    int longestIdle(int sitting) const;
    /// Who warms a pot in a minute: free hands, else those of somebody who is there. person -1: nobody is.
    struct Warmer {
        int person = -1;
        bool interrupts = false;
    };
    Warmer warmer(int minute) const;
    /// 2: hands are free for it in that minute, 1: somebody is there, 0: nobody.
    int canWarm(int minute) const;
    bool warmable(int from, int to, const Sitting& sitting) const;
    void keepWarm(int from, int to, int sitting);
    void drop(int sitting, bool fromBase);

    void price();
    void sortWork();

    const Network& net_;
    Blocks blocks_;
    std::vector<std::vector<int>> lagsFrom_, holdsFrom_, holdsTo_, wanted_;
    std::vector<int> holdLength_;
    std::vector<std::vector<int>> meltsFor_;  // of a task: pots before whose melt it is done
    Minutes empty_;
    int minutes_ = 0;
    int stuck_ = 0;  // tasks without any hands

    const Genes* genes_ = nullptr;
    std::vector<int> wished_;          // mirrored, of each task; empty: its delay says
    mutable std::vector<int> delays_;  // that lead there
    State state_, kept_;
    std::vector<int> at_;  // of each task, mirrored; -1: not laid
    std::vector<unsigned> who_, pinned_;
    std::vector<int> bound_;
    std::vector<std::vector<int>> used_;  // of each resource, each minute
    std::vector<Filled> filled_;
    struct Busy {
        int from, to, task;
    };
    std::vector<std::vector<Busy>> busyOf_;  // of each person: mirrored, sorted, one after the other
    struct Near {
        int first, second, apart;  // tasks, and minutes between their starts
    };
    std::vector<Near> near_;  // in the day before an edit
    std::vector<Broken> broken_;
    Price price_;
};

}  // namespace uovo::schedule
