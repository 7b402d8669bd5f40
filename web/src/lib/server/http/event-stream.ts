/** Says so at least this often, so that a dead line is noticed at both ends. */
const HEARTBEAT = 10_000;
/** Events that a browser may leave unread; one that leaves more is hung up on, so that it asks anew. */
const MAX_UNREAD = 200;

/**
 * Server-sent events to one browser, for as long as it listens.
 *
 * @param listen begins to listen with a function that sends; returns the one that ends it
 * @param mayGoOn asked with each sign of life, whether whoever listens still may
 */
export function eventStream(
	listen: (send: (news: unknown) => void) => (() => void) | null,
	mayGoOn: () => Promise<boolean> = () => Promise.resolve(true),
	heartbeatEach = HEARTBEAT
): Response {
	let leave: (() => void) | null = null;
	let heartbeat: ReturnType<typeof setInterval> | undefined;
	let isOver = false;
	const stop = () => {
		isOver = true;
		clearInterval(heartbeat);
		leave?.();
		leave = null;
	};
	const stream = new ReadableStream<string>(
		{
			start(controller) {
				const say = (text: string) => {
					if (isOver) return;
					if ((controller.desiredSize ?? 0) >= -MAX_UNREAD) return controller.enqueue(text);
					stop();
					controller.error(new Error('a listener that does not keep up'));
				};
				say(': here\n\n');
				heartbeat = setInterval(() => {
					say(': still here\n\n');
					void mayGoOn().then((may) => {
						if (may || isOver) return;
						stop();
						controller.close();
					});
				}, heartbeatEach);
				const left = listen((news) => say(`data: ${JSON.stringify(news)}\n\n`));
				if (isOver) left?.();
				else leave = left;
			},
			cancel: stop
		},
		{ highWaterMark: 16 }
	);
	return new Response(stream.pipeThrough(new TextEncoderStream()), {
		headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store' }
	});
}
