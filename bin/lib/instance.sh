# One running Sarcina: its own folder under var/, database, server and port. Tests and measurements have theirs.
. bin/lib/keep.sh
. bin/lib/database.sh
. bin/lib/server.sh
. bin/lib/backup.sh

use_instance() {
    instance=$1
    # Far apart, so that instances that start at once do not reach for one port; below the ports that outgoing connections take.
    case "$instance" in main) db_from=13600 ;; own) db_from=13500 ;; test) db_from=13700 ;; bench) db_from=13800 ;; *) db_from=13900 ;; esac
    var="$here/var/$instance"
    port=$2
    [ -s "$var/port" ] && port=$(cat "$var/port")
    # Keys, passwords, sessions and the record lie here: nobody else on this machine reads any of it.
    umask 077
    mkdir -p "$var/storage/framework/views" "$var/storage/logs" "$var/run"
    # What an earlier version made as well; of the database the folder is enough.
    find "$var" ! -type l -perm /077 ! -path "$var/db/*" -exec chmod go-rwx {} +
    sockets=$(socket_folder)
    export SARCINA_VAR="$var"
    export APP_CONFIG_CACHE="$var/config.php" APP_ROUTES_CACHE="$var/routes.php" APP_EVENTS_CACHE="$var/events.php"
    export APP_PACKAGES_CACHE="$var/packages.php" APP_SERVICES_CACHE="$var/services.php"
}

# socket_folder: where sockets lie. A socket's path must be short, a checkout's may be long: then in a folder of its own, made anew where
# the one that was used before is not a plain folder that is ours alone.
socket_folder() {
    local known="$var/run/sockets"
    if [ ${#var} -le 80 ]; then
        echo "$var/run"
        return
    fi
    if ! [ -f "$known" ] || ! is_private "$(cat "$known")"; then
        mktemp -d /tmp/sarcina-XXXXXXXXXXXX > "$known"
    fi
    cat "$known"
}

is_private() { [ -d "$1" ] && [ ! -L "$1" ] && [ "$(stat -c '%u %a' "$1")" = "$(id -u) 700" ]; }

# is_own, is_kept: an organisation's own; one whose record is not made anew. Those of tests that are of the same kind are named after them.
is_own() { case "$instance" in own|own-*) ;; *) return 1 ;; esac; }
is_kept() { case "$instance" in main|main-*|own|own-*) ;; *) return 1 ;; esac; }

named_instance() { case " $* " in *' --own '*) echo own ;; *) echo main ;; esac; }

# choose_instance [--own …]: the demo, or one's own organisation. What was said of listening before holds until it is said anew.
choose_instance() {
    instance=$(named_instance "$@")
    listen= cert= key=
    if [ "$instance" = own ]; then use_instance own 8090; else use_instance main 8080; fi
    [ ! -f "$var/listen" ] || . "$var/listen"
}

# Beyond this machine nobody listens without TLS: passwords and records would go in the clear.
check_listening() {
    case "${listen:-127.0.0.1}" in 127.*|localhost|::1) ;; *)
        if ! is_own; then
            echo "The demo is served to this machine alone: its passwords are known. Use start --own." >&2
            exit 64
        fi
        if [ -z "$cert" ] || [ -z "$key" ]; then
            echo "Beyond this machine Sarcina is served by TLS alone: give --cert FILE --key FILE with --listen (docs/operating.md says how to make them)." >&2
            exit 64
        fi
        ;;
    esac
    if [ -n "$cert$key" ]; then
        if ! [ -r "$cert" ] || ! [ -r "$key" ]; then
            echo "The certificate or its key cannot be read: --cert ${cert:-is missing}, --key ${key:-is missing}." >&2
            exit 64
        fi
        if [ "$(openssl x509 -in "$cert" -noout -pubkey 2>/dev/null)" != "$(openssl pkey -in "$key" -pubout 2>/dev/null)" ]; then
            echo "This key does not belong to this certificate." >&2
            exit 64
        fi
    fi
    (umask 077; printf 'listen=%q cert=%q key=%q\n' "$listen" "$cert" "$key" > "$var/listen")
}

is_set_up() { [ "$(sql -N -e 'SELECT COUNT(*) FROM sarcina.organisations')" != 0 ]; }

# check_disk FOLDER: whether anything can be written there; what is wrong otherwise, and what to do.
check_disk() {
    local mount left
    mkdir -p "$1" 2>/dev/null || :
    mount=$(df -P "$1" 2>/dev/null | tail -1 | awk '{print $6}') || :
    if ! { mkdir -p "$1" && printf '%4096s' x > "$1/.written"; } 2>/dev/null; then
        rm -f "$1/.written" 2>/dev/null || :
        left=$(df -Pk "$1" 2>/dev/null | tail -1 | awk '{print int($4 / 1024)}') || :
        if [ -n "$left" ] && [ "$left" -lt 20 ]; then
            echo "The disk is full: $left MB are left on $mount. Make room there, then start again. Nothing that was recorded is lost." >&2
        else
            echo "$1 cannot be written by $(id -un): it is read-only, or another user's. Make it writable, then start again." >&2
        fi
        exit 1
    fi
    rm -f "$1/.written"
    left=$(df -Pk "$1" | tail -1 | awk '{print int($4 / 1024)}')
    if [ "$left" -lt "${LEAST_MB:-100}" ]; then
        echo "Only $left MB are left on $mount, and Sarcina needs ${LEAST_MB:-100} MB to work. Make room there, then start again. Nothing that was recorded is lost." >&2
        exit 1
    fi
}

# alone: one command at a time sets an instance up; what one that was killed left running is waited for.
alone() {
    exec 9> "$var/run/lock"
    flock -n 9 && return
    say "another command is at work on $var: waiting for it"
    flock -w 300 9 || { echo "It did not end within five minutes: nothing was done." >&2; exit 1; }
}

# holds_record: whether something is on record that cannot be made again. Demo data that was not wholly loaded is none.
holds_record() {
    local tables rows
    is_kept || return 1
    is_own || [ -f "$var/demo-loaded" ] || return 1
    tables=$(sql -N -e "SELECT COUNT(*) FROM information_schema.tables WHERE table_schema = 'sarcina' AND table_name IN ('operations', 'organisations')") || exit 1
    [ "$tables" = 2 ] || return 1
    rows=$(sql -N -e 'SELECT (SELECT COUNT(*) FROM sarcina.operations) + (SELECT COUNT(*) FROM sarcina.organisations)') || exit 1
    [ "$rows" != 0 ]
}

prepare_application() {
    # Sessions and cache lie in the database; what an earlier version left on the disk goes.
    rm -rf "$var/storage/framework/sessions" "$var/storage/framework/cache"
    [ "$(env_of DB_PORT)" = "$DB_PORT" ] || set_env DB_PORT "$DB_PORT"
    rm -f "$APP_CONFIG_CACHE" "$APP_ROUTES_CACHE" "$APP_EVENTS_CACHE"
    put_back_upgrade
    if [ "$(as_owner php artisan database:fits --waiting)" != none ]; then migrate; fi
    as_owner php artisan database:grants
    as_owner php artisan database:triggers
    php artisan config:cache --quiet
    php artisan route:cache --quiet
    # An upgrade may judge otherwise: nothing that was worked out by other rules is shown as present.
    php artisan kits:fit
    php artisan emergencies:fit
}

# migrate: what holds no record is begun anew, whatever an earlier try left of it; what holds one is backed up first.
migrate() {
    local migrated file
    # Nobody writes meanwhile what would be gone if this has to be put back.
    stop_server
    if holds_record; then
        as_owner php artisan database:fits || exit 1
        say "an upgrade: a backup is made first"
        make_backup upgrade
        echo "$backup_file" > "$var/run/upgrading.new"
        mv "$var/run/upgrading.new" "$var/run/upgrading"
    else
        empty_database
    fi
    if ! migrated=$(as_owner php artisan migrate --force --database=owner); then
        echo "$migrated" >&2
        [ -f "$var/run/upgrading" ] || exit 1
        put_back_upgrade
        echo "The upgrade failed, and nothing of it stays. Start the version that you had before; what failed is said above." >&2
        exit 1
    fi
    as_owner php artisan database:fits --keep
    rm -f "$var/run/upgrading"
}

# put_back_upgrade: of an upgrade that did not come to its end nothing stays.
put_back_upgrade() {
    local file
    [ -f "$var/run/upgrading" ] || return 0
    file=$(cat "$var/run/upgrading")
    stop_server
    say "an upgrade was broken off: the database is put back as it was before"
    if ! tar -tf "$file" >/dev/null 2>&1; then
        echo "The backup that was made before the upgrade is gone: $file. Put it back, then start again." >&2
        exit 1
    fi
    # This machine made it, perhaps before there was a key.
    unpack "$file" --unauthenticated >/dev/null
    empty_database
    load_dump "$unpacked" sarcina
    rm -rf "$unpacked" "$var/run/upgrading"
}

# What was made by another version is not brought up to date: all its tables go.
empty_database() {
    sql -e 'DROP DATABASE IF EXISTS sarcina; CREATE DATABASE sarcina CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci'
}

load_demo() {
    say "loading the demo data"
    # The cached settings do not hold the owner's password: they are made anew after it. Until the end nothing is said to be loaded.
    rm -f "$APP_CONFIG_CACHE" "$var/demo-loaded"
    as_owner php artisan demo:load
    as_owner php artisan database:fits --keep
    as_owner php artisan database:analyze
    php artisan config:cache --quiet
    php artisan ledger:checkpoint
    touch "$var/demo-loaded"
}

# bring_up: from whatever an earlier start, stop, upgrade or fault left, to where it is served.
bring_up() {
    check_disk "$var"
    alone
    not_half_restored
    start_database
    prepare_application
    is_own || load_demo_once
    if ! is_own || is_set_up; then
        php artisan ledger:checkpoint >/dev/null
        php artisan people:forget >/dev/null
    fi
    start_server
}

load_demo_once() { [ -f "$var/demo-loaded" ] || load_demo; }

# need_instance: ends a reading command if there is no instance, and leaves nothing behind.
need_instance() {
    [ -d "$var/db/mysql" ] && return
    rmdir "$var/storage/framework/views" "$var/storage/framework" "$var/storage/logs" "$var/storage" "$var/run" "$var" 2>/dev/null || :
    echo "There is nothing in $var yet: bin/sarcina start$(! is_own || printf ' --own') makes it." >&2
    exit 64
}

# status_json: prints what say_status says, for programs.
status_json() {
    local part runs=()
    for part in nginx fpm worker clock follower db; do
        runs+=("\"$part\":$(if alive "$var/run/$part.keeper"; then echo true; else echo false; fi)")
    done
    printf '{"instance":"%s","url":"%s","runs":{%s},"newest_backup":%s}\n' "$instance" "$(env_of APP_URL)" "$(IFS=,; echo "${runs[*]}")" \
        "$(newest=$(find "$var/backups" -maxdepth 1 -name 'sarcina-*.tar' 2>/dev/null | sort | tail -1); [ -z "$newest" ] && echo null || printf '"%s"' "$(basename "$newest")")"
}

# say_logs: prints the end of each log, the newest last.
say_logs() {
    local log
    find "$var" -maxdepth 3 -name '*.log' -size +0 ! -path "$var/db/*" -printf '%T@ %p\n' | sort -n | cut -d' ' -f2- | while read -r log; do
        echo "== ${log#"$here/"}"
        tail -n 20 "$log"
    done
}

say_status() {
    if alive "$var/run/nginx.keeper" && alive "$var/run/fpm.keeper"; then echo "server: runs at $([ -n "${cert:-}" ] && echo https || echo http)://${listen:-127.0.0.1}:$port"; else echo "server: stopped"; fi
    if alive "$var/run/worker.keeper" && alive "$var/run/clock.keeper" && alive "$var/run/follower.keeper"; then echo "workers: run"; else echo "workers: stopped"; fi
    if alive "$var/run/db.keeper"; then echo "database: runs on 127.0.0.1:$(cat "$var/db.port")"; else echo "database: stopped"; fi
    is_own || if [ -f "$var/demo-loaded" ]; then echo "demo data: loaded"; else echo "demo data: not loaded"; fi
}

sign_ins() {
    cat <<'TXT'
Demo sign-ins, password "lantern-walk-2026" for each:
  lead@quillhaven.example      Maren Oduya     lead: everything
  keeper@quillhaven.example    Tobias Renn     keeper: checks, use, restock
  member@quillhaven.example    Isolde Varga    member: reads
  auditor@quillhaven.example   Piet Lindqvist  auditor: reads and exports
TXT
}

# For tests of an organisation that begins: nothing is there, and the code by which it is set up.
begin_empty() {
    stop_server
    stop_database
    rm -rf "$var/db" "$var/.env" "$var/.env.kept" "$var/owner" "$var/demo-loaded" "$var/run/upgrading"
    start_database
    printf 'HASH_MEMORY=1024\nHASH_TIME=1\nSIGN_IN_TRIES=1000\n' >> "$var/.env"
    port=$(free_port 8190)
    prepare_application
    start_server
}

setup_code() { php artisan setup:code; }
