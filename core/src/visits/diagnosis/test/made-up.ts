/**
 * Made-up cases whose truth is known. What each cause brings is told here in its own words and
 * with chances of its own, drawn anew for every case: none of them is the rules'.
 */
import { dice, type Dice } from '../../comparison/test/made-up.ts';
import { CAUSES, type Cause, type Complaint } from '../causes.ts';
import { EVIDENCE, evidenceOf, type CheckCode, type EvidenceCode } from '../evidence.ts';

interface Story {
	readonly complaints: readonly Complaint[];
	/** Nearly every time, and now and then. */
	readonly plainly: readonly EvidenceCode[];
	readonly maybe: readonly EvidenceCode[];
}

const STORIES: Readonly<Record<Exclude<Cause, 'unlisted'>, Story>> = {
	'spring-lost-load': {
		complaints: ['stops-pulling', 'misfire'],
		plainly: ['bench-low', 'on-head-low', 'at-one-speed'],
		maybe: ['control-short']
	},
	'height-grew': {
		complaints: ['stops-pulling', 'lash-moves'],
		plainly: ['heights-grown', 'lash-closed'],
		maybe: ['on-head-low', 'at-one-speed']
	},
	float: {
		complaints: ['stops-pulling', 'lash-moves', 'broken-rocker'],
		plainly: ['control-short', 'at-one-speed'],
		maybe: ['hammered-tips', 'bounce-ring', 'lash-spread', 'over-speed-event']
	},
	surge: {
		complaints: ['stops-pulling', 'broken-spring'],
		plainly: ['low-order', 'at-one-speed'],
		maybe: ['damper-worn', 'coils-polished', 'broken-near-end']
	},
	'coil-bind': {
		complaints: ['broken-spring', 'broken-rocker', 'broken-pushrod'],
		plainly: ['bind-short', 'coil-faces-shine'],
		maybe: ['pushrod-bent']
	},
	'retainer-on-seal': {
		complaints: ['oil-at-guide', 'noise-at-one-valve'],
		plainly: ['seal-short'],
		maybe: ['seal-torn']
	},
	'port-pressure': {
		complaints: ['stops-pulling'],
		plainly: ['net-seat-short', 'only-under-boost'],
		maybe: ['at-one-speed']
	},
	'lash-opened': {
		complaints: ['noise-at-one-valve', 'lash-moves'],
		plainly: ['one-lash-opened'],
		maybe: ['axle-play', 'hammered-tips']
	},
	'rocker-nose': {
		complaints: ['broken-rocker'],
		plainly: ['nose-short', 'marks-under-nose'],
		maybe: []
	},
	'rocker-pushrod-side': { complaints: ['broken-rocker'], plainly: ['pushrod-rubs'], maybe: [] },
	'rocker-burnt': {
		complaints: ['noise-at-one-valve', 'broken-rocker'],
		plainly: ['blue-rocker'],
		maybe: ['axle-play']
	},
	'rocker-overloaded': {
		complaints: ['broken-rocker'],
		plainly: ['opening-force-high'],
		maybe: []
	},
	'lobe-worn': {
		complaints: ['misfire', 'noise-at-one-valve', 'stops-pulling'],
		plainly: ['lift-fell', 'lobe-scored'],
		maybe: ['also-far-below']
	},
	lifter: {
		complaints: ['noise-at-one-valve', 'misfire'],
		plainly: ['clears-after-bleed-down', 'lift-fell'],
		maybe: ['one-lash-opened', 'comes-and-goes']
	},
	pushrod: {
		complaints: ['broken-pushrod', 'noise-at-one-valve'],
		plainly: ['pushrod-bent', 'one-lash-opened'],
		maybe: ['wipe-off-centre']
	},
	locks: {
		complaints: ['dropped-valve', 'lash-moves'],
		plainly: ['locks-marked', 'retainer-not-level'],
		maybe: ['lash-spread']
	},
	'valve-sealing': {
		complaints: ['lost-vacuum', 'misfire', 'oil-at-guide'],
		plainly: ['leaks-down'],
		maybe: ['stem-clearance', 'also-far-below']
	},
	'valve-met-piston': {
		complaints: ['broken-pushrod', 'noise-at-one-valve'],
		plainly: ['piston-mark', 'leaks-down'],
		maybe: ['piston-short', 'over-speed-event']
	},
	'corroded-spring': {
		complaints: ['broken-spring', 'dropped-valve'],
		plainly: ['crack-at-pit'],
		maybe: []
	},
	fatigue: {
		complaints: ['broken-spring', 'dropped-valve'],
		plainly: ['service-over'],
		maybe: ['broken-near-end']
	},
	'mixed-springs': {
		complaints: ['stops-pulling', 'broken-spring'],
		plainly: ['other-springs', 'bench-low'],
		maybe: ['on-head-low']
	},
	gauge: {
		complaints: ['stops-pulling', 'misfire'],
		plainly: ['reference-off', 'bench-low'],
		maybe: ['on-head-low']
	},
	elsewhere: {
		complaints: ['misfire', 'stops-pulling'],
		plainly: [],
		maybe: ['comes-and-goes', 'also-far-below']
	}
};

export interface MadeUpCase {
	readonly truth: Cause;
	readonly complaint: Complaint;
	/** What a check finds: of all that it looks at, whether it is there. */
	readonly look: (check: CheckCode) => Partial<Record<EvidenceCode, number>>;
}

/** A case of this truth. */
export function madeUpCase(truth: Exclude<Cause, 'unlisted'>, chance: Dice): MadeUpCase {
	const { complaints, plainly, maybe } = STORIES[truth];
	const between = (from: number, to: number) => from + (to - from) * chance.next();
	const [strong, weak] = [between(0.86, 0.99), between(0.3, 0.7)];
	// A figure beyond its uncertainty is seldom over a line by chance; marks are seen that mean nothing, and much is said.
	const stray = {
		figure: between(0.001, 0.006),
		mark: between(0.005, 0.03),
		said: between(0.02, 0.1)
	};
	const there = Object.fromEntries(
		(Object.keys(EVIDENCE) as EvidenceCode[]).map((code) => {
			const often = plainly.includes(code)
				? strong
				: maybe.includes(code)
					? weak
					: stray[EVIDENCE[code].type];
			return [code, chance.next() < often ? 1 : 0];
		})
	);
	return {
		truth,
		complaint: chance.pick(complaints),
		look: (check) => Object.fromEntries(evidenceOf(check).map((code) => [code, there[code]!]))
	};
}

/** So many cases of every cause, and of trains that are in order. */
export function madeUpCases(each: number, inOrder: number, seed: number): MadeUpCase[] {
	const chance = dice(seed);
	return CAUSES.flatMap((truth) =>
		truth === 'unlisted'
			? []
			: Array.from({ length: truth === 'elsewhere' ? inOrder : each }, () =>
					madeUpCase(truth, chance)
				)
	);
}
