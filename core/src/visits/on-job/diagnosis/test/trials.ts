/** Made-up heads worked through as the program proposes, and how its answers compare with the truth. */
import type { EVIDENCE } from '../../../diagnosis/index.ts';
import { CHECK_CODES, CHECKS, type Cause, type CheckCode } from '../../../diagnosis/index.ts';
import { FAULTS, type MadeUpHead, type Revealed } from './made-up-heads.ts';

/** What the program says of a head by what was found so far. */
export interface Answer {
	/** All causes with how much each is believed, the most first. */
	readonly beliefs: readonly { readonly cause: Cause; readonly belief: number }[];
	/** Causes that it gives as found. */
	readonly named: readonly {
		/** One, or several that it cannot tell apart. */
		readonly causes: readonly Cause[];
		readonly stations: readonly string[];
	}[];
	/** Stations whose springs it says to replace. */
	readonly condemned: readonly string[];
	/** Stations at which it says not to run or crank the engine. */
	readonly stops: readonly string[];
	readonly next: CheckCode | null;
}
export type Program = (
	head: MadeUpHead,
	revealed: readonly Revealed[],
	done: readonly CheckCode[]
) => Answer;

export interface Worked {
	readonly head: MadeUpHead;
	readonly answer: Answer;
	readonly done: readonly CheckCode[];
	readonly minutes: number;
}

/** Works a head through until the program proposes nothing more. */
export function worked(head: MadeUpHead, program: Program): Worked {
	const revealed: Revealed[] = [];
	const done: CheckCode[] = [];
	for (;;) {
		const answer = program(head, revealed, done);
		if (answer.next === null)
			return {
				head,
				answer,
				done,
				minutes: done.reduce((sum, check) => sum + CHECKS[check], 0)
			};
		revealed.push(head.check(answer.next));
		done.push(answer.next);
	}
}

/** A head of which everything has been checked, whatever the program proposes. */
export function fullyChecked(head: MadeUpHead, program: Program): Worked {
	const revealed = CHECK_CODES.map((check) => head.check(check));
	const answer = program(head, revealed, CHECK_CODES);
	return { head, answer, done: CHECK_CODES, minutes: 0 };
}

/** Causes that are right for a head: those of its faults, what makes all read alike, or elsewhere where it has none. */
export function rightCauses({ faults, conditions }: MadeUpHead): ReadonlySet<string> {
	return new Set<string>([
		...faults.flatMap(({ name }) => FAULTS[name].causes),
		...(conditions.isAnotherTester ? ['gauge'] : []),
		...(conditions.warmer > 0 ? ['temperature'] : []),
		...(faults.length === 0 ? ['elsewhere'] : [])
	]);
}

/** Beliefs this near each other fit equally well. */
const ALIKE = 0.02;
/** Faults of a spring itself. */
const SPRING_FAULTS: readonly string[] = [
	'weak-spring',
	'cracked-spring',
	'tired-spring',
	'mixed-springs',
	'coil-bind',
	'surge'
];

/** Counts of what went right and wrong in some heads. */
export function tally(all: readonly Worked[]) {
	const share = (list: readonly Worked[], is: (one: Worked) => boolean) =>
		list.length === 0 ? Number.NaN : list.filter(is).length / list.length;
	const isRightFirst = ({ head, answer }: Worked) => {
		const right = rightCauses(head);
		const [first] = answer.beliefs;
		return (
			answer.named[0]?.causes.some((cause) => right.has(cause)) ||
			answer.beliefs.some(
				({ cause, belief }) => right.has(cause) && belief >= first!.belief - ALIKE
			)
		);
	};
	const isWrongNamed = ({ head, answer }: Worked) => {
		const right = rightCauses(head);
		return answer.named.some(({ causes }) => !causes.some((cause) => right.has(cause)));
	};
	const areAllNamed = ({ head, answer }: Worked) =>
		head.faults.every(({ name }) =>
			answer.named.some(({ causes }) =>
				(FAULTS[name].causes as readonly Cause[]).some((cause) => causes.includes(cause))
			)
		);
	const needless = ({ head, answer }: Worked) => {
		const bad = new Set(
			head.faults.flatMap(({ name, stations }) => (SPRING_FAULTS.includes(name) ? stations : []))
		);
		return answer.condemned.some((station) => !bad.has(station));
	};
	const dangers = ({ head }: Worked) =>
		head.faults.filter(({ name }) => 'isDangerous' in FAULTS[name]);
	/** Whether a dangerous fault was there to be found by the checks that were made, and no stop was shown at it. */
	const isUnstopped = (one: Worked) =>
		dangers(one).some(
			({ name, stations }) =>
				isShown(one, name) && !stations.some((station) => one.answer.stops.includes(station))
		);
	const isUnseen = (one: Worked) =>
		dangers(one).some(({ stations }) => !stations.some((at) => one.answer.stops.includes(at)));
	const wordOf = (from: number, to: number) => {
		const said = all.flatMap(({ head, answer }) => {
			const right = rightCauses(head);
			return answer.beliefs
				.filter(({ belief }) => belief >= from && belief < to)
				.map(({ cause }) => right.has(cause));
		});
		return { said: said.length, right: said.filter(Boolean).length / (said.length || 1) };
	};
	const saysElsewhere = ({ answer }: Worked) =>
		answer.named.some(({ causes }) => causes.includes('elsewhere'));
	const inOrder = all.filter(({ head }) => head.faults.length === 0);
	const faulty = all.filter(({ head }) => head.faults.length > 0);
	const minutes = all.map((one) => one.minutes).toSorted((a, b) => a - b);
	return {
		heads: all.length,
		rightFirst: share(all, isRightFirst),
		wrongNamed: share(all, isWrongNamed),
		needlessSprings: share(all, needless),
		dangerous: all.filter((one) => dangers(one).length > 0).length,
		dangerousUnstopped: all.filter(isUnstopped).length,
		dangerousUnseen: all.filter(isUnseen).length,
		allNamed: [0, 1, 2].map((count) =>
			share(
				all.filter(({ head }) => head.faults.length === count),
				areAllNamed
			)
		),
		/** Of heads in order, and of heads with a fault. */
		elsewhere: [share(inOrder, saysElsewhere), share(faulty, saysElsewhere)],
		mostLikely: wordOf(0.9, 1.01),
		suspected: wordOf(0.5, 0.9),
		minutes: minutes[minutes.length >> 1]!
	};
}

/** Whether one of the checks made shows a fault. */
function isShown({ head, done }: Worked, name: keyof typeof FAULTS): boolean {
	if (name === 'pulled-locks') return done.includes('heights');
	return done.some((check) =>
		Object.entries(head.check(check).evidence).some(
			([code, { surely }]) =>
				surely > 0.5 &&
				DANGER_EVIDENCE.has(code) &&
				(FAULTS[name] as { often?: readonly string[] }).often?.includes(code)
		)
	);
}
/** Evidence that by itself says not to run the engine. */
const DANGER_EVIDENCE: ReadonlySet<string> = new Set<keyof typeof EVIDENCE>([
	'bind-short',
	'seal-short',
	'nose-short',
	'net-seat-short',
	'piston-mark',
	'crack-at-pit'
]);
