#!/usr/bin/env bash
# A MariaDB of our own on loopback: mariadb.sh start FOLDER PORT [test] | load FOLDER SQL | stop FOLDER
set -euo pipefail
action=$1 folder=$2
# A socket's path may have 107 characters at most; project folders can be deeper.
socket=/tmp/jalon-db-$(echo -n "$folder" | sha256sum | cut -c1-12).sock
as_user=()
[ "$(id -u)" = 0 ] && as_user=(--user=mysql)

me=$(id -un)
# Who started it may do everything, over the socket alone; before that was so, root could without a password.
sql() { mariadb --no-defaults -u"$me" --socket="$socket" "$@" 2>/dev/null || mariadb --no-defaults -uroot --socket="$socket" "$@"; }
admin() { mariadb-admin --no-defaults -u"$me" --socket="$socket" "$@" 2>/dev/null || mariadb-admin --no-defaults -uroot --socket="$socket" "$@"; }
alive() { admin ping >/dev/null 2>&1; }

# The server's account: the one database, from this machine, with a password that only its owner reads.
accounts() {
  local password=$folder.password
  [ -s "$password" ] || (umask 077 && head -c 24 /dev/urandom | od -An -tx1 | tr -d ' \n' >"$password")
  sql <<SQL
create user if not exists '$me'@'localhost' identified via unix_socket;
alter user '$me'@'localhost' identified via unix_socket;
grant all privileges on *.* to '$me'@'localhost' with grant option;
alter user root@localhost identified via unix_socket;
drop user if exists root@'127.0.0.1', root@'::1', root@'$(hostname)';
drop user if exists ''@'localhost', ''@'$(hostname)';
create user if not exists jalon@'127.0.0.1';
alter user jalon@'127.0.0.1' identified by '$(cat "$password")';
grant all privileges on jalon.* to jalon@'127.0.0.1';
SQL
}

case $action in
  start)
    port=$3
    if alive; then exit 0; fi
    # A database that starts removes what it takes for left over from the folder for passing files: not another one's.
    export TMPDIR="$folder.tmp"
    mkdir -p "$TMPDIR"
    [ "$(id -u)" = 0 ] && chown mysql "$TMPDIR"
    if [ ! -d "$folder/mysql" ]; then
      mkdir -p "$folder"
      [ "$(id -u)" = 0 ] && chown mysql "$folder"
      mariadb-install-db --no-defaults --datadir="$folder" "${as_user[@]}" --auth-root-authentication-method=normal \
        --skip-test-db --skip-name-resolve >"$folder.install.log" 2>&1 ||
        { echo "The database could not be made in $folder; see $folder.install.log" >&2; exit 1; }
    fi
    quick=()
    [ "${4:-}" = test ] && quick=(--innodb-flush-log-at-trx-commit=0 --innodb-doublewrite=0 --innodb-flush-method=nosync --skip-log-bin)
    nohup mariadbd --no-defaults --datadir="$folder" "${as_user[@]}" --basedir=/usr --bind-address=127.0.0.1 --port="$port" \
      --socket="$socket" --pid-file="$folder/mariadbd.pid" --log-error="$folder/mariadbd.log" --skip-name-resolve \
      --character-set-server=utf8mb4 --innodb-ft-min-token-size=2 --innodb-ft-enable-stopword=OFF \
      --max-allowed-packet=64M "${quick[@]}" >/dev/null 2>&1 &
    for _ in $(seq 1 150); do
      if alive; then
        sql -e "create database if not exists jalon character set utf8mb4 collate utf8mb4_uca1400_ai_ci"
        # Tests have their own for minutes, and make a database for each.
        [ "${4:-}" = test ] || accounts
        exit 0
      fi
      sleep 0.2
    done
    echo "The database did not start within 30 seconds; see $folder/mariadbd.log" >&2
    exit 1
    ;;
  load)
    sql <"$3"
    ;;
  stop)
    if alive; then admin shutdown; fi
    ;;
  *)
    echo "mariadb.sh start FOLDER PORT [test] | load FOLDER SQL | stop FOLDER" >&2
    exit 2
    ;;
esac
