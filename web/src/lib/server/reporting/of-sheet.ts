/** What was signed of every station, as rows in SI units: read from the sheet, never worked out anew. */
import { FIGURE_NAMES } from '@zinc-ledger/core';
import { figureOfVersion1, readSigned, stateOfVersion1 } from '@zinc-ledger/core/signed';
import type { Database } from '../database/connection';
import type { Tables } from '../database/schema';

type SignedRow = Pick<Tables['signed_sheet'], 'id' | 'job_id' | 'revision' | 'content'>;

/** Keeps the results of a signed sheet; those of one that has them stay as they are. */
export async function deriveSheet(
	db: Database,
	{ id, job_id, revision, content }: SignedRow
): Promise<void> {
	const { version, sheet, signing } = readSigned(content);
	const inScope = signing.scope?.stations;
	// Written by this program or the one before it, and verified: its shape is known by its version.
	// eslint-disable-next-line @typescript-eslint/no-explicit-any
	const stations = (sheet as any).stations as any[];
	const looked = stations.filter(({ label }) => inScope?.includes(label) ?? true);
	const rows = looked.flatMap((station) =>
		FIGURE_NAMES.flatMap((figure) => {
			const judged = version === 1 ? figureOfVersion1(station, figure) : station.figures[figure];
			if (!judged) return [];
			return {
				sheet_id: id,
				job_id,
				revision,
				station: station.label,
				kind: station.kind,
				figure,
				value: judged.figure,
				uncertainty: judged.uncertainty ?? null,
				state: stateOfVersion1(judged.state)
			};
		})
	);
	if (rows.length === 0) return;
	await db
		.insertInto('station_result')
		.values(rows)
		.onConflict((conflict) => conflict.doNothing())
		.execute();
}
