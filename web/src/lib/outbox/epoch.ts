/**
 * Which database the server has: after a restore it is of another epoch, and what a browser sent
 * to the one before may be missing in it.
 */
let known: string | null = null;

/** The last epoch that the server told; null before it has. */
export const epochNow = (): string | null => known;

/** Asks the server. @returns the epoch; null where it does not answer */
export async function askEpoch(): Promise<string | null> {
	try {
		const response = await fetch('/api/epoch');
		if (!response.ok) return null;
		({ epoch: known } = (await response.json()) as { epoch: string });
		return known;
	} catch {
		return null;
	}
}
