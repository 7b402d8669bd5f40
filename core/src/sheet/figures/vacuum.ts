/** Whether a port held the vacuum that was asked of it. Source: docs/trade/assembly.md. */
import { vacuumOf, type Kilopascals } from '../../foundation/units/index.ts';
import { message } from '../../foundation/message/index.ts';
import { judge, type Verdict } from '../../foundation/verdict/index.ts';
import { figure } from './figure.ts';
import type { StationRead } from './read.ts';

declare module '../../foundation/message/message.ts' {
	interface Messages {
		'vacuum.not-held': { readonly reached: string; readonly min: string };
		'vacuum.too-short': { readonly held: number; readonly needed: number };
	}
}
declare module '../../foundation/verdict/verdict.ts' {
	interface LimitCodes {
		'min-vacuum': true;
	}
}

/**
 * null until the port was tested; as much as was asked for is enough, whatever the gauge
 * resolves. A vacuum that was not held for the job's time is a stop: nobody knows that it holds.
 */
export const vacuum = figure({ dimension: 'pressure', isColumn: false, verdict: judged });

function judged({ job, checks }: StationRead): Verdict<Kilopascals> | null {
	if (!checks.vacuum) return null;
	const { reached, min, seconds } = checks.vacuum;
	const verdict = judge(vacuumOf(reached), {
		dimension: 'pressure',
		limits: [{ code: 'min-vacuum', side: 'floor', at: vacuumOf(min), severity: 'stop' }],
		sources: ['measured'],
		remedy: () => message('vacuum.not-held', { reached, min })
	});
	const needed = job.setup.limits.vacuum.seconds;
	if (verdict.state === 'stop' || seconds >= needed) return verdict;
	return {
		...verdict,
		state: 'stop',
		remedy: message('vacuum.too-short', { held: seconds, needed })
	};
}
