/** A step of an assembly, as a thing: its code, its text, what must be done before it. */
import type { Message } from '../foundation/message/index.ts';
import type { WayUp } from '../springs/spring/index.ts';
import type { Joules, Millimetres } from '../foundation/units/index.ts';

/** Steps of an assembly, by the codes that are kept of them. */
export const STEP_CODES = [
	'count-out',
	'dead-centre',
	'crankshaft',
	'air',
	'rags',
	'strip-compress',
	'strip-locks',
	'strip-spring',
	'strip-look',
	'measure',
	'choose',
	'locator',
	'seal',
	'seal-height',
	'stem',
	'sleeve',
	'valve',
	'spring',
	'retainer',
	'compress',
	'locks',
	'release',
	'tap',
	'lash-cap',
	'look',
	'air-off',
	'count-in'
] as const;
export type StepCode = (typeof STEP_CODES)[number];

declare module '../foundation/message/message.ts' {
	interface Messages {
		'step.count-in': null;
		'step.dead-centre': null;
		'step.crankshaft': null;
		'step.air': null;
		'step.rags': null;
		'step.air-off': null;
		'step.strip-compress': null;
		'step.strip-locks': { readonly cap: boolean };
		'step.strip-spring': null;
		'step.strip-look': null;
		'step.measure': null;
		'step.choose': null;
		'caution.strip-locks': null;
		'caution.measure': null;
		'step.compress': null;
		'step.release': null;
		'step.tap': null;
		'step.look': null;
		'step.sleeve': null;
		'step.valve': null;
		'caution.dead-centre': null;
		'caution.crankshaft': null;
		'caution.air': null;
		'caution.rags': null;
		'caution.compress': null;
		'caution.tap': null;
		'step.lash-cap': { readonly part: string };
		'step.count-out': { readonly halves: number };
		/** `up` says which face goes up, where the part's record does. */
		'step.retainer': { readonly part: string | null; readonly up: string | null };
		/** With the cap that captive locks hold. */
		'step.locks': { readonly part: string | null; readonly cap: string | null };
		'step.locator': {
			readonly shims: readonly Millimetres[];
			readonly part: string | null;
			readonly up: string | null;
			readonly shimUp: string | null;
		};
		'step.seal-height': { readonly expected: Millimetres | null };
		'step.stem': { readonly station: string; readonly part: string | null };
		'step.seal': { readonly bottomsOn: 'locator' | 'guide' | null };
		'step.spring': { readonly tag: string | null; readonly ways: readonly WayUp[] };
	}
}

export interface Step {
	/** Place and step: names it among all steps of the job. */
	readonly key: string;
	/** A station ("3I"), a cylinder ("cylinder 3") or "job". */
	readonly place: string;
	readonly step: StepCode;
	readonly text: Message;
	readonly caution?: Message;
	/** What the spring holds at full lift; where a slip sets it free. */
	readonly energy?: Joules | null;
	/** Small parts are counted here. */
	readonly counts?: boolean;
	/** A height may be measured here: what it should be, in mm; null where nobody knows. */
	readonly expects?: Millimetres | null;
	/** Keys of the steps that must be done before it. */
	readonly needs: readonly string[];
}

/** The place of steps that are done for a whole cylinder. */
export const cylinderPlace = (cylinder: number): string => `cylinder ${cylinder}`;

/** A step at a place, as one key: what is done is found by it. */
export const stepKey = (place: string, step: string): string => `${place} ${step}`;

export type Draft = Pick<Step, 'step' | 'text' | 'caution' | 'energy' | 'counts' | 'expects'>;

/** Steps of one place in a fixed order, each wanting the one before; the first wants `needs`. */
export function inOrder(place: string, drafts: readonly Draft[], needs: readonly string[]): Step[] {
	return drafts.map((draft, i) => ({
		...draft,
		key: stepKey(place, draft.step),
		place,
		needs: i === 0 ? needs : [stepKey(place, drafts[i - 1]!.step)]
	}));
}
