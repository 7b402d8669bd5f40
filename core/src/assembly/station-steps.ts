/** The steps at one station, from its own parts and build: on the bench, and in the car under the air. */
import { partsOf, type Job, type KindSetup, type StationEntry } from '../job/document/index.ts';
import type { Sheet } from '../sheet/evaluation/index.ts';
import type { StationSheet } from '../sheet/figures/index.ts';
import { message } from '../foundation/message/index.ts';
import { waysUp } from '../springs/spring/index.ts';
import { lengthOf, type Joules } from '../foundation/units/index.ts';
import { inOrder, type Draft, type Step } from './step.ts';

/** In the car a valve stays where it is: it is stripped, looked at and measured under the air that holds it. */
const stripSteps = (parts: KindSetup, energy: Joules | null): Draft[] => [
	{
		step: 'strip-compress',
		text: message('step.strip-compress'),
		caution: message('caution.compress'),
		energy
	},
	{
		step: 'strip-locks',
		text: message('step.strip-locks', { cap: parts.lashCap !== undefined }),
		caution: message('caution.strip-locks'),
		counts: true
	},
	{ step: 'strip-spring', text: message('step.strip-spring') },
	{ step: 'strip-look', text: message('step.strip-look') },
	{ step: 'measure', text: message('step.measure'), caution: message('caution.measure') },
	{ step: 'choose', text: message('step.choose') }
];

/** A station that was built before stripping was asked for is not asked for it now. */
const isAskedToStrip = ({ assembly }: Job, place: string) =>
	assembly.some((entry) => entry.place === place && entry.step.startsWith('strip-')) ||
	!assembly.some((entry) => entry.place === place && entry.done);

/** The steps of one station. */
export function stationSteps(
	job: Job,
	sheet: Sheet,
	entry: StationEntry,
	needs: readonly string[]
): Step[] {
	const parts = partsOf(job.setup, entry);
	const station = sheet.stations.find(({ label }) => label === entry.label)!;
	const seal = sealSteps(parts);
	const isInCar = job.setup.workLocation === 'vehicle';
	const valve = isInCar ? [SLEEVE] : valveSteps(entry, parts);
	const sealFirst = parts.seal?.installOrder === 'seal-first';
	return inOrder(
		entry.label,
		[
			...(isInCar && isAskedToStrip(job, entry.label) ? stripSteps(parts, station.energy) : []),
			locatorStep(job, station, parts),
			...(sealFirst && !isInCar ? [...seal, ...valve] : [...valve, ...seal]),
			springStep(entry, parts),
			{
				step: 'retainer',
				text: message('step.retainer', {
					part: parts.retainer?.name ?? null,
					up: parts.retainer?.faceUp ?? null
				})
			},
			{
				step: 'compress',
				text: message('step.compress'),
				caution: message('caution.compress'),
				energy: station.energy
			},
			locksStep(parts),
			{ step: 'release', text: message('step.release') },
			{ step: 'tap', text: message('step.tap'), caution: message('caution.tap') },
			...(isAskedForCap(job, entry.label) ? capSteps(parts) : []),
			{ step: 'look', text: message('step.look') }
		],
		needs
	);
}

const locatorStep = (job: Job, { stack }: StationSheet, parts: KindSetup): Draft => ({
	step: 'locator',
	text: message('step.locator', {
		shims: stack.shims,
		part: parts.locator?.name ?? null,
		up: parts.locator?.faceUp ?? null,
		shimUp: stack.shims.length > 0 ? (job.setup.shimFaceUp ?? null) : null
	})
});

const SLEEVE: Draft = { step: 'sleeve', text: message('step.sleeve') };

const valveSteps = ({ label }: StationEntry, { valve }: KindSetup): Draft[] => [
	{ step: 'stem', text: message('step.stem', { station: label, part: valve?.name ?? null }) },
	SLEEVE,
	{ step: 'valve', text: message('step.valve') }
];

const sealSteps = ({ seal }: KindSetup): Draft[] => [
	{ step: 'seal', text: message('step.seal', { bottomsOn: seal?.bottomsOn ?? null }) },
	sealHeightStep(seal?.height)
];

function sealHeightStep(height: string | undefined): Draft {
	const expected = height === undefined ? null : lengthOf(height);
	return {
		step: 'seal-height',
		text: message('step.seal-height', { expected }),
		expects: expected
	};
}

const isCaptive = ({ locks }: KindSetup) => locks?.capSeat === 'captive';

const locksStep = (parts: KindSetup): Draft => ({
	step: 'locks',
	text: message('step.locks', {
		part: parts.locks?.name ?? null,
		cap: isCaptive(parts) ? (parts.lashCap?.name ?? null) : null
	})
});

/** A cap that the locks do not hold goes on last. */
const capSteps = (parts: KindSetup): Draft[] =>
	parts.lashCap && !isCaptive(parts)
		? [{ step: 'lash-cap', text: message('step.lash-cap', { part: parts.lashCap.name }) }]
		: [];

/** A station that was finished before its cap was asked for is not asked for it now. */
const isAskedForCap = ({ assembly }: Job, place: string) =>
	!assembly.some((entry) => entry.place === place && entry.step === 'look' && entry.done) ||
	assembly.some((entry) => entry.place === place && entry.step === 'lash-cap');

const springStep = ({ spring: tag }: StationEntry, { spring }: KindSetup): Draft => ({
	step: 'spring',
	text: message('step.spring', { tag: tag ?? null, ways: waysUp(spring) })
});
