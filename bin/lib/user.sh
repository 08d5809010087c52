# Who serves. Root sets up what the machine needs and hands over: no server, worker or command of an instance runs as root.

service_user=sarcina

# hand_over COMMAND…: where we are root, the same command again as the service user, with nothing of root's but, where the machine gives
# it, the right to listen on a port below 1024. Where we are somebody else it only returns.
hand_over() {
    [ "$(id -u)" -eq 0 ] || return 0
    make_service_user
    # In its place, so that whoever ends this command ends that one.
    exec_as=exec
    as_service_user bin/sarcina "$@"
}

make_service_user() {
    id "$service_user" >/dev/null 2>&1 || useradd --system --user-group --no-create-home --home-dir /nonexistent --shell /usr/sbin/nologin "$service_user"
    # What root itself runs and writes lies in var/tools and var/done, and is root's alone. Beside them the service user makes its own folders,
    # and removes no other's.
    mkdir -p var/tools var/done var/cache/home
    chown root:"$service_user" var
    chmod 1775 var
    chmod 755 var/tools var/done
    [ -z "$(find var/tools ! -type l ! -perm -004 -print -quit)" ] || chmod -R go+rX var/tools
    open_checkout
    local folder
    for folder in var/*/; do
        folder=${folder%/}
        case "$folder" in var/tools|var/done) continue ;; esac
        end_roots "$here/$folder"
        find "$folder" ! -type l ! -user "$service_user" -exec chown "$service_user:$service_user" {} +
    done
}

as_service_user() {
    local low_ports=(--inh-caps=-all)
    if [ "${1:-}" = bin/sarcina ] && setpriv --inh-caps=-all,+net_bind_service --ambient-caps=-all,+net_bind_service true 2>/dev/null; then
        low_ports=(--inh-caps=-all,+net_bind_service --ambient-caps=-all,+net_bind_service)
    fi
    ${exec_as:-} setpriv --reuid="$service_user" --regid="$service_user" --init-groups "${low_ports[@]}" \
        env -u TMPDIR -u XDG_RUNTIME_DIR -u XDG_CONFIG_HOME -u XDG_CACHE_HOME -u XDG_DATA_HOME HOME="$here/var/cache/home" USER="$service_user" LOGNAME="$service_user" SARCINA_HANDED_OVER=1 "$@"
}

# open_checkout: the program is readable for the service user, and the folders above it can be passed through.
open_checkout() {
    local above=$here
    if [ -n "$(find . \( -path ./var -o -path ./.git \) -prune -o ! -type l ! -perm -004 -print -quit)" ]; then
        chmod go+rX .
        find . -mindepth 1 -maxdepth 1 ! -name var ! -name .git -exec chmod -R go+rX {} +
    fi
    as_service_user test -x "$here" && return
    need_packages acl
    while [ "$above" != / ]; do
        above=$(dirname "$above")
        as_service_user test -x "$above" || { say "$above is closed to others: the user $service_user may pass through it from now on"; setfacl -m "u:$service_user:x" "$above" || break; }
    done
    as_service_user test -x "$here" && return
    echo "Sarcina is served by the user $service_user, never by root, and $here is closed to it. Put the checkout where others may enter, as /srv/sarcina." >&2
    exit 1
}

# end_roots FOLDER: an earlier version served as root; its processes are ended before they are started anew.
end_roots() {
    local var=$1 name pid
    for name in worker clock nginx fpm db; do
        pid=$(cat "$var/run/$name.pid" 2>/dev/null) || continue
        if alive "$var/run/$name.pid" && [ "$(stat -c %u "/proc/$pid" 2>/dev/null)" = 0 ]; then
            say "ending $name, which ran as root"
            stop_by_pid "$var/run/$name.pid"
        fi
    done
}

# bring_certificate INSTANCE WORD…: sets `words` to the words, with --cert and --key of root's brought into the instance's own folder. Where
# they are not named, what was named before is brought anew: it may have been renewed.
bring_certificate() {
    local name=$1 named_cert='' named_key='' kept
    shift
    words=()
    while [ $# -gt 0 ]; do
        case "$1" in
            --cert) named_cert=$(readlink -f "${2:?a file goes with --cert}"); shift 2 ;;
            --key) named_key=$(readlink -f "${2:?a file goes with --key}"); shift 2 ;;
            *) words+=("$1"); shift ;;
        esac
    done
    kept="var/done/certificate-$name"
    if [ -z "$named_cert$named_key" ] && [ -f "$kept" ]; then
        { read -r named_cert; read -r named_key; } < "$kept"
    fi
    [ -n "$named_cert$named_key" ] || return 0
    if ! [ -r "$named_cert" ] || ! [ -r "$named_key" ]; then
        echo "The certificate or its key cannot be read: --cert ${named_cert:-is missing}, --key ${named_key:-is missing}." >&2
        exit 64
    fi
    (umask 077; printf '%s\n%s\n' "$named_cert" "$named_key" > "$kept")
    as_service_user sh -c 'umask 077; mkdir -p "$1"; cat > "$1/cert.pem"' bring "$here/var/$name/tls" < "$named_cert"
    as_service_user sh -c 'umask 077; cat > "$1/key.pem"' bring "$here/var/$name/tls" < "$named_key"
    words+=(--cert "$here/var/$name/tls/cert.pem" --key "$here/var/$name/tls/key.pem")
}
