// The parts of a compound as cards: what each weighs, and which one is being edited.
#pragma once
#include <QAbstractButton>
#include <QHBoxLayout>
#include <QWidget>

#include "desktop/shell/session.h"

namespace uovo::desktop {

class ItemCard : public QAbstractButton {
    Q_OBJECT

public:
    explicit ItemCard(QWidget* parent = nullptr);
    void set(const QString& key, const QString& name, const QString& figure, bool own, bool chosen);
    const QString& key() const { return key_; }
    QSize sizeHint() const override { return {158, 34}; }

protected:
    void paintEvent(QPaintEvent*) override;

private:
    QString key_, figure_;
    bool own_ = false;
};

class ItemBar : public QWidget {
    Q_OBJECT

public:
    explicit ItemBar(Session& session, QWidget* parent = nullptr);
    void refresh();
    /// Key of the part that is edited; empty: the whole.
    const QString& chosen() const { return chosen_; }
    void choose(const QString& key);
    const std::vector<ItemCard*>& cards() const { return cards_; }

signals:
    void chosenChanged();

private:
    Session& session_;
    QHBoxLayout* row_;
    std::vector<ItemCard*> cards_;
    QString chosen_, piece_;
};

}  // namespace uovo::desktop
