/** The findings of fit on a job: every rule, asked of every set of parts that stands on it. */
import { keyOf } from '../message/index.ts';
import { mm } from '../units/index.ts';
import type { Acceptance, Job, KindSetup, StationEntry } from '../document/index.ts';
import type { KindSheet, StationSheet } from '../figures/index.ts';
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
				openLoad: greatestOf([
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

/** Every rule asked of every group. */
export function findings(
	groups: readonly FitGroup[],
	acceptances: readonly Acceptance[]
): Finding[] {
	const newest = new Map<string, Acceptance>();
	for (const entry of acceptances) {
		const before = newest.get(entry.finding);
		if (!before || Date.parse(before.at) <= Date.parse(entry.at)) newest.set(entry.finding, entry);
	}
	return groups.flatMap(({ context, stations }) =>
		RULES.map((rule): Finding => {
			const check = rule.check(context);
			const compared = check.outcome === 'missing' ? null : check.compared;
			const where = stations.length > 0 ? stations.join(' ') : context.kind;
			// Only what fails can be accepted, and then for the figures compared.
			const key =
				check.outcome === 'fails'
					? `${rule.id} ${where}: ${keyOf(check.compared)}`
					: `${rule.id} ${where}`;
			const then = check.outcome === 'fails' ? comparedInVersion1(check.compared) : null;
			const entry =
				newest.get(key) ?? (then === null ? undefined : newest.get(`${rule.id} ${where}: ${then}`));
			return {
				rule: rule.id,
				severity: (check.outcome === 'fails' && check.severity) || rule.severity,
				outcome: check.outcome,
				kind: context.kind,
				stations,
				compared,
				missing: check.outcome === 'missing' ? check.missing : [],
				key,
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

const greatestOf = (loads: readonly FitContext['openLoad'][]): FitContext['openLoad'] =>
	loads.reduce((a, b) => (b !== null && (a === null || b > a) ? b : a), null);

function springUse(parts: KindSetup): SpringUse[] {
	const { spring } = parts;
	if (!spring) return [];
	return [
		{ name: spring.name, batch: spring.batch, used: parts.reused?.includes('spring') ?? false }
	];
}
