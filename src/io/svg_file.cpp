#include "io/svg_file.h"

#include <fmt/format.h>

#include <pugixml.hpp>

#include <algorithm>
#include <charconv>
#include <cmath>
#include <cstring>
#include <numbers>
#include <sstream>
#include <tuple>
#include <utility>
#include "core/quantity/catalogue.h"

namespace uovo::io {
namespace {

/// Reads a finite decimal number, whatever the computer's language. @returns where it ends, `s` when there is none
const char* numberAt(const char* s, double& value) {
    const char* from = *s == '+' ? s + 1 : s;
    const auto [end, error] = std::from_chars(from, from + std::strlen(from), value, std::chars_format::general);
    return error == std::errc() && std::isfinite(value) ? end : s;
}

using form::Loop;
using form::Point2;
using std::numbers::pi;

constexpr size_t kMostPoints = 20000;
constexpr double kFlat = 5e-5;  // m

struct Matrix {
    double a = 1, b = 0, c = 0, d = 1, e = 0, f = 0;
    Matrix operator*(const Matrix& o) const {
        return {a * o.a + c * o.b, b * o.a + d * o.b,     a * o.c + c * o.d,
                b * o.c + d * o.d, a * o.e + c * o.f + e, b * o.e + d * o.f + f};
    }
    Point2 operator()(double x, double y) const { return {a * x + c * y + e, b * x + d * y + f}; }
    double size() const { return std::sqrt(std::abs(a * d - b * c)); }
};

struct Broken {
    std::string sentence;
};

/// Numbers in a list separated by blanks and commas.
class Numbers {
public:
    explicit Numbers(const char* s) : s_(s) {}
    void skip() {
        while (*s_ && (std::isspace(static_cast<unsigned char>(*s_)) || *s_ == ',')) ++s_;
    }
    bool more() {
        skip();
        return *s_ == '-' || *s_ == '+' || *s_ == '.' || std::isdigit(static_cast<unsigned char>(*s_));
    }
    double next() {
        skip();
        double v = 0;
        const char* end = more() ? numberAt(s_, v) : s_;
        if (end == s_ || std::abs(v) > 1e7) throw Broken{tr("The SVG file has a path with a number missing.")};
        s_ = end;
        return v;
    }
    bool flag() {
        skip();
        if (*s_ != '0' && *s_ != '1') throw Broken{tr("The SVG file has an arc that is not well formed.")};
        return *s_++ == '1';
    }
    char letter() {
        skip();
        return *s_ && std::isalpha(static_cast<unsigned char>(*s_)) ? *s_++ : '\0';
    }
    bool done() {
        skip();
        return *s_ == '\0';
    }

private:
    const char* s_;
};

Matrix transformOf(const char* text) {
    Matrix m;
    std::string s = text;
    size_t at = 0;
    while ((at = s.find_first_of("abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ", at)) != std::string::npos) {
        const size_t open = s.find('(', at), close = s.find(')', at);
        if (open == std::string::npos || close == std::string::npos || close < open) break;
        const std::string kind = s.substr(at, s.find_first_of(" (", at) - at),
                          inside = s.substr(open + 1, close - open - 1);
        Numbers n(inside.c_str());
        std::vector<double> v;
        while (n.more() && v.size() < 6) v.push_back(n.next());
        v.resize(6, std::nan(""));
        const auto or0 = [&](size_t i, double d) { return std::isnan(v[i]) ? d : v[i]; };
        Matrix t;
        if (kind == "translate") t = {1, 0, 0, 1, or0(0, 0), or0(1, 0)};
        else if (kind == "scale") t = {or0(0, 1), 0, 0, or0(1, or0(0, 1)), 0, 0};
        else if (kind == "rotate") {
            const double r = or0(0, 0) * pi / 180, x = or0(1, 0), y = or0(2, 0), c = std::cos(r), q = std::sin(r);
            t = {c, q, -q, c, x - c * x + q * y, y - q * x - c * y};
        } else if (kind == "matrix") t = {or0(0, 1), or0(1, 0), or0(2, 0), or0(3, 1), or0(4, 0), or0(5, 0)};
        else if (kind == "skewX") t = {1, 0, std::tan(or0(0, 0) * pi / 180), 1, 0, 0};
        else if (kind == "skewY") t = {1, std::tan(or0(0, 0) * pi / 180), 0, 1, 0, 0};
        m = m * t;
        at = close + 1;
    }
    return m;
}

/// Reads the shapes below a node into lines of points, in metres.
class Reader {
public:
    struct Line {
        Loop points;
        bool closed = false;
    };
    std::vector<Line> lines;

    explicit Reader(double unit) : unit_(unit) {}

    void node(const pugi::xml_node& n, const Matrix& above, int depth) {
        if (depth > 60) throw Broken{tr("The SVG file is nested too deeply.")};
        const Matrix m = above * transformOf(n.attribute("transform").value());
        const char* name = n.name();
        if (const char* colon = std::strchr(name, ':')) name = colon + 1;
        const auto is = [&](const char* word) { return std::strcmp(name, word) == 0; };
        if (is("defs") || is("clipPath") || is("mask") || is("symbol") || is("pattern") || is("marker")) return;
        m_ = m;
        if (is("path")) path(n.attribute("d").value());
        if (is("polygon") || is("polyline")) {
            Numbers v(n.attribute("points").value());
            begin();
            while (v.more()) {
                const double x = v.next(), y = v.next();
                add(x, y);
            }
            end(is("polygon"));
        }
        if (is("rect")) {
            const double x = n.attribute("x").as_double(), y = n.attribute("y").as_double(),
                         w = n.attribute("width").as_double(), h = n.attribute("height").as_double();
            if (w > 0 && h > 0) {
                begin();
                add(x, y);
                add(x + w, y);
                add(x + w, y + h);
                add(x, y + h);
                end(true);
            }
        }
        if (is("circle") || is("ellipse")) {
            const double cx = n.attribute("cx").as_double(), cy = n.attribute("cy").as_double(),
                         rx = n.attribute(is("circle") ? "r" : "rx").as_double(),
                         ry = n.attribute(is("circle") ? "r" : "ry").as_double();
            if (rx > 0 && ry > 0 && rx < 1e7 && ry < 1e7) {
                const int steps = stepsFor(std::max(rx, ry), 2 * pi);
                begin();
                for (int i = 0; i < steps; ++i)
                    add(cx + rx * std::cos(2 * pi * i / steps), cy + ry * std::sin(2 * pi * i / steps));
                end(true);
            }
        }
        for (const auto& child : n.children())
            if (child.type() == pugi::node_element) node(child, m, depth + 1);
    }

private:
    void begin() { lines.emplace_back(); }
    void add(double x, double y) {
        const Point2 p = m_(x, y);
        if (!std::isfinite(p[0]) || !std::isfinite(p[1]) || std::abs(p[0] * unit_) > 10 || std::abs(p[1] * unit_) > 10)
            throw Broken{tr("A point of the SVG file lies more than ten metres away.")};
        if (++count_ > kMostPoints) throw Broken{tr("The SVG file has more than 20 000 points; draw it more simply.")};
        const Point2 q{p[0] * unit_, -p[1] * unit_};
        auto& points = lines.back().points;
        if (points.empty() || std::hypot(points.back()[0] - q[0], points.back()[1] - q[1]) > 1e-7) points.push_back(q);
    }
    void end(bool closed) {
        auto& l = lines.back();
        if (l.points.size() > 1 &&
            std::hypot(l.points.front()[0] - l.points.back()[0], l.points.front()[1] - l.points.back()[1]) < 1e-6) {
            l.points.pop_back();
            closed = true;
        }
        l.closed = closed && l.points.size() > 2;
        if (l.points.size() < 2) lines.pop_back();
    }
    int stepsFor(double radius, double angle) const {
        const double r = std::max(1e-9, radius * m_.size() * unit_);
        const double step = 2 * std::acos(std::clamp(1 - kFlat / r, -1.0, 1.0));
        return std::clamp(static_cast<int>(std::ceil(std::abs(angle) / std::max(0.01, step))), 2, 720);
    }
    void cubic(double x0, double y0, double x1, double y1, double x2, double y2, double x3, double y3) {
        const double bend =
            std::max(std::hypot(x0 - 2 * x1 + x2, y0 - 2 * y1 + y2), std::hypot(x1 - 2 * x2 + x3, y1 - 2 * y2 + y3)) *
            m_.size() * unit_;
        const int steps = std::clamp(static_cast<int>(std::ceil(std::sqrt(0.75 * bend / kFlat))), 2, 200);
        for (int i = 1; i <= steps; ++i) {
            const double t = double(i) / steps, u = 1 - t;
            add(u * u * u * x0 + 3 * u * u * t * x1 + 3 * u * t * t * x2 + t * t * t * x3,
                u * u * u * y0 + 3 * u * u * t * y1 + 3 * u * t * t * y2 + t * t * t * y3);
        }
    }
    /// SVG 1.1, appendix F.6: from end points to centre.
    void arc(double x0, double y0, double rx, double ry, double turn, bool large, bool sweep, double x, double y) {
        rx = std::abs(rx);
        ry = std::abs(ry);
        if (rx < 1e-12 || ry < 1e-12) return add(x, y);
        const double phi = turn * pi / 180, c = std::cos(phi), s = std::sin(phi);
        const double dx = (x0 - x) / 2, dy = (y0 - y) / 2, px = c * dx + s * dy, py = -s * dx + c * dy;
        const double stretch = px * px / (rx * rx) + py * py / (ry * ry);
        if (stretch > 1) {
            rx *= std::sqrt(stretch);
            ry *= std::sqrt(stretch);
        }
        const double top = std::max(0.0, rx * rx * ry * ry - rx * rx * py * py - ry * ry * px * px),
                     bottom = rx * rx * py * py + ry * ry * px * px;
        const double k = (large == sweep ? -1 : 1) * (bottom > 0 ? std::sqrt(top / bottom) : 0);
        const double qx = k * rx * py / ry, qy = -k * ry * px / rx, cx = c * qx - s * qy + (x0 + x) / 2,
                     cy = s * qx + c * qy + (y0 + y) / 2;
        const double from = std::atan2((py - qy) / ry, (px - qx) / rx);
        double angle = std::atan2((-py - qy) / ry, (-px - qx) / rx) - from;
        if (sweep && angle < 0) angle += 2 * pi;
        if (!sweep && angle > 0) angle -= 2 * pi;
        const int steps = stepsFor(std::max(rx, ry), angle);
        for (int i = 1; i <= steps; ++i) {
            if (i == steps) {
                add(x, y);
                break;
            }
            const double t = from + angle * i / steps, ex = rx * std::cos(t), ey = ry * std::sin(t);
            add(cx + c * ex - s * ey, cy + s * ex + c * ey);
        }
    }
    // Long because it is one branch a command of the path language.
    void path(const char* d) {
        Numbers n(d);
        double x = 0, y = 0, startX = 0, startY = 0, handleX = 0, handleY = 0;
        char command = 0, last = 0;
        bool open = false;
        // A smooth curve begins with the last one's handle mirrored, if the last one was of its kind.
        const auto mirrored = [&](char full, char smooth) {
            return last == full || last == smooth ? std::pair{2 * x - handleX, 2 * y - handleY} : std::pair{x, y};
        };
        while (!n.done()) {
            if (const char letter = n.letter()) command = letter;
            else if (!n.more() || command == 0) throw Broken{tr("The SVG file has a path that is not well formed.")};
            const bool relative = std::islower(static_cast<unsigned char>(command));
            const double bx = relative ? x : 0, by = relative ? y : 0;
            const char upper = static_cast<char>(std::toupper(static_cast<unsigned char>(command)));
            if (upper != 'M' && upper != 'Z' && !open) {  // a path may go on after it was closed
                begin();
                add(x, y);
                open = true;
                startX = x;
                startY = y;
            }
            switch (upper) {
                case 'M':
                    if (open) end(false);
                    x = bx + n.next();
                    y = by + n.next();
                    startX = x;
                    startY = y;
                    begin();
                    add(x, y);
                    open = true;
                    command = relative ? 'l' : 'L';
                    break;
                case 'L':
                    x = bx + n.next();
                    y = by + n.next();
                    add(x, y);
                    break;
                case 'H':
                    x = bx + n.next();
                    add(x, y);
                    break;
                case 'V':
                    y = by + n.next();
                    add(x, y);
                    break;
                case 'C':
                case 'S': {
                    double x1 = 0, y1 = 0;
                    if (upper == 'C') {
                        x1 = bx + n.next();
                        y1 = by + n.next();
                    } else {
                        std::tie(x1, y1) = mirrored('C', 'S');
                    }
                    const double x2 = bx + n.next(), y2 = by + n.next(), x3 = bx + n.next(), y3 = by + n.next();
                    cubic(x, y, x1, y1, x2, y2, x3, y3);
                    handleX = x2;
                    handleY = y2;
                    x = x3;
                    y = y3;
                    break;
                }
                case 'Q':
                case 'T': {
                    if (upper == 'Q') {
                        handleX = bx + n.next();
                        handleY = by + n.next();
                    } else {
                        std::tie(handleX, handleY) = mirrored('Q', 'T');
                    }
                    const double x2 = bx + n.next(), y2 = by + n.next();
                    cubic(x, y, x + (handleX - x) * 2 / 3, y + (handleY - y) * 2 / 3, x2 + (handleX - x2) * 2 / 3,
                          y2 + (handleY - y2) * 2 / 3, x2, y2);
                    x = x2;
                    y = y2;
                    break;
                }
                case 'A': {
                    const double rx = n.next(), ry = n.next(), turn = n.next();
                    const bool large = n.flag(), sweep = n.flag();
                    const double x2 = bx + n.next(), y2 = by + n.next();
                    arc(x, y, rx, ry, turn, large, sweep, x2, y2);
                    x = x2;
                    y = y2;
                    break;
                }
                case 'Z':
                    if (open) end(true);
                    open = false;
                    command = 0;  // what follows must name itself
                    x = startX;
                    y = startY;
                    break;
                default:
                    throw Broken{tr("The SVG file has a path that is not well formed.")};
            }
            last = upper;
        }
        if (open) end(false);
    }

    double unit_;
    Matrix m_;
    size_t count_ = 0;
};

/// Metres of a length such as "120mm"; NaN for none or percent.
double lengthOf(const char* text) {
    double v = 0;
    while (std::isspace(static_cast<unsigned char>(*text))) ++text;
    const char* end = numberAt(text, v);
    if (end == text || !(v > 0)) return std::nan("");
    const std::string unit = end;
    if (unit.starts_with("mm")) return v * 1e-3;
    if (unit.starts_with("cm")) return v * 1e-2;
    if (unit.starts_with("in")) return v * 0.0254;
    if (unit.starts_with("pt")) return v * 0.0254 / 72;
    if (unit.starts_with("pc")) return v * 0.0254 / 6;
    if (unit.empty() || unit.starts_with("px")) return v * 0.0254 / 96;
    return std::nan("");
}

tl::expected<std::vector<Reader::Line>, Problem> linesOf(const std::string& text) {
    const auto refuse = [](std::string s) { return tl::unexpected(Problem{std::move(s), "points"}); };
    if (text.empty()) return refuse(tr("The file is empty."));
    if (text.size() > 20'000'000) return refuse(tr("The SVG file is larger than 20 MB."));
    pugi::xml_document doc;
    const auto parsed = doc.load_buffer(text.data(), text.size());
    if (!parsed)
        return refuse(say("The SVG file is damaged in line {}: {}.",
                          1 + std::count(text.begin(),
                                         text.begin() + std::min<std::ptrdiff_t>(
                                                            parsed.offset, static_cast<std::ptrdiff_t>(text.size())),
                                         '\n'),
                          parsed.description()));
    pugi::xml_node root = doc.document_element();
    const std::string name = root.name();
    if (name != "svg" && !name.ends_with(":svg")) return refuse(tr("This is not an SVG file."));
    double unit = 0.0254 / 96;
    Matrix view;
    const double width = lengthOf(root.attribute("width").value());
    try {
        if (root.attribute("viewBox")) {
            Numbers v(root.attribute("viewBox").value());
            const double x = v.next(), y = v.next(), w = v.next(), h = v.next();
            if (!(w > 0) || !(h > 0)) return refuse(tr("The viewBox of the SVG file has no size."));
            view = {1, 0, 0, 1, -x, -y};
            if (!std::isnan(width)) unit = width / w;
        }
        Reader reader(unit);
        for (const auto& child : root.children())
            if (child.type() == pugi::node_element) reader.node(child, view, 0);
        return std::move(reader.lines);
    } catch (const Broken& r) {
        return refuse(r.sentence);
    }
}

double boxArea(const Loop& loop) {
    Point2 low = loop[0], high = loop[0];
    for (const auto& p : loop)
        for (size_t k = 0; k < 2; ++k) {
            low[k] = std::min(low[k], p[k]);
            high[k] = std::max(high[k], p[k]);
        }
    return (high[0] - low[0]) * (high[1] - low[1]);
}

}  // namespace

std::string svgHeader(double width, double height, const std::string& name) {
    std::string title;
    for (const char c : name) title += c == '<' ? "&lt;" : c == '&' ? "&amp;" : c == '>' ? "&gt;" : std::string(1, c);
    return fmt::format(
        "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"{0:.4f}mm\" height=\"{1:.4f}mm\" viewBox=\"0 0 {0:.4f} "
        "{1:.4f}\">\n<title>{2}</title>\n",
        width, height, title);
}

std::string svgRuler(double x, double y) {
    return fmt::format(
        "<g id=\"ruler\" fill=\"none\" stroke=\"#000\" stroke-width=\"0.2\"><path d=\"M{0:.4f} {1:.4f}h100M{0:.4f} "
        "{2:.4f}v4M{3:.4f} {2:.4f}v4\"/></g>\n<text x=\"{0:.4f}\" y=\"{4:.4f}\" font-size=\"4\" "
        "font-family=\"sans-serif\">{5}</text>\n",
        x, y, y - 2, x + 100, y + 6, tr("Measure this line: 100 mm. Print at 100 %."));
}

tl::expected<std::vector<Loop>, Problem> readSvgOutline(const std::string& text) {
    const auto lines = linesOf(text);
    if (!lines) return tl::unexpected(lines.error());
    const auto refuse = [](std::string s) { return tl::unexpected(Problem{std::move(s), "points"}); };
    std::vector<Loop> loops;
    for (const auto& l : *lines)
        if (l.closed && boxArea(l.points) > 1e-8) loops.push_back(l.points);
    if (loops.empty()) return refuse(tr("There is no closed outline in the SVG file."));
    std::stable_sort(loops.begin(), loops.end(), [](const Loop& a, const Loop& b) { return boxArea(a) > boxArea(b); });
    std::vector<Loop> out{loops[0]};
    for (size_t i = 1; i < loops.size(); ++i)
        if (form::contains(loops[0], loops[i][0])) out.push_back(loops[i]);
    if (form::crossesItself(out)) return refuse(tr("The outline in the SVG file crosses itself."));
    for (size_t i = 0; i < out.size(); ++i)
        if ((form::signedArea(out[i]) > 0) != (i == 0)) std::reverse(out[i].begin(), out[i].end());
    // about the middle of its box
    double x0 = 1e9, x1 = -1e9, y0 = 1e9, y1 = -1e9;
    for (const auto& p : out[0]) {
        x0 = std::min(x0, p[0]);
        x1 = std::max(x1, p[0]);
        y0 = std::min(y0, p[1]);
        y1 = std::max(y1, p[1]);
    }
    for (auto& l : out)
        for (auto& p : l) p = {p[0] - (x0 + x1) / 2, p[1] - (y0 + y1) / 2};
    if (x1 - x0 > 1 || y1 - y0 > 1)
        return refuse(tr("The outline is more than a metre wide; check the size of the SVG page."));
    if (x1 - x0 < 0.004 || y1 - y0 < 0.004)
        return refuse(tr("The outline is smaller than four millimetres; check the size of the SVG page."));
    return out;
}

tl::expected<Loop, Problem> readSvgProfile(const std::string& text) {
    const auto lines = linesOf(text);
    if (!lines) return tl::unexpected(lines.error());
    const auto refuse = [](std::string s) { return tl::unexpected(Problem{std::move(s), "points"}); };
    if (lines->empty()) return refuse(tr("There is no line in the SVG file."));
    const auto longest = std::max_element(lines->begin(), lines->end(), [](const auto& a, const auto& b) {
        return form::perimeter(a.points) < form::perimeter(b.points);
    });
    Loop p = longest->points;
    double axis = 1e9, low = 1e9;
    for (const auto& q : p) {
        axis = std::min(axis, q[0]);
        low = std::min(low, q[1]);
    }
    for (auto& q : p) q = {std::max(0.0, q[0] - axis), q[1] - low};
    if (p.front()[1] > p.back()[1]) std::reverse(p.begin(), p.end());
    if (p.size() < 3) return refuse(tr("Two points make no profile; draw at least three."));
    return p;
}

std::string patternSvg(const form::FlatPattern& p, const std::string& name) {
    const auto mm = [](double m) { return m * 1e3; };
    std::string s;
    if (p.outer <= 0) {
        const double w = mm(p.width), h = mm(p.height);
        s = svgHeader(std::max(w, 110.0) + 20, h + 36, name);
        s += fmt::format(
            "<path id=\"pattern\" fill=\"none\" stroke=\"#000\" stroke-width=\"0.3\" d=\"M10 "
            "10h{:.5f}v{:.5f}h{:.5f}Z\"/>\n",
            w, h, -w);
        if (p.overlap > 0)
            s += fmt::format(
                "<path id=\"overlap\" fill=\"none\" stroke=\"#000\" stroke-width=\"0.2\" stroke-dasharray=\"2 2\" "
                "d=\"M{:.5f} 10v{:.5f}\"/>\n",
                10 + w - mm(p.overlap), h);
        return s + svgRuler(10, h + 20) + "</svg>\n";
    }
    // The sector opens downwards from its centre, symmetric about the vertical.
    const double R = mm(p.outer), r = mm(p.inner), half = p.angle / 2;
    const auto at = [&](double radius, double a) { return Point2{radius * std::sin(a), radius * std::cos(a)}; };
    const double widest = half > pi / 2 ? R : R * std::sin(half), lowest = R,
                 highest = std::min(r * std::cos(half), R * std::cos(half));
    const double dx = std::max(widest, 55.0) + 10,
                 dy = 10 - std::min(highest, half > pi / 2 ? R * std::cos(half) : highest);
    const Point2 a = at(R, -half), b = at(R, half), c = at(r, half), d = at(r, -half);
    const int large = p.angle > pi ? 1 : 0;
    s = svgHeader(2 * dx, lowest + dy + 30, name);
    s += fmt::format(
        "<path id=\"pattern\" fill=\"none\" stroke=\"#000\" stroke-width=\"0.3\" d=\"M{:.5f} {:.5f}A{:.5f} {:.5f} 0 {} "
        "0 {:.5f} {:.5f}L{:.5f} {:.5f}",
        a[0] + dx, a[1] + dy, R, R, large, b[0] + dx, b[1] + dy, c[0] + dx, c[1] + dy);
    if (r > 1e-6) s += fmt::format("A{:.5f} {:.5f} 0 {} 1 {:.5f} {:.5f}", r, r, large, d[0] + dx, d[1] + dy);
    s += "Z\"/>\n";
    if (p.overlap > 0) {
        const double mark = half - p.overlap / p.outer;
        const Point2 e = at(r, mark), f = at(R, mark);
        s += fmt::format(
            "<path id=\"overlap\" fill=\"none\" stroke=\"#000\" stroke-width=\"0.2\" stroke-dasharray=\"2 2\" "
            "d=\"M{:.5f} {:.5f}L{:.5f} {:.5f}\"/>\n",
            e[0] + dx, e[1] + dy, f[0] + dx, f[1] + dy);
    }
    return s + svgRuler(dx - 50, lowest + dy + 14) + "</svg>\n";
}

std::string outlineSvg(const std::vector<Loop>& loops, const std::string& name) {
    double x0 = 1e9, x1 = -1e9, y0 = 1e9, y1 = -1e9;
    for (const auto& l : loops)
        for (const auto& p : l) {
            x0 = std::min(x0, p[0]);
            x1 = std::max(x1, p[0]);
            y0 = std::min(y0, p[1]);
            y1 = std::max(y1, p[1]);
        }
    std::string s = svgHeader(std::max((x1 - x0) * 1e3, 110.0) + 20, (y1 - y0) * 1e3 + 36, name);
    s += "<path id=\"pattern\" fill=\"none\" stroke=\"#000\" stroke-width=\"0.3\" fill-rule=\"evenodd\" d=\"";
    for (const auto& l : loops) {
        for (size_t i = 0; i < l.size(); ++i)
            s += fmt::format("{}{:.5f} {:.5f}", i ? "L" : "M", (l[i][0] - x0) * 1e3 + 10, (y1 - l[i][1]) * 1e3 + 10);
        s += "Z";
    }
    return s + "\"/>\n" + svgRuler(10, (y1 - y0) * 1e3 + 20) + "</svg>\n";
}

}  // namespace uovo::io
