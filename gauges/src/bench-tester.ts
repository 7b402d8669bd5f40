/**
 * A bench tester: height and load stream while the lever is pulled, with noise,
 * slack in the linkage, backlash in the dial, and a spring that goes solid.
 */
import { normal, randomFrom } from '@zinc-ledger/core/synthetic';
import { LineServer } from './line-server.ts';
import { SPRINGS, type NamedSpring } from './springs.ts';

const HEIGHT_NOISE = 0.013;
const LOAD_NOISE = 0.005;
/** The dial lags behind by so much when the lever turns back. */
const BACKLASH = 0.03;
/** The frame gives by so much for each kilonewton. */
const SLACK = 0.01;
/** Readings a second. */
const STREAM = 50;
/** The lever goes this far past solid, in millimetres. */
const PAST_SOLID = 1.6;
/** The lever begins this far above the free height, where the cell shows its own zero. */
const ABOVE_FREE = 1.5;
const ZERO = 3;
/** What dial and cell show to. */
const DIGIT = { height: 0.005, load: 0.5 };
const rounded = (value: number, to: number) => Math.round(value / to) * to;

export class BenchTester {
	readonly line: LineServer;
	/** What stands in the press besides the spring: the dial reads it too. */
	readonly fixture: number;
	spring: NamedSpring = SPRINGS[0]!;
	/** Millimetres a second. */
	speed = 6;
	#height: number;
	#pull: 'down' | 'up' | null = null;
	readonly #random = randomFrom(7);

	constructor(port: number, fixture = 0) {
		this.line = new LineServer(port);
		this.fixture = fixture;
		this.#height = this.spring.free + ABOVE_FREE;
		setInterval(() => this.#tick(), 1000 / STREAM);
	}

	get state() {
		return {
			spring: this.spring.name,
			height: Number((this.#height + this.fixture).toFixed(2)),
			pulling: this.#pull,
			broken: this.line.broken,
			listeners: this.line.listeners
		};
	}

	take(name: string): boolean {
		const found = SPRINGS.find((spring) => spring.name === name);
		if (!found) return false;
		this.spring = found;
		this.#pull = null;
		this.#height = found.free + ABOVE_FREE;
		return true;
	}

	pull(): void {
		this.#height = this.spring.free + ABOVE_FREE;
		this.#pull = 'down';
	}

	release(): void {
		if (this.#pull) this.#pull = 'up';
	}

	/** One line as the dial and the cell show it now. */
	reading(): string {
		const load = this.spring.load(this.#height) * (1 + LOAD_NOISE * normal(this.#random));
		const lag = this.#pull === 'up' ? -BACKLASH : 0;
		const give = (SLACK * load) / 1000;
		const height = this.#height + this.fixture + give + lag + HEIGHT_NOISE * normal(this.#random);
		const friction = this.#pull === 'up' ? 0.985 : 1;
		const shown = Math.max(0, rounded(load * friction + ZERO, DIGIT.load));
		return `H ${rounded(height, DIGIT.height).toFixed(3)} mm F ${shown.toFixed(1)} N`;
	}

	#tick(): void {
		if (!this.#pull) return;
		const { free, solid } = this.spring;
		// Near solid the lever is pulled gently.
		const gentle = this.#pull === 'down' && this.#height < solid + 1 ? 0.35 : 1;
		this.#height += ((this.#pull === 'down' ? -1 : 1) * gentle * this.speed) / STREAM;
		if (this.#height < solid - PAST_SOLID) this.#pull = 'up';
		if (this.#pull === 'up' && this.#height > free + ABOVE_FREE) this.#pull = null;
		if (this.#pull) this.line.send(this.reading());
	}
}
