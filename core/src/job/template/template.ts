/** Templates of engines, made from a job. */
import { setupLike, type Job, type KindSetup, type Setup } from '../document/index.ts';
import type { Template } from './schema.ts';

/** What an engine itself brings to a kind of valves, whatever is built into it. */
const OF_THE_ENGINE = ['rocker', 'lifter', 'pocket', 'aim', 'maxOpenLoad', 'lash'] as const;

const kindOf = (kind: KindSetup): KindSetup => ({
	...(Object.fromEntries(
		OF_THE_ENGINE.flatMap((name) => (kind[name] === undefined ? [] : [[name, kind[name]]]))
	) as Partial<KindSetup>),
	aim: kind.aim
});

/** A set-up as a template keeps it: without cam, springs, locks and what else goes in and out. */
export function setupOfEngine(setup: Setup): Setup {
	const kept = { ...setup };
	delete kept.cam;
	delete kept.overrides;
	const { intake, exhaust } = setup.kinds;
	return {
		...kept,
		use: { duty: setup.use.duty },
		kinds: { intake: kindOf(intake), exhaust: kindOf(exhaust) }
	};
}

/**
 * The engine of a job as a template.
 *
 * @example templateOf(job, { id, name: 'Straight six, two valves' })
 */
export const templateOf = (job: Job, { id, name }: Pick<Template, 'id' | 'name'>): Template => ({
	id,
	name,
	layout: job.engine.layout,
	setup: setupOfEngine(setupLike(job))
});
