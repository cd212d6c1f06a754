# Where things stand and who runs them.
#
# place NAME sets: STATE (data, logs, generated configuration of this instance), ETC (what root reads: root's own), RUN (sockets,
# a short path), SERVE (the folder of code that is served), and three users: WORK_USER (queue, runner), WEB_USER (page),
# DB_USER (database). As an ordinary user all three are that user.

place() {
  local name="$1" key
  if [ "$(id -u)" -eq 0 ]; then
    WORK_USER=odd-bench WEB_USER=odd-bench-web DB_USER=odd-bench-db
    make_service_users
  else
    WORK_USER="$(id -un)" WEB_USER="$WORK_USER" DB_USER="$WORK_USER"
  fi
  key="$(printf '%s' "$ROOT" | sha1sum | cut -c1-8)"
  if can_enter "$ROOT"; then
    BASE="$ROOT/var" SERVE="$ROOT"
  else
    BASE="/var/lib/odd-bench/$key" SERVE="/var/lib/odd-bench/$key/app"
  fi
  # a real shop runs a copy: an update takes its place when all of it went well
  if [ "$name" = shop ]; then SERVE="$BASE/shop-app"; fi
  INSTANCE="odd-bench-$key-$name"
  STATE="$BASE/$name"
  ETC="$STATE/etc"
  RUN="$STATE/run"
  # A socket's path may be 107 characters long; leave room for the names.
  if [ "${#RUN}" -gt 80 ]; then
    if [ "$(id -u)" -eq 0 ]; then RUN="/var/lib/odd-bench/run-$key-$name"; else RUN="$HOME/.$INSTANCE"; fi
  fi
  read_ports
  read_settings
  export ODD_BENCH_STATE="$STATE"
}

make_service_users() {
  local user
  getent group odd-bench >/dev/null || groupadd --system odd-bench
  for user in "$WORK_USER" "$WEB_USER"; do
    id "$user" >/dev/null 2>&1 || useradd --system --gid odd-bench --home-dir /var/lib/odd-bench --no-create-home --shell /usr/sbin/nologin "$user"
  done
  id "$DB_USER" >/dev/null 2>&1 || useradd --system --user-group --home-dir /var/lib/odd-bench --no-create-home --shell /usr/sbin/nologin "$DB_USER"
}

# as USER COMMAND...: in a folder it can stand in, with files that its group may read and nobody else.
as() {
  local user="$1"
  shift
  if [ "$(id -un)" = "$user" ]; then
    (umask 007; cd "${AS_IN:-/}" && exec "$@") 8>&- 9>&-
  else
    (umask 007; cd "${AS_IN:-/}" && exec runuser -u "$user" -- env HOME="$STATE" "$@") 8>&- 9>&-
  fi
}

can_enter() { # do the service users reach the checkout, and every file of ours in it?
  local user look=(find "$1/artisan" "$1/app" "$1/core" "$1/config" "$1/bootstrap" "$1/routes" "$1/public" "$1/knowledge" "$1/database" ! -readable -print -quit)
  [ "$(id -u)" -eq 0 ] || { [ -z "$("${look[@]}" 2>&1)" ]; return; }
  for user in "$WORK_USER" "$WEB_USER"; do
    (cd / && runuser -u "$user" -- test -x "$1" && [ -z "$(runuser -u "$user" -- "${look[@]}" 2>&1)" ]) || return 1
  done
}

# folder OWNER MODE PATH...: makes it when it is not there, and never follows somebody's link.
folder() {
  local owner="$1" mode="$2" path
  shift 2
  for path in "$@"; do
    if [ -L "$path" ]; then fail "$path is a link." "Take it away: a folder of Odd Bench's own belongs there."; fi
    mkdir -p "$path" 2>/dev/null || fail "$path cannot be made." "Check that you may write to $(dirname "$path")."
    if [ "$(id -u)" -eq 0 ]; then chown -h "$owner" "$path"; fi
    chmod "$mode" "$path"
  done
}

make_place() {
  if [ "$(id -u)" -eq 0 ]; then
    [ "$BASE" = "$ROOT/var" ] || folder root:root 755 /var/lib/odd-bench
    folder root:root 755 "$BASE" "$STATE" "$ETC" "$ETC/programs" "$RUN" "$STATE/log"
    # what an older release had in the hands of the services
    adopt_older_place
  else
    folder "$(id -un)" 755 "$BASE"
    folder "$(id -un)" 700 "$STATE" "$ETC" "$ETC/programs" "$RUN" "$STATE/log"
    adopt_older_place
  fi
  folder "$WORK_USER:" 2770 "$STATE/storage" "$STATE/storage/framework" "$STATE"/storage/framework/{cache,sessions,views,tries} "$STATE/storage/logs" "$STATE/storage/app" "$STATE/storage/app/runs" "$STATE/cache"
  folder "$WORK_USER:" 700 "$RUN/work" "$STATE/backups"
  folder "$WEB_USER:" 700 "$RUN/web" "$STATE/web-tmp"
  folder "$DB_USER:" 700 "$RUN/db"
}

adopt_older_place() {
  if [ -f "$STATE/secrets" ] && [ ! -e "$ETC/secrets" ]; then
    (umask 077; sed -n '/^\(APP_KEY=base64:[A-Za-z0-9+\/=]*\|DB_PASSWORD=[0-9a-f]*\)$/p' "$STATE/secrets" >"$ETC/secrets")
    rm -f "$STATE/secrets"
  fi
  if [ -f "$STATE/ports" ]; then
    sed -n '/^\(WEB_PORT\|DB_PORT\)=[0-9]\{1,5\}$/p' "$STATE/ports" >"$ETC/ports"
    rm -f "$STATE/ports"
    read_ports
  fi
  rm -rf "$STATE/nginx.conf" "$STATE/php-fpm.conf" "$STATE/tmp"
  if [ "$(id -u)" -eq 0 ] && [ -d "$STATE/storage" ] && [ -z "$(find "$STATE/storage" -maxdepth 0 -group odd-bench -perm -2070)" ]; then
    # links are not followed, and the system forbids hard links to what is not one's own
    chown -hR "$WORK_USER:odd-bench" "$STATE/storage" "$STATE/cache"
    find "$STATE/storage" "$STATE/cache" -type d -exec chmod 2770 {} + -o -type f -exec chmod 660 {} +
  fi
  if [ "$(id -u)" -eq 0 ] && [ -d "$STATE/pg" ] && [ "$(stat -c %U "$STATE/pg")" != "$DB_USER" ]; then
    chown -hR "$DB_USER:" "$STATE/pg"
    # its settings stand in root's folder now
    as "$DB_USER" sh -c ': >"$1/pg/postgresql.auto.conf"' settings "$STATE"
  fi
}

# Numbers, and nothing else, whatever stands in the file.
read_ports() {
  local name value
  [ -f "$ETC/ports" ] || return 0
  while IFS='=' read -r name value; do
    case "$name" in WEB_PORT | DB_PORT | TRUST_PORT | RIG_PORT_1 | RIG_PORT_2 | RIG_PORT_3) ;; *) continue ;; esac
    case "$value" in '' | *[!0-9]* | ??????*) continue ;; esac
    printf -v "$name" '%s' "$value"
  done <"$ETC/ports"
}

# When the service users cannot enter the checkout, and for a real shop, a copy of the code is served. NEXT is the folder this
# release runs from: beside the one that is served until its tables are brought up to it.
copy_code() {
  [ "$SERVE" != "$ROOT" ] || return 0
  rm -rf "$SERVE.new"
  if [ -d "$SERVE" ] && [ -e "$SERVE.stamp" ] && [ -z "$(find "$ROOT" -path "$ROOT/var" -prune -o -path "$ROOT/.git" -prune -o -path "$ROOT/node_modules" -prune -o -newer "$SERVE.stamp" -print -quit)" ]; then
    return 0
  fi
  touch "$SERVE.stamp.new"
  mkdir -p "$SERVE.new"
  tar -C "$ROOT" --exclude=./var --exclude=./.git --exclude=./node_modules --exclude=./tests -cf - . | tar -C "$SERVE.new" -xf - --no-same-owner
  chmod -R u=rwX,go=rX "$SERVE.new"
}

next_code() { if [ -d "$SERVE.new" ]; then printf '%s' "$SERVE.new"; else printf '%s' "$SERVE"; fi; }

swap_code() {
  [ -d "$SERVE.new" ] || return 0
  rm -rf "$SERVE.old"
  [ ! -e "$SERVE" ] || mv "$SERVE" "$SERVE.old"
  mv "$SERVE.new" "$SERVE"
  rm -rf "$SERVE.old"
  mv "$SERVE.stamp.new" "$SERVE.stamp"
}

port_number() {
  case "${1:-}" in '' | *[!0-9]*) fail "$2 needs a port number." "For example $2 8430." ;; esac
  [ "$1" -ge 1024 ] && [ "$1" -le 65535 ] || fail "$2 takes a port from 1024 to 65535, not $1." "For example $2 8430."
  printf '%s' "$1"
}

port_taken() { (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

free_port() { # the first free one from here on
  local p="$1"
  while port_taken "$p"; do p=$((p + 1)); done
  printf '%s' "$p"
}
