// What the window says above its places: one message at a time, and below it offers, which stay until they are
// answered.
#pragma once
#include <QFrame>
#include <QLabel>
#include <functional>
#include <map>
#include <vector>

namespace uovo::desktop {

class NoticeBar : public QWidget {
    Q_OBJECT

public:
    explicit NoticeBar(QWidget* parent = nullptr);

    /// Shows a message in place of the one before. @param harm something was lost or refused
    void say(const QString& sentence, bool harm);
    void hush();

    struct Answer {
        QString words, objectName;
        std::function<void()> act;
        bool stays = false;  ///< the offer is still open after it
    };
    /// Asks something; one of the same key takes its place. It goes when it is answered or withdrawn.
    void offer(const QString& key, const QString& sentence, const std::vector<Answer>& answers);
    void withdraw(const QString& key);
    bool isOpen(const QString& key) const { return offers_.contains(key); }

    /// The message, or the newest offer where there is none.
    QString saying() const;

private:
    class Row;
    void restyle(Row* row, bool harm);

    Row* message_;
    std::map<QString, Row*> offers_;
    QString newest_;
};

}  // namespace uovo::desktop
