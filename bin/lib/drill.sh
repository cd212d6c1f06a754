# bin/odd-bench drill: what happens when things are killed, raced, jumped and filled, on an instance of its own that is thrown away.

drill_clean() {
  services_down >/dev/null 2>&1 || true
  ! mountpoint -q "$STATE/storage/app/private" || umount "$STATE/storage/app/private"
  rm -rf "$STATE" "$RUN"
}

command_drill() {
  local long="" person
  case "${1:-}" in '') ;; --long) long=1 ;; *) fail "drill does not know “$1”." "Say nothing, or --long for a thousand kills and ten thousand races." ;; esac
  need_debian_packages browser
  need_composer_packages
  need_npm_packages
  need_page
  place drill
  drill_clean
  trap drill_clean EXIT
  unset WEB_PORT DB_PORT RIG_PORT_1 RIG_PORT_2 RIG_PORT_3
  WANT_PORT="$(free_port 8620)" WANT_DB_PORT="$(free_port 8631)" PROVER_SPEED=20 RIG_FROM=8661 LOOPBACK_PRINTERS=any REQUESTS_A_MINUTE=100000 MOST_CONNECTIONS=200
  # the clock on the wall of every service can be set by this file; what counts time in runs must not care
  make_place
  DRILL_CLOCK="$STATE/wall-clock"
  printf '+0s\n' | keep root: 644 "$DRILL_CLOCK"
  # shellcheck disable=SC2034
  FAKE_CLOCK="LD_PRELOAD=\"$(faketime_library)\",FAKETIME_TIMESTAMP_FILE=\"$DRILL_CLOCK\",FAKETIME_NO_CACHE=\"1\",FAKETIME_DONT_FAKE_MONOTONIC=\"1\""
  services_up 8620 8631
  services_wait
  pg_admin -U odd_bench_admin -d postgres -c 'CREATE DATABASE odd_bench_race OWNER odd_bench'
  person="$(site_artisan odd-bench:person drill Drill lead --no-interaction | sed -n 's/^Password: //p')"
  drill_artisan
  ODD_BENCH_STATE="$STATE" DRILL_ARTISAN="$STATE/artisan" DRILL_BACKUPS="$STATE/backups" DRILL_LONG="$long" DRILL_URL="http://127.0.0.1:$WEB_PORT" DRILL_PASSWORD="$person" DRILL_CLOCK="$DRILL_CLOCK" DRILL_SUPERVISOR="$ETC/supervisord.conf" \
    DRILL_RUNS="$STATE/storage/app/runs" DRILL_FILES="$STATE/storage/app/private" DB_PORT="$DB_PORT" DB_PASSWORD="$(db_password)" php "$ROOT/tests/Drill/run.php"
}

# The framework's commands, as the user whose work they are.
drill_artisan() {
  {
    printf '#!/bin/sh\ncd %q && ' "$SERVE"
    [ "$(id -u)" -ne 0 ] || printf 'exec runuser -u %q -- ' "$WORK_USER"
    printf 'env HOME=%q ODD_BENCH_STATE=%q php artisan "$@"\n' "$STATE" "$STATE"
  } | keep root: 755 "$STATE/artisan"
}

faketime_library() { find /usr/lib -name libfaketime.so.1 -print -quit; }
