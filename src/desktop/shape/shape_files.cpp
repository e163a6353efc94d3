#include "desktop/shape/shape_files.h"

#include <QFile>
#include <QFileDialog>
#include <QFileInfo>
#include <QMessageBox>
#include <QPushButton>
#include <QSaveFile>
#include <algorithm>

#include "core/document/models.h"
#include "core/form/loft.h"
#include "io/svg_file.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

QString suffixOf(const QString& path) { return QFileInfo(path).suffix().toLower(); }
QString nameOf(const QString& path) { return QStringLiteral("“%1”").arg(QFileInfo(path).fileName()); }

}  // namespace

ShapeFiles::ShapeFiles(Session& session, ShapePlace& place, QWidget* window,
                       std::function<void(const QString&, bool)> say)
    : QObject(window), session_(session), place_(place), window_(window), say_(std::move(say)) {
    connect(&place_, &ShapePlace::fileWanted, this, &ShapeFiles::bringAsked);
}

bool ShapeFiles::isModel(const QString& path) { return io::isModelEnding(io::extensionOf(path.toStdString())); }
bool ShapeFiles::isOutline(const QString& path) { return suffixOf(path) == QStringLiteral("svg"); }

bool ShapeFiles::isPicture(const QString& path) {
    const QString ending = suffixOf(path);
    return ending == QStringLiteral("png") || ending == QStringLiteral("jpg") || ending == QStringLiteral("jpeg");
}

void ShapeFiles::bringAsked() {
    const Piece* piece = session_.piece();
    if (!piece) return;
    const bool model = form::fromFile(piece->shape);
    const QString path =
        QFileDialog::getOpenFileName(window_, model ? tr("A model") : tr("An outline"), {},
                                     model ? tr("Models (*.stl *.obj *.ply *.3mf)") : tr("Outlines (*.svg)"));
    if (!path.isEmpty()) bring(path);
}

void ShapeFiles::bring(const QString& path) {
    if (isOutline(path)) return bringOutline(path);
    if (isModel(path)) return readModel(path);
    say_(tr("%1 is neither a plan, nor a model (STL, OBJ, PLY, 3MF), nor an outline (SVG).").arg(nameOf(path)), true);
}

void ShapeFiles::readModel(const QString& path) {
    if (reading_) return say_(tr("One model is still being read."), false);
    reading_ = true;
    progress_ = new QProgressDialog(tr("Reading %1 …").arg(nameOf(path)), tr("Stop"), 0, 100, window_);
    progress_->setWindowModality(Qt::WindowModal);
    progress_->setMinimumDuration(500);
    progress_->setAutoClose(false);
    progress_->setAutoReset(false);
    progress_->setValue(0);
    reader_ = std::jthread([this, path](std::stop_token stop) {
        auto read = io::readMeshFile(path.toStdString(), stop, [this](double p) {
            QMetaObject::invokeMethod(this, [this, p] {
                if (progress_) progress_->setValue(static_cast<int>(100 * p));
            });
        });
        QMetaObject::invokeMethod(this, [this, path, read = std::move(read)] {
            if (progress_) progress_->deleteLater();
            progress_.clear();
            reading_ = false;
            if (read) askUnit(path, *read);
            else if (read.error().sentence != "Stopped.")
                say_(tr("%1 was not brought in. %2").arg(nameOf(path), qstring(read.error().sentence)), true);
            emit modelRead();
        });
    });
    connect(progress_, &QProgressDialog::canceled, this, [this] { reader_.request_stop(); });
}

void ShapeFiles::askUnit(const QString& path, const io::ReadMesh& read) {
    auto* box = new QMessageBox(window_);
    box->setAttribute(Qt::WA_DeleteOnClose);
    box->setWindowTitle(tr("A model"));
    box->setText(tr("In what unit was %1 made?").arg(nameOf(path)));
    box->setInformativeText(qstring(read.remarks));
    const form::Vec3 size = form::bounds(read.mesh).size();
    for (const auto unit :
         {io::MeshUnit::Millimetre, io::MeshUnit::Centimetre, io::MeshUnit::Inch, io::MeshUnit::Metre}) {
        const double k = io::metres(unit);
        const auto length = [&](double v) { return qstring(format(v * k, Dimension::Length, session_.units())); };
        auto* b = box->addButton(
            tr("%1: %2 × %3 × %4")
                .arg(QString::fromLatin1(io::name(unit)), length(size.x), length(size.y), length(size.z)),
            QMessageBox::AcceptRole);
        b->setObjectName(QStringLiteral("unit/") + QString::fromLatin1(io::name(unit)));
        if (unit == read.likely) box->setDefaultButton(b);
        connect(b, &QAbstractButton::clicked, this, [this, path, read, unit] { takeModel(path, read, unit); });
    }
    box->addButton(tr("Leave it"), QMessageBox::RejectRole);
    box->open();
}

void ShapeFiles::takeModel(const QString& path, const io::ReadMesh& read, io::MeshUnit unit) {
    auto mesh = std::make_shared<form::Mesh>(read.mesh);
    const double k = io::metres(unit);
    for (auto& p : mesh->points) p = p * k;
    const form::Box box = form::bounds(*mesh);
    for (auto& p : mesh->points)
        p = {p.x - (box.low.x + box.high.x) / 2, p.y - (box.low.y + box.high.y) / 2, p.z - box.low.z};
    *mesh = keptModel(std::move(*mesh));
    const Piece* now = session_.piece();
    const bool replace = now && form::fromFile(now->shape);
    Piece fresh = replace ? *now : newPiece(session_.plan(), "mesh");
    const std::string file = QFileInfo(path).completeBaseName().left(60).toStdString();
    const std::string name = freeModelName(session_.plan(), file, fresh.id);
    if (!replace) fresh.name = file;
    fresh.shape.mesh = name;
    session_.select(QString::fromStdString(fresh.id));
    session_.document().edit(tr("Bring in a model"), [&](Plan& plan) {
        plan.meshes[name] = mesh;
        if (!replace) {
            plan.pieces.push_back(fresh);
            return;
        }
        for (auto& p : plan.pieces)
            if (p.id == fresh.id) p = fresh;
    });
    if (!read.remarks.empty()) say_(qstring(read.remarks), read.report.openEdges > 0);
}

void ShapeFiles::bringOutline(const QString& path) {
    QFile file(path);
    if (!file.open(QIODevice::ReadOnly)) return say_(tr("%1 cannot be read.").arg(nameOf(path)), true);
    const std::string text = file.read(21'000'000).toStdString();
    const Piece* piece = session_.piece();
    const form::Family* family = piece ? &piece->family() : nullptr;
    const bool profile = family && family->points == "profile";
    std::vector<form::Loop> loops;
    if (profile) {
        auto read = io::readSvgProfile(text);
        if (!read) return say_(tr("%1 was not brought in. %2").arg(nameOf(path), qstring(read.error().sentence)), true);
        loops = {*read};
    } else {
        auto read = io::readSvgOutline(text);
        if (!read) return say_(tr("%1 was not brought in. %2").arg(nameOf(path), qstring(read.error().sentence)), true);
        loops = *read;
    }
    const bool here = family && !family->points.empty();
    Piece fresh = here ? *piece : newPiece(session_.plan(), "sheet");
    auto& part = fresh.shape;
    part.points = loops;
    if (!profile) part.choices["cut"] = "points";
    if (const auto built = form::build(part); !built)
        return say_(tr("%1 was not brought in. %2").arg(nameOf(path), qstring(built.error().sentence)), true);
    session_.select(QString::fromStdString(fresh.id));
    session_.document().edit(tr("Bring in an outline"), [&](Plan& plan) {
        if (!here) {
            plan.pieces.push_back(fresh);
            return;
        }
        for (auto& p : plan.pieces)
            if (p.id == fresh.id) p = fresh;
    });
}

bool ShapeFiles::exportShape(const QString& path, bool solid) {
    const Piece* piece = session_.piece();
    const auto answers = piece ? session_.pieceAnswers(piece->id) : nullptr;
    if (!answers || session_.isStale() || !answers->made) {
        say_(tr("The shape is still being computed; try again in a moment."), false);
        return false;
    }
    form::Mesh mesh;
    if (const auto* along = answers->made->meridian.get()) {
        mesh = form::wallOfRevolution(along->profile, along->coats.wall, 180, static_cast<int>(along->profile.size()));
    } else if (answers->made->wall && solid) {  // with the walls that its coats leave
        mesh = answers->made->assembly.solid();
    } else {
        const auto fine = form::build(piece->shape, session_.plan().meshes, form::kExport);
        if (!fine) {
            say_(qstring(fine.error().sentence), true);
            return false;
        }
        if (solid) mesh = fine->solid();
        else
            for (const auto& item : fine->items) form::append(mesh, form::placed(item.shape.surface, item.pose));
    }
    if (auto ok = io::writeMeshFile(path.toStdString(), mesh); !ok) {
        say_(qstring(ok.error().sentence), true);
        return false;
    }
    say_(tr("The shape is in %1, in millimetres: %2 triangles, %3 of chocolate.")
             .arg(path)
             .arg(mesh.triangles.size())
             .arg(qstring(format(form::volume(mesh), Dimension::Volume, session_.units()))),
         false);
    return true;
}

bool ShapeFiles::exportPicture(const QString& path) {
    if (suffixOf(path) == QStringLiteral("svg")) {
        const QString svg = place_.svgPicture();
        if (svg.isEmpty()) {
            say_(tr("Only the turning view is saved as SVG; press F8, or save a PNG."), false);
            return false;
        }
        QSaveFile file(path);
        if (!file.open(QIODevice::WriteOnly) || file.write(svg.toUtf8()) < 0 || !file.commit()) {
            say_(tr("The picture was not saved: %1.").arg(file.errorString()), true);
            return false;
        }
    } else if (!place_.picture(2).save(path, "PNG")) {
        say_(tr("The picture was not saved in %1.").arg(path), true);
        return false;
    }
    say_(tr("The picture is in %1.").arg(path), false);
    return true;
}

bool ShapeFiles::exportPattern(const QString& path) {
    const Piece* piece = session_.piece();
    const auto answers = piece ? session_.pieceAnswers(piece->id) : nullptr;
    if (!answers || !answers->made) {
        say_(tr("This piece has no flat pattern: wraps of acetate and sheet parts have one."), false);
        return false;
    }
    std::string text;
    std::vector<form::Loop> loops;
    double shift = 0;
    for (const auto& item : answers->made->assembly.items) {
        if (item.shape.pattern && text.empty())
            text = io::patternSvg(*item.shape.pattern, piece->name + ", " + item.name);
        if (!form::family(item.part.family)->cut) continue;
        const auto outline = form::sheetOutline(item.part);  // side by side on one page
        double low = 1e9, high = -1e9;
        for (const auto& p : outline.front()) {
            low = std::min(low, p[0]);
            high = std::max(high, p[0]);
        }
        for (auto loop : outline) {
            for (auto& p : loop) p[0] += shift - low;
            loops.push_back(loop);
        }
        shift += high - low + 0.008;
    }
    if (!loops.empty()) text = io::outlineSvg(loops, piece->name);
    if (text.empty()) {
        say_(tr("This piece has no flat pattern: wraps of acetate and sheet parts have one."), false);
        return false;
    }
    if (auto ok = io::writeWhole(path.toStdString(), text); !ok) {
        say_(tr("The pattern was not saved in %1.").arg(path), true);
        return false;
    }
    say_(tr("The pattern is in %1 at true scale. Print it at 100 % and measure its ruler.").arg(path), false);
    return true;
}

}  // namespace uovo::desktop
