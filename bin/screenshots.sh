# ./isleward screenshots: docs/screenshots again, from a fresh demo project in a database of its own.
prepare_side_server isleward_shots 8390
php artisan isleward:demo
start_web "$VAR/side-web" "$SIDE_PORT"
mkdir -p docs/screenshots
php bin/screenshots.php "http://127.0.0.1:$SIDE_PORT" docs/screenshots
