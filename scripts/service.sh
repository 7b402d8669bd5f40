# systemd units that run a shop on its network: the database, two processes of the program and
# the proxy. systemd restarts each of them when it ends. Sourced by ./start.

UNITS=/etc/systemd/system
# Where systemd runs the shop, web/supervisor.js and scripts/watch are not used.
run_by_systemd() {
	command -v systemctl >/dev/null && systemctl is-active --quiet zinc-ledger.target 2>/dev/null
}

# install_service: makes the shop ready by starting it once, writes its units and hands it to systemd.
install_service() {
	[ "$(id -u)" = 0 ] || fail 'A service is installed by root: sudo ./start --service'
	command -v systemctl >/dev/null || fail 'There is no systemd on this machine.'
	if run_by_systemd; then systemctl stop zinc-ledger.target; fi
	"$ROOT/start" --own --network
	"$ROOT/start" --stop
	# The unit of earlier versions started and stopped the shop, and kept nothing running.
	if [ -e "$UNITS/zinc-ledger.service" ]; then
		systemctl disable --quiet zinc-ledger.service || true
		rm -f "$UNITS/zinc-ledger.service"
	fi
	write_units "$UNITS"
	systemctl daemon-reload
	systemctl enable --now zinc-ledger.target
	say "The shop is run by systemd: systemctl status 'zinc-ledger*'. After a new version: sudo ./start --service"
}

# write_units FOLDER: the units of the shop as it is set up now.
write_units() {
	local folder=$1 home n
	home=$(cluster_home)
	for n in 1 2; do app_environment "$n"; done
	database_unit "$home" > "$folder/zinc-ledger-database.service"
	app_unit > "$folder/zinc-ledger-app@.service"
	proxy_unit > "$folder/zinc-ledger-proxy.service"
	target_unit > "$folder/zinc-ledger.target"
}

# app_environment N: what process N is told, secrets too, in a file that only root reads.
app_environment() {
	local n=$1 instance=own
	[ "$n" = 1 ] || instance=own-$n
	mkdir -p -m 700 "$DATA/systemd"
	(
		umask 077
		cat > "$DATA/systemd/app-$n.env" <<-ENV
			PORT=$(port_of "$instance")
			ZINC_MODE=own
			ZINC_NETWORK=1
			ORIGIN=$(shop_address)
			DATABASE_URL=$(cluster_url zinc_own)
			ZINC_PROXY_SECRET=$(secret proxy)
			ZINC_METRICS_TOKEN=$(secret metrics)
			ZINC_KEY=$(secret key)
			ZINC_BACKUP_RECIPIENT=$(cat "$DATA/backup-recipient" 2>/dev/null || true)
			BODY_SIZE_LIMIT=16M
			NODE_OPTIONS=$SERVER_NODE_OPTIONS
			MALLOC_ARENA_MAX=$SERVER_ARENAS
			ZINC_DATA=$DATA
			ZINC_LOG=$DATA/app/$instance.log
			ZINC_BACKUPS=$DATA/backups
			ZINC_NIGHTLY=$([ "$n" != 1 ] || echo 1)
			ZINC_PG_BIN=$(pg_bin)
		ENV
	)
}

# hardened: settings that all units share: restarting, and rights that none of them needs.
hardened() {
	cat <<-UNIT
		Restart=always
		RestartSec=1
		NoNewPrivileges=yes
		PrivateTmp=yes
		ProtectKernelTunables=yes
		ProtectControlGroups=yes
		ProtectKernelModules=yes
		RestrictSUIDSGID=yes
	UNIT
}

database_unit() {
	cat <<-UNIT
		[Unit]
		Description=Zinc Ledger, the shop's database
		PartOf=zinc-ledger.target
		StartLimitIntervalSec=0

		[Service]
		Type=notify
		User=postgres
		ExecStart=$(pg_bin)/postgres -D "$1/cluster" -p $(cat "$1/cluster.port") -c listen_addresses=127.0.0.1 -c unix_socket_directories=
		ExecReload=/bin/kill -HUP \$MAINPID
		KillMode=mixed
		KillSignal=SIGINT
		TimeoutStopSec=120
		StandardOutput=append:$1/postgres.log
		StandardError=append:$1/postgres.log
		$(hardened)
	UNIT
}

app_unit() {
	cat <<-UNIT
		[Unit]
		Description=Zinc Ledger, process %i of the shop
		After=zinc-ledger-database.service
		Wants=zinc-ledger-database.service
		PartOf=zinc-ledger.target
		StartLimitIntervalSec=60
		StartLimitBurst=20

		[Service]
		Type=simple
		User=$APP_USER
		WorkingDirectory=$ROOT
		EnvironmentFile=$DATA/systemd/app-%i.env
		ExecStart="$(command -v node)" "$ROOT/web/server.js"
		TimeoutStopSec=10
		$(hardened)
	UNIT
}

proxy_unit() {
	cat <<-UNIT
		[Unit]
		Description=Zinc Ledger, the proxy on the shop's network
		After=network-online.target zinc-ledger-app@1.service zinc-ledger-app@2.service
		Wants=network-online.target
		PartOf=zinc-ledger.target
		StartLimitIntervalSec=0

		[Service]
		Type=simple
		User=caddy
		Environment="HOME=$PROXY" "XDG_DATA_HOME=$PROXY" "XDG_CONFIG_HOME=$PROXY"
		ExecStart=$(command -v caddy) run --config "$PROXY/Caddyfile" --adapter caddyfile
		AmbientCapabilities=CAP_NET_BIND_SERVICE
		$(hardened)
	UNIT
}

target_unit() {
	cat <<-UNIT
		[Unit]
		Description=Zinc Ledger, the shop
		Wants=zinc-ledger-database.service zinc-ledger-app@1.service zinc-ledger-app@2.service zinc-ledger-proxy.service

		[Install]
		WantedBy=multi-user.target
	UNIT
}
