#include "desktop/stage/raster.h"

#include <algorithm>
#include <cmath>
#include <limits>
#include <map>
#include <memory>
#include <mutex>
#include <thread>

namespace uovo::desktop {
namespace {

const QVector3D kKey = QVector3D(-0.50f, 0.62f, 0.60f).normalized();  // window light from the upper left
const QVector3D kFill = QVector3D(0.85f, 0.20f, 0.45f).normalized();  // the room from the right
const QVector3D kEye = QVector3D(0, 0.22f, 0.975f).normalized();

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

/// What a smooth surface sends to the eye by the direction of its normal.
struct Light {
    float diffuse, sheen;
};

/// Light of one normal. @param gloss, shade as in Surface
Light lightOf(const QVector3D& n, float gloss, float shade) {
    const float key = std::max(0.f, QVector3D::dotProduct(n, kKey)),
                fill = std::max(0.f, QVector3D::dotProduct(n, kFill));
    const float diffuse = (0.40f + 0.85f * key + 0.22f * fill) * (1 - 0.45f * shade);
    // Sheen: a tight highlight of the window and a broad one of the room, both stronger at grazing angles.
    const float keyGlint = std::max(0.f, QVector3D::dotProduct(n, (kKey + kEye).normalized()));
    const float fillGlint = std::max(0.f, QVector3D::dotProduct(n, (kFill + kEye).normalized()));
    const float facing = std::max(0.f, QVector3D::dotProduct(n, kEye));
    const float fresnel = 0.25f + 0.75f * power(1 - facing, 4);
    const float sheen =
        gloss *
        (0.62f * power(keyGlint, 48) + 0.16f * power(keyGlint, 8) + 0.10f * power(fillGlint, 16) + 0.14f * fresnel) *
        (1 - 0.6f * shade);
    // The window itself, mirrored in the glaze: a tall soft rectangle at the upper left.
    const QVector3D mirror = 2 * QVector3D::dotProduct(n, kEye) * n - kEye;
    const float window =
        gloss * 0.30f * pane(mirror.x(), -0.84f, -0.60f) * pane(mirror.y(), -0.24f, 0.62f) * (1 - shade);
    return {diffuse, sheen + window};
}

}  // namespace

/// lightOf over the half sphere that faces the eye, looked up between its nodes: shading is then a few products a
/// pixel.
class LightTable {
public:
    LightTable(float gloss, float shade) : nodes_(kSize * kSize) {
        for (int j = 0; j < kSize; ++j)
            for (int i = 0; i < kSize; ++i) {
                float u = (2.f * static_cast<float>(i) / (kSize - 1) - 1) * kReach,
                      v = (2.f * static_cast<float>(j) / (kSize - 1) - 1) * kReach;
                const float r = std::sqrt(u * u + v * v);
                if (r > 1) {  // beyond the edge the edge's light goes on, for the nodes between
                    u /= r;
                    v /= r;
                }
                const float w = std::sqrt(std::max(0.f, 1 - u * u - v * v));
                nodes_[static_cast<size_t>(j) * kSize + static_cast<size_t>(i)] =
                    lightOf(QVector3D(1, 0, 0) * u + kUp * v + kEye * w, gloss, shade);
            }
    }
    Light at(const QVector3D& normal) const {
        float u = normal.x(), v = normal.y() * kUp.y() + normal.z() * kUp.z();
        const float w = normal.y() * kEye.y() + normal.z() * kEye.z();
        const float length =
            std::sqrt(u * u + v * v + w * w) * (w < 0 ? -1.f : 1.f);  // the side that faces the eye is seen
        const float k = (kSize - 1) / (2 * kReach) / (length == 0 ? 1 : length);
        const float x = u * k + (kSize - 1) / 2.f, y = v * k + (kSize - 1) / 2.f;
        const int i = std::clamp(static_cast<int>(x), 0, kSize - 2), j = std::clamp(static_cast<int>(y), 0, kSize - 2);
        const float fx = x - static_cast<float>(i), fy = y - static_cast<float>(j);
        const Light* n = nodes_.data() + j * kSize + i;
        const auto mix = [&](float Light::*m) {
            return (n[0].*m * (1 - fx) + n[1].*m * fx) * (1 - fy) +
                   (n[kSize].*m * (1 - fx) + n[kSize + 1].*m * fx) * fy;
        };
        return {mix(&Light::diffuse), mix(&Light::sheen)};
    }
    /// Tables are few and kept; may be asked for from any thread.
    static const LightTable& of(float gloss, float shade) {
        static std::mutex mutex;
        static std::map<std::pair<float, float>, std::unique_ptr<LightTable>> kept;
        const std::lock_guard lock(mutex);
        auto& table = kept[{gloss, shade}];
        if (!table) table = std::make_unique<LightTable>(gloss, shade);
        return *table;
    }

private:
    static constexpr int kSize = 256;
    static constexpr float kReach = 1.02f;
    inline static const QVector3D kUp = QVector3D(0, kEye.z(), -kEye.y()).normalized();
    std::vector<Light> nodes_;
};

Raster::Raster(int width, int height)
    : width_(std::max(1, width)),
      height_(std::max(1, height)),
      pixels_(static_cast<size_t>(width_) * static_cast<size_t>(height_),
              {std::numeric_limits<float>::infinity(), 0, 0, -1}) {}

void Raster::setSurface(const Surface& surface) {
    surfaces_.push_back(surface);
    surfaces_.back().rgb = surface.base.rgb();
    surfaces_.back().veilRgb = surface.veil.rgb();
}

void Raster::setCutFace(const QVector3D& normal, const QColor& colour) {
    Surface s;
    s.base = colour;
    s.gloss = 0.05f;
    cutFace_ = static_cast<int>(surfaces_.size());
    cutNormal_ = normal;
    setSurface(s);
}

QSize draftSize(const QSize& pixels) {
    constexpr double kLarge = 1e6;  // pixels: of a larger picture putting it on the screen takes half of the time
    const double whole = std::max(1.0, double(pixels.width()) * pixels.height());
    const double most = whole > kLarge ? 0.16e6 : 0.3e6;  // pixels that are shaded in time
    const double share = std::sqrt(most / whole);
    return share >= 1 ? pixels : QSize(int(pixels.width() * share), int(pixels.height() * share));
}

bool Raster::isRim(int x, int y) const {
    const auto drawn = [&](int i, int j) {
        return i >= 0 && j >= 0 && i < width_ && j < height_ &&
               pixels_[static_cast<size_t>(j) * static_cast<size_t>(width_) + static_cast<size_t>(i)].triangle >= 0;
    };
    const int w = rimWidth_;
    return drawn(x - w, y) || drawn(x + w, y) || drawn(x, y - w) || drawn(x, y + w);
}

QImage Raster::shaded() const {
    QImage image(width_, height_, QImage::Format_ARGB32_Premultiplied);
    std::vector<const LightTable*> tables;
    tables.reserve(surfaces_.size());
    for (const auto& s : surfaces_) tables.push_back(&LightTable::of(s.gloss, s.shade));
    uchar* bits = image.bits();
    const qsizetype stride = image.bytesPerLine();
    const auto rows = [&](int first, int end) {
        for (int y = first; y < end; ++y) {
            auto* line = reinterpret_cast<QRgb*>(bits + y * stride);
            const Pixel* from = pixels_.data() + static_cast<size_t>(y) * static_cast<size_t>(width_);
            for (int x = 0; x < width_; ++x) {
                const Pixel& p = from[x];
                if (p.triangle < 0) {
                    line[x] = rim_ && isRim(x, y) ? rim_ : 0;
                    continue;
                }
                const Seen& t = seen_[static_cast<size_t>(p.triangle)];
                const float c = 1 - p.a - p.b;
                const Surface& surface = surfaces_[static_cast<size_t>(t.surface)];
                QRgb colour = surface.rgb;
                if (t.places >= 0) {
                    const auto& at = places_[static_cast<size_t>(t.places)].at;
                    colour =
                        report::patternedOver(surface.rgb, *surface.patterns, at[0] * p.a + at[1] * p.b + at[2] * c);
                }
                line[x] = shade(t.normal[0] * p.a + t.normal[1] * p.b + t.normal[2] * c, surface,
                                t.wall[0] * p.a + t.wall[1] * p.b + t.wall[2] * c,
                                *tables[static_cast<size_t>(t.surface)], colour);
                const float hatched = t.hatch[0] * p.a + t.hatch[1] * p.b + t.hatch[2] * c;
                if (hatched > 0.5f) {
                    const int at = (x + y) % hatch_;
                    if (at * 7 < 2 * hatch_) line[x] = qRgb(0xB3, 0x29, 0x3E);
                    else if (at * 7 < 3 * hatch_) line[x] = qRgb(0xFF, 0xF6, 0xEC);
                }
            }
        }
    };
    const int half = height_ > 128 ? height_ / 2 : 0;
    {
        std::jthread other([&] { rows(0, half); });
        rows(half, height_);
    }
    return image;
}

/// Bright tones run into white slowly, as on a photograph: white chocolate keeps its shape.
static float shoulder(float lit) {
    constexpr float kFrom = 195, kRoom = 255 - kFrom;
    return lit <= kFrom ? std::max(0.f, lit) : kFrom + kRoom * (1 - std::exp(-(lit - kFrom) / (1.35f * kRoom)));
}

QRgb Raster::shade(const QVector3D& normal, const Surface& s, float wall, const LightTable& table, QRgb patterned) {
    const Light light = table.at(normal);
    const QRgb mapped =
        s.map ? (*s.map)[static_cast<size_t>(std::clamp(wall, 0.f, 1.f) * static_cast<float>(s.map->size() - 1))]
              : patterned;
    const auto channel = [&](int base, int veil, float tint) {
        const float lit = shoulder(static_cast<float>(base) * light.diffuse + 255 * light.sheen * tint);
        return static_cast<int>(lit + (static_cast<float>(veil) - lit) * s.veiled + 0.5f);
    };
    return qRgb(channel(qRed(mapped), qRed(s.veilRgb), 1.0f), channel(qGreen(mapped), qGreen(s.veilRgb), 0.93f),
                channel(qBlue(mapped), qBlue(s.veilRgb), 0.84f));
}

void Raster::triangle(const Corner& a, const Corner& b, const Corner& c) {
    const float abx = b.at.x() - a.at.x(), aby = b.at.y() - a.at.y(), acx = c.at.x() - a.at.x(),
                acy = c.at.y() - a.at.y();
    const float area = abx * acy - aby * acx;
    if (std::abs(area) < 1e-6f) return;
    // y grows downwards: a triangle that is counter-clockwise to the eye has a negative area here
    if (culling_ && area > 0) return;
    const bool farSide = cutFace_ >= 0 && area > 0;
    const bool cut = a.keep < 0 || b.keep < 0 || c.keep < 0;
    if (a.keep < 0 && b.keep < 0 && c.keep < 0) return;
    const int x0 = std::max(0, static_cast<int>(std::floor(std::min({a.at.x(), b.at.x(), c.at.x()}))));
    const int x1 = std::min(width_ - 1, static_cast<int>(std::ceil(std::max({a.at.x(), b.at.x(), c.at.x()}))));
    const int y0 = std::max(0, static_cast<int>(std::floor(std::min({a.at.y(), b.at.y(), c.at.y()}))));
    const int y1 = std::min(height_ - 1, static_cast<int>(std::ceil(std::max({a.at.y(), b.at.y(), c.at.y()}))));
    if (x0 > x1 || y0 > y1) return;
    // Shares of the corners are linear in x and y: wb and wc by their slopes, wa is the rest.
    const float inverse = 1 / area;
    const float bx = acy * inverse, by = -acx * inverse, cx = -aby * inverse, cy = abx * inverse;
    const float zb = b.at.z() - a.at.z(), zc = c.at.z() - a.at.z(), kb = b.keep - a.keep, kc = c.keep - a.keep;
    const int id = static_cast<int>(seen_.size());
    bool visible = false;
    for (int y = y0; y <= y1; ++y) {
        Pixel* line = pixels_.data() + static_cast<size_t>(y) * static_cast<size_t>(width_);
        const float dy = static_cast<float>(y) + 0.5f - a.at.y();
        for (int x = x0; x <= x1; ++x) {
            const float dx = static_cast<float>(x) + 0.5f - a.at.x();
            const float wb = bx * dx + by * dy, wc = cx * dx + cy * dy, wa = 1 - wb - wc;
            if (wa < -1e-4f || wb < -1e-4f || wc < -1e-4f) continue;
            const float z = a.at.z() + wb * zb + wc * zc;
            if (z >= line[x].depth || (cut && a.keep + wb * kb + wc * kc < 0)) continue;
            line[x] = {z, wa, wb, id};
            visible = true;
        }
    }
    if (!visible) return;
    Seen t{{a.normal, b.normal, c.normal},
           {a.wall, b.wall, c.wall},
           {a.hatch, b.hatch, c.hatch},
           static_cast<int>(surfaces_.size()) - 1};
    if (surfaces_.back().patterns && patterned_ && !farSide) {
        t.places = static_cast<int>(places_.size());
        places_.push_back({{a.place, b.place, c.place}});
    }
    if (farSide) t = {{cutNormal_, cutNormal_, cutNormal_}, {0, 0, 0}, {0, 0, 0}, cutFace_};
    seen_.push_back(t);
}

}  // namespace uovo::desktop
