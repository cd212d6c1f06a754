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

# setting NAME VALUE CHECK MESSAGE EXAMPLE: what was said to `up`, or “none” to take it back
setting() {
  local value="$2"
  [ "$value" != none ] || value=""
  if [ -n "$value" ] && ! "$3" "$value"; then fail "$4" "$5"; fi
  printf -v "$1" '%s' "$value"
}
