/** What is measured on valves, seats, chambers and lobes beside the stack; each an optional round. */
export const INSPECTED = [
	'valve-length',
	'tip-length',
	'stem-diameter',
	'stem-clearance',
	'seat-width',
	'seat-run-out',
	'valve-margin',
	'stem-height',
	'head-below-deck',
	'valve-lift',
	'chamber-volume'
] as const;
export type Inspected = (typeof INSPECTED)[number];

/** What each is called among the figures of a station, and among its limits. */
export const INSPECTED_FIGURE = {
	'valve-length': 'valveLength',
	'tip-length': 'tipLength',
	'stem-diameter': 'stemDiameter',
	'stem-clearance': 'stemClearance',
	'seat-width': 'seatWidth',
	'seat-run-out': 'seatRunOut',
	'valve-margin': 'valveMargin',
	'stem-height': 'stemHeight',
	'head-below-deck': 'headBelowDeck',
	'valve-lift': 'valveLift',
	'chamber-volume': 'chamberVolume'
} as const satisfies Record<Inspected, string>;
export type InspectedFigure = (typeof INSPECTED_FIGURE)[Inspected];

export const isInspected = (quantity: string): quantity is Inspected =>
	quantity in INSPECTED_FIGURE;
