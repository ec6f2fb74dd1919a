# What bin/start, bin/stop, bin/test and bin/bench share. Every step can be run again from any state, and destroys nothing.
set -euo pipefail
ROOT="$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)"
cd "$ROOT"
# A test that kills its database brings a folder and an environment file of its own.
VAR="${CROWN_VAR:-$ROOT/var}"
ENVFILE="${CROWN_ENV:-.env}"
mkdir -p "$VAR/stamps" "$VAR/log"

say() { printf '%s\n' "· $*"; }
fail() { printf '%s\n' "✗ $*" >&2; exit 1; }

as_root() {
    if [ "$(id -u)" = 0 ]; then "$@"; elif command -v sudo >/dev/null; then sudo -n "$@" || fail "This step needs root: sudo $*"; else fail "This step needs root or sudo: $*"; fi
}

# A step whose inputs have not changed since it last went well is skipped.
stamped() { [ -f "$VAR/stamps/$1" ] && [ "$(cat "$VAR/stamps/$1")" = "$2" ]; }
stamp() { printf '%s' "$2" > "$VAR/stamps/$1"; }
# Taken back before the step begins anew: one that was broken off halfway has not gone well.
unstamp() { rm -f "$VAR/stamps/$1"; }
digest() { cat "$@" 2>/dev/null | sha256sum | cut -d' ' -f1; }

# Only one command at a time sets things up: a second, started meanwhile, waits for it instead of spoiling its work.
setting_up() {
    exec 9>"$VAR/setting-up"
    flock -n 9 || { say "Another command is setting things up; waiting for it"; flock -w 900 9 || fail "It did not end within 15 minutes. Stop it and run this again."; }
}
set_up() { exec 9>&-; }

ensure_disk() {
    local free
    free="$(df -Pk "$ROOT" | awk 'NR==2 {print $4}')"
    [ "$free" -gt 1000000 ] || fail "Less than 1 GB is free on the disk of $ROOT. Make room and run this again; nothing was changed."
}

ensure_packages() {
    local want=() p
    command -v php >/dev/null || want+=(php8.2-cli php8.2-xml php8.2-mbstring php8.2-intl)
    command -v composer >/dev/null || want+=(composer)
    command -v unzip >/dev/null || want+=(unzip)
    for p in mysql zip gd curl bcmath mbstring intl xml; do
        dpkg -s "php8.2-$p" >/dev/null 2>&1 || want+=("php8.2-$p")
    done
    dpkg -s mariadb-server >/dev/null 2>&1 || want+=(mariadb-server)
    if [ "${1:-}" = with-browser ]; then
        [ -x /usr/bin/chromium ] || want+=(chromium)
        command -v pdftotext >/dev/null || want+=(poppler-utils)
    fi
    if [ "${#want[@]}" -gt 0 ]; then
        say "Installing from Debian: ${want[*]}"
        as_root apt-get update -qq
        as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "${want[@]}" >"$VAR/log/apt.log" 2>&1 \
            || fail "apt-get could not install them; see $VAR/log/apt.log"
    fi
    command -v node >/dev/null || fail "Node.js 20 is needed. Install it and run this again."
}

ensure_composer() {
    local sum; sum="$(digest composer.json)"
    if [ ! -f vendor/autoload.php ] || ! stamped composer "$sum"; then
        say "Installing PHP packages"
        unstamp composer
        COMPOSER_ALLOW_SUPERUSER=1 composer install --no-interaction --no-progress --quiet >"$VAR/log/composer.log" 2>&1 || fail "composer failed; see $VAR/log/composer.log"
        # Which packages there are was found out for the ones before.
        rm -f bootstrap/cache/packages.php bootstrap/cache/services.php
        stamp composer "$sum"
    fi
}

ensure_npm() {
    local sum; sum="$(digest package.json package-lock.json)"
    if [ ! -d node_modules/vite ] || ! stamped npm "$sum"; then
        say "Installing front-end packages"
        unstamp npm
        npm ci --no-audit --no-fund >"$VAR/log/npm.log" 2>&1 || fail "npm failed; see $VAR/log/npm.log"
        stamp npm "$sum"
    fi
}

ensure_built() {
    local sum; sum="$(find resources vite.config.ts package.json -type f | LC_ALL=C sort | xargs cat | sha256sum | cut -d' ' -f1)"
    if [ ! -f public/build/manifest.json ] || ! stamped build "$sum"; then
        say "Building the front end"
        unstamp build
        npx vite build >"$VAR/log/build.log" 2>&1 || { tail -n 20 "$VAR/log/build.log" >&2; fail "The build failed; see $VAR/log/build.log"; }
        stamp build "$sum"
    fi
}

free_port() { # the first free port from $1 on
    local p="$1"
    while (exec 3<>"/dev/tcp/127.0.0.1/$p") 2>/dev/null; do p=$((p + 1)); done
    printf '%s' "$p"
}

port_taken() { (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

random() { head -c 18 /dev/urandom | base64 | tr -d '/+=' ; }

# The environment file is written once, with a key and passwords of its own.
ensure_env() {
    [ -f "$ENVFILE" ] && return
    say "Writing $ENVFILE"
    sed -e "s|^APP_KEY=.*|APP_KEY=base64:$(head -c 32 /dev/urandom | base64)|" \
        -e "s|^DB_PORT=.*|DB_PORT=$(free_port 33117)|" \
        -e "s|^DB_PASSWORD=.*|DB_PASSWORD=$(random)|" .env.example > "$ENVFILE"
    chmod 600 "$ENVFILE"
}

env_of() { sed -n "s/^$1=//p" "$ENVFILE" | head -n 1 | tr -d '"'; }

db_alive() { mariadb --no-defaults -h 127.0.0.1 -P "$(env_of DB_PORT)" -u "$(env_of DB_USERNAME)" -p"$(env_of DB_PASSWORD)" -e 'SELECT 1' >/dev/null 2>&1; }

# A MariaDB of our own: its own folder, socket and port, on loopback only. Debian's own service is left alone.
ensure_db() {
    local port user=() first="" socket
    port="$(env_of DB_PORT)"
    db_alive && return
    mkdir -p "$VAR/db"
    socket="$VAR/db.sock"
    [ "${#socket}" -lt 100 ] || socket="/tmp/crown-$(printf '%s' "$ROOT" | sha256sum | cut -c1-12).sock"
    if [ "$(id -u)" = 0 ]; then
        chmod 755 "$VAR"
        if chown mysql "$VAR/db" && setpriv --reuid mysql --regid mysql --clear-groups test -w "$VAR/db" && [ "$socket" != "$VAR/db.sock" -o -x "$ROOT" ]; then
            chown -R mysql:mysql "$VAR/db"; user=(--user=mysql)
            socket="$VAR/db/crown.sock"; [ "${#socket}" -lt 100 ] || socket="/tmp/crown-$(printf '%s' "$ROOT" | sha256sum | cut -c1-12).sock"
        else
            chown -R root:root "$VAR/db"; user=(--user=root)
        fi
    fi
    if [ ! -d "$VAR/db/mysql" ]; then
        say "Preparing a private MariaDB in var/db"
        mariadb-install-db --no-defaults "${user[@]}" --datadir="$VAR/db" --auth-root-authentication-method=normal --skip-test-db --skip-name-resolve >"$VAR/log/db-install.log" 2>&1 \
            || fail "MariaDB could not be prepared; see $VAR/log/db-install.log"
        first=yes
    fi
    if port_taken "$port"; then
        port="$(free_port $((port + 1)))"
        sed -i "s/^DB_PORT=.*/DB_PORT=$port/" "$ENVFILE"
        say "The database's port was taken; using $port"
    fi
    say "Starting MariaDB on port $port"
    setsid mariadbd --no-defaults "${user[@]}" --datadir="$VAR/db" --socket="$socket" --port="$port" --bind-address=127.0.0.1 \
        --skip-name-resolve --pid-file="$VAR/db/crown.pid" --character-set-server=utf8mb4 --collation-server=utf8mb4_unicode_ci \
        --default-time-zone=+00:00 --sql-mode=STRICT_ALL_TABLES,NO_ZERO_DATE,NO_ZERO_IN_DATE,ERROR_FOR_DIVISION_BY_ZERO \
        --innodb-flush-log-at-trx-commit=1 --innodb-buffer-pool-size=256M --max-connections=120 \
        </dev/null >"$VAR/log/db.log" 2>&1 9>&- &
    for _ in $(seq 1 150); do
        mariadb --no-defaults -u root --socket="$socket" -e 'SELECT 1' >/dev/null 2>&1 && break
        db_alive && break
        sleep 0.2
    done
    if ! db_alive; then
        local u p; u="$(env_of DB_USERNAME)"; p="$(env_of DB_PASSWORD)"
        mariadb --no-defaults -u root --socket="$socket" >>"$VAR/log/db.log" 2>&1 <<SQL || fail "MariaDB did not start; see $VAR/log/db.log"
CREATE DATABASE IF NOT EXISTS crown CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;
CREATE DATABASE IF NOT EXISTS crown_test CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;
CREATE DATABASE IF NOT EXISTS crown_browser_test CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;
CREATE OR REPLACE USER '$u'@'127.0.0.1' IDENTIFIED BY '$p';
GRANT ALL ON crown.* TO '$u'@'127.0.0.1';
GRANT ALL ON \`crown\\_%\`.* TO '$u'@'127.0.0.1';
SQL
    fi
    db_alive || fail "MariaDB does not answer; see $VAR/log/db.log"
}

stop_db() { [ -f "$VAR/db/crown.pid" ] && kill "$(cat "$VAR/db/crown.pid")" 2>/dev/null || true; }

# serve PORT LOGNAME: PHP's own server with eight workers, in a process group of its own, its id in var/LOGNAME.pid. A worker takes on
# what comes in while it is busy, so there are more of them than cores.
# It is started anew after every change, so it need not look at the files' times again.
serve() {
    # Configuration and routes are cached for this server alone, in a folder of its own: the tests never look there.
    local -x DB_PERSISTENT=true APP_CONFIG_CACHE="$VAR/$2/config.php" APP_ROUTES_CACHE="$VAR/$2/routes.php" APP_EVENTS_CACHE="$VAR/$2/events.php"
    mkdir -p "$VAR/$2"
    php artisan config:cache --quiet && php artisan route:cache --quiet && php artisan event:cache --quiet || fail "The configuration could not be prepared; see storage/logs"
    local preload=(-d "opcache.preload=$ROOT/bin/preload.php" -d opcache.interned_strings_buffer=32)
    # PHP does not preload as root unless it is told to: where a container's only user is root there is no other.
    [ "$(id -u)" != 0 ] || preload+=(-d opcache.preload_user=root)
    # Without it everything works too, only slower. Whether it goes is tried once for each state of the code and of PHP: it takes seconds.
    local code; code="$({ php -v; find app core bin/preload.php composer.json -type f | LC_ALL=C sort | xargs cat; } | sha256sum | cut -d' ' -f1)"
    if ! stamped preload "$code"; then
        unstamp preload
        if php -q -d opcache.enable_cli=1 "${preload[@]}" -r '' >"$VAR/log/preload.log" 2>&1; then stamp preload "$code"
        else say "Classes could not be linked beforehand; see $VAR/log/preload.log. Going on without."; preload=(); fi
    fi
    local live="$VAR/$2/live.sock"
    [ "${#live}" -lt 100 ] || live="/tmp/crown-$(printf '%s' "$live" | sha256sum | cut -c1-12).sock"
    # Beside it the workers that stay (bin/live.php), in the same process group: whatever ends the one ends the other.
    CROWN_LIVE="$live" PHP_CLI_SERVER_WORKERS=8 setsid bash -c 'php -q -d opcache.enable_cli=1 -d opcache.validate_timestamps=0 bin/live.php "$CROWN_LIVE" "$(nproc)" & exec "$@"' serve \
        php -q -d opcache.enable_cli=1 -d opcache.validate_timestamps=0 "${preload[@]}" -d expose_php=0 -d upload_max_filesize=4M -S "127.0.0.1:$1" -t public bin/router.php \
        </dev/null >"$VAR/log/$2.log" 2>&1 9>&- &
    echo $! > "$VAR/$2.pid"
    for _ in $(seq 1 100); do port_taken "$1" && return; sleep 0.1; done
    fail "The web server did not start; see $VAR/log/$2.log"
}

stop_serving() {
    local f="$VAR/$1.pid" pid
    [ -f "$f" ] || return 0
    pid="$(cat "$f")"
    # Only a server of ours: the id may have been given to another process since.
    if grep -qs 'bin/router.php' "/proc/$pid/cmdline"; then kill -TERM -- "-$pid" 2>/dev/null || true; fi
    # Its port is free only when every worker has gone.
    for _ in $(seq 1 50); do kill -0 -- "-$pid" 2>/dev/null || break; sleep 0.1; done
    rm -f "$f"
}
