# What was said once to `up` and holds from then on: a line each in var/INSTANCE/etc/settings, which everybody may read.

read_settings() {
  LAN="" HOST="" BACKUP_KEY="" BACKUP_TO=""
  local name value
  [ -f "$ETC/settings" ] || return 0
  while IFS='=' read -r name value; do
    case "$name" in
      LAN) [ "$value" != 1 ] || LAN=1 ;;
      HOST) if is_host "$value"; then HOST="$value"; fi ;;
      BACKUP_KEY) if is_age_key "$value"; then BACKUP_KEY="$value"; fi ;;
      BACKUP_TO) if is_folder_name "$value"; then BACKUP_TO="$value"; fi ;;
    esac
  done <"$ETC/settings"
}

keep_settings() {
  printf 'LAN=%s\nHOST=%s\nBACKUP_KEY=%s\nBACKUP_TO=%s\n' "$LAN" "$HOST" "$BACKUP_KEY" "$BACKUP_TO" | keep root: 644 "$ETC/settings"
}

is_host() { [[ "$1" =~ ^[a-z0-9]([a-z0-9.-]{0,61}[a-z0-9])?$ ]]; }

is_age_key() { [[ "$1" =~ ^age1[0-9a-z]{50,70}$ ]]; }

is_folder_name() { [[ "$1" =~ ^/[A-Za-z0-9._/\ -]+$ ]]; }

# take_settings NAME=VALUE...: what was said to `up`, or “none” to take it back; from then on it holds.
take_settings() {
  local said name value
  [ $# -gt 0 ] || return 0
  for said in "$@"; do
    name="${said%%=*}" value="${said#*=}"
    [ "$value" != none ] || value=""
    if [ -n "$value" ]; then
      case "$name" in
        HOST) is_host "$value" || fail "--host takes the name of a machine, not “$value”." "Small letters, figures, dots: --host bench.local" ;;
        BACKUP_KEY) is_age_key "$value" || fail "--backup-key takes a public key of age, not “$value”." "age-keygen -o key.txt makes a pair and shows the public one, age1…; keep key.txt somewhere else: without it no backup opens." ;;
        BACKUP_TO) is_folder_name "$value" || fail "--backup-to takes the full name of a folder, not “$value”." "--backup-to /mnt/backups; $WORK_USER must be able to write there." ;;
      esac
    fi
    printf -v "$name" '%s' "$value"
  done
  make_place
  keep_settings
}
