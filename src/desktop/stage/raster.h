// A small software renderer: triangles with smooth normals into an image, depth-buffered. Works on any machine.
#pragma once
#include <QColor>
#include <QImage>
#include <QVector3D>
#include <vector>

#include "report/pattern.h"

namespace uovo::desktop {

/// A corner in paper coordinates: x to the right and y down in pixels, z away from the eye in any unit.
struct Corner {
    QVector3D at, normal;  ///< normal in eye space (x right, y up, z towards the eye), unit length
    float keep = 1;        ///< distance to a section plane: what is below 0 is cut away
    float wall = 0;        ///< 0 thin to 1 thick, for a surface that shows a map
    QVector3D place = {};  ///< in the scene, where a surface has patterns
    float hatch = 0;       ///< above ½ it is hatched: bare, or a groove that shuts air in
};

/// How chocolate answers light.
struct Surface {
    QColor base;
    float gloss = 0.5f;  ///< strength of the sheen
    float shade = 0.0f;  ///< 0 outside, up to 1: darker, for the inside of a bowl
    QColor veil;         ///< mixed in by `veiled`
    float veiled = 0.0f;
    QRgb rgb = 0, veilRgb = 0;                               ///< of `base` and `veil`, set by the raster
    const std::vector<report::Pattern>* patterns = nullptr;  ///< what lies on it; not owned
    const std::vector<QRgb>* map = nullptr;  ///< colours from thin to thick instead of `base`; not owned
};

class LightTable;

/// How large a picture is drawn while a hand moves it: as it is shown, or smaller in a large window, so that each frame
/// is there in time. The fine one comes when the hand rests.
QSize draftSize(const QSize& pixels);

/// Collects triangles into a depth buffer first and shades each pixel once at the end.
class Raster {
public:
    Raster(int width, int height);
    /// Later triangles belong to this surface.
    void setSurface(const Surface& surface);
    /// Of closed bodies cut by the section plane the far side shows through the cut: it is painted as the cut face,
    /// flat, with this normal and colour.
    void setCutFace(const QVector3D& normal, const QColor& colour);
    void triangle(const Corner& a, const Corner& b, const Corner& c);
    /// Bodies are closed and uncut: their far sides need not be drawn.
    void setCulling(bool culling) { culling_ = culling; }
    /// Whether what follows shows its surface's patterns: not where it looks into the piece.
    void setPatterned(bool patterned) { patterned_ = patterned; }
    /// Hatching lines so many pixels apart.
    void setHatch(int spacing) { hatch_ = spacing; }
    /// A line of this colour round all that is drawn, so many pixels wide; 0: none.
    void setRim(QRgb colour, int width) {
        rim_ = colour;
        rimWidth_ = width;
    }
    QImage shaded() const;

private:
    struct Pixel {
        float depth, a, b;  ///< share of the triangle's first two corners
        int triangle;       ///< -1: nothing there
    };
    struct Seen {
        QVector3D normal[3];
        float wall[3];
        float hatch[3];
        int surface;
        int places = -1;
    };
    static QRgb shade(const QVector3D& normal, const Surface& surface, float wall, const LightTable& table,
                      QRgb patterned);

    int width_, height_;
    std::vector<Pixel> pixels_;
    struct Places {
        QVector3D at[3];
    };
    std::vector<Seen> seen_;
    std::vector<Places> places_;  // of triangles of surfaces with patterns
    bool culling_ = false, patterned_ = true;
    /// Whether something is drawn within the rim's width of an empty pixel.
    bool isRim(int x, int y) const;

    QRgb rim_ = 0;
    int rimWidth_ = 0;
    int hatch_ = 7;
    std::vector<Surface> surfaces_;
    int cutFace_ = -1;  // its surface
    QVector3D cutNormal_;
};

}  // namespace uovo::desktop
