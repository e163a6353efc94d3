// What lies on a surface: lines, drops, powder, bands and repeats, by the place on it. A picture, not a measure.
#pragma once
#include <QColor>
#include <QVector3D>
#include <functional>
#include <vector>

#include "core/stages/figures.h"

namespace uovo::report {

/// One decoration or topping as it is painted. Lengths in m, places as in the scene.
struct Pattern {
    enum class Kind {
        Aslant,   ///< a share of it, parted by a plane held aslant
        All,      ///< a film over it, thinner towards the foot where `fades`
        Lines,    ///< piped across, `width` wide and `apart` from each other
        Drops,    ///< round, `width` across, over the share `cover`
        Band,     ///< between the heights `from` and `to`
        Repeats,  ///< `times` round the rim, `width` across
        Fields,   ///< diamonds in rows, over the share `cover`
        Scrapes,  ///< upright strokes, over the share `cover`
        Veins,    ///< swirled
        Grain     ///< wood grain
    };
    Kind kind = Kind::All;
    QRgb colour = 0, edge = 0;  ///< edge 0: none
    float width = 0.003f, apart = 0.02f, cover = 1, from = 0, to = 0, strength = 1;
    std::vector<float> figure;  ///< of repeats and fields: radius by angle, anticlockwise from its head; 0.5 fills its
                                ///< width. Empty: a diamond or a round one
    int times = 0;
    bool fades = false;
    QVector3D middle;  ///< of the body, its foot's height
    float radius = 0.03f, height = 0.06f;

    /// 0 bare to 1 covered at a place of the surface; `isEdge` where the rim of a field is.
    float at(const QVector3D& place, bool& isEdge) const;

private:
    /// How far out in the figure a place is, 1 on its outline. @param x, y in its widths, y up
    float inFigure(float x, float y) const;
};

/// What is seen on a body of a piece: decorations and toppings, the first lies lowest.
/// @param item key of the part that the body is; empty: the whole @param box m, of the body
/// @param lookOf the colour of a chocolate by its id
std::vector<Pattern> patternsOf(const Piece& piece, const PieceAnswers& answers, const std::string& item,
                                const form::Box& box, const std::function<QColor(const std::string&)>& lookOf);
/// What is seen at a place of a body: its own colour under them.
QRgb patternedOver(QRgb own, const std::vector<Pattern>& patterns, const QVector3D& place);
/// All that decides on them; equal where they are.
std::vector<std::string> patternKeys(const Piece& piece);

}  // namespace uovo::report
