import { error } from '@sveltejs/kit';
import { ask } from '$lib/server/ask';
import { listenTo } from '$lib/server/devices/hub';
import { eventStream } from '$lib/server/event-stream';
import { findGauge } from '$lib/server/gauges';

/** What a gauge sends, live, as server-sent events. */
export async function GET({ params }) {
	const known = await ask((db) => findGauge(db, params.id));
	if (!known) error(404, 'There is no such gauge.');
	if (!known.gauge.link) error(409, 'This gauge sends nothing: type its readings.');
	return eventStream((send) => listenTo(known.gauge, send));
}
