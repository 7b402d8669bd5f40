/** Two whole jobs, from taking the head in to a signed sheet that verifies, driven as a machinist would. */
import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import {
	evaluate,
	INCH_POUND,
	METRIC,
	showLength,
	showLoad,
	type Job,
	type Quantity,
	type StationSheet,
	type Units
} from '@zinc-ledger/core';
import { until } from './support/app.ts';
import { Key } from './support/browser.ts';
import { visit } from './support/visit.ts';
import { assembly } from './support/pages/assembly.ts';
import { checks } from './support/pages/checks.ts';
import { form } from './support/pages/form.ts';
import { newJob } from './support/pages/new-job.ts';
import { notes } from './support/pages/notes.ts';
import { outbox } from './support/pages/outbox.ts';
import { plan as planPage } from './support/pages/plan.ts';
import { round } from './support/pages/round.ts';
import { setup as setupPage } from './support/pages/setup.ts';
import { sign } from './support/pages/sign.ts';

const at = visit('demo');
const folder = mkdtempSync(join(tmpdir(), 'zinc-out-'));
afterAll(() => rmSync(folder, { recursive: true }));

const stored = async (path: string) => {
	const { body } = await at.browser.api('GET', `/api${path}`);
	return (body as { job: Job }).job;
};
const sheetOf = async (path: string) => evaluate(await stored(path));

/** What a machinist tells of an engine when it comes in. */
interface TakenIn {
	readonly engine: string;
	readonly fields: Readonly<Record<string, string>>;
	readonly choices?: Readonly<Record<string, string>>;
	readonly setup: Readonly<Record<string, string>>;
	readonly parts: Readonly<Record<string, string>>;
}

async function takeIn({ engine, fields, choices = {}, setup, parts }: TakenIn): Promise<string> {
	const { browser } = at;
	await browser.workAs('Runa Tarn');
	await browser.go('/jobs/new');
	await newJob(browser).customer('Brann Osk');
	await newJob(browser).engine(engine);
	await newJob(browser).openHeads();
	for (const [name, text] of Object.entries({ ...fields, ...choices }))
		await browser.fill(name, text);
	await (await browser.field('Customer')).sendKeys(Key.ENTER);
	const path = await browser.takenIn();
	await browser.go(`${path}/setup`);
	for (const [name, text] of Object.entries(setup)) await browser.fill(name, text);
	await setupPage(browser).save();
	await setupPage(browser).saved();
	await browser.go(`${path}/parts`);
	for (const kind of ['intake', 'exhaust'])
		for (const [part, name] of Object.entries(parts))
			await browser.fill(`${kind}: ${part}`, name.replace('KIND', kind));
	await outbox(browser).unsaved();
	await form(browser).save();
	await until(async () => (await stored(path)).setup.kinds.exhaust.spring !== undefined);
	return path;
}

/** Goes round every station with what a gauge would read there. */
async function goRound(path: string, of: Quantity, read: (label: string) => string, order = '') {
	const { browser } = at;
	const query = order && `&order=${order}`;
	await browser.go(`${path}/round?of=${of.replaceAll(' ', '-')}${query}`);
	await round(browser).readingsPerValve('1');
	await browser.begin();
	const walked: string[] = [];
	for (;;) {
		const field = await browser.find('main input[aria-describedby="understood"]');
		const label = (await field.getAttribute('aria-label'))!.split('station ')[1]!;
		walked.push(label);
		await field.sendKeys(read(label), Key.ENTER);
		const kept = async () =>
			(await browser.all(`main input[aria-label$="station ${label}"]`)).length === 0;
		// A figure Outside expected range is asked about, and kept by Enter.
		if (!(await kept())) await field.sendKeys(Key.ENTER);
		await until(kept);
		if (/All \d+ measured\./.test(await browser.text('main'))) return walked;
	}
}

/** Ticks every step of the assembly, the locks counted before and after. */
async function assemble(path: string, halves: number) {
	const { browser } = at;
	await browser.go(`${path}/assembly`);
	await assembly(browser).counted(String(halves));
	await browser.press(Key.ENTER);
	const total = Number(/1 of (\d+) steps/.exec(await waitFor(/1 of \d+ steps/))![1]);
	// Ticked in the page, one after another, as fast as it takes them: the last one counts again.
	await browser.wait(
		`while (![...document.querySelectorAll('main label')].some((one) => one.textContent === 'Counted')) {
			const button = [...document.querySelectorAll('main form button')].find((one) => one.textContent.includes('Done'));
			if (button && !button.disabled) button.click();
			await new Promise((later) => setTimeout(later, 10));
		}`
	);
	await waitFor(new RegExp(`\\b${total - 1} of ${total} steps`));
	await assembly(browser).counted(String(halves));
	await browser.press(Key.ENTER);
	await browser.sees(`Built: all ${total} steps are done.`);
}

async function waitFor(pattern: RegExp): Promise<string> {
	let text = '';
	await until(async () => pattern.test((text = await at.browser.text('main'))));
	return text;
}

async function tryVacuum(path: string, count: number, reached: string) {
	const { browser } = at;
	await browser.go(`${path}/checks`);
	for (let i = 1; i <= count; i++) {
		await checks(browser).vacuum(reached);
		await browser.press(Key.ENTER);
		await until(async () => (await stored(path)).checks.length === i);
	}
}

/** A signed sheet, fetched as a file. */
async function fetched(path: string, revision: number, file: string): Promise<Buffer> {
	const href = await at.browser.run(
		`return document.querySelector('[data-signed="' + arguments[0] + '"] a[href*="' + arguments[1] + '"]').href`,
		revision,
		file
	);
	const response = await fetch(String(href));
	expect(response.status).toBe(200);
	return Buffer.from(await response.arrayBuffer());
}

const verify = (file: string) =>
	spawnSync('npm', ['run', '--silent', 'zinc', '--', 'verify', file], { encoding: 'utf8' });

/** The text of a PDF, as a standard reader has it. */
function pdfText(name: string, content: Buffer): { text: string; pages: number } {
	const file = join(folder, name);
	writeFileSync(file, content);
	const text = execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' });
	const info = execFileSync('pdfinfo', [file], { encoding: 'utf8' });
	return { text: text.replace(/\s+/g, ' '), pages: Number(/Pages:\s+(\d+)/.exec(info)![1]) };
}

/** How many dark dots the beginning of a PDF's first line has, at 72 dots an inch: text that is drawn, not only there. */
function darkInTitle(name: string): number {
	const page = execFileSync(
		'pdftoppm',
		['-r', '72', '-gray', '-f', '1', '-l', '1', join(folder, name)],
		{
			maxBuffer: 1e8
		}
	);
	const [, width] = /^P5\s+(\d+)\s+\d+\s+255\s/.exec(page.subarray(0, 40).toString('latin1'))!;
	const start = /^P5\s+\d+\s+\d+\s+255\s/.exec(page.subarray(0, 40).toString('latin1'))![0].length;
	let dark = 0;
	for (let y = 30; y < 50; y++)
		for (let x = 34; x < 150; x++) if (page[start + y * Number(width) + x]! < 128) dark++;
	return dark;
}

/** Every figure of a station as the sheet shows it, in the units that the job was read in. */
const figuresOf = ({ label, figures }: StationSheet, units: Units = INCH_POUND) => [
	label,
	...[
		figures.height,
		figures.bindMargin,
		figures.sealClearance,
		figures.tipHeight,
		figures.lash,
		figures.built
	].flatMap((verdict) => (verdict?.figure == null ? [] : [showLength(verdict.figure, units)])),
	...[figures.seatLoad, figures.openLoad].flatMap(({ figure }) =>
		figure === null ? [] : [showLoad(figure, units)]
	)
];

describe('a solid-lifter pushrod six', () => {
	let path = '';
	const heights = new Map(
		[1.818, 1.821, 1.824, 1.817, 1.815, 1.822, 1.826, 1.865, 1.819, 1.82, 1.837, 1.823].map(
			(height, i) => [`${(i >> 1) + 1}${i % 2 ? 'E' : 'I'}`, height]
		)
	);

	it('is taken in, set up, and its parts are chosen', async () => {
		path = await takeIn({
			engine: 'Haldric 3.4 straight six, third head',
			fields: { cylinders: '6', firingOrder: '1-5-3-6-2-4' },
			setup: {
				'adjuster.at': 'pivot nut on a stud',
				'adjuster.pitch': '0.0417',
				...Object.fromEntries(
					['intake', 'exhaust'].flatMap((kind) => [
						[`kinds.${kind}.lift.lobe`, '360'],
						[`kinds.${kind}.lift.ratio`, '1.5'],
						[`kinds.${kind}.lash.setting`, '14'],
						[`kinds.${kind}.lash.tolerance`, '2']
					])
				)
			},
			parts: {
				Valve: 'Vesprin 11/32 two-piece KIND',
				Spring: 'Fennick D-37 dual',
				Retainer: 'Ostrel R-11, steel, dual',
				Locks: 'Ostrel 10° standard',
				Locator: 'Ostrel inside locator 0.060',
				Seal: 'Pellow stem seal 11/32 low'
			}
		});
		expect((await stored(path)).stations).toHaveLength(12);
	});
	it('has its valves looked at and its heights and gaps measured', async () => {
		const { browser } = at;
		await browser.go(`${path}/inspect`);
		for (let i = 1; i <= 12; i++) {
			await browser.press('g');
			await until(async () => (await stored(path)).inspections.length === i);
		}
		await goRound(path, 'installed-height', (label) => heights.get(label)!.toFixed(3));
		await goRound(path, 'seal-gap', () => '0.640');
		await goRound(path, 'tip-height', () => '0.140');
	});
	it('is planned, and the plan accepted', async () => {
		const { browser } = at;
		await browser.go(`${path}/plan`);
		await planPage(browser).calculate();
		await planPage(browser).optimal();
		await planPage(browser).accept();
		await planPage(browser).accepted();
		const { stations } = await stored(path);
		expect(stations.find(({ label }) => label === '4E')!.shims.length).toBeGreaterThan(0);
	});
	it('no step can be skipped, and an assembly resumes where it stood', async () => {
		const { browser } = at;
		const entry = {
			place: '1I',
			step: 'seal',
			done: true,
			person: (await stored(path)).people[0]!.id,
			at: new Date().toISOString()
		};
		const id = '0197a555-0000-7000-8000-000000000001';
		const tried = await browser.api('POST', `/api${path}/entries/assembly`, { ...entry, id });
		expect(tried.status).toBe(409);
		expect(JSON.stringify(tried.body)).toContain('count out');
		await browser.go(`${path}/assembly`);
		await browser.click('4E', 'button');
		await browser.sees('Do first (job)');
	});
	it('is built, step by step, with the shims of the plan named', async () => {
		const { browser } = at;
		await browser.go(`${path}/assembly`);
		await assemble(path, 24);
		await browser.go(`${path}/assembly`);
		await browser.click('4E', 'button');
		await browser.click('Locator', 'button');
		expect(await browser.text('main')).toMatch(/Shim 0\.0\d\d.*against the head/);
		expect(await browser.faults()).toEqual([]);
	});
	it('is measured as built: one wrong is found, measured again, and in order', async () => {
		const { browser } = at;
		const planned = new Map(
			(await sheetOf(path)).stations.map(({ label, figures }) => [label, figures.height.figure!])
		);
		const caliper = (label: string, off = 0) => (planned.get(label)! / 25.4 + off).toFixed(3);
		await goRound(path, 'built-height', (label) => caliper(label, label === '2E' ? 0.03 : 0.001));
		await browser.go(`${path}/sign`);
		await browser.sees('taller than planned');
		expect(await (await browser.named('Sign as Runa Tarn', 'button')).isEnabled()).toBe(false);
		await browser.go(`${path}/round?of=built-height`);
		await round(browser).readingsPerValve('1');
		await browser.begin();
		await waitFor(/All \d+ measured\./);
		await browser.click('2E', 'button');
		const field = await browser.find('main input[aria-describedby="understood"]');
		await field.sendKeys(caliper('2E'), Key.ENTER);
		await until(async () =>
			(await sheetOf(path)).stations.every(({ figures }) => figures.built?.state === 'clear')
		);
	});
	it('is tried for vacuum, passages and piston to valve', async () => {
		const { browser } = at;
		await tryVacuum(path, 12, '18.5');
		await browser.go(`${path}/checks`);
		await browser.click('Contact', 'button');
		await browser.sees('Pushrod touches through its travel');
		await browser.click('Clear', 'button');
		await until(async () =>
			(await sheetOf(path)).stations.every(
				({ remarks }) => !remarks.some(({ state }) => state === 'stop')
			)
		);
		const rooms = await browser.fields('Clearance, in');
		for (const [i, room] of ['0.120', '0.095', '0.110'].entries()) await rooms[i]!.sendKeys(room);
		await rooms[2]!.sendKeys(Key.ENTER);
		await browser.sees('0.095 at 0°');
		expect(await browser.faults()).toEqual([]);
	});
	it('has its lash set through the firing order, told where to turn to and how far', async () => {
		const { browser } = at;
		await browser.go(`${path}/lash`);
		await browser.sees('cylinder 5 at firing TDC');
		expect(await browser.faults()).toEqual([]);
		await browser.go(`${path}/round?of=lash&order=firing-order`);
		await round(browser).readingsPerValve('1');
		await browser.begin();
		await browser.press('20');
		await browser.sees('turn the adjuster 21° in');
		const walked = await goRound(path, 'lash', () => '0.014', 'firing-order');
		expect(walked.map((label) => label[0]).join('')).toBe('115533662244');
		const lash = (await stored(path)).readings.filter(({ quantity }) => quantity === 'lash');
		expect(lash[0]!.lash).toEqual({ as: 'set', marked: false });
	});
	it('holds while a note holds it, and is signed once all is settled', async () => {
		const { browser } = at;
		await browser.go(`${path}/sign`);
		await notes(browser).write('Checking spring still on 6E');
		await browser.run(
			`[...document.querySelectorAll('label')].find((one) => one.textContent.includes('blocks sign-off')).click()`
		);
		await notes(browser).add();
		await browser.click('Resolve', 'button');
		for (;;) {
			const open = await browser.all('main li form input');
			if (open.length === 0) break;
			await open[0]!.sendKeys('agreed with the customer', Key.ENTER);
			await until(async () => (await browser.all('main li form input')).length < open.length);
		}
		await sign(browser).nothingBlocks();
		await notes(browser).write('Retainer 3I had been ground before it came');
		await notes(browser).add();
		await browser.sees('RT · internal');
		await sign(browser).sign();
		await sign(browser).firstSheetIsCurrent();
		expect(await browser.text('nav')).toContain('sheet 1 signed');
		expect(await browser.faults()).toEqual([]);
	});
	it('goes out as JSON that anyone can verify; one flipped digit fails', async () => {
		const json = (await fetched(path, 1, 'sheet.json')).toString('utf8');
		const file = join(folder, 'signed.json');
		writeFileSync(file, json);
		const good = verify(file);
		expect([good.status, good.stdout]).toEqual([0, expect.stringContaining('As signed: job 24')]);
		expect(good.stdout).toContain('Every figure is what this program works out');
		writeFileSync(file, json.replace('0.014 in', '0.015 in'));
		const bad = verify(file);
		expect([bad.status, bad.stdout]).toEqual([1, expect.stringContaining('NOT as signed')]);
	});
	it.each(['A4', 'Letter'])(
		'goes out as a PDF of one %s page with every figure in it',
		async (size) => {
			const { text, pages } = pdfText(
				`${size}.pdf`,
				await fetched(path, 1, `sheet.pdf?size=${size}`)
			);
			expect(pages).toBe(1);
			expect(darkInTitle(`${size}.pdf`)).toBeGreaterThan(100);
			for (const station of (await sheetOf(path)).stations) {
				for (const figure of figuresOf(station)) expect(text).toContain(figure);
			}
			expect(text).toContain('Runa Tarn');
			expect(text).toContain('Retainer 3I had been ground');
		}
	);
	it('leaves private notes out of the customer’s copy, and gives CSV and a label', async () => {
		const { text } = pdfText('customer.pdf', await fetched(path, 1, 'customer.pdf'));
		expect(text).toContain('customer’s copy');
		expect(text).not.toContain('had been ground');
		const csv = (await fetched(path, 1, 'sheet.csv')).toString('utf8').trim().split('\r\n');
		expect(csv).toHaveLength(13);
		expect(csv[0]).toMatch(/^Valve,"Installed height, in","Seat load, lbf"/);
		const label = pdfText('label.pdf', await fetched(path, 1, 'label.pdf'));
		expect([label.pages, label.text]).toEqual([1, expect.stringContaining('Haldric 3.4')]);
	});
	it('a later change makes a new sheet that names the old one, which stays as it was', async () => {
		const { browser } = at;
		await browser.go(`${path}/sign`);
		await notes(browser).write('Run for an hour, looked at again');
		await notes(browser).add();
		await browser.sees('Something was added since sheet 1');
		expect(await browser.text('nav')).toContain('changed since sheet 1');
		await sign(browser).sign();
		await browser.sees('Sheet 2 is as the job stands.');
		const [old, fresh] = await Promise.all(
			[1, 2].map(async (revision) =>
				JSON.parse((await fetched(path, revision, 'sheet.json')).toString('utf8'))
			)
		);
		expect(fresh.signing.supersedes).toEqual({ id: old.signing.id, sha256: old.sha256 });
		expect(old.job.notes).toHaveLength(3);
	});
});

describe('a shim-follower twin cam', () => {
	let path = '';
	it('is taken in and measured', async () => {
		path = await takeIn({
			engine: 'Kestler 2.0 twin cam, second head',
			fields: { cylinders: '4', firingOrder: '1-3-4-2' },
			choices: { valvesPerCylinder: '4' },
			setup: Object.fromEntries(
				['intake', 'exhaust'].flatMap((kind) => [
					[`kinds.${kind}.lift.type`, 'valve'],
					[`kinds.${kind}.lift.valve`, '9.40 mm'],
					[`kinds.${kind}.lash.setting`, '0.20 mm'],
					[`kinds.${kind}.lash.tolerance`, '0.03 mm']
				])
			),
			parts: {
				Valve: 'Vesprin 5.5 one-piece KIND',
				Spring: 'Fennick S-16 single',
				Retainer: 'Ostrel R-27, steel, single',
				Locks: 'Ostrel 7° three-bead',
				Locator: 'Ostrel outside locator 1.0',
				Seal: 'Pellow stem seal 5.5',
				Lifter: 'Kestler bucket 30'
			}
		});
		await goRound(path, 'installed-height', () => '34.52 mm');
		await goRound(path, 'seal-gap', () => '12.10 mm');
		await until(async () => (await sheetOf(path)).measured['seal-gap'] === 16);
		expect((await sheetOf(path)).measured['installed-height']).toBe(16);
	});
	it('is built, by step across all valves, and measured as built', async () => {
		const { browser } = at;
		await browser.go(`${path}/assembly`);
		await assembly(browser).byStep();
		await assemble(path, 32);
		await goRound(path, 'built-height', () => '34.54 mm');
		await tryVacuum(path, 16, '19');
	});
	it('has its shims swapped before a new one is taken', async () => {
		const { browser } = at;
		const labels = (await stored(path)).stations.map(({ label }) => label);
		// Two are one too thin and one too thick for each other; a third wants one off the shelf.
		const lash = new Map([
			[labels[0]!, '0.30 mm'],
			[labels[1]!, '0.10 mm'],
			[labels[2]!, '0.35 mm']
		]);
		const shim = new Map([[labels[1]!, '2.60 mm']]);
		await goRound(path, 'lash', (label) => lash.get(label) ?? '0.20 mm', 'two-positions');
		await goRound(path, 'follower-shim', (label) => shim.get(label) ?? '2.50 mm');
		await browser.go(`${path}/lash`);
		await browser.fill('Counted for this job, mm', '2.60 mm x 4, 2.65 mm x 1');
		await browser.press(Key.ENTER);
		await browser.sees('2 swapped, 1 from stock');
		const plan = await browser.text('table[aria-label="Swap plan"]');
		expect(plan).toContain(`out of ${labels[1]}`);
		expect(plan).toContain(`out of ${labels[0]}`);
		expect(plan).toContain('stock');
		expect(await browser.faults()).toEqual([]);
		// The cams are out, the shims changed, and lash is read again, hot last.
		await goRoundAgain(path, lash);
		expect(
			(await sheetOf(path)).stations.every(({ figures }) => figures.lash?.state === 'clear')
		).toBe(true);
	});
	it('is signed, and its sheet verifies', async () => {
		const { browser } = at;
		await browser.go(`${path}/sign`);
		for (;;) {
			const open = await browser.all('main li form input');
			if (open.length === 0) break;
			await open[0]!.sendKeys('as the maker allows', Key.ENTER);
			await until(async () => (await browser.all('main li form input')).length < open.length);
		}
		await sign(browser).sign();
		await sign(browser).firstSheetIsCurrent();
		const file = join(folder, 'twin.json');
		writeFileSync(file, await fetched(path, 1, 'sheet.json'));
		expect(verify(file).status).toBe(0);
		const { text, pages } = pdfText('twin.pdf', await fetched(path, 1, 'sheet.pdf?size=A4'));
		expect(pages).toBe(1);
		for (const station of (await sheetOf(path)).stations)
			for (const figure of figuresOf(station, METRIC)) expect(text).toContain(figure);
	});
});

/** Lash of the stations that were changed, read once more. */
async function goRoundAgain(path: string, changed: ReadonlyMap<string, string>) {
	const { browser } = at;
	await browser.go(`${path}/round?of=lash`);
	await round(browser).readingsPerValve('1');
	await browser.begin();
	await waitFor(/All \d+ measured\./);
	for (const label of changed.keys()) {
		await browser.click(label, 'button');
		const field = await browser.find(`main input[aria-label$="station ${label}"]`);
		await field.sendKeys('0.20 mm', Key.ENTER);
		await until(async () => {
			const readings = (await stored(path)).readings;
			return (
				readings.filter((one) => one.station === label && one.quantity === 'lash').length === 2
			);
		});
	}
}
