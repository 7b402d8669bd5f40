import { readFileSync } from 'node:fs';
import { beforeEach, describe, expect, it } from 'vitest';
import {
	INCH_POUND,
	inches,
	isPlausible,
	lengthOf,
	mm,
	showLength,
	showLoad
} from '../../foundation/units/index.ts';
import { keyOf, message } from '../../foundation/message/index.ts';
import { evaluate } from './evaluate.ts';
import { inPlaceFor, type Job, type Reading } from '../../job/document/index.ts';
import { plausibleBand, type StationSheet } from '../figures/index.ts';
import { stagesOf } from '../../signing/stages/index.ts';

const load = (name: string): Job =>
	JSON.parse(
		readFileSync(new URL(`../../../../demo/jobs/${name}.json`, import.meta.url), 'utf8')
	) as Job;

let job: Job;
beforeEach(() => {
	job = load('2417-straight-six');
});

const station = (label: string, of = job): StationSheet =>
	evaluate(of).stations.find((each) => each.label === label)!;
const shown = (label: string) => {
	const { figures } = station(label);
	return [
		showLength(figures.height.figure!, INCH_POUND),
		showLoad(figures.seatLoad.figure!, INCH_POUND),
		showLoad(figures.openLoad.figure!, INCH_POUND),
		showLength(figures.bindMargin.figure!, INCH_POUND)
	];
};
const remarksAt = (label: string) => station(label).remarks.map((remark) => keyOf(remark.text));

function read(label: string, figure: string, change: Partial<Reading> = {}): Reading {
	const like = job.readings[0]!;
	const reading = {
		...like,
		id: crypto.randomUUID(),
		station: label,
		read: figure,
		at: '2026-11-20T08:00:00.000Z',
		...change
	};
	job.readings.push(reading);
	return reading;
}

describe('the worked example of docs/worked-example.md', () => {
	it('station 4E comes to the figures worked out by hand', () => {
		expect(shown('4E')).toEqual(['1.867', '114', '291', '0.186']);
		const sheet = station('4E');
		expect(showLength(sheet.figures.bare.figure!, INCH_POUND)).toBe('1.927');
		expect(sheet.energy!.toFixed(1)).toBe('14.4');
		expect(evaluate(job).kinds.exhaust.bind!.first).toBe('outer');
	});

	it('station 4E is to be shimmed 0.030 + 0.015, which leads to 1.822, 129, 307 and 0.141', () => {
		const outcome = station('4E').shim!.outcome!;
		expect([
			outcome.shims.map((shim) => showLength(shim, INCH_POUND)).join(' + '),
			showLength(outcome.height, INCH_POUND),
			showLoad(outcome.seatLoad!, INCH_POUND),
			showLoad(outcome.openLoad!, INCH_POUND),
			showLength(outcome.bindMargin!, INCH_POUND)
		]).toEqual(['0.030 + 0.015', '1.822', '129', '307', '0.141']);
	});

	it('station 4E stands 0.046 above its kind, past a reach of 0.013', () => {
		const { bare: bareHeight } = station('4E').figures;
		const { exhaust } = evaluate(job).kinds;
		expect(showLength(mm(bareHeight.figure! - exhaust.bareMedian!), INCH_POUND)).toBe('0.046');
		expect(showLength(exhaust.bareReach!, INCH_POUND)).toBe('0.013');
		expect(remarksAt('4E').join()).toContain('height.taller {"by":1.1');
	});

	it('station 3I has 0.050 to the seal, too close to call with a gauge that is known to 0.0017', () => {
		const { sealClearance } = station('3I').figures;
		expect(showLength(sealClearance.figure!, INCH_POUND)).toBe('0.050');
		expect(sealClearance.state).toBe('inconclusive');
		// √(0.0005² + 0.0005² + 0.001² ÷ 12 + 0.0003²) = 0.00082 in; ν = 24 × (u² ÷ 2s²)² = 43, t = 2.0167
		expect(sealClearance.uncertainty).toBeCloseTo(0.042, 4);
	});
});

describe('which reading counts', () => {
	it('is the newest that is not struck', () => {
		const later = read('1I', '1.821 in');
		expect(shown('1I')[0]).toBe('1.821');
		job.voids.push({ ...job.voids[0]!, id: crypto.randomUUID(), reading: later.id });
		expect(shown('1I')[0]).toBe('1.818');
	});

	it('leaves the struck locator mistake of 2E out', () => {
		expect(shown('2E')[0]).toBe('1.817');
	});

	it('remarks on two readings further apart than the gauge explains', () => {
		const other = job.people.find(({ id }) => id !== job.readings[0]!.person)!;
		read('1I', '1.830 in', { person: other.id });
		expect(remarksAt('1I')).toContain(
			keyOf(message('height.readings-disagree', { people: 'two', times: 2, by: inches(0.012) }))
		);
		read('1E', '1.822 in');
		expect(remarksAt('1E')).toEqual([]);
	});

	it('counts the readings of a set that disagrees', () => {
		const set = crypto.randomUUID();
		['1.810 in', '1.818 in', '1.824 in'].forEach((figure, i) =>
			read('1I', figure, { set, at: `2026-11-20T09:0${i}:00.000Z` })
		);
		const says = station('1I').remarks.find(({ text }) => text.code === 'height.readings-disagree');
		expect(says!.text).toMatchObject({ params: { people: 'one', times: 3 } });
	});

	it('gives the same height whatever was under the gauge', () => {
		const bare = { ...job.readings[0]!.inPlace, locator: '0.000 in' };
		read('1I', '1.878 in', { inPlace: bare });
		expect(shown('1I')[0]).toBe('1.818');
	});
});

describe('what is not known', () => {
	it('is never clear', () => {
		expect(station('6I').state).toBe('not-measured');
		delete job.setup.kinds.intake.lift;
		const { figures } = station('1I');
		expect(figures.bindMargin).toMatchObject({
			state: 'not-measured',
			needs: [message('need.lift')]
		});
		expect(figures.openLoad.state).toBe('not-measured');
		expect(figures.sealClearance.state).toBe('not-measured');
		expect(figures.height.state).toBe('clear');
	});

	it('leaves a height unjudged, yet shown, without a spring card', () => {
		delete job.setup.kinds.intake.spring;
		const { height, seatLoad } = station('1I').figures;
		expect(height).toMatchObject({
			state: 'not-measured',
			needs: [message('need.spring')],
			remedy: message('needs', { of: [message('need.spring')] })
		});
		expect(showLength(height.figure!, INCH_POUND)).toBe('1.818');
		expect(seatLoad.figure).toBeNull();
		expect(evaluate(job).remarks.map((r) => keyOf(r.text))).toContain(
			keyOf(
				message('of-kind', {
					kind: 'intake',
					says: message('needs', { of: [message('need.spring')] })
				})
			)
		);
	});

	it('does not judge one outlier among three', () => {
		job.readings = job.readings.filter((reading) => reading.station !== '1E');
		expect(station('4E').figures.bare.state).toBe('not-measured');
	});

	it('makes a told figure a watch at best', () => {
		job.setup.kinds.intake.spring!.source = 'customer';
		expect(station('1I').figures.seatLoad.state).toBe('watch');
	});
});

describe('springs', () => {
	it('are believed as tested rather than by card, and never outside the test', () => {
		const finished = load('2409-twin-cam');
		expect(evaluate(finished).kinds.intake.curve!.from).toBe('tested');
		expect(evaluate(finished).kinds.intake.sources.spring).toBe('tested');
		finished.setup.kinds.intake.spring!.tested!.points =
			finished.setup.kinds.intake.spring!.tested!.points.slice(0, 8);
		const { openLoad, seatLoad } = station('1Ia', finished).figures;
		expect(openLoad.state).toBe('not-measured');
		expect(keyOf(openLoad.remedy!)).toMatch(/^spring\.not-tested-at/);
		expect(seatLoad.state).toBe('clear');
	});

	it('name the inner when it binds first', () => {
		job.setup.kinds.intake.retainer!.step = '0.215 in';
		// 1.040 + 0.215 = 1.255; 1.818 − 0.540 − 1.255 = 0.023
		expect(shown('1I')[3]).toBe('0.023');
		expect(remarksAt('1I')[0]).toBe(
			keyOf(
				message('bind-margin.short', {
					by: inches(0.027),
					of: 'floor',
					first: 'inner',
					shimmed: false
				})
			)
		);
		job.stations.find((one) => one.label === '1I')!.shims = ['0.015 in'];
		expect(station('1I').remarks[0]!.text).toMatchObject({ params: { shimmed: true } });
		job.stations.find((one) => one.label === '1I')!.shims = [];
		// 0.051 short: more than plus locks of 0.050 give, and no shim is there
		job.setup.kinds.intake.retainer!.step = '0.239 in';
		expect(remarksAt('1I')[0]).toContain('bind-margin.wrong-spring');
		job.setup.kinds.intake.retainer!.step = '0.237 in';
		expect(remarksAt('1I')[0]).toContain('bind-margin.short');
	});

	it('stop at a lift above what their card allows', () => {
		job.setup.kinds.intake.spring!.maxLift = '0.520 in';
		const finding = evaluate(job).fit.find(
			({ rule, kind }) => rule === 'spring-max-lift' && kind === 'intake'
		);
		expect(finding).toMatchObject({ outcome: 'fails', severity: 'stop' });
		expect(evaluate(job).state).toBe('stop');
	});

	it('are remarked on when a card contradicts itself', () => {
		job.setup.kinds.intake.spring!.rate = '300 lbf/in';
		expect(evaluate(job).remarks[0]!.state).toBe('watch');
	});
});

describe('aims', () => {
	it('follow the method of the kind', () => {
		job.setup.kinds.intake.aim = { method: 'bind-cushion', cushion: '0.060 in' };
		const { intake } = evaluate(job).kinds;
		expect(showLength(intake.target.height!, INCH_POUND)).toBe('1.750');
	});

	it('judge by the floor and the least seat load as it stands', () => {
		job.setup.kinds.exhaust.aim = { method: 'as-it-stands', minSeatLoad: '120 lbf' };
		const { height, seatLoad } = station('4E').figures;
		expect(height.state).toBe('clear');
		expect(height.limit!.code).toBe('lowest-for-bind');
		expect(seatLoad.state).toBe('stop');
		expect(station('4E').shim).toBeNull();
	});

	it('warn of an open load above what the lifter stands', () => {
		job.setup.kinds.intake.maxOpenLoad = '305 lbf';
		expect(remarksAt('1I')).toContain('open-load.above-max {"by":30.544}');
	});
});

describe('lash', () => {
	const inForce = { quantity: 'lash', engine: 'cold' } as const;
	it.each([
		['0.014 in', 'clear'],
		['0.016 in', 'clear'],
		['0.017 in', 'watch'],
		['0.000 in', 'stop']
	])('%s against 0.014 ± 0.002 is %s', (figure, state) => {
		read('1I', figure, inForce);
		expect(station('1I').figures.lash!.state).toBe(state);
	});

	it('is not compared across engine states', () => {
		read('1I', '0.014 in', { ...inForce, engine: 'hot' });
		expect(station('1I').figures.lash!.state).toBe('not-measured');
	});

	it('is not asked of hydraulic lifters, and remarked on when given', () => {
		job.setup.lifters = 'hydraulic';
		expect(station('1I').figures.lash).toBeNull();
		const finding = evaluate(job).fit.find(({ rule }) => rule === 'lash-for-lifters');
		expect(finding).toMatchObject({ outcome: 'fails', severity: 'watch' });
	});
});

describe('the seal gap', () => {
	it('grows with plus locks and shrinks with a taller seal', () => {
		job.setup.kinds.intake.locks!.offset = '0.050 in';
		job.setup.kinds.intake.seal!.height = '0.440 in';
		// 0.590 + 0.050 − 0.020 − 0.540 = 0.080
		expect(showLength(station('3I').figures.sealClearance.figure!, INCH_POUND)).toBe('0.080');
	});

	it('read with the seal not home is remarked on', () => {
		const gap = job.readings.find((each) => each.quantity === 'seal-gap' && each.station === '1I')!;
		gap.inPlace.sealHome = false;
		expect(remarksAt('1I')[0]).toBe('seal.not-seated');
	});
});

describe('the job as a whole', () => {
	it('tells of shims that run short', () => {
		job.setup.shimStock[0]!.count = 0;
		job.setup.shimStock[1]!.count = 0;
		read('1I', '1.880 in');
		job.setup.shimStock[2]!.count = 1;
		const texts = evaluate(job).remarks.map((remark) => keyOf(remark.text));
		expect(texts).toContain(
			keyOf(message('stock.too-few', { shim: inches(0.06), suggested: 2, stock: 1 }))
		);
	});

	it('names the least margins and the seat loads of each kind', () => {
		const { min, seatLoads } = evaluate(job);
		expect(min.bindMargin!.station).toBe('3I');
		expect(min.sealClearance!.station).toBe('3I');
		expect(showLoad(seatLoads.exhaust!.min, INCH_POUND)).toBe('114');
	});

	it('knows its stages', () => {
		const stages = stagesOf(job, evaluate(job));
		const notes = stages.map(({ note }) => (note ? keyOf(note) : ''));
		expect(notes).toEqual([
			'stage.stations {"count":12}',
			'stage.set',
			'stage.fit-accepted {"count":2}',
			'stage.of {"done":12,"of":12}',
			'stage.of {"done":8,"of":12}',
			'stage.of {"done":6,"of":12}',
			'stage.to-fit {"count":1}',
			'',
			'stage.of {"done":0,"of":12}',
			'',
			'stage.of {"done":0,"of":12}',
			'stage.at-stop {"count":1}',
			expect.stringMatching(/^stage\.to-resolve/)
		]);
		const finished = load('2409-twin-cam');
		const open = stagesOf(finished, evaluate(finished)).filter((stage) => !stage.done);
		expect(open.map(({ name }) => name)).toEqual(['assembly', 'as-built', 'checks', 'sign']);
		const fresh = load('2421-marine-v8');
		expect(stagesOf(fresh, evaluate(fresh))[1]).toMatchObject({
			blocks: true,
			note: message('of-kind', { kind: 'exhaust', says: message('need.lift') })
		});
	});

	it('shims a station once its shims are fitted no further', () => {
		const entry = job.stations.find((each) => each.label === '4E')!;
		entry.shims = ['0.030 in', '0.015 in'];
		expect(shown('4E')[0]).toBe('1.822');
		expect(station('4E').shim!.answer).toEqual({ type: 'leave', why: 'dead-band' });
	});

	it('is left untouched by being worked out', () => {
		const before = JSON.stringify(job);
		evaluate(job);
		expect(JSON.stringify(job)).toBe(before);
	});
});

describe('a round', () => {
	const answers = { locator: false, shims: true, recess: '0.012 in', sealHome: true };
	it('keeps what was in place with each reading', () => {
		const entry = { ...job.stations[0]!, shims: ['0.030 in'] };
		expect(inPlaceFor(job, entry, 'installed-height', answers)).toEqual({
			locator: '0 mm',
			shims: ['0.030 in'],
			lockOffset: '0.000 in',
			recess: '0.012 in',
			retainerLanding: '0 mm'
		});
		expect(inPlaceFor(job, entry, 'seal-gap', answers)).toMatchObject({
			recess: '0 mm',
			sealHeight: '0.420 in',
			sealHome: true
		});
	});

	it('believes heights near the aim, gaps that leave room for the lift, and small lashes', () => {
		const { intake } = evaluate(job).kinds;
		const inPlace = inPlaceFor(job, job.stations[0]!, 'installed-height', {
			...answers,
			locator: true
		});
		const believes = (quantity: Reading['quantity'], text: string) =>
			isPlausible(lengthOf(text), plausibleBand(quantity, intake, inPlace));
		expect(believes('installed-height', '1.867 in')).toBe(true);
		expect(believes('installed-height', '18.12 in')).toBe(false);
		expect(believes('installed-height', '1.182 in')).toBe(false);
		expect(believes('seal-gap', '0.590 in')).toBe(true);
		expect(believes('seal-gap', '0.059 in')).toBe(false);
		expect(believes('lash', '0.014 in')).toBe(true);
		expect(believes('lash', '0.140 in')).toBe(false);
		expect(
			plausibleBand(
				'installed-height',
				{
					...intake,
					target: {
						height: null,
						because: message('needs', { of: [message('need.spring')] }),
						fromCardLine: false,
						uncertainty: mm(0),
						standsOn: []
					}
				},
				inPlace
			).from
		).toBe(inches(0.8));
	});
});
