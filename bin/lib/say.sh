# What the command says while it works.

if [ -t 1 ]; then BOLD=$'\e[1m' DIM=$'\e[2m' RED=$'\e[31m' PLAIN=$'\e[0m'; else BOLD="" DIM="" RED="" PLAIN=""; fi

# Failures speak on this one, also from inside a step whose output is kept back.
exec 9>&2

say() { printf '%s\n' "$*"; }

fail() { # what went wrong, what to do
  printf '\n%s%s%s\n' "$RED" "$1" "$PLAIN" >&9
  [ $# -lt 2 ] || printf '  %s\n' "$2" >&9
  exit 1
}

# step NAME COMMAND...: runs it, keeps its output for a failure, says how long it took. The command runs in a shell of its own
# that stops at the first thing that fails (“|| status=$?” would switch that off inside it), so it cannot set variables.
step() {
  local name="$1" began=$SECONDS log status=0
  shift
  log="$(mktemp)"
  printf '%s… ' "$name"
  set +e
  (set -e; "$@") >"$log" 2>&1 </dev/null
  status=$?
  set -e
  if [ "$status" -ne 0 ]; then
    printf '%sfailed%s\n' "$RED" "$PLAIN"
    tail -n 60 "$log" >&2
    rm -f "$log"
    fail "$name failed." "The lines above say why; bin/odd-bench logs may say more."
  fi
  printf '%sdone, %s s%s\n' "$DIM" "$((SECONDS - began))" "$PLAIN"
  rm -f "$log"
}

# loud NAME COMMAND...: as step, but its output is shown as it comes.
loud() {
  local name="$1" began=$SECONDS
  shift
  printf '\n%s== %s%s\n' "$BOLD" "$name" "$PLAIN"
  set +e
  (set -e; "$@")
  local status=$?
  set -e
  [ "$status" -eq 0 ] || fail "$name failed." "The lines above say why."
  printf '%s   %s: %s s%s\n' "$DIM" "$name" "$((SECONDS - began))" "$PLAIN"
}
