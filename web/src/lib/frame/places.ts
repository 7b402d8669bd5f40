/** What the shop has besides its jobs. */
export const PLACES = [
	['/springs', 'Springs'],
	['/gauges', 'Gauges'],
	['/parts', 'Parts']
] as const;
