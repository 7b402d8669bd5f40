/** The five walks of the bench through the forms alone, counted: what is typed, chosen and marked, and pages opened. */
import { beforeAll, describe, expect, it } from 'vitest';
import type { Job } from '@zinc-ledger/core';
import { until } from './support/app.ts';
import { Counted } from './support/counted.ts';
import { Key } from './support/browser.ts';
import { visit } from './support/visit.ts';
import { assembly as assemblyPage } from './support/pages/assembly.ts';
import { checks } from './support/pages/checks.ts';
import { kit as kitPage } from './support/pages/kit.ts';
import { newJob } from './support/pages/new-job.ts';
import { parts } from './support/pages/parts.ts';
import { plan } from './support/pages/plan.ts';
import { round as roundPage } from './support/pages/round.ts';
import { setup } from './support/pages/setup.ts';
import { springs } from './support/pages/springs.ts';

const at = visit('demo');
beforeAll(() => at.browser.workAs('Runa Tarn'));
const stored = async (path: string) =>
	((await at.browser.api('GET', `/api${path}`)).body as { job: Job }).job;

/** Less than half of what it took before: so many entries, on so many pages. */
async function lessThanHalf(walk: string, by: Counted, before: { entries: number; pages: number }) {
	const pages = await by.pages();
	console.info(
		`${walk}: ${by.entries} entries on ${pages} pages, before ${before.entries} on ${before.pages}`
	);
	expect(by.entries).toBeLessThan(before.entries / 2);
	expect(pages).toBeLessThan(before.pages / 2);
}

/** Dials and loads of a pull, as they are read off: down to solid and past it. */
const DUAL = [
	...['1.820 131', '1.720 165', '1.620 200', '1.520 234', '1.420 269', '1.320 303', '1.280 317'],
	...['1.230 334', '1.200 345', '1.170 355', '1.160 359', '1.149 425', '1.147 540', '1.145 655']
];
const CONE = [
	...['1.750 119', '1.650 152', '1.550 185', '1.450 218', '1.350 251', '1.250 284', '1.210 297'],
	...['1.150 317', '1.100 334', '1.060 347', '1.040 353', '1.029 420', '1.027 535', '1.025 650']
];

describe('a dual and a cone on the counter', () => {
	it('are typed off the dial and judged, on two pages', async () => {
		const { browser } = at;
		await browser.go('/springs');
		const by = new Counted(browser);
		await parts(by).label('Counter, two');
		await springs(by).howMany('2');
		await by.fill('Nominal height', '1.820');
		await newJob(by).lift('0.540');
		await by.go('Create and test', 'button');
		await browser.sees('2 of 2 left to test');
		await springs(by).tester('Manual entry');
		const type = async (points: readonly string[]) => {
			await (await browser.field('Dial and load')).click();
			for (const [i, point] of points.entries()) {
				await by.line(point);
				await browser.sees(`Pulling: ${i + 1} points`);
			}
			await by.go('Finish', 'button');
			await springs(browser).identify();
		};
		await type(DUAL);
		expect(await browser.text('main')).toMatch(/Bind 1\.1[45]\d/);
		expect(await browser.text('main')).toMatch(
			/Fennick D-37 dual match load at card height 130 → 131/
		);
		await by.go('Save', 'button');
		await browser.sees('Saved T1');
		await type(CONE);
		expect(await browser.text('main')).toMatch(/Fennick C-31 conical match/);
		await by.go('Save', 'button');
		await browser.sees('Saved T2');
		await lessThanHalf('a dual and a cone', by, { entries: 68, pages: 5 });
	});
});

describe('two spring kits', () => {
	const kit = async (by: Counted, name: string, paper: Record<string, string>) => {
		await kitPage(by).called(name);
		for (const [field, text] of Object.entries(paper)) await by.fill(field, text);
		await by.go('Save the kit', 'button');
		await at.browser.sees(`Kit ${name}`);
	};
	it('are compared at two lifts', async () => {
		const { browser } = at;
		await browser.go('/kits/new');
		const by = new Counted(browser);
		await kit(by, 'Road 60', {
			'Card height': '1.800',
			'Seat load': '120',
			'Open load': '300',
			'at a lift of': '0.500',
			'Coil bind height': '1.150'
		});
		await by.go('Back to kits', 'a');
		await by.go('From its paper', 'a');
		await kit(by, 'Hill 70', {
			'Card height': '1.800',
			'Seat load': '135',
			'Open load': '350',
			'at a lift of': '0.550',
			'Coil bind height': '1.100'
		});
		await by.go('Compare', 'a');
		await by.fill('Second spring', 'Road 60, card');
		await newJob(by).lift('0.500');
		await by.fill('Second lift', '0.560');
		await browser.sees('Open at 0.560');
		const table = await browser.text('table');
		// 135 + (350 − 135) ÷ 0.550 × 0.500 = 330 beside 300; at 0.560 354 beside 322.
		expect(table).toMatch(/Seat lbf 135 120 −15 −11\.1 %/);
		expect(table).toMatch(/Open at 0\.500 lbf 330 300 −30 −9\.2 %/);
		expect(table).toMatch(/Open at 0\.560 lbf 354 322 −32 −9\.1 %/);
		expect(table).toMatch(/Bind margin at 0\.560 0\.140 0\.090 −0\.050/);
		expect(await browser.faults()).toEqual([]);
		await lessThanHalf('two kits at two lifts', by, { entries: 63, pages: 15 });
	});
});

describe('how much lift', () => {
	it('is left with three changes on each other, and they are kept as a whole', async () => {
		const { browser } = at;
		await browser.go('/jobs/new');
		const by = new Counted(browser);
		await newJob(by).customer('Tova Lind');
		await newJob(by).engine('Inline six');
		await newJob(by).kit('Hill six, 0.600 lift');
		await newJob(by).lift('0.540');
		await newJob(by).application('hill climb');
		await by.go('Create job', 'button');
		const path = await browser.takenIn();
		await begin(by);
		await by.line('1.822');
		await until(async () => (await stored(path)).readings.length === 1);
		await by.open(path, '/round?of=seal-gap');
		await begin(by);
		await by.line('0.610');
		await until(async () => (await stored(path)).readings.length === 2);
		await by.open(path, '/lift');
		await browser.sees('Changes are laid on each other');
		const add = async (change: string, figure: string | null, after: string) => {
			await by.fill('Change', change);
			if (figure) await by.fill('By how much', figure);
			await by.go('Add', 'button');
			await browser.sees(after);
		};
		await add('Seals home, by', '0.020', '+ Seals home by 0.020');
		await add('Locks: Ostrel 10° plus 0.050', null, '+ Ostrel 10° plus 0.050, with the shim');
		await add('Lash cap of (0 for none)', '0.080', '+ Lash cap 0.080');
		const table = await browser.text('table[aria-label="Changes of the intakes, one on another"]');
		expect(table).toMatch(/Gain in all \+0\.\d{3} \+0\.\d{3} \+0\.\d{3}/);
		await by.go('Apply to job', 'button');
		await browser.sees('Applied');
		const { setup, stations } = await stored(path);
		expect(setup.kinds.intake).toMatchObject({
			locks: { name: 'Ostrel 10° plus 0.050' },
			lashCap: { thickness: '0.080 in' }
		});
		expect(stations.filter(({ kind }) => kind === 'intake').map(({ shims }) => shims)).toEqual(
			Array.from({ length: 6 }, () => ['0.050 in'])
		);
		await lessThanHalf('three changes of the lift', by, { entries: 112, pages: 33 });
	});
});

describe('a kit set up by cushion', () => {
	it('has its first verdict', async () => {
		const { browser } = at;
		await browser.go('/kits/new');
		const by = new Counted(browser);
		await kitPage(by).called('Quarry 44');
		await kitPage(by).cardHeight('1.650');
		await kitPage(by).seatLoad('95');
		await kitPage(by).openLoad('240');
		await kitPage(by).atLift('0.450');
		await kitPage(by).bindHeight('1.090');
		await kitPage(by).locator('45');
		await by.go('Save the kit', 'button');
		await browser.sees('Kit Quarry 44');
		await by.go('New job with it', 'a');
		await newJob(by).customer('Isolde Marr');
		await newJob(by).engine('Inline four');
		await newJob(by).lift('0.440');
		await newJob(by).application('rally');
		await by.go('Create job', 'button');
		const path = await browser.takenIn();
		await begin(by);
		await by.line('1.655');
		await until(async () => (await stored(path)).readings.length === 1);
		await by.open(path, '/setup');
		for (const kind of ['intake', 'exhaust']) {
			await by.fill(`kinds.${kind}.aim.method`, 'bind cushion');
			await by.fill(`kinds.${kind}.aim.cushion`, '0.060');
		}
		await by.go('Save setup', 'button');
		await setup(browser).saved();
		await lessThanHalf('a kit by cushion', by, { entries: 86, pages: 11 });
		await browser.go(path);
		// 1.090 + 0.440 + 0.060 = 1.590; the height stands 0.065 above it.
		expect(await browser.text('main')).toMatch(/1I 1\.655/);
		await until(async () => /1\.590/.test(await browser.text('main')));
	});
});

describe('a head of two cylinders', () => {
	const HEIGHTS = ['1.842', '1.838', '1.849', '1.836'];
	const round = async (by: Counted, path: string, readings: readonly string[]) => {
		const before = (await stored(path)).readings.length;
		for (const [i, read] of readings.entries()) {
			await by.line(read);
			await until(async () => (await stored(path)).readings.length === before + i + 1);
		}
	};
	it('is measured, shimmed and built', async () => {
		const { browser } = at;
		await browser.go('/jobs/new');
		const by = new Counted(browser);
		await newJob(by).customer('Aldo Fenn');
		await newJob(by).engine('Parallel twin');
		await newJob(browser).openHeads();
		await newJob(by).cylinders('2');
		await newJob(by).kit('Hill six, 0.600 lift');
		await newJob(by).lift('0.540');
		await newJob(by).application('hill climb');
		await by.go('Create job', 'button');
		const path = await browser.takenIn();
		await begin(by, true);
		await round(by, path, HEIGHTS);
		await by.open(path, '/round?of=seal-gap');
		await begin(by, true);
		await round(by, path, ['0.640', '0.645', '0.638', '0.642']);
		await by.open(path, '/plan');
		await by.mark('Calculate plan', 'button');
		await browser.sees('Accept this plan');
		await by.mark('Accept this plan', 'button');
		await plan(browser).accepted();
		const { stations } = await stored(path);
		expect(stations.every(({ shims }) => shims.length === 1)).toBe(true);
		await by.open(path, '/assembly');
		await assemblyPage(browser).byStep();
		by.entries++;
		await assemblyPage(by).counted('8');
		await browser.press(Key.ENTER);
		// Thirteen steps at each valve, and the locks counted out and in.
		const total = 4 * 13 + 2;
		const kept = async () =>
			Number(/(\d+) of \d+ steps/.exec(await browser.text('main'))?.[1] ?? Number.NaN);
		await until(async () => (await kept()) === 1);
		for (let before = 1; before < total - 1; before = await kept()) {
			await by.mark('Done at', 'button');
			await until(async () => (await kept()) > before);
		}
		await browser.sees(`${total - 1} of ${total} steps`);
		await assemblyPage(by).counted('8');
		await browser.press(Key.ENTER);
		await browser.sees('Built: all');
		const { assembly } = await stored(path);
		expect(new Set(assembly.map(({ place }) => place)).size).toBe(5);
		expect(assembly.every(({ person }) => person === assembly[0]!.person)).toBe(true);
		await by.open(path, '/round?of=built-height');
		await begin(by, true);
		await round(by, path, ['1.820', '1.820', '1.820', '1.820']);
		await by.open(path, '/checks');
		for (let i = 1; i <= 4; i++) {
			await checks(by).vacuum('20');
			await browser.press(Key.ENTER);
			await until(async () => (await stored(path)).checks.length === i);
		}
		await lessThanHalf('a head measured, shimmed and built', by, { entries: 100, pages: 16 });
	});
});

/** Says what stood under the gauge, and starts the round. */
async function begin(by: Counted, once = false): Promise<void> {
	if (once) await roundPage(by).readingsPerValve('1');
	const answers = await at.browser.all('[role=radio][data-value=yes]');
	if (answers[0]) {
		by.entries++;
		await answers[0].click();
	}
	await by.go('Start', 'button');
	await at.browser.find('main input[aria-describedby="understood"]:focus');
}
