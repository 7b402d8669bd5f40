/** How far an assembly has come, and what comes next. */
import type { AssemblyStep } from '../job/document/index.ts';
import { stepKey, type Step } from './step.ts';

/** What was done, by step; a step undone takes with it every later one that wants it. */
export type Done = ReadonlyMap<string, AssemblyStep>;

/**
 * The steps that stand as done, by key, each with the entry that did it.
 *
 * @param steps all steps of the job, with what each needs before it
 * @param entries in the order in which they were made; one that undoes takes later steps with it
 */
export function doneSteps(steps: readonly Step[], entries: readonly AssemblyStep[]): Done {
	if (entries.length === 0) return new Map();
	const done = new Map<string, AssemblyStep>();
	const wantedBy = new Map<string, string[]>();
	for (const { key, needs } of steps) {
		for (const need of needs) {
			const known = wantedBy.get(need);
			if (known) known.push(key);
			else wantedBy.set(need, [key]);
		}
	}
	const undo = (key: string) => {
		if (!done.delete(key)) return;
		for (const later of wantedBy.get(key) ?? []) undo(later);
	};
	const inTime = entries
		.map((entry) => ({ entry, at: Date.parse(entry.at) }))
		.sort((a, b) => a.at - b.at);
	for (const { entry } of inTime) {
		const key = stepKey(entry.place, entry.step);
		if (entry.done) done.set(key, entry);
		// What was done under air that fell later stands; only the air is to be proved again.
		else if (entry.leaks) done.delete(key);
		else undo(key);
	}
	return done;
}

/** The step to do first of all those that are wanted before this one and not done; null when it may be done. */
export function firstMissingPrerequisite(
	step: Step,
	steps: readonly Step[],
	done: Done
): Step | null {
	return missingBefore(step, new Map(steps.map((one) => [one.key, one])), done, new Set());
}

/** Looks behind what is done as well: the air under it may have fallen since. */
function missingBefore(
	step: Step,
	steps: ReadonlyMap<string, Step>,
	done: Done,
	seen: Set<string>
): Step | null {
	for (const key of step.needs) {
		const before = steps.get(key);
		if (!before || seen.has(key)) continue;
		seen.add(key);
		const missing = missingBefore(before, steps, done, seen);
		if (missing) return missing;
		if (!done.has(key)) return before;
	}
	return null;
}

/** Cylinders whose air did not hold when it was tried last. */
export function leaking(entries: readonly AssemblyStep[]): ReadonlySet<string> {
	const places = new Set<string>();
	for (const { place, step, done, leaks } of entries) {
		if (step !== 'air') continue;
		if (leaks) places.add(place);
		else if (done) places.delete(place);
	}
	return places;
}

export const WAYS = ['by-station', 'by-step'] as const;
export type Way = (typeof WAYS)[number];

/** The steps as the machinist goes through them: every station whole, or every step at all stations. */
export function inWay(steps: readonly Step[], way: Way): Step[] {
	if (way === 'by-station') return [...steps];
	const byKey = new Map(steps.map((step) => [step.key, step]));
	const depth = new Map<string, number>();
	const deepOf = (step: Step): number => {
		const known = depth.get(step.key);
		if (known !== undefined) return known;
		const own = step.needs.reduce((deep, need) => Math.max(deep, deepOf(byKey.get(need)!) + 1), 0);
		depth.set(step.key, own);
		return own;
	};
	return steps.toSorted((a, b) => deepOf(a) - deepOf(b));
}

/** The next step to do: the first that is not done and may be. */
export const nextStep = (way: readonly Step[], done: Done): Step | null =>
	way.find((step) => !done.has(step.key) && step.needs.every((need) => done.has(need))) ?? null;

/**
 * Steps that may be done now at several places and say the same there: one mark may stand for
 * all of them. A step with another shim, part or spring is another step.
 */
export function alike(step: Step, steps: readonly Step[], done: Done): Step[] {
	const words = wordsOf(step);
	return steps.filter(
		(one) =>
			one.step === step.step &&
			wordsOf(one) === words &&
			!one.counts &&
			!done.has(one.key) &&
			firstMissingPrerequisite(one, steps, done) === null
	);
}

/** What a step says, whichever station it names as its own. */
const wordsOf = ({ place, text }: Step): string =>
	JSON.stringify(text, (_, value: unknown) => (value === place ? null : value));

/** Places that are begun and not finished. */
export function halfBuilt(steps: readonly Step[], done: Done): string[] {
	const places = new Map<string, { done: number; all: number }>();
	for (const { place, key } of steps) {
		if (place === 'job') continue;
		const count = places.get(place) ?? { done: 0, all: 0 };
		places.set(place, { done: count.done + (done.has(key) ? 1 : 0), all: count.all + 1 });
	}
	return [...places].flatMap(([place, { done: some, all }]) =>
		some > 0 && some < all ? [place] : []
	);
}
