#!/usr/bin/env bash
# on.sh INSTANCE FUNCTION…: runs functions of instance.sh on one instance, for tests that stop and start it.
set -euo pipefail
here=$(cd "$(dirname "$(readlink -f "$0")")/../.." && pwd)
cd "$here"
. bin/lib/machine.sh
. bin/lib/instance.sh
use_instance "$1" 8090
[ ! -f "$var/listen" ] || . "$var/listen"
shift
for function in "$@"; do "$function"; done
