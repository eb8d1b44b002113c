# ./isleward test [lint|core|feature|peers|browser]
PARTS=("$@")
[ ${#PARTS[@]} -eq 0 ] && PARTS=(lint core feature peers browser)
for part in "${PARTS[@]}"; do
    case "$part" in lint | core | feature | peers | browser) ;; *) fail "There is no part of the tests called “$part”: lint, core, feature, peers, browser." ;; esac
done

install_server_packages
case " ${PARTS[*]} " in *" browser "*) install_packages chromium chromium-driver ;; esac
install_dependencies
case " ${PARTS[*]} " in *" browser "* | *" feature "*) build_interface ;; esac
make_environment
trap stop_all EXIT
trap 'stop_all; exit 130' INT TERM
PASSED=()
section() { printf '\n== %s\n' "$*"; }

lint() {
    section "lint: Pint, PHPStan, ESLint, TypeScript, description of the API"
    vendor/bin/pint --test
    vendor/bin/phpstan analyse --no-progress --memory-limit=2G
    vendor/bin/phpstan analyse --no-progress --memory-limit=2G -c phpstan-app.neon
    npm run -s lint
    npm run -s types
    php artisan isleward:openapi --check
    npx openapi-typescript docs/openapi.json -o "$VAR/schema.ts" >/dev/null 2>&1
    diff -q "$VAR/schema.ts" resources/js/api/schema.generated.ts || fail "resources/js/api/schema.generated.ts is out of date: npm run api"
}

with_database() {
    [ -n "${TEST_DB:-}" ] && return
    TEST_DB=1
    DB_PORT_FIRST=34306 DB_FLUSH=0
    start_database "$VAR/test-db"
    mariadb --no-defaults -uroot -S "$DB_HOME/m.sock" -e 'DROP DATABASE IF EXISTS isleward_test; CREATE DATABASE isleward_test CHARACTER SET utf8mb4'
}

browser() {
    section "browser: the interface in headless Chromium"
    with_database
    mariadb --no-defaults -uroot -S "$DB_HOME/m.sock" -e 'DROP DATABASE IF EXISTS isleward_browser; CREATE DATABASE isleward_browser CHARACTER SET utf8mb4'
    export DB_DATABASE=isleward_browser
    local port
    port="$(free_port 8190)"
    export APP_URL="http://127.0.0.1:$port" ISLEWARD_ADDRESS="http://127.0.0.1:$port" APP_CONFIG_CACHE=/nonexistent/config.php APP_ROUTES_CACHE=/nonexistent/routes.php
    php artisan migrate --force --quiet
    php artisan isleward:demo
    start_web "$VAR/test-web" "$port"
    start_worker
    php "${PHP_JIT[@]}" vendor/bin/phpunit --testsuite browser
}

for part in "${PARTS[@]}"; do
    case "$part" in
        lint) lint ;;
        core) section "core"; php "${PHP_JIT[@]}" vendor/bin/phpunit --testsuite core ;;
        feature) section "feature: the API against MariaDB"; with_database; php "${PHP_JIT[@]}" vendor/bin/phpunit --testsuite feature ;;
        peers) section "peers: our output read by other libraries"; php "${PHP_JIT[@]}" vendor/bin/phpunit --testsuite peers ;;
        browser) browser ;;
    esac
    PASSED+=("$part")
done
printf '\n✓ %s\n' "${PASSED[*]}"
