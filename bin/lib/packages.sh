# What has to be on the machine, and how it gets there.

as_root() {
  if [ "$(id -u)" -eq 0 ]; then "$@"
  elif command -v sudo >/dev/null 2>&1; then sudo -- "$@"
  else fail "Debian packages are missing: $MISSING." "Run this as root, or have sudo installed: apt-get install $MISSING"
  fi
}

# The list is read whole: “grep -q” would hang up on php, and under pipefail that looks like a missing package.
has_php() { grep -qix "$1" <<<"$PHP_MODULES"; }

missing_debian_packages() { # [with the browser]
  local missing=""
  PHP_MODULES="$(php -m)"
  has_php pdo_pgsql || missing+=" php8.2-pgsql"
  has_php mbstring || missing+=" php8.2-mbstring"
  has_php intl || missing+=" php8.2-intl"
  has_php xml || missing+=" php8.2-xml"
  has_php curl || missing+=" php8.2-curl"
  has_php gd || missing+=" php8.2-gd"
  has_php igbinary || missing+=" php8.2-igbinary"
  has_php zip || missing+=" php8.2-zip"
  [ -x /usr/sbin/php-fpm8.2 ] || missing+=" php8.2-fpm"
  [ -x /usr/sbin/nginx ] || missing+=" nginx-light"
  [ -x /usr/lib/postgresql/15/bin/postgres ] || missing+=" postgresql-15"
  [ -x /usr/bin/supervisord ] || missing+=" supervisor"
  command -v age >/dev/null 2>&1 || missing+=" age"
  command -v openssl >/dev/null 2>&1 || missing+=" openssl"
  if [ "${1:-}" = browser ]; then
    # the one that has no window; a whole one does as well
    command -v chromium-headless-shell >/dev/null 2>&1 || command -v chromium >/dev/null 2>&1 || missing+=" chromium-headless-shell"
    command -v faketime >/dev/null 2>&1 || missing+=" faketime"
  fi
  printf '%s' "${missing# }"
}

need_debian_packages() {
  command -v php >/dev/null 2>&1 || fail "PHP is not installed." "apt-get install php8.2-cli composer nodejs npm"
  MISSING="$(missing_debian_packages "${1:-}")"
  [ -n "$MISSING" ] || return 0
  step "Package lists" as_root apt-get update
  # Debian's own supervisor is not ours: it is left as the package starts it, ours has a configuration of its own
  # shellcheck disable=SC2086
  step "Debian packages ($MISSING)" as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y --no-install-recommends $MISSING
}

need_composer_packages() {
  composer_is_due || return 0
  command -v composer >/dev/null 2>&1 || fail "Composer is not installed." "apt-get install composer"
  step "PHP packages" env COMPOSER_ALLOW_SUPERUSER=1 composer install --working-dir="$ROOT" --no-interaction --no-progress --ignore-platform-req=ext-pdo_pgsql
  # some archives hold files that only their owner may read; the service user reads them too
  chmod -R go+rX "$ROOT/vendor"
  touch "$ROOT/vendor/.odd-bench"
}

# Not `npm ci`: the registry lacks optional packages of other platforms, which it takes for a lock out of step.
install_npm() { (cd "$ROOT" && npm install --no-save --include=dev --no-audit --no-fund); }

need_npm_packages() {
  npm_is_due || return 0
  command -v npm >/dev/null 2>&1 || fail "Node and npm are not installed." "apt-get install nodejs npm"
  step "Page packages" install_npm
  touch "$ROOT/node_modules/.odd-bench"
}

need_page() {
  page_is_due || return 0
  step "Page" npm --prefix "$ROOT" run build
  chmod -R go+rX "$ROOT/public/build"
}

# What comes from Debian and what comes from npm are fetched beside each other; PHP's packages want PHP's extensions.
install_all() { # [browser]
  local page status=0
  command -v php >/dev/null 2>&1 || fail "PHP is not installed." "apt-get install php8.2-cli composer nodejs npm"
  expect_packages "${1:-}"
  [ -n "${EXPECTED:-}" ] || return 0
  [ -n "${BAR:-}" ] || bar_begin
  (BESIDE=1; need_npm_packages; need_page) &
  page=$!
  (BESIDE=1; need_debian_packages "${1:-}"; need_composer_packages) || status=1
  wait "$page" || status=1
  [ "$status" -eq 0 ] || { bar_end; exit 1; }
}

composer_is_due() { [ ! -e "$ROOT/vendor/.odd-bench" ] || [ "$ROOT/composer.json" -nt "$ROOT/vendor/.odd-bench" ]; }

npm_is_due() { [ ! -e "$ROOT/node_modules/.odd-bench" ] || [ "$ROOT/package-lock.json" -nt "$ROOT/node_modules/.odd-bench" ]; }

page_is_due() {
  local built="$ROOT/public/build/manifest.json"
  [ ! -e "$built" ] || [ -n "$(find "$ROOT/resources" "$ROOT/vite.config.ts" "$ROOT/package-lock.json" -newer "$built" -print -quit)" ]
}

# what each takes on two cores
expect_packages() {
  if [ -n "$(missing_debian_packages "${1:-}")" ]; then
    expect "Package lists" 8
    expect "Debian packages" "$([ "${1:-}" = browser ] && printf 60 || printf 40)"
  fi
  if composer_is_due; then expect "PHP packages" 12; fi
  if npm_is_due; then expect "Page packages" 25; fi
  if page_is_due; then expect "Page" 14; fi
}
