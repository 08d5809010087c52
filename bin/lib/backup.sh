# Backups: made, kept, tried and put back. What lies in one is told in docs/operating.md.

# ask_passphrase QUESTION: from SARCINA_BACKUP_PASSPHRASE, or typed.
ask_passphrase() {
    if [ -z "${SARCINA_BACKUP_PASSPHRASE:-}" ]; then
        if [ ! -t 0 ]; then
            echo "$1 Nobody is here to type it: set SARCINA_BACKUP_PASSPHRASE." >&2
            exit 64
        fi
        printf '%s ' "$1" >&2
        IFS= read -rs SARCINA_BACKUP_PASSPHRASE
        echo >&2
    fi
    if [ -z "$SARCINA_BACKUP_PASSPHRASE" ]; then
        echo "A passphrase is needed; nothing was done." >&2
        exit 64
    fi
    export SARCINA_BACKUP_PASSPHRASE
}

# need_backup_key: makes the key that authenticates and encrypts backups. It stays on the machine; passphrase and backup give it back.
need_backup_key() {
    [ -s "$var/backup-key.json" ] && return
    ask_passphrase "A passphrase for the backups of this organisation (at least 16 characters; without it no backup can be put back on another machine):"
    if [ ${#SARCINA_BACKUP_PASSPHRASE} -lt 16 ]; then
        echo "This passphrase has ${#SARCINA_BACKUP_PASSPHRASE} characters, and who gets hold of a backup can try many: at least 16 are advised. To choose another, remove $var/backup-key.json and make a backup." >&2
    fi
    php artisan backup:key "$var/backup-key.json"
}

# make_backup REASON: sets backup_file. Whole or not at all: a file of that name is there only when it is finished.
make_backup() {
    local work folder="$var/backups" name
    mkdir -p "$folder"
    check_disk "$folder"
    name="sarcina-$instance-$(date -u +%Y%m%dT%H%M%SZ)-$1.tar"
    rm -rf "$var"/run/backup-*
    work=$(mktemp -d "$var/run/backup-XXXXXXXX")
    mkdir -p "$work/in/checkpoints" "$work/in/files" "$work/out"
    # Before an upgrade the tables are an earlier version's: then the checkpoints that are there are enough.
    php artisan ledger:checkpoint >/dev/null 2>&1 || [ "$1" = upgrade ]
    cp "$var"/checkpoints/checkpoint-*.json "$work/in/checkpoints/" 2>/dev/null || :
    [ ! -d "$var/storage/app" ] || cp -R "$var/storage/app/." "$work/in/files/"
    # No triggers: a restore makes them from the program. In a backup they would be commands.
    # One transaction: the moment at which it begins is the moment of the backup. Its rows are counted as they pass; each stands on a line.
    mariadb-dump --no-defaults --user="$(id -un)" --socket="$sockets/db.sock" --single-transaction --quick --hex-blob --no-tablespaces --skip-triggers --default-character-set=utf8mb4 \
        --ignore-table-data=sarcina.sessions --ignore-table-data=sarcina.cache --ignore-table-data=sarcina.cache_locks sarcina \
        | LC_ALL=C awk -v counts="$work/in/rows" '
            { print }
            /^INSERT INTO `/ { split($0, part, "`"); table = part[2]; inside = 1; next }
            inside && /^\(/ { rows[table]++; if (/;$/) inside = 0; next }
            /^CREATE TABLE `/ { split($0, part, "`"); if (!(part[2] in rows)) rows[part[2]] = 0 }
            END { for (table in rows) printf "%s\t%d\n", table, rows[table] > counts }' \
        | gzip -c > "$work/in/database.sql.gz"
    php artisan backup:describe "$work/in" "$work/out" --instance="$instance" --reason="$1" --key="$var/backup-key.json" --secrets="$var/.env"
    tar -C "$work/in" -cf "$work/out/contents.tar" .
    php artisan backup:seal "$work/out" --key="$var/backup-key.json"
    tar -C "$work/out" -cf "$folder/.$name" .
    sync -d "$folder/.$name"
    mv "$folder/.$name" "$folder/$name"
    rm -rf "$work"
    backup_file="$folder/$name"
}

# manual_backup: what somebody asked for.
manual_backup() {
    alone
    start_database
    if ! is_set_up; then echo "There is no organisation in $var yet, and nothing to back up." >&2; exit 64; fi
    need_backup_key
    make_backup manual
    echo "Backed up to $backup_file"
}

# unpack FILE [OPTION…]: unpacks a backup into a new folder and sets `unpacked`. Reads the three files by name, so that no other file and no
# link comes out. Verifies the backup before its contents come out.
unpack() {
    local file=$1 part opened=0
    shift
    rm -rf "$var"/run/unpacked-*
    unpacked=$(mktemp -d "$var/run/unpacked-XXXXXXXX")
    for part in manifest.json contents; do
        if ! tar -xOf "$file" "./$part" > "$unpacked/$part" 2>"$var/run/unpack"; then
            echo "$file is no backup, or only a part of one: $(head -1 "$var/run/unpack")" >&2
            exit 1
        fi
    done
    tar -xOf "$file" ./manifest.mac > "$unpacked/manifest.mac" 2>/dev/null || rm -f "$unpacked/manifest.mac"
    php artisan backup:open "$unpacked" --key="$var/backup-key.json" "$@" || opened=$?
    if [ $opened -eq 3 ]; then
        ask_passphrase "The passphrase of this backup:"
        php artisan backup:open "$unpacked" --key="$var/backup-key.json" "$@" || exit 1
    elif [ $opened -ne 0 ]; then
        exit 1
    fi
    if ! tar -C "$unpacked" --no-same-owner --no-same-permissions -xf "$unpacked/contents.tar" 2>"$var/run/unpack"; then
        echo "$file is only a part of a backup: $(head -1 "$var/run/unpack")" >&2
        exit 1
    fi
    rm -f "$unpacked/contents.tar"
    php artisan backup:check "$unpacked" || exit 1
}

# load_dump FOLDER DATABASE: loads a dump as a temporary user who may only fill that database. The sandboxed client runs no commands.
load_dump() {
    local password ended=0
    password=$(random_word)
    sql <<< "DROP USER IF EXISTS 'sarcina_loader'@'localhost'; CREATE USER 'sarcina_loader'@'localhost' IDENTIFIED BY '$password';
        GRANT SELECT, INSERT, CREATE, DROP, ALTER, INDEX, REFERENCES, LOCK TABLES ON \`${2//_/\\_}\`.* TO 'sarcina_loader'@'localhost'"
    gzip -dc "$1/database.sql.gz" | MYSQL_PWD=$password mariadb --no-defaults --sandbox --local-infile=0 --user=sarcina_loader \
        --socket="$sockets/db.sock" --default-character-set=utf8mb4 "$2" || ended=$?
    sql -e "DROP USER 'sarcina_loader'@'localhost'"
    return $ended
}

# on_database DATABASE COMMAND…: a command of the application on what was unpacked into a database, as the owner of the tables, and with the
# checkpoints of that backup.
on_database() {
    local database=$1
    shift
    APP_CONFIG_CACHE="$var/run/none.php" LEDGER_CHECKPOINTS="$unpacked/checkpoints" DB_DATABASE="$database" DB_USERNAME=sarcina_owner \
        DB_PASSWORD="$(cat "$var/owner")" DB_OWNER_PASSWORD="$(cat "$var/owner")" "$@"
}

# drill: the newest backup is put into a database of its own, verified and counted; nothing is believed of a backup that was never tried.
drill() {
    local file newest='' said
    alone
    for file in "$var"/backups/sarcina-*.tar; do [ ! -f "$file" ] || newest=$file; done
    if [ -z "$newest" ]; then
        echo "There is no backup to try: bin/sarcina backup makes one." >&2
        exit 1
    fi
    start_database
    unpack "$newest"
    if said=$(try_unpacked 2>&1); then
        printf '%s\n' "$said" "The drill went well: $(basename "$newest") can be put back." | tee "$var/backups/drill-said"
        printf '%s well %s\n' "$(date -u +%FT%TZ)" "$(basename "$newest")" > "$var/backups/drill"
    else
        printf '%s\n' "$said" "The drill FAILED: $(basename "$newest") cannot be put back as it is." | tee "$var/backups/drill-said" >&2
        printf '%s failed %s\n' "$(date -u +%FT%TZ)" "$(basename "$newest")" > "$var/backups/drill"
        exit 1
    fi
    rm -rf "$unpacked"
}

# Each step by itself: inside a condition the shell goes on after one that failed.
try_unpacked() {
    sql -e 'DROP DATABASE IF EXISTS sarcina_drill; CREATE DATABASE sarcina_drill CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci' || return 1
    load_dump "$unpacked" sarcina_drill || return 1
    on_database sarcina_drill php artisan database:triggers >/dev/null || return 1
    on_database sarcina_drill php artisan ledger:verify || return 1
    on_database sarcina_drill php artisan backup:check "$unpacked" --rows || return 1
    sql -e 'DROP DATABASE sarcina_drill'
}

newest_checkpoint() { find "$unpacked/checkpoints" -name 'checkpoint-*.json' | sort | tail -1; }

# scheduled_backup: what the clock does each day.
scheduled_backup() {
    alone
    start_database
    make_backup daily
    php artisan backup:tidy "$var/backups"
}

# open_keys: the instance's keys out of the backup that was opened, where they are not those that are here.
open_keys() {
    php artisan backup:keys "$unpacked" "$var/.env" --same >/dev/null 2>&1 || php artisan backup:keys "$unpacked" "$var/.env" || exit 1
}

# restore_keys FILE: .env alone, where it was lost.
restore_keys() {
    unpack "$1"
    open_keys
    rm -rf "$unpacked"
    echo "The keys are back in $var/.env. Start again."
}

# restore FILE BY [--unauthenticated]: into an instance that holds nothing.
restore() {
    local by=$2 tables
    if [ -d "$var/db/sarcina" ] && [ ! -f "$var/restoring" ]; then
        start_database
        tables=$(sql -N -e "SELECT COUNT(*) FROM information_schema.tables WHERE table_schema = 'sarcina' AND table_name = 'operations'")
        if [ "$tables" != 0 ] && [ "$(sql -N -e 'SELECT COUNT(*) FROM sarcina.operations')" != 0 ]; then
            echo "There is a record in $var already, and a restore never writes over one. Stop it and move $var to another name, then restore." >&2
            exit 64
        fi
    fi
    stop_server
    : > "$var/restoring"
    unpack "$1" ${3:-} --keep-key
    open_keys
    start_database
    empty_database
    load_dump "$unpacked" sarcina
    mkdir -p "$var/checkpoints" "$var/storage/app"
    cp "$unpacked"/checkpoints/*.json "$var/checkpoints/" 2>/dev/null || :
    [ ! -d "$unpacked/files" ] || cp -R "$unpacked/files/." "$var/storage/app/"
    is_own || touch "$var/demo-loaded"
    # It may be of an earlier version: then the record is verified as it is, and brought up to date.
    on_database sarcina php artisan backup:check "$unpacked" --rows || exit 1
    prepare_application
    on_database sarcina php artisan ledger:verify || { echo "The record is not whole: nothing is served from it. What was restored lies in $var." >&2; exit 1; }
    php artisan ledger:restored "$(newest_checkpoint)" --by="$by"
    php artisan ledger:verify
    php artisan kits:judge >/dev/null
    rm -rf "$unpacked" "$var/restoring"
    echo "Restored. Start it with: bin/sarcina start$(! is_own || printf ' --own')"
}

# not_half_restored: nothing is served from what was put back in part.
not_half_restored() {
    [ ! -f "$var/restoring" ] && return
    echo "A restore into $var was broken off. Restore again; it begins anew: bin/sarcina restore FILE$(! is_own || printf ' --own')" >&2
    exit 1
}

say_backups() {
    local file newest=''
    for file in "$var"/backups/sarcina-*.tar; do [ ! -f "$file" ] || newest=$file; done
    if [ -n "$newest" ]; then echo "backup: the newest is $(basename "$newest")"; else echo "backup: none yet"; fi
    [ ! -f "$var/backups/drill" ] || awk '{ print "drill: " ($2 == "well" ? "went well" : "FAILED") " on " $1 ", " $3 }' "$var/backups/drill"
}
