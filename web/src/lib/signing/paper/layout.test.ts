/** What stands on paper: the same whether a sheet is signed or not, on screen or in the PDF. */
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import {
	evaluate,
	INCH_POUND,
	METRIC,
	openItems,
	scaleOf,
	walk,
	type Job,
	type Units
} from '@zinc-ledger/core';
import { readJob } from '@zinc-ledger/core/file';
import { label } from '@zinc-ledger/words';
import { paperOf, type Paper } from './layout';
import { printedDraft } from './printed';

function demo(name: string): Job {
	const read = readJob(readFileSync(`demo/jobs/${name}.json`, 'utf8'));
	if (!read.ok) throw new Error(JSON.stringify(read.problems));
	return read.value;
}
const six = demo('2417-straight-six');
const draft = (job: Job = six, units: Units = METRIC, isCustomers = false) =>
	paperOf(printedDraft(job, units), isCustomers);
const cell = (paper: Paper, station: string, figure: Parameters<typeof label<'figure'>>[1]) => {
	const column = paper.columns.findIndex(({ title }) => title === label('figure', figure));
	return paper.rows.find((row) => row.label === station)!.cells[column];
};
const lines = (paper: Paper, title: string) =>
	paper.remarks.find((block) => block.title === title)?.lines.map(({ text }) => text) ?? [];
const stamp = { person: six.people[0]!.id, at: '2026-11-20T09:00:00Z' };

describe('the paper of a sheet', () => {
	it('has a row a valve in the order in which they are measured, and columns of what is there', () => {
		const paper = draft();
		expect(paper.rows.map((row) => row.label)).toEqual(
			walk(six.stations, six.setup.measuringOrder).map((station) => station.label)
		);
		expect(paper.columns.map(({ title }) => title)).not.toContain(label('figure', 'lash'));
		for (const { cells } of paper.rows) expect(cells).toHaveLength(paper.columns.length);
	});
	it('has the figures of the sheet, to the scale of its limits', () => {
		const { figures } = evaluate(six).stations.find((station) => station.label === '4E')!;
		expect(cell(draft(), '4E', 'height')).toEqual({
			text: '47.42',
			state: 'stop',
			scale: scaleOf(figures.height.figure!, figures.height.limits)
		});
		expect(cell(draft(), '6E', 'height')).toBeNull();
	});
	it('says what came off the head, and which of its parts have run before', () => {
		const found = structuredClone(six);
		found.setup.kinds.intake.reused = ['retainer'];
		found.asFound = ['1I', '2I'].map((station, i) => ({
			id: `f${i}`,
			station,
			shims: ['0.030 in'],
			locator: '0.060 in',
			seal: 'positive',
			...(i === 0 && { note: 'one half missing' }),
			...stamp
		})) as Job['asFound'];
		expect(lines(draft(), 'As found')).toEqual([]);
		const [counted, noted] = lines(draft(found, INCH_POUND), 'As found');
		expect(counted).toBe('2 valves stripped: 2 shims of 0.030, 2 locators, 2 seals.');
		expect(noted).toBe('1I: one half missing.');
		const [intakes] = draft(found).blocks;
		expect(Object.fromEntries(intakes!.lines).Retainer).toMatch(/\(used before\)$/);
		expect(Object.fromEntries(intakes!.lines).Spring).not.toContain('used');
	});
	it('has what was measured on the valves in one block, from the least to the most', () => {
		const titles = ({ blocks }: Paper) => blocks.map(({ title }) => title);
		expect(titles(draft())).not.toContain('Valves and seats');
		const inspected = structuredClone(six);
		['1I', '2I', '3I'].forEach((station, i) =>
			inspected.readings.push({
				...six.readings[0]!,
				id: crypto.randomUUID(),
				station,
				quantity: 'stem-diameter',
				read: `${(7.98 + i / 100).toFixed(2)} mm`
			})
		);
		const block = draft(inspected).blocks.find(({ title }) => title === 'Valves and seats');
		expect(block!.lines).toEqual([['Stem diameter', '7.98 to 8.00 mm (3)']]);
	});
	it('is in the units of who reads it', () => {
		const paper = draft(six, INCH_POUND);
		expect(cell(paper, '4E', 'height')!.text).toBe('1.867');
		expect(new Set(paper.columns.map(({ unit }) => unit))).toEqual(new Set(['in', 'lbf']));
		expect(paper.blocks.at(-1)!.lines[0]).toEqual(['Height within', '± 0.005']);
	});
	it('says what was fitted, what lift and bind it was judged by, and what is least', () => {
		const paper = draft();
		const intake = Object.fromEntries(paper.blocks[0]!.lines);
		expect(intake).toMatchObject({
			Spring: 'Fennick D-37 dual',
			Lift: '13.72 gross, 13.36 net',
			'Seat loads': '569 to 586'
		});
		expect(paper.measured).toMatch(/^Measured by Kelso Lind, Runa Tarn, last .* 3I\.$/);
		const bare = structuredClone(six);
		delete bare.setup.kinds.exhaust.spring;
		bare.readings = [];
		const without = draft(bare);
		expect(Object.fromEntries(without.blocks[1]!.lines)).toMatchObject({
			Spring: 'not given',
			'Seat loads': 'not known'
		});
		expect(without.measured).toBe('Measured by nobody yet.');
	});
	it('says that it is not signed, and has neither signature nor section then', () => {
		const paper = draft();
		expect(paper.dates).toContain('not signed');
		expect([paper.signature, paper.section]).toEqual([null, null]);
		expect(draft(six, METRIC, true).dates).toContain('customer’s copy');
	});
});

describe('what is said on paper', () => {
	it('is the findings of fit once for both kinds, with what was accepted apart', () => {
		const open = structuredClone(six);
		open.setup.kinds.exhaust.locks!.angle = 7;
		expect(lines(draft(open), 'Fit')).toEqual([
			expect.stringMatching(/^.*, Exhaust: locks 7°, retainer 10°\. Not accepted\.$/),
			expect.stringMatching(/, Intake, Exhaust: retainer Ostrel, locks Brackel\.$/)
		]);
		const finding = openItems(open, evaluate(open)).find(
			({ text }) => text.code === 'fit.rule'
		)!.key;
		open.acceptances.push({
			id: crypto.randomUUID(),
			finding,
			accepted: true,
			reason: 'mock-up only',
			...stamp
		});
		const paper = draft(open);
		expect(lines(paper, 'Fit')[0]).not.toContain('Not accepted');
		expect(lines(paper, 'Accepted')).toEqual([
			expect.stringMatching(/^Exhaust: .*\. Accepted by .*: mock-up only$/)
		]);
	});
	it('is every remark that is to be seen to, with its station', () => {
		const remarks = lines(draft(), 'Remarks');
		expect(remarks).toContain('4E: Shim 0.76 + 0.38.');
		expect(remarks.some((text) => text.startsWith('6E'))).toBe(false);
	});
	it('leaves private notes out of the customer’s copy, and resolved ones are no line', () => {
		const noted = structuredClone(six);
		const note = (text: string, isPrivate: boolean, resolves?: string) => {
			const id = crypto.randomUUID();
			noted.notes.push({
				id,
				text,
				private: isPrivate,
				blocksSignOff: false,
				...(resolves && { resolves }),
				...stamp
			});
			return id;
		};
		const first = note('Seats cut twice', false);
		note('Slow payer', true);
		note('resolved', false, first);
		expect(lines(draft(noted), 'Notes')).toHaveLength(2);
		expect(lines(draft(noted, METRIC, true), 'Notes')).toEqual([
			expect.stringMatching(/^Seats cut twice \(/)
		]);
	});
	it('tells how lash was set, once for all that were set alike', () => {
		const set = structuredClone(six);
		for (const station of ['1I', '2I'])
			set.readings.push({
				...six.readings[0]!,
				id: crypto.randomUUID(),
				station,
				quantity: 'lash',
				read: '0.014 in',
				engine: 'cold',
				lash: { as: 'set', marked: true },
				...stamp
			});
		const paper = draft(set);
		expect(lines(paper, 'Lash')).toEqual([expect.stringMatching(/^set cold by .*, marked\.$/)]);
		expect(cell(paper, '1I', 'lash')!.text).toBe('0.36');
	});
	it('is no title without a line', () => {
		for (const { lines: own } of draft().remarks) expect(own.length).toBeGreaterThan(0);
		expect(draft().remarks.some(({ title }) => title === 'Notes')).toBe(false);
	});
});
