# Sourced by ./start and ./check: installs what is missing, and only that.

command -v node >/dev/null || { echo "Node.js 20.19 or newer is needed." >&2; exit 1; }

as_root() {
  if [ "$(id -u)" = 0 ]; then "$@"
  elif command -v sudo >/dev/null; then sudo "$@"
  else echo "Debian packages are missing and neither root nor sudo is at hand: $*" >&2; exit 1
  fi
}

# need PACKAGE: a Debian package, by what it must bring.
need() {
  case "$1" in
    postgresql) ls /usr/lib/postgresql/*/bin/initdb >/dev/null 2>&1 && return 0 ;;
    chromium-headless-shell) [ -x /usr/bin/chromium-headless-shell ] && return 0 ;;
    firefox-esr | xauth) command -v "$1" >/dev/null && return 0 ;;
    xvfb) command -v xvfb-run >/dev/null && return 0 ;;
    webkit2gtk-driver) command -v WebKitWebDriver >/dev/null && return 0 ;;
  esac
  echo "Installing Debian package $1 …" >&2
  local began=$SECONDS
  as_root env DEBIAN_FRONTEND=noninteractive apt-get update -qq >&2
  # The package would start a cluster of its own; ours is private, so that one is not made.
  if [ "$1" = postgresql ] && [ ! -e /etc/postgresql-common/createcluster.conf ]; then
    as_root mkdir -p /etc/postgresql-common
    echo "create_main_cluster = false" | as_root tee /etc/postgresql-common/createcluster.conf >/dev/null
  fi
  as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "$1" >&2
  echo "Installing Debian package $1: $((SECONDS - began)) s" >&2
}

# packages: npm packages exactly as locked, again only when the lock changed.
packages() {
  local want
  want="$(sha256sum package-lock.json | cut -c1-64) $(node -v)"
  mkdir -p .data
  # Two starts at once take turns; the lock goes with the process, so none is ever stale.
  exec 9>.data/setup.lock
  flock 9
  if [ "$(cat node_modules/.locked 2>/dev/null || true)" != "$want" ]; then
    echo "Installing npm packages …" >&2
    local began=$SECONDS
    npm ci --no-audit --no-fund --loglevel=error >&2
    echo "Installing npm packages: $((SECONDS - began)) s" >&2
    echo "$want" > node_modules/.locked
  fi
  flock -u 9
  exec 9>&-
}
