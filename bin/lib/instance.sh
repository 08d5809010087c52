# One running Sarcina: its own folder under var/, database, server and port. Tests and measurements have theirs.

use_instance() {
    instance=$1
    # Far apart, so that instances that start at once do not reach for one port; below the ports that outgoing connections take.
    case "$instance" in main) db_from=13600 ;; own) db_from=13500 ;; test) db_from=13700 ;; bench) db_from=13800 ;; *) db_from=13900 ;; esac
    var="$here/var/$instance"
    port=$2
    [ -f "$var/port" ] && port=$(cat "$var/port")
    # Keys, passwords, sessions and the record lie here: nobody else on this machine reads any of it.
    umask 077
    mkdir -p "$var/storage/framework/views" "$var/storage/logs" "$var/run"
    # What an earlier version made as well; of the database the folder is enough.
    find "$var" ! -type l -perm /077 ! -path "$var/db/*" -exec chmod go-rwx {} +
    sockets=$(socket_folder)
    export SARCINA_VAR="$var"
    export APP_CONFIG_CACHE="$var/config.php" APP_ROUTES_CACHE="$var/routes.php" APP_EVENTS_CACHE="$var/events.php"
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

# choose_instance [--own …]: the demo, or one's own organisation. What was said of listening before holds until it is said anew.
choose_instance() {
    local word
    instance=main
    for word in "$@"; do [ "$word" != --own ] || instance=own; done
    listen= cert= key=
    if [ "$instance" = own ]; then use_instance own 8090; else use_instance main 8080; fi
    [ ! -f "$var/listen" ] || . "$var/listen"
}

# Beyond this machine nobody listens without TLS: passwords and records would go in the clear.
check_listening() {
    case "${listen:-127.0.0.1}" in 127.*|localhost|::1) ;; *)
        if [ "$instance" != own ]; then
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

is_set_up() { [ "$(mariadb --no-defaults --socket="$sockets/db.sock" -N -e 'SELECT COUNT(*) FROM sarcina.organisations')" != 0 ]; }

# alive FILE: whether the process that a pid file names runs, and is one of this instance. A number may be another's by now.
alive() {
    local pid
    [ -f "$1" ] || return 1
    pid=$(cat "$1")
    case "$pid" in ''|*[!0-9]*) return 1 ;; esac
    # What was started a moment ago still has the name of this shell, whose child it is.
    case "$(sed -n 's/^PPid:[[:space:]]*//p' "/proc/$pid/status" 2>/dev/null)" in "$$"|"$BASHPID") return 0 ;; esac
    tr '\0' ' ' < "/proc/$pid/cmdline" 2>/dev/null | grep -qF "$var/"
}

# free_port FROM: the first loopback port from FROM on that nobody listens on.
free_port() {
    local candidate=$1
    while (exec 3<>"/dev/tcp/127.0.0.1/$candidate") 2>/dev/null; do candidate=$((candidate + 1)); done
    echo "$candidate"
}

database_answers() { mariadb-admin --socket="$sockets/db.sock" ping >/dev/null 2>&1; }

# wait_for_database TENTHS: until it answers; fails where it ended, or does not within that time.
wait_for_database() {
    local tries=0
    until database_answers; do
        tries=$((tries + 1))
        if [ $tries -gt "$1" ] || ! alive "$var/run/db.pid"; then return 1; fi
        read -rt 0.1 <> <(:) || :
    done
}

start_database() {
    if alive "$var/run/db.pid" && database_answers; then
        export DB_PORT
        DB_PORT=$(cat "$var/db.port")
        return
    fi
    if alive "$var/run/db.pid"; then
        # It may just be starting; one that does not answer here after that is ended and started anew.
        wait_for_database 100 || stop_database
    fi
    if [ ! -d "$var/db/mysql" ]; then
        say "making the database"
        rm -rf "$var/db"
        mkdir -p "$var/db"
        mariadb-install-db --no-defaults --user="$(id -un)" --datadir="$var/db" --skip-test-db \
            --auth-root-authentication-method=socket --auth-root-socket-user="$(id -un)" > "$var/install-db.log" 2>&1 \
            || { tail -20 "$var/install-db.log" >&2; exit 1; }
    fi
    [ -f "$var/db.port" ] || free_port "$db_from" > "$var/db.port"
    if ! alive "$var/run/db.pid" && (exec 3<>"/dev/tcp/127.0.0.1/$(cat "$var/db.port")") 2>/dev/null; then
        free_port "$db_from" > "$var/db.port"
    fi
    if ! alive "$var/run/db.pid"; then
        UMASK=0600 UMASK_DIR=0700 setsid mariadbd --no-defaults --user="$(id -un)" --datadir="$var/db" --socket="$sockets/db.sock" --pid-file="$var/run/db.pid" \
            --bind-address=127.0.0.1 --port="$(cat "$var/db.port")" --character-set-server=utf8mb4 --collation-server=utf8mb4_unicode_ci \
            --sql-mode=STRICT_ALL_TABLES,NO_ZERO_DATE,NO_ZERO_IN_DATE,ERROR_FOR_DIVISION_BY_ZERO,NO_ENGINE_SUBSTITUTION,ONLY_FULL_GROUP_BY \
            --default-time-zone=+00:00 --skip-name-resolve --innodb-buffer-pool-size="${DB_BUFFER_POOL:-256M}" --innodb-log-file-size="${DB_REDO_LOG:-96M}" --innodb-flush-log-at-trx-commit=1 \
            --innodb-lock-wait-timeout=10 --performance-schema=OFF --log-bin-trust-function-creators=ON --log-error="$var/db.log" </dev/null >/dev/null 2>&1 &
        echo $! > "$var/run/db.pid"
        disown
    fi
    if ! wait_for_database 300; then
        echo "The database did not start; see $var/db.log:" >&2
        tail -5 "$var/db.log" >&2
        exit 1
    fi
    if [ ! -f "$var/.env" ]; then
        (umask 077
        cat > "$var/.env" <<ENV
APP_NAME=Sarcina
APP_ENV=$(case "$instance" in main|own) echo production ;; *) echo "$instance" ;; esac)
APP_KEY=base64:$(head -c 32 /dev/urandom | base64)
APP_DEBUG=false
DB_PASSWORD=$(random_word)
ENV
        )
    fi
    # The record's keys (docs/security.md): they lie beside the database, not in it.
    grep -q '^LEDGER_KEYS=' "$var/.env" || printf 'LEDGER_KEYS=k1:%s\nLEDGER_SIGNING_SEED=%s\n' "$(head -c 32 /dev/urandom | base64)" "$(head -c 32 /dev/urandom | base64)" >> "$var/.env"
    # Who makes the tables is not who serves people: the owner's password is given to those commands alone.
    [ -f "$var/owner" ] || (umask 077; random_word > "$var/owner")
    local password owner
    password=$(sed -n 's/^DB_PASSWORD=//p' "$var/.env")
    owner=$(cat "$var/owner")
    export DB_PORT
    DB_PORT=$(cat "$var/db.port")
    mariadb --no-defaults --socket="$sockets/db.sock" <<SQL
CREATE DATABASE IF NOT EXISTS sarcina CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;
CREATE USER IF NOT EXISTS 'sarcina'@'127.0.0.1' IDENTIFIED BY '$password';
CREATE USER IF NOT EXISTS 'sarcina_owner'@'127.0.0.1' IDENTIFIED BY '$owner';
GRANT ALL PRIVILEGES ON \`sarcina%\`.* TO 'sarcina_owner'@'127.0.0.1' WITH GRANT OPTION;
GRANT CREATE USER ON *.* TO 'sarcina_owner'@'127.0.0.1';
SQL
}

random_word() { head -c 18 /dev/urandom | base64 | tr -d '/+=\n'; echo; }

# as_owner COMMAND…: with the password of who may change the tables.
as_owner() { DB_OWNER_PASSWORD=$(cat "$var/owner") "$@"; }

stop_by_pid() {
    local file=$1 signal=${2:-TERM} tries=0
    if alive "$file"; then
        local pid
        pid=$(cat "$file")
        kill "-$signal" "$pid"
        while kill -0 "$pid" 2>/dev/null && [ $tries -lt 300 ]; do
            tries=$((tries + 1))
            read -rt 0.1 <> <(:) || :
        done
    fi
    rm -f "$file"
}

stop_database() { stop_by_pid "$var/run/db.pid"; }

prepare_application() {
    # Sessions and cache lie in the database; what an earlier version left on the disk goes.
    rm -rf "$var/storage/framework/sessions" "$var/storage/framework/cache"
    grep -q "^DB_PORT=$DB_PORT$" "$var/.env" || { sed -i '/^DB_PORT=/d' "$var/.env"; echo "DB_PORT=$DB_PORT" >> "$var/.env"; }
    rm -f "$APP_CONFIG_CACHE" "$APP_ROUTES_CACHE" "$APP_EVENTS_CACHE"
    # Nobody's record lies in the instances of tests and measurements: they are made anew.
    case "$instance" in main|own) ;; *) as_owner php artisan database:fits >/dev/null || empty_database ;; esac
    as_owner php artisan database:fits || exit 1
    local migrated
    migrated=$(as_owner php artisan migrate --force --database=owner) || { echo "$migrated" >&2; exit 1; }
    as_owner php artisan database:fits --keep
    as_owner php artisan database:grants
    php artisan config:cache --quiet
    php artisan route:cache --quiet
    # An upgrade may judge otherwise: nothing that was worked out by other rules is shown as present.
    php artisan kits:fit
}

# What was made by another version is not brought up to date: all its tables go.
empty_database() {
    mariadb --no-defaults --socket="$sockets/db.sock" -e 'DROP DATABASE sarcina; CREATE DATABASE sarcina CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci'
}

load_demo() {
    say "loading the demo data"
    # The cached settings do not hold the owner's password: they are made anew after it.
    rm -f "$APP_CONFIG_CACHE"
    as_owner php artisan demo:load
    as_owner php artisan database:fits --keep
    as_owner php artisan database:analyze
    php artisan config:cache --quiet
    touch "$var/demo-loaded"
    php artisan ledger:checkpoint
}

load_demo_once() { [ -f "$var/demo-loaded" ] || load_demo; }

start_server() {
    stop_server
    listen=${listen:-127.0.0.1}
    if (exec 3<>"/dev/tcp/$listen/$port") 2>/dev/null; then
        echo "Port $port is taken; choose another with --port." >&2
        exit 1
    fi
    echo "$port" > "$var/port"
    local tls= ssl=
    url="http://$listen:$port"
    if [ -n "${cert:-}" ]; then
        url="https://$listen:$port"
        tls=" ssl"
        ssl="ssl_certificate $cert; ssl_certificate_key $key; ssl_protocols TLSv1.2 TLSv1.3; error_page 497 https://\$http_host\$request_uri;"
    fi
    # Links in mails and the mark that a cookie goes by TLS alone follow the address that it is served at.
    sed -i '/^APP_URL=/d; /^SESSION_SECURE=/d' "$var/.env"
    printf 'APP_URL=%s\nSESSION_SECURE=%s\n' "$url" "$([ -n "$tls" ] && echo true || echo false)" >> "$var/.env"
    php artisan config:cache --quiet
    local as_root=
    [ "$(id -u)" -ne 0 ] || as_root="user = root
group = root"
    cat > "$var/fpm.conf" <<CONF
[global]
pid = $var/run/fpm.pid
error_log = $var/fpm.log
daemonize = yes
[sarcina]
$as_root
listen = $sockets/fpm.sock
listen.mode = 0600
pm = dynamic
pm.max_children = 8
pm.start_servers = 3
pm.min_spare_servers = 2
pm.max_spare_servers = 4
clear_env = yes
env[PATH] = $PATH
env[SARCINA_VAR] = $SARCINA_VAR
env[APP_CONFIG_CACHE] = $APP_CONFIG_CACHE
env[APP_ROUTES_CACHE] = $APP_ROUTES_CACHE
env[APP_EVENTS_CACHE] = $APP_EVENTS_CACHE
php_admin_value[opcache.enable] = 1
php_admin_value[opcache.memory_consumption] = 192
php_admin_value[opcache.max_accelerated_files] = 20000
php_admin_value[opcache.validate_timestamps] = 1
php_admin_value[opcache.revalidate_freq] = 1
php_admin_value[expose_php] = 0
php_admin_value[memory_limit] = 256M
php_admin_value[post_max_size] = 21M
CONF
    local owner=
    [ "$(id -u)" -ne 0 ] || owner="user root;"
    cat > "$var/nginx.conf" <<CONF
$owner
worker_processes 2;
pid $var/run/nginx.pid;
error_log $var/nginx.log warn;
events { worker_connections 256; }
http {
    include /etc/nginx/mime.types;
    types { application/manifest+json webmanifest; }
    default_type application/octet-stream;
    access_log off;
    server_tokens off;
    sendfile on;
    client_max_body_size 21m;
    client_body_temp_path $var/run/body;
    fastcgi_temp_path $var/run/fastcgi;
    proxy_temp_path $var/run/proxy;
    uwsgi_temp_path $var/run/uwsgi;
    scgi_temp_path $var/run/scgi;
    gzip on;
    gzip_types application/javascript text/css application/json image/svg+xml;
    gzip_min_length 1024;
    server {
        listen $listen:$port$tls;
        $ssl
        root $here/public;
        location /build/ {
            add_header Cache-Control "public, max-age=31536000, immutable";
            add_header X-Content-Type-Options nosniff;
            try_files \$uri =404;
        }
        location = /sw.js { add_header Cache-Control no-cache; add_header X-Content-Type-Options nosniff; try_files \$uri =404; }
        # The program itself is nobody's to read.
        location ~ \.php(\$|/) { return 404; }
        location / {
            add_header X-Content-Type-Options nosniff;
            add_header X-Frame-Options DENY;
            add_header Referrer-Policy same-origin;
            try_files \$uri @app;
        }
        location @app {
            include /etc/nginx/fastcgi_params;
            fastcgi_param SCRIPT_FILENAME $here/public/index.php;
            fastcgi_param SCRIPT_NAME /index.php;
            fastcgi_param HTTP_HOST \$http_host;
            fastcgi_param HTTPS \$https if_not_empty;
            fastcgi_pass unix:$sockets/fpm.sock;
            fastcgi_buffers 32 16k;
            fastcgi_buffer_size 32k;
            fastcgi_read_timeout 60;
        }
    }
}
CONF
    local as_root_flag=
    [ "$(id -u)" -ne 0 ] || as_root_flag=-R
    setsid php-fpm8.2 $as_root_flag -d opcache.jit=tracing -d opcache.jit_buffer_size=64M --fpm-config "$var/fpm.conf" < /dev/null > "$var/fpm-start.log" 2>&1 || { cat "$var/fpm-start.log" >&2; exit 1; }
    setsid nginx -c "$var/nginx.conf" -e "$var/nginx.log" < /dev/null || exit 1
    local tries=0
    until curl -fsSk -o /dev/null "$url/up" 2>"$var/run/up"; do
        tries=$((tries + 1))
        if [ $tries -gt 100 ]; then
            cat "$var/run/up" "$var/nginx.log" >&2
            echo "The server did not answer at $url." >&2
            exit 1
        fi
        read -rt 0.1 <> <(:) || :
    done
    start_workers
}

# Work that waits is done beside the server: by a worker that takes it from the database, and by a clock that sets what is due every
# minute. Each is started again when it ends, whatever ended it.
start_workers() {
    stop_workers
    php artisan kits:judge --marked >/dev/null || :
    keep_running worker php artisan queue:work database --sleep=1 --tries=3 --timeout=300 --memory=256 --max-time=3600 --quiet
    keep_running clock php artisan schedule:work --quiet
}

# keep_running NAME COMMAND…: its keeper's process id stands in run/NAME.pid, its own in run/NAME.child.
keep_running() {
    local name=$1
    shift
    setsid bash -c '
        run=$1 name=$2
        shift 2
        trap "kill \$child 2>/dev/null; wait \$child 2>/dev/null; rm -f \"$run/$name.child\"; exit 0" TERM INT
        while :; do
            "$@" &
            child=$!
            echo "$child" > "$run/$name.child"
            wait "$child" || :
            read -rt 1 <> <(:) || :
        done
    ' keeper "$var/run" "$name" "$@" < /dev/null >> "$var/$name.log" 2>&1 &
    echo $! > "$var/run/$name.pid"
    disown
}

stop_workers() {
    stop_by_pid "$var/run/worker.pid"
    stop_by_pid "$var/run/clock.pid"
}

stop_server() {
    stop_workers
    stop_by_pid "$var/run/nginx.pid" QUIT
    stop_by_pid "$var/run/fpm.pid" QUIT
}

say_status() {
    if alive "$var/run/nginx.pid" && alive "$var/run/fpm.pid"; then echo "server: runs at $([ -n "${cert:-}" ] && echo https || echo http)://${listen:-127.0.0.1}:$port"; else echo "server: stopped"; fi
    if alive "$var/run/worker.pid" && alive "$var/run/clock.pid"; then echo "workers: run"; else echo "workers: stopped"; fi
    if alive "$var/run/db.pid"; then echo "database: runs on 127.0.0.1:$(cat "$var/db.port")"; else echo "database: stopped"; fi
    [ "$instance" = own ] || if [ -f "$var/demo-loaded" ]; then echo "demo data: loaded"; else echo "demo data: not loaded"; fi
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
    rm -rf "$var/db" "$var/.env" "$var/owner" "$var/demo-loaded"
    start_database
    printf 'HASH_MEMORY=1024\nHASH_TIME=1\nSIGN_IN_TRIES=1000\n' >> "$var/.env"
    port=$(free_port 8190)
    prepare_application
    start_server
}

setup_code() { php artisan setup:code; }
