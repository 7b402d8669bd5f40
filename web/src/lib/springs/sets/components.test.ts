/** A set of springs as it is shown: its table, one spring's figures, what is typed of it. */
import { readFileSync } from 'node:fs';
import { beforeEach, describe, expect, it } from 'vitest';
import { mm, USUAL_SET_LIMITS, type SpringCard, type Sweep } from '@zinc-ledger/core';
import { readParts } from '@zinc-ledger/core/parts';
import { atBench, demoJob } from '$lib/test/demo';
import { markup, words, type Around } from '$lib/test/rendered';
import ByHand from './ByHand.svelte';
import SetLimitsForm from './SetLimitsForm.svelte';
import SetTable from './SetTable.svelte';
import SpringFigures from './SpringFigures.svelte';
import { rowsOf, testerName, type Row, type TaggedSpring } from './worked';

const read = readParts(readFileSync('demo/parts.json', 'utf8'));
if (!read.ok) throw new Error('the demo parts do not read');
const cards = read.value.flatMap(({ type, part }) =>
	type === 'spring' ? [part as SpringCard] : []
);
const SEAT = mm(46.2);
const LIFT = mm(13);

/** A spring of 60 N/mm from a load at 46.2 mm, solid at 29 mm; pressed down and no further. */
function swept(tag: string, load: number): TaggedSpring {
	const points = Array.from({ length: 43 }, (_, i): [string, string, 'down'] => {
		const height = 48 - i / 2;
		const past = Math.max(0, 29 - height);
		return [height.toFixed(2), (load + 60 * (46.2 - height) + 4000 * past).toFixed(1), 'down'];
	});
	const sweep: Sweep = {
		format: 'zinc-ledger/sweep',
		version: 1,
		id: crypto.randomUUID(),
		set: 'Six',
		tag,
		tester: 'Bench tester 1',
		fixture: '0 mm',
		heightUnit: 'mm',
		loadUnit: 'N',
		points,
		person: 'Runa Tarn',
		at: '2026-11-20T10:00:00.000Z'
	};
	return { id: tag, tag, measured: {}, sweeps: [sweep] };
}

let around: Around;
let rows: Row[];
beforeEach(() => {
	around = atBench(demoJob('2417-straight-six'));
	around.bench.units = { length: 'mm', load: 'N' };
	const springs = [swept('T1', 600), swept('T2', 604), swept('T3', 500)];
	rows = rowsOf(
		[...springs, { id: 'T4', tag: 'T4', measured: {}, sweeps: [] }],
		'single',
		SEAT,
		LIFT
	);
});
const table = () =>
	markup(
		SetTable,
		{ rows, chosen: 'T1', onchoose: () => undefined, limits: USUAL_SET_LIMITS },
		around
	);
const row = (tag: string) =>
	table()
		.split('<tr')
		.map((one) => words(`<tr${one.split('</tr>')[0]!}`))
		.find((text) => text.startsWith(tag))!;

describe('the table of a set', () => {
	it('has seat and open load, rate and bind of every spring that was tested', () => {
		expect(row('T1')).toMatch(/^T1 600\.0 1380\.0 60\.0/);
		expect(row('T1')).toMatch(/29\.\d\d/);
	});
	it('says how far each is from the median, and stops the odd one', () => {
		expect(row('T1')).toContain('0.0 %');
		expect(row('T3')).toMatch(/−16\.7 % stop/);
	});
	it('says that a spring was not tested', () => {
		expect(row('T4')).toMatch(/^T4 /);
		expect(row('T4')).not.toMatch(/\d{3}/);
	});
});

describe('the figures of one spring', () => {
	const figures = (
		chosen: Row,
		card: SpringCard | null = null,
		fitted: { name: string; step: string }[] = []
	) =>
		words(
			markup(
				SpringFigures,
				{
					spring: chosen,
					card,
					cards,
					seat: SEAT,
					lift: '13 mm',
					limits: USUAL_SET_LIMITS,
					build: 'single',
					fitted
				},
				around
			)
		);
	it('are bind, margin, rate and energy, with who tested it and on what', () => {
		const text = figures(rows[0]!);
		expect(text).toMatch(/T1 .*Runa Tarn, Bench tester 1/);
		expect(text).toMatch(/Margin at lift 13/);
		expect(text).toMatch(/60\.0/);
	});
	it('has the cards that it may be, nearest first', () => {
		expect(figures(rows[0]!)).toMatch(/Identify the spring .*(match|possible|no match)/);
	});
	it('tell card and spring as figures and by how much, not in tolerances', () => {
		const text = figures(rows[0]!);
		expect(text).toMatch(/load at card height .*\d+ → \d+, [+−]?\d+\.\d %/);
		expect(text).not.toContain('tolerance');
	});
	it('warn where the press’s retainer had another step than the job’s', () => {
		const pressed = (step: string) => {
			const [sweep] = rows[0]!.spring.sweeps;
			return { ...rows[0]!, sweep: { ...sweep!, retainer: 'Plate', step } };
		};
		const fitted = [{ name: 'Deep one', step: '3 mm' }];
		expect(figures(pressed('2 mm'), null, fitted)).toMatch(/Deep one, its step 1\.00 deeper/);
		expect(figures(pressed('3 mm'), null, fitted)).not.toContain('its step');
		expect(figures(rows[0]!, null, fitted)).not.toContain('its step');
	});
	it('names a tester that was none of the shop’s', () => {
		expect(testerName({ tester: 'manual-entry' })).toBe('manual entry');
		expect(testerName({ tester: 'Old press' })).toBe('Old press');
	});
});

describe('what is known of a spring by hand', () => {
	it('stands in its fields', () => {
		const spring = { ...rows[0]!.spring, measured: { freeHeight: '52 mm', serial: 'S-7' } };
		const html = markup(ByHand, { spring, onmeasure: () => undefined }, around);
		expect(html).toContain('value="52 mm"');
		expect(html).toContain('value="S-7"');
		expect(html.match(/<input/g)).toHaveLength(4);
	});
});

describe('the limits of a set', () => {
	it('are shown in per cent, as they are kept', () => {
		const html = markup(SetLimitsForm, { setId: 'x', limits: USUAL_SET_LIMITS }, around);
		for (const limit of Object.values(USUAL_SET_LIMITS))
			expect(html).toContain(String(Math.round(limit * 1000) / 10));
	});
});
