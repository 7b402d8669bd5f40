import { describe, expect, it } from 'vitest';
import { asBuiltLimits, asBuiltVerdict, likelyCause } from '../as-built/index.ts';
import { keyOf, message } from '../../foundation/message/index.ts';
import { inches, mm } from '../../foundation/units/index.ts';
import {
	holdsAir,
	minRoom,
	newestChecks,
	passagesAtFault,
	pistonVerdict,
	type CheckOf
} from './check.ts';
import { readLoss, readRooms, readVacuum } from './read.ts';

const planned = {
	height: inches(1.82),
	shims: [inches(0.03), inches(0.015)],
	locator: inches(0.06),
	lockOffset: inches(0.05)
};
const tolerance = inches(0.005);
const built = (height: number, uncertainty = 0) =>
	asBuiltVerdict(
		inches(height),
		planned,
		asBuiltLimits(tolerance, planned.shims, inches(0.03)),
		uncertainty
	);
const about = (apart: number) => keyOf(likelyCause(inches(apart), planned, tolerance));

describe('as-built', () => {
	it('is clear to the tolerance, watched beyond it, and a stop where it looks like a part', () => {
		expect(built(1.825).state).toBe('clear');
		expect(built(1.826).state).toBe('watch');
		expect(built(1.81).state).toBe('watch');
		// The thinnest shim is 0.015: it may be missing, or in twice.
		expect(built(1.8355).state).toBe('stop');
		expect(built(1.8045).state).toBe('stop');
		expect(built(1.8245, 0.05).state).toBe('clear');
		expect(built(1.834, 0.05).state).toBe('inconclusive');
	});
	it('is a stop at the tolerance where a shim is no thicker, and by the height’s stop without any', () => {
		expect(asBuiltLimits(tolerance, [inches(0.004)], inches(0.03)).part).toBe(tolerance);
		expect(asBuiltLimits(tolerance, [], inches(0.03)).part).toBe(inches(0.03));
	});
	it('says by how much and what that looks like', () => {
		expect(keyOf(built(1.85).remedy!)).toBe(
			keyOf(
				message('as-built.off', {
					by: inches(0.03),
					way: 'taller',
					cause: message('cause.shim-left-out', { shim: inches(0.03) })
				})
			)
		);
		expect(about(0.016)).toBe('cause.shim-left-out {"shim":0.381}');
		expect(about(0.06)).toBe('cause.locator-left-out');
		expect(about(0.1)).toBe('cause.taller');
		expect(about(-0.05)).toBe('cause.other-locks');
		expect(about(-0.03)).toBe('cause.shim-in-twice {"shim":0.762}');
		expect(about(-0.1)).toBe('cause.shorter');
	});
});

const stamp = { person: 'x', at: '2026-03-01T08:00:00Z' };
const piston = (rooms: [number, string][]): CheckOf<'piston-to-valve'> => ({
	...stamp,
	id: 'p',
	type: 'piston-to-valve',
	station: '1I',
	method: 'indicator',
	points: rooms.map(([angle, room]) => ({ angle, room }))
});
const port = (reached: string, min = '15 inHg'): CheckOf<'vacuum'> => ({
	...stamp,
	id: 'v',
	type: 'vacuum',
	station: '1I',
	reached,
	min,
	seconds: 10
});

describe('piston-to-valve', () => {
	const check = piston([
		[-10, '0.120 in'],
		[10, '0.085 in'],
		[20, '0.090 in']
	]);
	it('is the least over the overlap, with its angle', () => {
		expect(minRoom(check)).toEqual({ angle: 10, room: inches(0.085) });
	});
	it('tried on another gasket than will run, is told for the one that will', () => {
		const tried = { ...check, gasket: '0.040 in' };
		const on = (gasketThickness: string, valveAngle?: number) =>
			pistonVerdict(tried, mm(0), inches(0.08), { gasketThickness, valveAngle }).figure!;
		expect(on('0.040 in')).toBeCloseTo(inches(0.085), 9);
		expect(on('0.030 in')).toBeCloseTo(inches(0.075), 9);
		// Thinner takes more at an angle, thicker gives less: both err to less room.
		expect(on('0.030 in', 20)).toBeCloseTo(inches(0.085) - 0.254 / Math.cos(Math.PI / 9), 9);
		expect(on('0.050 in', 20)).toBeCloseTo(inches(0.085) + 0.254 * Math.cos(Math.PI / 9), 9);
		expect(pistonVerdict(check, mm(0), inches(0.08), { gasketThickness: '0.030 in' }).figure).toBe(
			inches(0.085)
		);
	});
	it('holds its floor, and not less a pumped-up lifter', () => {
		expect(pistonVerdict(check, mm(0), inches(0.08)).state).toBe('clear');
		const verdict = pistonVerdict(check, inches(0.02), inches(0.08));
		expect(verdict.state).toBe('stop');
		expect(keyOf(verdict.remedy!)).toBe('piston.too-near {"by":0.381,"angle":10}');
	});
	it('is known no better than clay or an indicator can tell it', () => {
		const by = (method: 'clay' | 'indicator', room: string) =>
			pistonVerdict({ ...check, method, points: [{ angle: 10, room }] }, mm(0), inches(0.08)).state;
		expect(by('clay', '0.080 in')).toBe('inconclusive');
		expect(by('indicator', '0.080 in')).toBe('inconclusive');
		expect([by('clay', '0.090 in'), by('indicator', '0.090 in')]).toEqual([
			'inconclusive',
			'clear'
		]);
	});
});

describe('checks', () => {
	const passage = (passes: boolean, at: string) => ({
		...stamp,
		id: at,
		type: 'passage' as const,
		station: '1I',
		passage: 'pushrod' as const,
		passes,
		at
	});
	it('the newest of a type at a station counts', () => {
		const failed = passage(false, '2026-03-02T08:00:00Z');
		const mended = passage(true, '2026-03-03T08:00:00Z');
		const now = newestChecks([mended, failed, port('20 inHg'), piston([[0, '1 mm']])]).get('1I')!;
		expect(now.passages.pushrod).toBe(mended);
		expect([now.vacuum?.reached, now.piston?.points.length]).toEqual(['20 inHg', 1]);
		expect(passagesAtFault(now)).toEqual([]);
		expect(passagesAtFault(newestChecks([failed]).get('1I')!)).toEqual(['pushrod']);
	});
});

describe('leak-down', () => {
	const air = (loss: number, max = 0.15): CheckOf<'leak-down'> => ({
		...stamp,
		id: 'l',
		type: 'leak-down',
		station: '1I',
		loss,
		max
	});
	it('is held to the part that may be lost', () => {
		expect(holdsAir(air(0.15))).toBe(true);
		expect(holdsAir(air(0.16))).toBe(false);
	});
	it('stands beside the other checks of its station, the newest of it', () => {
		const later = { ...air(0.05), at: '2026-03-02T08:00:00Z' };
		const now = newestChecks([later, air(0.3), port('20 inHg')]).get('1I')!;
		expect(now.leakDown).toBe(later);
		expect(now.vacuum).not.toBeNull();
	});
});

describe('what is typed of a check', () => {
	it('is a part lost, in per cent', () => {
		expect(readLoss(' 8,5 % ')).toEqual({ ok: true, loss: 0.085 });
		for (const typed of ['', 'much', '-3', '101']) expect(readLoss(typed).ok).toBe(false);
	});
	it('is a vacuum with its unit, and whole seconds', () => {
		expect(readVacuum({ reached: '18,5', seconds: '10' }, 'inHg')).toEqual({
			ok: true,
			value: { reached: '18.5 inHg', seconds: 10 }
		});
		expect(readVacuum({ reached: '620 mbar', seconds: ' 0 ' }, 'inHg')).toMatchObject({
			value: { reached: '620 mbar', seconds: 0 }
		});
	});
	it.each([
		['much', '10', ['reached']],
		['', '10', ['reached']],
		['-3', '10', ['reached']],
		['18 psi', '10', ['reached']],
		['18', '2.5', ['seconds']],
		['18', '601', ['seconds']],
		['18', '', ['seconds']],
		['x', 'y', ['reached', 'seconds']]
	])('is refused at its field: reached “%s”, held “%s”', (reached, seconds, fields) => {
		const read = readVacuum({ reached, seconds }, 'inHg');
		expect(read.ok ? [] : Object.keys(read.problems)).toEqual(fields);
	});
	it('is the room at each angle, rows without one passed over', () => {
		const rows = [
			{ angle: '-10', room: '110' },
			{ angle: '−2,5', room: '2.4 mm' },
			{ angle: 'left empty', room: ' ' }
		];
		expect(readRooms(rows, 'in')).toEqual({
			ok: true,
			value: [
				{ angle: -10, room: '0.110 in' },
				{ angle: -2.5, room: '2.4 mm' }
			]
		});
	});
	it('is refused at the row and field that cannot be', () => {
		const rows = [
			{ angle: '', room: '0.110' },
			{ angle: '200', room: 'near' },
			{ angle: '0', room: '0.100' }
		];
		const read = readRooms(rows, 'in');
		expect(read.ok ? [] : Object.keys(read.problems)).toEqual(['0.angle', '1.room', '1.angle']);
		expect(readRooms([{ angle: '0', room: '' }], 'in')).toEqual({
			ok: false,
			problems: { '0.room': message('field.required') }
		});
	});
});
