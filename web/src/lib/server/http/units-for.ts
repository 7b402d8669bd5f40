import { unitsAsRead, type Job, type Units } from '@zinc-ledger/core';

/** Units as a form or a cookie names them, "in,lbf"; null where they are none. */
export function unitsNamed(text: string | undefined): Units | null {
	const match = /^(in|mm),(lbf|N|kgf)$/.exec(text ?? '');
	return match ? ({ length: match[1], load: match[2] } as Units) : null;
}

/** The units a job's pages are read in: those that somebody chose, else those it was measured in. */
export const unitsFor = ({ chosenUnits }: App.Locals, job: Job): Units =>
	chosenUnits ?? unitsAsRead(job);
