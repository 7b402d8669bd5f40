# The shop's network: a proxy with TLS in front of the application, which itself stays on
# loopback. Sourced by ./start and ./zinc after common.sh and cluster.sh.

PROXY=$DATA/proxy
NETWORK_PORT=${ZINC_NETWORK_PORT:-4643}

need_caddy() {
	command -v caddy >/dev/null && return
	install_debian caddy
	# The package starts a service of its own, which would answer on this machine's ports.
	if command -v systemctl >/dev/null && systemctl is-active --quiet caddy 2>/dev/null; then
		systemctl disable --now --quiet caddy
	fi
}

# secret NAME: a secret of this installation, made once, in a file that only its owner reads.
secret() {
	local file=$DATA/secrets/$1
	if [ ! -s "$file" ]; then
		mkdir -p -m 700 "$DATA/secrets"
		(umask 077; node -p 'require("node:crypto").randomBytes(32).toString("base64url")' > "$file.new")
		mv "$file.new" "$file"
	fi
	cat "$file"
}

# shop_address [NAME]: the name or number that tablets open, set once and kept. A port may
# follow it; a shop that has a proxy of its own gives the address people use there.
shop_address() {
	local kept=$DATA/address name=${1:-}
	if [ -n "$name" ]; then
		name=${name#https://}
		name=${name%/}
		case "$name" in *[!A-Za-z0-9.:-]* | '' | .* | -*) fail "$name is no address: a name like shop.local, or a number like 192.168.1.20" ;; esac
		echo "$name" > "$kept"
	elif [ ! -s "$kept" ]; then
		name=$(hostname -I 2>/dev/null | tr ' ' '\n' | grep -m 1 -E '^[0-9.]+$' || true)
		[ -n "$name" ] || fail 'This machine has no address on a network: ./start --own --network --address NAME'
		echo "$name" > "$kept"
	fi
	name=$(cat "$kept")
	case "$name" in *:*) echo "https://$name" ;; *) echo "https://$name:$NETWORK_PORT" ;; esac
}

host_of() { node -p 'new URL(process.argv[1]).hostname' "$1"; }

proxy_pid() { cat "$PROXY/pid" 2>/dev/null || true; }
proxy_runs() { process_is "$(proxy_pid)" "$PROXY/Caddyfile"; }

# proxy_file ADDRESS PORT...: what the proxy is told, which holds its secret.
proxy_file() {
	local address=$1 tls='tls internal'
	shift
	if [ -s "$DATA/tls/cert.pem" ]; then tls="tls $PROXY/cert.pem $PROXY/key.pem"; fi
	cat <<-CADDY
		{
			admin off
			grace_period 3s
			skip_install_trust
			auto_https disable_redirects
			default_sni $(host_of "$address")
			storage file_system $PROXY/store
			servers {
				protocols h1 h2
			}
			log {
				output file $PROXY/log {
					roll_size 5MiB
					roll_keep 2
				}
				level WARN
			}
		}
		$address {
			bind ${ZINC_BIND:-0.0.0.0}
			$tls
			encode zstd gzip
			header -Server
			reverse_proxy $(printf '127.0.0.1:%s ' "$@"){
				header_up x-zinc-proxy $(secret proxy)
				# A process that is to end says so first, and is asked nothing more; each request has
				# a connection of its own, so none is cut off that was still to be used. Round robin
				# would find nobody where two requests at once skip the one that is away.
				lb_policy least_conn
				lb_try_duration 8s
				lb_try_interval 250ms
				health_uri /alive
				health_interval 200ms
				health_timeout 2s
				transport http {
					keepalive off
				}
			}
		}
	CADDY
}

# proxy_is_current ADDRESS PORT...: whether the proxy runs as it would be started now.
proxy_is_current() {
	proxy_runs || return 1
	proxy_file "$@" | cmp -s - "$PROXY/Caddyfile" || return 1
	[ ! -s "$DATA/tls/cert.pem" ] || cmp -s "$DATA/tls/cert.pem" "$PROXY/cert.pem"
}

# Runs the proxy with the file that it has.
run_proxy() {
	private_log "$DATA/proxy.out"
	HOME=$PROXY XDG_DATA_HOME=$PROXY XDG_CONFIG_HOME=$PROXY setsid $(as_user caddy) \
		caddy run --config "$PROXY/Caddyfile" --adapter caddyfile \
		>"$DATA/proxy.out" 2>&1 9>&- </dev/null &
	echo $! > "$DATA/proxy.pid.new"
	mv "$DATA/proxy.pid.new" "$PROXY/pid"
}

# start_proxy ADDRESS PORT...: starts the proxy, or says why it cannot.
start_proxy() {
	local i
	stop_proxy
	mkdir -p -m 700 "$PROXY"
	(umask 077; proxy_file "$@" > "$PROXY/Caddyfile")
	if [ -s "$DATA/tls/cert.pem" ]; then
		(umask 077; cp "$DATA/tls/cert.pem" "$PROXY/cert.pem"; cp "$DATA/tls/key.pem" "$PROXY/key.pem")
	fi
	if [ "$(id -u)" = 0 ]; then chown -R caddy:caddy "$PROXY"; fi
	run_proxy
	for i in $(seq 100); do
		proxy_answers "$1" && return
		proxy_runs || break
		sleep 0.1
	done
	end_network
	tail -n 3 "$DATA/proxy.out" | sed 's/.*"error":"\([^"]*\)".*/\1/' >&2
	fail "$1 could not be opened; is the address this machine's, and the port free? See $DATA/proxy.out."
}

# Whether anything with TLS answers at an address of this machine.
proxy_answers() {
	node -e '
		const { hostname, port } = new URL(process.argv[1]);
		const isNumber = /^[\d.]+$/.test(hostname);
		const host = isNumber ? hostname : process.argv[2].replace("0.0.0.0", "127.0.0.1");
		const socket = require("node:tls").connect(
			{ host, port: port || 443, servername: isNumber ? undefined : hostname, rejectUnauthorized: false },
			() => process.exit(0)
		);
		socket.on("error", () => process.exit(1));
		setTimeout(() => process.exit(1), 2000);
	' "$1" "${ZINC_BIND:-0.0.0.0}"
}

stop_proxy() {
	local pid i
	pid=$(proxy_pid)
	if proxy_runs; then
		kill "$pid"
		for i in $(seq 80); do
			proxy_runs || break
			sleep 0.1
		done
		if proxy_runs; then kill -9 "$pid"; fi
	fi
	rm -f "$PROXY/pid"
}

# Nothing serves the network, nor waits for it.
end_network() {
	stop_proxy
	stop_server own
	stop_server own-2
	rm -f "$DATA/networked"
}

# The certificate of the authority that tablets are to trust.
proxy_authority() { echo "$PROXY/store/pki/authorities/local/root.crt"; }

# serve_network: two processes of the shop behind the proxy, so that one can be started anew
# while the other serves; then the address, as text and as a code to be pointed at.
serve_network() {
	backup_key_once
	shop_secrets
	ZINC_NETWORK=1
	ZINC_PROXY_SECRET=$(secret proxy)
	ZINC_METRICS_TOKEN=$(secret metrics)
	export ZINC_NETWORK ZINC_PROXY_SECRET ZINC_METRICS_TOKEN
	: > "$DATA/networked"
	start_server own
	# The proxy looks five times a second; the second ends once it knows the first again.
	if [ -n "$restart" ] && proxy_runs; then sleep 1; fi
	start_server own 2
	if [ -z "$restart" ] || ! proxy_is_current "$ORIGIN" "$(port_of own)" "$(port_of own-2)"; then
		start_proxy "$ORIGIN" "$(port_of own)" "$(port_of own-2)"
	fi
	say "Zinc Ledger is serving: $ORIGIN"
	node -e 'require("qrcode").toString(process.argv[1], { type: "utf8" }).then(console.log)' "$ORIGIN"
	if [ ! -s "$DATA/tls/cert.pem" ]; then
		say "Tablets trust it once they have this certificate: $(proxy_authority)"
	fi
	if [ -n "$BACKUP_KEY" ]; then say "The key of this shop's backups: $BACKUP_KEY"; say "$KEY_ADVICE."; fi
	first_owner
}

# shop_secrets: what the shop's program and its backups are told: this machine's key, and the
# public half of the owner's.
shop_secrets() {
	ZINC_KEY=$(secret key)
	ZINC_BACKUP_RECIPIENT=${ZINC_BACKUP_RECIPIENT:-$(cat "$DATA/backup-recipient" 2>/dev/null || true)}
	export ZINC_KEY ZINC_BACKUP_RECIPIENT
}

# new_backup_key: what backups are encrypted to from now on; prints the private half, which is
# kept nowhere on this machine.
new_backup_key() {
	npx tsx --tsconfig web/tsconfig.json web/src/lib/server/backup/command.ts key \
		"$DATA/backup-recipient"
}
KEY_ADVICE='Print it, or save it away from this machine: it is shown once, and nothing else opens the backups'

# backup_key_once: makes the key of the backups where there is none, in BACKUP_KEY for the console
# to show. Without a console it would end up in a log, so none is made.
BACKUP_KEY=
backup_key_once() {
	[ ! -s "$DATA/backup-recipient" ] || return 0
	if [ -t 1 ]; then
		BACKUP_KEY=$(new_backup_key)
	else
		say 'Backups are not encrypted yet. Make the key once: ./zinc backup-key'
	fi
}

access_command() {
	npx tsx --tsconfig web/tsconfig.json web/src/lib/server/access/command.ts "$@"
}

# A shop that nobody looks after yet is given to whoever reads this console.
first_owner() {
	local code
	code=$(access_command first-owner)
	[ -z "$code" ] || say "Nobody is the owner of this shop yet. Open $ORIGIN/join and use this code, once, within three days: $code"
}
