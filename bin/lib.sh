# Shared by bin/demo, bin/start, bin/stop and bin/test. Sourced.
ROOT="$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)"
export NEXT_TELEMETRY_DISABLED=1
cd "$ROOT"
# What is written here, logs and passwords among it, is for this user alone.
umask 077
# shellcheck source=../db/server.sh
. "$ROOT/db/server.sh"

# A script of src/, run without a build.
run_ts() { node --conditions=react-server --import "file://$ROOT/node_modules/tsx/dist/loader.mjs" "$@"; }

web_pid() { # the process of this data folder's server, if it lives
  local pid
  pid="$(cat "$DATA/web.pid" 2>/dev/null || true)"
  if [ -n "$pid" ] && kill -0 "$pid" 2>/dev/null && tr '\0' ' ' <"/proc/$pid/cmdline" 2>/dev/null | grep -q next; then echo "$pid"; fi
}

build_stamp() { # changes whenever something that the build reads does
  { cat package-lock.json next.config.ts postcss.config.mjs tsconfig.json; find src -type f ! -name '*.test.ts*' -print0 | LC_ALL=C sort -z | xargs -0 cat; } | sha256sum | cut -c1-64
}

ensure_build() {
  local stamp
  stamp="$(build_stamp)"
  if [ -e .next/BUILD_ID ] && [ "$(cat .next/ruchka-stamp 2>/dev/null)" = "$stamp" ]; then return 0; fi
  # Started from a server that runs: a build would take its files away.
  if [ -n "${RUCHKA_NO_BUILD:-}" ]; then echo "Ruchka was changed since it was started: bin/stop, then bin/start" >&2; return 1; fi
  echo "Building (a minute or so)"
  node node_modules/next/dist/bin/next build >"$DATA/build.log" 2>&1 || { tail -n 40 "$DATA/build.log" >&2; return 1; }
  echo "$stamp" >.next/ruchka-stamp
}

ensure_database() { # an outside one by DATABASE_URL, or else the private one
  if [ -n "${DATABASE_URL:-}" ]; then return 0; fi
  db_start
}

start_web() {
  local pid
  pid="$(web_pid)"
  if [ -n "$pid" ] && cmp -s .next/ruchka-stamp "$DATA/web.stamp"; then
    echo "Ruchka is running already: http://127.0.0.1:$(cat "$DATA/web.port" 2>/dev/null || echo "$WEB_PORT")"
    return 0
  fi
  # A server of an older build would miss its files.
  if [ -n "$pid" ]; then stop_web; fi
  DATABASE_URL="${WEB_DATABASE_URL:-$DATABASE_URL}" WEB_DATABASE_URL="" RUCHKA_BACKUPS="${BACKUPS:-}" setsid node node_modules/next/dist/bin/next start -H 127.0.0.1 -p "$WEB_PORT" </dev/null >>"$DATA/web.log" 2>&1 &
  echo "$!" >"$DATA/web.pid"
  echo "$WEB_PORT" >"$DATA/web.port"
  cp .next/ruchka-stamp "$DATA/web.stamp"
  for _ in $(seq 1 150); do
    if curl -fsS -o /dev/null --max-time 2 "http://127.0.0.1:$WEB_PORT/api/health" 2>/dev/null; then
      echo "Ruchka: http://127.0.0.1:$WEB_PORT"
      return 0
    fi
    kill -0 "$(cat "$DATA/web.pid")" 2>/dev/null || break
    sleep 0.2
  done
  echo "The web server did not start; see $DATA/web.log (is port $WEB_PORT taken? RUCHKA_PORT changes it)" >&2
  rm -f "$DATA/web.pid"
  return 1
}

stop_web() {
  end_process "$(web_pid)" || return 1
  rm -f "$DATA/web.pid"
}

stand_ins_pid() { # the demo's stand-in devices, if they live
  local pid
  pid="$(cat "$DATA/stand-ins.pid" 2>/dev/null || true)"
  if [ -n "$pid" ] && kill -0 "$pid" 2>/dev/null && tr '\0' ' ' <"/proc/$pid/cmdline" 2>/dev/null | grep -q standIns; then echo "$pid"; fi
}

start_stand_ins() { # a weather station and two drum probes that post as real ones would
  if [ -n "$(stand_ins_pid)" ] || [ ! -e "$DATA/made-at" ]; then return 0; fi
  setsid node --conditions=react-server --import "file://$ROOT/node_modules/tsx/dist/loader.mjs" src/demo/standIns.ts \
    "http://127.0.0.1:$(cat "$DATA/web.port" 2>/dev/null || echo "$WEB_PORT")" "$DATA/made-at" </dev/null >>"$DATA/stand-ins.log" 2>&1 &
  echo "$!" >"$DATA/stand-ins.pid"
}

stop_stand_ins() {
  end_process "$(stand_ins_pid)" || return 1
  rm -f "$DATA/stand-ins.pid"
}

nightly_pid() { # what makes the backups by itself, if it lives
  local pid
  pid="$(cat "$DATA/nightly.pid" 2>/dev/null || true)"
  if [ -n "$pid" ] && kill -0 "$pid" 2>/dev/null && tr '\0' ' ' <"/proc/$pid/cmdline" 2>/dev/null | grep -q "bin/nightly"; then echo "$pid"; fi
}

start_nightly() { # a backup whenever the last good one is a day old
  if [ -n "$(nightly_pid)" ]; then return 0; fi
  mkdir -p "$DATA/backups"
  RUCHKA_DATA="$DATA" RUCHKA_DB_PORT="$DB_PORT" setsid bash "$ROOT/bin/nightly" </dev/null >>"$DATA/backups/log" 2>&1 &
  echo "$!" >"$DATA/nightly.pid"
}

stop_nightly() {
  end_process "$(nightly_pid)" || return 1
  rm -f "$DATA/nightly.pid"
}

one_at_a_time() { # two starts at once would trip over each other
  mkdir -p "$DATA"
  chmod 700 "$DATA"
  exec 9>"$DATA/lock"
  flock 9
}
