// Under the parts: the one that is chosen, where it is, and what can be done with it.
#pragma once
#include <QCheckBox>
#include <QLabel>
#include <QWidget>

#include "desktop/build/hand_stage.h"
#include "desktop/kit/field.h"
#include "desktop/shell/session.h"

namespace uovo::desktop {

class RecipeLine;

class HandBar : public QWidget {
    Q_OBJECT

public:
    HandBar(Session& session, HandStage* stage, QWidget* parent = nullptr);
    void refresh();
    WordsField* where() const { return where_; }
    RecipeLine* figures() const { return figures_; }

private:
    /// Does with the chosen part what is said; glue follows where it is meant to.
    /// @returns what was not understood, empty when it is done
    QString say(const QString& words);
    void put(const QString& key, const form::Pose& pose);
    void edit(int key);
    void commit(const QString& label, const form::Part& assembly, const std::vector<std::string>& keys);
    void takeOut();
    QString rename(const QString& name);

    Session& session_;
    HandStage* stage_;
    WordsField* name_;
    QLabel* place_;
    WordsField* where_;
    QCheckBox* glue_;
    QWidget* buttons_;
    RecipeLine* figures_;  ///< of the part
    QString shown_;
};

}  // namespace uovo::desktop
