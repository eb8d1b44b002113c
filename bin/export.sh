# ./isleward export PROJECT --format=svg|glb|csv --out FILE, against the database of a running "up".
reach_running
exec php "${PHP_JIT[@]}" artisan isleward:export "$@"
