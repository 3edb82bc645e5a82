# Sourced by the other scripts: where things are, and what must be installed.
set -euo pipefail
root=$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)
cd "$root"
bin="$root/build/release/bin"

# Installs what packages.txt lists and dpkg does not know as installed; without root, prints the one line to run.
install_packages() {
    local missing=() name
    while read -r name _; do
        case $name in ''|\#*) continue ;; esac
        dpkg-query -W -f='${Status}' "$name" 2>/dev/null | grep -q 'install ok installed' || missing+=("$name")
    done < packages.txt
    [ ${#missing[@]} -eq 0 ] && return 0
    if [ "$(id -u)" -ne 0 ]; then
        echo "These packages are missing. Run:  sudo apt-get install ${missing[*]}" >&2
        exit 1
    fi
    echo "installing: ${missing[*]}" >&2
    apt-get update -qq >&2
    DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "${missing[@]}" >&2
}

# build TARGET…: configures once and builds Release, quietly unless something fails.
build() {
    install_packages
    local log
    log=$(mktemp)
    if ! { cmake --preset release && cmake --build --preset release ${1:+--target "$@"}; } >"$log" 2>&1; then
        cat "$log" >&2
        rm -f "$log"
        exit 1
    fi
    rm -f "$log"
}
