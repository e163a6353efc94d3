#include "report/pattern.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <cstdint>

#include "core/stages/stencil.h"

namespace uovo::report {
namespace {

using Decor = DecorateStep::Way;

float scrambled(int x, int y, int z, int salt) {
    uint32_t h = static_cast<uint32_t>(x) * 73856093u ^ static_cast<uint32_t>(y) * 19349663u ^
                 static_cast<uint32_t>(z) * 83492791u ^ static_cast<uint32_t>(salt) * 2654435761u;
    h ^= h >> 15;
    h *= 2246822519u;
    h ^= h >> 13;
    h *= 3266489917u;
    h ^= h >> 16;
    return static_cast<float>(h & 0xFFFFFF) / static_cast<float>(0x1000000);
}

float step(float low, float high, float x) {
    const float t = std::clamp((x - low) / (high - low), 0.f, 1.f);
    return t * t * (3 - 2 * t);
}

float fraction(float x) { return x - std::floor(x); }

/// Round drops scattered in space, one a cell: of those whose cells lie round the place.
float drops(const QVector3D& p, float across, float cover) {
    const float cell = across * std::sqrt(0.785f / std::clamp(cover, 0.01f, 0.9f));
    const float x = p.x() / cell, y = p.y() / cell, z = p.z() / cell;
    const int i0 = static_cast<int>(std::floor(x)), j0 = static_cast<int>(std::floor(y)),
              k0 = static_cast<int>(std::floor(z));
    float best = 0;
    for (int i = i0 - 1; i <= i0 + 1; ++i)
        for (int j = j0 - 1; j <= j0 + 1; ++j)
            for (int k = k0 - 1; k <= k0 + 1; ++k) {
                const float dx = x - (static_cast<float>(i) + 0.15f + 0.7f * scrambled(i, j, k, 1)),
                            dy = y - (static_cast<float>(j) + 0.15f + 0.7f * scrambled(i, j, k, 2)),
                            dz = z - (static_cast<float>(k) + 0.15f + 0.7f * scrambled(i, j, k, 3));
                const float r = 0.5f * across / cell * (0.55f + 0.9f * scrambled(i, j, k, 4));
                const float d = std::sqrt(dx * dx + dy * dy + dz * dz);
                best = std::max(best, 1 - step(0.86f * r, r, d));
            }
    return best;
}

/// Radius of a silhouette by angle from its head, 0.5 where it fills its width.
std::vector<float> radiiOf(const std::string& silhouette) {
    constexpr size_t kAngles = 120;
    const form::Loop loop = form::silhouette(silhouette, 1, 1, 720);  // its head lies along x
    std::vector<float> out(kAngles, 0);
    for (const auto& p : loop) {
        const double turn = std::atan2(p[1], p[0]) / (2 * M_PI);
        const auto at = static_cast<size_t>((turn - std::floor(turn)) * kAngles + 0.5) % kAngles;
        out[at] = std::max(out[at], float(std::hypot(p[0], p[1])));
    }
    for (size_t i = 0; i < kAngles; ++i)
        if (out[i] == 0) out[i] = out[(i + kAngles - 1) % kAngles];
    return out;
}

}  // namespace

float Pattern::inFigure(float x, float y) const {
    const float angle = std::atan2(-x, y) / 6.2831853f;  // from its head, which is up
    const float u = fraction(angle) * static_cast<float>(figure.size());
    const size_t i = static_cast<size_t>(u) % figure.size(), j = (i + 1) % figure.size();
    const float part = u - std::floor(u), r = figure[i] * (1 - part) + figure[j] * part;
    return std::hypot(x, y) / std::max(1e-4f, r);
}

float Pattern::at(const QVector3D& place, bool& isEdge) const {
    const QVector3D p = place - middle;
    const float angle = std::atan2(p.y(), p.x()) / 6.2831853f, h = p.z() / std::max(1e-4f, height);
    const float round = 6.2831853f * radius;
    switch (kind) {
        case Kind::All:
            return strength * (fades ? step(-0.1f, 0.9f, h) : 1) *
                   (cover >= 1 ? 1 : step(1 - cover - 0.15f, 1 - cover + 0.15f, h));
        case Kind::Lines: {
            const float across = p.x() * 0.62f + p.y() * 0.34f + p.z() * 0.71f,
                        along = -p.x() * 0.7f + p.y() * 0.62f + p.z() * 0.35f;
            const float wave =
                across / apart + 0.22f * std::sin(along / apart * 1.7f) + 0.10f * std::sin(along / apart * 4.1f + 1);
            const float off = std::abs(fraction(wave) - 0.5f) * apart;
            return 1 - step(0.42f * width, 0.55f * width, off);
        }
        case Kind::Aslant: {  // the share that lies deepest when the mold is held aslant
            const float s = 0.5f + 0.5f * (0.8f * p.x() / std::max(1e-4f, radius) + 0.6f * (1 - 2 * h)) / 1.4f;
            return step(1 - cover - 0.02f, 1 - cover + 0.02f, s);
        }
        case Kind::Drops:
            return strength * drops(p, width, cover);
        case Kind::Band:
            return place.z() >= from && place.z() <= to ? strength : 0;
        case Kind::Repeats: {
            const float turn = fraction(angle * static_cast<float>(times) + 0.5f) - 0.5f;
            const float x = turn * round / static_cast<float>(std::max(1, times)), y = place.z() - to + 0.7f * width;
            if (!figure.empty()) return 1 - step(0.94f, 1.0f, inFigure(x / width, y / width));
            const float d = std::sqrt(x * x + 0.55f * y * y);
            isEdge = d > 0.40f * width;
            return 1 - step(0.47f * width, 0.5f * width, d);
        }
        case Kind::Fields: {
            const float size = figure.empty() ? std::max(width, 0.004f) / std::sqrt(std::clamp(cover, 0.02f, 0.9f))
                                              : std::max(apart, 0.004f);
            const float rows = p.z() / size, row = std::floor(rows);
            const float turns = std::max(3.f, std::round(round / size));
            const float u = fraction(angle * turns + 0.5f * std::fmod(std::abs(row), 2.f)) - 0.5f,
                        v = rows - row - 0.5f;
            if (!figure.empty()) return 1 - step(0.94f, 1.0f, inFigure(u * round / turns / width, v * size / width));
            const float d = std::abs(u) + std::abs(v), most = 0.72f * std::sqrt(cover);
            isEdge = d > 0.8f * most;
            return 1 - step(0.94f * most, most, d);
        }
        case Kind::Scrapes: {
            if (h < 0.18f || h > 0.86f) return 0;
            const float turns = std::max(5.f, std::round(round / 0.016f));
            const float off = std::abs(fraction(angle * turns + 0.06f * std::sin(h * 9)) - 0.5f) * 2;
            const float wide = cover * (0.35f + 0.65f * std::sin(3.1416f * (h - 0.18f) / 0.68f));
            return 1 - step(0.92f * wide, wide + 0.03f, off);
        }
        case Kind::Veins: {
            const float s = 5.5f / std::max(1e-3f, radius);
            const float wave =
                std::sin(s * p.x() + 2.1f * std::sin(s * 0.6f * p.z() + 1.3f * std::sin(s * 0.5f * p.y()))) +
                0.4f * std::sin(2.3f * s * p.z() + 1.7f * std::sin(s * p.x()));
            return step(1.1f - 1.7f * cover, 1.35f - 1.6f * cover, wave);
        }
        case Kind::Grain: {
            const float u = p.z() * 700 + 3 * std::sin(p.x() * 90 + p.y() * 70) + 0.8f * std::sin(p.x() * 330);
            return 0.45f * step(0.35f, 0.95f, std::sin(u * 0.9f) * 0.6f + 0.4f * std::sin(u * 2.7f));
        }
    }
    return 0;
}

std::vector<Pattern> patternsOf(const Piece& piece, const PieceAnswers& answers, const std::string& item,
                                const form::Box& box, const std::function<QColor(const std::string&)>& lookOf) {
    std::vector<Pattern> out;
    const auto size = box.size();
    Pattern base;
    base.middle =
        QVector3D(float(0.5 * (box.low.x + box.high.x)), float(0.5 * (box.low.y + box.high.y)), float(box.low.z));
    base.radius = float(0.25 * (size.x + size.y));
    base.height = float(size.z);
    base.to = float(box.high.z);
    base.from = float(box.low.z);
    const auto mine = [&](const std::string& of) { return of.empty() || item.empty() || of == item; };
    for (size_t i = 0; i < piece.making.size(); ++i) {
        if (const auto* top = std::get_if<TopStep>(&piece.making[i]); top && mine(top->item)) {
            for (const auto& t : answers.toppings) {
                if (t.step != i || t.inside || !answers.made || !(answers.made->area > 0)) continue;
                Pattern p = base;
                p.kind = Pattern::Kind::Drops;
                const double grain = std::cbrt(6 / M_PI * top->each.value / std::max(1.0, t.grains) / 600);
                p.width = float(std::clamp(grain, 0.0012, 0.02));
                p.cover = float(std::clamp(t.grains * M_PI / 4 * grain * grain / answers.made->area, 0.01, 0.8));
                p.colour = qRgb(0xC9, 0x96, 0x5A);
                out.push_back(p);
            }
            continue;
        }
        const auto* d = std::get_if<DecorateStep>(&piece.making[i]);
        const auto* done = answers.decoration(i);
        if (!d || !done || !mine(d->item)) continue;
        Pattern p = base;
        p.colour = lookOf(piece.chocolateOf(*d)).rgb();
        p.width = float(std::max(0.001, d->width.value));
        p.cover = float(d->cover);
        const double area = std::max(1e-6, answers.made->area);
        const auto ring = rimRing(piece, *d, *answers.made);
        switch (d->way) {
            case Decor::Drizzle:
                p.kind = Pattern::Kind::Lines;
                p.apart = float(std::clamp(area / std::max(1e-3, done->line), 1.6 * d->width.value, 0.06));
                break;
            case Decor::Paint:
                p.kind = Pattern::Kind::Fields;
                p.width = 0.01f;
                break;
            case Decor::Spray:
                p.kind = Pattern::Kind::All;
                p.fades = d->cover < 1;
                p.strength = d->times > 1 ? 0.9f : 0.6f;
                break;
            case Decor::Dust:
                p.kind = Pattern::Kind::All;
                p.colour = qRgb(0x8A, 0x5F, 0x3F);
                p.strength = 0.65f;
                break;
            case Decor::Stencil: {
                p.kind = Pattern::Kind::Fields;
                const auto strip = stencilStrip(piece, *d, ring);
                p.width = float(strip->size);
                p.apart = float(strip->spacing);
                p.figure = radiiOf(stencilFigure(*d));
                break;
            }
            case Decor::Ribbon: {
                p.kind = Pattern::Kind::Band;
                p.colour = qRgb(0xB0, 0x53, 0x3F);
                p.from = float(box.low.z + 0.46 * size.z);
                p.to = float(box.low.z + 0.60 * size.z);
                break;
            }
            case Decor::Scrape: {
                p.kind = Pattern::Kind::Scrapes;
                std::string below = piece.chocolate;
                for (const auto& b : done->bares)
                    if (b.mean <= d->thick.value) below = b.chocolate;
                p.colour = lookOf(below).rgb();
                break;
            }
            case Decor::Splatter:
                p.kind = Pattern::Kind::Drops;
                p.width = 0.004f;
                break;
            case Decor::Marble:
                p.kind = Pattern::Kind::Veins;
                break;
            case Decor::Gild:
                p.kind = Pattern::Kind::All;
                p.colour = qRgb(0xDB, 0xB4, 0x5C);
                p.strength = 0.75f;
                break;
            case Decor::Paste:
                p.kind = Pattern::Kind::Fields;
                p.colour = qRgb(0xE7, 0xC4, 0xBE);
                p.edge = qRgb(0xCF, 0xA4, 0x9C);
                p.width = 0.02f;
                break;
            case Decor::Edge:
                p.kind = Pattern::Kind::Band;
                p.colour = qRgb(0xF3, 0xEC, 0xDF);
                p.from = float(box.high.z - d->width.value);
                break;
            case Decor::Flood:
                p.kind = Pattern::Kind::Fields;
                p.edge = lookOf(piece.chocolateOf(*d)).darker(150).rgb();
                p.width = 0.016f;
                break;
            case Decor::Grain:
                p.kind = Pattern::Kind::Grain;
                p.colour = lookOf(piece.chocolate).darker(150).rgb();
                break;
            case Decor::Tilt:
                p.kind = Pattern::Kind::Aslant;
                break;
            case Decor::Bow:
                p.kind = Pattern::Kind::Repeats;
                p.times = std::max(1, d->times);
                p.width = 2.2f * p.width;
                p.edge = lookOf(piece.chocolateOf(*d)).darker(130).rgb();
                break;
            case Decor::Strips:
                p.kind = Pattern::Kind::Lines;
                p.apart = float(std::clamp(area / std::max(1e-3, done->line), 1.6 * d->width.value, 0.09));
                break;
            case Decor::Petals:
                p.kind = Pattern::Kind::Repeats;
                p.times = ring ? ring->times() : d->times;
                p.edge = lookOf(piece.chocolateOf(*d)).darker(130).rgb();
                break;
        }
        if (ring && d->way != Decor::Drizzle && !d->ofPaste()) {  // comes back round the rim
            p.kind = Pattern::Kind::Repeats;
            p.times = ring->times();
            p.width = float(stencilSize(ring));
        }
        out.push_back(p);
    }
    return out;
}

QRgb patternedOver(QRgb own, const std::vector<Pattern>& patterns, const QVector3D& place) {
    float r = static_cast<float>(qRed(own)), g = static_cast<float>(qGreen(own)), b = static_cast<float>(qBlue(own));
    for (const auto& pattern : patterns) {
        bool edge = false;
        const float k = pattern.at(place, edge);
        if (k <= 0) continue;
        const QRgb over = edge && pattern.edge ? pattern.edge : pattern.colour;
        r += (static_cast<float>(qRed(over)) - r) * k;
        g += (static_cast<float>(qGreen(over)) - g) * k;
        b += (static_cast<float>(qBlue(over)) - b) * k;
    }
    return qRgb(static_cast<int>(r), static_cast<int>(g), static_cast<int>(b));
}

std::vector<std::string> patternKeys(const Piece& piece) {
    std::vector<std::string> out;
    for (const auto& step : piece.making) {
        if (const auto* d = std::get_if<DecorateStep>(&step))
            out.push_back(fmt::format("{} {} {} {} {} {} {} {} {} {} {}", static_cast<int>(d->way), d->chocolate,
                                      d->item, d->name, d->mass.value, d->every.value, d->line.value, d->width.value,
                                      d->thick.value, d->cover, d->times));
        if (const auto* t = std::get_if<TopStep>(&step))
            out.push_back(fmt::format("{} {} {}", t->topping, t->each.value, t->item));
    }
    return out;
}

}  // namespace uovo::report
