#!/usr/bin/env bash
# Builds web/dist when anything that it is made from has changed since it was last built. With ISOTHERM_SERVE=1 it is only put
# together, for a server that is to be started: types, lint and tests are looked at by the whole build.
set -euo pipefail
cd "$(dirname "$0")"
here=$(cd .. && pwd)
. ../config/node.sh
stamp=dist/.built-from
bundled=dist/.bundled-from
now=$(find package.json package-lock.json openapi.json index.html ./*.ts ./.ox*.json tsconfig.json ../words/en.json ../CHANGELOG.md ../docs/guide.md ../docs/stations ../docs/screenshots src public \
    -type f ! -path 'src/api/schema.ts' 2>/dev/null | LC_ALL=C sort | xargs sha256sum | sha256sum | cut -d' ' -f1)
if [ "${ISOTHERM_SERVE:-}" = 1 ] && [ -f "$bundled" ] && [ "$(cat "$bundled")" = "$now" ]; then
    exit 0
fi
if [ -f "$stamp" ] && [ "$(cat "$stamp")" = "$now" ]; then
    echo "web: unchanged since the last build"
    exit 0
fi
node_ready
# What is served needs no linters and no tests: a whole build brings them in when they are missing.
lock=$(sha256sum package-lock.json | cut -d' ' -f1)
had=$(cat node_modules/.installed 2>/dev/null || true)
if [ "$had" != "$lock" ]; then
    if [ "${ISOTHERM_SERVE:-}" != 1 ]; then
        npm ci --no-progress --no-audit --no-fund --loglevel=error
        printf '%s' "$lock" >node_modules/.installed
    elif [ "$had" != "$lock without tests" ]; then
        npm ci --omit=dev --no-progress --no-audit --no-fund --loglevel=error
        printf '%s' "$lock without tests" >node_modules/.installed
    fi
fi
if [ "${ISOTHERM_SERVE:-}" = 1 ]; then
    npm run --silent bundle
    printf '%s' "$now" >"$bundled"
    exit 0
fi
npm run --silent build
npm run --silent test
printf '%s' "$now" >"$stamp"
