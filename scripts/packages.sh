# Sourced by start and check: makes sure that what a build needs is installed. Says in one sentence why it cannot.
# $1: packages, separated by spaces.
uovo_need_packages() {
    local missing=() p
    command -v dpkg-query >/dev/null 2>&1 && command -v apt-get >/dev/null 2>&1 || {
        echo "Uovo installs itself from Debian's packages, and this is not a Debian system: build it by hand as CMakeLists.txt says." >&2
        return 1
    }
    . /etc/os-release
    [ "${VERSION_ID:-0}" = "12" ] && [ "${ID:-}" = "debian" ] ||
        echo "Note: Uovo is built and tested on Debian 12; this is ${PRETTY_NAME:-another system}." >&2
    for p in $1; do
        [ "$(dpkg-query -W -f='${db:Status-Status}' "$p" 2>/dev/null)" = installed ] || missing+=("$p")
    done
    [ ${#missing[@]} -eq 0 ] && return 0
    local sudo=""
    if [ "$(id -u)" != 0 ]; then
        command -v sudo >/dev/null 2>&1 || {
            echo "These packages are missing and only root can install them: ${missing[*]}" >&2
            return 1
        }
        sudo="sudo"
    fi
    echo "Installing ${missing[*]}"
    local log
    log=$(mktemp)
    if ! $sudo apt-get -o DPkg::Lock::Timeout=600 update >"$log" 2>&1 ||
        ! $sudo env DEBIAN_FRONTEND=noninteractive apt-get -o DPkg::Lock::Timeout=600 install --no-install-recommends -y "${missing[@]}" >>"$log" 2>&1; then
        tail -n 5 "$log" >&2
        rm -f "$log"
        echo "The packages could not be installed: is there a network, and does apt reach its mirrors?" >&2
        return 1
    fi
    rm -f "$log"
}
UOVO_BUILD="g++ clang-19 cmake ninja-build ccache qt6-base-dev qt6-l10n-tools qt6-serialport-dev qt6-multimedia-dev qt6-speech-dev libqt6opengl6-dev libgl1-mesa-dri libgecode-dev libfmt-dev nlohmann-json3-dev libexpected-dev catch2 libboost-dev libcgal-dev libassimp-dev libpugixml-dev libzip-dev coinor-libclp-dev libpolyclipping-dev libpotrace-dev libical-dev libsqlite3-dev libsqlitecpp-dev pkg-config libeigen3-dev libsuitesparse-dev libopenblas0-pthread"
UOVO_TEST="minizinc clang-format clang-tidy-19 libclang-rt-19-dev xvfb xauth units poppler-utils fonts-cabin admesh openscad calculix-ccx libnlopt-cxx-dev gettext lintian appstream desktop-file-utils dpkg-dev man-db"

# What another compiler was configured with is begun anew: CMake would keep the half of it. uovo_same_compiler DIR
uovo_same_compiler() {
    if [ -f "$1/CMakeCache.txt" ] && ! grep -q '^CMAKE_CXX_COMPILER:.*clang++-19$' "$1/CMakeCache.txt"; then
        rm -rf "$1/CMakeCache.txt" "$1/CMakeFiles"
    fi
}
