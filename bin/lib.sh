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

web_names() { echo "${HOSTS:-${RUCHKA_HOSTS:-}} ${ADDRESS:-${RUCHKA_ADDRESS:-}} ${TRUST:-}"; } # by what it is called, which only a new start changes

start_web() { # a connection is kept longer than anybody pauses: one that ends as a request crosses it is an error to whoever asked
  local pid
  pid="$(web_pid)"
  if [ -n "$pid" ] && cmp -s .next/ruchka-stamp "$DATA/web.stamp" && [ "$(web_names)" = "$(cat "$DATA/web.names" 2>/dev/null)" ]; then
    echo "Ruchka is running already: http://127.0.0.1:$(cat "$DATA/web.port" 2>/dev/null || echo "$WEB_PORT")"
    return 0
  fi
  # A server of an older build would miss its files.
  if [ -n "$pid" ]; then stop_web; fi
  DATABASE_URL="${WEB_DATABASE_URL:-$DATABASE_URL}" WEB_DATABASE_URL="" RUCHKA_BACKUPS="${BACKUPS:-}" RUCHKA_HOSTS="${HOSTS:-${RUCHKA_HOSTS:-}}" RUCHKA_ADDRESS="${ADDRESS:-${RUCHKA_ADDRESS:-}}" RUCHKA_TRUST="${TRUST:-}" RUCHKA_TRUST_MARK="${TRUST_MARK:-}" NODE_OPTIONS="--max-old-space-size=${RUCHKA_MEMORY_MB:-512} ${NODE_OPTIONS:-}" setsid node node_modules/next/dist/bin/next start -H 127.0.0.1 -p "$WEB_PORT" --keepAliveTimeout 70000 </dev/null >>"$DATA/web.log" 2>&1 &
  echo "$!" >"$DATA/web.pid"
  echo "$WEB_PORT" >"$DATA/web.port"
  cp .next/ruchka-stamp "$DATA/web.stamp"
  web_names >"$DATA/web.names"
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

stop_nightly() { # and the backup that it may be making: one that is left would start the database again
  local pid
  pid="$(nightly_pid)"
  if [ -n "$pid" ]; then kill -TERM -- "-$pid" 2>/dev/null || true; fi
  end_process "$pid" || return 1
  rm -f "$DATA/nightly.pid"
}

front_pid() { # the door for other devices, if it lives
  local pid
  pid="$(cat "$DATA/front.pid" 2>/dev/null || true)"
  if [ -n "$pid" ] && kill -0 "$pid" 2>/dev/null && tr '\0' ' ' <"/proc/$pid/cmdline" 2>/dev/null | grep -q src/front/main; then echo "$pid"; fi
}

ensure_certificate() { # NAMES, one a line: an authority of the farm's own, and a certificate by it for these names; made anew before it ends, or for other names
  local folder="$DATA/tls" names sans="" name
  names="$(cat)"
  mkdir -p "$folder"
  chmod 700 "$folder"
  if [ ! -s "$folder/authority.crt" ]; then
    openssl req -x509 -newkey ec -pkeyopt ec_paramgen_curve:P-256 -nodes -days 3650 -keyout "$folder/authority.key" -out "$folder/authority.crt" \
      -subj "/CN=Farm of $(hostname)" -addext "basicConstraints=critical,CA:TRUE,pathlen:0" -addext "keyUsage=critical,keyCertSign,cRLSign" 2>/dev/null || return 1
  fi
  if [ -s "$folder/farm.crt" ] && [ "$names" = "$(cat "$folder/names" 2>/dev/null)" ] && openssl x509 -in "$folder/farm.crt" -checkend 2592000 -noout >/dev/null 2>&1; then return 0; fi
  for name in $names; do
    if [[ "$name" =~ ^[0-9.]+$ ]]; then sans="$sans,IP:$name"; else sans="$sans,DNS:$name"; fi
  done
  openssl req -newkey ec -pkeyopt ec_paramgen_curve:P-256 -nodes -keyout "$folder/farm.key" -out "$folder/farm.csr" -subj "/CN=$(head -n 1 <<<"$names")" 2>/dev/null || return 1
  # Phones take no certificate of more than 825 days, whoever made it.
  openssl x509 -req -in "$folder/farm.csr" -CA "$folder/authority.crt" -CAkey "$folder/authority.key" -CAcreateserial -days 800 -out "$folder/farm.crt" \
    -extfile <(printf 'subjectAltName=%s\nextendedKeyUsage=serverAuth\nbasicConstraints=CA:FALSE\n' "${sans#,}") 2>/dev/null || return 1
  rm -f "$folder/farm.csr"
  echo "$names" >"$folder/names"
}

start_front() { # FILE with its settings
  if [ -n "$(front_pid)" ]; then
    if cmp -s "$1" "$DATA/front.started"; then return 0; fi
    stop_front
  fi
  setsid node --conditions=react-server --import "file://$ROOT/node_modules/tsx/dist/loader.mjs" src/front/main.ts serve "$1" </dev/null >>"$DATA/front.log" 2>&1 &
  echo "$!" >"$DATA/front.pid"
  cp "$1" "$DATA/front.started"
  local port
  port="$(node -e 'process.stdout.write(String(JSON.parse(require("fs").readFileSync(process.argv[1])).port))' "$1")"
  for _ in $(seq 1 100); do
    if (exec 3<>"/dev/tcp/127.0.0.1/$port") 2>/dev/null; then return 0; fi
    kill -0 "$(cat "$DATA/front.pid")" 2>/dev/null || break
    sleep 0.1
  done
  tail -n 3 "$DATA/front.log" >&2
  echo "The door for other devices did not open; see $DATA/front.log (is port $port taken? RUCHKA_LAN_PORT changes it)" >&2
  rm -f "$DATA/front.pid"
  return 1
}

stop_front() {
  end_process "$(front_pid)" || return 1
  rm -f "$DATA/front.pid" "$DATA/front.started"
}

one_at_a_time() { # two starts at once would trip over each other
  mkdir -p "$DATA"
  chmod 700 "$DATA"
  exec 9>"$DATA/lock"
  flock 9
}
