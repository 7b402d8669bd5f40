/** What a customer reads of a head that came back: what moved, what was done and why. Read from the signed sheet, never worked out anew. */
import {
	METRIC,
	mm,
	newtons,
	SORT_OF,
	showLength,
	showLoad,
	type Happening,
	type Job,
	type Millimetres,
	type Newtons,
	type Trace,
	type Units
} from '@zinc-ledger/core';
import type { FrozenVisit } from '@zinc-ledger/core/signed';
import { capital, label } from '@zinc-ledger/words';
import { byPercent } from '$lib/ui/words';
import { ranText } from './service';

export interface Report {
	/** What it starts from and what happened since. */
	readonly since: readonly string[];
	/** Valves at which anything moved, and which columns were compared. */
	readonly columns: readonly { readonly title: string; readonly unit: string }[];
	readonly rows: readonly {
		readonly station: string;
		/** Change and figures, "+0.40 (35.42 to 35.82)"; null where it was not read both times. */
		readonly cells: readonly ({ readonly text: string; readonly isNews: boolean } | null)[];
		readonly looksLike: string;
	}[];
	/** What is to be said of the whole. */
	readonly found: readonly string[];
	readonly done: readonly string[];
}

const ORDER: readonly Trace[] = [
	'height',
	'seal-gap',
	'tip-height',
	'lash',
	'head-below-deck',
	'tip-length',
	'load'
];

/** The report of a visit, in the units that its sheet was signed in. */
export function reportOf(visit: FrozenVisit, job: Job, units: Units = METRIC): Report {
	const traces = ORDER.filter((trace) => visit.stations.some(({ moved }) => moved[trace]));
	const amount = (trace: Trace, value: number) =>
		trace === 'load'
			? showLoad(newtons(value) as Newtons, units)
			: showLength(mm(value) as Millimetres, units);
	const signed = (trace: Trace, by: number) =>
		`${by < 0 ? '−' : '+'}${amount(trace, Math.abs(by))}`;
	const moved = visit.stations.filter((one) =>
		Object.values(one.moved).some(({ isNews }) => isNews)
	);
	return {
		since: sinceLines(visit),
		columns: traces.map((trace) => ({
			title: capital(label('trace', trace)),
			unit: trace === 'load' ? units.load : units.length
		})),
		rows: moved.map((one) => ({
			station: one.station,
			cells: traces.map((trace) => {
				const cell = one.moved[trace];
				return cell
					? {
							text: `${signed(trace, cell.change.by)} (${amount(trace, cell.then.value)} to ${amount(trace, cell.now.value)})`,
							isNews: cell.isNews
						}
					: null;
			}),
			looksLike: looksLike(one, amount)
		})),
		found: [
			movedText(moved.length, visit.stations.length),
			...loadsLines(visit),
			...visit.common.map(
				({ trace, by }) =>
					`All valves read ${signed(trace, by)} in ${label('trace', trace)} on another gauge: until a standard was read on both, the whole of it counts.`
			),
			...answerLines(visit)
		],
		done: doneLines(visit, job)
	};
}

function movedText(moved: number, of: number): string {
	if (moved === 0) return `All ${of} valves compared stand as they were signed.`;
	return moved === of
		? `All ${of} valves moved further than they were read to.`
		: `${moved} of ${of} valves moved further than they were read to; the rest stands as it was signed.`;
}

/** What all springs have in common on another tester is said before any single one is. */
function loadsLines({ loads }: FrozenVisit): string[] {
	if (!loads) return [];
	const all = `All springs read ${byPercent(loads.ratio - 1)} at the same height, on another tester`;
	const TOLD = {
		either:
			'whether that is the springs or the tester is not known until a reference spring was read on both',
		tester: 'a reference read off as they do, so it is the tester and no spring lost that',
		sag: 'a reference read alike on both, so the springs lost it'
	} as const;
	return [`${all}: ${TOLD[loads.cause]}.`];
}

function sinceLines({ of, since }: FrozenVisit): string[] {
	const then = `Signed last on job ${of.number}, sheet ${of.revision}, ${of.at.slice(0, 10)}.`;
	if (!since) return [then];
	const { hours = 0, runs = 0, kilometres = 0, overSpeed = 0 } = since;
	return [
		then,
		`Since then: ${ranText({ hours, runs, kilometres, over_speed: overSpeed })}${since.highestSpeed ? `, up to ${since.highestSpeed} rpm` : ''}.`,
		...(since.changed ? [`Changed since: ${since.changed}.`] : []),
		...(since.complaint
			? [
					`Complaint: ${label('complaint', since.complaint)}${since.noticed ? `, “${since.noticed}”` : ''}.`
				]
			: since.noticed
				? [`Noticed: “${since.noticed}”.`]
				: [])
	];
}

function looksLike(
	{ happened }: FrozenVisit['stations'][number],
	amount: (trace: Trace, value: number) => string
): string {
	if (!happened) return '';
	if (happened.fitsNone) return 'fits none of what is known';
	const said = happened.explanations.map((one) =>
		one
			.map(
				({ happening, amount: by }: { happening: Happening; amount: number }) =>
					`${label('happening', happening)} ${amount(happening === 'spring-sagged' ? 'load' : 'height', by)}`
			)
			.join(' and ')
	);
	const parts = happened.parts ? `; ${label('trace', happened.parts)} would part them` : '';
	return `${said.filter(Boolean).join(', or ')}${parts}`;
}

function answerLines({ diagnosis }: FrozenVisit): string[] {
	if (!diagnosis) return [];
	const { answer } = diagnosis;
	switch (answer.sort) {
		case 'cause':
			return [`Most likely: ${label('cause', answer.cause)}.`];
		case 'elsewhere':
			return [
				'The valve train is in order: look elsewhere, at spark, plugs, leads, cap and fuel. No spring is needed.'
			];
		default:
			return ['What is behind the complaint is not known yet.'];
	}
}

function doneLines({ trials, changes }: FrozenVisit, job: Job): string[] {
	const works = job.headWork.map(
		({ work, stations, note }) =>
			`${capital(label('work', work))}${stations ? ` at ${stations.join(' ')}` : ''}${note ? `: ${note}` : ''}.`
	);
	const list = (shims: readonly string[]) => shims.join(' + ') || 'none';
	const built = changes.flatMap(({ station, shims, spring }) => [
		...(shims ? [`${station}: shims ${list(shims.from)} to ${list(shims.to)}.`] : []),
		...(spring
			? [`${station}: spring ${spring.from ?? 'untagged'} to ${spring.to ?? 'another'}.`]
			: [])
	]);
	const parts = new Map<string, string[]>();
	for (const { station, parts: own } of changes)
		for (const { place, from, to } of own) {
			const line = `${capital(label('part', SORT_OF[place]))} ${from ?? 'none'} to ${to ?? 'none'}`;
			parts.set(line, [...(parts.get(line) ?? []), station]);
		}
	const tried = trials.map(
		({ changed, tried: how, result }) =>
			`Tried: ${changed}, ${how}: ${label('trialResult', result!)}.`
	);
	const all = [
		...works,
		...built,
		...[...parts].map(([line, stations]) => `${line} at ${stations.join(' ')}.`),
		...tried
	];
	return all.length > 0 ? all : ['Nothing was changed at this visit.'];
}
