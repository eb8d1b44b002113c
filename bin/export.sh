# ./isleward export PROJECT --format=svg|glb|csv --out FILE, against the database of a running "up".
[ -d vendor ] || fail "Run ./isleward up first."
make_environment
if [ -f "$VAR/running" ] && [ -z "${DB_PORT:-}" ]; then
    DB_PORT="$(sed -n 's/^DB_PORT=//p' "$VAR/running")"
    [ -n "$DB_PORT" ] && export DB_PORT
fi
exec php "${PHP_JIT[@]}" artisan isleward:export "$@"
