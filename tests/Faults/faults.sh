#!/usr/bin/env bash
# Kills the database and the application in the middle of ticks and slips, and starts them again: nothing that was
# acknowledged may be lost or be there twice. Two application processes serve the same database meanwhile.
#   bash tests/Faults/faults.sh REPORT     writes {"numPassedTests": …, "numFailedTests": …}
set -euo pipefail
# shellcheck source=bin/setup.sh
source "$(dirname "${BASH_SOURCE[0]}")/../../bin/setup.sh" curl
report=$1
folder="$run/faults-database"

pids=()
stop_all() {
    trap - EXIT
    for pid in "${pids[@]}"; do kill -9 -- "-$pid" 2>/dev/null || kill -9 "$pid" 2>/dev/null || true; done
    stop_database
}
trap stop_all EXIT

# A database that waits for the disk, as a real one does.
database_flags=''
rm -rf "$folder"
start_database "$folder"
APP_KEY=$(app_key)
first=$(free_port)
export APP_KEY APP_ENV=production APP_DEBUG=false APP_URL="http://127.0.0.1:$first" LOG_CHANNEL=single SESSION_DRIVER=database CACHE_STORE=database
php artisan migrate --force >"$run/log/faults.log" 2>&1
php artisan nasturtium:demo >>"$run/log/faults.log" 2>&1

# The same data at the same port again, as a service manager would do it.
start_again() {
    mariadbd --no-defaults --user="$(id -un)" --datadir="$folder" --port="$DB_PORT" --bind-address=127.0.0.1 \
        --socket="$run/faults-database.sock" --pid-file="$folder.pid" --character-set-server=utf8mb4 --skip-log-bin \
        >>"$run/log/faults-database.log" 2>&1 &
    database_pid=$!
}

start_server "$first" "$run/log/faults-first.log"
first_pid=$server_pid
second=$(free_port)
start_server "$second" "$run/log/faults-second.log"
second_pid=$server_pid
pids+=("$first_pid" "$second_pid")

# While nothing is killed yet: weeks are proposed at once, and none fails.
php tests/Faults/proposals.php "http://127.0.0.1:$first" "http://127.0.0.1:$second" >"$run/proposals.json" || echo '{"proposals run to their end": false}' >"$run/proposals.json"

php tests/Faults/drive.php "http://127.0.0.1:$first" "http://127.0.0.1:$second" "$report" &
driver=$!
# A slow machine takes its time until writes flow; what is killed before is no fault that was meant.
for _ in $(seq 1 600); do
    [ -e "$run/faults.begun" ] && break
    kill -0 "$driver" 2>/dev/null || break
    sleep 0.2
done
sleep 2
kill -9 "$database_pid"
sleep 1
start_again
sleep 4
kill -9 -- "-$first_pid"
sleep 1
start_server "$first" "$run/log/faults-first.log"
pids+=("$server_pid")
sleep 3
kill -9 "$database_pid"
start_again
touch "$run/faults.over"
wait "$driver"
