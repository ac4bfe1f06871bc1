# Writes the settings file of an instance. The application key is kept from run to run: it opens what is encrypted.

write_environment() {
  local file=$1 environment=$2 database=$3 url=$4 key='' user=ivory_pace password=$DB_PASSWORD
  # Tests of the application make their own tables.
  if [ "$environment" = testing ]; then user=ivory_pace_keeper password=$KEEPER_PASSWORD; fi
  [ -e "$file" ] && key=$(sed -n 's/^APP_KEY=//p' "$file")
  [ -n "$key" ] || key="base64:$(head -c 32 /dev/urandom | base64)"
  # No queue runs beside the browser tests: what is sent is there at once.
  local queue=database; [ "$environment" != e2e ] || queue=sync
  local secure=false; case "$url" in https:*) secure=true ;; esac
  umask 077
  cat > "$file.new" <<ENV
APP_NAME="Ivory Pace"
APP_ENV=$environment
APP_KEY=$key
APP_DEBUG=false
APP_URL=$url
LOG_CHANNEL=daily
LOG_LEVEL=warning
DB_CONNECTION=mariadb
DB_HOST=127.0.0.1
DB_PORT=$DB_PORT
DB_DATABASE=$database
DB_USERNAME=$user
DB_PASSWORD=$password
SESSION_SECURE_COOKIE=$secure
BCRYPT_ROUNDS=$5
BUILD_DIRECTORY=$6
INERTIA_SSR_ENABLED=false
QUEUE_CONNECTION=$queue
${7:-}
ENV
  # What was set by hand stays.
  if [ -e "$file" ]; then grep -E '^(MAIL_|DB_NODES=|SESSION_MOST_HOURS=|APP_PREVIOUS_KEYS=|APP_MARK_KEY=)' "$file" >> "$file.new" || true; fi
  mv "$file.new" "$file"
  if is_root; then chown "$APP_USER" "$file"; fi
  umask 022
}

# What the application writes must belong to the user that serves it.
own_writable_folders() {
  mkdir -p storage/framework/{cache/data,sessions,views} storage/logs bootstrap/cache
  if is_root; then
    chown "$APP_USER" storage bootstrap/cache
    chown -R "$APP_USER" storage/framework storage/logs storage/app bootstrap/cache
  fi
}
