/** Changes stacked on each other, as the bench reads them; and a step as it is chosen and typed. */
import {
	outfitOf,
	readEntry,
	readSignedEntry,
	TYPE_OF,
	tallied,
	type ChangeStep,
	type Kind,
	type Kit,
	type LibraryPart,
	type Message,
	type PartAt,
	type Sheet,
	type StationPart,
	type Stepped,
	type Units
} from '@zinc-ledger/core';
import { label } from '@zinc-ledger/words';
import type { Bench } from '$lib/bench/bench.svelte';
import { rangeText } from '$lib/planning/what-if/comparison';
import { capital } from '$lib/ui/words';
import type { Option } from '$lib/ui/options';

/** Steps that are told by a figure of their own. */
export const FIGURE_STEPS = ['seals-home', 'seal-lower', 'locks', 'lash-cap', 'lift'] as const;
export type FigureStep = (typeof FIGURE_STEPS)[number];
export const FIGURE_STEP_NAMES: Readonly<Record<FigureStep, string>> = {
	'seals-home': 'Seals home, by',
	'seal-lower': 'Lower seals, by',
	locks: 'Locks, + higher or − lower, by',
	'lash-cap': 'Lash cap of (0 for none)',
	lift: 'Valve lift of'
};
/** Places whose parts move what the lift is limited by. */
const PLACES = ['spring', 'seal', 'locks', 'retainer', 'locator', 'lashCap'] as const;

/** What there is to choose a step from. */
export interface Library {
	readonly parts: readonly LibraryPart[];
	readonly kits: readonly Kit[];
}

/** Figures first, then kits, then parts of the library by their places. */
export function stepOptions({ parts, kits }: Library, kind: Kind): Option[] {
	return [
		{ value: '', label: 'choose' },
		...FIGURE_STEPS.map((type) => ({ value: type, label: FIGURE_STEP_NAMES[type] })),
		...kits
			.filter(({ kinds }) => kinds[kind].spring)
			.map(({ id, name }) => ({ value: `kit ${id}`, label: `Kit: ${name}` })),
		...PLACES.flatMap((place) =>
			parts
				.filter(({ type, retired }) => type === TYPE_OF[place] && !retired)
				.map(({ part }) => ({
					value: `${place} ${part.id}`,
					label: `${capital(label('slot', place))}: ${part.name}`
				}))
		)
	];
}

export const isFigureStep = (choice: string): choice is FigureStep =>
	(FIGURE_STEPS as readonly string[]).includes(choice);

/** Whether a choice holds the retainer higher, so that a shim may keep the height. */
export const movesLocks = (choice: string): boolean =>
	choice === 'locks' || choice.startsWith('locks ');

export type StepRead =
	| { readonly ok: true; readonly step: ChangeStep }
	| { readonly ok: false; readonly problem: Message };

/** A step by its figure. */
export function figureStep(
	type: FigureStep,
	typed: string,
	keepsHeight: boolean,
	units: Units
): StepRead {
	const read = type === 'locks' ? readSignedEntry : readEntry;
	const entry = read(typed, units.length);
	if (!entry.ok) return entry;
	const by = entry.text;
	return { ok: true, step: type === 'locks' ? { type, by, keepsHeight } : { type, by } };
}

/** A step by its part or kit; a part brings what must come with it, where the library has that. */
export function partStep(
	choice: string,
	kind: Kind,
	now: Sheet,
	{ parts, kits }: Library,
	keepsHeight: boolean
): ChangeStep | null {
	const [place, id] = choice.split(' ') as [StationPart | 'kit', string];
	const byId = new Map(parts.map((one) => [one.part.id, one.part]));
	if (place === 'kit') {
		const kit = kits.find((one) => one.id === id);
		if (!kit) return null;
		const held = Object.entries(kit.kinds[kind]).flatMap(([at, part]): PartAt[] => {
			const found = byId.get(part);
			return found ? [{ place: at as StationPart, part: found }] : [];
		});
		return { type: 'parts', parts: held, keepsHeight: false };
	}
	const part = byId.get(id);
	if (!part) return null;
	const contexts = now.fitContexts.flatMap(({ context }) => (context.kind === kind ? context : []));
	const alone = { place, part };
	return {
		type: 'parts',
		parts: outfitOf(contexts, alone, parts) ?? [alone],
		keepsHeight: keepsHeight && movesLocks(choice)
	};
}

export interface StepRow {
	readonly name: string;
	readonly texts: readonly string[];
}

type Reader = Pick<Bench, 'units' | 'length' | 'load'>;

/** Every figure after every step, for no two changes move the same ones. */
export function stepRows(kind: Kind, stepped: readonly Stepped[], bench: Reader): StepRow[] {
	const { units, length, load } = bench;
	const tallies = stepped.map(({ sheet }) => tallied(sheet, kind));
	const at = tallies.some(({ atTarget }) => atTarget) ? ', at target height' : '';
	return [
		{
			name: `Height ${units.length}${at}`,
			texts: tallies.map((one) => rangeText(one.height, length))
		},
		{
			name: `Seat load ${units.load}${at}`,
			texts: tallies.map((one) => rangeText(one.seat, load))
		},
		{
			name: `Open load ${units.load}${at}`,
			texts: tallies.map((one) => rangeText(one.open, load))
		},
		{ name: `Min bind margin${at}`, texts: tallies.map((one) => length(one.bind)) },
		{ name: 'Min seal clearance', texts: tallies.map((one) => length(one.seal)) },
		{ name: 'Min tip height', texts: tallies.map((one) => length(one.tip)) }
	];
}

/** What limits the lift after a step, and where. */
export function limitText({ limits: [first] }: Stepped): string {
	if (!first) return '·';
	const name = label('liftLimit', first.limit);
	return first.station ? `${name}, ${first.station}` : name;
}
