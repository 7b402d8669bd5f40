/** What else people in the trade call the parts; search knows it too. */
import type { Language } from '../catalogue.ts';

export const alsoSaid: Language['alsoSaid'] = {
	spring: ['valve spring', 'coil'],
	retainer: ['cap', 'collar'],
	locks: ['keepers', 'collets', 'cotters', 'plus locks', 'minus locks'],
	locator: ['spring seat', 'cup', 'base'],
	shim: ['spacer'],
	'follower-shim': ['bucket shim', 'lash shim', 'tappet shim'],
	seal: ['valve seal', 'stem seal', 'guide seal'],
	valve: [],
	'lash-cap': ['tip cap'],
	rocker: ['rocker arm'],
	lifter: ['tappet', 'follower', 'lash adjuster'],
	cam: ['camshaft']
};
