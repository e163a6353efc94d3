// What each place is for, in a cook's words: a page of help, and three things told at the first visit.
#pragma once
#include <QString>
#include <QStringList>
#include <vector>

namespace uovo::desktop {

/// In the order of the rail.
enum class HelpPlace { Shape, Build, Melt, Day, Bench, Log };
inline constexpr HelpPlace kHelpPlaces[]{HelpPlace::Shape, HelpPlace::Build, HelpPlace::Melt,
                                         HelpPlace::Day,   HelpPlace::Bench, HelpPlace::Log};

struct Help {
    QString key;  ///< of the place, "shape"
    QString title;
    QStringList paragraphs;
    std::vector<QString> points;  ///< what the numbers in its picture stand at, in their order
    QStringList three;            ///< of the first visit
};
const Help& helpOf(HelpPlace place);

/// Paragraphs and points of all places that say all of these words.
struct HelpFound {
    HelpPlace place;
    QString text;
};
std::vector<HelpFound> findHelp(const QString& words);

}  // namespace uovo::desktop
