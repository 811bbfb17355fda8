# Sourced by bin/cluster and by what tries it: where everything of the cluster stands, and how each part is started.
# Wants `run`, `root`, `say` and `fail` of bin/setup.sh.
# shellcheck shell=bash
# shellcheck disable=SC2154

cluster="$run/cluster"
logs="$cluster/logs"

# Ports are chosen once and stay, so that a node that comes back is found where it was.
ports() {
    local name
    if [ ! -f "$cluster/ports" ]; then
        for name in DB_PORT PORT_A PORT_B NODE1 NODE2 NODE3 GROUP1 GROUP2 GROUP3 IST1 IST2 IST3 SST1 SST2 SST3; do printf '%s=%s\n' "$name" "$(free_port)"; done >"$cluster/ports"
        # Two that were free at the same moment may have been the same.
        [ "$(cut -d= -f2 "$cluster/ports" | sort -u | wc -l)" = 15 ] || { rm "$cluster/ports"; ports; }
    fi
    # shellcheck source=/dev/null
    source "$cluster/ports"
    PORT=${PORT:-8100}
    while (exec 3<>"/dev/tcp/127.0.0.1/$PORT") 2>/dev/null; do PORT=$((PORT + 1)); done
    printf '%s' "$PORT" >"$cluster/port"
}

of() { local name="$1$2"; printf '%s' "${!name}"; }
others() { for node in 1 2 3; do [ "$node" = "$1" ] || printf '%s ' "$node"; done; }
lives() { [ -f "$cluster/$1.pid" ] && kill -0 "$(cat "$cluster/$1.pid")" 2>/dev/null; }

# in_background NAME COMMAND…: in a session of its own, its output in a log.
in_background() {
    local name=$1
    shift
    setsid "$@" </dev/null >>"$logs/$name.log" 2>&1 8>&- &
    echo $! >"$cluster/$name.pid"
}

# end PART [SECONDS]: in order, and by force after so many.
end() {
    lives "$1" || return 0
    local pid
    pid=$(cat "$cluster/$1.pid")
    kill -CONT -- "-$pid" 2>/dev/null || true
    kill -- "-$pid" 2>/dev/null || kill "$pid" 2>/dev/null || true
    for _ in $(seq "$((10 * ${2:-15}))"); do kill -0 "$pid" 2>/dev/null || return 0; sleep 0.1; done
    kill -9 -- "-$pid" 2>/dev/null || true
}

# wait_for WHAT COMMAND…: for at most two minutes.
wait_for() {
    local what=$1
    shift
    for _ in $(seq 600); do "$@" >/dev/null 2>&1 && return 0; sleep 0.2; done
    fail "$what does not answer; see .run/cluster/logs"
}

# A database whose disk is full waits for room. So that the others need not wait for it, it leaves before.
has_room() { [ "$(df --output=avail -m "$cluster/$1" | tail -n 1)" -ge "${LEAST_ROOM:-32}" ]; }

at_node() {
    local node=$1
    shift
    mariadb --no-defaults --socket="$cluster/node$node.sock" --user="$(id -un)" --batch --skip-column-names "$@"
}
is_synced() { [ "$(at_node "$1" --execute="select variable_value from information_schema.global_status where variable_name = 'wsrep_local_state'")" = 4 ]; }

# The process of a node may outlive its part in the cluster, where it could not agree with the others: only a new start helps.
is_cut_off() { [ "$(timeout 2 mariadb --no-defaults --socket="$cluster/$1.sock" --user="$(id -un)" --batch --skip-column-names --execute="select variable_value from information_schema.global_status where variable_name = 'wsrep_connected'" 2>/dev/null)" = OFF ]; }

# recovered NODE: how far its data are, as CLUSTER:NUMBER; nothing where there are none, or nobody knows.
recovered() {
    [ -f "$cluster/node$1/grastate.dat" ] || return 0
    {
        mariadbd --no-defaults --user="$(id -un)" --datadir="$cluster/node$1" --wsrep-on=ON --wsrep-provider=/usr/lib/galera/libgalera_smm.so \
            --wsrep-recover --log-bin=binlog --server-id=1 --socket="$cluster/recover$1.sock" --skip-networking 2>&1 || true
    } | sed -n 's/.*Recovered position: *\([0-9a-f-]*:[0-9]*\).*/\1/p' | tail -n 1
}

# The node that has gone furthest begins; where there is none yet, the first.
most_advanced() {
    local node best=1 most=-2 at
    for node in 1 2 3; do
        [ -d "$cluster/node$node/mysql" ] || continue
        at=$(sed -n 's/^seqno: *//p' "$cluster/node$node/grastate.dat" 2>/dev/null)
        if [ "${at:--1}" = -1 ]; then
            # It was not ended in order: what it has is asked of its log.
            at=$(recovered "$node" | sed 's/.*://')
        fi
        [ "${at:--1}" -le "$most" ] || { most=${at:--1}; best=$node; }
    done
    [ ! -f "$cluster/node$best/grastate.dat" ] || sed -i 's/^safe_to_bootstrap:.*/safe_to_bootstrap: 1/' "$cluster/node$best/grastate.dat"
    printf '%s' "$best"
}

# run_node NODE [new]: the database of a node; `new` begins a cluster, otherwise it joins the one that is there.
run_node() {
    local node=$1 address="gcomm://127.0.0.1:$GROUP1,127.0.0.1:$GROUP2,127.0.0.1:$GROUP3" begin='' from
    [ "${2:-}" != new ] || { address=gcomm:// begin=--wsrep-new-cluster; }
    if [ ! -d "$cluster/node$node/mysql" ]; then
        mkdir -p "$cluster/node$node"
        # It may be a disk of its own, which is emptied, not removed.
        find "$cluster/node$node" -mindepth 1 -delete
        mariadb-install-db --user="$(id -un)" --datadir="$cluster/node$node" --skip-test-db \
            --auth-root-authentication-method=socket --auth-root-socket-user="$(id -un)" >"$logs/node$node-install.log" 2>&1 || fail "node$node could not be set up"
    fi
    # One that did not end in order knows from its log how far it was, and is given what it missed, not everything anew.
    from=$(recovered "$node")
    # Not the machine's own settings, which would send what a transfer says to a log of the system.
    printf '[mysqld]\ninnodb-buffer-pool-size=%s\n[sst]\nsst-syslog=0\n' "${NODE_MEMORY:-256M}" >"$cluster/node.cnf"
    # A node that is silent for two seconds is suspected and left out after four, so that the others go on; the binary log is what a
    # backup is brought forward by.
    in_background "node$node" mariadbd --defaults-file="$cluster/node.cnf" $begin --user="$(id -un)" --datadir="$cluster/node$node" --port="$(of NODE "$node")" \
        --bind-address=127.0.0.1 --socket="$cluster/node$node.sock" --character-set-server=utf8mb4 --max-connections=200 \
        --binlog-format=ROW --innodb-autoinc-lock-mode=2 \
        --log-bin=binlog --log-slave-updates --expire-logs-days=7 --server-id=1 --sync-binlog=0 \
        --wsrep-on=ON --wsrep-provider=/usr/lib/galera/libgalera_smm.so --wsrep-cluster-name=nasturtium --wsrep-cluster-address="$address" \
        ${from:+--wsrep-start-position="$from"} \
        --wsrep-node-name="node$node" --wsrep-node-address=127.0.0.1 --wsrep-slave-threads=2 --wsrep-retry-autocommit=4 \
        --wsrep-sst-method=mariabackup --wsrep-sst-auth="$(id -un):" --wsrep-sst-receive-address="127.0.0.1:$(of SST "$node")" \
        --wsrep-provider-options="gmcast.listen_addr=tcp://127.0.0.1:$(of GROUP "$node");ist.recv_addr=127.0.0.1:$(of IST "$node");gcache.size=256M;evs.suspect_timeout=PT2S;evs.inactive_timeout=PT4S;evs.inactive_check_period=PT0.5S;evs.keepalive_period=PT0.5S"
}

start_node() {
    run_node "$@"
    wait_for "node$1" is_synced "$1"
}

# The application's account, and one that may only look at how a node is.
accounts() {
    [ -f "$cluster/password" ] || (umask 077; php -r 'echo bin2hex(random_bytes(16));' >"$cluster/password")
    local password
    password=$(cat "$cluster/password")
    at_node "$first" <<SQL
CREATE DATABASE IF NOT EXISTS nasturtium CHARACTER SET utf8mb4;
CREATE USER IF NOT EXISTS 'nasturtium'@'127.0.0.1' IDENTIFIED BY '$password';
CREATE USER IF NOT EXISTS 'nasturtium'@'localhost' IDENTIFIED BY '$password';
GRANT ALL ON nasturtium.* TO 'nasturtium'@'127.0.0.1';
GRANT ALL ON nasturtium.* TO 'nasturtium'@'localhost';
CREATE USER IF NOT EXISTS 'watch'@'127.0.0.1';
CREATE USER IF NOT EXISTS 'watch'@'localhost';
SQL
}

asks_database() { mariadb --no-defaults --host=127.0.0.1 --port="$DB_PORT" --user=nasturtium --password="$(cat "$cluster/password")" nasturtium --execute='select 1'; }

# What the application is told of where it runs.
settings() {
    APP_KEY=$(app_key)
    export APP_KEY APP_NAME=Nasturtium APP_ENV=production APP_DEBUG=false APP_URL="http://127.0.0.1:$PORT"
    export TRUSTED_PROXIES=127.0.0.1 OPEN_REGISTRATION=
    export LOG_CHANNEL=json LOG_LEVEL=info SESSION_DRIVER=database CACHE_STORE=database QUEUE_CONNECTION=database FIGURES=on
    export DB_CONNECTION=mariadb DB_HOST=127.0.0.1 DB_PORT DB_DATABASE=nasturtium DB_USERNAME=nasturtium
    DB_PASSWORD=$(cat "$cluster/password")
    export DB_PASSWORD ERASURES_FILE="$cluster/erasures"
    # Settings and routes are read once, into files that nothing else of this checkout reads.
    mkdir -p "$cluster/cache"
    export APP_CONFIG_CACHE="$cluster/cache/config.php" APP_ROUTES_CACHE="$cluster/cache/routes.php" APP_EVENTS_CACHE="$cluster/cache/events.php"
    rm -f "$cluster"/cache/*
    (umask 077; export -p | grep -E '^declare -x (APP|LOG|SESSION|CACHE|QUEUE|DB|ERASURES|FIGURES|TRUSTED|OPEN|PHP_INI)' >"$cluster/env")
}

fill() {
    sed -e "s#@RUN@#$cluster#g; s#@LOGS@#$logs#g; s#@ROOT@#$root#g; s#@USER@#$(id -un)#g; s#@CHILDREN@#${POOL_CHILDREN:-16}#g; s#@POOL@#${pool:-}#g" \
        -e "s#@DB_PORT@#$DB_PORT#g; s#@NODE1@#$NODE1#g; s#@NODE2@#$NODE2#g; s#@NODE3@#$NODE3#g; s#@PORT@#$PORT#g; s#@PORT_A@#$PORT_A#g; s#@PORT_B@#$PORT_B#g" \
        "$root/deploy/cluster/$1" >"$cluster/$2"
}

# start PART: one of what is not a database node.
start() {
    local pool
    case $1 in
        haproxy) fill haproxy.cfg haproxy.cfg; in_background haproxy haproxy -db -f "$cluster/haproxy.cfg" ;;
        pool-*)
            pool=${1#pool-}
            fill fpm.conf "$1.conf"
            rm -f "$cluster/$1.sock"
            # shellcheck disable=SC2086
            in_background "$1" ${CLOCK:-} php-fpm8.2 --nodaemonize --fpm-config "$cluster/$1.conf" --allow-to-run-as-root
            ;;
        worker-*) in_background "$1" php -d memory_limit=512M artisan queue:work --queue=letters,photos,default,night --sleep=0.2 --timeout=60 --memory=400 ;;
        schedule) in_background schedule php artisan schedule:work ;;
        nginx) fill nginx.conf nginx.conf; fill pass.conf pass.conf; in_background nginx nginx -c "$cluster/nginx.conf" ;;
    esac
}

again() { case $1 in node*) run_node "${1#node}" ;; *) start "$1" ;; esac; }
