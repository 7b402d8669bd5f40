import { readFileSync } from 'node:fs';
import { beforeEach, describe, expect, it } from 'vitest';
import { evaluate, lengthOf, partsOf, type Job } from '../../index.ts';
import { readJob } from '../../job/document/file.ts';
import { drawingOf } from './section.ts';
import { sectionPicture } from './section-picture.ts';

let job: Job;
beforeEach(() => {
	const read = readJob(readFileSync('demo/jobs/2417-straight-six.json', 'utf8'));
	if (!read.ok) throw new Error(JSON.stringify(read.problems));
	job = read.value;
});
function draw(label: string, lift = 0) {
	const sheet = evaluate(job);
	const station = sheet.stations.find((one) => one.label === label)!;
	const entry = job.stations.find((one) => one.label === label)!;
	return { station, drawing: drawingOf(station, station.shared, partsOf(job.setup, entry), lift) };
}

describe('the section', () => {
	it('stands to scale: from the seat of the stack to the landing is the installed height', () => {
		const { station, drawing } = draw('4E');
		expect(drawing!.closed.landing - drawing!.floor.seat).toBeCloseTo(
			station.figures.height.figure!,
			6
		);
	});
	it('takes the lift off the right half only', () => {
		const { drawing } = draw('4E', 10);
		expect(drawing!.closed.landing - drawing!.open.landing).toBeCloseTo(10, 6);
		expect(drawing!.closed.tip - drawing!.open.tip).toBeCloseTo(10, 6);
	});
	it('holds another state to the same scale: what was not moved lies on itself, what was does not', () => {
		const frame = { width: 330, height: 410, above: 28, aside: 62 };
		const bare = draw('4E').drawing!;
		expect(sectionPicture(bare, frame).before).toEqual([]);
		const same = sectionPicture(bare, frame, bare);
		const [, retainer] = same.before;
		expect(retainer).toEqual({
			...same.shapes.find(({ role }) => role === 'retainer'),
			role: 'before'
		});
		job.stations.find(({ label }) => label === '4E')!.shims = ['0.045 in'];
		const shimmed = sectionPicture(draw('4E').drawing!, frame, bare);
		const locator = shimmed.shapes.find(({ role }) => role === 'locator')!;
		const top = (shape: (typeof shimmed.shapes)[number]) =>
			shape.type === 'outline' ? Math.min(...shape.points.map(([, y]) => y)) : NaN;
		const [floor] = shimmed.before;
		const scale = shimmed.installed.to[1] - shimmed.installed.from[1];
		const share = lengthOf('0.045 in') / shimmed.installed.length;
		expect(top(floor!) - top(locator)).toBeCloseTo(scale * share, 6);
	});
	it('lays shims under the locator, and the spring is shorter by them', () => {
		const before = draw('4E').drawing!;
		job.stations.find(({ label }) => label === '4E')!.shims = ['0.030 in', '0.015 in'];
		const after = draw('4E').drawing!;
		expect(after.floor.shims).toHaveLength(2);
		expect(after.floor.seat - before.floor.seat).toBeCloseTo(lengthOf('0.045 in'), 6);
		expect(after.closed.landing).toBeCloseTo(before.closed.landing, 6);
	});
	it('draws both coils of a dual spring, inner ones lower by the step', () => {
		const coils = draw('1I').drawing!.closed.coils;
		expect(coils.some(({ inner }) => inner)).toBe(true);
		expect(coils.some(({ inner }) => !inner)).toBe(true);
	});
	it('shows the seal only where its gap was measured, and says what it assumed', () => {
		expect(draw('4E').drawing!.sealTop).toBeNull();
		expect(draw('1I').drawing!.sealTop).not.toBeNull();
		delete job.setup.kinds.intake.spring!.outer;
		expect(draw('1I').drawing!.assumed).toBe(true);
	});
	it('stands the tip above the locks by what was measured', () => {
		const usual = draw('1I').drawing!.closed;
		expect(draw('1I').station.tipHeight).toBeNull();
		const height = job.readings.find(({ station }) => station === '1I')!;
		const reading = { ...height, id: crypto.randomUUID(), read: '0.140 in' };
		job.readings.push({ ...reading, quantity: 'tip-height' });
		const { station, drawing } = draw('1I');
		const above = drawing!.closed.tip - drawing!.closed.landing;
		expect(above - (usual.tip - usual.landing)).toBeCloseTo(station.tipHeight! - 5, 6);
		expect(drawing!.top).toBe(drawing!.closed.tip);
	});
	it('is not drawn before the height is known', () => {
		expect(draw('6E').drawing).toBeNull();
	});
});

describe('the picture of a section', () => {
	const frame = { width: 300, height: 320, above: 26, aside: 52 };
	const picture = (label = '1I', lift = 10) => sectionPicture(draw(label, lift).drawing!, frame);
	const points = (shape: ReturnType<typeof picture>['shapes'][number]) =>
		shape.type === 'circle' ? [shape.at] : shape.points;
	it('lies within its frame', () => {
		for (const [x, y] of picture().shapes.flatMap(points)) {
			expect(x).toBeGreaterThanOrEqual(0);
			expect(x).toBeLessThanOrEqual(frame.width);
			expect(y).toBeGreaterThanOrEqual(frame.above / 2 - 0.001);
			expect(y).toBeLessThanOrEqual(frame.height + 0.001);
		}
	});
	it('has its dimensions to one scale, with the lengths of the sheet', () => {
		const { installed, toBind, toSeal } = picture();
		const { station, drawing } = draw('1I', 10);
		expect(installed.length).toBeCloseTo(station.figures.height.figure!, 6);
		expect(toBind!.length).toBeCloseTo(drawing!.open.landing - drawing!.bind!, 6);
		expect(toSeal!.length).toBeCloseTo(station.sealGap! - 10, 6);
		const scales = [installed, toBind!, toSeal!].map(
			({ from, to, length }) => (to[1] - from[1]) / length
		);
		for (const scale of scales) expect(scale).toBeCloseTo(scales[0]!, 6);
	});
	it('draws both halves alike with the valve closed', () => {
		const { shapes } = picture('1I', 0);
		for (const role of ['coil', 'inner-coil', 'retainer', 'lock', 'seal'] as const) {
			const xs = shapes
				.filter((shape) => shape.role === role)
				.flatMap(points)
				.map(([x]) => x - 150);
			expect(xs.reduce((sum, x) => sum + x, 0)).toBeCloseTo(0, 6);
		}
	});
	it('has no dimension of what is not known', () => {
		expect(picture('4E').toSeal).toBeNull();
	});
});

describe('what the parts of a section look like', () => {
	const shapesOf = (label = '1I', lift = 10) =>
		sectionPicture(draw(label, lift).drawing!, { width: 330, height: 410, above: 28, aside: 62 });
	const of = (role: string, picture = shapesOf()) =>
		picture.shapes.filter((shape) => shape.role === role);
	const heightOf = (picture: ReturnType<typeof shapesOf>, side: -1 | 1) => {
		const valve = of('valve', picture).find(
			(shape) => shape.type === 'outline' && shape.points.some(([x]) => (x - 165) * side > 1)
		)!;
		return Math.max(...(valve.type === 'outline' ? valve.points : []).map(([, y]) => y));
	};
	const spring = () => job.setup.kinds.intake.spring!;
	it('the valve leaves its seat by the lift, on the right only', () => {
		const picture = shapesOf('1I', 10);
		const { from, to, length } = picture.installed;
		const scale = (to[1] - from[1]) / length;
		expect((heightOf(picture, 1) - heightOf(picture, -1)) / scale).toBeCloseTo(10, 6);
		expect(of('port', picture)).toHaveLength(2);
	});
	it('a beehive keeps its width below and narrows above, a cone narrows all the way', () => {
		spring().topOutside = '0.9 in';
		const turns = (build: 'beehive' | 'conical') => {
			spring().build = build;
			return draw('1I').drawing!.closed.coils[0]!.turnsAt!;
		};
		const [hive, cone] = [turns('beehive'), turns('conical')];
		expect(hive[1]).toBeCloseTo(hive[0]!, 9);
		expect(cone[1]!).toBeLessThan(cone[0]!);
		expect(hive.at(-1)).toBeCloseTo(cone.at(-1)!, 9);
		for (const list of [hive, cone]) expect(list.at(-1)!).toBeLessThan(list[0]!);
	});
	it('a damper lies between the coils of a damped spring, and of no other', () => {
		expect(of('damper')).toEqual([]);
		spring().build = 'dual-with-damper';
		expect(of('damper')).toHaveLength(2);
	});
	it('locks of several beads show them, moved by their offset', () => {
		const locks = job.setup.kinds.intake.locks!;
		locks.bead = 'multi-bead';
		expect(of('bead')).toHaveLength(6);
		const before = draw('1I').drawing!.beads!.heights[0]!;
		locks.offset = '0.050 in';
		expect(before - draw('1I').drawing!.beads!.heights[0]!).toBeCloseTo(1.27, 6);
	});
	it('a lash cap stands on the tip, and each shim has its own figure', () => {
		job.setup.kinds.intake.lashCap = { name: 'Cap', thickness: '0.080 in' };
		job.stations.find(({ label }) => label === '1I')!.shims = ['0.030 in', '0.015 in'];
		const picture = shapesOf();
		expect(of('cap', picture)).toHaveLength(4);
		expect(picture.shims.map(({ length }) => length)).toEqual([
			expect.closeTo(0.762, 6),
			expect.closeTo(0.381, 6)
		]);
	});
	it('nothing that nobody gave is drawn as if it were known', () => {
		expect(of('guide').every(({ isAssumed }) => isAssumed)).toBe(true);
		const known = of('coil').some(({ isAssumed }) => isAssumed);
		delete spring().outer;
		expect([known, of('coil').every(({ isAssumed }) => isAssumed)]).toEqual([false, true]);
	});
	it('ends of coils are ground flat on what they stand on', () => {
		const ends = of('coil').filter(({ type }) => type === 'outline');
		expect(ends).toHaveLength(4);
	});
	it('a drawing frozen before ports were drawn is drawn as it was', () => {
		const { port: _, ...before } = draw('1I', 10).drawing!;
		const picture = sectionPicture(before, { width: 150, height: 150, above: 12, aside: 34 });
		expect(of('pocket', picture)).toHaveLength(1);
		expect(of('port', picture)).toEqual([]);
	});
});
