#include "desktop/shell/deadline_page.h"

#include <QCoreApplication>

#include "core/begin/first_plan.h"
#include "desktop/kit/calendar_leaf.h"
#include "desktop/kit/page.h"
#include "report/language.h"
#include "report/text.h"

namespace uovo::desktop {

QLocale dayLocale() {
    const QLocale here = QLocale::system();
    const auto language = report::spokenLocale().language();
    if (here.language() != QLocale::C) return QLocale(language, here.territory());
    return language == QLocale::English ? QLocale(language, QLocale::UnitedKingdom) : QLocale(language);
}

QString sayDay(const QDate& day, const QLocale& locale) {
    const bool monthFirst = locale.dateFormat(QLocale::LongFormat).startsWith(QLatin1String("dddd, M"));
    return locale.toString(day, monthFirst ? QStringLiteral("dddd MMMM d, yyyy") : QStringLiteral("dddd d MMMM yyyy"));
}

std::optional<QDate> readDay(const QString& words, const QLocale& locale, const QDate& today) {
    const QString said = words.simplified().remove(QLatin1Char(','));
    for (int ahead = 0; ahead < 7; ++ahead) {
        const QDate day = today.addDays(ahead);
        for (const auto form : {QLocale::LongFormat, QLocale::ShortFormat})
            if (said.compare(locale.dayName(day.dayOfWeek(), form), Qt::CaseInsensitive) == 0) return day;
    }
    const bool monthFirst = locale.dateFormat(QLocale::ShortFormat).startsWith(QLatin1Char('M'));
    QStringList forms{
        QStringLiteral("yyyy-M-d"),    QStringLiteral("d.M.yyyy"),         QStringLiteral("d.M.yy"),
        QStringLiteral("d MMMM yyyy"), QStringLiteral("d MMM yyyy"),       QStringLiteral("MMMM d yyyy"),
        QStringLiteral("MMM d yyyy"),  QStringLiteral("dddd d MMMM yyyy"), QStringLiteral("ddd d MMM yyyy")};
    forms << (monthFirst ? QStringLiteral("M/d/yyyy") : QStringLiteral("d/M/yyyy"))
          << (monthFirst ? QStringLiteral("M/d/yy") : QStringLiteral("d/M/yy"));
    const auto read = [&](const QString& text) -> std::optional<QDate> {
        for (const QString& form : forms)
            if (QDate day = locale.toDate(text, form); day.isValid()) {
                if (!form.contains(QStringLiteral("yyyy")) && day.year() < 2000) day = day.addYears(100);
                return day;
            }
        return std::nullopt;
    };
    if (const auto day = read(said)) return day;
    const QChar between = said.contains(QLatin1Char('/'))   ? QLatin1Char('/')
                          : said.contains(QLatin1Char('.')) ? QLatin1Char('.')
                                                            : QLatin1Char(' ');
    for (int year = today.year(); year <= today.year() + 1; ++year) {
        QString whole = said;
        if (whole.endsWith(between)) whole.chop(1);
        if (const auto day = read(whole + between + QString::number(year)); day && *day >= today) return day;
    }
    return std::nullopt;
}

namespace {

class DeadlinePage : public Page {
    Q_DECLARE_TR_FUNCTIONS(DeadlinePage)

public:
    explicit DeadlinePage(Session& session) : Page(session, "deadlinePage"), locale_(dayLocale()) {
        words({tr("The plan is called"), QStringLiteral("plan/name")}, qstring(session.plan().name),
              [this](const QString& said) {
                  if (said.isEmpty()) return tr("A plan needs a name.");
                  session_.document().edit(tr("Rename the plan"), [&](Plan& p) { p.name = said.toStdString(); });
                  return QString();
              })
            ->edit()
            ->setMaxLength(80);
        day_ = words({tr("Ready on"), QStringLiteral("deadline/day"), "deadline"}, {}, [this](const QString& said) {
            const auto day = readDay(said, locale_, dateOf(session_.now()));
            if (!day)
                return tr("Not a day. Write it like %1.").arg(locale_.toString(dateOf(now()), QLocale::ShortFormat));
            return set(*day, now() % 1440);
        });
        clock_ = words({tr("at"), QStringLiteral("deadline/clock")}, {}, [this](const QString& said) {
            const auto minutes = clockMinutes(said.toStdString());
            if (!minutes) return tr("Not a time of day. Write it like 18:30 or 6:30 pm.");
            return set(dateOf(now()), *minutes);
        });
        leaf_ = new CalendarLeaf(locale_, QStringLiteral("deadline/days"), tr("Day it must be ready"),
                                 dateOf(session.now()));
        box_->addWidget(leaf_);
        QObject::connect(leaf_, &CalendarLeaf::chosen, this, [this](const QDate& day) {
            if (const QString no = set(day, now() % 1440); !no.isEmpty()) day_->setProblem(no);
        });
        guests();
        const auto& day = session.answers() ? session.answers()->day : nullptr;
        const int usual = static_cast<int>(session.library().usual("reserve") / 60);
        note(
            tr("The day is laid out backwards from here, with %1 minutes in hand. How sure you want to be is a wish in "
               "Day.")
                .arg(day ? day->reserve : usual));
        end();
        QObject::connect(&session_, &Session::planChanged, this, [this] { show(); });
        show();
    }

private:
    static QDate dateOf(long minutes) { return QDate(1970, 1, 1).addDays(minutes / 1440); }
    long now() const { return localMinutes(session_.plan().deadline).value_or(session_.now()); }
    QString set(const QDate& day, long minutes) {
        const long at = QDate(1970, 1, 1).daysTo(day) * 1440 + minutes;
        if (at < session_.now()) return tr("That time has passed. Choose another day.");
        const std::string deadline = localTime(at);
        return session_.typed("deadline", [&] {
            session_.document().edit(tr("Change when it must be ready"), [&](Plan& p) { p.deadline = deadline; });
        });
    }
    /// For how many it is: what is made for each follows.
    void guests() {
        constexpr int kMost = 2000;
        guests_ = count({tr("Guests"), QStringLiteral("plan/guests"), "guests"}, 0, kMost, session_.plan().guests,
                        [this](int n) {
                            session_.document().edit(tr("Change how many guests there are"), [n](Plan& p) {
                                if (n > 0) forGuests(p, n);
                                else p.guests = 0;
                            });
                        });
        note(tr(
            "Of what is made for each guest there are then as many more or fewer; what is one for the table stays."));
    }
    void show() {
        const long at = now();
        day_->setWords(sayDay(dateOf(at), locale_));
        clock_->setWords(qstring(clockInWords(static_cast<int>(at % 1440), session_.units())));
        day_->setProblem(at < session_.now() ? tr("That time has passed. Choose another day.")
                                             : session_.problemAt("deadline"));
        leaf_->setDay(dateOf(at));
        guests_->setMeasure(Measure(session_.plan().guests), session_.units());
    }

    QLocale locale_;
    WordsField *day_ = nullptr, *clock_ = nullptr;
    CalendarLeaf* leaf_ = nullptr;
    FigureField* guests_ = nullptr;
};

}  // namespace

QWidget* deadlinePage(Session& session) { return new DeadlinePage(session); }

}  // namespace uovo::desktop
