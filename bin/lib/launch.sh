#!/usr/bin/env bash
# launch.sh FILE COMMAND...: becomes a service that has workers of its own. When its master was killed, the workers it left
# behind still hold its port; they are ended first. Runs as the service's own user, so it can end nobody else's processes.
set -u
file="$1"
shift
program="$(readlink -f "$1")"
group=""
[ -r "$file" ] && read -r group <"$file"
case "$group" in
  '' | *[!0-9]*) ;;
  *)
    # only while the master is gone, only of its group, only the same program
    if [ ! -e "/proc/$group" ]; then
      for process in /proc/[0-9]*; do
        [ -O "$process" ] || continue
        stat="$(cat "$process/stat" 2>/dev/null)" || continue
        read -r _ _ of _ <<<"${stat##*) }"
        if [ "$of" = "$group" ] && [ "$(readlink "$process/exe" 2>/dev/null)" = "$program" ]; then kill -KILL "${process#/proc/}"; fi
      done
    fi
    ;;
esac
printf '%s\n' "$$" >"$file"
exec "$@"
