import { unitsAsRead, type Job, type Units } from '@zinc-ledger/core';

/** The units a job's pages are read in: those that somebody chose, else those it was measured in. */
export const unitsFor = ({ chosenUnits }: App.Locals, job: Job): Units =>
	chosenUnits ?? unitsAsRead(job);
