import { redirect } from '@sveltejs/kit';
import { setError, superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { v7 as uuid } from 'uuid';
import { defaultSetup, newJob, setupLike, type Job } from '@zinc-ledger/core';
import { ask } from '$lib/server/ask';
import { isId, readForm } from '$lib/server/body';
import { findCustomer, findEngine, listCustomers, listEngines } from '$lib/server/customers';
import { nextJobNumber } from '$lib/server/jobs/find';
import { loadJob } from '$lib/server/jobs/load';
import { importJob } from '$lib/server/jobs/store';
import { tell } from '@zinc-ledger/words';
import { layoutOf, takenLike, TakeIn, withSums } from '$lib/setup/take-in';

export const load = async ({ url }) => {
	const id = url.searchParams.get('like');
	const { like, number, customers, engines } = await ask(async (db) => ({
		like: isId(id) ? ((await loadJob(db, id))?.job ?? null) : null,
		number: await nextJobNumber(db),
		customers: await listCustomers(db),
		engines: await listEngines(db)
	}));
	return {
		customers,
		engines,
		like: like && { number: like.number, engine: like.engine.name },
		form: await superValidate(
			{
				...(like && takenLike(like)),
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
		const like = isId(data.like) ? await ask((db) => loadJob(db, data.like)) : undefined;
		const begun = like ? setupLike(like.job) : defaultSetup(locals.units.length, data.duty);
		const setup = withSums(begun, data, locals.units);
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
				use: { ...setup.use, duty: data.duty, ...(data.workDone && { workDone: data.workDone }) },
				...(data.customerStatement && { customerStatement: data.customerStatement }),
				lifters: data.lifters
			}
		});
		const { problems } = await ask((db) => importJob(db, job));
		if (problems[0]) return setError(form, 'number', tell(problems[0].text));
		redirect(303, `/jobs/${job.id}/setup`);
	}
};
