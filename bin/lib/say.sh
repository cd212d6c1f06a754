# What the command says while it works.

if [ -t 1 ]; then BOLD=$'\e[1m' DIM=$'\e[2m' RED=$'\e[31m' PLAIN=$'\e[0m' WIPE=$'\r\e[K'; else BOLD="" DIM="" RED="" PLAIN="" WIPE=""; fi

# Failures speak on this one, also from inside a step whose output is kept back.
exec 9>&2

say() { printf '%s%s\n' "$WIPE" "$*"; }

fail() { # what went wrong, what to do
  bar_end
  printf '\n%s%s%s\n' "$RED" "$1" "$PLAIN" >&9
  [ $# -lt 2 ] || printf '  %s\n' "$2" >&9
  exit 1
}

# expect NAME SECONDS: a step that is still to come, and what it usually takes; bar_begin: from then on a bar says what is being done
# and how long all of it has left (on a terminal, once a second; elsewhere each line says how far it is).
expect() { EXPECTED="${EXPECTED:-}$2 $1"$'\n'; }

bar_begin() {
  BAR="$(mktemp -d)" BAR_BEGAN=$SECONDS
  printf '%s' "${EXPECTED:-}" >"$BAR/expected"
  if [ -t 1 ]; then
    (trap 'exit 0' TERM; while [ -d "$BAR" ]; do bar_draw; sleep 1; done) 2>/dev/null &
    BAR_PID=$!
  fi
}

bar_end() {
  [ -n "${BAR:-}" ] || return 0
  [ -z "${BAR_PID:-}" ] || { kill "$BAR_PID" 2>/dev/null; wait "$BAR_PID" 2>/dev/null; } || true
  rm -rf "$BAR"
  printf '%s' "$WIPE"
  BAR="" BAR_PID=""
}

# bar_left: seconds that are left, and percent that is done. What takes longer than usual takes a moment more.
bar_left() {
  local seconds name left=0 all=0 began now=$SECONDS
  while read -r seconds name; do
    all=$((all + seconds))
    if [ -e "$BAR/done.$name" ]; then continue; fi
    if [ -e "$BAR/runs.$name" ]; then
      read -r began <"$BAR/runs.$name" || began=$now
      seconds=$((seconds - now + began))
      [ "$seconds" -gt 1 ] || seconds=2
    fi
    left=$((left + seconds))
  done <"$BAR/expected"
  [ "$all" -gt 0 ] || all=1
  # two go on beside each other while packages are fetched; the longer of both is what one waits for
  printf '%s %s' "$left" "$((100 * (all - (left < all ? left : all)) / all))"
}

bar_draw() {
  local left percent running="" file
  read -r left percent < <(bar_left)
  for file in "$BAR"/runs.*; do
    [ -e "$file" ] || continue
    file="${file##*/runs.}"
    if [ ! -e "$BAR/done.$file" ]; then running+="${running:+, }$file"; fi
  done
  local marks="########################"
  printf '%s[%-24s] %3s %%  %.60s, about %s left' "$WIPE" "${marks:0:$((percent * 24 / 100))}" "$percent" "${running:-…}" "$(in_words "$left")"
}

in_words() { if [ "$1" -ge 90 ]; then printf '%s min' "$((($1 + 30) / 60))"; else printf '%s s' "$1"; fi; }

# step NAME COMMAND...: runs it, keeps its output for a failure, says how long it took. The command runs in a shell of its own
# that stops at the first thing that fails (“|| status=$?” would switch that off inside it), so it cannot set variables.
step() {
  local name="$1" began=$SECONDS log status=0 usual="${1%% (*}"
  shift
  log="$(mktemp)"
  [ -z "${BAR:-}" ] || printf '%s\n' "$SECONDS" >"$BAR/runs.$usual"
  # where several go on beside each other, or a bar stands on the line, it is said when it is over
  [ -n "${BESIDE:-}${BAR_PID:-}" ] || printf '%s… ' "$name"
  set +e
  (set -e; "$@") >"$log" 2>&1 </dev/null
  status=$?
  set -e
  [ -z "${BESIDE:-}${BAR_PID:-}" ] || printf '%s%s… ' "$WIPE" "$name"
  if [ "$status" -ne 0 ]; then
    printf '%sfailed%s\n' "$RED" "$PLAIN"
    tail -n 60 "$log" >&2
    rm -f "$log"
    fail "$name failed." "The lines above say why; bin/odd-bench logs may say more."
  fi
  [ -z "${BAR:-}" ] || : >"$BAR/done.$usual"
  local far=""
  if [ -n "${BAR:-}" ] && [ -z "${BAR_PID:-}" ] && grep -q " $usual\$" "$BAR/expected"; then far="$(bar_left)" far=", ${far#* } % of all"; fi
  printf '%sdone, %s s%s%s\n' "$DIM" "$((SECONDS - began))" "$far" "$PLAIN"
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
