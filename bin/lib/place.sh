# Where things stand and who runs them.
#
# place NAME sets: RUN_USER (never root), STATE (data, logs, generated configuration of this instance),
# RUN (sockets, a short path), SERVE (the folder of code that is served).

SERVICE_USER=odd-bench

run_user() {
  if [ "$(id -u)" -eq 0 ]; then printf '%s' "$SERVICE_USER"; else id -un; fi
}

make_service_user() {
  [ "$(id -u)" -eq 0 ] || return 0
  id "$SERVICE_USER" >/dev/null 2>&1 && return 0
  useradd --system --user-group --home-dir /var/lib/odd-bench --no-create-home --shell /usr/sbin/nologin "$SERVICE_USER"
}

# Runs a command as the run user, in a folder it can stand in.
as_run() {
  if [ "$(id -u)" -eq 0 ]; then
    (cd "${AS_RUN_IN:-/}" && exec runuser -u "$SERVICE_USER" -- env HOME="$STATE" "$@") 9>&-
  else
    (cd "${AS_RUN_IN:-/}" && exec "$@") 9>&-
  fi
}

can_enter() { # does the run user reach the checkout, and every file of ours in it?
  local look=(find "$1/artisan" "$1/app" "$1/core" "$1/config" "$1/bootstrap" "$1/routes" "$1/public" "$1/knowledge" "$1/database" ! -readable -print -quit)
  if [ "$(id -u)" -eq 0 ]; then
    (cd / && runuser -u "$SERVICE_USER" -- test -x "$1" && [ -z "$(runuser -u "$SERVICE_USER" -- "${look[@]}" 2>&1)" ])
  else
    [ -z "$("${look[@]}" 2>&1)" ]
  fi
}

place() {
  local name="$1" key
  make_service_user
  RUN_USER="$(run_user)"
  key="$(printf '%s' "$ROOT" | sha1sum | cut -c1-8)"
  if can_enter "$ROOT"; then
    BASE="$ROOT/var" SERVE="$ROOT"
  else
    BASE="/var/lib/odd-bench/$key" SERVE="/var/lib/odd-bench/$key/app"
  fi
  STATE="$BASE/$name"
  RUN="$STATE/run"
  # A socket's path may be 107 characters long; leave room for the names.
  if [ "${#RUN}" -gt 80 ]; then RUN="/tmp/odd-bench-$key-$name"; fi
  if [ -e "$STATE/ports" ]; then . "$STATE/ports"; fi
  export ODD_BENCH_STATE="$STATE"
}

make_place() {
  local d
  mkdir -p "$BASE" 2>/dev/null || fail "$BASE cannot be made." "Check that you may write to $(dirname "$BASE")."
  [ "$BASE" = "$ROOT/var" ] || chmod 755 /var/lib/odd-bench "$BASE"
  for d in "$STATE" "$RUN" "$STATE"/{log,tmp,cache,storage,storage/framework,storage/framework/{cache,sessions,views},storage/logs,storage/app}; do
    mkdir -p "$d"
  done
  if [ "$(id -u)" -eq 0 ] && [ "$(stat -c %U "$STATE")" != "$RUN_USER" ]; then
    chown -R "$RUN_USER:" "$STATE" "$RUN"
  fi
  chmod 700 "$RUN"
}

# When the run user cannot enter the checkout, it is given a copy of the code.
copy_code() {
  [ "$SERVE" != "$ROOT" ] || return 0
  local stamp="$BASE/app.stamp"
  if [ -e "$stamp" ] && [ -z "$(find "$ROOT" -path "$ROOT/var" -prune -o -path "$ROOT/.git" -prune -o -path "$ROOT/node_modules" -prune -o -newer "$stamp" -print -quit)" ]; then
    return 0
  fi
  touch "$stamp.new"
  rm -rf "$SERVE.new"
  mkdir -p "$SERVE.new"
  tar -C "$ROOT" --exclude=./var --exclude=./.git --exclude=./node_modules -cf - . | tar -C "$SERVE.new" -xf - --no-same-owner
  chmod -R u=rwX,go=rX "$SERVE.new"
  rm -rf "$SERVE.old"
  [ ! -e "$SERVE" ] || mv "$SERVE" "$SERVE.old"
  mv "$SERVE.new" "$SERVE"
  rm -rf "$SERVE.old"
  mv "$stamp.new" "$stamp"
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
