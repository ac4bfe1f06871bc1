#!/usr/bin/env bash
# Runs a command for as long as it is wanted: when it ends it is started again, later each time that it ends at once.
#   supervise.sh COMMAND [ARGUMENT...]
child='' pause=1
end() { [ -z "$child" ] || { kill -TERM "$child" 2>/dev/null; wait "$child"; }; exit 0; }
trap end TERM INT
while true; do
  began=$SECONDS
  "$@" &
  child=$!
  wait "$child"
  code=$?
  child=''
  [ $((SECONDS - began)) -lt 60 ] || pause=1
  printf '%s  %s ended (%s); it is started again in %s s\n' "$(date -u +%FT%TZ)" "$*" "$code" "$pause"
  sleep "$pause" &
  wait $!
  pause=$((pause < 16 ? pause * 2 : 30))
done
