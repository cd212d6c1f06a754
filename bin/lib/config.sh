# The configuration of one instance, written anew at each start. What root reads is root's; what holds a secret is readable by its
# one user from its first byte.

secret() { php -r 'echo bin2hex(random_bytes(20));'; }

# keep OWNER MODE FILE: standard input becomes the file, whole or not at all, never readable by others before it is.
keep() {
  local owner="$1" mode="$2" file="$3"
  (
    umask 077
    cat >"$file.new"
  )
  if [ "$(id -u)" -eq 0 ]; then chown -h "$owner" "$file.new"; fi
  chmod "$mode" "$file.new"
  mv "$file.new" "$file"
}

make_secrets() {
  [ -e "$ETC/secrets" ] && return 0
  printf 'APP_KEY=base64:%s\nDB_PASSWORD=%s\n' "$(php -r 'echo base64_encode(random_bytes(32));')" "$(secret)" | keep root: 600 "$ETC/secrets"
}

db_password() { sed -n 's/^DB_PASSWORD=//p' "$ETC/secrets"; }

new_db_password() {
  { grep -v '^DB_PASSWORD=' "$ETC/secrets"; printf 'DB_PASSWORD=%s\n' "$(secret)"; } | keep root: 600 "$ETC/secrets"
}

write_ports() {
  {
    printf 'WEB_PORT=%s\nDB_PORT=%s\n' "$WEB_PORT" "$DB_PORT"
    [ -z "${TRUST_PORT:-}" ] || printf 'TRUST_PORT=%s\n' "$TRUST_PORT"
    [ -z "${RIG_PORT_1:-}" ] || printf 'RIG_PORT_1=%s\nRIG_PORT_2=%s\nRIG_PORT_3=%s\n' "$RIG_PORT_1" "$RIG_PORT_2" "$RIG_PORT_3"
  } | keep root: 644 "$ETC/ports"
}

environment_lines() {
  cat "$ETC/secrets"
  cat <<T
APP_NAME="Odd Bench"
APP_ENV=${INSTANCE_ENV:-production}
APP_DEBUG=false
APP_URL=$(shop_address)
DB_CONNECTION=pgsql
DB_HOST=127.0.0.1
DB_PORT=$DB_PORT
DB_DATABASE=odd_bench
DB_USERNAME=odd_bench
LOG_LEVEL=warning
PROVER_SPEED=${PROVER_SPEED:-1}
LOGIN_TRIES=${LOGIN_TRIES:-6}
REAL_SHOP=${REAL_SHOP:-}
LOOPBACK_PRINTERS=${LOOPBACK_PRINTERS:-}
REQUESTS_A_MINUTE=${REQUESTS_A_MINUTE:-900}
$([ -z "$LAN" ] || printf 'PUBLIC_URL=%s\nTRUST_URL=%s\nTRUST_PRINT=%s\nSESSION_SECURE_COOKIE=true\n' "$(shop_address)" "$(trust_address)" "$(authority_print)")
BACKUP_KEY=$BACKUP_KEY
BACKUP_TO="$BACKUP_TO"
RIG_PORTS=${RIG_PORT_1:-8641},${RIG_PORT_2:-8642},${RIG_PORT_3:-8643}
T
}

write_environment() {
  environment_lines | keep "$WORK_USER:" 600 "$STATE/.env"
  environment_lines | keep "$WEB_USER:" 600 "$STATE/.env.web"
}

write_postgres() {
  keep root: 644 "$ETC/postgresql.conf" <<T
data_directory = '$STATE/pg'
hba_file = '$ETC/pg_hba.conf'
ident_file = '$ETC/pg_ident.conf'
listen_addresses = '127.0.0.1'
port = $DB_PORT
unix_socket_directories = '$RUN/db'
unix_socket_permissions = 0700
max_connections = 60
shared_buffers = 128MB
# every question here is short; compiling it takes longer than asking it
jit = off
timezone = 'UTC'
log_timezone = 'UTC'
fsync = ${PG_FSYNC:-on}
T
  # the administrator comes by the socket, as the database's own user; the application by the network, with its password
  keep root: 644 "$ETC/pg_hba.conf" <<T
local all all peer map=bench
host all odd_bench 127.0.0.1/32 scram-sha-256
T
  keep root: 644 "$ETC/pg_ident.conf" <<T
bench $DB_USER odd_bench_admin
bench $DB_USER odd_bench_heal
bench $DB_USER odd_bench
bench root odd_bench_admin
T
}

# Three pools of workers: what takes long cannot take the ones the bench is answered by, and neither those that hear Stop. A question
# or a lock that takes longer than anybody waits is given up, and said so.
fpm_pool() { # name, most workers, s a lock and a question may take
  cat <<T
[$1]
listen = $RUN/web/$1.sock
listen.mode = 0600
pm = dynamic
pm.max_children = $2
pm.start_servers = $(($2 / 4 + 1))
pm.min_spare_servers = 1
pm.max_spare_servers = $(($2 > 2 ? $2 / 2 : $2))
pm.max_requests = 2000
catch_workers_output = yes
env[ODD_BENCH_STATE] = $STATE
env[ODD_BENCH_ENV] = .env.web
env[ODD_BENCH_POOL] = $1
env[PGOPTIONS] = "-c lock_timeout=$3 -c statement_timeout=$4"
${FAKE_CLOCK:+clear_env = no}
php_admin_value[upload_tmp_dir] = $STATE/web-tmp
php_admin_value[sys_temp_dir] = $STATE/web-tmp
php_admin_flag[log_errors] = on
php_admin_value[memory_limit] = 256M
php_admin_value[post_max_size] = 32M
T
}

write_fpm() {
  keep root: 644 "$ETC/php-fpm.conf" <<T
[global]
pid = $RUN/web/php-fpm.pid
error_log = /dev/null
daemonize = no
$(fpm_pool php 8 5s 20s)
$(fpm_pool slow 2 15s 300s)
$(fpm_pool stop 2 300ms 1s)
request_terminate_timeout = 5s
T
}

# A refusal of the web server itself, as every other one: what happened, in words.
problem() { # status, title, detail
  printf '{"type":"about:blank","title":"%s","status":%s,"detail":"%s","errors":[]}' "$2" "$1" "$3"
}

# What stands on every answer, whoever gives it; a location that adds one of its own has to add these again.
write_headers() {
  keep root: 644 "$ETC/headers.conf" <<T
add_header X-Content-Type-Options nosniff always;
add_header Referrer-Policy same-origin always;
add_header Permissions-Policy "camera=(self), microphone=(self), geolocation=(), payment=()" always;
add_header Cross-Origin-Opener-Policy same-origin always;
add_header Content-Security-Policy "default-src 'self'; script-src 'self' 'wasm-unsafe-eval'; style-src 'self' 'unsafe-inline'; img-src 'self' data: blob:; object-src 'none'; form-action 'self'; frame-ancestors 'self'; base-uri 'none'" always;
${LAN:+add_header Strict-Transport-Security "max-age=31536000" always;}
T
}

nginx_known_hosts() { host_names | sort -u | sed 's/.*/    "&" 1;/'; }

nginx_listen() {
  if [ -n "$LAN" ]; then
    cat <<T
    listen 0.0.0.0:$WEB_PORT ssl http2;
    ssl_certificate $ETC/tls/site.crt;
    ssl_certificate_key $ETC/tls/site.key;
    ssl_protocols TLSv1.2 TLSv1.3;
    ssl_session_cache shared:tls:2m;
    # somebody who typed http:// on this port
    error_page 497 =301 https://\$host:$WEB_PORT\$request_uri;
T
  else
    printf '    listen 127.0.0.1:%s;\n' "$WEB_PORT"
  fi
}

nginx_trust_server() {
  [ -n "$LAN" ] || return 0
  cat <<T
  # by HTTP there is the certificate, and the way to HTTPS
  server {
    listen 0.0.0.0:$TRUST_PORT;
    root $ETC/tls/public;
    include $ETC/headers.conf;
    if (\$known_host = 0) { return 421; }
    location = / { try_files /index.html =404; }
    location = /shop-authority.crt { types { } default_type application/x-x509-ca-cert; }
    location / { return 301 https://\$host:$WEB_PORT\$request_uri; }
  }
T
}

write_nginx() {
  write_headers
  keep root: 644 "$ETC/nginx.conf" <<T
worker_processes 2;
daemon off;
pid $RUN/web/nginx.pid;
error_log stderr warn;
worker_rlimit_nofile 4096;
events { worker_connections 1024; }
http {
  include /etc/nginx/mime.types;
  default_type application/octet-stream;
  access_log off;
  server_tokens off;
  sendfile on;
  gzip on;
  gzip_types text/css application/javascript application/json application/problem+json image/svg+xml;
  client_body_temp_path $STATE/web-tmp/body;
  fastcgi_temp_path $STATE/web-tmp/fastcgi;
  proxy_temp_path $STATE/web-tmp/proxy;
  uwsgi_temp_path $STATE/web-tmp/uwsgi;
  scgi_temp_path $STATE/web-tmp/scgi;
  client_max_body_size 32m;
  # who says half a sentence and stays is shown the door
  client_header_timeout 10s;
  client_body_timeout 15s;
  send_timeout 30s;
  keepalive_timeout 65s;
  reset_timedout_connection on;
  limit_conn_zone \$binary_remote_addr zone=callers:1m;
  limit_conn callers ${MOST_CONNECTIONS:-100};
  limit_conn_status 429;
  limit_req_zone \$binary_remote_addr zone=owners:1m rate=60r/m;
  # what takes long has workers of its own, so that the bench answers while they work
  # by what was asked for: inside, every address has become index.php
  map \$request_method:\$request_uri \$pool {
    default php;
    ~^POST:/api/v1/jobs/[0-9]+/proof-run/[0-9]+/stop(\?|\$) stop;
    ~^POST:/api/v1/(instruments/[^/?]+|jobs/[0-9]+/(instruments/[^/?]+|photographs)|families/(import|[^/?]+/(papers|picture)))(\?|\$) slow;
    ~^POST:/api/v1/(stock-files/|machines/table|machines/[^/?]+/counters/printer|parts/[^/?]+/(recipe/file|photograph)) slow;
    ~^GET:/files/[^?]*\.(pdf|csv|gcode|json)(\?|\$) slow;
    ~^GET:/o/[^?]*\.pdf(\?|\$) slow;
  }
  map \$http_host \$asked_port {
    default "";
    ~^[^:]*:([0-9]+)\$ :\$1;
  }
  # only by the names of this machine: somebody else's name that was made to point here is none
  map \$host \$known_host {
    default 0;
$(nginx_known_hosts)
  }
$(nginx_trust_server)
  server {
$(nginx_listen)
    root $SERVE/public;
    index index.php;
    include $ETC/headers.conf;
    error_page 413 @large;
    error_page 421 @elsewhere;
    error_page 429 @often;
    error_page 502 504 =503 @away;
    if (\$known_host = 0) { return 421; }
    location @large {
      default_type application/problem+json;
      return 413 '$(problem 413 "Content Too Large" "The file is over 32 MB, which is the most that is taken. Send a smaller one, or use bin/odd-bench compute, which takes any.")';
    }
    location @elsewhere {
      default_type application/problem+json;
      return 421 '$(problem 421 "Misdirected Request" "The shop is not at this name. Use the address bin/odd-bench up has said.")';
    }
    location @often {
      default_type application/problem+json;
      include $ETC/headers.conf;
      add_header Retry-After 10 always;
      return 429 '$(problem 429 "Too Many Requests" "Too much at once from this address. Wait a moment, then try again.")';
    }
    location @away {
      default_type application/problem+json;
      include $ETC/headers.conf;
      add_header Retry-After 2 always;
      return 503 '$(problem 503 "Service Unavailable" "The server behind the page does not answer just now.")';
    }
    location /build/assets/ { expires 1y; include $ETC/headers.conf; add_header Cache-Control "public, immutable"; }
    # what is hot: given out without anything else being up
    location = /heat.json { alias $STATE/storage/app/runs/heat.json; include $ETC/headers.conf; add_header Cache-Control no-store; }
    # the page behind a label needs no login, so nobody goes through its keys
    location /o/ { limit_req zone=owners burst=30 nodelay; limit_req_status 429; try_files \$uri /index.php\$is_args\$args; }
    location / { try_files \$uri /index.php\$is_args\$args; }
    location = /index.php {
      include /etc/nginx/fastcgi_params;
      # the name somebody asked for, with its port; never one that was not looked at above
      fastcgi_param HTTP_HOST \$host\$asked_port;
      fastcgi_param SCRIPT_FILENAME \$document_root/index.php;
      fastcgi_read_timeout 120s;
      fastcgi_pass unix:$RUN/web/\$pool.sock;
    }
    location ~ \.php$ { return 404; }
    location ~ /\. { return 404; }
  }
}
T
}

# Changes when one of the files, or the code, does: a service whose number is another one is started anew.
stamp_of() { cat "$@" | sha1sum | cut -c1-12; }

code_stamp() {
  find "$SERVE/app" "$SERVE/core" "$SERVE/rig" "$SERVE/config" "$SERVE/bootstrap" "$SERVE/vendor/.odd-bench" -type f -printf '%T@ %p\n' | sort | sha1sum | cut -c1-12
}

# program NAME USER STAMP STOP-SIGNAL STOP-SECONDS COMMAND: a service for the supervisor, back within a second or two when it ends
program() {
  keep root: 600 "$ETC/programs/$1.conf" <<T
[program:$1]
command=$6
directory=${IN:-$SERVE}
user=$2
umask=007
priority=${PRIORITY:-50}
autorestart=true
startsecs=1
startretries=1000000
stopsignal=$4
stopwaitsecs=$5
stopasgroup=${AS_GROUP:-false}
killasgroup=true
redirect_stderr=true
stdout_logfile=$STATE/log/$1.log
stdout_logfile_maxbytes=5MB
stdout_logfile_backups=4
environment=HOME="$STATE",ODD_BENCH_STATE="$STATE",STAMP="$3"${FAKE_CLOCK:+,$FAKE_CLOCK}
T
}

write_supervisor() {
  keep root: 600 "$ETC/supervisord.conf" <<T
[unix_http_server]
file=$RUN/supervisor.sock
chmod=0700
[supervisord]
logfile=$STATE/log/supervisord.log
logfile_maxbytes=5MB
logfile_backups=4
pidfile=$RUN/supervisord.pid
childlogdir=$STATE/log
directory=/
identifier=$INSTANCE
$([ "$(id -u)" -ne 0 ] || printf 'user=root')
[rpcinterface:supervisor]
supervisor.rpcinterface_factory = supervisor.rpcinterface:make_main_rpcinterface
[supervisorctl]
serverurl=unix://$RUN/supervisor.sock
[include]
files = $ETC/programs/*.conf
T
}

write_db_program() {
  PRIORITY=10 IN=/ program db "$DB_USER" "$(stamp_of "$ETC/postgresql.conf" "$ETC/pg_hba.conf" "$ETC/pg_ident.conf")" INT 60 "$PG_BIN/postgres -D $STATE/pg -c config_file=$ETC/postgresql.conf"
}

write_programs() {
  local code env opcache
  code="$(code_stamp)" env="$(stamp_of "$STATE/.env")"
  # opcache looks at the files again every two seconds, so that an update of the checkout is noticed
  opcache="-d opcache.enable=1 -d opcache.memory_consumption=128 -d opcache.max_accelerated_files=20000 -d opcache.revalidate_freq=2 -d display_errors=0"
  PRIORITY=20 program php "$WEB_USER" "$(stamp_of "$ETC/php-fpm.conf") $env" QUIT 15 "$SERVE/bin/lib/launch.sh $RUN/web/php.group /usr/sbin/php-fpm8.2 -F -O -y $ETC/php-fpm.conf $opcache"
  PRIORITY=30 program nginx "$WEB_USER" "$(stamp_of "$ETC/nginx.conf" "$ETC/headers.conf" $([ -z "$LAN" ] || printf '%s' "$ETC/tls/site.crt"))" QUIT 10 "$SERVE/bin/lib/launch.sh $RUN/web/nginx.group /usr/sbin/nginx -p $STATE -c $ETC/nginx.conf -e stderr"
  # what it works out (a plan, the lives of parts) steps back behind the page
  program worker "$WORK_USER" "$code $env" TERM 60 "nice -n 5 php artisan queue:work --sleep=1 --tries=3 --max-time=1800 --quiet"
  # it switches heaters off when it is asked to go, and is given the time for it
  program prover "$WORK_USER" "$code $env" TERM 20 "php artisan odd-bench:prover --for=3600 --quiet"
  program clerk "$WORK_USER" "$code $env" TERM 10 "php artisan odd-bench:clerk --for=3600 --quiet"
  AS_GROUP=true program clock "$WORK_USER" "$code $env" TERM 10 "php artisan odd-bench:clock --for=3600 --quiet"
}

# three simulated printers for the demo: a sound one, one with a part clog, one without runaway protection
write_rig_programs() {
  local code
  code="$(code_stamp)"
  PRIORITY=60 program rig-1 "$WORK_USER" "$code" TERM 5 "php artisan odd-bench:rig --family tern-220-d --port $RIG_PORT_1"
  PRIORITY=60 program rig-2 "$WORK_USER" "$code" TERM 5 "php artisan odd-bench:rig --family heron-cx --port $RIG_PORT_2 --fault part-clog"
  PRIORITY=60 program rig-3 "$WORK_USER" "$code" TERM 5 "php artisan odd-bench:rig --family wren-mini --port $RIG_PORT_3 --fault no-runaway-protection"
}
