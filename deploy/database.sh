#!/bin/sh
# Makes the cluster on the first start, with the owner of the tables, then serves it.
set -eu
BIN=$(ls -d /usr/lib/postgresql/*/bin | tail -n 1)
DATA=/var/lib/postgresql/tholepin
if [ ! -s "$DATA/PG_VERSION" ]; then
  printf '%s' "$OWNER_PASSWORD" > /tmp/first
  "$BIN/initdb" -D "$DATA" -U tholepin --auth=scram-sha-256 --pwfile=/tmp/first -E UTF8 --locale=C.UTF-8
  rm /tmp/first
  echo 'host all all samenet scram-sha-256' >> "$DATA/pg_hba.conf"
fi
"$BIN/pg_ctl" -D "$DATA" -w -o '-c listen_addresses=127.0.0.1' start
PGPASSWORD="$OWNER_PASSWORD" "$BIN/psql" -h 127.0.0.1 -U tholepin postgres -tAc \
  "select 1 from pg_database where datname = 'tholepin'" | grep -q 1 \
  || PGPASSWORD="$OWNER_PASSWORD" "$BIN/createdb" -h 127.0.0.1 -U tholepin tholepin
"$BIN/pg_ctl" -D "$DATA" -w stop
exec "$BIN/postgres" -D "$DATA" -c listen_addresses='*'
