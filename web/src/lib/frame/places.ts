/** What the shop has besides its jobs. */
export const PLACES = [
	['/sums', 'Quick sums'],
	['/springs', 'Springs'],
	['/service', 'Service'],
	['/gauges', 'Gauges'],
	['/kits', 'Kits'],
	['/parts', 'Parts']
] as const;
