#include "core/form/family.h"

#include "core/form/joint.h"

#include <algorithm>

#include "core/form/outline.h"
#include "core/quantity/catalogue.h"
#include "core/quantity/words.h"

namespace uovo::form {
namespace {

constexpr double mm = 1e-3, ml = 1e-6;

Field len(const char* key, const char* name, const char* before, double value, double low, double high) {
    return {key, name, before, Dimension::Length, value * mm, low * mm, high * mm};
}
Field taped(Field f) {  // round things are measured by a tape
    f.unit = "cm";
    return f;
}
/// Degrees from square of a bevelled side.
Field angle(const char* key, const char* name, const char* before) {
    Field f{key, name, before, Dimension::Count, 0, -60, 60, false};
    f.only = {"sides", {"bevelled sides"}};
    return f;
}

Field number(const char* key, const char* name, const char* before, double value, double low, double high) {
    return {key, name, before, Dimension::Count, value, low, high};
}
Field fraction(Field f) {
    f.whole = false;
    return f;
}
Field share(const char* key, const char* name, const char* before, double value, double low, double high) {
    return {key, name, before, Dimension::Percent, value, low, high};
}
Choice outlineChoice(Only only = {}) { return {"silhouette", "Silhouette", silhouettes(), std::move(only)}; }

/// The table: long because it has a row for each family, and rows are read beside each other.
std::vector<Family> make() {
    const auto walled = [](const char* before) { return len("wall", "Wall, assumed", before, 2.5, 0.5, 20); };
    const Field wall = walled(", wall (assumed)"), high = walled("high · wall (assumed)"),
                deep = walled("deep · wall (assumed)"), wide = walled("wide · wall (assumed)");
    const Field overlap = len("overlap", "Overlap of the wrap", "overlapped by", 8, 0, 40);
    const Field bars = len("thickness", "Thickness of the bars", "between bars", 3, 0.8, 20);
    std::vector<Family> f;
    // A table, a family a row.
    // clang-format off
    // Over a balloon, in a cup
    f.push_back({"balloon", "Bowl over a balloon", "Over a balloon", Body::Wall, true, "Dipped: the wall is computed from how you coat it.", "bowl balloon dip dessert ice cream crater dish", "Tape round the widest place, ruler from knot to crown.",
                 {taped(len("girth", "Balloon girth", "over a balloon", 440, 50, 2000)), taped(len("length", "Balloon length", "round and", 160, 20, 800)), len("dip", "Dip depth", "long, dipped", 80, 5, 720), share("pear", "Pear shape", "deep; pear-shaped", 0.2, 0, 0.3)}});
    f.push_back({"cup", "Cup coated inside", "In a cup", Body::Wall, false, "Filled and poured out: the wall is computed from how you coat it.", "cup paper coated mousse posset shot small", "Ruler inside: across the base, across the top and up.",
                 {len("baseDiameter", "Base diameter", "cup", 45, 10, 400), len("topDiameter", "Top diameter", "at the base,", 65, 10, 500), len("height", "Cup height", "at the top,", 50, 5, 400), len("corner", "Corner radius", "high, corner", 4, 0, 160), len("fillLine", "Fill line", "round, coated up to", 50, 3, 400)},
                 {{"made", "What the cup is of", {"paper", "plastic", "silicone"}}}});
    f.push_back({"balloon-lace", "Lace, strips or drips over a balloon", "Over a balloon", Body::Wall, true,
                 "When light should fall through: piped lines, crossed strips, or drips that leave part of the balloon bare.",
                 "balloon basket cage nest lace net strip drip piped bowl dome web", "Tape round the widest place, ruler from knot to crown; the line with a ruler on paper.",
                 {taped(len("girth", "Balloon girth", "over a balloon", 360, 100, 1500)), taped(len("length", "Balloon length", "round and", 135, 30, 600)), len("dip", "Height covered", "long, covered", 70, 10, 500),
                  share("pear", "Pear shape", "high; pear-shaped", 0.2, 0, 0.3), len("lineWidth", "Width of a line", "lines", 5, 1, 40), len("lineHeight", "Height of a line", "wide and", 3, 0.5, 12),
                  share("coverage", "Share that is covered", "high, covering", 0.5, 0.1, 1)},
                 {{"pattern", "Pattern", {"strips", "lace", "drips"}}}});
    // In a mold
    f.push_back({"half-ball", "Half ball in a mold", "In a mold", Body::Wall, false, "The plainest shell: domes, bowls, halves to join.", "dome bowl half sphere hemisphere ball cup",
                 "Ruler across the opening and down to the deepest point.", {len("diameter", "Diameter", "mold", 70, 10, 400), len("depth", "Depth", "wide and", 35, 4, 300), len("seam", "Flat edge round the rim", "deep, flat edge", 0, 0, 20), wall}});
    f.push_back({"egg-half", "Half egg in a mold", "In a mold", Body::Wall, false, "Lying egg halves, to fill or to join.", "egg easter half oval surprise",
                 "Ruler along and across the opening.", {len("length", "Length", "mold", 120, 15, 500), len("width", "Width", "long,", 80, 10, 400), share("pear", "Egg shape", "wide, egg-shaped", 0.15, 0, 0.3), len("seam", "Flat edge round the rim", "; flat edge", 0, 0, 20), wall}});
    f.push_back({"fluted-dome", "Fluted dome in a mold", "In a mold", Body::Wall, false, "A dome with grooves; pipe the grooves full before you coat, or there are holes at the peaks.", "dome fluted gugelhupf groove shell jelly",
                 "Ruler across and down; count the flutes; depth of one with a matchstick.",
                 {len("diameter", "Diameter", "mold", 76, 15, 400), len("depth", "Depth", "wide and", 38, 5, 300), number("flutes", "Flutes", "deep with", 12, 3, 60), len("fluteDepth", "Depth of a flute", "flutes", 3, 0, 40), deep}});
    f.push_back({"tart", "Shell in a tart pan", "In a mold", Body::Wall, false, "A wide low shell with a fluted wall; line a loose bottom against leaks.", "tart pan pie fluted shell plate dish",
                 "Ruler across the base, across the top and up; count the flutes.",
                 {len("baseDiameter", "Base diameter", "pan", 90, 20, 400), len("topDiameter", "Top diameter", "at the base,", 105, 20, 450), len("height", "Height", "at the top,", 22, 5, 120), number("flutes", "Flutes", "high with", 24, 0, 80),
                  len("fluteDepth", "Depth of a flute", "flutes", 2, 0, 20), deep}});
    f.push_back({"case", "Cup in a cupcake case", "In a mold", Body::Wall, false, "Small pleated cups; several cases inside each other for stiffness.", "cupcake muffin paper case cup pleated petit four",
                 "Ruler across the base, across the top and up; count the pleats.",
                 {len("baseDiameter", "Base diameter", "case", 50, 10, 120), len("topDiameter", "Top diameter", "at the base,", 68, 12, 160), len("height", "Height", "at the top,", 32, 8, 100), number("flutes", "Pleats", "high with", 32, 0, 80),
                  len("fluteDepth", "Depth of a pleat", "pleats", 1.2, 0, 8), deep, number("nested", "Cases in each other", "; cases in each other", 1, 1, 4)}});
    f.back().fields.back().only = {"mold", {"paper case"}};
    f.push_back({"profile-mold", "Any round mold, by its profile", "In a mold", Body::Wall, false, "A round mold that has no name: draw its profile point by point.", "goblet vase bell round lathe profile cup mold",
                 "Lay a ruler along the axis: width at each height.", {wall}, {}, "profile"});
    // Closed
    f.push_back({"ball", "Ball of two halves", "Closed", Body::Wall, false, "A ball to fill, to hang, or to break; a hole can be melted into it on a warm plate.", "ball sphere moon planet bauble breakable surprise piñata hollow",
                 "Tape round the seam, or ruler across one half.", {len("diameter", "Diameter", "ball", 100, 15, 400), len(kOpening, "Melted opening", "across, opening", 0, 0, 300), len("seam", "Flat edge at the seam", "wide, edge at the seam", 4, 0, 20), wall}});
    f.push_back({"egg", "Egg of two halves", "Closed", Body::Wall, false, "A whole hollow egg.", "egg easter surprise hollow breakable", "Ruler along and across.",
                 {len("length", "Length", "egg", 150, 20, 500), len("width", "Width", "long,", 100, 15, 400), share("pear", "Egg shape", "wide, egg-shaped", 0.15, 0, 0.3), len("seam", "Flat edge at the seam", "edge at the seam", 4, 0, 20), wall}});
    f.push_back({"figure-lathe", "Round figure of two halves", "Closed", Body::Wall, false, "A turned figure from a two-part mold: bell, bottle, gourd, snowman.", "bell bottle pumpkin gourd snowman figure breakable round",
                 "Lay a ruler along the axis: width at each height.", {len("seam", "Flat edge at the seam", "edge at the seam", 4, 0, 20), wall}, {}, "profile"});
    f.push_back({"pressed", "Shell pressed with an insert", "In a mold", Body::Cast, false, "Outer form, insert pressed in to a line: the gap is the wall, the same in every piece.", "cup pressed insert core three part mold shot glass",
                 "Ruler inside the outer form; the gap with a coin or a card.",
                 {len("baseDiameter", "Base diameter", "form", 45, 10, 300), len("topDiameter", "Top diameter", "at the base,", 60, 10, 350), len("height", "Height of the form", "at the top,", 60, 8, 300), len("fillLine", "Fill line", "high, pressed up to", 55, 5, 300),
                  len("gap", "Gap at the side", "gap at the side", 4, 0.8, 30), len("floor", "Gap at the floor", "at the floor", 5, 0.8, 40)}});
    f.push_back({"pressed-figure", "Figure pressed with an insert", "In a mold", Body::Cast, false, "Any form with an insert pressed in: the water both hold says how much chocolate goes between them.", "pressed insert three part mold egg heart figure bear shell any",
                 "Ruler along, across and down the form; weigh the water that fills it to the line, and the water the insert pushes out.",
                 {len("length", "Length", "form", 80, 8, 500), len("width", "Width", "long,", 60, 8, 400), len("depth", "Depth", "wide and", 30, 3, 250), {"water", "Water the form holds", "deep, holding", Dimension::Volume, 80 * ml, 0.2 * ml, 20000 * ml}, {"insert", "Water the insert pushes out", ", insert", Dimension::Volume, 52 * ml, 0.1 * ml, 20000 * ml}},
                 {outlineChoice()}});
    f.push_back({"bought", "Bought mold without a file", "In a mold", Body::Wall, false, "Any bought mold: fill it with water, weigh the water, and the volume is exact.", "any mold bought silicone heart star animal figure free shape bear",
                 "Ruler along, across and down; fill with water and weigh: grams are millilitres.",
                 {len("length", "Length", "mold", 80, 8, 500), len("width", "Width", "long,", 60, 8, 400), len("depth", "Depth", "wide and", 30, 3, 250), {"water", "Water it holds", "deep, holding", Dimension::Volume, 80 * ml, 0.2 * ml, 20000 * ml}, wall},
                 {outlineChoice()}});
    f.push_back({"original", "Original of your own", "In a mold", Body::Cast, false, "A thing in the hand to take a mold from: its size, and the water it pushes aside.", "own original shell stone toy figure copy cast",
                 "Ruler along, across and up; sink it in a full jug and weigh the water that runs over.",
                 {len("length", "Length", "original", 70, 5, 400), len("width", "Width", "long,", 50, 5, 400), len("height", "Height", "wide and", 30, 3, 250), {"water", "Water it displaces", "high, displacing", Dimension::Volume, 60 * ml, 0.1 * ml, 20000 * ml}},
                 {outlineChoice()}});
    // Acetate
    f.push_back({"wrap-cone", "Cone in acetate", "Wrapped in acetate", Body::Wall, false, "Glossy cones from a flat cut; the pattern comes at true scale.", "cone cornet horn comet acetate wrap tree",
                 "Decide width and height; the pattern is drawn for you.", {len("diameter", "Diameter", "cone", 60, 8, 400), len("height", "Height", "wide and", 110, 8, 600), overlap, wall}});
    f.push_back({"wrap-frustum", "Cup in acetate", "Wrapped in acetate", Body::Wall, false, "Straight-sided cups and collars that widen.", "cup frustum acetate wrap collar bucket",
                 "Decide both widths and the height.", {len("baseDiameter", "Base diameter", "wrap", 60, 8, 400), len("topDiameter", "Top diameter", "at the base,", 90, 8, 400), len("height", "Height", "at the top,", 80, 5, 500), overlap, wall}});
    f.push_back({"wrap-tube", "Tube in acetate", "Wrapped in acetate", Body::Wall, false, "Open tubes and bands.", "tube cylinder pipe telescope band acetate ring chimney", "Decide width and height.",
                 {len("diameter", "Diameter", "tube", 40, 6, 400), len("height", "Height", "wide and", 90, 5, 600), overlap, wall}});
    f.push_back({"wave", "Wave on acetate", "Wrapped in acetate", Body::Sheet, false, "A strip set over round bars: ribbons that stand and catch light.", "wave ribbon curl acetate strip decoration sail", "Length and height of the wave, width of the strip.",
                 {len("length", "Length", "wave", 150, 20, 600), len("width", "Width of the strip", "long,", 40, 5, 300), len("amplitude", "Height of a wave", "wide, waves", 15, 0, 80), number("waves", "Waves", "high,", 3, 1, 12), len("thickness", "Thickness", "times, thickness", 2, 0.8, 10)}});
    f.push_back({"spiral", "Spiral on acetate", "Wrapped in acetate", Body::Sheet, false, "A strip rolled up with a gap, set and unrolled.", "spiral spring curl swirl acetate coil galaxy", "Outer width, turns, width of the strip.",
                 {len("diameter", "Outer diameter", "spiral", 80, 20, 300), fraction(number("turns", "Turns", "across,", 2.5, 0.5, 8)), len("width", "Width of the strip", "turns, strip", 25, 4, 200), len("thickness", "Thickness", "wide, thickness", 2, 0.8, 8)}});
    // Solid casts
    f.push_back({"disc", "Disc", "Cast solid", Body::Cast, false, "Bases, lids, wheels: 5 in across at 1/8 in still carries a small dessert.", "disc base plate round coin wheel foot medal", "Ruler across; decide how high to pour.",
                 {len("diameter", "Diameter", "disc", 127, 5, 500), len("thickness", "Thickness", "wide, poured", 3.2, 0.8, 60)}});
    f.push_back({"lid", "Lid with a step", "Cast solid", Body::Cast, false, "A lid that sits in its cup.", "lid cover cap top", "Ruler across the rim and inside it.",
                 {len("diameter", "Diameter", "lid", 70, 10, 400), len("thickness", "Thickness", "wide and", 4, 1, 40), len("plug", "Diameter of the step", "thick, step", 60, 5, 390), len("step", "Height of the step", "wide and", 3, 0.5, 30)}});
    f.push_back({"bar", "Bar", "Cast solid", Body::Cast, false, "Bars and blocks; also test bars for the snap test.", "bar block brick plank tablet beam snap test", "Ruler along, across and down.",
                 {len("length", "Length", "bar", 100, 5, 500), len("width", "Width", "long,", 20, 3, 300), len("height", "Height", "wide and", 8, 1, 120), len("draft", "Taper of each side", "high, tapering", 1, 0, 20)}});
    f.push_back({"spoon", "Spoon", "Cast solid", Body::Cast, false, "To stir into hot milk, or to eat the dessert with.", "spoon stir stick hot chocolate cutlery", "Ruler along the mold and across its bowl.",
                 {len("length", "Length", "spoon", 120, 30, 300), len("bowl", "Width of the bowl", "long, bowl", 34, 8, 100), len("depth", "Depth", "wide and", 10, 2, 40), len("stem", "Width of the stem", "deep, stem", 10, 3, 40)}});
    f.push_back({"plaque", "Plaque", "Cast solid", Body::Cast, false, "A flat shape with a soft edge: names, medals, badges.", "plaque plate sign name medal badge heart star", "Ruler along, across and down.",
                 {len("length", "Length", "plaque", 70, 8, 400), len("width", "Width", "long,", 50, 8, 400), len("depth", "Depth", "wide and", 5, 1, 60)}, {outlineChoice()}});
    f.push_back({"flame", "Flame", "Cast solid", Body::Cast, false, "A drop with a rounded face: flames, petals, tears.", "flame fire drop tear petal candle comet", "Ruler along, across and down.",
                 {len("length", "Length", "flame", 60, 8, 300), len("width", "Width", "long,", 28, 5, 200), len("depth", "Depth", "wide and", 10, 2, 80)}});
    f.push_back({"arch", "Handle arch in a cavity", "Cast solid", Body::Cast, false, "A flat-backed handle: bent in one plane, section as wide as the mold.", "handle arch basket bow rainbow bridge", "Ruler across the arch from middle to middle of its feet; width and depth of the groove.",
                 {len("span", "Span", "arch", 120, 15, 500), len("rise", "Rise", "wide and", 90, 8, 500), len("width", "Width of the section", "high, section", 12, 3, 60), len("depth", "Depth of the section", "by", 8, 2, 60)}});
    f.push_back({"clip-handle", "Round handle in a clipped mold", "Cast solid", Body::Cast, false, "Two clipped halves filled through a hole: a round handle.", "handle clipped two part round bail basket", "Ruler across from foot to foot; thickness with a caliper.",
                 {len("span", "Span", "handle", 120, 15, 500), len("rise", "Rise", "wide and", 90, 8, 500), len("thickness", "Thickness", "high,", 10, 3, 60), len("hole", "Fill hole", "thick, fill hole", 8, 2, 40)}});
    // Sheets
    f.push_back({"sheet", "Sheet part cut by template", "Sheets and piping", Body::Sheet, false, "House panels, silhouettes, frames: poured between bars, cut while it is firm.", "sheet panel wall house silhouette frame template cut plate gable window", "Decide the size, or read an outline from an SVG file.",
                 {len("length", "Width", "sheet", 100, 5, 600), len("width", "Height", "wide,", 80, 5, 600), bars,
                  angle("bevelLeft", "Left side", "sides at °: left"), angle("bevelRight", "Right side", "right"), angle("bevelTop", "Upper side", "top"), angle("bevelBottom", "Lower side", "bottom")}, {{"cut", "Shape", {"rectangle", "gable", "triangle", "trapezoid", "hexagon", "octagon", "frame", "silhouette", "points"}}, outlineChoice({"cut", {"silhouette"}}), {"spread", "How it is spread", {"between bars", "freehand"}}, {"tool", "Cut with", {"knife", "cutter"}}, {"sides", "Sides", {"square sides", "bevelled sides"}}}, "outline"});
    f.push_back({"lace", "Lace on flat acetate", "Sheets and piping", Body::Sheet, false, "Piped nets, with a thicker mound where a stick goes.", "lace net piped lattice filigree fan grille screen", "Decide the size; the line with a ruler on paper.",
                 {len("length", "Length", "lace", 90, 15, 400), len("width", "Width", "by", 60, 15, 400), len("lineWidth", "Width of a line", "lines", 3, 1, 20), len("thickness", "Height of a line", "wide and", 2, 0.6, 10), share("coverage", "Share that is covered", "high, covering", 0.45, 0.15, 0.9),
                  len("mound", "Mound for a stick", "mound", 14, 0, 60)}});
    f.push_back({"feather", "Feather or leaf on acetate", "Sheets and piping", Body::Sheet, false, "Spread thin with a knife, with a thicker quill.", "feather leaf wing plume petal", "Decide length and width.",
                 {len("length", "Length", "feather", 110, 20, 400), len("width", "Width", "long,", 30, 6, 200), len("thickness", "Thickness", "wide,", 1.5, 0.6, 8), len("quill", "Width of the quill", "thick, quill", 4, 0, 20)}});
    // Modeled
    f.push_back({"rope", "Rope", "Modeled by hand", Body::Modeled, false, "Rolled from modeling chocolate: borders, rings, legs.", "rope cord string ring roll border snake", "Length along the table, thickness with a ruler.",
                 {len("length", "Length", "rope", 200, 10, 2000), len("thickness", "Thickness", "long and", 8, 2, 60)}, {{"shape", "Laid", {"straight", "ring"}}}});
    f.push_back({"ribbon", "Ribbon", "Modeled by hand", Body::Modeled, false, "A rolled-out band; cut it a little longer than the circumference and trim at the seam.", "ribbon band strip belt bow", "Length, width, thickness.",
                 {len("length", "Length", "ribbon", 200, 10, 2000), len("width", "Width", "long,", 25, 3, 200), len("thickness", "Thickness", "wide and", 2, 0.8, 15)}});
    f.push_back({"collar", "Collar", "Modeled by hand", Body::Modeled, false, "A soft ring that nests a disc on a dome.", "collar ring nest seat band joint", "Ruler inside the ring, its width and height.",
                 {len("inside", "Inner diameter", "collar", 40, 5, 300), len("width", "Width", "inside,", 8, 2, 80), len("height", "Height", "wide and", 6, 1, 60)}});
    f.push_back({"cone-solid", "Solid cone", "Modeled by hand", Body::Modeled, false, "Hats, trees, horns.", "cone hat tree horn spike nose", "Ruler across and up.",
                 {len("diameter", "Diameter", "cone", 30, 4, 200), len("height", "Height", "wide and", 50, 4, 300)}});
    f.push_back({"ball-solid", "Solid ball", "Modeled by hand", Body::Modeled, false, "Rolled between the palms.", "ball bead pearl head eye truffle", "Ruler across.", {len("diameter", "Diameter", "ball", 20, 3, 150)}});
    f.push_back({"leg", "Leg", "Modeled by hand", Body::Modeled, false, "A tapered leg; thin ones get extra chocolate on both sides.", "leg foot arm column post", "Thickness at both ends, and length.",
                 {len("length", "Length", "leg", 60, 8, 300), len("top", "Thickness at the top", "long,", 14, 3, 100), len("bottom", "Thickness at the foot", "at the top,", 18, 3, 100)}});
    f.push_back({"mesh", "Figure from a file", "From a file", Body::Cast, false, "Any closed model: STL, OBJ, PLY or 3MF.", "model file mesh scan figure stl obj ply 3mf print meteorite", "The file has it; say in what unit it was made.",
                 {{"scale", "Scale", "at", Dimension::Percent, 1, 0.01, 100}}, {{"filled", "Cast", {"solid", "hollow"}}}});
    f.back().fields.push_back(wall);
    f.push_back({"mesh-half", "Half figure from a file", "From a file", Body::Wall, false, "Half of a figure with one flat side: a cavity to line, or one half of two.", "model file mesh half figure stl obj ply 3mf mold cavity shell egg", "The file has it; its flat side is the opening.",
                 {{"scale", "Scale", "at", Dimension::Percent, 1, 0.01, 100}, wall}});
    // Dipped and bound
    const Only biscuits{"what", {"round biscuit", "finger biscuit"}};
    f.push_back({"dipped", "Dipped fruit, biscuit or stick", "Dipped and bound", Body::Wall, true, "What is dipped is eaten with its chocolate: strawberries, biscuits, pretzel sticks, candied peel.", "dipped fruit strawberry cherry orange peel biscuit cookie wafer pretzel stick marshmallow coated",
                 "Ruler along it and across it; how deep it goes in.",
                 {len("length", "Length", "", 40, 8, 300), len("width", "Width", "by", 32, 3, 200), len("thickness", "Thickness", "; thickness", 8, 1, 100), len("dip", "Dipped up to", "; dipped up to", 30, 3, 300), share("pear", "Narrower at its tip", "; narrower at its tip by", 0.2, 0, 0.3), wall},
                 {{"what", "What is dipped", {"fruit", "round biscuit", "finger biscuit", "stick"}}}});
    f.back().fields[2].only = biscuits;
    f.back().fields[4].only = {"what", {"fruit"}};
    f.push_back({"cluster", "Cluster of nuts or cereal", "Dipped and bound", Body::Cast, false, "Nuts, flakes or raisins stirred into chocolate and spooned in heaps.", "cluster heap rock nuts almond cereal flakes cornflakes raisin crisp puffed bound",
                 "Ruler across a heap and up; of the chocolate, say how much of the heap it is.",
                 {len("diameter", "Diameter of a heap", "heap", 40, 8, 150), len("height", "Height", "wide and", 20, 4, 100), share("share", "Share of chocolate", "high, of it chocolate", 0.4, 0.1, 0.9)}});
    // Compounds
    f.push_back({"basket", "Basket with handle", "Put together", Body::Compound, false, "Holds almonds or fruit and is carried by the handle, or only looks as if it were: lift it by the base.", "basket handle carry bucket fruit nuts almond", "The mold and the handle each.",
                 {len("baseDiameter", "Base diameter", "basket", 110, 30, 400), len("topDiameter", "Top diameter", "at the base,", 150, 30, 450), len("height", "Height", "at the top,", 80, 15, 300), high, len("rise", "Rise of the handle", "; handle", 110, 10, 400),
                  len("handleWidth", "Width of the handle", "high, section", 14, 4, 60), len("handleDepth", "Depth of the handle", "by", 10, 3, 60)}});
    f.push_back({"house", "Gabled house", "Put together", Body::Compound, false, "Four walls and two roof panels.", "house cottage gable roof hut chapel", "Decide length, width, wall and roof height.",
                 {len("length", "Length", "house", 100, 30, 500), len("width", "Width", "long,", 80, 30, 400), len("wallHeight", "Height of the wall", "wide, wall", 60, 15, 300), len("roofHeight", "Height of the roof", "high, roof", 40, 10, 300), len("overhang", "Overhang", "high, overhang", 6, 0, 60),
                  len("thickness", "Thickness of the panels", ", panels", 4, 1.5, 15)}, {{"corners", "Corners", {"butted corners", "mitred corners", "lapped corners"}}}});
    f.push_back({"tower", "Many-sided house with a dome", "Put together", Body::Compound, false, "Wall panels round a polygon, a ceiling, a half ball, and a tube if you like: towers, observatories, pavilions.", "observatory tower pavilion dome house octagon hexagon rotunda telescope", "Decide sides, width of one side, height; dome and tube.",
                 {number("sides", "Sides", "house with", 8, 3, 16), len("side", "Width of a side", "sides,", 60, 15, 300), len("wallHeight", "Height of the wall", "wide each, wall", 80, 15, 400), len("thickness", "Thickness of the panels", "high, panels", 4, 1.5, 15),
                  len("dome", "Diameter of the dome", "; dome", 120, 20, 400), wide, len("tube", "Diameter of the tube", "; tube", 24, 0, 120), len("tubeLength", "Length of the tube", "wide and", 60, 10, 300)}, {{"corners", "Corners", {"mitred corners", "butted corners", "lapped corners"}}}});
    f.push_back({"pedestal", "Pedestal with a dome", "Put together", Body::Compound, false, "Foot, collar, disc and a dome on top: presents one small thing grandly.", "pedestal stand cloche dome foot cake stand trophy", "Decide the disc and the dome.",
                 {len("foot", "Diameter of the foot", "foot", 70, 20, 300), len("stem", "Height of the foot", "wide and", 35, 8, 200), len("disc", "Diameter of the disc", "high, disc", 127, 30, 400), len("thickness", "Thickness of the disc", "wide and", 5, 1.5, 30), len("dome", "Diameter of the dome", "thick, dome", 100, 15, 380), wide},
                 {{"footIs", "The foot", {"solid", "hollow"}}}});
    f.push_back({"dip-bowl", "Bowl with a dip bowl", "Put together", Body::Compound, false, "A large bowl with a small one glued to its side.", "bowl dip sauce chips side double", "Both bowls across and down.",
                 {len("diameter", "Diameter", "bowl", 140, 30, 400), len("depth", "Depth", "wide and", 65, 10, 200), len("small", "Diameter of the dip bowl", "deep; dip bowl", 60, 15, 200), len("smallDepth", "Depth of the dip bowl", "wide and", 30, 6, 120), deep}});
    f.push_back({"cup-saucer", "Cup with saucer and handle", "Put together", Body::Compound, false, "A cup to drink from once, with its saucer.", "cup saucer handle tea coffee mug", "Cup and saucer each.",
                 {len("baseDiameter", "Base diameter", "cup", 45, 15, 150), len("topDiameter", "Top diameter", "at the base,", 75, 15, 200), len("height", "Height", "at the top,", 60, 15, 200), high, len("saucer", "Diameter of the saucer", "; saucer", 120, 30, 300), len("handle", "Height of the handle", "wide; handle", 40, 10, 150),
                  len("handleThickness", "Thickness of the handle", "high and", 8, 3, 30)}});
    f.push_back({"upright", "Silhouette on a base", "Put together", Body::Compound, false, "A cut shape that stands on a disc.", "silhouette stand figure upright sign heart star display tree", "Size of the shape and of the base.",
                 {len("length", "Height of the shape", "shape", 110, 20, 400), len("width", "Width of the shape", "high,", 90, 15, 400), len("thickness", "Thickness", "wide,", 6, 2, 30), len("base", "Diameter of the base", "thick; base", 90, 20, 300), len("baseHeight", "Height of the base", "wide and", 8, 2, 60)}, {outlineChoice()}});
    f.push_back({"hung-ball", "Hollow ball on a cord", "Put together", Body::Compound, false, "Two halves, sweets inside, hung from a cord through a disc of card; to be broken.", "moon ball hang cord piñata break mallet surprise pendulum", "Ruler across one half; the card and the cord.",
                 {len("diameter", "Diameter", "ball", 160, 40, 400), wide, len("seam", "Flat edge at the seam", "edge at the seam", 6, 0, 20), len("card", "Diameter of the card", "; card", 40, 10, 150)}, {{"cord", "Cord", {"cord glued in the crown", "cord through from the base"}}}});
    f.push_back({"stepped", "Tapered or stepped solid", "In a mold", Body::Cast, false, "Bases, feet and tiers: straight, narrower towards the top, or in steps.", "base foot stand plinth tier step taper cone frustum solid block", "Ruler across the base, across the top and up; count the steps.",
                 {len("baseDiameter", "Base diameter", "solid", 80, 8, 400), len("topDiameter", "Top diameter", "at the base,", 50, 4, 400), len("height", "Height", "at the top,", 30, 4, 300), number("steps", "Steps", "high in steps:", 1, 1, 8)}});
    const Only bought{"half", {"bought mold"}}, sized{"half", {"bought mold", "half egg", "dome"}}, another{"other", {"bought mold", "dome"}};
    f.push_back({"halves", "Figure of two halves", "Put together", Body::Compound, false, "Two halves closed over what is in them, of one mold or of two whose rims meet: eggs, hearts, animals, domes, models.", "egg heart animal figure two halves surprise closed filled hollow easter breakable model file",
                 "Ruler along, across and down each half; of a bought mold weigh the water it holds.",
                 {len("length", "Length", "half", 90, 10, 500), len("width", "Width", "long,", 60, 8, 400), len("depth", "Depth of a half", "wide and", 30, 3, 250), {"water", "Water a half holds", "deep, holding", Dimension::Volume, 80 * ml, 0.2 * ml, 20000 * ml},
                  {"scale", "Scale", "; the model at", Dimension::Percent, 1, 0.01, 100}, len("otherDepth", "Depth of the other half", "; the other one", 20, 3, 250), {"otherWater", "Water the other half holds", "deep, holding", Dimension::Volume, 50 * ml, 0.2 * ml, 20000 * ml}, wall},
                 {{"half", "A half", {"bought mold", "half egg", "dome", "model from a file"}}, {"other", "The other half", {"the same", "bought mold", "dome", "half egg"}}, outlineChoice()}});
    auto& two = f.back();
    two.fields[0].only = sized;
    two.fields[1].only = {"half", {"bought mold", "half egg"}};
    two.fields[2].only = {"half", {"bought mold", "dome"}};
    two.fields[3].only = bought;
    two.fields[4].only = {"half", {"model from a file"}};
    two.fields[5].only = another;
    two.fields[6].only = {"other", {"bought mold"}};
    f.push_back({kAssembly, "Assembly of your own", "Put together", Body::Compound, false, "Any parts at their places, glued where you say: begin with two, or open one of the others.", "assembly own build free parts custom put together stand holder", "Each part by itself; then how far right, back and up it stands.",
                 {len("card", "Diameter of the card", "; card", 40, 10, 150), {"enclosed", "Room inside", "; room inside it", Dimension::Volume, 0, 0, 400000 * ml}},
                 {{"closes", "Closed", {"stays open", "closed over what is in it"}}, {"carried", "Carried", {"carried from below", "carried by its handle", "hung from its cord"}}, {"cord", "Cord", {"cord glued in the crown", "cord through from the base"}}}});
    f.back().fields[0].only = f.back().choices[2].only = {"carried", {"hung from its cord"}};
    // clang-format on
    for (auto& g : f) {
        const auto is = [&](std::initializer_list<const char*> ids) {
            return std::find(ids.begin(), ids.end(), g.id) != ids.end();
        };
        g.meridian = is({"balloon", "cup"});
        g.cut = is({"sheet"});
        if (is({"mesh", "mesh-half"})) g.fromFile = Only{};
        if (is({"halves"})) g.fromFile = Only{"half", {"model from a file"}};
        g.copied = is({"mesh", "original"});
        g.byWater = is({"bought", "original", "pressed-figure"});
        g.gap = is({"pressed", "pressed-figure"});
        g.flat = g.body == Body::Sheet || is({"house"});
        if (is({"wrap-cone", "feather", "rope", "ribbon", "collar"})) g.drawn = "white";
        if (is({"house", "tower", "spoon", "sheet"})) g.drawn = "milk";
        if (is({"lace", "feather"})) g.laid = Family::Laid::Piped;
        if (is({"wave", "spiral"})) g.laid = Family::Laid::Bent;
        if (is({"hung-ball", "halves"})) g.shut = Only{};
        if (is({kAssembly})) {
            g.shut = Only{"closes", {"closed over what is in it"}};
            g.hung = Only{"carried", {"hung from its cord"}};
            g.handle = Only{"carried", {"carried by its handle"}};
        }
        if (is({"hung-ball"})) g.hung = Only{};
        if (is({"basket"})) g.handle = Only{};
        if (is({"arch"})) g.middle = Family::Middle::Plate, g.thick = "depth";
        if (is({"disc"})) g.middle = Family::Middle::Plate, g.thick = "thickness";
        if (is({"leg"})) g.middle = Family::Middle::Leg;
        if (is({"clip-handle"})) g.middle = Family::Middle::Bow;
        for (const auto& [group, former] : {std::pair{"Over a balloon", Former::Balloon},
                                            {"In a cup", Former::Cup},
                                            {"Closed", Former::Closed},
                                            {"Wrapped in acetate", Former::Wrap},
                                            {"Sheets and piping", Former::Table},
                                            {"Modeled by hand", Former::Hands},
                                            {"Dipped and bound", Former::Itself},
                                            {"Put together", Former::Parts}})
            if (g.group == group) g.former = former;
    }
    for (auto& g : f) {  // what a mold is made of says how fast it takes heat
        const bool cavity =
            (g.body == Body::Wall || g.body == Body::Cast) && (g.former == Former::Mold || g.former == Former::Closed);
        if (!cavity) continue;
        std::vector<std::string> molds{"thin plastic mold", "rigid clear mold", "silicone mold", "tin mold"};
        const std::string usual = g.id == "tart"               ? "tin mold"
                                  : g.former == Former::Closed ? "rigid clear mold"
                                  : g.id == "fluted-dome" || g.id == "original" || g.id == "mesh" || g.id == "spoon"
                                      ? "silicone mold"
                                      : "thin plastic mold";
        std::stable_partition(molds.begin(), molds.end(), [&](const auto& m) { return m == usual; });
        if (g.id == "case") molds = {"paper case", "silicone case"};
        g.choices.push_back({"mold", "Mold", molds});
    }
    for (auto& g : f)
        if (g.body == Body::Compound) g.choices.push_back({"glue", "Joints", glues()});
    for (auto& g : f)  // a core of known volume may lie in any cast
        if (g.body == Body::Cast && g.former != Former::Itself && !g.field("insert"))
            g.fields.push_back({"core", "Core inside", "; core inside", Dimension::Volume, 0, 0, 2000 * ml});
    return f;
}

}  // namespace

const Field* Family::field(const std::string& key) const {
    for (const auto& f : fields)
        if (f.key == key) return &f;
    return nullptr;
}

const Choice* Family::choice(const std::string& key) const {
    for (const auto& c : choices)
        if (c.key == key) return &c;
    return nullptr;
}

void eachText(Family& family, const std::function<void(std::string&)>& visit) {
    for (auto* text : {&family.name, &family.brief, &family.group, &family.when, &family.measure}) visit(*text);
    for (auto& f : family.fields) visit(f.name), visit(f.before);
    for (auto& c : family.choices) visit(c.name);
}

const std::vector<Family>& familiesInEnglish() {
    static const std::vector<Family> all = [] {
        auto made = make();
        for (auto& f : made) {
            f.brief = f.name.substr(0, std::min(f.name.find(" in a "), f.name.find(" cut by ")));
            f.brief = f.brief.substr(0, f.brief.find(','));
        }
        return made;
    }();
    return all;
}

const std::vector<Family>& families() {
    static const std::vector<Family> all = [] {
        auto told = familiesInEnglish();
        for (auto& f : told) eachText(f, [](std::string& text) { text = tr(text); });
        return told;
    }();
    return all;
}

const Family* family(const std::string& id) {
    for (const auto& f : families())
        if (f.id == id) return &f;
    return nullptr;
}

}  // namespace uovo::form
