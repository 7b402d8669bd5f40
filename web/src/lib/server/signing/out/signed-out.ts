/** A signed sheet of any version as its outputs read it: the frozen figures, never worked out anew. */
import { FIGURE_NAMES, type Drawing, type Job } from '@zinc-ledger/core';
import { checkJob } from '@zinc-ledger/core/file';
import {
	figureOfVersion1,
	stateOfVersion1,
	type AnySignedSheet,
	type FrozenVisit
} from '@zinc-ledger/core/signed';
import { printedSheet, type Kept, type Printed } from '$lib/signing/paper/printed';

/** All of a signed sheet that goes out. */
export type SignedOut = Printed & {
	readonly signed: NonNullable<Printed['signed']>;
	/** The head then and now, where it was here before. */
	readonly visit?: FrozenVisit | undefined;
};

const AS_IN_VERSION_1: Kept = {
	figures: (station) =>
		Object.fromEntries(FIGURE_NAMES.map((name) => [name, figureOfVersion1(station, name)])),
	state: stateOfVersion1
};

export function signedOut(signed: AnySignedSheet): SignedOut {
	const job = checkJob(signed.job);
	const { signing, section, visit } = signed;
	return {
		job: job.ok ? job.value : (signed.job as Job),
		sheet: printedSheet(signed.sheet, signed.version === 1 ? AS_IN_VERSION_1 : undefined),
		open: signed.open.map((one) => ('says' in one ? { ...one, text: one.says.text } : one)),
		section: section && {
			station: section.station,
			drawing: section.drawing as unknown as Drawing
		},
		...(visit && { visit: visit as unknown as FrozenVisit }),
		signed: {
			revision: signing.revision,
			person: signing.person.name,
			at: signing.at,
			sha256: signed.sha256,
			supersedes: signing.supersedes?.sha256,
			scope: signing.scope
		}
	};
}
