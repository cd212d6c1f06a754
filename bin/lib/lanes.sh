# Lanes: as many pieces of `bin/odd-bench test` beside each other as there are processors. Each lane takes the next piece from one list,
# and has an instance of its own; on a lane of its own the database, PHP and the browser answer each other quickest, so each lane keeps
# to one processor. What mostly waits for printers and kills goes beside them.

lanes_begin() {
  LANES_AT="$(mktemp -d)"
  mkdir -p "$LANES_AT/logs" "$LANES_AT/failed"
  chmod 755 "$LANES_AT"
  LANES_BEGAN=$SECONDS
  : >"$LANES_AT/list"
  : >"$LANES_AT/beside"
  : >"$LANES_AT/times"
}

# piece NAME COMMAND...: one that a lane takes; piece_beside: one that mostly waits
piece() { printf '%s\n' "$*" >>"$LANES_AT/list"; }
piece_beside() { printf '%s\n' "$*" >>"$LANES_AT/beside"; }

processors() { taskset -cp $$ 2>/dev/null | sed 's/.*: //' | tr ',' '\n' | while IFS=- read -r from to; do seq "$from" "${to:-$from}"; done; }

lanes_run() { # prints each piece as it ends; returns 1 when one failed
  local cpus lane=0 cpu pids=()
  # a browser is many processes: it goes where there is room
  ALL_CPUS="$(taskset -cp $$ 2>/dev/null | sed 's/.*: //')"
  mapfile -t cpus < <(processors | head -n "${TEST_LANES:-8}")
  [ "${#cpus[@]}" -gt 0 ] || cpus=("")
  say "Lanes: ${#cpus[@]}, and what mostly waits beside them."
  for cpu in "${cpus[@]}"; do
    ( [ -z "$cpu" ] || taskset -cp "$cpu" "$BASHPID" >/dev/null; lane_work "$lane" "$LANES_AT/list") &
    pids+=($!)
    lane=$((lane + 1))
  done
  (lane_work beside "$LANES_AT/beside") &
  pids+=($!)
  trap 'kill $(jobs -p) 2>/dev/null || true' INT TERM
  for cpu in "${pids[@]}"; do wait "$cpu" || true; done
  lanes_table
  [ -z "$(ls "$LANES_AT/failed")" ]
}

lane_work() { # lane, list: in a shell of its own
  local line name command
  LANE="$1"
  # a lane that takes down what it made also when it is stopped
  trap 'lane_end' EXIT
  while line="$(lane_next "$2")" && [ -n "$line" ]; do
    name="${line%% *}" command="${line#* }"
    lane_piece "$name" $command
  done
}

lane_next() { # the next of the list, which is then gone from it
  (
    flock 7
    head -n 1 "$1"
    sed -i 1d "$1"
  ) 7>>"$LANES_AT/lock"
}

lane_piece() { # name, command...
  local name="$1" began=$SECONDS status=0 log="$LANES_AT/logs/$1.log" used
  shift
  set +e
  (set -e; "$@") >"$log" 2>&1 </dev/null
  status=$?
  set -e
  used=$((SECONDS - began))
  printf '%s %s %s %s\n' "$used" "$LANE" "$status" "$name" >>"$LANES_AT/times"
  (
    flock 7
    if [ "$status" -eq 0 ]; then
      printf '%s✓ %-22s%s %4s s   %s\n' "$BOLD" "$name" "$PLAIN" "$used" "$(lane_says "$log")"
    else
      : >"$LANES_AT/failed/$name"
      printf '\n%s✕ %s failed after %s s%s\n' "$RED" "$name" "$used" "$PLAIN"
      tail -n 250 "$log"
      printf '%s✕ end of %s%s\n\n' "$RED" "$name" "$PLAIN"
    fi
  ) 7>>"$LANES_AT/lock"
}

# the line of a log that counts what was tested
lane_says() { grep -aE '^(OK \(|OK, but|Tests: |  *[0-9]+ passed| *Tests  *[0-9]+ passed|All of it held)' "$1" | tail -n 2 | tr -s ' ' | tr '\n' ' ' || true; }

lane_end() {
  (
    place "test-$LANE"
    [ ! -e "$STATE" ] || test_clean
  )
}

lanes_table() {
  local used lane status name
  say ""
  say "Where it went (seconds):"
  sort -rn "$LANES_AT/times" | while read -r used lane status name; do
    printf '  %5s  %-24s lane %-7s%s\n' "$used" "$name" "$lane" "$([ "$status" -eq 0 ] || printf ' FAILED')"
  done
  say "  all beside each other: $((SECONDS - LANES_BEGAN)) s"
}
