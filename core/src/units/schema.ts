/** Zod schemas of the texts that quantities are at the edges, with messages for whoever typed them. */
import { z } from 'zod';
import {
	INERTIA_TEXT,
	LENGTH_TEXT,
	LOAD_TEXT,
	MASS_TEXT,
	RATE_TEXT,
	VACUUM_TEXT,
	VOLUME_TEXT
} from './quantity.ts';

const quantity = (pattern: RegExp, what: string, example: string) =>
	z.string({ error: `${what}, such as "${example}"` }).regex(pattern, {
		abort: true,
		error: (issue) =>
			said(issue.input) ?? `${what}, such as "${example}"; this reads "${clip(issue.input)}"`
	});

/** "1,234" has two meanings, and which of them is for the person to say. */
function said(input: unknown): string | undefined {
	const [, whole, rest] = /^(\d{1,3}),(\d{3})(?!\d)/.exec(String(input)) ?? [];
	return whole && `is it ${whole}${rest} or ${whole}.${rest}? Type it so`;
}
const clip = (input: unknown) => String(input).slice(0, 40);
const aboveZero = (text: string) => Number.parseFloat(text) > 0;

export const Length = quantity(LENGTH_TEXT, 'a length in in or mm', '1.820 in');
/** A length that cannot be negative: a height, a thickness, a gap. */
export const Size = Length.refine((text) => !text.startsWith('-'), 'cannot be negative');
export const PositiveSize = Size.refine(aboveZero, 'must be more than 0');
export const Load = quantity(LOAD_TEXT, 'a load in lbf, N or kgf', '130 lbf');
/** What a gauge reads: a length or a load, never negative. */
export const Measured = quantity(
	new RegExp(`${LENGTH_TEXT.source}|${LOAD_TEXT.source}`),
	'a length in in or mm, or a load in lbf, N or kgf',
	'1.820 in'
).refine((text) => !text.startsWith('-'), 'cannot be negative');
export const Rate = quantity(RATE_TEXT, 'a rate in lbf/in, N/mm or kgf/mm', '340 lbf/in').refine(
	aboveZero,
	'must be more than 0'
);
export const Mass = quantity(MASS_TEXT, 'a mass in g or kg', '32.5 g').refine(
	aboveZero,
	'must be more than 0'
);
export const Volume = quantity(VOLUME_TEXT, 'a volume in cc', '46.5 cc');
export const Vacuum = quantity(VACUUM_TEXT, 'a vacuum in inHg, mbar or kPa', '20 inHg');
export const Inertia = quantity(INERTIA_TEXT, 'a moment of inertia in kg·mm²', '31 kg·mm²');

export const Line = z.string().trim().max(200, 'at most 200 characters');
export const Name = Line.min(1, 'a name is wanted here');
export const Id = z.uuid('an id (UUID)');
export const Moment = z.iso.datetime({
	offset: true,
	error: 'a date and time such as 2026-03-02T09:30:00Z'
});
