// What sharp and less sharp eyes see: contrast from the palette itself, WCAG 2.1 (1.4.3 text, 1.4.11 what must be
// seen).
#include <iostream>

#include "desktop/stage/thumbnail.h"
#include "desktop/theme/theme.h"
#include "program.h"

namespace contrast_test {

namespace {

struct Pair {
    const char* what;
    QColor seen, ground;
    double least;
};

std::vector<Pair> pairs(const Theme& t) {
    std::vector<Pair> all;
    for (const auto& [name, ground] : {std::pair{"paper", t.paper}, {"card", t.card}}) {
        (void)name;
        for (const auto& [what, c] : {std::pair{"text", t.ink},
                                      {"quiet text", t.quiet},
                                      {"words of the cold", t.coldText},
                                      {"words of harm", t.harm},
                                      {"words in yolk", t.yolkText},
                                      {"words that are good", t.good}})
            all.push_back({what, c, ground, 4.5});
        for (const auto& [what, c] : {std::pair{"field's border, groove, bar", t.edge},
                                      {"focus, what is chosen", t.ring},
                                      {"fridge's outline", t.cold},
                                      {"harm's border", t.harm}})
            all.push_back({what, c, ground, 3});
    }
    all.push_back({"text on a button", t.ink, t.ground, 4.5});
    all.push_back({"quiet text on a button", t.quiet, t.ground, 4.5});
    all.push_back({"text on what is chosen", t.ink, t.hairline, 4.5});
    all.push_back({"focus of a button", t.ring, t.ground, 3});
    all.push_back({"words on the alarm", t.harm, t.harmFill, 4.5});
    all.push_back({"text in a wrong field", t.ink, t.harmFill, 4.5});
    all.push_back({"words on a cold block", t.coldText, t.coldFill, 4.5});
    all.push_back({"text on yolk", QColor(0x2A, 0x1A, 0x12), t.yolk, 4.5});
    return all;
}

}  // namespace

TEST_CASE("text reaches 4.5 to 1 and what must be seen 3 to 1, on every ground, light and dark") {
    for (const Theme& t : {lightTheme(), darkTheme()})
        for (const auto& p : pairs(t)) {
            INFO((t.dark ? "dark: " : "light: ")
                 << p.what << ", " << p.seen.name().toStdString() << " on " << p.ground.name().toStdString());
            CHECK(contrast(p.seen, p.ground) >= p.least);
        }
}

TEST_CASE("the table of contrasts, to read", "[.][contrast]") {
    for (const Theme& t : {lightTheme(), darkTheme()})
        for (const auto& p : pairs(t))
            std::cout << (t.dark ? "dark  " : "light ") << p.what << " " << p.seen.name().toStdString() << " on "
                      << p.ground.name().toStdString() << " " << contrast(p.seen, p.ground) << " (" << p.least << ")\n";
}

TEST_CASE("every chocolate stands out from paper and card: by itself, or by the line round it") {
    Program p;
    for (const bool dark : {false, true}) {
        setDarkTheme(dark);
        for (const auto& c : p.session.library().chocolates) {
            const QColor fill = chocolateColour(c.id);
            const QPen edge = edgeOf(fill);
            const QColor seen = edge.style() == Qt::NoPen ? fill : edge.color();
            INFO((dark ? "dark: " : "light: ") << c.id);
            CHECK(contrast(seen, theme().paper) >= 3);
            CHECK(contrast(seen, theme().card) >= 3);
        }
    }
    setDarkTheme(false);
}

TEST_CASE("a picture of dark chocolate has a line of light round it on the dark ground, and none on paper") {
    const auto lines = [](QRgb rim) {
        const QImage picture = familyThumbnail("half-ball", QSize(160, 120), rim);
        int bright = 0;
        for (int y = 0; y < picture.height(); ++y)
            for (int x = 1; x + 1 < picture.width(); ++x) {
                const QColor c = picture.pixelColor(x, y);
                const bool atEdge =
                    picture.pixelColor(x - 1, y).alpha() < 40 || picture.pixelColor(x + 1, y).alpha() < 40;
                bright += atEdge && c.alpha() > 60 && contrast(c, darkTheme().card) >= 3;
            }
        return bright;
    };
    const int with = lines(darkTheme().chocEdge.rgb()), without = lines(0);
    INFO(with << " with, " << without << " without");
    CHECK(with > 60);
    CHECK(with > 3 * without);
}

}  // namespace contrast_test
