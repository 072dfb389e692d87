# PostgreSQL of our own, from Debian's binaries: loopback only, password, never as root. Sourced by the launcher.

pg_bin() {
    local newest
    newest=$(find /usr/lib/postgresql -maxdepth 1 -mindepth 1 -printf '%f\n' 2>/dev/null | sort -n | tail -n 1)
    [ -n "$newest" ] && [ -x "/usr/lib/postgresql/$newest/bin/initdb" ] && echo "/usr/lib/postgresql/$newest/bin"
}

# Runs a server program as a user who is not root, with no way back.
pg_as() {
    if [ "$(id -u)" -eq 0 ]; then
        (cd / && setpriv --reuid=postgres --regid=postgres --init-groups --reset-env "$@")
    else
        (cd / && "$@")
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

pg_start() { # pg_start DIR: initialises when new, starts, creates the database; the password is in DIR.secret (0600)
    local data secret bin
    secret=$1.secret
    bin=$(pg_bin) || { echo "isotherm: PostgreSQL's server is not installed (apt-get install postgresql)" >&2; return 1; }
    if ! getent passwd "$(id -u)" >/dev/null; then
        echo "isotherm: this user id ($(id -u)) has no entry in the user database, which PostgreSQL needs" >&2
        return 1
    fi
    mkdir -p "$(dirname "$1")"
    # The parent has to be passable for the postgres user; the data directory itself is 0700.
    [ "$(id -u)" -ne 0 ] || chmod 711 "$(dirname "$1")"
    data=$(pg_dir "$1")
    if [ ! -f "$data/PG_VERSION" ]; then
        rm -rf "$data"
        mkdir -p "$data"
        (umask 077 && head -c 24 /dev/urandom | base64 | tr -d '/+=\n' >"$secret")
        local handed=$data.pw
        (umask 077 && cat "$secret" >"$handed")
        if [ "$(id -u)" -eq 0 ]; then
            mkdir -p "$(dirname "$data")"
            chown postgres:postgres "$data" "$handed"
        fi
        pg_as "$bin/initdb" -D "$data" -U isotherm --auth=scram-sha-256 --pwfile="$handed" -E UTF8 --locale=C.UTF-8 \
            --no-instructions >/dev/null
        rm -f "$handed"
    fi
    if ! pg_as "$bin/pg_ctl" -D "$data" status >/dev/null 2>&1; then
        local port=${ISOTHERM_PG_PORT:-54321}
        while (exec 3<>"/dev/tcp/127.0.0.1/$port") 2>/dev/null; do
            port=$((port + 1))
        done
        pg_as "$bin/pg_ctl" -D "$data" -w -t 60 -l "$data/server.log" \
            -o "-c listen_addresses=127.0.0.1 -c unix_socket_directories= -c port=$port" start >/dev/null ||
            { echo "isotherm: PostgreSQL did not start; see $data/server.log" >&2; return 1; }
    fi
    local port
    port=$(pg_port "$1")
    PGPASSWORD=$(cat "$secret") "$bin/psql" -h 127.0.0.1 -p "$port" -U isotherm -d postgres -Atqc \
        "select 1 from pg_database where datname = 'isotherm'" | grep -q 1 ||
        PGPASSWORD=$(cat "$secret") "$bin/createdb" -h 127.0.0.1 -p "$port" -U isotherm isotherm
}

pg_port() { # the port stands in line 4 of postmaster.pid
    local data
    data=$(pg_dir "$1")
    if [ "$(id -u)" -eq 0 ]; then pg_as sed -n 4p "$data/postmaster.pid"; else sed -n 4p "$data/postmaster.pid"; fi
}

pg_stop() {
    local data bin
    data=$(pg_dir "$1")
    bin=$(pg_bin) || return 0
    pg_as "$bin/pg_ctl" -D "$data" -m fast -w stop >/dev/null 2>&1 || true
}
