#!/usr/bin/env bash
# Gives the application of a running bin/cluster a new database password while it works: both are good until every part has the new
# one; then the old one is not. Whoever is signed in stays so.
#   bash deploy/cluster/password.sh
set -euo pipefail
root=$(cd "$(dirname "${BASH_SOURCE[0]}")/../.." && pwd)
run="$root/.run"
say() { printf '%s\n' "$*"; }
fail() { say "$*" >&2; exit 1; }
# shellcheck source=deploy/cluster/nodes.sh
source "$root/deploy/cluster/nodes.sh"
[ -e "$cluster/ready" ] || fail 'no cluster runs here: bin/cluster first'
# shellcheck source=/dev/null
source "$cluster/env"
cd "$root"

old=$DB_PASSWORD
new=$(php -r 'echo bin2hex(random_bytes(16));')
# passwords FIRST [SECOND]: those that are good, at every node.
passwords() {
    local by="mysql_native_password USING PASSWORD('$1')" node host
    [ -z "${2:-}" ] || by="$by OR mysql_native_password USING PASSWORD('$2')"
    node=$(for one in 1 2 3; do is_synced "$one" 2>/dev/null && { printf '%s' "$one"; break; }; done)
    [ -n "$node" ] || fail 'no node of the database is up to date'
    for host in 127.0.0.1 localhost; do printf "ALTER USER 'nasturtium'@'%s' IDENTIFIED VIA %s;\n" "$host" "$by"; done | at_node "$node"
}
# A file that is read all the time is there whole or not yet.
put() { (umask 077; cat >"$1.new"); mv "$1.new" "$1"; }

passwords "$new" "$old"
printf '%s' "$new" | put "$cluster/password"
export DB_PASSWORD=$new
sed "s/^declare -x DB_PASSWORD=.*/declare -x DB_PASSWORD=\"$new\"/" "$cluster/env" | put "$cluster/env"
APP_CONFIG_CACHE="$cluster/cache/config-new.php" php artisan config:cache >"$logs/cache.log" 2>&1 || fail "the settings could not be put together; see $logs/cache.log"
mv "$cluster/cache/config-new.php" "$APP_CONFIG_CACHE"
# A pool reads its settings when it is told to, and answers meanwhile what it has begun; a worker ends after its job, and is begun again.
for pool in pool-a pool-b; do
    kill -USR2 "$(cat "$cluster/$pool.pid")"
    sleep 2
done
php artisan queue:restart >/dev/null
# What still has a connection keeps it; the next one is opened with the new password.
passwords "$new"
say 'The database has a new password, and the old one is not good any more.'
