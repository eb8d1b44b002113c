# ./isleward trial [--kills N] [--requests N] [--people N] [--files N] [--json]: a server of its own, broken on purpose.
KILLS=100 REQUESTS=20000 PEOPLE=20 FILES=100 JSON=0
while [ $# -gt 0 ]; do
    case "$1" in
        --kills | --requests | --people | --files)
            case "${2:-}" in '' | *[!0-9]*) fail "$1 needs a number." ;; esac
            name="${1#--}"
            printf -v "${name^^}" '%s' "$2"
            shift
            ;;
        --json) JSON=1 ;;
        *) fail "trial knows no option “$1”: --kills, --requests, --people, --files, --json." ;;
    esac
    shift
done
[ "$PEOPLE" -ge 2 ] || fail "A trial needs two people at the least."
install_server_packages
install_dependencies
build_interface
make_environment
stop_when_done
export ISLEWARD_BENCH=1 LIMITER_STORE=array
keep "$VAR/trial" --parts=database,migrate,cache,web,workers --database=isleward_trial --anew --first-database-port=24706 --port="$(free_port 8490)" --restarts=100000
php -d memory_limit=2G bench/trial.php "$APP_URL" "$VAR/trial" "$KILLS" "$REQUESTS" "$PEOPLE" "$FILES" "$JSON"
