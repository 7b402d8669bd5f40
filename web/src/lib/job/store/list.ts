/** How a list of jobs may be narrowed and ordered; kept in the address, so that it can be sent. */
export const JOB_FILTERS = [
	'all',
	'open',
	'waiting',
	'to-verify',
	'came-back',
	'signed-this-week'
] as const;
export type JobFilter = (typeof JOB_FILTERS)[number];

export const JOB_ORDERS = ['received', 'number', 'customer', 'engine', 'due', 'stops'] as const;
export type JobOrder = (typeof JOB_ORDERS)[number];

export interface JobQuery {
	readonly find: string;
	readonly filter: JobFilter;
	readonly order: JobOrder;
	/** Against its usual direction: newest and most first, names from A. */
	readonly reversed: boolean;
}

const oneOf = <Value extends string>(known: readonly Value[], text: string | null): Value =>
	known.find((value) => value === text) ?? known[0]!;

export function jobQueryOf(params: URLSearchParams): JobQuery {
	return {
		find: params.get('find') ?? '',
		filter: oneOf(JOB_FILTERS, params.get('filter')),
		order: oneOf(JOB_ORDERS, params.get('order')),
		reversed: params.has('reversed')
	};
}

/** The address of the list as asked for, but for what is changed. */
export function listAddress(query: JobQuery, change: Partial<JobQuery>): string {
	const { find, filter, order, reversed } = { ...query, ...change };
	const params = new URLSearchParams({
		...(find && { find }),
		...(filter !== JOB_FILTERS[0] && { filter }),
		...(order !== JOB_ORDERS[0] && { order }),
		...(reversed && { reversed: '' })
	});
	return params.size > 0 ? `/?${params}` : '/';
}
