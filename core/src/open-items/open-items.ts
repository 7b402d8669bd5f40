/** What is still open when a sheet is to be signed, and what was taken on with a reason (handbook §9). */
import { assemblyOf } from '../assembly/of-job.ts';
import { halfBuilt, type Done } from '../assembly/progress.ts';
import { lockHalves, stepKey } from '../assembly/steps.ts';
import type { Acceptance, Job } from '../document/schema.ts';
import type { Sheet } from '../evaluation/sheet.ts';
import type { StationSheet } from '../figures/sheet.ts';
import { ofLength, ofLoad, say, type Measure, type Phrase } from '../units/phrase.ts';
import { mm, newtons } from '../units/quantity.ts';
import type { State, Verdict } from '../verdict/verdict.ts';

export interface OpenPoint {
	/** Names place and figures: an acceptance holds only while these stay as they were. */
	readonly key: string;
	/** A station, or "job". */
	readonly place: string;
	readonly text: Phrase;
	readonly state: State;
	/** Blocks signing; blocks until somebody takes it on with a reason; or is only said. */
	readonly weight: 'blocks' | 'to accept' | 'said';
	readonly acceptance: Acceptance | null;
}

/** Everything that is open on a job, what blocks first. */
export function openPoints(job: Job, sheet: Sheet): OpenPoint[] {
	const accepted = new Map<string, Acceptance>();
	for (const entry of job.acceptances.toSorted((a, b) => Date.parse(a.at) - Date.parse(b.at)))
		accepted.set(entry.finding, entry);
	const point = (
		key: string,
		place: string,
		text: Phrase,
		weight: OpenPoint['weight'],
		state: State = weight === 'said' ? 'not measured' : 'stop'
	): OpenPoint => {
		const acceptance = accepted.get(key);
		return {
			key,
			place,
			text,
			state,
			weight,
			acceptance: acceptance?.accepted ? acceptance : null
		};
	};
	const points = [
		...unsettled(job).map(({ id, station, text }) =>
			point(`holds ${id}`, station ?? 'job', [text], 'blocks')
		),
		...assemblyPoints(job, sheet, point),
		...sheet.fit
			.filter(({ outcome, severity }) => outcome === 'trips' && severity === 'stop')
			.map(({ key, rule, title, stations, kind }) =>
				point(key, stations.join(' ') || `${kind}s`, [`${rule} ${title}`], 'to accept')
			),
		...stationsToAnswer(job, sheet).flatMap((station) => stationPoints(station, point)),
		...samplePoint(job, sheet, point)
	];
	const rank = { blocks: 0, 'to accept': 1, said: 2 };
	return points.toSorted((a, b) => rank[a.weight] - rank[b.weight]);
}

const isMeasured = ({ inForce }: StationSheet) => Object.keys(inForce).length > 0;
const isSample = (job: Job, sheet: Sheet) =>
	job.setup.policies?.measuring === 'a sample' && sheet.stations.some(isMeasured);

/** Stations whose figures are asked for: all, or those of the sample where the job measures one. */
const stationsToAnswer = (job: Job, sheet: Sheet) =>
	isSample(job, sheet) ? sheet.stations.filter(isMeasured) : sheet.stations;

/** A sample says that it is one: the rest is taken to be alike. */
function samplePoint(job: Job, sheet: Sheet, point: MakePoint): OpenPoint[] {
	const measured = sheet.stations.filter(isMeasured).length;
	const total = sheet.stations.length;
	return isSample(job, sheet) && measured < total
		? [point('sample', 'job', [`A sample was measured: ${measured} of ${total} valves`], 'said')]
		: [];
}

/** Whether nothing keeps the sheet from being signed. */
export const maySign = (points: readonly OpenPoint[]): boolean =>
	points.every(({ weight, acceptance }) => weight === 'said' || acceptance !== null);

type MakePoint = (
	key: string,
	place: string,
	text: Phrase,
	weight: OpenPoint['weight'],
	state?: State
) => OpenPoint;

/** Notes that hold the job back and are not settled. */
export function unsettled({ notes }: Job) {
	const settled = new Set(notes.flatMap(({ settles }) => settles ?? []));
	return notes.filter(({ id, holds }) => holds && !settled.has(id));
}

function assemblyPoints(job: Job, sheet: Sheet, point: MakePoint): OpenPoint[] {
	if (!job.assembly.some(({ done }) => done)) {
		return [point('assembly', 'job', ['The assembly was not written down'], 'said')];
	}
	const { steps, done } = assemblyOf(job, sheet);
	const half = halfBuilt(steps, done);
	const begun = new Set([...done.values()].map(({ place }) => place));
	const unbuilt = job.stations.filter(({ label }) => !begun.has(label));
	return [
		...half.map((place) => point(`half built ${place}`, place, ['Half built'], 'blocks')),
		...(unbuilt.length > 0
			? [
					point(
						'unbuilt',
						'job',
						[`Not built yet: ${unbuilt.map(({ label }) => label).join(' ')}`],
						'blocks'
					)
				]
			: []),
		...(half.length === 0 && unbuilt.length === 0 ? countPoints(job, done, point) : [])
	];
}

function countPoints(job: Job, done: Done, point: MakePoint): OpenPoint[] {
	const out = done.get(stepKey('job', 'count out'))?.count;
	const back = done.get(stepKey('job', 'count in'))?.count;
	if (back === undefined)
		return [point('count', 'job', ['Lock halves are not counted at the end'], 'blocks')];
	if (out === back) return [];
	return [
		point(
			`count ${out} ${back}`,
			'job',
			say`Lock halves: ${out ?? lockHalves(job)} counted out, ${back} counted in. Find the one that is missing`,
			'blocks'
		)
	];
}

const NAMES: Readonly<Record<keyof StationSheet['figures'], string>> = {
	height: 'Height',
	seatLoad: 'Seat load',
	openLoad: 'Open load',
	bindMargin: 'Bind margin',
	sealClearance: 'Seal clearance',
	tipHeight: 'Tip height',
	rocker: 'Rocker clearance',
	lash: 'Lash'
};

function stationPoints(station: StationSheet, point: MakePoint): OpenPoint[] {
	const { label, figures, loss, built, piston, preload } = station;
	const judged: (readonly [string, string, Verdict | null])[] = [
		...Object.entries(figures).map(
			([column, verdict]) =>
				[column, NAMES[column as keyof typeof NAMES], verdict as Verdict | null] as const
		),
		['loss', 'Load of the spring', loss],
		['built', 'As-built height', built],
		['piston', 'Piston to valve', piston],
		['preload', 'Preload', preload]
	];
	const verdicts = judged.flatMap(([column, name, verdict]) => {
		if (!verdict) return [];
		if (verdict.state === 'not measured')
			return [point(`missing ${label} ${column}`, label, say`${name}: ${verdict.remedy}`, 'said')];
		if (verdict.state !== 'stop' && verdict.state !== 'too close') return [];
		const measure = verdict.figure === null ? [] : [shown(column, verdict.figure)];
		return [
			point(
				`${verdict.state} ${label} ${column} ${verdict.figure?.toFixed(3) ?? ''}${against(verdict.limit?.at)}`,
				label,
				say`${name} ${measure}: ${verdict.remedy}`,
				'to accept',
				verdict.state
			)
		];
	});
	// What is not a figure's own verdict: passages, vacuum, drift, what was seen.
	const own = new Set(judged.flatMap(([, , verdict]) => (verdict ? [verdict.remedy] : [])));
	const remarks = station.remarks
		.filter(({ state, text }) => state === 'stop' && !own.has(text))
		.map(({ text, limit }) =>
			point(`stop ${label} ${plain(text)}${against(limit)}`, label, text, 'to accept')
		);
	const apart = station.remarks
		.filter(({ about }) => about === 'on-head load')
		.map(({ text, limit }) =>
			point(`load ${label} ${plain(text)}${against(limit)}`, label, text, 'to accept')
		);
	return [...verdicts, ...remarks, ...apart];
}

/** The limit that an acceptance was given for: it does not outlive it. */
const against = (limit: number | undefined) =>
	limit === undefined ? '' : ` of ${limit.toFixed(3)}`;

const LOADS: ReadonlySet<string> = new Set(['seatLoad', 'openLoad', 'loss']);

/** A figure of a column in a person's units. */
const shown = (column: string, figure: number): Measure =>
	LOADS.has(column) ? ofLoad(newtons(figure)) : ofLength(mm(figure));

/** A phrase as a key: figures in SI units to three places. */
const plain = (text: Phrase) =>
	text
		.map((part) =>
			typeof part === 'string'
				? part
				: Object.values(part)
						.map((one) => one.toFixed(3))
						.join()
		)
		.join('')
		.slice(0, 300);
