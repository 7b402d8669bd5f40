/** docs/worked-example.md, figure by figure: the hand's answer in inches and lbf, as shown. */
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { INCH_POUND, showLength, showLoad, showRate } from '../../foundation/units/index.ts';
import { keyOf } from '../../foundation/message/index.ts';
import { evaluate } from './evaluate.ts';
import { readJob } from '../../job/document/file.ts';
import { shimAction } from '../figures/index.ts';

const read = readJob(readFileSync('docs/worked-example.json', 'utf8'));
if (!read.ok) throw new Error(JSON.stringify(read.problems));
const sheet = evaluate(read.value);
const station = sheet.stations.find(({ label }) => label === '1I')!;
const intake = sheet.kinds.intake;
const length = (value: Parameters<typeof showLength>[0] | null) =>
	value === null ? null : showLength(value, INCH_POUND);
const load = (value: Parameters<typeof showLoad>[0] | null) =>
	value === null ? null : showLoad(value, INCH_POUND);

describe('the worked example', () => {
	it('has the stack, steps 2 and 3', () => {
		expect(length(station.figures.bare.figure)).toBe('1.859');
		expect(length(station.figures.height.figure)).toBe('1.784');
		expect(station.figures.height.state).toBe('watch');
		expect(length(station.figures.height.limit!.at)).toBe('1.790');
		expect(length(station.figures.height.difference)).toBe('−0.006');
	});
	it('has the lifts, steps 4 and 5', () => {
		expect(length(intake.lift!.gross)).toBe('0.560');
		expect(length(intake.lift!.net)).toBe('0.542');
	});
	it('has rate and loads, steps 6 to 8', () => {
		expect(showRate(intake.rate!, INCH_POUND)).toBe('400');
		expect(load(station.figures.seatLoad.figure)).toBe('146');
		expect(load(station.figures.openLoad.figure)).toBe('363');
		expect(station.figures.seatLoad.sources).toEqual(['measured', 'card']);
	});
	it('has the bind and its margin, steps 9 and 10', () => {
		expect(intake.bind!.first).toBe('inner');
		expect(length(intake.bind!.height)).toBe('1.140');
		expect(length(station.figures.bindMargin.figure)).toBe('0.084');
		expect(station.figures.bindMargin.state).toBe('clear');
	});
	it('has the seal gap and clearance, steps 11 and 12', () => {
		expect(length(station.sealGap)).toBe('0.620');
		expect(length(station.figures.sealClearance.figure)).toBe('0.060');
		expect(station.figures.sealClearance.state).toBe('clear');
	});
	it('has the lash, step 13', () => {
		expect(length(station.figures.lash!.figure)).toBe('0.019');
		expect(station.figures.lash!.state).toBe('clear');
	});
	it('has the shims and what they lead to, steps 14 and 15', () => {
		const { answer, outcome } = station.shim!;
		expect(keyOf(shimAction(answer, station.stack.shims)!)).toBe('shims.take-out');
		expect(length(outcome!.height)).toBe('1.799');
		expect(load(outcome!.seatLoad)).toBe('140');
		expect(load(outcome!.openLoad)).toBe('357');
		expect(length(outcome!.bindMargin)).toBe('0.099');
	});
	it('has the energy, step 17', () => {
		expect(station.energy!.toFixed(1)).toBe('19.4');
	});
});
