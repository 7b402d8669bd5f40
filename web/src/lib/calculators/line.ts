/** A quick sum as a line: what was typed, what it means, what comes out, in somebody's units. */
import {
	KPA_PER_UNIT,
	mm,
	newtons,
	newtonsPerMm,
	pressureUnit,
	readSumEntry,
	rateUnit,
	showLength,
	showLoad,
	showRate,
	CALCULATORS,
	type Message,
	type Calculator,
	type CalculatorDimension,
	type CalculatorResult,
	type Units
} from '@zinc-ledger/core';

/** What was typed, by sum and field: "aim-height.bind". */
export type Typed = Readonly<Record<string, string>>;
export const placeOf = (calculator: Calculator, key: string) => `${calculator.code}.${key}`;

export interface CalculatorLine {
	/** What is wrong with a field that was typed, by its key. */
	readonly problems: Readonly<Record<string, Message>>;
	/** null until every field has its figure. */
	readonly results: readonly CalculatorResult[] | null;
	/** Why it does not come out though all is typed. */
	readonly why: Message | null;
}

/** Works a line out from what stands in its fields. */
export function lineOf(calculator: Calculator, typed: Typed, units: Units): CalculatorLine {
	const problems: Record<string, Message> = {};
	const values: Record<string, number> = {};
	for (const { key, dimension, usual } of calculator.fields) {
		const text = typed[placeOf(calculator, key)] ?? usual ?? '';
		if (text.trim() === '') continue;
		const entry = readSumEntry(text, dimension, units);
		if (entry.ok) values[key] = entry.value;
		else problems[key] = entry.problem;
	}
	const isWhole = calculator.fields.every(({ key }) => key in values);
	if (!isWhole) return { problems, results: null, why: null };
	const worked = calculator.work(values as never, units.length);
	return 'code' in worked
		? { problems, results: null, why: worked }
		: { problems, results: worked, why: null };
}

/** A figure in somebody's units, with its unit where it stands alone. */
export function figureText(
	value: number,
	dimension: CalculatorDimension,
	units: Units,
	withUnit = true
): string {
	const unit = (name: string) => (withUnit ? ` ${name}` : '');
	switch (dimension) {
		case 'length':
			return `${showLength(mm(value), units)}${unit(units.length)}`;
		case 'load':
			return `${showLoad(newtons(value), units)}${unit(units.load)}`;
		case 'rate':
			return `${showRate(newtonsPerMm(value), units)}${unit(rateUnit(units))}`;
		case 'degrees':
			return `${Math.round(value)}°`;
		case 'part':
			return `${(value * 100).toFixed(1)} %`;
		case 'energy':
			return `${value.toFixed(1)} J`;
		case 'volume':
			return `${value.toFixed(1)}${unit('cc')}`;
		case 'pressure':
			return `${(value / KPA_PER_UNIT[pressureUnit(units)]).toFixed(2)} ${pressureUnit(units)}`;
		case 'number':
			return value.toFixed(2);
	}
}

/** The line it was worked out by: "1.150 + 0.540 + 0.060 = 1.750". */
export const workingText = (
	{ working, value, dimension }: CalculatorResult,
	units: Units
): string =>
	working.length === 0
		? ''
		: [
				...working.map((term) =>
					typeof term === 'string' ? term : figureText(term.value, term.dimension, units, false)
				),
				'=',
				figureText(value, dimension, units, false)
			]
				.join(' ')
				.replaceAll('( ', '(')
				.replaceAll(' )', ')')
				.replaceAll(' ²', '²');

/** A length or a load in every unit that somebody may ask for. */
export const inEveryUnit = ({ value, dimension }: CalculatorResult): readonly string[] => {
	const lengths = (['in', 'mm'] as const).map((unit) =>
		figureText(value, 'length', { length: unit, load: 'N' })
	);
	const loads = (['lbf', 'N', 'kgf'] as const).map((unit) =>
		figureText(value, 'load', { length: 'mm', load: unit })
	);
	return dimension === 'length' ? lengths : loads;
};

/** What was typed as it was understood, each with its unit: another bench reads it the same. */
export const parsed = (typed: Typed, units: Units): Typed =>
	Object.fromEntries(
		CALCULATORS.flatMap((calculator) =>
			calculator.fields.flatMap(({ key, dimension }) => {
				const text = typed[placeOf(calculator, key)] ?? '';
				if (text.trim() === '') return [];
				const entry = readSumEntry(text, dimension, units);
				return [[placeOf(calculator, key), entry.ok ? entry.text : text] as const];
			})
		)
	);

/** What a job would be begun with of all that stands in the fields. */
export function jobAddress(typed: Typed, units: Units): string {
	const kept = parsed(typed, units);
	const lift = kept['aim-height.lift'] ?? kept['bind-margin.lift'] ?? kept['seal.lift'];
	const cushion = kept['aim-height.cushion'];
	const params = new URLSearchParams({ ...(lift && { lift }), ...(cushion && { cushion }) });
	return params.size > 0 ? `/jobs/new?${params}` : '/jobs/new';
}
