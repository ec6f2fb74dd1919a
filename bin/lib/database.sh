# Part of bin/lib.sh: a MariaDB of our own, with its own folder, socket and port, on loopback only. Debian's service is left alone.

DATABASES=(crown crown_test crown_browser_test crown_bench_test)

db() { # as the application's own user
    mariadb --no-defaults -h 127.0.0.1 -P "$(env_of DB_PORT)" -u "$(env_of DB_USERNAME)" -p"$(env_of DB_PASSWORD)" "$@"
}

# "Alive" means that it answers, not that there is a process.
db_alive() { db -e 'SELECT 1' >/dev/null 2>&1; }

db_socket() { if am_root; then socket_in "$VAR/db" crown.sock; else socket_in "$VAR" db.sock; fi; }

# Its administrator is whoever runs these scripts, known by the socket: there is no password, and nobody else comes in.
db_admin() { mariadb --no-defaults -u "$(id -un)" --socket="$(db_socket)" "$@"; }

ensure_db() {
    db_alive && { close_db; return; }
    local port user=()
    mkdir -p "$VAR/db"
    ! am_root || own_db_folder
    [ -d "$VAR/db/mysql" ] || prepare_db
    port="$(env_of DB_PORT)"
    if port_taken "$port"; then
        port="$(free_port $((port + 1)))"
        sed -i "s/^DB_PORT=.*/DB_PORT=$port/" "$ENVFILE"
        say "The database's port was taken; using $port"
    fi
    say "Starting MariaDB on port $port"
    setsid mariadbd --defaults-file="$ROOT/deploy/mariadb.cnf" "${user[@]}" --datadir="$VAR/db" \
        --socket="$(db_socket)" --port="$port" --bind-address=127.0.0.1 --skip-name-resolve \
        --pid-file="$VAR/db/crown.pid" \
        </dev/null >"$VAR/log/db.log" 2>&1 9>&- &
    # A busy disk may take its time over a new folder.
    for _ in $(seq 1 900); do db_answers_admin && break; sleep 0.1; done
    close_db
    db_alive || grant_db
    db_alive || fail "MariaDB does not answer; see $VAR/log/db.log"
}

# As root the database runs as Debian's user for it, where that one can reach the folder; else as root.
own_db_folder() {
    chmod 711 "$VAR"
    local as=mysql socket
    chown mysql "$VAR/db" && setpriv --reuid mysql --regid mysql --clear-groups test -w "$VAR/db" || as=root
    chown -R "$as:$as" "$VAR/db"
    socket="$(db_socket)"
    [ "$(dirname "$socket")" = "$VAR/db" ] || chown "$as" "$(dirname "$socket")"
    user=("--user=$as")
}

prepare_db() {
    say "Preparing a private MariaDB in var/db"
    mariadb-install-db --no-defaults "${user[@]}" --datadir="$VAR/db" --skip-test-db --skip-name-resolve \
        --auth-root-authentication-method=socket --auth-root-socket-user="$(id -un)" >"$VAR/log/db-install.log" 2>&1 \
        || fail "MariaDB could not be prepared; see $VAR/log/db-install.log"
}

db_answers_admin() {
    db_admin -e 'SELECT 1' >/dev/null 2>&1 || mariadb --no-defaults -u root --socket="$(db_socket)" -e 'SELECT 1' >/dev/null 2>&1
}

# A folder that an earlier version prepared lets everyone on the machine in as root, without a password: closed once.
close_db() {
    chmod 700 "$VAR/db" 2>/dev/null || as_root chmod 700 "$VAR/db"
    stamped db-closed yes && return
    local me
    me="$(id -un)"
    if ! am_root && mariadb --no-defaults -u root --socket="$(db_socket)" -e 'SELECT 1' >/dev/null 2>&1; then
        mariadb --no-defaults -u root --socket="$(db_socket)" -e \
            "CREATE OR REPLACE USER '$me'@localhost IDENTIFIED VIA unix_socket; GRANT ALL ON *.* TO '$me'@localhost WITH GRANT OPTION"
    fi
    db_admin -e "ALTER USER root@localhost IDENTIFIED VIA unix_socket" 2>>"$VAR/log/db.log" || fail "The database's root could not be closed: $(tail -n 4 "$VAR/log/db.log")"
    db_admin -N -e "SELECT CONCAT('DROP USER ', QUOTE(user), '@', QUOTE(host), ';') FROM mysql.global_priv WHERE user IN ('root', '') AND host <> 'localhost'" | db_admin
    stamp db-closed yes
}

grant_db() {
    local name u p
    u="$(env_of DB_USERNAME)"
    p="$(env_of DB_PASSWORD)"
    {
        for name in "${DATABASES[@]}"; do
            printf 'CREATE DATABASE IF NOT EXISTS %s CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;\n' "$name"
        done
        printf "CREATE OR REPLACE USER '%s'@'127.0.0.1' IDENTIFIED BY '%s';\n" "$u" "$p"
        printf "GRANT ALL ON crown.* TO '%s'@'127.0.0.1';\n" "$u"
        printf "GRANT ALL ON \`crown\\\\_%%\`.* TO '%s'@'127.0.0.1';\n" "$u"
    } | db_admin >>"$VAR/log/db.log" 2>&1 || fail "MariaDB did not start; see $VAR/log/db.log"
}

stop_db() {
    local pid
    [ -f "$VAR/db/crown.pid" ] || return 0
    pid="$(cat "$VAR/db/crown.pid")"
    grep -qs mariadbd "/proc/$pid/cmdline" || return 0
    kill "$pid" 2>/dev/null || true
    for _ in $(seq 1 300); do kill -0 "$pid" 2>/dev/null || break; sleep 0.1; done
}
