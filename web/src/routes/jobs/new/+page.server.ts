import { fail, redirect } from '@sveltejs/kit';
import { v7 as uuid } from 'uuid';
import { newJob, type Cam, type Job, type LengthUnit } from '@zinc-ledger/core';
import { tell } from '@zinc-ledger/words';
import { withDatabase } from '$lib/server/with-database';
import { fieldProblems, formTexts, isId } from '$lib/server/http/body';
import { findCustomer, findEngine, listCustomers, listEngines } from '$lib/server/jobs/customers';
import type { Database } from '$lib/server/database/connection';
import { nextJobNumber } from '$lib/server/jobs/find';
import { loadJob } from '$lib/server/jobs/load';
import { importJob } from '$lib/server/jobs/store';
import { findKept, listKept } from '$lib/server/kept';
import { kitsOffered, kitWithParts } from '$lib/server/parts/kits';
import { findPart, listParts } from '$lib/server/parts/parts';
import { shopSetup } from '$lib/server/shop';
import { begin, type Named } from '$lib/job/setup/begin';
import { EMPTY, layoutOf, layoutTexts, takenLike, TakeIn, onlyHead } from '$lib/job/setup/take-in';

async function cams(db: Database): Promise<Cam[]> {
	const parts = await listParts(db, { type: 'cam' });
	return parts.flatMap((one) => (one.type === 'cam' && !one.retired ? [one.part] : []));
}

export const load = async ({ url }) => {
	const { searchParams } = url;
	const given = (name: string) => searchParams.get(name)?.slice(0, 24) ?? '';
	const id = searchParams.get('like');
	const kit = searchParams.get('kit');
	const { like, number, ...offered } = await withDatabase(async (db) => ({
		like: isId(id) ? ((await loadJob(db, id))?.job ?? null) : null,
		number: await nextJobNumber(db),
		customers: await listCustomers(db),
		engines: await listEngines(db),
		templates: (await listKept(db, 'template')).flatMap(({ doc, retired }) =>
			retired
				? []
				: [{ id: doc.id, name: doc.name, layout: doc.layout, lifters: doc.setup.lifters }]
		),
		kits: (await kitsOffered(db)).kits,
		springs: (await listParts(db, { type: 'spring' }))
			.filter(({ retired }) => !retired)
			.map(({ part }) => ({ id: part.id, name: part.name })),
		cams: (await cams(db)).map(({ name }) => name)
	}));
	const template = offered.templates.find((one) => one.id === searchParams.get('template'));
	return {
		...offered,
		like: like && { number: like.number, engine: like.engine.name },
		values: {
			...EMPTY,
			...(like && takenLike(like)),
			...(template && {
				...layoutTexts(template.layout),
				template: template.id,
				engine: template.name,
				lifters: template.lifters
			}),
			...(isId(kit) && { kit: `kit:${kit}` }),
			number,
			lift: given('lift'),
			cushion: given('cushion')
		}
	};
};

/** What the shop has of what the form names. */
async function namedIn(form: TakeIn, unit: LengthUnit): Promise<Named> {
	const [type, id = ''] = form.kit.split(':');
	return withDatabase(async (db) => {
		const taken = type === 'kit' && isId(id) ? await kitWithParts(db, id) : null;
		const spring = type === 'spring' && isId(id) ? await findPart(db, id) : null;
		const template = isId(form.template) ? await findKept(db, 'template', form.template) : null;
		return {
			like: isId(form.like) ? (await loadJob(db, form.like))?.job : undefined,
			template: template?.doc,
			kit: taken?.kit,
			spring: spring?.type === 'spring' ? spring : undefined,
			parts: taken?.parts ?? new Map(),
			cams: await cams(db),
			usual: await shopSetup(db, unit)
		};
	});
}

export const actions = {
	default: async ({ request, locals }) => {
		const values = await formTexts(request);
		const refused = (problems: Record<string, string>) => fail(400, { values, problems });
		// A field that was not sent is an empty one, and is checked as such.
		const read = TakeIn.safeParse({ ...EMPTY, ...values });
		if (!read.success) return refused(fieldProblems(read.error));
		const { data } = read;
		const begun = begin(data, await namedIn(data, locals.units.length), locals.units);
		if (!begun.ok) return refused({ [begun.field]: tell(begun.problem) });
		const customer = (await withDatabase((db) =>
			findCustomer(db, data.customer, data.contact)
		)) ?? {
			id: uuid(),
			name: data.customer,
			...(data.contact && { contact: data.contact })
		};
		const layout = layoutOf(data) as Job['engine']['layout'];
		const engine = await withDatabase((db) => findEngine(db, customer.id, data.engine, layout));
		const job = newJob({
			id: uuid(),
			number: data.number,
			takenIn: new Date().toISOString(),
			customer,
			engine: engine ?? { id: uuid(), name: data.engine, layout },
			setup: begun.setup,
			onlyHead: onlyHead(data)
		});
		const { problems } = await withDatabase((db) => importJob(db, job));
		if (problems[0]) return refused({ number: tell(problems[0].text) });
		redirect(303, `/jobs/${job.id}/round?of=installed-height`);
	}
};
