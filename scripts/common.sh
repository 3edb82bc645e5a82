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
    echo "Installing what is missing: ${missing[*]}" >&2
    apt-get update -qq >&2
    local install=(install -y -q --no-install-recommends "${missing[@]}") total
    total=$(apt-get -s "${install[@]}" | grep -c '^Inst ')
    DEBIAN_FRONTEND=noninteractive scripts/progress apt "$total" "${install[@]}"
}

# configure: describes the build, quietly unless it fails.
configure() {
    local log status=0
    log=$(mktemp)
    cmake --preset release >"$log" 2>&1 || status=$?
    [ "$status" -eq 0 ] || cat "$log" >&2
    rm -f "$log"
    return "$status"
}

# build TARGET…: builds Release, and says on the way how far it is.
build() {
    install_packages
    echo "Building ${*:-everything}" >&2
    configure
    scripts/progress ninja -C build/release "$@"
}
