# Part of bin/lib.sh: nginx and php-fpm from Debian's packages, private to the checkout. Their substance stands in deploy/, which
# production includes as well; what is written here is only where they listen and as whom they run.

# serve PORT NAME: everything of this server lies in var/NAME.
serve() {
    local port="$1" name="$2" home="$VAR/$2" socket
    mkdir -p "$home/tmp"
    socket="$(socket_in "$home" fpm.sock)"
    cache_configuration "$home"
    write_fpm "$home" "$socket"
    write_nginx "$home" "$socket" "$port"
    local preload
    preload="$(preload_setting)"
    CROWN_ROOT="$ROOT" PHP_INI_SCAN_DIR=":$ROOT/deploy" \
        "php-fpm$(php_version)" -y "$home/fpm.conf" $(am_root && printf '%s' -R) -d "opcache.preload=$preload" \
        -d "opcache.preload_user=$(id -un)" </dev/null >"$VAR/log/$name.log" 2>&1 9>&- \
        || fail "php-fpm did not start; see $VAR/log/$name.log"
    /usr/sbin/nginx -p "$home" -c "$home/nginx.conf" -e "$VAR/log/$name.log" </dev/null >>"$VAR/log/$name.log" 2>&1 9>&- \
        || fail "nginx did not start; see $VAR/log/$name.log"
    for _ in $(seq 1 100); do port_taken "$port" && return; sleep 0.1; done
    fail "The web server did not start; see $VAR/log/$name.log"
}

# Configuration and routes are cached for this server alone, in a folder of its own: the tests never look there.
cache_configuration() {
    local -x DB_PERSISTENT=true
    local -x APP_CONFIG_CACHE="$1/config.php" APP_ROUTES_CACHE="$1/routes.php" APP_EVENTS_CACHE="$1/events.php"
    php artisan config:cache --quiet && php artisan route:cache --quiet && php artisan event:cache --quiet \
        || fail "The configuration could not be prepared; see storage/logs"
}

write_fpm() {
    cat > "$1/fpm.conf" <<CONF
[global]
pid = $1/fpm.pid
error_log = $VAR/log/$(basename "$1").log
log_limit = 8192

[crown]
listen = $2
listen.mode = 0600
env[APP_CONFIG_CACHE] = $1/config.php
env[APP_ROUTES_CACHE] = $1/routes.php
env[APP_EVENTS_CACHE] = $1/events.php
$(am_root && printf 'user = root\ngroup = root')
include = $ROOT/deploy/fpm-pool.conf
CONF
}

write_nginx() {
    cat > "$1/nginx.conf" <<CONF
$(am_root && printf 'user root;')
worker_processes auto;
pid $1/nginx.pid;
error_log $VAR/log/$(basename "$1").log warn;
events { worker_connections 512; }
http {
    include /etc/nginx/mime.types;
    default_type application/octet-stream;
    sendfile on;
    access_log off;
    client_body_temp_path $1/tmp/body;
    fastcgi_temp_path $1/tmp/fastcgi;
    proxy_temp_path $1/tmp/proxy;
    uwsgi_temp_path $1/tmp/uwsgi;
    scgi_temp_path $1/tmp/scgi;
    upstream crown { server unix:$2; }
    server {
        listen 127.0.0.1:$3;
        root $ROOT/public;
        include $ROOT/deploy/nginx-site.conf;
    }
}
CONF
}

# Whether classes can be linked beforehand is tried once for each state of the code and of PHP: it takes seconds. Without it
# everything works too, only slower.
preload_setting() {
    local code
    code="$({ php -v; find app core bin/preload.php composer.json -type f | LC_ALL=C sort | xargs cat; } | sha256sum | cut -d' ' -f1)"
    if ! stamped preload "$code"; then
        unstamp preload
        if ! php -d opcache.enable_cli=1 -d opcache.preload="$ROOT/bin/preload.php" -d opcache.preload_user="$(id -un)" -r '' \
            >"$VAR/log/preload.log" 2>&1; then
            say "Classes could not be linked beforehand; see $VAR/log/preload.log. Going on without." >&2
            return
        fi
        stamp preload "$code"
    fi
    printf '%s' "$ROOT/bin/preload.php"
}

# Only processes of ours: an id may have been given to another since.
stop_serving() {
    local home="$VAR/$1" of pid
    stop_former "$1"
    for of in nginx fpm; do
        [ -f "$home/$of.pid" ] || continue
        pid="$(cat "$home/$of.pid")"
        if grep -qs "$home/$of.conf" "/proc/$pid/cmdline"; then
            kill -TERM "$pid" 2>/dev/null || true
            # Its port and its socket are free only when it has gone.
            for _ in $(seq 1 100); do kill -0 "$pid" 2>/dev/null || break; sleep 0.05; done
        fi
        rm -f "$home/$of.pid"
    done
}

# A server as it was started before there were nginx and php-fpm.
stop_former() {
    local pid
    [ -f "$VAR/$1.pid" ] || return 0
    pid="$(cat "$VAR/$1.pid")"
    if grep -qs 'bin/router.php' "/proc/$pid/cmdline"; then
        kill -TERM -- "-$pid" 2>/dev/null || true
        for _ in $(seq 1 50); do kill -0 -- "-$pid" 2>/dev/null || break; sleep 0.1; done
    fi
    rm -f "$VAR/$1.pid"
}
