import { error, fail } from '@sveltejs/kit';
import { z } from 'zod';
import {
	KINDS,
	lengthOf,
	lengthText,
	loadOf,
	mm,
	pointsOf,
	unitOf,
	type Setup
} from '@zinc-ledger/core';
import { identify, setFigures, type LibraryPart, type SpringCard } from '@zinc-ledger/core';
import { readSweep } from '@zinc-ledger/core/sweep-schema';
import { newSweep, sweepFromCsv, type Columns } from '$lib/springs/csv';
import { worked } from '$lib/springs/worked';
import { ask } from '$lib/server/ask';
import { loadJob, saveSetup } from '$lib/server/jobs';
import { listParts } from '$lib/server/parts';
import { findSet, keepSweep, springsOf } from '$lib/server/springs';

const Told = z.object({
	height: z.coerce.number().int().min(0).optional(),
	load: z.coerce.number().int().min(0).optional(),
	heightUnit: z.enum(['mm', 'in']).optional(),
	loadUnit: z.enum(['N', 'lbf', 'kgf']).optional()
});

export const actions = {
	/** Takes a sweep in from a file: the open JSON, or CSV whose columns are recognised or asked for. */
	import: async ({ request, params, locals }) => {
		const { person } = locals;
		const form = Object.fromEntries(await request.formData());
		const tag = String(form.tag ?? '');
		if (!person)
			return fail(401, {
				problems: [{ path: 'name', message: 'Pick who works at this bench first.' }]
			});
		const set = await ask((db) => findSet(db, params.id));
		if (!set) error(404, 'There is no such set.');
		const { file } = form;
		const text =
			file instanceof File && file.size > 0 ? await file.text() : String(form.text ?? '');
		const name =
			file instanceof File && file.size > 0 ? file.name : String(form.name ?? 'the file');
		const refuse = (problems: readonly { path: string; message: string }[]) =>
			fail(400, { file: name, problems: [...problems] });
		if (text.trim() === '') return refuse([{ path: 'file', message: 'choose a sweep file first' }]);
		let sweep;
		if (text.trimStart().startsWith('{')) {
			const read = readSweep(text);
			if (!read.ok) return refuse(read.problems);
			sweep = { ...read.value, set: set.name, tag };
		} else {
			const told = Object.fromEntries(
				Object.entries(Told.parse(strip(form))).filter(([, value]) => value !== undefined)
			);
			const read = sweepFromCsv(text, told as Partial<Columns>);
			if (read.sort === 'wrong') return refuse(read.problems);
			if (read.sort === 'ask')
				return { ask: { name, text, tag, names: read.names, guess: read.guess } };
			sweep = newSweep(
				{ set: set.name, tag, tester: name.slice(0, 80), fixture: '0 mm', person: person.name },
				read.columns,
				read.points
			);
		}
		const kept = await ask((db) => keepSweep(db, params.id, sweep, person));
		if (!kept) return refuse([{ path: 'tag', message: `there is no spring ${tag} in this set` }]);
		return { taken: `${name}: ${sweep.points.length} points for ${tag}` };
	},

	/** Puts the set's middle curve on the job, with whether it is the spring that the job says. */
	use: async ({ params, locals }) => {
		const { person } = locals;
		if (!person)
			return fail(401, {
				problems: [{ path: 'name', message: 'Pick who works at this bench first.' }]
			});
		const set = await ask((db) => findSet(db, params.id));
		if (!set?.jobId) error(409, 'This set is not for a job.');
		const springs = await ask((db) => springsOf(db, params.id, 1));
		const build = set.card?.build;
		const seat = mm(lengthOf(set.seat));
		const tested = springs.flatMap(({ tag, sweeps }) => {
			const [sweep] = sweeps;
			const done = sweep && worked(sweep, build);
			return done?.curve ? [{ tag, done, curve: done.curve }] : [];
		});
		const figures = setFigures(tested.map(({ tag, curve }) => ({ tag, seat: curve.load(seat) })));
		const middle = tested.toSorted(
			(a, b) =>
				Math.abs((a.curve.load(seat) ?? 0) - (figures.median ?? 0)) -
				Math.abs((b.curve.load(seat) ?? 0) - (figures.median ?? 0))
		)[0];
		if (!middle)
			return fail(409, { problems: [{ path: 'set', message: 'no spring of it is tested yet' }] });
		const cards = (await ask((db) => listParts(db, { sort: 'spring' }))).map(
			(part) => (part as LibraryPart<'spring'>).part
		);
		const saved = await ask(async (db) => {
			const loaded = await loadJob(db, set.jobId!);
			if (!loaded) error(404, 'There is no such job.');
			const setup = structuredClone(loaded.job.setup) as Setup;
			for (const kind of KINDS) {
				const card = setup.kinds[kind].spring;
				if (!card) continue;
				const matches = identify({ curve: middle.curve, bind: middle.done.bind }, cards);
				const own = matches.find((match) => match.card.id === card.id);
				const notThis =
					own?.fits === 'is not it'
						? (matches[0]?.card.name ?? 'no card in the library')
						: undefined;
				setup.kinds[kind].spring = {
					...card,
					tested: testedOf(card, middle.curve, middle.done.bind, set.name, notThis)
				};
			}
			return saveSetup(db, set.jobId!, loaded.revision, setup, person);
		});
		if (saved === null)
			return fail(409, {
				problems: [{ path: 'job', message: 'somebody else changed the job meanwhile: try again' }]
			});
		return {
			used: `The curve of ${middle.tag}, the middle of the set, is on job ${set.jobNumber}.`
		};
	}
};

/** Form fields that somebody filled in. */
const strip = (form: Record<string, unknown>) =>
	Object.fromEntries(Object.entries(form).filter(([, value]) => value !== ''));

function testedOf(
	card: SpringCard,
	curve: Parameters<typeof pointsOf>[0],
	bind: ReturnType<typeof worked>['bind'],
	set: string,
	notThis: string | undefined
): NonNullable<SpringCard['tested']> {
	const unit = unitOf(card.seat.height);
	const perLoad = loadOf('1 lbf');
	return {
		points: pointsOf(curve).map(({ height, load }) => ({
			height: unit === 'in' ? `${(height / 25.4).toFixed(4)} in` : `${height.toFixed(3)} mm`,
			load: card.seat.load.endsWith('lbf')
				? `${(load / perLoad).toFixed(3)} lbf`
				: `${load.toFixed(2)} N`
		})),
		...(bind.sort === 'bind' && { bind: lengthText(bind.height, unit) }),
		set,
		...(notThis && { notThis })
	};
}
