import { randomInt } from 'node:crypto';
import { createServer, type Server, type Socket } from 'node:net';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { Gauge } from '@zinc-ledger/core/gauge-schema';
import { hangUp, listenTo } from './hub';
import type { News } from './link';

let server: Server;
let port = 0;
const sockets = new Set<Socket>();
const listen = (on: number) =>
	new Promise<void>((listening, failed) => {
		server = createServer((socket) => {
			sockets.add(socket);
			socket.on('error', () => undefined);
		});
		server.once('error', failed);
		server.listen((port = on), '127.0.0.1', () => listening());
	});
const unplug = () =>
	new Promise<void>((closed) => {
		for (const socket of sockets) socket.destroy();
		sockets.clear();
		server.close(() => closed());
	});
const send = (text: string) => sockets.forEach((socket) => socket.write(text));

const gauge = () =>
	Gauge.parse({
		id: '0197a555-0000-7000-8000-000000000001',
		name: 'Tester',
		type: 'bench-tester',
		link: { host: '127.0.0.1', port }
	});
let news: News[] = [];
let leave: (() => void) | null = null;
async function until(isSo: () => boolean): Promise<void> {
	const end = Date.now() + 60_000;
	while (!isSo()) {
		if (Date.now() > end) throw new Error(`it did not come about: ${JSON.stringify(news.at(-1))}`);
		await new Promise((later) => setTimeout(later, 10));
	}
}
const state = () => news.at(-1)?.state;
const readings = () => news.flatMap((one) => one.readings.map(([height, load]) => [height, load]));

beforeEach(async () => {
	news = [];
	// Below the ports of outgoing connections: one of those could take its place while it is unplugged.
	await listen(randomInt(20_000, 24_000));
	leave = listenTo(gauge(), (one) => news.push(one));
	await until(() => state() === 'connected');
});
afterEach(async () => {
	leave?.();
	hangUp();
	await unplug();
});

describe('the line to a gauge', () => {
	it('reads lines however they are cut', async () => {
		send('H 46.2');
		await new Promise((later) => setTimeout(later, 30));
		send('12 mm F 612.4 N\r\nF 10 N\nH 1.8');
		await until(() => readings().length === 2);
		send('2 in\n');
		await until(() => readings().length === 3);
		expect(readings()).toEqual([
			['46.212 mm', '612.4 N'],
			[null, '10 N'],
			['1.82 in', null]
		]);
	});
	it('counts malformed, shows it, and goes on', async () => {
		send('ERR\n\u0000\u0001\n\nH 46 mm\n');
		await until(() => state() === 'malformed');
		expect(news.at(-1)!.malformed).toBe(2);
		expect(readings()).toEqual([['46 mm', null]]);
		await until(() => state() === 'connected');
	});
	it('keeps no more of an endless line than it must', async () => {
		for (let i = 0; i < 20; i++) send('9'.repeat(60_000));
		send('\nH 46 mm\n');
		await until(() => readings().length === 1);
		expect(news.at(-1)!.malformed).toBe(1);
	});
	it('takes what was held up on the way: ten seconds of a quick tester at once', async () => {
		send('H 46 mm F 600 N\n'.repeat(500));
		await until(() => readings().length === 500);
		expect(news.at(-1)).toMatchObject({ state: 'connected', dropped: 0 });
	});
	it('passes over what comes too fast, and says how much', async () => {
		send('H 46 mm F 600 N\n'.repeat(5000));
		await until(() => news.some((one) => one.state === 'flooding'));
		await until(() => (news.at(-1)?.dropped ?? 0) + readings().length === 5000);
		expect(readings().length).toBeLessThan(2000);
	});
	it('says when it drops out, forgets half a line, and comes back by itself', async () => {
		send('H 46 mm\nH 4');
		await until(() => readings().length === 1);
		await unplug();
		await until(() => state() === 'away');
		await listen(port);
		await until(() => state() === 'connected');
		send('H 47 mm\n');
		await until(() => readings().length === 2);
		expect(readings()[1]).toEqual(['47 mm', null]);
	});
	it('is one, however many listen, and ends with the last', async () => {
		const other: News[] = [];
		const leaveOther = listenTo(gauge(), (one) => other.push(one))!;
		send('H 46 mm\n');
		await until(() => readings().length === 1 && other.some((one) => one.readings.length === 1));
		expect(sockets.size).toBe(1);
		leaveOther();
		leave!();
		leave = null;
		await until(() => [...sockets].every((socket) => socket.destroyed || socket.readableEnded));
	});
	it('is none for a gauge that sends nothing', () => {
		const { link: _, ...silent } = gauge();
		expect(listenTo(silent, () => undefined)).toBeNull();
	});
});
