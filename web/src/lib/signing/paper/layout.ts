/** What stands on the paper of a sheet, and where: screen and PDF only set it. */
import {
	foundAt,
	foundCounts,
	isAtHand,
	KINDS,
	lengthOf,
	message,
	REUSABLE,
	scaleOf,
	showLength,
	showLoad,
	tightestStation,
	walk,
	type Drawing,
	type Job,
	type Kind,
	type Millimetres,
	type Newtons,
	type Scale,
	type State,
	type Units
} from '@zinc-ledger/core';
import { label, ruleWords, tell } from '@zinc-ledger/words';
import { findingLines } from '$lib/sheet/fit/finding-lines';
import { capital, moment, shortDate } from '$lib/ui/words';
import {
	inspectedColumns,
	printedColumns,
	type Cell,
	type Printed,
	type PrintedSheet,
	type PrintedStation
} from './printed';

interface PaperCell extends Pick<Cell, 'text' | 'state'> {
	readonly scale: Scale | null;
}

export interface Paper {
	readonly title: string;
	readonly number: string;
	/** Whose engine it is, and what it is for. */
	readonly customer: string;
	readonly dates: string;
	/** What the signature says, and what the job does without; null while it is not signed. */
	readonly scope: string | null;
	readonly plan: { readonly job: Job; readonly stations: readonly PrintedStation[] };
	readonly columns: readonly { readonly title: string; readonly unit: string }[];
	readonly rows: readonly {
		readonly label: string;
		/** Whether the signature speaks of it; the rest reads “not looked at”. */
		readonly isLookedAt: boolean;
		readonly cells: readonly (PaperCell | null)[];
	}[];
	readonly blocks: readonly {
		readonly title: string;
		readonly lines: readonly (readonly [name: string, value: string])[];
	}[];
	/** The stack with the least room before bind, as it was signed. */
	readonly section: { readonly drawing: Drawing; readonly caption: string } | null;
	readonly remarks: readonly {
		readonly title: string;
		readonly lines: readonly { readonly state: State | null; readonly text: string }[];
	}[];
	/** By whom it was measured, and what is least. */
	readonly measured: string;
	/** What makes the paper that of a signed sheet; null for one that is not. */
	readonly signature: { readonly text: string; readonly sha256: string } | null;
}

/** Said at the foot of every sheet. */
export const CAUTION =
	'The makers’ instructions for springs, cam and engine come first; these figures do not replace them.';
/** Stands in place of figures that the signature does not speak of. */
export const NOT_LOOKED_AT = 'not looked at';
/** What a figure without a mark means. */
export const UNMARKED = 'A figure without a mark is clear; a dot is not measured.';

/**
 * Lays the paper out: one page for up to sixteen stations.
 *
 * @param isCustomers leaves out what is to stay in the shop
 */
export function paperOf(printed: Printed, isCustomers = false): Paper {
	const { job, sheet, section, signed } = printed;
	const { use } = job.setup;
	const units = sheet.units.sentences;
	const columns = printedColumns(sheet);
	const of = new Map(sheet.stations.map((station) => [station.label, station]));
	const duty = [use.duty, use.engineSpeed && `to ${use.engineSpeed.toLocaleString('en')} rpm`];
	const dates = [
		`received ${shortDate(job.takenIn)}`,
		...(signed ? [`signed ${shortDate(signed.at)}`, `sheet ${signed.revision}`] : ['not signed']),
		...(isCustomers ? ['customer’s copy'] : [])
	];
	return {
		title: job.engine.name,
		number: job.number,
		customer: `${job.customer.name}${job.customer.contact ? `, ${job.customer.contact}` : ''} · ${duty.filter(Boolean).join(', ')}`,
		dates: dates.join(' · '),
		scope: scopeOn(printed),
		plan: { job, stations: sheet.stations },
		columns: columns.map(({ title, unit }) => ({ title, unit })),
		rows: walk(job.stations, job.setup.measuringOrder)
			.flatMap(({ label: station }) => of.get(station) ?? [])
			.map((station) => ({
				label: station.label,
				isLookedAt: signed
					? (signed.scope?.stations.includes(station.label) ?? true)
					: isAtHand(job, station.label),
				cells: columns.map((column) => cellOf(column.of(station)))
			})),
		blocks: [
			...KINDS.map((kind) => partsOfKind(printed, kind)),
			...inspectedOn(sheet),
			judgedBy(job, sheet, units)
		],
		section: section
			? {
					drawing: section.drawing,
					caption: `${section.station}: closed on the left, full lift on the right`
				}
			: null,
		remarks: remarksOn(printed, isCustomers),
		measured: `${measuredBy(job)}${minMargin(sheet)}`,
		signature: signed
			? {
					text: `Sheet ${signed.revision} of job ${job.number}, signed by ${signed.person}, ${signed.at.slice(0, 16).replace('T', ' ')} UTC${signed.supersedes ? `. Supersedes the sheet with SHA-256 ${signed.supersedes.slice(0, 16)}…` : ''}`,
					sha256: signed.sha256
				}
			: null
	};
}

/** What the signature says, in words. */
function scopeOn({ job, signed }: Printed): string | null {
	if (!signed) return null;
	const { scope } = signed;
	if (!scope) return capital(tell(message('scope.before')));
	const { name, stations, leftOut } = scope;
	const says = message('scope.says', { scope: name, stations, of: job.stations.length });
	const without = leftOut.map((one) => tell(message('scope.left-out', one)));
	return [tell(says), ...without].join('; ');
}

const cellOf = (cell: Cell | null): PaperCell | null =>
	cell && {
		text: cell.text,
		state: cell.state,
		scale:
			cell.shown?.figure != null && cell.shown.limits
				? scaleOf(cell.shown.figure, cell.shown.limits)
				: null
	};

const lengthIn = (units: Units) => (figure: number) => showLength(figure as Millimetres, units);

const PRINTED_PARTS = ['spring', 'retainer', 'locks', 'locator', 'seal', 'lashCap'] as const;

function partsOfKind({ job, sheet }: Printed, kind: Kind): Paper['blocks'][number] {
	const setup = job.setup.kinds[kind];
	const { lift, bind, target } = sheet.kinds[kind];
	const length = lengthIn(sheet.units.sentences);
	const loads = sheet.stations
		.filter((station) => station.kind === kind)
		.flatMap(({ figures }) => figures.seatLoad?.figure ?? []);
	const load = (figure: number) => showLoad(figure as Newtons, sheet.units.sentences);
	const named = (place: (typeof PRINTED_PARTS)[number]): [string, string | undefined] => {
		const name = setup[place]?.name;
		const isUsed = REUSABLE.some((one) => one === place && setup.reused?.includes(one));
		return [capital(label('slot', place)), name && isUsed ? `${name} (used before)` : name];
	};
	const lines: (readonly [string, string | undefined])[] = [
		...PRINTED_PARTS.filter((place) => place !== 'lashCap' || setup.lashCap).map(named),
		['Lift', lift ? `${length(lift.gross)} gross, ${length(lift.net)} net` : undefined],
		[
			'Coil bind',
			bind ? `${length(bind.height)}${bind.first ? `, ${bind.first} first` : ''}` : undefined
		],
		[
			'Target',
			target.height === null
				? target.because
				: `${length(target.height)} by ${label('targetMethod', setup.aim.method)}`
		],
		[
			'Seat loads',
			loads.length > 0 ? `${load(Math.min(...loads))} to ${load(Math.max(...loads))}` : 'not known'
		]
	];
	if (setup.lash)
		lines.push([
			'Lash',
			`${length(lengthOf(setup.lash.setting))} ± ${length(lengthOf(setup.lash.tolerance))}, ${setup.lash.engine}`
		]);
	return {
		title: `${capital(label('kind', kind))}s`,
		lines: lines.map(([name, value]) => [name, value ?? 'not given'])
	};
}

/** What was measured on valves, seats and chambers: from the least to the most of each. */
function inspectedOn(sheet: PrintedSheet): Paper['blocks'] {
	const lines = inspectedColumns(sheet).map(({ title, unit, of }): readonly [string, string] => {
		const texts = sheet.stations.flatMap((station) => of(station)?.text ?? []);
		const inOrder = texts.toSorted((a, b) => Number(a) - Number(b));
		const [min, max] = [inOrder[0]!, inOrder.at(-1)!];
		return [title, `${min === max ? min : `${min} to ${max}`} ${unit} (${texts.length})`];
	});
	return lines.length > 0 ? [{ title: 'Valves and seats', lines }] : [];
}

function judgedBy({ setup }: Job, sheet: PrintedSheet, units: Units): Paper['blocks'][number] {
	const { limits } = setup;
	const length = lengthIn(units);
	const isControlled = sheet.stations.some(({ figures }) => figures.controlLimit?.figure != null);
	const lines: [string, string][] = [
		['Height within', `± ${length(lengthOf(limits.heightTolerance))}`],
		['Min bind margin', length(lengthOf(limits.bindFloor))],
		['Min seal clearance', length(lengthOf(limits.sealFloor))],
		['Loads within', `± ${Math.round(limits.loadTolerance * 100)} %`]
	];
	if (isControlled) lines.push(['Control limit', 'of a rigid train: an aid, not a promise']);
	return { title: 'Judged by', lines };
}

function measuredBy({ people, readings }: Job): string {
	const names = people
		.filter(({ id }) => readings.some(({ person }) => person === id))
		.map(({ name }) => name);
	const last = readings
		.map(({ at }) => at)
		.toSorted()
		.at(-1);
	return `Measured by ${names.join(', ') || 'nobody yet'}${last ? `, last ${moment(last)}` : ''}.`;
}

/** Where least is left before coil bind. */
function minMargin({ stations, units: { sentences } }: Printed['sheet']): string {
	const place = tightestStation(stations);
	const margin = stations.find((station) => station.label === place)?.figures.bindMargin?.figure;
	return margin == null ? '' : ` Min bind margin ${lengthIn(sentences)(margin)} at ${place}.`;
}

/** Fit, remarks, what was accepted and why, lash, notes. */
function remarksOn({ job, sheet, open }: Printed, isCustomers: boolean): Paper['remarks'] {
	const nameOf = (id: string) => job.people.find((person) => person.id === id)?.name ?? '';
	const plain = (text: string) => ({ state: null, text });
	const lash = new Set(
		sheet.stations.flatMap(({ inForce: { lash: one } }) =>
			one
				? `${one.lash?.as === 'found' ? 'found' : 'set'} ${one.engine ?? 'cold'} by ${nameOf(one.person)}, ${shortDate(one.at)}${one.lash?.marked ? ', marked' : ''}`
				: []
		)
	);
	const blocks = [
		{ title: 'Fit', lines: fitLines(sheet) },
		{
			title: 'Remarks',
			lines: [
				...sheet.stations.flatMap(({ label: station, remarks }) =>
					remarks
						.filter(({ state }) => state !== 'not-measured' && state !== 'clear')
						.map(({ state, text }) => ({ state, text: `${station}: ${text}.` }))
				),
				...sheet.remarks.map(({ state, text }) => ({ state, text: `${text}.` }))
			]
		},
		{
			title: 'Accepted',
			lines: open.flatMap(({ place, text, accepted }) =>
				accepted
					? plain(`${capital(place)}: ${text}. Accepted by ${accepted.by}: ${accepted.reason}`)
					: []
			)
		},
		{ title: 'As found', lines: foundOn(job, lengthIn(sheet.units.sentences)).map(plain) },
		{ title: 'Lash', lines: [...lash].map((text) => plain(`${text}.`)) },
		{
			title: 'Notes',
			lines: job.notes
				.filter((note) => !note.resolves && !(isCustomers && note.private))
				.map(({ station, text, person }) =>
					plain(`${station ? `${station}: ` : ''}${text} (${nameOf(person)})`)
				)
		}
	];
	return blocks.filter(({ lines }) => lines.length > 0);
}

/** What came off the head when it was stripped, counted; and what was written down where. */
function foundOn(job: Job, length: (figure: number) => string): string[] {
	const { stations, shims, locators, caps, dampers, seals } = foundCounts(job);
	if (stations === 0) return [];
	const counted = [
		...shims.map(([size, count]) => `${count} shims of ${length(size)}`),
		...(shims.length === 0 ? ['no shim'] : []),
		`${locators} locators`,
		...(caps > 0 ? [`${caps} lash caps`] : []),
		...(dampers > 0 ? [`${dampers} dampers`] : []),
		`${seals} seals`
	];
	const notes = [...foundAt(job)].flatMap(([station, { note }]) =>
		note ? `${station}: ${note}.` : []
	);
	return [`${stations} valves stripped: ${counted.join(', ')}.`, ...notes];
}

/** Stops and watches of fit; what was accepted stands under its own title. */
const fitLines = ({ fit }: Printed['sheet']) =>
	findingLines(fit, ({ compared }) => compared).map(({ finding, places, compared }) => ({
		state: finding.severity as State,
		text: `${ruleWords(finding.rule).title}, ${places}: ${compared}.${finding.severity === 'stop' && !finding.acceptance ? ' Not accepted.' : ''}`
	}));
