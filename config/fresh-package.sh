# The package in a bare Debian root that boots with systemd: installed, upgraded, rolled back, removed, purged. Sourced by the
# launcher after fresh.sh.

# fresh_packages VERSION: packages of a version, built from this tree.
fresh_packages() {
    local kept=$fresh_home/packages-$1
    ISOTHERM_VERSION=$1 "$here/isotherm" package >>"$fresh_log" 2>&1 || return 1
    rm -rf "$kept"
    cp -a "$here/target/package" "$kept"
}

# fresh_same VERSION: the same commit in another folder gives the same bytes.
fresh_same() {
    local other=$fresh_home/elsewhere/second-clone
    rm -rf "$fresh_home/elsewhere"
    git -c safe.directory="$here" clone --quiet "file://$here" "$other"
    ISOTHERM_VERSION=$1 "$other/isotherm" package >>"$fresh_log" 2>&1 &&
        cmp "$other/target/package/SHA256SUMS" "$fresh_home/packages-$1/SHA256SUMS" >>"$fresh_log" 2>&1
}

# fresh_boot ROOT: systemd as the first process of the root, on the network of this machine.
fresh_boot() {
    # shellcheck disable=SC2016 # expanded inside
    unshare --mount bash -c 'mount -t tmpfs tmpfs /run && exec systemd-nspawn --quiet --register=no --keep-unit -D "$0" --boot' "$1" \
        </dev/null >>"$fresh_log" 2>&1 &
    fresh_container=$!
    local waited=0
    until fresh_leader=$(cat "/proc/$fresh_container/task/$fresh_container/children" 2>/dev/null) && [ -n "$fresh_leader" ] &&
        [[ $(fresh_sys systemctl is-system-running 2>/dev/null) =~ running|degraded ]]; do
        [ $waited -lt 120 ] || return 1
        waited=$((waited + 1))
        sleep 1
    done
}

# fresh_sys COMMAND...: in the booted root.
fresh_sys() {
    nsenter -t "${fresh_leader% }" --all env -i HOME=/root TERM=dumb DEBIAN_FRONTEND=noninteractive \
        PATH=/usr/sbin:/usr/bin:/sbin:/bin "$@"
}

fresh_halt() {
    fresh_sys systemctl poweroff --no-block >/dev/null 2>&1 || true
    local waited=0
    while kill -0 "$fresh_container" 2>/dev/null && [ $waited -lt 60 ]; do
        waited=$((waited + 1))
        sleep 1
    done
    kill "$fresh_container" 2>/dev/null || true
}

# fresh_step WHAT COMMAND...: a row of the report; what fails ends the scenario.
fresh_step() {
    local what=$1 begun=$SECONDS
    shift
    if "$@" >>"$fresh_log" 2>&1; then
        printf '| %s | %s s |\n' "$what" "$((SECONDS - begun))" | tee -a "$fresh_home/report.md"
    else
        printf '| %s | **failed** after %s s |\n' "$what" "$((SECONDS - begun))" | tee -a "$fresh_home/report.md"
        return 1
    fi
}

fresh_install() { fresh_sys apt-get install -y --allow-downgrades --no-install-recommends "/root/isotherm_$1_all.deb"; }

# fresh_cars NAME...: these cars are there, none needs repair, and the version is the one that is said.
fresh_cars() {
    local version=$1 cars name
    shift
    fresh_sys systemctl is-active isotherm && [ "$(fresh_sys isotherm version)" = "$version" ] &&
        cars=$(curl -fs http://127.0.0.1:8321/api/cars) && [ "$(curl -fs http://127.0.0.1:8321/api/broken)" = '[]' ] || return 1
    for name in "$@"; do
        case $cars in *"\"$name\""*) ;; *) echo "no $name in $cars" && return 1 ;; esac
    done
}

fresh_demo_cars=('Aldane Corvid' 'Brackwater Hauler' 'Pell Wren')

fresh_make_car() {
    curl -fs -X POST -H 'Content-Type: application/json' -H "Idempotency-Key: $(cat /proc/sys/kernel/random/uuid)" \
        --data-binary "$1" http://127.0.0.1:8321/api/cars
}

# fresh_fill FIXTURE: the garage becomes the one of an earlier version.
fresh_fill() {
    case $1 in
        *.zip) curl -fs -X POST -H 'Content-Type: application/octet-stream' --data-binary "@$1" http://127.0.0.1:8321/api/garage ;;
        *.sql.gz)
            fresh_sys systemctl stop isotherm
            cp "$1" "$fresh_root/root/fixture.sql.gz"
            # shellcheck disable=SC2016 # expanded inside
            fresh_sys setpriv --reuid=isotherm --regid=isotherm --init-groups bash -c '
                set -e
                cd /var/lib/isotherm
                . /usr/share/isotherm/config/postgres.sh
                pg_start /var/lib/isotherm/postgres
                port=$(pg_port /var/lib/isotherm/postgres)
                asked="psql -h 127.0.0.1 -p $port -v ON_ERROR_STOP=1 -q"
                PGPASSWORD=$(cat postgres.secret) $asked -U isotherm -d postgres -c "drop database isotherm" \
                    -c "create database isotherm template template0 owner isotherm_app"
                zcat | PGPASSWORD=$(cat postgres.app.secret) $asked -U isotherm_app -d isotherm
                pg_stop /var/lib/isotherm/postgres' <"$1"
            fresh_sys systemctl start isotherm
            ;;
    esac
}

# fresh_upgrades OLD NEW FIXTURE: from the older version's garage to the newer version and back.
fresh_upgrades() {
    local name=${3##*/}
    fresh_step "$name: install $1" fresh_install "$1" &&
        fresh_step "$name: its garage" fresh_fill "$3" &&
        fresh_step "$name: its cars in $1" fresh_cars "$1" "${fresh_demo_cars[@]}" &&
        fresh_step "$name: upgrade to $2, a backup first" fresh_install "$2" &&
        fresh_step "$name: its cars in $2" fresh_cars "$2" "${fresh_demo_cars[@]}" &&
        fresh_step "$name: a car is made in $2" fresh_make_car "$(cat "$here/config/package/first-car.json")" &&
        fresh_step "$name: back to $1" fresh_install "$1" &&
        fresh_step "$name: rollback" fresh_sys isotherm rollback &&
        fresh_step "$name: start again" fresh_sys systemctl restart isotherm &&
        fresh_step "$name: its cars in $1 again" fresh_cars "$1" "${fresh_demo_cars[@]}"
}

fresh_purge() { # fresh_purge true|false: whether the question about the data is answered with yes
    printf 'isotherm isotherm/purge-data boolean %s\n' "$1" | fresh_sys debconf-set-selections
    fresh_sys apt-get purge -y isotherm
}

fresh_scores() {
    fresh_sys systemd-analyze verify isotherm.service &&
        fresh_sys systemd-analyze security --threshold=30 isotherm.service
}

# fresh_package [RELEASE]: the package is built, twice the same, and lives its life.
fresh_package() {
    local old=0.1.9 new release=${1:-12}
    new=$(app_version)
    fresh_log=$fresh_home/package-$release.log
    fresh_root=$fresh_home/package-$release
    : >"$fresh_log"
    need_packages package
    printf '\n| package on Debian %s | |\n|---|---|\n' "$release" | tee -a "$fresh_home/report.md"
    fresh_step "build $new" fresh_packages "$new" && fresh_step "build $old" fresh_packages "$old" &&
        fresh_step "build $new again elsewhere: the same bytes" fresh_same "$new" || return 1
    fresh_life "$old" "$new" "$release"
}

# fresh_life OLD NEW RELEASE: from the first installation to the purge.
fresh_life() {
    local old=$1 new=$2 release=$3 fixture failed=0
    fresh_base "$release"
    rm -rf "$fresh_root"
    cp -a --reflink=auto "$fresh_home/debian-$release" "$fresh_root"
    (cd / && fresh_in "$fresh_root" root \
        'apt-get update -qq; DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends systemd-sysv dbus man-db') \
        >>"$fresh_log" 2>&1
    cp "$fresh_home/packages-$new/isotherm_${new}_all.deb" "$fresh_home/packages-$old/isotherm_${old}_all.deb" "$fresh_root/root/"
    # shellcheck disable=SC2064 # expanded now
    trap 'fresh_halt' EXIT
    fresh_step "boot with systemd" fresh_boot "$fresh_root" || return 1
    for fixture in "$here"/server/src/test/resources/fixtures/*; do
        fresh_upgrades "$old" "$new" "$fixture" || failed=1
        [ $failed -eq 0 ] || break
        fresh_step "purge with its data" fresh_purge true || return 1
        [ ! -d "$fresh_root/var/lib/isotherm" ] || { echo "| its data is still there | **failed** |"; return 1; }
    done
    [ $failed -eq 0 ] &&
        fresh_step "install $new" fresh_install "$new" &&
        fresh_step "the unit: clean, exposure below 3.0" fresh_scores &&
        fresh_step "demo garage" fresh_sys isotherm demo-garage load &&
        fresh_step "status" fresh_sys isotherm status &&
        fresh_step "remove" fresh_sys apt-get remove -y isotherm &&
        fresh_step "install again, with its data" fresh_install "$new" &&
        fresh_step "its cars" fresh_cars "$new" "${fresh_demo_cars[@]}" &&
        fresh_step "purge, data kept" fresh_purge false &&
        fresh_step "its data is kept" test -f "$fresh_root/var/lib/isotherm/version" || failed=1
    fresh_halt
    trap - EXIT
    return $failed
}

# fresh_arm64: what the build needs on that processor can be fetched and is what it should be; nothing of it is run.
fresh_arm64() {
    local at=$fresh_home/arm64
    fresh_log=$fresh_home/arm64.log
    rm -rf "$at"
    mkdir -p "$at"
    node_ready || return 1
    # shellcheck disable=SC2086 # three words
    node_fetch $node_arm64 "$at/node" && cp "$here/web/package.json" "$here/web/package-lock.json" "$at/" &&
        (cd "$at" && npm ci --cpu=arm64 --os=linux --libc=glibc --ignore-scripts --no-audit --no-fund --loglevel=error) \
            >"$fresh_log" 2>&1 &&
        # e_machine of every program and library that npm brought for this processor: 183 is aarch64.
        find "$at/node/bin/node" "$at/node_modules" -name '*.node' -o -path '*/bin/node' | while read -r file; do
            [ "$(od -An -j18 -N2 -tu2 "$file" | tr -d ' ')" -eq 183 ] || { echo "$file is not for arm64" && exit 1; }
        done >>"$fresh_log" && [ -n "$(find "$at/node_modules" -name '*.node')" ]
}
