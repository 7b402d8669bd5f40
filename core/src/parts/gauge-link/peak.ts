/**
 * Tells the peak of an on-head tester: the load climbs until the valve lifts
 * and falls off. A peak is told once a pull, when the load has fallen off it.
 */
export class PeakReader {
	#peak = 0;
	#told = false;

	/** @returns the peak in the unit of the loads given, once it is past, else null */
	push(load: number): number | null {
		if (load < NEXT_PULL * this.#peak) {
			this.#peak = load;
			this.#told = false;
		}
		this.#peak = Math.max(this.#peak, load);
		if (this.#told || load > FALLEN * this.#peak) return null;
		this.#told = true;
		return this.#peak;
	}
}

/** A load below this part of the peak is past it. */
const FALLEN = 0.985;
/** A load below this part of the last peak begins another pull. */
const NEXT_PULL = 0.6;
