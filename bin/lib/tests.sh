# bin/odd-bench test: everything, on a server and a database of its own that are thrown away afterwards.

test_clean() {
  [ -z "${TEST_RIGS:-}" ] || kill $TEST_RIGS 2>/dev/null || true
  services_down >/dev/null 2>&1 || true
  rm -rf "$STATE" "$RUN"
}

command_test() {
  local only="${1:-all}"
  case "$only" in all | static | php | browser) ;; *) fail "test does not know “$only”." "Say nothing, or static, php or browser." ;; esac
  if [ "$only" = static ]; then need_debian_packages; else need_debian_packages browser; fi
  need_composer_packages
  need_npm_packages
  cd "$ROOT"
  if [ "$only" = all ] || [ "$only" = static ]; then test_static; fi
  [ "$only" = static ] && return 0
  need_page
  place test
  test_clean
  trap test_clean EXIT
  unset WEB_PORT DB_PORT RIG_PORT_1 RIG_PORT_2 RIG_PORT_3
  WANT_PORT="$(free_port 8520)" WANT_DB_PORT="$(free_port 8531)" PG_FSYNC=off PROVER_SPEED=40 LOGIN_TRIES=25 RIG_FROM=8651 LOOPBACK_PRINTERS=any REQUESTS_A_MINUTE=100000
  services_up 8520 8531
  [ "$only" = browser ] || loud "PHPUnit" test_php
  # the drill mostly waits: the demo is played beside it
  local demo=""
  if [ "$only" != php ]; then
    test_demo &
    demo=$!
  fi
  [ "$only" = browser ] || loud "Drill" "$ROOT/bin/odd-bench" drill
  if [ "$only" != php ]; then
    step "Demo shop" wait_for "$demo" "$STATE/demo.log"
    services_wait
    step "A copy of it" test_keep_demo
    loud "The demo shop" env DB_PORT="$DB_PORT" DB_PASSWORD="$(db_password)" vendor/bin/phpunit --testsuite Demo
    test_rigs
    loud "The page in a browser, today" test_browser --grep @today
    test_another_day
    # nothing of it is left; what opens is an instance of its own
    test_clean
    test_opening
  fi
  services_down
  say "All checks passed."
}

test_demo() { site_artisan odd-bench:demo --if-empty >"$STATE/demo.log" 2>&1 || echo failed >>"$STATE/demo.log"; echo end >>"$STATE/demo.log"; }

# A step is a shell of its own, which cannot wait for another's child: it looks at what that one writes last.
wait_for() {
  while kill -0 "$1" 2>/dev/null && ! grep -qx end "$2"; do sleep 0.2; done
  cat "$2"
  ! grep -qx failed "$2"
}

test_browser() { env ODD_BENCH_URL="http://localhost:$WEB_PORT" RIG_WELL="$RIG_WELL" RIG_BAD="$RIG_BAD" SECONDS_AHEAD="${SECONDS_AHEAD:-}" npx playwright test "$@"; }

# A real shop of its own on the network, empty, as on the day it opens.
test_opening() {
  place opening
  test_clean
  trap test_clean EXIT
  unset WEB_PORT DB_PORT TRUST_PORT RIG_PORT_1 RIG_PORT_2 RIG_PORT_3 FAKE_CLOCK
  export REAL_SHOP=1
  # a name every machine has, also one without a network
  LAN=1 HOST=localhost WANT_PORT="$(free_port 8560)" WANT_DB_PORT="$(free_port 8571)" PROVER_SPEED=1 LOGIN_TRIES=6 RIG_FROM=8681 LOOPBACK_PRINTERS=
  services_up 8560 8571
  services_wait
  loud "A shop opens, on its network" env ODD_BENCH_URL="$(shop_address)" TRUST_URL="$(trust_address)" npx playwright test --config playwright.open.config.ts
}

test_keep_demo() { as "$DB_USER" "$PG_BIN/pg_dump" -h "$RUN/db" -p "$DB_PORT" -U odd_bench_admin -Fc -f "$RUN/db/demo.dump" odd_bench; }

# Everything once, on a drawn day, for a page that is right today may be wrong on the last of December; today, by the
# machine's own clock, only the shortest way through the rooms (tagged @today). TEST_DAY=2028-02-29T08:00Z draws that.
test_another_day() {
  local day
  day="${TEST_DAY:-$(php "$ROOT/tests/Browser/draw-day.php")}"
  SECONDS_AHEAD=$(($(date -d "$day" +%s) - $(date +%s)))
  say ""
  say "Drawn day: $day (TEST_DAY=$day bin/odd-bench test browser repeats it)"
  step "Everything on that day" test_go_to_day
  loud "The page in a browser, on $day" test_browser
}

test_go_to_day() {
  supervise stop all >/dev/null
  supervise start db >/dev/null
  postgres_wait
  pg_admin -U odd_bench_admin -d postgres -c 'DROP DATABASE odd_bench' -c 'CREATE DATABASE odd_bench OWNER odd_bench'
  as "$DB_USER" "$PG_BIN/pg_restore" -h "$RUN/db" -p "$DB_PORT" -U odd_bench_admin -d odd_bench "$RUN/db/demo.dump"
  FAKE_CLOCK="LD_PRELOAD=\"$(faketime_library)\",FAKETIME=\"+${SECONDS_AHEAD}s\",FAKETIME_DONT_FAKE_MONOTONIC=\"1\""
  write_fpm
  write_programs
  AS_IN="$SERVE" as "$WORK_USER" env LD_PRELOAD="$(faketime_library)" FAKETIME="+${SECONDS_AHEAD}s" FAKETIME_DONT_FAKE_MONOTONIC=1 php artisan odd-bench:demo --today
  programs_up
  services_wait
}

# two simulated printers at forty times their speed: a sound one and one without runaway protection
test_rigs() {
  RIG_WELL="$(free_port 8651)"
  php artisan odd-bench:rig --port "$RIG_WELL" --speed 40 >/dev/null 2>&1 &
  TEST_RIGS="$!"
  RIG_BAD="$(free_port "$((RIG_WELL + 1))")"
  php artisan odd-bench:rig --port "$RIG_BAD" --speed 40 --fault no-runaway-protection >/dev/null 2>&1 &
  TEST_RIGS="$TEST_RIGS $!"
}

test_static() { loud "Static checks" test_static_both; }

# Those of PHP and those of the page, each on a processor of its own. Both run behind “&”: behind “||” a step would
# go on after a mistake.
test_static_both() {
  local page status=0
  page="$(mktemp)"
  (test_static_page) >"$page" 2>&1 &
  local beside=$!
  (test_static_php) &
  wait $! || status=1
  wait "$beside" || status=1
  cat "$page"
  rm -f "$page"
  return "$status"
}

test_static_php() {
  loud "PHP style" vendor/bin/pint --test -q
  loud "Core: types, and who may use whom" vendor/bin/phpstan analyse --no-progress --memory-limit=1G
  loud "Application: types, and who may use whom" vendor/bin/phpstan analyse --configuration phpstan-app.neon --no-progress --memory-limit=1G
  loud "Knowledge files" php artisan odd-bench:knowledge check
  loud "API description in step" php artisan odd-bench:openapi --check
}

test_static_page() {
  loud "API types in step" test_api_types
  loud "Page style" npm run --silent format:check
  loud "Page rules" npm run --silent lint
  loud "Page types" npm run --silent check
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

# Three beside each other: the core, which needs no database, with the races, which have one of their own; what waits for
# simulated printers; and the rest.
test_php() {
  local status=0 name beside=() said=()
  for name in test old race runs; do pg_admin -U odd_bench_admin -d postgres -c "CREATE DATABASE odd_bench_$name OWNER odd_bench"; done
  export DB_PORT DB_PASSWORD
  DB_PASSWORD="$(db_password)"
  said=("$(mktemp)" "$(mktemp)")
  (test_core && vendor/bin/phpunit --testsuite Races) >"${said[0]}" 2>&1 &
  beside+=($!)
  TEST_DATABASE=odd_bench_runs vendor/bin/phpunit --testsuite Runs >"${said[1]}" 2>&1 &
  beside+=($!)
  vendor/bin/phpunit --testsuite Feature || status=1
  for name in "${beside[@]}"; do wait "$name" || status=1; done
  cat "${said[@]}"
  rm -f "${said[@]}"
  return "$status"
}

# Compiled, for it counts and takes half the time so. A crash of the compiler is none of ours: then without it.
test_core() {
  local status=0
  php -d opcache.enable_cli=1 -d opcache.jit=1235 -d opcache.jit_buffer_size=64M vendor/bin/phpunit --testsuite Core || status=$?
  if [ "$status" -gt 128 ]; then
    say "PHP's compiler crashed ($status); once more without it."
    status=0
    vendor/bin/phpunit --testsuite Core || status=$?
  fi
  return "$status"
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
