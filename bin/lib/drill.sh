# Puts away what the browser tests have left and brings it back into an instance of its own: bin/restore compares both.
drill() {
  local folder=$1 archive
  export IVORY_PACE_PASSPHRASE='only for the drill'
  rm -rf "$ROOT/storage/instances/drill" "$DIR/backup.key"
  phone_of_drill before "$folder"
  bin/backup --key test
  # The key is replaced while a phone is signed in under the one before.
  bin/rotate-key test
  KEEPER_PASSWORD=$(cat "$DIR/keeper.password")
  [ "$(APP_ENV=e2e as_keeper php artisan key:rotate --left)" = 0 ] || die "something was left under the earlier key"
  bin/backup "$folder" test
  archive=$(ls "$folder"/*.backup)
  # What was changed is believed in nothing.
  head -c -1 "$archive" > "$archive.damaged"
  if bin/restore "$archive.damaged" drill > "$folder/damaged.log" 2>&1; then die "an archive whose end is missing was restored"; fi
  grep -q 'nothing was restored' "$folder/damaged.log" || die "a damaged archive was refused, but not in words"
  forget_one "$folder"
  bin/restore "$archive" drill
  remembers_nobody_forgotten "$folder"
  if bin/restore "$archive" drill > /dev/null 2>&1; then die "a database was written over"; fi
  stop_web
  serve_drill "$folder" phone_of_drill after "$folder"
  rm -rf "$ROOT/storage/instances/drill" "$ROOT/.env.drill" "$DIR/backup.key"
}

# Somebody was erased after the archive was made: the list beside it says so.
forget_one() {
  local name
  name=$(node -p 'JSON.parse(require("fs").readFileSync("database/seeders/Demo/promises.json", "utf8"))["red-flag"].patient')
  as_administrator -N ivory_pace_e2e -e "SELECT id FROM patients WHERE name = '$name' LIMIT 1" > "$1/forgotten"
  [ -s "$1/forgotten" ] || die "nobody is there to be forgotten"
  php -r '$salt = bin2hex(random_bytes(8)); echo "$salt:", hash_hmac("sha256", trim($argv[1]), $salt), "\n";' "$(cat "$1/forgotten")" >> "$1/erased.list"
  as_administrator -N ivory_pace_e2e -e "SELECT COUNT(*) FROM patients" > "$1/patients"
}

remembers_nobody_forgotten() (
  use_instance drill
  start_database
  trap stop_database EXIT
  [ "$(as_administrator -N ivory_pace_e2e -e "SELECT COUNT(*) FROM patients")" = $(($(cat "$1/patients") - 1)) ] \
    || die "not exactly one record was erased again"
  [ "$(as_administrator -N ivory_pace_e2e -e "SELECT COUNT(*) FROM patients WHERE id = '$(cat "$1/forgotten")'")" = 0 ] \
    || die "a restore brought back who was erased"
)

# A phone that knows nothing of all this: before, and when what was brought back is served at the same address.
phone_of_drill() {
  DRILL_FOLDER="$2" IVORY_PACE_ADDRESS="http://127.0.0.1:$WEB_PORT" PLAYWRIGHT_JSON_OUTPUT_NAME='' \
    npx playwright test --config playwright.drill.config.ts --grep "$1: " || die "the phone of the drill did not go on"
}

# Runs something while the drill's instance is served where the tests' was, by the commands of the units that ship.
serve_drill() (
  port=$WEB_PORT folder=$1
  shift
  use_instance drill
  WEB_PORT=$port
  trap 'stop_web; stop_database' EXIT
  start_database
  ensure_database ivory_pace_e2e
  write_environment .env.drill drill ivory_pace_e2e "http://127.0.0.1:$WEB_PORT" 4 build-e2e
  APP_ENV=drill grant_rights ivory_pace_e2e
  write_php_fpm_configuration drill
  write_nginx_configuration
  stop_database
  start_by_units "$folder/units"
  # What is erased goes by the queue.
  as_app env APP_ENV=drill php artisan queue:work --sleep=1 > "$folder/queue.log" 2>&1 &
  trap "kill $! || true; stop_web; stop_database" EXIT
  "$@"
)

# As systemd would, which runs on no machine that only tests.
start_by_units() {
  local units=$1 name command code
  mkdir -p "$units"
  bin/units "$units" /var/backups drill
  if command -v systemd-analyze >/dev/null; then systemd-analyze verify --man=no "$units"/*.service "$units"/*.timer "$units"/*.target || die "a unit is not as systemd wants it"; fi
  for name in database fpm nginx; do
    command=$(sed -n 's/^ExecStart=//p' "$units/ivory-pace-$name.service")
    setsid bash -c "exec $command" >> "$units/$name.log" 2>&1 < /dev/null &
    case $name in
      database) wait_until 60 mariadb-admin --no-defaults --socket="$SOCKETS/mariadb.sock" --connect-timeout=2 ping ;;
      fpm) wait_until 30 test -S "$SOCKETS/php-fpm.sock" ;;
      nginx) wait_until 30 answers ;;
    esac || { cat "$units/$name.log"; die "the command of ivory-pace-$name.service does not start it"; }
  done
  # These go on until they are ended.
  for name in queue scheduler; do
    command=$(sed -n 's/^ExecStart=//p' "$units/ivory-pace-$name.service") code=0
    as_app env APP_ENV=drill timeout 4 bash -c "exec $command" > "$units/$name.log" 2>&1 || code=$?
    [ $code = 124 ] || { cat "$units/$name.log"; die "the command of ivory-pace-$name.service ends by itself"; }
  done
}
