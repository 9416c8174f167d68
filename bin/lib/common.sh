# Shared by bin/start and bin/test: who runs what, and what is installed.
# shellcheck shell=bash

ROOT=$(cd "$(dirname "${BASH_SOURCE[0]}")/../.." && pwd -P)
# Where the book, logs and all else that is written stand; a second one may run from the same code.
VAR="${IRONWORT_VAR:-$ROOT/var}"
PG_VERSION=15

say() { printf '%s\n' "$*"; }
fail() { printf '\n%s\n' "$*" >&2; exit 1; }
# The end of a log, and what went wrong.
told() { tail -n 20 "$1" >&2 2>/dev/null; fail "$2 The whole story is in $1."; }
is_root() { [ "$(id -u)" = 0 ]; }

# As root the servers still run unprivileged. Where the checkout lies in a folder closed to others (a
# private clone, say) they may read it all the same, and still write only what is theirs under var/.
unprivileged() {
  local user=$1
  WRAP=()
  is_root || return 0
  WRAP=(setpriv --reuid="$user" --regid="$user" --init-groups)
  "${WRAP[@]}" test -r "$ROOT/composer.json" \
    || WRAP+=(--inh-caps=+dac_read_search --ambient-caps=+dac_read_search --securebits=+no_setuid_fixup)
  WRAP+=(--)
}
as_db() { unprivileged postgres; "${WRAP[@]}" "$@"; }
prepare_var() {
  mkdir -p "$VAR"/{storage/logs,storage/framework/views,cache,run,backups} 2>/dev/null && [ -w "$VAR" ] \
    || fail "The folder $VAR cannot be written. Ironwort keeps its database and logs there:" \
      "make it writable for $(id -un), or put the checkout somewhere else."
  mkdir -p "$ROOT/bootstrap/cache" 2>/dev/null || true
  if is_root; then chown -R www-data: "$VAR/storage" "$VAR/cache" "$VAR/run" "$VAR/backups"; fi
  chmod 700 "$VAR/backups" 2>/dev/null || true
}

# ---- what must be installed -------------------------------------------------------------------

missing_packages() {
  local tests=${1:-}
  command -v php >/dev/null || echo php8.2-cli
  local modules; modules=$(php -m 2>/dev/null || true)
  local module
  for module in pdo_pgsql:php8.2-pgsql mbstring:php8.2-mbstring intl:php8.2-intl xml:php8.2-xml curl:php8.2-curl \
    zip:php8.2-zip gd:php8.2-gd exif:php8.2-common sodium:php8.2-common; do
    grep -qix "${module%%:*}" <<<"$modules" || echo "${module##*:}"
  done
  [ -x "$(php_fpm)" ] || echo php8.2-fpm
  [ -x "$(nginx_bin)" ] || echo nginx-light
  [ -n "$(pg_bin)" ] || echo "postgresql-$PG_VERSION"
  [ "${TLS:-no}" = no ] || command -v openssl >/dev/null || echo openssl
  command -v composer >/dev/null || echo composer
  command -v node >/dev/null || echo nodejs
  command -v npm >/dev/null || echo npm
  if [ "$tests" = tests ]; then
    command -v chromium-headless-shell >/dev/null || command -v chromium >/dev/null || echo chromium-headless-shell
    command -v pdftotext >/dev/null || echo poppler-utils
    # The reference libraries that the core is checked against.
    local library; for library in scipy gsw fluids icalendar; do
      /usr/bin/python3 -c "import $library" 2>/dev/null || echo "python3-$library"
    done
  fi
  return 0
}

php_fpm() {
  command -v php-fpm8.2 || command -v php-fpm || ls /usr/sbin/php-fpm* 2>/dev/null | head -n 1 || true
}
nginx_bin() { command -v nginx || echo /usr/sbin/nginx; }
pg_bin() {
  ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V \
    | while read -r d; do [ -x "$d/initdb" ] && echo "$d"; done | tail -n 1
}

need_packages() {
  local missing; missing=$(missing_packages "${1:-}")
  [ -z "$missing" ] && return 0
  # shellcheck disable=SC2086
  if ! is_root; then
    grep -q postgresql <<<"$missing" && say "The PostgreSQL server programs (initdb, postgres) are not here."
    fail "These Debian packages are missing: $(echo $missing)
Install them once with:  sudo apt-get install --no-install-recommends $(echo $missing)
Then run this again."
  fi
  say "Installing $(echo $missing) …"
  local log="$VAR/install.log"
  # shellcheck disable=SC2086
  if ! { apt-get update -q && DEBIAN_FRONTEND=noninteractive apt-get install -y -q --no-install-recommends $missing; } \
    >"$log" 2>&1; then
    tail -n 5 "$log" >&2
    fail "The packages could not be installed. Is there a network? The whole story is in $log."
  fi
}

# The browser without a window is a quarter faster; where it cannot be had the other one does.
prefer_headless_shell() {
  if command -v chromium-headless-shell >/dev/null || ! is_root; then return 0; fi
  say "Installing chromium-headless-shell …"
  { apt-get update -q && DEBIAN_FRONTEND=noninteractive apt-get install -y -q --no-install-recommends \
    chromium-headless-shell; } >"$VAR/install.log" 2>&1 || say "It is not to be had here: chromium does as well."
}

# Runs a step again only when what it depends on has changed since it last went well.
when_changed() {
  local name=$1 inputs=$2 output=$3; shift 3
  # The code is one, however many books stand beside it: what was built is known beside the code.
  local stamp="$ROOT/var/cache/$name.stamp" now
  mkdir -p "$ROOT/var/cache"
  # shellcheck disable=SC2086
  now=$(cd "$ROOT" && find $inputs -type f -print0 2>/dev/null | sort -z | xargs -0 sha256sum | sha256sum \
    | cut -d' ' -f1)
  if [ -e "$ROOT/$output" ] && [ "$(cat "$stamp" 2>/dev/null)" = "$now" ]; then return 0; fi
  "$@"
  echo "$now" >"$stamp"
}

install_php() {
  say "Installing the PHP libraries …"
  (cd "$ROOT" && COMPOSER_ALLOW_SUPERUSER=1 composer install --no-interaction --no-progress \
    >"$VAR/composer.log" 2>&1) \
    && chmod -R a+rX "$ROOT/vendor" \
    || told "$VAR/composer.log" "Composer could not install the PHP libraries. Is there a network?"
}

install_node() {
  say "Installing the front-end libraries …"
  (cd "$ROOT" && npm ci --no-audit --no-fund >"$VAR/npm.log" 2>&1) \
    || told "$VAR/npm.log" "npm could not install the front-end libraries. Is there a network?"
}

build_front() {
  say "Building the pages …"
  (cd "$ROOT" && npm run -s types && npm run -s build) >"$VAR/build.log" 2>&1 \
    || told "$VAR/build.log" "The pages could not be built."
}

prepare_code() {
  when_changed composer "composer.json compat" vendor/autoload.php install_php
  when_changed npm "package-lock.json" node_modules/.package-lock.json install_node
  when_changed front "front api package-lock.json vite.config.ts tsconfig.json" public/build/manifest.json \
    build_front
}

