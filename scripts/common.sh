# Shared by ./start and ./test: messages, Node packages, the build, the server.

ROOT=$PWD
DATA=${ZINC_DATA:-$ROOT/.data}
case "$DATA" in /*) ;; *) DATA=$ROOT/$DATA ;; esac

say() { printf '%s\n' "$*"; }
fail() { printf '%s\n' "$*" >&2; exit 1; }

need_node() {
	command -v node >/dev/null || fail 'Node.js 20.19 or later is needed; there is none on this machine.'
	node -e '
		const [major, minor] = process.versions.node.split(".").map(Number);
		process.exit(major > 20 || (major === 20 && minor >= 19) ? 0 : 1)
	' || fail "Node.js 20.19 or later is needed; this is $(node --version)."
}

# install_debian PACKAGE...: installs Debian packages, or says the command that would.
install_debian() {
	if [ "$(id -u)" = 0 ]; then
		say "Installing $*"
		# A fresh cluster of Debian's own is not wanted: this project makes its own.
		mkdir -p /etc/postgresql-common
		[ -e /etc/postgresql-common/createcluster.conf ] ||
			echo 'create_main_cluster = false' > /etc/postgresql-common/createcluster.conf
		DEBIAN_FRONTEND=noninteractive apt-get update -qq &&
			DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "$@" >/dev/null ||
			fail "Could not install $*. Try: apt-get update && apt-get install $*"
	else
		fail "Missing on this machine: $*. Install with: sudo apt-get update && sudo apt-get install $*"
	fi
}

# Node packages, once for each state of the lock file.
need_packages() {
	local stamp=node_modules/.zinc-lock
	if [ ! -e "$stamp" ] || ! cmp -s package-lock.json "$stamp"; then
		say 'Installing Node packages'
		npm ci --loglevel=error || fail 'npm could not install the packages.'
		cp package-lock.json "$stamp"
	fi
}

# Builds the web application when anything it is made of is newer than the last build.
build_web() {
	local stamp=web/build/.zinc-built
	if [ ! -e "$stamp" ] || [ -n "$(find core/src web/src web/static web/server.js web/*.config.* \
		package-lock.json -newer "$stamp" -print -quit)" ]; then
		say 'Building (about a minute)'
		mkdir -p "$DATA"
		npm run --silent build >"$DATA/build.log" 2>&1 ||
			{ tail -n 30 "$DATA/build.log" >&2; fail 'The build failed.'; }
		touch "$stamp"
	fi
}

default_port() { [ "$1" = own ] && echo 4601 || echo 4600; }
port_of() { cat "$DATA/app-$1.port" 2>/dev/null || true; }
address() { echo "http://127.0.0.1:$(port_of "$1")"; }

# process_is PID WORD: whether a process lives and has a word in its command line.
process_is() {
	[ -n "$1" ] && kill -0 "$1" 2>/dev/null &&
		tr '\0' ' ' < "/proc/$1/cmdline" 2>/dev/null | grep -qF -- "$2"
}

app_pid() { cat "$DATA/app-$1.pid" 2>/dev/null || true; }
serving() { process_is "$(app_pid "$1")" web/ && healthy "$1"; }
healthy() {
	node -e '
		fetch(process.argv[1], { signal: AbortSignal.timeout(2000) })
			.then((answer) => process.exit(answer.ok ? 0 : 1))
			.catch(() => process.exit(1))
	' "$(address "$1")/healthz"
}

# free_port FROM: the first port from there on that nobody listens on.
free_port() {
	node -e '
		const net = require("node:net");
		const attempt = (port) => {
			const server = net.createServer();
			server.once("error", () => attempt(port + 1));
			server.listen(port, "127.0.0.1", () => server.close(() => console.log(port)));
		};
		attempt(Number(process.argv[1]));
	' "$1"
}

# private_log FILE: a log that only its owner can read, whatever was there before.
private_log() {
	touch "$1"
	chmod 600 "$1"
}

# The stand-in gauges of the demo, on four ports in a row.
start_gauges() {
	local first
	if process_is "$(cat "$DATA/gauges.pid" 2>/dev/null)" gauges/src/main.ts; then return; fi
	first=$(cat "$DATA/gauges.port" 2>/dev/null || free_row 4610)
	echo "$first" > "$DATA/gauges.port"
	private_log "$DATA/gauges.log"
	ZINC_GAUGES=$first setsid node --import tsx gauges/src/main.ts >>"$DATA/gauges.log" 2>&1 9>&- </dev/null &
	echo $! > "$DATA/gauges.pid"
}

stop_gauges() {
	local pid
	pid=$(cat "$DATA/gauges.pid" 2>/dev/null || true)
	if process_is "$pid" gauges/src/main.ts; then kill "$pid"; fi
	rm -f "$DATA/gauges.pid"
}

# free_row FROM: the first of four ports in a row that nobody listens on.
free_row() {
	local from=$1 i taken
	while :; do
		taken=
		for i in 0 1 2 3; do
			[ "$(free_port $((from + i)))" = $((from + i)) ] || taken=1
		done
		[ -n "$taken" ] || { echo "$from"; return; }
		from=$((from + 10))
	done
}

# as_user USER: words before a command that make it that user's, where root starts it.
as_user() { [ "$(id -u)" != 0 ] || echo "setpriv --reuid $1 --regid $1 --clear-groups --"; }

# The user of a shop's own application, who may do nothing else, where root starts it.
APP_USER=zinc-ledger
# Words before the application's command that make it that user's.
APP_AS=

# own_folders MODE: what the application writes, its log and backups, is its own; nobody else
# reads it. Sets APP_AS.
own_folders() {
	mkdir -p -m 700 "$DATA/app" "$DATA/backups"
	chmod 700 "$DATA/app" "$DATA/backups"
	APP_AS=
	[ "$(id -u)" = 0 ] && [ "$1" = own ] || return 0
	id "$APP_USER" >/dev/null 2>&1 ||
		useradd --system --user-group --no-create-home --home-dir / --shell /usr/sbin/nologin "$APP_USER"
	if $(as_user "$APP_USER") sh -c '[ -r "$1" ] && [ -x "$2" ] && node -e 0' sh \
		"$ROOT/web/build/index.js" "$DATA" 2>/dev/null; then
		chown -R "$APP_USER:$APP_USER" "$DATA/app" "$DATA/backups"
		APP_AS=$(as_user "$APP_USER")
	else
		local why="The user $APP_USER cannot read $ROOT, enter $DATA or run node: are they in a home folder?"
		[ -z "${ZINC_NETWORK:-}" ] || fail "$why A shop on its network does not run as root."
		say "$why The shop runs as root."
	fi
}

# What keeps a process of the program small while it is sent large bodies: the collector looks
# more often, and the allocator keeps what was freed in few places.
SERVER_NODE_OPTIONS='--max-old-space-size=256 --max-semi-space-size=4'
SERVER_ARENAS=2

# start_server MODE [N]: a process of the application, the first or the Nth of a shop.
start_server() {
	local mode=$1 instance=$1${2:+-$2} wanted port i
	wanted=$((${PORT:-$(default_port "$mode")} + ${2:-1} - 1))
	stop_server "$instance"
	own_folders "$mode"
	port=$(free_port "$wanted")
	[ "$port" = "$wanted" ] || say "Port $wanted is taken; using $port."
	echo "$port" > "$DATA/app-$instance.port"
	private_log "$DATA/app-$instance.out"
	NODE_OPTIONS=$SERVER_NODE_OPTIONS MALLOC_ARENA_MAX=$SERVER_ARENAS \
		PORT=$port ZINC_MODE=$mode ZINC_DEMO=$ROOT/demo \
		ZINC_GAUGES=$(cat "$DATA/gauges.port" 2>/dev/null || echo 4610) BODY_SIZE_LIMIT=16M \
		ZINC_DATA=$DATA ZINC_LOG=$DATA/app/$instance.log \
		ZINC_BACKUPS=$DATA/backups ZINC_NIGHTLY=$([ -n "${2:-}" ] || echo 1) ZINC_PG_BIN=$(pg_bin) \
		setsid $APP_AS node web/supervisor.js >"$DATA/app-$instance.out" 2>&1 9>&- </dev/null &
	echo $! > "$DATA/app-$instance.pid"
	for i in $(seq 100); do
		healthy "$instance" && return
		process_is "$(app_pid "$instance")" web/supervisor.js || break
		sleep 0.2
	done
	tail -n 5 "$DATA/app-$instance.out" "$DATA/app/$instance.log" >&2
	node -e 'fetch(process.argv[1]).then((a) => a.text()).then((t) => console.error(t)).catch(() => {})' \
		"$(address "$instance")/healthz"
	stop_server "$instance"
	fail "The application did not come up; see $DATA/app/$instance.log."
}

stop_server() {
	local pid i
	pid=$(app_pid "$1")
	if process_is "$pid" web/; then
		kill "$pid"
		for i in $(seq 90); do
			process_is "$pid" web/ || break
			sleep 0.1
		done
		# One that hangs is ended all the same, with the server that it keeps.
		if process_is "$pid" web/; then kill -9 -- "-$pid" 2>/dev/null || kill -9 "$pid"; fi
	fi
	rm -f "$DATA/app-$1.pid"
}

# What starts the database and the proxy again where they end: one for a data folder.
start_watch() {
	if process_is "$(cat "$DATA/watch.pid" 2>/dev/null)" scripts/watch; then return; fi
	private_log "$DATA/watch.out"
	setsid scripts/watch >>"$DATA/watch.out" 2>&1 9>&- </dev/null &
	echo $! > "$DATA/watch.pid"
}

stop_watch() {
	local pid i
	pid=$(cat "$DATA/watch.pid" 2>/dev/null || true)
	rm -f "$DATA/watch.pid"
	if process_is "$pid" scripts/watch; then
		# It ends between two looks: what it has begun to start is there to be stopped.
		for i in $(seq 100); do
			process_is "$pid" scripts/watch || return 0
			sleep 0.1
		done
	fi
}

stop_all() {
	stop_gauges
	stop_server demo
	stop_server own
	stop_cluster
	say 'Zinc Ledger has stopped.'
}

open_browser() {
	if [ -n "${DISPLAY:-}${WAYLAND_DISPLAY:-}" ] && command -v xdg-open >/dev/null; then
		xdg-open "$1" >/dev/null 2>&1 9>&- &
	fi
}
