# Sourced by ./start and ./test: brings in what is missing, and does nothing when it is there.

say() { printf '· %s\n' "$*" >&2; }

fail() {
  printf 'Modest Rotor: %s\n' "$*" >&2
  exit 1
}

as_root() {
  if [ "$(id -u)" = 0 ]; then
    "$@"
  elif command -v sudo >/dev/null; then
    sudo "$@"
  else
    fail "“$*” needs root: run as root, or install sudo."
  fi
}

# install_system NAME...: Debian packages for the things named; a database cluster of the system's own is never made.
install_system() {
  local packages=()
  for thing in "$@"; do
    case "$thing" in
      postgresql) compgen -G '/usr/lib/postgresql/*/bin/initdb' >/dev/null || packages+=(postgresql) ;;
      browser)
        [ -x /usr/bin/chromium ] || packages+=(chromium)
        [ -x /usr/bin/chromedriver ] || packages+=(chromium-driver)
        ;;
    esac
  done
  command -v node >/dev/null && command -v npm >/dev/null || packages+=(nodejs npm)
  python=$(find_python) || packages+=(python3)
  [ -x .venv/bin/python ] || "${python:-python3}" -c 'import venv, ensurepip' 2>/dev/null || packages+=(python3-venv)
  if [ "${#packages[@]}" -gt 0 ]; then
    command -v apt-get >/dev/null || fail "please install: ${packages[*]} (this machine has no apt-get)."
    say "installing Debian packages: ${packages[*]}"
    if [ ! -e /etc/postgresql-common/createcluster.conf ]; then
      as_root mkdir -p /etc/postgresql-common
      echo 'create_main_cluster = false' | as_root tee /etc/postgresql-common/createcluster.conf >/dev/null
    fi
    as_root env DEBIAN_FRONTEND=noninteractive apt-get update -qq
    as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends \
      -o Dpkg::Options::=--force-confold "${packages[@]}" >/dev/null ||
      fail "the Debian packages ${packages[*]} could not be installed; see the lines above."
  fi
  python=$(find_python) || fail "Python 3.11 or newer is needed."
}

find_python() {
  local candidate
  for candidate in python3 python3.13 python3.12 python3.11 /usr/bin/python3; do
    if "$candidate" -c 'import sys; sys.exit(sys.version_info < (3, 11))' 2>/dev/null; then
      echo "$candidate"
      return 0
    fi
  done
  return 1
}

# done_before NAME FILE...: whether this step was last done with these very files; remember NAME after doing it.
fingerprint() { cat "$@" 2>/dev/null | sha256sum | cut -d' ' -f1; }
done_before() { [ "$(cat ".state/$1" 2>/dev/null)" = "$2" ]; }
remember() {
  mkdir -p .state
  echo "$2" >".state/$1"
}

# install_python run|dev: the virtual environment, from hash-locked requirements.
install_python() {
  local wanted=(requirements/run.txt) mark
  [ "$1" = dev ] && wanted+=(requirements/dev.txt)
  mark=$(fingerprint "${wanted[@]}" pyproject.toml)
  if [ -x .venv/bin/python ] && { done_before "python-$1" "$mark" || { [ "$1" = run ] && done_before python-dev "$(fingerprint requirements/run.txt requirements/dev.txt pyproject.toml)"; }; }; then
    return
  fi
  say "installing Python packages"
  [ -x .venv/bin/python ] || "$python" -m venv .venv || fail "the virtual environment could not be made; is python3-venv installed?"
  local arguments=()
  for file in "${wanted[@]}"; do arguments+=(-r "$file"); done
  .venv/bin/python -m pip install --quiet --disable-pip-version-check --require-hashes "${arguments[@]}" 2> >(grep -v 'is ignored: it is neither' >&2) ||
    fail "the Python packages could not be installed; see the lines above."
  .venv/bin/python -m pip install --quiet --disable-pip-version-check --no-deps --no-build-isolation --editable . 2> >(grep -v 'is ignored: it is neither' >&2) ||
    fail "the application could not be set up in its virtual environment."
  remember "python-$1" "$mark"
}

# The front end is built with Node 20.19 or newer. Debian's own may be older; the npm registry has Node as a package.
node_is_new_enough() {
  node -e 'const [major, minor] = process.versions.node.split(".").map(Number);
           process.exit(major > 20 || (major === 20 && minor >= 19) ? 0 : 1)' 2>/dev/null
}

bring_node() {
  if [ -x .node/node_modules/.bin/node ]; then PATH="$PWD/.node/node_modules/.bin:$PATH"; fi
  if node_is_new_enough; then return; fi
  say "installing Node 22 beside the older one of this machine"
  npm install --prefix .node --no-save --no-audit --no-fund --silent node@22 >/dev/null ||
    fail "Node 20.19 or newer is needed to build the front end, and could not be installed; see the lines above."
  PATH="$PWD/.node/node_modules/.bin:$PATH"
}

install_node() {
  local mark
  bring_node
  mark=$(fingerprint web/package-lock.json)
  if [ -d web/node_modules ] && done_before node "$mark"; then return; fi
  say "installing front-end packages"
  (cd web && npm ci --silent --no-audit --no-fund) || fail "the front-end packages could not be installed; see the lines above."
  remember node "$mark"
}

build_web() {
  local mark
  mark=$(find web -path web/node_modules -prune -o -path web/dist -prune -o -type f -print | LC_ALL=C sort | xargs cat | sha256sum | cut -d' ' -f1)
  if [ -f web/dist/index.html ] && done_before web "$mark"; then return; fi
  install_node
  say "building the front end"
  (cd web && npm run --silent build >../.state/build.log 2>&1) || { cat .state/build.log >&2; fail "the front end could not be built."; }
  remember web "$mark"
}
