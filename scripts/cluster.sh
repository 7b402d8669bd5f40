# A private PostgreSQL cluster on loopback. PostgreSQL refuses to run as root,
# so root hands it to the postgres user; anybody else runs it as themselves.

as_postgres() {
	if [ "$(id -u)" = 0 ]; then runuser -u postgres -- "$@"; else "$@"; fi
}

# Where the cluster lives: in the data folder, or, where the postgres user
# cannot reach that (a home folder closed to others), in a folder of its own.
cluster_home() {
	if [ "$(id -u)" = 0 ] && id postgres >/dev/null 2>&1 &&
		! as_postgres test -x "$DATA" 2>/dev/null; then
		echo "/var/lib/zinc-ledger/$(printf %s "$DATA" | cksum | cut -d' ' -f1)"
	else
		echo "$DATA"
	fi
}

pg_bin() { ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -n 1; }

need_postgres() {
	[ -n "$(pg_bin)" ] && [ -x "$(pg_bin)/initdb" ] || install_debian postgresql
}

start_cluster() {
	local home cluster port
	home=$(cluster_home)
	cluster=$home/cluster
	mkdir -p "$home"
	if [ ! -e "$cluster/PG_VERSION" ]; then
		say 'Making a private database'
		mkdir -p "$cluster"
		(umask 077; node -p 'require("node:crypto").randomBytes(24).toString("hex")' > "$home/password")
		if [ "$(id -u)" = 0 ]; then chown postgres "$cluster" "$home/password"; fi
		as_postgres "$(pg_bin)/initdb" -D "$cluster" -U zinc -E UTF8 --locale=C.UTF-8 \
			--auth=scram-sha-256 --pwfile="$home/password" >"$DATA/initdb.log" 2>&1 ||
			{ cat "$DATA/initdb.log" >&2; rm -rf "$cluster"; fail 'The database could not be made.'; }
	fi
	if cluster_runs "$cluster"; then return; fi
	# A lock file left by a killed server names a process that is gone or is somebody else's.
	rm -f "$cluster/postmaster.pid"
	# Below the ports that the system gives to outgoing connections: one of those could
	# take the place of a cluster that stops and starts again.
	port=$(free_port "$(cat "$home/cluster.port" 2>/dev/null || echo 24600)")
	echo "$port" > "$home/cluster.port"
	touch "$home/postgres.log"
	if [ "$(id -u)" = 0 ]; then chown postgres "$home/postgres.log"; fi
	as_postgres "$(pg_bin)/pg_ctl" start -w -t 60 -s -D "$cluster" -l "$home/postgres.log" \
		-o "-p $port -c listen_addresses=127.0.0.1 -c unix_socket_directories=''" 9>&- ||
		{ tail -n 20 "$home/postgres.log" >&2; fail 'The database did not start.'; }
}

# Whether the process named in the cluster's lock file is a database of this cluster.
cluster_runs() {
	local pid
	pid=$(head -n 1 "$1/postmaster.pid" 2>/dev/null) || return 1
	process_is "$pid" "$1"
}

stop_cluster() {
	local cluster
	cluster=$(cluster_home)/cluster
	if cluster_runs "$cluster"; then
		as_postgres "$(pg_bin)/pg_ctl" stop -w -s -m fast -D "$cluster"
	fi
}

# cluster_url DATABASE: how the application reaches a database of the cluster.
cluster_url() {
	local home
	home=$(cluster_home)
	echo "postgres://zinc:$(cat "$home/password")@127.0.0.1:$(cat "$home/cluster.port")/$1"
}

make_database() {
	local admin exists
	admin=$(cluster_url postgres)
	exists=$("$(pg_bin)/psql" "$admin" -Atc "select 1 from pg_database where datname = '$1'")
	[ "$exists" = 1 ] || "$(pg_bin)/psql" "$admin" -qc "create database $1"
}
