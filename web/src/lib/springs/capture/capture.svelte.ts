import { MM_PER, type Sweep } from '@zinc-ledger/core';
import type { DeviceReading } from '$lib/parts/gauges/device.svelte';

type Point = Sweep['points'][number];
export type Phase = 'waiting' | 'pulling' | 'interrupted' | 'done';

/** The press has turned back when it stands so far above its lowest, in millimetres. */
const TURNED = 0.3;
/** It is up again when it is within so much of where it began. */
const UP_AGAIN = 1.5;
/** A pull has begun when the press has come down so far from its highest. */
const BEGUN = 0.15;
/**
 * With nothing sent for so many looks, so many milliseconds apart, the pull is over.
 * Counted and not clocked: a machine that was halted meanwhile has heard no silence.
 */
const SILENT_LOOKS = 15;
const LOOK = 200;

/** One pull of the lever, as it comes from the tester or is typed. */
export class Capture {
	phase = $state<Phase>('waiting');
	points = $state.raw<readonly Point[]>([]);
	heightUnit = $state<Sweep['heightUnit']>('mm');
	loadUnit = $state<Sweep['loadUnit']>('N');
	/** How low the lever stood when it was left half way: until it is let up, what it sends is no whole sweep. */
	#leftAt: number | null = null;
	#first = 0;
	#isUpAgain = false;
	/** Readings since the press stood highest, while it is not yet known whether it comes down. */
	#before: DeviceReading[] = [];
	#highest = Number.NEGATIVE_INFINITY;
	#lowest = Number.POSITIVE_INFINITY;
	#silence: ReturnType<typeof setInterval> | undefined;

	/** Takes what the tester sent; a reading without both figures is none of a sweep. */
	take(readings: readonly DeviceReading[]): void {
		// A pull that only fell silent goes on when the lever does.
		const isOver = () => this.phase === 'interrupted' || this.#isUpAgain;
		const fresh: Point[] = [];
		for (const [height, load, at] of readings) {
			if (!height || !load || isOver()) continue;
			for (const begun of this.#begun([height, load, at]))
				fresh.push(this.#point(begun[0]!, begun[1]!));
		}
		if (fresh.length === 0) return;
		this.points = [...this.points, ...fresh];
		if (!isOver()) this.#listenForSilence();
	}

	#listenForSilence(): void {
		clearInterval(this.#silence);
		let looks = 0;
		this.#silence = setInterval(() => {
			if (++looks >= SILENT_LOOKS) this.end();
		}, LOOK);
	}

	/** What belongs to the pull: nothing while the press goes up or stands, as after a pull that was cut off. */
	#begun(reading: DeviceReading): readonly DeviceReading[] {
		if (this.phase !== 'waiting') return [reading];
		const height = inMillimetres(reading[0]!);
		if (this.#leftAt !== null) {
			const wasLetUp = height > this.#leftAt + TURNED;
			this.#leftAt = wasLetUp ? null : Math.min(this.#leftAt, height);
			if (!wasLetUp) return [];
		}
		if (height > this.#highest) {
			this.#highest = height;
			this.#before = [];
		}
		this.#before.push(reading);
		return this.#highest - height > BEGUN ? this.#before.splice(0) : [];
	}

	/** Adds a point read off the dial by eye. */
	type(height: string, load: string): void {
		this.points = [...this.points, this.#point(height, load)];
		clearInterval(this.#silence);
	}

	#point(heightText: string, loadText: string): Point {
		const [height, heightUnit] = heightText.split(' ') as [string, Sweep['heightUnit']];
		const [load, loadUnit] = loadText.split(' ') as [string, Sweep['loadUnit']];
		const at = inMillimetres(heightText);
		if (this.points.length === 0 && this.phase === 'waiting') {
			this.#first = at;
			this.heightUnit = heightUnit;
			this.loadUnit = loadUnit;
		}
		this.#lowest = Math.min(this.#lowest, at);
		const isUp = at > this.#lowest + TURNED;
		this.#isUpAgain = isUp && at > this.#first - UP_AGAIN;
		this.phase = this.#isUpAgain ? 'done' : 'pulling';
		if (this.#isUpAgain) clearInterval(this.#silence);
		return [height, load, isUp ? 'up' : 'down'];
	}

	/** The pull is over: what there is, is the sweep. */
	end(): void {
		clearInterval(this.#silence);
		if (this.points.length > 0) this.phase = 'done';
	}

	/** The tester dropped out: what came so far stays here. */
	cutOff(): void {
		clearInterval(this.#silence);
		if (this.phase === 'pulling') this.phase = 'interrupted';
	}

	again(): void {
		clearInterval(this.#silence);
		const isLeftHalfWay = this.points.length > 0 && !this.#isUpAgain;
		if (isLeftHalfWay) this.#leftAt = this.#lowest;
		this.phase = 'waiting';
		this.points = [];
		this.#isUpAgain = false;
		this.#lowest = Number.POSITIVE_INFINITY;
		this.#highest = Number.NEGATIVE_INFINITY;
		this.#before = [];
	}
}

function inMillimetres(text: string): number {
	const [digits, unit] = text.split(' ') as [string, Sweep['heightUnit']];
	return Number(digits) * MM_PER[unit];
}
