# ./isleward screenshots: docs/screenshots again, from a fresh demo project in a database of its own.
prepare_side_server
keep "$VAR/side" --parts=database,migrate,demo,web,workers --demo=always --database=isleward_shots --anew --first-database-port=24306 --port="$(free_port 8390)"
mkdir -p docs/screenshots
php bin/screenshots.php "$APP_URL" docs/screenshots
