/** What the rules of fit find at several stations alike, as one finding: it is asked about once. */
import { keyOf } from '../../foundation/message/index.ts';
import type { Kind } from '../../foundation/station/index.ts';
import type { Finding, FitGroup } from './finding.ts';
import type { FitContext } from './rule.ts';

/** What somebody accepts: rule, place and, of what fails, the figures compared. */
export const findingKey = (
	{ rule, compared, outcome }: Pick<Finding, 'rule' | 'compared' | 'outcome'>,
	where: string
): string =>
	outcome === 'fails' && compared ? `${rule} ${where}: ${keyOf(compared)}` : `${rule} ${where}`;

/** Whether an acceptance for one place holds at another: there, or at some of its stations. */
export function covers(accepted: string, where: string): boolean {
	if (accepted === where) return true;
	const stations = new Set(accepted.split(' '));
	return where.split(' ').every((station) => stations.has(station));
}

/**
 * Findings with those of one kind that say the same together: every valve with a spring of its own
 * is a set of parts of its own, and asks the same as its neighbours.
 *
 * @param stations the job's, with their kinds: what all of a kind have is said of the kind
 */
export function alikeFindings(
	fit: readonly Finding[],
	stations: readonly { readonly label: string; readonly kind: Kind }[]
): Finding[] {
	const alike = new Map<string, Finding[]>();
	for (const finding of fit) {
		const { rule, kind, outcome, severity, compared, missing, acceptance } = finding;
		const says = [compared, ...missing].map((one) => one && keyOf(one));
		const isOfKind = finding.stations.length === 0;
		const key = [rule, kind, outcome, severity, isOfKind, ...says, acceptance?.id].join('|');
		alike.set(key, [...(alike.get(key) ?? []), finding]);
	}
	const order = stations.map(({ label }) => label);
	return [...alike.values()].map((all): Finding => {
		const [first] = all;
		if (all.length === 1) return first!;
		const own = new Set(all.flatMap((one) => one.stations));
		const labels = order.filter((label) => own.has(label));
		const ofKind = stations.filter(({ kind }) => kind === first!.kind);
		return {
			...first!,
			stations: labels.length === ofKind.length ? [] : labels,
			key: findingKey(first!, labels.join(' '))
		};
	});
}

/** What the rules were asked about at the stations of a finding, or at the first of them. */
export const contextOf = (
	groups: readonly FitGroup[],
	{ kind, stations }: Pick<Finding, 'kind' | 'stations'>
): FitContext | undefined =>
	(
		groups.find(
			(group) =>
				group.context.kind === kind &&
				(stations.length === 0
					? group.stations.length === 0
					: group.stations.some((label) => stations.includes(label)))
		) ?? groups.find(({ context }) => context.kind === kind)
	)?.context;
