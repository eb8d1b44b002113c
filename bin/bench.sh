# ./isleward bench [--json]: ratios measured in one run.
JSON=0
for argument in "$@"; do
    case "$argument" in --json) JSON=1 ;; *) fail "bench knows no option “$argument”." ;; esac
done
export ISLEWARD_BENCH=1
prepare_side_server
keep "$VAR/side" --parts=database,migrate,cache,web,workers --database=isleward_bench --anew --first-database-port=24306 --port="$(free_port 8290)"
declare -A PROJECT
for count in 100 1000 5000 10000; do
    say "a project of $count openings"
    PROJECT[$count]="$(php "${PHP_JIT[@]}" artisan isleward:bench-project "$count")"
done
PROJECT[rack]="$(php "${PHP_JIT[@]}" artisan isleward:bench-project 100 --rack=465)"
PROJECT[types]="$(php "${PHP_JIT[@]}" artisan isleward:bench-project 3000 --types=30)"
say "files of 2500 and of 5000 openings of 30 types"
for count in 2500 5000; do
    project="$(php "${PHP_JIT[@]}" artisan isleward:bench-project "$count" --types=30)"
    php "${PHP_JIT[@]}" artisan isleward:export "$project" --format=glb --out "$VAR/bench-$count.glb" --quiet
done
printf '{"2500": %d, "5000": %d}\n' "$(stat -c %s "$VAR/bench-2500.glb")" "$(stat -c %s "$VAR/bench-5000.glb")" >"$VAR/bench-glb.json"
say "solving and drawing a unit, against polygon-clipping"
for round in 1 2 3 4 5 6 7; do # in turn, since the machine is not equally fast all the time
    php "${PHP_JIT[@]}" bench/unit.php >"$VAR/bench-unit-$round.json"
    node bench/unit.mjs "$VAR/bench-unit-$round.json" >"$VAR/bench-clipping-$round.json"
done
say "a tower of curtain wall, against plain arrays"
php "${PHP_JIT[@]}" bench/grid.php >"$VAR/bench-grid.json"
say "a tower of curtain wall as a project: moving a line, its model, panning its elevation"
php bench/tower.php "$APP_URL" >"$VAR/bench-tower.json"
php "${PHP_JIT[@]}" artisan isleward:export "Bench tower" --format=glb --out "$VAR/bench-tower.glb" --quiet
say "100 and 1 000 cut-outs in one screen"
php "${PHP_JIT[@]}" bench/regions.php >"$VAR/bench-regions.json"
say "one edge of a roof that 40 walls run up to"
php bench/under-roof.php "$APP_URL" >"$VAR/bench-under-roof.json"
say "roofs over 40, 100 and 400 corners, against straight-skeleton"
php "${PHP_JIT[@]}" bench/roof.php "$VAR/bench-roof-rings.json" >"$VAR/bench-roof.json"
node bench/roof.mjs "$VAR/bench-roof-rings.json" >"$VAR/bench-skeleton.json"
say "fins under laws, against plain arrays; a law tried, against a bare read; their model and frames"
php "${PHP_JIT[@]}" bench/fins.php "$APP_URL" >"$VAR/bench-fins.json"
php "${PHP_JIT[@]}" artisan isleward:export "Bench fins" --format=glb --out "$VAR/bench-fins.glb" --quiet
say "reading a given schedule and holding it, against fgetcsv"
php "${PHP_JIT[@]}" bench/schedule.php >"$VAR/bench-schedule.json"
say "cutting, against manifold-3d"
node bench/cut.mjs >"$VAR/bench-manifold.json"
php "${PHP_JIT[@]}" bench/cut.php >"$VAR/bench-cut.json"
say "edit round trip, against a bare write"
php bench/edit.php "$APP_URL" "${PROJECT[100]}" "${PROJECT[1000]}" "${PROJECT[10000]}" >"$VAR/bench-edit.json"
say "stacking, gathering and trying, against bare ones"
php bench/arrange.php "$APP_URL" "${PROJECT[10000]}" >"$VAR/bench-arrange.json"
say "what is fetched again after a type has changed"
php bench/refetch.php "$APP_URL" "${PROJECT[types]}" >"$VAR/bench-refetch.json"
say "opening the desk of 10000 openings, against as many bytes"
php bench/open.php "$APP_URL" "Bench 10000" >"$VAR/bench-open.json"
say "the first load on a slow line and a slow processor"
php bench/first-load.php "$APP_URL" "Bench 1000" >"$VAR/bench-first-load.json"
say "what differs from a revision"
php bench/revision.php "$APP_URL" "${PROJECT[10000]}" >"$VAR/bench-revision.json"
say "frames while panning and zooming 5000 openings"
php bench/fps.php "$APP_URL" "Bench 5000" >"$VAR/bench-fps.json"
say "frames over a tracing of 50 000 lines"
php bench/tracing.php "$APP_URL" "Bench 100" >"$VAR/bench-tracing.json"
say "frames while a rack of 500 types is drawn along"
php bench/rack.php "$APP_URL" "Bench rack 465" >"$VAR/bench-rack.json"
JSON="$JSON" php bench/report.php "$VAR"
