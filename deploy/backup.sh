#!/usr/bin/env bash
# A backup of everything: backup.sh HOME FOLDER. The database, who was erased since, and the settings with the key that
# secrets are encrypted with. Kept for 30 days; the newest stays whatever its age.
set -euo pipefail
umask 077

home=$1 folder=$2
days=30
setting() { sed -n "s/^$1=\"\{0,1\}\([^\"]*\)\"\{0,1\}$/\1/p" "$home/shared/.env" | tail -n 1; }

access=$(mktemp)
trap 'rm -f "$access" "$folder"/*.part' EXIT
printf '[client]\nhost=%s\nport=%s\nuser=%s\npassword=%s\n' "$(setting DB_HOST)" "$(setting DB_PORT)" "$(setting DB_USERNAME)" "$(setting DB_PASSWORD)" >"$access"

name="$folder/nasturtium-$(date +%Y-%m-%d-%H%M%S)"
mariadb-dump --defaults-extra-file="$access" --single-transaction --quick --no-tablespaces "$(setting DB_DATABASE)" | gzip >"$name.sql.gz.part"
# A dump that was cut short lacks its last line.
gzip -cd "$name.sql.gz.part" | tail -n 1 | grep -q 'Dump completed'
cp "$home/shared/.env" "$name.env"
[ ! -f "$(setting ERASURES_FILE)" ] || cp "$(setting ERASURES_FILE)" "$name.erasures"
mv "$name.sql.gz.part" "$name.sql.gz"

find "$folder" -maxdepth 1 -name 'nasturtium-*' -mtime "+$days" ! -name "$(basename "$name").*" -delete
echo "$name.sql.gz"
