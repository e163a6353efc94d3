// The gallery: every family drawn from its real geometry, to start a piece from.
#pragma once
#include <QAbstractButton>
#include <QImage>
#include <QLineEdit>
#include <QScrollArea>
#include <QWidget>
#include <map>
#include <mutex>
#include <thread>

namespace uovo::desktop {

class GalleryTile : public QAbstractButton {
    Q_OBJECT

public:
    GalleryTile(const QString& family, const QString& name, const QString& when, QWidget* parent = nullptr);
    const QString& family() const { return family_; }
    void setPicture(const QImage& picture);
    QSize sizeHint() const override { return {221, 216}; }

protected:
    void paintEvent(QPaintEvent*) override;

private:
    QString family_, when_;
    QImage picture_;
};

class Gallery : public QWidget {
    Q_OBJECT

public:
    explicit Gallery(QWidget* parent = nullptr);
    ~Gallery() override;
    /// Shows it over its parent and waits for words or a choice.
    void open();
    QLineEdit* words() const { return words_; }
    /// Families shown now, best first. "balloon" and "cup" are the coated pieces.
    QStringList shown() const;

signals:
    void chosen(const QString& family);
    void closed();

protected:
    void paintEvent(QPaintEvent*) override;
    bool eventFilter(QObject*, QEvent*) override;

private:
    void filter();
    QLineEdit* words_;
    QScrollArea* scroll_;
    QWidget* page_;
    class FlowLayout* flow_;
    class QLabel* none_;
    std::vector<GalleryTile*> tiles_;  ///< all of them, in their order
    QRgb rim_ = 0;                     // of the pictures that are there
    std::jthread painter_;
};

}  // namespace uovo::desktop
