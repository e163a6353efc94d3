// What of a plan is cut from sheets: templates, laid out on sheets that are spread, and patterns of acetate.
#pragma once
#include "core/cutting/box_net.h"
#include "core/cutting/nest.h"
#include "core/form/bevel.h"
#include "core/stages/put_together.h"
#include "core/stages/stencil.h"

namespace uovo {

/// A joint at the edge of a template: the same letter stands on the other part.
struct JointMark {
    form::Point2 at{};  ///< m, in the outline
    std::string letter;
};

/// An outline to cut, with what is written on it.
struct Template {
    int number = 0;           ///< 1 the first: written on it and on its place on the sheet
    std::string piece, name;  ///< id of the piece, name of the part: "Wall" for walls 1 to 8
    std::string pieceName;
    std::vector<std::string> items;             ///< names of the parts that it is cut for, of one piece
    std::vector<std::vector<JointMark>> marks;  ///< of each of them
    cutting::CutPart cut;                       ///< its larger face, so often as it is cut
    form::Bevel bevel;                          ///< sides that are cut at an angle
    double thickness = 0, mass = 0;             ///< m, kg of one
    bool cutter = false;
    /// The name of a copy, "Wall 3"; the joints of that copy.
    const std::string& nameOf(int copy) const { return items[static_cast<size_t>(copy) % items.size()]; }
    const std::vector<JointMark>& marksOf(int copy) const { return marks[static_cast<size_t>(copy) % marks.size()]; }
};

/// Sheets of one chocolate and thickness.
struct SheetGroup {
    std::string chocolate;          ///< id
    double thickness = 0;           ///< m, of the bars
    std::vector<size_t> templates;  ///< numbers in the plan's list, as the layout counts them
    cutting::SheetOptions options;
    cutting::Layout layout;
    double lock = 0, firm = 0;  ///< s after spreading it can be cut from and until
    std::vector<double> pour;   ///< kg to spread for each sheet
    std::vector<double> parts;  ///< kg of it that are parts; the rest goes back into the pot
};

struct AcetatePattern {
    std::string piece, name;  ///< name of the piece and, of several parts, of the part
    form::FlatPattern pattern;
    int count = 1;
};

/// The box that silicone is poured into round an original.
struct MoldNet {
    std::string piece;  ///< its name, and of several parts that of the part
    cutting::BoxNet net;
    int count = 1;
};

struct SheetPlan {
    std::vector<Template> templates;
    std::vector<SheetGroup> groups;
    std::vector<AcetatePattern> acetate;
    std::vector<RimRing> rings;
    std::vector<StencilStrip> stencils;
    std::vector<MoldNet> nets;
    bool empty() const {
        return templates.empty() && acetate.empty() && rings.empty() && stencils.empty() && nets.empty();
    }
};

struct SheetWishes {
    int spares = 0;  ///< of each template, besides what its piece's spares need
};

/// Templates of all pieces, and how they lie on the kitchen's sheets.
/// @param progress told the share that is done; may be empty
SheetPlan sheetPlan(const Plan& plan, const material::Library& library, const PlanFigures& known,
                    const SheetWishes& wishes = {}, std::stop_token stop = {},
                    const std::function<void(const SheetPlan&, double)>& progress = {});
/// What does not fit, in sentences.
std::vector<std::string> sheetTroubles(const SheetPlan& sheets, UnitSystem units);

/// From when and until when a sheet can be cut on the table, s after it is spread; NaN where it never sets there.
struct CuttingWindow {
    double lock = 0, firm = 0;
};
CuttingWindow cuttingWindow(const form::Item& sheet, const Piece& piece, const Plan& plan,
                            const material::Library& library, const material::Coating& coating);
/// m of ribbon round a piece, or round one of its parts (key; empty: all of it), where it is widest; its lap not
/// counted.
double ribbonRound(const Made& made, const std::string& item = {});
/// m/s of the kitchen's knife.
double knifeSpeed(const Plan& plan, const material::Library& library);

/// "A" … "Z", "AA" …
std::string jointLetter(size_t joint);

}  // namespace uovo
