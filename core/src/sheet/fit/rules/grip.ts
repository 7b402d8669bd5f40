/** How stem, locks, retainer and lash cap hold each other. */
import {
	lengthOf,
	loadOf,
	mm,
	toComparisonStep,
	type Millimetres,
	type Newtons
} from '../../../foundation/units/index.ts';
import type { Groove, Metal, RockerNose, ValveTip } from '../../../parts/part/index.ts';
import { message } from '../../../foundation/message/index.ts';
import { given, passes, fails, failsIf, type FitContext, type Rule } from '../rule.ts';

declare module '../../../foundation/message/message.ts' {
	interface Messages {
		'fit.stems': {
			readonly stems: readonly { readonly of: StemPart; readonly stem: Millimetres }[];
			readonly tolerance: Millimetres;
		};
		'fit.bead': { readonly bead: Groove; readonly groove: Groove };
		'fit.angles': { readonly locks: number; readonly retainer: number };
		'fit.no-lash-cap': null;
		'fit.cap-on-tip': { readonly material: Metal; readonly tip: ValveTip };
		'fit.valve-tip': { readonly tip: ValveTip };
		'fit.wafer-held': null;
		'fit.wafer-not-held': null;
		'fit.valve-material': { readonly material: Metal };
		'fit.titanium-capped': null;
		'fit.titanium-uncapped': { readonly tip: ValveTip };
		'fit.bead-not-given': null;
		'fit.tip-above-locks': { readonly above: Millimetres };
		'fit.taper': { readonly angle: number };
		'fit.taper-under-load': {
			readonly angle: number;
			readonly load: Newtons;
			readonly max: Newtons;
		};
		'fit.tip-length': {
			readonly tip: Millimetres;
			readonly locks: 'recess' | 'captive';
			readonly min: Millimetres;
			readonly max: Millimetres;
		};
		'fit.cap-without-recess': null;
		'fit.captive-tip-length': null;
		'fit.not-captive': null;
		'fit.groove': { readonly groove: Groove };
		'fit.square-groove': { readonly load: Newtons; readonly max: Newtons };
		'fit.makers': {
			readonly makers: readonly {
				readonly of: 'retainer' | 'locks' | 'lash-cap';
				readonly maker: string;
			}[];
		};
		'fit.not-ground': null;
		'fit.retainer-ground': {
			readonly ground: Millimetres;
			/** Of the whole retainer, where it is known. */
			readonly height: Millimetres | null;
		};
		'fit.locks-new': null;
		'fit.locks-inspected': null;
		'fit.locks-used-not-allowed': null;
		'fit.no-rocker': null;
		'fit.rocker-nose': { readonly nose: RockerNose };
		'fit.rail-with-cap': null;
		'fit.rail-tip': { readonly tip: Millimetres; readonly min: Millimetres };
	}
}

/** What a stem diameter is of, by what was asked for. */
const STEM_OF = {
	'valve.stem': 'valve',
	'locks.stem': 'locks',
	'seal.stem': 'seal',
	'guide.stem': 'guide',
	'lash-cap.stem': 'lash-cap'
} as const;
export type StemPart = (typeof STEM_OF)[keyof typeof STEM_OF];
const MADE = {
	'retainer.maker': 'retainer',
	'locks.maker': 'locks',
	'lash-cap.maker': 'lash-cap'
} as const;

const isTitanium = (context: FitContext) => context.parts.valve?.material === 'titanium';

const stemsMatch: Rule<'stem-diameter'> = {
	id: 'stem-diameter',
	severity: 'stop',
	fixableBy: ['locks', 'seal', 'valve'],
	check: ({ parts, setup }) => {
		const stems = {
			'valve.stem': parts.valve?.stem,
			'locks.stem': parts.locks?.stem,
			'seal.stem': parts.seal?.stem,
			...(parts.pocket?.guide && { 'guide.stem': parts.pocket.guide }),
			...(parts.lashCap && { 'lash-cap.stem': parts.lashCap.stem })
		};
		return given(stems, (all) => {
			const named = Object.entries(all).map(([input, text]) => ({
				of: STEM_OF[input as keyof typeof STEM_OF],
				stem: lengthOf(text as string)
			}));
			const spread =
				Math.max(...named.map(({ stem }) => stem)) - Math.min(...named.map(({ stem }) => stem));
			const match = lengthOf(setup.limits.fit.stemMatch);
			return failsIf(
				toComparisonStep(spread - match, 'length') > 0,
				message('fit.stems', { stems: named, tolerance: match })
			);
		});
	}
};

const beadMatches: Rule<'lock-bead'> = {
	id: 'lock-bead',
	severity: 'stop',
	fixableBy: ['locks', 'valve'],
	check: ({ parts }) =>
		given({ 'locks.bead': parts.locks?.bead, 'valve.groove': parts.valve?.groove }, (all) =>
			failsIf(
				all['locks.bead'] !== all['valve.groove'],
				message('fit.bead', { bead: all['locks.bead'], groove: all['valve.groove'] })
			)
		)
};

const anglesMatch: Rule<'lock-angle'> = {
	id: 'lock-angle',
	severity: 'stop',
	fixableBy: ['locks', 'retainer'],
	check: ({ parts }) =>
		given({ 'locks.angle': parts.locks?.angle, 'retainer.angle': parts.retainer?.angle }, (all) =>
			failsIf(
				all['locks.angle'] !== all['retainer.angle'],
				message('fit.angles', { locks: all['locks.angle'], retainer: all['retainer.angle'] })
			)
		)
};

const capOnWafer: Rule<'cap-on-wafer'> = {
	id: 'cap-on-wafer',
	severity: 'stop',
	fixableBy: ['valve'],
	check: ({ parts }) => {
		if (!parts.lashCap) return passes(message('fit.no-lash-cap'));
		return given(
			{ 'valve.material': parts.valve?.material, 'valve.tip': parts.valve?.tip },
			(all) =>
				failsIf(
					all['valve.material'] === 'titanium' && all['valve.tip'] === 'wafer',
					message('fit.cap-on-tip', { material: all['valve.material'], tip: all['valve.tip'] })
				)
		);
	}
};

const waferHeld: Rule<'locks-for-wafer'> = {
	id: 'locks-for-wafer',
	severity: 'watch',
	fixableBy: ['locks'],
	check: ({ parts }) =>
		given({ 'valve.tip': parts.valve?.tip }, (all) => {
			if (all['valve.tip'] !== 'wafer')
				return passes(message('fit.valve-tip', { tip: all['valve.tip'] }));
			return given({ 'locks.holds-tip': parts.locks?.holdsTip }, (locks) =>
				locks['locks.holds-tip']
					? passes(message('fit.wafer-held'))
					: fails(message('fit.wafer-not-held'))
			);
		})
};

const bareTitanium: Rule<'titanium-tip'> = {
	id: 'titanium-tip',
	severity: 'stop',
	fixableBy: ['lashCap', 'valve'],
	check: (context) =>
		given({ 'valve.material': context.parts.valve?.material }, (all) => {
			if (!isTitanium(context))
				return passes(message('fit.valve-material', { material: all['valve.material'] }));
			if (context.parts.lashCap) return passes(message('fit.titanium-capped'));
			return given({ 'valve.tip': context.parts.valve?.tip }, (valve) =>
				failsIf(
					valve['valve.tip'] !== 'wafer',
					message('fit.titanium-uncapped', { tip: valve['valve.tip'] })
				)
			);
		})
};

function tipWindow({ parts }: FitContext, seat: 'recess' | 'captive') {
	return given(
		{
			'valve.tip-length': parts.valve?.tipLength,
			'locks.min-tip': parts.locks?.minTip,
			'locks.max-tip': parts.locks?.maxTip
		},
		(all) => {
			const tip = lengthOf(all['valve.tip-length']);
			const min = lengthOf(all['locks.min-tip']);
			const max = lengthOf(all['locks.max-tip']);
			const outside = (a: Millimetres, b: Millimetres) => toComparisonStep(mm(a - b), 'length') > 0;
			return failsIf(
				outside(min, tip) || outside(tip, max),
				message('fit.tip-length', { tip, locks: seat, min, max })
			);
		}
	);
}

const capNeedsRecess: Rule<'cap-recess'> = {
	id: 'cap-recess',
	severity: 'stop',
	fixableBy: ['locks'],
	check: (context) => {
		const { locks, lashCap } = context.parts;
		if (!lashCap) return passes(message('fit.no-lash-cap'));
		return given({ 'locks.cap-recess': locks?.capSeat }, (all) => {
			const seat = all['locks.cap-recess'];
			if (seat === 'none') return fails(message('fit.cap-without-recess'));
			return seat === 'captive'
				? passes(message('fit.captive-tip-length'))
				: tipWindow(context, 'recess');
		});
	}
};

const captiveTip: Rule<'captive-locks'> = {
	id: 'captive-locks',
	severity: 'stop',
	fixableBy: ['locks', 'valve'],
	check: (context) => {
		const { locks } = context.parts;
		return given({ 'locks.cap-recess': locks?.capSeat }, (all) =>
			all['locks.cap-recess'] === 'captive'
				? tipWindow(context, 'captive')
				: passes(message('fit.not-captive'))
		);
	}
};

const roundForLoad: Rule<'groove-load'> = {
	id: 'groove-load',
	severity: 'note',
	fixableBy: ['valve'],
	check: ({ parts, openLoad, setup }) =>
		given({ 'valve.groove': parts.valve?.groove }, (valve) => {
			const groove = valve['valve.groove'];
			if (groove !== 'square') return passes(message('fit.groove', { groove }));
			return given({ 'open-load': openLoad }, (all) => {
				const limit = loadOf(setup.limits.fit.highLoad);
				return failsIf(
					toComparisonStep(all['open-load'] - limit, 'load') > 0,
					message('fit.square-groove', { load: all['open-load'], max: limit })
				);
			});
		})
};

/** The stem's end above the locks: a tip that they bury cannot be reached by a rocker. */
const tipAboveLocks: Rule<'tip-above-locks'> = {
	id: 'tip-above-locks',
	severity: 'stop',
	fixableBy: ['locks', 'lashCap'],
	check: ({ parts }) => {
		// Few makers say it: where nobody does, it is not asked of every job.
		const beadAt = parts.locks?.beadAt;
		if (beadAt === undefined) return passes(message('fit.bead-not-given'));
		return given({ 'valve.tip-length': parts.valve?.tipLength }, (all) => {
			const above = mm(lengthOf(all['valve.tip-length']) - lengthOf(beadAt));
			return failsIf(
				toComparisonStep(above, 'length') <= 0,
				message('fit.tip-above-locks', { above })
			);
		});
	}
};

/** Under high loads a steeper taper is preferred: it bears on more of the retainer and lets go again. */
const taperForLoad: Rule<'lock-taper-load'> = {
	id: 'lock-taper-load',
	severity: 'note',
	fixableBy: ['locks', 'retainer'],
	check: ({ parts, openLoad, setup }) =>
		given({ 'locks.angle': parts.locks?.angle }, (locks) => {
			const angle = locks['locks.angle'];
			if (angle >= STEEP) return passes(message('fit.taper', { angle }));
			return given({ 'open-load': openLoad }, (all) => {
				const max = loadOf(setup.limits.fit.highLoad);
				return failsIf(
					toComparisonStep(all['open-load'] - max, 'load') > 0,
					message('fit.taper-under-load', { angle, load: all['open-load'], max })
				);
			});
		})
};
/** Degrees from which a taper counts as steep. */
const STEEP = 10;

const oneMaker: Rule<'one-maker'> = {
	id: 'one-maker',
	severity: 'watch',
	fixableBy: ['locks', 'retainer', 'lashCap'],
	check: ({ parts }) =>
		given(
			{
				'retainer.maker': parts.retainer?.maker,
				'locks.maker': parts.locks?.maker,
				...(parts.lashCap && { 'lash-cap.maker': parts.lashCap.maker })
			},
			(all) => {
				const makers = Object.entries(all).map(([input, maker]) => ({
					of: MADE[input as keyof typeof MADE],
					maker: maker as string
				}));
				return failsIf(
					new Set(makers.map(({ maker }) => maker)).size > 1,
					message('fit.makers', { makers })
				);
			}
		)
};

const groundRetainer: Rule<'ground-retainer'> = {
	id: 'ground-retainer',
	severity: 'watch',
	fixableBy: ['retainer'],
	check: ({ parts }) => {
		const { retainer } = parts;
		const ground = lengthOf(retainer?.groundOff ?? '0 mm');
		if (ground === 0) return passes(message('fit.not-ground'));
		const height = retainer!.height ? lengthOf(retainer!.height) : null;
		return fails(message('fit.retainer-ground', { ground, height }));
	}
};

const newLocks: Rule<'used-locks'> = {
	id: 'used-locks',
	severity: 'watch',
	fixableBy: ['locks'],
	check: ({ parts, setup }) => {
		if (!parts.reused?.includes('locks')) return passes(message('fit.locks-new'));
		return setup.policies?.locks === 'inspected-and-reused'
			? passes(message('fit.locks-inspected'))
			: fails(message('fit.locks-used-not-allowed'));
	}
};

const railTip: Rule<'rail-rocker-tip'> = {
	id: 'rail-rocker-tip',
	severity: 'stop',
	fixableBy: ['rocker', 'locks'],
	check: ({ parts, tipHeight, setup }) => {
		if (parts.lifter?.type.endsWith('bucket')) return passes(message('fit.no-rocker'));
		return given({ 'rocker.nose': parts.rocker?.nose }, (rocker) => {
			if (rocker['rocker.nose'] !== 'rail') {
				return passes(message('fit.rocker-nose', { nose: rocker['rocker.nose'] }));
			}
			if (parts.lashCap) return fails(message('fit.rail-with-cap'));
			return given({ 'tip-height': tipHeight }, (all) => {
				const min = lengthOf(setup.limits.fit.railTip);
				return failsIf(
					toComparisonStep(all['tip-height'] - min, 'length') < 0,
					message('fit.rail-tip', { tip: all['tip-height'], min })
				);
			});
		});
	}
};

export const GRIP_RULES = [
	stemsMatch,
	beadMatches,
	anglesMatch,
	capOnWafer,
	waferHeld,
	bareTitanium,
	capNeedsRecess,
	captiveTip,
	roundForLoad,
	tipAboveLocks,
	taperForLoad,
	oneMaker,
	railTip,
	groundRetainer,
	newLocks
] as const;
