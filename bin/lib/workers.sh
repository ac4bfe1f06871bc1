# The queue worker and the scheduler, each in a session of its own, and started again whenever they die.

start_worker() {
  local name=$1; shift
  alive "$DIR/$name.pid" && return 0
  step "Starting the $name"
  (
    export APP_ENV=$ENVIRONMENT
    if is_root && [ "$APP_USER" != root ]; then
      setsid setpriv --reuid "$APP_USER" --regid "$(id -gn "$APP_USER")" --init-groups bash "$ROOT/bin/lib/supervise.sh" "$@" >> "$DIR/$name.log" 2>&1 < /dev/null &
    else
      setsid bash "$ROOT/bin/lib/supervise.sh" "$@" >> "$DIR/$name.log" 2>&1 < /dev/null &
    fi
    echo $! > "$DIR/$name.pid"
  )
}

start_workers() {
  stop_workers # they hold old code in memory
  start_worker queue php artisan queue:work --sleep=1 --tries=3 --backoff=3 --max-time=3600
  start_worker scheduler php artisan schedule:work
}

stop_workers() {
  end_by_pid_file "$DIR/queue.pid"
  end_by_pid_file "$DIR/scheduler.pid"
}
