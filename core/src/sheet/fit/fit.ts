/** The findings of fit on a job: every rule, asked of every set of parts that stands on it. */
import { keyOf } from '../../foundation/message/index.ts';
import { mm } from '../../foundation/units/index.ts';
import type { Acceptance, Job, KindSetup, StationEntry } from '../../job/document/index.ts';
import type { KindSheet, StationSheet } from '../figures/index.ts';
import { covers, findingKey } from './alike.ts';
import { comparedInVersion1 } from './version-1.ts';
import type { Finding, FitGroup } from './finding.ts';
import type { FitContext, SpringUse } from './rule.ts';
import { RULES } from './rules/index.ts';

/** What is known of a station for the rules: its entry, its parts, and its kind's figures with them. */
export interface Fitted {
	readonly entry: StationEntry;
	readonly parts: KindSetup;
	readonly kind: KindSheet;
	readonly sheet: StationSheet;
}

/** Sorts the stations of a job into groups that have the same parts. */
export function fitGroups(job: Job, fitted: readonly Fitted[]): FitGroup[] {
	const groups = new Map<KindSetup, Fitted[]>();
	for (const one of fitted) groups.set(one.parts, [...(groups.get(one.parts) ?? []), one]);
	const springs = new Map<string, SpringUse[]>();
	for (const { entry, parts } of fitted)
		springs.set(entry.head, [...(springs.get(entry.head) ?? []), ...springUse(parts)]);
	return [...groups].map(([parts, members]) => {
		const { kind } = members[0]!;
		const isWholeKind = job.setup.kinds[kind.kind] === parts;
		const tips = members.flatMap(({ sheet }) => sheet.tipHeight ?? []);
		const heads = new Set(members.map(({ entry }) => entry.head));
		return {
			stations: isWholeKind ? [] : members.map(({ entry }) => entry.label),
			context: {
				kind: kind.kind,
				parts,
				setup: job.setup,
				lift: kind.lift,
				openLoad: maxOf([
					openLoadAtAim(kind),
					...members.map(({ sheet }) => sheet.figures.openLoad.figure)
				]),
				shims: members.map(({ entry }) => entry.shims),
				tipHeight: tips.length > 0 ? mm(Math.min(...tips)) : null,
				springsOfHead: [...heads].flatMap((head) => springs.get(head)!)
			}
		};
	});
}

/** What an acceptance names: rule, place and the figures compared. */
const KEY = /^(\S+) ([^:]*): (.*)$/s;
interface PlacedAcceptance {
	readonly rule: string;
	readonly where: string;
	readonly compared: string | undefined;
	readonly entry: Acceptance;
}

/** The newest that was said of a rule's finding at a place; of what nobody spoke, null. */
const newestOf = (
	acceptances: readonly PlacedAcceptance[],
	rule: string,
	where: string,
	compared: string | null
) =>
	acceptances.reduce<Acceptance | null>(
		(newest, one) =>
			one.rule === rule &&
			one.compared === compared &&
			covers(one.where, where) &&
			(!newest || Date.parse(newest.at) <= Date.parse(one.entry.at))
				? one.entry
				: newest,
		null
	);

/** Every rule asked of every group. */
export function findings(
	groups: readonly FitGroup[],
	acceptances: readonly Acceptance[]
): Finding[] {
	const accepted = acceptances.map((entry): PlacedAcceptance => {
		const [, rule = '', where = '', compared] = KEY.exec(entry.finding) ?? [];
		return { rule, where, compared, entry };
	});
	return groups.flatMap(({ context, stations }) =>
		RULES.map((rule): Finding => {
			const check = rule.check(context);
			const compared = check.outcome === 'missing' ? null : check.compared;
			const where = stations.length > 0 ? stations.join(' ') : context.kind;
			// Only what fails can be accepted, and then for the figures compared.
			const fails = check.outcome === 'fails' ? check.compared : null;
			const entry =
				fails &&
				(newestOf(accepted, rule.id, where, keyOf(fails)) ??
					newestOf(accepted, rule.id, where, comparedInVersion1(fails)));
			return {
				rule: rule.id,
				severity: (check.outcome === 'fails' && check.severity) || rule.severity,
				outcome: check.outcome,
				kind: context.kind,
				stations,
				compared,
				missing: check.outcome === 'missing' ? check.missing : [],
				key: findingKey({ rule: rule.id, outcome: check.outcome, compared }, where),
				acceptance: entry?.accepted ? entry : null
			};
		})
	);
}

function openLoadAtAim(kind: KindSheet): FitContext['openLoad'] {
	const { curve, lift, target } = kind;
	if (!curve || !lift || target.height === null) return null;
	return curve.load(mm(target.height - lift.net));
}

const maxOf = (loads: readonly FitContext['openLoad'][]): FitContext['openLoad'] =>
	loads.reduce((a, b) => (b !== null && (a === null || b > a) ? b : a), null);

function springUse(parts: KindSetup): SpringUse[] {
	const { spring } = parts;
	if (!spring) return [];
	return [
		{ name: spring.name, batch: spring.batch, used: parts.reused?.includes('spring') ?? false }
	];
}
