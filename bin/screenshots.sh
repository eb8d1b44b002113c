# ./isleward screenshots: docs/screenshots again, from a fresh demo project in a database of its own.
install_server_packages
install_packages chromium chromium-driver
install_dependencies
build_interface
make_environment
trap stop_all EXIT
trap 'stop_all; exit 130' INT TERM
DB_PORT_FIRST=34306
start_database "$VAR/bench-db"
mariadb --no-defaults -uroot -S "$DB_HOME/m.sock" -e 'DROP DATABASE IF EXISTS isleward_shots; CREATE DATABASE isleward_shots CHARACTER SET utf8mb4'
SHOT_PORT="$(free_port 8390)"
export DB_DATABASE=isleward_shots APP_URL="http://127.0.0.1:$SHOT_PORT" APP_CONFIG_CACHE=/nonexistent/config.php APP_ROUTES_CACHE=/nonexistent/routes.php
php artisan migrate --force --quiet
php artisan isleward:demo
start_web "$VAR/bench-web" "$SHOT_PORT"
mkdir -p docs/screenshots
php bin/screenshots.php "http://127.0.0.1:$SHOT_PORT" docs/screenshots
