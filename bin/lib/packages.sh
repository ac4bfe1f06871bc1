# Debian, Composer and npm packages: installs what is missing, or says exactly what is.

DEBIAN_ALWAYS="curl mariadb-server php8.2-fpm php8.2-mysql php8.2-mbstring php8.2-xml php8.2-curl php8.2-intl php8.2-gd php8.2-zip nginx-light"
DEBIAN_TESTS="chromium poppler-utils oathtool python3-icalendar"
# Chromium without a window: the browser tests go without it, and take longer.
DEBIAN_QUICK="chromium-headless-shell"

installed() { dpkg-query -W -f='${Status}' "$1" 2>/dev/null | grep -q 'install ok installed'; }

# nginx in any of its builds will do.
have_package() {
  case "$1" in
    nginx-light) command -v nginx >/dev/null || [ -x /usr/sbin/nginx ] ;;
    *) installed "$1" ;;
  esac
}

ensure_debian_packages() {
  local missing=()
  for package in "$@"; do have_package "$package" || missing+=("$package"); done
  [ ${#missing[@]} -eq 0 ] && return 0
  is_root || die "these Debian packages are missing: ${missing[*]}
Ask an administrator to run:  apt-get install ${missing[*]}"
  step "Installing Debian packages: ${missing[*]}"
  # The packages' own services must not start: we run our own instances.
  local policy=/usr/sbin/policy-rc.d made_policy=no
  if [ ! -e "$policy" ]; then printf '#!/bin/sh\nexit 101\n' > "$policy"; chmod +x "$policy"; made_policy=yes; fi
  local log; log=$(mktemp)
  if ! { apt-get update && DEBIAN_FRONTEND=noninteractive apt-get install -y --no-install-recommends "${missing[@]}"; } >"$log" 2>&1; then
    [ $made_policy = no ] || rm -f "$policy"
    tail -n 20 "$log" >&2
    die "apt-get could not install them; the end of its output is above"
  fi
  [ $made_policy = no ] || rm -f "$policy"
  rm -f "$log"
}

ensure_tools() {
  command -v php >/dev/null || die "PHP 8.2 is missing. Install php8.2-cli."
  php -r 'exit(PHP_VERSION_ID >= 80200 ? 0 : 1);' || die "PHP 8.2 or later is needed; this is $(php -r 'echo PHP_VERSION;')."
  command -v composer >/dev/null || die "Composer is missing. Install it from Debian's package composer."
  command -v node >/dev/null || die "Node.js 20 or later is missing."
  node -e 'process.exit(+process.versions.node.split(".")[0] >= 20 ? 0 : 1)' || die "Node.js 20 or later is needed; this is $(node --version)."
}

# Runs a command when the files that it depends on have changed since it last succeeded.
when_changed() {
  local stamp="$ROOT/storage/instances/.stamp-$1" now; shift
  local files=$1; shift
  now=$(cd "$ROOT" && find $files -type f -print0 2>/dev/null | sort -z | xargs -0 sha256sum | sha256sum)
  [ -e "$stamp" ] && [ "$(cat "$stamp")" = "$now" ] && return 0
  "$@"
  mkdir -p "$(dirname "$stamp")"
  printf '%s' "$now" > "$stamp"
}

composer_packages() {
  step "Installing PHP packages"
  local where=$1 versions
  mapfile -t versions < <(php "$ROOT/bin/lib/versions.php" "$where" --with)
  (cd "$where" && composer update --quiet --no-progress "${versions[@]}") || die "Composer could not install the packages of $where"
  # Composer leaves some files readable by their owner only.
  chmod -R o+rX "$where/vendor"
}

npm_packages() {
  step "Installing JavaScript packages"
  PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD=1 npm ci --silent --no-audit --no-fund || die "npm could not install the packages"
}

ensure_php_packages() {
  [ -d vendor ] || rm -f storage/instances/.stamp-composer
  when_changed composer "composer.json composer.versions" composer_packages "$ROOT"
}

ensure_core_packages() {
  [ -d core/vendor ] || rm -f storage/instances/.stamp-core
  when_changed core "core/composer.json core/composer.versions" composer_packages "$ROOT/core"
}

ensure_npm_packages() {
  [ -d node_modules ] || rm -f storage/instances/.stamp-npm
  when_changed npm "package.json package-lock.json" npm_packages
}

# Known faults of what is installed, and where no registry answers, that. It is told and fails nothing: a fault that becomes
# known tomorrow must not keep yesterday's release from being tested.
audit_packages() {
  local said
  if said=$(timeout 60 composer audit --no-interaction 2>&1); then say "PHP packages: no known fault."
  elif grep -qi 'advisor' <<< "$said"; then printf '%s\n' "$said" "  PHP packages have known faults; see above."
  else say "PHP packages: no registry answered, so nothing is known about their faults."; fi
  if said=$(timeout 60 npm audit --omit=dev 2>&1); then say "JavaScript packages: no known fault."
  elif grep -q 'vulnerabilit' <<< "$said"; then printf '%s\n' "$said" "  JavaScript packages have known faults; see above."
  else say "JavaScript packages: no registry answered, so nothing is known about their faults."; fi
}
