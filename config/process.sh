# Whose process is it? A process id alone says nothing: it is given again to somebody else. Sourced by the launcher.

# proc_identity PID: the moment at which the process began, in ticks since the machine did; nothing when there is none.
proc_identity() {
    local stat
    stat=$(cat "/proc/$1/stat" 2>/dev/null) || return 0
    # The name in brackets may hold blanks; the 20th field after it is the start time in ticks.
    stat=${stat##*) }
    # shellcheck disable=SC2086 # words are wanted
    set -- $stat
    printf '%s' "${20}"
}

# proc_alive PID: whether it runs; one that has ended and that nobody has asked after does not.
proc_alive() { [ -n "$(proc_command "$1")" ]; }

proc_command() { tr '\0' ' ' 2>/dev/null <"/proc/$1/cmdline" || true; }

# server_write PIDFILE PID URL
server_write() { printf '%s\n%s\n%s\n' "$2" "$3" "$(proc_identity "$2")" >"$1"; }

# server_is_ours PIDFILE: whether the process that the file names is the server that wrote it.
server_is_ours() {
    local pid identity
    [ -f "$1" ] || return 1
    pid=$(sed -n 1p "$1")
    identity=$(sed -n 3p "$1")
    case $pid in '' | *[!0-9]*) return 1 ;; esac
    case $(proc_command "$pid") in *isotherm.jar*) ;; *) return 1 ;; esac
    # Files of earlier versions hold none, or the boot's id before it, which differs between a service and a terminal where the
    # service has a /proc of its own.
    [ -z "$identity" ] || [ "${identity##*/}" = "$(proc_identity "$pid")" ]
}

# home_ready HOME: a clear refusal where nothing can be written or hardly anything fits.
home_ready() {
    local free least=${ISOTHERM_LEAST_FREE_MB:-100}
    # Only a new one is closed to others: the database's user has to get through one that is in use.
    [ -d "$1" ] || { mkdir -p "$1" && chmod 700 "$1"; } 2>/dev/null || true
    if [ ! -d "$1" ] || ! (: >>"$1/lock") 2>/dev/null; then
        say "$1 cannot be written. Choose a folder of your own with ISOTHERM_HOME, or make this one writable."
        return 1
    fi
    free=$(df -Pm "$1" | awk 'NR == 2 { print $4 }')
    if [ "${free:-0}" -lt "$least" ]; then
        say "only $free MB are free where $1 is; at least $least MB are needed. Make room and start again; nothing was changed."
        return 1
    fi
}

# home_lock HOME: held by file descriptor 9 as long as this launcher or its server lives.
home_lock() {
    exec 9>>"$1/lock"
    flock -n 9
}
