import { error, fail, redirect } from '@sveltejs/kit';
import { Setup } from '@zinc-ledger/core/schema';
import { ask } from '$lib/server/ask';
import { loadJob, saveSetup } from '$lib/server/jobs';
import type { Values } from '$lib/forms/flat';
import { setupFrom } from '$lib/setup/values';

export const actions = {
	default: async ({ request, params, locals }) => {
		const values = Object.fromEntries(
			[...(await request.formData())].map(([key, value]) => [key, String(value)])
		) as Values;
		const { person } = locals;
		const refuse = (status: number, message: string, problems: Record<string, string> = {}) =>
			fail(status, { message, problems, values });

		if (!person)
			return refuse(401, 'Pick who works at this bench first; what is typed here stays.');
		const loaded = await ask((db) => loadJob(db, params.id));
		if (!loaded) error(404, 'There is no such job.');

		const checked = Setup.safeParse(setupFrom(values, loaded.job.setup, locals.units));
		if (!checked.success) {
			const problems = Object.fromEntries(
				checked.error.issues.map((issue) => [issue.path.join('.'), issue.message])
			);
			return refuse(400, 'Nothing was saved yet: look at the marked fields.', problems);
		}
		const revision = await ask((db) =>
			saveSetup(db, params.id, Number(values.revision), checked.data, person)
		);
		if (revision === null) {
			return refuse(
				409,
				'Somebody else changed this set-up meanwhile. Compare with theirs in another window, then save once more to overwrite.'
			);
		}
		redirect(303, `/jobs/${params.id}`);
	}
};
