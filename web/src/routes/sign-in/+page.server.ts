import { fail, redirect } from '@sveltejs/kit';
import { tell } from '@zinc-ledger/words';
import { refuseWithoutNetwork, signIn } from '$lib/server/access/sign-in';
import { back } from '$lib/server/http/back';
import { formTexts } from '$lib/server/http/body';

export const load = refuseWithoutNetwork;

export const actions = {
	default: async (event) => {
		refuseWithoutNetwork();
		const { userName = '', password = '', code = '', bench } = await formTexts(event.request);
		const atBench = bench === 'yes';
		const problem = await signIn(event, { userName, password, code, atBench });
		if (problem) {
			const isWanted = problem.code === 'access.code-wanted';
			const asksCode = isWanted || problem.code === 'access.code-refused';
			return fail(401, { problem: isWanted ? null : tell(problem), userName, asksCode });
		}
		redirect(303, back(event.url));
	}
};
