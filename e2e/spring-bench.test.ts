/** The spring bench against the simulated tester: a whole set, a pulled cable, odd springs, files. */
import Papa from 'papaparse';
import { beforeAll, describe, expect, it } from 'vitest';
import { query, until } from './support/app.ts';
import { withoutDatabase } from './support/without-database.ts';
import { visit } from './support/visit.ts';
import { Key } from './support/browser.ts';
import { form } from './support/pages/form.ts';
import { outbox } from './support/pages/outbox.ts';
import { parts } from './support/pages/parts.ts';
import { springs } from './support/pages/springs.ts';

const at = visit('demo', { gauges: true });
let set = '';
beforeAll(async () => {
	const { browser } = at;
	await browser.workAs('Runa Tarn');
	await browser.go('/springs');
	await browser.click('Straight six, D-37', 'a');
	await springs(browser).isUntested();
	set = new URL(await browser.driver.getCurrentUrl()).pathname;
});

const sweeps = async () =>
	(await query(
		at.app,
		`select spring.tag, jsonb_array_length(sweep.doc -> 'points') as points, sweep.doc ->> 'fixture' as fixture
		from sweep join spring on spring.id = sweep.spring_id
		join spring_set on spring_set.id = spring.set_id
		where spring_set.name = 'Straight six, D-37' order by sweep.position`
	)) as { tag: string; points: number; fixture: string }[];
async function phase(wanted: string) {
	let shown = '';
	await until(
		async () => {
			shown = await at.browser.run<string>(
				"const is = document.querySelector('[data-phase]'); return `${is?.dataset.phase}: ${is?.textContent.trim()}`"
			);
			return shown.startsWith(wanted);
		},
		() => `wanted the sweep to be ${wanted}, it is ${shown}`
	);
}
async function keep(shown: string) {
	await phase('done');
	await at.browser.run('document.activeElement.blur()');
	await at.browser.press(Key.ENTER);
	await at.browser.sees(shown);
}
async function pull(spring: string) {
	await phase('waiting');
	await at.gauges.act('tester/spring', spring);
	await at.gauges.act('tester/pull');
}

describe('a set of twelve', () => {
	it('shows what to run the dial to, with the fixture added', async () => {
		await springs(at.browser).test();
		await at.browser.find('[data-link="connected"]');
		await springs(at.browser).fixture('5.36 mm');
		// 1.820 in and 5.36 mm: 46.228 + 5.36 = 51.588 mm = 2.031 in
		await at.browser.sees('seat 2.031');
		await at.browser.sees('Guard closed, eyes covered');
	});

	it('is swept one after another; a cable pulled half way loses and doubles nothing', async () => {
		for (let i = 1; i <= 12; i++) {
			// The fifth is pulled slowly, so that there is a half way to cut it off at.
			await at.gauges.act('tester/speed', i === 5 ? '2' : '24');
			await pull(`D-37 no. ${i}`);
			if (i === 5) {
				await phase('pulling');
				await at.gauges.act('tester/cable', 'break');
				await phase('interrupted');
				await at.browser.sees('points are kept here');
				await at.browser.find('[data-link="away"]');
				await at.gauges.act('tester/cable', 'mend');
				await at.browser.find('[data-link="connected"]');
				await at.browser.click('Retest T5', 'button');
				await at.gauges.act('tester/speed', '24');
				await pull('D-37 no. 5');
			}
			if (i === 7) {
				await phase('done');
				await withoutDatabase(() => keep('1 unsent'));
				continue;
			}
			await keep(`Saved T${i}`);
		}
		await at.browser.sees('0 of 12 left to test');
		await until(async () => (await sweeps()).length === 12);
		const stored = await sweeps();
		expect(new Set(stored.map(({ tag }) => tag)).size).toBe(12);
		expect(stored.every(({ fixture }) => fixture === '5.36 mm')).toBe(true);
		expect(stored.every(({ points }) => points > 60)).toBe(true);
	});

	it('shows loads, rate and bind of each, who is odd, and which go together', async () => {
		await at.browser.go(set);
		await springs(at.browser).identify();
		const t9 = await at.browser.text('[data-tag="T9"]');
		expect(t9).toMatch(/^T9 11\d\.\d .* −1\d\.\d % stop$/);
		const t1 = await at.browser.text('[data-tag="T1"]');
		const [, seat, open, rate, , , bind] = t1.split(' ').map(Number);
		expect(seat).toBeGreaterThan(126);
		expect(seat).toBeLessThan(134);
		expect(open).toBeGreaterThan(306);
		expect(open).toBeLessThan(326);
		expect(rate).toBeGreaterThan(330);
		expect(rate).toBeLessThan(360);
		expect(bind).toBeGreaterThan(1.14);
		expect(bind).toBeLessThan(1.17);
		expect(await at.browser.text()).toMatch(/Matched pairs: T\d+\+T\d+/);
		expect(await at.browser.text('aside')).toContain('Fennick D-37 dual match');
	});

	it('follows when the working height is moved, and keeps a bind placed by hand', async () => {
		const before = await at.browser.text('[data-tag="T1"]');
		await (await at.browser.find('[aria-label="Working height"]')).click();
		await at.browser.press(...Array<string>(80).fill(Key.ARROW_LEFT));
		await until(async () => (await at.browser.text('[data-tag="T1"]')) !== before);
		// Placed by keys alone: begun at the lowest height of the sweep, moved, kept.
		await at.browser.click('Place bind', 'button');
		await at.browser.run(`document.querySelector('[aria-label="Bind height"]').focus()`);
		await at.browser.press(...Array<string>(30).fill(Key.ARROW_RIGHT));
		const placed = await at.browser.run<string>(
			`return document.querySelector('[aria-label="Bind height"]').getAttribute('aria-valuetext')`
		);
		await at.browser.click('Set bind', 'button');
		await at.browser.sees(`${placed.split(' ')[0]}, set by RT`);
	});

	it('puts its median curve on the job, and the sheet says so', async () => {
		await springs(at.browser).useOn2417();
		await at.browser.sees('the median of the set, is on job 2417');
		await at.browser.openJob('2417');
		await at.browser.press('1', 'i');
		await at.browser.sees('Load source tested set');
		expect(await at.browser.text()).not.toContain('does not match card');
	});
});

describe('the wrong spring', () => {
	it('is told, and is a finding on the job', async () => {
		await at.browser.go('/springs');
		await parts(at.browser).label('Found in the box');
		await at.browser.fill('Card', 'Fennick D-37 dual');
		await springs(at.browser).howMany('1');
		await at.browser.fill('For job number', '2417');
		await at.browser.click('Create set', 'button');
		await springs(at.browser).isUntested();
		await springs(at.browser).test();
		await at.browser.find('[data-link="connected"]');
		await springs(at.browser).fixture('5.36 mm');
		await pull('S-21 progressive');
		await keep('Saved T1');
		await at.browser.press(Key.ESCAPE);
		await at.browser.sees('Does not match card Fennick D-37 dual.');
		await springs(at.browser).useOn2417();
		await at.browser.sees('is on job 2417');
		await at.browser.openJob('2417');
		await at.browser.sees(
			'the tested spring does not match card Fennick D-37 dual; it matches Fennick S-21'
		);
	});
});

describe('a device that misbehaves', () => {
	beforeAll(() => at.browser.go('/gauges'));
	/** Misbehaves again and again: it is shown for two seconds, which a halted machine may miss. */
	const shows = (state: string, misbehave: () => Promise<void>) =>
		until(async () => {
			await misbehave();
			return (await at.browser.all(`[data-link="${state}"]`)).length > 0;
		}, `${state} is not shown`);
	it('malformed data is shown as such, and harms nothing', async () => {
		await at.browser.find('[data-link="connected"]');
		await shows('malformed', () => at.gauges.act('tester/malformed'));
		await at.browser.sees('unreadable lines');
		await at.gauges.act('tester/pull');
		await at.browser.sees('mm,');
	});
	it('a flood is shown as such, and the rest goes on', async () => {
		await shows('flooding', () => at.gauges.act('tester/flood', '9000,2'));
		await at.gauges.act('height/press');
		await at.browser.sees('passed over');
		expect((await fetch(`${at.app.url}/healthz`)).status).toBe(200);
	});
	it('a height gauge and an on-head tester send theirs', async () => {
		await at.gauges.act('height/set', '1.8175');
		await at.gauges.act('height/press');
		await until(async () => /1\.81\d\d in/.test(await at.browser.text()));
		await at.gauges.act('head/pull');
		await until(async () => /4[6-9]\d\.\d N/.test(await at.browser.text()));
	});
});

describe('gauges', () => {
	it('two that disagree are a finding, a new check changes the correction', async () => {
		await at.browser.go('/gauges');
		await at.browser.click('Old lever tester', 'a');
		await at.browser.sees('one reads wrong');
		await at.browser.fill('Length or load', 'load');
		await at.browser.fill('Standard: height standard, weight or spring', 'Dead weight');
		await at.browser.fill('Reference', '100');
		await springs(at.browser).reading('much');
		await at.browser.press(Key.ENTER);
		await at.browser.sees('read: Must be a length in in or mm');
		expect(await (await at.browser.field('Reference')).getAttribute('value')).toBe('100');
		await springs(at.browser).reading('112');
		await at.browser.press(Key.ENTER);
		await at.browser.sees('112 lbf');
		await at.browser.sees('Correction in force −12.0 lbf');
	});
	it('a pattern that cannot be is refused at its field', async () => {
		await at.browser.go('/gauges/new');
		await parts(at.browser).partName('Odd box');
		await at.browser.fill('link.host', '127.0.0.1');
		await at.browser.fill('link.port', '4999');
		await at.browser.fill('link.pattern', '([');
		await form(at.browser).save();
		await at.browser.sees('look-around and back-references are not understood');
	});
});

describe('files', () => {
	const takeIn = async (name: string, text: string) => {
		await at.browser.go(`${set}?tag=T2`);
		await at.browser.run(
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
		await at.browser.sees('named.csv: 30 points for T2');
	});
	it('CSV that does not is asked about', async () => {
		await takeIn('plain.csv', Papa.unparse(rows, { delimiter: ';' }));
		await at.browser.sees('plain.csv: which column is which?');
		await at.browser.fill('Heights unit', 'mm');
		await at.browser.fill('Loads unit', 'N');
		await at.browser.click('Import', 'button');
		await at.browser.sees('plain.csv: 30 points for T2');
	});
	it('what is wrong is told by line, and nothing is taken', async () => {
		const before = (await sweeps()).length;
		await takeIn('bad.csv', 'height mm,load N\n50,100\n49,heavy\n');
		await at.browser.sees('line 3: load “heavy” is no figure');
		await takeIn('cut.json', '{"format":"zinc-ledger/sweep","version":1,"points":[');
		await outbox(at.browser).cutOff();
		expect((await sweeps()).length).toBe(before);
	});
	it('the open JSON goes out and comes in again, the same points', async () => {
		const out = JSON.parse(await (await fetch(`${at.app.url}${set}/file?tag=T3`)).text()) as {
			id: string;
			points: unknown[];
		};
		await takeIn('t3.json', JSON.stringify({ ...out, id: '0197a333-0000-7000-8000-000000000001' }));
		await at.browser.sees(`t3.json: ${out.points.length} points for T2`);
		const back = JSON.parse(await (await fetch(`${at.app.url}${set}/file?tag=T2`)).text()) as {
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
		await at.browser.sees('dense.csv: 20000 points for T2');
		expect(await at.browser.text('[data-tag="T2"]')).toMatch(/^T2 129\.1 /);
	});
	it('labels carry a code for each spring', async () => {
		await at.browser.go(`${set}/labels`);
		expect(await at.browser.all('main li svg')).toHaveLength(12);
	});
});

describe('Manual entry', () => {
	it('a sweep is typed point by point', async () => {
		await at.browser.go(`${set}/capture?tag=T4`);
		await springs(at.browser).tester('Manual entry');
		await springs(at.browser).fixture('0');
		// The first line says its dial, the next are taken at the dials that are due.
		for (const line of ['1.820 130', '147', '164', '1.280 316']) {
			await at.browser.fill('Dial and load', line);
			await at.browser.press(Key.ENTER);
			await until(
				async () => (await (await at.browser.field('Dial and load')).getAttribute('value')) === ''
			);
		}
		await at.browser.click('Finish', 'button');
		await at.browser.sees('Seat 130');
		await at.browser.sees('too few points');
		await form(at.browser).save();
		await at.browser.sees('Saved T4');
		// A sweep that begins at the set's own height has its load there, and both pages say the same of its bind.
		await at.browser.go(set);
		await until(async () =>
			/^T4 130\.0 316\.0 .*bind too few points/.test(await at.browser.text('[data-tag="T4"]'))
		);
	});
});

describe('the pages of a set that was swept', () => {
	it('have nothing serious for axe in either scheme, and show nothing raw', async () => {
		const { browser } = at;
		for (const path of ['/springs/compare', set, `${set}/capture`, `${set}/labels`]) {
			await browser.go(path);
			expect(await browser.faults(), path).toEqual([]);
			await browser.run('document.documentElement.dataset.scheme = "dark"');
			expect(await browser.faults({ only: 'color-contrast' }), path).toEqual([]);
			expect(await browser.rawValues(), path).toEqual([]);
		}
	});
});
