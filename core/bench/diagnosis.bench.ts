/** How the diagnosis does on made-up heads with known faults: three seeds, the checks done as it proposes them. */
import { madeUpHeads } from '../src/visits/on-job/diagnosis/test/made-up-heads.ts';
import { program } from '../src/visits/on-job/diagnosis/test/program.ts';
import { fullyChecked, tally, worked } from '../src/visits/on-job/diagnosis/test/trials.ts';

const HEADS = 800;
const SEEDS = [36, 136, 236];

for (const seed of SEEDS) {
	const began = performance.now();
	const heads = madeUpHeads(HEADS, seed);
	const all = heads.map((head) => worked(head, program));
	const { allNamed, ...rest } = tally(heads.map((head) => fullyChecked(head, program)));
	console.info(`seed ${seed}`, `${((performance.now() - began) / 1000).toFixed(0)} s`, tally(all));
	console.info('everything checked', { allNamed, wrongNamed: rest.wrongNamed });
}
