/** The spring bench against the simulated tester: a whole set, a pulled cable, odd springs, files. */
import Papa from 'papaparse';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import {
	cluster,
	query,
	startApp,
	startGauges,
	until,
	type App,
	type Gauges
} from './support/app.ts';
import { Browser, Key } from './support/browser.ts';

let gauges: Gauges;
let app: App;
let browser: Browser;
let set = '';
beforeAll(async () => {
	gauges = await startGauges();
	app = await startApp('demo', gauges);
	browser = await Browser.open(app.url);
	await browser.workAs('Runa Tarn');
	await browser.go('/springs');
	await browser.click('Straight six, D-37', 'a');
	await browser.sees('Nothing is tested yet.');
	set = new URL(await browser.driver.getCurrentUrl()).pathname;
	await gauges.act('tester/speed', '24');
});
afterAll(async () => {
	await browser?.close();
	await app?.stop();
	gauges?.stop();
});

const sweeps = async () =>
	(await query(
		app,
		`select spring.tag, jsonb_array_length(sweep.doc -> 'points') as points, sweep.doc ->> 'fixture' as fixture
		from sweep join spring on spring.id = sweep.spring_id order by sweep.position`
	)) as { tag: string; points: number; fixture: string }[];
const phase = (wanted: string) => browser.find(`[data-phase="${wanted}"]`);
async function keep(tag: string) {
	await phase('done');
	await browser.run('document.activeElement.blur()');
	await browser.press(Key.ENTER);
	await browser.sees(`Kept ${tag}`);
}
async function pull(spring: string) {
	await phase('waiting');
	await gauges.act('tester/spring', spring);
	await gauges.act('tester/pull');
}

describe('a set of twelve', () => {
	it('shows what to run the dial to, with the fixture added', async () => {
		await browser.click('Test springs', 'a');
		await browser.find('[data-link="connected"]');
		await browser.fill('In the press besides the spring', '5.36 mm');
		// 1.820 in and 5.36 mm: 46.228 + 5.36 = 51.588 mm = 2.031 in
		await browser.sees('seat 2.031');
		await browser.sees('Guard closed, eyes covered');
	});

	it('is swept one after another; a cable pulled half way loses and doubles nothing', async () => {
		for (let i = 1; i <= 12; i++) {
			await pull(`D-37 no. ${i}`);
			if (i === 5) {
				await phase('pulling');
				await new Promise((later) => setTimeout(later, 500));
				await gauges.act('tester/cable', 'break');
				await phase('interrupted');
				await browser.sees('points are kept here');
				await browser.find('[data-link="away"]');
				await gauges.act('tester/cable', 'mend');
				await browser.find('[data-link="connected"]');
				await browser.click('Pull T5 again', 'button');
				await pull('D-37 no. 5');
			}
			if (i === 7) {
				await phase('done');
				cluster('stop');
				await keep('T7').catch(() => undefined);
				await browser.sees('1 waiting to be sent');
				cluster('start');
				continue;
			}
			await keep(`T${i}`);
		}
		await browser.sees('0 of 12 left to test');
		await until(async () => (await sweeps()).length === 12, 15_000);
		const stored = await sweeps();
		expect(new Set(stored.map(({ tag }) => tag)).size).toBe(12);
		expect(stored.every(({ fixture }) => fixture === '5.36 mm')).toBe(true);
		expect(stored.every(({ points }) => points > 60)).toBe(true);
	}, 180_000);

	it('shows loads, rate and bind of each, who is odd, and which go together', async () => {
		await browser.go(set);
		await browser.sees('Which spring is it?');
		const t9 = await browser.text('[data-tag="T9"]');
		expect(t9).toMatch(/^T9 11\d .* −1\d\.\d % stop$/);
		const t1 = await browser.text('[data-tag="T1"]');
		const [, seat, open, rate, , , bind] = t1.split(' ').map(Number);
		expect(seat).toBeGreaterThan(126);
		expect(seat).toBeLessThan(134);
		expect(open).toBeGreaterThan(306);
		expect(open).toBeLessThan(326);
		expect(rate).toBeGreaterThan(330);
		expect(rate).toBeLessThan(360);
		expect(bind).toBeGreaterThan(1.14);
		expect(bind).toBeLessThan(1.17);
		expect(await browser.text()).toMatch(/Go together: T\d+\+T\d+/);
		expect(await browser.text('aside')).toContain('Fennick D-37 dual fits');
	});

	it('follows when the working height is moved, and keeps a bind placed by hand', async () => {
		const before = await browser.text('[data-tag="T1"]');
		await browser.run(
			`const input = document.querySelector('[aria-label="Working height"]');
			input.value = Number(input.value) - 1;
			input.dispatchEvent(new Event('input', { bubbles: true }));`
		);
		await browser.driver.wait(async () => (await browser.text('[data-tag="T1"]')) !== before, 5000);
		const answer = await browser.api('PUT', `/api/sets/${set.split('/')[2]}/springs/T1`, {
			bind: '1.160 in'
		});
		expect(answer.status).toBe(200);
		await browser.go(`${set}?tag=T1`);
		await browser.sees('1.160, placed by RT');
	});

	it('puts its middle curve on the job, and the sheet says so', async () => {
		await browser.click('Put the set’s curve on job 2417', 'button');
		await browser.sees('the middle of the set, is on job 2417');
		await browser.openJob('2417');
		await browser.press('1', 'i');
		await browser.sees('Loads from tested set');
		expect(await browser.text()).not.toContain('is not the Fennick');
	});
});

describe('the wrong spring', () => {
	it('is told, and is a finding on the job', async () => {
		await browser.go('/springs');
		await browser.fill('Name', 'Found in the box');
		await browser.fill('Card', 'Fennick D-37 dual');
		await browser.fill('How many springs', '1');
		await browser.fill('For job number', '2417');
		await browser.click('Make it and tag them', 'button');
		await browser.sees('Nothing is tested yet.');
		await browser.click('Test springs', 'a');
		await browser.find('[data-link="connected"]');
		await browser.fill('In the press besides the spring', '5.36 mm');
		await pull('S-21 progressive');
		await keep('T1');
		await browser.press(Key.ESCAPE);
		await browser.sees('This is not the Fennick D-37 dual that the set says.');
		await browser.click('Put the set’s curve on job 2417', 'button');
		await browser.sees('is on job 2417');
		await browser.openJob('2417');
		await browser.sees(
			'what was tested is not the Fennick D-37 dual on the job; it fits Fennick S-21'
		);
	});
});

describe('a device that misbehaves', () => {
	beforeAll(() => browser.go('/gauges'));
	it('rubbish is shown as such, and harms nothing', async () => {
		await browser.find('[data-link="connected"]');
		await gauges.act('tester/rubbish');
		await browser.find('[data-link="rubbish"]');
		await browser.sees('lines no reading');
		await gauges.act('tester/pull');
		await browser.sees('mm,');
	});
	it('a flood is shown as such, and the rest goes on', async () => {
		await gauges.act('tester/flood', '9000,2');
		await browser.find('[data-link="flooding"]');
		await gauges.act('height/press');
		await browser.sees('passed over');
		expect((await fetch(`${app.url}/healthz`)).status).toBe(200);
	});
	it('a height gauge and an on-head tester send theirs', async () => {
		await gauges.act('height/set', '1.8175');
		await gauges.act('height/press');
		await browser.driver.wait(async () => /1\.81\d\d in/.test(await browser.text()), 5000);
		await gauges.act('head/pull');
		await browser.driver.wait(async () => /4[6-9]\d\.\d N/.test(await browser.text()), 5000);
	});
});

describe('gauges', () => {
	it('two that disagree are a finding, a new check changes the correction', async () => {
		await browser.go('/gauges');
		await browser.click('Old lever tester', 'a');
		await browser.sees('one of the two lies');
		await browser.fill('Length or load', 'load');
		await browser.fill('Height standard, weight or spring', 'Dead weight');
		await browser.fill('It is', '100');
		await browser.fill('Gauge reads', 'much');
		await browser.press(Key.ENTER);
		await browser.sees('read: a figure with its unit');
		expect(await (await browser.field('It is')).getAttribute('value')).toBe('100');
		await browser.fill('Gauge reads', '112');
		await browser.press(Key.ENTER);
		await browser.sees('112 lbf');
		await browser.sees('Correction in force −12.0 lbf');
	});
	it('a pattern that cannot be is refused at its field', async () => {
		await browser.go('/gauges/new');
		await browser.fill('name', 'Odd box');
		await browser.fill('link.host', '127.0.0.1');
		await browser.fill('link.port', '4999');
		await browser.fill('link.pattern', '([');
		await browser.click('Keep it', 'button');
		await browser.sees('a pattern with (?<height>…), (?<load>…) or both');
	});
});

describe('files', () => {
	const takeIn = async (name: string, text: string) => {
		await browser.go(`${set}?tag=T2`);
		await browser.run(
			`const [name, text] = arguments;
			const input = document.querySelector('aside input[type=file]');
			const data = new DataTransfer();
			data.items.add(new File([text], name));
			input.files = data.files;
			input.dispatchEvent(new Event('change', { bubbles: true }));`,
			name,
			text
		);
	};
	const rows = Array.from({ length: 30 }, (_, i) => [54 - i * 0.5, (55.8 - 54 + i * 0.5) * 60]);

	it('CSV whose columns say what they are is taken as it is', async () => {
		await takeIn(
			'named.csv',
			Papa.unparse({ fields: ['Load (N)', 'Height mm'], data: rows.map(([h, f]) => [f, h]) })
		);
		await browser.sees('named.csv: 30 points for T2');
	});
	it('CSV that does not is asked about', async () => {
		await takeIn('plain.csv', Papa.unparse(rows, { delimiter: ';' }));
		await browser.sees('plain.csv: which column is which?');
		await browser.fill('Heights unit', 'mm');
		await browser.fill('Loads unit', 'N');
		await browser.click('Take it in so', 'button');
		await browser.sees('plain.csv: 30 points for T2');
	});
	it('what is wrong is told by line, and nothing is taken', async () => {
		const before = (await sweeps()).length;
		await takeIn('bad.csv', 'height mm,load N\n50,100\n49,heavy\n');
		await browser.sees('line 3: load “heavy” is no figure');
		await takeIn('cut.json', '{"format":"zinc-ledger/sweep","version":1,"points":[');
		await browser.sees('it was cut off when it was saved or sent');
		expect((await sweeps()).length).toBe(before);
	});
	it('the open JSON goes out and comes in again, the same points', async () => {
		const out = JSON.parse(await (await fetch(`${app.url}${set}/file?tag=T3`)).text()) as {
			id: string;
			points: unknown[];
		};
		await takeIn('t3.json', JSON.stringify({ ...out, id: '0197a333-0000-7000-8000-000000000001' }));
		await browser.sees(`t3.json: ${out.points.length} points for T2`);
		const back = JSON.parse(await (await fetch(`${app.url}${set}/file?tag=T2`)).text()) as {
			points: unknown[];
		};
		expect(back.points).toEqual(out.points);
	});
	it('20,000 points are taken, shown and worked out', async () => {
		const dense = Array.from({ length: 20_000 }, (_, i) => [
			(54 - i * 0.001).toFixed(3),
			((1.8 + i * 0.001) * 60).toFixed(2)
		]);
		await takeIn('dense.csv', Papa.unparse({ fields: ['height mm', 'load N'], data: dense }));
		await browser.sees('dense.csv: 20000 points for T2');
		expect(await browser.text('[data-tag="T2"]')).toMatch(/^T2 129 /);
	});
	it('labels carry a code for each spring', async () => {
		await browser.go(`${set}/labels`);
		expect(await browser.all('main li svg')).toHaveLength(12);
	});
});

describe('typed off the dial', () => {
	it('a sweep is typed point by point', async () => {
		await browser.go(`${set}/capture?tag=T4`);
		await browser.fill('Tester', 'typed off the dial');
		await browser.fill('In the press besides the spring', '0');
		for (const [dial, load] of [
			['2.000', '67'],
			['1.820', '130'],
			['1.500', '240'],
			['1.280', '316']
		]) {
			await browser.fill('Dial', dial!);
			await browser.press(Key.TAB, load!, Key.ENTER);
			await browser.driver.wait(
				async () => (await (await browser.field('Load')).getAttribute('value')) === '',
				5000
			);
		}
		await browser.click('That is all', 'button');
		await browser.sees('Seat 130');
		await browser.sees('too few points');
	});
});

describe('the screens', () => {
	it.each(['light', 'dark'])(
		'axe finds nothing serious in %s',
		async (scheme) => {
			for (const path of [
				'/springs',
				set,
				`${set}/capture`,
				`${set}/labels`,
				'/gauges',
				'/gauges/new'
			]) {
				await browser.go(path);
				await browser.run('document.documentElement.dataset.scheme = arguments[0]', scheme);
				expect(await browser.faults(), path).toEqual([]);
			}
		},
		240_000
	);
});
