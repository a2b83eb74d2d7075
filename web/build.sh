#!/usr/bin/env bash
# Called by Maven: installs the locked packages when the lock file has changed; checks, tests and builds when anything has.
set -euo pipefail
cd "$(dirname "$0")"
stamp() { cat package.json package-lock.json | sha256sum | cut -c1-64; }
sources() { find ../docs/openapi.json ../core/src/main/resources/jalon/words ../server/src/main/resources/jalon/words src index.html public .prettierrc.json ./*.ts ./*.js package-lock.json -type f -print0 | sort -z | xargs -0 sha256sum | sha256sum | cut -c1-64; }
mkdir -p node_modules
if [ "$(cat node_modules/.jalon-stamp 2>/dev/null)" != "$(stamp)" ]; then
  npm ci --no-audit --no-fund --loglevel=error
  stamp > node_modules/.jalon-stamp
fi
# The demo wants the screens; checks and tests are for ./jalon test.
checks=${JALON_WEB_CHECKS:-yes}
now=$(sources)
built() { [ -f dist/index.html ] && [ "$(cat node_modules/.jalon-built 2>/dev/null)" = "$now" ]; }
checked() { [ "$checks" = no ] || [ "$(cat node_modules/.jalon-checked 2>/dev/null)" = "$now" ]; }
if built && checked; then
  exit 0
fi
npm run --silent types
if ! checked; then
  npm run --silent lint
  npm run --silent typecheck
  npm run --silent test
  echo "$now" > node_modules/.jalon-checked
fi
if ! built; then
  npm run --silent build
  echo "$now" > node_modules/.jalon-built
fi
