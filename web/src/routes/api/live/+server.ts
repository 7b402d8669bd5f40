import { error } from '@sveltejs/kit';
import { ask } from '$lib/server/ask';
import { isId } from '$lib/server/body';
import { listenTo } from '$lib/server/devices/hub';
import { eventStream } from '$lib/server/event-stream';
import { findGauge } from '$lib/server/gauges';
import { listenToJob } from '$lib/server/live';

/** More than the tabs of one browser listen to. */
const MOST_TOPICS = 60;

type Listen = (send: (news: unknown) => void) => (() => void) | null;

/**
 * What others change on jobs and what gauges send, live, as server-sent events of
 * `[topic, news]`: `?topics=job:ID,gauge:ID`.
 */
export async function GET({ url }) {
	const topics = [...new Set((url.searchParams.get('topics') ?? '').split(',').filter(Boolean))];
	if (topics.length === 0 || topics.length > MOST_TOPICS)
		error(400, `topics: one to ${MOST_TOPICS} of them`);
	const all = await Promise.all(
		topics.map(async (topic) => [topic, await listenerOf(topic)] as const)
	);
	return eventStream((send) => {
		const leave = all.map(([topic, listen]) => listen((news) => send([topic, news])));
		return () => {
			for (const end of leave) end?.();
		};
	});
}

async function listenerOf(topic: string): Promise<Listen> {
	const [kind, id] = topic.split(':');
	if (!isId(id)) error(400, `topics: “${topic.slice(0, 60)}” is none`);
	if (kind === 'job') return (send) => listenToJob(id.toLowerCase(), send);
	if (kind !== 'gauge') error(400, `topics: “${topic.slice(0, 60)}” is none`);
	const known = await ask((db) => findGauge(db, id));
	if (!known) error(404, 'There is no such gauge.');
	if (!known.gauge.link) error(409, 'This gauge sends nothing: type its readings.');
	return (send) => listenTo(known.gauge, send);
}
