/** What the shop weighs causes by, as far as it says otherwise than is usual. */
import {
	CAUSES,
	COMPLAINTS,
	EVIDENCE_CODES,
	STEPS,
	USUAL_LIKELIHOODS,
	type Cause,
	type Complaint,
	type EvidenceCode,
	type HowOften,
	type Likelihoods
} from '@zinc-ledger/core';
import type { Database } from '../database/connection';

/** Fields of the shop's own changes that are of this. */
export const WEIGHED = 'diagnosis.';

/** The shop's own, by field: "diagnosis.start.misfire.float", "diagnosis.step.leaks-down.float". */
export async function ownWeights(db: Database): Promise<Map<string, string>> {
	const rows = await db
		.selectFrom('shop_limit')
		.select(['field', 'to'])
		.where('field', 'like', `${WEIGHED}%`)
		.orderBy('position')
		.execute();
	const own = new Map(rows.map(({ field, to }) => [field, to]));
	return new Map([...own].filter(([, text]) => text !== ''));
}

/** All that causes are weighed by in this shop. */
export async function likelihoods(db: Database): Promise<Likelihoods> {
	const own = await ownWeights(db);
	const start: Record<string, Partial<Record<Cause, number>>> = {};
	for (const complaint of COMPLAINTS) start[complaint] = { ...USUAL_LIKELIHOODS.start[complaint] };
	const steps: Partial<Record<EvidenceCode, Partial<Record<Cause, HowOften>>>> = {};
	for (const [field, text] of own) {
		const [, type, of, cause] = field.split('.') as [string, string, string, Cause];
		if (type === 'start') start[of]![cause] = Number(text);
		else steps[of as EvidenceCode] = { ...steps[of as EvidenceCode], [cause]: text as HowOften };
	}
	return { start: start as Likelihoods['start'], steps };
}

/** Whether a field and what it is to be are of what is weighed by. */
export function isWeight(field: string, text: string): boolean {
	const [head, type, of, cause] = field.split('.');
	if (`${head}.` !== WEIGHED || !CAUSES.includes(cause as Cause)) return false;
	if (type === 'step')
		return (
			EVIDENCE_CODES.includes(of as EvidenceCode) && (text === '' || Object.hasOwn(STEPS, text))
		);
	const weight = Number(text);
	const isInRange = text === '' || (Number.isFinite(weight) && weight >= 0.01 && weight <= 100);
	return type === 'start' && COMPLAINTS.includes(of as Complaint) && isInRange;
}
