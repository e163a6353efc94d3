// A picture with the outlines that were traced in it, and how pictures are read for that.
#pragma once
#include <QImage>
#include <QLabel>
#include <optional>
#include <tl/expected.hpp>

#include "io/trace.h"

namespace uovo::desktop {

/// Reads a picture in grey, larger ones smaller. @returns it, or why not
tl::expected<QImage, QString> readPicture(const QString& path);
io::GreyPicture greyOf(const QImage& image);

class TracedView : public QLabel {
    Q_OBJECT

public:
    explicit TracedView(QWidget* parent = nullptr);

    /// What it is traced from; null: outlines alone, as large as they fit.
    void setPicture(const QImage& image) { image_ = image; }
    const QImage& picture() const { return image_; }
    /// @param loops m @param traced where they lie in the picture
    void show(const std::vector<form::Loop>& loops, const io::Traced& traced = {},
              const std::optional<form::Point2>& marked = {});

private:
    QImage image_;
};

}  // namespace uovo::desktop
