/** Signed sheets of version 1: where they kept the figures that now stand with the others. */
import type { Sheet } from '../../sheet/evaluation/index.ts';
import { FIGURE_NAMES, type FigureName } from '../../sheet/figures/index.ts';
import { vacuumOf } from '../../foundation/units/index.ts';
import type { State, Verdict } from '../../foundation/verdict/index.ts';

/** An on-head load stood there unjudged; what was said of it is among the remarks. */
const headLoadThen = ({ headLoad }: StationOfVersion1): JudgedThen | null =>
	headLoad == null ? null : { ...UNJUDGED, figure: headLoad, state: 'clear' };

function vacuumThen({ reached, min }: { reached: string; min: string }): JudgedThen {
	const state = vacuumOf(reached) >= vacuumOf(min) - 1e-9 ? 'clear' : 'stop';
	return { ...UNJUDGED, figure: vacuumOf(reached), state };
}
const UNJUDGED = { difference: null, uncertainty: 0 } as const;

/** A figure that is worked out otherwise now than when it was signed. */
export interface Difference {
	readonly station: string;
	readonly figure: FigureName;
}

interface StationOfVersion1 {
	readonly label: string;
	readonly figures: Readonly<Partial<Record<FigureName, JudgedThen | null>>>;
	readonly bareHeight?: JudgedThen | null;
	readonly built?: JudgedThen | null;
	readonly loss?: JudgedThen | null;
	readonly piston?: JudgedThen | null;
	readonly preload?: JudgedThen | null;
	readonly headLoad?: number | null;
	readonly checks?: {
		readonly vacuum: { readonly reached: string; readonly min: string } | null;
	};
}
type JudgedThen = Pick<Verdict, 'figure' | 'difference' | 'uncertainty'> & {
	readonly state: string;
};

const BESIDE = {
	bare: 'bareHeight',
	built: 'built',
	loss: 'loss',
	piston: 'piston',
	preload: 'preload'
} as const;
const STATES: Readonly<Record<string, State>> = {
	'not measured': 'not-measured',
	'too close': 'inconclusive'
};

/** The current code of a state. */
export const stateOfVersion1 = (state: string): State => STATES[state] ?? (state as State);

/** The judged figure of a station of version 1; undefined for one that it did not keep. */
export function figureOfVersion1(
	station: StationOfVersion1,
	name: FigureName
): JudgedThen | null | undefined {
	const judged =
		name in BESIDE ? station[BESIDE[name as keyof typeof BESIDE]] : station.figures[name];
	if (judged) return { ...judged, state: stateOfVersion1(judged.state) };
	if (name === 'headLoad' && station.headLoad !== undefined) return headLoadThen(station);
	if (name === 'vacuum' && station.checks?.vacuum) return vacuumThen(station.checks.vacuum);
	return judged;
}

/** The figures that a sheet of version 1 kept and this program works out otherwise, to the last digit. */
export function differencesFromVersion1(sheet: Sheet, frozen: object): Difference[] {
	const then = (frozen as { readonly stations?: readonly StationOfVersion1[] }).stations ?? [];
	const now = new Map(sheet.stations.map((station) => [station.label, station.figures]));
	return then.flatMap((station) =>
		FIGURE_NAMES.filter((name) => {
			// These were no figures of the sheet then.
			if (name === 'headLoad' || name === 'vacuum') return false;
			const [was, is] = [figureOfVersion1(station, name), now.get(station.label)?.[name]];
			if (was === undefined) return false;
			if (was === null || !is) return was !== null || Boolean(is);
			return (
				was.figure !== is.figure ||
				was.state !== is.state ||
				was.difference !== is.difference ||
				was.uncertainty !== is.uncertainty
			);
		}).map((figure) => ({ station: station.label, figure }))
	);
}
