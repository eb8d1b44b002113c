# ./isleward restore FILE [--yes], into a running "up".
here_file "$@"
reach_running
exec php "${PHP_JIT[@]}" artisan isleward:restore "${GIVEN[@]}"
