import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { evaluate } from '../../../sheet/evaluation/index.ts';
import { readJob } from '../../../job/document/file.ts';
import type { Job } from '../../../job/document/index.ts';
import { lengthOf, mm } from '../../../foundation/units/index.ts';
import type { LibraryPart, SpringCard } from '../../../parts/part/index.ts';
import { readParts } from '../../../parts/part/file.ts';
import { keyOf } from '../../../foundation/message/index.ts';
import { liftRoom } from './ladder.ts';
import { liftAtRockerFloor } from './limits.ts';

const load = (name: string) => {
	const read = readJob(readFileSync(`demo/jobs/${name}.json`, 'utf8'));
	if (!read.ok) throw new Error(JSON.stringify(read.problems));
	return read.value;
};

describe('how much lift a head takes', () => {
	const job = load('2409-twin-cam');
	const sheet = evaluate(job);
	const room = liftRoom(job, sheet, 'intake');
	const intakes = sheet.stations.filter(({ kind }) => kind === 'intake');

	it('is the least of bind, seal and card, over all stations of the kind', () => {
		const bind = Math.min(
			...intakes.map(
				({ figures, shared }) =>
					figures.height.figure! - shared.bind!.height - lengthOf(job.setup.limits.bindFloor)
			)
		);
		const seal = Math.min(
			...intakes.map(({ sealGap }) => sealGap! - lengthOf(job.setup.limits.sealFloor))
		);
		expect(room.limits.find(({ limit }) => limit === 'coil-bind')!.lift).toBeCloseTo(bind, 9);
		expect(room.limits.find(({ limit }) => limit === 'retainer-to-seal')!.lift).toBeCloseTo(
			seal,
			9
		);
		const lifts = room.limits.map(({ lift }) => lift);
		expect(lifts).toEqual(lifts.toSorted((a, b) => a - b));
		expect(room.cam).toBe(sheet.kinds.intake.lift!.worst);
	});
	it('every rung buys something and names what comes next', () => {
		expect(room.ladder.length).toBeGreaterThan(0);
		for (const { gain, next } of room.ladder) {
			expect(gain).toBeGreaterThan(0);
			expect(next.lift - room.limits[0]!.lift).toBeCloseTo(gain, 9);
		}
	});
	it('puts grinding last and says that it is not recommended', () => {
		const ground = liftRoom(
			{ ...job, setup: { ...job.setup, limits: { ...job.setup.limits, sealFloor: '6 mm' } } },
			sheet,
			'intake'
		).ladder.at(-1)!;
		expect(ground.notRecommended).toBe(true);
		expect(keyOf(ground.tradeOff)).toBe('lift.ground-thins');
	});
	it('takes in what piston and valve leave, where it was measured', () => {
		expect(room.unknown).toContain('piston-to-valve');
		const [{ label }] = intakes as [(typeof intakes)[number]];
		const measured: Job = {
			...job,
			checks: [
				{
					type: 'piston-to-valve',
					id: '0197a999-0000-7000-8000-000000000001',
					station: label,
					method: 'indicator',
					points: [
						{ angle: 10, room: '2.60 mm' },
						{ angle: 0, room: '3.10 mm' }
					],
					person: job.people[0]!.id,
					at: '2026-11-20T10:00:00Z'
				}
			]
		};
		const { limits, unknown } = liftRoom(measured, evaluate(measured), 'intake');
		expect(unknown).not.toContain('piston-to-valve');
		const piston = limits.find(({ limit }) => limit === 'piston-to-valve')!;
		const floor = lengthOf(job.setup.limits.pistonFloors.intake);
		expect(piston).toMatchObject({ station: label });
		expect(piston.lift).toBeCloseTo(room.cam! + 2.6 - floor, 9);
	});
	it('says what is not known', () => {
		const bare = load('2421-marine-v8');
		const none = liftRoom(bare, evaluate(bare), 'intake');
		expect(none.unknown).toContain('retainer-to-seal');
		expect(none.limits.map(({ limit }) => limit)).toEqual(
			expect.not.arrayContaining(['retainer-to-seal', 'piston-to-valve', 'rocker-to-retainer'])
		);
	});
	it('tells coil bind at the height aimed for while no height is measured, and says so', () => {
		const bare = { ...job, readings: [] };
		const at = evaluate(bare);
		const bind = liftRoom(bare, at, 'intake').limits.find(({ limit }) => limit === 'coil-bind')!;
		const { target, bind: solid } = at.kinds.intake;
		expect(bind).toMatchObject({ station: null, atTarget: true });
		expect(bind.lift).toBeCloseTo(
			target.height! - solid!.height - lengthOf(job.setup.limits.bindFloor),
			9
		);
		expect(room.limits.some(({ atTarget }) => atTarget)).toBe(false);
	});
});

describe('rocker to retainer as a limit of lift', () => {
	const lift = { gross: mm(14), net: mm(14), worst: mm(14.5) };
	it('lies where the last two readings would meet the floor', () => {
		// 3.0 at 7 mm, 2.0 at 14 mm: 0.1429 a millimetre; 1.24 more is 8.68 mm, and the pump-up on top
		expect(liftAtRockerFloor([null, mm(3), mm(2)], lift, mm(0.76))).toBeCloseTo(14 + 8.68 + 0.5, 2);
		expect(liftAtRockerFloor([mm(3), null, mm(2)], lift, mm(0.76))).toBeCloseTo(
			14 + 17.36 + 0.5,
			2
		);
	});
	it('is none where the rocker does not come nearer, and no lift at all where it is too near throughout', () => {
		expect(liftAtRockerFloor([mm(2), mm(2.2), mm(2.4)], lift, mm(0.76))).toBeNull();
		expect(liftAtRockerFloor([mm(0.5), null, mm(0.6)], lift, mm(0.76))).toBe(0);
		expect(liftAtRockerFloor([null, null, mm(1)], lift, mm(0.76))).toBeNull();
		expect(liftAtRockerFloor([null, null, null], lift, mm(0.76))).toBeNull();
	});
});

describe('parts of the library', () => {
	const read = readParts(readFileSync('demo/parts.json', 'utf8'));
	if (!read.ok) throw new Error(JSON.stringify(read.problems));
	const library = read.value;
	const job = load('2417-straight-six');
	const sheet = evaluate(job);
	const named = (parts: readonly LibraryPart[]) =>
		liftRoom(job, sheet, 'intake', parts).ladder.map((rung) => ({
			...rung,
			change: keyOf(rung.change),
			tradeOff: keyOf(rung.tradeOff)
		}));
	const plus = library.find(({ part }) => part.name === 'Ostrel 10° plus 0.050')!;
	const rungOf = (parts: readonly LibraryPart[]) =>
		named(parts).find(
			({ change }) => change === 'lift.other-part {"part":"locks","name":"Ostrel 10° plus 0.050"}'
		);

	it('buy what the job has with them in place, and cost what they change', () => {
		const rung = rungOf(library)!;
		const locks = plus.part as NonNullable<Job['setup']['kinds']['intake']['locks']>;
		const intake = { ...job.setup.kinds.intake, locks };
		const changed = { ...job, setup: { ...job.setup, kinds: { ...job.setup.kinds, intake } } };
		const then = evaluate(changed);
		const [first] = liftRoom(changed, then, 'intake').limits;
		const [before] = liftRoom(job, sheet, 'intake').limits;
		expect(rung.next).toEqual(first);
		expect(rung.gain).toBeCloseTo(first!.lift - before!.lift, 9);
		expect(rung.tradeOff).toContain(
			`"lift.seat-loads","params":{"min":${Number(then.seatLoads.intake!.min.toFixed(3))}`
		);
		expect(rung.tradeOff).toContain('lift.tip-falls","params":{"by":1.27}');
	});
	it('say when the shelf has too few', () => {
		expect(rungOf([{ ...plus, stock: 4 }])!.tradeOff).toContain(
			'lift.too-few","params":{"stock":4,"required":6}'
		);
		expect(rungOf([{ ...plus, stock: 6 }])!.tradeOff).not.toContain('lift.too-few');
	});
	it('that do not fit, are retired, or leave a limit unknown are no rungs', () => {
		const locks = plus.part as NonNullable<Job['setup']['kinds']['intake']['locks']>;
		const own = job.setup.kinds.intake.locks!;
		expect(rungOf([{ ...plus, retired: true }])).toBeUndefined();
		const misfit = { ...plus, part: { ...locks, angle: own.angle === 7 ? 10 : 7 } };
		expect(rungOf([misfit as LibraryPart])).toBeUndefined();
		const placed = load('2426-placed-springs');
		const springs = (part: LibraryPart) =>
			liftRoom(placed, evaluate(placed), 'intake', [part]).ladder.filter(({ change }) =>
				keyOf(change).startsWith('lift.other-part {"part":"spring"')
			);
		const other = library.find(({ part }) => part.name === 'Fennick D-39 dual')!;
		const { maxLift: _, ...vague } = other.part as SpringCard;
		expect(springs(other)).toHaveLength(1);
		expect(springs({ ...other, part: vague } as LibraryPart)).toEqual([]);
	});
	it('are tried at every station of the kind, whatever stands there now', () => {
		const one: Job = structuredClone(job);
		one.stations[0]!.parts = { locks: { ...job.setup.kinds.intake.locks!, name: 'Own' } };
		const { ladder } = liftRoom(one, evaluate(one), 'intake', [plus]);
		expect(ladder.map(({ next }) => next)).toContainEqual(rungOf([plus])!.next);
	});
});
