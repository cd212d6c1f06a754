# bin/odd-bench rehearse: a shop that has grown, as docs/deploy.md describes it, on one machine and thrown away afterwards: two page
# servers behind HAProxy, PostgreSQL with a standby it waits for (Patroni, etcd), PgBouncer, the worker apart. The primary is killed
# during 1,000 numbered writes.

rehearse_clean() {
  if supervised; then supervise shutdown >/dev/null 2>&1 || true; fi
  local i
  for i in $(seq 1 100); do
    if ! supervised; then break; fi
    sleep 0.1
  done
  pkill -KILL -f -- "$STATE/" 2>/dev/null || true
  rm -rf "$STATE" "$RUN"
}

need_rehearsal_packages() {
  MISSING=""
  command -v patroni >/dev/null 2>&1 || MISSING+=" patroni python3-etcd"
  command -v etcd >/dev/null 2>&1 || MISSING+=" etcd-server"
  [ -x /usr/sbin/haproxy ] || MISSING+=" haproxy"
  [ -x /usr/sbin/pgbouncer ] || MISSING+=" pgbouncer"
  [ -n "$MISSING" ] || return 0
  step "Package lists" as_root apt-get update
  # shellcheck disable=SC2086
  step "Debian packages ($MISSING)" as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y --no-install-recommends $MISSING
}

# node NAME PORT REST-PORT: one of the two databases
write_patroni() {
  keep "$DB_USER:" 600 "$ETC/patroni-$1.yml" <<T
scope: odd-bench
name: $1
restapi: { listen: "127.0.0.1:$3", connect_address: "127.0.0.1:$3" }
etcd3: { host: "127.0.0.1:$ETCD_PORT" }
bootstrap:
  dcs:
    ttl: 20
    loop_wait: 3
    retry_timeout: 5
    # a write is answered when the standby has it too: what was answered is never lost with the primary
    synchronous_mode: true
    master_start_timeout: 0
    postgresql:
      use_pg_rewind: true
      remove_data_directory_on_diverged_timelines: true
      parameters: { max_connections: 60, wal_level: replica, hot_standby: "on", jit: "off", timezone: UTC }
  initdb: [ { encoding: UTF8 }, { locale: C.UTF-8 }, data-checksums ]
  pg_hba:
    - host replication odd_bench_copy 127.0.0.1/32 scram-sha-256
    - host all all 127.0.0.1/32 scram-sha-256
postgresql:
  listen: "127.0.0.1:$2"
  connect_address: "127.0.0.1:$2"
  data_dir: $STATE/db/pg-$1
  bin_dir: $PG_BIN
  pgpass: $RUN/db/pgpass-$1
  parameters: { unix_socket_directories: "$RUN/db" }
  basebackup: [ { checkpoint: fast } ]
  authentication:
    superuser: { username: odd_bench_admin, password: "$ADMIN_PASSWORD" }
    replication: { username: odd_bench_copy, password: "$COPY_PASSWORD" }
    rewind: { username: odd_bench_admin, password: "$ADMIN_PASSWORD" }
T
}

write_haproxy() {
  keep root: 644 "$ETC/haproxy.cfg" <<T
global
  maxconn 500
defaults
  timeout connect 2s
  timeout client 60s
  timeout server 60s
# whichever of the two leads
listen db
  mode tcp
  bind 127.0.0.1:$LEADER_PORT
  option httpchk GET /primary
  http-check expect status 200
  default-server inter 1s fall 2 rise 1 on-marked-down shutdown-sessions
  server a 127.0.0.1:$PG_PORT_A check port $REST_PORT_A
  server b 127.0.0.1:$PG_PORT_B check port $REST_PORT_B
frontend page
  mode http
  bind 127.0.0.1:$WEB_PORT
  option forwardfor
  default_backend pages
backend pages
  mode http
  option httpchk
  http-check send meth GET uri /health ver HTTP/1.1 hdr Host localhost
  default-server inter 1s fall 3 rise 1
  server one 127.0.0.1:$PAGE_PORT_1 check
  server two 127.0.0.1:$PAGE_PORT_2 check
T
}

write_pgbouncer() {
  printf '"odd_bench" "%s"\n' "$(db_password)" | keep "$DB_USER:" 600 "$ETC/userlist.txt"
  keep "$DB_USER:" 600 "$ETC/pgbouncer.ini" <<T
[databases]
odd_bench = host=127.0.0.1 port=$LEADER_PORT dbname=odd_bench
[pgbouncer]
listen_addr = 127.0.0.1
listen_port = $DB_PORT
unix_socket_dir =
auth_type = scram-sha-256
auth_file = $ETC/userlist.txt
; sessions: writes lock rows and take advisory locks as they do without it
pool_mode = session
server_reset_query = DISCARD ALL
max_client_conn = 200
default_pool_size = 25
server_login_retry = 1
query_wait_timeout = 20
; how long a lock and a question may take (fpm_pool): this one does not pass it on
ignore_startup_parameters = options
T
}

# page server N: web server and PHP with sockets of their own, one configuration of the application
write_page() {
  local own="$1"
  (
    RUN="$RUN/page-$own" ETC="$ETC/page-$own" WEB_PORT="$2"
    folder root:root 755 "$ETC" "$RUN"
    folder "$WEB_USER:" 700 "$RUN/web"
    write_fpm
    write_nginx
  )
  local opcache="-d opcache.enable=1 -d opcache.memory_consumption=128 -d opcache.max_accelerated_files=20000 -d display_errors=0"
  program "php-$own" "$WEB_USER" 1 QUIT 15 "/usr/sbin/php-fpm8.2 -F -O -y $ETC/page-$own/php-fpm.conf $opcache"
  program "nginx-$own" "$WEB_USER" 1 QUIT 10 "/usr/sbin/nginx -p $STATE -c $ETC/page-$own/nginx.conf -e stderr"
}

leader_sql() { PGPASSWORD="$ADMIN_PASSWORD" "$PG_BIN/psql" -h 127.0.0.1 -p "$LEADER_PORT" -U odd_bench_admin -d postgres -X -q -At -v ON_ERROR_STOP=1 "$@"; }

patroni_says() { # REST-PORT PATH: its status
  php -r '$c = stream_context_create(["http" => ["timeout" => 2, "ignore_errors" => true]]); @file_get_contents($argv[1], false, $c); echo substr($http_response_header[0] ?? "", 9, 3);' "http://127.0.0.1:$1/$2"
}

wait_until() { # seconds, command...
  local end=$((SECONDS + $1))
  shift
  until "$@" >/dev/null 2>&1; do
    [ "$SECONDS" -lt "$end" ] || { tail -n 15 "$STATE"/log/*.log >&2; return 1; }
    sleep 0.3
  done
}

standby_follows() { [ "$(patroni_says "$1" sync)" = 200 ]; }

rehearse_up() {
  supervise update >/dev/null
  wait_until 90 leader_sql -c 'SELECT 1'
  leader_sql <<T
CREATE ROLE odd_bench LOGIN NOSUPERUSER NOCREATEDB NOCREATEROLE NOREPLICATION PASSWORD '$(db_password)';
CREATE DATABASE odd_bench OWNER odd_bench;
T
  supervise start patroni-b >/dev/null
  wait_until 90 standby_follows "$REST_PORT_B"
  supervise start pgbouncer >/dev/null
  wait_until 20 port_taken "$DB_PORT"
}

rehearse_pages() {
  site_artisan odd-bench:migrate
  page_configuration
  supervise start php-1 php-2 nginx-1 nginx-2 worker >/dev/null
  services_wait
}

command_rehearse() {
  [ $# -eq 0 ] || fail "rehearse takes nothing." "bin/odd-bench rehearse"
  need_rehearsal_packages
  install_all
  place rehearsal
  rehearse_clean
  trap rehearse_clean EXIT
  make_place
  make_secrets
  ADMIN_PASSWORD="$(secret)" COPY_PASSWORD="$(secret)"
  WEB_PORT="$(free_port 8700)" DB_PORT="$(free_port 8711)" LEADER_PORT="$(free_port 8721)" ETCD_PORT="$(free_port 8731)" ETCD_PEER_PORT="$(free_port 8736)"
  PG_PORT_A="$(free_port 8741)" PG_PORT_B="$(free_port 8746)" REST_PORT_A="$(free_port 8751)" REST_PORT_B="$(free_port 8756)"
  PAGE_PORT_1="$(free_port 8761)" PAGE_PORT_2="$(free_port 8766)" REQUESTS_A_MINUTE=100000
  write_environment
  write_patroni a "$PG_PORT_A" "$REST_PORT_A"
  write_patroni b "$PG_PORT_B" "$REST_PORT_B"
  write_haproxy
  write_pgbouncer
  write_supervisor
  folder "$DB_USER:" 700 "$STATE/etcd" "$STATE/db"
  IN=/ program etcd "$DB_USER" 1 TERM 10 "/usr/bin/etcd --name e --data-dir $STATE/etcd --listen-client-urls http://127.0.0.1:$ETCD_PORT --advertise-client-urls http://127.0.0.1:$ETCD_PORT --listen-peer-urls http://127.0.0.1:$ETCD_PEER_PORT --initial-advertise-peer-urls http://127.0.0.1:$ETCD_PEER_PORT --initial-cluster e=http://127.0.0.1:$ETCD_PEER_PORT"
  IN=/ program patroni-a "$DB_USER" 1 TERM 30 "/usr/bin/patroni $ETC/patroni-a.yml"
  IN=/ program patroni-b "$DB_USER" 1 TERM 30 "/usr/bin/patroni $ETC/patroni-b.yml"
  IN=/ program haproxy "$DB_USER" 1 TERM 5 "/usr/sbin/haproxy -db -f $ETC/haproxy.cfg"
  IN=/ program pgbouncer "$DB_USER" 1 INT 5 "/usr/sbin/pgbouncer $ETC/pgbouncer.ini"
  write_page 1 "$PAGE_PORT_1"
  write_page 2 "$PAGE_PORT_2"
  program worker "$WORK_USER" 1 TERM 30 "php artisan queue:work --sleep=1 --tries=3 --quiet"
  sed -i 's/^autorestart=true/&\nautostart=false/' "$ETC"/programs/{patroni-b,pgbouncer,php-1,php-2,nginx-1,nginx-2,worker}.conf
  step "Supervisor" supervisor_up
  step "A primary, and a standby it waits for" rehearse_up
  step "Two page servers behind one address" rehearse_pages
  local password
  password="$(site_artisan odd-bench:person rehearsal Rehearsal lead --no-interaction | sed -n 's/^Password: //p')"
  DRILL_URL="http://127.0.0.1:$WEB_PORT" DRILL_PASSWORD="$password" DRILL_SUPERVISOR="$ETC/supervisord.conf" DRILL_STATE="$STATE" \
    DB_PORT="$DB_PORT" DB_PASSWORD="$(db_password)" REST_PORT_A="$REST_PORT_A" REST_PORT_B="$REST_PORT_B" php "$ROOT/tests/Drill/rehearse.php"
}
