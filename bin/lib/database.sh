# The database of an instance, and the secrets that go with it.

# free_port FROM: the first loopback port from FROM on that nobody listens on.
free_port() {
    local candidate=$1
    while (exec 3<>"/dev/tcp/127.0.0.1/$candidate") 2>/dev/null; do candidate=$((candidate + 1)); done
    echo "$candidate"
}

# sql WORD…: the client, as who made the database.
sql() { mariadb --no-defaults --user="$(id -un)" --socket="$sockets/db.sock" "$@"; }

database_answers() { mariadb-admin --no-defaults --user="$(id -un)" --socket="$sockets/db.sock" ping >/dev/null 2>&1; }

# wait_for_database TENTHS: until it answers; fails where its keeper ended, or it does not answer within that time.
wait_for_database() {
    local tries=0
    until database_answers; do
        tries=$((tries + 1))
        if [ $tries -gt "$1" ] || ! alive "$var/run/db.keeper"; then return 1; fi
        read -rt 0.1 <> <(:) || :
    done
}

start_database() {
    find_secrets
    # One that does not answer here, or that nobody would start again, is ended and started anew.
    if ! alive "$var/run/db.keeper" || ! wait_for_database 100; then
        stop_database
        make_database
        keep_database
    fi
    make_secrets
    export DB_PORT
    DB_PORT=$(cat "$var/db.port")
    sql -e 'CREATE DATABASE IF NOT EXISTS sarcina CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci'
    # Who makes the tables is not who serves people: the owner's password is given to those commands alone.
    let_in sarcina "$(env_of DB_PASSWORD)" ''
    let_in sarcina_owner "$(cat "$var/owner")" "GRANT ALL PRIVILEGES ON \`sarcina%\`.* TO 'sarcina_owner'@'127.0.0.1' WITH GRANT OPTION; GRANT CREATE USER ON *.* TO 'sarcina_owner'@'127.0.0.1'"
}

make_database() {
    # Whole or not at all: one that was begun and not finished is begun anew.
    rm -rf "$var/db.new"
    [ -d "$var/db/mysql" ] && return
    say "making the database"
    rm -rf "$var/db"
    mkdir "$var/db.new"
    if ! mariadb-install-db --no-defaults --user="$(id -un)" --datadir="$var/db.new" --skip-test-db \
        --auth-root-authentication-method=socket --auth-root-socket-user="$(id -un)" > "$var/install-db.log" 2>&1; then
        tail -20 "$var/install-db.log" >&2
        exit 1
    fi
    id -un > "$var/db.user"
    mv "$var/db.new" "$var/db"
}

keep_database() {
    local init=()
    if [ ! -f "$var/db.port" ] || (exec 3<>"/dev/tcp/127.0.0.1/$(cat "$var/db.port")") 2>/dev/null; then
        free_port "$db_from" > "$var/db.port"
    fi
    # Made by an earlier version, or by somebody else: who serves it now is let in.
    if [ "$(cat "$var/db.user" 2>/dev/null)" != "$(id -un)" ]; then
        printf "CREATE USER IF NOT EXISTS '%s'@'localhost' IDENTIFIED VIA unix_socket;\nGRANT ALL PRIVILEGES ON *.* TO '%s'@'localhost' WITH GRANT OPTION;\n" "$(id -un)" "$(id -un)" > "$var/run/db.sql"
        init=(--init-file="$var/run/db.sql")
    fi
    UMASK=0600 UMASK_DIR=0700 keep_running db TERM mariadbd --no-defaults --user="$(id -un)" --datadir="$var/db" --socket="$sockets/db.sock" --pid-file="$var/run/db.own" \
        --bind-address=127.0.0.1 --port="$(cat "$var/db.port")" --character-set-server=utf8mb4 --collation-server=utf8mb4_unicode_ci \
        --sql-mode=STRICT_ALL_TABLES,NO_ZERO_DATE,NO_ZERO_IN_DATE,ERROR_FOR_DIVISION_BY_ZERO,NO_ENGINE_SUBSTITUTION,ONLY_FULL_GROUP_BY \
        --default-time-zone=+00:00 --skip-name-resolve --innodb-buffer-pool-size="${DB_BUFFER_POOL:-256M}" --innodb-log-file-size="${DB_REDO_LOG:-96M}" --innodb-flush-log-at-trx-commit=1 \
        --innodb-lock-wait-timeout=10 --performance-schema=OFF --log-bin-trust-function-creators=ON "${init[@]}"
    if ! wait_for_database 600; then
        stop_database
        echo "The database did not start; $var/db.log ends with:" >&2
        tail -5 "$var/db.log" >&2
        if tail -40 "$var/db.log" | grep -qiE 'no space left|disk full|errno: 28|error 28'; then echo "The disk is full: make room on $(df -P "$var" | tail -1 | awk '{print $6}'), then start again. Nothing that was recorded is lost." >&2; fi
        exit 1
    fi
    id -un > "$var/db.user"
}

# let_in NAME PASSWORD GRANTS: an account of the database; where its password is another by now, it is set.
let_in() {
    MYSQL_PWD=$2 mariadb --no-defaults --user="$1" --host=127.0.0.1 --port="$DB_PORT" -e 'SELECT 1' >/dev/null 2>&1 && return
    # By its input: what stands on a command line is everybody's to read.
    sql <<< "CREATE USER IF NOT EXISTS '$1'@'127.0.0.1' IDENTIFIED BY '$2'; ALTER USER '$1'@'127.0.0.1' IDENTIFIED BY '$2'; $3"
}

# find_secrets: without its keys a record can be neither verified nor carried on, so they are never made anew beside one that is there.
find_secrets() {
    ! has_secrets "$var/.env" || return 0
    if has_secrets "$var/.env.kept"; then
        say "$var/.env was lost, or holds no keys any more: it is made again from its copy"
        cp "$var/.env.kept" "$var/.env.new"
        mv "$var/.env.new" "$var/.env"
        return
    fi
    if [ -d "$var/db/sarcina" ]; then
        cat >&2 <<TXT
$var/.env is gone or holds no keys, and so is its copy .env.kept. They hold the keys of the record: without them what is recorded can be neither
verified nor carried on. Put the file back, or take the keys out of any backup of this instance, then start again:
  bin/sarcina restore --keys FILE$(! is_own || printf ' --own')
TXT
        exit 1
    fi
}

# has_secrets FILE: whether it holds the keys of the record.
has_secrets() {
    local name
    for name in APP_KEY LEDGER_KEYS LEDGER_SIGNING_SEED; do grep -q "^$name=." "$1" 2>/dev/null || return 1; done
}

make_secrets() {
    if ! has_secrets "$var/.env"; then
        # What somebody wrote there before the first start stays.
        { grep -vE '^(APP_NAME|APP_ENV|APP_KEY|APP_DEBUG|DB_PASSWORD|LEDGER_KEYS|LEDGER_SIGNING_SEED)=' "$var/.env" 2>/dev/null || :; cat <<ENV
APP_NAME=Sarcina
APP_ENV=$(if is_kept; then echo production; else echo "$instance"; fi)
APP_KEY=base64:$(head -c 32 /dev/urandom | base64)
APP_DEBUG=false
DB_PASSWORD=$(random_word)
LEDGER_KEYS=k1:$(head -c 32 /dev/urandom | base64)
LEDGER_SIGNING_SEED=$(head -c 32 /dev/urandom | base64)
ENV
        } > "$var/.env.new"
        mv "$var/.env.new" "$var/.env"
    fi
    [ -n "$(env_of DB_PASSWORD)" ] || set_env DB_PASSWORD "$(random_word)"
    [ -s "$var/owner" ] || random_word > "$var/owner"
    keep_secrets
}

# keep_secrets: a copy beside it, for the day on which somebody removes the file, or what is in it.
keep_secrets() {
    has_secrets "$var/.env" || return 0
    cmp -s "$var/.env" "$var/.env.kept" && return
    cp "$var/.env" "$var/.env.kept.new"
    mv "$var/.env.kept.new" "$var/.env.kept"
}

# set_env NAME VALUE: the whole file anew, or not at all. NAME without VALUE goes.
set_env() {
    { grep -v "^$1=" "$var/.env" || :; [ -z "${2:-}" ] || printf '%s=%s\n' "$1" "$2"; } > "$var/.env.new"
    mv "$var/.env.new" "$var/.env"
}

env_of() { sed -n "s/^$1=//p" "$var/.env" 2>/dev/null | tail -1; }

random_word() { head -c 18 /dev/urandom | base64 | tr -d '/+=\n'; echo; }

# as_owner COMMAND…: with the password of who may change the tables.
as_owner() { DB_OWNER_PASSWORD=$(cat "$var/owner") "$@"; }

stop_database() {
    stop_kept db mariadbd
}
