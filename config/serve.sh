# Starts the server, watches it and stops it. Sourced by the launcher.

free_port() {
    local port=$1
    while (exec 3<>"/dev/tcp/127.0.0.1/$port") 2>/dev/null; do
        port=$((port + 1))
    done
    echo "$port"
}

# What the server answers; one over TLS is known by its own authority.
ask() {
    case $1 in
        https:*) curl -fs --cacert "$ISOTHERM_HOME/tls/authority.crt" "$1" ;;
        *) curl -fs "$1" ;;
    esac
}

# Starts the server on a port and waits until it answers; fails when it ends before.
start_server() {
    local port=$1 begun=$SECONDS told=$SECONDS lan=() names=${ISOTHERM_NAMES:-}
    base=http://127.0.0.1:$port
    if [ "$3" = yes ]; then
        base=https://localhost:$port
        lan=(--server.address=0.0.0.0 --isotherm.together=true --isotherm.names="${names// /,}"
            --server.ssl.key-store="$ISOTHERM_HOME/tls/server.p12" --server.ssl.key-store-type=PKCS12)
        SERVER_SSL_KEY_STORE_PASSWORD=$(cat "$ISOTHERM_HOME/tls/secret")
        export SERVER_SSL_KEY_STORE_PASSWORD
    fi
    local gauges=${ISOTHERM_GAUGES:-}
    if [ -n "$gauges" ]; then
        lan+=(--isotherm.gauges.port="${gauges##*:}")
        case $gauges in *:*) lan+=(--isotherm.gauges.address="${gauges%:*}") ;; esac
    fi
    local compiled=late
    [ "$2" = false ] || compiled=quick
    app_java $compiled --server.port="$port" --isotherm.demo="$2" --isotherm.home="$ISOTHERM_HOME" \
        --logging.file.name="$ISOTHERM_HOME/log.jsonl" "${lan[@]}" >&7 2>&1 &
    server_pid=$!
    server_write "$server_pidfile" "$server_pid" "$base/"
    # A port that is not open yet need not be asked, which would take a program of its own ten times a second.
    until (exec 3<>"/dev/tcp/127.0.0.1/$port") 2>/dev/null && ask "$base/actuator/health/readiness" >/dev/null; do
        if ! kill -0 "$server_pid" 2>/dev/null; then
            [ -f "$server_log" ] || return 1
            tail -n 12 "$server_log" >&2
            # The other program may have ended since.
            ! tail -n 12 "$server_log" | grep -q "Port $port was already in use" || return 2
            return 1
        fi
        if [ $((SECONDS - told)) -ge 30 ]; then
            told=$SECONDS
            say "still waiting for the server, $((SECONDS - begun)) s: a slow machine, or a large garage that is being upgraded"
            notify "EXTEND_TIMEOUT_USEC=120000000"
        fi
        [ $((SECONDS - begun)) -lt 1800 ] || die "the server did not answer within 30 minutes"
        sleep 0.1
    done
}

# Tells the service manager, where there is one.
notify() { [ -z "${NOTIFY_SOCKET:-}" ] || systemd-notify "$@" || true; }

# Each night, and at a start after one that was missed: beside the server, which does not wait for it.
nightly_backup() {
    [ "$1" -ge "$backup_due" ] || return 0
    backup_due=$(($1 + 600))
    (exec 9>&- 7>&-; nice -n 19 bash -c '. "$1/config/postgres.sh"; . "$1/config/backup.sh"; bk_nightly' bash "$here") \
        >/dev/null 2>&1 &
}

# Waits for the server's end. A database of ours that ends before is started again, on the port that the server knows.
watch_server() {
    local database_port=$1 silent=no data='' database_pid=''
    if [ -n "$database_port" ]; then
        data=$(pg_dir "$ISOTHERM_HOME/postgres")
        database_pid=$(pg_line "$data" 1) || true
    fi
    # The first look is not while somebody waits for the first answers.
    backup_due=$((SECONDS + ${ISOTHERM_BACKUP_AFTER:-60}))
    while kill -0 "$server_pid" 2>/dev/null; do
        # Its one process is looked at: a look at all of the machine's would be felt once a second.
        if [ -n "$data" ] && ! pg_works "$database_pid" "$data"; then
            [ $silent = yes ] || say "PostgreSQL has ended; it is started again. Entries that wait in open pages are sent automatically."
            pg_start "$ISOTHERM_HOME/postgres" "$database_port" && silent=no || silent=yes
            database_pid=$(pg_line "$data" 1) || true
        fi
        nightly_backup "$SECONDS"
        sleep 1 &
        wait $! || true
    done
    wait "$server_pid"
}

# Prints the addresses for other devices, the fingerprint of the authority and, while there is no owner, a code.
tell_lan() {
    local address
    echo "Isotherm is at $base/   (Ctrl-C stops it and keeps the data)"
    for address in $(hostname -I 2>/dev/null); do
        case $address in
            fe80:*) ;;
            *:*) echo "               https://[$address]:$1/" ;;
            *) echo "               https://$address:$1/" ;;
        esac
    done
    echo "On a phone, install the certificate from /api/authority.crt ($ISOTHERM_HOME/tls/authority.crt). Compare its fingerprint first:"
    echo "  $(tls_fingerprint "$ISOTHERM_HOME/tls/authority.crt")"
    if ask "$base/api/me" | grep -q '"ownerless":true'; then
        owner
    fi
}

# A code that makes the person who enters it an owner. Access to this terminal is the proof of ownership.
owner() {
    [ -d "$ISOTHERM_HOME" ] || die "there is no garage in $ISOTHERM_HOME"
    local code
    code=$(LC_ALL=C tr -dc 'ABCDEFGHJKMNPQRSTVWXYZ23456789' </dev/urandom | head -c 12 | sed 's/..../&-/g; s/-$//' || true)
    (umask 077 && printf '%s\n' "$code" >"$ISOTHERM_HOME/owner.code")
    echo "To become an owner, open /join within an hour and enter this code:  $code"
}

serve() {
    build
    home_ready "$ISOTHERM_HOME" || exit 1
    # Global, since the traps run when this function is over.
    server_pidfile=$ISOTHERM_HOME/server.pid
    server_log=$ISOTHERM_HOME/server.log
    server_pid=
    sharing_pid=
    own_database=no
    local waited=0
    until home_lock "$ISOTHERM_HOME"; do
        if server_is_ours "$server_pidfile"; then
            say "already running at $(sed -n 2p "$server_pidfile")"
            return
        fi
        # One that is stopping lets go within moments.
        [ $waited -lt 50 ] || die "another start with $ISOTHERM_HOME is under way; try again in a moment"
        waited=$((waited + 1))
        sleep 0.2
    done
    # shellcheck disable=SC2329 # called by the trap
    finish() {
        trap - INT TERM EXIT
        [ -z "$sharing_pid" ] || kill "$sharing_pid" 2>/dev/null || true
        if [ -n "$server_pid" ]; then
            kill "$server_pid" 2>/dev/null || true
            wait "$server_pid" 2>/dev/null || true
            rm -f "$server_pidfile"
        fi
        [ "$own_database" = no ] || pg_stop "$ISOTHERM_HOME/postgres"
    }
    trap 'finish; exit 0' INT TERM
    trap finish EXIT
    # A service's output goes to its journal, anything else to a file; the one before a long one is kept.
    if [ "${ISOTHERM_JOURNAL:-}" = yes ]; then
        server_log=
        exec 7>&1
        say "starting the server"
    else
        if [ -f "$server_log" ] && [ "$(wc -c <"$server_log")" -gt 5000000 ]; then
            mv "$server_log" "$server_log.1"
        fi
        exec 7>>"$server_log"
        say "starting the server; its log is $server_log"
    fi
    local database_port='' begun=$SECONDS
    if [ -z "${SPRING_DATASOURCE_URL:-}" ]; then
        local new=no
        own_database=yes
        [ -f "$(pg_dir "$ISOTHERM_HOME/postgres")/PG_VERSION" ] || new=yes
        pg_start "$ISOTHERM_HOME/postgres" || exit 1
        say "database: PostgreSQL, data in $(pg_dir "$ISOTHERM_HOME/postgres")"
        before_upgrade $new || exit 1
        database_port=$(pg_port "$ISOTHERM_HOME/postgres")
        export SPRING_DATASOURCE_URL="jdbc:postgresql://127.0.0.1:$database_port/isotherm"
        export SPRING_DATASOURCE_USERNAME=isotherm_app
        SPRING_DATASOURCE_PASSWORD=$(cat "$ISOTHERM_HOME/postgres.app.secret")
        export SPRING_DATASOURCE_PASSWORD
    fi
    local port tries=0
    port=${ISOTHERM_PORT:-$(free_port 8321)}
    [ "$port" = "$(free_port "$port")" ] || die "port $port is used by another program; choose another port with ISOTHERM_PORT"
    if [ "$2" = yes ]; then
        tls_ready "$ISOTHERM_HOME/tls" || die "creating the certificates in $ISOTHERM_HOME/tls failed"
    fi
    local status
    while true; do
        status=0
        start_server "$port" "$1" "$2" || status=$?
        [ $status -ne 0 ] || break
        # Another program may have taken the port since it was looked at.
        [ $status -eq 2 ] || [ "$port" != "$(free_port "$port")" ] || die "the server stopped while starting; see the messages above"
        tries=$((tries + 1))
        [ -z "${ISOTHERM_PORT:-}" ] && [ $tries -lt 3 ] || die "port $port is now used by another program; choose another port with ISOTHERM_PORT"
        port=$(free_port $((port + 1)))
    done
    if [ "$2" = yes ]; then
        say "garage: ready after $((SECONDS - begun)) s; users must sign in"
        tell_lan "$port"
    else
        say "garage: $(ask "$base/api/cars" | grep -o '"id"' | wc -l) cars, ready after $((SECONDS - begun)) s"
        echo "Isotherm is at $base/   (Ctrl-C stops it and keeps the data)"
    fi
    notify --ready --status="Serving $base/"
    share_classes &
    sharing_pid=$!
    watch_server "$database_port"
}

stop() {
    local pidfile=$ISOTHERM_HOME/server.pid
    if server_is_ours "$pidfile"; then
        local pid
        pid=$(sed -n 1p "$pidfile")
        kill "$pid" 2>/dev/null || true
        # Its launcher takes the file away when it has stopped the database; one that was killed cannot.
        for _ in $(seq 300); do
            [ -f "$pidfile" ] && proc_alive "$pid" || break
            sleep 0.1
        done
        sleep 0.2
    elif [ -f "$pidfile" ]; then
        say "server.pid names a process that is not Isotherm; the file was removed and the process was not touched"
    fi
    rm -f "$pidfile"
    [ ! -d "$(pg_dir "$ISOTHERM_HOME/postgres")" ] || pg_stop "$ISOTHERM_HOME/postgres"
    say "stopped; the data is kept in $ISOTHERM_HOME"
}

# status: what a look at the machine tells; 0 when the server answers, 3 when it does not run.
status() {
    local pidfile=$ISOTHERM_HOME/server.pid base newest
    echo "version        $(app_version)"
    echo "data           $ISOTHERM_HOME, $(df -Ph "$ISOTHERM_HOME" 2>/dev/null | awk 'NR == 2 { print $4 }') free"
    newest=$(find "$ISOTHERM_HOME/backups" -name '*.dump' -printf '%TY-%Tm-%Td %TH:%TM  %f\n' 2>/dev/null | sort | tail -n 1)
    echo "newest backup  ${newest:-none}"
    if ! server_is_ours "$pidfile"; then
        echo "server         not running"
        return 3
    fi
    base=$(sed -n 2p "$pidfile")
    if ask "${base}actuator/health/readiness" >/dev/null; then
        echo "server         running at $base"
    else
        echo "server         starting, or without its database, at $base"
        return 3
    fi
}

# demo_garage load|remove: on this machine alone; with --lan an owner does it on the first page.
demo_garage() {
    local pidfile=$ISOTHERM_HOME/server.pid base
    case $1 in load | remove) ;; *) usage; exit 2 ;; esac
    server_is_ours "$pidfile" || die "the server is not running"
    base=$(sed -n 2p "$pidfile")
    case $base in https:*) die "users must sign in to this garage: an owner loads or removes the demo garage on the first page" ;; esac
    if [ "$1" = load ]; then
        curl -fs -X POST "${base}api/demo" >/dev/null || die "loading the demo garage failed; see the server's log"
        say "the demo garage is loaded: three invented cars"
    else
        curl -fs -X DELETE "${base}api/demo" >/dev/null || die "removing the demo garage failed; see the server's log"
        say "the demo garage is removed"
    fi
}
