#!/usr/bin/env bash
# Builds the web application into dist/; does nothing when nothing changed since the last build.
set -euo pipefail
cd "$(dirname "$0")"
lock=$(sha256sum package-lock.json)
if [ "$(cat node_modules/.brick-lock 2>/dev/null || true)" != "$lock" ]; then
  npm ci --no-audit --no-fund --loglevel=error
  printf '%s' "$lock" > node_modules/.brick-lock
fi
source=$(find src public index.html openapi.json package-lock.json vite.config.ts tsconfig.json -type f \
  ! -name schema.d.ts -print0 | sort -z | xargs -0 sha256sum | sha256sum)
if [ "$(cat dist/.source 2>/dev/null || true)" = "$source" ]; then
  echo "web: nothing changed"
  exit 0
fi
npm run --silent build
printf '%s' "$source" > dist/.source
