/**
 * News from the server for as long as the page is in view. A browser has only a few lines to
 * one server, and keeps left pages for the way back: all its tabs share what one worker
 * holds open, and a tab that is hidden or left listens to nothing.
 */
import { SIGN_OF_LIFE, Tabs, type FromTab, type ToTab } from './tabs';

export interface Hears {
	readonly message: (text: string) => void;
	/** The line is open: what went by before is to be asked for. */
	readonly opened?: () => void;
	readonly lost?: () => void;
}

/** Signs of life without an answer after which the worker is taken for dead. */
const MISSED = 3;

const listening = new Map<string, Set<Hears>>();
let post: ((heard: FromTab) => void) | null = null;
let generation = 0;
let unanswered = 0;
let timer: ReturnType<typeof setInterval> | undefined;

/** @returns the function that ends it */
export function listenWhileShown(topic: string, hears: Hears): () => void {
	const known = listening.get(topic) ?? new Set();
	listening.set(topic, known.add(hears));
	if (!post) begin();
	say();
	return () => {
		known.delete(hears);
		if (known.size === 0) listening.delete(topic);
		say();
	};
}

function begin(): void {
	connect();
	timer ??= setInterval(() => {
		if (isHidden()) return;
		if (++unanswered > MISSED) connect();
		say();
	}, SIGN_OF_LIFE);
	document.addEventListener('visibilitychange', say);
	addEventListener('pagehide', () => post?.({ topics: [] }));
	addEventListener('pageshow', ({ persisted }) => {
		if (persisted) say();
	});
}

const isHidden = () => document.visibilityState === 'hidden';

function say(): void {
	post?.({ topics: isHidden() ? [] : [...listening.keys()] });
}

/** Takes up the worker of all tabs, or a new one where that has died with the tab that held it. */
function connect(): void {
	unanswered = 0;
	if (typeof SharedWorker === 'undefined') {
		const tabs = new Tabs();
		post = (heard) => tabs.hear(own, heard);
		return;
	}
	const worker = new SharedWorker(new URL('./tabs.worker.ts', import.meta.url), {
		type: 'module',
		name: `zinc-line-${generation++}`
	});
	worker.port.onmessage = ({ data }: MessageEvent<ToTab>) => hear(data);
	worker.port.start();
	post = (heard) => worker.port.postMessage(heard);
}

const own = { post: (news: ToTab) => hear(news) };

function hear(news: ToTab): void {
	unanswered = 0;
	if (news.type === 'alive') return;
	if (news.type === 'message') {
		for (const hears of listening.get(news.topic) ?? []) hears.message(news.text);
		return;
	}
	for (const [topic, all] of listening) {
		if (!topic.startsWith(`${news.kind}:`)) continue;
		for (const hears of all) (news.type === 'opened' ? hears.opened : hears.lost)?.();
	}
}
