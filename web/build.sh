#!/usr/bin/env bash
# Called by Maven: installs the locked packages when the lock file has changed, checks, tests and builds, when anything has.
set -euo pipefail
cd "$(dirname "$0")"
stamp() { cat package.json package-lock.json | sha256sum | cut -c1-64; }
sources() { find ../docs/openapi.json src index.html public ./*.ts ./*.js package-lock.json -type f -print0 | sort -z | xargs -0 sha256sum | sha256sum | cut -c1-64; }
mkdir -p node_modules
if [ "$(cat node_modules/.jalon-stamp 2>/dev/null)" != "$(stamp)" ]; then
  npm ci --no-audit --no-fund --loglevel=error
  stamp > node_modules/.jalon-stamp
fi
if [ -f dist/index.html ] && [ "$(cat node_modules/.jalon-built 2>/dev/null)" = "$(sources)" ]; then
  exit 0
fi
npm run --silent types
npm run --silent lint
npm run --silent typecheck
npm run --silent test
npm run --silent build
sources > node_modules/.jalon-built
