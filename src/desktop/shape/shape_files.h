// Files of a shape: models and outlines in; models, pictures and flat patterns out.
#pragma once
#include <QObject>
#include <QPointer>
#include <QProgressDialog>
#include <functional>
#include <optional>
#include <thread>

#include "desktop/shape/shape_place.h"
#include "io/model_reader.h"

namespace uovo::desktop {

class ShapeFiles : public QObject {
    Q_OBJECT

public:
    /// @param say shows a sentence to the person; true for one that reports harm
    ShapeFiles(Session& session, ShapePlace& place, QWidget* window, std::function<void(const QString&, bool)> say);

    static bool isModel(const QString& path);
    static bool isOutline(const QString& path);
    static bool isPicture(const QString& path);

    /// Asks for a file that the selected part wants, and brings it in.
    void bringAsked();
    /// Brings a dropped or chosen file in: a model becomes a figure, an outline the shape of the selected sheet or
    /// mold.
    void bring(const QString& path);
    /// What follows a model's reading once its unit is known. Without a selected figure a new piece is made.
    void takeModel(const QString& path, const io::ReadMesh& read, io::MeshUnit unit);
    bool isReading() const { return reading_; }

    /// The selected piece as a watertight solid. @returns whether it was written
    bool exportShape(const QString& path, bool solid = true);
    bool exportPicture(const QString& path);
    bool exportPattern(const QString& path);

signals:
    void modelRead();

private:
    void readModel(const QString& path);
    void askUnit(const QString& path, const io::ReadMesh& read);
    void bringOutline(const QString& path);

    Session& session_;
    ShapePlace& place_;
    QWidget* window_;
    std::function<void(const QString&, bool)> say_;
    QPointer<QProgressDialog> progress_;
    bool reading_ = false;
    std::jthread reader_;
};

}  // namespace uovo::desktop
