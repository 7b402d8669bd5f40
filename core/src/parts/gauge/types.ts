/** The types of gauges a shop has, and how each is read. */
export const GAUGE_TYPES = [
	'height-gauge',
	'depth-gauge',
	'feeler-set',
	'micrometer',
	'dial-indicator',
	'bench-tester',
	'on-head-tester'
] as const;
export type GaugeType = (typeof GAUGE_TYPES)[number];

/** What a gauge of each type reads. */
export const READS: Readonly<Record<GaugeType, readonly ('length' | 'load')[]>> = {
	'height-gauge': ['length'],
	'depth-gauge': ['length'],
	'feeler-set': ['length'],
	micrometer: ['length'],
	'dial-indicator': ['length'],
	'bench-tester': ['length', 'load'],
	'on-head-tester': ['load']
};
