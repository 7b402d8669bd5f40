/** Whether the parts suit what they will do and what they have done: F18, F19, F21 to F23, F25. */
import { loadOf, toComparisonStep } from '../../units/quantity.ts';
import { ofLoad, say } from '../../units/phrase.ts';
import { given, passes, trips, tripsIf, type Rule } from '../rule.ts';

const lifterLoad: Rule = {
	id: 'F18',
	title: 'Load on the lifter',
	severity: 'watch',
	why: 'Above what its type stands, a lifter’s face, roller or axle wears and fails.',
	mends: ['lifter', 'spring'],
	check: ({ parts, openLoad }) =>
		given(
			{
				'open load': openLoad,
				'greatest load of the lifter': parts.lifter?.greatestOpenLoad ?? parts.greatestOpenLoad
			},
			(all) => {
				const most = loadOf(all['greatest load of the lifter']);
				return tripsIf(
					toComparisonStep(all['open load'] - most, 'load') > 0,
					say`open load ${ofLoad(all['open load'])}, lifter ${ofLoad(most)}`
				);
			}
		)
};

const lashForLifters: Rule = {
	id: 'F19',
	title: 'Lash for these lifters',
	severity: 'watch',
	why: 'Solid lifters need a lash figure; hydraulic ones take up their own and want none.',
	mends: [],
	check: ({ parts, setup }) => {
		const lash = parts.lash ? 'a lash figure' : 'no lash figure';
		const type = parts.lifter?.type;
		if (type && type.startsWith(setup.lifters) === false) {
			return trips([`${type} lifter on a job with ${setup.lifters} lifters`]);
		}
		return tripsIf((setup.lifters === 'solid') !== (parts.lash !== undefined), [
			`${setup.lifters} lifters, ${lash}`
		]);
	}
};

const oneBatch: Rule = {
	id: 'F21',
	title: 'Springs of one batch and age',
	severity: 'watch',
	why: 'Springs of mixed batches, or new beside used, give mixed loads in one head.',
	mends: [],
	check: ({ springsOfHead }) =>
		given(
			{
				'a spring': springsOfHead.length > 0 ? true : undefined,
				'batch of the springs': springsOfHead.every(({ batch }) => batch) ? true : undefined
			},
			() => {
				const used = new Set(springsOfHead.map((spring) => spring.used));
				const batches = new Map<string, Set<string>>();
				for (const { name, batch } of springsOfHead) {
					batches.set(name, (batches.get(name) ?? new Set()).add(batch!));
				}
				const mixed = [...batches].find(([, of]) => of.size > 1);
				if (used.size > 1) return trips(['new and used springs in one head']);
				if (mixed) return trips([`${mixed[0]}: batches ${[...mixed[1]].join(' and ')}`]);
				return passes(
					`${used.has(true) ? 'used' : 'new'}, ${[...batches].map(([, of]) => `batch ${[...of].join()}`).join(', ')}`
				);
			}
		)
};

const singleSpring: Rule = {
	id: 'F22',
	title: 'A single spring',
	severity: 'note',
	why: 'There is no second coil to hold the valve if this one breaks.',
	mends: ['spring'],
	check: ({ parts, openLoad, setup }) =>
		given({ 'build of the spring': parts.spring?.build }, (spring) => {
			const build = spring['build of the spring'];
			if (/dual|triple/.test(build)) return passes(`${build} spring`);
			return given(
				{ 'open load': openLoad, 'highest engine speed': setup.use.engineSpeed },
				(all) => {
					const { singleLoad, singleSpeed } = setup.limits.fit;
					const load = loadOf(singleLoad);
					return tripsIf(
						toComparisonStep(all['open load'] - load, 'load') > 0 ||
							all['highest engine speed'] > singleSpeed,
						say`${build} spring at ${ofLoad(all['open load'])} and ${all['highest engine speed']} rpm; remarked on above ${ofLoad(load)} or ${singleSpeed} rpm`
					);
				}
			);
		})
};

const softSeat: Rule = {
	id: 'F23',
	title: 'Seat insert for long duty',
	severity: 'watch',
	why: 'A hard-faced valve beats a soft bronze-type seat down when it works for hours on end.',
	mends: ['valve'],
	check: ({ parts, setup }) => {
		if (!setup.use.longDuty) return passes('no long duty');
		return given(
			{
				'seat insert': setup.head?.seatInsert,
				'whether the valve is hard-faced': parts.valve?.hardFaced
			},
			(all) => {
				const facing = all['whether the valve is hard-faced'] ? 'hard-faced' : 'plain';
				return tripsIf(all['seat insert'] === 'soft bronze' && facing === 'hard-faced', [
					`${all['seat insert']} seat, ${facing} valve, long duty`
				]);
			}
		);
	}
};

const newWhereAsked: Rule = {
	id: 'F25',
	title: 'New seals and locks where asked',
	severity: 'watch',
	why: 'The spring set’s maker wants new seals and locks: worn ones leak and let go.',
	mends: [],
	check: ({ parts }) =>
		given({ 'whether the spring set asks for new': parts.spring?.asksNew }, (all) => {
			const old = (parts.reused ?? []).filter((part) => part !== 'spring');
			if (!all['whether the spring set asks for new']) return passes('the set does not ask');
			return tripsIf(old.length > 0, [
				`the set asks for new, ${old.length > 0 ? `${old.join(' and ')} reused` : 'seals and locks new'}`
			]);
		})
};

const usedSprings: Rule = {
	id: 'F27',
	title: 'Used springs',
	severity: 'watch',
	why: 'A spring that has run has lost load and life, and how much of each does not show on it.',
	mends: ['spring'],
	check: ({ parts, setup }) => {
		if (!parts.reused?.includes('spring')) return passes('new springs');
		if (setup.policies?.usedSprings !== 'retested')
			return trips(['used springs; this job fits none']);
		return tripsIf(parts.spring?.tested === undefined, [
			`used springs, ${parts.spring?.tested ? 'retested' : 'to be retested, and not tested yet'}`
		]);
	}
};

export const DUTY_RULES: readonly Rule[] = [
	lifterLoad,
	lashForLifters,
	oneBatch,
	singleSpring,
	softSeat,
	newWhereAsked,
	usedSprings
];
