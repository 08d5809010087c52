#!/usr/bin/env bash
# on.sh INSTANCE FUNCTION…: runs functions of instance.sh on one instance, for its clock and for tests. What a function is given stands
# after it, parted by colons.
set -euo pipefail
here=$(cd "$(dirname "$(readlink -f "$0")")/../.." && pwd)
cd "$here"
. bin/lib/machine.sh
. bin/lib/user.sh
. bin/lib/instance.sh
if [ "$(id -u)" -eq 0 ]; then
    make_service_user
    as_service_user bin/lib/on.sh "$@"
    exit
fi
use_instance "$1" 8090
[ -s "$var/port" ] || port=$(free_port 8290)
[ ! -f "$var/listen" ] || . "$var/listen"
shift
for function in "$@"; do
    IFS=: read -ra words <<< "$function"
    "${words[@]}"
done
