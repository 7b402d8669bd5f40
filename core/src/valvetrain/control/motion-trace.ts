/** A valve's motion over one turn of the cam, taken down at even angles while it is integrated. */

/** Points of a turn. */
export const TRACE_POINTS = 1440;

/** In m and N, by point from where the lobe begins to open. */
export class MotionTrace {
	/** Height of the valve above its seat, and where a rigid train would have it. */
	readonly valve = new Float64Array(TRACE_POINTS);
	readonly cam = new Float64Array(TRACE_POINTS);
	/** What the train pushes the valve with, and what the seat does. */
	readonly force = new Float64Array(TRACE_POINTS);
	readonly seat = new Float64Array(TRACE_POINTS);
	#next = 0;

	/** @param part of the turn that is done, 0 to 1 */
	add(part: number, valve: number, cam: number, force: number, seat: number): void {
		if (part * TRACE_POINTS < this.#next || this.#next >= TRACE_POINTS) return;
		const i = this.#next++;
		this.valve[i] = valve;
		this.cam[i] = cam;
		this.force[i] = force;
		this.seat[i] = seat;
	}

	/** The rest of the turn, in which nothing moves. */
	rest(part: number, valve: number, seat: number): void {
		const from = Math.max(this.#next, Math.floor(part * TRACE_POINTS));
		this.valve.fill(valve, from);
		this.seat.fill(seat, from);
		this.#next = TRACE_POINTS;
	}
}
