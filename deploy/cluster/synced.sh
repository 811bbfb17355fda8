#!/bin/sh
# Asked by haproxy: does this node take work? It does when it is part of the cluster that has a majority, and is up to date.
#   synced.sh PROXY-ADDRESS PROXY-PORT NODE-ADDRESS NODE-PORT
state=$(timeout 2 mariadb --no-defaults --host="$3" --port="$4" --user=watch --skip-column-names --batch \
    --execute="select group_concat(variable_value order by variable_name) from information_schema.global_status where variable_name in ('wsrep_cluster_status', 'wsrep_local_state')" 2>/dev/null)
# 4 is up to date; 2 gives its data to another and is up to date as well.
[ "$state" = Primary,4 ] || [ "$state" = Primary,2 ]
