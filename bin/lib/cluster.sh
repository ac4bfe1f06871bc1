# Three nodes of the database, two applications with a folder of their own each, and nginx before them, all on loopback.
NODES="1 2 3"
APPLICATIONS="1 2"

# Runs something as if one node, or one application, were all there is.
on_node() (
  n=$1
  shift
  DIR="$DIR/node$n" DB_PORT=$((DB_PORT + n))
  mkdir -p "$DIR"
  set_sockets
  "$@"
)
on_application() (
  n=$1
  shift
  ROOT="$DIR/application$n" WEB_PORT=$((WEB_PORT + n)) DIR="$DIR/application$n/storage/instances/cluster"
  set_sockets
  cd "$ROOT"
  "$@"
)
# Of each node: what applications speak to, what nodes speak to, what was missed, and everything.
port_of() { echo $((DB_PORT + $2 + $1)); }

ensure_cluster_ports_free() {
  local n port
  for port in $(for n in $NODES; do port_of "$n" 0; port_of "$n" 10; port_of "$n" 16; port_of "$n" 22; done) $WEB_PORT $((WEB_PORT + 1)) $((WEB_PORT + 2)); do
    ! port_in_use "$port" || die "port $port is in use by another program. Set others with $WEB_PORT_VARIABLE and $DB_PORT_VARIABLE."
  done
}

start_nodes() {
  local n
  for n in $NODES; do
    write_node "$n"
    if [ "$n" = 1 ]; then
      IVORY_PACE_FIRST_NODE=yes on_node 1 start_database
      # It sets the passwords of all.
      on_node 1 ensure_database ivory_pace_e2e
      DB_PASSWORD=$(cat "$DIR/node1/database.password") KEEPER_PASSWORD=$(cat "$DIR/node1/keeper.password")
    else
      cp "$DIR"/node1/*.password "$DIR/node$n/"
      on_node "$n" start_database
    fi
    wait_until 60 is_synced "$n" || { tail -n 20 "$DIR/node$n/mariadb.log" >&2; die "node $n did not join"; }
  done
}

write_node() {
  local n=$1 nodes
  nodes=$(for each in $NODES; do echo "127.0.0.1:$(port_of "$each" 10)"; done | paste -sd,)
  mkdir -p "$DIR/node$n"
  sed -e "s#@PROVIDER@#$(galera_library)#; s#@NODES@#$nodes#; s#@NAME@#node$n#; s#@ADDRESS@#127.0.0.1#g" \
    -e "s#@GROUP_PORT@#$(port_of "$n" 10)#g; s#@MISSED_PORT@#$(port_of "$n" 16)#g; s#@WHOLE_PORT@#$(port_of "$n" 22)#g" \
    deploy/cluster/galera.cnf > "$DIR/node$n/galera.cnf"
}
galera_library() { dpkg -L galera-4 | grep -m1 '/galera/libgalera_smm.so$'; }

status() { on_node "$1" as_administrator -N -e "SHOW GLOBAL STATUS LIKE '$2'" | cut -f2; }
is_synced() { [ "$(status "$1" wsrep_local_state_comment)" = Synced ]; }
count_on() { on_node "$1" as_administrator -N ivory_pace_e2e -e "$2"; }
# By a node that is never killed.
count() { count_on 3 "$1"; }
conflicts() {
  local n sum=0
  for n in $NODES; do sum=$((sum + $(status "$n" wsrep_local_cert_failures) + $(status "$n" wsrep_local_bf_aborts))); done
  echo "$sum"
}

# The demo, made through the first node, and the program as each application has it.
fill_cluster() {
  DB_PORT=$(port_of 1 0) write_environment .env.e2e e2e ivory_pace_e2e "http://127.0.0.1:$WEB_PORT" 4 build-e2e
  sed -i 's/^QUEUE_CONNECTION=.*/QUEUE_CONNECTION=database\nDB_QUEUE_RETRY_AFTER=10/' .env.e2e
  as_keeper env APP_ENV=e2e php artisan migrate:fresh --force --no-interaction --quiet || die "the tables could not be made; see storage/logs"
  APP_ENV=e2e on_node 1 grant_rights ivory_pace_e2e
  as_app env APP_ENV=e2e php artisan demo:seed
  build_front_ends build-e2e
  local n
  for n in $APPLICATIONS; do
    mkdir -p "$DIR/application$n"/{storage/instances/cluster,storage/app,bootstrap}
    cp -al app artisan config core database lang public resources routes vendor composer.json package.json "$DIR/application$n/"
    cp -al bootstrap/*.php "$DIR/application$n/bootstrap/"
    cp -r bin "$DIR/application$n/"
    cp -r storage/fonts "$DIR/application$n/storage/"
    (ROOT="$DIR/application$n"; cd "$ROOT"; own_writable_folders)
    application_environment "$n" $NODES
  done
}

# Which nodes an application writes to, the first that is ready before the others.
application_environment() {
  local n=$1 nodes
  shift
  nodes=$(for each in "$@"; do echo "127.0.0.1:$(port_of "$each" 0)"; done | paste -sd,)
  { cat .env.e2e; echo "DB_NODES=$nodes"; } > "$DIR/application$n/.env.e2e"
  if is_root; then chown "$APP_USER" "$DIR/application$n/.env.e2e"; fi
}

start_application() { on_application "$1" start_web e2e; on_application "$1" start_workers; }

start_front() {
  mkdir -p "$DIR/front"
  sed -e "s#@FIRST@#127.0.0.1:$((WEB_PORT + 1))#; s#@SECOND@#127.0.0.1:$((WEB_PORT + 2))#; s#@ADDRESS@#127.0.0.1:$WEB_PORT#" \
    deploy/cluster/front.conf > "$DIR/front/front.conf"
  cat > "$DIR/front/nginx.conf" <<CONF
pid $DIR/front/nginx.pid;
error_log $DIR/front/error.log warn;
events { worker_connections 1024; }
http {
  access_log off;
  proxy_temp_path $DIR/front/proxy;
  client_body_temp_path $DIR/front/body;
  fastcgi_temp_path $DIR/front/fastcgi;
  uwsgi_temp_path $DIR/front/uwsgi;
  scgi_temp_path $DIR/front/scgi;
  include $DIR/front/front.conf;
}
CONF
  step "Starting nginx before both on 127.0.0.1:$WEB_PORT"
  "$(nginx_binary)" -e "$DIR/front/error.log" -p "$DIR/front" -c "$DIR/front/nginx.conf" || die "nginx did not start"
  wait_until 30 answers || die "nobody answers through it"
}

# A sign-in, a page, files and a job by either application.
any_application() {
  step "One sign-in, and pages and files by either application"
  node bin/lib/cluster-check.mjs "http://127.0.0.1:$WEB_PORT" "http://127.0.0.1:$((WEB_PORT + 1))" "http://127.0.0.1:$((WEB_PORT + 2))"
}

kill_node() {
  local pid
  pid=$(cat "$DIR/node$1/mariadb.pid")
  step "kill -9 of node $1, which is written to ($(count_on "$1" "SELECT COUNT(*) FROM practices") practices)"
  kill -9 "$pid"
  wait_until 20 bash -c "! kill -0 $pid 2>/dev/null" || true
  rm -f "$DIR/node$1/mariadb.pid"
}

kill_application() {
  local of="$DIR/application$1/storage/instances/cluster" name pid children
  step "kill -9 of application $1"
  for name in scheduler queue nginx php-fpm; do
    pid=$(cat "$of/$name.pid") children=$(pgrep -P "$(cat "$of/$name.pid")" || true)
    # Whoever looks after the others first, or it begins them anew.
    kill -9 "$pid" $children || true
    rm -f "$of/$name.pid"
  done
  rm -f "$of/php-fpm.sock"
}

# Every node holds the same, and it is what was acknowledged.
check_cluster() {
  note_stored
  node bin/lib/crash-check.mjs "$DIR" "$@"
  wait_until 30 nodes_agree || die "the nodes do not hold the same"
  say "All three nodes hold the same, table by table."
}
nodes_agree() {
  local tables first
  tables=$(count_on 1 "SELECT GROUP_CONCAT(table_name) FROM information_schema.tables WHERE table_schema = DATABASE() AND table_type = 'BASE TABLE'
    AND table_name NOT IN ('cache', 'cache_locks', 'sessions')")
  first=$(count_on 1 "CHECKSUM TABLE $tables")
  [ "$first" = "$(count_on 2 "CHECKSUM TABLE $tables")" ] && [ "$first" = "$(count_on 3 "CHECKSUM TABLE $tables")" ]
}

stop_cluster() {
  local n
  kill "${WRITER:-}" 2>/dev/null || true
  end_by_pid_file "$DIR/front/nginx.pid" -QUIT
  for n in $APPLICATIONS; do
    [ -d "$DIR/application$n/storage" ] || continue
    on_application "$n" stop_workers
    on_application "$n" stop_web
  done
  for n in 3 2 1; do on_node "$n" stop_database; done
}
