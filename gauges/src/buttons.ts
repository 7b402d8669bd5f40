/** A digital height gauge that sends on its button, and an on-head tester that sends the peak as the valve lifts. */
import { normal, randomFrom } from '@zinc-ledger/core/synthetic';
import { LineServer } from './line-server.ts';

const random = randomFrom(11);

export class HeightGauge {
	readonly line: LineServer;
	/** What it stands at, in inches. */
	height = 1.82;

	constructor(port: number) {
		this.line = new LineServer(port);
	}

	press(): string {
		const text = `H ${(this.height + 0.0005 * normal(random)).toFixed(4)} in`;
		this.line.send(text);
		return text;
	}
}

export class HeadTester {
	readonly line: LineServer;
	/** Load that just lifts the valve, in newtons; it reads a sixth low where it grips. */
	load = 580;

	constructor(port: number) {
		this.line = new LineServer(port);
	}

	/** The puller is drawn: the load climbs until the valve lifts, and falls off a little. */
	async pull(): Promise<string> {
		const peak = (this.load / 1.2) * (1 + 0.004 * normal(random));
		for (const part of [0.3, 0.6, 0.85, 1, 0.96]) {
			this.line.send(`F ${(peak * part).toFixed(1)} N`);
			await new Promise((later) => setTimeout(later, 40));
		}
		return `F ${peak.toFixed(1)} N`;
	}
}
