#!/usr/bin/env bash
# Stops and starts the database of a running ./test, for tests in which it goes away: test-database.sh stop|start
. "$(dirname "$0")/environment.sh"
case "${1:-}" in
  stop) pg "$(postgres_bin)/pg_ctl" -D "$IDLE_TEST_FOLDER/postgres" -m immediate -w stop >/dev/null ;;
  start) pg_run "$IDLE_TEST_FOLDER/postgres" "$IDLE_PG_PORT" ;;
  *) die "usage: test-database.sh stop|start" ;;
esac
