# ./isleward backup FILE [--force], of a running "up".
here_file "$@"
reach_running
exec php "${PHP_JIT[@]}" artisan isleward:backup "${GIVEN[@]}"
