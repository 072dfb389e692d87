# Builds what people install: a Debian package and an archive of the same files, with checksums, SBOM and release notes.
# The same commit gives the same bytes. Sourced by the launcher.

package() {
    need_packages package
    # From nothing: an older build leaves classes and assets behind.
    rm -rf "$here"/core/target/classes "$here"/words/target/classes "$here"/web/target/classes "$here"/server/target/classes \
        "$here"/server/target/spring-aot "$here"/server/target/*.jar "$here/web/dist" "$app"
    build
    package_at=$here/target/package
    local version epoch stage name
    version=$(app_version)
    epoch=$(package_epoch)
    export SOURCE_DATE_EPOCH=$epoch TZ=UTC LC_ALL=C.UTF-8
    umask 022
    rm -rf "$package_at"
    mkdir -p "$package_at"
    package_notes "$version" >"$package_at/release-notes.md"
    package_sbom || die "the SBOM could not be made; the log is $build_log"
    stage=$package_at/stage
    package_program "$stage/usr/share/isotherm" "$version"
    package_archive "$stage/usr/share/isotherm" "$version"
    package_files "$stage" "$version"
    package_control "$stage" "$version"
    package_times "$stage"
    name=isotherm_${version}_all.deb
    dpkg-deb --root-owner-group -Zxz -z1 --build "$stage" "$package_at/$name" >/dev/null
    rm -rf "$stage"
    (cd "$package_at" && sha256sum ./* >SHA256SUMS)
    say "packages are in $package_at:"
    (cd "$package_at" && ls -l)
}

# The moment of the commit: nothing in a package says when it was built.
package_epoch() {
    git -c safe.directory="$here" -C "$here" log -1 --format=%ct 2>/dev/null || date -d 2026-01-01T00:00:00Z +%s
}

package_times() { find "$1" -exec touch --no-dereference --date="@$SOURCE_DATE_EPOCH" {} +; }

# The changelog's section of this version, or what is not released yet.
package_notes() {
    awk -v version="$1" '
        /^## / { on = ($2 == version); if (on) { found = 1; print "# Isotherm " version; next } }
        on { print }
        END { exit !found }' "$here/CHANGELOG.md" || [ -n "${ISOTHERM_VERSION:-}" ] || die "CHANGELOG.md has no section \"## $1\""
}

# Of the server by Maven, of the interface by npm: without serial numbers and times of their own.
package_sbom() {
    maven org.cyclonedx:cyclonedx-maven-plugin:2.9.1:makeBom -pl core,words,web,server -DoutputFormat=json \
        -DincludeBomSerialNumber=false -DincludeTestScope=false -DoutputReactor=false >>"$build_log" 2>&1 || return 1
    cp "$here/server/target/bom.json" "$package_at/sbom-server.cdx.json"
    node_ready || return 1
    # npm reads the two files alone, and wants a version in them; ours has one place.
    mkdir "$package_at/sbom"
    cp "$here/web/package.json" "$here/web/package-lock.json" "$package_at/sbom/"
    (cd "$package_at/sbom" && npm version --silent --no-git-tag-version "$(app_version)" >/dev/null &&
        npm sbom --package-lock-only --omit=dev --sbom-format=cyclonedx 2>/dev/null) |
        node -e '
            const sbom = JSON.parse(require("fs").readFileSync(0, "utf8"));
            delete sbom.serialNumber;
            delete sbom.metadata.timestamp;
            console.log(JSON.stringify(sbom, null, 2));' >"$package_at/sbom-interface.cdx.json"
    rm -rf "$package_at/sbom"
}

# package_program FOLDER VERSION: what runs, with no part of a build in it.
package_program() {
    local file
    mkdir -p "$1/config" "$1/app/lib"
    install -m 755 "$here/isotherm" "$1/isotherm"
    for file in process postgres tls backup upgrade prerequisites java serve; do
        install -m 644 "$here/config/$file.sh" "$1/config/$file.sh"
    done
    install -m 644 "$here/config/programs" "$here/config/compiler.json" "$1/config/"
    install -m 644 "$app/isotherm.jar" "$1/app/"
    install -m 644 "$app"/lib/*.jar "$1/app/lib/"
    printf '%s\n' "$2" >"$1/VERSION"
}

package_archive() {
    local folder=$package_at/isotherm-$2
    cp -a "$1" "$folder"
    cp "$here/config/package/INSTALL" "$package_at/release-notes.md" "$package_at"/sbom-*.json "$folder/"
    package_licences "$folder"
    package_times "$folder"
    tar -C "$package_at" --sort=name --owner=0 --group=0 --numeric-owner --mtime="@$SOURCE_DATE_EPOCH" -cf - "isotherm-$2" |
        gzip -9n >"$package_at/isotherm-$2.tar.gz"
    rm -rf "$folder"
}

# The licences of all parts, as the build collects them.
package_licences() {
    install -m 644 "$here/server/target/classes/static/licences-server.txt" "$here/web/dist/licences.md" "$1/"
}

# package_files STAGE VERSION: what the package has besides the program.
package_files() {
    local from=$here/config/package doc=$1/usr/share/doc/isotherm
    install -D -m 644 "$from/isotherm.service" "$1/usr/lib/systemd/system/isotherm.service"
    install -D -m 644 "$from/isotherm.conf" "$1/etc/isotherm/isotherm.conf"
    install -D -m 755 "$from/isotherm" "$1/usr/bin/isotherm"
    mkdir -p "$1/usr/share/man/man1" "$doc"
    sed "s/@VERSION@/$2/; s/@DATE@/$(date -u -d "@$SOURCE_DATE_EPOCH" +%F)/" "$from/isotherm.1" |
        gzip -9n >"$1/usr/share/man/man1/isotherm.1.gz"
    {
        echo "isotherm ($2) unstable; urgency=medium"
        echo
        echo "  * See release-notes.md in this folder."
        echo
        echo " -- Isotherm <isotherm@localhost>  $(date -R -u -d "@$SOURCE_DATE_EPOCH")"
    } | gzip -9n >"$doc/changelog.gz"
    install -m 644 "$from/copyright" "$doc/copyright"
    install -m 644 "$package_at/release-notes.md" "$package_at"/sbom-*.json "$doc/"
    package_licences "$doc"
    chmod -R u=rwX,go=rX "$1"
}

# package_control STAGE VERSION
package_control() {
    local control=$1/DEBIAN size script
    size=$(find "$1" -type f -printf '%s\n' | awk '{ n += int(($1 + 1023) / 1024) } END { print n }')
    mkdir -p "$control"
    cat >"$control/control" <<TEXT
Package: isotherm
Version: $2
Architecture: all
Section: web
Priority: optional
Maintainer: Isotherm <isotherm@localhost>
Installed-Size: $size
Depends: default-jre-headless (>= 2:1.17) | java17-runtime-headless, postgresql, curl, adduser, debconf (>= 0.5) | debconf-2.0
Description: size, mount, build and service engine oil coolers
 Isotherm is a web application for people who build performance and towing
 cars. It sizes an engine oil cooler from the car and its use, plans its
 mounting and plumbing, guides the build and verifies it from logs.
 .
 It runs as a service on this machine with a PostgreSQL of its own.
TEXT
    echo /etc/isotherm/isotherm.conf >"$control/conffiles"
    install -m 644 "$here/config/package/templates" "$control/templates"
    for script in postinst prerm postrm; do
        install -m 755 "$here/config/package/$script" "$control/$script"
    done
    (cd "$1" && find etc usr -type f -print0 | sort -z | xargs -0 md5sum) >"$control/md5sums"
}
