/** A customer's word on a spring that lacks a rate or a bind is taken as far as it goes. */
import { readFileSync } from 'node:fs';
import { beforeEach, describe, expect, it } from 'vitest';
import { readJob } from '../../job/document/file.ts';
import type { Job } from '../../job/document/index.ts';
import { evaluate } from '../evaluation/index.ts';
import { keyOf } from '../../foundation/message/index.ts';
import { SpringCard } from '../../parts/part/schema.ts';
import { inches, lengthOf, loadOf } from '../../foundation/units/index.ts';

const read = readJob(readFileSync('demo/jobs/2417-straight-six.json', 'utf8'));
if (!read.ok) throw new Error('demo');
let job: Job;
beforeEach(() => {
	job = structuredClone(read.value);
});
const sheetWith = (change: object) => {
	const card = SpringCard.parse({
		id: job.setup.kinds.intake.spring!.id,
		name: 'As the customer says',
		source: 'customer',
		seat: { height: '1.820 in', load: '125 lbf' },
		...change
	});
	job.setup.kinds.intake.spring = card;
	const sheet = evaluate(job);
	const measured = sheet.stations.filter(
		({ kind, figures }) => kind === 'intake' && figures.height.figure !== null
	);
	return { kind: sheet.kinds.intake, stations: measured, first: measured[0]!.figures };
};

describe('a spring of which one load at one height is known', () => {
	it('has a target, its load there, and asks for a rate anywhere else and for its bind', () => {
		const { kind, first } = sheetWith({});
		expect(kind.target.height).toBeCloseTo(lengthOf('1.820 in'), 9);
		expect(kind.rate).toBeNull();
		expect(kind.bind).toBeNull();
		expect(kind.curve!.load(inches(1.82))).toBeCloseTo(loadOf('125 lbf'), 9);
		expect(kind.curve!.load(inches(1.8))).toBeNull();
		expect(first.seatLoad.state).toBe('not-measured');
		expect(first.seatLoad.needs.map(keyOf)).toEqual(['need.rate']);
		expect(first.bindMargin.needs.map(keyOf)).toEqual(['need.bind']);
	});
});

describe('a spring without a bind', () => {
	it('has loads as far as its second height, and none that it says nothing of', () => {
		const { kind, stations } = sheetWith({ open: { height: '1.300 in', load: '303 lbf' } });
		expect(kind.bind).toBeNull();
		expect(kind.curve!.lowest).toBeCloseTo(inches(1.3), 9);
		expect(kind.curve!.load(inches(1.2))).toBeNull();
		const low = stations.find(({ figures }) => figures.openLoad.figure === null)!;
		expect(keyOf(low.figures.openLoad.remedy!)).toContain('spring.beyond-card');
		expect(stations.every(({ figures }) => figures.seatLoad.figure !== null)).toBe(true);
		// Somebody's word makes nothing clear, and a margin that nobody knows is none.
		expect(stations.every(({ figures }) => figures.bindMargin.state === 'not-measured')).toBe(true);
	});
	it('goes as far down as its greatest lift leads, where it says that', () => {
		const { kind } = sheetWith({ rate: '340 lbf/in', maxLift: '0.600 in' });
		expect(kind.curve!.lowest).toBeCloseTo(inches(1.22), 9);
		expect(kind.curve!.load(inches(1.22))).not.toBeNull();
	});
	it('of which only the inner is known has none for the pair', () => {
		expect(sheetWith({ rate: '340 lbf/in', innerBind: '1.040 in' }).kind.bind).toBeNull();
	});
});
