/**
 * Whether the program's intervals contain the truth, and whether what is beyond a stop is ever
 * called clear: made-up heads whose truth is known, read by made-up gauges, judged by the program.
 *
 *   npm run bench:truth            20,000 stations a row, 10,000 planned and built
 *   RUNS=2000 npm run bench:truth  fewer
 */
import loadHighs from 'highs';
import { evaluate, type Job } from '../src/index.ts';
import { highsSolver } from '../src/planning/solver/highs.ts';
import { head, withReadings } from './truth/head.ts';
import { plannedAndBuilt } from './truth/planned.ts';
import { Random } from './truth/random.ts';
import { ROWS, type Row } from './truth/rows.ts';

const RUNS = Number(process.env.RUNS ?? 20_000);
const ONLY = process.env.ONLY;
const base = head();
const labels = base.stations.map(({ label }) => label);

interface Told {
	readonly figure: number;
	readonly uncertainty: number;
	readonly isClear: boolean;
}

/** What the program says of a head whose stations have their true figures so far above the limit. */
function judgedOf(
	row: Row,
	random: Random,
	contexts: readonly unknown[],
	over: readonly number[]
): Told[] {
	const given = contexts.map((context, i) => row.at(random, context, labels[i]!, over[i]!));
	const parts = new Map(
		given.flatMap(({ parts: own }, i) => (own ? [[labels[i]!, own] as const] : []))
	);
	const job: Job = withReadings(
		base,
		given.flatMap(({ readings }) => readings),
		parts,
		given.flatMap(({ checks = [] }) => checks)
	);
	return evaluate(job)
		.stations.slice(0, contexts.length)
		.map(({ figures }) => {
			const { figure, uncertainty, state } = figures[row.figure]!;
			return { figure: figure!, uncertainty, isClear: state === 'clear' };
		});
}

/** Lash has no limit that stops: its truth stands here. */
const NO_LIMIT = 0.3;
const percent = (part: number, digits = 1) => `${(100 * part).toFixed(digits)} %`;

console.log(
	`${'figure'.padEnd(56)} contains  false clear  useful  wider than formula  nothing told`
);
for (const [i, row] of ROWS.entries()) {
	if (ONLY && !row.name.includes(ONLY)) continue;
	const random = new Random(7000 + i);
	let [runs, contains, falseClear, useful, wider, nothing] = [0, 0, 0, 0, 0, 0];
	while (runs < RUNS) {
		const contexts: unknown[] = [];
		for (let n = 0; n < labels.length; n++) {
			const context = row.make(random);
			if (context === null) nothing++;
			else contexts.push(context);
		}
		const at = row.limit ?? NO_LIMIT;
		const first = judgedOf(
			row,
			random,
			contexts,
			contexts.map(() => 0)
		);
		first.forEach(({ figure, uncertainty }, n) => {
			if (Math.abs(figure - at) <= uncertainty) contains++;
			const formula = row.formula?.(contexts[n]) ?? null;
			if (formula !== null && uncertainty > formula * 1.0001) wider++;
		});
		const halves = first.map(({ uncertainty }) => uncertainty);
		if (row.limit !== null) {
			const beyond = halves.map((half) => -half * random.between(0, 4));
			falseClear += judgedOf(row, random, contexts, beyond).filter(({ isClear }) => isClear).length;
			const inside = halves.map((half) => 3 * half);
			useful += judgedOf(row, random, contexts, inside).filter(({ isClear }) => isClear).length;
		}
		runs += contexts.length;
	}
	const judged = (count: number, digits?: number) =>
		row.limit === null ? 'no stop' : percent(count / runs, digits);
	console.log(
		`${row.name.padEnd(56)} ${percent(contains / runs).padStart(8)} ${judged(falseClear, 2).padStart(12)} ${judged(useful).padStart(7)} ${(row.formula ? percent(wider / runs, 2) : '–').padStart(19)} ${percent(nothing / (runs + nothing)).padStart(13)}`
	);
}

if (!ONLY || ONLY === 'plan') {
	const solver = highsSolver(await loadHighs());
	const { built, short, falseClear, clear } = await plannedAndBuilt(
		new Random(1),
		Math.ceil(RUNS / 2),
		solver
	);
	console.log(
		`\nplanned and built: ${built} stations, ${clear} clear after the as-built check; ${short} truly below a minimum, ${falseClear} of them called clear (${percent(falseClear / built, 2)} of all)`
	);
}
