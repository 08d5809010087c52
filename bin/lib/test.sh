# bin/sarcina test: every part of the tests, or the parts named.

all_parts="core alone http components browser pint phpstan eslint prettier tsc"

run_tests() {
    local parts=${*:-$all_parts} part failed=()
    for part in $parts; do
        case " $all_parts long " in *" $part "*) ;; *) echo "There is no part \"$part\"; parts are: $all_parts, and long" >&2; exit 64 ;; esac
    done
    need_packages $test_packages
    need_vendor
    need_node_modules
    mkdir -p var/cache
    # What the framework remembers of its packages: the checkout may be another user's.
    export APP_PACKAGES_CACHE="$here/var/cache/packages.php" APP_SERVICES_CACHE="$here/var/cache/services.php"
    case " $parts " in *" http "*|*" browser "*|*" long "*) start_test_instance ;; esac
    declare -A outcome seconds
    local said="$here/var/cache/tests"
    mkdir -p "$said"
    for part in $parts; do
        echo
        echo "== $part"
        local from=$SECONDS
        if say_and_keep "$part" "$said/$part.log"; then outcome[$part]=passed; else outcome[$part]=FAILED; failed+=("$part"); fi
        seconds[$part]=$((SECONDS - from))
    done
    # Where many thousand lines went by, what failed is said again where one looks: at the end.
    for part in "${failed[@]}"; do
        echo
        echo "== $part failed; the end of what it said, all of it in var/cache/tests/$part.log"
        tail -n 60 "$said/$part.log"
    done
    echo
    echo "== what ran"
    for part in $parts; do printf '%-10s %s, %s s\n' "$part" "${outcome[$part]}" "${seconds[$part]}"; done
    local count=0
    for part in $parts; do count=$((count + 1)); done
    echo "$((count - ${#failed[@]})) passed, ${#failed[@]} failed"
    [ ${#failed[@]} -eq 0 ]
}

# say_and_keep PART FILE: runs it, and keeps what it says. Not through a plain pipe: that would wait for servers which the part started
# again and left running.
say_and_keep() {
    local ended=0 tries=0
    : > "$2"
    { "part_$1" || ended=$?; echo "== $1 has ended"; } > >(tee "$2") 2>&1
    until grep -q "^== $1 has ended" "$2" || [ $((tries += 1)) -gt 100 ]; do read -rt 0.1 <> <(:) || :; done
    return $ended
}

# An instance of its own, on loopback, stopped by its own process ids when the tests end.
start_test_instance() {
    need_build
    use_instance test 8090
    port=$(free_port 8090)
    trap 'stop_server; stop_database' EXIT
    start_database
    sql -e 'CREATE DATABASE IF NOT EXISTS sarcina_http CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci'
    let_in sarcina_http "$(env_of DB_PASSWORD)" ''
    grep -q '^HASH_MEMORY=' "$var/.env" || printf 'HASH_MEMORY=1024\nHASH_TIME=1\nSIGN_IN_TRIES=1000\n' >> "$var/.env"
    prepare_application
    load_demo
    start_server
    export SARCINA_TEST_URL=$url SARCINA_TEST_SOCKETS=$sockets
    export DB_OWNER_PASSWORD
    DB_OWNER_PASSWORD=$(cat "$var/owner")
}

part_core() { vendor/bin/phpunit -c core/phpunit.xml; }
part_alone() { vendor/bin/phpunit -c core/phpunit.xml --filter StandsAloneTest; }
part_http() { vendor/bin/phpunit --testsuite http && vendor/bin/phpunit --testsuite served; }
# What takes its time: races, hundreds of rounds.
# Twenty thousand kits take about as long as all the rest; CI's time ends at ninety minutes, and `test` compares two thousand there.
part_long() { load_demo && vendor/bin/phpunit --testsuite long ${CI:+--exclude-group fleet}; }
# The settings are read as they are: bundled, they would be written into node_modules, which is root's where root built the page.
part_components() { npx vitest run --configLoader runner; }
# After all journeys what Today says of each kit is what judging it anew says, and the record adds up.
part_browser() { load_demo && vendor/bin/phpunit --testsuite browser && php artisan kits:verify && php artisan ledger:verify; }
# Pint is an application of the same framework, and would read this one's cached settings. What it keeps goes into a folder of our own: in
# /tmp another user's may lie under the same name.
part_pint() { mkdir -p var/cache/pint; env -u APP_CONFIG_CACHE -u APP_ROUTES_CACHE -u APP_EVENTS_CACHE -u APP_PACKAGES_CACHE -u APP_SERVICES_CACHE -u DB_PORT TMPDIR="$here/var/cache/pint" vendor/bin/pint --test -q && echo "pint: nothing to mend"; }
part_phpstan() {
    vendor/bin/phpstan analyse -c phpstan-core.neon --no-progress --memory-limit=1G && vendor/bin/phpstan analyse -c phpstan-app.neon --no-progress --memory-limit=1G && vendor/bin/phpstan analyse -c phpstan-tests.neon --no-progress --memory-limit=1G
}
part_eslint() { npx eslint resources/js --max-warnings 0 && echo "eslint: nothing to mend"; }
part_prettier() { npx prettier --check resources/js; }
part_tsc() { npx tsc --noEmit && echo "tsc: nothing to mend"; }
