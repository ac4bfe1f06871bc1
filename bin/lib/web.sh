# nginx and php-fpm of our own, on a loopback port.

start_web() {
  local environment=$1
  write_php_fpm_configuration "$environment"
  write_nginx_configuration
  if alive "$DIR/php-fpm.pid"; then
    kill -USR2 "$(cat "$DIR/php-fpm.pid")" # code may have changed: OPcache does not look
  else
    step "Starting php-fpm"
    start_php_fpm
  fi
  if alive "$DIR/nginx.pid"; then
    kill -HUP "$(cat "$DIR/nginx.pid")"
  else
    step "Starting nginx on 127.0.0.1:$WEB_PORT"
    "$(nginx_binary)" -e "$DIR/nginx-error.log" -p "$DIR" -c "$DIR/nginx.conf" || die "nginx did not start; see $DIR/nginx-error.log"
  fi
  wait_until 30 answers \
    || die "the application does not answer; see $DIR/php-fpm.log and storage/logs"
}

# The queue and the scheduler may not run yet; what they left undone is no reason not to begin.
answers() { curl -sS "http://127.0.0.1:$WEB_PORT/up" | grep -q '"database":true'; }

stop_web() {
  end_by_pid_file "$DIR/nginx.pid" -QUIT
  end_by_pid_file "$DIR/php-fpm.pid" -QUIT
}

nginx_binary() { command -v nginx || echo /usr/sbin/nginx; }

start_php_fpm() {
  local fpm as_root=()
  fpm=$(command -v php-fpm8.2 || echo /usr/sbin/php-fpm8.2)
  if is_root && [ "$APP_USER" = root ]; then as_root=(-R); fi
  "$fpm" "${as_root[@]}" -y "$DIR/php-fpm.conf" -D || die "php-fpm did not start; see $DIR/php-fpm.log"
}

write_php_fpm_configuration() {
  local users=''
  if is_root; then users="user = $APP_USER
group = $(id -gn "$APP_USER")
listen.owner = $APP_USER
listen.group = $(id -gn "$APP_USER")"; fi
  cat > "$DIR/php-fpm.conf" <<CONF
[global]
pid = $DIR/php-fpm.pid
error_log = $DIR/php-fpm.log
daemonize = yes

[ivory-pace]
$users
listen = $SOCKETS/php-fpm.sock
pm = static
pm.max_children = 6
pm.max_requests = 1000
catch_workers_output = yes
env[APP_ENV] = $1
php_admin_value[opcache.enable] = 1
php_admin_value[opcache.memory_consumption] = 128
php_admin_value[opcache.max_accelerated_files] = 20000
php_admin_value[opcache.validate_timestamps] = 0
php_admin_value[memory_limit] = 128M
php_admin_value[upload_max_filesize] = 40M
php_admin_value[post_max_size] = 42M
php_admin_value[display_errors] = 0
php_admin_value[expose_php] = 0
CONF
}

write_nginx_configuration() {
  local temporary="$DIR/nginx-temporary" user_line='' types=/etc/nginx/mime.types
  mkdir -p "$temporary"
  if is_root; then user_line="user $APP_USER;"; chown "$APP_USER" "$temporary"; fi
  cat > "$DIR/nginx-headers.conf" <<CONF
add_header X-Content-Type-Options nosniff always;
add_header Referrer-Policy same-origin always;
add_header Cross-Origin-Opener-Policy same-origin always;
CONF
  cat > "$DIR/nginx-php.conf" <<CONF
include /etc/nginx/fastcgi_params;
# Debian's parameters leave the port out; which hosts are ours is checked by the application.
fastcgi_param HTTP_HOST \$http_host;
fastcgi_param SCRIPT_FILENAME $ROOT/public/index.php;
fastcgi_param SCRIPT_NAME /index.php;
fastcgi_param HTTP_PROXY "";
fastcgi_hide_header X-Content-Type-Options;
fastcgi_hide_header Referrer-Policy;
fastcgi_hide_header Cross-Origin-Opener-Policy;
fastcgi_pass unix:$SOCKETS/php-fpm.sock;
CONF
  cat > "$DIR/nginx.conf" <<CONF
$user_line
worker_processes 2;
pid $DIR/nginx.pid;
error_log $DIR/nginx-error.log warn;
events { worker_connections 1024; }
http {
  include $types;
  default_type application/octet-stream;
  access_log off;
  server_tokens off;
  sendfile on;
  gzip on;
  gzip_types text/css application/javascript application/json image/svg+xml;
  client_max_body_size 2m;
  # Whoever opens a connection and says nothing is let go; nobody holds them all.
  client_header_timeout 10s;
  client_body_timeout 20s;
  send_timeout 20s;
  keepalive_timeout 30s;
  reset_timedout_connection on;
  limit_conn_zone \$binary_remote_addr zone=connections:1m;
  limit_conn connections 400;
  # Redirects carry long addresses.
  fastcgi_buffer_size 32k;
  fastcgi_buffers 16 16k;
  client_body_temp_path $temporary/body;
  proxy_temp_path $temporary/proxy;
  fastcgi_temp_path $temporary/fastcgi;
  uwsgi_temp_path $temporary/uwsgi;
  scgi_temp_path $temporary/scgi;
  server {
    listen 127.0.0.1:$WEB_PORT;
    root $ROOT/public;
    index index.php;
    # The application says these itself; here they are also said of files and of what nginx refuses.
    include $DIR/nginx-headers.conf;
    location ~ ^/build[^/]*/assets/ {
      include $DIR/nginx-headers.conf;
      add_header Cache-Control "public, max-age=31536000, immutable";
      try_files \$uri =404;
    }
    location = /my.webmanifest { types {} default_type application/manifest+json; }
    location / { try_files \$uri /index.php?\$query_string; }
    location = /index.php {
      include $DIR/nginx-php.conf;
    }
    # A whole record that is read in; everything else is small.
    location = /patients/file {
      client_max_body_size 42m;
      client_body_timeout 60s;
      include $DIR/nginx-php.conf;
    }
    error_page 413 @too-large;
    location @too-large {
      default_type application/json;
      return 413 '{"title":"Too large","message":"This is larger than what is taken here. Nothing was stored."}';
    }
    location ~ \.php\$ { return 404; }
    location ~ /\. { return 404; }
  }
}
CONF
}
