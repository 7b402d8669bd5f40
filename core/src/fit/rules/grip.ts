/** How stem, locks, retainer and lash cap hold each other: F1 to F10, and F17. */
import { lengthOf, loadOf, mm, toComparisonStep, type Millimetres } from '../../units/quantity.ts';
import { joined, ofLength, ofLoad, say, type Phrase } from '../../units/phrase.ts';
import { given, passes, trips, tripsIf, type FitContext, type Rule } from '../rule.ts';

const isTitanium = (context: FitContext) => context.parts.valve?.material === 'titanium';

const stemsMatch: Rule = {
	id: 'F1',
	title: 'One stem diameter',
	severity: 'stop',
	why: 'Locks of another size do not grip, and a seal or guide of another size leaks or seizes.',
	mends: ['locks', 'seal', 'valve'],
	check: ({ parts, setup }) => {
		const stems = {
			'stem of the valve': parts.valve?.stem,
			'stem of the locks': parts.locks?.stem,
			'stem of the seal': parts.seal?.stem,
			...(parts.pocket?.guide && { 'stem of the guide': parts.pocket.guide }),
			...(parts.lashCap && { 'stem of the lash cap': parts.lashCap.stem })
		};
		return given(stems, (all) => {
			const named = Object.entries(all).map(([name, text]) => ({
				name: name.replace(/^stem of the /, ''),
				stem: lengthOf(text as string)
			}));
			const spread =
				Math.max(...named.map(({ stem }) => stem)) - Math.min(...named.map(({ stem }) => stem));
			const compared = joined(
				named.map(({ name, stem }) => say`${name} ${ofLength(stem)}`),
				', '
			);
			const match = lengthOf(setup.limits.fit.stemMatch);
			return tripsIf(
				toComparisonStep(spread - match, 'length') > 0,
				say`${compared}; alike within ${ofLength(match)}`
			);
		});
	}
};

const beadMatches: Rule = {
	id: 'F2',
	title: 'Lock bead and stem groove',
	severity: 'stop',
	why: 'A bead of another shape sits on an edge of the groove and lets go.',
	mends: ['locks', 'valve'],
	check: ({ parts }) =>
		given(
			{ 'bead of the locks': parts.locks?.bead, 'groove of the valve': parts.valve?.groove },
			(all) =>
				tripsIf(all['bead of the locks'] !== all['groove of the valve'], [
					`locks ${all['bead of the locks']}, stem ${all['groove of the valve']}`
				])
		)
};

const anglesMatch: Rule = {
	id: 'F3',
	title: 'Taper angles',
	severity: 'stop',
	why: 'Locks of another taper touch the retainer on a ring only, and pull through.',
	mends: ['locks', 'retainer'],
	check: ({ parts }) =>
		given(
			{ 'angle of the locks': parts.locks?.angle, 'angle of the retainer': parts.retainer?.angle },
			(all) =>
				tripsIf(all['angle of the locks'] !== all['angle of the retainer'], [
					`locks ${all['angle of the locks']}°, retainer ${all['angle of the retainer']}°`
				])
		)
};

const capOnWafer: Rule = {
	id: 'F4',
	title: 'Lash cap on a wafer tip',
	severity: 'stop',
	why: 'The cap rocks on the wafer let into a titanium tip and works it loose.',
	mends: ['valve'],
	check: ({ parts }) => {
		if (!parts.lashCap) return passes('no lash cap');
		return given(
			{ 'material of the valve': parts.valve?.material, 'tip of the valve': parts.valve?.tip },
			(all) =>
				tripsIf(
					all['material of the valve'] === 'titanium' && all['tip of the valve'] === 'wafer',
					[`${all['material of the valve']} valve, ${all['tip of the valve']} tip, lash cap`]
				)
		);
	}
};

const waferHeld: Rule = {
	id: 'F5',
	title: 'Locks for a wafer tip',
	severity: 'watch',
	why: 'A wafer wants locks that reach up and hold the tip; ordinary ones leave it to itself.',
	mends: ['locks'],
	check: ({ parts }) =>
		given({ 'tip of the valve': parts.valve?.tip }, (all) => {
			if (all['tip of the valve'] !== 'wafer') return passes(`${all['tip of the valve']} tip`);
			return given({ 'whether the locks hold the tip': parts.locks?.holdsTip }, (locks) =>
				tripsIf(!locks['whether the locks hold the tip'], [
					`wafer tip, locks ${locks['whether the locks hold the tip'] ? 'that hold the tip' : 'that end below it'}`
				])
			);
		})
};

const bareTitanium: Rule = {
	id: 'F6',
	title: 'Bare titanium tip',
	severity: 'stop',
	why: 'A bare titanium tip wears away at once, the locks go and the valve drops.',
	mends: ['lashCap', 'valve'],
	check: (context) =>
		given({ 'material of the valve': context.parts.valve?.material }, (all) => {
			if (!isTitanium(context)) return passes(`${all['material of the valve']} valve`);
			if (context.parts.lashCap) return passes('titanium valve, lash cap');
			return given({ 'tip of the valve': context.parts.valve?.tip }, (valve) =>
				tripsIf(valve['tip of the valve'] !== 'wafer', [
					`titanium valve, ${valve['tip of the valve']} tip, no lash cap`
				])
			);
		})
};

function tipWindow({ parts }: FitContext, seat: 'recess' | 'captive') {
	return given(
		{
			'tip length of the valve': parts.valve?.tipLength,
			'least tip length of the locks': parts.locks?.leastTip,
			'greatest tip length of the locks': parts.locks?.mostTip
		},
		(all) => {
			const tip = lengthOf(all['tip length of the valve']);
			const least = lengthOf(all['least tip length of the locks']);
			const most = lengthOf(all['greatest tip length of the locks']);
			const outside = (a: Millimetres, b: Millimetres) => toComparisonStep(mm(a - b), 'length') > 0;
			return tripsIf(
				outside(least, tip) || outside(tip, most),
				say`tip length ${ofLength(tip)}, ${seat === 'captive' ? 'captive locks' : 'locks'} ${ofLength(least)} to ${ofLength(most)}`
			);
		}
	);
}

const capNeedsRecess: Rule = {
	id: 'F7',
	title: 'Lash cap on its locks',
	severity: 'stop',
	why: 'A cap must bear on the stem: on locks without a recess it pushes them out of the retainer.',
	mends: ['locks'],
	check: (context) => {
		const { locks, lashCap } = context.parts;
		if (!lashCap) return passes('no lash cap');
		return given({ 'how the locks take a lash cap': locks?.capSeat }, (all) => {
			const seat = all['how the locks take a lash cap'];
			if (seat === 'none') return trips(['lash cap, locks without a recess']);
			return seat === 'captive' ? passes('captive locks: see F8') : tipWindow(context, 'recess');
		});
	}
};

const captiveTip: Rule = {
	id: 'F8',
	title: 'Tip length for captive locks',
	severity: 'stop',
	why: 'Too long a tip leaves the cap loose, too short a one hangs it on the locks.',
	mends: ['locks', 'valve'],
	check: (context) => {
		const { locks } = context.parts;
		return given({ 'how the locks take a lash cap': locks?.capSeat }, (all) =>
			all['how the locks take a lash cap'] === 'captive'
				? tipWindow(context, 'captive')
				: passes('locks not captive')
		);
	}
};

const roundForLoad: Rule = {
	id: 'F9',
	title: 'Groove for high loads',
	severity: 'note',
	why: 'A square groove has a sharp corner where a crack can start; a round one is kinder.',
	mends: ['valve'],
	check: ({ parts, openLoad, setup }) =>
		given({ 'groove of the valve': parts.valve?.groove }, (valve) => {
			const groove = valve['groove of the valve'];
			if (groove !== 'square') return passes(`${groove} groove`);
			return given({ 'open load': openLoad }, (all) => {
				const limit = loadOf(setup.limits.fit.highLoad);
				return tripsIf(
					toComparisonStep(all['open load'] - limit, 'load') > 0,
					say`square groove, open load ${ofLoad(all['open load'])}, high above ${ofLoad(limit)}`
				);
			});
		})
};

const oneMaker: Rule = {
	id: 'F10',
	title: 'One maker for the grip',
	severity: 'watch',
	why: 'Retainer, locks and cap of one maker are made to each other’s tolerances; mixed ones are not.',
	mends: ['locks', 'retainer', 'lashCap'],
	check: ({ parts }) =>
		given(
			{
				'maker of the retainer': parts.retainer?.maker,
				'maker of the locks': parts.locks?.maker,
				...(parts.lashCap && { 'maker of the lash cap': parts.lashCap.maker })
			},
			(all) => {
				const makers: Phrase = joined(
					Object.entries(all).map(([name, maker]) => [
						`${name.replace('maker of the ', '')} ${maker as string}`
					]),
					', '
				);
				return tripsIf(new Set(Object.values(all)).size > 1, makers);
			}
		)
};

const groundRetainer: Rule = {
	id: 'F26',
	title: 'Ground retainer',
	severity: 'watch',
	why: 'Grinding thins a part that stands under thousands of newtons: its maker’s approval is needed.',
	mends: ['retainer'],
	check: ({ parts }) => {
		const { retainer } = parts;
		const ground = lengthOf(retainer?.groundOff ?? '0 mm');
		if (ground === 0) return passes('not ground');
		const left = retainer!.height
			? say`${ofLength(mm(lengthOf(retainer!.height) - ground))} of ${ofLength(lengthOf(retainer!.height))} left`
			: 'what is left is not known';
		return trips(say`${ofLength(ground)} off its underside, ${left}: maker’s approval needed`);
	}
};

const newLocks: Rule = {
	id: 'F28',
	title: 'Used locks',
	severity: 'watch',
	why: 'Locks that have run have taken the shape of another groove and taper, and may let go.',
	mends: ['locks'],
	check: ({ parts, setup }) => {
		if (!parts.reused?.includes('locks')) return passes('new locks');
		return setup.policies?.locks === 'inspected and reused'
			? passes('used locks, inspected: this job’s choice')
			: trips(['used locks; this job fits new ones only']);
	}
};

const railTip: Rule = {
	id: 'F17',
	title: 'Tip for a rail rocker',
	severity: 'stop',
	why: 'A rail rocker is guided by the tip: with a short one, or with a cap, it slips off or strikes the retainer.',
	mends: ['rocker', 'locks'],
	check: ({ parts, tipHeight, setup }) => {
		if (parts.lifter?.type.endsWith('bucket')) return passes('bucket follower, no rocker');
		return given({ 'nose of the rocker': parts.rocker?.nose }, (rocker) => {
			if (rocker['nose of the rocker'] !== 'rail') {
				return passes(`${rocker['nose of the rocker']} rocker`);
			}
			if (parts.lashCap) return trips(['rail rocker, lash cap']);
			return given({ 'tip height measured': tipHeight }, (all) => {
				const least = lengthOf(setup.limits.fit.railTip);
				return tripsIf(
					toComparisonStep(all['tip height measured'] - least, 'length') < 0,
					say`rail rocker, tip height ${ofLength(all['tip height measured'])}, least ${ofLength(least)}`
				);
			});
		});
	}
};

export const GRIP_RULES: readonly Rule[] = [
	stemsMatch,
	beadMatches,
	anglesMatch,
	capOnWafer,
	waferHeld,
	bareTitanium,
	capNeedsRecess,
	captiveTip,
	roundForLoad,
	oneMaker,
	railTip,
	groundRetainer,
	newLocks
];
