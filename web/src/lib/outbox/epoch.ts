/** The epoch of the server's database. Every restore changes it, and may lose what browsers sent. */
let known: string | null = null;

/** Returns the last epoch that the server reported, or null. */
export const epochNow = (): string | null => known;

/** Asks the server for its epoch. @returns null if it does not answer */
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
