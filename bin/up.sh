# ./isleward up: everything on this machine, in the foreground.
PORT=8080
HOST=127.0.0.1
FRESH=0
DEMO=1
while [ $# -gt 0 ]; do
    case "$1" in
        --port) PORT="${2:?--port needs a number}"; shift ;;
        --port=*) PORT="${1#*=}" ;;
        --host) HOST="${2:?--host needs an address}"; shift ;;
        --host=*) HOST="${1#*=}" ;;
        --fresh) FRESH=1 ;;
        --no-demo) DEMO=0 ;;
        *) fail "up knows no option “$1”: see ./isleward --help" ;;
    esac
    shift
done
case "$PORT" in '' | *[!0-9]*) fail "“$PORT” is not a port number." ;; esac
[ "$PORT" -ge 1 ] && [ "$PORT" -le 65535 ] || fail "Ports run from 1 to 65535; $PORT was given."
case "$HOST" in *[!0-9A-Za-z.-]* | '') fail "“$HOST” is not an address to serve on." ;; esac
[ "$HOST" = 127.0.0.1 ] || say "Note: on $HOST others in the network reach Isleward, without encryption and with the demo's passwords. Behind a web server with TLS is the place for that."

install_server_packages
install_dependencies
build_interface
make_environment
if [ "$FRESH" = 1 ]; then
    exec 9>>"$VAR/lock"
    flock -n 9 || fail "The database is in use by a running Isleward: stop that first."
    exec 9>&-
    rm -rf "$VAR/db"
fi
rm -rf storage/framework/cache/derived

OWN_DB="${ISLEWARD_OWN_DB:-$(sed -n 's/^ISLEWARD_OWN_DB=//p' .env)}"
PARTS=migrate,cache,web,workers
[ "$DEMO" = 0 ] || PARTS=migrate,demo,cache,web,workers
[ "$OWN_DB" = 0 ] || PARTS="database,$PARTS"
exec php bin/keep.php --home="$VAR" --host="$HOST" --port="$PORT" --parts="$PARTS"
