#!/usr/bin/env bash
# Pages that reload as they are edited, a server that starts again as it is, a database of its own with the demo shop.
. "$(dirname "$0")/install.sh"
need_node
need_package mariadbd mariadb-server
need_modules
export JUNCTOR_DATA="${JUNCTOR_DATA:-$(data_folder data-dev)}"
export JUNCTOR_PORT="${JUNCTOR_PORT:-4690}"
trap 'kill $(jobs -p) 2>/dev/null; wait' EXIT INT TERM
node_modules/.bin/tsx watch --clear-screen=false server/src/main.ts --no-pages "$@" &
(cd web && exec ../node_modules/.bin/vite --host 127.0.0.1) &
wait -n
