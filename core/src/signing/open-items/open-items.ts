/** What is still open when a sheet is to be signed, and what was accepted with a reason (docs/trade/assembly.md). */
import {
	assemblyOf,
	checkingSprings,
	halfBuilt,
	isBegun,
	leaking,
	LOCK_HALVES,
	lockHalves,
	sealHeights,
	stepKey,
	type Done,
	type Step
} from '../../assembly/index.ts';
import { lashNotFound, type Acceptance, type Job } from '../../job/document/index.ts';
import type { Sheet } from '../../sheet/evaluation/index.ts';
import {
	FIGURE_NAMES,
	FIGURES,
	sealHeightTolerance,
	type Figure,
	type FigureName,
	type Remark,
	type StationSheet
} from '../../sheet/figures/index.ts';
import type { RuleId } from '../../sheet/fit/index.ts';
import { keyOf, message, type Message } from '../../foundation/message/index.ts';
import type { Millimetres } from '../../foundation/units/index.ts';
import type { State, Verdict } from '../../foundation/verdict/index.ts';
import type { StationComparison } from '../../visits/on-job/changes/index.ts';
import { recordedStops, stopMessage } from '../../visits/on-job/stops/index.ts';
import { figureKeyInVersion1, remarkKeyInVersion1 } from './version-1.ts';

declare module '../../foundation/message/message.ts' {
	interface Messages {
		/** What somebody wrote down. */
		'note.text': { readonly text: string };
		'fit.rule': { readonly rule: RuleId };
		'sample.measured': { readonly measured: number; readonly of: number };
		'assembly.not-recorded': null;
		'assembly.incomplete': null;
		'assembly.air-leaks': null;
		'assembly.checking-spring': null;
		'assembly.seal-height': { readonly higher: Millimetres; readonly expected: Millimetres };
		'assembly.not-built': { readonly stations: readonly string[] };
		/** Turned on a visit before anybody read it. */
		'lash.not-found': null;
		'count.not-done': null;
		'count.differs': { readonly out: number; readonly back: number };
		'figure.not-known': { readonly figure: FigureName; readonly why: Message | null };
		'figure.judged': {
			readonly figure: FigureName;
			/** In the SI unit of the figure. */
			readonly value: number | null;
			readonly says: Message | null;
		};
	}
}

/** Blocks signing; blocks until somebody accepts it with a reason; or is only told. */
export type OpenSeverity = 'blocking' | 'acceptance' | 'info';

export interface OpenItem {
	/** Names place and figures: an acceptance holds only while these stay as they were. */
	readonly key: string;
	/** A station, or "job". */
	readonly place: string;
	readonly text: Message;
	readonly state: State;
	readonly severity: OpenSeverity;
	readonly acceptance: Acceptance | null;
}

type MakeItem = (
	key: string,
	place: string,
	text: Message,
	severity: OpenSeverity,
	more?: { readonly state?: State; readonly otherKeys?: readonly (string | null)[] }
) => OpenItem;

/**
 * Returns everything that is open on a job, what blocks first.
 *
 * @param comparison the head compared with its last signed sheet; empty where it was not here before
 */
export function openItems(
	job: Job,
	sheet: Sheet,
	comparison: readonly StationComparison[] = []
): OpenItem[] {
	const accepted = new Map<string, Acceptance>();
	for (const entry of job.acceptances.toSorted((a, b) => Date.parse(a.at) - Date.parse(b.at)))
		accepted.set(entry.finding, entry);
	const item: MakeItem = (
		key,
		place,
		text,
		severity,
		{ state = severity === 'info' ? 'not-measured' : 'stop', otherKeys = [] } = {}
	) => {
		const acceptance = [key, ...otherKeys]
			.map((one) => (one === null ? undefined : accepted.get(one)))
			.find((entry) => entry !== undefined);
		return {
			key,
			place,
			text,
			state,
			severity,
			acceptance: acceptance?.accepted ? acceptance : null
		};
	};
	const items = [
		...unresolved(job).map(({ id, station, text }) =>
			item(`hold ${id}`, station ?? 'job', message('note.text', { text }), 'blocking')
		),
		...recordedStops(job, comparison).map((stop) => {
			const place = stop.stations.join(' ') || 'job';
			return item(`do-not-run ${stop.code} ${place}`, place, stopMessage(stop), 'acceptance');
		}),
		...assemblyItems(job, sheet, item),
		...sheet.remarks
			.filter(isOfWholeSheet)
			.map(({ text, limit }) =>
				item(`stop job ${keyOf(text)}${against(limit)}`, 'job', text, 'acceptance')
			),
		...sheet.fit
			.filter(({ outcome, severity }) => outcome === 'fails' && severity === 'stop')
			.map(({ key, rule, stations, kind, acceptance }) =>
				item(key, stations.join(' ') || kind, message('fit.rule', { rule }), 'acceptance', {
					otherKeys: [acceptance?.finding ?? null]
				})
			),
		...stationsToAnswer(job, sheet).flatMap((station) => stationItems(station, item)),
		...lashNotFound(job).lost.map((label) =>
			item(`lash-not-found ${label}`, label, message('lash.not-found'), 'acceptance')
		),
		...sampleItem(job, sheet, item)
	];
	const rank = { blocking: 0, acceptance: 1, info: 2 };
	return items.toSorted((a, b) => rank[a.severity] - rank[b.severity]);
}

/** What is wrong with the whole sheet: a stop, or a part that may have been forgotten on a whole head. */
const isOfWholeSheet = ({ state, about }: Remark) => state === 'stop' || about === 'forgotten-part';

const isMeasured = ({ inForce }: StationSheet) => Object.keys(inForce).length > 0;
const isSample = (job: Job, sheet: Sheet) =>
	job.setup.policies?.measuring === 'sample' && sheet.stations.some(isMeasured);

/** Whether a station's figures are asked for: all are, or those of the sample where the job measures one. */
export const isToAnswer = (job: Job, sheet: Sheet, station: StationSheet): boolean =>
	!isSample(job, sheet) || isMeasured(station);
const stationsToAnswer = (job: Job, sheet: Sheet) =>
	sheet.stations.filter((station) => isToAnswer(job, sheet, station));

/** A sample says that it is one: the rest is taken to be alike. */
function sampleItem(job: Job, sheet: Sheet, item: MakeItem): OpenItem[] {
	const measured = sheet.stations.filter(isMeasured).length;
	const of = sheet.stations.length;
	return isSample(job, sheet) && measured < of
		? [item('sample', 'job', message('sample.measured', { measured, of }), 'info')]
		: [];
}

/** Whether nothing keeps the sheet from being signed. */
export const maySign = (items: readonly OpenItem[]): boolean =>
	items.every(({ severity, acceptance }) => severity === 'info' || acceptance !== null);

/** Notes that block the sign-off and are not resolved. */
export function unresolved({ notes }: Job) {
	const resolved = new Set(notes.flatMap(({ resolves }) => resolves ?? []));
	return notes.filter(({ id, blocksSignOff }) => blocksSignOff && !resolved.has(id));
}

function assemblyItems(job: Job, sheet: Sheet, item: MakeItem): OpenItem[] {
	const { steps, done } = assemblyOf(job, sheet);
	if (!isBegun(job))
		return [...tried(job, item), item('assembly', 'job', message('assembly.not-recorded'), 'info')];
	const half = halfBuilt(steps, done);
	const begun = new Set([...done.values()].map(({ place }) => place));
	const unbuilt = job.stations.filter(({ label }) => !begun.has(label)).map(({ label }) => label);
	return [
		...tried(job, item),
		...sealItems(job, steps, done, item),
		...[...leaking(job.assembly)].map((place) =>
			item(`leaks ${place}`, place, message('assembly.air-leaks'), 'blocking')
		),
		...[...done.values()]
			.filter(({ step, count = LOCK_HALVES }) => step === 'strip-locks' && count !== LOCK_HALVES)
			.map(({ place, count = 0 }) =>
				item(
					`locks ${place} ${count}`,
					place,
					message('count.differs', { out: LOCK_HALVES, back: count }),
					'blocking'
				)
			),
		...half.map((place) =>
			item(`half-built ${place}`, place, message('assembly.incomplete'), 'blocking')
		),
		...(unbuilt.length > 0
			? [item('unbuilt', 'job', message('assembly.not-built', { stations: unbuilt }), 'blocking')]
			: []),
		...(half.length === 0 && unbuilt.length === 0 ? countItems(job, done, item) : [])
	];
}

/** Checking springs that are still in. */
const tried = (job: Job, item: MakeItem): OpenItem[] =>
	[...checkingSprings(job.assembly)].map((place) =>
		item(`checking ${place}`, place, message('assembly.checking-spring'), 'blocking')
	);

/** Seals that stand further from their record's height than the shop takes for read alike. */
const sealItems = (job: Job, steps: readonly Step[], done: Done, item: MakeItem): OpenItem[] =>
	sealHeights(steps, done, sealHeightTolerance(job.setup.limits))
		.filter(({ isOff }) => isOff)
		.map(({ station, higher, expected }) =>
			item(
				`seal-height ${station} ${higher.toFixed(3)}`,
				station,
				message('assembly.seal-height', { higher, expected }),
				'acceptance'
			)
		);

function countItems(job: Job, done: Done, item: MakeItem): OpenItem[] {
	const out = done.get(stepKey('job', 'count-out'))?.count;
	const back = done.get(stepKey('job', 'count-in'))?.count;
	if (back === undefined) return [item('count', 'job', message('count.not-done'), 'blocking')];
	if (out === back) return [];
	const text = message('count.differs', { out: out ?? lockHalves(job), back });
	return [item(`count ${out} ${back}`, 'job', text, 'blocking')];
}

function stationItems(station: StationSheet, item: MakeItem): OpenItem[] {
	const { label, figures, remarks } = station;
	const judged = FIGURE_NAMES.flatMap((name): OpenItem[] => {
		const verdict: Verdict | null = figures[name];
		return verdict && name !== 'bare' ? figureItem(label, name, verdict, item) : [];
	});
	// What is not a figure's own verdict: passages, drift, what was seen.
	const own = new Set(FIGURE_NAMES.map((name) => figures[name]?.remedy));
	const others = remarks
		.filter(({ state, text }) => state === 'stop' && !own.has(text))
		.map(({ text, limit }) =>
			item(`stop ${label} ${keyOf(text)}${against(limit)}`, label, text, 'acceptance', {
				otherKeys: [remarkKeyInVersion1('stop', label, text, limit)]
			})
		);
	return [...judged, ...others];
}

/** What is open about one figure: not known is told, a stop or what cannot be called asks for an acceptance. */
function figureItem(label: string, name: FigureName, verdict: Verdict, item: MakeItem): OpenItem[] {
	const { state, figure: value, limit, remedy } = verdict;
	const { watchIsAccepted = false }: Figure = FIGURES[name];
	if (state === 'not-measured') {
		if (watchIsAccepted) return [];
		const text = message('figure.not-known', { figure: name, why: remedy });
		return [item(`missing ${label} ${name}`, label, text, 'info')];
	}
	const isAsked =
		state === 'stop' || state === 'inconclusive' || (watchIsAccepted && state === 'watch');
	if (!isAsked) return [];
	const what = `${label} ${name} ${value?.toFixed(3) ?? ''}`;
	const key = `${state} ${what}${against(limit?.at)}`;
	const text = message('figure.judged', { figure: name, value, says: remedy });
	return [
		item(key, label, text, 'acceptance', {
			state: state === 'watch' ? 'stop' : state,
			otherKeys: [
				figureKeyInVersion1(key, label, verdict),
				// Who accepted the figure as a stop at any of its limits accepted it as less than that, too.
				...verdict.limits.map(({ at }) => `stop ${what}${against(at)}`)
			]
		})
	];
}

/** The limit that an acceptance was given for: it does not outlive it. */
const against = (limit: number | undefined) =>
	limit === undefined ? '' : ` of ${limit.toFixed(3)}`;
