/**
 * Lift tables of three kinds, taken from lobes whose every derivative is known: whether honest ones
 * are accepted, whether the band of the limit contains the true one, and what is found of typing errors.
 */
import { camDegrees } from '../src/index.ts';
import { limitOf, someLobe } from '../src/valvetrain/lobe/synthetic.ts';
import { tableFaults, tableLobe, wrongFigures } from '../src/valvetrain/lobe/table.ts';
import type { TableLine } from '../src/valvetrain/lobe/table-line.ts';
import { normal, randomFrom } from '../src/springs/sweep/synthetic.ts';

const TABLES = Number(process.argv[2] ?? 200);
const INCH = 0.0254;
/** What each kind is read every so many degrees of the cam, scatters by, and is written to, in mm. */
const KINDS = {
	'1° in 0.001 in': { step: 1, scatter: 0, written: INCH },
	'1° in 0.01 mm, as five decimals of an inch': {
		step: 1,
		scatter: 0,
		read: 0.01,
		written: INCH / 100
	},
	'degree wheel, 5°, 0.01 mm of scatter': { step: 5, scatter: 0.01, written: 0.01 },
	'degree wheel, 5°, 0.02 mm of scatter': { step: 5, scatter: 0.02, written: 0.01 },
	'degree wheel, 2.5°, 0.02 mm of scatter': { step: 2.5, scatter: 0.02, written: 0.01 }
} as const;
const TYPO = 2 * INCH;

const middle = (list: readonly number[]) =>
	list.toSorted((a, b) => a - b)[list.length >> 1] ?? Number.NaN;
const percent = (count: number, of: number) => Number(((100 * count) / of).toFixed(1));

for (const [name, kind] of Object.entries(KINDS)) {
	const draw = randomFrom(7);
	const gauss = () => normal(draw);
	const faults: Record<string, number> = {};
	const halves: number[] = [];
	let [accepted, held, typosFound, typosElsewhere] = [0, 0, 0, 0];
	for (let n = 0; n < TABLES; n++) {
		const lobe = someLobe(draw);
		const [from, to] = [lobe.opens / camDegrees(1), lobe.closes / camDegrees(1)];
		const off = kind.step * draw();
		const table: TableLine[] = [];
		for (
			let degree = from - 2 * kind.step + off;
			degree <= to + 2 * kind.step;
			degree += kind.step
		) {
			const { lift } = lobe.at(camDegrees(degree));
			const read = lift + kind.scatter * gauss();
			const shown = 'read' in kind ? Math.round(read / kind.read) * kind.read : read;
			table.push({ degree, lift: Math.max(0, Math.round(shown / kind.written) * kind.written) });
		}
		const found: string[] = tableFaults(table);
		if (found.length === 0) {
			const read = tableLobe(table);
			if (read.isTooCoarse) found.push('too-coarse');
			else {
				accepted++;
				const [truth, estimate] = [limitOf(lobe), limitOf(read)];
				const half =
					read.uncertainty(estimate.angle) / Math.abs(read.at(estimate.angle).acceleration) / 2;
				halves.push(half);
				if (Math.abs(estimate.limit / truth.limit - 1) <= half) held++;
			}
		}
		for (const fault of found) faults[fault] = (faults[fault] ?? 0) + 1;
		const onLobe = table.flatMap(({ lift }, i) => (lift > 0.6 ? [i] : []));
		const at = onLobe[Math.floor(draw() * onLobe.length)]!;
		const [wrong] = wrongFigures(
			table.map((line, i) =>
				i === at ? { ...line, lift: line.lift + (draw() < 0.5 ? -TYPO : TYPO) } : line
			)
		);
		if (wrong?.degree === table[at]!.degree) typosFound++;
		else if (wrong) typosElsewhere++;
	}
	console.info(name, {
		'accepted, %': percent(accepted, TABLES),
		'true limit within the band, %': percent(held, accepted),
		'half-width of the band, median %': Number((100 * middle(halves)).toFixed(1)),
		refused: faults,
		'a typing error of 0.002 in found, %': percent(typosFound, TABLES),
		'another line named instead, %': percent(typosElsewhere, TABLES)
	});
}
