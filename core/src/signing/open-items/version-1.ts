/**
 * Keys under which version 1 kept acceptances of what is open at a station: they
 * were made of the words shown. They are still looked for, and never written.
 */
import type { Message } from '../../foundation/message/index.ts';
import type { Verdict } from '../../foundation/verdict/index.ts';

const si = (figure: number) => figure.toFixed(3);
const percent = (part: number) => `${(100 * part).toFixed(0)} %`;

/** A remark as version 1 wrote it, figures in SI units; null for what it never asked to be accepted. */
function remarkInVersion1(text: Message): string | null {
	switch (text.code) {
		case 'lash.opened':
			return `Lash opened up ${si(text.params.by)} since it was set: look at the lifter first, then adjuster, pushrod, tip and rocker`;
		case 'lash.closed':
			return `Lash closed up ${si(text.params.by)} since it was set: a sinking seat, a stretching valve`;
		case 'head-load.under':
			return `On the head ${si(text.params.load)}, ${percent(text.params.part)} under what the curve gives here: shim left out, wrong spring, or the tester’s factor`;
		case 'head-load.over':
			return `On the head ${si(text.params.load)}, ${percent(text.params.part)} over what the curve gives here: wrong spring, a shim too many, or the tester’s factor`;
		case 'vacuum.not-held':
			return `Port held ${text.params.reached} of the ${text.params.min} wanted: look at seat, guide and seal`;
		case 'passage.contact': {
			const { passage, note } = text.params;
			const fault = {
				pushrod: 'Pushrod touches on its way',
				'rocker-slot': 'Rocker slot touches the stud or shaft',
				'tip-wipe': 'The rocker wipes off the middle of the tip'
			}[passage];
			return note ? `${fault}: ${note}` : fault;
		}
		case 'inspection.tip.battered':
			return 'Tip is battered, as by float: replace the valve, look at spring and rocker';
		case 'inspection.groove.worn':
			return 'Lock groove is worn: the locks will not hold. Replace the valve';
		case 'inspection.stem.bent':
			return 'Stem is bent: replace the valve';
		default:
			return null;
	}
}

/** The key of a remark of version 1, of one sort or the other. */
export function remarkKeyInVersion1(
	type: 'stop' | 'load',
	label: string,
	text: Message,
	limit: number | undefined
): string | null {
	const words = remarkInVersion1(text);
	if (words === null) return null;
	return `${type} ${label} ${words.slice(0, 300)}${limit === undefined ? '' : ` of ${si(limit)}`}`;
}

/** The key of a figure's verdict of version 1; null where it is the one of now. */
export function figureKeyInVersion1(key: string, label: string, verdict: Verdict): string | null {
	const { state, remedy, limits } = verdict;
	if (remedy?.code === 'vacuum.not-held')
		return remarkKeyInVersion1('stop', label, remedy, undefined);
	if (remedy?.code === 'head-load.under' || remedy?.code === 'head-load.over') {
		const [floor, ceiling] = limits;
		if (!floor || !ceiling) return null;
		const band = (ceiling.at - floor.at) / (ceiling.at + floor.at);
		return remarkKeyInVersion1('load', label, remedy, band);
	}
	return state === 'inconclusive' ? key.replace(/^inconclusive/, 'too close') : null;
}
