/** What was told, looked at and tried at a visit, as it stands. */
import type { CheckCode } from '../../visits/diagnosis/index.ts';
import { loadOf } from '../../foundation/units/index.ts';
import type { Job, Look, CaseOutcome, Trial } from './schema.ts';

/** What happened since the last visit, as it was told last; null where nobody did. */
export const sinceOf = ({ since }: Job) => since.at(-1) ?? null;

/** The newest look at each thing. */
export const newestLooks = ({ looks }: Job): ReadonlyMap<CheckCode, Look> =>
	new Map(looks.map((look) => [look.check, look]));

/** What is being tried, and has no result yet; null where nothing is. */
export function openTrial({ trials }: Job): Trial | null {
	const closed = new Set(trials.flatMap(({ of }) => of ?? []));
	return trials.findLast(({ id, result }) => result === undefined && !closed.has(id)) ?? null;
}

/** What the case proved to be, as it was closed last; null while it is open. */
export const caseOutcome = ({ outcomes }: Job): CaseOutcome | null => outcomes.at(-1) ?? null;

/** What the tester of now reads of the tester of then, by a reference spring read on both; null where nobody read one. */
export function testerRatio(job: Job): number | null {
	const { reference } = newestLooks(job).get('gauge-reference') ?? {};
	return reference ? loadOf(reference.now) / loadOf(reference.then) : null;
}
