/** What a question of "what if" changes, and what a sheet comes to in a few figures. */
import { KINDS, type Kind } from '../../../foundation/station/index.ts';
import type { TargetMethod } from '../../../sheet/target-height/index.ts';
import { lengthOf, lengthText, loadText, mm } from '../../../foundation/units/index.ts';
import { USUAL_CUSHION, type KindSheet } from '../../../sheet/figures/index.ts';
import {
	kindWithParts,
	type KindSetup,
	type Limits,
	type PartAt,
	type Setup
} from '../../../job/document/index.ts';
import type { Sheet } from '../../../sheet/evaluation/index.ts';

/**
 * Parts with this valve lift; a lobe's lift is changed so that its ratio gives it.
 *
 * @param valve lift as a length text: '13.5 mm'
 */
export function withLift(parts: KindSetup, valve: string): KindSetup {
	const { lift } = parts;
	if (lift?.type !== 'lobe')
		return {
			...parts,
			lift: { ...lift, type: 'valve', valve, source: lift?.source ?? 'customer' }
		};
	return { ...parts, lift: { ...lift, lobe: `${(lengthOf(valve) / lift.ratio).toFixed(6)} mm` } };
}

/**
 * A method's aim with the figure that the present set-up implies for it.
 *
 * @returns loads of the height that is aimed at now, the card's seat load where they are not known; a usual cushion
 */
export function aimAs(method: TargetMethod, now: KindSheet, parts: KindSetup): KindSetup['aim'] {
	if (parts.aim.method === method) return parts.aim;
	const { curve, lift, target } = now;
	const height = target.height;
	const seat = curve && height !== null ? curve.load(height) : null;
	const open = curve && lift && height !== null ? curve.load(mm(height - lift.net)) : null;
	const card = parts.spring?.seat.load ?? '0 N';
	switch (method) {
		case 'card-height':
			return { method };
		case 'bind-cushion':
			return { method, cushion: lengthText(USUAL_CUSHION, 'in') };
		case 'seat-load':
			return { method, load: seat === null ? card : loadText(seat, 'N') };
		case 'open-load':
			return { method, load: open === null ? card : loadText(open, 'N') };
		case 'as-it-stands':
			return { method, minSeatLoad: card };
	}
}

/** What is asked of a kind: other parts, another valve lift or way to aim; what is left out stays. */
export interface KindChange {
	/** In place of what is there; none of them has run. */
	readonly parts?: readonly PartAt[];
	readonly lift?: string;
	readonly method?: TargetMethod;
}

export interface Scenario {
	readonly kinds: Readonly<Record<Kind, KindChange>>;
	readonly limits: Partial<Pick<Limits, 'bindFloor' | 'sealFloor'>>;
}

/**
 * The set-up with what is asked laid on.
 *
 * @param now the sheet of the set-up as it is, by which an aim of another method gets its figure
 */
export function withScenario(
	setup: Setup,
	now: Pick<Sheet, 'kinds'>,
	{ kinds: changes, limits }: Scenario
): Setup {
	const kinds = { ...setup.kinds };
	for (const kind of KINDS) {
		const { parts, lift, method } = changes[kind];
		if (parts) kinds[kind] = kindWithParts(kinds[kind], parts);
		if (lift !== undefined) kinds[kind] = withLift(kinds[kind], lift);
		if (method) kinds[kind] = { ...kinds[kind], aim: aimAs(method, now.kinds[kind], kinds[kind]) };
	}
	return { ...setup, kinds, limits: { ...setup.limits, ...limits } };
}
