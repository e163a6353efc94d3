// Small lessons for hands that have not done it yet: a scene that time changes, a few things to do, what came of it.
// Each scene is computed by the laws the plans are made with.
#pragma once
#include <memory>
#include <string>
#include <vector>

#include "core/material/material.h"

namespace uovo::lesson {

/// What is seen, for whoever draws it. Shares are 0 to 1, lengths m.
struct Look {
    enum class Of { Bowl, Cavity, Wall, Joint } of = Of::Bowl;
    double ribbon = 0;  ///< of a bowl: 0 runs off the whisk at once, ½ falls in a ribbon that stays a moment, 1 stands
    double lumps = 0;   ///< share of what is in the bowl that is solid still
    double smear = -1;  ///< of a smear on a knife: how far it has set; below 0: there is none
    double streaks = 0;             ///< how grey and streaked it is
    double wall = 0, deep = 0.012;  ///< of a cavity: what has grown on its wall; from wall to middle
    bool poured = false;            ///< of a cavity: it is turned over
    double tacky = 0;               ///< of its rim: 0 wet, 1 hard
    double off = 0;                 ///< of a wall in a clear mold: share that has let go and looks frosted
    bool scored = false, glued = false, set = false;  ///< of a joint
    double glue = 0;                                  ///< of its glue: 0 wet, 1 firm
    double slid = 0;                                  ///< m that the part has slid
};

/// Something that can be done now.
struct Act {
    std::string id, words;
};

/// One figure, large: "31.4 °C", "in the bowl".
struct Figure {
    std::string figure, label;
};

/// What came of one try.
struct Round {
    bool good = false;
    std::string words;     ///< what happened and why, sentences
    double minutes = 0;    ///< of the kitchen
    double kilograms = 0;  ///< of chocolate that it cost
};

/// One of them, as it is chosen.
struct Kind {
    std::string id, title, aim;
};
const std::vector<Kind>& kinds();

class Lesson {
public:
    virtual ~Lesson() = default;
    Lesson(const Lesson&) = delete;
    Lesson& operator=(const Lesson&) = delete;

    /// Lets time of the kitchen pass; nothing changes while a try is told, or when it is over.
    void pass(double seconds);
    /// What can be done now; "next" and "end" once a try is told.
    std::vector<Act> acts() const;
    /// Does it. @returns whether it was offered
    bool act(const std::string& id);

    virtual Look look() const = 0;
    /// What is before you, a sentence or two.
    std::string now() const;
    virtual std::vector<Figure> figures() const = 0;
    /// s of the kitchen a second: what takes an hour is not waited for.
    virtual double speed() const = 0;
    virtual size_t tries() const = 0;
    const std::vector<Round>& rounds() const { return rounds_; }
    /// A try has ended and is told.
    bool isTold() const { return told_; }
    bool isOver() const { return over_; }
    /// What it taught: how many went well, what it cost, what to look out for.
    std::string outcome() const;

protected:
    Lesson(const material::Library& library, UnitSystem units) : lib_(library), units_(units) {}
    virtual void step(double dt) = 0;  ///< at most half a second of speed 1
    virtual std::vector<Act> offered() const = 0;
    virtual void done(const std::string& id) = 0;
    virtual std::string scene() const = 0;
    virtual std::string remember() const = 0;
    virtual void begin(size_t number) = 0;  ///< the next try
    /// @param goes on without a pause: the next try is in the same bowl
    void tell(Round round, bool goesOn = false);
    std::string mass(double kg) const { return format(kg, Dimension::Mass, units_); }
    std::string degrees(double celsius) const;
    double time() const { return time_; }  ///< s of this try

    const material::Library& lib_;
    const UnitSystem units_;

private:
    std::vector<Round> rounds_;
    double time_ = 0;
    bool told_ = false, over_ = false;
};

/// Begins one. @returns null where there is none of this id
/// @param library outlives it
std::unique_ptr<Lesson> begin(const std::string& id, const material::Library& library, UnitSystem units);

}  // namespace uovo::lesson
