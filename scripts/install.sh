# Installs what a machine lacks; sourced by start, test and measure. Says one clear line and ends when it cannot.
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
export PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD=1
export PATH="$PATH:/usr/sbin:/sbin"

fail() { echo "$*" >&2; exit 1; }

need_node() {
  command -v node >/dev/null || fail "Node.js 20.19 or newer is needed and not installed."
  node -e 'const [a, b] = process.versions.node.split(".").map(Number); process.exit(a > 20 || (a === 20 && b >= 19) ? 0 : 1)' \
    || fail "Node.js 20.19 or newer is needed; this is $(node --version)."
}

as_root() {
  if [ "$(id -u)" = 0 ]; then "$@"; return; fi
  command -v sudo >/dev/null || fail "Missing packages, and neither root nor sudo to install them: ${*: -1}"
  sudo "$@"
}

# need_package COMMAND PACKAGE: a Debian package, unless its command is there.
need_package() {
  command -v "$1" >/dev/null && return
  command -v apt-get >/dev/null || fail "$1 is missing, and this is no Debian: install it by hand."
  echo "Installing $2 ..."
  [ -n "${apt_updated:-}" ] || as_root apt-get update -qq || fail "apt-get update failed: is the network there?"
  apt_updated=1
  # A package may start a service of its own; ours is private and does not touch it.
  DEBIAN_FRONTEND=noninteractive as_root apt-get install -y -qq --no-install-recommends "$2" >/tmp/junctor-apt.log 2>&1 \
    || fail "Could not install $2; see /tmp/junctor-apt.log"
  command -v "$1" >/dev/null || fail "$2 is installed, but there is no $1."
}

# npm packages, when the lock file differs from what was installed last.
need_modules() {
  local stamp=node_modules/.junctor-stamp want
  want=$(sha256sum package-lock.json | cut -d' ' -f1)
  [ "$(cat "$stamp" 2>/dev/null)" = "$want" ] && return
  echo "Installing packages ..."
  npm ci --no-fund --no-audit --loglevel=error 2>&1 | grep -v -e 'npm warn' -e '^$' || true
  [ -d node_modules/tsx ] || fail "npm ci failed: run it by hand to see why."
  echo "$want" >"$stamp"
}

# data_folder NAME: where a database may lie. Under root it runs as the user mysql, who must be able to enter the folder.
data_folder() {
  if [ "$(id -u)" = 0 ] && ! setpriv --reuid mysql --regid mysql --clear-groups test -x "$PWD"; then
    echo "/var/lib/junctor-$(pwd | sha256sum | cut -c1-8)${1#data}"
  else
    echo "$PWD/$1"
  fi
}

# The pages, when anything they are made of is newer than they are.
need_pages() {
  local built=web/dist/index.html
  if [ -f "$built" ] && [ -z "$(find web/src web/index.html web/public web/vite.config.ts core/src solver/src package-lock.json -newer "$built" -print -quit)" ]; then return; fi
  echo "Building the pages ..."
  (cd web && npx vite build --logLevel warn) || fail "The pages could not be built."
}
