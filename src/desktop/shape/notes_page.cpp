#include "desktop/shape/notes_page.h"

#include <QBuffer>
#include <QFileDialog>
#include <QFileInfo>
#include <QImageReader>
#include <QPlainTextEdit>

#include "core/document/limits.h"
#include "desktop/kit/page.h"
#include "report/text.h"

namespace uovo::desktop {
namespace {

constexpr int kKeptSide = 1000;                // px of a picture that is kept, its longer side
constexpr int kShownSide = 400;                // px
constexpr int kMostWords = limits::kText / 3;  // letters: each is at most three bytes in a file

class NotesPage : public Page {
    Q_DECLARE_TR_FUNCTIONS(NotesPage)

public:
    explicit NotesPage(Session& session) : Page(session, "notesPage"), id_(session.piece() ? session.piece()->id : "") {
        const Piece* piece = session.piece();
        if (!piece) {
            note(tr("There is no piece here."), "");
            return;
        }
        note(tr("What you want to know next time: where the mold is, who liked it, what to do otherwise. It is printed "
                "on the bench card."),
             "quiet");
        words_ = new QPlainTextEdit(qstring(piece->notes));
        words_->setObjectName(QStringLiteral("pieceNotes"));
        words_->setAccessibleName(tr("Notes about %1").arg(qstring(piece->name)));
        words_->setTabChangesFocus(true);
        words_->setMinimumHeight(150);
        connect(words_, &QPlainTextEdit::textChanged, this, [this] {
            const std::string said = words_->toPlainText().left(kMostWords).toStdString();
            edit(
                tr("Write notes"), [&](Piece& p) { p.notes = said; }, QStringLiteral("notes/") + qstring(id_));
        });
        box_->addWidget(words_);
        picture_ = new QLabel;
        picture_->setAccessibleName(tr("Picture of the piece"));
        box_->addWidget(picture_);
        button(tr("Choose a picture …"), QStringLiteral("notesPicture"), [this] {
            const QString path = QFileDialog::getOpenFileName(this, tr("A picture of it"), QDir::homePath(),
                                                              tr("Pictures (*.png *.jpg *.jpeg)"));
            if (!path.isEmpty()) take(path);
        });
        gone_ = button(tr("Take the picture away"), QStringLiteral("notesGone"),
                       [this] { edit(tr("Take a picture away"), [](Piece& p) { p.photo = {}; }); });
        trouble_ = wrapped({}, "harm");
        trouble_->setObjectName(QStringLiteral("notesTrouble"));
        trouble_->hide();
        box_->addWidget(trouble_);
        end();
        connect(&session, &Session::planChanged, this, &NotesPage::refresh);
        refresh();
    }

    /// Keeps a picture with the piece, made smaller.
    void take(const QString& path) {
        QImageReader reader(path);
        reader.setAutoTransform(true);
        QImage image = reader.read();
        if (image.isNull())
            return tell(tr("%1 is no picture: take a PNG or JPEG file.").arg(QFileInfo(path).fileName()));
        if (std::max(image.width(), image.height()) > kKeptSide)
            image = image.scaled(kKeptSide, kKeptSide, Qt::KeepAspectRatio, Qt::SmoothTransformation);
        QByteArray bytes;
        QBuffer buffer(&bytes);
        buffer.open(QIODevice::WriteOnly);
        constexpr int kQuality = 82;
        if (!image.convertToFormat(QImage::Format_RGB888).save(&buffer, "JPEG", kQuality) ||
            static_cast<size_t>(bytes.size()) > limits::kPhoto)
            return tell(tr("The picture cannot be kept: a smaller one may do."));
        tell({});
        edit(tr("Keep a picture"),
             [&](Piece& p) { p.photo.bytes = std::make_shared<const std::string>(bytes.toStdString()); });
    }

private:
    void edit(const QString& label, const std::function<void(Piece&)>& change, const QString& merge = {}) {
        session_.document().edit(
            label,
            [&](Plan& plan) {
                for (auto& p : plan.pieces)
                    if (p.id == id_) change(p);
            },
            merge);
    }
    void tell(const QString& sentence) {
        trouble_->setText(sentence);
        trouble_->setVisible(!sentence.isEmpty());
    }
    void refresh() {
        const Piece* p = session_.plan().piece(id_);
        if (!p) return;
        if (words_->toPlainText().toStdString() != p->notes) {
            const QSignalBlocker quiet(words_);
            words_->setPlainText(qstring(p->notes));
        }
        QImage image;
        if (!p->photo.empty()) image.loadFromData(QByteArray::fromStdString(*p->photo.bytes));
        picture_->setVisible(!image.isNull());
        if (!image.isNull())
            picture_->setPixmap(QPixmap::fromImage(
                image.scaled(kShownSide, kShownSide, Qt::KeepAspectRatio, Qt::SmoothTransformation)));
        gone_->setVisible(!p->photo.empty());
    }

    std::string id_;
    QPlainTextEdit* words_ = nullptr;
    QLabel *picture_ = nullptr, *trouble_ = nullptr;
    QPushButton* gone_ = nullptr;
};

}  // namespace

QWidget* notesPage(Session& session) { return new NotesPage(session); }

}  // namespace uovo::desktop
