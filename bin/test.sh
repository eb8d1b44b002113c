# ./isleward test [lint|core|feature|peers|standing|browser]
PARTS=("$@")
[ ${#PARTS[@]} -eq 0 ] && PARTS=(lint core peers feature standing browser)
for part in "${PARTS[@]}"; do
    case "$part" in lint | core | feature | peers | standing | browser) ;; *) fail "There is no part of the tests called “$part”: lint, core, feature, peers, standing, browser." ;; esac
done

install_server_packages
case " ${PARTS[*]} " in *" browser "*) install_packages chromium chromium-driver ;; esac
install_dependencies
case " ${PARTS[*]} " in *" browser "* | *" feature "* | *" standing "*) build_interface ;; esac
make_environment
stop_when_done
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

run() {
    case "$1" in
        lint) lint ;;
        core) section "core"; php "${PHP_JIT[@]}" vendor/bin/phpunit --testsuite core ;;
        feature) section "feature: the API against MariaDB"; with_database; php "${PHP_JIT[@]}" vendor/bin/phpunit --testsuite feature ;;
        peers) section "peers: our output read by other libraries"; php "${PHP_JIT[@]}" vendor/bin/phpunit --testsuite peers ;;
        standing) section "standing: starting, watching, ending, from a fresh copy"; php "${PHP_JIT[@]}" vendor/bin/phpunit --testsuite standing ;;
        browser) browser ;;
    esac
}

# Lint goes on beside the tests that need no server and time nothing; its words come when it is done.
BESIDE=
beside() {
    set -m # a group of its own, which ends with us
    (
        set -e
        run "$1"
    ) >"$VAR/test-beside.log" 2>&1 &
    BESIDE=$!
    set +m
    trap 'kill -TERM -- "-$BESIDE" 2>/dev/null; stop_kept' EXIT
    trap 'kill -TERM -- "-$BESIDE" 2>/dev/null; stop_kept; exit 130' INT TERM HUP
}

join_beside() {
    local code=0
    [ -n "$BESIDE" ] || return 0
    wait "$BESIDE" || code=$?
    cat "$VAR/test-beside.log"
    stop_when_done
    BESIDE=
    [ "$code" = 0 ] || exit "$code"
}

if [[ " ${PARTS[*]} " == *" lint "* && " ${PARTS[*]} " == *" core "* ]]; then beside lint; fi
for part in "${PARTS[@]}"; do
    [ "$part" != lint ] || [ -z "$BESIDE" ] || continue
    # what times itself wants the machine for itself
    case "$part" in core | peers) ;; *) join_beside ;; esac
    run "$part"
done
join_beside
printf '\n✓ %s\n' "${PARTS[*]}"
