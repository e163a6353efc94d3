// Something that time is at work on: how long still, in figures that are read from a metre away, and what to do when it
// is over.
#pragma once
#include <QWidget>

namespace uovo::desktop {

class TimerCard : public QWidget {
    Q_OBJECT

public:
    enum class Tone { Cold, Warm };
    explicit TimerCard(QWidget* parent = nullptr);

    /// @param left s until it is due; below 0: since then @param whole s that it lasts @param most s until it is too
    /// late; NaN: there is no such time
    void setTime(double left, double whole, double most);
    void setWords(const QString& words, Tone tone, bool looks);
    bool isDue() const { return left_ <= 0; }
    bool isTooLate() const { return most_ < 0; }
    QString figure() const;
    QSize sizeHint() const override { return {300, isDue() ? kHighDue : kHigh}; }

signals:
    /// What was waited for has come.
    void yes();
    /// Look again a little later.
    void notYet();

protected:
    void paintEvent(QPaintEvent*) override;
    void resizeEvent(QResizeEvent*) override;

private:
    void place();
    static constexpr int kHigh = 92, kHighDue = 158, kTarget = 56;

    QString words_;
    Tone tone_ = Tone::Cold;
    double left_ = 0, whole_ = 1, most_ = 0;
    class QPushButton *yes_, *later_;
};

}  // namespace uovo::desktop
