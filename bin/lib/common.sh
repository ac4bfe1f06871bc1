# Shared by the scripts in bin/: where things are, and how to speak.
set -euo pipefail

ROOT=$(cd "$(dirname "${BASH_SOURCE[0]}")/../.." && pwd)
cd "$ROOT"
export COMPOSER_ALLOW_SUPERUSER=1 COMPOSER_NO_INTERACTION=1

say()  { printf '  %s\n' "$*"; }
step() { printf '• %s\n' "$*"; }
die()  { printf 'bin/%s: %s\n' "$(basename "$0")" "$*" >&2; exit 1; }
is_root() { [ "$(id -u)" -eq 0 ]; }

# The user that a service runs as: its own when we are root and it can reach this folder, otherwise ourselves.
service_user() {
  if is_root && id "$1" >/dev/null 2>&1 && runuser -u "$1" -- test -x "$ROOT" -a -r "$ROOT/artisan" 2>/dev/null; then
    echo "$1"
  else
    id -un
  fi
}

# Runs a command as the user that serves the application, so that no file ends up out of its reach.
as_app() {
  if is_root && [ "$APP_USER" != root ]; then
    runuser -u "$APP_USER" -- "$@"
  else
    "$@"
  fi
}

# Sets the paths and ports of one instance: demo, clinic (a clinic of one's own), or test.
use_instance() {
  INSTANCE=$1
  DIR="$ROOT/storage/instances/$INSTANCE"
  case "$INSTANCE" in
    demo)
      WEB_PORT_VARIABLE=IVORY_PACE_PORT DB_PORT_VARIABLE=IVORY_PACE_DB_PORT
      WEB_PORT=${IVORY_PACE_PORT:-8420}; DB_PORT=${IVORY_PACE_DB_PORT:-13420} ;;
    clinic)
      WEB_PORT_VARIABLE=IVORY_PACE_PORT DB_PORT_VARIABLE=IVORY_PACE_DB_PORT
      WEB_PORT=${IVORY_PACE_PORT:-8440}; DB_PORT=${IVORY_PACE_DB_PORT:-13440} ;;
    drill)
      WEB_PORT_VARIABLE=IVORY_PACE_TEST_PORT DB_PORT_VARIABLE=IVORY_PACE_TEST_DB_PORT
      WEB_PORT=$(( ${IVORY_PACE_TEST_PORT:-8431} + 1 )); DB_PORT=$(( ${IVORY_PACE_TEST_DB_PORT:-13431} + 1 )) ;;
    cluster)
      WEB_PORT_VARIABLE=IVORY_PACE_TEST_PORT DB_PORT_VARIABLE=IVORY_PACE_TEST_DB_PORT
      WEB_PORT=$(( ${IVORY_PACE_TEST_PORT:-8431} + 2 )); DB_PORT=$(( ${IVORY_PACE_TEST_DB_PORT:-13431} + 2 )) ;;
    test)
      WEB_PORT_VARIABLE=IVORY_PACE_TEST_PORT DB_PORT_VARIABLE=IVORY_PACE_TEST_DB_PORT
      WEB_PORT=${IVORY_PACE_TEST_PORT:-8431}; DB_PORT=${IVORY_PACE_TEST_DB_PORT:-13431} ;;
    *) die "there is no instance $INSTANCE" ;;
  esac
  APP_USER=$(service_user www-data)
  if [ -e "$DIR" ] && [ ! -w "$DIR" ] && ! is_root; then
    die "storage/instances/$INSTANCE belongs to another user ($(stat -c %U "$DIR")), who ran this before. Run it as that user, or remove the folder."
  fi
  mkdir -p "$DIR"
  set_sockets
}

# A socket's path may have at most 107 characters.
set_sockets() {
  SOCKETS="$DIR"
  if [ $(( ${#DIR} + 16 )) -gt 100 ]; then
    SOCKETS="/tmp/ivory-pace-$(printf '%s' "$DIR" | cksum | cut -d' ' -f1)"
    mkdir -p -m 755 "$SOCKETS"
  fi
}

alive() { [ -s "$1" ] && kill -0 "$(cat "$1")" 2>/dev/null; }

port_in_use() { (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

# Says at once which port is taken by something that is not ours.
ensure_ports_free() {
  local script; script=$(basename "$0")
  if ! alive "$DIR/nginx.pid" && port_in_use "$WEB_PORT"; then
    die "port $WEB_PORT is in use by another program, so the web server cannot start.
Set another one, for example:  $WEB_PORT_VARIABLE=$((WEB_PORT + 1)) bin/$script"
  fi
  if ! alive "$DIR/mariadb.pid" && port_in_use "$DB_PORT"; then
    die "port $DB_PORT is in use by another program, so the database cannot start.
Set another one, for example:  $DB_PORT_VARIABLE=$((DB_PORT + 1)) bin/$script"
  fi
}

# Ends the process of a pid file and waits for it.
end_by_pid_file() {
  local file=$1 pid
  alive "$file" || { rm -f "$file"; return 0; }
  pid=$(cat "$file")
  kill "${2:--TERM}" "$pid" 2>/dev/null || true
  for _ in $(seq 100); do
    kill -0 "$pid" 2>/dev/null || { rm -f "$file"; return 0; }
    sleep 0.1
  done
  kill -KILL "$pid" 2>/dev/null || true
  rm -f "$file"
}

wait_until() {
  local seconds=$1; shift
  for _ in $(seq $(( seconds * 10 ))); do
    if "$@" >/dev/null 2>&1; then return 0; fi
    sleep 0.1
  done
  return 1
}

# What systemd runs is ended and begun by it alone.
not_by_systemd() {
  if [ -d /run/systemd/system ] && systemctl is-active --quiet ivory-pace.target; then
    die "systemd runs this clinic: systemctl stop ivory-pace.target first. Afterwards bin/start --stop, then systemctl start ivory-pace.target."
  fi
}
