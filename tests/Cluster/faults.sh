#!/usr/bin/env bash
# A cluster of its own with a load on it, and one fault after another: nothing that was acknowledged may be lost or be there
# twice. Prints a table for docs/operations.md.
#   bash tests/Cluster/faults.sh [--report FILE] [SECONDS] [STUDIOS] [FAULT …]     120 seconds and 60 studios otherwise; all faults
set -uo pipefail
root=$(cd "$(dirname "${BASH_SOURCE[0]}")/../.." && pwd)
run="$root/.run" cluster="$root/.run/cluster"
cd "$root" || exit 1
outcome=/dev/null
[ "${1:-}" != --report ] || { outcome=$2; shift 2; }
seconds=${1:-120} studios=${2:-60}
shift $(($# < 2 ? $# : 2))
faults=("$@")
[ ${#faults[@]} -gt 0 ] || faults=(none node written-node pool worker door disk clock slow-node password)
[ "$(id -u)" = 0 ] || { printf 'only root can give a node a disk of its own\n' >&2; exit 2; }

cluster_pid=
stop_all() {
    trap - EXIT INT TERM
    [ -z "$cluster_pid" ] || { kill -- "-$cluster_pid" 2>/dev/null; wait "$cluster_pid" 2>/dev/null; }
    umount "$cluster/node1" 2>/dev/null
}
trap stop_all EXIT
trap 'exit 130' INT TERM

# The first node has a small disk of its own, which can be filled.
mkdir -p "$cluster/node1" "$cluster/logs"
umount "$cluster/node1" 2>/dev/null
mount -t tmpfs -o size="${NODE_DISK:-2g}" tmpfs "$cluster/node1" || exit 1
rm -f "$cluster/ready"
set -m
bash bin/cluster --fresh >"$cluster/logs/cluster.log" 2>&1 &
cluster_pid=$!
set +m
for _ in $(seq 1200); do [ -e "$cluster/ready" ] && break; kill -0 "$cluster_pid" 2>/dev/null || break; sleep 0.25; done
[ -e "$cluster/ready" ] || { tail -n 20 "$cluster/logs/cluster.log"; exit 1; }
# shellcheck source=/dev/null
source "$cluster/env"
# shellcheck source=/dev/null
source "$cluster/ports"
port=$(cat "$cluster/port")
base="http://127.0.0.1:$port"
php tests/Cluster/studios.php "$studios" >"$cluster/load.json" || exit 1

ask() { mariadb --no-defaults --host=127.0.0.1 --port="$DB_PORT" --user=nasturtium --password="$DB_PASSWORD" --batch --skip-column-names nasturtium --execute="$1"; }
written() { ask 'select @@wsrep_node_name'; }
other() { for one in node1 node2 node3; do [ "$one" = "$(written)" ] || { printf '%s' "$one"; return; }; done; }
pid_of() { cat "$cluster/$1.pid"; }
# Everything of a part at once, as when its machine loses power.
strike() { kill -9 -- "-$(pid_of "$1")" 2>/dev/null || kill -9 "$(pid_of "$1")"; }
together() {
    for _ in $(seq 240); do
        [ "$(ask "select variable_value from information_schema.global_status where variable_name = 'wsrep_cluster_size'" 2>/dev/null)" = 3 ] && return 0
        sleep 0.5
    done
    return 1
}
# Where the first node is not the one that is written to, it becomes it.
first_is_written() {
    [ "$(written)" = node1 ] && return
    local one
    for one in node2 node3; do printf 'shutdown sessions server database/%s\nset server database/%s state maint\n' "$one" "$one" | socat - "$cluster/haproxy.sock" >/dev/null; done
    sleep 2
    for _ in $(seq 40); do [ "$(written 2>/dev/null)" = node1 ] && break; sleep 0.5; done
    for one in node2 node3; do printf 'set server database/%s state ready\n' "$one" | socat - "$cluster/haproxy.sock" >/dev/null; done
    sleep 3
}

at_fault() {
    case $1 in
        none) ;;
        node) strike "$(other)" ;;
        written-node) strike "$(written)" ;;
        pool) strike pool-a ;;
        worker)
            php tests/Cluster/photos.php put 6 >"$cluster/photos.json"
            sleep 1
            strike worker-1
            strike worker-2
            ;;
        door) for _ in 1 2 3 4 5; do kill -HUP "$(pid_of nginx)"; sleep 2; done ;;
        disk) dd if=/dev/zero of="$cluster/node1/full" bs=1M 2>/dev/null; sleep $((seconds / 4)); rm -f "$cluster/node1/full" ;;
        clock) ;;
        slow-node) local one; one=$(written); kill -STOP -- "-$(pid_of "$one")"; sleep 5; kill -CONT -- "-$(pid_of "$one")" ;;
        password) bash deploy/cluster/password.sh >"$cluster/logs/password.log" 2>&1 || cat "$cluster/logs/password.log"; DB_PASSWORD=$(cat "$cluster/password") ;;
    esac
}
# What a fault needs before the load begins, and what is put back after it.
before() {
    case $1 in
        password) before_password=$DB_PASSWORD ;;
        disk) first_is_written ;;
        clock)
            # Brought back by whoever watches, with another clock.
            touch "$cluster/pool-b.held"
            # One that ends in order takes its socket with it, perhaps the next one's.
            strike pool-b
            sleep 1
            rm -f "$cluster/pool-b.sock"
            setsid faketime -f +1h php-fpm8.2 --nodaemonize --fpm-config "$cluster/pool-b.conf" --allow-to-run-as-root >>"$cluster/logs/pool-b.log" 2>&1 &
            echo $! >"$cluster/pool-b.pid"
            sleep 2
            curl -fsS -o /dev/null "http://127.0.0.1:$PORT_B/ready" || printf 'the pool with another clock does not answer\n'
            ;;
    esac
}
after() {
    case $1 in
        clock) strike pool-b; pkill -9 -f "$cluster/pool-b.conf"; rm -f "$cluster/pool-b.held" ;;
        # What was good before is refused.
        password) ! mariadb --no-defaults --host=127.0.0.1 --port="$DB_PORT" --user=nasturtium --password="$before_password" --execute='select 1' >/dev/null 2>&1 && [ "$before_password" != "$DB_PASSWORD" ] ;;
        worker) php tests/Cluster/photos.php read "$cluster/photos.json" >"$cluster/photos.log" 2>&1 || { cat "$cluster/photos.log"; return 1; } ;;
    esac
}

passed=0 failed=0
printf '| fault | requests | failed | longest gap, s | acknowledged writes | lost | doubled |\n|---|---|---|---|---|---|---|\n'
for fault in "${faults[@]}"; do
    together || printf 'the nodes are not together before %s\n' "$fault"
    before "$fault"
    report="$cluster/report-$fault.json"
    node tests/Cluster/load.mjs "$base" "$cluster/load.json" "$seconds" "$report" >"$cluster/load-$fault.json" 2>"$cluster/load-$fault.log" &
    load=$!
    # Everybody has signed in by then.
    sleep $((seconds / 3))
    at_fault "$fault"
    wait "$load"
    good=yes
    after "$fault" || good=
    together || { printf 'the nodes did not come together after %s\n' "$fault"; good=; }
    kept=$(php tests/Cluster/kept.php "$report") || good=
    node -e '
        const told = JSON.parse(require("fs").readFileSync(process.argv[2]));
        const kept = JSON.parse(process.argv[3]);
        console.log(`| ${process.argv[1]} | ${told.requests} | ${told.failed} | ${told.longestGap} | ${kept.of} | ${kept.lost} | ${kept.doubled} |`);
    ' "$fault" "$report" "$kept" || good=
    if [ -n "$good" ]; then passed=$((passed + 1)); else failed=$((failed + 1)); printf '%s\n' "$kept"; fi
done
printf '\n%s passed, %s failed\n' "$passed" "$failed"
printf '{"numPassedTests": %s, "numFailedTests": %s}' "$passed" "$failed" >"$outcome"
[ "$failed" -eq 0 ]
