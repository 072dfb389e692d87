# Checks for the programs of config/programs and installs what is missing. Sourced by the launcher.

# phase_needs PHASE NEEDED: whether a command of this phase uses programs of the phase NEEDED.
phase_needs() {
    case $1/$2 in
        start/start | build/start | build/build | fresh/fresh | fresh/package) return 0 ;;
        test/start | test/build | test/test | package/start | package/build | package/package) return 0 ;;
        *) return 1 ;;
    esac
}

has_program() {
    case $1 in
        # Any version that a garage can be created with; the garage's own version is checked when it starts.
        postgres) pg_bin >/dev/null || { [ "$2" != test ] && [ -n "${SPRING_DATASOURCE_URL:-}" ]; } ;;
        # The pinned Node brings its own npm; Debian's is used once, to fetch it.
        npm) node_is_there || command -v npm >/dev/null 2>&1 ;;
        java) command -v java >/dev/null 2>&1 && [ "$(java_release)" -ge 17 ] ;;
        # Ordinary users do not have the folders of the system's programs on their path.
        *) command -v "$1" >/dev/null 2>&1 || [ -x "/usr/sbin/$1" ] || [ -x "/sbin/$1" ] ;;
    esac
}

# The release of the Java on the path, from the file beside it; 17 where there is no such file.
java_release() {
    local release
    release=$(readlink -f "$(command -v java)")
    release=$(sed -n 's/^JAVA_VERSION="\([0-9]*\).*/\1/p' "${release%/bin/java}/release" 2>/dev/null)
    echo "${release:-17}"
}

# missing_programs PHASE: a line "program package" for each one that is not there.
missing_programs() {
    local program package phase
    while read -r program package phase; do
        case $program in '' | '#'*) continue ;; esac
        if [ "$package" != - ] && phase_needs "$1" "$phase" && ! has_program "$program" "$1"; then
            echo "$program $package"
        fi
    done <"$here/config/programs"
}

# need_packages PHASE: installs everything that the phase lacks in one go, or prints the one command that does.
need_packages() {
    local missing programs packages
    missing=$(missing_programs "$1")
    [ -n "$missing" ] || return 0
    programs=$(printf '%s\n' "$missing" | cut -d' ' -f1 | sort -u | tr '\n' ' ')
    packages=$(printf '%s\n' "$missing" | cut -d' ' -f2 | sort -u | tr '\n' ' ')
    local as=()
    if [ "$(id -u)" -ne 0 ]; then
        if command -v sudo >/dev/null 2>&1 && sudo -n true 2>/dev/null; then
            as=(sudo -n)
        else
            say "these programs are missing: ${programs% }. Install them as root, then run this command again:"
            echo "apt-get update && apt-get install -y --no-install-recommends ${packages% }" >&2
            exit 1
        fi
    fi
    say "installing with apt: ${packages% }"
    local log
    log=$(mktemp)
    # shellcheck disable=SC2086 # one word for each package
    if ! { "${as[@]}" apt-get update -qq &&
        "${as[@]}" env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends $packages; } >"$log" 2>&1; then
        tail -n 15 "$log" >&2
        rm -f "$log"
        die "apt could not install: ${packages% }"
    fi
    rm -f "$log"
    hash -r
    missing=$(missing_programs "$1")
    [ -z "$missing" ] || die "still missing after the installation: $(printf '%s\n' "$missing" | cut -d' ' -f1 | tr '\n' ' ')"
}
