/** What is looked at on a built head besides what a gauge reads. */

/** Passages looked at through the whole lift. */
export const PASSAGES = ['pushrod', 'rocker-slot', 'tip-wipe'] as const;
export type Passage = (typeof PASSAGES)[number];

/** Nobody holds a vacuum on a port for longer. */
export const MAX_SECONDS = 600;

export const PISTON_METHODS = ['clay', 'indicator'] as const;
