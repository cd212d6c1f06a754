# bin/odd-bench test: everything, on a server and a database of its own that are thrown away afterwards.

test_clean() {
  [ -z "${TEST_RIGS:-}" ] || kill $TEST_RIGS 2>/dev/null || true
  services_down >/dev/null 2>&1 || true
  rm -rf "$STATE" "$RUN"
}

command_test() {
  local only="${1:-all}"
  case "$only" in all | static | php | browser) ;; *) fail "test does not know “$only”." "Say nothing, or static, php or browser." ;; esac
  if [ "$only" = static ] || [ "$only" = php ]; then need_debian_packages; else need_debian_packages browser; fi
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
  WANT_PORT="$(free_port 8520)" WANT_DB_PORT="$(free_port 8531)" PG_FSYNC=off PROVER_SPEED=20
  services_up 8520 8531
  if [ "$only" != browser ]; then loud "PHPUnit" test_php; loud "Drill" env -u PG_FSYNC "$ROOT/bin/odd-bench" drill; fi
  if [ "$only" != php ]; then
    step "Demo shop" site_artisan odd-bench:demo --if-empty
    services_wait
    loud "The demo shop" env DB_PORT="$DB_PORT" DB_PASSWORD="$(db_password)" vendor/bin/phpunit --testsuite Demo
    test_rigs
    loud "The page in a browser" env ODD_BENCH_URL="http://localhost:$WEB_PORT" RIG_WELL="$RIG_WELL" RIG_BAD="$RIG_BAD" npx playwright test
  fi
  services_down
  say "All checks passed."
}

# two simulated printers at twenty times their speed: a sound one and one without runaway protection
test_rigs() {
  RIG_WELL="$(free_port 8651)"
  php artisan odd-bench:rig --port "$RIG_WELL" --speed 20 >/dev/null 2>&1 &
  TEST_RIGS="$!"
  RIG_BAD="$(free_port "$((RIG_WELL + 1))")"
  php artisan odd-bench:rig --port "$RIG_BAD" --speed 20 --fault no-runaway-protection >/dev/null 2>&1 &
  TEST_RIGS="$TEST_RIGS $!"
}

test_static() {
  loud "PHP style" vendor/bin/pint --test -q
  loud "Core: types, and who may use whom" vendor/bin/phpstan analyse --no-progress --memory-limit=1G
  loud "Application: types, and who may use whom" vendor/bin/phpstan analyse --configuration phpstan-app.neon --no-progress --memory-limit=1G
  loud "Knowledge files" php artisan odd-bench:knowledge check
  loud "API description in step" php artisan odd-bench:openapi --check
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

test_php() {
  pg_admin -U odd_bench_admin -d postgres -c 'CREATE DATABASE odd_bench_test OWNER odd_bench' -c 'CREATE DATABASE odd_bench_old OWNER odd_bench' -c 'CREATE DATABASE odd_bench_race OWNER odd_bench'
  DB_PORT="$DB_PORT" DB_PASSWORD="$(db_password)" vendor/bin/phpunit --testsuite Core,Feature,Races
}
