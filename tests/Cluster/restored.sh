#!/usr/bin/env bash
# A database is written to, backed up while it is, written to again, and loses rows by accident: it comes back as it was the
# moment before, and whoever was erased since the backup stays erased.
#   bash tests/Cluster/restored.sh REPORT     writes {"numPassedTests": …, "numFailedTests": …}
set -uo pipefail
# shellcheck source=bin/setup.sh
source "$(dirname "${BASH_SOURCE[0]}")/../../bin/setup.sh" mariadb-backup
set +e
report=$1
try="$run/restored"
passed=0 failed=0
trap stop_database EXIT
holds() {
    local name=$1
    shift
    if "$@"; then say "ok      $name"; passed=$((passed + 1)); else say "FAILED  $name"; failed=$((failed + 1)); fi
}
ask() { mariadb --no-defaults --socket="$1" --user="$(id -un)" --batch --skip-column-names nasturtium --execute="$2"; }
# What every table holds.
whole() { ask "$1" "select group_concat('\`', table_name, '\`' order by table_name separator ',') from information_schema.tables where table_schema = 'nasturtium'" | { read -r tables; ask "$1" "set session group_concat_max_len = 100000; checksum table $tables extended"; }; }
# start_on FOLDER: another database on these data, with the settings of the application pointing to it.
start_on() { stop_database; cp "$try/first.password" "$1.password"; start_database "$1"; export ERASURES_FILE="$try/first.erasures"; }

rm -rf "$try" "$run/first.sock"
mkdir -p "$try"
database_flags="--log-bin=binlog --binlog-format=ROW --server-id=1"
start_database "$try/first"
socket="$run/first.sock"
APP_KEY=$(app_key)
export APP_KEY APP_ENV=production LOG_CHANNEL=single CACHE_STORE=database SESSION_DRIVER=database QUEUE_CONNECTION=database
php artisan migrate --force >"$run/log/restored.log" 2>&1 && php artisan nasturtium:demo >>"$run/log/restored.log" 2>&1

# While it is backed up it is written to.
(for nth in $(seq 40); do ask "$socket" "insert into studios (name, words) values ('During $nth', 'uk')"; sleep 0.05; done) >/dev/null 2>&1 &
writer=$!
made=$(bin/backup "$try/backups" --socket "$socket" | tail -n 1)
wait "$writer"
holds 'a backup is made while the database is written to' test -d "$made/data/nasturtium"
ask "$socket" "insert into studios (name, words) values ('After', 'uk')"
erased=$(ask "$socket" 'select min(id) from students')
php -r 'require "vendor/autoload.php"; $app = require "bootstrap/app.php"; $app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap(); (new App\Privacy\EraseStudent())(App\Student\Student::query()->findOrFail((int) $argv[1]));' "$erased"
before=$(whole "$socket")
sleep 2
moment=$(date '+%Y-%m-%d %H:%M:%S')
sleep 2
ask "$socket" 'delete from practices; delete from studios where name like "During%"'
holds 'the accident is one' test "$(whole "$socket")" != "$before"
ask "$socket" 'flush binary logs'
stop_database

holds 'it is restored to the moment before' bin/restore "$made" "$try/second" --logs "$try/first" --until "$moment"
database_flags=''
start_on "$try/second"
holds 'every table is as it was then' test "$(whole "$run/second.sock")" = "$before"

holds 'the backup alone is restored' bin/restore "$made" "$try/third"
start_on "$try/third"
holds 'whoever was erased since is in it' test "$(ask "$run/third.sock" "select count(*) from students where id = $erased")" = 1
php artisan nasturtium:replay-erasures >>"$run/log/restored.log" 2>&1
holds 'and is erased again' test "$(ask "$run/third.sock" "select count(*) from students where id = $erased")" = 0
holds 'a folder that is not empty is left alone' bash -c "! bin/restore '$made' '$try/third' 2>/dev/null"
holds 'a moment that is none is refused' bash -c "! bin/restore '$made' '$try/fourth' --logs '$try/first' --until yesterdayish 2>/dev/null && [ ! -e '$try/fourth' ]"
stop_database

printf '{"numPassedTests": %s, "numFailedTests": %s}' "$passed" "$failed" >"$report"
[ "$failed" -eq 0 ]
