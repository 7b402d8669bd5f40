import { onDestroy } from 'svelte';
import { listenWhileShown } from '$lib/live/source';

export type DeviceState =
	'connecting' | 'connected' | 'away' | 'malformed' | 'flooding' | 'unavailable';

/** One reading as the server passes it on: height text, load text, when. */
export type DeviceReading = readonly [height: string | null, load: string | null, at: number];

interface News {
	readonly state: Exclude<DeviceState, 'unavailable'>;
	readonly readings: readonly DeviceReading[];
	readonly malformed: number;
	readonly dropped: number;
}

/** A gauge that sends, listened to for as long as its screen is shown. */
export class Device {
	state = $state<DeviceState>('connecting');
	malformed = $state(0);
	dropped = $state(0);
	last = $state.raw<DeviceReading | null>(null);
	#leave: (() => void) | null = null;
	#onReadings: (readings: readonly DeviceReading[]) => void;

	constructor(onReadings: (readings: readonly DeviceReading[]) => void = () => undefined) {
		this.#onReadings = onReadings;
		onDestroy(() => this.leave());
	}

	listen(gaugeId: string): void {
		this.leave();
		this.state = 'connecting';
		const message = (text: string) => {
			const news = JSON.parse(text) as News;
			this.state = news.state;
			this.malformed = news.malformed;
			this.dropped = news.dropped;
			const last = news.readings.at(-1);
			if (last) {
				this.last = last;
				this.#onReadings(news.readings);
			}
		};
		this.#leave = listenWhileShown(`gauge:${gaugeId}`, {
			message,
			lost: () => (this.state = 'unavailable')
		});
	}

	leave(): void {
		this.#leave?.();
		this.#leave = null;
	}
}

export const DEVICE_WORDS: Readonly<Record<DeviceState, string>> = {
	connecting: 'connecting',
	connected: 'connected',
	away: 'no connection: check power and cable. Trying again',
	malformed: 'unreadable data: check line pattern and cable',
	flooding: 'sending too fast, excess discarded',
	unavailable: 'server unavailable: trying again'
};
