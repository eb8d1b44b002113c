# Shared by the commands: installing, building, the database, the web server. Sourced from the project's root.
ROOT="$PWD"
VAR="$ROOT/var"
mkdir -p "$VAR"
PHP_JIT=(-d opcache.enable_cli=1 -d opcache.jit=tracing -d opcache.jit_buffer_size=128M -d memory_limit=2G)

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
    say "installing ${missing[*]}"
    apt-get update -qq >"$VAR/apt.log" 2>&1 || fail "apt-get update failed: see var/apt.log"
    DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "${missing[@]}" >>"$VAR/apt.log" 2>&1 || fail "installing failed: see var/apt.log"
}

install_server_packages() {
    install_packages ca-certificates mariadb-server php8.2-cli php8.2-fpm php8.2-mysql php8.2-mbstring php8.2-xml php8.2-intl php8.2-curl php8.2-zip php8.2-gd nginx librsvg2-bin poppler-utils curl unzip
    command -v composer >/dev/null || install_packages composer
    command -v node >/dev/null || install_packages nodejs npm
    [ "$(node -p 'process.versions.node.split(".")[0]')" -ge 20 ] || fail "Node 20 or later is needed to build the interface; this is $(node --version)."
}

# Runs a command when the files it depends on have changed since it last ran: once NAME FILES… -- COMMAND…
once() {
    local name="$1" files=()
    shift
    while [ "$1" != "--" ]; do
        files+=("$1")
        shift
    done
    shift
    local now
    now="$(find "${files[@]}" -type f -print0 2>/dev/null | sort -z | xargs -0 sha1sum | sha1sum)"
    [ "$(cat "$VAR/done-$name" 2>/dev/null)" = "$now" ] && return
    say "$name"
    "$@" >"$VAR/$name.log" 2>&1 || fail "$name failed: see var/$name.log"$'\n'"$(tail -n 15 "$VAR/$name.log")"
    echo "$now" >"$VAR/done-$name"
}

install_dependencies() {
    [ -d vendor ] || rm -f "$VAR/done-php-packages"
    [ -d node_modules ] || rm -f "$VAR/done-node-packages"
    once php-packages composer.json core/composer.json -- composer_install
    once node-packages package-lock.json -- npm ci --no-progress
}

composer_install() {
    COMPOSER_ALLOW_SUPERUSER=1 composer install --no-interaction --no-progress && chmod -R a+rX vendor
}

build_interface() {
    [ -f public/build/manifest.json ] || rm -f "$VAR/done-interface"
    once interface resources vite.config.ts tsconfig.json package-lock.json -- npx vite build
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

port_taken() { (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

free_port() {
    local port="$1"
    while port_taken "$port"; do port=$((port + 1)); done
    echo "$port"
}

# A MariaDB of our own in folder $1, on loopback; sets DB_PORT.
start_database() {
    local home="$1"
    DB_HOME="$home"
    mkdir -p "$home"
    local run_as=()
    if [ "$(id -u)" = 0 ]; then
        run_as=(--user=mysql)
        chown mysql:mysql "$home"
        # the server must be able to reach its folder
        sudo_can_reach mysql "$home" || run_as=(--user=root)
    fi
    if [ ! -d "$home/data/mysql" ]; then
        mariadb-install-db --no-defaults "${run_as[@]}" --datadir="$home/data" --auth-root-authentication-method=normal --skip-test-db >"$home/install.log" 2>&1 || fail "MariaDB would not initialise: see $home/install.log"
    fi
    DB_PORT="$(free_port "${DB_PORT_FIRST:-33306}")"
    mariadbd --no-defaults "${run_as[@]}" --datadir="$home/data" --socket="$home/m.sock" --pid-file="$home/m.pid" --bind-address=127.0.0.1 --port="$DB_PORT" \
        --log-error="$home/err.log" --skip-log-bin --innodb-buffer-pool-size=256M --innodb-flush-log-at-trx-commit="${DB_FLUSH:-1}" --max-allowed-packet=256M &
    DB_PID=$!
    for _ in $(seq 1 150); do
        mariadb-admin --no-defaults -uroot -S "$home/m.sock" ping >/dev/null 2>&1 && break
        kill -0 "$DB_PID" 2>/dev/null || fail "MariaDB did not start: see $home/err.log"
        sleep 0.1
    done
    mariadb --no-defaults -uroot -S "$home/m.sock" -e "
        CREATE DATABASE IF NOT EXISTS isleward CHARACTER SET utf8mb4;
        CREATE USER IF NOT EXISTS isleward@'127.0.0.1' IDENTIFIED BY 'isleward';
        CREATE USER IF NOT EXISTS isleward@localhost IDENTIFIED BY 'isleward';
        GRANT ALL ON \`isleward%\`.* TO isleward@'127.0.0.1';
        GRANT ALL ON \`isleward%\`.* TO isleward@localhost;" || fail "MariaDB would not take its user"
    export DB_PORT DB_HOST=127.0.0.1 DB_USERNAME=isleward DB_PASSWORD=isleward
}

sudo_can_reach() { setpriv --reuid="$1" --clear-groups test -x "$2" 2>/dev/null; }

stop_database() {
    [ -n "${DB_HOME:-}" ] || return 0
    mariadb-admin --no-defaults -uroot -S "$DB_HOME/m.sock" shutdown >/dev/null 2>&1 || true
    wait "${DB_PID:-}" 2>/dev/null || true
    DB_HOME=
}

# nginx and PHP-FPM in front of public/, files in folder $1, on port $2.
start_web() {
    local home="$1" port="$2" web_user
    mkdir -p "$home/tmp" storage/framework/{sessions,views} storage/framework/cache/{data,derived} storage/logs
    web_user="$(id -un)"
    if [ "$(id -u)" = 0 ]; then
        chmod a+rx "$home" "$VAR" && chmod -R a+rwX "$home/tmp" storage bootstrap/cache
        web_user=www-data
        sudo_can_reach www-data "$ROOT/public" || web_user=root
    fi
    local group
    group="$(id -gn "$web_user")"
    cat >"$home/fpm.conf" <<EOF
[global]
error_log = $home/fpm.log
daemonize = no
[web]
user = $web_user
group = $group
listen = $home/fpm.sock
listen.mode = 0666
pm = static
pm.max_children = ${FPM_CHILDREN:-4}
clear_env = no
catch_workers_output = yes
php_admin_value[memory_limit] = 1G
php_admin_value[post_max_size] = 32M
php_admin_value[opcache.jit] = tracing
php_admin_value[opcache.jit_buffer_size] = 128M
php_admin_value[opcache.memory_consumption] = 192
php_admin_value[opcache.max_accelerated_files] = 20000
EOF
    cat >"$home/nginx.conf" <<EOF
daemon off;
user $web_user $group;
pid $home/nginx.pid;
error_log $home/nginx.log;
worker_processes 2;
events { worker_connections 512; }
http {
    include /etc/nginx/mime.types;
    types { model/gltf-binary glb; }
    access_log off;
    client_body_temp_path $home/tmp/body;
    fastcgi_temp_path $home/tmp/fastcgi;
    proxy_temp_path $home/tmp/proxy;
    uwsgi_temp_path $home/tmp/uwsgi;
    scgi_temp_path $home/tmp/scgi;
    client_max_body_size 32m;
    gzip on;
    gzip_types application/json text/css application/javascript image/svg+xml model/gltf-binary;
    server_tokens off;
    server {
        listen 127.0.0.1:$port;
        root $ROOT/public;
        add_header X-Content-Type-Options nosniff;
        location /build/ { expires 1y; add_header Cache-Control "public, immutable"; add_header X-Content-Type-Options nosniff; try_files \$uri =404; }
        location / { try_files \$uri /index.php\$is_args\$args; }
        location = /index.php {
            include /etc/nginx/fastcgi_params;
            fastcgi_param HTTP_HOST \$host:\$server_port;
            fastcgi_param SCRIPT_FILENAME $ROOT/public/index.php;
            fastcgi_buffers 64 64k;
            fastcgi_buffer_size 64k;
            fastcgi_pass unix:$home/fpm.sock;
        }
    }
}
EOF
    # preloading is not for root
    local preload=()
    [ "$web_user" = root ] || preload=(-d "opcache.preload=$ROOT/bin/preload.php" -d "opcache.preload_user=$web_user")
    php-fpm8.2 -F -R -y "$home/fpm.conf" "${preload[@]}" >"$home/fpm.out" 2>&1 &
    FPM_PID=$!
    nginx -c "$home/nginx.conf" >"$home/nginx.out" 2>&1 &
    NGINX_PID=$!
    for _ in $(seq 1 100); do
        port_taken "$port" && [ -S "$home/fpm.sock" ] && return
        kill -0 "$NGINX_PID" 2>/dev/null || fail "the web server did not start: $(cat "$home/nginx.out")"
        kill -0 "$FPM_PID" 2>/dev/null || fail "PHP did not start: $(cat "$home/fpm.out")"
        sleep 0.1
    done
    fail "the web server did not answer on port $port"
}

# What runs long edits, one after the other.
start_worker() {
    php "${PHP_JIT[@]}" artisan queue:work --sleep=0.3 --tries=1 --timeout=1500 --memory=1500 >>"$VAR/worker.log" 2>&1 &
    WORKER_PID=$!
}

stop_worker() {
    [ -n "${WORKER_PID:-}" ] || return 0
    kill -TERM "$WORKER_PID" 2>/dev/null
    wait "$WORKER_PID" 2>/dev/null
    WORKER_PID=
    return 0
}

stop_web() {
    [ -n "${NGINX_PID:-}" ] && kill -QUIT "$NGINX_PID" 2>/dev/null
    [ -n "${FPM_PID:-}" ] && kill -QUIT "$FPM_PID" 2>/dev/null
    for pid in "${NGINX_PID:-}" "${FPM_PID:-}"; do
        [ -n "$pid" ] && wait "$pid" 2>/dev/null
    done
    NGINX_PID= FPM_PID=
    return 0
}

stop_all() {
    trap - INT TERM EXIT
    stop_worker
    stop_web
    stop_database
}

# Installs and builds what a throw-away server with Chromium needs, and gives it an empty database: $1 its name, $2 the first port to try.
prepare_side_server() {
    install_server_packages
    install_packages chromium chromium-driver
    install_dependencies
    build_interface
    make_environment
    trap stop_all EXIT
    trap 'stop_all; exit 130' INT TERM
    DB_PORT_FIRST=34306
    start_database "$VAR/side-db"
    mariadb --no-defaults -uroot -S "$DB_HOME/m.sock" -e "DROP DATABASE IF EXISTS $1; CREATE DATABASE $1 CHARACTER SET utf8mb4"
    SIDE_PORT="$(free_port "$2")"
    mkdir -p "$VAR/side-web"
    rm -f "$VAR"/side-web/*.php
    export DB_DATABASE="$1" APP_URL="http://127.0.0.1:$SIDE_PORT" APP_CONFIG_CACHE="$VAR/side-web/config.php" APP_ROUTES_CACHE="$VAR/side-web/routes.php"
    php artisan migrate --force --quiet
}
