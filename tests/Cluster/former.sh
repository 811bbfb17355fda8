#!/usr/bin/env bash
# The tests of a former release against the database of this one: old and new application run side by side while pools change
# over, so what the new schema takes away the old one must not need any more.
#   bash tests/Cluster/former.sh REVISION
set -uo pipefail
revision=${1:?which release, as a tag or a commit}
# What is left over would be taken for a package to be installed.
set --
# shellcheck source=bin/setup.sh
source "$(dirname "${BASH_SOURCE[0]}")/../../bin/setup.sh"
set +e
former="$run/former"
stop_all() {
    stop_database
    git worktree remove --force "$former" 2>/dev/null
}
trap stop_all EXIT
git worktree remove --force "$former" 2>/dev/null
git worktree add --force --detach "$former" "$revision" >/dev/null || fail "there is no $revision"
# Its own code and tests, the schema of this release, and the packages that are there.
rm -rf "$former/database/migrations"
cp -a database/migrations "$former/database/migrations"
cp -a vendor "$former/vendor"
mkdir -p "$former/public/build"
cp -a public/build/. "$former/public/build/"
database_flags='--innodb-flush-log-at-trx-commit=0 --sync-binlog=0 --innodb-doublewrite=0'
start_database "$run/former-database"
cd "$former" || exit 1
composer dump-autoload --quiet
vendor/bin/pest --testsuite=Feature
