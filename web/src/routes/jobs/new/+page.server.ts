import { redirect } from '@sveltejs/kit';
import { setError, superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { v7 as uuid } from 'uuid';
import { defaultSetup, newJob, type Job } from '@zinc-ledger/core';
import { ask } from '$lib/server/ask';
import { readForm } from '$lib/server/body';
import { findCustomer, findEngine, listCustomers, listEngines } from '$lib/server/customers';
import { nextJobNumber } from '$lib/server/jobs/find';
import { importJob } from '$lib/server/jobs/store';
import { tell } from '@zinc-ledger/words';
import { layoutOf, TakeIn, withSums } from '$lib/setup/take-in';

export const load = async ({ url }) => {
	const { number, customers, engines } = await ask(async (db) => ({
		number: await nextJobNumber(db),
		customers: await listCustomers(db),
		engines: await listEngines(db)
	}));
	return {
		customers,
		engines,
		form: await superValidate(
			{
				number,
				lift: url.searchParams.get('lift')?.slice(0, 24) ?? '',
				cushion: url.searchParams.get('cushion')?.slice(0, 24) ?? ''
			},
			zod4(TakeIn),
			{ errors: false }
		)
	};
};

export const actions = {
	default: async ({ request, locals }) => {
		const form = await superValidate(await readForm(request), zod4(TakeIn));
		if (!form.valid) return { form };
		const { data } = form;
		const setup = withSums(defaultSetup(locals.units.length, data.duty), data, locals.units);
		const customer = (await ask((db) => findCustomer(db, data.customer, data.contact))) ?? {
			id: uuid(),
			name: data.customer,
			...(data.contact && { contact: data.contact })
		};
		const layout = layoutOf(data) as Job['engine']['layout'];
		const engine = await ask((db) => findEngine(db, customer.id, data.engine, layout));
		const job = newJob({
			id: uuid(),
			number: data.number,
			takenIn: new Date().toISOString(),
			customer,
			engine: engine ?? { id: uuid(), name: data.engine, layout },
			setup: {
				...setup,
				use: { duty: data.duty, ...(data.workDone && { workDone: data.workDone }) },
				...(data.customerStatement && { customerStatement: data.customerStatement }),
				lifters: data.lifters
			}
		});
		const { problems } = await ask((db) => importJob(db, job));
		if (problems[0]) return setError(form, 'number', tell(problems[0].text));
		redirect(303, `/jobs/${job.id}/setup`);
	}
};
