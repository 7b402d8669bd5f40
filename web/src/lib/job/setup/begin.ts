/** The set-up that a job starts with: another job's, a template's or the shop's, and what was told at take-in. */
import {
	setupLike,
	withKit,
	type Cam,
	type Job,
	type Kit,
	type LibraryPart,
	type Message,
	type Setup,
	type Template,
	type Units
} from '@zinc-ledger/core';
import { readLift, withLift } from './lift';
import { cameFrom, withCushion, type TakeIn } from './take-in';

/** What the shop has of what the form names. */
export interface Named {
	readonly like: Job | undefined;
	readonly template: Template | undefined;
	readonly kit: Kit | undefined;
	/** A spring alone, in place of a kit. */
	readonly spring: LibraryPart<'spring'> | undefined;
	/** The kit's parts, by id. */
	readonly parts: ReadonlyMap<string, LibraryPart>;
	readonly cams: readonly Cam[];
	/** What the shop's jobs start with. */
	readonly usual: Setup;
}

export type Begun =
	| { readonly ok: true; readonly setup: Setup }
	| { readonly ok: false; readonly field: 'lift' | 'liftExhaust'; readonly problem: Message };

/** The set-up, or which answer cannot be read. */
export function begin(form: TakeIn, named: Named, units: Units): Begun {
	let setup = withCushion(startOf(named), form.cushion, units);
	if (named.kit) setup = withKit(setup, named.kit, named.parts);
	if (named.spring) setup = withSpring(setup, named.spring.part);
	const known = {
		unit: units.length,
		source: form.liftSource,
		cams: named.cams,
		ratio: setup.kinds.intake.rocker?.ratio
	};
	for (const field of ['lift', 'liftExhaust'] as const) {
		const read = readLift(form[field], known);
		if (read === null) continue;
		if (!read.ok) return { ok: false, field, problem: read.problem };
		const kinds = withLift(setup.kinds, read);
		setup = {
			...setup,
			...(read.cam && { cam: read.cam }),
			kinds: field === 'lift' ? kinds : { ...setup.kinds, exhaust: kinds.exhaust }
		};
	}
	return { ok: true, setup: { ...setup, ...fromCheckIn(form, setup) } };
}

function startOf({ like, template, usual }: Named): Setup {
	if (like) return setupLike(like);
	return template?.setup ?? usual;
}

function withSpring(setup: Setup, spring: Setup['kinds']['intake']['spring']): Setup {
	const { intake, exhaust } = setup.kinds;
	return {
		...setup,
		kinds: { intake: { ...intake, spring }, exhaust: { ...exhaust, spring } }
	};
}

/** What is told of the job itself. */
function fromCheckIn(form: TakeIn, { use }: Setup): Partial<Setup> {
	const { duty, workDone, customerStatement, lifters, due, price } = form;
	const came = cameFrom(form.came);
	const order = { ...(due && { due }), ...(price && { price }) };
	return {
		use: { ...use, duty, ...(workDone && { workDone }) },
		...(customerStatement && { customerStatement }),
		...(came.length > 0 && { came }),
		...(Object.keys(order).length > 0 && { order }),
		lifters
	};
}
