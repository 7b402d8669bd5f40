import { error, fail } from '@sveltejs/kit';
import { v7 as uuid } from 'uuid';
import { readSignedEntry, withUnit } from '@zinc-ledger/core';
import { GaugeCheck } from '@zinc-ledger/core/gauge-schema';
import { flatten } from '$lib/forms/flat';
import { GAUGE_FIELDS } from '$lib/gauges/fields';
import { ask } from '$lib/server/ask';
import { formTexts, trimmed } from '$lib/server/body';
import { findGauge, insertCheck, listGauges } from '$lib/server/gauges';
import { keepGauge } from '$lib/server/keep-gauge';

async function known(id: string) {
	const gauge = await ask((db) => findGauge(db, id));
	if (!gauge) error(404, 'There is no such gauge.');
	return gauge;
}

export const load = async ({ params }) => {
	const { gauge, checks, revision } = await known(params.id);
	const others = (await ask(listGauges)).filter((other) => other.gauge.id !== gauge.id);
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
		const refuse = (checkProblem: string) => fail(400, { checkProblem, typed });
		if (!person) return refuse('Pick who works at this bench first; what is typed here stays.');
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
			const [issue] = checked.error.issues;
			return refuse(
				`${String(issue?.path[0])}: ${issue?.code === 'invalid_union' ? 'a figure with its unit' : issue?.message}`
			);
		}
		await ask((db) => insertCheck(db, checked.data));
		return {};
	}
};
