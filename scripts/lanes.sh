# Lanes for tests that need a database: a cluster, a data folder and ports for each. Sourced
# after common.sh and cluster.sh, by ./test and scripts/mutants.

LANES='1 2'

# in_lane N COMMAND...: runs a command of cluster.sh on the cluster of a lane.
in_lane() {
	local lane=$1
	shift
	(DATA=$ZINC_DATA/lane-$lane && "$@")
}

# start_lanes: a cluster for each lane, whose tests make databases of their own, and
# ZINC_TEST_LANES, which scripts/test-lane.ts reads. Nothing in them outlives a run.
start_lanes() {
	local lane rows=
	chmod 755 "$ZINC_DATA"
	for lane in $LANES; do
		(make_lane "$lane") || return 1
		rows+="{\"data\":\"$ZINC_DATA/lane-$lane\",\"database\":\"$(in_lane "$lane" cluster_url zinc_test)\"},"
	done
	ZINC_TEST_LANES="[${rows%,}]"
	export ZINC_TEST_LANES
}

# make_lane N, in a shell of its own: what it sets there is the lane's.
make_lane() {
	set -e
	DATA=$ZINC_DATA/lane-$1
	export ZINC_CLUSTER_OPTIONS='-c fsync=off -c synchronous_commit=off -c full_page_writes=off'
	mkdir -p "$DATA"
	chmod 755 "$DATA"
	# Lanes stop and start their clusters while others look for a port.
	echo $((24600 + 100 * $1)) >"$DATA/cluster.port"
	start_cluster
	make_database zinc_test
	as_admin postgres -c 'alter role zinc_app createdb'
}

# end_lanes: stops the clusters, and removes what the run made.
end_lanes() {
	local lane
	for lane in $LANES; do in_lane "$lane" stop_cluster >/dev/null 2>&1; done
	rm -rf "$ZINC_DATA"
}
