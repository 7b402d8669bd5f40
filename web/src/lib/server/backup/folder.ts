/** Where the backups of a shop are kept; null for a demo, which is made anew, and where nobody said. */
export const backupFolder = (): string | null =>
	process.env.ZINC_MODE === 'demo' ? null : process.env.ZINC_BACKUPS || null;
