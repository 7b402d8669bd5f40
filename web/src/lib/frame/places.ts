/** What the shop has besides its jobs. */
export const PLACES = [
	['/valve', 'One valve'],
	['/calculators', 'Calculators'],
	['/springs', 'Springs'],
	['/service', 'Service'],
	['/gauges', 'Gauges'],
	['/kits', 'Kits'],
	['/parts', 'Parts']
] as const;
