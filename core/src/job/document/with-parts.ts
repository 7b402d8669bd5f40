/** Other parts at every station of a kind, whatever stood at each. */
import type { LibraryPart, StationPart } from '../../parts/part/index.ts';
import type { Kind } from '../../foundation/station/index.ts';
import type { KindSetup, StationEntry } from './schema.ts';
import type { Job } from './schema.ts';

/** A part in its place. */
export interface PartAt {
	readonly place: StationPart;
	readonly part: LibraryPart['part'];
}

/** A kind's parts with others in their places: new ones, of which none has run and none was ground. */
export function kindWithParts(parts: KindSetup, others: readonly PartAt[]): KindSetup {
	const places = new Set<string>(others.map(({ place }) => place));
	const reused = parts.reused?.filter((place) => !places.has(place));
	const { reused: _, ...kept } = parts;
	const fitted = others.map(({ place, part }) => [
		place,
		place === 'retainer' ? { ...part, groundOff: '0 mm' } : part
	]);
	return {
		...kept,
		...(Object.fromEntries(fitted) as Partial<KindSetup>),
		...(reused && reused.length > 0 && { reused })
	};
}

/** The job with these parts at every station of a kind. */
export function withPartsAt(job: Job, kind: Kind, others: readonly PartAt[]): Job {
	const places = new Set<string>(others.map(({ place }) => place));
	const station = (entry: StationEntry): StationEntry => {
		const own = Object.entries(entry.parts ?? {}).filter(([place]) => !places.has(place));
		return {
			...entry,
			parts: own.length > 0 ? Object.fromEntries(own) : undefined,
			...(places.has('spring') && { spring: undefined }),
			...(places.has('locks') && { lockOffset: undefined })
		};
	};
	const { setup } = job;
	return {
		...job,
		setup: {
			...setup,
			kinds: { ...setup.kinds, [kind]: kindWithParts(setup.kinds[kind], others) }
		},
		stations: job.stations.map((entry) => (entry.kind === kind ? station(entry) : entry))
	};
}
