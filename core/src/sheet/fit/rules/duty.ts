/** Whether the parts suit what they will do and what they have done. */
import { loadOf, toComparisonStep, type Newtons } from '../../../foundation/units/index.ts';
import type { KindSetup, Setup } from '../../../job/document/index.ts';
import type { LifterType, SpringBuild } from '../../../parts/part/index.ts';
import { message } from '../../../foundation/message/index.ts';
import { given, passes, fails, failsIf, type Rule } from '../rule.ts';

declare module '../../../foundation/message/message.ts' {
	interface Messages {
		'fit.lifter-load': { readonly open: Newtons; readonly max: Newtons };
		'fit.lifter-type': { readonly type: LifterType; readonly lifters: Setup['lifters'] };
		'fit.lash-given': { readonly lifters: Setup['lifters'] };
		'fit.no-lash': { readonly lifters: Setup['lifters'] };
		'fit.springs-new-and-used': null;
		'fit.spring-batches-mixed': { readonly spring: string; readonly batches: readonly string[] };
		'fit.spring-batches': {
			readonly condition: 'new' | 'used';
			readonly batches: readonly string[];
		};
		'fit.spring-build': { readonly build: SpringBuild };
		'fit.single-spring': {
			readonly build: SpringBuild;
			readonly load: Newtons;
			readonly speed: number;
			readonly maxLoad: Newtons;
			readonly maxSpeed: number;
		};
		'fit.no-long-duty': null;
		'fit.long-duty': { readonly insert: SeatInsert; readonly facing: 'hard' | 'plain' };
		'fit.new-not-required': null;
		'fit.new-required': { readonly reused: readonly Reusable[] };
		'fit.new-fitted': null;
		'fit.springs-new': null;
		'fit.springs-used-not-allowed': null;
		'fit.springs-retested': null;
		'fit.springs-not-retested': null;
	}
}
type SeatInsert = NonNullable<NonNullable<Setup['head']>['seatInsert']>;
type Reusable = NonNullable<KindSetup['reused']>[number];

const lifterLoad: Rule<'lifter-load'> = {
	id: 'lifter-load',
	severity: 'watch',
	fixableBy: ['lifter', 'spring'],
	check: ({ parts, openLoad }) =>
		given(
			{
				'open-load': openLoad,
				'lifter.max-load': parts.lifter?.maxOpenLoad ?? parts.maxOpenLoad
			},
			(all) => {
				const max = loadOf(all['lifter.max-load']);
				return failsIf(
					toComparisonStep(all['open-load'] - max, 'load') > 0,
					message('fit.lifter-load', { open: all['open-load'], max })
				);
			}
		)
};

const lashForLifters: Rule<'lash-for-lifters'> = {
	id: 'lash-for-lifters',
	severity: 'watch',
	fixableBy: [],
	check: ({ parts, setup }) => {
		const { lifters } = setup;
		const type = parts.lifter?.type;
		if (type && !type.startsWith(lifters))
			return fails(message('fit.lifter-type', { type, lifters }));
		const hasLash = parts.lash !== undefined;
		return failsIf(
			(lifters === 'solid') !== hasLash,
			message(hasLash ? 'fit.lash-given' : 'fit.no-lash', { lifters })
		);
	}
};

const oneBatch: Rule<'spring-batch'> = {
	id: 'spring-batch',
	severity: 'watch',
	fixableBy: [],
	check: ({ springsOfHead }) =>
		given(
			{
				spring: springsOfHead.length > 0 ? true : undefined,
				'spring.batch': springsOfHead.every(({ batch }) => batch) ? true : undefined
			},
			() => {
				const used = new Set(springsOfHead.map((spring) => spring.used));
				const batches = new Map<string, Set<string>>();
				for (const { name, batch } of springsOfHead) {
					batches.set(name, (batches.get(name) ?? new Set()).add(batch!));
				}
				const mixed = [...batches].find(([, of]) => of.size > 1);
				if (used.size > 1) return fails(message('fit.springs-new-and-used'));
				if (mixed)
					return fails(
						message('fit.spring-batches-mixed', { spring: mixed[0], batches: [...mixed[1]] })
					);
				return passes(
					message('fit.spring-batches', {
						condition: used.has(true) ? 'used' : 'new',
						batches: [...batches].flatMap(([, of]) => [...of])
					})
				);
			}
		)
};

const singleSpring: Rule<'single-spring'> = {
	id: 'single-spring',
	severity: 'note',
	fixableBy: ['spring'],
	check: ({ parts, openLoad, setup }) =>
		given({ 'spring.build': parts.spring?.build }, (spring) => {
			const build = spring['spring.build'];
			if (/dual|triple/.test(build)) return passes(message('fit.spring-build', { build }));
			return given({ 'open-load': openLoad, 'engine-speed': setup.use.engineSpeed }, (all) => {
				const { singleSpringMaxLoad, singleSpringMaxRpm } = setup.limits.fit;
				const load = loadOf(singleSpringMaxLoad);
				return failsIf(
					toComparisonStep(all['open-load'] - load, 'load') > 0 ||
						all['engine-speed'] > singleSpringMaxRpm,
					message('fit.single-spring', {
						build,
						load: all['open-load'],
						speed: all['engine-speed'],
						maxLoad: load,
						maxSpeed: singleSpringMaxRpm
					})
				);
			});
		})
};

const softSeat: Rule<'seat-insert'> = {
	id: 'seat-insert',
	severity: 'watch',
	fixableBy: ['valve'],
	check: ({ parts, setup }) => {
		if (!setup.use.longDuty) return passes(message('fit.no-long-duty'));
		return given(
			{
				'head.seat-insert': parts.seatInsert ?? setup.head?.seatInsert,
				'valve.facing': parts.valve?.hardFaced
			},
			(all) => {
				const insert = all['head.seat-insert'];
				const facing = all['valve.facing'] ? 'hard' : 'plain';
				return failsIf(
					insert === 'soft-bronze' && facing === 'hard',
					message('fit.long-duty', { insert, facing })
				);
			}
		);
	}
};

const newWhereAsked: Rule<'new-seals-and-locks'> = {
	id: 'new-seals-and-locks',
	severity: 'watch',
	fixableBy: [],
	check: ({ parts }) =>
		given({ 'spring.requires-new': parts.spring?.requiresNew }, (all) => {
			const old = (parts.reused ?? []).filter((part) => part === 'locks' || part === 'seal');
			if (!all['spring.requires-new']) return passes(message('fit.new-not-required'));
			return old.length > 0
				? fails(message('fit.new-required', { reused: old }))
				: passes(message('fit.new-fitted'));
		})
};

const usedSprings: Rule<'used-springs'> = {
	id: 'used-springs',
	severity: 'watch',
	fixableBy: ['spring'],
	check: ({ parts, setup }) => {
		if (!parts.reused?.includes('spring')) return passes(message('fit.springs-new'));
		if (setup.policies?.usedSprings !== 'retested')
			return fails(message('fit.springs-used-not-allowed'));
		return parts.spring?.tested
			? passes(message('fit.springs-retested'))
			: fails(message('fit.springs-not-retested'));
	}
};

export const DUTY_RULES = [
	lifterLoad,
	lashForLifters,
	oneBatch,
	singleSpring,
	softSeat,
	newWhereAsked,
	usedSprings
] as const;
