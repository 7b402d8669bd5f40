# Runs the parts of ./test side by side, each with a log of its own, and says how long each took.
# Sourced by ./test after common.sh.

PARTS=$ZINC_DATA/parts
mkdir -p "$PARTS"
passed=0
failed=0

trouble() { echo "FAILED: $*"; failed=$((failed + 1)); }

# part NAME COMMAND...: runs a part, and keeps what it printed, how it ended and how long it took.
part() {
	local name=$1 begun
	shift
	begun=$(date +%s.%N)
	"$@" >"$PARTS/$name.log" 2>&1
	echo $? >"$PARTS/$name.status"
	node -p '(process.argv[2] - process.argv[1]).toFixed(0)' "$begun" "$(date +%s.%N)" >"$PARTS/$name.seconds"
}

# check NAME COMMAND...: a part that passes or fails as a whole.
check() { part "$@" && report "$1"; }

# report NAME...: says how parts that have ended came out.
report() {
	local name
	for name in "$@"; do
		if [ "$(cat "$PARTS/$name.status" 2>/dev/null)" = 0 ]; then
			echo "ok: $name"
			passed=$((passed + 1))
		else
			cat "$PARTS/$name.log" 2>/dev/null
			trouble "$name"
		fi
	done
}

# suite NAME OPTION...: a part that runs tests by vitest, which are counted one by one.
suite() {
	local name=$1 counts ok bad total status
	shift
	part "$name" npx vitest run "$@" --reporter=default --reporter=json --outputFile.json="$PARTS/$name.json"
	status=$(cat "$PARTS/$name.status")
	counts=$(node scripts/test-report.mjs counts "$PARTS/$name.json" 2>/dev/null) || counts='0 1 0'
	read -r ok bad total <<<"$counts"
	passed=$((passed + ok))
	failed=$((failed + bad))
	if [ "$status" = 0 ]; then echo "ok: $name, $ok tests"; else cat "$PARTS/$name.log"; fi
	case "$*" in *--passWithNoTests*) ;; *) [ "$total" -gt 0 ] || trouble "$name: no test ran" ;; esac
	[ "$status" = 0 ] || [ "$bad" -gt 0 ] || trouble "$name: a test file did not run"
}

# finish: says how long the parts and the slowest files took, then the counts.
finish() {
	local file
	echo
	echo 'Time of each part, in seconds:'
	for file in "$PARTS"/*.seconds; do
		[ -e "$file" ] && printf '%6d  %s\n' "$(cat "$file")" "$(basename "$file" .seconds)"
	done
	printf '%6d  %s\n' "$SECONDS" 'all'
	node scripts/test-report.mjs slowest "$PARTS"/*.json
	echo
	echo "$passed passed, $failed failed"
	[ "$failed" = 0 ]
	exit
}
