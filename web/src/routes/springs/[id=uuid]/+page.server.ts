import { fail } from '@sveltejs/kit';
import { z } from 'zod';
import { lengthOf, medianSpring, mm, applyToSetup, type LibraryPart } from '@zinc-ledger/core';
import { problemsOf } from '@zinc-ledger/core/file';
import { Sweep } from '@zinc-ledger/core/sweep-schema';
import { newSweep, type Columns } from '$lib/springs/sets/csv';
import { testedOf } from '$lib/springs/sets/worked';
import { withDatabase } from '$lib/server/with-database';
import { formTexts, formWithFile, trimmed } from '$lib/server/http/body';
import { saveSetup } from '$lib/server/jobs/change';
import { loadJob } from '$lib/server/jobs/load';
import { listParts } from '$lib/server/parts/parts';
import { readSetForm } from '$lib/server/springs/spring-set-form';
import { work } from '$lib/server/work/pool';
import { editSet, findSet, keepSweep, springsOf } from '$lib/server/springs/springs';
import { message, type Problem } from '@zinc-ledger/core';
import { tell } from '@zinc-ledger/words';
import { refuse } from '$lib/server/http/refuse';

const Chosen = z.object({
	height: z.coerce.number().int().min(0).optional(),
	load: z.coerce.number().int().min(0).optional(),
	heightUnit: z.enum(['mm', 'in']).optional(),
	loadUnit: z.enum(['N', 'lbf', 'kgf']).optional()
});

export const actions = {
	/** Takes a sweep in from a file: the open JSON, or CSV whose columns are recognised or asked for. */
	import: async ({ request, params, locals }) => {
		const { person } = locals;
		const { values: form, file } = await formWithFile(request);
		const { tag = '' } = form;
		if (!person)
			return fail(401, {
				problems: [{ path: '', text: message('server.operator-required') }]
			});
		const set = await withDatabase((db) => findSet(db, params.id));
		if (!set) refuse(404, message('server.unknown', { what: 'set' }));
		const text = file?.text ?? form.text ?? '';
		const name = file?.name ?? form.name ?? 'the file';
		const refused = (problems: readonly Problem[]) =>
			fail(400, { file: name, problems: [...problems] });
		if (text.trim() === '')
			return refused([{ path: 'file', text: message('import.choose-file', { what: 'sweep' }) }]);
		const chosen = Chosen.safeParse(strip(form));
		if (!chosen.success)
			return refused([{ path: 'columns', text: message('import.which-column') }]);
		const columns = Object.fromEntries(
			Object.entries(chosen.data).filter(([, value]) => value !== undefined)
		) as Partial<Columns>;
		const found = await work('sweepFile', { text, columns });
		let sweep;
		if (found.type === 'sweep') {
			const { read } = found;
			if (!read.ok) return refused(read.problems);
			sweep = { ...read.value, set: set.name, tag, person: person.name };
		} else {
			const { read } = found;
			if (read.type === 'wrong') return refused(read.problems);
			if (read.type === 'ask')
				return { ask: { name, text, tag, names: read.names, guess: read.guess } };
			const checked = Sweep.safeParse(
				newSweep(
					{ set: set.name, tag, tester: name.slice(0, 80), fixture: '0 mm', person: person.name },
					read.columns,
					read.points
				)
			);
			if (!checked.success) return refused(problemsOf(checked.error));
			sweep = checked.data;
		}
		const kept = await withDatabase((db) => keepSweep(db, params.id, sweep, person));
		if (!kept) return refused([{ path: 'tag', text: message('server.no-spring', { tag }) }]);
		return { taken: `${name}: ${sweep.points.length} points for ${tag}` };
	},

	/** Says something else of the set: its name, card or build, height and lift. */
	edit: async ({ request, params, locals }) => {
		const typed = trimmed(await formTexts(request));
		const refused = (status: number, edit: Record<string, string>) => fail(status, { edit, typed });
		if (!locals.person) return refused(401, { name: tell(message('server.operator-required')) });
		const read = await readSetForm(typed, locals.units);
		if (!read.ok) return refused(400, read.problems);
		if (!(await withDatabase((db) => editSet(db, params.id, read.set))))
			refuse(404, message('server.unknown', { what: 'set' }));
		return { edited: true };
	},

	/** Puts the set's median curve on the job, with whether it is the spring that the job says. */
	use: async ({ params, locals }) => {
		const { person } = locals;
		if (!person)
			return fail(401, {
				problems: [{ path: '', text: message('server.operator-required') }]
			});
		const set = await withDatabase((db) => findSet(db, params.id));
		if (!set?.jobId) refuse(409, message('set.not-for-job'));
		const loaded = await withDatabase((db) => loadJob(db, set.jobId!));
		if (!loaded) refuse(404, message('server.unknown', { what: 'job' }));
		// On a visit only what was tested since the head is here says what a spring is now.
		const since = loaded.job.visitOf ? Date.parse(loaded.job.takenIn) : 0;
		const springs = (await withDatabase((db) => springsOf(db, params.id, 1))).map((spring) => ({
			...spring,
			sweeps: spring.sweeps.filter(({ at }) => Date.parse(at) >= since)
		}));
		const tested = testedOf(springs, set.build);
		const median = medianSpring(tested, mm(lengthOf(set.seat)));
		if (!median) return fail(409, { problems: [{ path: 'set', text: message('set.not-tested') }] });
		const cards = (await withDatabase((db) => listParts(db, { type: 'spring' }))).map(
			(part) => (part as LibraryPart<'spring'>).part
		);
		const setup = applyToSetup(loaded.job.setup, set, tested, median, cards);
		const saved = await withDatabase((db) =>
			saveSetup(db, set.jobId!, loaded.revision, setup, person)
		);
		if (saved === null)
			return fail(409, {
				problems: [{ path: 'job', text: message('server.changed-meanwhile') }]
			});
		return {
			used: `The curve of ${median.tag}, the median of the set, is on job ${set.jobNumber}.`
		};
	}
};

/** Form fields that somebody filled in. */
const strip = (form: Record<string, unknown>) =>
	Object.fromEntries(Object.entries(form).filter(([, value]) => value !== ''));
