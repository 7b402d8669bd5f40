import type { Session } from '$lib/access/session';
import { isSignedIn } from '$lib/server/access/sessions';
import { withDatabase } from '$lib/server/with-database';
import { isId } from '$lib/server/http/body';
import { database } from '$lib/server/database';
import { listenTo } from '$lib/server/devices/hub';
import { eventStream } from '$lib/server/http/event-stream';
import { findGauge } from '$lib/server/parts/gauges';
import { listenToJob } from '$lib/server/live';
import { message } from '@zinc-ledger/core';
import { refuse } from '$lib/server/http/refuse';

/** More than the tabs of one browser listen to. */
const MAX_TOPICS = 60;

type Listen = (send: (news: unknown) => void) => (() => void) | null;

/**
 * What others change on jobs and what gauges send, live, as server-sent events of
 * `[topic, news]`: `?topics=job:ID,gauge:ID`.
 */
export async function GET({ url, locals: { session } }) {
	const topics = [...new Set((url.searchParams.get('topics') ?? '').split(',').filter(Boolean))];
	if (topics.length === 0 || topics.length > MAX_TOPICS)
		refuse(400, message('server.topics-count', { max: MAX_TOPICS }));
	const all = await Promise.all(
		topics.map(async (topic) => [topic, await listenerOf(topic)] as const)
	);
	return eventStream((send) => {
		const leave = all.map(([topic, listen]) => listen((news) => send([topic, news])));
		return () => {
			for (const end of leave) end?.();
		};
	}, stillIn(session));
}

/** Whether the browser that listens is still signed in; as far as that can be told. */
const stillIn = (session: Session | null) => async () =>
	session === null ||
	(await database()
		.then((db) => isSignedIn(db, session))
		.catch(() => true));

async function listenerOf(topic: string): Promise<Listen> {
	const [kind, id] = topic.split(':');
	if (!isId(id)) refuse(400, message('server.topic-unknown', { topic: topic.slice(0, 60) }));
	if (kind === 'job') return (send) => listenToJob(id.toLowerCase(), send);
	if (kind !== 'gauge') refuse(400, message('server.topic-unknown', { topic: topic.slice(0, 60) }));
	const known = await withDatabase((db) => findGauge(db, id));
	if (!known) refuse(404, message('server.unknown', { what: 'gauge' }));
	if (!known.gauge.link) refuse(409, message('gauge.sends-nothing'));
	return (send) => listenTo(known.gauge, send);
}
