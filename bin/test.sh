# ./isleward test [lint|core|feature|peers|standing|browser]
PARTS=("$@")
[ ${#PARTS[@]} -eq 0 ] && PARTS=(lint core feature peers standing browser)
for part in "${PARTS[@]}"; do
    case "$part" in lint | core | feature | peers | standing | browser) ;; *) fail "There is no part of the tests called “$part”: lint, core, feature, peers, standing, browser." ;; esac
done

install_server_packages
case " ${PARTS[*]} " in *" browser "*) install_packages chromium chromium-driver ;; esac
install_dependencies
case " ${PARTS[*]} " in *" browser "* | *" feature "* | *" standing "*) build_interface ;; esac
make_environment
stop_when_done
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
    keep "$VAR/test" --parts=database --database=isleward_test --anew --first-database-port=24306 --flush=0
}

browser() {
    section "browser: the interface in headless Chromium"
    local port
    port="$(free_port 8190)"
    (
        KEPT=()
        stop_when_done
        keep "$VAR/browser" --parts=database,migrate,demo,web,workers --demo=always --database=isleward_browser --anew --first-database-port=24406 --flush=0 --port="$port"
        export ISLEWARD_ADDRESS="$APP_URL"
        php "${PHP_JIT[@]}" vendor/bin/phpunit --testsuite browser
    )
}

for part in "${PARTS[@]}"; do
    case "$part" in
        lint) lint ;;
        core) section "core"; php "${PHP_JIT[@]}" vendor/bin/phpunit --testsuite core ;;
        feature) section "feature: the API against MariaDB"; with_database; php "${PHP_JIT[@]}" vendor/bin/phpunit --testsuite feature ;;
        peers) section "peers: our output read by other libraries"; php "${PHP_JIT[@]}" vendor/bin/phpunit --testsuite peers ;;
        standing) section "standing: starting, watching, ending, from a fresh copy"; php "${PHP_JIT[@]}" vendor/bin/phpunit --testsuite standing ;;
        browser) browser ;;
    esac
    PASSED+=("$part")
done
printf '\n✓ %s\n' "${PASSED[*]}"
