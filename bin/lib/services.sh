# One instance as it runs: everything hangs on a supervisor of its own, which the system starts again where it can.

PG_BIN=/usr/lib/postgresql/15/bin

supervise() { (cd / && supervisorctl -c "$ETC/supervisord.conf" "$@") 8>&- 9>&-; }

supervised() { [ -e "$ETC/supervisord.conf" ] && supervise pid >/dev/null 2>&1; }

# look: asks the supervisor once how everything stands; runs NAME: whether it held that one running then
look() { STANDING="$([ ! -e "$ETC/supervisord.conf" ] || supervise status 2>/dev/null || true)"; }

runs() { grep -qE "^$1 +RUNNING " <<<"$STANDING"; }

choose_ports() { # default web port, default database port
  local web="${WANT_PORT:-${WEB_PORT:-$1}}" db="${WANT_DB_PORT:-${DB_PORT:-$2}}" port other
  look
  # what runs under its own port stays up until the new one is known to be free
  if { [ "$web" != "${WEB_PORT:-}" ] || ! runs nginx; } && port_taken "$web"; then
    fail "Port $web is in use by another program." "Choose another: bin/odd-bench up --port $(free_port $((web + 1)))"
  fi
  if { [ "$db" != "${DB_PORT:-}" ] || ! runs db; } && port_taken "$db"; then
    fail "Port $db, wanted for the database, is in use by another program." "Choose another: bin/odd-bench up --db-port $(free_port $((db + 1)))"
  fi
  WEB_PORT="$web" DB_PORT="$db"
  # a demo never points at another instance's printers: what is taken by others is given up for what is free
  other="${RIG_FROM:-8641}"
  for port in 1 2 3; do
    local name="RIG_PORT_$port"
    if [ -n "${!name:-}" ] && { runs "rig-$port" || ! port_taken "${!name}"; }; then continue; fi
    other="$(free_port "$other")"
    printf -v "$name" '%s' "$other"
    other=$((other + 1))
  done
  if [ -n "$LAN" ] && { [ -z "${TRUST_PORT:-}" ] || { port_taken "$TRUST_PORT" && ! runs nginx; }; }; then TRUST_PORT="$(free_port $((WEB_PORT + 1)))"; fi
  write_ports
}

# Processes of this instance: one of its users runs one of its programs, started with one of its files or by its supervisor, as the
# kernel tells it. Somebody's editor on one of those files is none.
ours() {
  local process
  for process in /proc/[0-9]*; do
    case "${process#/proc/}" in "$$" | "$PPID" | "$BASHPID") continue ;; esac
    case "$(stat -c %U "$process" 2>/dev/null)" in "$WORK_USER" | "$WEB_USER" | "$DB_USER" | root) ;; *) continue ;; esac
    case "$(basename "$(readlink "$process/exe" 2>/dev/null)")" in postgres | nginx | php-fpm* | php | php[0-9]* | python3*) ;; *) continue ;; esac
    if { tr '\0' ' ' <"$process/cmdline"; } 2>/dev/null | grep -qF -- "$ETC/" || { tr '\0' '\n' <"$process/environ"; } 2>/dev/null | grep -qxF "SUPERVISOR_SERVER_URL=unix://$RUN/supervisor.sock"; then
      printf '%s\n' "${process#/proc/}"
    fi
  done 2>/dev/null
}

# Something of ours runs without its supervisor, which was killed.
ours_left() { ! supervised && [ -n "$(ours)" ]; }

end_what_is_left() {
  local pids i
  pids="$(ours)"
  [ -n "$pids" ] || return 0
  # shellcheck disable=SC2086
  kill -TERM $pids 2>/dev/null || true
  for i in $(seq 1 100); do
    pids="$(ours)"
    [ -n "$pids" ] || return 0
    sleep 0.1
  done
  # shellcheck disable=SC2086
  kill -KILL $pids 2>/dev/null || true
}

supervisor_up() {
  if supervised; then return 0; fi
  rm -f "$RUN/supervisor.sock"
  if [ -d /run/systemd/system ] && { [ "$(id -u)" -eq 0 ] || command -v sudo >/dev/null 2>&1; }; then
    write_unit | as_root tee "/etc/systemd/system/$INSTANCE.service" >/dev/null
    as_root systemctl daemon-reload
    as_root systemctl enable --now "$INSTANCE.service"
  else
    (cd / && exec supervisord -c "$ETC/supervisord.conf") 8>&- 9>&-
  fi
  local i
  for i in $(seq 1 100); do
    if supervised; then return 0; fi
    sleep 0.1
  done
  printf 'The supervisor does not answer.\n' >&2
  return 1
}

write_unit() {
  cat <<T
[Unit]
Description=Odd Bench ($STATE)
After=network.target
[Service]
Type=simple
User=$(id -un)
ExecStart=/usr/bin/supervisord -n -c $ETC/supervisord.conf
KillMode=mixed
TimeoutStopSec=90
Restart=always
RestartSec=1
[Install]
WantedBy=multi-user.target
T
}

postgres_ready() { "$PG_BIN/pg_isready" -q -h 127.0.0.1 -p "${DB_PORT:-0}"; }

# A database that was killed reads its log first; that may take a while, and it says so.
postgres_wait() {
  local i fails=0
  for i in $(seq 1 1200); do
    if postgres_ready; then return 0; fi
    # one that reads its log runs; one that ends again and again does not
    if [ $((i % 10)) -eq 0 ] && supervise status db | grep -qE 'BACKOFF|FATAL|EXITED'; then fails=$((fails + 1)); fi
    [ "$fails" -lt 8 ] || break
    sleep 0.1
  done
  supervise status db >&2 || true
  tail -n 20 "$STATE/log/db.log" >&2 || true
  return 1
}

# The administrator's own way in: the socket, as the database's user.
pg_admin() { as "$DB_USER" "$PG_BIN/psql" -h "$RUN/db" -p "$DB_PORT" -X -q -At -v ON_ERROR_STOP=1 "$@"; }

postgres_make() {
  [ -e "$STATE/pg/PG_VERSION" ] && return 0
  rm -rf "$STATE/pg" "$STATE/pg.new"
  folder "$DB_USER:" 700 "$STATE/pg.new"
  as "$DB_USER" "$PG_BIN/initdb" -D "$STATE/pg.new" -U odd_bench_admin --encoding=UTF8 --locale=C.UTF-8 --auth=peer
  mv "$STATE/pg.new" "$STATE/pg"
}

# The application's role owns its database and is nothing more.
postgres_roles() {
  if ! pg_admin -U odd_bench_admin -d postgres -c 'SELECT 1' >/dev/null 2>&1; then heal_superuser; fi
  # the password goes through standard input: what stands in a command can be seen by everybody
  pg_admin -U odd_bench_admin -d postgres <<T
SELECT 'CREATE ROLE odd_bench LOGIN' WHERE NOT EXISTS (SELECT FROM pg_roles WHERE rolname = 'odd_bench') \gexec
ALTER ROLE odd_bench LOGIN NOSUPERUSER NOCREATEDB NOCREATEROLE NOREPLICATION PASSWORD '$(db_password)';
SELECT 'CREATE DATABASE odd_bench OWNER odd_bench' WHERE NOT EXISTS (SELECT FROM pg_database WHERE datname = 'odd_bench') \gexec
T
}

# In an older release the application's role was the administrator. It becomes one of its own name, and the application gets a
# role that owns what it made, with a new password: the old one could be read by everybody.
heal_superuser() {
  new_db_password
  write_environment
  pg_admin -U odd_bench -d postgres -c 'DROP ROLE IF EXISTS odd_bench_heal' -c 'CREATE ROLE odd_bench_heal SUPERUSER LOGIN'
  pg_admin -U odd_bench_heal -d postgres -c 'ALTER ROLE odd_bench RENAME TO odd_bench_admin' -c 'ALTER ROLE odd_bench_admin PASSWORD NULL' -c 'CREATE ROLE odd_bench LOGIN'
  local database
  for database in $(pg_admin -U odd_bench_heal -d postgres -c "SELECT datname FROM pg_database WHERE datname LIKE 'odd\\_bench%'"); do
    pg_admin -U odd_bench_heal -d postgres -c "ALTER DATABASE \"$database\" OWNER TO odd_bench"
    pg_admin -U odd_bench_heal -d "$database" <<'T'
DO $$
DECLARE thing record;
BEGIN
  FOR thing IN SELECT c.oid::regclass AS name FROM pg_class c WHERE c.relnamespace = 'public'::regnamespace AND c.relkind IN ('r', 'p', 'v', 'm')
    AND NOT EXISTS (SELECT FROM pg_depend d WHERE d.objid = c.oid AND d.deptype = 'e') LOOP
    EXECUTE format('ALTER TABLE %s OWNER TO odd_bench', thing.name);
  END LOOP;
  FOR thing IN SELECT p.oid::regprocedure AS name FROM pg_proc p WHERE p.pronamespace = 'public'::regnamespace
    AND NOT EXISTS (SELECT FROM pg_depend d WHERE d.objid = p.oid AND d.deptype = 'e') LOOP
    EXECUTE format('ALTER ROUTINE %s OWNER TO odd_bench', thing.name);
  END LOOP;
END $$;
T
  done
  pg_admin -U odd_bench_admin -d postgres -c 'DROP ROLE odd_bench_heal'
}

site_artisan() {
  [ -e "$STATE/.env" ] || fail "Odd Bench has not been set up here yet." "Start it with bin/odd-bench up."
  AS_IN="$(next_code)" as "$WORK_USER" php artisan "$@"
}

# Tables with something in them are changed after a backup of their own. What a release does not know is left alone: it was made
# by a newer one. All of it is changed or nothing, and until it is, the release that was served goes on.
tables_up() {
  (
    local stand
    stand="$(site_artisan odd-bench:migrate --look)"
    if [ "$stand" = same ]; then exit 0; fi
    if [ "$stand" = behind ]; then step "A backup before the tables change" site_artisan odd-bench:backup --kind=update --unproved; fi
    step "Tables" site_artisan odd-bench:migrate
  ) || { rm -rf "$SERVE.new"; fail "This release is not taken." "What ran before runs on, with its tables as they were."; }
  step_if "In its place" swap_code
}

# Worked out once for all requests, by the user that answers them: it holds what its own .env.web holds.
page_configuration() {
  local what stamp
  # nothing it is worked out from has changed
  stamp="$(code_stamp) $(stamp_of "$STATE/.env.web") $(find "$SERVE/routes" -type f -printf '%T@ %p\n' | sort | sha1sum)"
  if [ -e "$STATE/web-tmp/config.php" ] && [ -e "$STATE/web-tmp/routes.php" ] && [ "$(cat "$ETC/configured" 2>/dev/null)" = "$stamp" ]; then return 0; fi
  rm -f "$STATE/web-tmp/config.php" "$STATE/web-tmp/routes.php"
  for what in config:cache route:cache; do
    AS_IN="$SERVE" as "$WEB_USER" env ODD_BENCH_STATE="$STATE" ODD_BENCH_ENV=.env.web php artisan "$what" --quiet
  done
  chmod 600 "$STATE/web-tmp/config.php"
  printf '%s' "$stamp" >"$ETC/configured"
}

services_up() { # default ports
  make_place
  # its supervisor was killed: what it left running holds the ports
  if ours_left; then step "What was left running" end_what_is_left; fi
  choose_ports "$1" "$2"
  make_secrets
  if [ -n "$LAN" ]; then step "Certificate" certificate_up; fi
  write_environment
  write_postgres
  write_fpm
  write_nginx
  write_supervisor
  step_if "Code for the service users" copy_code
  end_older_services
  if [ ! -e "$STATE/pg/PG_VERSION" ]; then step "Database cluster" postgres_make; fi
  write_db_program
  step "Supervisor" supervisor_up
  step "Database" database_up
  tables_up
  step "Configuration of the page" page_configuration
  write_programs
  step "Services" programs_up
}

# An older release had no supervisor: what it left running is ended, told by what it is and not by a number in a file.
end_older_services() {
  if supervised || [ -e "$STATE/old-ended" ]; then return 0; fi
  local process pids=""
  for process in /proc/[0-9]*; do
    if { tr '\0' ' ' <"$process/cmdline"; } 2>/dev/null | grep -qE "(worker|prover|rigs) $RUN( |\$)|$STATE/(php-fpm|nginx)\.conf|postgres -D $STATE/pg *\$"; then pids+=" ${process#/proc/}"; fi
  done
  [ -z "$pids" ] || { step "Services of the older release" end_older $pids; }
  : >"$STATE/old-ended"
}

end_older() {
  local pid i
  for pid in "$@"; do kill -INT -- "-$pid" 2>/dev/null || kill -INT "$pid" 2>/dev/null || true; done
  for i in $(seq 1 100); do
    local left=""
    for pid in "$@"; do [ ! -e "/proc/$pid" ] || left=1; done
    [ -n "$left" ] || return 0
    sleep 0.1
  done
  for pid in "$@"; do kill -KILL "$pid" 2>/dev/null || true; done
}

database_up() {
  look
  if ! runs db || [ "$(cat "$ETC/db-runs-as" 2>/dev/null)" != "$(stamp_of "$ETC/programs/db.conf")" ]; then
    supervise reread >/dev/null
    supervise update db >/dev/null
    supervise start db >/dev/null 2>&1 || true
    stamp_of "$ETC/programs/db.conf" >"$ETC/db-runs-as"
  fi
  postgres_wait
  postgres_roles
}

programs_up() {
  supervise update
  programs_wait php nginx worker prover clerk clock
}

rigs_up() {
  write_rig_programs
  # its machines are pointed at where the printers listen when those move, or a story was put in place
  if [ "$(cat "$ETC/printers-at" 2>/dev/null)" != "$RIG_PORT_1 $RIG_PORT_2 $RIG_PORT_3" ]; then
    site_artisan odd-bench:demo --printers
    printf '%s' "$RIG_PORT_1 $RIG_PORT_2 $RIG_PORT_3" >"$ETC/printers-at"
  fi
  supervise update
  programs_wait rig-1 rig-2 rig-3
  local port name i
  for port in 1 2 3; do
    name="RIG_PORT_$port"
    for i in $(seq 1 100); do
      if port_taken "${!name}"; then continue 2; fi
      sleep 0.1
    done
    printf 'The simulated printer on port %s does not listen.\n' "${!name}" >&2
    return 1
  done
}

# running means that it has stayed up for a second; a dead one is not “done”
programs_wait() {
  local i name down=""
  for i in $(seq 1 60); do
    look
    down=""
    for name in "$@"; do runs "$name" || down+=" $name"; done
    [ -n "$down" ] || return 0
    # what was stopped by hand, or has never been started
    for name in $down; do grep -qE "^$name +(STOPPED|EXITED|FATAL)" <<<"$STANDING" && supervise start "$name" >/dev/null 2>&1; done
    sleep 0.2
  done
  printf '%s\n' "$STANDING" >&2
  for name in $down; do tail -n 20 "$STATE/log/$name.log" >&2 || true; done
  return 1
}

step_if() { if [ "$SERVE" != "$ROOT" ]; then step "$@"; fi; }

services_wait() {
  local i
  for i in $(seq 1 100); do
    if health >/dev/null 2>&1; then return 0; fi
    sleep 0.1
  done
  fail "The site does not answer on port $WEB_PORT." "bin/odd-bench logs says why."
}

health() { php -r '$c = stream_context_create(["http" => ["timeout" => 3], "ssl" => ["cafile" => $argv[2]]]); $r = @file_get_contents($argv[1], false, $c); if ($r === false) exit(1); echo $r;' "$(own_address)/health" "$ETC/tls/authority.crt"; }

services_down() {
  if [ -d /run/systemd/system ] && [ -e "/etc/systemd/system/$INSTANCE.service" ]; then
    as_root systemctl disable --now "$INSTANCE.service" >/dev/null 2>&1 || true
  fi
  if supervised; then
    # the printers go last, so that the runner can still switch them off
    supervise stop prover >/dev/null 2>&1 || true
    supervise shutdown >/dev/null 2>&1 || true
    local i
    for i in $(seq 1 600); do
      if ! supervised; then break; fi
      sleep 0.1
    done
  fi
  end_what_is_left
}

services_status() {
  if [ ! -e "$ETC/ports" ]; then say "Not set up yet. Start it with bin/odd-bench up."; return 1; fi
  if supervised; then
    supervise status | sed 's/^/  /' || true
  else
    say "The supervisor does not run.$(ours_left && printf ' Services of it do: bin/odd-bench up takes them over.' || true)"
  fi
  say "run by    $WORK_USER$([ "$WEB_USER" = "$WORK_USER" ] || printf ', the page by %s, the database by %s' "$WEB_USER" "$DB_USER")"
  say "data      $STATE"
  [ ! -e "$ETC/programs/rig-1.conf" ] || say "printers  simulated, on ports $RIG_PORT_1, $RIG_PORT_2 and $RIG_PORT_3"
  [ -z "$LAN" ] || say "tablets   get the certificate at $(trust_address), print $(authority_print)"
  [ -z "$BACKUP_KEY" ] || say "backups   encrypted for $BACKUP_KEY"
  [ -z "$BACKUP_TO" ] || say "backups   copied to $BACKUP_TO"
  if health >/dev/null 2>&1; then say "site      answers at $(shop_address)"; else say "site      does not answer at $(shop_address)"; return 1; fi
}

services_logs() {
  local name="${1:-}" files
  case "$name" in
    '') files=("$STATE"/log/*.log "$STATE"/storage/logs/*.log) ;;
    laravel) files=("$STATE"/storage/logs/laravel*.log) ;;
    nginx | php | db | worker | prover | clerk | clock | supervisord) files=("$STATE/log/$name.log") ;;
    *) fail "There is no log “$name”." "Pick nginx, php, db, worker, prover, clerk, clock, supervisord or laravel." ;;
  esac
  [ -e "${files[0]}" ] || fail "Nothing has been logged yet." "Start the site with bin/odd-bench up."
  exec tail -n 50 -F "${files[@]}"
}
