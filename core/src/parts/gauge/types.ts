/** The sorts of gauges a shop has, and how each is read. */
export const GAUGE_SORTS = [
	'height-gauge',
	'depth-gauge',
	'feeler-set',
	'micrometer',
	'dial-indicator',
	'bench-tester',
	'on-head-tester'
] as const;
export type GaugeSort = (typeof GAUGE_SORTS)[number];

/** What a gauge of each sort reads. */
export const READS: Readonly<Record<GaugeSort, readonly ('length' | 'load')[]>> = {
	'height-gauge': ['length'],
	'depth-gauge': ['length'],
	'feeler-set': ['length'],
	micrometer: ['length'],
	'dial-indicator': ['length'],
	'bench-tester': ['length', 'load'],
	'on-head-tester': ['load']
};
