# ./isleward bench [--json]: ratios measured in one run.
JSON=0
for argument in "$@"; do
    case "$argument" in --json) JSON=1 ;; *) fail "bench knows no option “$argument”." ;; esac
done
export ISLEWARD_BENCH=1
prepare_side_server isleward_bench 8290
declare -A PROJECT
for count in 100 1000 5000 10000; do
    say "a project of $count openings"
    PROJECT[$count]="$(php "${PHP_JIT[@]}" artisan isleward:bench-project "$count")"
done
php artisan config:cache --quiet
php artisan route:cache --quiet
start_web "$VAR/side-web" "$SIDE_PORT"
say "cutting, against manifold-3d"
node bench/cut.mjs >"$VAR/bench-manifold.json"
php "${PHP_JIT[@]}" bench/cut.php >"$VAR/bench-cut.json"
say "edit round trip, against a bare write"
php bench/edit.php "http://127.0.0.1:$SIDE_PORT" "${PROJECT[100]}" "${PROJECT[1000]}" "${PROJECT[10000]}" >"$VAR/bench-edit.json"
say "stacking, gathering and trying, against bare ones"
php bench/arrange.php "http://127.0.0.1:$SIDE_PORT" "${PROJECT[10000]}" >"$VAR/bench-arrange.json"
say "frames while panning and zooming 5000 openings"
php bench/fps.php "http://127.0.0.1:$SIDE_PORT" "Bench 5000" >"$VAR/bench-fps.json"
JSON="$JSON" php bench/report.php "$VAR"
