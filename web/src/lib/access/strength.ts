import type { PasswordStrength } from '@zinc-ledger/words';

/** By the estimator's score, 0 to 4. */
const STRENGTHS: readonly PasswordStrength[] = ['at-once', 'easy', 'possible', 'hard', 'very-hard'];

/** How far up the scale a strength stands, 1 to 5. */
export const stepOf = (strength: PasswordStrength): number => STRENGTHS.indexOf(strength) + 1;

let estimator: Promise<(password: string, names: string[]) => number> | undefined;

/** Lists of what people choose are large: fetched once somebody chooses. */
async function makeEstimator() {
	const [{ ZxcvbnFactory }, { adjacencyGraphs, dictionary }] = await Promise.all([
		import('@zxcvbn-ts/core'),
		import('@zxcvbn-ts/language-common')
	]);
	const estimate = new ZxcvbnFactory({ dictionary, graphs: adjacencyGraphs });
	return (password: string, names: string[]) => estimate.check(password, names).score;
}

/**
 * How hard a password is to guess, by patterns and by lists of what people choose.
 *
 * @param names what is known of whoever chooses, and guessed first
 */
export async function strengthOf(
	password: string,
	names: readonly string[] = []
): Promise<PasswordStrength> {
	estimator ??= makeEstimator().catch((failure: unknown) => {
		estimator = undefined;
		throw failure;
	});
	const score = (await estimator)(password, [...names]);
	return STRENGTHS[score] ?? 'at-once';
}
