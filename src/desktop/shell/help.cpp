#include "desktop/shell/help.h"

#include <QCoreApplication>

namespace uovo::desktop {
namespace {

struct HelpWords {
    Q_DECLARE_TR_FUNCTIONS(Help)
};

QString h(const char* words) { return HelpWords::tr(words); }

std::vector<Help> write() {
    return {
        {QStringLiteral("shape"),
         h(QT_TRANSLATE_NOOP("Help", "Shape: one piece at a time")),
         {h(QT_TRANSLATE_NOOP(
              "Help",
              "Here you say what a piece is, and Uovo answers how it comes out: how thick its wall is and where it is "
              "thin, how much chocolate goes into it, how long it sets, whether it holds.")),
          h(QT_TRANSLATE_NOOP(
              "Help",
              "Change anything: a figure in the sentence, a round handle on the drawing, a card of the making. The "
              "answers follow while you type. Nothing can be broken: Ctrl+Z takes everything back.")),
          h(QT_TRANSLATE_NOOP(
              "Help",
              "Any unit will do: 5 1/2 in, 114 °F, 2 tbsp, 1 h 15. Words of the kitchen too: falls in a ribbon, two "
              "spoons, count to thirty.")),
          h(QT_TRANSLATE_NOOP(
              "Help",
              "A weak answer offers ways out, each of them computed: a warmer or cooler bath, one coat more, another "
              "way up to set. One click takes it.")),
          h(QT_TRANSLATE_NOOP(
              "Help",
              "Measure a balloon with a tape round its widest place and a ruler from the knot to the crown. Measure a "
              "mold by filling it with water and weighing that."))},
         {h(QT_TRANSLATE_NOOP("Help",
                              "The shelf: every kind of piece of this plan. Another piece comes from the gallery.")),
          h(QT_TRANSLATE_NOOP("Help",
                              "The sentence: what it is, how many, of which chocolate. Each figure is a field.")),
          h(QT_TRANSLATE_NOOP("Help",
                              "The piece, cut open with its wall in scale. F8 turns it, F9 shows whether it holds.")),
          h(QT_TRANSLATE_NOOP("Help", "The making, step by step. Drag to reorder, Delete takes one out.")),
          h(QT_TRANSLATE_NOOP("Help", "The answers. A click opens how each was computed."))},
         {h(QT_TRANSLATE_NOOP("Help", "the sentence over the drawing says what it is: change any figure")),
          h(QT_TRANSLATE_NOOP("Help", "the cards below it are its making, step by step")),
          h(QT_TRANSLATE_NOOP("Help", "the answers on the right follow; a click shows where they come from"))}},
        {QStringLiteral("build"),
         h(QT_TRANSLATE_NOOP("Help", "Build: parts become one")),
         {h(QT_TRANSLATE_NOOP(
              "Help",
              "A house, a basket, a figure of several parts is put together here: in which order, what is held and for "
              "how long, what stands beside it meanwhile.")),
          h(QT_TRANSLATE_NOOP(
              "Help",
              "Every state on the way is computed: an order in which something falls is refused, and says over which "
              "edge it would fall.")),
          h(QT_TRANSLATE_NOOP(
              "Help",
              "By hand you put parts where you want them: they hold on to middles, edges and rims, and rest on what is "
              "below. What touches is glued.")),
          h(QT_TRANSLATE_NOOP(
              "Help",
              "Templates lays out what is cut from sheets, at true scale. Measure the ruler on the page "
              "before you cut.")),
          h(QT_TRANSLATE_NOOP("Help",
                              "Something broke? It weighs glue, a strip, pegs and a new part against each other."))},
         {h(QT_TRANSLATE_NOOP("Help", "The state at this step: what comes, what is held.")),
          h(QT_TRANSLATE_NOOP("Help", "The steps. Drag one elsewhere to try it.")),
          h(QT_TRANSLATE_NOOP("Help", "The joints: how long each is held, what prepares it."))},
         {h(QT_TRANSLATE_NOOP("Help", "the strip goes through the steps: drag one to try another order")),
          h(QT_TRANSLATE_NOOP("Help", "By hand moves the parts themselves")),
          h(QT_TRANSLATE_NOOP("Help", "Templates prints what is cut from sheets"))}},
        {QStringLiteral("melt"),
         h(QT_TRANSLATE_NOOP("Help", "Melt: pots, tempering, shopping")),
         {h(QT_TRANSLATE_NOOP(
              "Help",
              "What all pieces together ask of each chocolate stands here as pots: how much to melt, in which "
              "vessel, in "
              "how many batches so that none sets before it is used.")),
          h(QT_TRANSLATE_NOOP(
              "Help",
              "Choose how you temper: by seed, by crystals, the full curve, melted only in part, a machine, "
              "or not at all. "
              "The curve shows degrees and minutes for this pot.")),
          h(QT_TRANSLATE_NOOP("Help",
                              "Colours divide one melted white into cups; a colour must be of oil, never of water.")),
          h(QT_TRANSLATE_NOOP(
              "Help", "The list says what to buy, less what stands in your cupboard. It can be printed and copied."))},
         {h(QT_TRANSLATE_NOOP("Help", "The pots with their level and batches.")),
          h(QT_TRANSLATE_NOOP("Help", "The curve of the pot you chose.")),
          h(QT_TRANSLATE_NOOP("Help", "What to buy, what it costs, what is in it."))},
         {h(QT_TRANSLATE_NOOP("Help", "a click on a pot shows how it is tempered")),
          h(QT_TRANSLATE_NOOP("Help", "type what is in your cupboard: the list follows")),
          h(QT_TRANSLATE_NOOP("Help", "Temper it now listens to a thermometer"))}},
        {QStringLiteral("day"),
         h(QT_TRANSLATE_NOOP("Help", "Day: when to do what")),
         {h(QT_TRANSLATE_NOOP(
              "Help",
              "The day is laid out backwards from when it must be ready: who does what, when each pot is "
              "warm, what sets in "
              "the cold meanwhile.")),
          h(QT_TRANSLATE_NOOP(
              "Help",
              "Say what matters: begin late, hands free, few temperings, a quiet evening. Say who helps and "
              "from when. Pin a "
              "step to an hour by dragging it.")),
          h(QT_TRANSLATE_NOOP(
              "Help",
              "How likely it is to be ready in time is played through five hundred times, with the mishaps "
              "that happen.")),
          h(QT_TRANSLATE_NOOP(
              "Help",
              "While the day runs, tick what is done. Go on at the bench lays the rest out from this minute."))},
         {h(QT_TRANSLATE_NOOP("Help", "What you wish of the day.")),
          h(QT_TRANSLATE_NOOP("Help", "The board: hands above, cold and pots below. The yellow line is a moment.")),
          h(QT_TRANSLATE_NOOP("Help", "The steps as a list."))},
         {h(QT_TRANSLATE_NOOP("Help", "drag the yellow line through time to see each moment")),
          h(QT_TRANSLATE_NOOP("Help", "drag a step to pin it to an hour")),
          h(QT_TRANSLATE_NOOP("Help", "begin late, hands free: say above what matters"))}},
        {QStringLiteral("bench"),
         h(QT_TRANSLATE_NOOP("Help", "Bench: while you make it")),
         {h(QT_TRANSLATE_NOOP(
              "Help",
              "One step at a time in large letters: what to do, what it should look like, what goes wrong and "
              "why. Space, a "
              "tap or a foot switch goes on.")),
          h(QT_TRANSLATE_NOOP("Help", "What is in the cold has a clock of its own and rings when it is due.")),
          h(QT_TRANSLATE_NOOP(
              "Help",
              "Something happened? Say what: it offers ways with their minutes and grams, and lays the rest "
              "of the day out "
              "anew.")),
          h(QT_TRANSLATE_NOOP("Help",
                              "Rehearse the day before you melt anything; practise a single skill in a few minutes.")),
          h(QT_TRANSLATE_NOOP("Help", "Killed or switched off, it goes on at the right minute."))},
         {h(QT_TRANSLATE_NOOP("Help", "The step.")), h(QT_TRANSLATE_NOOP("Help", "Done: on to the next.")),
          h(QT_TRANSLATE_NOOP("Help", "Something happened."))},
         {h(QT_TRANSLATE_NOOP("Help", "Space goes on to the next step")),
          h(QT_TRANSLATE_NOOP("Help", "Something happened finds a way out of a mishap")),
          h(QT_TRANSLATE_NOOP("Help", "Rehearse it first: nothing of a rehearsal is kept"))}},
        {QStringLiteral("log"),
         h(QT_TRANSLATE_NOOP("Help", "Log: what happened, what it taught")),
         {h(QT_TRANSLATE_NOOP(
              "Help",
              "A day made at the bench comes here by itself. Write down what else you know: grams, a broken "
              "rim, how many came "
              "out whole, stars, a picture.")),
          h(QT_TRANSLATE_NOOP(
              "Help",
              "From what was weighed it learns what your bags of chocolate, your fridge and your hands are "
              "like. You say how far "
              "the plans may count on it; one undo takes it back.")),
          h(QT_TRANSLATE_NOOP("Help",
                              "Why did something fail? Choose it on the piece: causes are ranked from the piece's own "
                              "figures, a question tells "
                              "them apart, and every change was run before it is offered.")),
          h(QT_TRANSLATE_NOOP("Help",
                              "Make this again turns an evening into a new plan, for as many guests as you like."))},
         {h(QT_TRANSLATE_NOOP("Help", "The evenings.")),
          h(QT_TRANSLATE_NOOP("Help", "What was planned beside what happened."))},
         {h(QT_TRANSLATE_NOOP("Help", "an evening opens with a click")),
          h(QT_TRANSLATE_NOOP("Help", "What it taught shows what the plans may count on")),
          h(QT_TRANSLATE_NOOP("Help", "Why did it fail asks one question at a time"))}}};
}

}  // namespace

const Help& helpOf(HelpPlace place) {
    static const std::vector<Help> all = write();
    return all[static_cast<size_t>(place)];
}

std::vector<HelpFound> findHelp(const QString& words) {
    std::vector<HelpFound> out;
    const QStringList parts = words.simplified().split(QLatin1Char(' '), Qt::SkipEmptyParts);
    if (parts.isEmpty()) return out;
    for (const HelpPlace place : kHelpPlaces) {
        const Help& help = helpOf(place);
        QStringList texts = help.paragraphs;
        for (const auto& p : help.points) texts << p;
        for (const QString& text : texts)
            if (std::ranges::all_of(parts, [&](const QString& w) { return text.contains(w, Qt::CaseInsensitive); }))
                out.push_back({place, text});
    }
    return out;
}

}  // namespace uovo::desktop
