# The Caseload and the Course of a clinic with many patients, in a database of its own.
SCALE_PATIENTS="${SCALE_PATIENTS:-500}"
SCALE_DAYS="${SCALE_DAYS:-365}"
GROWTH="${GROWTH:-50 500 5000}"

measure_scale() {
  say "Filling a database with $SCALE_PATIENTS patients and $SCALE_DAYS days of practice; this takes some minutes"
  fresh_scale
  APP_ENV=e2e as_app php artisan demo:scale --patients="$SCALE_PATIENTS" --days="$SCALE_DAYS"
  stop_web; start_web e2e
  node bin/lib/measure-scale.mjs "http://127.0.0.1:$WEB_PORT" "$SCALE_PATIENTS patients, $SCALE_DAYS days"
}

# An archive of all of it, and the way back.
measure_putting_away() (
  local folder begun archive
  folder=$(mktemp -d)
  trap 'rm -rf "$folder" "$DIR/backup.key" "$ROOT/storage/instances/drill" "$ROOT/.env.drill"' EXIT
  export DRILL_DATABASE=ivory_pace_scale IVORY_PACE_PASSPHRASE='only to measure'
  rm -rf "$ROOT/storage/instances/drill" "$DIR/backup.key"
  bin/backup --key test >/dev/null
  begun=$(date +%s%N)
  bin/backup "$folder" test >/dev/null
  archive=$(ls "$folder"/*.backup)
  printf '\nPutting away and bringing back %s patients\n  %-52s %6.1f s   budget 60 s\n' "$SCALE_PATIENTS" \
    "bin/backup ($(du -h "$archive" | cut -f1))" "$(seconds_since "$begun")"
  begun=$(date +%s%N)
  bin/restore "$archive" drill >/dev/null
  printf '  %-52s %6.1f s   budget 120 s\n' 'bin/restore, compared byte for byte' "$(seconds_since "$begun")"
)

seconds_since() { awk -v from="$1" -v to="$(date +%s%N)" 'BEGIN { print (to - from) / 1e9 }'; }

# How both grow with the number of patients, each with two weeks of practice.
measure_growth() {
  fresh_scale
  local had=0 patients
  for patients in $GROWTH; do
    APP_ENV=e2e as_app php artisan demo:scale --patients=$((patients - had)) --days=14 >/dev/null
    had=$patients
    stop_web; start_web e2e >/dev/null
    node bin/lib/measure-scale.mjs "http://127.0.0.1:$WEB_PORT" "$patients patients, two weeks" short
  done
}

fresh_scale() {
  ensure_database ivory_pace_scale
  write_environment .env.e2e e2e ivory_pace_scale "http://127.0.0.1:$WEB_PORT" 4 build-e2e
  APP_ENV=e2e as_keeper php artisan migrate:fresh --force --no-interaction --quiet
  APP_ENV=e2e grant_rights ivory_pace_scale
}
