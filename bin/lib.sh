# What bin/start, bin/stop, bin/test and bin/bench share. Every step can be run again from any state, and destroys nothing.
set -euo pipefail
# What is written here is the maker's own: nobody else on the machine reads it.
umask 077
ROOT="$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)"
cd "$ROOT"
# A test that kills its database brings a folder and an environment file of its own.
VAR="${CROWN_VAR:-$ROOT/var}"
ENVFILE="${CROWN_ENV:-.env}"
mkdir -p "$VAR/stamps" "$VAR/log"

say() { printf '%s\n' "· $*"; }
fail() { printf '%s\n' "✗ $*" >&2; exit 1; }

am_root() { [ "$(id -u)" = 0 ]; }

as_root() {
    if am_root; then "$@"
    elif command -v sudo >/dev/null; then sudo -n "$@" || fail "This step needs root: sudo $*"
    else fail "This step needs root or sudo: $*"; fi
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
    flock -n 9 && return
    say "Another command is setting things up; waiting for it"
    flock -w 900 9 || fail "It did not end within 15 minutes. Stop it and run this again."
}
set_up() { exec 9>&-; }

ensure_disk() {
    local free
    free="$(df -Pk "$ROOT" | awk 'NR==2 {print $4}')"
    [ "$free" -gt 1000000 ] || fail "Less than 1 GB is free on the disk of $ROOT. Make room and run this again; nothing was changed."
}

port_taken() { (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

free_port() { # the first free port from $1 on
    local p="$1"
    while port_taken "$p"; do p=$((p + 1)); done
    printf '%s' "$p"
}

random() { head -c 18 /dev/urandom | base64 | tr -d '/+=' ; }

# The environment file is written once, with a key and passwords of its own.
ensure_env() {
    [ -f "$ENVFILE" ] && return
    say "Writing $ENVFILE"
    sed -e "s|^APP_KEY=.*|APP_KEY=base64:$(head -c 32 /dev/urandom | base64)|" \
        -e "s|^DB_PORT=.*|DB_PORT=$(free_port 33117)|" \
        -e "s|^DB_PASSWORD=.*|DB_PASSWORD=$(random)|" .env.example > "$ENVFILE"
}

env_of() { sed -n "s/^$1=//p" "$ENVFILE" | head -n 1 | tr -d '"'; }

# A socket's path has at most 107 characters. Where the checkout's own is longer, a private folder under /tmp takes it.
socket_in() { # FOLDER NAME
    local dir="$1"
    if [ $(( ${#1} + ${#2} )) -gt 98 ]; then
        dir="/tmp/crown-$(id -u)-$(printf '%s' "$1" | sha256sum | cut -c1-12)"
        mkdir -p -m 700 "$dir"
        [ -O "$dir" ] || fail "$dir belongs to somebody else: remove it and run this again."
    fi
    printf '%s' "$dir/$2"
}

# Closed to others also where an earlier version left it open.
ensure_private() {
    mkdir -p storage/app/photos storage/fonts storage/logs storage/framework/{cache,sessions,views}
    chmod -R go= storage/app storage/fonts storage/logs storage/framework
    chmod go= "$ENVFILE" "$VAR"/* bootstrap/cache
    # The database's own user has to come by, and reads nothing on the way.
    chmod 711 "$VAR"
}

. "$ROOT/bin/lib/packages.sh"
. "$ROOT/bin/lib/database.sh"
. "$ROOT/bin/lib/serving.sh"
