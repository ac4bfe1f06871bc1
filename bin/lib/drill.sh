# Puts away what the browser tests have left and brings it back into an instance of its own: bin/restore compares both.
drill() {
  local folder=$1 archive
  export IVORY_PACE_PASSPHRASE='only for the drill'
  rm -rf "$ROOT/storage/instances/drill" "$DIR/backup.key"
  bin/backup --key test
  bin/backup "$folder" test
  archive=$(ls "$folder"/*.backup)
  # What was changed is believed in nothing.
  head -c -1 "$archive" > "$archive.damaged"
  if bin/restore "$archive.damaged" drill > "$folder/damaged.log" 2>&1; then die "an archive whose end is missing was restored"; fi
  grep -q 'nothing was restored' "$folder/damaged.log" || die "a damaged archive was refused, but not in words"
  bin/restore "$archive" drill
  if bin/restore "$archive" drill > /dev/null 2>&1; then die "a database was written over"; fi
  rm -rf "$ROOT/storage/instances/drill" "$ROOT/.env.drill" "$DIR/backup.key"
}
