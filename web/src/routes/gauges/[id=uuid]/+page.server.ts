import { fail } from '@sveltejs/kit';
import { v7 as uuid } from 'uuid';
import { readSignedEntry, withUnit } from '@zinc-ledger/core';
import { GaugeCheck } from '@zinc-ledger/core/gauge-schema';
import { flatten } from '$lib/forms/flat';
import { GAUGE_FIELDS } from '$lib/parts/gauges/fields';
import { withDatabase } from '$lib/server/with-database';
import { formTexts, trimmed } from '$lib/server/http/body';
import { findGauge, insertCheck, listGauges } from '$lib/server/parts/gauges';
import { keepGauge } from '$lib/server/parts/keep-gauge';
import { message, messageOf, type Message } from '@zinc-ledger/core';
import { pathText } from '@zinc-ledger/core/file';
import { tell } from '@zinc-ledger/words';
import { refuse } from '$lib/server/http/refuse';

async function known(id: string) {
	const gauge = await withDatabase((db) => findGauge(db, id));
	if (!gauge) refuse(404, message('server.unknown', { what: 'gauge' }));
	return gauge;
}

export const load = async ({ params }) => {
	const { gauge, checks, revision } = await known(params.id);
	const others = (await withDatabase(listGauges)).filter((other) => other.gauge.id !== gauge.id);
	return {
		gauge,
		checks,
		others,
		values: { ...flatten(gauge, GAUGE_FIELDS), revision: String(revision) }
	};
};

export const actions = {
	keep: async ({ request, params, locals }) => {
		const { gauge } = await known(params.id);
		return keepGauge({ request, ...locals, id: params.id, before: gauge });
	},
	check: async ({ request, params, locals }) => {
		const { person, units } = locals;
		const typed = trimmed(await formTexts(request));
		const refused = (says: Message) => fail(400, { checkProblem: tell(says), typed });
		if (!person) return refused(message('server.operator-required'));
		await known(params.id);
		const figure = (text: string, isLoad: boolean) => {
			if (isLoad) return withUnit(text, units.load);
			const entry = readSignedEntry(text, units.length);
			return entry.ok ? entry.text : text;
		};
		const checked = GaugeCheck.safeParse({
			id: uuid(),
			gauge: params.id,
			against: typed.against,
			reference: figure(typed.reference ?? '', typed.dimension !== 'length'),
			// On a solid block the dial's way is read for the load put on.
			read: figure(typed.read ?? '', typed.dimension === 'load'),
			person: person.id,
			at: new Date().toISOString()
		});
		if (!checked.success) {
			const fields = checked.error.issues.slice(0, 1).map((issue) => ({
				path: pathText(issue.path),
				says:
					issue.code === 'invalid_union'
						? message('field.quantity', { of: 'length-or-load' })
						: messageOf(issue)
			}));
			return refused(message('server.fields', { fields }));
		}
		await withDatabase((db) => insertCheck(db, checked.data));
		return {};
	}
};
