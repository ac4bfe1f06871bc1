# A MariaDB instance of our own: own data, own socket, own port on loopback. The system's is never touched.

start_database() {
  local data="$DIR/mysql" conf="$DIR/mariadb.cnf" user mariadbd
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
CONF
  is_root && chown "$user" "$DIR" "$data" "$SOCKETS"
  if [ ! -d "$data/mysql" ]; then
    mariadb-install-db --no-defaults --user="$user" --datadir="$data" --auth-root-authentication-method=normal --skip-test-db >"$DIR/mariadb-install.log" 2>&1 \
      || { tail -n 20 "$DIR/mariadb-install.log" >&2; die "MariaDB could not make its data directory"; }
    rm -f "$DIR/database.password"
  fi
  setsid "$mariadbd" --defaults-file="$conf" >/dev/null 2>&1 < /dev/null &
  wait_until 60 mariadb-admin --no-defaults --socket="$SOCKETS/mariadb.sock" --connect-timeout=2 ping \
    || { tail -n 20 "$DIR/mariadb.log" >&2; die "MariaDB did not start; the end of its log is above"; }
}

# Sets up the user and a database by name. The administrator has no password only until the first run of this.
ensure_database() {
  local admin="$DIR/administrator.password" client=(mariadb --no-defaults --socket="$SOCKETS/mariadb.sock" --user=root)
  umask 077
  [ -s "$DIR/database.password" ] || { head -c 24 /dev/urandom | base64 | tr -d '+/=\n' > "$DIR/database.password"; rm -f "$admin"; }
  DB_PASSWORD=$(cat "$DIR/database.password")
  if [ ! -s "$admin" ]; then
    head -c 24 /dev/urandom | base64 | tr -d '+/=\n' > "$admin.new"
    "${client[@]}" -e "CREATE OR REPLACE USER 'ivory_pace'@'127.0.0.1' IDENTIFIED BY '$DB_PASSWORD'; ALTER USER 'root'@'localhost' IDENTIFIED BY '$(cat "$admin.new")';" \
      || die "the database's users could not be set up"
    mv "$admin.new" "$admin"
  fi
  umask 022
  for name in "$@"; do
    MYSQL_PWD=$(cat "$admin") "${client[@]}" -e "CREATE DATABASE IF NOT EXISTS $name; GRANT ALL ON $name.* TO 'ivory_pace'@'127.0.0.1';" \
      || die "the database $name could not be made"
  done
}

stop_database() { end_by_pid_file "$DIR/mariadb.pid"; }
