# Sourced by ./start and ./test: installs what is missing and runs a private PostgreSQL on loopback.
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
PROJECT="$PWD"
STAMPS="$PROJECT/node_modules/.cache/idle-marker"

say() { printf '%s\n' "$*" >&2; }
die() { say "$*"; exit 1; }

as_root() {
  if [ "$(id -u)" = 0 ]; then "$@"
  elif command -v sudo >/dev/null; then sudo "$@"
  else die "Installing Debian packages needs root or sudo. Install them yourself and try again: apt-get install postgresql $*"
  fi
}

postgres_bin() { ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -1; }

# install_debian PACKAGE...: from Debian's archive, without making Debian's own database cluster.
install_debian() {
  say "Installing from Debian's packages: $*"
  if [ ! -e /etc/postgresql-common/createcluster.d/idle-marker.conf ] && [ -z "$(postgres_bin)" ]; then
    as_root mkdir -p /etc/postgresql-common/createcluster.d
    echo 'create_main_cluster = false' | as_root tee /etc/postgresql-common/createcluster.d/idle-marker.conf >/dev/null
  fi
  as_root apt-get update -qq
  as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "$@" </dev/null >&2
}

free_port() { node -e 'const s=require("net").createServer().listen(0,"127.0.0.1",()=>{console.log(s.address().port);s.close()})'; }

need_node() {
  command -v node >/dev/null || die "Node.js 20.19 or newer is needed and was not found."
  node -e 'const [a,b]=process.versions.node.split(".").map(Number);process.exit(a>20||(a===20&&b>=19)?0:1)' || die "Node.js 20.19 or newer is needed; this is $(node --version)."
}

need_postgres() { [ -n "$(postgres_bin)" ] || install_debian postgresql; }

# Readers of other makers, of files that are written: tests with them are left out where they are not, unless they are
# required.
need_other_readers() {
  [ "${IDLE_OTHER_READERS:-}" = required ] || return 0
  command -v qpdf >/dev/null && command -v pdfinfo >/dev/null && command -v ogrinfo >/dev/null && command -v unzip >/dev/null \
    && /usr/bin/python3 -c 'import ezdxf, openpyxl' 2>/dev/null \
    || install_debian qpdf poppler-utils gdal-bin python3 python3-ezdxf python3-openpyxl unzip
}

need_packages() {
  local wanted; wanted="$(sha256sum < package-lock.json)"
  if [ "$(cat "$STAMPS/packages" 2>/dev/null)" != "$wanted" ]; then
    say "Installing npm packages from the lock file"
    npm ci --no-audit --no-fund --loglevel=error >&2
    mkdir -p "$STAMPS"
    printf '%s' "$wanted" > "$STAMPS/packages"
  fi
}

# Hash of all sources that go into the build.
source_hash() {
  find core words contract records paper press archive formats server web demo scripts package-lock.json tsconfig.base.json \
    -type f -not -path '*/node_modules/*' -not -path '*/dist/*' -print0 | sort -z | xargs -0 sha256sum | sha256sum
}

need_build() {
  local wanted; wanted="$(source_hash)"
  if [ "$(cat "$STAMPS/build" 2>/dev/null)" != "$wanted" ] || [ ! -e web/dist/index.html ] || [ ! -e server/dist/main.mjs ]; then
    say "Building"
    node scripts/build-server.mjs >&2
    (cd web && node ../node_modules/vite/bin/vite.js build --logLevel warn >&2)
    printf '%s' "$wanted" > "$STAMPS/build"
  fi
}

# The database runs as the caller, or as "postgres" when the caller is root, which PostgreSQL refuses.
pg() {
  # Descriptor 9 is the lock on the data folder: the database outlives a killed start and must not keep it.
  if [ "$(id -u)" = 0 ]; then (cd / && runuser -u postgres -- env LC_ALL=C "$@" 9>&-)
  else (cd / && env LC_ALL=C "$@" 9>&-)
  fi
}

# pg_run CLUSTER PORT: over TCP alone, since the path of a socket may be too long for the system. PG_OPTIONS go along.
pg_run() {
  pg "$(postgres_bin)/pg_ctl" -D "$1" -l "$1/server.log" -w -t 60 -o "-p $2 -c listen_addresses=127.0.0.1 -c unix_socket_directories='' ${PG_OPTIONS:-}" start >/dev/null
}

# start_postgres DATA_FOLDER PORT: makes the cluster when new, starts it, sets IDLE_PG_PASSWORD and PG_STARTED.
start_postgres() {
  local data="$1" port="$2" bin; bin="$(postgres_bin)"
  PG_CLUSTER="$data/postgres"
  PG_STARTED=0
  mkdir -p "$data"
  chmod 711 "$data"
  exec 9>"$data/lock"
  flock -n 9 || die "Idle Marker runs from $data already. Stop it first, or set IDLE_DATA to another folder."
  if [ "$(id -u)" = 0 ] && ! pg test -x "$data"; then
    die "The database user can not reach $data. Choose a folder that others may pass through: IDLE_DATA=/path ./start"
  fi
  if [ ! -e "$PG_CLUSTER/PG_VERSION" ]; then
    rm -rf "$PG_CLUSTER"
    mkdir -m 700 "$PG_CLUSTER"
    (umask 077; head -c 24 /dev/urandom | base64 | tr '+/' '-_' | tr -d '\n' > "$data/password")
    local handed; handed="$(mktemp)"
    cat "$data/password" > "$handed"
    if [ "$(id -u)" = 0 ]; then chown -R postgres: "$PG_CLUSTER" "$handed"; fi
    pg "$bin/initdb" -D "$PG_CLUSTER" -U idle --pwfile="$handed" -A scram-sha-256 -E UTF8 --locale=C.UTF-8 >/dev/null || die "initdb failed in $PG_CLUSTER"
    rm -f "$handed"
  fi
  IDLE_PG_PASSWORD="$(cat "$data/password")"
  export IDLE_PG_PASSWORD
  if pg "$bin/pg_ctl" -D "$PG_CLUSTER" status >/dev/null 2>&1; then
    # Left over from a start that was killed, or another start of this folder: which, its port file tells.
    [ "$(sed -n 4p "$PG_CLUSTER/postmaster.pid" 2>/dev/null)" = "$port" ] || die "A database of $data runs on another port. Stop it first."
    PG_STARTED=1
    return
  fi
  pg_run "$PG_CLUSTER" "$port" || die "PostgreSQL did not start on port $port (set IDLE_PG_PORT for another): $(pg tail -3 "$PG_CLUSTER/server.log")"
  PG_STARTED=1
}

stop_postgres() {
  if [ "${PG_STARTED:-0}" = 1 ]; then pg "$(postgres_bin)/pg_ctl" -D "$PG_CLUSTER" -m fast -w stop >/dev/null 2>&1 || true; PG_STARTED=0; fi
}
