# What serves people: nginx, PHP's process manager, and the workers beside them.

start_server() {
    stop_server
    listen=${listen:-127.0.0.1}
    if (exec 3<>"/dev/tcp/$listen/$port") 2>/dev/null; then
        echo "Port $port is taken; choose another with --port." >&2
        exit 1
    fi
    echo "$port" > "$var/port"
    url="$([ -n "${cert:-}" ] && echo https || echo http)://$listen:$port"
    # Links in mails and the mark that a cookie goes by TLS alone follow the address that it is reached at.
    local address
    address=$(own_address)
    set_env APP_URL "$address"
    set_env SESSION_SECURE "$(case "$address" in https:*) echo true ;; *) echo false ;; esac)"
    keep_secrets
    php artisan config:cache --quiet
    # Nothing has to be written to show a page.
    php artisan view:cache --quiet
    php_settings > "$var/fpm.conf"
    nginx_settings > "$var/nginx.conf"
    keep_running fpm QUIT php-fpm8.2 -F -d opcache.jit=tracing -d opcache.jit_buffer_size=64M --fpm-config "$var/fpm.conf"
    keep_running nginx QUIT nginx -c "$var/nginx.conf" -e "$var/nginx.log"
    local tries=0
    until curl -fsSk -o /dev/null "$url/up" 2>"$var/run/up"; do
        tries=$((tries + 1))
        if [ $tries -gt 100 ]; then
            stop_server
            cat "$var/run/up" >&2
            tail -5 "$var/fpm.log" "$var/nginx.log" >&2
            echo "The server did not answer at $url." >&2
            exit 1
        fi
        read -rt 0.1 <> <(:) || :
    done
    start_workers
}

php_settings() {
    cat <<CONF
[global]
error_log = $var/fpm.log
daemonize = no
CONF
    php_pool sarcina fpm 'dynamic
pm.max_children = 8
pm.start_servers = 3
pm.min_spare_servers = 2
pm.max_spare_servers = 4'
    php_pool sign-in sign-in 'ondemand
pm.max_children = 2
pm.process_idle_timeout = 30s'
}

# php_pool NAME SOCKET PROCESSES: writes one pool of PHP processes. Comparing a password is slow on purpose, so sign-ins have two processes of
# their own and never delay a signed-in request.
php_pool() {
    cat <<CONF
[$1]
listen = $sockets/$2.sock
listen.mode = 0600
listen.backlog = 128
pm = $3
pm.max_requests = 5000
request_terminate_timeout = 60s
clear_env = yes
env[PATH] = $PATH
env[SARCINA_VAR] = $SARCINA_VAR
env[APP_CONFIG_CACHE] = $APP_CONFIG_CACHE
env[APP_ROUTES_CACHE] = $APP_ROUTES_CACHE
env[APP_EVENTS_CACHE] = $APP_EVENTS_CACHE
env[APP_PACKAGES_CACHE] = $APP_PACKAGES_CACHE
env[APP_SERVICES_CACHE] = $APP_SERVICES_CACHE
php_admin_value[opcache.enable] = 1
php_admin_value[opcache.memory_consumption] = 192
php_admin_value[opcache.max_accelerated_files] = 20000
php_admin_value[opcache.validate_timestamps] = 1
php_admin_value[opcache.revalidate_freq] = 1
php_admin_value[expose_php] = 0
php_admin_value[memory_limit] = 256M
php_admin_value[post_max_size] = 21M
CONF
}

# own_address: prints PUBLIC_URL, else the address that it listens on. If it listens everywhere: the first name of its certificate.
own_address() {
    local public name=''
    public=$(env_of PUBLIC_URL)
    if [ -n "$public" ]; then echo "${public%/}"; return; fi
    case "$listen" in 0.0.0.0|'[::]') name=$(served_names | grep -vxF -e 127.0.0.1 -e localhost -e "$listen" | grep -v '[*]' | head -1 || :) ;; esac
    if [ -n "$name" ]; then echo "https://$name:$port"; else echo "$url"; fi
}

# served_hosts: prints the allowed Host headers as nginx patterns: each served name with this port (also without it, if it is 80 or 443), and
# the host of PUBLIC_URL.
served_hosts() {
    local name
    served_names | sort -u | while read -r name; do
        name=$(sed 's/[][().+?^$|{}\\]/\\&/g; s/[*]/[^.:]+/' <<< "$name")
        printf '        "~*^%s:%s$" 1;\n' "$name" "$port"
        case "${cert:+tls}$port" in 80|tls443) printf '        "~*^%s$" 1;\n' "$name" ;; esac
    done
    env_of PUBLIC_URL | sed -n 's#^https\?://\([^/]*\).*#        "\1" 1;#p'
}

# served_names: by which names it may be asked for: this machine's, the address it listens on, those of its certificate, and of PUBLIC_URL.
served_names() {
    printf '%s\n' 127.0.0.1 localhost "$listen"
    [ -z "${cert:-}" ] || openssl x509 -in "$cert" -noout -ext subjectAltName 2>/dev/null | grep -oE '(DNS|IP Address):[^, ]+' | sed 's/^[^:]*://' || :
    env_of PUBLIC_URL | sed -n 's#^https\?://\([^/:]*\).*#\1#p'
}

# problem NAME STATUS TITLE DETAIL: an answer of nginx's own, in the form of the application's.
problem() {
    printf '        location @%s { internal; default_type application/problem+json; add_header Retry-After 5 always; add_header Cache-Control no-store always; add_header X-Content-Type-Options nosniff always; add_header X-Frame-Options DENY always; add_header Referrer-Policy same-origin always; add_header Content-Security-Policy "default-src '"'"'none'"'"'" always; return %s '"'"'{"type":"about:blank","title":"%s","status":%s,"detail":"%s"}'"'"'; }\n' "$1" "$2" "$3" "$2" "$4"
}

nginx_settings() {
    local tls='' ssl='' secure='' proxies='' from_proxy='' proxy rate
    if [ -n "${cert:-}" ]; then
        tls=' ssl'
        ssl="ssl_certificate $cert; ssl_certificate_key $key; ssl_protocols TLSv1.2 TLSv1.3; error_page 497 $(own_address)\$request_uri;"
    fi
    case "$(env_of APP_URL)" in https:*) secure='add_header Strict-Transport-Security "max-age=31536000";' ;; esac
    # Who asks, and whether by TLS, is believed of a proxy that is named here and of nobody else.
    for proxy in $(env_of TRUSTED_PROXIES | tr ',' ' '); do
        proxies+="set_real_ip_from $proxy; "
        from_proxy+="$proxy 1; "
    done
    [ -z "$proxies" ] || proxies+='real_ip_header X-Forwarded-For; real_ip_recursive on;'
    rate=$(env_of REQUESTS_PER_SECOND)
    [ -n "$rate" ] || if is_kept; then rate=40; else rate=2000; fi
    cat <<CONF
daemon off;
worker_processes 2;
pid $var/run/nginx.own;
error_log $var/nginx.log warn;
# Hundreds of half-sent requests leave room for others: each costs one connection and soon times out.
worker_rlimit_nofile 8192;
events { worker_connections 4096; }
http {
    include /etc/nginx/mime.types;
    types { application/manifest+json webmanifest; }
    default_type application/octet-stream;
    access_log off;
    server_tokens off;
    sendfile on;
    client_max_body_size 21m;
    # What is entered by hand is never put on the disk on its way.
    client_body_buffer_size 256k;
    client_body_timeout 20;
    client_header_timeout 8;
    client_body_temp_path $var/run/body;
    fastcgi_temp_path $var/run/fastcgi;
    proxy_temp_path $var/run/proxy;
    uwsgi_temp_path $var/run/uwsgi;
    scgi_temp_path $var/run/scgi;
    gzip on;
    gzip_types application/javascript text/css application/json image/svg+xml;
    gzip_min_length 1024;
    $proxies
    geo \$realip_remote_addr \$is_proxy { default 0; $from_proxy}
    map "\$is_proxy:\$http_x_forwarded_proto" \$by_tls { default \$https; "1:https" on; }
    map \$http_host \$is_own_host { default 0;
$(served_hosts)
    }
    # Sign-ins have their own pool, two at a time, so that password guesses delay nobody else.
    map "\$request_method \$uri" \$pool { default fpm; "~^POST /api/session/?$" sign-in; }
    limit_req_zone \$binary_remote_addr zone=address:4m rate=${rate}r/s;
    limit_req_status 429;
    # Who asks for another name than this instance's is not led anywhere.
    server {
        listen $listen:$port$tls default_server;
        $ssl
        add_header X-Content-Type-Options nosniff always;
        return 421 "This is not the name of this instance: see PUBLIC_URL in docs/operating.md.\n";
    }
    server {
        listen $listen:$port$tls;
        server_name $(served_names | sort -u | tr '\n' ' ');
        $ssl
        # The name is this instance's, and the port too.
        if (\$is_own_host = 0) { return 421 "This is not the name of this instance: see PUBLIC_URL in docs/operating.md.\n"; }
        root $here/public;
        $secure
        # nginx's own answers carry the same headers.
        add_header X-Content-Type-Options nosniff always;
        add_header X-Frame-Options DENY always;
        add_header Referrer-Policy same-origin always;
        location /build/ {
            add_header Cache-Control "public, max-age=31536000, immutable";
            add_header X-Content-Type-Options nosniff always;
            add_header X-Frame-Options DENY always;
            $secure
            try_files \$uri =404;
        }
        location = /sw.js { add_header Cache-Control no-cache; add_header X-Content-Type-Options nosniff; $secure try_files \$uri =404; }
        # The program itself is nobody's to read.
        location ~ \.php(\$|/) { return 404; }
        location / {
            try_files \$uri @app;
        }
        location @app {
            limit_req zone=address burst=$((rate * 5)) nodelay;
            error_page 413 @large;
            error_page 429 @busy;
            error_page 502 504 @away;
            include /etc/nginx/fastcgi_params;
            fastcgi_param SCRIPT_FILENAME $here/public/index.php;
            fastcgi_param SCRIPT_NAME /index.php;
            fastcgi_param HTTP_HOST \$http_host;
            fastcgi_param HTTPS \$by_tls if_not_empty;
            fastcgi_pass unix:$sockets/\$pool.sock;
            fastcgi_buffers 32 16k;
            fastcgi_buffer_size 32k;
            fastcgi_max_temp_file_size 0;
            # Sent once: nginx sets these headers for the application's answers too.
            fastcgi_hide_header X-Content-Type-Options;
            fastcgi_hide_header X-Frame-Options;
            fastcgi_hide_header Referrer-Policy;
            fastcgi_read_timeout 65;
        }
$(problem large 413 'Not accepted' 'This is more than can be taken at once: at most 20 MB in a file.')
$(problem busy 429 'Too many tries' 'More comes from your network than is answered at once. Wait a few seconds, then try again. What you typed is still on this page.')
$(problem away 503 'The server does not answer' 'It is not known whether this was recorded. Send it again in a few seconds: what arrives twice is recorded once. What you typed is still on this page.')
    }
}
CONF
}

# Work that waits is done beside the server: by a worker that takes it from the database, and by a clock that sets what is due every minute.
start_workers() {
    stop_workers
    php artisan kits:judge --marked >/dev/null || :
    keep_running worker TERM php artisan queue:work database --sleep=1 --tries=3 --timeout=300 --memory=256 --max-time=3600 --quiet
    keep_running clock TERM php artisan schedule:work --quiet
    keep_running follower TERM php artisan ledger:follow
}

stop_workers() {
    stop_kept worker php
    stop_kept clock php
    stop_kept follower php
    rm -f "$var/run/worker.child" "$var/run/clock.child"
}

stop_server() {
    stop_workers
    stop_kept nginx nginx
    stop_kept fpm php-fpm8.2
    end_listeners
}

# end_listeners: processes that hold the socket by which PHP is asked, where nobody is left who would end them.
end_listeners() {
    local inode fd pid
    for inode in $(awk -v one="$sockets/fpm.sock" -v other="$sockets/sign-in.sock" '$8 == one || $8 == other { print $7 }' /proc/net/unix); do
        for fd in /proc/[0-9]*/fd/*; do
            [ "$(readlink "$fd" 2>/dev/null)" = "socket:[$inode]" ] || continue
            pid=${fd#/proc/}
            [ "$(cat "/proc/${pid%%/*}/comm" 2>/dev/null)" = php-fpm8.2 ] && kill -KILL "${pid%%/*}" 2>/dev/null || :
        done
    done
}
