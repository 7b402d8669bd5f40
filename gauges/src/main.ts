/**
 * The stand-in gauges, all together:
 *
 *   npm run gauges            ports 4610 to 4612, control page on 4613
 *   ZINC_GAUGES=4710 npm run gauges
 */
import { BenchTester } from './bench-tester.ts';
import { HeadTester, HeightGauge } from './buttons.ts';
import { serveControl } from './control.ts';

/** Retainer and plate that stand in the simulated press. */
const FIXTURE = 5.36;

const first = Number(process.env.ZINC_GAUGES ?? 4610);
const devices = {
	tester: new BenchTester(first, FIXTURE),
	height: new HeightGauge(first + 1),
	head: new HeadTester(first + 2)
};
for (const { line } of Object.values(devices)) await line.open();
await serveControl(devices, first + 3);
console.log(
	`stand-in gauges on ports ${first} to ${first + 2}, control page http://127.0.0.1:${first + 3}`
);
