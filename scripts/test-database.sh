#!/usr/bin/env bash
# Databases of a running ./test, whose folder, port and password are in the environment:
#   test-database.sh copy FROM TO         one more database with the content of another, which nobody is at
#   test-database.sh make FOLDER PORT     a cluster beside it, for tests in which it goes away; prints its password
#   test-database.sh stop FOLDER          that cluster, as if the power went
#   test-database.sh start FOLDER PORT    and back
set -euo pipefail
. "$(dirname "$0")/environment.sh"
case "${1:-}" in
  copy) PGPASSWORD="$IDLE_PG_PASSWORD" "$(postgres_bin)/createdb" -h 127.0.0.1 -p "$IDLE_PG_PORT" -U idle -T "$2" "$3" ;;
  make) start_postgres "$2" "$3" >&2; cat "$2/password" ;;
  stop) pg "$(postgres_bin)/pg_ctl" -D "$2/postgres" -m immediate -w stop >/dev/null ;;
  start) pg_run "$2/postgres" "$3" ;;
  *) die "usage: see $0" ;;
esac
