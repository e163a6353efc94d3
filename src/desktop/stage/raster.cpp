#include "desktop/stage/raster.h"

#include <algorithm>
#include <cmath>
#include <limits>

namespace uovo::desktop {
namespace {

const QVector3D kKey = QVector3D(-0.50f, 0.62f, 0.60f).normalized();    // window light from the upper left
const QVector3D kFill = QVector3D(0.85f, 0.20f, 0.45f).normalized();   // the room from the right
const QVector3D kEye(0, 0.22f, 0.975f);

/// 1 between low and high, falling off softly outside.
float pane(float x, float low, float high) {
    const auto step = [](float t) {
        t = std::clamp(t, 0.f, 1.f);
        return t * t * (3 - 2 * t);
    };
    return step((x - low) / 0.10f + 1) * step((high - x) / 0.10f + 1);
}

float power(float x, int n) {
    float y = 1;
    for (; n; n >>= 1, x *= x)
        if (n & 1) y *= x;
    return y;
}

}  // namespace

Raster::Raster(int width, int height)
    : width_(std::max(1, width)),
      height_(std::max(1, height)),
      pixels_(static_cast<size_t>(width_) * static_cast<size_t>(height_), {std::numeric_limits<float>::infinity(), {}, -1, 0}) {}

void Raster::setSurface(const Surface& surface) { surfaces_.push_back(surface); }

void Raster::setCutFace(const QVector3D& normal, const QColor& colour) {
    Surface s;
    s.base = colour;
    s.gloss = 0.05f;
    cutFace_ = static_cast<int>(surfaces_.size());
    cutNormal_ = normal;
    surfaces_.push_back(s);
}

QImage Raster::shaded() const {
    QImage image(width_, height_, QImage::Format_ARGB32_Premultiplied);
    for (int y = 0; y < height_; ++y) {
        auto* line = reinterpret_cast<QRgb*>(image.scanLine(y));
        const Pixel* from = pixels_.data() + static_cast<size_t>(y) * static_cast<size_t>(width_);
        for (int x = 0; x < width_; ++x) line[x] = from[x].surface < 0 ? 0 : shade(from[x].normal, surfaces_[static_cast<size_t>(from[x].surface)], from[x].wall);
    }
    return image;
}

QRgb Raster::shade(const QVector3D& normal, const Surface& s, float wall) {
    const QColor ground = s.map ? QColor((*s.map)[static_cast<size_t>(std::clamp(wall, 0.f, 1.f) * static_cast<float>(s.map->size() - 1))]) : s.base;
    QVector3D n = normal.normalized();
    if (QVector3D::dotProduct(n, kEye) < 0) n = -n;
    const float key = std::max(0.f, QVector3D::dotProduct(n, kKey)), fill = std::max(0.f, QVector3D::dotProduct(n, kFill));
    const float diffuse = (0.40f + 0.85f * key + 0.22f * fill) * (1 - 0.45f * s.shade);
    // Sheen: a tight highlight of the window and a broad one of the room, both stronger at grazing angles.
    const float keyGlint = std::max(0.f, QVector3D::dotProduct(n, (kKey + kEye).normalized()));
    const float fillGlint = std::max(0.f, QVector3D::dotProduct(n, (kFill + kEye).normalized()));
    const float facing = std::max(0.f, QVector3D::dotProduct(n, kEye));
    const float fresnel = 0.25f + 0.75f * power(1 - facing, 4);
    const float sheen = s.gloss * (0.62f * power(keyGlint, 48) + 0.16f * power(keyGlint, 8) + 0.10f * power(fillGlint, 16) + 0.14f * fresnel) * (1 - 0.6f * s.shade);
    // The window itself, mirrored in the glaze: a tall soft rectangle at the upper left.
    const QVector3D mirror = 2 * QVector3D::dotProduct(n, kEye) * n - kEye;
    const float window = s.gloss * 0.30f * pane(mirror.x(), -0.84f, -0.60f) * pane(mirror.y(), -0.24f, 0.62f) * (1 - s.shade);
    const auto channel = [&](int base, int veil, float light) {
        const float lit = std::clamp(static_cast<float>(base) * diffuse + 255 * (sheen + window) * light, 0.f, 255.f);
        return static_cast<int>(std::lround(lit + (static_cast<float>(veil) - lit) * s.veiled));
    };
    return qRgb(channel(ground.red(), s.veil.red(), 1.0f), channel(ground.green(), s.veil.green(), 0.93f), channel(ground.blue(), s.veil.blue(), 0.84f));
}

void Raster::triangle(const Corner& a, const Corner& b, const Corner& c) {
    const auto cross = [](const QVector3D& p, const QVector3D& q, float x, float y) { return (q.x() - p.x()) * (y - p.y()) - (q.y() - p.y()) * (x - p.x()); };
    const float area = cross(a.at, b.at, c.at.x(), c.at.y());
    if (std::abs(area) < 1e-6f) return;
    const int x0 = std::max(0, static_cast<int>(std::floor(std::min({a.at.x(), b.at.x(), c.at.x()}))));
    const int x1 = std::min(width_ - 1, static_cast<int>(std::ceil(std::max({a.at.x(), b.at.x(), c.at.x()}))));
    const int y0 = std::max(0, static_cast<int>(std::floor(std::min({a.at.y(), b.at.y(), c.at.y()}))));
    const int y1 = std::min(height_ - 1, static_cast<int>(std::ceil(std::max({a.at.y(), b.at.y(), c.at.y()}))));
    const float inverse = 1 / area;
    // y grows downwards: a triangle that is counter-clockwise to the eye has a negative area here
    const bool farSide = cutFace_ >= 0 && area > 0;
    const int surface = farSide ? cutFace_ : static_cast<int>(surfaces_.size()) - 1;
    const bool cut = a.keep < 0 || b.keep < 0 || c.keep < 0;
    if (a.keep < 0 && b.keep < 0 && c.keep < 0) return;
    for (int y = y0; y <= y1; ++y) {
        Pixel* line = pixels_.data() + static_cast<size_t>(y) * static_cast<size_t>(width_);
        const float py = static_cast<float>(y) + 0.5f;
        for (int x = x0; x <= x1; ++x) {
            const float px = static_cast<float>(x) + 0.5f;
            const float wa = cross(b.at, c.at, px, py) * inverse, wb = cross(c.at, a.at, px, py) * inverse, wc = 1 - wa - wb;
            if (wa < -1e-4f || wb < -1e-4f || wc < -1e-4f) continue;
            const float z = wa * a.at.z() + wb * b.at.z() + wc * c.at.z();
            if (z >= line[x].depth) continue;
            if (cut && wa * a.keep + wb * b.keep + wc * c.keep < 0) continue;
            line[x] = {z, farSide ? cutNormal_ : a.normal * wa + b.normal * wb + c.normal * wc, surface, wa * a.wall + wb * b.wall + wc * c.wall};
        }
    }
}

}  // namespace uovo::desktop
