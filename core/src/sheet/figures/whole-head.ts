/** What is said of a head as a whole: a part forgotten on all of it, one head taller than the other. */
import {
	forgottenPart,
	installedHeight,
	KINDS,
	type Forgettable,
	type Kind,
	type MedianBand
} from '../../foundation/station/index.ts';
import { message } from '../../foundation/message/index.ts';
import { lengthOf, mm, toComparisonStep, type Millimetres } from '../../foundation/units/index.ts';
import {
	makesStale,
	meanOfRepeats,
	partsOf,
	worksDone,
	type CurrentReadings,
	type Decision,
	type GaugeRepeats,
	type Job,
	type KindSetup,
	type Reading,
	type RepeatMean,
	type StationEntry,
	type Work
} from '../../job/document/index.ts';
import { bareHeightOf } from './adjust-to-build.ts';
import type { JobLimits } from './job-limits.ts';
import type { KindSheet } from './kind.ts';
import type { Remark } from './remark.ts';

declare module '../../foundation/message/message.ts' {
	interface Messages {
		'head.read-tall': {
			readonly head: string;
			readonly valves: number;
			readonly by: Millimetres;
			readonly part: Forgettable;
		};
		'head.read-short': {
			readonly head: string;
			readonly valves: number;
			readonly by: Millimetres;
			readonly part: Forgettable;
		};
		'head.taller': {
			readonly head: string;
			readonly other: string;
			readonly intake: Millimetres;
			readonly exhaust: Millimetres;
		};
		'pocket.stale': { readonly work: Work };
	}
}

/** What a decision is about that says no part was forgotten on a head. */
export const forgottenSubject = (head: string, part: Forgettable) =>
	`heads.${head}.forgotten.${part}`;

/** What a decision is about that says that pockets were measured again after a work. */
export const pocketSubject = (work: string) => `setup.pocket.after.${work}`;

const isAnswered = (decisions: readonly Decision[], subject: string, answer = false) =>
	decisions.findLast((decision) => decision.subject === subject)?.to === answer;

/**
 * The bare height of every station that was read, by label.
 *
 * @returns mean of the repeats of each in mm, with its uncertainty; stations without a reading are left out
 */
export const heightsRead = (
	job: Job,
	current: ReadonlyMap<string, CurrentReadings>,
	repeats: GaugeRepeats
): ReadonlyMap<string, RepeatMean> =>
	new Map(
		job.stations.flatMap(({ label }) => {
			const read = meanOfRepeats(current.get(label)!['installed-height'], bareHeightOf, repeats);
			return read ? [[label, read] as const] : [];
		})
	);

/**
 * Heads on which every valve is off by the thickness of one part, until somebody
 * says that it was in place: head id → what to ask.
 */
export function forgottenOn(
	job: Job,
	heights: ReadonlyMap<string, RepeatMean>,
	kindOf: (entry: StationEntry) => KindSheet,
	{ limits }: JobLimits,
	partsAt: (entry: StationEntry) => KindSetup = (entry) => partsOf(job.setup, entry)
): ReadonlyMap<string, Remark> {
	const asked = new Map<string, Remark>();
	for (const head of job.heads) {
		const stations = job.stations.filter((entry) => entry.head === head.id);
		const offs = stations.flatMap((entry) => {
			const read = heights.get(entry.label);
			if (!read) return [];
			const parts = partsAt(entry);
			const aim = kindOf(entry).target.height ?? cardHeightOf(parts);
			if (aim === null) return [];
			const height = builtHeight(read.value, entry, parts);
			return [{ off: mm(height - aim), wouldBe: offIfWrong(read.newest, entry, parts) }];
		});
		const found = forgottenPart(offs, limits.outlierMin);
		if (!found) continue;
		const subject = forgottenSubject(head.id, found.part);
		if (isAnswered(job.decisions, subject)) continue;
		asked.set(head.id, {
			state: 'watch',
			about: 'forgotten-part',
			asks: subject,
			text: message(found.by > 0 ? 'head.read-tall' : 'head.read-short', {
				head: head.name,
				valves: offs.length,
				by: mm(Math.abs(found.by)),
				part: found.part
			})
		});
	}
	return asked;
}

const cardHeightOf = ({ spring }: KindSetup): Millimetres | null =>
	spring ? lengthOf(spring.seat.height) : null;

const total = (lengths: readonly string[]) => lengths.reduce((sum, one) => sum + lengthOf(one), 0);

const builtHeight = (bare: Millimetres, entry: StationEntry, parts: KindSetup) =>
	installedHeight(bare, {
		locator: lengthOf(parts.locator?.thickness ?? '0 mm'),
		shims: mm(total(entry.shims)),
		lockOffset: lengthOf(entry.lockOffset ?? parts.locks?.offset ?? '0 mm'),
		retainerLanding: lengthOf(parts.retainer?.landingHeight ?? '0 mm')
	});

/** What the height would be off by, had the reading been wrong about each part. */
function offIfWrong({ inPlace }: Reading, entry: StationEntry, parts: KindSetup) {
	const locator = lengthOf(inPlace.locator) || -lengthOf(parts.locator?.thickness ?? '0 mm');
	const shims = total(inPlace.shims) || -total(entry.shims);
	const locks =
		-lengthOf(inPlace.lockOffset) || lengthOf(entry.lockOffset ?? parts.locks?.offset ?? '0 mm');
	const orNull = (length: number) => (length === 0 ? null : mm(length));
	return { locator: orNull(locator), shims: orNull(shims), locks: orNull(locks) };
}

/** Pockets cut since they were measured, until somebody says that they were entered again: fit goes by them. */
export function pocketsCut({ headWork, decisions }: Job): Remark[] {
	return worksDone(headWork)
		.filter(({ work }) => makesStale(work, 'fit'))
		.filter(({ id }) => !isAnswered(decisions, pocketSubject(id), true))
		.map(({ id, work }) => ({
			state: 'not-measured',
			about: 'pocket',
			asks: pocketSubject(id),
			text: message('pocket.stale', { work })
		}));
}

/** One head of an engine that is taller than the other, intakes and exhausts alike. */
export function headsApart(
	job: Job,
	medianBands: ReadonlyMap<string, Readonly<Record<Kind, MedianBand | null>>>,
	{ limits }: JobLimits
): Remark[] {
	const [first, second] = job.heads.map(({ id }) => medianBands.get(id));
	if (!first || !second) return [];
	const apart = KINDS.map((kind) => {
		const [a, b] = [first[kind], second[kind]];
		return a && b ? b.median - a.median : null;
	});
	const [intake, exhaust] = apart;
	if (intake == null || exhaust == null || intake * exhaust <= 0) return [];
	const min = Math.min(Math.abs(intake), Math.abs(exhaust));
	if (toComparisonStep(min - limits.outlierMin, 'length') <= 0) return [];
	const [taller, other] = intake > 0 ? [job.heads[1], job.heads[0]] : [job.heads[0], job.heads[1]];
	return [
		{
			state: 'watch',
			text: message('head.taller', {
				head: taller!.name,
				other: other!.name,
				intake: mm(Math.abs(intake)),
				exhaust: mm(Math.abs(exhaust))
			})
		}
	];
}
