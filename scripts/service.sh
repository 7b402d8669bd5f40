# A systemd unit that starts the shop on its network with the machine. Sourced by ./start.

install_service() {
	local unit=/etc/systemd/system/zinc-ledger.service
	[ "$(id -u)" = 0 ] || fail 'A service is installed by root: sudo ./start --service'
	command -v systemctl >/dev/null || fail 'There is no systemd on this machine.'
	service_unit > "$unit"
	systemctl daemon-reload
	systemctl enable zinc-ledger
	say "Installed $unit: start it with systemctl start zinc-ledger"
}

# ./start itself hands the database, the application and the proxy to users of their own.
service_unit() {
	cat <<-UNIT
		[Unit]
		Description=Zinc Ledger, the shop's server
		After=network-online.target
		Wants=network-online.target

		[Service]
		Type=oneshot
		RemainAfterExit=yes
		WorkingDirectory=$ROOT
		Environment="ZINC_DATA=$DATA"
		ExecStart="$ROOT/start" --own --network
		ExecStop="$ROOT/start" --stop
		TimeoutStartSec=900
		PrivateTmp=yes
		ProtectKernelTunables=yes
		ProtectControlGroups=yes
		ProtectKernelModules=yes
		RestrictSUIDSGID=yes

		[Install]
		WantedBy=multi-user.target
	UNIT
}
