# Part of bin/lib.sh: what comes from Debian, from Packagist and from npm.

# Node for building and for the browser tests, where Debian's own is too old (20.19 is needed). Both are npm packages.
NODE_VERSION=22.23.3
NPM_VERSION=11.21.2
[ ! -x "$ROOT/var/node/bin/node" ] || export PATH="$ROOT/var/node/bin:$PATH"

# Which PHP: the one that is here, or else the one of this Debian. What every name of a package and program is made from.
PHP_KNOWN="8.2 8.3 8.4"
php_version() {
    local version
    if command -v php >/dev/null; then
        version="$(php -r 'echo PHP_MAJOR_VERSION.".".PHP_MINOR_VERSION;')"
    else
        version="$(apt-cache depends php-cli 2>/dev/null | sed -n 's/.*php\([0-9][0-9.]*\)-cli.*/\1/p' | head -n 1)"
    fi
    case " $PHP_KNOWN " in
        *" $version "*) printf '%s' "$version" ;;
        *) fail "PHP ${version:-(none)} is not one of those this was proven with: $PHP_KNOWN" ;;
    esac
}

read_lists() {
    as_root apt-get update -qq >"$VAR/log/apt.log" 2>&1 || fail "apt-get could not read the packages' lists; see $VAR/log/apt.log"
}

ensure_packages() {
    local want=() p
    command -v php >/dev/null || apt-cache show php-cli >/dev/null 2>&1 || read_lists
    PHP="$(php_version)"
    SERVICES[2]="php$PHP-fpm"
    command -v php >/dev/null || want+=("php$PHP-cli")
    command -v composer >/dev/null || want+=(composer)
    command -v unzip >/dev/null || want+=(unzip)
    command -v setpriv >/dev/null || want+=(util-linux)
    for p in bcmath curl fpm gd intl mbstring mysql opcache xml zip; do is_installed "php$PHP-$p" || want+=("php$PHP-$p"); done
    for p in ca-certificates mariadb-server nginx-light procps; do is_installed "$p" || want+=("$p"); done
    node_is_new_enough || { command -v npm >/dev/null || want+=(nodejs npm); }
    if [ "${1:-}" = with-browser ]; then
        [ -x /usr/bin/chromium ] || want+=(chromium)
        command -v pdftotext >/dev/null || want+=(poppler-utils)
    fi
    [ "${#want[@]}" -eq 0 ] || install_from_debian "${want[@]}"
    ensure_node
}

# Another package may stand in for one that is wanted, as nginx-full does for nginx-light.
is_installed() {
    case "$1" in
        nginx-light) [ -x /usr/sbin/nginx ] ;;
        *) dpkg -s "$1" 2>/dev/null | grep -q '^Status: .* installed' ;;
    esac
}

install_from_debian() {
    say "Installing from Debian: $*"
    read_lists
    keep_services_still
    if ! as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "$@" >>"$VAR/log/apt.log" 2>&1; then
        let_services_be
        fail "apt-get could not install them; see $VAR/log/apt.log"
    fi
    let_services_be
}

# Debian's packages start their services as soon as they are installed, on their usual ports. Ours are private to the checkout, so
# those are kept from starting, also at the next start of the machine; whatever ran before runs on.
POLICY=/usr/sbin/policy-rc.d
SERVICES=(mariadb nginx php-fpm)
ran_before=" "
keep_services_still() {
    local s
    ran_before=" "
    for s in "${SERVICES[@]}"; do
        if service_exists "$s"; then ran_before="$ran_before$s "; fi
    done
    # A policy of the machine's own is asked after ours.
    [ ! -e "$POLICY" ] || as_root mv "$POLICY" "$POLICY.before-crown"
    printf '%s\n' '#!/bin/sh' \
        "case \"\$1\" in ${SERVICES[0]}|${SERVICES[1]}|${SERVICES[2]}) case '$ran_before' in *\" \$1 \"*) ;; *) exit 101 ;; esac ;; esac" \
        "[ ! -x $POLICY.before-crown ] || exec $POLICY.before-crown \"\$@\"" | as_root tee "$POLICY" >/dev/null
    as_root chmod 755 "$POLICY"
    trap let_services_be EXIT
}

let_services_be() {
    local s
    trap - EXIT
    as_root rm -f "$POLICY"
    [ ! -e "$POLICY.before-crown" ] || as_root mv "$POLICY.before-crown" "$POLICY"
    command -v systemctl >/dev/null || return 0
    for s in "${SERVICES[@]}"; do
        case "$ran_before" in
            *" $s "*) ;;
            *) as_root systemctl disable --quiet "$s" >/dev/null 2>&1 || true ;;
        esac
    done
}

# One that was here before the install is the machine's own, running or not.
service_exists() { [ -e "/etc/init.d/$1" ] || [ -e "/lib/systemd/system/$1.service" ]; }

node_is_new_enough() {
    command -v node >/dev/null && command -v npm >/dev/null \
        && node -e 'const [a, b] = process.versions.node.split(".").map(Number); process.exit(a > 20 || (a === 20 && b >= 19) ? 0 : 1)'
}

ensure_node() {
    node_is_new_enough && return
    local arch home="$ROOT/var/node"
    case "$(uname -m)" in
        x86_64) arch=x64 ;;
        aarch64) arch=arm64 ;;
        *) fail "Node.js 20.19 or newer is needed and there is no package of it for $(uname -m). Install it and run this again." ;;
    esac
    say "Installing Node.js $NODE_VERSION beside the application: Debian's is too old"
    rm -rf "$home"
    mkdir -p "$home/bin"
    npm install --prefix "$home" --no-audit --no-fund "node-linux-$arch@$NODE_VERSION" "npm@$NPM_VERSION" >"$VAR/log/node.log" 2>&1 \
        || fail "npm could not install it; see $VAR/log/node.log"
    ln -sf "../node_modules/node-linux-$arch/bin/node" "$home/bin/node"
    ln -sf ../node_modules/npm/bin/npm-cli.js "$home/bin/npm"
    ln -sf ../node_modules/npm/bin/npx-cli.js "$home/bin/npx"
    export PATH="$home/bin:$PATH"
    hash -r
    node_is_new_enough || fail "The Node.js that was installed does not run; see $VAR/log/node.log"
}

ensure_composer() {
    local sum
    sum="$(digest composer.json)"
    if [ -f vendor/autoload.php ] && stamped composer "$sum"; then return; fi
    say "Installing PHP packages"
    unstamp composer
    COMPOSER_ALLOW_SUPERUSER=1 composer install --no-interaction --no-progress --quiet >"$VAR/log/composer.log" 2>&1 \
        || fail "composer failed; see $VAR/log/composer.log"
    # Which packages there are was found out for the ones before.
    rm -f bootstrap/cache/packages.php bootstrap/cache/services.php
    unstamp classes
    stamp composer "$sum"
}

# No lock is kept, since it would hold addresses. So the versions that all was proven with are, and what differs is said.
say_moved() {
    local moved
    moved="$(php "$ROOT/bin/lib/versions.php" | diff "$ROOT/composer.versions" - | sed -n 's/^[<>]/&/p' || true)"
    [ -z "$moved" ] || say "PHP packages that moved since composer.versions was written (php bin/lib/versions.php writes it anew):"$'\n'"$moved"
}

# Composer lists all classes once. What came after that list would be searched for in every request, and never preloaded.
ensure_classes() {
    local sum
    sum="$(find app core database tests -name '*.php' | LC_ALL=C sort | sha256sum | cut -d' ' -f1)"
    if stamped classes "$sum"; then return; fi
    unstamp classes
    COMPOSER_ALLOW_SUPERUSER=1 composer dump-autoload --no-interaction --quiet >"$VAR/log/composer.log" 2>&1 \
        || fail "composer could not list the classes; see $VAR/log/composer.log"
    stamp classes "$sum"
}

ensure_npm() {
    local sum
    sum="$(digest package.json package-lock.json)"
    if [ -d node_modules/vite ] && stamped npm "$sum"; then return; fi
    say "Installing front-end packages"
    unstamp npm
    npm ci --no-audit --no-fund >"$VAR/log/npm.log" 2>&1 || fail "npm failed; see $VAR/log/npm.log"
    stamp npm "$sum"
}

ensure_built() {
    local sum
    sum="$(find resources vite.config.ts package.json -type f | LC_ALL=C sort | xargs cat | sha256sum | cut -d' ' -f1)"
    if [ -f public/build/manifest.json ] && stamped build "$sum"; then return; fi
    say "Building the front end"
    unstamp build
    npx vite build >"$VAR/log/build.log" 2>&1 \
        || { tail -n 20 "$VAR/log/build.log" >&2; fail "The build failed; see $VAR/log/build.log"; }
    stamp build "$sum"
}
