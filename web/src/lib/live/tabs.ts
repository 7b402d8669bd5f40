/**
 * What the tabs of a browser listen to, each through a port, over lines that they share: one
 * for jobs, one for gauges, so that a job opened in one tab does not break in on a gauge
 * that is read in another. A tab that says nothing for long has crashed, and is forgotten.
 */
import { Line } from './line';

/** From a tab: all that it listens to now; saying so again is its sign of life. */
export interface FromTab {
	readonly topics: readonly string[];
}
/** To a tab. */
export type ToTab =
	| { readonly type: 'alive' }
	| { readonly type: 'message'; readonly topic: string; readonly text: string }
	| { readonly type: 'opened' | 'lost'; readonly kind: string };

/** A tab says that it lives so often; one that is silent for as long as this is gone. */
export const SIGN_OF_LIFE = 4000;
const GONE = 8 * SIGN_OF_LIFE;
const KINDS = ['job', 'gauge'] as const;
const kindOf = (topic: string) => topic.slice(0, topic.indexOf(':'));

export interface Port {
	readonly post: (news: ToTab) => void;
}

export class Tabs {
	readonly #tabs = new Map<Port, { topics: ReadonlySet<string>; seen: number }>();
	readonly #lines: ReadonlyMap<string, Line>;

	constructor(newLine = (hears: ConstructorParameters<typeof Line>[0]): Line => new Line(hears)) {
		this.#lines = new Map(
			KINDS.map((kind) => [
				kind,
				newLine({
					message: (topic, text) =>
						this.#tell({ type: 'message', topic, text }, (topics) => topics.has(topic)),
					opened: () => this.#tell({ type: 'opened', kind }, (topics) => has(topics, kind)),
					lost: () => this.#tell({ type: 'lost', kind }, (topics) => has(topics, kind))
				})
			])
		);
	}

	/** Hears a tab. */
	hear(port: Port, { topics }: FromTab, now = Date.now()): void {
		this.#tabs.set(port, { topics: new Set(topics), seen: now });
		for (const [other, { seen }] of this.#tabs) if (now - seen > GONE) this.#tabs.delete(other);
		port.post({ type: 'alive' });
		for (const [kind, line] of this.#lines) {
			const wanted = [...this.#tabs.values()].flatMap((tab) =>
				[...tab.topics].filter((topic) => kindOf(topic) === kind)
			);
			line.listen(new Set(wanted));
		}
	}

	#tell(news: ToTab, isFor: (topics: ReadonlySet<string>) => boolean): void {
		for (const [port, { topics }] of this.#tabs) if (isFor(topics)) port.post(news);
	}
}

const has = (topics: ReadonlySet<string>, kind: string) =>
	[...topics].some((topic) => kindOf(topic) === kind);
