import { dev } from '$app/environment';
import { error } from '@sveltejs/kit';

/** For whoever builds on the kit; a shop has no use for it. */
export const load = () => {
	if (!dev) error(404);
};
