import { connect } from 'node:net';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { LINE_PATTERN, lineReader } from '@zinc-ledger/core';
import { HeightGauge, HeadTester } from './buttons.ts';
import { LineServer } from './line-server.ts';
import { SPRINGS } from './springs.ts';

const read = lineReader(LINE_PATTERN, { length: 'mm', load: 'N' });
/** Below the ports that the system gives to outgoing connections. */
const freePort = () => 28_000 + Math.floor(Math.random() * 2_000);

/** Listens to a port until the wanted number of lines has come. */
function lines(port: number, count: number, begin: () => void): Promise<string[]> {
	return new Promise((heard, failed) => {
		let text = '';
		const socket = connect({ port, host: '127.0.0.1' });
		socket.on('connect', () => setTimeout(begin, 50));
		socket.on('error', failed);
		socket.on('data', (data) => {
			text += data.toString();
			const all = text.split('\n');
			if (all.length > count) {
				socket.destroy();
				heard(all.slice(0, count));
			}
		});
	});
}

describe('the springs of the stand-ins', () => {
	it.each(SPRINGS.map((spring) => [spring.name, spring] as const))(
		'%s has no load when free, more the further it is pressed, and a corner where it is solid',
		(_, spring) => {
			expect(spring.load(spring.free + 1)).toBe(0);
			let before = 0;
			for (let h = spring.free; h > spring.solid - 1; h -= 0.25) {
				expect(spring.load(h)).toBeGreaterThanOrEqual(before);
				before = spring.load(h);
			}
			const slope = (h: number) => spring.load(h - 0.05) - spring.load(h + 0.05);
			expect(slope(spring.solid - 0.3)).toBeGreaterThan(3 * slope(spring.solid + 0.3));
		}
	);
	it('are a set of twelve with one that is weak, and others', () => {
		const set = SPRINGS.filter(({ name }) => name.startsWith('D-37 no.'));
		const loads = set.map(({ load }) => load(46.228));
		expect(set).toHaveLength(12);
		expect(Math.min(...loads) / Math.max(...loads)).toBeLessThan(0.9);
		expect(new Set(SPRINGS.map(({ type }) => type))).toEqual(
			new Set(['dual', 'linear', 'progressive', 'cone'])
		);
	});
});

describe('a cable', () => {
	const line = new LineServer(freePort());
	beforeAll(() => line.open());
	afterAll(() => line.break());
	it('carries lines to whoever listens', async () => {
		expect(await lines(line.port, 2, () => ['a', 'b'].forEach((text) => line.send(text)))).toEqual([
			'a',
			'b'
		]);
	});
	it('can be broken and mended', async () => {
		line.break();
		expect(line.broken).toBe(true);
		await expect(lines(line.port, 1, () => undefined)).rejects.toThrow('ECONNREFUSED');
		await line.open();
		expect(await lines(line.port, 1, () => line.send('again'))).toEqual(['again']);
	});
	it('can be flooded', async () => {
		const flood = await lines(line.port, 500, () => line.flood(1000, 60, () => 'H 46 mm'));
		expect(flood).toHaveLength(500);
	});
});

describe('gauges with a button', () => {
	it('a height gauge sends what it stands at, in the line the ledger reads', async () => {
		const gauge = new HeightGauge(freePort());
		await gauge.line.open();
		gauge.height = 1.75;
		const [line] = await lines(gauge.line.port, 1, () => gauge.press());
		expect(read(line!)!.height! / 25.4).toBeCloseTo(1.75, 2);
		gauge.line.break();
	});
	it('an on-head tester climbs to its peak, a sixth low', async () => {
		const tester = new HeadTester(freePort());
		await tester.line.open();
		tester.load = 600;
		const sent = await lines(tester.line.port, 5, () => void tester.pull());
		const peak = Math.max(...sent.map((line) => read(line)!.load!));
		expect(peak).toBeGreaterThan(485);
		expect(peak).toBeLessThan(515);
		tester.line.break();
	});
});
