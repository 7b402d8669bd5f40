/** Whether the spring has room where it stands: F11 to F16, F20 and F24. */
import { lengthOf, mm, toComparisonStep, type Millimetres } from '../../units/quantity.ts';
import { joined, ofLength, say, type Phrase } from '../../units/phrase.ts';
import type { SpringCard } from '../../part/schema.ts';
import { isShimTooTight, type ShimRoom, type ShimStock } from '../../plan/shim.ts';
import { given, passes, trips, tripsIf, type Check, type FitContext, type Rule } from '../rule.ts';

type Coil = NonNullable<SpringCard['outer']>;

/** How many coils stand in each other, by the spring's build. */
const COILS: Readonly<Record<NonNullable<SpringCard['build']>, number>> = {
	single: 1,
	'single with damper': 1,
	narrowing: 1,
	conical: 1,
	dual: 2,
	'dual with damper': 2,
	triple: 3,
	'dual conical': 2
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

function roomToSeal({ parts }: FitContext, play: Millimetres): Check {
	return given(
		{
			'innermost coil of the spring': innermost(parts.spring),
			'outside of the seal': parts.seal?.outside
		},
		(all) => {
			const inside = insideOf(all['innermost coil of the spring']);
			const seal = lengthOf(all['outside of the seal']);
			return tripsIf(
				above(play, inside - seal),
				say`spring inside ${ofLength(inside)}, seal ${ofLength(seal)}: room ${ofLength(mm(inside - seal))}, wanted ${ofLength(play)}`
			);
		}
	);
}

const innerToSeal: Rule = {
	id: 'F11',
	title: 'Inner spring round the seal',
	severity: 'stop',
	why: 'An inner spring that touches the seal hangs on it and binds; springs and rocker bolts break.',
	mends: ['seal', 'spring'],
	check: (context) => roomToSeal(context, lengthOf(context.setup.limits.fit.sealPlay))
};

const springInPlace: Rule = {
	id: 'F12',
	title: 'Spring in pocket and on locator',
	severity: 'stop',
	why: 'A spring that rubs in its pocket or cup, or does not go over the boss, wears and breaks.',
	mends: ['locator', 'spring'],
	check: ({ parts }) => {
		const { locator, pocket, spring } = parts;
		return given(
			{
				'build of the spring': spring?.build,
				'outside of the spring': spring?.outer?.outside,
				'innermost coil of the spring': innermost(spring),
				...(locator && { 'how the locator centres': locator.centres }),
				...(locator?.centres === 'outside' && { 'cup of the locator': locator.cup }),
				...(locator?.centres === 'inside' && { 'spigot of the locator': locator.spigot }),
				...(locator?.centres !== 'outside' && { 'diameter of the pocket': pocket?.diameter }),
				...(locator?.centres !== 'inside' && { 'boss of the guide': pocket?.boss })
			},
			() => {
				const outside = lengthOf(spring!.outer!.outside);
				const inside = insideOf(innermost(spring)!);
				const within: [string, Millimetres] =
					locator?.centres === 'outside'
						? ['locator cup', lengthOf(locator.cup!)]
						: ['pocket', lengthOf(pocket!.diameter!)];
				const round: [string, Millimetres] =
					locator?.centres === 'inside'
						? ['locator spigot', lengthOf(locator.spigot!)]
						: ['guide boss', lengthOf(pocket!.boss!)];
				return tripsIf(
					above(outside, within[1]) || above(round[1], inside),
					say`spring ${ofLength(outside)} in ${within[0]} ${ofLength(within[1])}; inside ${ofLength(inside)} round ${round[0]} ${ofLength(round[1])}`
				);
			}
		);
	}
};

const landingsFit: Rule = {
	id: 'F13',
	title: 'Retainer landings',
	severity: 'stop',
	why: 'A spring without a landing of its own size walks on the retainer and cuts into it.',
	mends: ['retainer', 'spring'],
	check: ({ parts, setup }) =>
		given(
			{
				'coils of the spring': coilsOf(parts.spring),
				'landings of the retainer': parts.retainer?.landings
			},
			(all) => {
				const coils = all['coils of the spring'];
				const landings = all['landings of the retainer'].map(lengthOf);
				if (coils.length !== landings.length) {
					return trips([
						`${coils.length} ${coils.length === 1 ? 'spring' : 'springs'}, ${landings.length} ${landings.length === 1 ? 'landing' : 'landings'}`
					]);
				}
				const play = lengthOf(setup.limits.fit.landingPlay);
				const top = parts.spring?.topOutside;
				const pairs = coils.map((coil, i) => ({
					inside: i === 0 && top ? insideOf({ ...coil, outside: top }) : insideOf(coil),
					landing: landings[i]!
				}));
				const compared: Phrase = joined(
					pairs.map(
						({ inside, landing }) =>
							say`spring inside ${ofLength(inside)} on landing ${ofLength(landing)}`
					),
					'; '
				);
				return tripsIf(
					pairs.some(
						({ inside, landing }) => above(landing, inside) || above(inside - landing, play)
					),
					say`${compared}; at most ${ofLength(play)} loose`
				);
			}
		)
};

const hardUnderSpring: Rule = {
	id: 'F14',
	title: 'Something hard under the spring',
	severity: 'stop',
	why: 'A spring that stands on bare aluminium digs in: the height grows and the load goes.',
	mends: ['locator'],
	check: ({ parts, setup, shims }) =>
		given({ 'material of the head': setup.head?.material }, (all) => {
			if (all['material of the head'] === 'iron') return passes('iron head');
			if (parts.locator) return passes('aluminium head, locator');
			const bare = shims.length === 0 || shims.some((stack) => stack.length === 0);
			return tripsIf(bare, [`aluminium head, no locator, ${bare ? 'no shim' : 'hardened shim'}`]);
		})
};

const liftOfCard: Rule = {
	id: 'F15',
	title: 'Lift that the spring allows',
	severity: 'stop',
	why: 'Above its greatest lift a spring is overstressed: it sags, and breaks early.',
	mends: ['spring'],
	check: ({ parts, lift }) =>
		given(
			{ 'valve lift': lift, 'greatest lift of the spring': parts.spring?.greatestLift },
			(all) => {
				const most = lengthOf(all['greatest lift of the spring']);
				return tripsIf(
					above(all['valve lift'].worst, most),
					say`lift ${ofLength(all['valve lift'].worst)}, spring’s greatest ${ofLength(most)}`
				);
			}
		)
};

const damperToSeal: Rule = {
	id: 'F16',
	title: 'Flat damper round the seal',
	severity: 'watch',
	why: 'A flat damper inside a spring that runs close to the seal unwinds onto it.',
	mends: ['seal', 'spring'],
	check: (context) =>
		given({ 'build of the spring': context.parts.spring?.build }, (all) => {
			const build = all['build of the spring'];
			if (!build.endsWith('damper')) return passes(`${build} spring, no damper`);
			if (context.setup.policies?.damper === 'removed')
				return trips(['damper removed on this job: more surge, and a coil less friction'], 'note');
			return roomToSeal(context, lengthOf(context.setup.limits.fit.damperPlay));
		})
};

const rightWayUp: Rule = {
	id: 'F20',
	title: 'Which way up',
	severity: 'note',
	why: 'A spring that is not the same at both ends works only one way up.',
	mends: [],
	check: ({ parts }) =>
		given({ 'build of the spring': parts.spring?.build }, (all) => {
			const build = all['build of the spring'];
			const says = [
				/conical|narrowing/.test(build) && 'small end and its retainer on top',
				parts.spring?.progressive && 'close coils down',
				parts.spring?.markedTop && 'marked end up'
			].filter((text) => typeof text === 'string');
			return says.length > 0
				? trips([`${build} spring: ${says.join(', ')}`])
				: passes(`${build} spring, the same both ways`);
		})
};

const shimsFit: Rule = {
	id: 'F24',
	title: 'Shims where they lie',
	severity: 'stop',
	why: 'A shim that does not go over the boss or into the pocket stands crooked under the spring.',
	mends: [],
	check: ({ parts, setup, shims }) => {
		const most = Math.max(0, ...shims.map((stack) => stack.length));
		if (most === 0) return passes('no shims');
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
		if (bad) return trips(placed(bad.stocked[0]!, room));
		const atMost = setup.limits.shimsAtMost;
		if (most > atMost) return trips([`${most} shims under one spring, at most ${atMost}`], 'watch');
		const isWhole = ({ stocked }: (typeof used)[number]) =>
			stocked.some(({ inside, outside }) => inside !== undefined && outside !== undefined);
		const lacking = used.find((one) => !isWhole(one));
		return given(
			{
				'diameter of the pocket': room.pocket,
				'boss of the guide': room.boss,
				...(lacking && { [`inside and outside of the ${lacking.text} shim`]: undefined })
			},
			() =>
				passes(
					...placed(
						used[0]!.stocked.find(({ inside }) => inside !== undefined)!,
						room
					)
				)
		);
	}
};

/** "shim 0.500 to 1.400, boss 0.600, pocket 1.500": whatever of it is known. */
function placed(
	{ inside, outside }: Pick<ShimStock, 'inside' | 'outside'>,
	{ boss, pocket }: ShimRoom
): Phrase {
	const shown = (length: Millimetres | undefined) =>
		length === undefined ? '?' : ofLength(length);
	return say`shim ${shown(inside)} to ${shown(outside)}, boss ${shown(boss)}, pocket ${shown(pocket)}`;
}

export const ROOM_RULES: readonly Rule[] = [
	innerToSeal,
	springInPlace,
	landingsFit,
	hardUnderSpring,
	liftOfCard,
	damperToSeal,
	rightWayUp,
	shimsFit
];
