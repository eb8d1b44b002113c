# ./isleward up: everything on this machine, in the foreground.
PORT=8080
FRESH=0
while [ $# -gt 0 ]; do
    case "$1" in
        --port) PORT="${2:?--port needs a number}"; shift ;;
        --port=*) PORT="${1#*=}" ;;
        --fresh) FRESH=1 ;;
        *) fail "up knows no option “$1”: see ./isleward --help" ;;
    esac
    shift
done
case "$PORT" in '' | *[!0-9]*) fail "“$PORT” is not a port number." ;; esac

install_server_packages
port_taken "$PORT" && fail "Port $PORT is taken by another program: stop that, or choose another with --port N."
install_dependencies
build_interface
make_environment
if [ "$FRESH" = 1 ]; then
    [ -S "$VAR/db/m.sock" ] && mariadb-admin --no-defaults -uroot -S "$VAR/db/m.sock" ping >/dev/null 2>&1 && fail "The database is in use by a running Isleward: stop that first."
    rm -rf "$VAR/db"
fi
rm -rf storage/framework/cache/derived

OWN_DB="${ISLEWARD_OWN_DB:-$(sed -n 's/^ISLEWARD_OWN_DB=//p' .env)}"
trap 'stop_all; say "stopped"; exit 0' INT TERM
trap stop_all EXIT
[ "$OWN_DB" = 0 ] || start_database "$VAR/db"
export APP_URL="http://127.0.0.1:$PORT" APP_CONFIG_CACHE="$VAR/cache/config.php" APP_ROUTES_CACHE="$VAR/cache/routes.php"
mkdir -p "$VAR/cache"
rm -f "$VAR"/cache/*.php
php artisan migrate --force --quiet
php artisan isleward:demo --if-empty
php artisan config:cache --quiet
php artisan route:cache --quiet
echo "DB_PORT=${DB_PORT:-}" >"$VAR/running"
start_web "$VAR/web" "$PORT"
start_worker
cat <<EOF

  Isleward   http://127.0.0.1:$PORT
  sign in    pilot@skerrow.example   ·   password: harbour-light
  to look    guest@skerrow.example   ·   password: harbour-light   (may not change anything)

  Ctrl-C stops it.
EOF
while kill -0 "$NGINX_PID" 2>/dev/null && kill -0 "$FPM_PID" 2>/dev/null; do
    kill -0 "$WORKER_PID" 2>/dev/null || start_worker
    sleep 1 & wait $!
done
fail "the web server ended by itself: see var/web"
