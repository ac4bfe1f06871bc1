# What a backup holds, and how it is compared: used by bin/backup and bin/restore.

# The instance whose database is meant, and its settings file.
choose_instance() {
  case "$1" in
    demo) ENVIRONMENT=demo FILE=.env DATABASE=ivory_pace ;;
    clinic) ENVIRONMENT=production FILE=.env.production DATABASE=ivory_pace ;;
    # The drill's own: what the tests made, and where it is brought back.
    test) ENVIRONMENT=e2e FILE=.env.e2e DATABASE=${DRILL_DATABASE:-ivory_pace_e2e} ;;
    drill) ENVIRONMENT=drill FILE=.env.drill DATABASE=${DRILL_DATABASE:-ivory_pace_e2e} ;;
    *) die "there is no instance $1; say clinic or demo" ;;
  esac
  use_instance "$1"
}

# Everything in the database, at one moment, in an order that is always the same.
dump_database() {
  MYSQL_PWD=$(cat "$DIR/administrator.password") mariadb-dump --no-defaults --socket="$SOCKETS/mariadb.sock" --user=root \
    --single-transaction --routines --triggers --hex-blob --order-by-primary --skip-dump-date --skip-comments \
    --default-character-set=utf8mb4 "$DATABASE"
}

hash_of() { sha256sum "$1" | cut -d' ' -f1; }

# Where nobody has set it, it is asked for, and not shown.
ask_passphrase() {
  [ -n "${IVORY_PACE_PASSPHRASE:-}" ] && return 0
  [ -t 0 ] || die "the passphrase is missing: set IVORY_PACE_PASSPHRASE, or run this where it can be typed"
  read -rsp "Passphrase of the backups: " IVORY_PACE_PASSPHRASE; echo >&2
  export IVORY_PACE_PASSPHRASE
}
