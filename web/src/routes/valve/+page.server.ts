/** One valve: what the shop has to answer for it, and the job that it may be saved as. */
import { fail, redirect } from '@sveltejs/kit';
import { v7 as uuid } from 'uuid';
import { KINDS, message, oneValveJob } from '@zinc-ledger/core';
import { SCHEMA_OF } from '@zinc-ledger/core/part-schema';
import { Reading } from '@zinc-ledger/core/schema';
import { Length, Name, PositiveSize, Size } from '@zinc-ledger/core/units-schema';
import { tell } from '@zinc-ledger/words';
import { z } from 'zod';
import { withDatabase } from '$lib/server/with-database';
import { formTexts } from '$lib/server/http/body';
import { findCustomer } from '$lib/server/jobs/customers';
import { nextJobNumber } from '$lib/server/jobs/find';
import { importJob } from '$lib/server/jobs/store';
import { listGaugesWithRepeats } from '$lib/server/parts/gauges';
import { countedShims, listParts } from '$lib/server/parts/parts';
import { shopSetup } from '$lib/server/shop';

export const load = ({ locals }) =>
	withDatabase(async (db) => ({
		springs: (await listParts(db, { type: 'spring' })).flatMap((one) =>
			one.type === 'spring' && !one.retired ? [one.part] : []
		),
		gauges: await listGaugesWithRepeats(db),
		shims: await countedShims(db),
		setup: await shopSetup(db, locals.units.length)
	}));

const Valve = z.strictObject({
	kind: z.enum(KINDS),
	spring: SCHEMA_OF.spring.nullable(),
	lift: PositiveSize.nullable(),
	height: Length.nullable(),
	gap: Size.nullable(),
	gauge: Reading.shape.gauge.nullable()
});

/** The valve of a form; null where it is none. */
function valveIn(text: string | undefined): z.infer<typeof Valve> | null {
	try {
		return Valve.safeParse(JSON.parse(text ?? '')).data ?? null;
	} catch {
		return null;
	}
}

export const actions = {
	save: async ({ request, locals }) => {
		const values = await formTexts(request);
		const { person } = locals;
		if (!person) return fail(401, { message: tell(message('server.operator-required')) });
		const valve = valveIn(values.valve);
		if (!valve?.height) return fail(400, { message: tell(message('server.not-saved')) });
		const name = Name.safeParse(values.customer?.trim()).data;
		if (!name) return fail(400, { message: tell(message('job.customer-missing')) });
		const job = await withDatabase(async (db) =>
			oneValveJob(valve, await shopSetup(db, locals.units.length), {
				number: await nextJobNumber(db),
				customer: (await findCustomer(db, name, '')) ?? { id: uuid(), name },
				engine: 'One valve',
				person,
				at: new Date().toISOString(),
				newId: () => uuid()
			})
		);
		const { problems } = await withDatabase((db) => importJob(db, job));
		if (problems[0]) return fail(400, { message: tell(problems[0].text) });
		redirect(303, `/jobs/${job.id}`);
	}
};
