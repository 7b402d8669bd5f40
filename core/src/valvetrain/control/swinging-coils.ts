/** A spring's coils that swing by themselves between retainer and seat. */
import type { Surge } from './motion.ts';

/**
 * The first mode of a coil whose one end moves: `q̈ + 2ζΩq̇ + Ω²q = −(2/π)ẍ`, which pushes back
 * with `(m_a/π)(2ζΩq̇ + Ω²q)`. Source: docs/trade/valvetrain.md#control. Without a mode nothing swings and nothing pushes.
 */
export class SwingingCoils {
	/** What of the train's mass its own motion stands for. */
	readonly own: number;
	/** What they pushed the valve with last, in N. */
	pushed = 0;
	readonly #share: number;
	readonly #omega: number;
	readonly #damping: number;
	readonly #dt: number;
	#q = 0;
	#w = 0;
	#a = 0;

	constructor(surge: Surge | undefined, dt: number) {
		const mass = surge?.mass ?? 0;
		this.own = (2 * mass) / Math.PI ** 2;
		this.#share = mass / Math.PI;
		this.#omega = 2 * Math.PI * (surge?.frequency ?? 0);
		this.#damping = surge?.damping ?? 0;
		this.#dt = dt;
	}

	/** A step on; what the coils push the valve with, their speed predicted. */
	push(): number {
		this.#q += this.#w * this.#dt + (this.#a * this.#dt * this.#dt) / 2;
		this.pushed = this.#share * this.#pull(this.#w + this.#a * this.#dt);
		return this.pushed;
	}

	/** The rest of the step, once the valve's acceleration is known. */
	follow(acceleration: number): void {
		const next = -this.#pull(this.#w + this.#a * this.#dt) - (2 / Math.PI) * acceleration;
		this.#w += ((this.#a + next) * this.#dt) / 2;
		this.#a = next;
	}

	#pull(speed: number): number {
		return 2 * this.#damping * this.#omega * speed + this.#omega * this.#omega * this.#q;
	}

	/** Swings out by itself for so long, the valve at rest. */
	decay(time: number): void {
		if (this.#omega === 0) return;
		const [q, w, omega] = [this.#q, this.#w, this.#omega];
		const fading = this.#damping * omega;
		const swing = omega * Math.sqrt(1 - this.#damping ** 2);
		const left = Math.exp(-fading * time);
		const [cos, sin] = [Math.cos(swing * time), Math.sin(swing * time)];
		this.#q = left * (q * cos + ((w + fading * q) / swing) * sin);
		this.#w = left * (w * cos - ((fading * w + omega * omega * q) / swing) * sin);
		this.#a = -this.#pull(this.#w);
	}
}
