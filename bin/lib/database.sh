# A MariaDB instance of our own: own data, own socket, own port on loopback. The system's is never touched.

start_database() {
  local data="$DIR/mysql" conf="$DIR/mariadb.cnf" user mariadbd started
  alive "$DIR/mariadb.pid" && return 0
  mariadbd=$(command -v mariadbd || echo /usr/sbin/mariadbd)
  step "Starting MariaDB on 127.0.0.1:$DB_PORT"
  user=$(service_user mysql)
  [ ! -d "$data/mysql" ] && rm -rf "$data"
  mkdir -p "$data"
  cat > "$conf" <<CONF
[mariadbd]
user = $user
datadir = $data
socket = $SOCKETS/mariadb.sock
pid-file = $DIR/mariadb.pid
log-error = $DIR/mariadb.log
port = $DB_PORT
bind-address = 127.0.0.1
skip-name-resolve
character-set-server = utf8mb4
collation-server = utf8mb4_unicode_ci
innodb_buffer_pool_size = 128M
${DB_EXTRA:-}
$(is_node && echo "!include $DIR/galera.cnf")
CONF
  is_root && chown "$user" "$DIR" "$data" "$SOCKETS"
  if [ ! -d "$data/mysql" ]; then
    mariadb-install-db --no-defaults --user="$user" --datadir="$data" --auth-root-authentication-method=normal --skip-test-db >"$DIR/mariadb-install.log" 2>&1 \
      || { tail -n 20 "$DIR/mariadb-install.log" >&2; die "MariaDB could not make its data directory"; }
    is_node || rm -f "$DIR/database.password"
  fi
  setsid "$mariadbd" --defaults-file="$conf" $(as_node "$mariadbd" "$conf") >/dev/null 2>&1 < /dev/null &
  started=$!
  # A node may have to fetch everything first.
  wait_until "$(is_node && echo 3600 || echo 60)" answers_or_ended "$started" || true
  database_answers >/dev/null 2>&1 || { tail -n 20 "$DIR/mariadb.log" >&2; die "MariaDB did not start; the end of its log is above"; }
}

database_answers() { mariadb-admin --no-defaults --socket="$SOCKETS/mariadb.sock" --connect-timeout=2 ping; }
answers_or_ended() { database_answers || ! kill -0 "$1"; }

# One node of several, by settings of its own beside ours (docs/running.md, More than one machine).
is_node() { [ -e "$DIR/galera.cnf" ]; }

# How a node begins: the first of all, or where it was. After a crash only InnoDB knows that; without it everything would be fetched.
as_node() {
  local position
  is_node || return 0
  if [ "${IVORY_PACE_FIRST_NODE:-}" = yes ]; then echo --wsrep-new-cluster; return 0; fi
  "$1" --defaults-file="$2" --wsrep-recover --log-error="$DIR/recover.log" >/dev/null 2>&1 < /dev/null || true
  position=$(sed -n 's/.*Recovered position: *//p' "$DIR/recover.log" | tail -n 1)
  [ -z "$position" ] || echo "--wsrep_start_position=$position"
  rm -f "$DIR/recover.log"
}

random_password() { head -c 24 /dev/urandom | base64 | tr -d '+/=\n'; }

as_administrator() {
  MYSQL_PWD=$(cat "$DIR/administrator.password" 2>/dev/null || true) mariadb --no-defaults --socket="$SOCKETS/mariadb.sock" --user=root "$@"
}

# Sets up users and databases by name. There are three users: the administrator, by the socket only; the keeper, who makes and
# changes tables; and the running application, who may do what grant_rights says. The administrator has no password only
# until the first run of this.
ensure_database() {
  local admin="$DIR/administrator.password"
  umask 077
  [ -s "$DIR/database.password" ] || random_password > "$DIR/database.password"
  [ -s "$DIR/keeper.password" ] || random_password > "$DIR/keeper.password"
  DB_PASSWORD=$(cat "$DIR/database.password") KEEPER_PASSWORD=$(cat "$DIR/keeper.password")
  if [ ! -s "$admin" ]; then
    random_password > "$admin.new"
    mariadb --no-defaults --socket="$SOCKETS/mariadb.sock" --user=root -e "ALTER USER 'root'@'localhost' IDENTIFIED BY '$(cat "$admin.new")';" \
      || die "the database's administrator could not be set up"
    mv "$admin.new" "$admin"
  fi
  umask 022
  as_administrator -N -e "SELECT CONCAT('DROP USER ', QUOTE(User), '@', QUOTE(Host), ';') FROM mysql.user WHERE User = '' OR (User = 'root' AND Host <> 'localhost')" \
    | as_administrator || die "accounts of the database without a password could not be removed"
  as_administrator <<SQL || die "the database's users could not be set up"
CREATE USER IF NOT EXISTS 'ivory_pace'@'127.0.0.1', 'ivory_pace_keeper'@'127.0.0.1';
ALTER USER 'ivory_pace'@'127.0.0.1' IDENTIFIED BY '$DB_PASSWORD', 'ivory_pace_keeper'@'127.0.0.1' IDENTIFIED BY '$KEEPER_PASSWORD';
SQL
  for name in "$@"; do
    as_administrator -e "CREATE DATABASE IF NOT EXISTS $name; GRANT ALL ON $name.* TO 'ivory_pace_keeper'@'127.0.0.1';" \
      || die "the database $name could not be made"
  done
}

# Takes rights away from the running application: from which list of them, on what, and which.
revoke_where() {
  local user="'ivory_pace'@'127.0.0.1'"
  as_administrator -N -e "SELECT DISTINCT CONCAT('REVOKE ALL PRIVILEGES ON ', $2, ' FROM ', GRANTEE, ';') FROM information_schema.$1 WHERE GRANTEE = \"$user\" AND $3" \
    | as_administrator || die "rights of the application could not be taken back"
}

# Runs a command as the one who makes and changes tables.
as_keeper() { DB_USERNAME=ivory_pace_keeper DB_PASSWORD="$KEEPER_PASSWORD" as_app "$@"; }

# After migrating: gives the running application its rights in a database, and takes away all others.
grant_rights() {
  local user="'ivory_pace'@'127.0.0.1'" name=$1 statements
  statements=$(DB_DATABASE=$name as_keeper php artisan database:rights "$user") || die "the rights of the application could not be told"
  # An earlier version gave the application every right in it.
  revoke_where SCHEMA_PRIVILEGES "TABLE_SCHEMA, '.*'" "TABLE_SCHEMA = '$name'"
  revoke_where TABLE_PRIVILEGES "TABLE_SCHEMA, '.', TABLE_NAME" "TABLE_SCHEMA = '$name'"
  revoke_where COLUMN_PRIVILEGES "TABLE_SCHEMA, '.', TABLE_NAME" "TABLE_SCHEMA = '$name'"
  as_administrator -e "$statements" || die "the rights of the application could not be given"
}

stop_database() { end_by_pid_file "$DIR/mariadb.pid"; }
