#include "core/shell/system.h"
#include "core/form/sets.h"
#include "core/quantity/side_by_side.h"

#include <cholmod.h>
#include <dlfcn.h>
#include <fmt/format.h>

#include <algorithm>
#include <cctype>
#include <chrono>
#include <cmath>
#include <mutex>
#include "core/quantity/catalogue.h"

namespace uovo::shell {
namespace {

constexpr double kTieStiff = 1e3;  // times the stiffest diagonal next to it: rigid to a thousandth, well conditioned
constexpr double kUnmet = 1e-3;    // of a trial load that is not met: the shell moves freely

double seconds(std::chrono::steady_clock::time_point since) {
    return std::chrono::duration<double>(std::chrono::steady_clock::now() - since).count();
}

/// OpenBLAS's own threads wait by spinning: next to other work on the machine they slow a factor thirtyfold, and gain
/// little on blocks this small.
void oneThread() {
    static const bool done = [] {
        if (auto* set = reinterpret_cast<void (*)(int)>(dlsym(RTLD_DEFAULT, "openblas_set_num_threads"))) set(1);
        return true;
    }();
    (void)done;
}

/// CHOLMOD's workspace, started and finished.
struct Common {
    cholmod_common c;
    Common() {
        oneThread();
        cholmod_start(&c);
        c.print = 0;
        c.supernodal = CHOLMOD_SUPERNODAL;
        c.nmethods = 1;
        c.method[0].ordering = CHOLMOD_NATURAL;
        c.postorder = true;
        c.quick_return_if_not_posdef = true;
    }
    ~Common() { cholmod_finish(&c); }
    Common(const Common&) = delete;
    Common& operator=(const Common&) = delete;
};

std::string partName(const Model& m, size_t triangle) {
    if (m.part.empty()) return tr("the piece");
    const auto p = static_cast<size_t>(m.part[triangle]);
    return p < m.names.size() && !m.names[p].empty() ? say("the {}", m.names[p]) : tr("a part");
}

/// A sentence begins with it.
std::string begins(std::string words) {
    words.front() = static_cast<char>(std::toupper(static_cast<unsigned char>(words.front())));
    return words;
}

/// Bodies that share corners or ties: number of the body of each point, -1 for a point without triangles.
std::vector<int> bodies(const Model& m, const std::vector<Tie>& ties) {
    form::Sets sets(m.points.size());
    std::vector<bool> used(m.points.size());
    for (const auto& t : m.triangles) {
        sets.join(t[0], t[1]);
        sets.join(t[1], t[2]);
        for (const int i : t) used[static_cast<size_t>(i)] = true;
    }
    for (const auto& t : ties)
        for (const auto& [corner, share] : t.to) sets.join(t.point, corner);
    std::vector<int> out(m.points.size(), -1), number(m.points.size(), -1);
    int count = 0;
    for (size_t i = 0; i < m.points.size(); ++i) {
        if (!used[i]) continue;
        auto& n = number[static_cast<size_t>(sets.find(static_cast<int>(i)))];
        if (n < 0) n = count++;
        out[i] = n;
    }
    return out;
}

/// What the point of a tie moves more than the middle of the patch it is held to, in its own six freedoms and those of
/// the patch's corners.
Eigen::MatrixXd tieRows(const Model& m, const Tie& tie) {
    Eigen::MatrixXd J = Eigen::MatrixXd::Zero(6, 6 + 6 * static_cast<Eigen::Index>(tie.to.size()));
    J.block<6, 6>(0, 0).setIdentity();
    form::Vec3 at;
    for (const auto& [corner, share] : tie.to) at += m.points[static_cast<size_t>(corner)] * share;
    const form::Vec3 arm = m.points[static_cast<size_t>(tie.point)] - at;
    Matrix3 cross;  // θ × arm = -arm× θ
    cross << 0, arm.z, -arm.y, -arm.z, 0, arm.x, arm.y, -arm.x, 0;
    Eigen::Index column = 6;
    for (const auto& [corner, share] : tie.to) {
        J.block<3, 3>(0, column) = -share * Matrix3::Identity();
        J.block<3, 3>(0, column + 3) = -share * cross;
        J.block<3, 3>(3, column + 3) = -share * Matrix3::Identity();
        column += 6;
    }
    return J;
}

/// Corners of a tie, its point first.
std::vector<int> cornersOf(const Tie& tie) {
    std::vector<int> out{tie.point};
    for (const auto& [corner, share] : tie.to) out.push_back(corner);
    return out;
}

}  // namespace

struct Structure {
    size_t points = 0, triangles = 0, ties = 0;  // ties with their corners
    std::vector<int> place;                      // of each point in the order of elimination; -1: no triangle uses it
    std::vector<int> first;                      // of each place: its entries of `rows`
    std::vector<int> rows;  // places at or after each place that it shares a triangle with, itself first
    std::shared_ptr<cholmod_factor> symbolic;  // structure of the factor
    int used = 0;
};

struct System::Inside {
    Common common;
    Model model;
    std::vector<Support> supports;
    std::vector<Tie> ties;
    std::vector<Spring> springs;
    std::shared_ptr<const Structure> structure;
    std::vector<unsigned> fixed;  // of each place
    std::vector<Matrix18> elements;
    std::vector<Eigen::MatrixXd> tied;
    cholmod_factor* factor = nullptr;
    Times times;
    ~Inside() {
        if (factor) cholmod_free_factor(&factor, &common.c);
    }
};

Facet Model::facet(size_t k) const {
    const auto& t = triangles[k];
    const auto at = [&](size_t i) { return static_cast<size_t>(t[i]); };
    return Facet::of(points[at(0)], points[at(1)], points[at(2)],
                     {thickness[at(0)], thickness[at(1)], thickness[at(2)]});
}

namespace {

/// Ties and their corners: other ties want another structure.
size_t tieSize(const std::vector<Tie>& ties) {
    size_t out = 0;
    for (const auto& t : ties) out += 1 + t.to.size();
    return out;
}

std::shared_ptr<Structure> ordered(const Model& m, const std::vector<Tie>& ties, cholmod_common& c) {
    auto s = std::make_shared<Structure>();
    s->points = m.points.size();
    s->triangles = m.triangles.size();
    s->ties = tieSize(ties);
    std::vector<std::pair<int, int>> pairs;
    pairs.reserve(6 * m.triangles.size() + 12 * ties.size());
    const auto link = [&](int a, int b) {
        if (a != b) pairs.emplace_back(std::min(a, b), std::max(a, b));
    };
    for (const auto& t : m.triangles)
        for (size_t i = 0; i < 3; ++i) link(t[i], t[(i + 1) % 3]);
    for (const auto& t : ties) {
        const auto corners = cornersOf(t);
        for (size_t i = 0; i < corners.size(); ++i)
            for (size_t k = 0; k < i; ++k) link(corners[i], corners[k]);
    }
    std::sort(pairs.begin(), pairs.end());
    pairs.erase(std::unique(pairs.begin(), pairs.end()), pairs.end());
    std::vector<int> number(m.points.size(), -1);
    for (const auto& t : m.triangles)
        for (const int i : t) number[static_cast<size_t>(i)] = 0;
    for (auto& n : number)
        if (n == 0) n = s->used++;
    // The graph of the points, ordered by nested dissection.
    const auto n = static_cast<size_t>(s->used);
    cholmod_sparse* graph = cholmod_allocate_sparse(n, n, pairs.size() + n, true, true, -1, CHOLMOD_PATTERN, &c);
    auto* p = static_cast<int*>(graph->p);
    auto* rows = static_cast<int*>(graph->i);
    std::vector<std::vector<int>> below(n);
    for (const auto& [a, b] : pairs)
        below[static_cast<size_t>(number[static_cast<size_t>(a)])].push_back(number[static_cast<size_t>(b)]);
    int at = 0;
    for (size_t k = 0; k < n; ++k) {
        p[k] = at;
        rows[at++] = static_cast<int>(k);
        std::sort(below[k].begin(), below[k].end());
        for (const int r : below[k]) rows[at++] = r;
    }
    p[n] = at;
    std::vector<int> order(n);
    bool dissected = false;
    if (n > 400) {  // METIS draws from the one generator of the C library: one at a time, so that the same shell always
                    // gives the same figures
        static std::mutex one;
        const std::lock_guard<std::mutex> alone(one);
        dissected = cholmod_metis(graph, nullptr, 0, true, order.data(), &c);
    }
    if (!dissected) cholmod_amd(graph, nullptr, 0, order.data(), &c);
    cholmod_free_sparse(&graph, &c);
    std::vector<int> where(n);
    for (size_t k = 0; k < n; ++k) where[static_cast<size_t>(order[k])] = static_cast<int>(k);
    s->place.assign(m.points.size(), -1);
    for (size_t i = 0; i < m.points.size(); ++i)
        if (number[i] >= 0) s->place[i] = where[static_cast<size_t>(number[i])];
    std::vector<std::vector<int>> neighbours(n);
    for (const auto& [a, b] : pairs) {
        const int x = s->place[static_cast<size_t>(a)], y = s->place[static_cast<size_t>(b)];
        neighbours[static_cast<size_t>(std::min(x, y))].push_back(std::max(x, y));
    }
    s->first.resize(n + 1);
    for (size_t k = 0; k < n; ++k) {
        s->first[k] = static_cast<int>(s->rows.size());
        s->rows.push_back(static_cast<int>(k));
        std::sort(neighbours[k].begin(), neighbours[k].end());
        s->rows.insert(s->rows.end(), neighbours[k].begin(), neighbours[k].end());
    }
    s->first[n] = static_cast<int>(s->rows.size());
    return s;
}

/// The lower half of the matrix: columns of a place hold its own block's lower half, then the full blocks below.
struct Columns {
    std::vector<int> start;  // of the first column of each place; its six columns follow each other
    int entries = 0;
    explicit Columns(const Structure& s) : start(static_cast<size_t>(s.used) + 1) {
        for (size_t k = 0; k < static_cast<size_t>(s.used); ++k) {
            start[k] = entries;
            entries += 21 + 36 * (s.first[k + 1] - s.first[k] - 1);
        }
        start.back() = entries;
    }
    /// Where freedom (row place, r) of column (k, c) is kept. @param slot number of the row's block among the column's
    static int offset(int blocks, int slot, int r, int c) {
        // columns get shorter by one in the diagonal block
        const int before = c * 6 * blocks - c * (c - 1) / 2;
        return before + (slot == 0 ? r - c : 6 * slot - c + r);
    }
};

int slotOf(const Structure& s, int column, int row) {
    const auto begin = s.rows.begin() + s.first[static_cast<size_t>(column)],
               end = s.rows.begin() + s.first[static_cast<size_t>(column) + 1];
    return static_cast<int>(std::lower_bound(begin, end, row) - begin);
}

/// Adds a block matrix over some places to the values of the lower half.
template <class M>
void scatter(const Structure& s, const Columns& columns, const M& k, const int* places, int count, double* values) {
    for (int a = 0; a < count; ++a)
        for (int b = 0; b < count; ++b) {
            const int row = places[a], col = places[b];
            if (row < col) continue;
            const int slot = slotOf(s, col, row),
                      blocks = s.first[static_cast<size_t>(col) + 1] - s.first[static_cast<size_t>(col)];
            double* at = values + columns.start[static_cast<size_t>(col)];
            for (int c = 0; c < 6; ++c)
                for (int r = slot == 0 ? c : 0; r < 6; ++r)
                    at[Columns::offset(blocks, slot, r, c)] += k(6 * a + r, 6 * b + c);
        }
}

}  // namespace

System::System(std::unique_ptr<Inside> inside) : in_(std::move(inside)) {}
System::~System() = default;
System::System(System&&) noexcept = default;
System& System::operator=(System&&) noexcept = default;
const Model& System::model() const { return in_->model; }
const std::vector<Support>& System::supports() const { return in_->supports; }
std::shared_ptr<const Structure> System::structure() const { return in_->structure; }
const Times& System::times() const { return in_->times; }

tl::expected<System, Problem> System::build(Model model, std::vector<Support> supports, std::vector<Tie> ties,
                                            std::vector<Spring> springs, std::shared_ptr<const Structure> structure,
                                            std::stop_token stop) {
    const auto refuse = [](std::string sentence) { return tl::unexpected(Problem{std::move(sentence)}); };
    auto in = std::make_unique<Inside>();
    const size_t n = model.points.size(), triangles = model.triangles.size();
    if (triangles == 0) return refuse(tr("There is no wall to reckon with."));
    if (model.thickness.size() != n) return refuse(tr("The wall's thickness is not known everywhere."));
    if (!(model.material.young > 0) || !(model.material.poisson >= 0 && model.material.poisson < 0.5))
        return refuse(tr("A modulus is above nothing, and Poisson's number lies between 0 and 0.5."));
    for (size_t k = 0; k < triangles; ++k) {
        for (const int i : model.triangles[k])
            if (i < 0 || static_cast<size_t>(i) >= n)
                return refuse(tr("A triangle names a corner that does not exist."));
        const Facet f = model.facet(k);
        if (!(f.area > 0) || !std::isfinite(f.area))
            return refuse(say("A triangle of {} has no area.", partName(model, k)));
        for (const double t : f.t)
            if (!(t > 0) || !std::isfinite(t))
                return refuse(say("The wall of {} has no thickness in a place: it is bare there.", partName(model, k)));
    }
    // Is every body held?
    const auto body = bodies(model, ties);
    std::vector<int> held(1 + static_cast<size_t>(*std::max_element(body.begin(), body.end())), 0);
    const auto touch = [&](int point, int freedoms) {
        if (point >= 0 && static_cast<size_t>(point) < n && body[static_cast<size_t>(point)] >= 0)
            held[static_cast<size_t>(body[static_cast<size_t>(point)])] += freedoms;
    };
    for (const auto& s : supports) touch(s.point, __builtin_popcount(s.fixed & 63u));
    for (const auto& s : springs) touch(s.point, 1);
    for (size_t k = 0; k < triangles; ++k)
        if (held[static_cast<size_t>(body[static_cast<size_t>(model.triangles[k][0])])] == 0)
            return refuse(say("Nothing holds {}.", partName(model, k)));
    for (size_t k = 0; k < triangles; ++k)
        if (held[static_cast<size_t>(body[static_cast<size_t>(model.triangles[k][0])])] < 6)
            return refuse(say("{} can still turn or slide: it is held in too few ways.", begins(partName(model, k))));

    in->model = std::move(model);
    in->supports = std::move(supports);
    in->ties = std::move(ties);
    in->springs = std::move(springs);
    const Model& m = in->model;
    auto began = std::chrono::steady_clock::now();
    const bool known = structure && structure->points == n && structure->triangles == triangles &&
                       structure->ties == tieSize(in->ties);
    std::shared_ptr<Structure> fresh;
    if (!known) {
        fresh = ordered(m, in->ties, in->common.c);
        in->structure = fresh;
    } else {
        in->structure = structure;
    }
    in->times.order = seconds(began);
    if (stop.stop_requested()) return refuse(tr("Stopped."));
    began = std::chrono::steady_clock::now();
    const Structure& s = *in->structure;
    const Columns columns(s);
    const auto rank = static_cast<size_t>(6 * s.used);
    // Elements on two threads, each into values of its own.
    in->elements.resize(triangles);
    std::vector<double> values(static_cast<size_t>(columns.entries), 0.0), other;
    const auto assemble = [&](size_t from, size_t to, std::vector<double>& into) {
        for (size_t k = from; k < to; ++k) {
            const double E = m.material.young * (m.stiff.empty() ? 1 : m.stiff[k]);
            in->elements[k] = stiffness(m.facet(k), E, m.material.poisson);
            int places[3];
            for (size_t i = 0; i < 3; ++i) places[i] = s.place[static_cast<size_t>(m.triangles[k][i])];
            scatter(s, columns, in->elements[k], places, 3, into.data());
        }
    };
    if (triangles > 1000) {
        other.assign(values.size(), 0.0);
        sideBySide([&] { assemble(0, triangles / 2, values); }, [&] { assemble(triangles / 2, triangles, other); });
        for (size_t i = 0; i < values.size(); ++i) values[i] += other[i];
    } else {
        assemble(0, triangles, values);
    }
    const auto diagonal = [&](int place, int c) -> double& {
        const int blocks = s.first[static_cast<size_t>(place) + 1] - s.first[static_cast<size_t>(place)];
        return values[static_cast<size_t>(columns.start[static_cast<size_t>(place)] +
                                          Columns::offset(blocks, 0, c, c))];
    };
    std::vector<double> own(rank);
    for (int k = 0; k < s.used; ++k)
        for (int c = 0; c < 6; ++c) own[static_cast<size_t>(6 * k + c)] = diagonal(k, c);
    for (const auto& tie : in->ties) {
        std::vector<int> places = cornersOf(tie);
        for (int& p : places) p = s.place[static_cast<size_t>(p)];
        double shift = 0, turn = 0;
        for (const int p : places)
            for (int c = 0; c < 3; ++c) {
                shift = std::max(shift, own[static_cast<size_t>(6 * p + c)]);
                turn = std::max(turn, own[static_cast<size_t>(6 * p + 3 + c)]);
            }
        const auto J = tieRows(m, tie);
        Eigen::Matrix<double, 6, 1> k;
        k << shift, shift, shift, turn, turn, turn;
        in->tied.push_back(J.transpose() * (kTieStiff * k).asDiagonal() * J);
        scatter(s, columns, in->tied.back(), places.data(), static_cast<int>(places.size()), values.data());
    }
    for (const auto& spring : in->springs) {
        const int p = s.place[static_cast<size_t>(spring.point)];
        if (p < 0) continue;
        const double a[3]{spring.along.x, spring.along.y, spring.along.z};
        const int blocks = s.first[static_cast<size_t>(p) + 1] - s.first[static_cast<size_t>(p)];
        for (int c = 0; c < 3; ++c)
            for (int r = c; r < 3; ++r)
                values[static_cast<size_t>(columns.start[static_cast<size_t>(p)] + Columns::offset(blocks, 0, r, c))] +=
                    spring.stiffness * a[r] * a[c];
    }
    // Fixed freedoms: their row and column go, the diagonal stays.
    in->fixed.assign(static_cast<size_t>(s.used), 0u);
    for (const auto& f : in->supports)
        if (f.point >= 0 && static_cast<size_t>(f.point) < n && s.place[static_cast<size_t>(f.point)] >= 0)
            in->fixed[static_cast<size_t>(s.place[static_cast<size_t>(f.point)])] |= f.fixed & 63u;
    cholmod_sparse* K = cholmod_allocate_sparse(rank, rank, static_cast<size_t>(columns.entries), true, true, -1,
                                                CHOLMOD_REAL, &in->common.c);
    {
        auto* p = static_cast<int*>(K->p);
        auto* rows = static_cast<int*>(K->i);
        int at = 0;
        for (int k = 0; k < s.used; ++k) {
            const int begin = s.first[static_cast<size_t>(k)], end = s.first[static_cast<size_t>(k) + 1];
            const unsigned mine = in->fixed[static_cast<size_t>(k)];
            for (int c = 0; c < 6; ++c) {
                p[6 * k + c] = at;
                for (int b = begin; b < end; ++b) {
                    const int row = s.rows[static_cast<size_t>(b)];
                    const unsigned its = in->fixed[static_cast<size_t>(row)];
                    for (int r = b == begin ? c : 0; r < 6; ++r, ++at) {
                        rows[at] = 6 * row + r;
                        if (!(b == begin && r == c) && (((mine >> c) & 1u) || ((its >> r) & 1u)))
                            values[static_cast<size_t>(at)] = 0;
                    }
                }
            }
        }
        p[rank] = at;
        std::copy(values.begin(), values.end(), static_cast<double*>(K->x));
    }
    in->times.assemble = seconds(began);
    if (stop.stop_requested()) {
        cholmod_free_sparse(&K, &in->common.c);
        return refuse(tr("Stopped."));
    }
    began = std::chrono::steady_clock::now();
    if (fresh) {
        cholmod_factor* symbolic = cholmod_analyze(K, &in->common.c);
        in->factor = cholmod_copy_factor(symbolic, &in->common.c);
        fresh->symbolic = std::shared_ptr<cholmod_factor>(symbolic, [](cholmod_factor* f) {
            Common c;
            cholmod_free_factor(&f, &c.c);
        });
        in->times.order += seconds(began);
        began = std::chrono::steady_clock::now();
    } else {
        in->factor = cholmod_copy_factor(s.symbolic.get(), &in->common.c);
    }
    cholmod_factorize(K, in->factor, &in->common.c);
    const bool sound = in->common.c.status == CHOLMOD_OK && in->factor->minor >= rank;
    size_t loose = sound ? rank : in->factor->minor;
    cholmod_free_sparse(&K, &in->common.c);
    in->times.factor = seconds(began);
    if (!sound && loose < rank) {
        loose = static_cast<size_t>(static_cast<int*>(in->factor->Perm)[loose]);
    }
    const auto free = [&](int place) {
        for (size_t k = 0; k < m.triangles.size(); ++k)
            for (const int i : m.triangles[k])
                if (s.place[static_cast<size_t>(i)] == place)
                    return refuse(
                        say("{} can still turn like a hinge: hold it in one more place.", begins(partName(m, k))));
        return refuse(tr("The piece can still move: hold it in one more place."));
    };
    if (!sound) return free(static_cast<int>(loose / 6));
    // A hinge may hide behind rounding: then a trial load is not met.
    System made(std::move(in));
    Freedoms trial(6 * n, 0.0);
    for (size_t i = 0; i < n; ++i)
        for (size_t c = 0; c < 6; ++c)
            if (const int p = s.place[i]; p >= 0 && !((made.in_->fixed[static_cast<size_t>(p)] >> c) & 1u))
                trial[6 * i + c] = std::sin(1.0 + 0.7 * double(i) + 2.1 * double(c));
    const auto moved = made.solve({trial})[0], met = made.internal(moved);
    double off = 0, size = 0, most = -1;
    int where = 0;
    for (size_t i = 0; i < 6 * n; ++i) {
        if (trial[i] == 0) continue;
        off += (met[i] - trial[i]) * (met[i] - trial[i]);
        size += trial[i] * trial[i];
        if (std::abs(moved[i]) > most) {
            most = std::abs(moved[i]);
            where = s.place[i / 6];
        }
    }
    if (!(off < kUnmet * kUnmet * size)) return free(where);
    return made;
}

std::vector<Freedoms> System::solve(const std::vector<Freedoms>& loads) const {
    auto& in = *in_;
    const Structure& s = *in.structure;
    const auto rank = static_cast<size_t>(6 * s.used);
    std::vector<Freedoms> out(loads.size(), Freedoms(6 * in.model.points.size(), 0.0));
    if (loads.empty()) return out;
    cholmod_dense* b = cholmod_zeros(rank, loads.size(), CHOLMOD_REAL, &in.common.c);
    auto* x = static_cast<double*>(b->x);
    for (size_t l = 0; l < loads.size(); ++l)
        for (size_t i = 0; i < in.model.points.size(); ++i)
            if (const int p = s.place[i]; p >= 0)
                for (size_t c = 0; c < 6; ++c)
                    if (!((in.fixed[static_cast<size_t>(p)] >> c) & 1u))
                        x[l * rank + static_cast<size_t>(6 * p) + c] = loads[l][6 * i + c];
    cholmod_dense* u = cholmod_solve(CHOLMOD_A, in.factor, b, &in.common.c);
    const auto* y = static_cast<const double*>(u->x);
    for (size_t l = 0; l < loads.size(); ++l)
        for (size_t i = 0; i < in.model.points.size(); ++i)
            if (const int p = s.place[i]; p >= 0)
                for (size_t c = 0; c < 6; ++c) out[l][6 * i + c] = y[l * rank + static_cast<size_t>(6 * p) + c];
    cholmod_free_dense(&b, &in.common.c);
    cholmod_free_dense(&u, &in.common.c);
    return out;
}

Freedoms System::internal(const Freedoms& u) const {
    const Model& m = in_->model;
    Freedoms f(u.size(), 0.0);
    const auto add = [&](const auto& k, const int* points, int count) {
        for (int a = 0; a < count; ++a)
            for (int b = 0; b < count; ++b)
                for (int r = 0; r < 6; ++r)
                    for (int c = 0; c < 6; ++c)
                        f[static_cast<size_t>(6 * points[a] + r)] +=
                            k(6 * a + r, 6 * b + c) * u[static_cast<size_t>(6 * points[b] + c)];
    };
    for (size_t k = 0; k < m.triangles.size(); ++k) add(in_->elements[k], m.triangles[k].data(), 3);
    for (size_t k = 0; k < in_->ties.size(); ++k) {
        const auto points = cornersOf(in_->ties[k]);
        add(in_->tied[k], points.data(), static_cast<int>(points.size()));
    }
    for (const auto& s : in_->springs) {
        const auto at = static_cast<size_t>(6 * s.point);
        const double stretch = s.stiffness * (s.along.x * u[at] + s.along.y * u[at + 1] + s.along.z * u[at + 2]);
        f[at] += stretch * s.along.x;
        f[at + 1] += stretch * s.along.y;
        f[at + 2] += stretch * s.along.z;
    }
    return f;
}

Freedoms System::reactions(const Freedoms& u, const Freedoms& load) const {
    const Freedoms f = internal(u);
    Freedoms out(u.size(), 0.0);
    for (const auto& s : in_->supports)
        for (size_t c = 0; c < 6; ++c)
            if ((s.fixed >> c) & 1u) {
                const size_t at = 6 * static_cast<size_t>(s.point) + c;
                out[at] = f[at] - load[at];
            }
    return out;
}

std::vector<Support> sixFreedoms(const Model& m, const std::vector<Tie>& ties) {
    // For each body: a corner that cannot shift, one far away that only moves towards it, one far off their line that
    // stays in their plane.
    const auto body = bodies(m, ties);
    const int count = body.empty() ? 0 : 1 + *std::max_element(body.begin(), body.end());
    std::vector<Support> out;
    for (int b = 0; b < count; ++b) {
        std::vector<int> all;
        for (size_t i = 0; i < body.size(); ++i)
            if (body[i] == b) all.push_back(static_cast<int>(i));
        const auto at = [&](int i) { return m.points[static_cast<size_t>(i)]; };
        form::Vec3 middle;
        for (const int i : all) middle += at(i) * (1.0 / double(all.size()));
        const auto farthest = [&](auto measure) {
            return *std::max_element(all.begin(), all.end(),
                                     [&](int p, int q) { return measure(at(p)) < measure(at(q)); });
        };
        const int first = farthest([&](const form::Vec3& p) { return form::length(p - middle); });
        const int second = farthest([&](const form::Vec3& p) { return form::length(p - at(first)); });
        const form::Vec3 line = form::unit(at(second) - at(first));
        const int third = farthest([&](const form::Vec3& p) { return form::length(form::cross(p - at(first), line)); });
        out.push_back({first, 7});
        // the two axes most across the line, then the axis most across the plane
        const double along[3]{std::abs(line.x), std::abs(line.y), std::abs(line.z)};
        const int skip = static_cast<int>(std::max_element(along, along + 3) - along);
        out.push_back({second, 7u & ~(1u << skip)});
        const form::Vec3 normal = form::cross(line, at(third) - at(first));
        const double up[3]{std::abs(normal.x), std::abs(normal.y), std::abs(normal.z)};
        // the third corner may not turn about the line: its shift across the plane is taken
        out.push_back({third, 1u << static_cast<int>(std::max_element(up, up + 3) - up)});
    }
    return out;
}

}  // namespace uovo::shell
