/** What every sweep says of its spring, as rows in SI units. */
import {
	analyzeSweep,
	frameOf,
	lengthOf,
	sweepPoints,
	USUAL_NOISE,
	windowFigures,
	type SpringCard,
	type Sweep
} from '@zinc-ledger/core';
import { sql } from 'kysely';
import type { Database } from '../database/connection';
import { serviceWhenTested } from './of-service';

/** Makes the rows of a spring's sweeps: of those that have none, or whose set or spring changed since. */
export async function deriveSpring(db: Database, springId: string): Promise<void> {
	const rows = await db
		.selectFrom('sweep')
		.innerJoin('spring', 'spring.id', 'sweep.spring_id')
		.innerJoin('spring_set', 'spring_set.id', 'spring.set_id')
		.leftJoin('part', 'part.id', 'spring_set.card_id')
		.leftJoin('spring_result', 'spring_result.sweep_id', 'sweep.id')
		.select([
			'sweep.id',
			'sweep.doc',
			'sweep.at',
			'spring.set_id',
			'spring.tag',
			'spring.measured',
			'spring_set.job_id',
			'spring_set.seat',
			'spring_set.lift',
			'spring_set.card_id',
			'spring_set.build as statedBuild',
			'part.doc as card',
			'spring_result.source as before'
		])
		.select(
			sql<number>`dense_rank() over (order by (sweep.at at time zone 'UTC')::date)::int`.as('visit')
		)
		.where('sweep.spring_id', '=', springId)
		.orderBy('sweep.position')
		.execute();
	for (const { id, doc, at, card, statedBuild, before, visit, ...of } of rows) {
		const { build = statedBuild ?? undefined, name, batch } = (card ?? {}) as Partial<SpringCard>;
		const source = JSON.stringify([of, build, name, batch, visit]);
		if (before === source) continue;
		const row = {
			source,
			spring_id: springId,
			set_id: of.set_id,
			job_id: of.job_id,
			tag: of.tag,
			serial: of.measured.serial ?? null,
			card_id: of.card_id,
			card: name ?? null,
			batch: batch ?? null,
			at,
			visit,
			...figuresOf(doc as Sweep, build, of)
		};
		await db
			.insertInto('spring_result')
			.values({ sweep_id: id, ...row })
			.onConflict((conflict) => conflict.column('sweep_id').doUpdateSet(row))
			.execute();
	}
	await serviceWhenTested(db, [springId]);
}

interface WorkedAt {
	readonly seat: string;
	readonly lift: string;
	readonly measured: { readonly bind?: { readonly height: string } | undefined };
}

function figuresOf(sweep: Sweep, build: SpringCard['build'], { seat, lift, measured }: WorkedAt) {
	const worked = analyzeSweep(sweepPoints(sweep), build, USUAL_NOISE, frameOf(sweep));
	const height = lengthOf(seat);
	const figures = windowFigures(worked.curve, { seat: height, lift: lengthOf(lift) });
	const found = worked.bind.type === 'bind' ? worked.bind.height : null;
	return {
		height,
		seat_load: figures.seat,
		open_load: figures.open,
		rate: figures.rate,
		bind: measured.bind ? lengthOf(measured.bind.height) : found,
		energy: worked.energy
	};
}
