#include "io/plain_model.h"

#include <fmt/format.h>

#include <algorithm>
#include <array>
#include <charconv>
#include <cmath>
#include <cstdint>
#include <cstring>
#include <optional>
#include <sstream>
#include <string_view>
#include <vector>

#include "core/quantity/catalogue.h"
#include "io/mesh_file.h"
#include "io/refusal.h"

namespace uovo::io {
namespace {

tl::unexpected<Problem> cut(size_t has, size_t promised, const char* what) {
    return refuse(say("The file breaks off: of {} {} it promises, {} are there.", promised, what, has));
}
tl::unexpected<Problem> crowded() {
    return refuse(say("The file has a face of more than {} corners.", kMostFaceCorners));
}

bool isSpace(char c) { return c == ' ' || c == '\t' || c == '\r'; }

/// Takes the next word off a line; empty at its end.
std::string_view word(std::string_view& line) {
    while (!line.empty() && isSpace(line.front())) line.remove_prefix(1);
    size_t n = 0;
    while (n < line.size() && !isSpace(line[n])) ++n;
    const std::string_view out = line.substr(0, n);
    line.remove_prefix(n);
    return out;
}

/// Takes the next line off a text.
std::string_view line(std::string_view& text) {
    const size_t end = std::min(text.find('\n'), text.size());
    const std::string_view out = text.substr(0, end);
    text.remove_prefix(std::min(end + 1, text.size()));
    return out;
}

// ---- PLY

struct PlyType {
    const char* name;
    size_t bytes;
};
constexpr PlyType kPlyTypes[]{{"char", 1},  {"uchar", 1},  {"short", 2},   {"ushort", 2}, {"int", 4},   {"uint", 4},
                              {"float", 4}, {"double", 8}, {"int8", 1},    {"uint8", 1},  {"int16", 2}, {"uint16", 2},
                              {"int32", 4}, {"uint32", 4}, {"float32", 4}, {"float64", 8}};

size_t plyBytes(std::string_view type) {
    for (const auto& t : kPlyTypes)
        if (type == t.name) return t.bytes;
    return 0;
}

struct PlyElement {
    std::string name;
    size_t count = 0;
    struct Property {
        size_t counter = 0, bytes = 0;  ///< bytes of a list's count, 0: no list; of a value
        bool faces = false;
    };
    std::vector<Property> properties;
};

struct PlyHeader {
    bool binary = false, big = false;
    std::vector<PlyElement> elements;
    size_t end = 0;  ///< first byte after it
};

/// The header when it is whole. Found by fuzzing: assimp 5.2 reads on for minutes when it is not.
std::optional<PlyHeader> plyHeader(const std::string& bytes) {
    const size_t end = bytes.find("end_header");
    if (!(bytes.starts_with("ply\n") || bytes.starts_with("ply\r")) || end == std::string::npos || end > 100'000)
        return std::nullopt;
    if (end + 10 >= bytes.size() || (bytes[end + 10] != '\n' && bytes[end + 10] != '\r')) return std::nullopt;
    if (std::any_of(bytes.begin(), bytes.begin() + static_cast<std::ptrdiff_t>(end),
                    [](unsigned char c) { return c > 126 || (c < 32 && c != '\n' && c != '\r' && c != '\t'); }))
        return std::nullopt;
    PlyHeader h;
    h.end = end + 11;
    if (bytes[end + 10] == '\r' && h.end < bytes.size() && bytes[h.end] == '\n') ++h.end;
    std::istringstream header(bytes.substr(0, end));
    std::string row, first;
    bool format = false, listed = false;
    std::string axes;
    std::getline(header, row);
    while (std::getline(header, row)) {
        std::istringstream words(row);
        if (!(words >> first)) return std::nullopt;
        if (first == "format") {
            std::string kind, version;
            words >> kind >> version;
            h.binary = kind != "ascii";
            h.big = kind == "binary_big_endian";
            format = (kind == "ascii" || kind == "binary_little_endian" || h.big) && version == "1.0";
        } else if (first == "element") {
            PlyElement e;
            double count = -1;
            if (!(words >> e.name >> count) || !(count >= 0 && count < 1e9) || count != std::floor(count))
                return std::nullopt;
            e.count = static_cast<size_t>(count);
            h.elements.push_back(std::move(e));
        } else if (first == "property") {
            if (h.elements.empty()) return std::nullopt;
            PlyElement& element = h.elements.back();
            std::string type, name;
            PlyElement::Property p;
            words >> type;
            if (type == "list") {
                std::string counter;
                words >> counter >> type >> name;
                p.counter = plyBytes(counter);
                if (!p.counter || counter.starts_with("float") || counter == "double") return std::nullopt;
                p.faces = element.name == "face" && (name == "vertex_indices" || name == "vertex_index");
                listed |= p.faces;
            } else {
                words >> name;
                if (element.name == "vertex" && (name == "x" || name == "y" || name == "z")) axes += name;
            }
            p.bytes = plyBytes(type);
            if (!p.bytes || name.empty()) return std::nullopt;
            element.properties.push_back(p);
        } else if (first != "comment" && first != "obj_info") {
            return std::nullopt;
        }
    }
    const auto some = [&](const char* name) {
        return std::count_if(h.elements.begin(), h.elements.end(),
                             [&](const auto& e) { return e.name == name && e.count > 0; }) == 1;
    };
    return format && listed && axes == "xyz" && some("vertex") && some("face") ? std::optional(h) : std::nullopt;
}

/// Walks over all that the header promises: assimp takes a file that was cut for a smaller one.
tl::expected<void, Problem> wholePly(const std::string& bytes) {
    const auto header = plyHeader(bytes);
    if (!header) return damaged();
    std::string_view rest = std::string_view(bytes).substr(header->end);
    for (const auto& e : header->elements) {
        for (size_t i = 0; i < e.count; ++i) {
            if (!header->binary) {
                if (rest.empty()) return cut(i, e.count, e.name == "face" ? "faces" : "rows");
                std::string_view row = line(rest);
                if (row.find_first_not_of(" \t\r") == std::string_view::npos)
                    return cut(i, e.count, e.name == "face" ? "faces" : "rows");
                for (const auto& p : e.properties) {
                    size_t n = 1;
                    if (p.counter) {
                        const std::string_view count = word(row);
                        if (std::from_chars(count.data(), count.data() + count.size(), n).ec != std::errc())
                            return damaged();
                        if (n > kMostFaceCorners) return crowded();
                    }
                    for (size_t k = 0; k < n; ++k)
                        if (word(row).empty()) return damaged();
                }
                continue;
            }
            for (const auto& p : e.properties) {
                size_t n = 1;
                if (p.counter) {
                    if (rest.size() < p.counter) return cut(i, e.count, "faces");
                    n = 0;
                    for (size_t k = 0; k < p.counter; ++k)
                        n |= static_cast<size_t>(static_cast<unsigned char>(rest[header->big ? p.counter - 1 - k : k]))
                             << (8 * k);
                    rest.remove_prefix(p.counter);
                    if (n > kMostFaceCorners) return crowded();
                }
                if (rest.size() < n * p.bytes) return cut(i, e.count, e.name == "face" ? "faces" : "rows");
                rest.remove_prefix(n * p.bytes);
            }
        }
    }
    return {};
}

// ---- STL

/// A binary file as long as it says, or text whose facets are all closed and that has an end.
tl::expected<void, Problem> wholeStl(const std::string& bytes) {
    std::uint32_t n = 0;
    if (bytes.size() >= 84) {
        std::memcpy(&n, bytes.data() + 80, 4);
        if (84 + 50ull * n == bytes.size()) return n > 0 ? tl::expected<void, Problem>{} : damaged();
    }
    if (bytes.find('\0') != std::string::npos)
        return n > 0 && 84 + 50ull * n > bytes.size() && bytes.size() > 84 && n < 100'000'000
                   ? cut((bytes.size() - 84) / 50, n, "triangles")
                   : damaged();
    std::string_view rest = bytes;
    size_t opened = 0, closed = 0, corners = 0;
    bool ended = false;
    while (!rest.empty()) {
        std::string_view row = line(rest);
        const std::string_view first = word(row);
        if (first == "facet") ++opened;
        if (first == "endfacet") ++closed;
        if (first == "vertex") ++corners;
        if (first == "endsolid") ended = true;
        if (first == "solid") ended = false;
        if (first == "facet" && opened != closed + 1) return damaged();
        if (first == "endfacet" && (opened != closed || corners != 3 * closed)) return damaged();
    }
    if (opened == 0 || corners == 0) return damaged();
    if (opened != closed || !ended) return cut(closed, opened + 1, tr("facets, at least,"));
    return {};
}

// ---- OBJ

/// Corners and faces alone, each face with the numbers of its corners and nothing else.
tl::expected<std::string, Problem> plainObj(const std::string& bytes) {
    if (bytes.find('\0') != std::string::npos) return damaged();
    std::string out, joined;
    out.reserve(bytes.size());
    std::string_view rest = bytes;
    size_t corners = 0, faces = 0;
    while (!rest.empty()) {
        std::string_view row = line(rest);
        if (const size_t last = row.find_last_not_of(" \t\r");
            last != std::string_view::npos && row[last] == '\\') {  // goes on in the next
            joined.assign(row.substr(0, last));
            while (!rest.empty()) {
                row = line(rest);
                const size_t end = row.find_last_not_of(" \t\r");
                const bool more = end != std::string_view::npos && row[end] == '\\';
                (joined += ' ') += more ? row.substr(0, end) : row;
                if (!more) break;
            }
            row = joined;
        }
        const std::string_view first = word(row);
        if (first == "v") {
            out += 'v';
            for (int k = 0; k < 3; ++k) {
                const std::string_view figure = word(row);
                if (figure.empty()) return damaged();
                (out += ' ') += figure;
            }
            out += '\n';
            ++corners;
        } else if (first == "f") {
            out += 'f';
            size_t n = 0;
            for (std::string_view corner = word(row); !corner.empty() && corner.front() != '#'; corner = word(row)) {
                if (++n > kMostFaceCorners) return crowded();
                const std::string_view index = corner.substr(0, corner.find('/'));
                long id = 0;
                const auto [end, error] = std::from_chars(index.data(), index.data() + index.size(), id);
                if (error != std::errc() || end != index.data() + index.size()) return damaged();
                if (id < 0) id += static_cast<long>(corners) + 1;  // counted back from the last
                if (id < 1 || static_cast<size_t>(id) > corners)
                    return refuse(tr("The file is damaged, or cut short: a face names a corner that is not there."));
                (out += ' ') += std::to_string(id);
            }
            if (n < 3) return damaged();
            out += '\n';
            if (++faces > kMostRead)
                return refuse(
                    tr("The model has more than two million triangles; thin it out before you bring it here."));
        }
    }
    if (corners == 0 || faces == 0) return damaged();
    return out;
}

}  // namespace

tl::expected<std::string, Problem> plainModel(const std::string& bytes, const std::string& extension) {
    if (extension == "obj") return plainObj(bytes);
    if (const auto whole = extension == "ply" ? wholePly(bytes) : wholeStl(bytes); !whole)
        return tl::unexpected(whole.error());
    return bytes;
}

}  // namespace uovo::io
