/** Evidence from figures: from what changed since the last signed sheet, and from the present sheet. Source: docs/trade/visits.md. */
import type { Sheet } from '../../../sheet/evaluation/index.ts';
import type { FigureName, JobLimits, StationSheet } from '../../../sheet/figures/index.ts';
import { NORMAL } from '../../../foundation/verdict/index.ts';
import type { Trace, Happening, WhatHappened } from '../../comparison/index.ts';
import type { EvidenceCode } from '../../diagnosis/index.ts';
import {
	inCommon,
	isLashAtOtherTemperature,
	loadsInCommon,
	ownChange,
	type StationComparison
} from '../changes/index.ts';

/** The change or the figure that evidence comes from. */
type FigureOf = { readonly moved: Trace } | { readonly figure: FigureName };

/** How surely a finding is there by the figures, and where. */
export interface FigureEvidence {
	/** 0 to 1. */
	readonly surely: number;
	/** Stations at which it is more likely there than not. */
	readonly stations: readonly string[];
	/** The figure of the station where it is surest, in its SI unit; null where no single figure shows it. */
	readonly by: ({ readonly station: string; readonly value: number } & FigureOf) | null;
}
export type ByFigures = Readonly<Partial<Record<EvidenceCode, FigureEvidence>>>;

/** How surely a figure read with this uncertainty is above a line. The logistic curve stands for the normal one, within 0.01. */
export const surelyAbove = (value: number, uncertainty: number, line: number): number =>
	uncertainty > 0
		? 1 / (1 + Math.exp((-1.702 * (value - line)) / (uncertainty / NORMAL)))
		: Number(value > line);

interface At {
	readonly station: string;
	readonly surely: number;
	readonly value: number;
}

/** Of several stations the one where it is surest decides how surely it is there. */
function surest(at: readonly At[], of: FigureOf, nth = 0): FigureEvidence | null {
	const sorted = at.toSorted((a, b) => b.surely - a.surely);
	const chosen = sorted[nth];
	if (!chosen) return null;
	return {
		surely: chosen.surely,
		stations: at.filter(({ surely }) => surely > 0.5).map(({ station }) => station),
		by: { station: sorted[0]!.station, value: sorted[0]!.value, ...of }
	};
}

/** Evidence that is there as a whole or not at all. */
const certain = (is: boolean, stations: readonly string[] = []): FigureEvidence => ({
	surely: Number(is),
	stations: is ? stations : [],
	by: null
});

/** A lobe that has lost more lift than this, in mm, is worn beyond what lifts are read to: shop practice. */
const LIFT_LOST = 0.1;
/** Lash that changed at this many valves is scattered, and no longer the fault of one valve. */
const MANY = 3;

type ChangeLimits = Pick<JobLimits['limits'], 'heightTolerance' | 'lash' | 'sag'>;

/**
 * Evidence from what changed since the last signed sheet. A shift that all stations share is taken
 * off first: it is the gauge's, the tester's or the temperature's until that has been checked.
 *
 * @param reference load of a reference spring on the present tester over that on the earlier one; null where none was read
 */
export function changeEvidence(
	stations: readonly StationComparison[],
	limits: ChangeLimits,
	reference: number | null
): ByFigures {
	const common = inCommon(stations);
	const loads = loadsInCommon(stations, reference);
	const changed = (trace: Trace, line: (then: number) => number, sign = 1, at = stations): At[] =>
		at.flatMap(({ station, moved }) => {
			const compared = moved[trace];
			if (!compared) return [];
			const { by, uncertainty } = ownChange(trace, compared, common, loads);
			const surely = surelyAbove(sign * by, uncertainty, line(compared.then.value));
			return [{ station, surely, value: by }];
		});
	const isRead = (trace: Trace) => stations.some(({ moved }) => moved[trace]);
	const shared = (trace: Trace) => common.some((one) => one.trace === trace);

	const opened = changed('lash', () => limits.lash.watch);
	const closed = changed('lash', () => limits.lash.watch, -1);
	const either = opened.map((one, i) => ({
		...one,
		surely: Math.max(one.surely, closed[i]!.surely)
	}));
	const isScattered = either.filter(({ surely }) => surely > 0.5).length > MANY;

	const pulled = stations.filter(({ happened }) => isBestWith(happened, 'locks-pulled'));
	const others = stations.filter((one) => !pulled.includes(one));
	const dropped = (at: readonly StationComparison[]) =>
		surest(
			changed('tip-height', () => limits.heightTolerance, -1, at),
			{ moved: 'tip-height' }
		) ?? (isRead('tip-height') ? certain(false) : null);

	const found: Readonly<Record<string, FigureEvidence | null>> = {
		'heights-grown': surest(
			changed('height', () => limits.heightTolerance, 1, others),
			{ moved: 'height' }
		),
		'all-heights-alike': isRead('height') ? certain(shared('height')) : null,
		'locks-pulled-in': isRead('tip-height')
			? dropped(pulled)
			: surest(
					changed(
						'height',
						() => limits.heightTolerance,
						1,
						pulled.filter(({ moved }) => moved.lash)
					),
					{ moved: 'height' }
				),
		'tip-lower': dropped(others.filter(({ happened }) => isBestWith(happened, 'tip-worn'))),
		'head-sunk': surest(
			changed('head-below-deck', () => limits.heightTolerance),
			{ moved: 'head-below-deck' }
		),
		'lash-closed': surest(closed, { moved: 'lash' }),
		'one-lash-opened': isScattered ? null : surest(opened, { moved: 'lash' }),
		'lash-spread': surest(either, { moved: 'lash' }, MANY),
		'all-lash-alike': isRead('lash') ? certain(shared('lash')) : null,
		'other-temperature': isRead('lash') ? certain(isLashAtOtherTemperature(stations)) : null,
		'bench-low': surest(
			changed('load', (then) => limits.sag.watch * then, -1),
			{ moved: 'load' }
		),
		'all-loads-alike': isRead('load') ? certain(loads?.cause === 'either') : null,
		'lift-fell': surest(
			changed('lift', () => LIFT_LOST, -1),
			{ moved: 'lift' }
		)
	};
	return onlyKnown(found);
}

const onlyKnown = (found: Readonly<Record<string, FigureEvidence | null>>): ByFigures =>
	Object.fromEntries(Object.entries(found).filter(([, one]) => one !== null));

const isBestWith = (happened: WhatHappened | null, happening: Happening): boolean =>
	happened?.explanations[0]?.happened.some((one) => one.happening === happening) ?? false;

/** Evidence from the figures of the present sheet: how surely each is beyond its limit. */
export function sheetEvidence(sheet: Sheet): ByFigures {
	return onlyKnown({
		'bind-short': short(sheet, 'bindMargin'),
		'seal-short': short(sheet, 'sealClearance'),
		'nose-short': short(sheet, 'rocker'),
		'net-seat-short': short(sheet, 'netSeatLoad'),
		'piston-short': short(sheet, 'piston'),
		'control-short': short(sheet, 'controlLimit'),
		'on-head-low': beyondLimit(sheet, 'headLoad', 'floor', 'first'),
		'stem-clearance': excessive(sheet, 'stemClearance')
	});
}

/** A figure of every station against the limit that it must not be below. */
const short = (sheet: Sheet, name: FigureName) => beyondLimit(sheet, name, 'floor');
/** A figure of every station against the limit that it must not be above. */
const excessive = (sheet: Sheet, name: FigureName) => beyondLimit(sheet, name, 'ceiling');

/** @param which of several limits on that side, in the order of the verdict */
function beyondLimit(
	{ stations }: Sheet,
	name: FigureName,
	limit: 'floor' | 'ceiling',
	which: 'first' | 'last' = 'last'
): FigureEvidence | null {
	return surest(
		stations.flatMap((station): At[] => {
			const verdict = station.figures[name];
			const own = verdict?.limits.filter(({ side }) => side === limit) ?? [];
			const at = own.at(which === 'first' ? 0 : -1)?.at;
			if (!isKnown(station, name) || verdict!.figure === null || at === undefined) return [];
			const above = surelyAbove(verdict!.figure, verdict!.uncertainty, at);
			return [
				{
					station: station.label,
					surely: limit === 'floor' ? 1 - above : above,
					value: verdict!.figure
				}
			];
		}),
		{ figure: name }
	);
}

/** Whether a figure is known and judged; a bound from one side tells nothing of control. */
export const isKnown = ({ figures }: StationSheet, name: FigureName): boolean =>
	(figures[name]?.figure ?? null) !== null && figures[name]!.state !== 'not-measured';
