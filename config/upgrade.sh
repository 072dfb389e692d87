# Going to a newer version and back. Sourced by the launcher.
# $ISOTHERM_HOME/version names the version that last served the garage.

older_version() { # older_version A B: whether A is older than B
    [ "$1" != "$2" ] && [ "$(printf '%s\n%s\n' "$1" "$2" | sort -V | head -n 1)" = "$1" ]
}

# before_upgrade NEW_GARAGE: with the database running, before the server may change its tables.
before_upgrade() {
    local version had file
    version=$(app_version)
    had=$(cat "$ISOTHERM_HOME/version" 2>/dev/null || true)
    # A garage of a version that did not write the file yet.
    [ -n "$had" ] || [ "$1" = yes ] || had=0.1.0
    if [ -n "$had" ] && older_version "$version" "$had"; then
        say "this garage was last served by version $had; this is version $version, which cannot read it."
        say "Install version $had again, or restore the backup from before that upgrade: isotherm rollback. Nothing was changed."
        return 1
    fi
    if [ -n "$had" ] && older_version "$had" "$version"; then
        file=$ISOTHERM_HOME/backups/before-$version-from-$had.dump
        if [ ! -f "$file" ]; then
            mkdir -p "${file%/*}" && chmod 700 "${file%/*}" || return 1
            bk_write "$file" || { say "the backup before the upgrade to $version failed, so nothing was changed"; return 1; }
        fi
        say "upgrade from $had to $version; the garage before it is in $file"
        # The last three are enough to go back.
        find "${file%/*}" -name 'before-*.dump' -printf '%T@ %p\n' | sort -rn | tail -n +4 | cut -d' ' -f2- |
            while read -r old; do rm -f "$old"; done
    fi
    printf '%s\n' "$version" >"$ISOTHERM_HOME/version"
}

# rollback: the newest backup that was made before an upgrade by this version or an older one.
rollback() {
    local version file from newest='' newest_from=''
    version=$(app_version)
    while read -r file; do
        from=${file##*-from-}
        from=${from%.dump}
        if ! older_version "$version" "$from" && { [ -z "$newest" ] || older_version "$newest_from" "$from"; }; then
            newest=$file
            newest_from=$from
        fi
    done < <(find "$ISOTHERM_HOME/backups" -name 'before-*-from-*.dump' 2>/dev/null)
    [ -n "$newest" ] || die "there is no backup from before an upgrade that version $version can read"
    restore "$newest"
    printf '%s\n' "$newest_from" >"$ISOTHERM_HOME/version"
    say "the garage is as it was before the upgrade from version $newest_from"
}
