import type { Sweep } from '@zinc-ledger/core';
import type { DeviceReading } from '$lib/gauges/device.svelte';

type Point = Sweep['points'][number];
export type Phase = 'waiting' | 'pulling' | 'interrupted' | 'done';

/** The press has turned back when it stands so far above its lowest, in millimetres. */
const TURNED = 0.3;
/** It is up again when it is within so much of where it began. */
const UP_AGAIN = 1.5;
/** A pull has begun when the press has come down so far from its highest. */
const BEGUN = 0.15;
/** A lever that sent nothing for so long was at rest. */
const REST = 600;
/** With nothing sent for so long, the pull is over. */
const SILENT = 1500;

const MM = { mm: 1, in: 25.4 } as const;

/** One pull of the lever, as it comes from the tester or is typed. */
export class Capture {
	phase = $state<Phase>('waiting');
	points = $state.raw<readonly Point[]>([]);
	heightUnit = $state<Sweep['heightUnit']>('mm');
	loadUnit = $state<Sweep['loadUnit']>('N');
	/** A lever that was cut off half way may still be going down: what it sends then is no whole sweep. */
	#underWay: { lowest: number; last: number } | null = null;
	#first = 0;
	/** Readings since the press stood highest, while it is not yet known whether it comes down. */
	#before: DeviceReading[] = [];
	#highest = Number.NEGATIVE_INFINITY;
	#lowest = Number.POSITIVE_INFINITY;
	#silence: ReturnType<typeof setTimeout> | undefined;

	/** Takes what the tester sent; a reading without both figures is none of a sweep. */
	take(readings: readonly DeviceReading[]): void {
		const isOver = () => this.phase === 'done' || this.phase === 'interrupted';
		const fresh: Point[] = [];
		for (const [height, load, at] of readings) {
			if (!height || !load || isOver()) continue;
			for (const begun of this.#begun([height, load, at]))
				fresh.push(this.#point(begun[0]!, begun[1]!));
		}
		if (fresh.length === 0) return;
		this.points = [...this.points, ...fresh];
		clearTimeout(this.#silence);
		this.#silence = setTimeout(() => this.end(), SILENT);
	}

	/** What belongs to the pull: nothing while the press goes up or stands, as after a pull that was cut off. */
	#begun(reading: DeviceReading): readonly DeviceReading[] {
		if (this.phase !== 'waiting') return [reading];
		const height = inMillimetres(reading[0]!);
		if (this.#underWay) {
			const { lowest, last } = this.#underWay;
			const wasLetUp = height > lowest + TURNED || (last > 0 && reading[2] - last > REST);
			this.#underWay = wasLetUp ? null : { lowest: Math.min(lowest, height), last: reading[2] };
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
		clearTimeout(this.#silence);
	}

	#point(heightText: string, loadText: string): Point {
		const [height, heightUnit] = heightText.split(' ') as [string, Sweep['heightUnit']];
		const [load, loadUnit] = loadText.split(' ') as [string, Sweep['loadUnit']];
		const at = inMillimetres(heightText);
		if (this.points.length === 0 && this.phase === 'waiting') {
			this.#first = at;
			this.heightUnit = heightUnit;
			this.loadUnit = loadUnit;
			this.phase = 'pulling';
		}
		this.#lowest = Math.min(this.#lowest, at);
		const isUp = at > this.#lowest + TURNED;
		if (isUp && at > this.#first - UP_AGAIN) this.phase = 'done';
		return [height, load, isUp ? 'up' : 'down'];
	}

	/** The pull is over: what there is, is the sweep. */
	end(): void {
		clearTimeout(this.#silence);
		if (this.points.length > 0) this.phase = 'done';
	}

	/** The tester dropped out: what came so far stays here. */
	cutOff(): void {
		clearTimeout(this.#silence);
		if (this.phase === 'pulling') this.phase = 'interrupted';
	}

	again(): void {
		clearTimeout(this.#silence);
		this.#underWay =
			this.phase === 'interrupted' ? { lowest: Number.POSITIVE_INFINITY, last: 0 } : null;
		this.phase = 'waiting';
		this.points = [];
		this.#lowest = Number.POSITIVE_INFINITY;
		this.#highest = Number.NEGATIVE_INFINITY;
		this.#before = [];
	}
}

function inMillimetres(text: string): number {
	const [digits, unit] = text.split(' ') as [string, Sweep['heightUnit']];
	return Number(digits) * MM[unit];
}
