#!/usr/bin/env bash
# npm run fuzz [-- --mutants N --seconds S --seed N --only NAME]: every reader, and the routes of a server of its own.
. "$(dirname "$0")/environment.sh"
need_node
need_postgres
need_packages
need_build
WORK="$(mktemp -d "${TMPDIR:-/tmp}/idle-marker-fuzz.XXXXXX")"
chmod 711 "$WORK"
SERVER=
finish() { trap - EXIT; trap '' INT TERM; [ -z "$SERVER" ] || kill "$SERVER" 2>/dev/null || true; stop_postgres; rm -rf "$WORK"; }
trap finish EXIT
trap 'finish; exit 130' INT
IDLE_PG_PORT="$(free_port)" IDLE_PORT="$(free_port)"
export IDLE_PG_PORT IDLE_PORT
export PG_OPTIONS='-c fsync=off -c full_page_writes=off'
start_postgres "$WORK" "$IDLE_PG_PORT"
IDLE_DEMO="$PROJECT/demo" IDLE_LOG=error node --max-old-space-size=1024 server/dist/main.mjs 9>&- &
SERVER=$!
for _ in $(seq 100); do curl -fs "http://127.0.0.1:$IDLE_PORT/healthz" >/dev/null 2>&1 && break; sleep 0.2; done
node scripts/fuzz.mjs --port "$IDLE_PORT" "$@" 9>&-
