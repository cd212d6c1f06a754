# Backups, and the way back. A backup is a tar: manifest.json, sums, database.dump, files/, secrets.env, settings; encrypted with age
# when a key is set. The application makes and proves it; what is here puts it where it is wanted, and a shop out of it.

command_backup() {
  local to="${1:-}" made
  [ $# -le 1 ] || fail "backup takes one file." "bin/odd-bench backup --shop /mnt/disk/shop.tar"
  place_it
  postgres_ready || fail "The database is not running." "Start it with bin/odd-bench up."
  if [ -n "$to" ]; then
    [ ! -e "$to" ] || fail "$to is there already." "Give a name that is not taken: a backup never overwrites another."
    [ -d "$(dirname "$to")" ] || fail "The folder $(dirname "$to") is not there." "Make it, or name another."
  fi
  say "Reading the shop, and restoring what was read into a scratch database to prove it."
  made="$(site_artisan odd-bench:backup)" || fail "There is no backup." "$made"
  made="$(tail -n 1 <<<"$made")"
  if [ -n "$to" ]; then
    # read by the user it belongs to, kept for whoever asked
    (umask 077; as "$WORK_USER" cat "$made" >"$to.part") && mv "$to.part" "$to"
    as "$WORK_USER" rm -f "$made"
    made="$to"
  fi
  say "Backed up and proved: $made ($(du -h "$made" | cut -f1))"
}

command_restore() {
  local file="" identity="" sure=""
  while [ $# -gt 0 ]; do
    case "$1" in
      --identity) identity="${2:-}"; shift; [ $# -eq 0 ] || shift ;;
      --yes) sure=1; shift ;;
      -*) fail "restore does not know “$1”." "bin/odd-bench restore FILE [--shop] [--identity KEYFILE] [--yes]" ;;
      *) [ -z "$file" ] || fail "restore takes one file." "bin/odd-bench restore FILE --shop"; file="$1"; shift ;;
    esac
  done
  [ -r "$file" ] || fail "The backup “$file” cannot be read." "bin/odd-bench restore FILE --shop"
  install_all
  place_it
  make_place
  RESTORE="$(mktemp -d "$BASE/restore.XXXXXX")"
  trap 'rm -rf "$RESTORE"' EXIT
  step "What is in it" restore_unpack "$file" "$identity"
  say "$(php -r '$m = json_decode(file_get_contents($argv[1]), true); printf("A backup of %s, made %s, with %d machines, %d jobs and %d parts.", $m["shop"], $m["madeAt"], $m["rows"]["machines"] ?? 0, $m["rows"]["jobs"] ?? 0, $m["rows"]["parts"] ?? 0);' "$RESTORE/manifest.json")"
  restore_ask "$sure"
  restore_settings
  WANT_PORT="" WANT_DB_PORT=""
  if [ -e "$STATE/pg/PG_VERSION" ]; then
    services_up "$DEFAULT_PORT" "$DEFAULT_DB_PORT"
    step "What was here is kept" restore_keep
  fi
  restore_key
  services_up "$DEFAULT_PORT" "$DEFAULT_DB_PORT"
  step "Tables of the backup" restore_tables
  step "In their place" restore_swap
  # the tables may be those of an older release
  services_up "$DEFAULT_PORT" "$DEFAULT_DB_PORT"
  step "Everything agrees" site_artisan odd-bench:audit
  services_wait
  say "Restored. What was here before stands in $STATE/backups."
  welcome
}

restore_unpack() {
  local file="$1" identity="$2"
  if [ "$(head -c 21 "$file" | tr -d '\0')" = age-encryption.org/v1 ]; then
    [ -n "$identity" ] || { printf 'It is encrypted: --identity FILE names the key it opens with.\n' >&2; return 1; }
    age --decrypt --identity "$identity" --output "$RESTORE/backup.tar" "$file"
    file="$RESTORE/backup.tar"
  fi
  # nothing in it may be put anywhere else
  ! tar --list --file "$file" | grep -vqE '^(manifest\.json|sums|secrets\.env|settings|database\.dump|files/([A-Za-z0-9_-]+/)*([A-Za-z0-9_-][A-Za-z0-9._-]*)?)$' || { printf 'It holds what no backup of Odd Bench holds.\n' >&2; return 1; }
  ! tar --list --verbose --file "$file" | grep -qvE '^[-d]' || { printf 'It holds links, which no backup of Odd Bench does.\n' >&2; return 1; }
  tar --extract --file "$file" --directory "$RESTORE" --no-same-owner --no-same-permissions
  rm -f "$RESTORE/backup.tar"
  (cd "$RESTORE" && sha256sum --check --quiet sums)
  local last real
  real="$(php -r 'echo (json_decode(file_get_contents($argv[1]), true)["real"] ?? false) ? "shop" : "site";' "$RESTORE/manifest.json")"
  [ "$real" = "$WHICH" ] || { printf 'It is a backup of %s: bin/odd-bench restore FILE%s\n' "$([ "$real" = shop ] && printf 'a real shop' || printf 'the demo')" "$([ "$real" = shop ] && printf ' --shop')" >&2; return 1; }
  last="$(php -r 'echo json_decode(file_get_contents($argv[1]), true)["lastMigration"] ?? "";' "$RESTORE/manifest.json")"
  [ -e "$ROOT/database/migrations/$last.php" ] || { printf 'It was made by a newer release (%s is not known here). Bring this one up to it first.\n' "$last" >&2; return 1; }
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
  sed -nE '/^(LAN|HOST|BACKUP_KEY|BACKUP_TO)=/p' "$RESTORE/settings" | keep root: 644 "$ETC/settings"
  read_settings
  keep_settings
}

restore_keep() { site_artisan odd-bench:backup --kind=restore; }

# What was encrypted in the shop opens with the key it was encrypted with.
restore_key() {
  local key
  key="$(sed -n '/^APP_KEY=base64:[A-Za-z0-9+\/=]*$/p' "$RESTORE/secrets.env")"
  [ -n "$key" ] || fail "The backup holds no key." "It is not whole: use another one."
  make_secrets
  { printf '%s\n' "$key"; grep -v '^APP_KEY=' "$ETC/secrets"; } | keep root: 600 "$ETC/secrets"
}

restore_tables() {
  pg_admin -U odd_bench_admin -d postgres -c 'DROP DATABASE IF EXISTS odd_bench_restored' -c 'CREATE DATABASE odd_bench_restored OWNER odd_bench'
  as "$DB_USER" "$PG_BIN/pg_restore" -h "$RUN/db" -p "$DB_PORT" -U odd_bench_admin --no-owner --role=odd_bench --exit-on-error -d odd_bench_restored <"$RESTORE/database.dump"
}

# Until here the shop that was here ran on. The files are laid beside, then both change places.
restore_swap() {
  local files="$STATE/storage/app/private"
  rm -rf "$files.new" "$files.old"
  folder "$WORK_USER:" 2770 "$files.new"
  cp -R "$RESTORE/files/." "$files.new/"
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
