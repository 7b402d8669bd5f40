/** Whether the spring has room where it stands. */
import {
	lengthOf,
	mm,
	toComparisonStep,
	type Millimetres
} from '../../../foundation/units/index.ts';
import { message, type Message } from '../../../foundation/message/index.ts';
import type { SpringBuild, SpringCard } from '../../../parts/part/index.ts';
import { waysUp, type WayUp } from '../../../springs/spring/index.ts';
import { isShimTooTight, type ShimRoom, type ShimStock } from '../../../parts/shim/index.ts';
import {
	given,
	passes,
	fails,
	failsIf,
	type RuleCheck,
	type FitContext,
	type Rule
} from '../rule.ts';

declare module '../../../foundation/message/message.ts' {
	interface Messages {
		'fit.room-to-seal': {
			readonly inside: Millimetres;
			readonly seal: Millimetres;
			readonly room: Millimetres;
			readonly min: Millimetres;
		};
		'fit.spring-in-pocket': {
			readonly outside: Millimetres;
			readonly within: SpringWithin;
			readonly withinIs: Millimetres;
			readonly inside: Millimetres;
			readonly round: SpringRound;
			readonly roundIs: Millimetres;
		};
		'fit.landing-count': { readonly springs: number; readonly landings: number };
		'fit.landings': {
			readonly pairs: readonly { readonly inside: Millimetres; readonly landing: Millimetres }[];
			readonly max: Millimetres;
		};
		'fit.iron-head': null;
		'fit.aluminium-with-locator': null;
		'fit.aluminium-bare': null;
		'fit.aluminium-with-shim': null;
		'fit.spring-lift': { readonly lift: Millimetres; readonly max: Millimetres };
		'fit.no-damper': { readonly build: SpringBuild };
		'fit.damper-removed': null;
		'fit.way-up': { readonly build: SpringBuild; readonly ways: readonly WayUp[] };
		'fit.either-way-up': { readonly build: SpringBuild };
		'fit.no-shims': null;
		'fit.too-many-shims': { readonly shims: number; readonly max: number };
		'fit.shim-placed': {
			readonly inside: Millimetres | null;
			readonly outside: Millimetres | null;
			readonly boss: Millimetres | null;
			readonly pocket: Millimetres | null;
		};
	}
}
type SpringWithin = 'locator-cup' | 'pocket';
type SpringRound = 'locator-spigot' | 'guide-boss';

type Coil = NonNullable<SpringCard['outer']>;

/** How many coils stand in each other, by the spring's build. */
const COILS: Readonly<Record<NonNullable<SpringCard['build']>, number>> = {
	single: 1,
	'single-with-damper': 1,
	beehive: 1,
	conical: 1,
	dual: 2,
	'dual-with-damper': 2,
	triple: 3,
	'dual-conical': 2
};

const insideOf = (coil: Coil): Millimetres => mm(lengthOf(coil.outside) - 2 * lengthOf(coil.wire));

/** The coils of a spring from the outermost in; undefined while one that its build has is not given. */
function coilsOf(spring: SpringCard | undefined): readonly Coil[] | undefined {
	if (!spring?.build) return undefined;
	const coils = [spring.outer, spring.inner, spring.third].slice(0, COILS[spring.build]);
	return coils.every((coil) => coil !== undefined) ? (coils as Coil[]) : undefined;
}

const innermost = (spring: SpringCard | undefined): Coil | undefined => coilsOf(spring)?.at(-1);

const above = (figure: number, limit: number) => toComparisonStep(figure - limit, 'length') > 0;

function roomToSeal({ parts }: FitContext, play: Millimetres): RuleCheck {
	return given(
		{
			'spring.innermost-coil': innermost(parts.spring),
			'seal.outside': parts.seal?.outside
		},
		(all) => {
			const inside = insideOf(all['spring.innermost-coil']);
			const seal = lengthOf(all['seal.outside']);
			return failsIf(
				above(play, inside - seal),
				message('fit.room-to-seal', { inside, seal, room: mm(inside - seal), min: play })
			);
		}
	);
}

const innerToSeal: Rule<'inner-spring-to-seal'> = {
	id: 'inner-spring-to-seal',
	severity: 'stop',
	fixableBy: ['seal', 'spring'],
	check: (context) => roomToSeal(context, lengthOf(context.setup.limits.fit.sealClearance))
};

const springInPlace: Rule<'pocket-and-locator'> = {
	id: 'pocket-and-locator',
	severity: 'stop',
	fixableBy: ['locator', 'spring'],
	check: ({ parts }) => {
		const { locator, pocket, spring } = parts;
		return given(
			{
				'spring.build': spring?.build,
				'spring.outside': spring?.outer?.outside,
				'spring.innermost-coil': innermost(spring),
				...(locator && { 'locator.locates-on': locator.locatesOn }),
				...(locator?.locatesOn === 'outside' && { 'locator.cup': locator.cup }),
				...(locator?.locatesOn === 'inside' && { 'locator.spigot': locator.spigot }),
				...(locator?.locatesOn !== 'outside' && { 'pocket.diameter': pocket?.diameter }),
				...(locator?.locatesOn !== 'inside' && { 'guide.boss': pocket?.boss })
			},
			() => {
				const outside = lengthOf(spring!.outer!.outside);
				const inside = insideOf(innermost(spring)!);
				const within: [SpringWithin, Millimetres] =
					locator?.locatesOn === 'outside'
						? ['locator-cup', lengthOf(locator.cup!)]
						: ['pocket', lengthOf(pocket!.diameter!)];
				const round: [SpringRound, Millimetres] =
					locator?.locatesOn === 'inside'
						? ['locator-spigot', lengthOf(locator.spigot!)]
						: ['guide-boss', lengthOf(pocket!.boss!)];
				return failsIf(
					above(outside, within[1]) || above(round[1], inside),
					message('fit.spring-in-pocket', {
						outside,
						within: within[0],
						withinIs: within[1],
						inside,
						round: round[0],
						roundIs: round[1]
					})
				);
			}
		);
	}
};

const landingsFit: Rule<'retainer-landings'> = {
	id: 'retainer-landings',
	severity: 'stop',
	fixableBy: ['retainer', 'spring'],
	check: ({ parts, setup }) =>
		given(
			{
				'spring.coils': coilsOf(parts.spring),
				'retainer.landings': parts.retainer?.landings
			},
			(all) => {
				const coils = all['spring.coils'];
				const landings = all['retainer.landings'].map(lengthOf);
				if (coils.length !== landings.length) {
					return fails(
						message('fit.landing-count', { springs: coils.length, landings: landings.length })
					);
				}
				const play = lengthOf(setup.limits.fit.landingClearance);
				const top = parts.spring?.topOutside;
				const pairs = coils.map((coil, i) => ({
					inside: i === 0 && top ? insideOf({ ...coil, outside: top }) : insideOf(coil),
					landing: landings[i]!
				}));
				return failsIf(
					pairs.some(
						({ inside, landing }) => above(landing, inside) || above(inside - landing, play)
					),
					message('fit.landings', { pairs, max: play })
				);
			}
		)
};

const hardUnderSpring: Rule<'spring-base'> = {
	id: 'spring-base',
	severity: 'stop',
	fixableBy: ['locator'],
	check: ({ parts, setup, shims }) =>
		given({ 'head.material': setup.head?.material }, (all) => {
			if (all['head.material'] === 'iron') return passes(message('fit.iron-head'));
			if (parts.locator) return passes(message('fit.aluminium-with-locator'));
			const bare = shims.length === 0 || shims.some((stack) => stack.length === 0);
			return bare
				? fails(message('fit.aluminium-bare'))
				: passes(message('fit.aluminium-with-shim'));
		})
};

const liftOfCard: Rule<'spring-max-lift'> = {
	id: 'spring-max-lift',
	severity: 'stop',
	fixableBy: ['spring'],
	check: ({ parts, lift }) =>
		given({ lift, 'spring.max-lift': parts.spring?.maxLift }, (all) => {
			const max = lengthOf(all['spring.max-lift']);
			return failsIf(
				above(all.lift.worst, max),
				message('fit.spring-lift', { lift: all.lift.worst, max })
			);
		})
};

const damperToSeal: Rule<'damper-to-seal'> = {
	id: 'damper-to-seal',
	severity: 'watch',
	fixableBy: ['seal', 'spring'],
	check: (context) =>
		given({ 'spring.build': context.parts.spring?.build }, (all) => {
			const build = all['spring.build'];
			if (!build.endsWith('damper')) return passes(message('fit.no-damper', { build }));
			if (context.setup.policies?.damper === 'removed')
				return fails(message('fit.damper-removed'), 'note');
			return roomToSeal(context, lengthOf(context.setup.limits.fit.damperClearance));
		})
};

const rightWayUp: Rule<'spring-way-up'> = {
	id: 'spring-way-up',
	severity: 'note',
	fixableBy: [],
	check: ({ parts }) =>
		given({ 'spring.build': parts.spring?.build }, (all) => {
			const build = all['spring.build'];
			const ways = waysUp(parts.spring);
			return ways.length > 0
				? fails(message('fit.way-up', { build, ways }))
				: passes(message('fit.either-way-up', { build }));
		})
};

const shimsFit: Rule<'shim-fit'> = {
	id: 'shim-fit',
	severity: 'stop',
	fixableBy: [],
	check: ({ parts, setup, shims }) => {
		const max = Math.max(0, ...shims.map((stack) => stack.length));
		if (max === 0) return passes(message('fit.no-shims'));
		const room = {
			boss: parts.pocket?.boss ? lengthOf(parts.pocket.boss) : undefined,
			pocket: parts.pocket?.diameter ? lengthOf(parts.pocket.diameter) : undefined
		};
		const used = [...new Set(shims.flat())].map((text) => ({
			text,
			stocked: setup.shimStock
				.filter(({ thickness }) => lengthOf(thickness) === lengthOf(text))
				.map(({ inside, outside }) => ({
					...(inside && { inside: lengthOf(inside) }),
					...(outside && { outside: lengthOf(outside) })
				}))
		}));
		// A size of which some would lie right is not known to lie wrong.
		const bad = used.find(
			({ stocked }) => stocked.length > 0 && stocked.every((shim) => isShimTooTight(shim, room))
		);
		if (bad) return fails(placed(bad.stocked[0]!, room));
		const atMost = setup.limits.maxShims;
		if (max > atMost)
			return fails(message('fit.too-many-shims', { shims: max, max: atMost }), 'watch');
		const isWhole = ({ stocked }: (typeof used)[number]) =>
			stocked.some(({ inside, outside }) => inside !== undefined && outside !== undefined);
		const lacking = used.find((one) => !isWhole(one));
		return given(
			{
				'pocket.diameter': room.pocket,
				'guide.boss': room.boss,
				...(lacking && { 'shim.diameters': undefined })
			},
			() =>
				passes(
					placed(
						used[0]!.stocked.find(({ inside }) => inside !== undefined)!,
						room
					)
				)
		);
	}
};

/** Whatever is known of a shim and of where it lies. */
const placed = (
	{ inside, outside }: Pick<ShimStock, 'inside' | 'outside'>,
	{ boss, pocket }: ShimRoom
): Message =>
	message('fit.shim-placed', {
		inside: inside ?? null,
		outside: outside ?? null,
		boss: boss ?? null,
		pocket: pocket ?? null
	});

export const ROOM_RULES = [
	innerToSeal,
	springInPlace,
	landingsFit,
	hardUnderSpring,
	liftOfCard,
	damperToSeal,
	rightWayUp,
	shimsFit
] as const;
