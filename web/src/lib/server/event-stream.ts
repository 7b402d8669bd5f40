/** Says so at least this often, so that a dead line is noticed at both ends. */
const HEARTBEAT = 10_000;
/** Events that a browser may leave unread before more are kept from it. */
const MOST_UNREAD = 200;

/**
 * Server-sent events to one browser, for as long as it listens.
 *
 * @param listen begins to listen with a function that sends; returns the one that ends it
 */
export function eventStream(
	listen: (send: (news: unknown) => void) => (() => void) | null
): Response {
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
					if ((controller.desiredSize ?? 0) >= -MOST_UNREAD) controller.enqueue(text);
				};
				say(': here\n\n');
				heartbeat = setInterval(() => say(': still here\n\n'), HEARTBEAT);
				leave = listen((news) => say(`data: ${JSON.stringify(news)}\n\n`));
			},
			cancel: stop
		},
		{ highWaterMark: 16 }
	);
	return new Response(stream.pipeThrough(new TextEncoderStream()), {
		headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store' }
	});
}
