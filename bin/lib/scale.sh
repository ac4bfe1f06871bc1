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
  APP_ENV=e2e grant_rights ivory_pace_e2e
}
