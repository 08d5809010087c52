# bin/sarcina bench [--fleet N]: the core and the API, measured in one run and printed as ratios.

run_bench() {
    local fleet=0
    while [ $# -gt 0 ]; do
        case "$1" in
            --fleet) fleet=${2:?a number goes with --fleet}; shift 2 ;;
            *) echo "bench does not know \"$1\"" >&2; exit 64 ;;
        esac
    done
    need_packages; need_vendor; need_build
    echo "== core: kits of 45 lines and 60 rows, one core"
    php -d opcache.enable_cli=1 -d opcache.jit=tracing -d opcache.jit_buffer_size=64M bin/bench-core.php
    use_instance bench 8190
    port=$(free_port 8190)
    trap 'stop_server; stop_database' EXIT
    [ "$fleet" -lt 1000 ] || export DB_BUFFER_POOL=4G DB_REDO_LOG=2G
    start_database
    grep -q '^SIGN_IN_TRIES=' "$var/.env" || printf 'SIGN_IN_TRIES=1000\n' >> "$var/.env"
    prepare_application
    load_demo
    start_server
    echo "== API with the demo data"
    php bin/bench-api.php "$url"
    if [ "$fleet" -gt 0 ]; then
        echo "== loading a fleet of $fleet kits with $((fleet * 200)) movements"
        local begun=$SECONDS
        rm -rf "$var/load"
        # While one part is loaded the next is written.
        php -d opcache.enable_cli=1 -d opcache.jit=tracing -d opcache.jit_buffer_size=64M artisan fleet:load "$fleet" "$((fleet * 200))" "$var/load" \
            | while read -r file; do
                sql --local-infile=1 sarcina < "$file"
                rm -rf "$(dirname "$file")"
            done
        echo "loaded in $((SECONDS - begun)) s"
        php artisan database:analyze
        echo "== judging from the database"
        php -d opcache.enable_cli=1 artisan fleet:judge
        echo "== API with a fleet of $fleet kits"
        php bin/bench-api.php "$url"
        load_demo
    fi
}
