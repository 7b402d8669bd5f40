/** Something to say about a station, a kind of valve or the whole job. */
import type { Message } from '../../foundation/message/index.ts';
import type { State } from '../../foundation/verdict/index.ts';

/** Something to say about a station, a kind or the job, with how much it matters. */
export interface Remark {
	readonly state: State;
	readonly text: Message;
	/** What it is about, where something is done about it in particular. */
	readonly about?:
		'on-head-load' | 'lash-drift' | 'forgotten-part' | 'order' | 'pocket' | undefined;
	/** The limit that decided, in SI units: an acceptance does not outlive it. */
	readonly limit?: number | undefined;
	/** What can be said to it, kept as a decision with these words for its subject. */
	readonly asks?: string | undefined;
}
