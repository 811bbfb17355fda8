# Sourced by bin/start and bin/test: installs what is missing and builds what has changed.
# Every step leaves a stamp in .run/, so that a second run does nothing.

set -euo pipefail

root=$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)
cd "$root"
run="$root/.run"
mkdir -p "$run/stamps" "$run/log"

export COMPOSER_ALLOW_SUPERUSER=1
export PHP_INI_SCAN_DIR=":$root/config/php"
export PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD=1

say() { printf '%s\n' "$*"; }

fail() {
    printf 'nasturtium: %s\n' "$*" >&2
    exit 1
}

# step NAME HASH COMMAND…: runs the command unless it succeeded before with the same hash.
step() {
    local name=$1 hash=$2
    shift 2
    [ "$(cat "$run/stamps/$name" 2>/dev/null)" = "$hash" ] && return 0
    say "· $name"
    "$@" >"$run/log/$name.log" 2>&1 || {
        tail -n 30 "$run/log/$name.log" >&2
        fail "'$name' did not succeed; the whole log is in .run/log/$name.log"
    }
    printf '%s' "$hash" >"$run/stamps/$name"
}

hash_of() { cat "$@" 2>/dev/null | sha256sum | cut -c1-32; }

hash_tree() { find "$@" -type f -not -name '*generated.d.ts' -not -name '*.generated.ts' -print0 | sort -z | xargs -0 sha256sum | sha256sum | cut -c1-32; }

debian_packages="php8.2-cli php8.2-mbstring php8.2-xml php8.2-mysql php8.2-curl php8.2-zip php8.2-gd php8.2-apcu poppler-utils tesseract-ocr tesseract-ocr-eng mariadb-server composer unzip $*"

install_debian() {
    export DEBIAN_FRONTEND=noninteractive
    apt-get update
    # shellcheck disable=SC2086
    apt-get install -y --no-install-recommends $missing
}

missing_debian() {
    missing=
    for package in $debian_packages; do
        dpkg-query -W -f='${Status}' "$package" 2>/dev/null | grep -q 'ok installed' || missing="$missing $package"
    done
    command -v composer >/dev/null && missing=${missing/ composer/}
    if ! command -v node >/dev/null; then missing="$missing nodejs npm"; fi
}

missing_debian
if [ -n "$missing" ]; then
    [ "$(id -u)" = 0 ] || fail "these Debian packages are missing, and only root can install them:$missing"
    say "· installing$missing"
    install_debian >"$run/log/debian.log" 2>&1 || { tail -n 20 "$run/log/debian.log" >&2; fail 'apt-get did not succeed; see .run/log/debian.log'; }
fi

# Vite needs a newer Node.js than Debian 12 has; the npm registry serves one.
node_major() { node -p 'process.versions.node.split(".")[0]' 2>/dev/null || echo 0; }
[ -x "$run/node/node_modules/.bin/node" ] && PATH="$run/node/node_modules/.bin:$PATH"
if [ "$(node_major)" -lt 20 ]; then
    say '· node'
    npm install --prefix "$run/node" node@20 npm@11 >"$run/log/node.log" 2>&1 || fail 'Node.js 20 could not be installed; see .run/log/node.log'
    PATH="$run/node/node_modules/.bin:$PATH"
fi

# What a stamp vouches for may have been deleted since.
for made in vendor/autoload.php:composer node_modules/.package-lock.json:npm public/build/manifest.json:front-end resources/js/api/generated.d.ts:api-types resources/js/api/choices.generated.ts:api-types; do
    [ -e "${made%%:*}" ] || rm -f "$run/stamps/${made##*:}"
done

# The packages that this machine's server for PHP packages leaves out are replaced in composer.json.
step composer "$(hash_of composer.json)" composer update --no-interaction --no-progress
# Not "npm ci": it refuses a lock file without the binaries for other platforms, which not every registry serves.
step npm "$(hash_of package.json package-lock.json)" npm install --no-save --no-audit --no-fund
step api-types "$(hash_tree app core routes bin/api-types.mjs package-lock.json)" bash -c 'php artisan nasturtium:api && npm run --silent types'
step front-end "$(hash_tree resources vite.config.ts package-lock.json tsconfig.json)-$(cat "$run/stamps/api-types")" npm run build

free_port() {
    php -r '$s = stream_socket_server("tcp://127.0.0.1:0"); echo explode(":", stream_socket_get_name($s, false))[1];'
}

# start_database FOLDER: a MariaDB of the project's own, on loopback; sets DB_* and database_pid.
start_database() {
    local folder=$1 socket password
    socket="$run/$(basename "$folder").sock"
    if [ ! -d "$folder/mysql" ]; then
        rm -rf "$folder"
        mkdir -p "$folder"
        mariadb-install-db --user="$(id -un)" --datadir="$folder" --skip-test-db \
            --auth-root-authentication-method=socket --auth-root-socket-user="$(id -un)" >"$run/log/database-install.log" 2>&1 \
            || fail 'the database could not be set up; see .run/log/database-install.log'
    fi
    [ -f "$folder.password" ] || (umask 077; php -r 'echo bin2hex(random_bytes(16));' >"$folder.password")
    password=$(cat "$folder.password")
    # Who was erased is kept beside the database it was erased from.
    export ERASURES_FILE="$folder.erasures"
    export DB_CONNECTION=mariadb DB_HOST=127.0.0.1 DB_DATABASE=nasturtium DB_USERNAME=nasturtium DB_PASSWORD="$password"
    DB_PORT=$(free_port)
    export DB_PORT
    mariadbd --no-defaults --user="$(id -un)" --datadir="$folder" --port="$DB_PORT" --bind-address=127.0.0.1 \
        --socket="$socket" --pid-file="$folder.pid" --character-set-server=utf8mb4 --skip-log-bin ${database_flags:-} \
        >"$run/log/$(basename "$folder").log" 2>&1 &
    database_pid=$!
    for _ in $(seq 1 150); do
        kill -0 "$database_pid" 2>/dev/null && mariadb-admin --no-defaults --socket="$socket" --user="$(id -un)" ping >/dev/null 2>&1 && break
        kill -0 "$database_pid" 2>/dev/null || fail "the database did not start; see .run/log/$(basename "$folder").log"
        sleep 0.2
    done
    mariadb --no-defaults --socket="$socket" --user="$(id -un)" <<SQL
CREATE DATABASE IF NOT EXISTS nasturtium CHARACTER SET utf8mb4;
CREATE USER IF NOT EXISTS 'nasturtium'@'127.0.0.1' IDENTIFIED BY '$password';
CREATE USER IF NOT EXISTS 'nasturtium'@'localhost' IDENTIFIED BY '$password';
GRANT ALL ON nasturtium.* TO 'nasturtium'@'127.0.0.1';
GRANT ALL ON nasturtium.* TO 'nasturtium'@'localhost';
SQL
}

stop_database() {
    [ -n "${database_pid:-}" ] || return 0
    kill "$database_pid" 2>/dev/null || true
    wait "$database_pid" 2>/dev/null || true
    database_pid=
}

app_key() {
    [ -f "$run/app.key" ] || (umask 077; php -r 'echo "base64:".base64_encode(random_bytes(32));' >"$run/app.key")
    cat "$run/app.key"
}

# start_worker LOG: does what is slow, one after another, with PHP's compiler on; sets worker_pid. One that has ended is begun anew.
start_worker() {
    export QUEUE_CONNECTION=database
    setsid bash -c 'while :; do php -d memory_limit=512M artisan queue:work --queue=letters,photos,default,night --sleep=0.2 --timeout=60 --memory=400 --max-jobs=200; sleep 1; done' >"$1" 2>&1 &
    worker_pid=$!
}

# start_server PORT LOG: the application with several workers; sets server_pid.
start_server() {
    # The addresses of private links are left out of the log.
    (umask 077; : >"$2"; chmod 600 "$2")
    PHP_CLI_SERVER_WORKERS=4 setsid php artisan serve --no-reload --host=127.0.0.1 --port="$1" \
        > >(exec sed -u -E 's#(/(home|calendar|camera)/)[A-Za-z0-9]{20,}#\1[left out]#g' >>"$2") 2>&1 &
    server_pid=$!
    for _ in $(seq 1 100); do
        curl -fsS -o /dev/null "http://127.0.0.1:$1/up" 2>/dev/null && return 0
        kill -0 "$server_pid" 2>/dev/null || fail "the application did not start; see $2"
        sleep 0.1
    done
    fail "the application does not answer; see $2"
}

stop_worker() {
    [ -n "${worker_pid:-}" ] || return 0
    kill -- "-$worker_pid" 2>/dev/null || true
    wait "$worker_pid" 2>/dev/null || true
    worker_pid=
}

stop_server() {
    [ -n "${server_pid:-}" ] || return 0
    kill -- "-$server_pid" 2>/dev/null || true
    wait "$server_pid" 2>/dev/null || true
    server_pid=
}
