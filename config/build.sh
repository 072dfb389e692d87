# Builds the program from its sources. Sourced by the launcher.

build_log=$here/target/build.log

maven() { (cd "$here" && mvn -B -q -Dstyle.color=never -Drevision="$(app_version)" "$@"); }

sources_stamp() {
    (cd "$here" && find pom.xml CHANGELOG.md config core/pom.xml core/src/main words/pom.xml words/en.json words/src/main server/pom.xml \
        server/src/main demo docs/guide.md docs/stations docs/screenshots web -type f \
        ! -path 'web/node_modules/*' ! -path 'web/dist/*' ! -path 'web/target/*' ! -path 'web/src/api/schema.ts' -print0 |
        LC_ALL=C sort -z | xargs -0 sha256sum | sha256sum | cut -d' ' -f1)
    echo "${ISOTHERM_VERSION:-}"
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
    local jar
    jar=isotherm-server-$(app_version)-app.jar
    java -Djarmode=tools -jar "$here/server/target/$jar" extract --destination "$app" >/dev/null || return 1
    mv "$app/$jar" "$app/isotherm.jar" || return 1
    printf '%s' "$1" >"$app/.built-from"
}
