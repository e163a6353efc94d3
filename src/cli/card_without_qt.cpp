#include <cstdio>

#include "cli/card.h"

namespace uovo::cli {
int card(const std::vector<std::string>&, int, char**) {
    std::fputs("uovo-cli: this build has no Qt, and the card is painted with it\n", stderr);
    return 1;
}
int templates(const std::vector<std::string>&, int, char**) {
    std::fputs("uovo-cli: this build has no Qt, and templates are painted with it\n", stderr);
    return 1;
}
}  // namespace uovo::cli
