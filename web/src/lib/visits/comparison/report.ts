/** What a customer reads of a head that came back: what moved, what was done and why. Read from the signed sheet, never worked out anew. */
import {
	answerMessage,
	inCommonMessages,
	METRIC,
	showLength,
	showLoad,
	TYPE_OF,
	TRACES,
	worksDone,
	type Job,
	type Millimetres,
	type Newtons,
	type Units
} from '@zinc-ledger/core';
import type { FrozenVisit } from '@zinc-ledger/core/signed';
import { capital, label, write } from '@zinc-ledger/words';
import {
	changeText,
	explanationText,
	figureText,
	FITS_NONE,
	partsText,
	type UnitReader
} from './comparison';
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

/** The report of a visit, in the units that its sheet was signed in. */
export function reportOf(visit: FrozenVisit, job: Job, units: Units = METRIC): Report {
	const reader: UnitReader = {
		units,
		length: (of: Millimetres | null | undefined) => (of == null ? '·' : showLength(of, units)),
		load: (of: Newtons | null | undefined) => (of == null ? '·' : showLoad(of, units))
	};
	const traces = TRACES.filter((trace) => visit.stations.some(({ moved }) => moved[trace]));
	const moved = visit.stations.filter((one) =>
		Object.values(one.moved).some(({ isNews }) => isNews)
	);
	const lines = [...inCommonMessages(visit.common, visit.loads)];
	if (visit.diagnosis) lines.push(answerMessage(visit.diagnosis));
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
				if (!cell) return null;
				const [then, now] = [cell.then, cell.now].map(({ value }) =>
					figureText(trace, value, reader)
				);
				return {
					text: `${changeText(trace, cell.change, reader)} (${then} to ${now})`,
					isNews: cell.isNews
				};
			}),
			looksLike: looksLike(one, reader)
		})),
		found: [
			movedText(moved.length, visit.stations.length),
			...lines.map((message) => `${write(message, units)}.`)
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

function looksLike({ happened }: FrozenVisit['stations'][number], reader: UnitReader): string {
	if (!happened) return '';
	if (happened.fitsNone) return FITS_NONE;
	const lines = happened.explanations.map((one) => explanationText({ happened: one }, reader));
	const parts = happened.parts ? `; ${partsText(happened.parts)}` : '';
	return `${lines.filter(Boolean).join(', or ')}${parts}`;
}

function doneLines({ trials, changes }: FrozenVisit, job: Job): string[] {
	const works = worksDone(job.headWork).map(
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
			const line = `${capital(label('part', TYPE_OF[place]))} ${from ?? 'none'} to ${to ?? 'none'}`;
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
