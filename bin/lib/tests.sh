# bin/odd-bench test: everything, on servers and databases of its own that are thrown away afterwards.

test_clean() {
  [ -z "${TEST_RIGS:-}" ] || kill $TEST_RIGS 2>/dev/null || true
  services_down >/dev/null 2>&1 || true
  rm -rf "$STATE" "$RUN"
}

command_test() {
  local only="${1:-all}" began=$SECONDS
  case "$only" in all | static | php | browser | --changed) ;; *) fail "test does not know “$only”." "Say nothing, or static, php, browser or --changed." ;; esac
  cd "$ROOT"
  # what a killed one left running is ended first
  test_leftovers
  trap bar_end EXIT
  install_all browser
  bar_end
  trap - EXIT
  EXPECTED=""
  test_caches
  # where a copy of the code is served all lanes serve the same one: it is made before they begin
  (
    place test-0
    make_place
    copy_code
    swap_code
  )
  export TEST_SAMPLE="${TEST_SAMPLE:-$((RANDOM % 5 + 1))}"
  TEST_DAY="${TEST_DAY:-$(php "$ROOT/tests/Browser/draw-day.php")}"
  SECONDS_AHEAD=$(($(date -d "$TEST_DAY" +%s) - $(date +%s)))
  say "Packages: $((SECONDS - began)) s. Drawn: TEST_DAY=$TEST_DAY TEST_SAMPLE=$TEST_SAMPLE bin/odd-bench test $only repeats it."
  lanes_begin
  if [ "$only" = --changed ]; then test_changed; else test_pieces "$only"; fi
  if ! lanes_run; then
    local failed
    failed="$(ls "$LANES_AT/failed" | tr '\n' ' ')"
    test_counts
    fail "Failed: $failed" "The lines above say why; whole logs stand in $LANES_AT/logs. TEST_DAY=$TEST_DAY TEST_SAMPLE=$TEST_SAMPLE bin/odd-bench test $only repeats it."
  fi
  say "  with packages: $((SECONDS - began)) s"
  test_counts
  rm -rf "$LANES_AT"
  say "All checks passed."
}

# The longest first: what is short fills the gaps at the end.
test_pieces() {
  local only="$1" i
  if [ "$only" = all ] || [ "$only" = browser ]; then
    for i in 1 2 3 4; do piece "browser-$i" test_browser "$i" 4; done
  fi
  if [ "$only" = all ] || [ "$only" = php ]; then
    piece story test_story
    for i in 1 2 3 4; do piece "feature-$i" test_group Feature "$i" 4; done
    piece core-1 test_core 1 2
    piece core-2 test_core 2 2
    piece races test_suite Races
    piece_beside drill "$ROOT/bin/odd-bench" drill
    piece_beside runs test_runs
  fi
  if [ "$only" = all ] || [ "$only" = static ]; then
    piece app-types vendor/bin/phpstan analyse --configuration phpstan-app.neon --no-progress --memory-limit=1G
    piece page-types npm run --silent check
    piece php-style-1 test_style 1
    piece php-style-2 test_style 2
    piece page-rules npm run --silent lint -- --cache --cache-location "$CACHE/eslint"
    piece core-types vendor/bin/phpstan analyse --no-progress --memory-limit=1G
    piece page-style npm run --silent format:check -- --cache --cache-location "$CACHE/prettier"
    piece page-functions node node_modules/vitest/vitest.mjs run
    piece descriptions test_descriptions
  fi
  if [ "$only" = all ] || [ "$only" = browser ]; then
    piece demo test_demo
    piece_beside opening test_opening
    piece_beside today test_today
  fi
}

# For work: what differs from what has landed (TEST_BASE=commit says from what), and the tests that name it, in about a minute.
test_changed() {
  local base php page
  base="${TEST_BASE:-$(git merge-base HEAD origin/main 2>/dev/null || echo HEAD)}"
  mapfile -t CHANGED < <({ git diff --name-only --diff-filter=d "$base"; git ls-files --others --exclude-standard; } | sort -u)
  php="$(printf '%s\n' "${CHANGED[@]}" | grep -E '\.php$|^knowledge/' || true)"
  page="$(printf '%s\n' "${CHANGED[@]}" | grep -E '^(resources/js|tests/Page|tests/Browser)/.*\.(ts|svelte)$' || true)"
  say "${#CHANGED[@]} files differ from $(git rev-parse --short "$base")."
  if [ -n "$php" ]; then
    piece reached test_reached
    TEST_BASE="$base" piece php-style test_style 1
    piece app-types vendor/bin/phpstan analyse --configuration phpstan-app.neon --no-progress --memory-limit=1G
    if grep -q '^core/' <<<"$php"; then piece core-types vendor/bin/phpstan analyse --no-progress --memory-limit=1G; fi
    if grep -q '^knowledge/\|View.php$\|Request.php$\|^routes/' <<<"$php"; then piece descriptions test_descriptions; fi
  fi
  if [ -n "$page" ]; then
    piece page-types npm run --silent check
    piece page-functions node node_modules/vitest/vitest.mjs run --changed "$base" --passWithNoTests
    piece page-style npx prettier --check $page
    piece page-rules npx eslint --no-warn-ignored $page
  fi
}

test_reached() {
  local group
  group="$(php tests/Lanes/changed.php 45 "${CHANGED[@]}")"
  [ -n "$group" ] || return 0
  lane_site
  vendor/bin/phpunit --configuration "$group"
}

# What was looked at before with the same packages is not looked at again: results by file, kept beside the packages' own caches. Where
# there is no cache everything is looked at.
test_caches() {
  CACHE="${XDG_CACHE_HOME:-$HOME/.cache}/odd-bench/$(cat composer.json package-lock.json phpstan.neon phpstan-app.neon pint.json eslint.config.js | sha1sum | cut -c1-12)"
  mkdir -p "$CACHE/phpstan" "$CACHE/phpstan-app" "$CACHE/pint" var
  local name
  for name in phpstan phpstan-app; do
    [ -L "var/$name" ] || rm -rf "var/$name"
    ln -sfn "$CACHE/$name" "var/$name"
  done
}

test_leftovers() {
  local name
  for name in test-0 test-1 test-2 test-3 test-4 test-5 test-6 test-7 test-beside opening smoke; do
    [ -e "$ROOT/var/$name" ] || [ -e "/var/lib/odd-bench/$(printf '%s' "$ROOT" | sha1sum | cut -c1-8)/$name" ] || continue
    (place "$name"; test_clean)
  done
}

# how many tests there were, as one line for whoever counts them
test_counts() {
  cat "$LANES_AT"/logs/*.log | sed -E 's/\x1b\[[0-9;]*m//g' | awk '
    /^OK \([0-9]+ tests?,/ { gsub(/[(,]/, ""); passed += $2 }
    /^Tests: [0-9]+,/ { gsub(/,/, ""); n = $2; f = 0; for (i = 3; i < NF; i++) if ($i == "Errors:" || $i == "Failures:") f += $(i + 1); failed += f; passed += n - f }
    /^ +[0-9]+ passed/ { passed += $1 }
    /^ +[0-9]+ failed$/ { failed += $1 }
    /^ *Tests +[0-9]+ passed/ { passed += $2 }
    END { printf "%d passed, %d failed\n", passed, failed }'
}

# The instance of this lane: made when the first piece asks for it, on the drawn day but for its database.
lane_site() {
  local base=0
  case "$LANE" in beside) base=18 ;; *) base="$LANE" ;; esac
  place "test-$LANE"
  [ ! -e "$STATE/ready" ] || { test_ports; return 0; }
  test_clean
  unset WEB_PORT DB_PORT RIG_PORT_1 RIG_PORT_2 RIG_PORT_3
  WANT_PORT="$(free_port "$((9400 + base))")" WANT_DB_PORT="$(free_port "$((9500 + base))")" PG_FSYNC=off PROVER_SPEED=40 LOGIN_TRIES=25 RIG_FROM="$((9600 + 8 * base))" LOOPBACK_PRINTERS=any REQUESTS_A_MINUTE=100000
  FAKE_CLOCK="LD_PRELOAD=\"$(faketime_library)\",FAKETIME=\"+${SECONDS_AHEAD}s\",FAKETIME_DONT_FAKE_MONOTONIC=\"1\""
  services_up 9400 9500
  local name
  for name in test old race runs demo played kept; do pg_admin -U odd_bench_admin -d postgres -c "CREATE DATABASE odd_bench_$name OWNER odd_bench"; done
  : >"$STATE/ready"
  test_ports
}

test_ports() {
  read_ports
  export DB_PORT DB_PASSWORD
  DB_PASSWORD="$(db_password)"
}

test_group() { # suite, number, of
  lane_site
  vendor/bin/phpunit --configuration "$(php tests/Lanes/group.php "$@")"
}

test_suite() {
  lane_site
  vendor/bin/phpunit --testsuite "$1"
}

test_runs() {
  lane_site
  TEST_DATABASE=odd_bench_runs vendor/bin/phpunit --testsuite Runs
}

# Compiled, for it counts and takes half the time so. A crash of the compiler is none of ours: then without it.
test_core() { # number, of
  local status=0 group
  group="$(php tests/Lanes/group.php Core "$1" "$2")"
  php -d opcache.enable_cli=1 -d opcache.jit=1235 -d opcache.jit_buffer_size=64M vendor/bin/phpunit --configuration "$group" || status=$?
  if [ "$status" -gt 128 ]; then
    say "PHP's compiler crashed ($status); once more without it."
    status=0
    vendor/bin/phpunit --configuration "$group" || status=$?
  fi
  return "$status"
}

# The demo's story played anew, and compared with the one that is kept.
test_story() {
  lane_site
  story_play odd_bench_played "$STATE/story"
  vendor/bin/phpunit --testsuite Story
}

# story_play DATABASE FOLDER: plays the demo's story into an empty database, with files of its own
story_play() {
  rm -rf "$2"
  mkdir -p "$2/cache" "$2/storage/logs" "$2/storage/app/private" "$2"/storage/framework/{cache,sessions,views}
  story_artisan "$@" -- --play
}

story_artisan() { # database, folder, --, what the demo command is told
  env ODD_BENCH_STATE="$2" APP_KEY="$(sed -n 's/^APP_KEY=//p' "$ETC/secrets")" DB_DATABASE="$1" DB_PORT="$DB_PORT" DB_PASSWORD="$(db_password)" \
    php -d opcache.enable_cli=1 -d opcache.jit=0 "$ROOT/artisan" odd-bench:demo "${@:4}"
}

# demo --keep: in the running demo's cluster, beside it
story_keep() {
  pg_admin -U odd_bench_admin -d postgres -c 'DROP DATABASE IF EXISTS odd_bench_story' -c 'CREATE DATABASE odd_bench_story OWNER odd_bench'
  story_play odd_bench_story "$STATE/story"
  story_artisan odd_bench_story "$STATE/story" -- --keep
  rm -rf "$STATE/story"
  pg_admin -U odd_bench_admin -d postgres -c 'DROP DATABASE odd_bench_story'
}

# The demo shop's own books, as it stands today.
test_demo() {
  lane_site
  mkdir -p "$STATE/demo/cache" "$STATE/demo/storage/logs" "$STATE/demo/storage/app/private" "$STATE"/demo/storage/framework/{cache,sessions,views}
  env ODD_BENCH_STATE="$STATE/demo" APP_KEY="$(sed -n 's/^APP_KEY=//p' "$ETC/secrets")" DB_DATABASE=odd_bench_demo php artisan odd-bench:demo
  DEMO_DATABASE=odd_bench_demo vendor/bin/phpunit --testsuite Demo
}

# A page that is right today may be wrong on the last of December: everything once on a drawn day (TEST_DAY=2028-02-29T08:00Z draws
# that); by the machine's own clock only the shortest way through the rooms (tagged @today).
test_browser() { # number, of
  lane_site
  if [ -z "$(pg_admin -U odd_bench_admin -d odd_bench -c 'SELECT 1 FROM people LIMIT 1')" ]; then
    AS_IN="$SERVE" as "$WORK_USER" env LD_PRELOAD="$(faketime_library)" FAKETIME="+${SECONDS_AHEAD}s" FAKETIME_DONT_FAKE_MONOTONIC=1 php artisan odd-bench:demo
  fi
  services_wait
  test_rigs
  export SECONDS_AHEAD
  # shellcheck disable=SC2046
  test_page $(php tests/Lanes/group.php Browser "$1" "$2")
}

test_page() {
  local status=0
  env ODD_BENCH_URL="http://localhost:$WEB_PORT" RIG_WELL="$RIG_WELL" RIG_BAD="$RIG_BAD" PLAYWRIGHT_OUTPUT="var/browser/$LANE" \
    taskset -c "${ALL_CPUS:-0}" node node_modules/@playwright/test/cli.js test "$@" || status=$?
  kill $TEST_RIGS 2>/dev/null || true
  return "$status"
}

# As `up` makes it, on this machine's own day.
test_today() {
  place smoke
  test_clean
  trap test_clean EXIT
  unset WEB_PORT DB_PORT RIG_PORT_1 RIG_PORT_2 RIG_PORT_3 FAKE_CLOCK SECONDS_AHEAD
  WANT_PORT="$(free_port 8580)" WANT_DB_PORT="$(free_port 8591)" PG_FSYNC=off PROVER_SPEED=40 LOGIN_TRIES=25 RIG_FROM=8860 LOOPBACK_PRINTERS=any REQUESTS_A_MINUTE=100000
  services_up 8580 8591
  site_artisan odd-bench:demo --if-empty
  services_wait
  test_rigs
  test_page --grep @today
}

# A real shop of its own on the network, empty, as on the day it opens.
test_opening() {
  place opening
  test_clean
  trap test_clean EXIT
  unset WEB_PORT DB_PORT TRUST_PORT RIG_PORT_1 RIG_PORT_2 RIG_PORT_3 FAKE_CLOCK SECONDS_AHEAD
  export REAL_SHOP=1
  # a name every machine has, also one without a network
  LAN=1 HOST=localhost WANT_PORT="$(free_port 8560)" WANT_DB_PORT="$(free_port 8571)" PROVER_SPEED=1 LOGIN_TRIES=6 RIG_FROM=8880 LOOPBACK_PRINTERS=
  services_up 8560 8571
  services_wait
  env ODD_BENCH_URL="$(shop_address)" TRUST_URL="$(trust_address)" npx playwright test --config playwright.open.config.ts
}

# two simulated printers at forty times their speed: a sound one and one without runaway protection
test_rigs() {
  RIG_WELL="$(free_port "$((RIG_PORT_3 + 1))")"
  timeout 3600 php artisan odd-bench:rig --port "$RIG_WELL" --speed 40 >/dev/null 2>&1 &
  TEST_RIGS="$!"
  RIG_BAD="$(free_port "$((RIG_WELL + 1))")"
  timeout 3600 php artisan odd-bench:rig --port "$RIG_BAD" --speed 40 --fault no-runaway-protection >/dev/null 2>&1 &
  TEST_RIGS="$TEST_RIGS $!"
}

# What differs from what has landed, where that is known here (TEST_BASE=commit says it); else everything, in two halves.
test_style() { # number
  local base files
  base="${TEST_BASE:-$(git merge-base HEAD origin/main 2>/dev/null || true)}"
  if [ -n "$base" ] && [ "$base" != "$(git rev-parse HEAD)" ] && git diff --quiet "$base" -- pint.json composer.json; then
    [ "$1" = 1 ] || return 0
    mapfile -t files < <({ git diff --name-only --diff-filter=d "$base" -- '*.php'; git ls-files --others --exclude-standard -- '*.php'; } | sort -u)
  elif [ "$1" = 1 ]; then
    files=(app config routes bootstrap)
  else
    files=(core rig compat database tests)
  fi
  [ "${#files[@]}" -gt 0 ] || return 0
  TMPDIR="$CACHE/pint" php -d opcache.enable_cli=1 -d opcache.jit=1235 -d opcache.jit_buffer_size=64M vendor/bin/pint --test -q "${files[@]}"
}

test_descriptions() {
  php artisan odd-bench:knowledge check
  php artisan odd-bench:openapi --check
  test_api_types
}

test_api_types() {
  local fresh
  fresh="$(mktemp --suffix=.d.ts)"
  npx openapi-typescript docs/api/openapi.json -o "$fresh" >/dev/null
  if ! diff -q "$fresh" resources/js/api/schema.d.ts >/dev/null; then
    rm -f "$fresh"
    printf 'resources/js/api/schema.d.ts is out of step; run npm run api\n' >&2
    return 1
  fi
  rm -f "$fresh"
}

# Not part of test: a change is tried with every test that runs its line, which takes a second or two each.
command_mutate() {
  need_debian_packages
  need_composer_packages
  if ! php -d extension=pcov -m 2>/dev/null | grep -qx pcov; then
    MISSING=php8.2-pcov
    step "Debian package php8.2-pcov" as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y --no-install-recommends php8.2-pcov
    # it is loaded where it is asked for and nowhere else
    as_root phpdismod -v 8.2 pcov
  fi
  cd "$ROOT"
  case "$*" in
    *app*)
      place test
      test_clean
      trap test_clean EXIT
      unset WEB_PORT DB_PORT RIG_PORT_1 RIG_PORT_2 RIG_PORT_3
      WANT_PORT="$(free_port 8520)" WANT_DB_PORT="$(free_port 8531)" PG_FSYNC=off
      services_up 8520 8531
      pg_admin -U odd_bench_admin -d postgres -c 'CREATE DATABASE odd_bench_test OWNER odd_bench' -c 'CREATE DATABASE odd_bench_old OWNER odd_bench'
      export DB_PORT DB_PASSWORD
      DB_PASSWORD="$(db_password)"
      ;;
  esac
  php tests/Mutation/mutate.php "$@"
}
