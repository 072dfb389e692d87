# What has to be on the machine, how the program is put together, and how it is started. Sourced by the launcher.

build_log=$here/target/build.log

maven() { (cd "$here" && mvn -B -q -Dstyle.color=never "$@"); }

sources_stamp() {
    (cd "$here" && find pom.xml config core/pom.xml core/src/main words/pom.xml words/en.json words/src/main server/pom.xml \
        server/src/main demo docs/guide.md docs/stations docs/screenshots web -type f \
        ! -path 'web/node_modules/*' ! -path 'web/dist/*' ! -path 'web/target/*' ! -path 'web/src/api/schema.ts' -print0 |
        LC_ALL=C sort -z | xargs -0 sha256sum | sha256sum | cut -d' ' -f1)
}

build() {
    # A program that was built elsewhere is taken as it is.
    [ -z "${ISOTHERM_APP:-}" ] || return 0
    local now
    now=$(sources_stamp)
    if ! is_built "$now"; then
        need_packages build
        # Whoever starts a second one meanwhile waits for what the first builds, instead of writing into it.
        mkdir -p "$here/target"
        exec 8>"$here/target/build.lock"
        flock 8
        is_built "$now" || put_together "$now"
        exec 8>&-
    else
        need_packages start
    fi
}

is_built() { [ -f "$app/.built-from" ] && [ "$(cat "$app/.built-from")" = "$1" ]; }

put_together() {
    : >"$build_log"
    say "building, which takes a few minutes the first time; the log is $build_log"
    logged "Node $(node_pinned | cut -d' ' -f2)" node_ready
    # What is served is not looked at by linters again; the whole build is. The interface is put together while rules and words
    # are compiled: neither needs the other.
    ISOTHERM_SERVE=1 logged "1 of 2: interface and server" maven -T 2 -pl core,words,web,server -am package \
        -Dmaven.test.skip -Dspotless.check.skip -Dcheckstyle.skip
    logged "2 of 2: what is started" extract "$1"
}

# Runs a part of the build, its words in the log; what it said last comes up when it fails.
logged() {
    local what=$1 begun=$SECONDS
    shift
    if ! "$@" >>"$build_log" 2>&1; then
        tail -n 25 "$build_log" >&2
        die "$what could not be built; all of it is in $build_log"
    fi
    say "$what, $((SECONDS - begun)) s"
}

# Taken apart, with its classes shared and its beans known, it starts in half of the time that the fat jar takes.
extract() {
    rm -rf "$app"
    java -Djarmode=tools -jar "$here"/server/target/isotherm-server-*-app.jar extract --destination "$app" >/dev/null ||
        return 1
    mv "$app"/isotherm-server-*-app.jar "$app/isotherm.jar" || return 1
    printf '%s' "$1" >"$app/.built-from"
}

# The classes of a start as they lie in memory, for every later one: written beside the first server, which nobody waits for.
share_classes() {
    [ ! -f "$app/isotherm.jsa" ] && [ -w "$app" ] || return 0
    # The lock is the launcher's and its server's alone.
    exec 9>&-
    local java_pid
    nice -n 19 java -XX:ArchiveClassesAtExit="$app/isotherm.jsa.new" "${quick_compiler[@]}" -Xlog:disable "$known_beans" \
        -Dspring.context.exit=onRefresh -jar "$app/isotherm.jar" --server.port=0 >/dev/null 2>&1 &
    java_pid=$!
    trap 'kill "$java_pid" 2>/dev/null; rm -f "$app/isotherm.jsa.new"; exit 0' TERM INT
    wait "$java_pid" || true
    [ ! -f "$app/isotherm.jsa.new" ] || mv "$app/isotherm.jsa.new" "$app/isotherm.jsa"
}

# Its beans were known when it was built.
known_beans=-Dspring.aot.enabled=true

# What is tried out is looked at for minutes: the quick compiler alone has everything compiled sooner, and leaves the second core
# to whoever waits. A start takes three quarters of the time, the first search as long as ever, later ones a quarter longer.
quick_compiler=(-XX:TieredStopAtLevel=1)
# What lasts is compiled for speed, but only what runs ten times as often as usual, since with two cores a start waits for the
# compiler; and never what waits for the network or a disk anyway, on which it spent two thirds of its time. A session that is
# computed passes these marks within milliseconds.
late_compiler=(-XX:Tier4InvocationThreshold=50000 -XX:Tier4MinInvocationThreshold=6000 -XX:Tier4CompileThreshold=100000
    -XX:Tier4BackEdgeThreshold=200000 -XX:+UnlockDiagnosticVMOptions -XX:CompilerDirectivesFile="$here/config/compiler.json")

# app_java quick|late ARGUMENT...: replaces the shell that calls it: a background caller's process id is then the server's own.
app_java() {
    local share=() compiler=("${late_compiler[@]}")
    [ "$1" = late ] || compiler=("${quick_compiler[@]}")
    shift
    [ -f "$app/isotherm.jsa" ] && share=(-XX:SharedArchiveFile="$app/isotherm.jsa" -Xshare:auto)
    exec java "${share[@]}" "${compiler[@]}" -Xlog:disable "$known_beans" -jar "$app/isotherm.jar" "$@"
}
