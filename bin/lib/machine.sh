# What the machine and the checkout need: system packages, PHP and JavaScript packages, the built page.

php_packages="php8.2-cli php8.2-fpm php8.2-curl php8.2-intl php8.2-mbstring php8.2-mysql php8.2-opcache php8.2-xml php8.2-zip"
# What tests and pictures need besides: a browser, and what reads a label's codes off its PDF.
test_packages="chromium chromium-driver poppler-utils zbar-tools"

say() { printf '· %s\n' "$*"; }

# need_packages [EXTRA…]: installs the Debian packages that are missing, without starting any service of theirs.
need_packages() {
    local missing=() package guard=
    for package in $php_packages mariadb-server nginx-light composer curl unzip "$@"; do
        # Composer may also have come another way.
        [ "$package" = composer ] && command -v composer >/dev/null && continue
        dpkg-query -W -f='${Status}' "$package" 2>/dev/null | grep -q 'ok installed' || missing+=("$package")
    done
    if [ ${#missing[@]} -gt 0 ]; then
        if [ "$(id -u)" -ne 0 ]; then
            echo "These packages are missing, and only root can install them: ${missing[*]}" >&2
            exit 1
        fi
        say "installing ${missing[*]}"
        mkdir -p var/done
        if [ ! -e /usr/sbin/policy-rc.d ]; then
            guard=1
            printf '#!/bin/sh\nexit 101\n' > /usr/sbin/policy-rc.d
            chmod +x /usr/sbin/policy-rc.d
        fi
        if ! (apt-get update -qq && DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "${missing[@]}") > var/done/apt.log 2>&1; then
            [ -z "$guard" ] || rm -f /usr/sbin/policy-rc.d
            tail -20 var/done/apt.log >&2
            echo "The packages could not be installed; the whole record is in var/done/apt.log." >&2
            exit 1
        fi
        [ -z "$guard" ] || rm -f /usr/sbin/policy-rc.d
    fi
    need_node
}

# Vite asks for Node 20.19 and npm 11; Debian 12 has Node 18. The npm registry carries both.
need_node() {
    local tools="$here/var/tools"
    [ -d "$tools/node/bin" ] && export PATH="$tools/node/bin:$PATH"
    [ -d "$tools/npm/node_modules/.bin" ] && export PATH="$tools/npm/node_modules/.bin:$PATH"
    if ! command -v npm >/dev/null; then
        say "installing npm"
        DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends npm >> var/done/apt.log 2>&1
    fi
    if ! node -e 'const [a, b] = process.versions.node.split(".").map(Number); process.exit(a > 20 || (a === 20 && b >= 19) ? 0 : 1)' 2>/dev/null; then
        say "installing Node 20 into var/tools"
        mkdir -p "$tools/fetched"
        (cd "$tools/fetched" && npm install --silent --no-audit --no-fund "node-linux-$(node -p process.arch)@20.20" >/dev/null)
        ln -sfn "$(ls -d "$tools"/fetched/node_modules/node-linux-*)" "$tools/node"
        export PATH="$tools/node/bin:$PATH"
    fi
    if [ "$(npm --version | cut -d. -f1)" -lt 11 ]; then
        say "installing npm 11 into var/tools"
        mkdir -p "$tools/npm"
        (cd "$tools/npm" && npm install --silent --no-audit --no-fund npm@11 >/dev/null)
        export PATH="$tools/npm/node_modules/.bin:$PATH"
    fi
}

# done_for NAME FILE…: whether NAME was done for these very files; note_done remembers it.
done_for() {
    local name=$1; shift
    [ -f "var/done/$name" ] && [ "$(cat "var/done/$name")" = "$(cat "$@" | sha256sum)" ]
}
note_done() {
    local name=$1; shift
    mkdir -p var/done
    cat "$@" | sha256sum > "var/done/$name"
}

need_vendor() {
    done_for vendor composer.json && [ -f vendor/autoload.php ] && return
    say "installing PHP packages"
    mkdir -p var/done bootstrap/cache
    if ! COMPOSER_ALLOW_SUPERUSER=1 composer install --no-interaction --no-progress > var/done/composer.log 2>&1; then
        tail -30 var/done/composer.log >&2
        exit 1
    fi
    # Some packages unpack readable by their owner only.
    chmod -R u+rwX,go+rX vendor
    note_done vendor composer.json
}

need_node_modules() {
    done_for node package.json package-lock.json && [ -d node_modules ] && return
    say "installing JavaScript packages"
    mkdir -p var/done
    if ! npm ci --no-audit --no-fund > var/done/npm.log 2>&1; then
        tail -30 var/done/npm.log >&2
        exit 1
    fi
    note_done node package.json package-lock.json
}

page_sources() { find resources/js resources/views -type f | sort; echo vite.config.ts; echo package-lock.json; }

need_build() {
    # shellcheck disable=SC2046
    if done_for build $(page_sources) && [ -f public/build/manifest.json ] && [ -f public/sw.js ]; then return; fi
    need_node_modules
    say "building the page"
    if ! npm run --silent build > var/done/build.log 2>&1; then
        tail -30 var/done/build.log >&2
        exit 1
    fi
    # shellcheck disable=SC2046
    note_done build $(page_sources)
}
