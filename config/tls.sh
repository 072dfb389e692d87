# Encryption with an authority of this home's own, made at first use by the JDK's keytool. Sourced by the launcher.

# tls_names: everything under which this machine can be reached, as a certificate says it.
tls_names() {
    local host address
    host=$(hostname)
    printf 'dns:localhost,dns:%s,dns:%s.local,ip:127.0.0.1' "$host" "$host"
    for address in $(hostname -I 2>/dev/null); do
        # Addresses of a link alone are of no use to a phone.
        case $address in fe80:*) ;; *) printf ',ip:%s' "$address" ;; esac
    done
    for address in ${ISOTHERM_NAMES:-}; do
        case $address in *[!0-9.]*) printf ',dns:%s' "$address" ;; *) printf ',ip:%s' "$address" ;; esac
    done
}

# tls_ready DIR: authority.crt to install on phones, server.p12 for the server, secret with the password of the latter.
# The authority stays for ten years; the server's certificate is made anew when its names change, and after eleven months.
tls_ready() (
    umask 077
    mkdir -p "$1" || exit 1
    cd "$1" || exit 1
    [ -s secret ] || head -c 24 /dev/urandom | base64 | tr -d '/+=\n' >secret
    export TLS_SECRET
    TLS_SECRET=$(cat secret)
    names=$(tls_names)
    key() { keytool "$@" -storetype PKCS12 -storepass:env TLS_SECRET -noprompt 2>/dev/null; }
    if [ ! -s authority.p12 ] || [ ! -s authority.crt ]; then
        rm -f authority.p12 names
        key -genkeypair -keystore authority.p12 -alias authority -keyalg EC -groupname secp256r1 -validity 3653 \
            -dname "CN=Isotherm at $(hostname) since $(date +%F)" -ext bc:critical=ca:true,pathlen:0 -ext ku:critical=keyCertSign,cRLSign &&
            key -exportcert -keystore authority.p12 -alias authority -rfc -file authority.crt || exit 1
    fi
    if [ -s server.p12 ] && [ "$(cat names 2>/dev/null)" = "$names" ] && [ -n "$(find server.p12 -mtime -330)" ]; then
        exit 0
    fi
    rm -f server.p12
    key -genkeypair -keystore server.p12 -alias server -keyalg EC -groupname secp256r1 -validity 397 -dname "CN=$(hostname)" &&
        key -certreq -keystore server.p12 -alias server -file server.csr &&
        key -gencert -keystore authority.p12 -alias authority -infile server.csr -outfile server.crt -rfc -validity 397 \
            -ext "san=$names" -ext eku=serverAuth -ext ku:critical=digitalSignature &&
        cat server.crt authority.crt >chain.crt &&
        key -importcert -keystore server.p12 -alias server -file chain.crt || exit 1
    rm -f server.csr server.crt chain.crt
    printf '%s' "$names" >names
)

# tls_fingerprint FILE: by which a certificate is known, to be compared by eye.
tls_fingerprint() { keytool -printcert -file "$1" 2>/dev/null | sed -n 's/.*SHA256: *//p'; }
