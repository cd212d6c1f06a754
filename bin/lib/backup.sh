# Backups, and the way back. A backup is a tar: manifest.json, sums, seal, database.dump, files/, secrets.env, settings; encrypted with
# age when a key is set. The application makes and proves it; what is here puts it where it is wanted, and a shop out of it.

command_backup() {
  local to="${1:-}" made warnings
  [ $# -le 1 ] || fail "backup takes one file." "bin/odd-bench backup --shop /mnt/disk/shop.tar"
  place_it
  postgres_ready || fail "The database is not running." "Start it with bin/odd-bench up."
  if [ -n "$to" ]; then
    [ ! -e "$to" ] || fail "$to is there already." "Give a name that is not taken: a backup never overwrites another."
    [ -d "$(dirname "$to")" ] || fail "The folder $(dirname "$to") is not there." "Make it, or name another."
  fi
  say "Reading the shop, and restoring what was read into a scratch database to prove it."
  made="$(site_artisan odd-bench:backup)" || fail "There is no backup." "$made"
  warnings="$(sed '$d' <<<"$made")"
  made="$(tail -n 1 <<<"$made")"
  if [ -n "$to" ]; then
    # read by the user it belongs to, kept for whoever asked
    (umask 077; as "$WORK_USER" cat "$made" >"$to.part") && mv "$to.part" "$to"
    as "$WORK_USER" rm -f "$made"
    made="$to"
  fi
  say "Backed up and proved: $made ($(du -h "$made" | cut -f1))"
  [ -z "$warnings" ] || say "$warnings"
}

command_restore() {
  local file="" identity="" sure="" unsealed=""
  while [ $# -gt 0 ]; do
    case "$1" in
      --identity) identity="${2:-}"; shift; [ $# -eq 0 ] || shift ;;
      --yes) sure=1; shift ;;
      --unsealed) unsealed=1; shift ;;
      -*) fail "restore does not know “$1”." "bin/odd-bench restore FILE [--shop] [--identity KEYFILE] [--yes] [--unsealed]" ;;
      *) [ -z "$file" ] || fail "restore takes one file." "bin/odd-bench restore FILE --shop"; file="$1"; shift ;;
    esac
  done
  [ -f "$file" ] && [ -r "$file" ] || fail "The backup “$file” cannot be read." "bin/odd-bench restore FILE --shop"
  install_all
  place_it
  make_place
  RESTORE="$(mktemp -d "$BASE/restore.XXXXXX")"
  chmod 711 "$RESTORE"
  RESTORE_ASIDE="" RESTORE_UNDO=""
  trap restore_leave EXIT
  step "What is in it" restore_unpack "$file" "$identity"
  say "$(restore_archive about)"
  restore_seal "$unsealed"
  restore_ask "$sure"
  restore_settings
  WANT_PORT="" WANT_DB_PORT=""
  RESTORE_KEPT="There was nothing here before."
  if [ -e "$STATE/pg/PG_VERSION" ]; then restore_keep; fi
  restore_key
  services_up "$DEFAULT_PORT" "$DEFAULT_DB_PORT"
  step "Tables of the backup" restore_tables
  step "In their place" restore_swap
  RESTORE_UNDO=""
  # the tables may be those of an older release
  services_up "$DEFAULT_PORT" "$DEFAULT_DB_PORT"
  step "Everything agrees" site_artisan odd-bench:audit
  services_wait
  say "Restored. $RESTORE_KEPT"
  welcome
}

restore_archive() { php "$RESTORE/code/archive.php" "$RESTORE/code/BackupArchive.php" "$1" "$RESTORE/in"; }

# One that breaks off before the tables have changed places leaves everything as it was: the key, and what was moved aside.
restore_leave() {
  if [ -n "$RESTORE_UNDO" ]; then
    if [ -e "$RESTORE/secrets.before" ]; then keep root: 600 "$ETC/secrets" <"$RESTORE/secrets.before"; fi
    if [ -n "$RESTORE_ASIDE" ]; then
      services_down >/dev/null 2>&1 || true
      rm -rf "$STATE/pg"
      mv "$RESTORE_ASIDE/pg" "$STATE/pg"
      rm -rf "$RESTORE_ASIDE"
    else
      (services_up "$DEFAULT_PORT" "$DEFAULT_DB_PORT") >/dev/null 2>&1 || true
    fi
    printf 'Nothing of it was taken: what was here is as it was.\n' >&2
  fi
  rm -rf "$RESTORE"
}

# A stranger may have made it: it is listed and judged before anything is written, by a user with no rights, into an empty folder that
# is taken from that user before anything in it is read.
restore_unpack() {
  local file="$1" identity="$2" last real
  if [ "$(head -c 21 "$file" | tr -d '\0')" = age-encryption.org/v1 ]; then
    [ -n "$identity" ] || { printf 'It is encrypted: --identity FILE names the key it opens with.\n' >&2; return 1; }
    age --decrypt --identity "$identity" --output "$RESTORE/backup.tar" "$file"
    file="$RESTORE/backup.tar"
  fi
  install -d -m 755 "$RESTORE/code"
  install -m 644 "$ROOT/core/Shop/BackupArchive.php" "$ROOT/bin/lib/archive.php" "$RESTORE/code"
  folder "$WORK_USER:" 700 "$RESTORE/in"
  as "$WORK_USER" php "$RESTORE/code/archive.php" "$RESTORE/code/BackupArchive.php" unpack "$RESTORE/in" <"$file"
  [ "$(id -u)" -ne 0 ] || chown -hR root: "$RESTORE/in"
  chmod 700 "$RESTORE/in"
  [ -z "$(find "$RESTORE/in" ! -type f ! -type d -print -quit)" ] || { printf 'Something else than files came out of it.\n' >&2; return 1; }
  rm -f "$RESTORE/backup.tar"
  real="$(restore_archive place)"
  if [ "$real" != "$WHICH" ]; then
    if [ "$real" = shop ]; then printf 'It is a backup of a real shop: bin/odd-bench restore FILE --shop\n' >&2
    else printf 'It is a backup of the demo: bin/odd-bench restore FILE\n' >&2; fi
    return 1
  fi
  last="$(restore_archive release)"
  if [ -z "$last" ] || [ ! -e "$ROOT/database/migrations/$last.php" ]; then
    printf 'It was made by a newer release (%s is not known here). Bring this one up to it first.\n' "$last" >&2
    return 1
  fi
}

# Whether this shop made it: with the key that is here, not with the one it brings along. On a machine that has none yet, and of a
# backup without a seal, somebody has to say that they know where it is from.
restore_seal() {
  local answer="" mine=""
  [ ! -r "$ETC/secrets" ] || mine="$(sed -n 's/^APP_KEY=//p' "$ETC/secrets")"
  if KEY="$mine" restore_archive sealed 2>/dev/null; then return 0; fi
  [ -z "$1" ] || return 0
  if [ -n "$mine" ]; then say "This machine cannot tell who made it: it was not sealed with the key that is here."
  else say "This machine cannot tell who made it: there is no key here yet."; fi
  [ -t 0 ] || fail "Whether it may be trusted is not said." "When you know where it is from, add --unsealed."
  printf '  Only go on when you know where it is from. Type unsealed to go on: '
  read -r answer
  [ "$answer" = unsealed ] || fail "Nothing was changed." "Type unsealed to go on."
}

restore_ask() {
  [ -z "$1" ] || return 0
  local answer
  [ -t 0 ] || fail "Whether to put it in place of what is here is not said." "Answer at a terminal, or add --yes."
  printf '  It takes the place of what is here (%s), of which a backup is made first. Go on? Type yes: ' "$STATE"
  read -r answer
  [ "$answer" = yes ] || fail "Nothing was changed." "Type yes to go on."
}

# The network, the key of backups and the second place are those of the backup, unless something is set here already.
restore_settings() {
  [ ! -e "$ETC/settings" ] || return 0
  sed -nE '/^(LAN|HOST|BACKUP_KEY|BACKUP_TO)=/p' "$RESTORE/in/settings" | keep root: 644 "$ETC/settings"
  read_settings
  keep_settings
}

# What is here is backed up first. What cannot be is moved aside, whole, and said so: it may be what the backup is wanted for.
restore_keep() {
  local made aside
  if (services_up "$DEFAULT_PORT" "$DEFAULT_DB_PORT") && made="$(site_artisan odd-bench:backup --kind=restore)"; then
    RESTORE_KEPT="What was here before stands in $(tail -n 1 <<<"$made")."
    return 0
  fi
  aside="$STATE/broken-$(date -u +%Y%m%dT%H%M%S)"
  say "What is here cannot be backed up; it is moved aside."
  services_down >/dev/null 2>&1 || true
  mkdir -m 700 "$aside"
  RESTORE_ASIDE="$aside" RESTORE_UNDO=1
  mv "$STATE/pg" "$aside/pg"
  [ ! -e "$STATE/storage/app/private" ] || cp -a "$STATE/storage/app/private" "$aside/files"
  RESTORE_KEPT="What was here before could not be backed up: its database and files stand as they were in $aside."
}

# What was encrypted in the shop opens with the key it was encrypted with.
restore_key() {
  local key
  key="$(sed -n '/^APP_KEY=base64:[A-Za-z0-9+\/=]*$/p' "$RESTORE/in/secrets.env" | head -n 1)"
  [ -n "$key" ] || fail "The backup holds no key." "It is not whole: use another one."
  make_secrets
  (umask 077; cp "$ETC/secrets" "$RESTORE/secrets.before")
  RESTORE_UNDO=1
  { printf '%s\n' "$key"; grep -v '^APP_KEY=' "$ETC/secrets"; } | keep root: 600 "$ETC/secrets"
}

# By the application's own role, which is no superuser: what stands in a dump is a program. What only an administrator may make is made
# before; kinds of things that no shop has are refused.
restore_tables() {
  local list="$RESTORE/list" strange
  local kinds='TABLE|TABLE DATA|SEQUENCE|SEQUENCE SET|SEQUENCE OWNED BY|INDEX|CONSTRAINT|FK CONSTRAINT|CHECK CONSTRAINT|DEFAULT|FUNCTION'
  kinds="$kinds|TRIGGER|VIEW|COMMENT|EXTENSION|SCHEMA"
  pg_admin -U odd_bench_admin -d postgres -c 'DROP DATABASE IF EXISTS odd_bench_restored' -c 'CREATE DATABASE odd_bench_restored OWNER odd_bench'
  pg_admin -U odd_bench_admin -d odd_bench_restored -c 'CREATE EXTENSION IF NOT EXISTS pg_trgm'
  as "$WORK_USER" "$PG_BIN/pg_restore" --list <"$RESTORE/in/database.dump" >"$list"
  strange="$(awk -v kinds="^[0-9]+; [0-9]+ [0-9]+ ($kinds) " '!/^;/ && NF && $0 !~ kinds { print; exit }' "$list")"
  [ -z "$strange" ] || { printf 'Its tables hold what no shop holds: %s\n' "${strange:0:120}" >&2; return 1; }
  grep -vE '; [0-9]+ [0-9]+ (EXTENSION|SCHEMA|COMMENT - (EXTENSION|SCHEMA)) ' "$list" | keep "$WORK_USER:" 600 "$list.taken"
  as "$WORK_USER" env PGPASSWORD="$(db_password)" "$PG_BIN/pg_restore" -h 127.0.0.1 -p "$DB_PORT" -U odd_bench -d odd_bench_restored \
    --no-owner --no-privileges --exit-on-error --use-list="$list.taken" <"$RESTORE/in/database.dump"
}

# Until here the shop that was here ran on. The files are laid beside, then both change places.
restore_swap() {
  local files="$STATE/storage/app/private"
  rm -rf "$files.new" "$files.old"
  folder "$WORK_USER:" 2770 "$files.new"
  [ ! -e "$RESTORE/in/files" ] || cp -R "$RESTORE/in/files/." "$files.new/"
  if [ "$(id -u)" -eq 0 ]; then chown -hR "$WORK_USER:odd-bench" "$files.new"; fi
  find "$files.new" -type d -exec chmod 2770 {} + -o -type f -exec chmod 660 {} +
  supervise stop all >/dev/null
  supervise start db >/dev/null
  postgres_wait
  pg_admin -U odd_bench_admin -d postgres -c 'DROP DATABASE IF EXISTS odd_bench_before WITH (FORCE)' -c 'ALTER DATABASE odd_bench RENAME TO odd_bench_before' -c 'ALTER DATABASE odd_bench_restored RENAME TO odd_bench'
  [ ! -e "$files" ] || mv "$files" "$files.old"
  mv "$files.new" "$files"
  rm -rf "$files.old"
  # a run of before would speak for one of these
  rm -f "$STATE/storage/app/runs/"*
  pg_admin -U odd_bench_admin -d postgres -c 'DROP DATABASE odd_bench_before WITH (FORCE)'
}
