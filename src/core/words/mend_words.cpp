#include "core/words/mend_words.h"

#include <fmt/format.h>

#include "core/quantity/catalogue.h"
#include "core/quantity/decimal.h"

namespace uovo {
namespace {

const char* titleOf(Mend::How how) {
    switch (how) {
        case Mend::How::Glue:
            return tr("Score both faces and glue it back");
        case Mend::How::Splint:
            return tr("Glue it back, with a strip over the break where nobody looks");
        case Mend::How::Peg:
            return tr("Glue it back, with pegs across the break");
        case Mend::How::Patch:
            return tr("Glue it back, and brush chocolate over the break from inside");
        case Mend::How::Anew:
            return tr("Make it anew, and glue it in");
    }
    return "";
}

}  // namespace

std::vector<MendLine> mendLines(const std::vector<Mend>& mends, UnitSystem units) {
    std::vector<MendLine> out;
    out.reserve(mends.size());
    for (const auto& m : mends) {
        MendLine line;
        line.title = titleOf(m.how);
        line.figures = say("{} of hands, bears after {}, {}", format(m.hands, Dimension::Duration, units),
                           format(m.waits, Dimension::Duration, units), format(m.mass, Dimension::Mass, units));
        const std::string again = m.share >= 1 && m.low >= 1 ? tr("As strong as it was")
                                                             : say("{:.0f} % of its strength ({:.0f}–{:.0f})",
                                                                   100 * m.share, 100 * m.low, 100 * m.high);
        switch (m.verdict) {
            case Mend::Verdict::Bears:
                line.verdict = again + tr(": use it as before.");
                break;
            case Mend::Verdict::Shows:
                line.tone = Tone::Weak;
                line.verdict = again + tr(": it stands for show, nobody should lift it there.");
                break;
            case Mend::Verdict::Fails:
                line.tone = Tone::Impossible;
                line.verdict = again + tr(": too little for what happens to it.");
                break;
        }
        if (m.margin > 0)
            line.verdict += say(" Were it the weakest place, the hardest load {} times.", decimal(m.margin, 1));
        out.push_back(std::move(line));
    }
    return out;
}

}  // namespace uovo
