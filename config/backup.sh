# Backups by PostgreSQL's own programs: the whole database in one file, and back. Sourced by the launcher.

# bk_connect: the connection of the garage's database: ours as its administrator, another one as it was given.
bk_connect() {
    if [ -n "${SPRING_DATASOURCE_URL:-}" ]; then
        local at=${SPRING_DATASOURCE_URL#jdbc:postgresql://}
        at=${at%%\?*}
        PGDATABASE=${at#*/}
        at=${at%%/*}
        PGHOST=${at%%:*}
        case $at in *:*) PGPORT=${at##*:} ;; *) PGPORT=5432 ;; esac
        PGUSER=${SPRING_DATASOURCE_USERNAME:?}
        PGPASSWORD=${SPRING_DATASOURCE_PASSWORD:?}
    else
        PGDATABASE=isotherm
        PGHOST=127.0.0.1
        PGPORT=$(pg_port "$ISOTHERM_HOME/postgres")
        PGUSER=isotherm
        PGPASSWORD=$(cat "$ISOTHERM_HOME/postgres.secret")
    fi
    export PGDATABASE PGHOST PGPORT PGUSER PGPASSWORD
}

# The client programs of our own database's version, or the newest ones for another database.
bk_bin() {
    if [ -n "${SPRING_DATASOURCE_URL:-}" ]; then pg_bin; else pg_bin "$(pg_dir "$ISOTHERM_HOME/postgres")"; fi
}

# bk_progress TOTAL WHAT: counts lines of a program that tells each table, and shows how far it is on a terminal.
bk_progress() {
    local n=0 line
    while read -r line; do
        case $line in
            *"dumping contents of table"* | *"processing data for table"*)
                n=$((n + 1))
                [ ! -t 2 ] || printf '\risotherm: %s, table %d of %d ' "$2" "$n" "$1" >&2
                ;;
            *error:* | *"could not"*) printf 'isotherm: %s\n' "$line" >&2 ;;
        esac
    done
    [ ! -t 2 ] || printf '\n' >&2
}

# bk_write FILE: whole or not at all. Who is signed in just now does not go along: a file opens nobody's session.
bk_write() (
    set -o pipefail
    bk_connect
    umask 077
    local part=$1.part tables
    tables=$("$(bk_bin)/psql" -Atc "select count(*) from pg_tables where schemaname = 'public'") || exit 1
    trap 'rm -f "$part"' EXIT
    "$(bk_bin)/pg_dump" -Fc --no-owner --no-acl --verbose --exclude-table-data='spring_session*' \
        --exclude-table-data=sign_in_attempt --file="$part" 2>&1 | bk_progress "$tables" "backup" || exit 1
    [ -s "$part" ] && mv "$part" "$1"
)

# bk_read FILE: into a database of its own first; it takes the garage's place when it is whole. The one before is kept.
bk_read() (
    set -o pipefail
    bk_connect
    local bin tables fresh before
    bin=$(bk_bin)
    tables=$("$bin/pg_restore" --list "$1" 2>/dev/null | grep -c 'TABLE DATA') || {
        printf 'isotherm: %s is not an Isotherm backup. Nothing was changed.\n' "$1" >&2
        exit 1
    }
    fresh=isotherm_restored_$$
    before=isotherm_before_$(date +%Y%m%d_%H%M%S)
    "$bin/psql" -d postgres -qc "create database $fresh template template0" || exit 1
    if ! "$bin/pg_restore" --no-owner --no-acl --exit-on-error --verbose --dbname="$fresh" "$1" 2>&1 |
        bk_progress "$tables" "restore"; then
        "$bin/psql" -d postgres -qc "drop database $fresh"
        printf 'isotherm: the backup is damaged or incomplete. Nothing was changed.\n' >&2
        exit 1
    fi
    "$bin/psql" -d postgres -q -v ON_ERROR_STOP=1 <<SQL || exit 1
begin;
alter database $PGDATABASE rename to $before;
alter database $fresh rename to $PGDATABASE;
commit;
SQL
    printf 'isotherm: restored. The garage before it is kept in the database %s.\n' "$before" >&2
)

# bk_nightly: one each night, and so many of them; the oldest go.
bk_nightly() {
    local folder=$ISOTHERM_HOME/backups keep=${ISOTHERM_BACKUPS:-7} file
    [ "$keep" -gt 0 ] || return 0
    [ -z "$(find "$folder" -name '*.dump' -newermt "$(date +%F) 00:00" 2>/dev/null)" ] || return 0
    mkdir -p "$folder" && chmod 700 "$folder" || return 1
    file=$folder/garage-$(date +%F).dump
    bk_write "$file" 2>>"$folder/backup.log" || return 1
    find "$folder" -name 'garage-*.dump' -printf '%f\n' | sort -r | tail -n +$((keep + 1)) | while read -r old; do
        rm -f "${folder:?}/$old"
    done
}

# Starts our own database when it is not there, and stops it again after a command that wanted it.
with_database() {
    if [ -n "${SPRING_DATASOURCE_URL:-}" ]; then
        "$@"
        return
    fi
    [ -d "$(pg_dir "$ISOTHERM_HOME/postgres")" ] || [ "$1" = bk_read ] || die "there is no garage in $ISOTHERM_HOME"
    local started=no status=0
    if ! pg_running "$(pg_dir "$ISOTHERM_HOME/postgres")"; then
        started=yes
        pg_start "$ISOTHERM_HOME/postgres" || exit 1
    fi
    "$@" || status=$?
    [ $started = no ] || pg_stop "$ISOTHERM_HOME/postgres"
    return $status
}

backup() {
    [ -n "$1" ] || die "name the file: isotherm backup FILE"
    [ ! -e "$1" ] || die "$1 is there already; choose another file name"
    need_packages start
    local begun=$SECONDS
    with_database bk_write "$1" || die "no backup was made"
    say "$1 holds the whole garage, $(du -h "$1" | cut -f1), $((SECONDS - begun)) s. Copy it to another disk."
}

restore() {
    [ -n "$1" ] || die "name the file: isotherm restore FILE"
    [ -r "$1" ] || die "$1 cannot be read"
    need_packages start
    home_ready "$ISOTHERM_HOME" || exit 1
    home_lock "$ISOTHERM_HOME" || die "Isotherm runs with $ISOTHERM_HOME; stop it first"
    local begun=$SECONDS
    with_database bk_read "$1" || die "nothing was restored"
    say "done after $((SECONDS - begun)) s; the next start upgrades it where it is from an older version"
}
