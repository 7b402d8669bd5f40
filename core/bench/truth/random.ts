/** Random numbers of the simulation's own, which shares no generator with the program or its tests. */

/** Uniform numbers in [0, 1) from a seed: sfc32. */
export class Random {
	readonly #state: [number, number, number, number];
	constructor(seed: number) {
		this.#state = [seed | 0, 0x9e3779b9, 0x243f6a88, 1];
		for (let i = 0; i < 20; i++) this.next();
	}
	next(): number {
		const s = this.#state;
		const t = (s[0] + s[1] + s[3]) | 0;
		s[3] = (s[3] + 1) | 0;
		s[0] = s[1] ^ (s[1] >>> 9);
		s[1] = (s[2] + (s[2] << 3)) | 0;
		s[2] = (s[2] << 21) | (s[2] >>> 11);
		s[2] = (s[2] + t) | 0;
		return (t >>> 0) / 4294967296;
	}
	between(min: number, max: number): number {
		return min + (max - min) * this.next();
	}
	pick<T>(...all: readonly T[]): T {
		return all[Math.floor(this.next() * all.length)]!;
	}
	/** Of the standard normal distribution, by Marsaglia's polar method. */
	normal(): number {
		for (;;) {
			const [x, y] = [this.between(-1, 1), this.between(-1, 1)];
			const square = x * x + y * y;
			if (square > 0 && square < 1) return x * Math.sqrt((-2 * Math.log(square)) / square);
		}
	}
}
