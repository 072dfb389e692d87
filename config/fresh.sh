# The README's two commands in bare Debian roots, as a new machine would run them. Sourced by the launcher.
# Needs root: it mounts and changes its root folder. Everything is kept below $ISOTHERM_FRESH, /var/tmp/isotherm-fresh unless set.

fresh_suite() {
    case $1 in
        12) echo bookworm ;;
        13) echo trixie ;;
        *) die "fresh knows Debian 12 and 13, not $1" ;;
    esac
}

# fresh_base RELEASE: a bare root that is made once and only ever copied.
fresh_base() {
    local base=$fresh_home/debian-$1
    [ -d "$base" ] && return
    say "Debian $1: making a bare root"
    rm -rf "$base.part"
    debootstrap --variant=minbase "$(fresh_suite "$1")" "$base.part" >"$fresh_home/debootstrap-$1.log" 2>&1 ||
        die "debootstrap failed; its log is $fresh_home/debootstrap-$1.log"
    # What this machine needs to reach the network, and nothing else: resolver and certificates of its own.
    cp /etc/resolv.conf "$base.part/etc/resolv.conf"
    mkdir -p "$base.part/usr/local/share"
    cp -a /usr/local/share/ca-certificates "$base.part/usr/local/share/" 2>/dev/null || true
    chroot "$base.part" useradd --create-home --shell /bin/bash builder
    mv "$base.part" "$base"
}

# fresh_root NAME RELEASE: a copy of the bare root, with a clone of this commit for each of the two users.
fresh_root() {
    local root=$fresh_home/$1
    rm -rf "$root"
    cp -a --reflink=auto "$fresh_home/debian-$2" "$root"
    git -c safe.directory="$here" clone --quiet --depth 1 "file://$here" "$root/root/isotherm"
    cp -a "$root/root/isotherm" "$root/home/builder/isotherm"
    chroot "$root" chown -R builder:builder /home/builder/isotherm
}

# fresh_in ROOT USER COMMAND: runs a command in a root with processes and mounts of its own, all gone when it ends.
fresh_in() {
    local root=$1 user=$2 command=$3 home=/root extra=()
    [ "$user" = root ] || home=/home/$user
    # The pinned Node knows the usual authorities only; a machine with one of its own names it here.
    [ -z "$(ls -A /usr/local/share/ca-certificates 2>/dev/null)" ] ||
        extra=(NODE_EXTRA_CA_CERTS=/etc/ssl/certs/ca-certificates.crt)
    # shellcheck disable=SC2016 # expanded inside
    unshare --mount --pid --fork --kill-child bash -c '
        mount -t proc proc "$1/proc" && mount -t sysfs sysfs "$1/sys" && mount --rbind /dev "$1/dev" &&
            mount -t tmpfs tmpfs "$1/run" || exit 1
        root=$1; shift
        exec chroot "$root" "$@"' bash "$root" \
        setpriv --reuid="$user" --regid="$user" --init-groups env -i HOME="$home" USER="$user" TERM=dumb "${extra[@]}" \
        PATH=/usr/local/sbin:/usr/local/bin:/usr/sbin:/usr/bin:/sbin:/bin bash -c "[ ! -d ~/isotherm ] || cd ~/isotherm; $command"
}

# fresh_demo ROOT USER: seconds from the clone to the printed address; the garage behind it answers.
fresh_demo() {
    local begun=$SECONDS
    # shellcheck disable=SC2016 # expanded inside
    fresh_in "$1" "$2" '
        : >demo.said
        ./isotherm demo >demo.said 2>&1 & launcher=$!
        until grep -q "^Isotherm is at" demo.said; do
            kill -0 $launcher 2>/dev/null || { cat demo.said; exit 1; }
            sleep 0.5
        done
        base=$(sed -n "s/^Isotherm is at \(http[^ ]*\) .*/\1/p" demo.said)
        curl -fs "${base}api/cars" | grep -q Corvid && curl -fs "$base" | grep -q "<div id=\"root\"" || exit 1
        ./isotherm stop' >>"$fresh_log" 2>&1 || return 1
    echo $((SECONDS - begun))
}

# fresh_apt ROOT COMMAND: as an ordinary user a command first prints what root has to run. That line is run as it is printed.
fresh_apt() {
    local said line
    said=$(fresh_in "$1" builder "$2" 2>&1) && return 0
    printf '%s\n' "$said" >>"$fresh_log"
    line=$(printf '%s\n' "$said" | grep '^apt-get update && apt-get install')
    [ "$(printf '%s\n' "$line" | wc -l)" -eq 1 ] && [ -n "$line" ] || return 1
    (cd / && fresh_in "$1" root "export DEBIAN_FRONTEND=noninteractive; $line") >>"$fresh_log" 2>&1
}

fresh_row() { printf '| %s | %s | %s | %s | %s |\n' "$@" | tee -a "$fresh_home/report.md"; }

# fresh_run RELEASE USER: both commands, and their row of the report.
fresh_run() {
    local root=$fresh_home/$1-$2 address=failed took=failed counted='' begun
    fresh_log=$fresh_home/$1-$2.log
    : >"$fresh_log"
    fresh_root "$1-$2" "$1"
    say "Debian $1 as $2: ./isotherm demo; the log is $fresh_log"
    begun=$SECONDS
    if [ "$2" = root ] || fresh_apt "$root" 'timeout 60 ./isotherm demo'; then
        # What an ordinary user waits for includes root's part.
        fresh_demo "$root" "$2" >/dev/null && address="$((SECONDS - begun)) s"
    fi
    say "Debian $1 as $2: ./isotherm test"
    begun=$SECONDS
    if [ "$2" = root ] || fresh_apt "$root" 'timeout 60 ./isotherm test --version'; then
        fresh_in "$root" "$2" ./isotherm\ test >"$fresh_log.test" 2>&1 && took="$((SECONDS - begun)) s" ||
            took="failed after $((SECONDS - begun)) s"
        counted=$(sed -n 's/.*Tests run: \([0-9]*\), Failures: \([0-9]*\), Errors: \([0-9]*\), Skipped: \([0-9]*\)$/\1 \2 \3 \4/p' \
            "$fresh_log.test" | awk '{ n += $1; f += $2 + $3; s += $4 } END { printf "%d run, %d failed, %d skipped", n, f, s }')
    fi
    fresh_row "$1" "$2" "$address" "$took" "$counted"
    [ "$address" != failed ] && [ "${took#failed}" = "$took" ]
}

# fresh [12] [13] [package] [arm64]: every release as root and as an ordinary user; the package; what an arm64 build fetches.
fresh() {
    [ "$(id -u)" -eq 0 ] || die "fresh makes and enters root folders: run it as root"
    need_packages package
    need_packages fresh
    fresh_home=${ISOTHERM_FRESH:-/var/tmp/isotherm-fresh}
    mkdir -p "$fresh_home"
    [ -z "$(git -c safe.directory="$here" -C "$here" status --porcelain)" ] || say "uncommitted changes are not part of what is tried"
    [ $# -gt 0 ] || set -- arm64 package 12 13
    : >"$fresh_home/report.md"
    local what user failed=0 headed=no
    for what in "$@"; do
        case $what in
            arm64) fresh_step "arm64: Node and packages fetched, built for it" fresh_arm64 || failed=1 ;;
            package) fresh_package 12 || failed=1 ;;
            *)
                fresh_base "$what"
                [ $headed = yes ] ||
                    printf '\n| Debian | user | clone to address | ./isotherm test | tests |\n|---|---|---|---|---|\n' |
                    tee -a "$fresh_home/report.md"
                headed=yes
                for user in builder root; do
                    fresh_run "$what" "$user" || failed=1
                done
                ;;
        esac
    done
    return $failed
}
