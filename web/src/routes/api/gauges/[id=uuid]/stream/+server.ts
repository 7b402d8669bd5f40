import { error } from '@sveltejs/kit';
import { ask } from '$lib/server/ask';
import { listenTo } from '$lib/server/devices/hub';
import { findGauge } from '$lib/server/gauges';

/** Says so at least this often, so that a dead line is noticed at both ends. */
const HEARTBEAT = 10_000;

/** What a gauge sends, live, as server-sent events. */
export async function GET({ params }) {
	const known = await ask((db) => findGauge(db, params.id));
	if (!known) error(404, 'There is no such gauge.');
	if (!known.gauge.link) error(409, 'This gauge sends nothing: type its readings.');
	let leave: (() => void) | null = null;
	let heartbeat: ReturnType<typeof setInterval> | undefined;
	const stop = () => {
		clearInterval(heartbeat);
		leave?.();
		leave = null;
	};
	const stream = new ReadableStream<string>(
		{
			start(controller) {
				const say = (text: string) => {
					// A browser that does not read is let go rather than kept for.
					if ((controller.desiredSize ?? 0) < -200) return;
					controller.enqueue(text);
				};
				heartbeat = setInterval(() => say(': still here\n\n'), HEARTBEAT);
				leave = listenTo(known.gauge, (news) => say(`data: ${JSON.stringify(news)}\n\n`));
			},
			cancel: stop
		},
		{ highWaterMark: 16 }
	);
	return new Response(stream.pipeThrough(new TextEncoderStream()), {
		headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store' }
	});
}
