// The wall of a piece as a shell: its middle with the thickness of its coats, its rim, what it stands on, what holds
// it.
#pragma once
#include "core/stages/strength.h"

namespace uovo {

struct StrengthWall {
    shell::Model model;
    std::vector<int> rim;          ///< corners of the opening's edge
    std::vector<int> feet;         ///< corners it may stand on
    std::vector<int> hold;         ///< corners that a hand or its former holds
    bool stands = true;            ///< on a foot; else it is held, as a cone
    std::vector<shell::Tie> ties;  ///< joints of a piece put together
    std::vector<bool> wet;         ///< of each triangle: what is filled in presses on it; empty: on all
    std::string left;              ///< parts that are not reckoned, in words
    std::vector<double> weak;      ///< of each triangle: multiple of the strength; empty: 1
    std::vector<double> glued;     ///< of each triangle: share of it that a joint takes; empty: none
    std::vector<double>
        bears;  ///< of each triangle that a joint takes some of: strength of the joint, of the whole wall's
    std::vector<double> toJoint;  ///< of each corner: m to the nearest joint; empty: there is none
    double low = 0, high = 0;     ///< m, z of its ends
    bool open = false, rimUp = false, hung = false, compound = false;
    double capacity = 0, fill = 0, level = 0;  ///< m³, m³, m; the level is NaN where it is not known
};

/// @param triangles about so many, where it is not coated on triangles of its own
/// @returns the wall, or why there is none that could be reckoned
tl::expected<StrengthWall, Problem> strengthWall(const Piece& piece, const Plan& plan, const material::Library& library,
                                                 const PieceAnswers& answers, double triangles);

/// Weakens the triangles that a joint runs through. @param modulus Weibull's m @param least share of the wall's
/// strength that every joint is taken to have at least
void weaken(StrengthWall& wall, double modulus, double least = 0);
/// Of each corner: it lies on an edge with one triangle only.
std::vector<bool> freeEdges(const shell::Model& model);
/// Adds the Wall triangles of a surface, moved to the middle of the wall. @param thickness m at each corner; bare
/// places are left out
void addWall(StrengthWall& wall, const form::Mesh& surface, const std::vector<double>& thickness, bool outside);
/// Adds a round bar cast or rolled full, as a tube of radius ρ = 0.6739 r and wall t = 0.7420 r: 2πρt = πr² and πρt(ρ²
/// + t²/12) = πr⁴/4, so that area and bending stiffness are the bar's; in twist it is 13 % stiffer, its margin is 1.4 %
/// on the safe side.
/// @param length m, along its axis @param frame its section at a share of the length, z along the axis @param radius m
/// there
void addBar(StrengthWall& wall, const form::Pose& pose, double length,
            const std::function<form::Pose(double share)>& frame, const std::function<double(double share)>& radius);
/// A joint as the shell knows it: each corner of an edge that is glued is held to a patch as wide as the edge and its
/// fillet of glue.
struct Glued {
    std::function<double(const std::string& glue)> share;  ///< strength of a joint, of the whole wall's
    double fillet = 0.004;                                 ///< m, leg of the glue
    double modulus = 8;  ///< Weibull's m: how a share of a triangle that is glued weakens the whole of it
};
/// Adds every wall and sheet of an assembly, tied along its joints.
tl::expected<void, Problem> strengthCompound(StrengthWall& wall, const form::Assembly& assembly, const Glued& glued);

}  // namespace uovo
