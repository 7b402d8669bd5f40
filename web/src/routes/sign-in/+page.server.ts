import { fail, redirect } from '@sveltejs/kit';
import { tell } from '@zinc-ledger/words';
import { refuseWithoutNetwork, signIn } from '$lib/server/access/sign-in';
import { back } from '$lib/server/back';
import { formTexts } from '$lib/server/body';

export const load = refuseWithoutNetwork;

export const actions = {
	default: async (event) => {
		refuseWithoutNetwork();
		const { userName = '', password = '', bench } = await formTexts(event.request);
		const problem = await signIn(event, { userName, password, atBench: bench === 'yes' });
		if (problem) return fail(401, { problem: tell(problem), userName });
		redirect(303, back(event.url));
	}
};
