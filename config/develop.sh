# Tests, benchmarks and what else a developer runs. Sourced by the launcher.

# A database of the tests' own, gone with them.
test_database() {
    need_packages test
    export ISOTHERM_TEST_HOME=${ISOTHERM_TEST_HOME:-$(mktemp -d /tmp/isotherm-test.XXXXXX)}
    chmod 755 "$ISOTHERM_TEST_HOME"
    trap 'pg_stop "$ISOTHERM_TEST_HOME/postgres" 2>/dev/null || true; rm -rf "$ISOTHERM_TEST_HOME"' EXIT
    pg_start "$ISOTHERM_TEST_HOME/postgres"
    ISOTHERM_TEST_DB="jdbc:postgresql://127.0.0.1:$(pg_port "$ISOTHERM_TEST_HOME/postgres")/isotherm"
    ISOTHERM_TEST_PASSWORD=$(cat "$ISOTHERM_TEST_HOME/postgres.secret")
    ISOTHERM_TEST_APP_PASSWORD=$(cat "$ISOTHERM_TEST_HOME/postgres.app.secret")
    export ISOTHERM_TEST_DB ISOTHERM_TEST_PASSWORD ISOTHERM_TEST_APP_PASSWORD PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD=1
}

# Runs classes of the server's tests that print a table of their own. A hundred kills may take longer than any one test.
run_table() {
    local class=$1
    shift
    test_database
    (cd "$here" && mvn -B -q -Dstyle.color=never -ntp -pl core,words,web,server -am test -Dtest="$class" \
        -Dsurefire.failIfNoSpecifiedTests=false -Dsurefire.useFile=false -Djunit.jupiter.execution.timeout.mode=disabled "$@")
}

run_tests() {
    test_database
    node_ready || die "Node could not be fetched from the npm registry"
    # Two modules at a time where one does not need the other: the interface is built while the core is tested.
    (cd "$here" && mvn -B -Dstyle.color=never -ntp -T 2 verify "$@")
}

bench_classes() {
    printf '%s:' "$here/bench/target/classes" "$here/core/target/classes" "$here/words/target/classes" "$here/server/target/classes"
    cat "$here/bench/target/classpath.txt"
}

# A program of the benchmarks with a server of 512 MB and a garage of its own, which go when it is over.
bench_with_server() {
    local status=0
    build
    ISOTHERM_SERVE=1 maven -pl bench -am package -DskipTests >&2
    # Known when the script ends, too: what it takes away then.
    load_home=$(mktemp -d /tmp/isotherm-load.XXXXXX)
    chmod 755 "$load_home"
    trap 'ISOTHERM_HOME=$load_home "$here/isotherm" stop >/dev/null 2>&1; rm -rf "$load_home"' EXIT
    # As what lasts is started, compiled for speed; the demo garage is loaded into it.
    ISOTHERM_HOME=$load_home JAVA_TOOL_OPTIONS=-Xmx512m "$here/isotherm" run >"$load_home/said" 2>&1 &
    until grep -q 'Isotherm is at' "$load_home/said"; do
        kill -0 $! 2>/dev/null || die "the server did not start: $(tail -n 3 "$load_home/said")"
        sleep 0.5
    done
    local address
    address=$(sed -n 's/.*\(http[^ ]*\) .*/\1/p' "$load_home/said" | head -n 1)
    curl -fs -X POST "${address}api/demo" >/dev/null ||
        die "the demo garage could not be loaded: $(tail -n 3 "$load_home/server.log")"
    local database
    database="jdbc:postgresql://127.0.0.1:$(pg_port "$load_home/postgres")/isotherm?user=isotherm&password=$(cat "$load_home/postgres.secret")"
    java -Disotherm.demo="$here/demo" -cp "$(bench_classes)" "$1" "$address" "$database" "$here" || status=$?
    return $status
}

bench() {
    need_packages build
    case "${1:-}" in
        load) bench_with_server isotherm.bench.LoadRun ;;
        growth) bench_with_server isotherm.bench.Growth ;;
        served)
            # With a browser.
            need_packages test
            bench_with_server isotherm.bench.ServedRun
            ;;
        small) bench_small ;;
        *)
            ISOTHERM_SERVE=1 maven -pl bench -am package -DskipTests >&2
            java -Disotherm.demo="$here/demo" -cp "$(bench_classes)" isotherm.bench.BenchTable "$@"
            ;;
    esac
}

# A small machine: the settings of the package, one core, the demo garage. Memory is the proportional set size, so that what
# processes share counts once.
bench_small() {
    local begun=$SECONDS base pid case total
    build
    load_home=$(mktemp -d /tmp/isotherm-small.XXXXXX)
    chmod 755 "$load_home"
    trap 'ISOTHERM_HOME=$load_home "$here/isotherm" stop >/dev/null 2>&1; rm -rf "$load_home"' EXIT
    set -a
    . "$here/config/package/isotherm.conf"
    set +a
    begun=$SECONDS
    ISOTHERM_HOME=$load_home ISOTHERM_PORT='' taskset -c 0 "$here/isotherm" run >"$load_home/said" 2>&1 &
    until grep -q 'Isotherm is at' "$load_home/said"; do
        kill -0 $! 2>/dev/null || die "the server did not start: $(tail -n 3 "$load_home/said")"
        sleep 0.2
    done
    base=$(sed -n 's/.*\(http[^ ]*\) .*/\1/p' "$load_home/said" | head -n 1)
    echo "start on one core            $((SECONDS - begun)) s"
    curl -fs -X POST "${base}api/demo" >/dev/null || die "the demo garage could not be loaded"
    for case in "$here"/docs/formats/corvid.json "$here"/docs/formats/hauler.json; do
        for _ in 1 2 3 4 5; do
            curl -fs -o /dev/null -w "result of ${case##*/}, one core  %{time_total} s\n" -H 'Content-Type: application/json' \
                --data-binary "@$case" "${base}api/outcome"
        done
    done
    sleep 60
    total=0
    for pid in $(sed -n 1p "$load_home/server.pid") $(pg_processes "$(pg_dir "$load_home/postgres")"); do
        total=$((total + $(awk '/^Pss:/ { print $2 }' "/proc/$pid/smaps_rollup")))
    done
    echo "server and database at rest  $((total / 1024)) MB, of which the server $(awk '/^Pss:/ { print int($2 / 1024) }' \
        "/proc/$(sed -n 1p "$load_home/server.pid")/smaps_rollup") MB"
}

calibrate() {
    need_packages build
    # Thousands of fits are worth compiling for speed.
    (cd "$here" && mvn -B -q -Dstyle.color=never -ntp -pl core test -Dtest=CoverageTest -Disotherm.coverage="${1:-100}" \
        -Dtest.jvm=-XX:+UseSerialGC -Dsurefire.failIfNoSpecifiedTests=false -Dsurefire.useFile=false)
}

coverage() {
    need_packages build
    maven -Pcoverage -pl core,words test
    awk -F, 'NR > 1 && $2 != "PACKAGE" { missed[$2] += $8; run[$2] += $9 }
        END { for (p in run) printf "%5.1f %%  %s\n", 100 * run[p] / (run[p] + missed[p]), p }' \
        "$here/core/target/site/jacoco/jacoco.csv" "$here/words/target/site/jacoco/jacoco.csv" | sort -k3
}

mutants() {
    [ -d "$here/core/src/main/java/isotherm/core/${1:-/}" ] || die "name a package of core, such as findings"
    need_packages build
    maven -pl core test-compile org.pitest:pitest-maven:mutationCoverage -DtargetClasses="isotherm.core.$1.*" \
        -DtargetTests="isotherm.core.$1.*" >&2
    awk -F, '{ all[$1]++; if ($6 == "KILLED" || $6 == "TIMED_OUT") killed[$1]++ }
        END { for (f in all) { printf "%4d of %4d  %s\n", killed[f], all[f], f; k += killed[f]; n += all[f] }
            printf "%4d of %4d killed, %.0f %%\n", k, n, 100 * k / n }' "$here/core/target/pit-reports/mutations.csv" | sort -k5
}
