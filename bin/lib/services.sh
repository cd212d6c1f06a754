# PostgreSQL, php-fpm, nginx and the queue worker of one instance. All run as RUN_USER, all on loopback.

PG_BIN=/usr/lib/postgresql/15/bin

secret() { php -r 'echo bin2hex(random_bytes(20));'; }

alive() { [ -e "$1" ] && kill -0 "$(head -n1 "$1" 2>/dev/null)" 2>/dev/null; }

choose_ports() { # default web port, default database port
  local web="${WANT_PORT:-${WEB_PORT:-$1}}" db="${WANT_DB_PORT:-${DB_PORT:-$2}}"
  # what runs under its own port stays up until the new one is known to be free
  if { [ "$web" != "${WEB_PORT:-}" ] || ! alive "$RUN/nginx.pid"; } && port_taken "$web"; then
    fail "Port $web is in use by another program." "Choose another: bin/odd-bench up --port $(free_port $((web + 1)))"
  fi
  if { [ "$db" != "${DB_PORT:-}" ] || ! alive "$STATE/pg/postmaster.pid"; } && port_taken "$db"; then
    fail "Port $db, wanted for the database, is in use by another program." "Choose another: bin/odd-bench up --db-port $(free_port $((db + 1)))"
  fi
  if [ "$db" != "${DB_PORT:-$db}" ]; then services_down; fi
  if [ "$web" != "${WEB_PORT:-$web}" ]; then nginx_down; fi
  WEB_PORT="$web" DB_PORT="$db"
  printf 'WEB_PORT=%s\nDB_PORT=%s\n' "$web" "$db" >"$STATE/ports"
}

write_environment() {
  local env="$STATE/.env"
  if [ ! -e "$env" ]; then
    (umask 077; printf 'APP_KEY=base64:%s\nDB_PASSWORD=%s\n' "$(php -r 'echo base64_encode(random_bytes(32));')" "$(secret)" >"$STATE/secrets")
  fi
  (
    umask 077
    cat "$STATE/secrets"
    cat <<T
APP_NAME="Odd Bench"
APP_ENV=${INSTANCE_ENV:-production}
APP_DEBUG=false
APP_URL=http://localhost:$WEB_PORT
DB_CONNECTION=pgsql
DB_HOST=127.0.0.1
DB_PORT=$DB_PORT
DB_DATABASE=odd_bench
DB_USERNAME=odd_bench
LOG_CHANNEL=single
LOG_LEVEL=warning
PROVER_SPEED=${PROVER_SPEED:-1}
T
  ) >"$env.new"
  [ "$(id -u)" -ne 0 ] || chown "$RUN_USER:" "$env.new" "$STATE/secrets"
  mv "$env.new" "$env"
}

postgres_answers() { "$PG_BIN/pg_isready" -q -h 127.0.0.1 -p "${DB_PORT:-0}"; }

postgres_make() {
  [ -e "$STATE/pg/PG_VERSION" ] && return 0
  local password
  password="$(sed -n 's/^DB_PASSWORD=//p' "$STATE/secrets")"
  rm -rf "$STATE/pg" "$STATE/pg.new"
  (umask 077; printf '%s' "$password" >"$STATE/tmp/pw")
  [ "$(id -u)" -ne 0 ] || chown "$RUN_USER:" "$STATE/tmp/pw"
  as_run "$PG_BIN/initdb" -D "$STATE/pg.new" -U odd_bench --encoding=UTF8 --locale=C.UTF-8 --auth=scram-sha-256 --pwfile="$STATE/tmp/pw"
  rm -f "$STATE/tmp/pw"
  mv "$STATE/pg.new" "$STATE/pg"
}

postgres_up() {
  cat >"$STATE/pg/postgresql.auto.conf" <<T
listen_addresses = '127.0.0.1'
port = $DB_PORT
unix_socket_directories = '$RUN'
max_connections = 60
shared_buffers = 128MB
# every question here is short; compiling it takes longer than asking it
jit = off
timezone = 'UTC'
fsync = ${PG_FSYNC:-on}
T
  if ! alive "$STATE/pg/postmaster.pid"; then
    as_run "$PG_BIN/pg_ctl" -D "$STATE/pg" -l "$STATE/log/postgres.log" -w -t 60 -s start
  fi
  local password
  password="$(sed -n 's/^DB_PASSWORD=//p' "$STATE/secrets")"
  PGPASSWORD="$password" "$PG_BIN/psql" -h 127.0.0.1 -p "$DB_PORT" -U odd_bench -d postgres -Atqc \
    "SELECT 'CREATE DATABASE odd_bench' WHERE NOT EXISTS (SELECT FROM pg_database WHERE datname='odd_bench')" |
    PGPASSWORD="$password" "$PG_BIN/psql" -h 127.0.0.1 -p "$DB_PORT" -U odd_bench -d postgres -q
}

fpm_up() {
  alive "$RUN/php-fpm.pid" && return 0
  cat >"$STATE/php-fpm.conf" <<T
[global]
pid = $RUN/php-fpm.pid
error_log = $STATE/log/php.log
daemonize = yes
[odd-bench]
listen = $RUN/php.sock
listen.mode = 0600
pm = dynamic
pm.max_children = 8
pm.start_servers = 2
pm.min_spare_servers = 1
pm.max_spare_servers = 4
pm.max_requests = 2000
catch_workers_output = yes
env[ODD_BENCH_STATE] = $STATE
php_admin_value[error_log] = $STATE/log/php.log
php_admin_value[upload_tmp_dir] = $STATE/tmp
php_admin_value[memory_limit] = 256M
php_admin_value[post_max_size] = 32M
T
  # opcache looks at the files again every two seconds, so that an update of the checkout is noticed
  as_run /usr/sbin/php-fpm8.2 -y "$STATE/php-fpm.conf" -d opcache.enable=1 -d opcache.memory_consumption=128 -d opcache.max_accelerated_files=20000 -d opcache.revalidate_freq=2 -d display_errors=0
}

nginx_up() {
  cat >"$STATE/nginx.conf" <<T
worker_processes 2;
pid $RUN/nginx.pid;
error_log $STATE/log/nginx.log warn;
events { worker_connections 512; }
http {
  include /etc/nginx/mime.types;
  default_type application/octet-stream;
  access_log off;
  server_tokens off;
  sendfile on;
  gzip on;
  gzip_types text/css application/javascript application/json application/problem+json image/svg+xml;
  client_body_temp_path $STATE/tmp/body;
  fastcgi_temp_path $STATE/tmp/fastcgi;
  proxy_temp_path $STATE/tmp/proxy;
  uwsgi_temp_path $STATE/tmp/uwsgi;
  scgi_temp_path $STATE/tmp/scgi;
  client_max_body_size 32m;
  server {
    listen 127.0.0.1:$WEB_PORT;
    root $SERVE/public;
    index index.php;
    add_header X-Content-Type-Options nosniff always;
    add_header Referrer-Policy same-origin always;
    add_header Content-Security-Policy "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data:; frame-ancestors 'self'; base-uri 'none'" always;
    location /build/assets/ { expires 1y; add_header Cache-Control "public, immutable"; }
    location / { try_files \$uri /index.php\$is_args\$args; }
    location = /index.php {
      include /etc/nginx/fastcgi_params;
      fastcgi_param SCRIPT_FILENAME \$document_root/index.php;
      fastcgi_pass unix:$RUN/php.sock;
    }
    location ~ \.php$ { return 404; }
    location ~ /\. { return 404; }
  }
}
T
  if alive "$RUN/nginx.pid"; then return 0; fi
  as_run /usr/sbin/nginx -p "$STATE" -c "$STATE/nginx.conf" -e "$STATE/log/nginx.log"
}

nginx_down() { alive "$RUN/nginx.pid" && kill "$(cat "$RUN/nginx.pid")" || true; wait_gone "$RUN/nginx.pid"; }

worker_up() {
  alive "$RUN/worker.pid" && return 0
  AS_RUN_IN="$SERVE" as_run setsid --fork bash -c '
    echo $$ >"$1/worker.pid"
    while :; do php artisan queue:work --sleep=1 --tries=3 --max-time=1800 --quiet; sleep 1; done' worker "$RUN" >>"$STATE/log/worker.log" 2>&1 </dev/null
}

prover_up() {
  alive "$RUN/prover.pid" && return 0
  AS_RUN_IN="$SERVE" as_run setsid --fork bash -c '
    echo $$ >"$1/prover.pid"
    while :; do php artisan odd-bench:prover --for=3600 --quiet; sleep 1; done' prover "$RUN" >>"$STATE/log/prover.log" 2>&1 </dev/null
}

prover_down() {
  alive "$RUN/prover.pid" && kill -- "-$(cat "$RUN/prover.pid")" 2>/dev/null || true
  rm -f "$RUN/prover.pid"
}

# three simulated printers for the demo: a sound one, one with a part clog, one without runaway protection
RIG_PORT=8641

rigs_up() {
  alive "$RUN/rigs.pid" && return 0
  AS_RUN_IN="$SERVE" as_run setsid --fork bash -c '
    echo $$ >"$1/rigs.pid"
    php artisan odd-bench:rig --family tern-220-d --port "$2" &
    php artisan odd-bench:rig --family heron-cx --port "$(($2 + 1))" --fault part-clog &
    php artisan odd-bench:rig --family wren-mini --port "$(($2 + 2))" --fault no-runaway-protection &
    wait' rigs "$RUN" "$RIG_PORT" >>"$STATE/log/rigs.log" 2>&1 </dev/null
}

rigs_down() {
  alive "$RUN/rigs.pid" && kill -- "-$(cat "$RUN/rigs.pid")" 2>/dev/null || true
  rm -f "$RUN/rigs.pid"
}

worker_down() {
  alive "$RUN/worker.pid" && kill -- "-$(cat "$RUN/worker.pid")" 2>/dev/null || true
  rm -f "$RUN/worker.pid"
}

wait_gone() {
  local i
  for i in $(seq 1 100); do alive "$1" || return 0; sleep 0.05; done
}

site_artisan() {
  [ -e "$STATE/.env" ] || fail "Odd Bench has not been set up here yet." "Start it with bin/odd-bench up."
  AS_RUN_IN="$SERVE" as_run php artisan "$@"
}

services_up() { # default ports
  make_place
  choose_ports "$1" "$2"
  write_environment
  step_if "Code for the service user" copy_code
  if [ ! -e "$STATE/pg/PG_VERSION" ]; then step "Database cluster" postgres_make; fi
  step "Database" postgres_up
  step "Tables" site_artisan migrate --force
  step "Web server" web_up
}

step_if() { if [ "$SERVE" != "$ROOT" ]; then step "$@"; fi; }

web_up() { fpm_up; nginx_up; worker_up; prover_up; }

services_wait() {
  local i
  for i in $(seq 1 100); do
    if health >/dev/null 2>&1; then return 0; fi
    sleep 0.1
  done
  fail "The site does not answer on port $WEB_PORT." "bin/odd-bench logs says why."
}

health() { php -r '$c = stream_context_create(["http" => ["timeout" => 3]]); $r = @file_get_contents($argv[1], false, $c); if ($r === false) exit(1); echo $r;' "http://127.0.0.1:$WEB_PORT/health"; }

services_down() {
  rigs_down
  prover_down
  worker_down
  nginx_down
  if alive "$RUN/php-fpm.pid"; then kill "$(cat "$RUN/php-fpm.pid")"; wait_gone "$RUN/php-fpm.pid"; fi
  if alive "$STATE/pg/postmaster.pid"; then as_run "$PG_BIN/pg_ctl" -D "$STATE/pg" -m fast -w -s stop; fi
}

services_status() {
  local what pid
  if [ ! -e "$STATE/ports" ]; then say "Not set up yet. Start it with bin/odd-bench up."; return 1; fi
  for what in "postgres:$STATE/pg/postmaster.pid" "php:$RUN/php-fpm.pid" "nginx:$RUN/nginx.pid" "worker:$RUN/worker.pid" "prover:$RUN/prover.pid" "rigs:$RUN/rigs.pid"; do
    pid="${what#*:}"
    if alive "$pid"; then printf '%-9s runs (%s)\n' "${what%%:*}" "$(head -n1 "$pid")"; else printf '%-9s stopped\n' "${what%%:*}"; fi
  done
  say "run by    $RUN_USER"
  say "data      $STATE"
  if health >/dev/null 2>&1; then say "site      answers at http://localhost:$WEB_PORT"; else say "site      does not answer at http://localhost:$WEB_PORT"; return 1; fi
}

services_logs() {
  local name="${1:-}" files
  case "$name" in
    '') files=("$STATE"/log/*.log "$STATE"/storage/logs/*.log) ;;
    laravel) files=("$STATE"/storage/logs/laravel.log) ;;
    nginx | php | postgres | worker | prover) files=("$STATE/log/$name.log") ;;
    *) fail "There is no log “$name”." "Pick nginx, php, postgres, worker, prover or laravel." ;;
  esac
  [ -e "${files[0]}" ] || fail "Nothing has been logged yet." "Start the site with bin/odd-bench up."
  exec tail -n 50 -F "${files[@]}"
}
