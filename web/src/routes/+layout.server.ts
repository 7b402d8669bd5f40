import type { Access } from '$lib/access/access';
import { onNetwork } from '$lib/server/access/network';

export const load = ({ locals, cookies }) => ({
	person: locals.person,
	access: {
		network: onNetwork(),
		signedIn: locals.session !== null,
		atBench: locals.session?.atBench ?? false,
		role: locals.role
	} satisfies Access,
	units: locals.units,
	unitsChosen: locals.chosenUnits !== null,
	scheme: cookies.get('zinc-scheme') === 'dark' ? ('dark' as const) : ('light' as const)
});
