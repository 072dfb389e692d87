# PostgreSQL of our own, from Debian's binaries: loopback only, password, never as root. Nothing is ever deleted here.
# Sourced by the launcher.

pg_say() { printf 'isotherm: %s\n' "$*" >&2; }

# pg_bin [DATA]: the programs of the version that made this data, or the newest installed ones.
pg_bin() {
    local version=''
    [ -z "${1:-}" ] || version=$(cat "$1/PG_VERSION" 2>/dev/null || true)
    [ -n "$version" ] ||
        version=$(find /usr/lib/postgresql -maxdepth 1 -mindepth 1 -printf '%f\n' 2>/dev/null | sort -n | tail -n 1)
    [ -n "$version" ] && [ -x "/usr/lib/postgresql/$version/bin/initdb" ] && echo "/usr/lib/postgresql/$version/bin"
}

# Runs a server program as a user who is not root, with no way back. The launcher's lock stays with the launcher, and PostgreSQL
# would tell the service manager that everything is ready when it alone is.
pg_as() {
    if [ "$(id -u)" -eq 0 ]; then
        (cd / && unset NOTIFY_SOCKET && exec 9>&- 7>&- && setpriv --reuid=postgres --regid=postgres --init-groups --reset-env "$@")
    else
        (cd / && unset NOTIFY_SOCKET && exec 9>&- 7>&- && "$@")
    fi
}

# Data of root's own home cannot be reached by the postgres user: it goes to /var/lib then.
pg_dir() {
    if [ "$(id -u)" -eq 0 ] && ! pg_as test -x "$(dirname "$1")" 2>/dev/null; then
        echo "/var/lib/isotherm/$(printf '%s' "$1" | sha256sum | cut -c1-12)"
    else
        echo "$1"
    fi
}

# pg_works PID DATA: whether this process is PostgreSQL's and works in this data directory.
pg_works() {
    [ "/proc/$1/cwd" -ef "$2" ] || return 1
    # A package that is renewed meanwhile leaves its old program at work.
    case $(readlink "/proc/$1/exe" 2>/dev/null) in */postgres | */postgres' (deleted)') ;; *) return 1 ;; esac
}

# pg_processes DATA: every process that works in this data directory, the database server's children too.
pg_processes() {
    local at
    for at in /proc/[0-9]*; do
        ! pg_works "${at#/proc/}" "$1" || echo "${at#/proc/}"
    done
}

# pg_running DATA: whether the process that postmaster.pid names is this directory's server.
pg_running() {
    local pid
    pid=$(pg_line "$1" 1) || return 1
    case $pid in '' | *[!0-9]*) return 1 ;; esac
    pg_works "$pid" "$1" || pg_hidden "$pid" "$1"
}

# pg_hidden PID DATA: whether this is a PostgreSQL that may not be looked into and that began when postmaster.pid says.
pg_hidden() {
    local stat begun boot
    [ "$(cat "/proc/$1/comm" 2>/dev/null)" = postgres ] && ! readlink "/proc/$1/cwd" >/dev/null 2>&1 || return 1
    stat=$(cat "/proc/$1/stat" 2>/dev/null) || return 1
    begun=$(printf '%s' "${stat##*) }" | cut -d' ' -f20)
    boot=$(sed -n 's/^btime //p' /proc/stat)
    begun=$((boot + begun / $(getconf CLK_TCK) - $(pg_line "$2" 3)))
    [ "${begun#-}" -le 5 ]
}

pg_line() { # pg_line DATA N: a line of postmaster.pid
    if [ "$(id -u)" -eq 0 ]; then pg_as sed -n "$2p" "$1/postmaster.pid" 2>/dev/null; else sed -n "$2p" "$1/postmaster.pid" 2>/dev/null; fi
}

pg_port() { pg_line "$(pg_dir "$1")" 4; }

pg_secret() { # a new password in a file of its own, unless there is one
    [ -s "$1" ] || (umask 077 && head -c 24 /dev/urandom | base64 | tr -d '/+=\n' >"$1")
}

# pg_init DIR DATA BIN: a new cluster in a folder that is not there or empty; anything else there is left as it is.
pg_init() {
    local dir=$1 data=$2 bin=$3
    if [ -n "$(ls -A "$data" 2>/dev/null)" ]; then
        pg_say "$data holds something, but no database that can be started: its file PG_VERSION is missing."
        pg_say "Nothing was changed. If it is your garage, put PG_VERSION back (one line with the version of PostgreSQL, such as 15)"
        pg_say "or restore a copy of the folder. To begin with an empty garage, move the folder away or choose another ISOTHERM_HOME."
        return 1
    fi
    mkdir -p "$data" || return 1
    pg_secret "$dir.secret"
    local handed=$data.pw
    (umask 077 && cat "$dir.secret" >"$handed")
    [ "$(id -u)" -ne 0 ] || chown postgres:postgres "$data" "$handed"
    pg_as "$bin/initdb" -D "$data" -U isotherm --auth=scram-sha-256 --pwfile="$handed" -E UTF8 --locale=C.UTF-8 \
        --no-instructions >/dev/null
    local status=$?
    rm -f "$handed"
    return $status
}

# pg_clear DATA: a postmaster.pid that a power cut left behind is put aside when no process works in the directory.
pg_clear() {
    [ -n "$(pg_line "$1" 1)" ] || return 0
    local waited=0
    # Children of a killed server end by themselves within moments.
    while [ -n "$(pg_processes "$1")" ]; do
        if [ $waited -ge 50 ]; then
            pg_say "processes $(pg_processes "$1" | tr '\n' ' ')still work in $1 without their server; nothing was started. End them first."
            return 1
        fi
        waited=$((waited + 1))
        sleep 0.1
    done
    local aside
    aside=$1/postmaster.pid.stale-$(date +%Y%m%d-%H%M%S)
    pg_as mv "$1/postmaster.pid" "$aside" && pg_say "a stale postmaster.pid was put aside as $aside"
}

# pg_start DIR [PORT]: initialises when new, starts, creates database and role. Passwords, each 0600: the administrator's
# in DIR.secret, that of the application's role, which may do nothing but use its database, in DIR.app.secret.
pg_start() {
    local dir=$1 data bin port
    bin=$(pg_bin "$(pg_dir "$dir")") || {
        pg_say "the PostgreSQL server that this garage was made with is not installed: $(cat "$(pg_dir "$dir")/PG_VERSION" 2>/dev/null || echo any version)."
        pg_say "Install it (apt-get install postgresql-VERSION). Nothing was changed."
        return 1
    }
    if ! getent passwd "$(id -u)" >/dev/null; then
        pg_say "this user id ($(id -u)) has no entry in the user database, which PostgreSQL needs"
        return 1
    fi
    mkdir -p "$(dirname "$dir")" || return 1
    # The parent has to be passable for the postgres user; the data directory itself is 0700.
    [ "$(id -u)" -ne 0 ] || chmod 711 "$(dirname "$dir")"
    data=$(pg_dir "$dir")
    mkdir -p "$(dirname "$data")" || return 1
    if [ ! -f "$data/PG_VERSION" ]; then
        pg_init "$dir" "$data" "$bin" || return 1
    elif [ ! -s "$dir.secret" ]; then
        pg_say "$dir.secret, the password of the database in $data, is missing. Put it back from a copy; nothing was changed."
        return 1
    fi
    if ! pg_running "$data"; then
        pg_clear "$data" || return 1
        pg_launch "$bin" "$data" "${2:-}" || {
            pg_say "PostgreSQL did not start; see $data/server.log. Nothing was changed."
            return 1
        }
    fi
    pg_secret "$dir.app.secret"
    pg_role "$dir" "$bin" || { pg_say "the database in $data does not let its administrator in; see $data/server.log"; return 1; }
}

# pg_launch BIN DATA [PORT]: starts the server on this port, or on the first one that is free.
pg_launch() {
    local port=${3:-${ISOTHERM_PG_PORT:-15432}} log=(-l "$2/server.log") tries
    # A service's database writes to the journal, as the server does.
    if [ "${ISOTHERM_JOURNAL:-}" = yes ]; then
        log=()
        exec 8>&2
    else
        exec 8>/dev/null
    fi
    for tries in 1 2 3 4 5; do
        # Below the range from which outgoing connections take theirs: one of those may hold any port of it meanwhile.
        while [ -z "${3:-}" ] && (exec 3<>"/dev/tcp/127.0.0.1/$port") 2>/dev/null; do
            port=$((port + 1))
        done
        if pg_as "$1/pg_ctl" -D "$2" -w -t 600 "${log[@]}" \
            -o "-c listen_addresses=127.0.0.1 -c unix_socket_directories= -c port=$port ${ISOTHERM_PG_OPTIONS:-}" start >/dev/null 2>&8; then
            return 0
        fi
        # Another server that was starting too may have taken the port since it was looked at; any other reason stays.
        [ -z "${3:-}" ] && [ "$tries" -lt 5 ] && (exec 3<>"/dev/tcp/127.0.0.1/$port") 2>/dev/null || return 1
    done
}

# pg_role DIR BIN: the database belongs to a role that is no superuser; one of an earlier version is handed over to it.
pg_role() {
    local dir=$1 bin=$2 port
    port=$(pg_port "$dir")
    pg_sql() {
        # Passwords go by the environment: a command line can be read by every account of the machine.
        PGPASSWORD=$(cat "$dir.secret") ISOTHERM_APP_PASSWORD=$(cat "$dir.app.secret") \
            "$bin/psql" -h 127.0.0.1 -p "$port" -U isotherm -v ON_ERROR_STOP=1 -Atq -d "$1"
    }
    pg_sql postgres <<'SQL' || return 1
set client_min_messages = warning;
\getenv password ISOTHERM_APP_PASSWORD
select 'create role isotherm_app login nosuperuser nocreatedb nocreaterole'
    where not exists (select from pg_roles where rolname = 'isotherm_app') \gexec
alter role isotherm_app password :'password';
select 'create database isotherm owner isotherm_app'
    where not exists (select from pg_database where datname = 'isotherm') \gexec
alter database isotherm owner to isotherm_app;
SQL
    pg_sql isotherm <<'SQL'
set client_min_messages = warning;
alter schema public owner to isotherm_app;
select format('alter table public.%I owner to isotherm_app', tablename)
    from pg_tables where schemaname = 'public' and tableowner <> 'isotherm_app' \gexec
SQL
}

pg_stop() { # stops this directory's own server, and no other process that has got its id since
    local data bin
    data=$(pg_dir "$1")
    bin=$(pg_bin "$data") || return 0
    if pg_running "$data"; then
        pg_as "$bin/pg_ctl" -D "$data" -m fast -w stop >/dev/null 2>&1 || true
    fi
}
