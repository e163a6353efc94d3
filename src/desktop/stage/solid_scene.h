// A piece in three dimensions: bodies with creases, seen from any side, cut by a plane, pulled apart.
#pragma once
#include <QColor>
#include <QImage>
#include <QVector3D>
#include <optional>
#include <vector>

#include "core/answers/answers.h"
#include "core/form/mesh.h"
#include "core/stages/shown.h"
#include "report/pattern.h"

namespace uovo::desktop {

inline constexpr double kMapThin = 0.0005, kMapThick = 0.006;  ///< m, ends of the wall map

/// One closed body of a scene.
struct SolidBody {
    form::Mesh mesh;                        ///< at its place, m
    std::vector<QVector3D> normals;         ///< three a triangle: smooth within a face, sharp at creases
    std::vector<float> wall;                ///< m at each corner, or empty
    std::vector<char> hatch;                ///< corners that are hatched, or empty
    std::vector<report::Pattern> patterns;  ///< decorations and toppings on it, the first lowest
    QVector3D apart;                        ///< m it moves when the scene is pulled apart
    QColor colour;
    QString name;
};

struct SolidScene {
    std::vector<SolidBody> bodies;
    form::Box box;
    QSizeF fit, fitApart;  ///< m, widest and tallest it appears in the standard views, together and pulled apart
    double mapLow = kMapThin, mapHigh = kMapThick;  ///< ends of the map: m of wall, or Pa of tension
    bool stress = false;                            ///< `wall` of the bodies holds tension, Pa
    struct Arrow {
        form::Vec3 at, along;  ///< m; its length as drawn, towards `at`
    };
    std::vector<Arrow> arrows;  ///< forces
    bool arrowsMove = false;    ///< … which a person may draw longer or shorter
    struct Key {
        QColor colour;
        QString words;
        bool hatched = false;
    };
    std::vector<Key> keys;           ///< what its colours say, where it is no map of a wall
    std::optional<form::Vec3> weak;  ///< the place that opens first
    size_t triangles() const;
};

/// Bodies of a piece from its answers; empty when there are none yet. `egg`: a hen's egg beside it, for scale.
SolidScene sceneOf(const Piece& piece, const PieceAnswers& answers, bool egg);
/// Bodies of an assembly in one colour.
SolidScene sceneOf(const form::Assembly& assembly, const QColor& colour);

/// A shape at its place as a body; bare corners are hatched. @param marked corners of its former that are hatched as
/// well
SolidBody bodyOf(const form::Shape& shape, const form::Pose& pose, const QColor& colour,
                 const std::vector<int>& marked = {});
/// A wall given by its middle, with a value at each corner that is mapped: both faces and its edge. @param moved added
/// to the corners, m
SolidBody wallBody(const form::Mesh& middle, const std::vector<double>& thickness, const std::vector<form::Vec3>& moved,
                   const std::vector<float>& value, const QColor& colour);
/// A mesh in one colour; it may be open.
SolidBody plainBody(form::Mesh mesh, const QColor& colour);
/// Bodies that are not of an assembly, measured for the stage.
SolidScene sceneOf(std::vector<SolidBody> bodies);

/// Where the eye is and what it does.
struct SolidView {
    double yaw = -0.6, pitch = 0.42;      ///< rad; pitch 0 looks level, π/2 from above
    double zoom = 1, panX = 0, panY = 0;  ///< pan as shares of the picture's height
    double cut = 0;                       ///< 0 nothing is cut away, 1 everything, along the section's normal
    int cutAxis = 1;                      ///< 0 x, 1 y, 2 z
    double apart = 0;                     ///< 0 together, 1 pulled apart
    bool map = false;                     ///< wall map instead of chocolate's colour
    QRgb rim = 0;                         ///< the line round it; 0: none
};

/// Projects points of a scene to a picture of the given size: parallel, true to scale.
class Projection {
public:
    Projection(const SolidScene& scene, const SolidView& view, const QSizeF& size);
    QPointF operator()(const form::Vec3& p) const;
    double depth(const form::Vec3& p) const;  ///< smaller is nearer
    QVector3D turned(const QVector3D& normal) const;
    form::Vec3 towardsEye() const { return {sy_ * -cp_, cy_ * -cp_, sp_}; }  ///< unit, in the scene
    double scale() const { return scale_; }                                  ///< pixels a metre

private:
    double cy_, sy_, cp_, sp_, scale_ = 1;
    form::Vec3 middle_;
    QPointF centre_;
};

/// Paints the bodies; transparent where there is nothing.
QImage paintSolid(const SolidScene& scene, const SolidView& view, const QSize& size, bool fine);
/// The same as drawing commands, back to front, for an SVG file. @returns the text of the file
QString svgSolid(const SolidScene& scene, const SolidView& view, const QSize& size, const QColor& paper);

/// What lies under a point of the picture.
struct SolidHit {
    size_t body = 0;
    form::Vec3 at;    ///< m, in the scene
    double wall = 0;  ///< m; NaN where the body has none
};
/// The nearest place under `point`, the section taken into account; none: paper.
std::optional<SolidHit> under(const SolidScene& scene, const SolidView& view, const QSizeF& size, const QPointF& point);
/// All that decides on the colours that are seen; equal where they are.
std::vector<std::string> chocolatesOf(const Piece& piece);

}  // namespace uovo::desktop
