# Phones and a desk that write until it is acknowledged, and what the database holds of it. Whoever uses it says how to count.

begin_writing() {
  FIRST=${FIRST:-$(count "SELECT COALESCE(MAX(id), 0) FROM measurements")}
  node bin/lib/crash.mjs "http://127.0.0.1:$WEB_PORT" "$1" "$DIR/acknowledged.json" &
  WRITER=$!
}

end_writing() { wait "$WRITER" || die "the writer gave up; see above"; WRITER=''; }

queue_is_empty() { [ "$(count "SELECT COUNT(*) FROM jobs")" = 0 ]; }

note_stored() {
  step "Waiting for the queue"
  wait_until 60 queue_is_empty || die "jobs are left"
  count "SELECT CONCAT(uuid, ' ', COUNT(*)) FROM practices GROUP BY uuid" > "$DIR/practices.txt"
  count "SELECT id FROM measurements WHERE measure = 'pulse' AND id > $FIRST" | wc -l > "$DIR/measurements.txt"
  count "SELECT COUNT(*) FROM access_trail WHERE kind = 'write' AND what = 'measure'" > "$DIR/lines.txt"
  count "SELECT COUNT(*) FROM failed_jobs" > "$DIR/failed.txt"
  count "SELECT LEFT(exception, 400) FROM failed_jobs LIMIT 3" >&2
  count "SELECT COUNT(*) FROM invitations" > "$DIR/invitations.txt"
  count "SELECT COUNT(*) FROM outgoing_mails" > "$DIR/mails.txt"
}
