/** Changes one after another, each on top of the ones before: what every figure comes to, and what limits the lift next (docs/trade/sheet.md). */
import { withPartsAt, type Job, type KindSetup, type PartAt } from '../../../job/document/index.ts';
import { evaluate, type Sheet } from '../../../sheet/evaluation/index.ts';
import type { Finding } from '../../../sheet/fit/index.ts';
import { limitsOf, type ChangeStep, type LimitAt } from '../max-lift/index.ts';
import { message, type Message } from '../../../foundation/message/index.ts';
import type { Kind } from '../../../foundation/station/index.ts';
import {
	lengthOf,
	lengthText,
	mm,
	MM_PER,
	unitOf,
	type Millimetres
} from '../../../foundation/units/index.ts';
import { withLift } from './scenario.ts';

declare module '../../../foundation/message/message.ts' {
	interface Messages {
		'change.seals-home': { readonly by: Millimetres };
		'change.seal-lower': { readonly by: Millimetres };
		'change.locks': { readonly by: Millimetres };
		'change.locks-and-shim': { readonly by: Millimetres };
		'change.lash-cap': { readonly by: Millimetres };
		'change.shims-out': null;
		'change.lift': { readonly by: Millimetres };
		'change.parts': { readonly names: readonly string[] };
		'change.parts-and-shim': { readonly names: readonly string[] };
	}
}

/** The step as a message, its lengths in mm. */
export function stepMessage(step: ChangeStep): Message {
	if (step.type === 'parts') {
		const names = step.parts.map(({ part }) => part.name);
		return message(step.keepsHeight ? 'change.parts-and-shim' : 'change.parts', { names });
	}
	if (step.type === 'shims-out') return message('change.shims-out');
	const by = lengthOf(step.by);
	if (step.type === 'locks')
		return message(step.keepsHeight && by > 0 ? 'change.locks-and-shim' : 'change.locks', { by });
	return message(`change.${step.type}`, { by });
}

/** Whether a step can be put on a job; the others are work at the bench, or want a part to be chosen. */
export const isForJob = ({ type }: ChangeStep): boolean =>
	type !== 'seals-home' && type !== 'seal-lower';

/** The job with one more change of a kind. */
export function withStep(job: Job, kind: Kind, step: ChangeStep): Job {
	const parts = job.setup.kinds[kind];
	switch (step.type) {
		case 'seals-home':
		case 'seal-lower':
			return withWiderGaps(job, kind, lengthOf(step.by));
		case 'locks': {
			const offset = mm(lengthOf(parts.locks?.offset ?? '0 mm') + lengthOf(step.by));
			// Another part than the one it is made from, and called so.
			const { id: _, ...locks } = parts.locks ?? { name: '' };
			const name = `${locks.name} ${signed(step.by)}`.trim();
			const part = {
				...locks,
				name,
				offset: lengthText(offset, unitOf(step.by))
			} as PartAt['part'];
			return withShims(job, withPartsAt(job, kind, [{ place: 'locks', part }]), kind, step);
		}
		case 'lash-cap': {
			const { lashCap: _, ...without } = parts;
			const cap: KindSetup = { ...without, lashCap: { name: step.by, thickness: step.by } };
			return withKind(job, kind, lengthOf(step.by) === 0 ? without : cap);
		}
		case 'shims-out':
			return {
				...job,
				stations: job.stations.map((one) => (one.kind === kind ? { ...one, shims: [] } : one))
			};
		case 'lift':
			return withKind(job, kind, withLift(parts, step.by));
		case 'parts':
			return withShims(job, withPartsAt(job, kind, step.parts), kind, step);
	}
}

/** "+0.050 in", "-0.050 in". */
const signed = (by: string) => (by.startsWith('-') ? by : `+${by}`);

const withKind = (job: Job, kind: Kind, parts: KindSetup): Job => ({
	...job,
	setup: { ...job.setup, kinds: { ...job.setup.kinds, [kind]: parts } }
});

/** Gaps of closed valves read wider by so much, as if it had been so when they were read. */
function withWiderGaps(job: Job, kind: Kind, by: Millimetres): Job {
	const stations = new Set(job.stations.flatMap((one) => (one.kind === kind ? one.label : [])));
	const readings = job.readings.map((reading) => {
		if (!GAPS.has(reading.quantity) || !stations.has(reading.station)) return reading;
		const unit = unitOf(reading.read);
		const read = `${((lengthOf(reading.read) + by) / MM_PER[unit]).toFixed(5)} ${unit}`;
		return { ...reading, read };
	});
	return { ...job, readings };
}
const GAPS: ReadonlySet<string> = new Set(['seal-gap', 'seal-gap-at-lift']);

/** What a lock holds higher is put under the spring, where the height is to stay. */
function withShims(before: Job, after: Job, kind: Kind, step: { keepsHeight: boolean }): Job {
	if (!step.keepsHeight) return after;
	const offsetIn = (job: Job, i: number) => {
		const { parts, lockOffset } = job.stations[i]!;
		const own = lockOffset ?? parts?.locks?.offset;
		return lengthOf(own ?? job.setup.kinds[kind].locks?.offset ?? '0 mm');
	};
	const stations = after.stations.map((entry, i) => {
		const higher = offsetIn(after, i) - offsetIn(before, i);
		if (entry.kind !== kind || higher < SHIM_MIN) return entry;
		const unit = unitOf(after.setup.shimStock[0]?.thickness ?? '0 in');
		const shims = [...entry.shims, lengthText(mm(higher), unit)];
		return { ...entry, shims: shims.toSorted((a, b) => lengthOf(b) - lengthOf(a)) };
	});
	return { ...after, stations };
}
/** Thinner shims are none, in mm. */
const SHIM_MIN = 0.05;

/** Where the job stands after a step. */
export interface Stepped {
	/** Null for the job as it is. */
	readonly step: ChangeStep | null;
	readonly job: Job;
	readonly sheet: Sheet;
	/** Limits of the lift, the nearest first. */
	readonly limits: readonly LimitAt[];
	/** What stops the fit of its parts and did not before. */
	readonly newStops: readonly Finding[];
	/** Lift gained over the job as it is; null where either is not known. */
	readonly gain: Millimetres | null;
}

/** The job as it is, and after each step with all before it. */
export function inSteps(
	job: Job,
	sheet: Sheet,
	kind: Kind,
	steps: readonly ChangeStep[]
): readonly Stepped[] {
	const before = new Set(stopsOf(sheet, kind).map(({ key }) => key));
	const at = (step: ChangeStep | null, now: Job, then: Sheet): Omit<Stepped, 'gain'> => ({
		step,
		job: now,
		sheet: then,
		limits: limitsOf(now, then, kind),
		newStops: stopsOf(then, kind).filter(({ key }) => !before.has(key))
	});
	const all = [at(null, job, sheet)];
	for (const step of steps) {
		const next = withStep(all.at(-1)!.job, kind, step);
		all.push(at(step, next, evaluate(next)));
	}
	const [first] = all[0]!.limits;
	return all.map((one) => {
		const [limit] = one.limits;
		return { ...one, gain: first && limit ? mm(limit.lift - first.lift) : null };
	});
}

const stopsOf = ({ fit }: Sheet, kind: Kind): Finding[] =>
	fit.filter((one) => one.kind === kind && one.outcome === 'fails' && one.severity === 'stop');

/** What is put on the job of all steps: those that are parts, locks, caps and lift. */
export function keptSteps(job: Job, kind: Kind, steps: readonly ChangeStep[]): Job {
	return steps.filter(isForJob).reduce((now, step) => withStep(now, kind, step), job);
}
