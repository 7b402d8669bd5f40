/** Whether a port held the vacuum that was asked of it. Source: handbook §9. */
import { vacuumOf, type Kilopascals } from '../units/index.ts';
import { message } from '../message/index.ts';
import { judge, type Verdict } from '../verdict/index.ts';
import { figure } from './figure.ts';
import type { StationRead } from './read.ts';

declare module '../message/message.ts' {
	interface Messages {
		'vacuum.not-held': { readonly reached: string; readonly min: string };
	}
}
declare module '../verdict/verdict.ts' {
	interface LimitCodes {
		'min-vacuum': true;
	}
}

/** null until the port was tested; as much as was asked for is enough, whatever the gauge resolves. */
export const vacuum = figure({ dimension: 'pressure', isColumn: false, verdict: judged });

function judged({ checks }: StationRead): Verdict<Kilopascals> | null {
	if (!checks.vacuum) return null;
	const { reached, least } = checks.vacuum;
	return judge(vacuumOf(reached), {
		dimension: 'pressure',
		limits: [{ code: 'min-vacuum', side: 'floor', at: vacuumOf(least), severity: 'stop' }],
		sources: ['measured'],
		remedy: () => message('vacuum.not-held', { reached, min: least })
	});
}
