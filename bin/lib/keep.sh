# Processes of an instance that are kept running: each has a keeper, which starts it again when it ends, whatever ended it.

# alive FILE: whether the process that a pid file names runs, and is one of this instance. A number may be another's by now.
alive() {
    local pid
    [ -f "$1" ] || return 1
    pid=$(cat "$1")
    case "$pid" in ''|*[!0-9]*) return 1 ;; esac
    # What was started a moment ago still has the name of this shell, whose child it is.
    case "$(sed -n 's/^PPid:[[:space:]]*//p' "/proc/$pid/status" 2>/dev/null)" in "$$"|"$BASHPID") return 0 ;; esac
    { tr '\0' ' ' < "/proc/$pid/cmdline"; } 2>/dev/null | grep -qF "$var/"
}

# keep_running NAME SIGNAL COMMAND…: SIGNAL ends it in order. Its keeper's process id stands in run/NAME.keeper, its own in run/NAME.pid,
# which is the id of its group too.
keep_running() {
    local name=$1 signal=$2
    shift 2
    setsid bash -c '
        run=$1 name=$2 signal=$3
        shift 3
        set -m
        trap "trap : TERM INT; kill -$signal \$child 2>/dev/null; wait \$child 2>/dev/null; rm -f \"$run/$name.pid\"; exit 0" TERM INT
        while :; do
            "$@" &
            child=$!
            echo "$child" > "$run/$name.pid"
            wait "$child" || :
            # Children of one that was killed: they would hold its sockets.
            kill -KILL -- "-$child" 2>/dev/null || :
            read -rt 0.5 <> <(:) || :
            # Another keeper is in its place, or the instance was removed: it starts nothing any more.
            [ -f "$run/$name.keeper" ] || exit 0
            case "$(cat "$run/$name.keeper")" in ""|"$$") ;; *) exit 0 ;; esac
        done
    ' keeper "$var/run" "$name" "$signal" "$@" < /dev/null >> "$var/$name.log" 2>&1 9>&- &
    echo $! > "$var/run/$name.keeper"
    disown
}

# stop_kept NAME COMMAND: its keeper, what it keeps, and the children of one that died without them. COMMAND is the name of the program.
stop_kept() {
    local name=$1 command=$2 group
    group=$(cat "$var/run/$name.pid" 2>/dev/null || :)
    stop_by_pid "$var/run/$name.keeper"
    # Where the keeper itself was killed.
    stop_by_pid "$var/run/$name.pid"
    case "$group" in ''|*[!0-9]*) ;; *) end_group "$group" "$command" ;; esac
}

# end_group NUMBER COMMAND: what is left of a group of processes, where it is ours and runs that program.
end_group() {
    local stat pid
    for stat in /proc/[0-9]*/stat; do
        pid=${stat#/proc/}
        pid=${pid%/stat}
        [ "$(sed 's/^.*) . [0-9]* \([0-9]*\) .*$/\1/' "$stat" 2>/dev/null)" = "$1" ] || continue
        [ "$(cat "/proc/$pid/comm" 2>/dev/null)" = "$2" ] && [ "$(stat -c %u "/proc/$pid" 2>/dev/null)" = "$(id -u)" ] || continue
        kill -KILL "$pid" 2>/dev/null || :
    done
}

stop_by_pid() {
    local file=$1 tries=0
    if alive "$file"; then
        local pid
        pid=$(cat "$file")
        kill -TERM "$pid"
        while kill -0 "$pid" 2>/dev/null && [ $tries -lt 300 ]; do
            tries=$((tries + 1))
            read -rt 0.1 <> <(:) || :
        done
    fi
    rm -f "$file"
}
