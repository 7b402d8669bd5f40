/** How the bind of sweeps on a rough tester is told: the figures the second generator is held to. */
import { findBind, type BindFound } from '../src/springs/sweep/bind.ts';
import { solidOf } from '../src/springs/sweep/figures.ts';
import {
	BUILD_OF_FAMILY,
	FAMILIES,
	roughSpring,
	roughSweep,
	type Family
} from '../src/springs/sweep/rough.ts';
import { travelled, USUAL_NOISE } from '../src/springs/sweep/sweep.ts';
import { randomFrom } from '../src/springs/sweep/synthetic.ts';
import type { SpringBuild } from '../src/parts/part/types.ts';

const WRONG: readonly (SpringBuild | undefined)[] = [undefined, 'single', 'dual', 'beehive'];

/** The build as it is told: right in half of all cases, missing or another's in the rest. */
const statedBuild = (family: Family, random: () => number): SpringBuild | undefined =>
	random() < 0.5 ? BUILD_OF_FAMILY[family] : WRONG[Math.floor(random() * WRONG.length)];

export function roughTable(runs: number, only?: Family): void {
	console.log(
		'\nrough tester       step frame   called before  missed  cannot  short > 0.1  of these covered  |error| 95 %  > 1 mm off, not told'
	);
	const percent = (part: number) => `${(100 * part).toFixed(1)} %`;
	for (const family of FAMILIES) {
		if (only && family !== only) continue;
		for (const step of [0.25, 0.5, 1.27]) {
			for (const isKnown of [true, false]) {
				const random = randomFrom(
					4000 + FAMILIES.indexOf(family) * 100 + step * 40 + Number(isKnown)
				);
				let [called, asked, missed, cannot, short, covered, far, found] = [0, 0, 0, 0, 0, 0, 0, 0];
				const errors: number[] = [];
				const find = (past: number) => {
					const spring = roughSpring(family, random);
					const sweep = roughSweep(spring, { step, past }, random);
					const frame = isKnown ? sweep.frameMeasured : null;
					const down = travelled(sweep.points, 'down');
					const bind = findBind(down, solidOf(statedBuild(family, random)), USUAL_NOISE, frame);
					return { bind, sweep, truth: isKnown ? spring.solid : sweep.dialSolid };
				};
				for (let run = 0; run < runs; run++) {
					const atLeast = family === 'cone' || family === 'beehive' ? 0.5 : 0.05;
					const before = find(-(atLeast + random() * 5 * step));
					asked++;
					if (before.bind.type === 'bind') called++;
					const { bind, truth, sweep } = find(3 + Math.floor(random() * 3));
					if (bind.type === 'none') {
						if (bind.why === 'unclear' && sweep.working < 5) cannot++;
						else if (bind.why === 'unclear' && family === 'cone' && !isKnown) cannot++;
						else missed++;
						continue;
					}
					found++;
					const error = bind.height - truth;
					errors.push(Math.abs(error));
					if (error < -0.1) {
						short++;
						if (truth <= bind.to) covered++;
					}
					if (Math.abs(error) > 1 && !isUncertain(bind, error)) far++;
				}
				errors.sort((a, b) => a - b);
				console.log(
					`${family.padEnd(18)} ${step.toFixed(2)} ${isKnown ? 'known  ' : 'unknown'} ${percent(called / asked).padStart(13)} ${percent(missed / runs).padStart(7)} ${percent(cannot / runs).padStart(7)} ${percent(short / Math.max(1, found)).padStart(12)} ${(short === 0 ? '–' : percent(covered / short)).padStart(17)} ${(errors[Math.floor(errors.length * 0.95)] ?? NaN).toFixed(3).padStart(13)} ${String(far).padStart(8)}`
				);
			}
		}
	}
}

/** Told as uncertain: its interval reaches as far as it is off. */
const isUncertain = ({ height, from, to }: Extract<BindFound, { type: 'bind' }>, error: number) =>
	error < 0 ? to - height >= -error * 0.95 : height - from >= error * 0.95;
