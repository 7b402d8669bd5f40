import type { Sweep } from '@zinc-ledger/core';
import type { DeviceReading } from '$lib/gauges/device.svelte';

type Point = Sweep['points'][number];
export type Phase = 'waiting' | 'pulling' | 'interrupted' | 'done';

/** The press has turned back when it stands so far above its lowest, in millimetres. */
const TURNED = 0.3;
/** It is up again when it is within so much of where it began. */
const UP_AGAIN = 1.5;
/** With nothing sent for so long, the pull is over. */
const SILENT = 1500;

const MM = { mm: 1, in: 25.4 } as const;

/** One pull of the lever, as it comes from the tester or is typed. */
export class Capture {
	phase = $state<Phase>('waiting');
	points = $state.raw<readonly Point[]>([]);
	heightUnit = $state<Sweep['heightUnit']>('mm');
	loadUnit = $state<Sweep['loadUnit']>('N');
	#first = 0;
	#lowest = Number.POSITIVE_INFINITY;
	#silence: ReturnType<typeof setTimeout> | undefined;

	/** Takes what the tester sent; a reading without both figures is none of a sweep. */
	take(readings: readonly DeviceReading[]): void {
		const isOver = () => this.phase === 'done' || this.phase === 'interrupted';
		const fresh: Point[] = [];
		for (const [height, load] of readings) {
			if (!height || !load || isOver()) continue;
			fresh.push(this.#point(height, load));
		}
		if (fresh.length === 0) return;
		this.points = [...this.points, ...fresh];
		clearTimeout(this.#silence);
		this.#silence = setTimeout(() => this.end(), SILENT);
	}

	/** Adds a point read off the dial by eye. */
	type(height: string, load: string): void {
		this.points = [...this.points, this.#point(height, load)];
		clearTimeout(this.#silence);
	}

	#point(heightText: string, loadText: string): Point {
		const [height, heightUnit] = heightText.split(' ') as [string, Sweep['heightUnit']];
		const [load, loadUnit] = loadText.split(' ') as [string, Sweep['loadUnit']];
		const at = Number(height) * MM[heightUnit];
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
		this.phase = 'waiting';
		this.points = [];
		this.#lowest = Number.POSITIVE_INFINITY;
	}
}
