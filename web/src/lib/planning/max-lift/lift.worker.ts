/** Tries the shop's parts on a job in a worker: each takes as long as a sheet. */
import { expose } from 'comlink';
import {
	evaluate,
	liftRoom,
	type Job,
	type Kind,
	type LibraryPart,
	type LiftOption
} from '@zinc-ledger/core';

const tried = {
	ladder: (job: Job, kind: Kind, library: readonly LibraryPart[]): readonly LiftOption[] =>
		liftRoom(job, evaluate(job), kind, library).ladder
};
export type Tried = typeof tried;

expose(tried);
