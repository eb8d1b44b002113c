# ./isleward person add EMAIL --name NAME, against the database of a running "up".
reach_running
exec php "${PHP_JIT[@]}" artisan isleward:person "$@"
