# ./isleward bench [--json]: ratios measured in one run.
JSON=0
for argument in "$@"; do
    case "$argument" in --json) JSON=1 ;; *) fail "bench knows no option “$argument”." ;; esac
done
install_server_packages
install_packages chromium chromium-driver
install_dependencies
build_interface
make_environment
trap stop_all EXIT
trap 'stop_all; exit 130' INT TERM
DB_PORT_FIRST=34306
start_database "$VAR/bench-db"
mariadb --no-defaults -uroot -S "$DB_HOME/m.sock" -e 'DROP DATABASE IF EXISTS isleward_bench; CREATE DATABASE isleward_bench CHARACTER SET utf8mb4'
BENCH_PORT="$(free_port 8290)"
export DB_DATABASE=isleward_bench ISLEWARD_BENCH=1 APP_URL="http://127.0.0.1:$BENCH_PORT" APP_CONFIG_CACHE="$VAR/bench-web/config.php" APP_ROUTES_CACHE="$VAR/bench-web/routes.php"
mkdir -p "$VAR/bench-web"
rm -f "$VAR"/bench-web/*.php
php artisan migrate --force --quiet
declare -A PROJECT
for count in 100 1000 5000 10000; do
    say "a project of $count openings"
    PROJECT[$count]="$(php "${PHP_JIT[@]}" artisan isleward:bench-project "$count")"
done
php artisan config:cache --quiet
php artisan route:cache --quiet
start_web "$VAR/bench-web" "$BENCH_PORT"
say "cutting, against manifold-3d"
node bench/cut.mjs >"$VAR/bench-manifold.json"
php "${PHP_JIT[@]}" bench/cut.php >"$VAR/bench-cut.json"
say "edit round trip, against a bare write"
php bench/edit.php "http://127.0.0.1:$BENCH_PORT" "${PROJECT[100]}" "${PROJECT[1000]}" "${PROJECT[10000]}" >"$VAR/bench-edit.json"
say "frames while panning and zooming 5000 openings"
php bench/fps.php "http://127.0.0.1:$BENCH_PORT" "Bench 5000" >"$VAR/bench-fps.json"
JSON="$JSON" php bench/report.php "$VAR"
