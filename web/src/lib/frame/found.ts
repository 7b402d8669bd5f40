/** What the palette finds: in the shop's records, or among pages and stations at hand. */
import { PART_TYPES } from '@zinc-ledger/core';
import { label } from '@zinc-ledger/words';
import { stationTyped } from '$lib/job/store/typed-station';
import { PLACES } from './places';

export interface Found {
	readonly type:
		| 'job'
		| 'customer'
		| 'engine'
		| 'set'
		| 'spring'
		| 'kit'
		| 'part'
		| 'station'
		| 'page'
		| 'action';
	readonly name: string;
	readonly detail: string;
	readonly href: string;
}

const PAGES: readonly Found[] = [
	{ type: 'page', name: 'Jobs', detail: '', href: '/' },
	...PLACES.map(([href, name]) => ({ type: 'page' as const, name, detail: '', href })),
	{ type: 'page', name: 'Operator and units', detail: '', href: '/bench' },
	{ type: 'action', name: 'New job', detail: 'take a head in', href: '/jobs/new' },
	{ type: 'page', name: 'Shop policies', detail: 'limits and choices', href: '/policies' },
	{ type: 'page', name: 'Templates of engines', detail: '', href: '/templates' },
	{ type: 'action', name: 'Add a kit', detail: 'from its paper', href: '/kits/new' },
	{ type: 'action', name: 'Add a gauge', detail: '', href: '/gauges/new' },
	...PART_TYPES.map((type) => ({
		type: 'action' as const,
		name: `Add a part: ${label('part', type)}`,
		detail: '',
		href: `/parts/new?type=${type}`
	}))
];

interface JobAtHand {
	readonly id: string;
	readonly number: string;
	readonly stations: readonly { readonly label: string }[];
}

/**
 * Pages and stations that are typed: "3e" of the job at hand, a page by how it begins.
 *
 * @param pages of the job at hand
 */
export function foundHere(
	text: string,
	job: JobAtHand | undefined,
	pages: readonly Found[] = []
): Found[] {
	const typed = text.trim().toLowerCase();
	if (typed === '') return [];
	const station =
		job &&
		stationTyped(
			typed,
			job.stations.map(({ label }) => label)
		);
	const begins = ({ name }: Found) =>
		name
			.toLowerCase()
			.split(' ')
			.some((word, i, all) => all.slice(i).join(' ').startsWith(typed));
	return [
		...(job && station
			? [
					{
						type: 'station' as const,
						name: station,
						detail: job.number,
						href: `/jobs/${job.id}?at=${station}`
					}
				]
			: []),
		...[...pages, ...PAGES].filter(begins)
	];
}
